import {
  type Band,
  type Belief,
  type BeliefInput,
  believe,
  FELT_SHARE,
  PRIOR,
} from '../arithmetic/bearings/drive-up-belief.ts';
import { normal, randomFrom } from '../metrology/random.ts';
import { MessageError } from '../quantities/message-error.ts';
import { M } from './messages.ts';

export type MonteCarloInput = BeliefInput & {
  seed: number;
  samples: number;
  band: Band;
  /** Middle of the band as it is aimed at, mm of reduction. */
  aimMm: number;
  /** Nut angle now, and the angles it could be stopped at: here, and the lock alignments ahead. Degrees from zero. */
  nowDeg: number;
  stopsDeg: readonly number[];
};

export type Spread = { low: number; middle: number; high: number };

export type StopChances = {
  angleDeg: number;
  inBand: number;
  short: number;
  over: number;
  /** Residual clearance there: 5th, 50th and 95th hundredth, mm. */
  residualMm: Spread;
};

export type MonteCarloResult = {
  samples: number;
  /** How many samples' worth of knowledge the weights leave. */
  effective: number;
  stops: StopChances[];
  /** The stop with the best chance of the band; null where none has a chance worth naming. */
  best: StopChances | null;
  /** Degrees still to turn to the aim: 5th, 50th and 95th hundredth; never negative. */
  leftDeg: Spread;
  /** Residual clearance at the best stop (here where there is none), as shares of equal steps. */
  histogram: { fromMm: number; toMm: number; shares: number[] };
};

/** The proposal is this much wider than the belief, so that no corner of what is possible is left unvisited. */
const WIDER = 1.5;
/** Chance of a reading that is simply wrong. Our own choice. */
const MISREAD = 0.002;
const BINS = 2048;
const SHOWN_BINS = 24;

/** Lower triangle L of a symmetric positive matrix, L·Lᵀ; Cholesky, any numerical text. */
function cholesky(m: Belief['covariance']): number[][] {
  const l = [0, 1, 2].map(() => [0, 0, 0]);
  for (let i = 0; i < 3; i++)
    for (let j = 0; j <= i; j++) {
      let sum = m[i]?.[j] ?? 0;
      for (let k = 0; k < j; k++) sum -= (l[i]?.[k] ?? 0) * (l[j]?.[k] ?? 0);
      (l[i] as number[])[j] = i === j ? Math.sqrt(Math.max(sum, 1e-18)) : sum / (l[j]?.[j] ?? 1);
    }
  return l;
}

/** Weighted hundredths by counting into fine bins: good to a two-thousandth of the range. */
function spreadOf(values: Float64Array, weights: Float64Array): Spread {
  let min = Number.POSITIVE_INFINITY;
  let max = Number.NEGATIVE_INFINITY;
  for (const v of values) {
    if (v < min) min = v;
    if (v > max) max = v;
  }
  const width = (max - min) / BINS || 1;
  const bins = new Float64Array(BINS);
  let total = 0;
  for (let i = 0; i < values.length; i++) {
    const w = weights[i] ?? 0;
    const b = Math.min(BINS - 1, Math.floor(((values[i] ?? 0) - min) / width));
    bins[b] = (bins[b] ?? 0) + w;
    total += w;
  }
  const at = (share: number): number => {
    let sum = 0;
    for (let b = 0; b < BINS; b++) {
      sum += bins[b] ?? 0;
      if (sum >= share * total) return min + (b + 0.5) * width;
    }
    return max;
  };
  return { low: at(0.05), middle: at(0.5), high: at(0.95) };
}

/**
 * A drive-up tried many times over: bench clearance, the slack before the sleeve bites and the closing rate are drawn from what
 * model and feelers leave possible, each draw weighed by how well it explains every blade (one in 500 is simply
 * wrong, and nothing closes before the bite), and followed to each place the nut could be locked. The same seed gives
 * the same answer, however the samples are portioned.
 * Source: importance sampling, any statistics text; the prior is that of `believe`.
 */
export class DriveUpMonteCarlo {
  private readonly random: () => number;
  private readonly belief: Belief;
  private readonly l: number[][];
  private readonly bench: Float64Array;
  private readonly slack: Float64Array;
  private readonly perDeg: Float64Array;
  private readonly weight: Float64Array;
  private done = 0;

  /** @throws RangeError where nothing can be believed of these readings, or there are no samples */
  constructor(private readonly input: MonteCarloInput) {
    const belief = believe(input);
    if (!belief || !(input.samples >= 1)) throw new MessageError(M.thereNothingDrawFrom);
    this.belief = belief;
    this.l = cholesky(belief.covariance);
    this.random = randomFrom(input.seed);
    this.bench = new Float64Array(input.samples);
    this.slack = new Float64Array(input.samples);
    this.perDeg = new Float64Array(input.samples);
    this.weight = new Float64Array(input.samples);
  }

  /** Share of the samples drawn. */
  get progress(): number {
    return this.done / this.input.samples;
  }

  /** Draw so many more. True when all are drawn. */
  step(count: number): boolean {
    const end = Math.min(this.input.samples, this.done + count);
    const { mean } = this.belief;
    const l = this.l;
    for (let i = this.done; i < end; i++) {
      const a = WIDER * normal(this.random);
      const b = WIDER * normal(this.random);
      const c = WIDER * normal(this.random);
      const bench = mean[0] + (l[0]?.[0] ?? 0) * a;
      const lost = mean[1] + (l[1]?.[0] ?? 0) * a + (l[1]?.[1] ?? 0) * b;
      const perDeg = mean[2] + (l[2]?.[0] ?? 0) * a + (l[2]?.[1] ?? 0) * b + (l[2]?.[2] ?? 0) * c;
      this.bench[i] = bench;
      this.slack[i] = lost / perDeg;
      this.perDeg[i] = perDeg;
      this.weight[i] =
        perDeg > 0 && lost >= 0 ? this.weigh(bench, lost, perDeg, (a * a + b * b + c * c) / WIDER ** 2) : 0;
    }
    this.done = end;
    return end >= this.input.samples;
  }

  /** Prior times likelihood over proposal, up to a factor. `z2` is the draw’s square distance in the wider bell. */
  private weigh(bench: number, lost: number, perDeg: number, z2: number): number {
    const { input } = this;
    const s = input.expectedPerDegMm;
    const zb = (bench - input.benchMm) / Math.max(input.benchU, 1e-5);
    const zq = (lost / s - PRIOR.slackDeg) / PRIOR.slackDoubtDeg;
    const zs = (perDeg / s - PRIOR.slopeOver) / (input.slopeDoubt ?? PRIOR.slopeDoubt);
    let w = Math.exp(z2 / 2 - (zb * zb + zq * zq + zs * zs) / 2);
    for (const p of input.points) {
      const clearance = bench - Math.max(0, perDeg * p.angleDeg - lost);
      // Two rows, each within its step and as the hand feels: their mean scatters as it is stated, and now and then one is wrong.
      const z = (p.clearanceMm - clearance) / Math.max(p.u, FELT_SHARE * input.bladeStepMm);
      w *= Math.exp((-z * z) / 2) + MISREAD;
    }
    return w;
  }

  /** What the samples so far come to. */
  result(): MonteCarloResult {
    const n = this.done;
    const weight = this.weight.subarray(0, n);
    let sum = 0;
    let squares = 0;
    for (const w of weight) {
      sum += w;
      squares += w * w;
    }
    const residual = new Float64Array(n);
    const at = (deg: number): Float64Array => {
      for (let i = 0; i < n; i++)
        residual[i] =
          (this.bench[i] ?? 0) - Math.max(0, (this.perDeg[i] ?? 0) * (deg - (this.slack[i] ?? 0)));
      return residual;
    };
    const stops = this.input.stopsDeg.map((angleDeg) => this.stopAt(angleDeg, at(angleDeg), weight, sum));
    const best = stops.reduce<StopChances | null>(
      (a, b) => (b.inBand > (a?.inBand ?? 0.05) + 1e-3 ? b : a),
      null,
    );
    const left = new Float64Array(n);
    for (let i = 0; i < n; i++)
      left[i] = Math.max(
        0,
        (this.slack[i] ?? 0) + this.input.aimMm / (this.perDeg[i] || 1e-9) - this.input.nowDeg,
      );
    return {
      samples: n,
      effective: squares > 0 ? (sum * sum) / squares : 0,
      stops,
      best,
      leftDeg: spreadOf(left, weight),
      histogram: shown(at(best?.angleDeg ?? this.input.nowDeg), weight, sum),
    };
  }

  private stopAt(angleDeg: number, residual: Float64Array, weight: Float64Array, sum: number): StopChances {
    const { band } = this.input;
    let inBand = 0;
    let over = 0;
    for (let i = 0; i < residual.length; i++) {
      const w = weight[i] ?? 0;
      const reduction = (this.bench[i] ?? 0) - (residual[i] ?? 0);
      if (reduction > band.reductionMaxMm || (residual[i] ?? 0) < band.leastResidualMm) over += w;
      else if (reduction >= band.reductionMinMm) inBand += w;
    }
    const share = sum > 0 ? 1 / sum : 0;
    return {
      angleDeg,
      inBand: inBand * share,
      over: over * share,
      short: Math.max(0, 1 - (inBand + over) * share),
      residualMm: spreadOf(residual, weight),
    };
  }
}

/** The middle 99 in 100 as bars to draw. */
function shown(values: Float64Array, weight: Float64Array, sum: number): MonteCarloResult['histogram'] {
  const s = spreadOf(values, weight);
  const reach = 0.8 * Math.max(1e-4, s.high - s.low);
  const fromMm = s.low - reach / 2;
  const toMm = s.high + reach / 2;
  const shares = new Array<number>(SHOWN_BINS).fill(0);
  for (let i = 0; i < values.length; i++) {
    const b = Math.floor((((values[i] ?? 0) - fromMm) / (toMm - fromMm)) * SHOWN_BINS);
    if (b >= 0 && b < SHOWN_BINS) shares[b] = (shares[b] ?? 0) + (weight[i] ?? 0) / (sum || 1);
  }
  return { fromMm, toMm, shares };
}

/** All samples at once. @example driveUpMonteCarlo({ …, seed: 7, samples: 100_000 }).best?.inBand */
export function driveUpMonteCarlo(input: MonteCarloInput): MonteCarloResult {
  const trial = new DriveUpMonteCarlo(input);
  trial.step(input.samples);
  return trial.result();
}
