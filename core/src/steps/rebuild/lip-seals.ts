import {
  LIP_WAYS,
  type Lip,
  type LipValues,
  type LipWay,
  lipOrientation,
  sayLip,
} from '../../arithmetic/rebuild/lips.ts';
import { answerTo } from '../../engine/facts.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { Setup } from '../../engine/setup.ts';
import { kindFamily, type StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline } from '../../message/message.ts';
import { M } from './messages.ts';

export const lipSeals = kindFamily<Setup, LipValues>('lip-seals');

const isWay = (note: string | undefined): note is LipWay => LIP_WAYS.some((w) => w === note);

/** Every lip seal of the job, ticked with the way its lip faces as it is fitted; a wrong way is a stop. */
export function lipStep<S extends Setup>(
  lips: readonly Lip[],
  title: Text,
  guide: Text,
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
          ? M.fitTickWayLipFaces({ open: sayLip(open) })
          : (result.findings[0]?.reason ?? M.everyLipFacesWayMust),
      };
    },
  });
  const items = lips.map((l) => ({
    id: l.id,
    group: H.lips,
    ask: COMMON.lipFaces({ l: sayLip(l) }),
    note: true,
  }));
  const learn = lips.map((l) => ({
    id: `${l.id}/${l.wants}`,
    deck: 'lip',
    ask: COMMON.lipFaces({ l: sayLip(l) }),
    options: LIP_WAYS,
    right: l.wants,
    why: M.otherWay({ wants: l.wants === 'inward' ? 'inward' : 'outward', wrong: inline(l.wrong, 'first') }),
  }));
  return { id: 'lips', title, kind, guide, items, learn, ...more };
}
