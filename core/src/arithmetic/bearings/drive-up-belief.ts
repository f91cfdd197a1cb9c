import { leastSquares } from '../../metrology/least-squares.ts';
import { below } from '../../metrology/random.ts';

/** What is known of a bearing going up its taper: bench clearance, loss before it bites, and how fast it closes. */
export type Belief = {
  /** Means of bench clearance (mm), of what is lost before the sleeve bites (mm of reduction), and of reduction a degree. */
  mean: readonly [benchMm: number, lostMm: number, perDegMm: number];
  covariance: readonly (readonly number[])[];
};

export type BeliefInput = {
  benchMm: number;
  benchU: number;
  /** Reduction a degree the model expects: k × pitch ÷ (taper × 360). */
  expectedPerDegMm: number;
  bladeStepMm: number;
  /** Relative doubt of that; wider where nobody has looked at the thread. */
  slopeDoubt?: number | undefined;
  points: ReadonlyArray<{ angleDeg: number; clearanceMm: number; u: number }>;
};

export type Band = { reductionMinMm: number; reductionMaxMm: number; leastResidualMm: number };
export type Chances = { inBand: number; short: number; over: number };

/**
 * The prior: how far taper, fit and friction put a fitting off the model, and how far the nut turns before the sleeve bites,
 * with its scatter. What settles is in the slack here, so the rate is a little over the one that has it in (`effectiveK`). Common
 * practice, no source; widths measured by `npm run proof -- uncertainty`.
 */
export const PRIOR = { slopeOver: 1.025, slopeDoubt: 0.045, slackDeg: 15, slackDoubtDeg: 9 } as const;
/** Under this turn a reading may still be of a bearing that has not moved. */
const BITES_BY_DEG = 30;
/** A blade is felt no surer than this share of a step over two rows, however the readings agree. */
export const FELT_SHARE = 0.25;

/**
 * Weigh the model against the feelers: a prior from taper, pitch and k (a twelfth either way), the bench clearance as felt, and
 * every reading since, each with its own doubt. Readings before the nut has turned 30° tell of the bench clearance, those after
 * it of the line.
 * Source: linear least squares with a Gaussian prior (GUM H.3; any statistics text); the prior's widths are common practice.
 */
export function believe(input: BeliefInput): Belief | null {
  const s = input.expectedPerDegMm;
  const rows: number[][] = [];
  const y: number[] = [];
  const say = (h: readonly [number, number, number], value: number, u: number) => {
    rows.push(h.map((x) => x / u));
    y.push(value / u);
  };
  const felt = (u: number) => Math.max(u, FELT_SHARE * input.bladeStepMm);
  say([1, 0, 0], input.benchMm, Math.max(input.benchU, 1e-5));
  say([0, 1, 0], s * PRIOR.slackDeg, s * PRIOR.slackDoubtDeg);
  say([0, 0, 1], PRIOR.slopeOver * s, (input.slopeDoubt ?? PRIOR.slopeDoubt) * s);
  for (const p of input.points) {
    if (p.angleDeg >= BITES_BY_DEG) say([1, 1, -p.angleDeg], p.clearanceMm, felt(p.u));
    else if (p.angleDeg === 0) say([1, 0, 0], p.clearanceMm, felt(p.u));
  }
  const solved = leastSquares(rows, y);
  if (!solved) return null;
  const [b = 0, q = 0, perDeg = 0] = solved.x;
  return { mean: [b, q, perDeg], covariance: solved.inverse };
}

const product = (c: Belief['covariance'], a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, x, i) => sum + x * b.reduce((t, z, j) => t + (c[i]?.[j] ?? 0) * z, 0), 0);

/** Reduction and residual with the nut at an angle: means, deviations and how they hang together. */
export function foresee(belief: Belief, angleDeg: number) {
  const [b, q, perDeg] = belief.mean;
  const r = [0, -1, angleDeg];
  const c = [1, 1, -angleDeg];
  const reductionMm = perDeg * angleDeg - q;
  const deviation = (h: number[]) => Math.sqrt(Math.max(0, product(belief.covariance, h, h)));
  return {
    reductionMm,
    residualMm: b - reductionMm,
    reductionU: deviation(r),
    residualU: deviation(c),
    together: product(belief.covariance, r, c),
  };
}

/** Pieces each stretch of the reduction is summed over, and how many deviations out it is followed. */
const PIECES = 40;
const FOLLOWED = 5;

/** The chances of ending in the band, short of it, or over-driven, with the nut stopped at an angle. They add up to one. */
export function chancesAt(belief: Belief, band: Band, angleDeg: number): Chances {
  const f = foresee(belief, angleDeg);
  const sr = Math.max(f.reductionU, 1e-6);
  const given = f.together / (sr * sr);
  const rest = Math.sqrt(Math.max(1e-14, f.residualU ** 2 - given * f.together));
  // The reduction within a stretch and the residual still above its limit: each piece by its exact share, the stretch ending
  // on the band's edge.
  const between = (from: number, to: number): number => {
    const a = Math.max(-FOLLOWED, from);
    const h = (Math.min(FOLLOWED, to) - a) / PIECES;
    if (h <= 0) return 0;
    let sum = 0;
    for (let i = 0; i < PIECES; i++) {
      const z = a + h * (i + 0.5);
      const left = below((f.residualMm + given * sr * z - band.leastResidualMm) / rest);
      sum += (below(z + h / 2) - below(z - h / 2)) * left;
    }
    return sum;
  };
  const zMin = (band.reductionMinMm - f.reductionMm) / sr;
  const zMax = (band.reductionMaxMm - f.reductionMm) / sr;
  const short = between(-FOLLOWED, zMin);
  const inBand = between(zMin, zMax);
  return { inBand, short, over: Math.max(0, 1 - inBand - short) };
}

export type Advice = {
  /** How far to turn on before feeling again; 0 to stop here. */
  turnDeg: number;
  now: Chances;
  then: Chances;
  /** Where the chance of the band is best, degrees from zero, and that chance. */
  bestDeg: number;
  best: Chances;
};

/** No more than this chance of over-driving is taken with one turn. Our own choice. */
export const RISK_TAKEN = 0.02;
const STEP_DEG = 5;
const LONGEST_TURN_DEG = 90;
const LOOK_AHEAD_DEG = 720;

/**
 * Where to turn to next: towards the angle at which the band is likeliest, a quarter turn at the most between two readings, and
 * never with more than two chances in a hundred of over-driving. Where the band has shrunk to a point nothing ends in it
 * surely; then the nut stops short of the danger.
 */
export function advise(belief: Belief, band: Band, angleDeg: number): Advice {
  const at = (deg: number) => chancesAt(belief, band, deg);
  const now = at(angleDeg);
  let bestDeg = angleDeg;
  let best = now;
  for (let deg = angleDeg + STEP_DEG; deg <= angleDeg + LOOK_AHEAD_DEG; deg += STEP_DEG) {
    const c = at(deg);
    if (c.inBand > best.inBand + 1e-4) [bestDeg, best] = [deg, c];
    else if (c.over > 0.9) break;
  }
  let turnDeg = 0;
  let then = now;
  const goal = best.inBand > 0.2 ? bestDeg : angleDeg + LOOK_AHEAD_DEG;
  for (let deg = angleDeg + STEP_DEG; deg <= Math.min(goal, angleDeg + LONGEST_TURN_DEG); deg += STEP_DEG) {
    const c = at(deg);
    if (c.over > RISK_TAKEN) break;
    [turnDeg, then] = [deg - angleDeg, c];
  }
  // A few degrees that add next to nothing are not worth another reading.
  if (turnDeg <= STEP_DEG && then.inBand - now.inBand < 0.05 && now.inBand > 0.2) [turnDeg, then] = [0, now];
  return { turnDeg, now, then, bestDeg, best };
}
