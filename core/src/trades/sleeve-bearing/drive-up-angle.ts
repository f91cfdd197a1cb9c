import {
  type AheadStop,
  lockMeasure,
  lockMeasureNow,
  lockSpacing,
  lockStops,
} from '../../arithmetic/bearings/lock-stops.ts';
import { type NutAngleValues, nutAngle } from '../../arithmetic/bearings/nut-angle.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { doubtSaid } from '../../judgement/doubt.ts';
import type { Beam, CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { decide } from '../../metrology/decision.ts';
import { readingUncertainty, usualDoubt } from '../../metrology/hand.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { nextCount, rowOf } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand, oneInHand } from '../../steps/in-hand.ts';
import { benchClearance } from './bench-clearance.ts';
import { tabKey } from './drive-up.ts';
import { M } from './messages.ts';
import { zeroProven } from './nut-zero.ts';
import type { SleeveSetup } from './setup.ts';
import { pitchOf } from './setup.ts';

export type DriveUpAngleValues = NutAngleValues & {
  school: 'nut-angle';
  makerMinDeg: number;
  makerMaxDeg: number;
  /** Turned from the mark so far. */
  turnedDeg: number;
  travelMm: number;
  place: 'not-begun' | 'short' | 'in-band' | 'over-driven';
  /** Where the lock meets next, forward from here; empty where the gap is not measured. */
  stops: AheadStop[];
  /** The most the nut may have to go on to the next lock position. */
  spacingDeg: number;
};

/** The nut is not believed to have gone farther than this. */
const ANGLE_MOST_DEG = 1080;
/** Smallest step of the gauge before any is used. */
const STEP_DEG = 5;

/** The nut-angle sum on the facts, with the nut turned so far. */
export function nutAngleOf(
  facts: Facts<SleeveSetup>,
  carried: Record<string, StepReport>,
  turnedDeg: number | undefined,
): CalculatorResult<NutAngleValues> {
  const setup = facts.setup;
  const { nutAngleMinDeg, nutAngleMaxDeg } = setup.maker;
  if (nutAngleMinDeg === undefined || nutAngleMaxDeg === undefined)
    throw new MessageError(M.makersNutAngleMissing);
  const read = [...standing(facts, 'driveup'), ...standing(facts, 'lock')].filter(
    (r) => r.instrument.kind === 'protractor',
  );
  const gauge = inHand(read, STEP_DEG);
  const bench = benchClearance.valuesOf(carried.bench);
  return nutAngle({
    boreMm: setup.boreMm,
    taper: setup.taper,
    pitchMm: pitchOf(setup).pitchMm,
    makerMinDeg: nutAngleMinDeg,
    makerMaxDeg: nutAngleMaxDeg,
    turnedDeg,
    stepDeg: gauge.resolutionMm,
    zeroProven: zeroProven(facts),
    benchMm: bench?.benchMm ?? undefined,
    hollowRatio: (setup.hollowBoreMm ?? 0) / setup.shaftMm,
  });
}

/** A gauge of angles in a hand: its step in degrees. */
export type AngleGauge = ReturnType<typeof oneInHand>;

/** Where so many degrees stand in the maker's band. What is not known of the hand does not widen it. */
export function anglePlace(
  turnedDeg: number,
  stepDeg: number,
  minDeg: number,
  maxDeg: number,
): 'short' | 'in-band' | 'over-driven' {
  if (decide(turnedDeg, usualDoubt(stepDeg), { upper: maxDeg }).verdict === 'reject') return 'over-driven';
  return turnedDeg < minDeg ? 'short' : 'in-band';
}

/** The beam of an angle in the maker's band. */
export const angleBeam = (
  turnedDeg: number,
  gauge: AngleGauge,
  minDeg: number,
  maxDeg: number,
  verdict: Beam['verdict'],
): Beam => ({
  label: COMMON.nutFromMark,
  quantity: 'angle',
  value: turnedDeg,
  target: (minDeg + maxDeg) / 2,
  lower: minDeg,
  upper: maxDeg,
  expanded: 2 * readingUncertainty(gauge.stepMm, gauge.hand),
  doubt: doubtSaid({ ...gauge, say: (deg) => `${deg.toFixed(1)}°` }),
  verdict,
});

/** The nut turned on from its proven mark, judged by the maker's band alone. Forward only. */
export const driveUpAngle = stepKind<SleeveSetup, DriveUpAngleValues>('drive-up-angle', {
  essential: true,
  // The coarsest gauge the nut was read with counts, on the lock's last turn too.
  looksAhead: ['lock'],
  report(facts, step, carried) {
    const setup = facts.setup;
    const turned = turnsOf(facts);
    const now = turned.at(-1)?.value;
    const result = nutAngleOf(facts, carried, now);
    const min = setup.maker.nutAngleMinDeg ?? 0;
    const max = setup.maker.nutAngleMaxDeg ?? 0;
    const last = turned.at(-1);
    const stepDeg = last?.instrument.step ?? STEP_DEG;
    const place = now === undefined ? 'not-begun' : anglePlace(now, stepDeg, min, max);
    const measured = standing(facts, step.id).findLast((r) => tabKey.read(r.place));
    const atDeg = tabKey.read(measured?.place)?.deg ?? 0;
    const stops = measured
      ? lockStops(setup, {
          measureNowDeg: lockMeasureNow(setup, measured.value, (now ?? 0) - atDeg),
          nowDeg: now ?? 0,
          minDeg: min,
          maxDeg: max,
        })
      : [];
    const findings: Finding[] = [...result.findings];
    if (now === undefined)
      findings.push({
        code: 'nut-angle.turned',
        verdict: 'incomplete',
        reason: M.nothingTurnedYet({ min, max }),
        params: { min, max },
        source: 'maker',
        acceptable: false,
      });
    const over = place === 'over-driven';
    return {
      findings: [...findings.map(softShort(stops)), ...gaugeFindings(standing(facts, step.id))],
      working: result.working,
      beams:
        now === undefined
          ? []
          : [
              angleBeam(
                now,
                last ? oneInHand(last) : { stepMm: STEP_DEG, hand: {} },
                min,
                max,
                over ? 'reject' : place === 'short' ? 'incomplete' : 'accept',
              ),
            ],
      values: {
        ...result.values,
        school: 'nut-angle',
        makerMinDeg: min,
        makerMaxDeg: max,
        turnedDeg: now ?? 0,
        travelMm: (pitchOf(setup).pitchMm * (now ?? 0)) / 360,
        place,
        stops,
        spacingDeg: lockSpacing(setup),
      } satisfies DriveUpAngleValues,
      next: over || place === 'in-band' ? null : placeOf(facts, nextTurn(facts)),
      choices: over
        ? []
        : [
            { key: nextTurn(facts), label: M.nutTurned },
            { key: `lock/deg${now ?? 0}`, label: M.gapLock },
          ],
      act: over
        ? M.pastBandDismountInspectNew
        : place === 'in-band'
          ? M.makersBandLock
          : M.turnNutFromMark({ min, max }),
    };
  },
  place(facts, _step, key) {
    const place = placeOf(facts, key);
    if (!place) return M.thereNoSuchPlaceNut;
    if (readingAt(facts, 'driveup', key))
      return COMMON.enteredAlreadyWithdrawReasonEnter({ label: place.label });
    const turned = turnsOf(facts);
    const now = turned.at(-1)?.value ?? 0;
    const gap = tabKey.read(key);
    if (gap) return gap.deg === now ? place : M.measureGapLockWhereNut;
    if (key !== nextTurn(facts)) return COMMON.turnsEnteredOneAfterOther;
    return { ...place, low: now };
  },
});

/** The nut turned on, one entry after the other. */
export const turnKey = placeKey('turn/{n}');

/** Short of the band may go on where the next lock position lies in it. */
const softShort =
  (stops: readonly AheadStop[]) =>
  (f: Finding): Finding => {
    const first = stops[0];
    return f.code === 'nut-angle.turned' && f.verdict === 'incomplete' && first?.inBand
      ? {
          ...f,
          verdict: 'caution',
          reason: M.lockMeetsBand({ reason: f.reason, forward: first.forwardDeg.toFixed(1) }),
          params: { ...f.params, forwardDeg: first.forwardDeg },
          acceptable: false,
        }
      : f;
  };

/** The standing turns, in the order they were entered. */
const turnsOf = (facts: Facts<SleeveSetup>) => rowOf(standing(facts, 'driveup'), 'turn/');

const nextTurn = (facts: Facts<SleeveSetup>): string =>
  `turn/${nextCount(standing(facts, 'driveup'), 'turn/')}`;

function placeOf(facts: Facts<SleeveSetup>, key: string): Place | null {
  const turn = turnKey.read(key);
  if (turn && turn.n >= 1 && turn.n <= 60)
    return {
      key,
      label: M.nutFromMarkAllTogether,
      quantity: 'angle',
      low: 0,
      high: ANGLE_MOST_DEG,
      instrumentKinds: ['protractor'],
    };
  return tabKey.read(key)
    ? {
        key,
        ...lockMeasure(facts.setup),
        quantity: 'angle',
        low: 0,
        instrumentKinds: ['protractor'],
      }
    : null;
}
