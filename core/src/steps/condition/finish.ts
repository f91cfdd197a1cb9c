import {
  type FinishSurface,
  type FinishValues,
  PLATES_UM,
  shaftFinish,
} from '../../arithmetic/shaft/finish.ts';
import { goesTo } from '../../engine/depth.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { type StepDefinition, stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline } from '../../message/message.ts';
import { scaledHand } from '../../metrology/hand.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { listedPlace, nextOf, takenAt, valueAt } from './listed-places.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';

export type FinishStepValues = {
  parameter: 'Ra' | 'Rq';
  surfaces: Array<FinishValues & { surface: FinishSurface; readingsUm: Array<number | null> }>;
};

/** Plates of a comparator, Ra, each twice as rough as the one before. Common practice, no source. */
const PLATES_MM = [0.0002, 0.0004, 0.0008, 0.0016, 0.0032] as const;

/** Places read on each surface: three round the shaft and three on the face, or one comparison of each. */
const placesAt = (setup: ShaftSetup): number => (goesTo(setup, 'thorough') ? 3 : 1);
const NAME: Record<FinishSurface, Text> = { shaft: COMMON.shaft, 'gasket-face': M.gasketFace };

/** The gasket face is read where the box is looked at too. */
const surfacesOf = ({ setup }: Facts<ShaftSetup>): FinishSurface[] => {
  const { measures } = conditionOf(setup);
  const box = measures.includes('face') || measures.includes('bore') || measures.includes('envelope');
  return box ? ['shaft', 'gasket-face'] : ['shaft'];
};

/** What a place of a surface is called; `within`: inside a sentence. */
function placeOf(key: string, setup: ShaftSetup, within = false): Text {
  const [surface = '', i] = key.split('/');
  const name = NAME[surface as FinishSurface];
  return M.place({
    name: within ? inline(name) : name,
    i: Number(i),
    places: placesAt(setup),
    finishParameter: conditionOf(setup).finishParameter ?? 'Ra',
  });
}

const placesOf = (facts: Facts<ShaftSetup>): Place[] =>
  surfacesOf(facts).flatMap((surface) =>
    Array.from({ length: placesAt(facts.setup) }, (_, i) => ({
      key: `${surface}/${i + 1}`,
      label: placeOf(`${surface}/${i + 1}`, facts.setup),
      quantity: 'roughness' as const,
      low: 0,
      high: 0.1,
      instrumentKinds: ['roughness' as const],
      // Compared once with plates, it is one of them.
      ...(placesAt(facts.setup) === 1 ? { offers: { values: PLATES_MM, step: PLATES_UM / 1000 } } : {}),
    })),
  );

const read = (
  facts: Facts<ShaftSetup>,
  step: StepDefinition<ShaftSetup>,
  surface: FinishSurface,
): Array<number | null> =>
  Array.from({ length: placesAt(facts.setup) }, (_, i) => {
    const mm = valueAt(facts, step, `${surface}/${i + 1}`);
    return mm === undefined ? null : 1000 * mm;
  });

/** A roughness tester on the shaft under the seal and on the gasket face. */
export const finishStep = stepKind<ShaftSetup, FinishStepValues>('finish', {
  limits: () => [{ title: M.finishShaftRa, maker: 'finishUm', quantity: 'roughness', schools: [] }],
  repeats: true,
  report(facts, step) {
    const { setup } = facts;
    const parameter = conditionOf(setup).finishParameter ?? 'Ra';
    const taken = takenAt(facts, step);
    const tester = inHand(taken, 0.00001, { alike: true });
    const surfaces = surfacesOf(facts).map((surface) => {
      const readingsUm = read(facts, step, surface);
      const result = shaftFinish({
        surface,
        parameter,
        readingsUm: readingsUm.filter((v): v is number => v !== null),
        resolutionUm: 1000 * tester.resolutionMm,
        hand: scaledHand(tester.hand, 1000),
        makerLimitUm: surface === 'shaft' ? setup.maker.finishUm : undefined,
        rule: decisionOf(setup),
      });
      return { surface, readingsUm, result };
    });
    const next = nextOf(facts, step, placesOf(facts));
    const missing = placesOf(facts).length - taken.length;
    const unread: Finding[] =
      missing > 0 && taken.length > 0
        ? [
            {
              code: 'finish.unread',
              verdict: 'incomplete',
              reason: M.placesStillRead({ missing, count: placesOf(facts).length }),
              params: { missing, length: placesOf(facts).length },
              acceptable: false,
            },
          ]
        : [];
    return {
      findings: [...surfaces.flatMap((s) => s.result.findings), ...unread, ...gaugeFindings(taken)],
      working: surfaces.flatMap((s) => s.result.working),
      beams: surfaces.flatMap((s) => s.result.beams),
      values: {
        parameter,
        surfaces: surfaces.map((s) => ({ ...s.result.values, surface: s.surface, readingsUm: s.readingsUm })),
      } satisfies FinishStepValues,
      next,
      act: next ? M.readFinish({ place: placeOf(next.key, setup, true) }) : COMMON.readVerdict,
    };
  },
  place: (facts, step, key) => listedPlace(facts, step, placesOf(facts), key),
});
