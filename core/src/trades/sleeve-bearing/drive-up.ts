import {
  type DriveUpForecastValues,
  type DriveUpReading,
  driveUpForecast,
} from '../../arithmetic/bearings/drive-up-forecast.ts';
import { type LockAlignmentValues, lockAlignment } from '../../arithmetic/bearings/lock-alignment.ts';
import {
  lockMeasure,
  lockMeasureNow,
  lockPatterns,
  rimDegrees,
} from '../../arithmetic/bearings/lock-stops.ts';
import { acceptanceOf, readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place, PlaceChoice, StepReport } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { isText } from '../../message/message.ts';
import { mean } from '../../metrology/uncertainty.ts';
import { sayNutAngle } from '../../quantities/angle.ts';
import { len } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { handWith, inHand } from '../../steps/in-hand.ts';
import { nothingYet } from '../../steps/nothing-yet.ts';
import { benchClearance } from './bench-clearance.ts';
import { heatOf } from './heat.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';
import { pitchOf } from './setup.ts';

export type DriveUpStepValues = DriveUpForecastValues & {
  /** How far to turn now, degrees, as the heading says; 0 where something is felt first. */
  turnNowDeg: number;
  lock: LockAlignmentValues;
  /** The nut's angle from snug at the last reading. */
  angleDeg: number;
  /** Nut angle at which the forward gap to the next tab was measured, and that gap. */
  phase: { atDeg: number; forwardDeg: number } | null;
};

/** The most the nut may be said to have been turned: far past any band. */
const ANGLE_MOST_DEG = 3600;

/** Where a row is felt: nut angle from snug, row, repeat; and where the gap to the next tab was measured. */
export const feltKey = placeKey('deg{deg}/{row:A|B}/{n}');
export const tabKey = placeKey('lock/deg{deg}');
/** The same gap, measured along the nut's rim in mm. */
const rimKey = placeKey('rim/deg{deg}');
/** Where a row is felt once more with the nut locked. */
export const finalKey = placeKey('final/{row:A|B}/{n}');

/** Readings at places `deg45/A/1`: nut angle from snug, row, repeat. */
export function pairsOf(
  facts: Facts<SleeveSetup>,
  step: string,
  read: (place: string) => { deg?: number; row: 'A' | 'B'; n: number } | null,
): DriveUpReading[] {
  const by = new Map<string, Partial<DriveUpReading> & { angleDeg: number }>();
  for (const r of standing(facts, step)) {
    const at = read(r.place);
    if (!at) continue;
    const key = `${at.deg ?? 0}/${at.n}`;
    const pair = by.get(key) ?? { angleDeg: at.deg ?? 0 };
    by.set(key, at.row === 'A' ? { ...pair, rowAMm: r.value } : { ...pair, rowBMm: r.value });
  }
  return [...by.values()].filter(
    (p): p is DriveUpReading => p.rowAMm !== undefined && p.rowBMm !== undefined,
  );
}

/** The forecast on the facts: shared by drive-up and lock, which adds the last turn. */
export function forecastOf(
  facts: Facts<SleeveSetup>,
  carried: Record<string, StepReport>,
  extra: DriveUpReading[] = [],
): ReturnType<typeof driveUpForecast> | null {
  const bench = benchClearance.valuesOf(carried.bench);
  if (!bench || bench.benchMm === null) return null;
  const setup = facts.setup;
  // The lock's blades count where its readings do; the bench keeps the doubt of its own.
  const felt = [...standing(facts, 'driveup'), ...(extra.length > 0 ? standing(facts, 'lock') : [])];
  const used = felt.filter((r) => r.instrument.kind === 'feeler');
  const blades = inHand(used, bench.bladeStepMm);
  const { mountLostMm, serviceLostMm } = heatOf(setup);
  // Felt on a warm shaft; what counts is what is there when both are of one temperature.
  const evened = (r: DriveUpReading): DriveUpReading => ({
    ...r,
    rowAMm: r.rowAMm + mountLostMm,
    rowBMm: r.rowBMm + mountLostMm,
  });
  return driveUpForecast({
    boreMm: setup.boreMm,
    taper: setup.taper,
    clearanceClass: setup.clearanceClass,
    benchMm: bench.benchMm,
    benchUncertaintyMm: bench.standardUncertaintyMm ?? undefined,
    pitchMm: pitchOf(setup).pitchMm,
    pitchAssumed: pitchOf(setup).assumed,
    hollowRatio: (setup.hollowBoreMm ?? 0) / setup.shaftMm,
    makerReductionMinMm: setup.maker.reductionMinMm,
    makerReductionMaxMm: setup.maker.reductionMaxMm,
    makerLeastResidualMm: setup.maker.leastResidualMm,
    serviceLostMm,
    bladeStepMm: blades.resolutionMm,
    hand: handWith(bench.hand, blades.hand?.card),
    feel: setup.feel,
    benchRowDifferenceMm: mean(bench.rowDifferencesMm),
    readings: [...pairsOf(facts, 'driveup', feltKey.read), ...extra].map(evened),
  });
}

/** Eighths of a turn with both rows felt after each, until the reduction stands in its band. */
export const driveUp = stepKind<SleeveSetup, DriveUpStepValues | null>('drive-up', {
  essential: true,
  report(facts, step, carried) {
    const forecast = forecastOf(facts, carried);
    if (!forecast) return nothingYet(M.feelBenchClearanceFirst);
    const read = standing(facts, step.id);
    const angleDeg = Math.max(0, ...read.map((r) => degOf(r.place)).filter((d): d is number => d !== null));
    const phase = phaseOf(facts);
    // From where both rows were last felt: half a reading has moved the nut but says nothing of the clearance yet.
    const lock = lockFrom(facts, forecast.values, phase, forecast.values.points.at(-1)?.angleDeg ?? angleDeg);
    const near = forecast.values.eighthsToAim !== null && forecast.values.eighthsToAim <= 2.5;
    const lockFindings: Finding[] =
      forecast.values.place !== 'not-begun' && near
        ? lock.findings
            .filter((f) => f.verdict !== 'accept')
            .map((f) => ({ ...f, verdict: 'caution' as const }))
        : [];
    const over = forecast.values.place === 'over-driven';
    const stays = isTilted(facts, forecast) || forecast.values.place === 'past';
    const next = nextPlace(facts, forecast.values, angleDeg, stays);
    return {
      findings: [
        ...softened(forecast, lock.values),
        ...halfRead(facts, angleDeg),
        ...lockFindings,
        ...heatFinding(facts),
        ...gaugeFindings(read),
      ],
      working: [...forecast.working, ...(near ? lock.working : [])],
      beams: forecast.beams,
      values: {
        ...forecast.values,
        lock: lock.values,
        angleDeg,
        phase,
        turnNowDeg: Math.max(0, ...(next ? [(degOf(next.key) ?? angleDeg) - angleDeg] : [])),
      } satisfies DriveUpStepValues,
      next: over ? null : next,
      choices: over ? [] : furtherOn(facts, angleDeg, stays),
      act: over ? M.overDrivenDismountInspectNew : sayAct(forecast, next, angleDeg),
    };
  },
  place(facts, _step, key, carried) {
    const forecast = forecastOf(facts, carried);
    if (forecast?.values.place === 'over-driven') return M.bearingOverDrivenNothingMore;
    const stays =
      forecast && isTilted(facts, forecast)
        ? M.rowsDifferOuterRingTilted
        : forecast?.values.place === 'past'
          ? M.whatReadHerePastBand
          : null;
    return readable(facts, key, stays);
  },
});

/** Are the rows too far apart to tell anything from, and has no lead hand accepted that? */
const isTilted = (facts: Facts<SleeveSetup>, forecast: { findings: Finding[] }): boolean =>
  forecast.findings.some((f) => f.code === 'driveup.rows' && !acceptanceOf(facts, 'driveup', f));

/**
 * May this place be read as the nut stands?
 * @param stays why the nut is turned no further, where it is not
 */
function readable(facts: Facts<SleeveSetup>, key: string, stays: Text | null): Place | Text {
  const last = lastDeg(facts);
  const gap = tabKey.read(key) ?? rimKey.read(key);
  if (gap) {
    if (last === null || gap.deg !== last) return M.measureGapNextTabWhere;
    if (readingAt(facts, 'driveup', key)) return M.gapAlreadyMeasuredHereWithdraw;
    return placeOf(facts, key) ?? M.thereNoSuchPlace;
  }
  const place = placeOf(facts, key);
  const deg = degOf(key);
  if (!place || deg === null) return M.thereNoSuchPlaceNut;
  if (readingAt(facts, 'driveup', key)) return COMMON.alreadyHasReadingWithdrawReason({ label: place.label });
  if (last === null && deg !== 0) return M.firstFeelBothRowsNut;
  if (last !== null && deg < last - 1e-6) return M.nutStandsGoesNeverBack({ last: sayNutAngle(last) });
  if (stays !== null && last !== null && deg > last) return stays;
  if (last !== null && deg > last && halfRead(facts, last).length > 0)
    return M.onlyOneRowFeltFeel({ last: sayNutAngle(last) });
  return place;
}

/** Where the nut may be turned to for the next feeling, beside feeling here again and measuring the gap to the tab. */
function furtherOn(facts: Facts<SleeveSetup>, angleDeg: number, stays: boolean): PlaceChoice[] {
  const row = 'A' as const;
  const again = 1 + countAt(facts, angleDeg, row);
  const felt = again > 1;
  return [
    ...(stays
      ? []
      : [
          { key: feltKey.write({ deg: angleDeg + 45, row, n: 1 }), label: M.on },
          { key: feltKey.write({ deg: angleDeg + 22.5, row, n: 1 }), label: M.n116 },
        ]),
    ...(felt ? [{ key: feltKey.write({ deg: angleDeg, row, n: again }), label: M.againHere }] : []),
    { key: tabKey.write({ deg: angleDeg }), label: M.gapTab },
    ...(facts.setup.nutRimMm === undefined
      ? []
      : [{ key: rimKey.write({ deg: angleDeg }), label: M.gapAlongRim }]),
  ].filter((c) => !isText(readable(facts, c.key, null)));
}

/** Said aloud where what is felt is not what counts. */
function heatFinding(facts: Facts<SleeveSetup>): Finding[] {
  const { mountLostMm } = heatOf(facts.setup);
  return mountLostMm === 0
    ? []
    : [
        {
          code: 'driveup.heat',
          verdict: 'caution',
          reason: M.shaftRingNotOneTemperature({
            mountLost: len(Math.abs(mountLostMm)),
            mountLost2: mountLostMm > 0 ? 'added' : 'takenOff',
          }),
          params: { mountLostMm: Math.abs(mountLostMm), mountLostMm2: Boolean(mountLostMm > 0) },
          source: 'growth',
          remedy: M.betterWaitUntilBothOne,
          acceptable: false,
        },
      ];
}

/**
 * Drive-up ends at the lock, where the residual is judged for good. So here "too close" only warns, and a reduction
 * still short may go on when the next tab brings it into the band.
 */
function softened(
  { findings, values }: ReturnType<typeof driveUpForecast>,
  lock: LockAlignmentValues,
): Finding[] {
  return findings.map((f) => {
    if (f.code !== 'driveup.place' || values.tilted) return f;
    if (f.verdict === 'too-close' && values.place === 'in-band') {
      return {
        ...f,
        verdict: 'caution',
        remedy: M.goNextTabIfStays,
      };
    }
    if (f.verdict === 'incomplete' && lock.least?.inBand === true && lock.least.forwardDeg < 22.5) {
      return {
        ...f,
        verdict: 'caution',
        reason: M.nextTabBringsIntoBand({ reason: f.reason, forward: lock.least.forwardDeg.toFixed(1) }),
        params: { ...f.params, forwardDeg: lock.least.forwardDeg },
      };
    }
    return f;
  });
}

/** Where the nut's next tab stands, from the last gap measured, and what it costs. */
function lockFrom(
  facts: Facts<SleeveSetup>,
  v: DriveUpForecastValues,
  phase: DriveUpStepValues['phase'],
  angleDeg: number,
) {
  const setup = facts.setup;
  const forwardDeg = phase ? lockMeasureNow(setup, phase.forwardDeg, angleDeg - phase.atDeg) : undefined;
  const usable = v.slopeMmPerDeg !== null && -v.slopeMmPerDeg > (0.3 * v.target.reductionPerEighthMm) / 45;
  return lockAlignment({
    ...base(facts),
    forwardDeg,
    hollowRatio: (setup.hollowBoreMm ?? 0) / setup.shaftMm,
    reductionPerDegMm: usable && v.slopeMmPerDeg !== null ? -v.slopeMmPerDeg : undefined,
    reductionNowMm: v.reductionMm ?? undefined,
    reductionMinMm: v.target.reductionMinMm ?? undefined,
    reductionMaxMm: v.target.reductionMaxMm ?? undefined,
    aimMm: v.target.aimMm ?? undefined,
  });
}

const base = (facts: Facts<SleeveSetup>) => {
  const setup = facts.setup;
  return {
    boreMm: setup.boreMm,
    taper: setup.taper,
    pitchMm: pitchOf(setup).pitchMm,
    ...lockPatterns(setup),
  };
};

/** The last measured gap from a slot forward to the next tab. */
function phaseOf(facts: Facts<SleeveSetup>): DriveUpStepValues['phase'] {
  const found = standing(facts, 'driveup').flatMap((r) => {
    const gap = tabKey.read(r.place);
    const along = rimKey.read(r.place);
    const rimMm = facts.setup.nutRimMm;
    return gap
      ? [{ atDeg: gap.deg, forwardDeg: r.value }]
      : along && rimMm !== undefined
        ? [{ atDeg: along.deg, forwardDeg: rimDegrees(r.value, rimMm) }]
        : [];
  });
  return found.at(-1) ?? null;
}

const degOf = (place: string): number | null => feltKey.read(place)?.deg ?? null;

/** How often a row was felt at a nut angle. */
const countAt = (facts: Facts<SleeveSetup>, deg: number, row: 'A' | 'B'): number =>
  standing(facts, 'driveup').filter((r) => {
    const at = feltKey.read(r.place);
    return at?.deg === deg && at.row === row;
  }).length;

function lastDeg(facts: Facts<SleeveSetup>): number | null {
  const degs = standing(facts, 'driveup')
    .map((r) => degOf(r.place))
    .filter((d): d is number => d !== null);
  return degs.length ? Math.max(...degs) : null;
}

/** Rows felt alone at an angle: half a reading is none. */
function halfRead(facts: Facts<SleeveSetup>, deg: number): Finding[] {
  return countAt(facts, deg, 'A') === countAt(facts, deg, 'B')
    ? []
    : [
        {
          code: 'driveup.half',
          verdict: 'incomplete',
          reason: M.onlyOneRowFelt({ deg: sayNutAngle(deg) }),
          params: { deg },
          remedy: M.feelOtherRow,
          acceptable: false,
        },
      ];
}

/** What is read next. Nothing that turns the nut on is offered first once it should stop. */
function nextPlace(
  facts: Facts<SleeveSetup>,
  v: DriveUpForecastValues,
  angleDeg: number,
  stays: boolean,
): Place | null {
  const at = (deg: number, row: 'A' | 'B', n: number) => placeOf(facts, feltKey.write({ deg, row, n }));
  if (lastDeg(facts) === null) return at(0, 'A', 1);
  const [a, b] = [countAt(facts, angleDeg, 'A'), countAt(facts, angleDeg, 'B')];
  if (a > b) return at(angleDeg, 'B', a);
  if (b > a) return at(angleDeg, 'A', b);
  if (stays || v.place === 'in-band' || v.suggestedStepDeg === 0) return at(angleDeg, 'A', a + 1);
  return at(angleDeg + v.suggestedStepDeg, 'A', 1);
}

/** The gap to the next tab along the nut's rim, where its diameter is known. */
export function rimPlace(setup: SleeveSetup, key: string): Place | null {
  if (setup.nutRimMm === undefined) return null;
  const { label, high } = lockMeasure(setup);
  return {
    key,
    label: M.alongRim({ label }),
    quantity: 'length',
    low: 0,
    high: Number(((Math.PI * setup.nutRimMm * high) / 360).toFixed(3)),
    instrumentKinds: ['caliper'],
  };
}

function placeOf(facts: Facts<SleeveSetup>, key: string): Place | null {
  const setup = facts.setup;
  if (tabKey.read(key)) {
    return {
      key,
      ...lockMeasure(setup),
      quantity: 'angle',
      low: 0,
      instrumentKinds: ['protractor'],
    };
  }
  if (rimKey.read(key)) return rimPlace(setup, key);
  const at = feltKey.read(key);
  if (!at || at.deg > ANGLE_MOST_DEG || at.n < 1 || at.n > 9) return null;
  const times = at.n > 1 ? M.again({ n: at.n }) : '';
  return {
    key,
    label: M.row({ deg: at.deg === 0 ? M.nutSnug : M.nut({ deg: sayNutAngle(at.deg) }), row: at.row, times }),
    quantity: 'gap',
    low: 0,
    high: Math.max(0.3, setup.boreMm * 0.004),
    instrumentKinds: ['feeler'],
  };
}

/** The next act: what stands in the way first, then the band. */
function sayAct(
  { values: v, findings }: ReturnType<typeof driveUpForecast>,
  next: Place | null,
  angleDeg: number,
): Text {
  if (v.place === 'not-begun') return M.nutSnugHandFeelRow;
  if (next?.key.includes('/B/')) return M.nutFeelRowB({ angle: sayNutAngle(angleDeg) });
  if (v.tilted) return M.squareOuterRingFeelBoth;
  if (v.place === 'past') return M.stopTurningFeelBothRows;
  const grave = findings.find((f) => f.code !== 'driveup.place' && f.verdict === 'reject');
  if (grave) return grave.reason;
  if (v.place === 'in-band') return M.bandGoLock;
  const turn = v.suggestedStepDeg === 22.5 ? M.oneSixteenth : M.oneEighth;
  return M.turnNutThenFeelBoth({ turn });
}
