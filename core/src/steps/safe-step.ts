import { ISOLATION } from '../engine/isolation.ts';
import type { GateItem, StepDefinition } from '../engine/step.ts';
import { gate } from './gate.ts';
import { item } from './questions.ts';

/** The first question of every job; the number on the lock or the permit goes with it where there is one. */
export const ISOLATED: GateItem = item(
  'Safe',
  'isolated',
  'Energy isolated, locked and tagged by me; try-start done.',
  { mayNote: 'lock or permit number' },
);

/** Nothing turns over a hand. */
export const ROTOR: GateItem = item(
  'Safe',
  'rotor',
  'Rotor blocked against turning; what is lifted hangs from rated gear, no fingers under.',
);

/** What was in it is out of it, and known. */
export const EMPTY: GateItem = item(
  'Safe',
  'drained',
  'Drained, vented, flushed, cooled; no pressure is left; the fluid’s safety sheet is read.',
);

/** The gate every job begins at: what must be safe before a hand goes near, answered item by item, by name. */
export const safeStep = (title: string, items: GateItem[]): StepDefinition => ({
  id: 'safe',
  title,
  kind: gate,
  guide: 'Each is answered by name. Nothing after it opens before.',
  caution:
    'This does not replace local codes and permits, the maker’s instructions or licensed practice. They outrank anything shown here.',
  items,
  standsOn: [ISOLATION],
});
