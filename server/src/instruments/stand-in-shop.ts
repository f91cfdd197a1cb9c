import { gaugeLine } from '@fulcrant/core/instruments';
import { normal } from '@fulcrant/core/judgement';
import {
  bearingTemperature,
  dropsPerMinute,
  freeOtherNut,
  type PumpState,
  pumpAtRest,
  release,
  type StandInHeat,
  type StandInLeak,
  type StandInPump,
  stroke,
} from '@fulcrant/core/simulators';
import type { PortLine } from './ports.ts';

/** What the hand does at pump, wrench and thermometer. */
export type ShopMove = {
  pump?: StandInPump | undefined;
  /** Strokes of the lever. */
  strokes?: number | undefined;
  release?: boolean | undefined;
  freeOtherNut?: boolean | undefined;
  heat?: StandInHeat | undefined;
  leak?: StandInLeak | undefined;
  minutes?: number | undefined;
  /** Flats turned on each nut of the follower. */
  flats?: number | undefined;
  /** Pull the wrench until it clicks at this torque. */
  wrenchNm?: number | undefined;
};

/** Where the plunger stands before the nut moves: pressed in for the whole travel. */
const PLUNGER_MM = 2;
const WRENCH_NOISE = 0.006;
const PROBE_NOISE_C = 0.1;
/** Of the root of the count: drops come a little more regularly than by chance. */
const DROPS_NOISE = 0.3;

/** Pump with hydraulic nut and its indicator, torque wrench, thermocouple: the heavier half of the stand-in bench. */
export class StandInShop {
  private pump: PumpState | null = null;
  private heat: StandInHeat = 'first-hours';
  private leak: StandInLeak = 'rings';
  private minutes = -1;
  private flats = 0;
  private clickedNm = 0;

  constructor(private readonly random: () => number) {}

  move(m: ShopMove): void {
    if (m.pump !== undefined) this.pump = pumpAtRest(m.pump);
    if (this.pump) {
      for (let i = 0; i < (m.strokes ?? 0); i++) this.pump = stroke(this.pump);
      if (m.release) this.pump = release(this.pump);
      if (m.freeOtherNut) this.pump = freeOtherNut(this.pump);
    }
    if (m.heat !== undefined) this.heat = m.heat;
    if (m.leak !== undefined) this.leak = m.leak;
    if (m.flats !== undefined) this.flats = m.flats;
    if (m.minutes !== undefined) this.minutes = m.minutes;
    if (m.wrenchNm !== undefined) this.clickedNm = m.wrenchNm * (1 + WRENCH_NOISE * normal(this.random));
  }

  /** What the indicator at the nut shows: its face moves away as the bearing goes up. Null where no pump is coupled. */
  get indicatorMm(): number | null {
    return this.pump ? PLUNGER_MM - this.pump.travelMm : null;
  }

  lines(): PortLine[] {
    const probe = bearingTemperature(this.heat, this.minutes) + PROBE_NOISE_C * normal(this.random);
    const drip = dropsPerMinute(this.leak, this.minutes, this.flats);
    const drops = Math.max(0, Math.round(drip + DROPS_NOISE * Math.sqrt(drip) * normal(this.random)));
    return [
      { port: 'drops', line: gaugeLine(drops, 'dpm', 0) },
      { port: 'pump', line: gaugeLine(this.pump?.pressureMpa ?? 0, 'MPa', 1) },
      { port: 'wrench', line: gaugeLine(this.clickedNm, 'Nm', 1) },
      { port: 'probe', line: gaugeLine(probe, 'C', 1) },
    ];
  }
}
