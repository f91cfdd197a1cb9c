import { type HousingsValues, housingAlignment } from '../../arithmetic/alignment/housings.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { inline } from '../../message/message.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { needed } from './condition.ts';
import { listedPlace, nextOf, takenAt, valueAt } from './listed-places.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';

export type HousingsStepValues = {
  spanMm: number;
  widthMm: number;
  housings: Array<{
    atMm: number;
    vertical: [number | null, number | null];
    horizontal: [number | null, number | null];
  }>;
  result: HousingsValues | null;
};

const OFFSETS = [
  ['vn', M.nearSideUpDown],
  ['vf', M.farSideUpDown],
  ['hn', M.nearSideSideways],
  ['hf', M.farSideSideways],
] as const;

const count = ({ setup }: Facts<ShaftSetup>) => conditionOf(setup).housings ?? 2;
const placesOf = (facts: Facts<ShaftSetup>): Place[] =>
  Array.from({ length: count(facts) }, (_, i) =>
    OFFSETS.map(([key, label]) => ({
      key: `h${i + 1}/${key}`,
      label: M.housing({ i: i + 1, label }),
      quantity: 'dial' as const,
      low: -50,
      high: 50,
      instrumentKinds: ['laser' as const, 'feeler' as const, 'dial' as const],
    })),
  ).flat();

/** Offsets of each housing from one line along the shaft, against what the bearing takes up. */
export const housingsStep = stepKind<ShaftSetup, HousingsStepValues>('housings', {
  limits: () => [{ title: M.angleBearingTakesUp, maker: 'abilityDeg', quantity: 'degrees', schools: [] }],
  repeats: true,
  report(facts, step) {
    const { setup } = facts;
    const c = conditionOf(setup);
    const taken = takenAt(facts, step);
    const spanMm = needed(c, 'housingSpanMm');
    const widthMm = needed(c, 'housingWidthMm');
    const housings = Array.from({ length: count(facts) }, (_, i) => {
      const at = (k: string) => valueAt(facts, step, `h${i + 1}/${k}`) ?? null;
      return {
        atMm: i * spanMm,
        vertical: [at('vn'), at('vf')] as [number | null, number | null],
        horizontal: [at('hn'), at('hf')] as [number | null, number | null],
      };
    });
    const next = nextOf(facts, step, placesOf(facts));
    const whole = housings.flatMap(({ atMm, vertical: [vn, vf], horizontal: [hn, hf] }) =>
      vn === null || vf === null || hn === null || hf === null
        ? []
        : [{ atMm, verticalNearMm: vn, verticalFarMm: vf, horizontalNearMm: hn, horizontalFarMm: hf }],
    );
    const result =
      whole.length === housings.length
        ? housingAlignment({
            housings: whole,
            widthMm,
            ...inHand(taken, 0.1),
            abilityDeg: setup.maker.abilityDeg,
            rule: decisionOf(setup),
          })
        : null;
    return {
      findings: [
        ...(result?.findings ?? [
          {
            code: 'housings.unread',
            verdict: 'incomplete' as const,
            reason: M.offsetsStillRead({
              count: placesOf(facts).length - taken.length,
              count2: placesOf(facts).length,
            }),
            params: { length: placesOf(facts).length - taken.length, length2: placesOf(facts).length },
            acceptable: false,
          },
        ]),
        ...gaugeFindings(taken),
      ],
      working: result?.working ?? [],
      beams: result?.beams ?? [],
      values: { spanMm, widthMm, housings, result: result?.values ?? null } satisfies HousingsStepValues,
      next,
      act: next ? M.offsetFromLine({ label: inline(next.label) }) : COMMON.readVerdict,
    };
  },
  place: (facts, step, key) => listedPlace(facts, step, placesOf(facts), key),
});
