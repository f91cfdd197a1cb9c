import { type GasketValues, gasketStack, sayStack } from '../../arithmetic/rebuild/gaskets.ts';
import { goesTo } from '../../engine/depth.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import { decisionOf } from '../../engine/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline } from '../../message/message.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand } from '../../steps/in-hand.ts';
import { allYes, itemFindings } from '../../steps/item-findings.ts';
import { gapPlace, lengthPlace, listedPlace, nextListed } from '../../steps/places-in-order.ts';
import { compressionOf } from './compression.ts';
import { M } from './messages.ts';
import { CLEARANCE_MM, type GearPumpSetup, piecesOf } from './setup.ts';

/** Where a blade goes in between straightedge and gear: both gears, two places each. */
export const gapKey = placeKey('gap/{gear:drive|idler}/{n}');
const SPOTS = [
  ['drive', 1],
  ['drive', 2],
  ['idler', 1],
  ['idler', 2],
] as const;

export type ClearanceValues = {
  stackMm: number | null;
  gaps: Array<{ gear: 'drive' | 'idler'; n: number; mm: number | null }>;
  leastMm: number;
  mostMm: number;
  /** Gaskets on hand. */
  pieces: Array<{ thicknessMm: number; count: number }>;
  /** What it comes to under torque, and the stack to put in; null until every place is felt. */
  told: GasketValues | null;
};

/** One place a gear, or two across each. */
const spotsOf = (setup: GearPumpSetup) => SPOTS.filter(([, n]) => n === 1 || goesTo(setup, 'standard'));
const places = ({ setup }: Pick<Facts<GearPumpSetup>, 'setup'>): Place[] => [
  lengthPlace('stack', M.stackLiesThereLooseMicrometer, 0, 20),
  ...spotsOf(setup).map(([gear, n]) =>
    gapPlace(
      gapKey.write({ gear, n }),
      M.straightedgePlace({ gear: gear === 'drive' ? 'driveGear' : 'idler', n }),
      5,
    ),
  ),
];

const limitsOf = ({ maker }: GearPumpSetup) => ({
  leastMm: maker.clearanceMinMm ?? CLEARANCE_MM.least,
  mostMm: maker.clearanceMaxMm ?? CLEARANCE_MM.most,
});

/** A stack lies there, a straightedge over it, and blades say what the gears have; the stack is changed until it is right. */
export const endClearance = stepKind<GearPumpSetup, ClearanceValues>('end-clearance', {
  essential: true,
  repeats: true,
  report(facts, step, carried) {
    const { setup } = facts;
    const lost = compressionOf(setup, carried);
    const at = (key: string) => readingAt(facts, step.id, key)?.value ?? null;
    const gaps = spotsOf(setup).map(([gear, n]) => ({ gear, n, mm: at(gapKey.write({ gear, n })) }));
    const stackMm = at('stack');
    const next = nextListed(facts, step, places(facts));
    const used = standing(facts, step.id);
    const pieces = piecesOf(setup);
    const result =
      next || stackMm === null
        ? null
        : gasketStack({
            pieces,
            stackMm,
            clearancesMm: gaps.flatMap((g) => g.mm ?? []),
            ...limitsOf(setup),
            compressedFraction: lost.fraction,
            fractionUncertainty: lost.uncertainty,
            // The blades doubt the gaps; what the stack was measured with does not spoil them.
            ...inHand(
              used.filter((r) => r.place !== 'stack'),
              0.001,
              { alike: true },
            ),
            rule: decisionOf(setup),
          });
    return {
      findings: [
        ...(result?.findings ?? [
          {
            code: 'gaskets.open',
            verdict: 'incomplete' as const,
            reason: M.endClearanceNotFeltEvery,
            params: {},
            acceptable: false,
          },
        ]),
        ...itemFindings(facts, step),
        ...gaugeFindings(used),
      ],
      working: result?.working ?? [],
      beams: result?.beams ?? [],
      values: { stackMm, gaps, ...limitsOf(setup), pieces, told: result?.values ?? null },
      next,
      act: sayAct(next, result?.values ?? null, pieces, result?.findings[0]?.verdict === 'accept'),
    };
  },
  place: (facts: Facts<GearPumpSetup>, step, key) =>
    allYes(facts, step) ? listedPlace<GearPumpSetup>(places)(facts, step, key) : M.firstSayWhatLiesThere,
});

function sayAct(
  next: Place | null,
  told: GasketValues | null,
  pieces: ClearanceValues['pieces'],
  right: boolean,
): Text {
  if (next)
    return next.key === 'stack' ? M.layStackMeasureLoose : COMMON.feel2({ label: inline(next.label) });
  if (right) return M.endClearanceRight;
  return told?.stack ? M.changeStack({ pieces: sayStack(pieces, told.stack.counts) }) : M.noStackTheseDoes;
}
