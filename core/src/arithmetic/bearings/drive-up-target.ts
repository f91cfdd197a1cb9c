import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { len, num } from '../../quantities/say.ts';
import type { SourceId } from '../../sources/register.ts';
import { tidy } from '../shaft/tolerance.ts';
import {
  type ClearanceClass,
  classBand,
  mountingLimits,
  sayClass,
  type TaperRatio,
} from './clearance-table.ts';
import { M } from './messages.ts';
import { effectiveK, nutAngleForTravel, travelForReduction } from './travel.ts';

export type DriveUpTargetInput = {
  boreMm: number;
  taper: TaperRatio;
  clearanceClass: ClearanceClass;
  benchMm: number;
  pitchMm: number;
  /** Bore of a hollow shaft over its outside diameter; 0 for a solid one. */
  hollowRatio?: number | undefined;
  makerReductionMinMm?: number | undefined;
  makerReductionMaxMm?: number | undefined;
  makerLeastResidualMm?: number | undefined;
  /** Clearance the shaft takes away while it runs warmer than the ring in service: that much more is left. */
  serviceLostMm?: number | undefined;
};

export type DriveUpTargetValues = {
  reductionMinMm: number | null;
  reductionMaxMm: number | null;
  aimMm: number | null;
  leastResidualMm: number | null;
  residualMinMm: number | null;
  residualMaxMm: number | null;
  residualAimMm: number | null;
  k: number;
  travelMinMm: number | null;
  travelMaxMm: number | null;
  travelAimMm: number | null;
  tabledTravelMm: readonly [number, number] | null;
  nutDegAim: number | null;
  nutEighthsAim: number | null;
  reductionPerEighthMm: number;
  limitSource: SourceId;
  /** False when least residual and least reduction cannot both be kept. */
  possible: boolean;
};

/**
 * The target of a drive-up by feelers: reduction band (table or maker's sheet) clipped so that the least residual
 * stays, the aim within it (a bench clearance high in its class takes the larger reduction, low the smaller), the
 * residual band, the axial travel to start back by, and the turns of the nut.
 * Source: general bearing handbooks (table from memory); travel = taper × reduction / k, k by common practice.
 *
 * @example driveUpTarget({ boreMm: 100, taper: 12, clearanceClass: 'CN', benchMm: 0.08, pitchMm: 2 }).values.aimMm // 0.045
 */
export function driveUpTarget(input: DriveUpTargetInput): CalculatorResult<DriveUpTargetValues> {
  const table = mountingLimits(input.boreMm, input.clearanceClass, input.taper);
  const minMm = input.makerReductionMinMm ?? table?.reductionMinMm ?? null;
  const tableMaxMm = input.makerReductionMaxMm ?? table?.reductionMaxMm ?? null;
  const coldMm = input.makerLeastResidualMm ?? table?.leastResidualMm ?? null;
  const heatMm = Math.max(0, input.serviceLostMm ?? 0);
  const leastMm = coldMm === null ? null : tidy(coldMm + heatMm);
  const makerGiven =
    input.makerReductionMinMm !== undefined ||
    input.makerReductionMaxMm !== undefined ||
    input.makerLeastResidualMm !== undefined;
  const limitSource: SourceId = makerGiven ? 'maker' : 'bearing-handbooks';
  const k = effectiveK(input.boreMm, input.hollowRatio ?? 0);
  const reductionPerEighthMm = tidy((k * input.pitchMm) / (8 * input.taper));
  const nothing: DriveUpTargetValues = {
    reductionMinMm: minMm,
    reductionMaxMm: tableMaxMm,
    aimMm: null,
    leastResidualMm: leastMm,
    residualMinMm: null,
    residualMaxMm: null,
    residualAimMm: null,
    k,
    travelMinMm: null,
    travelMaxMm: null,
    travelAimMm: null,
    tabledTravelMm: table?.travelMm ?? null,
    nutDegAim: null,
    nutEighthsAim: null,
    reductionPerEighthMm,
    limitSource,
    possible: false,
  };

  if (minMm === null || tableMaxMm === null || leastMm === null) {
    const missing = minMm === null || tableMaxMm === null ? COMMON.reduction2 : M.leastResidualClearance;
    return {
      values: nothing,
      findings: [
        {
          code: 'target.no-table',
          verdict: 'incomplete',
          reason: M.generalTablesGiveNoBearing({
            missing,
            clearanceClass: sayClass(input.clearanceClass),
            bore: len(input.boreMm, 0),
          }),
          params: { missing, clearanceClass: input.clearanceClass, boreMm: input.boreMm },
          remedy: M.typeValueFromMakerS,
          acceptable: false,
        },
      ],
      working: [],
      beams: [],
    };
  }

  const room = tidy(input.benchMm - leastMm);
  const maxMm = Math.min(tableMaxMm, room);
  const working: WorkingLine[] = [
    {
      what: COMMON.reduction2,
      sum: M.to({
        min: num(minMm),
        tableMax: len(tableMaxMm),
        table:
          table && !makerGiven
            ? M.boreOver2({ over: num(table.overMm, 0), upto: len(table.uptoMm, 0) })
            : M.makerSSheet,
      }),
    },
    {
      what: M.leastResidual,
      sum: expr`${len(leastMm)}, ${sayClass(input.clearanceClass)}${heatMm > 0 ? M.shaftHotInside({ heat: len(heatMm) }) : ''}`,
    },
    { what: M.room, sum: M.mayTakenOut({ bench: num(input.benchMm), least: num(leastMm), room: len(room) }) },
  ];
  if (maxMm < minMm - 1e-6) {
    return {
      values: nothing,
      findings: [
        {
          code: 'target.impossible',
          verdict: 'reject',
          reason: M.takingOutLeastReductionWould({
            min: len(minMm),
            bench: len(tidy(input.benchMm - minMm)),
            least: len(leastMm),
          }),
          params: { minMm, benchMm: tidy(input.benchMm - minMm), leastMm },
          limit: M.reductionLeastResidualLeast({ min: len(minMm), least: len(leastMm) }),
          source: limitSource,
          remedy: M.feelBenchClearanceAgainIf,
          acceptable: false,
        },
      ],
      working,
      beams: [],
    };
  }

  const top = Math.max(maxMm, minMm);
  const band = classBand(input.boreMm, input.clearanceClass);
  const place = Math.min(1, Math.max(0, (input.benchMm - band.lowerMm) / (band.upperMm - band.lowerMm)));
  // The middle half of the band, so that the aim itself never stands at a stop.
  const aimMm = tidy(minMm + (0.25 + 0.5 * place) * (top - minMm));
  const travel = (r: number) => tidy(travelForReduction(r, input.taper, k));
  const nutDegAim = nutAngleForTravel(travel(aimMm), input.pitchMm);
  working.push(
    {
      what: M.band,
      sum: M.to2({
        min: num(minMm),
        top: len(top),
        top2: top < tableMaxMm ? 'clippedLeastResidual' : 'none',
      }),
    },
    { what: M.aim, sum: M.benchStandsUpClass({ aim: len(aimMm), place: Math.round(place * 100) }) },
    {
      what: M.residual,
      sum: expr`${num(input.benchMm)} − ${num(aimMm)} = ${len(tidy(input.benchMm - aimMm))}`,
    },
    {
      what: M.travel2,
      sum: expr`${input.taper} × ${num(aimMm)} / ${k.toFixed(2)} = ${len(travel(aimMm), 2)}`,
    },
    {
      what: COMMON.nut2,
      sum: M.pitchTurnEighths({
        travel: num(travel(aimMm), 2),
        pitch: num(input.pitchMm, 2),
        nutDegAim: (nutDegAim / 360).toFixed(2),
        nutDegAim2: (nutDegAim / 45).toFixed(1),
      }),
    },
  );
  const findings: Finding[] = [
    {
      code: 'target.band',
      verdict: top - minMm < 0.005 - 1e-6 ? 'caution' : 'accept',
      reason:
        top - minMm < 0.005 - 1e-6
          ? M.leastResidualLeavesBandOnly({ top: len(tidy(top - minMm)), min: num(minMm), top2: len(top) })
          : M.takeOutLeaving({
              min: num(minMm),
              top: len(top),
              bench: num(tidy(input.benchMm - top)),
              bench2: len(tidy(input.benchMm - minMm)),
            }),
      params: {
        top: top - minMm < 0.005 - 1e-6 ? tidy(top - minMm) : null,
        minMm: top - minMm < 0.005 - 1e-6 ? minMm : null,
        top2: top - minMm < 0.005 - 1e-6 ? top : null,
        minMm2: top - minMm < 0.005 - 1e-6 ? null : minMm,
        top3: top - minMm < 0.005 - 1e-6 ? null : top,
        benchMm: top - minMm < 0.005 - 1e-6 ? null : tidy(input.benchMm - top),
        benchMm2: top - minMm < 0.005 - 1e-6 ? null : tidy(input.benchMm - minMm),
      },
      limit: M.reductionResidualLeast({ min: num(minMm), tableMax: len(tableMaxMm), least: len(leastMm) }),
      source: limitSource,
      ...(top - minMm < 0.005 - 1e-6 ? { remedy: M.goSixteenthsFromStart } : {}),
      acceptable: true,
    },
  ];
  const tabled = table?.travelMm ?? null;
  if (tabled && (travel(aimMm) < tabled[0] * 0.9 || travel(aimMm) > tabled[1] * 1.1) && !makerGiven) {
    findings.push({
      code: 'target.travel-check',
      verdict: 'caution',
      reason: M.predictedTravelStandsOutsideTabled({
        travel: len(travel(aimMm), 2),
        tabled: num(tabled[0], 2),
        tabled2: len(tabled[1], 2),
      }),
      params: { aimMm: travel(aimMm), tabled: tabled[0], tabled2: tabled[1] },
      source: 'bearing-handbooks',
      remedy: M.checkBoreTaperWhetherShaft,
      acceptable: false,
    });
  }
  return {
    values: {
      ...nothing,
      reductionMinMm: minMm,
      reductionMaxMm: top,
      aimMm,
      residualMinMm: tidy(input.benchMm - top),
      residualMaxMm: tidy(input.benchMm - minMm),
      residualAimMm: tidy(input.benchMm - aimMm),
      travelMinMm: travel(minMm),
      travelMaxMm: travel(top),
      travelAimMm: travel(aimMm),
      nutDegAim,
      nutEighthsAim: nutDegAim / 45,
      possible: true,
    },
    findings,
    working,
    beams: [],
  };
}
