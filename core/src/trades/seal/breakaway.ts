import { FACE_TYPICAL, faceLoad } from '../../arithmetic/seals/face-load.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Place } from '../../engine/state.ts';
import { type StepDefinition, stepKind } from '../../engine/step.ts';
import { doubtSaid } from '../../judgement/doubt.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { doubtOfMean } from '../../metrology/hand.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { tor } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand } from '../../steps/in-hand.ts';
import { listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';

export type BreakawayValues = {
  /** What the wrench showed as the shaft broke away, with the seal on; and before it was on. */
  measuredNm: number | null;
  withoutNm: number | null;
  /** What the faces alone would ask for, without pressure in the box. */
  expectedNm: { least: number; most: number };
};

const place = (key: string, label: Text): Place => ({
  key,
  label,
  quantity: 'torque',
  low: 0,
  high: 2000,
  instrumentKinds: ['wrench'],
});
const places = (): Place[] => [place('breakaway', M.torqueAsShaftBreaksAway)];
const without = place('without', M.sameBeforeSeal);

/** Faces as the drawing gives them; null where one of the four is not given. */
export function facesOf({ faces }: SealSetup): {
  faceOutsideMm: number;
  faceInsideMm: number;
  balanceMm: number;
  springN: number;
} | null {
  const { outsideMm, insideMm, balanceMm, springN } = faces ?? {};
  return outsideMm === undefined || insideMm === undefined || balanceMm === undefined || springN === undefined
    ? null
    : { faceOutsideMm: outsideMm, faceInsideMm: insideMm, balanceMm, springN };
}

/** Twice what the faces could ask for is more than a dry face or a tight O-ring explains. Our own choice. */
const FAR_OVER = 2;

/**
 * The torque at which the shaft breaks away, beside what the faces alone ask for with no pressure in the box (`faceLoad`): more is
 * something that touches, next to nothing is a seal with no compression.
 */
export const breakaway = stepKind<SealSetup, BreakawayValues>('seal-breakaway', {
  repeats: true,
  report(facts, step) {
    const faces = facesOf(facts.setup);
    if (!faces) throw new MessageError(M.facesNotGivenSetup);
    const sum = faceLoad({ ...faces, pressureMpa: 0, speedRpm: 1 });
    const { least, most } = sum.values.startTorqueNm;
    const measuredNm = valueAt(facts, step, 'breakaway');
    const withoutNm = valueAt(facts, step, 'without');
    const next = nextListed(facts, step, places());
    const taken = standing(facts, step.id);
    const { resolutionMm: stepMm, hand } = inHand(taken, 0.1);
    const seen = { places: withoutNm === null ? (1 as const) : (2 as const), stepMm, hand };
    const finding = judge(measuredNm, withoutNm ?? 0, least, most);
    return {
      findings: [finding, ...gaugeFindings(taken)],
      working: [
        {
          what: COMMON.expected,
          sum: M.springsAloneThreeFiveTimes({
            friction: FACE_TYPICAL.friction,
            least: tor(least),
            most: tor(most),
          }),
        },
        ...(measuredNm !== null && withoutNm !== null
          ? [
              {
                what: M.seal3,
                sum: expr`${tor(measuredNm)} − ${tor(withoutNm)} = ${tor(measuredNm - withoutNm)}`,
              },
            ]
          : []),
      ],
      beams:
        measuredNm === null
          ? []
          : [
              {
                label: M.breakawayTorque,
                quantity: 'torque',
                value: measuredNm - (withoutNm ?? 0),
                target: (least + most) / 2,
                lower: least,
                upper: most,
                expanded: 2 * doubtOfMean({ count: 1, ...hand, stepMm, places: seen.places }),
                doubt: doubtSaid({ ...seen, say: tor }),
                verdict: finding.verdict,
              },
            ],
      values: { measuredNm, withoutNm, expectedNm: { least, most } } satisfies BreakawayValues,
      next,
      choices: readingAt(facts, step.id, 'without') ? [] : [{ key: 'without', label: without.label }],
      act: next ? M.drawShaftRoundWrenchUntil : M.readVerdict,
    };
  },
  place(facts, step, key) {
    return key === 'without' && !readingAt(facts, step.id, key)
      ? without
      : listedPlace(places)(facts, step, key);
  },
});

function judge(measuredNm: number | null, withoutNm: number, least: number, most: number): Finding {
  const shared = { code: 'breakaway', source: 'practice', acceptable: true } as const;
  if (measuredNm === null)
    return {
      ...shared,
      verdict: 'incomplete',
      reason: M.torqueWhichBreaksAwayNot,
      params: {},
      acceptable: false,
    };
  const ofSeal = measuredNm - withoutNm;
  const limit = M.to3({ least: tor(least), most: tor(most) });
  const said = M.breaksAway({
    measured: tor(measuredNm),
    without: withoutNm > 0 ? M.seals({ ofSeal: tor(ofSeal) }) : '',
  });
  if (ofSeal > FAR_OVER * most)
    return {
      ...shared,
      verdict: 'reject',
      reason: M.moreThanTwiceWhatFaces({ said }),
      params: { said },
      limit,
      remedy: M.somethingTouchesBindsGlandSquare,
    };
  if (ofSeal > most)
    return {
      ...shared,
      verdict: 'caution',
      reason: M.moreThanFacesAsk({ said }),
      params: { said },
      limit,
      remedy: M.bearingsPackingDragTooRead,
    };
  if (ofSeal < least / 2)
    return {
      ...shared,
      verdict: 'caution',
      reason: M.nextNothing({ said }),
      params: { said },
      limit,
      remedy: M.thereCompressionFacesLookSetting,
    };
  return { ...shared, verdict: 'accept', reason: M.asFacesAsk({ said }), params: { said }, limit };
}

/** Beside the hand turn, where the drawing of the faces is at hand. */
export const breakawayStep: StepDefinition<SealSetup> = {
  id: 'breakaway',
  title: M.breakawayTorque,
  kind: breakaway,
  guide: M.wrenchShaftCouplingBoxEmpty,
  caution: M.isolationStaysKeepSleevesRag,
  repeatWord: M.pulledAnew,
  standsOn: ['handturn'],
};
