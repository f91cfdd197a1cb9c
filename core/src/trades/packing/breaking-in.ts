import { type BreakInDo, type BreakInValues, packingBreakIn } from '../../arithmetic/packing/break-in.ts';
import type { BreakInAct } from '../../arithmetic/packing/break-in-seen.ts';
import { standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { EVERY_MIN, minutesAfter, nextCount, rowOf } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { PackingSetup } from './setup.ts';

export type BreakInStepValues = BreakInValues & {
  /** Every count, with the flats turned till then. */
  points: Array<{ minutes: number; flats: number; dropsPerMin: number }>;
  /** The gland as it was felt. */
  warmth: Array<{ minutes: number; glandC: number }>;
  /** Each turn of the nuts. */
  turns: Array<{ minutes: number; flats: number }>;
  dueAt: string | null;
};

const READINGS_MOST = 60;
const MINUTE_MS = 60_000;

/** What is read of a break-in, each in a row of its own. */
export const breakKey = placeKey('{what:drops|flats|gland}/{n}');

/** What is read where an instruction asks for something. */
const READS: Partial<Record<BreakInDo, 'drops' | 'flats' | 'gland'>> = {
  start: 'drops',
  wait: 'drops',
  count: 'drops',
  turn: 'flats',
  back: 'flats',
  feel: 'gland',
};

/** What was done so far, and what it comes to. */
function resultOf(facts: Facts<PackingSetup>, step: string) {
  const s = facts.setup;
  const taken = standing(facts, step, 'any');
  const begun = Date.parse(taken[0]?.at ?? '');
  const acts = actsOf(taken, begun);
  const result = packingBreakIn({
    shaftMm: s.shaftMm,
    school: s.leakSchool,
    flatDropsPerMin: s.flatDropsPerMin,
    // Both are said before anything is counted: the step needs them.
    pitchMm: s.studPitchMm ?? 0,
    followerMm: s.followerMm ?? 0,
    acts,
  });
  return { taken, begun, acts, result };
}

/** Drops, flats and waits until the leakage is steady in its band: one instruction, driven by the last act. */
export const breakIn = stepKind<PackingSetup, BreakInStepValues>('packing-break-in', {
  essential: true,
  // The follower is looked at once the nuts stay as they are.
  asks: (facts, step) => (resultOf(facts, step.id).result.values.do === 'done' ? (step.items ?? []) : []),
  ahead: (facts, step) => (resultOf(facts, step.id).result.values.do === 'done' ? [] : (step.items ?? [])),
  report(facts, step) {
    const { taken, begun, acts, result } = resultOf(facts, step.id);
    const { do: now, nextMinutes } = result.values;
    const dueAt = nextMinutes === null || Number.isNaN(begun) ? null : minutesAfter(begun, nextMinutes);
    const key = (what: 'drops' | 'flats' | 'gland') =>
      breakKey.write({ what, n: nextCount(taken, `${what}/`) });
    const reads = READS[now];
    return {
      ...result,
      findings: [
        ...result.findings,
        ...(now === 'done' ? itemFindings(facts, step) : []),
        ...gaugeFindings(taken),
      ],
      values: { ...result.values, ...told(acts), dueAt } satisfies BreakInStepValues,
      dueAt,
      next: reads ? breakPlace(key(reads), taken) : null,
      choices: [
        { key: key('drops'), label: M.drops },
        { key: key('flats'), label: M.flats },
        { key: key('gland'), label: M.warmth },
      ],
      act: SAYS[now],
    };
  },
  place(facts, step, key) {
    const taken = standing(facts, step.id, 'any');
    const at = breakKey.read(key);
    if (!at || at.n !== nextCount(taken, `${at.what}/`)) return COMMON.readingsComeOneAfterOther;
    if (at.what === 'flats' && rowOf(taken, 'drops/').length === 0) return M.firstCountDropsAsStarts;
    return breakPlace(key, taken) ?? M.thereNoSuchReading;
  },
});

const SAYS: Record<BreakInDo, Text> = {
  start: M.startLeakingGenerouslyCountDrops,
  wait: M.waitThenCountDropsAgain,
  count: M.countDropsNow,
  turn: M.eachNutOneFlatTurn,
  back: M.eachNutBackFlatEnter,
  feel: M.feelGlandAgain,
  renew: M.followerEnd,
  done: M.steadyBandStopHere,
};

/**
 * What was counted, turned and felt, in its order, with the minutes since the start. A simulated gauge's day is short: its counts are taken
 * as a quarter of an hour apart. A reading of flats is kept as the angle it is.
 */
function actsOf(taken: readonly Reading[], begunMs: number): BreakInAct[] {
  let simulated = 0;
  let minutes = 0;
  return taken.flatMap((r): BreakInAct[] => {
    const what = breakKey.read(r.place)?.what;
    if (!r.instrument.standIn) minutes = Math.round((10 * (Date.parse(r.at) - begunMs)) / MINUTE_MS) / 10;
    else if (what === 'drops') minutes = EVERY_MIN * simulated++;
    if (what === 'flats') return [{ what, minutes, flats: r.value / 60 }];
    if (what === 'gland') return [{ what: 'warmth', minutes, glandC: r.value }];
    return what === 'drops' ? [{ what, minutes, dropsPerMin: r.value }] : [];
  });
}

/** Counts, warmth and turns apart, for the chart and the sheet. */
function told(acts: readonly BreakInAct[]): Pick<BreakInStepValues, 'points' | 'warmth' | 'turns'> {
  let flats = 0;
  const all: Pick<BreakInStepValues, 'points' | 'warmth' | 'turns'> = { points: [], warmth: [], turns: [] };
  for (const act of acts) {
    if (act.what === 'flats') {
      flats += act.flats;
      all.turns.push({ minutes: act.minutes, flats });
    } else if (act.what === 'warmth') all.warmth.push({ minutes: act.minutes, glandC: act.glandC });
    else all.points.push({ minutes: act.minutes, flats, dropsPerMin: act.dropsPerMin });
  }
  return all;
}

function breakPlace(key: string, taken: readonly Reading[]): Place | null {
  const at = breakKey.read(key);
  if (!at || at.n < 1 || at.n > READINGS_MOST) return null;
  if (at.what === 'drops')
    return {
      key,
      label: M.dropsMinute,
      quantity: 'count',
      low: 0,
      high: 5000,
      instrumentKinds: ['counter'],
      minutes: EVERY_MIN * rowOf(taken, 'drops/').length,
      flats: rowOf(taken, 'flats/').reduce((sum, r) => sum + r.value / 60, 0),
    };
  if (at.what === 'gland')
    return {
      key,
      label: M.glandsWarmth,
      quantity: 'temperature',
      low: -40,
      high: 250,
      instrumentKinds: ['thermometer'],
    };
  return {
    key,
    label: M.flatsEachNutTurnedBack,
    quantity: 'flats',
    low: -360,
    high: 360,
    instrumentKinds: ['protractor'],
  };
}
