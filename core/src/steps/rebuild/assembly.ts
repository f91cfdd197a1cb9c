import { isSettled } from '../../engine/answers.ts';
import { answered } from '../../engine/facts.ts';
import type { Setup } from '../../engine/setup.ts';
import { type GateItem, kindFamily, type StepDefinition } from '../../engine/step.ts';
import type { Text } from '../../message/message.ts';
import { gate } from '../gate.ts';

/** What a part is drawn as. */
export type PartShape = 'plate' | 'gasket' | 'gear' | 'ring' | 'bearing' | 'face' | 'nut' | 'case' | 'sleeve';

/** A part of a pump in the order it is put together, and the step it goes on at. */
export type PumpPart = {
  id: string;
  name: Text;
  shape: PartShape;
  at: string;
  /** The question that says it is on; left out where only passing the step does. */
  item?: string;
  /** Where it stands along the pump, left to right. */
  along: number;
  /** The shaft it stands on where there are two; left out where it takes in both. */
  shaft?: 'upper' | 'lower';
  /** A door: once it is on, what stands between these two places is not seen any more. */
  door?: readonly [number, number];
};

export type AssemblyValues = {
  answered: number;
  of: number;
  /** Every part, and whether it is on, in hand, or still to come; `shut` where a door hides it. */
  parts: Array<PumpPart & { state: 'on' | 'now' | 'later'; shut: boolean }>;
  /** Shafts of the pump: one, or two one above the other. */
  shafts: 1 | 2;
};

/** Parts put on in their order, each question beside the drawing of what is on by now. */
export const assemblies = kindFamily<Setup, AssemblyValues>('assembly');

/**
 * How far a pump is together at a step: what came on before, what questions of the step say is on, and the first that is not.
 * @param on questions of the step answered yes
 */
export function togetherAt(
  parts: readonly PumpPart[],
  order: readonly string[],
  step: string,
  on: ReadonlySet<string>,
): AssemblyValues['parts'] {
  const here = order.indexOf(step);
  const isOn = (p: PumpPart) =>
    order.indexOf(p.at) < here || (p.at === step && p.item !== undefined && on.has(p.item));
  const inHand = parts.find((p) => p.at === step && !isOn(p));
  const doors = parts.flatMap((p) => (p.door && isOn(p) ? [p.door] : []));
  return parts.map((p) => ({
    ...p,
    state: isOn(p) ? 'on' : p === inHand ? 'now' : 'later',
    shut: isOn(p) && !p.door && doors.some(([from, to]) => p.along >= from && p.along <= to),
  }));
}

/**
 * A step of an assembly.
 * @param parts all parts of the pump; `order` the ids of its steps, in the order of the work
 */
export function assemblyStep<S extends Setup>(
  parts: readonly PumpPart[],
  order: readonly string[],
  id: string,
  title: Text,
  guide: Text,
  items: GateItem[],
  more: Partial<StepDefinition<S>> = {},
): StepDefinition<S> {
  const kind = assemblies.kind<S>({
    ...gate,
    report(facts, step, carried) {
      const report = gate.report(facts, step, carried);
      const yes = new Set(
        answered(facts, step).flatMap((i) => (isSettled(i.answer, i.item) ? [i.item.id] : [])),
      );
      return {
        ...report,
        values: {
          ...report.values,
          parts: togetherAt(parts, order, step.id, yes),
          shafts: parts.some((p) => p.shaft) ? 2 : 1,
        },
      };
    },
  });
  return { id, title, guide, kind, items, ...more };
}
