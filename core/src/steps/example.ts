import type { Hand } from '../engine/hand.ts';
import type { Setup } from '../engine/setup.ts';
import type { Work } from '../engine/trade.ts';
import { NAME_FIXED } from './bearing/fixed-first.ts';

/** Where an example stands. */
export const NAMED = { machine: 'Beet washer drum', position: 'Gear side' };

/** A good seat of 90 under a sleeve, and the same a little larger: a seal’s seat is held closer than a sleeve’s. */
export const ROUND = [89.974, 89.972, 89.976, 89.973, 89.971, 89.975, 89.972, 89.97, 89.974];
const CLOSE = ROUND.map((d) => d + 0.02);

/** The seat measured, place by place; a short list leaves the rest. */
export function measureSeat(h: Hand, diametersMm: readonly number[]): void {
  let i = 0;
  h.follow('shaft', 'micrometer', () => diametersMm[i++] ?? 0, diametersMm.length);
}

/** The same, as close as a seal wants it. */
export const closeSeat = (h: Hand): void => measureSeat(h, CLOSE);

/** Steps more than one trade has. */
export const SHARED_WORK: Work<Setup> = {
  fixedfirst: (h) =>
    h.act(NAME_FIXED.id, {
      job: '018f0000-0000-7000-8000-cccccccccccc',
      position: 'Gearbox end, fixed',
      sheet: 'F-12',
      lockedAt: '2026-11-23T10:00:00Z',
    }),
  shaft: (h) => measureSeat(h, ROUND),
  float: (h) => h.read('float', 'room/towards', 4, 'caliper').read('float', 'room/away', 4.2, 'caliper'),
  runin: (h) => {
    h.read('runin', 'ambient', 20, 'thermometer');
    [24, 40, 48, 48.2, 48.3].forEach((c, i) => {
      h.read('runin', `t/${i + 1}`, c, 'thermometer').wait(14);
    });
  },
  softfoot: (h) => h.follow('softfoot', 'feeler', () => 0.02),
  coupling: (h) => h.follow('coupling', 'dial', () => 0),
  /** On a span of 500, of 0.2 kg a metre, that is 320 N. */
  belts: (h) => h.follow('belts', 'tension', () => 40),
  // A swing of 0.04, or the same wave angle by angle.
  runout: (h) =>
    h.follow('runout', 'dial', (p) =>
      p.turn ? Math.round(20 - 20 * Math.cos((p.turn.angleDeg * Math.PI) / 180)) / 1000 : 0.04,
    ),
};
