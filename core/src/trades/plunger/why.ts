import { WHY_EVERY, type Why } from '../../steps/why.ts';

/** Why each step of setting a plunger is there. */
export const why: Why = {
  ...WHY_EVERY,
  look: 'Rings seal against plunger and bore, and seal no better than these are. A score along the plunger is a channel that no preload closes.',
  sizes:
    'Plunger and bore decide what room the rings have. Measured where it runs and where it does not: the difference is the wear.',
  listed:
    'Sets differ by maker and by age. What came in the bag is listed first, so that a ring too many is known as a spare, and one too few before the nut is on.',
  order:
    'Each ring does one thing: one bears, one spreads the lips, some seal, one holds them. In the wrong order none does. The wiper’s lip faces the pressure where oil lubricates, and away from it with grease.',
  in: 'Pushed in together, one tips and nobody sees which. Each goes in by itself, with its own film, home before the next.',
  mark: 'Preload is not felt with the plunger in. So it is found without it, by one hand on the bar, and marked: the mark carries the feel over to when it can no longer be felt.',
  preload:
    'Backed off, so that the plunger passes the lips without cutting them, by a bar softer than it is; then back to the mark. Short of it it leaks; past it the rings burn.',
  clamp:
    'A plunger not against its rod hammers there at every stroke. The lock keeps the nut where the mark says; without it the strokes turn it.',
  start: 'Dry lips burn in seconds. Slow strokes with the lubrication on let them bed.',
  proof:
    'Some leakage lubricates; none may mean that it burns. Read at the start, after a quarter of an hour and an hour, drops and warmth together tell which.',
};
