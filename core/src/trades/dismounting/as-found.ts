import { answerTo, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { doubtSaid } from '../../judgement/doubt.ts';
import type { Finding } from '../../judgement/result.ts';
import { decide } from '../../metrology/decision.ts';
import { doubtOfMean } from '../../metrology/uncertainty.ts';
import { len } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import type { DismountSetup } from './setup.ts';

export type AsFoundValues = { foundMm: number | null; grownMm: number | null; asLeftMm: number };

/** A residual grown by so much since the fitting is a loosened sleeve or wear. Common practice, no source. */
export const GROWN_MM = 0.03;

const place = (row: 'A' | 'B'): Place => ({
  key: `found/${row}`,
  label: `Clearance as found, row ${row}`,
  quantity: 'gap',
  low: 0,
  high: 1,
  instrumentKinds: ['feeler'],
});
/** Its base is loose: from then on the bearing does not stand as it ran. */
const loosened = (facts: Facts<DismountSetup>): boolean =>
  answerTo(facts, 'loose', 'base', 'any')?.answer === 'yes';
const GONE = 'The base is loose: how the bearing stood as it ran can be felt no more.';

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
    const stepMm = Math.max(0.001, ...taken.map((r) => r.instrument.step));
    // The mean of two rows now, against the mean of two rows then.
    const seen = { count: 2, places: 2 as const, stepMm };
    const grownMm = foundMm === null ? null : foundMm - asLeftMm;
    const finding: Finding = gone
      ? {
          code: 'as-found.gone',
          verdict: 'caution',
          reason: GONE,
          params: { GONE },
          source: 'practice',
          remedy: 'What was felt and taken back stays on the sheet, struck through, with its reason.',
          acceptable: false,
        }
      : judge(grownMm, foundMm, asLeftMm, doubtOfMean(seen));
    return {
      findings: [finding, ...gaugeFindings(taken)],
      working:
        foundMm === null
          ? []
          : [{ what: 'grown', sum: `${len(foundMm)} − ${len(asLeftMm)} as left = ${len(grownMm ?? 0)}` }],
      beams:
        grownMm === null
          ? []
          : [
              {
                label: 'Grown since it was fitted',
                quantity: 'length',
                value: grownMm,
                target: 0,
                lower: -GROWN_MM,
                upper: GROWN_MM,
                expanded: 2 * doubtOfMean(seen),
                doubt: doubtSaid({ ...seen, marginMm: GROWN_MM - Math.abs(grownMm) }),
                verdict: finding.verdict,
              },
            ],
      values: { foundMm, grownMm, asLeftMm } satisfies AsFoundValues,
      next,
      act: gone
        ? 'It can be felt no more: go on'
        : next
          ? 'Feel the clearance before anything is loosened'
          : 'Read the verdict.',
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
      reason: `It was left with ${len(asLeftMm)}; what it has now is not felt yet.`,
      params: { asLeftMm },
      acceptable: false,
    };
  const d = decide(grownMm, u, { lower: -GROWN_MM, upper: GROWN_MM });
  const limit = `± ${len(GROWN_MM)} of ${len(asLeftMm)} as left`;
  if (d.verdict === 'accept')
    return {
      ...shared,
      verdict: 'accept',
      reason: `Found with ${len(foundMm)}: as it was left.`,
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
        ? `Found with ${len(foundMm)}: whether it has grown, these blades cannot tell.`
        : grownMm > 0
          ? `Found with ${len(foundMm)}, ${len(grownMm)} more than it was left with: the sleeve has let go, or the bearing has worn.`
          : `Found with ${len(foundMm)}, ${len(-grownMm)} less than it was left with: driven further on, or fouled.`,
    params: {
      foundMm: d.verdict === 'too-close' ? foundMm : null,
      foundMm2: d.verdict === 'too-close' ? null : grownMm > 0 ? foundMm : null,
      grownMm: d.verdict === 'too-close' ? null : grownMm > 0 ? grownMm : null,
      foundMm3: d.verdict === 'too-close' ? null : grownMm > 0 ? null : foundMm,
      grownMm2: d.verdict === 'too-close' ? null : grownMm > 0 ? null : -grownMm,
    },
    remedy: 'Look at sleeve and shaft for fretting before the next one goes on; write it down at the parts.',
  };
}
