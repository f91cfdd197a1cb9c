import type { GateItem, StepDefinition } from '../engine/step.ts';
import { gate } from './gate.ts';

/** A question of a list. */
export const item = (group: string, id: string, ask: string, more: Partial<GateItem> = {}): GateItem => ({
  id,
  group,
  ask,
  ...more,
});

/** A step of questions only. */
export const asked = (
  id: string,
  title: string,
  guide: string,
  items: GateItem[],
  more: Partial<StepDefinition> = {},
): StepDefinition => ({ id, title, kind: gate, guide, items, ...more });
