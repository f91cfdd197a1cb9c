import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { COVERAGE, type DecisionRule, decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty, scaledHand } from '../../metrology/hand.ts';
import { saySettle, settle } from '../../metrology/settle.ts';
import { rough } from '../../quantities/say.ts';
import type { SourceId } from '../../sources/register.ts';
import { M } from './messages.ts';

export type FinishParameter = 'Ra' | 'Rq';
export type FinishSurface = 'shaft' | 'gasket-face';

export type FinishInput = {
  surface: FinishSurface;
  parameter: FinishParameter;
  /** Readings in µm, as the tester gives them. */
  readingsUm: readonly number[];
  resolutionUm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  makerLimitUm?: number | undefined;
  rule?: DecisionRule | undefined;
};

export type FinishValues = { largestRaUm: number | null; meanRaUm: number | null; limitUm: number };

/** Rq over Ra of a sine profile, π/(2√2) = 1.1107: the convention by which one is turned into the other. */
export const RQ_PER_RA = Math.PI / (2 * Math.SQRT2);

/** Ra allowed, µm: under a seal 0.8 (32 µin), a gasket face 3.2 (125 µin). Common practice, no source. */
const LIMIT_UM: Record<FinishSurface, number> = { shaft: 0.8, 'gasket-face': 3.2 };
/** The same limits as an inch comparator carries them, µm: a reading at the round figure of either scale meets the limit. */
const ROUND_INCH_UM: Record<FinishSurface, number> = { shaft: 32 * 0.0254, 'gasket-face': 125 * 0.0254 };
/** What steps so coarsely is a set of comparator plates, no tester, µm. */
export const PLATES_UM = 0.2;
const NAME: Record<FinishSurface, Text> = { shaft: M.shaftUnderSeal, 'gasket-face': M.gasketFace };

/**
 * Judge a finish: the roughest reading against the limit, Rq turned into Ra by convention.
 * Source: common practice for the limits, 0.8 µm and 32 µin taken as one. On comparator plates the plate of the limit meets it: common practice, no source.
 */
export function shaftFinish(input: FinishInput): CalculatorResult<FinishValues> {
  const factor = input.parameter === 'Rq' ? 1 / RQ_PER_RA : 1;
  const ra = input.readingsUm.map((v) => v * factor);
  const limitUm = input.makerLimitUm ?? LIMIT_UM[input.surface];
  const source: SourceId = input.makerLimitUm === undefined ? 'practice' : 'maker';
  const largestRaUm = ra.length ? Math.max(...ra) : null;
  const u = readingUncertainty(input.resolutionUm, input.hand) * factor;
  const working: WorkingLine[] = [{ what: M.limitRa, sum: rough(limitUm) }];
  if (input.parameter === 'Rq' && largestRaUm !== null)
    working.push({
      what: M.raFromRq,
      sum: M.n111Convention({ value: rough(Math.max(...input.readingsUm)), largestRa: rough(largestRaUm) }),
    });
  if (largestRaUm === null) {
    const code = `finish.${input.surface}`;
    const reason = M.notReadYet({ name: NAME[input.surface] });
    return {
      values: { largestRaUm, meanRaUm: null, limitUm },
      findings: [{ code, verdict: 'incomplete', reason, params: {}, acceptable: false }],
      working,
      beams: [],
    };
  }
  const round = input.makerLimitUm === undefined ? Math.max(limitUm, ROUND_INCH_UM[input.surface]) : limitUm;
  const d = decide(largestRaUm, u, { upper: round }, input.rule);
  // On comparator plates the limit is a plate: a surface that feels like it, or finer, meets it; the next plate does not.
  const meets = largestRaUm <= round + 1e-9;
  const verdict = input.resolutionUm < PLATES_UM ? d.verdict : meets ? 'accept' : 'reject';
  const name = NAME[input.surface];
  const finding: Finding = {
    code: `finish.${input.surface}`,
    verdict,
    reason:
      verdict === 'accept'
        ? M.readsRaRoughestSmoothEnough({ name, largestRa: rough(largestRaUm) })
        : verdict === 'reject'
          ? M.readsRaRoughestTooRough({ name, largestRa: rough(largestRaUm) })
          : M.readsRaWithinTestersDoubt({ name, largestRa: rough(largestRaUm) }),
    params: {
      name: verdict === 'accept' ? name : null,
      largestRaUm: verdict === 'accept' ? largestRaUm : null,
      name2: verdict === 'accept' ? null : verdict === 'reject' ? name : null,
      largestRaUm2: verdict === 'accept' ? null : verdict === 'reject' ? largestRaUm : null,
      name3: verdict === 'accept' ? null : verdict === 'reject' ? null : name,
      largestRaUm3: verdict === 'accept' ? null : verdict === 'reject' ? null : largestRaUm,
    },
    limit: COMMON.ra({ limit: rough(limitUm) }),
    source,
    acceptable: true,
    ...(verdict === 'reject'
      ? {
          remedy: input.surface === 'shaft' ? M.polishFineClothRoundShaft : M.dressFacePlateNoRadial,
        }
      : verdict === 'too-close'
        ? {
            remedy: saySettle(
              // Of roughness only the count matters here: the sentence names no length.
              {
                ...settle({
                  marginMm: d.marginMm,
                  stepMm: input.resolutionUm * factor,
                  count: input.hand?.count ?? 1,
                  hand: scaledHand(input.hand, factor),
                  rule: input.rule,
                }),
                stepMm: 0,
              },
              COMMON.there,
            ),
          }
        : {}),
  };
  const findings = [finding];
  if (input.parameter === 'Rq')
    findings.push({
      code: `finish.${input.surface}.convention`,
      verdict: 'caution',
      reason: M.rqTurnedIntoRaUsual,
      params: {},
      source: 'finish-convention',
      acceptable: false,
    });
  return {
    values: { largestRaUm, meanRaUm: ra.reduce((a, b) => a + b, 0) / ra.length, limitUm },
    findings,
    working: [
      ...working,
      { what: M.roughest, sum: M.ra2({ largestRa: rough(largestRaUm), count: ra.length }) },
    ],
    beams: [
      {
        label: M.finish({ name }),
        quantity: 'roughness',
        value: largestRaUm,
        target: 0,
        upper: limitUm,
        expanded: COVERAGE[input.rule ?? 'k2'] * u,
        verdict,
        doubt: doubtSaid({
          stepMm: input.resolutionUm * factor,
          hand: scaledHand(input.hand, factor),
          say: rough,
          rule: input.rule,
        }),
      },
    ],
  };
}
