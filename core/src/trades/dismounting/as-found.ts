import { answerTo, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { doubtSaid } from '../../judgement/doubt.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { decide } from '../../metrology/decision.ts';
import { readingUncertainty, scaledHand } from '../../metrology/hand.ts';
import { len } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand } from '../../steps/in-hand.ts';
import { listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import type { DismountSetup } from './setup.ts';

export type AsFoundValues = { foundMm: number | null; grownMm: number | null; asLeftMm: number };

/** A residual grown by so much since the fitting is a loosened sleeve or wear. Common practice, no source. */
export const GROWN_MM = 0.03;

const place = (row: 'A' | 'B'): Place => ({
  key: `found/${row}`,
  label: M.clearanceAsFoundRow({ row }),
  quantity: 'gap',
  low: 0,
  high: 1,
  instrumentKinds: ['feeler'],
});
/** Its base is loose: from then on the bearing does not stand as it ran. */
const loosened = (facts: Facts<DismountSetup>): boolean =>
  answerTo(facts, 'loose', 'base', 'any')?.answer === 'yes';
const GONE = M.baseLooseHowBearingStood;

const places = (): Place[] => [place('A'), place('B')];

/**
 * The clearance a bearing is found with, beside the one it was left with: grown, the sleeve has let go or the bearing has worn;
 * shrunk, it was driven on or fouled. Felt before anything is loosened, or never.
 */
export const asFound = stepKind<DismountSetup, AsFoundValues>('as-found', {
  repeats: true,
  looksAhead: ['loose'],
  report(facts, step) {
    const asLeftMm = facts.setup.asLeftMm ?? 0;
    const [a, b] = [valueAt(facts, step, 'found/A'), valueAt(facts, step, 'found/B')];
    const foundMm = a === null || b === null ? null : (a + b) / 2;
    const gone = foundMm === null && loosened(facts);
    const next = gone ? null : nextListed(facts, step, places());
    const taken = standing(facts, step.id);
    const { resolutionMm: stepMm, hand } = inHand(taken, 0.001);
    // The mean of two rows now, against the mean of two rows then: a mean of two is known as one on a gauge of √½ the step.
    const rows = { stepMm: stepMm / Math.SQRT2, hand: scaledHand(hand, Math.SQRT1_2) };
    const u = Math.SQRT2 * readingUncertainty(rows.stepMm, rows.hand);
    const grownMm = foundMm === null ? null : foundMm - asLeftMm;
    const finding: Finding = gone
      ? {
          code: 'as-found.gone',
          verdict: 'caution',
          reason: GONE,
          params: { GONE },
          source: 'practice',
          remedy: M.whatFeltTakenBackStays,
          acceptable: false,
        }
      : judge(grownMm, foundMm, asLeftMm, u);
    return {
      findings: [finding, ...gaugeFindings(taken)],
      working:
        foundMm === null
          ? []
          : [
              {
                what: M.grown,
                sum: M.asLeft({ found: len(foundMm), asLeft: len(asLeftMm), grown: len(grownMm ?? 0) }),
              },
            ],
      beams:
        grownMm === null
          ? []
          : [
              {
                label: M.grownSinceFitted,
                quantity: 'length',
                value: grownMm,
                target: 0,
                lower: -GROWN_MM,
                upper: GROWN_MM,
                expanded: 2 * u,
                doubt: doubtSaid({ ...rows, places: 2, marginMm: GROWN_MM - Math.abs(grownMm) }),
                verdict: finding.verdict,
              },
            ],
      values: { foundMm, grownMm, asLeftMm } satisfies AsFoundValues,
      next,
      act: gone ? M.canFeltNoMoreGo : next ? M.feelClearanceBeforeAnythingLoosened : COMMON.readVerdict,
    };
  },
  place: (facts, step, key) => (loosened(facts) ? GONE : listedPlace(places)(facts, step, key)),
});

function judge(grownMm: number | null, foundMm: number | null, asLeftMm: number, u: number): Finding {
  const shared = { code: 'as-found', source: 'practice', acceptable: true } as const;
  if (grownMm === null || foundMm === null)
    return {
      ...shared,
      verdict: 'incomplete',
      reason: M.leftWhatHasNowNot({ asLeft: len(asLeftMm) }),
      params: { asLeftMm },
      acceptable: false,
    };
  const d = decide(grownMm, u, { lower: -GROWN_MM, upper: GROWN_MM });
  const limit = M.asLeft2({ grownMm: len(GROWN_MM), asLeft: len(asLeftMm) });
  if (d.verdict === 'accept')
    return {
      ...shared,
      verdict: 'accept',
      reason: M.foundAsLeft({ found: len(foundMm) }),
      params: { foundMm },
      limit,
    };
  // Whatever stands here, the bearing comes off: it is written down for whoever looks for the cause.
  return {
    ...shared,
    verdict: 'caution',
    limit,
    reason:
      d.verdict === 'too-close'
        ? M.foundWhetherHasGrownThese({ found: len(foundMm) })
        : grownMm > 0
          ? M.foundMoreThanLeftSleeve({ found: len(foundMm), grown: len(grownMm) })
          : M.foundLessThanLeftDriven({ found: len(foundMm), grown: len(-grownMm) }),
    params: {
      foundMm: d.verdict === 'too-close' ? foundMm : null,
      foundMm2: d.verdict === 'too-close' ? null : grownMm > 0 ? foundMm : null,
      grownMm: d.verdict === 'too-close' ? null : grownMm > 0 ? grownMm : null,
      foundMm3: d.verdict === 'too-close' ? null : grownMm > 0 ? null : foundMm,
      grownMm2: d.verdict === 'too-close' ? null : grownMm > 0 ? null : -grownMm,
    },
    remedy: M.lookSleeveShaftFrettingBefore,
  };
}
