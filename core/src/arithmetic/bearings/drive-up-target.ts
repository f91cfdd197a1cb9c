import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
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
    const missing = minMm === null || tableMaxMm === null ? 'reduction' : 'least residual clearance';
    return {
      values: nothing,
      findings: [
        {
          code: 'target.no-table',
          verdict: 'incomplete',
          reason: `The general tables give no ${missing} for a ${sayClass(input.clearanceClass)} bearing of ${len(input.boreMm, 0)} bore.`,
          params: { missing, clearanceClass: input.clearanceClass, boreMm: input.boreMm },
          remedy: "Type the value from the maker's sheet into the job.",
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
      what: 'reduction',
      sum: `${num(minMm)} to ${len(tableMaxMm)}${table && !makerGiven ? `, bore over ${num(table.overMm, 0)} to ${len(table.uptoMm, 0)}` : ", maker's sheet"}`,
    },
    {
      what: 'least residual',
      sum: `${len(leastMm)}, ${sayClass(input.clearanceClass)}${heatMm > 0 ? `, ${len(heatMm)} of it for a shaft hot inside` : ''}`,
    },
    { what: 'room', sum: `${num(input.benchMm)} − ${num(leastMm)} = ${len(room)} may be taken out` },
  ];
  if (maxMm < minMm - 1e-6) {
    return {
      values: nothing,
      findings: [
        {
          code: 'target.impossible',
          verdict: 'reject',
          reason: `Taking out the least reduction, ${len(minMm)}, would leave ${len(tidy(input.benchMm - minMm))}, under the least residual ${len(leastMm)}.`,
          params: { minMm, benchMm: tidy(input.benchMm - minMm), leastMm },
          limit: `reduction at least ${len(minMm)}, residual at least ${len(leastMm)}`,
          source: limitSource,
          remedy:
            'Feel the bench clearance again; if it stands, this bearing has too little clearance for the place: another class.',
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
      what: 'band',
      sum: `${num(minMm)} to ${len(top)}${top < tableMaxMm ? ', clipped by the least residual' : ''}`,
    },
    { what: 'aim', sum: `${len(aimMm)}: bench stands ${Math.round(place * 100)} % up its class` },
    { what: 'residual', sum: `${num(input.benchMm)} − ${num(aimMm)} = ${len(tidy(input.benchMm - aimMm))}` },
    { what: 'travel', sum: `${input.taper} × ${num(aimMm)} / ${k.toFixed(2)} = ${len(travel(aimMm), 2)}` },
    {
      what: 'nut',
      sum: `${num(travel(aimMm), 2)} / ${num(input.pitchMm, 2)} pitch = ${(nutDegAim / 360).toFixed(2)} turn = ${(nutDegAim / 45).toFixed(1)} eighths`,
    },
  );
  const findings: Finding[] = [
    {
      code: 'target.band',
      verdict: top - minMm < 0.005 - 1e-6 ? 'caution' : 'accept',
      reason:
        top - minMm < 0.005 - 1e-6
          ? `The least residual leaves a band of only ${len(tidy(top - minMm))}: from ${num(minMm)} to ${len(top)}, then stop.`
          : `Take out ${num(minMm)} to ${len(top)}, leaving ${num(tidy(input.benchMm - top))} to ${len(tidy(input.benchMm - minMm))}.`,
      params: {
        top: top - minMm < 0.005 - 1e-6 ? tidy(top - minMm) : null,
        minMm: top - minMm < 0.005 - 1e-6 ? minMm : null,
        top2: top - minMm < 0.005 - 1e-6 ? top : null,
        minMm2: top - minMm < 0.005 - 1e-6 ? null : minMm,
        top3: top - minMm < 0.005 - 1e-6 ? null : top,
        benchMm: top - minMm < 0.005 - 1e-6 ? null : tidy(input.benchMm - top),
        benchMm2: top - minMm < 0.005 - 1e-6 ? null : tidy(input.benchMm - minMm),
      },
      limit: `reduction ${num(minMm)} to ${len(tableMaxMm)}, residual at least ${len(leastMm)}`,
      source: limitSource,
      ...(top - minMm < 0.005 - 1e-6 ? { remedy: 'Go in sixteenths from the start.' } : {}),
      acceptable: true,
    },
  ];
  const tabled = table?.travelMm ?? null;
  if (tabled && (travel(aimMm) < tabled[0] * 0.9 || travel(aimMm) > tabled[1] * 1.1) && !makerGiven) {
    findings.push({
      code: 'target.travel-check',
      verdict: 'caution',
      reason: `The predicted travel ${len(travel(aimMm), 2)} stands outside the tabled drive-up ${num(tabled[0], 2)} to ${len(tabled[1], 2)}.`,
      params: { aimMm: travel(aimMm), tabled: tabled[0], tabled2: tabled[1] },
      source: 'bearing-handbooks',
      remedy: 'Check bore, taper and whether the shaft is hollow; the feelers decide.',
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
