import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';
import { iso286Limits, parseDesignation } from './tolerance.ts';

export type FitInput = {
  nominalMm: number;
  hole: string;
  shaft: string;
  holeMm?: number | undefined;
  shaftMm?: number | undefined;
};

export type FitValues = {
  hole: { lowerMm: number; upperMm: number };
  shaft: { lowerMm: number; upperMm: number };
  /** Largest and smallest clearance the two tolerances allow; negative where they press. */
  mostMm: number;
  leastMm: number;
  kind: 'clearance' | 'transition' | 'interference';
  /** As measured, where both were. */
  measuredMm: number | null;
};

/**
 * What a hole and a shaft of ISO 286 come to together: the largest and the smallest clearance, or what they press; and as they were
 * measured, where they were.
 * Source: ISO 286-1 and -2, from memory.
 * @throws RangeError for a size or designation not tabled, or a shaft given for the hole
 * @example isoFit({ nominalMm: 50, hole: 'H7', shaft: 'g6' }).values.leastMm // 0.009
 */
export function isoFit(input: FitInput): CalculatorResult<FitValues> {
  if (parseDesignation(input.hole)?.hole !== true)
    throw new MessageError(M.noHoleHolesWrittenLarge({ hole: input.hole }));
  if (parseDesignation(input.shaft)?.hole !== false)
    throw new MessageError(M.noShaftShaftsWrittenSmall({ shaft: input.shaft }));
  const hole = iso286Limits(input.nominalMm, input.hole);
  const shaft = iso286Limits(input.nominalMm, input.shaft);
  const round = (x: number) => Math.round(x * 1e6) / 1e6 + 0;
  const mostMm = round(hole.upperMm - shaft.lowerMm);
  const leastMm = round(hole.lowerMm - shaft.upperMm);
  const kind = leastMm >= 0 ? 'clearance' : mostMm <= 0 ? 'interference' : 'transition';
  const measuredMm =
    input.holeMm === undefined || input.shaftMm === undefined ? null : round(input.holeMm - input.shaftMm);
  const either = (mm: number) => (mm >= 0 ? M.clearance({ mm: len(mm) }) : M.interference({ mm: len(-mm) }));
  const shared = { source: 'iso-286' as const, acceptable: true };
  const findings: Finding[] = [
    {
      ...shared,
      code: 'fit',
      verdict: 'accept',
      reason: M.to3({
        kind:
          kind === 'transition' ? 'transitionFit' : kind === 'clearance' ? 'clearanceFit' : 'interferenceFit',
        either: either(leastMm),
        either2: either(mostMm),
      }),
      params: {
        kind: kind === 'transition' ? null : Boolean(kind === 'clearance'),
        leastMm: either(leastMm),
        mostMm: either(mostMm),
      },
    },
  ];
  if (measuredMm !== null) {
    const inside = measuredMm >= leastMm - 1e-9 && measuredMm <= mostMm + 1e-9;
    const parts = [
      ['hole', input.holeMm ?? 0, hole],
      ['shaft', input.shaftMm ?? 0, shaft],
    ] as const;
    for (const [part, mm, own] of parts)
      if (mm < own.lowerMm - 1e-9 || mm > own.upperMm + 1e-9)
        findings.unshift({
          ...shared,
          code: `fit.${part}`,
          verdict: 'reject',
          reason: M.outsideItsOwn({ part, size: len(mm) }),
          params: { mm },
          limit: COMMON.to3({ lower: num(own.lowerMm), upper: len(own.upperMm) }),
          remedy: M.measureBothAgainOneTemperature,
        });
    findings.unshift({
      ...shared,
      code: 'fit.measured',
      verdict: inside ? 'accept' : 'reject',
      reason: M.asMeasured({ either: either(measuredMm), inside: inside ? 'none' : 'notWhatFitAllows' }),
      params: { measuredMm: either(measuredMm), inside: Boolean(inside) },
      limit: M.to4({ either: either(leastMm), either2: either(mostMm) }),
      ...(inside ? {} : { remedy: M.measureBothAgainOneTemperature }),
    });
  }
  return {
    values: {
      hole: { lowerMm: hole.lowerMm, upperMm: hole.upperMm },
      shaft: { lowerMm: shaft.lowerMm, upperMm: shaft.upperMm },
      mostMm,
      leastMm,
      kind,
      measuredMm,
    },
    findings,
    working: [
      {
        what: M.hole({ hole: input.hole }),
        sum: COMMON.to3({ lower: num(hole.lowerMm), upper: len(hole.upperMm) }),
      },
      {
        what: M.shaft({ shaft: input.shaft }),
        sum: COMMON.to3({ lower: num(shaft.lowerMm), upper: len(shaft.upperMm) }),
      },
      { what: M.most, sum: expr`${num(hole.upperMm)} − ${num(shaft.lowerMm)} = ${len(mostMm)}` },
      { what: M.least, sum: expr`${num(hole.lowerMm)} − ${num(shaft.upperMm)} = ${len(leastMm)}` },
    ],
    beams: [],
  };
}
