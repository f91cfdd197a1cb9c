import { boxEnvelope, type EnvelopeMeasure, type EnvelopeValues } from '../../arithmetic/box/envelope.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline } from '../../message/message.ts';
import { gaugeFindings } from '../gauges.ts';
import { inHand } from '../in-hand.ts';
import { listedPlace, nextOf, takenAt, valueAt } from './listed-places.ts';
import { M } from './messages.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';

export type EnvelopeStepValues = EnvelopeValues & {
  boreMm: number | null;
  depthMm: number | null;
  obstructionMm: number | null;
  studCircleMm: number | null;
  shaftMm: number;
  seal: {
    boreLowerMm: number | null;
    boreUpperMm: number | null;
    depthMm: number | null;
    reachMm: number | null;
    studCircleMm: number | null;
  };
};

const PLACES: Record<EnvelopeMeasure, Place> = {
  bore: at('bore', M.boreBox),
  depth: at('depth', M.depthBoxFromFace),
  obstruction: at('obstruction', M.fromFaceFirstThingWay),
  studs: at('studs', M.studCircleMiddleMiddle),
};

function at(key: EnvelopeMeasure, label: Text): Place {
  return { key, label, quantity: 'length', low: 1, high: 1500, instrumentKinds: ['caliper', 'micrometer'] };
}

/** Only what the seal's sheet names is measured. */
const placesOf = ({ setup }: Facts<ShaftSetup>): Place[] => {
  const c = conditionOf(setup);
  return [
    ...(c.sealBoreLowerMm !== undefined || c.sealBoreUpperMm !== undefined ? [PLACES.bore] : []),
    ...(c.sealDepthMm !== undefined ? [PLACES.depth] : []),
    ...(c.sealReachMm !== undefined ? [PLACES.obstruction] : []),
    ...(c.sealStudCircleMm !== undefined ? [PLACES.studs] : []),
  ];
};

/** The box against the envelope on the seal's sheet. */
export const envelopeStep = stepKind<ShaftSetup, EnvelopeStepValues>('envelope', {
  repeats: true,
  report(facts, step) {
    const c = conditionOf(facts.setup);
    const taken = takenAt(facts, step);
    const measured = {
      boreMm: valueAt(facts, step, 'bore'),
      depthMm: valueAt(facts, step, 'depth'),
      obstructionMm: valueAt(facts, step, 'obstruction'),
      studCircleMm: valueAt(facts, step, 'studs'),
    };
    const result = boxEnvelope({
      ...measured,
      ...inHand(taken, 0.02),
      gauges: Object.fromEntries(
        taken.flatMap((r) => (r.place in PLACES ? [[r.place, inHand([r], 0.02)]] : [])),
      ),
      sealBoreLowerMm: c.sealBoreLowerMm,
      sealBoreUpperMm: c.sealBoreUpperMm,
      sealDepthMm: c.sealDepthMm,
      sealReachMm: c.sealReachMm,
      sealStudCircleMm: c.sealStudCircleMm,
      rule: decisionOf(facts.setup),
    });
    const next = nextOf(facts, step, placesOf(facts));
    return {
      findings: [...result.findings, ...gaugeFindings(taken)],
      working: result.working,
      beams: result.beams,
      values: {
        ...result.values,
        boreMm: measured.boreMm ?? null,
        depthMm: measured.depthMm ?? null,
        obstructionMm: measured.obstructionMm ?? null,
        studCircleMm: measured.studCircleMm ?? null,
        shaftMm: facts.setup.shaftMm,
        seal: {
          boreLowerMm: c.sealBoreLowerMm ?? null,
          boreUpperMm: c.sealBoreUpperMm ?? null,
          depthMm: c.sealDepthMm ?? null,
          reachMm: c.sealReachMm ?? null,
          studCircleMm: c.sealStudCircleMm ?? null,
        },
      } satisfies EnvelopeStepValues,
      next,
      act: next ? COMMON.measure({ label: inline(next.label, 'first') }) : COMMON.readVerdict,
    };
  },
  place: (facts, step, key) => listedPlace(facts, step, placesOf(facts), key),
});
