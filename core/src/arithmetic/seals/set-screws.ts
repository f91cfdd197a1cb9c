import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { len, pres } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type SetScrewRuleInput = {
  shaftMm: number;
  /** Pressure in the box over the air's; left out where nobody has said it. */
  boxPressureMpa?: number | undefined;
  hardened: boolean;
  /** The shaft is case-hardened: soft or hard screws do not bite as they should. */
  caseHardened?: boolean | undefined;
};

export type SetScrewRuleValues = {
  /** The stricter threshold for this shaft; null where the rule ends. */
  thresholdMpa: number | null;
  needsHardened: boolean | null;
};

/** Up to 2½ in; from there to 4¾ in. Born in inches; common practice. */
const SMALL_MM = 63.5;
const LARGE_MM = 120.65;
/** 300 and 250 psi, and as they are often rounded, in MPa: 20 and 16 bar. The stricter judges. */
const THRESHOLDS = {
  small: { psiMpa: 2.068, roundedMpa: 2.0 },
  large: { psiMpa: 1.724, roundedMpa: 1.6 },
} as const;

/**
 * Are hardened set screws needed? Over 300 psi in the box on shafts up to 2½ in, over 250 psi on larger ones up to 4¾ in, and on any case-hardened one; the
 * rounded metric values, 20 and 16 bar, are the stricter and judge. Past that size the maker is asked.
 * Source: common practice, no source.
 */
export function setScrewRule(input: SetScrewRuleInput): CalculatorResult<SetScrewRuleValues> {
  const group =
    input.shaftMm <= SMALL_MM ? THRESHOLDS.small : input.shaftMm <= LARGE_MM ? THRESHOLDS.large : null;
  const thresholdMpa = group?.roundedMpa ?? null;
  const box = input.boxPressureMpa;
  const needs = input.caseHardened
    ? true
    : group === null || box === undefined
      ? null
      : box > group.roundedMpa;
  const between = group !== null && box !== undefined && box > group.roundedMpa && box <= group.psiMpa;
  const shared = { code: 'set-screws.hardness', source: 'practice' as const, acceptable: true };
  const findings: Finding[] = [];
  if (input.caseHardened)
    findings.push({
      ...shared,
      verdict: input.hardened ? 'accept' : 'reject',
      reason: input.hardened ? M.shaftCaseHardenedHardenedSet : M.caseHardenedShaftWantsHardened,
      params: { hardened: Boolean(input.hardened) },
      ...(input.hardened ? {} : { remedy: M.changeSetScrewsHardenedOnes }),
    });
  else if (box === undefined)
    findings.push({
      ...shared,
      verdict: 'incomplete',
      reason: M.pressureBoxNotSaidWhether,
      params: {},
      remedy: M.putIntoSetup0Where,
    });
  else if (group === null)
    findings.push({
      ...shared,
      verdict: 'caution',
      reason: M.ruleEndsShaftMakerSays({ largeMm: len(LARGE_MM, 2), shaft: len(input.shaftMm, 1) }),
      params: { LARGE_MM, shaftMm: input.shaftMm },
      remedy: M.askMaker,
    });
  else if (needs && !input.hardened)
    findings.push({
      ...shared,
      verdict: 'reject',
      reason: M.boxShaftWantsHardenedSet({ box: pres(box), shaft: len(input.shaftMm, 1) }),
      params: { box, shaftMm: input.shaftMm },
      limit: M.hardenedOverAsBorn({ rounded: pres(group.roundedMpa), psi: pres(group.psiMpa) }),
      remedy: between ? M.standsBetweenRoundedValueOne : M.changeSetScrewsHardenedOnes,
    });
  else
    findings.push({
      ...shared,
      verdict: 'accept',
      reason: needs ? M.hardenedSetScrewsNeeded : M.boxPlainSetScrewsHold({ box: pres(box) }),
      params: { box: needs ? null : box },
      limit: M.hardenedOver({ rounded: pres(group.roundedMpa) }),
    });
  if (input.caseHardened)
    findings.push({
      ...shared,
      code: 'set-screws.shaft',
      verdict: 'caution',
      reason: M.shaftCaseHardenedSetScrews,
      params: {},
      remedy: M.hardenedScrewsDimplesDogsAnother,
    });
  return {
    values: { thresholdMpa, needsHardened: needs },
    findings,
    working: [
      {
        what: M.thresholdShaft,
        sum:
          thresholdMpa === null
            ? COMMON.noneWord
            : M.box({ threshold: pres(thresholdMpa), box: box === undefined ? COMMON.notSaid : pres(box) }),
      },
    ],
    beams: [],
  };
}
