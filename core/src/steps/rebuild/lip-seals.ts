import {
  LIP_WAYS,
  type Lip,
  type LipValues,
  type LipWay,
  lipOrientation,
  sayLip,
} from '../../arithmetic/rebuild/lips.ts';
import { answerTo } from '../../engine/facts.ts';
import type { Setup } from '../../engine/setup.ts';
import { kindFamily, type StepDefinition } from '../../engine/step.ts';

export const lipSeals = kindFamily<Setup, LipValues>('lip-seals');

const isWay = (note: string | undefined): note is LipWay => LIP_WAYS.some((w) => w === note);

/** Every lip seal of the job, ticked with the way its lip faces as it is fitted; a wrong way is a stop. */
export function lipStep<S extends Setup>(
  lips: readonly Lip[],
  title: string,
  guide: string,
  more: Partial<StepDefinition<S>> = {},
): StepDefinition<S> {
  const kind = lipSeals.kind<S>({
    report(facts, step) {
      const fitted = Object.fromEntries(
        lips.map((l) => {
          const note = answerTo(facts, step.id, l.id, 'any')?.note;
          return [l.id, isWay(note) ? note : undefined];
        }),
      );
      const result = lipOrientation(lips, fitted);
      const open = result.values.lips.find((l) => l.fitted === null);
      return {
        ...result,
        next: null,
        act: open
          ? `${sayLip(open)}: fit it, and tick the way its lip faces`
          : (result.findings[0]?.reason ?? 'Every lip faces the way it must.'),
      };
    },
  });
  const items = lips.map((l) => ({
    id: l.id,
    group: 'Lips',
    ask: `${sayLip(l)}: its lip faces?`,
    note: true,
  }));
  const learn = lips.map((l) => ({
    id: `${l.id}/${l.wants}`,
    deck: 'lip',
    ask: `${sayLip(l)}: which way does its lip face?`,
    options: LIP_WAYS,
    right: l.wants,
    why: `${l.wants === 'inward' ? 'Inward' : 'Outward'}. The other way: ${l.wrong.charAt(0).toLowerCase()}${l.wrong.slice(1)}`,
  }));
  return { id: 'lips', title, kind, guide, items, learn, ...more };
}
