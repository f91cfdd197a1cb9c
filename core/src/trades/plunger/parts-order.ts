import { firstWrong, partsOf, type VRingPart } from '../../arithmetic/packing/plunger.ts';
import { answerTo } from '../../engine/facts.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import { type PlungerSetup, setOf } from './setup.ts';

/** `laid`: somebody said they lie so. Until then the order is any but the right one, to be worked out. */
export type PartsOrderValues = { order: string[]; wrong: number | null; laid: boolean };

/** Parts as they may come out of the box: never the right order, the same each time. */
const mixed = (parts: readonly VRingPart[]): VRingPart[] => [
  ...parts.filter((_, i) => i % 2 === 1).reverse(),
  ...parts.filter((_, i) => i % 2 === 0),
];

/** The parts of a V-ring set laid out in order from the pressure end; the order is kept as it was laid. */
export const partsOrder = stepKind<PlungerSetup, PartsOrderValues>('parts-order', {
  report(facts, step) {
    const order = (answerTo(facts, step.id, 'order', 'any')?.note ?? '').split(' ').filter(Boolean);
    const wrong = order.length === 0 ? null : firstWrong(order, setOf(facts.setup));
    const findings: Finding[] = [
      order.length === 0
        ? {
            code: 'parts.order',
            verdict: 'incomplete',
            reason: M.partsNotLaidOutYet,
            params: {},
            acceptable: false,
          }
        : wrong === null
          ? {
              code: 'parts.order',
              verdict: 'accept',
              reason: M.partsLieTheirOrderFrom,
              params: {},
              source: 'practice',
              acceptable: false,
            }
          : {
              code: 'parts.order',
              verdict: 'reject',
              reason: M.placeFromPressureEndWrong({ at: wrong.at + 1, why: wrong.why }),
              params: { at: wrong.at, why: wrong.why },
              source: 'practice',
              remedy: M.layThemOutAgainWhat,
              acceptable: false,
            },
    ];
    return {
      findings: [
        ...findings,
        ...itemFindings(facts, step).filter(
          (f) => !f.code.endsWith('.order') && !f.code.endsWith('.unanswered'),
        ),
      ],
      working: [],
      beams: [],
      values: {
        order: order.length ? order : mixed(partsOf(setOf(facts.setup))),
        wrong: wrong?.at ?? null,
        laid: order.length > 0,
      } satisfies PartsOrderValues,
      next: null,
      act: order.length === 0 ? M.layPartsOutFromPressure : (findings[0]?.reason ?? ''),
    };
  },
});
