import type { At } from '../../engine/rig.ts';

/**
 * A seat at a practice bench: what a perfect micrometer reads at places like `s1/60`, mm; undefined elsewhere.
 * @param ovalMm how far its largest diameter lies over the mean, twice a turn
 */
export const seatOf =
  (meanMm: number, ovalMm = 0.002) =>
  ({ step, key }: At): number | undefined =>
    step === 'shaft'
      ? meanMm + ovalMm * Math.cos((2 * Number(key.split('/')[1] ?? 0) * Math.PI) / 180)
      : undefined;
