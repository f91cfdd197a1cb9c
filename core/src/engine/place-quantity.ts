import type { Quantity } from '../quantities/measured.ts';

/** What is read at a place by a name of its own, and the quantity it is. */
const ALSO = {
  diameter: 'length',
  gap: 'length',
  /** A deviation of either sign. */
  dial: 'length',
  /** Of a nut's hexagon: a sixth of a turn each. */
  flats: 'angle',
} as const satisfies Record<string, Quantity>;

/** What is read at a place: `length` is a size measured plainly, `roughness` a height in mm said in µm. */
export type PlaceQuantity = Quantity | keyof typeof ALSO;

/** The quantity of what is read at a place. @example measuredAt('gap') // 'length' */
export const measuredAt = (read: PlaceQuantity): Quantity =>
  Object.hasOwn(ALSO, read) ? ALSO[read as keyof typeof ALSO] : (read as Quantity);
