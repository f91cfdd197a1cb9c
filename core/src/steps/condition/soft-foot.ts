import { SOFT_FOOT_MM, type SoftFootValues, softFoot } from '../../arithmetic/alignment/soft-foot.ts';
import { placeKey } from '../../engine/place-key.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Text } from '../../message/message.ts';
import { byPractice } from '../../sources/limits.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { listedPlace, nextOf, takenAt, valueAt } from './listed-places.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';

export type SoftFootStepValues = SoftFootValues & { feet: number[][] };

const CORNERS = ['a', 'b', 'c', 'd'] as const;
const WHERE: Record<(typeof CORNERS)[number], Text> = {
  a: '',
  b: M.secondCorner,
  c: M.thirdCorner,
  d: M.fourthCorner,
};

/** A corner of a foot. */
export const footKey = placeKey('f{foot}/{corner:a|b|c|d}');

const footPlace = (foot: number, corner: (typeof CORNERS)[number]): Place => ({
  key: footKey.write({ foot, corner }),
  label: M.foot({ foot, where: WHERE[corner] }),
  quantity: 'gap',
  low: 0,
  high: 5,
  instrumentKinds: ['feeler', 'dial'],
});

const count = ({ setup }: Facts<ShaftSetup>) => conditionOf(setup).feet ?? 4;
const all = (facts: Facts<ShaftSetup>): Place[] =>
  Array.from({ length: count(facts) }, (_, i) => CORNERS.map((c) => footPlace(i + 1, c))).flat();

/** Each foot loosened in turn: its gap felt or its rise read, and the corners of one that is not right. */
export const softFootStep = stepKind<ShaftSetup, SoftFootStepValues>('soft-foot', {
  limits: () => [
    { title: M.gapFoot, maker: 'softFootMm', quantity: 'length', schools: [byPractice(SOFT_FOOT_MM)] },
  ],
  repeats: true,
  report(facts, step) {
    const { setup } = facts;
    const taken = takenAt(facts, step);
    const feet = Array.from({ length: count(facts) }, (_, i) =>
      CORNERS.flatMap((c) => valueAt(facts, step, footKey.write({ foot: i + 1, corner: c })) ?? []),
    );
    const result = softFoot({
      feet,
      ...inHand(taken, 0.01, { alike: true }),
      makerLimitMm: setup.maker.softFootMm,
      rule: decisionOf(setup),
    });
    const asked = result.findings.flatMap((f) => {
      const foot = /^softfoot\.(\d+)\.corners$/.exec(f.code)?.[1];
      return foot ? [Number(foot)] : [];
    });
    const next = nextOf(
      facts,
      step,
      all(facts).filter((p) => footKey.read(p.key)?.corner === 'a'),
    );
    const corners = asked.flatMap((foot) =>
      CORNERS.slice(1).map((c) => ({
        key: footKey.write({ foot, corner: c }),
        label: M.foot({ foot, where: WHERE[c] }),
      })),
    );
    return {
      findings: [...result.findings, ...gaugeFindings(taken)],
      working: result.working,
      beams: result.beams,
      values: { ...result.values, feet } satisfies SoftFootStepValues,
      next,
      choices: [...(next ? [{ key: next.key, label: next.label }] : []), ...corners],
      act: next ? M.loosenFootFeelGap({ foot: footKey.read(next.key)?.foot }) : M.everyFootFeltReadVerdict,
    };
  },
  place: (facts, step, key) => listedPlace(facts, step, all(facts), key),
});
