/** How a hydraulic nut behaves on the stand-in bench: free, held by the other nut, or a sleeve about to let go. */
export const STAND_IN_PUMPS = ['free', 'other-nut-tight', 'lets-go'] as const;
export type StandInPump = (typeof STAND_IN_PUMPS)[number];

/** Pressure, how far the bearing is up its taper, and whether the other nut holds it. */
export type PumpState = { pump: StandInPump; pressureMpa: number; travelMm: number; held: boolean };

/** The bearing bites at this pressure, then goes up so much a millimetre. Invented for the bench. */
const BITES_MPA = 3;
const MPA_PER_MM = 25;
/** As far as it goes while the other nut holds it. */
const HELD_MM = 0.1;
const LETS_GO_MPA = 41;
/** One stroke: small near the start pressure, longer above. */
const SMALL_STROKE_MPA = 0.5;
const SMALL_UP_TO_MPA = 3;
const STROKE_MPA = 3;

/** A pump just coupled up. */
export const pumpAtRest = (pump: StandInPump): PumpState => ({
  pump,
  pressureMpa: 0,
  travelMm: 0,
  held: pump === 'other-nut-tight',
});

/** One stroke of the lever. A sleeve that lets go drops the gauge to zero by itself. */
export function stroke(s: PumpState): PumpState {
  if (s.pump === 'lets-go' && s.pressureMpa >= LETS_GO_MPA) return { ...s, pressureMpa: 0 };
  const pressureMpa = s.pressureMpa + (s.pressureMpa < SMALL_UP_TO_MPA ? SMALL_STROKE_MPA : STROKE_MPA);
  const pushed = Math.max(0, (pressureMpa - BITES_MPA) / MPA_PER_MM);
  const reach = s.held ? Math.min(HELD_MM, pushed) : pushed;
  return { ...s, pressureMpa, travelMm: s.pump === 'lets-go' ? 0 : Math.max(s.travelMm, reach) };
}

/** The valve opened: no pressure, and the bearing stays where it is on its taper. */
export const release = (s: PumpState): PumpState => ({ ...s, pressureMpa: 0 });

/** The other nut turned back. */
export const freeOtherNut = (s: PumpState): PumpState => ({ ...s, held: false });
