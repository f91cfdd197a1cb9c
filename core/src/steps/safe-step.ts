import { ISOLATION } from '../engine/reopening.ts';
import type { GateItem, StepDefinition } from '../engine/step.ts';
import { gate } from './gate.ts';

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
