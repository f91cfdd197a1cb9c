import { sleeveOf } from '../../api/setup.ts';
import {
  type DriveUpForecastValues,
  type DriveUpReading,
  driveUpForecast,
} from '../../bearings/drive-up-forecast.ts';
import { type LockAlignmentValues, lockAlignment } from '../../bearings/lock-alignment.ts';
import { lockMeasure, lockMeasureNow, lockPatterns } from '../../bearings/lock-stops.ts';
import type { Finding } from '../../calculators/result.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place, StepReport } from '../../engine/state.ts';
import { sayNutAngle } from '../../quantities/angle.ts';
import { len } from '../../quantities/say.ts';
import type { StepKind } from '../types.ts';
import type { BenchValues } from './bench-clearance.ts';
import { gaugeFindings } from './gauges.ts';
import { heatOf } from './heat.ts';
import { nothingYet } from './nothing-yet.ts';

export type DriveUpStepValues = DriveUpForecastValues & {
  lock: LockAlignmentValues;
  /** The nut's angle from snug at the last reading. */
  angleDeg: number;
  /** Nut angle at which the forward gap to the next tab was measured, and that gap. */
  phase: { atDeg: number; forwardDeg: number } | null;
};

/** The most the nut may be said to have been turned: far past any band. */
const ANGLE_MOST_DEG = 3600;

/** Readings at places `deg45/A/1`: nut angle from snug, row, repeat. */
export function pairsOf(facts: Facts, step: string, prefix: string): DriveUpReading[] {
  const by = new Map<string, Partial<DriveUpReading> & { angleDeg: number }>();
  for (const r of standing(facts, step)) {
    const m = new RegExp(`^${prefix}([\\d.]*)/([AB])/(\\d+)$`).exec(r.place);
    if (!m) continue;
    const key = `${m[1]}/${m[3]}`;
    const pair = by.get(key) ?? { angleDeg: Number(m[1] || 0) };
    by.set(key, m[2] === 'A' ? { ...pair, rowAMm: r.value } : { ...pair, rowBMm: r.value });
  }
  return [...by.values()].filter(
    (p): p is DriveUpReading => p.rowAMm !== undefined && p.rowBMm !== undefined,
  );
}

/** The forecast on the facts: shared by drive-up and lock, which adds the last turn. */
export function forecastOf(
  facts: Facts,
  carried: Record<string, StepReport>,
  extra: DriveUpReading[] = [],
): ReturnType<typeof driveUpForecast> | null {
  const bench = carried.bench?.values as BenchValues | undefined;
  if (!bench || bench.benchMm === null) return null;
  const setup = sleeveOf(facts);
  // The coarsest blade in the sum decides; the lock's count where its readings do.
  const felt = [...standing(facts, 'driveup'), ...(extra.length > 0 ? standing(facts, 'lock') : [])];
  const used = felt.filter((r) => r.instrument.kind === 'feeler');
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
    pitchMm: setup.pitchMm,
    hollowRatio: (setup.hollowBoreMm ?? 0) / setup.shaftMm,
    makerReductionMinMm: setup.maker.reductionMinMm,
    makerReductionMaxMm: setup.maker.reductionMaxMm,
    makerLeastResidualMm: setup.maker.leastResidualMm,
    serviceLostMm,
    bladeStepMm: Math.max(bench.bladeStepMm, ...used.map((r) => r.instrument.step)),
    feel: setup.feel,
    readings: [...pairsOf(facts, 'driveup', 'deg'), ...extra].map(evened),
  });
}

/** Eighths of a turn with both rows felt after each, until the reduction stands in its band. */
export const driveUp: StepKind = {
  report(facts, step, carried) {
    const forecast = forecastOf(facts, carried);
    if (!forecast) return nothingYet('Feel the bench clearance first.');
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
    const next = nextPlace(facts, forecast.values, angleDeg);
    const over = forecast.values.place === 'over-driven';
    return {
      findings: [
        ...softened(forecast.findings, lock.values),
        ...lockFindings,
        ...halfRead(facts, angleDeg),
        ...heatFinding(facts),
        ...gaugeFindings(read),
      ],
      working: [...forecast.working, ...(near ? lock.working : [])],
      beams: forecast.beams,
      values: { ...forecast.values, lock: lock.values, angleDeg, phase } satisfies DriveUpStepValues,
      next: over ? null : next,
      act: over ? 'Over-driven: dismount, inspect, new zero.' : sayAct(forecast.values, next, angleDeg),
    };
  },
  place(facts, _step, key, carried) {
    const forecast = forecastOf(facts, carried);
    if (forecast?.values.place === 'over-driven')
      return 'The bearing is over-driven: nothing more is measured on it. Dismount it, or withdraw the reading if it was misread.';
    const last = lastDeg(facts);
    const lockAt = /^lock\/deg([\d.]+)$/.exec(key);
    if (lockAt) {
      if (last === null || Number(lockAt[1]) !== last)
        return 'Measure the gap to the next tab where the nut stands now.';
      if (readingAt(facts, 'driveup', key))
        return 'That gap is already measured here. Withdraw it, with a reason, to measure again.';
      return placeOf(facts, key) ?? 'There is no such place.';
    }
    const place = placeOf(facts, key);
    const deg = degOf(key);
    if (!place || deg === null) return 'There is no such place on the nut.';
    if (readingAt(facts, 'driveup', key))
      return `${place.label} already has a reading. Withdraw it, with a reason, to feel again.`;
    if (last === null && deg !== 0)
      return 'First feel both rows with the nut snug, not yet turned: that is the zero of the angle.';
    if (last !== null && deg < last - 1e-6)
      return `The nut stands at ${sayNutAngle(last)}: it goes on, never back.`;
    if (last !== null && deg > last && halfRead(facts, last).length > 0)
      return `Only one row is felt at ${sayNutAngle(last)}. Feel the other before the nut turns on.`;
    return place;
  },
};

/** Said aloud where what is felt is not what counts. */
function heatFinding(facts: Facts): Finding[] {
  const { mountLostMm } = heatOf(sleeveOf(facts));
  return mountLostMm === 0
    ? []
    : [
        {
          code: 'driveup.heat',
          verdict: 'caution',
          reason: `Shaft and ring are not of one temperature: ${len(Math.abs(mountLostMm))} is ${mountLostMm > 0 ? 'added to' : 'taken off'} every clearance felt.`,
          source: 'growth',
          remedy: 'Better to wait until both are of one temperature, and say so in the job.',
          acceptable: true,
        },
      ];
}

/**
 * Drive-up ends at the lock, where the residual is judged for good. So here "too close" only warns, and a reduction
 * still short may go on when the next tab brings it into the band.
 */
function softened(findings: Finding[], lock: LockAlignmentValues): Finding[] {
  return findings.map((f) => {
    if (f.code !== 'driveup.place') return f;
    if (f.verdict === 'too-close') {
      return {
        ...f,
        verdict: 'caution',
        remedy: 'Go on to the next tab if it stays in band; the readings with the nut locked decide.',
      };
    }
    if (f.verdict === 'incomplete' && lock.least?.inBand === true && lock.least.forwardDeg < 22.5) {
      return {
        ...f,
        verdict: 'caution',
        reason: `${f.reason} The next tab, ${lock.least.forwardDeg.toFixed(1)}° on, brings it into the band.`,
      };
    }
    return f;
  });
}

/** Where the nut's next tab stands, from the last gap measured, and what it costs. */
function lockFrom(
  facts: Facts,
  v: DriveUpForecastValues,
  phase: DriveUpStepValues['phase'],
  angleDeg: number,
) {
  const setup = sleeveOf(facts);
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

const base = (facts: Facts) => {
  const setup = sleeveOf(facts);
  return {
    boreMm: setup.boreMm,
    taper: setup.taper,
    pitchMm: setup.pitchMm,
    ...lockPatterns(setup),
  };
};

/** The last measured gap from a slot forward to the next tab. */
function phaseOf(facts: Facts): DriveUpStepValues['phase'] {
  const found = standing(facts, 'driveup').filter((r) => r.place.startsWith('lock/'));
  const r = found.at(-1);
  return r ? { atDeg: Number(/deg([\d.]+)$/.exec(r.place)?.[1] ?? 0), forwardDeg: r.value } : null;
}

function degOf(place: string): number | null {
  const m = /^deg(\d+(?:\.\d+)?)\/[AB]\/\d+$/.exec(place);
  return m ? Number(m[1]) : null;
}

function lastDeg(facts: Facts): number | null {
  const degs = standing(facts, 'driveup')
    .map((r) => degOf(r.place))
    .filter((d): d is number => d !== null);
  return degs.length ? Math.max(...degs) : null;
}

/** Rows felt alone at an angle: half a reading is none. */
function halfRead(facts: Facts, deg: number): Finding[] {
  const here = standing(facts, 'driveup').filter((r) => degOf(r.place) === deg);
  const a = here.filter((r) => r.place.includes('/A/')).length;
  const b = here.filter((r) => r.place.includes('/B/')).length;
  return a === b
    ? []
    : [
        {
          code: 'driveup.half',
          verdict: 'incomplete',
          reason: `Only one row is felt at ${sayNutAngle(deg)}.`,
          remedy: 'Feel the other row.',
          acceptable: false,
        },
      ];
}

function nextPlace(facts: Facts, v: DriveUpForecastValues, angleDeg: number): Place | null {
  const last = lastDeg(facts);
  if (last === null) return placeOf(facts, 'deg0/A/1');
  const here = standing(facts, 'driveup').filter((r) => degOf(r.place) === angleDeg);
  const count = (row: string) => here.filter((r) => r.place.includes(`/${row}/`)).length;
  if (count('A') > count('B')) return placeOf(facts, `deg${angleDeg}/B/${count('A')}`);
  if (count('B') > count('A')) return placeOf(facts, `deg${angleDeg}/A/${count('B')}`);
  if (v.suggestedStepDeg === 0) return placeOf(facts, `deg${angleDeg}/A/${count('A') + 1}`);
  return placeOf(facts, `deg${angleDeg + v.suggestedStepDeg}/A/1`);
}

function placeOf(facts: Facts, key: string): Place | null {
  const setup = sleeveOf(facts);
  if (/^lock\/deg[\d.]+$/.test(key)) {
    return {
      key,
      ...lockMeasure(setup),
      kind: 'angle',
      low: 0,
      instrumentKinds: ['protractor'],
    };
  }
  const deg = degOf(key);
  const m = /\/([AB])\/(\d+)$/.exec(key);
  if (deg === null || !m || deg > ANGLE_MOST_DEG || Number(m[2]) < 1 || Number(m[2]) > 9) return null;
  const times = Number(m[2]) > 1 ? `, again (${m[2]})` : '';
  return {
    key,
    label: `${deg === 0 ? 'Nut snug' : `Nut at ${sayNutAngle(deg)}`}, row ${m[1]}${times}`,
    kind: 'gap',
    low: 0,
    high: Math.max(0.3, setup.boreMm * 0.004),
    instrumentKinds: ['feeler'],
  };
}

function sayAct(v: DriveUpForecastValues, next: Place | null, angleDeg: number): string {
  if (v.place === 'not-begun') return 'Nut snug by hand: feel row A.';
  if (next?.key.endsWith('/B/1')) return `Nut at ${sayNutAngle(angleDeg)}: feel row B.`;
  if (v.place === 'in-band') return 'In band: go on to the lock.';
  const turn = v.suggestedStepDeg === 22.5 ? 'one sixteenth' : 'one eighth';
  return `Turn the nut ${turn}, then feel both rows`;
}
