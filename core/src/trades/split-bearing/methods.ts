import { defineMethod, type MethodId, PRACTICE } from '../../sources/methods.ts';

/** How the outer race goes into its cartridge. Joints first is our own choice. */
export const OUTER_RACE = defineMethod({
  id: 'race',
  ask: 'Outer race into a split cartridge',
  why: 'The maker’s; where none is given, joints first.',
  usual: 'joints-first',
  answers: [
    ['joints-first', 'joints tight, eased, radial, joints', PRACTICE],
    ['square-first', 'square on the shoulder, then radial', PRACTICE],
  ],
});
export type RaceMethod = MethodId<typeof OUTER_RACE>;

/** When the clamp screws are drawn. The gauge left in is our own choice: the place cannot slip unseen. */
export const CLAMP_SCREWS = defineMethod({
  id: 'gauge',
  ask: 'Clamp screws of a split race, at its axial place',
  why: 'With the gauge in the place cannot slip unseen; else it is checked again.',
  usual: 'gauge-in',
  answers: [
    ['gauge-in', 'with cage and cartridge in as gauge', PRACTICE],
    ['gauge-out', 'after taking them out', PRACTICE],
  ],
});
export type ClampMethod = MethodId<typeof CLAMP_SCREWS>;

/** What goes on the outside of the cartridge. */
export const CARTRIDGE_FILM = defineMethod({
  id: 'film',
  ask: 'Outside of a self-aligning cartridge',
  why: 'Light oil unless the maker says anti-seize.',
  usual: 'oil',
  answers: [
    ['oil', 'light oil', PRACTICE],
    ['anti-seize', 'anti-seize', 'maker’s instructions'],
  ],
});
export type FilmMethod = MethodId<typeof CARTRIDGE_FILM>;
