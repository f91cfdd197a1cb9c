/** What drips before the stand-in counter: a box being broken in, a seal in its first day. */
export const STAND_IN_LEAKS = ['rings', 'faces', 'faces-open'] as const;
export type StandInLeak = (typeof STAND_IN_LEAKS)[number];

/**
 * Drops a minute of the stand-in, so many minutes after the start and with so many flats turned. Invented for the bench: packing leaks
 * less with every flat and settles with time, a seal beds in, one that opens leaks ever more.
 */
export function dropsPerMinute(leak: StandInLeak, minutes: number, flats: number): number {
  const t = Math.max(0, minutes);
  switch (leak) {
    case 'rings':
      return (14 + 150 * Math.exp(-0.5 * flats)) * (1 + 0.5 * Math.exp(-t / 12));
    case 'faces':
      return 6 * Math.exp(-t / 20);
    case 'faces-open':
      return 3 + 0.8 * t;
  }
}
