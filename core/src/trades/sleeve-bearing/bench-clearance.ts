import {
  type ClearanceClassValues,
  clearanceClass,
  type FeelerPair,
} from '../../arithmetic/bearings/clearance-class.ts';
import { answerTo, readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import type { SleeveSetup } from './setup.ts';

export type BenchValues = ClearanceClassValues & {
  bladeStepMm: number;
  pairs: Array<{ set: number; rowAMm: number | null; rowBMm: number | null }>;
};

/** Most sets of feelers anyone takes. */
const SETS_MOST = 12;

/** A row of a set of feelings. */
export const setKeys = placeKey('set{set}/{row:A|B}');
const setKey = (set: number, row: 'A' | 'B') => setKeys.write({ set, row });

/** Feeler pairs over both rows before the bearing goes up its taper: the zero of everything after. */
export const benchClearance = stepKind<SleeveSetup, BenchValues>('bench-clearance', {
  essential: true,
  // Parts are looked over again only where the bearing has been on before.
  asks: (facts, step) => (facts.attempt === 1 ? [] : (step.items ?? [])),
  report(facts, step) {
    const setup = facts.setup;
    const read = standing(facts, step.id);
    const last = Math.max(0, ...read.map((r) => setKeys.read(r.place)?.set ?? 0));
    const pairs = Array.from({ length: last }, (_, i) => ({
      set: i + 1,
      rowAMm: readingAt(facts, step.id, setKey(i + 1, 'A'))?.value ?? null,
      rowBMm: readingAt(facts, step.id, setKey(i + 1, 'B'))?.value ?? null,
    }));
    const sets = pairs.filter((p): p is typeof p & FeelerPair => p.rowAMm !== null && p.rowBMm !== null);
    const bladeStepMm = Math.max(0.001, ...read.map((r) => r.instrument.step));
    const result = clearanceClass({
      boreMm: setup.boreMm,
      clearanceClass: setup.clearanceClass,
      sets,
      bladeStepMm,
      feel: setup.feel,
      makerLowerMm: setup.maker.benchLowerMm,
      makerUpperMm: setup.maker.benchUpperMm,
    });
    // The finding counts complete pairs; name the set it means as the hand numbered it.
    const named = result.findings.map((f) => {
      const m = /^bench\.rows\.(\d+)$/.exec(f.code);
      const set = m ? sets[Number(m[1]) - 1]?.set : undefined;
      return set === undefined
        ? f
        : {
            ...f,
            code: `bench.rows.${set}`,
            reason: f.reason.replace(/^In set \d+/, `In set ${set}`),
            params: { ...f.params, set },
          };
    });
    const half = pairs.find((p) => (p.rowAMm === null) !== (p.rowBMm === null));
    const open =
      pairs.find((p) => p.rowAMm === null && p.rowBMm === null)?.set ?? (last < SETS_MOST ? last + 1 : null);
    const key = half
      ? setKey(half.set, half.rowAMm === null ? 'A' : 'B')
      : open === null
        ? null
        : setKey(open, 'A');
    const next = key ? placeOf(facts, key) : null;
    const extra: Finding[] = half
      ? [
          {
            code: 'bench.half',
            verdict: 'incomplete',
            reason: `Set ${half.set} has only one row.`,
            params: { set: half.set },
            remedy: 'Feel the other row.',
            acceptable: false,
          },
        ]
      : [];
    const enough = !named.some((f) => f.code === 'bench.sets') && !half;
    return {
      findings: [...named, ...extra, ...inspected(facts), ...gaugeFindings(read)],
      working: result.working,
      beams: result.beams,
      values: { ...result.values, bladeStepMm, pairs } satisfies BenchValues,
      next,
      act: enough
        ? 'Enough sets: read the verdict, or feel one more.'
        : next
          ? `Feel ${next.label.charAt(0).toLowerCase()}${next.label.slice(1)}`
          : 'Read the verdict.',
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts, key);
    if (!place) return 'There is no such set here.';
    if (standing(facts, 'driveup').length > 0)
      return 'The bearing is on its taper: bench clearance can no longer be felt. Only dismounting gives a new zero.';
    if (readingAt(facts, step.id, key))
      return `${place.label} already has a reading. Withdraw it, with a reason, to feel again.`;
    return place;
  },
});

/** After a dismounting, ring and sleeve are looked at before anything is felt anew. */
function inspected(facts: Facts<SleeveSetup>): Finding[] {
  if (facts.attempt === 1) return [];
  const answer = answerTo(facts, 'bench', 'inspected');
  if (answer?.answer === 'yes') return [];
  return [
    {
      code: 'bench.inspected',
      verdict: answer ? 'reject' : 'incomplete',
      reason: answer
        ? 'Ring, sleeve or shaft did not pass its inspection after dismounting.'
        : 'After dismounting: ring, sleeve and shaft are not yet inspected.',
      params: { answer: Boolean(answer) },
      remedy: 'Look for scoring, cracks and spread sleeve; renew what is hurt, then answer.',
      acceptable: false,
    },
  ];
}

function placeOf(facts: Facts<SleeveSetup>, key: string): Place | null {
  const setup = facts.setup;
  const at = setKeys.read(key);
  if (!at || at.set < 1 || at.set > SETS_MOST) return null;
  return {
    key,
    label: `Set ${at.set}, row ${at.row}`,
    quantity: 'gap',
    low: 0,
    high: Math.max(0.3, setup.boreMm * 0.004),
    instrumentKinds: ['feeler'],
  };
}
