import {
  type HouseRules,
  type JobKind,
  kindOf,
  type SleeveSetup,
  USUAL_CONDITION,
  USUAL_DISMOUNT,
  USUAL_PACKING,
  USUAL_PARTS,
  USUAL_PLUNGER,
  USUAL_REGREASE,
  USUAL_SEAL,
  USUAL_SETUP,
  USUAL_SPLIT,
  USUAL_WEAR,
  USUAL_WORK,
} from '@fulcrant/core';
import type { StoredPosition } from '../../app/job.ts';
import type { StartSetup } from './setup-fields.ts';

const USUAL: Record<JobKind, StartSetup> = {
  'sleeve-bearing': { ...USUAL_SETUP, ...USUAL_PARTS },
  'split-bearing': { ...USUAL_SPLIT, ...USUAL_PARTS },
  dismounting: USUAL_DISMOUNT,
  regreasing: USUAL_REGREASE,
  seal: USUAL_SEAL,
  packing: USUAL_PACKING,
  plunger: USUAL_PLUNGER,
  'seal-wear': USUAL_WEAR,
  'condition.survey': USUAL_CONDITION,
};

/** What a position's setup tells another kind of work: its place always, its shaft and bearing where both know them. */
const SHARED = [
  'machine',
  'position',
  'shaftMm',
  'shaftSystem',
  'seatMm',
  'stations',
  'angles',
  'boreMm',
] as const;
const PLACE: readonly string[] = ['machine', 'position'];

/** What the house rules say of the work itself, laid into the usual start of a kind. */
function byRules(kind: JobKind, usual: StartSetup, rules: HouseRules): StartSetup {
  const work = { ...USUAL_WORK, ...rules };
  switch (kind) {
    case 'sleeve-bearing':
      return work.driveUp === 'feelers'
        ? usual
        : { ...(usual as SleeveSetup), driveUp: { school: work.driveUp } };
    case 'split-bearing':
      return {
        ...usual,
        raceSchool: work.race,
        gaugeSchool: work.gauge,
        film: work.film,
      } as StartSetup;
    case 'regreasing':
      return { ...usual, how: work.regrease } as StartSetup;
    case 'seal':
      return { ...usual, oRings: work.oRings, tail: work.tail, spacer: work.spacer } as StartSetup;
    case 'packing':
      return { ...usual, leakSchool: work.leak } as StartSetup;
    default:
      return usual;
  }
}

/**
 * What a new job's form begins with: the setup last used at the position, else the usual one of its kind with what the two have in
 * common; the house rules of today either way, and what they say of the work where the position says nothing.
 */
export function startFor(
  kind: JobKind,
  chosen: StoredPosition | null,
  rules: HouseRules | undefined,
): StartSetup {
  const schools = rules ? { schools: rules } : {};
  if (chosen && kindOf(chosen.setup) === kind) return { ...chosen.setup, ...schools };
  const usual = rules ? byRules(kind, USUAL[kind], rules) : USUAL[kind];
  if (!chosen) return { ...usual, ...schools };
  const known = chosen.setup as Record<string, unknown>;
  const shared = SHARED.filter((k) => known[k] !== undefined && (k in usual || PLACE.includes(k)));
  return {
    ...usual,
    ...Object.fromEntries(shared.map((k) => [k, known[k]])),
    ...schools,
  } as StartSetup;
}
