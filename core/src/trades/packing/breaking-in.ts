import { type BreakInValues, packingBreakIn } from '../../arithmetic/packing/break-in.ts';
import { standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Text } from '../../message/message.ts';
import { EVERY_MIN, minutesAfter, nextCount, rowOf } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { PackingSetup } from './setup.ts';

export type BreakInStepValues = BreakInValues & {
  points: Array<{ minutes: number; flats: number; dropsPerMin: number; glandC?: number | undefined }>;
  dueAt: string | null;
};

const READINGS_MOST = 60;
const MINUTE_MS = 60_000;

/** What is read of a break-in, each in a row of its own. */
export const breakKey = placeKey('{what:drops|flats|gland}/{n}');

/** Drops, flats and waits until the leakage is steady in its band. */
export const breakIn = stepKind<PackingSetup, BreakInStepValues>('packing-break-in', {
  essential: true,
  report(facts, step) {
    const s = facts.setup;
    const taken = standing(facts, step.id, 'any');
    const first = Date.parse(rowOf(taken, 'drops/')[0]?.at ?? '');
    const points = pointsOf(facts, step.id, first);
    const result = packingBreakIn({
      shaftMm: s.shaftMm,
      school: s.leakSchool,
      flatDropsPerMin: s.flatDropsPerMin,
      // Both are said before anything is counted: the step needs them.
      pitchMm: s.studPitchMm ?? 0,
      followerMm: s.followerMm ?? 0,
      readings: points,
    });
    const { state, nextMinutes } = result.values;
    const done = state === 'done';
    const drops = `drops/${nextCount(taken, 'drops/')}`;
    const flats = `flats/${nextCount(taken, 'flats/')}`;
    // Turned already since the drops were counted: now they are counted again.
    const turned = flatsSince(taken);
    const turn = !turned && (state === 'turn' || state === 'too-dry' || state === 'hot');
    const dueAt =
      done || nextMinutes === null || Number.isNaN(first) ? null : minutesAfter(first, nextMinutes);
    return {
      ...result,
      findings: [...result.findings, ...(done ? itemFindings(facts, step) : []), ...gaugeFindings(taken)],
      values: {
        ...result.values,
        points,
        dueAt,
      } satisfies BreakInStepValues,
      dueAt,
      next: done
        ? null
        : breakPlace(turn && points.length > 0 ? flats : drops, points.length, flatsOf(taken)),
      choices: [
        { key: drops, label: M.drops },
        { key: flats, label: M.flats },
        { key: `gland/${nextCount(taken, 'gland/')}`, label: M.warmth },
      ],
      act: sayAct(turned && !done && state !== 'bottomed' ? 'wait' : state, points.length),
    };
  },
  place(facts, step, key) {
    const taken = standing(facts, step.id, 'any');
    const at = breakKey.read(key);
    if (!at || at.n !== nextCount(taken, `${at.what}/`)) return M.readingsComeOneAfterOther;
    if (at.what !== 'drops' && rowOf(taken, 'drops/').length === 0) return M.firstCountDropsAsStarts;
    return breakPlace(key, rowOf(taken, 'drops/').length, flatsOf(taken)) ?? M.thereNoSuchReading;
  },
});

function sayAct(state: BreakInValues['state'], count: number): Text {
  if (count === 0) return M.startLeakingGenerouslyCountDrops;
  switch (state) {
    case 'done':
      return M.steadyBandStopHere;
    case 'turn':
      return M.eachNutOneFlatTurn;
    case 'too-dry':
    case 'hot':
      return M.eachNutBackFlatEnter;
    case 'bottomed':
      return M.followerEnd;
    default:
      return M.waitThenCountDropsAgain;
  }
}

/** Where in what was taken such a reading last stands. */
const lastOf = (taken: readonly Reading[], what: string): number =>
  taken.findLastIndex((r) => breakKey.read(r.place)?.what === what);

/** Were the nuts turned after the drops were last counted? */
const flatsSince = (taken: readonly Reading[]): boolean => lastOf(taken, 'flats') > lastOf(taken, 'drops');

/** Every count of the drops (a reading of flats is kept as the angle it is), with the flats turned till then and the gland’s warmth last felt. */
function pointsOf(facts: Facts<PackingSetup>, step: string, first: number): BreakInStepValues['points'] {
  const taken = standing(facts, step, 'any');
  let flats = 0;
  let glandC: number | undefined;
  const points: BreakInStepValues['points'] = [];
  let sim = 0;
  for (const r of taken) {
    const what = breakKey.read(r.place)?.what;
    if (what === 'flats') flats += r.value / 60;
    else if (what === 'gland') glandC = r.value;
    else if (what === 'drops') {
      points.push({
        minutes: r.instrument.standIn
          ? EVERY_MIN * sim++
          : Math.round((10 * (Date.parse(r.at) - first)) / MINUTE_MS) / 10,
        flats,
        dropsPerMin: r.value,
        glandC,
      });
      glandC = undefined;
    }
  }
  return points;
}

/** Flats turned on each nut by now. */
const flatsOf = (taken: readonly Reading[]): number =>
  rowOf(taken, 'flats/').reduce((sum, r) => sum + r.value / 60, 0);

function breakPlace(key: string, count: number, turned: number): Place | null {
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
      minutes: EVERY_MIN * count,
      flats: turned,
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
