/** Devices that are not there: a shaft, a pump, heat and drips that behave as they do. */

export { dropsPerMinute, STAND_IN_LEAKS, type StandInLeak } from '../simulation/dripping.ts';
export {
  freeOtherNut,
  type PumpState,
  pumpAtRest,
  release,
  STAND_IN_PUMPS,
  type StandInPump,
  stroke,
} from '../simulation/pump-and-nut.ts';
export {
  BENCH_DIAL,
  type DialState,
  diameterAt,
  feelBlade,
  readDial,
  type ShaftModel,
  STAND_IN_SHAFTS,
  type StandInShaft,
  surfaceAt,
  TRUE_SHAFT,
} from '../simulation/turning-shaft.ts';
export { bearingTemperature, STAND_IN_HEATS, type StandInHeat } from '../simulation/warming.ts';
