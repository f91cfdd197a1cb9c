import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { M } from './messages.ts';

export const THICKENERS = [
  'lithium',
  'lithium complex',
  'calcium',
  'calcium sulfonate',
  'aluminium complex',
  'polyurea',
  'sodium',
  'clay',
] as const;
export type Thickener = (typeof THICKENERS)[number];

type Goes = 'yes' | 'borderline' | 'no';

/** Pairs that go together or nearly so; what is not named here does not. Source: from memory, makers’ tables differ. */
const PAIRS: ReadonlyArray<readonly [Thickener, Thickener, Goes]> = [
  ['lithium', 'lithium complex', 'yes'],
  ['lithium', 'calcium', 'borderline'],
  ['lithium', 'calcium sulfonate', 'borderline'],
  ['lithium complex', 'calcium sulfonate', 'yes'],
  ['lithium complex', 'aluminium complex', 'borderline'],
  ['lithium complex', 'calcium', 'borderline'],
  ['lithium complex', 'polyurea', 'borderline'],
  ['calcium', 'calcium sulfonate', 'borderline'],
  ['polyurea', 'calcium sulfonate', 'borderline'],
];

/**
 * May these two greases meet in one bearing? By thickener alone: base oils and additives may still quarrel.
 * Source: from memory; the grease makers’ own tables outrank it.
 * @example greaseCompatibility({ inside: 'polyurea', fresh: 'lithium' }).findings[0].verdict // 'reject'
 */
export function greaseCompatibility(input: {
  inside: Thickener | 'not known';
  fresh: Thickener;
}): CalculatorResult<{ goes: Goes }> {
  const { inside, fresh } = input;
  if (inside === 'not known')
    return {
      values: { goes: 'borderline' },
      findings: [
        {
          code: 'grease.thickener',
          verdict: 'caution',
          reason: M.oldGreaseNotKnown,
          params: { fresh },
          source: 'grease-table',
          remedy: M.purgeUntilOnlyFresh,
          acceptable: true,
        },
      ],
      working: [],
      beams: [],
    };
  const goes: Goes =
    inside === fresh
      ? 'yes'
      : (PAIRS.find(([a, b]) => (a === inside && b === fresh) || (a === fresh && b === inside))?.[2] ?? 'no');
  const shared = { code: 'grease.thickener', source: 'grease-table' as const, acceptable: true };
  const finding: Finding =
    goes === 'yes'
      ? {
          ...shared,
          verdict: 'accept',
          reason:
            inside === fresh
              ? M.bothGreasesConfirmBaseOil({ inside })
              : M.thickenersGoTogetherConfirmMaker({ fresh: cap(fresh), inside }),
          params: {
            inside: inside === fresh ? inside : null,
            fresh: inside === fresh ? null : cap(fresh),
            inside2: inside === fresh ? null : inside,
          },
        }
      : goes === 'borderline'
        ? {
            ...shared,
            verdict: 'caution',
            reason: M.borderlineMaySoften({ fresh: cap(fresh), inside }),
            params: { fresh: cap(fresh), inside },
            remedy: M.askMakerGreasePurgeOld,
          }
        : {
            ...shared,
            verdict: 'reject',
            reason: M.greaseNotPutMixedThey({ fresh: cap(fresh), inside }),
            params: { fresh: cap(fresh), inside },
            remedy: M.sameGreaseAsThereClean,
          };
  return {
    values: { goes },
    findings: [finding],
    working: [{ what: M.thickeners, sum: M.bearingGun({ inside, fresh, goes }) }],
    beams: [],
  };
}

const cap = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
