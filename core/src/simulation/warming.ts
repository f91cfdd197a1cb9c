/** What the bearing under the stand-in thermometer does: its first hours, or after a regreasing. */
export const STAND_IN_HEATS = ['first-hours', 'falls-back', 'keeps-climbing'] as const;
export type StandInHeat = (typeof STAND_IN_HEATS)[number];

const AMBIENT_C = 20;
const SERVICE_C = 48;

/**
 * Temperature of the stand-in's bearing so many minutes on, °C; before it begins, the air’s or what it runs at. Invented for
 * the bench, of the shapes a bearing shows.
 */
export function bearingTemperature(heat: StandInHeat, minutes: number): number {
  const t = Math.max(0, minutes);
  switch (heat) {
    case 'first-hours':
      return minutes < 0
        ? AMBIENT_C
        : AMBIENT_C + 2 + 34 * (1 - Math.exp(-t / 18)) - 6 * (1 - Math.exp(-t / 60));
    case 'falls-back':
      return SERVICE_C + 18 * (t / 20) * Math.exp(1 - t / 20);
    case 'keeps-climbing':
      return SERVICE_C + 0.22 * t;
  }
}
