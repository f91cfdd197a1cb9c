import type { CalculatorResult } from '../../judgement/result.ts';
import { len, num } from '../../quantities/say.ts';
import {
  type ClearanceClass,
  classBand,
  mountingLimits,
  sayClass,
  type TaperRatio,
} from './clearance-table.ts';

export type ClearanceReductionInput = {
  boreMm: number;
  taper: TaperRatio;
  clearanceClass: ClearanceClass;
  makerReductionMinMm?: number | undefined;
  makerReductionMaxMm?: number | undefined;
  makerLeastResidualMm?: number | undefined;
};

export type ClearanceReductionValues = {
  benchLowerMm: number;
  benchUpperMm: number;
  reductionMinMm: number | null;
  reductionMaxMm: number | null;
  leastResidualMm: number | null;
  travelMm: readonly [number, number] | null;
};

/**
 * What the tables give for a bore, taper and class: the class’s own clearance, how much is taken out, the axial travel that goes
 * with it on a solid shaft, and the least that must be left. Values of the maker’s sheet stand in place of the table’s.
 * Source: ISO 5753-1 and general bearing handbooks, both from memory.
 */
export function clearanceReduction(
  input: ClearanceReductionInput,
): CalculatorResult<ClearanceReductionValues> {
  const band = classBand(input.boreMm, input.clearanceClass);
  const table = mountingLimits(input.boreMm, input.clearanceClass, input.taper);
  const values: ClearanceReductionValues = {
    benchLowerMm: band.lowerMm,
    benchUpperMm: band.upperMm,
    reductionMinMm: input.makerReductionMinMm ?? table?.reductionMinMm ?? null,
    reductionMaxMm: input.makerReductionMaxMm ?? table?.reductionMaxMm ?? null,
    leastResidualMm: input.makerLeastResidualMm ?? table?.leastResidualMm ?? null,
    travelMm: table?.travelMm ?? null,
  };
  const given = [input.makerReductionMinMm, input.makerReductionMaxMm, input.makerLeastResidualMm].some(
    (v) => v !== undefined,
  );
  const { reductionMinMm: lo, reductionMaxMm: hi, leastResidualMm: least } = values;
  return {
    values,
    findings: [
      lo === null || hi === null || least === null
        ? {
            code: 'clearance-reduction',
            verdict: 'incomplete',
            reason: `The general tables do not give all of it for a ${sayClass(input.clearanceClass)} bearing of ${len(input.boreMm, 0)} bore.`,
            params: { clearanceClass: input.clearanceClass, boreMm: input.boreMm },
            source: 'bearing-handbooks',
            remedy: 'The maker’s sheet does.',
            acceptable: false,
          }
        : {
            code: 'clearance-reduction',
            verdict: 'accept',
            reason: `Take out ${num(lo)} to ${len(hi)}, leave at least ${len(least)}.`,
            params: { lo, hi, least },
            source: given ? 'maker' : 'bearing-handbooks',
            acceptable: false,
          },
    ],
    working: [
      {
        what: `class ${sayClass(input.clearanceClass)}`,
        sum: `${num(band.lowerMm)} to ${len(band.upperMm)} on the bench`,
      },
      ...(table
        ? [
            {
              what: 'table row',
              sum: `bore over ${num(table.overMm, 0)} to ${len(table.uptoMm, 0)}${table.travelMm ? `, drive-up 1:${input.taper} ${num(table.travelMm[0], 2)} to ${len(table.travelMm[1], 2)}` : ''}`,
            },
          ]
        : []),
    ],
    beams: [],
  };
}
