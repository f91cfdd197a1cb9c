import type { Hand as Known } from '@fulcrant/core/judgement';
import { handOver } from '@fulcrant/core/judgement';
import { Chance } from './chance.ts';

/** How much hands scatter, in steps of the gauge: from a quiet one to one twice as coarse as any gauge deserves. Each on a row of its own. */
export const SCATTERS = [0.2, 0.3, 0.5, 0.8, 1, 1.5, 2] as const;
/** Is the hand known by its card, or not at all? */
export const KNOWN = ['card', 'no card'] as const;
export type Knows = (typeof KNOWN)[number];

/**
 * A gauge in a hand: what it shows of a truth. The hand scatters by itself, whatever the gauge steps by; it was zeroed a little
 * beside, and drifts on; an indicator that was pushed the other way shows a little less of it; what is shown lies on a step.
 */
export type Gauge = {
  stepMm: number;
  scatterMm: number;
  /** Zeroed so far beside, mm. */
  zeroMm?: number;
  /** Goes on by so much from reading to reading, mm. */
  driftMm?: number;
  /** How far it lags behind where it comes from, mm. */
  hysteresisMm?: number;
};

export function shown(gauge: Gauge, truth: number, chance: Chance, from = truth, before = 0): number {
  const lag = (gauge.hysteresisMm ?? 0) * Math.sign(truth - from);
  const off = (gauge.zeroMm ?? 0) + (gauge.driftMm ?? 0) * before;
  return Math.round((truth + off - lag + chance.bell(gauge.scatterMm)) / gauge.stepMm) * gauge.stepMm;
}

/** Ten readings of one thing, by a sum of its own: what a card says of a hand. */
export function cardOf(stepMm: number, scatterMm: number, chance: Chance): { scatter: number; free: number } {
  const truth = chance.between(10, 11);
  const read = Array.from({ length: 10 }, () => shown({ stepMm, scatterMm }, truth, chance));
  const middle = read.reduce((a, b) => a + b, 0) / 10;
  return { scatter: Math.sqrt(read.reduce((s, v) => s + (v - middle) ** 2, 0) / 9), free: 9 };
}

/**
 * A person who measures, and measures again: each pass reads everything once more, with the same truths, and what was read before is
 * kept beside it.
 */
export class Person {
  /** What the truths are drawn from: the same in every pass. */
  chance: Chance;
  stepMm = 0.01;
  passes = 0;
  private read: number[][] = [];
  private at = 0;
  private zeroMm = 0;
  private card: { scatter: number; free: number } | undefined;
  private readonly own: Chance;

  constructor(
    private readonly seed: number,
    private readonly steps: number,
    private readonly knows: Knows,
  ) {
    this.chance = new Chance(seed);
    this.own = new Chance(seed + 1_000_000_007);
  }

  pass(): this {
    this.chance = new Chance(this.seed);
    this.passes++;
    this.at = 0;
    return this;
  }

  takes = (stepMm: number): this => {
    if (this.passes <= 1 || stepMm !== this.stepMm) {
      this.card = this.knows === 'card' ? cardOf(stepMm, this.steps * stepMm, this.own) : undefined;
      // Set on a block to within a quarter of a step.
      this.zeroMm = this.own.between(-0.25, 0.25) * stepMm;
    }
    this.stepMm = stepMm;
    return this;
  };

  /** What is read of a truth so far: the mean of every pass. */
  reads = (truth: number): number => {
    const { stepMm, zeroMm } = this;
    const list = this.read[this.at] ?? [];
    list.push(shown({ stepMm, zeroMm, scatterMm: this.steps * stepMm }, truth, this.own));
    this.read[this.at++] = list;
    return list.reduce((a, b) => a + b, 0) / list.length;
  };

  /** Every single reading of a truth so far. */
  each = (truth: number): number[] => {
    this.reads(truth);
    return [...(this.read[this.at - 1] ?? [])];
  };

  /** What the product is told of the hand: its card, and every repeat. */
  get hand(): Known & { count: number } {
    return handOver(this.read, this.stepMm, this.card);
  }
}
