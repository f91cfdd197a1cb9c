import { greaseCompatibility } from '../../arithmetic/lubrication/compatibility.ts';
import { regreasing, regreasingInterval } from '../../arithmetic/lubrication/regreasing.ts';
import { nextDue } from '../../arithmetic/lubrication/run-in.ts';
import { regreasingWatch, type WatchValues } from '../../arithmetic/lubrication/watch.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import { lackingAt } from '../../engine/lacking.ts';
import type { Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import {
  EVERY_MIN,
  minutesAfter,
  nextCount,
  rowOf,
  type TimedReading,
  timedRow,
} from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { RegreaseSetup } from './setup.ts';

/** May the fresh grease meet the old? Nothing to read; what the setup says is judged. */
export const greaseMatch = stepKind<
  RegreaseSetup,
  { goes: ReturnType<typeof greaseCompatibility>['values']['goes'] }
>('grease-match', {
  report(facts, step) {
    const { thickenerInside, thickenerFresh } = facts.setup;
    const result = greaseCompatibility({ inside: thickenerInside, fresh: thickenerFresh });
    return {
      ...result,
      findings: [...result.findings, ...itemFindings(facts, step)],
      next: null,
      act: result.findings[0]?.reason ?? '',
    };
  },
});

export type StrokesValues = { grams: number; strokes: number; given: number; gramsGiven: number };

/** Closed chambers only take so many strokes, for checks only. Common practice, no source. */
const CLOSED_STROKES = 6;
/** How much more than worked out is put in before it is questioned. */
const OVER = 1.25;

/** The strokes of the gun, counted against the quantity worked out; closed chambers stop at resistance. */
export const greaseStrokes = stepKind<RegreaseSetup, StrokesValues>('grease-strokes', {
  report(facts, step) {
    const setup = facts.setup;
    const sum = regreasing({
      outsideMm: setup.outsideMm,
      widthMm: setup.widthMm,
      gramsPerStroke: setup.gramsPerStroke,
    });
    const worked = Math.max(1, sum.values.strokes ?? 1);
    const wanted = setup.chamber === 'closed' ? Math.min(CLOSED_STROKES, worked) : worked;
    const taken = standing(facts, step.id);
    const given = rowOf(taken, 'strokes/').reduce((n, r) => n + r.value, 0);
    const startC = readingAt(facts, step.id, 'before')?.value;
    const findings: Finding[] = [...sum.findings];
    const shared = { code: 'strokes', source: 'bearing-handbooks' as const, acceptable: true };
    if (startC === undefined)
      findings.push({
        code: 'strokes.before',
        verdict: 'incomplete',
        reason: M.bearingsTemperatureBeforeFirstStroke,
        params: {},
        acceptable: false,
      });
    if (given === 0)
      findings.push({
        ...shared,
        verdict: 'incomplete',
        reason: M.noStrokeGivenYet({ wanted }),
        params: { wanted },
        acceptable: false,
      });
    else if (given > OVER * wanted)
      findings.push({
        ...shared,
        verdict: 'caution',
        reason: M.strokesMoreThanWorkedOut({ given, wanted }),
        params: { given, wanted },
        remedy: M.leaveReliefDrainOpenWatch,
      });
    else if (given < wanted)
      findings.push({
        ...shared,
        verdict: 'caution',
        reason: M.strokes({ given, wanted }),
        params: { given, wanted },
        remedy: M.goSlowlyUnlessCleanGrease,
      });
    else
      findings.push({
        ...shared,
        verdict: 'accept',
        reason: M.strokes2({ given, wanted }),
        params: { given, wanted },
      });
    const next =
      startC === undefined ? 'before' : given === 0 ? `strokes/${nextCount(taken, 'strokes/')}` : null;
    return {
      findings: [...findings, ...(given > 0 ? itemFindings(facts, step) : []), ...gaugeFindings(taken)],
      working: sum.working,
      beams: [],
      values: {
        grams: sum.values.grams,
        strokes: wanted,
        given,
        gramsGiven: given * setup.gramsPerStroke,
      } satisfies StrokesValues,
      next: next ? strokePlace(next) : null,
      choices: given > 0 ? [{ key: `strokes/${nextCount(taken, 'strokes/')}`, label: M.moreStrokes }] : [],
      act:
        startC === undefined
          ? M.readBearingsTemperatureBeforeFirst
          : given === 0
            ? M.giveStrokesSlowlyEnterHow({ wanted })
            : M.sayWhichStopRuleEnded,
    };
  },
  place(facts, step, key) {
    const place = strokePlace(key);
    if (!place) return M.thereNoSuchReadingGun;
    if (readingAt(facts, step.id, key)) return M.enteredAlreadyWithdrawEnterAgain({ label: place.label });
    if (key === 'before') return place;
    if (!readingAt(facts, step.id, 'before')) return M.firstReadTemperatureBeforeFirst;
    return key === `strokes/${nextCount(standing(facts, step.id), 'strokes/')}`
      ? place
      : M.strokesEnteredOneLotAfter;
  },
});

function strokePlace(key: string): Place | null {
  if (key === 'before')
    return {
      key,
      label: M.bearingBeforeFirstStroke,
      minutes: -1,
      quantity: 'temperature',
      low: -40,
      high: 250,
      instrumentKinds: ['thermometer'],
    };
  return /^strokes\/\d{1,2}$/.test(key)
    ? { key, label: M.strokesGiven, quantity: 'count', low: 1, high: 500, instrumentKinds: ['gun'] }
    : null;
}

export type GreaseWatchValues = WatchValues & {
  startC: number | null;
  points: TimedReading[];
  dueAt: string | null;
  /** When it is regreased next, hours from now; null where the rule gives none. */
  intervalHours: number | null;
};

/** Temperature after the strokes: a rise that falls back is usual, one that keeps climbing is not. */
export const greaseWatch = stepKind<RegreaseSetup, GreaseWatchValues>('grease-watch', {
  report(facts, step) {
    const setup = facts.setup;
    const startC = readingAt(facts, 'strokes', 'before')?.value ?? null;
    const taken = standing(facts, step.id);
    // Where the strokes were not counted, it began at the latest when that was said, else with the first look at it.
    const first = rowOf(standing(facts, 'strokes'), 'strokes/')[0] ?? lackingAt(facts, 'strokes') ?? taken[0];
    const begun = Date.parse(first?.at ?? '');
    const points = timedRow(taken, 't/', begun, EVERY_MIN);
    const result = regreasingWatch({ startC, readings: points });
    const interval = regreasingInterval({
      kind: setup.kind,
      boreMm: setup.boreMm,
      speedRpm: setup.speedRpm,
      temperatureC: setup.serviceC,
      vertical: setup.vertical,
      dirtFactor: setup.dirtFactor,
    });
    const settled = result.values.state === 'falling-back' || result.values.state === 'back';
    // Whatever it came to, the end of the watch is answered for.
    const watching = result.values.state === 'waiting' || result.values.state === 'rising';
    const last = points.at(-1)?.minutes ?? 0;
    const key = `t/${nextCount(taken, 't/')}`;
    const dueAt = settled || Number.isNaN(begun) ? null : minutesAfter(begun, nextDue(last));
    return {
      ...result,
      findings: [
        ...result.findings,
        ...interval.findings,
        ...(watching ? [] : itemFindings(facts, step)),
        ...gaugeFindings(taken),
      ],
      working: [...result.working, ...interval.working],
      values: {
        ...result.values,
        startC,
        points,
        dueAt,
        intervalHours: interval.values.hours,
      } satisfies GreaseWatchValues,
      dueAt,
      next: settled ? null : watchPlace(key),
      choices: settled ? [{ key, label: COMMON.readOnceMore }] : [],
      act: settled ? M.riseFallsBackAsShould : COMMON.readBearingsTemperature,
    };
  },
  place(facts, step, key) {
    const place = watchPlace(key);
    if (!place) return M.thereNoSuchReadingWatch;
    if (readingAt(facts, step.id, key)) return COMMON.readAlreadyWithdrawReadAgain;
    return key === `t/${nextCount(standing(facts, step.id), 't/')}`
      ? place
      : COMMON.readingsComeOneAfterOther;
  },
});

const watchPlace = (key: string): Place | null =>
  /^t\/\d{1,2}$/.test(key)
    ? {
        key,
        label: M.bearing4,
        minutes: EVERY_MIN * Number(key.slice(2)),
        quantity: 'temperature',
        low: -40,
        high: 250,
        instrumentKinds: ['thermometer'],
      }
    : null;
