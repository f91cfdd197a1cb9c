import { type ClearanceClass, classBand, type TaperRatio } from '../arithmetic/bearings/clearance-table.ts';
import { type DriveUpReading, driveUpForecast } from '../arithmetic/bearings/drive-up-forecast.ts';
import { driveUpTarget } from '../arithmetic/bearings/drive-up-target.ts';
import { normal, randomFrom } from '../metrology/random.ts';
import { mean } from '../metrology/uncertainty.ts';
import { MessageError } from '../quantities/message-error.ts';
import { M } from './messages.ts';

/** A bearing on its sleeve with what nobody sees: how it stands before, how it goes up, how it feels. */
export type HiddenBearing = {
  benchMm: number;
  /** Share of the taper's wedge that shows as lost clearance. */
  k: number;
  /** Degrees the nut turns before the sleeve bites, and travel lost to settling, mm. */
  slackDeg: number;
  settlingMm: number;
  /** The outer ring hangs a little askew: what one row feels more and the other less, mm. */
  tiltMm: number;
};

export type TrialSetup = {
  boreMm: number;
  taper: TaperRatio;
  clearanceClass: ClearanceClass;
  pitchMm: number;
  bladeStepMm: number;
  /** How far k scatters from one fitting to the next; 0.025 where nothing is said. */
  kScatter?: number | undefined;
  /** What is wrong with it and nobody knows: another pitch than supposed, a taper that is off, an outer ring that hangs askew. */
  odd?: 'pitch' | 'taper' | 'tilt' | undefined;
};

/** 8 threads to the inch where 2 mm are supposed. */
const OTHER_PITCH_MM = 25.4 / 8;
const TAPER_OFF = 1.04;
const ASKEW_MM = 0.02;

export type TrialOutcome = {
  reductionMm: number;
  residualMm: number;
  readings: number;
  verdict: 'in-band' | 'short' | 'over-driven';
};

/** Who says when to stop: the forecast, or the notebook (an eighth at a time until the last reading is past the lower limit). */
export type TrialRule = 'forecast' | 'notebook';

const TURNS_MOST = 80;

/** A bearing drawn by its seed: anywhere in its class, k and settling as they scatter from one fitting to the next. */
export function drawBearing(setup: TrialSetup, seed: number): HiddenBearing {
  const random = randomFrom(seed);
  const [lower, upper] = bandOf(setup);
  return {
    benchMm: lower + (upper - lower) * random(),
    k: 0.785 + (setup.kScatter ?? 0.025) * normal(random),
    slackDeg: 25 * random(),
    settlingMm: 0.02 + 0.02 * random(),
    tiltMm: setup.odd === 'tilt' ? ASKEW_MM : 0.006 * (2 * random() - 1),
  };
}

function bandOf(setup: TrialSetup): [number, number] {
  const band = classBand(setup.boreMm, setup.clearanceClass);
  if (!band) throw new MessageError(M.boreNotTabledClass);
  return [band.lowerMm, band.upperMm];
}

/** What is really left with the nut turned so far. */
export function clearanceAt(b: HiddenBearing, setup: TrialSetup, angleDeg: number): number {
  const pitchMm = setup.odd === 'pitch' ? OTHER_PITCH_MM : setup.pitchMm;
  const travel = (pitchMm * Math.max(0, angleDeg - b.slackDeg)) / 360;
  const taper = setup.odd === 'taper' ? setup.taper / TAPER_OFF : setup.taper;
  return b.benchMm - (b.k * Math.max(0, travel - b.settlingMm)) / taper;
}

/** Both rows felt with blades: the snug one, now and then one beside. */
function feel(b: HiddenBearing, setup: TrialSetup, angleDeg: number, random: () => number): DriveUpReading {
  const true_ = clearanceAt(b, setup, angleDeg);
  const step = setup.bladeStepMm;
  const blade = (mm: number) => Math.max(0, Math.round((mm + 0.2 * step * normal(random)) / step) * step);
  return { angleDeg, rowAMm: blade(true_ + b.tiltMm), rowBMm: blade(true_ - b.tiltMm) };
}

/**
 * One bearing driven up by one rule, everything felt with blades. The same seed gives the same bearing to both rules, and the
 * same trial every time.
 */
export function driveUpTrial(setup: TrialSetup, seed: number, rule: TrialRule): TrialOutcome {
  const hidden = drawBearing(setup, seed);
  const random = randomFrom(seed + 7919);
  const sets = [0, 1, 2].map(() => feel(hidden, setup, 0, random));
  const benchMm = mean(sets.flatMap((s) => [s.rowAMm, s.rowBMm]));
  // A pitch nobody has looked at is only supposed, and the product says so.
  const benchRowDifferenceMm = mean(sets.map((s) => Math.abs(s.rowAMm - s.rowBMm)));
  const input = { ...setup, benchMm, benchRowDifferenceMm, pitchAssumed: setup.odd === 'pitch' };
  const target = driveUpTarget(input).values;
  const readings: DriveUpReading[] = [];
  let angleDeg = 0;
  for (let i = 0; i < TURNS_MOST; i++) {
    readings.push(feel(hidden, setup, angleDeg, random));
    const step =
      rule === 'forecast'
        ? byForecast(input, readings)
        : byNotebook(benchMm, target.reductionMinMm, readings);
    if (step === 'again') continue;
    if (step === 0) break;
    angleDeg += step;
  }
  const residualMm = clearanceAt(hidden, setup, angleDeg);
  const reductionMm = hidden.benchMm - residualMm;
  const over =
    reductionMm > (target.reductionMaxMm ?? Number.POSITIVE_INFINITY) ||
    residualMm < (target.leastResidualMm ?? 0);
  return {
    reductionMm,
    residualMm,
    readings: readings.length,
    verdict: over ? 'over-driven' : reductionMm < (target.reductionMinMm ?? 0) ? 'short' : 'in-band',
  };
}

function byForecast(
  input: Omit<Parameters<typeof driveUpForecast>[0], 'readings'>,
  readings: DriveUpReading[],
): number | 'again' {
  const { tilted, advice } = driveUpForecast({ ...input, readings }).values;
  // The product takes no turn on rows that do not belong together: both are felt again.
  return tilted ? 'again' : (advice?.turnDeg ?? 0);
}

function byNotebook(benchMm: number, least: number | null, readings: DriveUpReading[]): number {
  const last = readings.at(-1);
  if (!last || least === null) return 0;
  return benchMm - (last.rowAMm + last.rowBMm) / 2 >= least ? 0 : 45;
}

export type TrialSummary = { inBand: number; short: number; overDriven: number; readings: number };

/** Shares over many seeds, and mean readings a bearing. */
export function trialSummary(setup: TrialSetup, seeds: number, rule: TrialRule): TrialSummary {
  const outcomes = Array.from({ length: seeds }, (_, i) => driveUpTrial(setup, i + 1, rule));
  const share = (verdict: TrialOutcome['verdict']) =>
    outcomes.filter((o) => o.verdict === verdict).length / seeds;
  return {
    inBand: share('in-band'),
    short: share('short'),
    overDriven: share('over-driven'),
    readings: mean(outcomes.map((o) => o.readings)),
  };
}
