import type { GateItem, StepDefinition } from '../engine/step.ts';
import type { Text } from '../message/message.ts';
import { gate } from './gate.ts';

/** A question of a list: a hazard, unless it says otherwise; one that wants words is a choice. */
export const item = (group: Text, id: string, ask: Text, more: Partial<GateItem> = {}): GateItem => ({
  id,
  group,
  ask,
  kind: more.note ? 'choice' : 'hazard',
  ...more,
});

/** Something done, told as done: with the other acts of its step, or by itself. */
export const done = (group: Text, id: string, ask: Text, more: Partial<GateItem> = {}): GateItem =>
  item(group, id, ask, { ...more, act: true });

/** A question of a part, or a paper, that this machine may be without: skipped with a reason. */
export const ifFitted = (group: Text, id: string, ask: Text, more: Partial<GateItem> = {}): GateItem =>
  item(group, id, ask, { ...more, kind: 'machine' });

/** A step of questions only. */
export const asked = (
  id: string,
  title: Text,
  guide: Text,
  items: GateItem[],
  more: Partial<StepDefinition> = {},
): StepDefinition => ({ id, title, kind: gate, guide, items, ...more });
