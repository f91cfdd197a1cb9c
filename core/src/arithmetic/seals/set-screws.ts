import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { len, pres } from '../../quantities/say.ts';

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
      reason: input.hardened
        ? 'The shaft is case-hardened, and hardened set screws are in.'
        : 'A case-hardened shaft wants hardened set screws, whatever the pressure.',
      params: { hardened: Boolean(input.hardened) },
      ...(input.hardened
        ? {}
        : { remedy: 'Change the set screws for hardened ones before the cartridge goes on.' }),
    });
  else if (box === undefined)
    findings.push({
      ...shared,
      verdict: 'incomplete',
      reason: 'The pressure in the box is not said: whether set screws must be hardened is not known.',
      params: {},
      remedy: 'Put it into the setup; 0 where there is none.',
    });
  else if (group === null)
    findings.push({
      ...shared,
      verdict: 'caution',
      reason: `The rule ends at ${len(LARGE_MM, 2)}: for a shaft of ${len(input.shaftMm, 1)} the maker says which screws.`,
      params: { LARGE_MM, shaftMm: input.shaftMm },
      remedy: 'Ask the maker.',
    });
  else if (needs && !input.hardened)
    findings.push({
      ...shared,
      verdict: 'reject',
      reason: `${pres(box)} in the box on a shaft of ${len(input.shaftMm, 1)} wants hardened set screws.`,
      params: { box, shaftMm: input.shaftMm },
      limit: `hardened over ${pres(group.roundedMpa)} (${pres(group.psiMpa)} as it was born)`,
      remedy: between
        ? 'It stands between the rounded value and the one in psi: take hardened ones, or ask the maker.'
        : 'Change the set screws for hardened ones before the cartridge goes on.',
    });
  else
    findings.push({
      ...shared,
      verdict: 'accept',
      reason: needs
        ? 'Hardened set screws are needed, and are in.'
        : `${pres(box)} in the box: plain set screws hold on this shaft.`,
      params: { box: needs ? null : box },
      limit: `hardened over ${pres(group.roundedMpa)}`,
    });
  if (input.caseHardened)
    findings.push({
      ...shared,
      code: 'set-screws.shaft',
      verdict: 'caution',
      reason: 'The shaft is case-hardened: set screws do not bite into it.',
      params: {},
      remedy: 'Hardened screws, dimples for the dogs, or another drive, by the maker.',
    });
  return {
    values: { thresholdMpa, needsHardened: needs },
    findings,
    working: [
      {
        what: 'threshold for this shaft',
        sum:
          thresholdMpa === null
            ? 'none'
            : `${pres(thresholdMpa)}, box ${box === undefined ? 'not said' : pres(box)}`,
      },
    ],
    beams: [],
  };
}
