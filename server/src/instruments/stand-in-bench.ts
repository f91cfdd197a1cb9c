import { gaugeLine } from '@fulcrant/core/instruments';
import { normal, randomFrom } from '@fulcrant/core/judgement';
import {
  BENCH_DIAL,
  type DialState,
  diameterAt,
  feelBlade,
  readDial,
  STAND_IN_SHAFTS,
  type StandInShaft,
  surfaceAt,
} from '@fulcrant/core/simulators';
import type { PortLine } from './ports.ts';
import { type ShopMove, StandInShop } from './stand-in-shop.ts';

/** What the hand at the bench does: which shaft lies on the rollers, where the gauge stands, how far it is turned. */
export type HandMove = ShopMove & {
  shaft?: StandInShaft | undefined;
  atMm?: number | undefined;
  /** Turn the shaft until this angle is under the gauge. */
  angleDeg?: number | undefined;
  /** Turn steadily once round from 0°, at so many turns a minute. */
  sweepRpm?: number | undefined;
  /** The foot a blade is put under. */
  foot?: number | undefined;
};

const TICK_MS = 20;
/** A hand turns a shaft about so fast to the next angle. */
const HAND_DEG_PER_S = 400;
/** On a steady turn the shaft moves no farther between two lines, however late they come: no angle is passed over. */
const SWEEP_STEP_DEG = 2;
/** A steady turn goes a little past its start, so that it closes. */
const SWEEP_END_DEG = 366;
const MICROMETER = { stepMm: 0.001, noiseMm: 0.0003 };
const BLADES_MM = 0.01;
/** Gaps under the feet of the machine beside the bench: the second stands hollow. */
const FEET_MM = [0.01, 0.17, 0.02, 0.01];

/**
 * The stand-in gauges: a dial on a turning shaft (bend, ovality, noise, backlash), a micrometer, a set of feelers; a pump with
 * its hydraulic nut, a torque wrench, a thermocouple, a drop counter. It gives
 * text lines (value, unit) as a real gauge on a port would, and only while somebody listens.
 */
export class StandInBench {
  private shaft: StandInShaft = 'true';
  private atMm = 0;
  private angleDeg = 0;
  private targetDeg = 0;
  private degPerS = HAND_DEG_PER_S;
  private sweeping = false;
  private foot = 1;
  private dial: DialState = { rackMm: 0 };
  private timer: NodeJS.Timeout | null = null;
  private last = 0;
  private moves = 0;
  private readonly listeners = new Set<(lines: PortLine[], moves: number) => void>();
  private readonly random: () => number;
  private readonly shop: StandInShop;

  constructor(seed: number) {
    this.random = randomFrom(seed);
    this.shop = new StandInShop(this.random);
  }

  /** Hear every line from now on; call what comes back to stop. */
  listen(listener: (lines: PortLine[], moves: number) => void): () => void {
    this.listeners.add(listener);
    if (!this.timer) {
      this.last = performance.now();
      this.timer = setInterval(() => this.tick(), TICK_MS);
    }
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size === 0) this.stop();
    };
  }

  get listened(): boolean {
    return this.listeners.size > 0;
  }

  /** The hand moves. What comes back is how many moves there were: lines sent with as many, or more, were read after it. */
  move(m: HandMove): number {
    this.moves++;
    this.shop.move(m);
    if (m.shaft !== undefined) this.shaft = m.shaft;
    if (m.atMm !== undefined) this.atMm = m.atMm;
    if (m.foot !== undefined) this.foot = m.foot;
    if (m.angleDeg !== undefined) {
      this.targetDeg = m.angleDeg;
      this.degPerS = HAND_DEG_PER_S;
      this.sweeping = false;
    }
    if (m.sweepRpm !== undefined) {
      this.angleDeg = 0;
      this.targetDeg = SWEEP_END_DEG;
      this.degPerS = 6 * m.sweepRpm;
      this.sweeping = true;
    }
    return this.moves;
  }

  stop(): void {
    if (this.timer) clearInterval(this.timer);
    this.timer = null;
  }

  private tick(): void {
    const now = performance.now();
    const due = (this.degPerS * (now - this.last)) / 1000;
    const way = this.sweeping ? Math.min(due, SWEEP_STEP_DEG) : due;
    this.last = now;
    const rest = this.targetDeg - this.angleDeg;
    this.angleDeg = Math.abs(rest) <= way ? this.targetDeg : this.angleDeg + Math.sign(rest) * way;
    const lines = this.lines();
    for (const hear of this.listeners) hear(lines, this.moves);
  }

  /** What every gauge on the bench shows at this moment. */
  lines(): PortLine[] {
    const model = STAND_IN_SHAFTS[this.shaft];
    // With the pump coupled up, the indicator stands at the nut instead of on the shaft.
    const under = this.shop.indicatorMm ?? surfaceAt(model, this.atMm, this.angleDeg);
    const dial = readDial(BENCH_DIAL, this.dial, under, this.random);
    this.dial = dial.state;
    const diameter = diameterAt(model, this.atMm, this.angleDeg) + MICROMETER.noiseMm * normal(this.random);
    const gap = FEET_MM[this.foot - 1] ?? 0;
    return [
      { port: 'angle', line: gaugeLine(this.angleDeg, 'deg', 1) },
      { port: 'dial', line: gaugeLine(dial.readingMm, 'mm', 3) },
      { port: 'micrometer', line: gaugeLine(diameter, 'mm', 3) },
      { port: 'feeler', line: gaugeLine(feelBlade(gap, BLADES_MM, this.random), 'mm', 2) },
      ...this.shop.lines(),
    ];
  }
}
