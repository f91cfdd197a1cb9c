import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { significance, wrapDeg } from '../../metrology/harmonics.ts';
import { inQuadrature } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

/** The once-a-turn vector at one station along the shaft. */
export type StationVector = {
  atMm: number;
  /** Amplitude of 1×, half its share of TIR. */
  eccentricityMm: number;
  highSpotDeg: number;
  uncertaintyMm: number;
  /** What an amplitude there scatters by with noise alone, and the degrees of freedom in it; the doubt above where it is not known. */
  noise?: { standardMm: number; free: number } | null | undefined;
  /** Largest of the 2× and 3× amplitudes there, which tells a bruise from a bow; 0 where not fitted. */
  higherMm?: number | undefined;
};

export type BendDiagnosis =
  | 'true'
  | 'bent'
  | 'off-centre'
  | 'local'
  | 'bent-and-off-centre'
  | 'one-station'
  | 'irregular';

export type BendValues = {
  diagnosis: BendDiagnosis;
  /** Index of the bruised station. */
  localStation: number | null;
  /** Growth of the eccentricity along the shaft, mm a metre; null under two stations. */
  slopeMmPerM: number | null;
  /** Direction the shaft bends towards. */
  bendDeg: number | null;
  /** Where the line through the vectors crosses the axis, mm along the shaft; null where it does not nearly. */
  kinkAtMm: number | null;
  /** Common offset of all stations. */
  offsetMm: number | null;
  offsetDeg: number | null;
};

type Vector = { x: number; y: number };
const RAD = Math.PI / 180;
const vector = (s: StationVector): Vector => ({
  x: s.eccentricityMm * Math.cos(s.highSpotDeg * RAD),
  y: s.eccentricityMm * Math.sin(s.highSpotDeg * RAD),
});
const size = (v: Vector) => Math.hypot(v.x, v.y);
const minus = (a: Vector, b: Vector): Vector => ({ x: a.x - b.x, y: a.y - b.y });
const direction = (v: Vector) => wrapDeg(Math.atan2(v.y, v.x) / RAD);
/** Angle between two directions, 0 to 180. */
const between = (a: number, b: number) => Math.abs(wrapDeg(a - b + 180) - 180);

/** Directions nearer than this are the same for a bend. */
const SAME_DIRECTION_DEG = 30;

type Line = { v0: Vector; slope: Vector; at(z: number): Vector };

function lineThrough(stations: readonly StationVector[]): Line | null {
  const n = stations.length;
  const zm = stations.reduce((s, p) => s + p.atMm, 0) / n;
  const szz = stations.reduce((s, p) => s + (p.atMm - zm) ** 2, 0);
  if (n < 2 || szz === 0) return null;
  const vm = meanVector(stations);
  const slope = stations.reduce(
    (s, p) => {
      const v = vector(p);
      return { x: s.x + ((p.atMm - zm) * v.x) / szz, y: s.y + ((p.atMm - zm) * v.y) / szz };
    },
    { x: 0, y: 0 },
  );
  const at = (z: number) => ({ x: vm.x + slope.x * (z - zm), y: vm.y + slope.y * (z - zm) });
  return { v0: at(0), slope, at };
}

function meanVector(stations: readonly StationVector[]): Vector {
  const sum = stations.map(vector).reduce((a, b) => ({ x: a.x + b.x, y: a.y + b.y }), { x: 0, y: 0 });
  return { x: sum.x / stations.length, y: sum.y / stations.length };
}

/** How far a station may stand off a model before it speaks against it: its doubt, a tenth of the largest vector, 2 µm. */
function allowance(stations: readonly StationVector[]): (s: StationVector) => number {
  const largest = Math.max(...stations.map((s) => s.eccentricityMm));
  return (s) => Math.max(2 * Math.SQRT2 * s.uncertaintyMm, 0.1 * largest, 0.002);
}

/**
 * Tell from the 1× vectors along a shaft what is wrong with it: bent (growing, one direction), off centre in its bearings
 * or set-up (the same everywhere), a local bruise (one station alone, and over all waves; needs three stations), or both.
 * Source: geometry; the thresholds are common practice, no source.
 */
export function shaftBend(input: { stations: readonly StationVector[] }): CalculatorResult<BendValues> {
  const stations = [...input.stations].sort((a, b) => a.atMm - b.atMm);
  const allow = allowance(stations);
  const line = lineThrough(stations);
  const mean = meanVector(stations);
  const { diagnosis, local } = diagnose(stations, allow, line, mean);
  const slopeMmPerM = line ? size(line.slope) * 1000 : null;
  const kinkAtMm = line && diagnosis === 'bent' ? crossing(line) : null;
  const values: BendValues = {
    diagnosis,
    localStation: local === null ? null : input.stations.indexOf(stations[local] as StationVector),
    slopeMmPerM,
    bendDeg:
      line && (diagnosis === 'bent' || diagnosis === 'bent-and-off-centre')
        ? bendDirection(stations, line)
        : null,
    kinkAtMm,
    offsetMm: diagnosis === 'off-centre' || diagnosis === 'local' ? size(mean) : null,
    offsetDeg: diagnosis === 'off-centre' ? direction(mean) : null,
  };
  return { values, findings: [sayBend(values, stations)], working: work(stations, values), beams: [] };
}

function diagnose(
  stations: readonly StationVector[],
  allow: (s: StationVector) => number,
  line: Line | null,
  mean: Vector,
): { diagnosis: BendDiagnosis; local: number | null } {
  const plain = (diagnosis: BendDiagnosis) => ({ diagnosis, local: null });
  const runsTrue = (s: StationVector) => {
    const { standardMm, free } = s.noise ?? { standardMm: s.uncertaintyMm, free: Number.POSITIVE_INFINITY };
    return s.eccentricityMm <= Math.max(significance(stations.length, free) * standardMm, 0.002);
  };
  if (stations.every(runsTrue)) return plain('true');
  if (stations.length < 2 || !line) return plain('one-station');
  if (stations.every((s) => size(minus(vector(s), mean)) <= allow(s))) return plain('off-centre');
  const local = bruised(stations, allow);
  if (local !== null) return { diagnosis: 'local', local };
  const sure = stations.filter((s) => s.eccentricityMm > Math.max(2 * s.uncertaintyMm, 0.002));
  const main = bendDirection(stations, line);
  const along = (s: StationVector) => {
    const off = between(s.highSpotDeg, main);
    return Math.min(off, 180 - off) <= SAME_DIRECTION_DEG;
  };
  if (sure.every(along)) return plain('bent');
  const straight = stations.every((s) => size(minus(vector(s), line.at(s.atMm))) <= allow(s));
  if (stations.length === 2 || straight) return plain('bent-and-off-centre');
  return plain('irregular');
}

/**
 * The one station that stands off what the others agree on, where its higher waves stand off too: a bruise spreads over all
 * of them, a bow does not.
 */
function bruised(stations: readonly StationVector[], allow: (s: StationVector) => number): number | null {
  if (stations.length < 3) return null;
  const found = stations.flatMap((s, i) => {
    const others = stations.filter((_, k) => k !== i);
    const centre = meanVector(others);
    const steady = others.every((o) => size(minus(vector(o), centre)) <= allow(o));
    const line = others.length >= 3 ? lineThrough(others) : null;
    const lined = line !== null && others.every((o) => size(minus(vector(o), line.at(o.atMm))) <= allow(o));
    if (!steady && !lined) return [];
    const away = size(minus(vector(s), steady ? centre : (line?.at(s.atMm) ?? centre)));
    const higher = s.higherMm ?? 0;
    const usual = Math.max(...others.map((o) => o.higherMm ?? 0));
    // The bruise itself leaves a large rest at its station, so the others' doubt is the measure.
    const doubt = Math.max(...others.map(allow));
    return away > 2 * doubt && higher >= 0.4 * away && higher > 2 * usual ? [i] : [];
  });
  return found.length === 1 ? (found[0] ?? null) : null;
}

/** The direction of bending: of the slope, turned to the side of the largest vector. */
function bendDirection(stations: readonly StationVector[], line: Line): number {
  const largest = stations.reduce((a, b) => (b.eccentricityMm > a.eccentricityMm ? b : a));
  if (size(line.slope) === 0) return largest.highSpotDeg;
  const d = direction(line.slope);
  const off = between(d, largest.highSpotDeg);
  // A bow is as large at both sides of its middle and has no slope to speak of: the largest vector tells its side.
  if (Math.min(off, 180 - off) > SAME_DIRECTION_DEG) return largest.highSpotDeg;
  return off > 90 ? wrapDeg(d + 180) : d;
}

/** Where the line of vectors comes nearest to the axis. */
function crossing(line: Line): number | null {
  const s2 = line.slope.x ** 2 + line.slope.y ** 2;
  return s2 === 0 ? null : -(line.v0.x * line.slope.x + line.v0.y * line.slope.y) / s2;
}

function work(stations: readonly StationVector[], v: BendValues): WorkingLine[] {
  const lines: WorkingLine[] = stations.map((s, i) => ({
    what: M.station({ i: i + 1, at: len(s.atMm, 0) }),
    sum: M.n1({
      eccentricity: len(s.eccentricityMm, 4),
      highSpot: s.highSpotDeg.toFixed(0),
      uncertainty: num(2 * s.uncertaintyMm, 4),
    }),
  }));
  if (v.slopeMmPerM !== null)
    lines.push({ what: M.growthAlongShaft, sum: M.metre({ slopeMmPerM: len(v.slopeMmPerM, 3) }) });
  return lines;
}

function sayBend(v: BendValues, stations: readonly StationVector[]): Finding {
  const shared = { code: 'shaft.bend', source: 'geometry' as const, acceptable: true };
  const biggest = Math.max(...stations.map((s) => s.eccentricityMm), 0);
  const u = inQuadrature(...stations.map((s) => s.uncertaintyMm));
  switch (v.diagnosis) {
    case 'true':
      return {
        ...shared,
        verdict: 'accept',
        reason: M.alongShaftNothingRunsOff,
        params: {},
      };
    case 'one-station':
      return {
        ...shared,
        verdict: 'caution',
        reason: M.oneStationCannotTellBent,
        params: {},
        remedy: M.indicateTwoStationsMoreAs,
      };
    case 'off-centre':
      return {
        ...shared,
        verdict: 'caution',
        reason: M.offCentreEveryStationRuns({
          offset: len(v.offsetMm ?? biggest, 3),
          offset2: (v.offsetDeg ?? 0).toFixed(0),
        }),
        params: { offsetMm: v.offsetMm ?? biggest, offsetDeg: v.offsetDeg ?? 0 },
        remedy: M.lookBearingsTheirFitCentres,
      };
    case 'bent':
      return {
        ...shared,
        verdict: 'caution',
        reason: M.bentEccentricityChangesAlongShaft({
          bend: (v.bendDeg ?? 0).toFixed(0),
          biggest: len(biggest, 3),
        }),
        params: { bendDeg: v.bendDeg ?? 0, biggest },
        remedy: M.straightenShaftRenewSealBearing,
      };
    case 'local':
      return {
        ...shared,
        verdict: 'caution',
        reason: M.localBruiseStationAloneStands({ localStation: (v.localStation ?? 0) + 1 }),
        params: { localStation: v.localStation ?? 0 },
        remedy: M.feelSpotFileHighSpot,
      };
    case 'bent-and-off-centre':
      return {
        ...shared,
        verdict: 'caution',
        reason: M.bentOffCentreTogetherVectors({
          count: stations.length === 2 ? 'twoStationsOnlyThird' : 'none',
        }),
        params: { length: Boolean(stations.length === 2) },
        remedy: M.putBearingsSetUpRight,
      };
    default:
      return {
        ...shared,
        verdict: 'caution',
        reason: M.stationsDoNotAgreeAny({ u: len(u / Math.sqrt(stations.length), 4) }),
        params: { u: u / Math.sqrt(stations.length) },
        remedy: M.measureAgainGaugeFreshlySet,
      };
  }
}
