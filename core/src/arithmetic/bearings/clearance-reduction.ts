import type { CalculatorResult } from '../../judgement/result.ts';
import { len, num } from '../../quantities/say.ts';
import {
  type ClearanceClass,
  classBand,
  mountingLimits,
  sayClass,
  type TaperRatio,
} from './clearance-table.ts';
import { M } from './messages.ts';

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
            reason: M.generalTablesDoNotGive({
              clearanceClass: sayClass(input.clearanceClass),
              bore: len(input.boreMm, 0),
            }),
            params: { clearanceClass: input.clearanceClass, boreMm: input.boreMm },
            source: 'bearing-handbooks',
            remedy: M.makersSheetDoes,
            acceptable: false,
          }
        : {
            code: 'clearance-reduction',
            verdict: 'accept',
            reason: M.takeOutLeaveLeast({ lo: num(lo), hi: len(hi), least: len(least) }),
            params: { lo, hi, least },
            source: given ? 'maker' : 'bearing-handbooks',
            acceptable: false,
          },
    ],
    working: [
      {
        what: M.class({ clearanceClass: sayClass(input.clearanceClass) }),
        sum: M.bench2({ lower: num(band.lowerMm), upper: len(band.upperMm) }),
      },
      ...(table
        ? [
            {
              what: M.tableRow,
              sum: M.boreOver({
                over: num(table.overMm, 0),
                upto: len(table.uptoMm, 0),
                travel: table.travelMm
                  ? M.driveUp1({
                      taper: input.taper,
                      travel: num(table.travelMm[0], 2),
                      travel2: len(table.travelMm[1], 2),
                    })
                  : '',
              }),
            },
          ]
        : []),
    ],
    beams: [],
  };
}
