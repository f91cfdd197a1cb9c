import type { CalculatorResult, Finding, WorkingLine } from '../calculators/result.ts';
import { decide } from '../metrology/decision.ts';
import { fitLine } from '../metrology/line.ts';
import { inQuadrature, mean, resolutionUncertainty } from '../metrology/uncertainty.ts';
import { len, num } from '../quantities/say.ts';
import type { SourceId } from '../sources/register.ts';
import { inchCommercialLimits, iso286Limits, itMm, type SizeLimits, tidy } from './tolerance.ts';

export type ShaftSystem = 'metric' | 'inch';

export type DiameterSurveyInput = {
  nominalMm: number;
  system: ShaftSystem;
  /** Distance of each station along the seat from the first, mm. */
  stationsMm: number[];
  anglesDeg: number[];
  /** diametersMm[station][angle]; null where not yet taken. */
  diametersMm: Array<Array<number | null>>;
  /** Graduation of the micrometer. */
  resolutionMm: number;
  /** The maker's size limits, which outrank h9 or the inch band. */
  makerLowerMm?: number | undefined;
  makerUpperMm?: number | undefined;
};

export type DiameterSurveyValues = {
  lowerMm: number;
  upperMm: number;
  formLimitMm: number;
  largestMm: number | null;
  smallestMm: number | null;
  ovalityMm: Array<number | null>;
  stationMeansMm: Array<number | null>;
  taperMmPer100: number | null;
  taperOverSeatMm: number | null;
  formMm: number | null;
  expandedMm: number;
  taken: number;
  wanted: number;
};

function sizeLimits(input: DiameterSurveyInput): { limits: SizeLimits; name: string; source: SourceId } {
  const general =
    input.system === 'inch' ? inchCommercialLimits(input.nominalMm) : iso286Limits(input.nominalMm, 'h9');
  if (input.makerLowerMm !== undefined && input.makerUpperMm !== undefined) {
    const limits = { ...general, lowerMm: input.makerLowerMm, upperMm: input.makerUpperMm };
    return { limits, name: "the maker's band", source: 'maker' };
  }
  return input.system === 'inch'
    ? { limits: general, name: 'the inch commercial band', source: 'practice' }
    : { limits: general, name: 'h9', source: 'iso-286' };
}

const isTaken = (v: number | null | undefined): v is number => typeof v === 'number';

/**
 * Judge a seat for an adapter sleeve from diameters at stations × angles: size (every reading between the limits),
 * out-of-round per station, taper along the seat by least squares of the station means, and form against IT5.
 * Unread places make the survey incomplete; what is read is judged at once.
 * Source: ISO 286 h9 and IT5 for metric shafts, common practice for inch ones; decision by ISO 14253-1.
 */
export function diameterSurvey(input: DiameterSurveyInput): CalculatorResult<DiameterSurveyValues> {
  const { limits, name, source } = sizeLimits(input);
  const rows = input.stationsMm.map((_, s) =>
    input.anglesDeg.map((__, a) => input.diametersMm[s]?.[a] ?? null),
  );
  const taken = rows.flat().filter(isTaken);
  const wanted = input.stationsMm.length * input.anglesDeg.length;
  const u = resolutionUncertainty(input.resolutionMm);
  const uDifference = inQuadrature(u, u);
  const formLimitMm = itMm(input.nominalMm, 5);
  const findings: Finding[] = [];
  const working: WorkingLine[] = [
    { what: 'size', sum: `${num(limits.lowerMm)} to ${len(limits.upperMm)}, ${name}` },
    { what: 'form', sum: `IT5 at ${len(input.nominalMm, 1)} = ${len(formLimitMm)}` },
  ];
  const limitText = `${num(limits.lowerMm)} to ${len(limits.upperMm)} (${name})`;
  const largestMm = taken.length ? Math.max(...taken) : null;
  const smallestMm = taken.length ? Math.min(...taken) : null;

  if (largestMm !== null && smallestMm !== null) {
    const top = decide(largestMm, u, { upper: limits.upperMm });
    const bottom = decide(smallestMm, u, { lower: limits.lowerMm });
    const size = { limit: limitText, source, acceptable: true };
    findings.push({
      ...size,
      code: 'shaft.largest',
      verdict: top.verdict,
      reason:
        top.verdict === 'reject'
          ? `The largest diameter, ${len(largestMm)}, is ${len(largestMm - limits.upperMm)} over: the sleeve will not slide on and cannot be set.`
          : top.verdict === 'too-close'
            ? `The largest diameter, ${len(largestMm)}, is within the micrometer's doubt of the upper limit.`
            : `The largest diameter, ${len(largestMm)}, is under the upper limit.`,
      ...(top.verdict === 'accept'
        ? {}
        : {
            remedy:
              top.verdict === 'reject'
                ? 'File off high spots, then abrasive cloth, and measure again; else another shaft.'
                : 'Repeat that place, or use a finer micrometer.',
          }),
    });
    findings.push({
      ...size,
      code: 'shaft.smallest',
      verdict: bottom.verdict,
      reason:
        bottom.verdict === 'reject'
          ? `The smallest diameter, ${len(smallestMm)}, is ${len(limits.lowerMm - smallestMm)} under: the sleeve closes on itself and loses its grip.`
          : bottom.verdict === 'too-close'
            ? `The smallest diameter, ${len(smallestMm)}, is within the micrometer's doubt of the lower limit.`
            : `The smallest diameter, ${len(smallestMm)}, is over the lower limit.`,
      ...(bottom.verdict === 'accept'
        ? {}
        : {
            remedy:
              bottom.verdict === 'reject'
                ? 'Move the seat, sleeve the shaft, or renew it.'
                : 'Repeat that place, or use a finer micrometer.',
          }),
    });
    working.push({ what: 'largest, smallest', sum: `${num(largestMm)}, ${len(smallestMm)}` });
  }

  const ovalityMm = rows.map((row) => {
    const read = row.filter(isTaken);
    return read.length >= 2 ? tidy(Math.max(...read) - Math.min(...read)) : null;
  });
  ovalityMm.forEach((oval, s) => {
    if (oval === null) return;
    const d = decide(oval, uDifference, { upper: formLimitMm });
    working.push({
      what: `out-of-round, station ${s + 1}`,
      sum: `${num(Math.max(...(rows[s] ?? []).filter(isTaken)))} − ${num(Math.min(...(rows[s] ?? []).filter(isTaken)))} = ${len(oval)}`,
    });
    if (d.verdict !== 'accept') {
      findings.push({
        code: `shaft.ovality.${s + 1}`,
        verdict: d.verdict,
        reason: `Station ${s + 1} is out of round by ${len(oval)}, ${d.verdict === 'reject' ? 'over the form limit' : 'within doubt of the form limit'}.`,
        limit: `${len(formLimitMm)} (IT5)`,
        source: 'iso-286',
        remedy:
          d.verdict === 'reject'
            ? 'Dress the high sides and measure again, or move the seat.'
            : 'Measure that station again, or use a finer micrometer.',
        acceptable: true,
      });
    }
  });

  const stationMeansMm = rows.map((row) =>
    row.every(isTaken) && row.length > 0 ? tidy(mean(row as number[])) : null,
  );
  const trend = stationMeansMm.flatMap((y, s) => (y === null ? [] : [{ x: input.stationsMm[s] ?? 0, y }]));
  const line = fitLine(trend, u / Math.sqrt(Math.max(1, input.anglesDeg.length)));
  const seat = Math.max(...input.stationsMm) - Math.min(...input.stationsMm);
  const taperOverSeatMm = line ? tidy(line.slope * seat) : null;
  const taperMmPer100 = line ? tidy(line.slope * 100) : null;
  if (line && taperOverSeatMm !== null && taperMmPer100 !== null) {
    working.push({
      what: 'taper',
      sum: `${num(taperMmPer100)} per 100 mm × ${len(seat, 0)} = ${len(taperOverSeatMm)} over the seat`,
    });
    const d = decide(Math.abs(taperOverSeatMm), line.slopeUncertainty * seat, { upper: formLimitMm });
    findings.push({
      code: 'shaft.taper',
      verdict: d.verdict,
      reason: `The seat ${taperOverSeatMm >= 0 ? 'grows' : 'shrinks'} by ${len(Math.abs(taperOverSeatMm))} from the first station to the last${d.verdict === 'accept' ? '' : d.verdict === 'reject' ? ', over the form limit' : ', within doubt of the form limit'}.`,
      limit: `${len(formLimitMm)} (IT5)`,
      source: 'iso-286',
      ...(d.verdict === 'accept'
        ? {}
        : { remedy: 'Check the whole seat with straightedge and marking blue; dress or move the seat.' }),
      acceptable: true,
    });
  }

  const formMm =
    largestMm !== null && smallestMm !== null && taken.length > 1 ? tidy(largestMm - smallestMm) : null;
  if (formMm !== null) {
    const d = decide(formMm, uDifference, { upper: formLimitMm });
    working.push({ what: 'form', sum: `${num(largestMm ?? 0)} − ${num(smallestMm ?? 0)} = ${len(formMm)}` });
    findings.push({
      code: 'shaft.form',
      verdict: d.verdict,
      reason: `All diameters lie within ${len(formMm)} of each other${d.verdict === 'accept' ? '.' : d.verdict === 'reject' ? ': the sleeve will not bear evenly.' : ': within doubt of the limit.'}`,
      limit: `${len(formLimitMm)} (IT5)`,
      source: 'iso-286',
      ...(d.verdict === 'accept'
        ? {}
        : {
            remedy: 'Dress and measure again; a local bruise is filed off, a worn seat is moved or sleeved.',
          }),
      acceptable: true,
    });
  }

  if (taken.length === wanted) {
    working.push({
      what: 'not seen',
      sum: 'an odd-lobed shape: two-point measuring passes over it; check in a V-block where it matters',
    });
  } else {
    findings.push({
      code: 'shaft.unread',
      verdict: 'incomplete',
      reason: `${wanted - taken.length} of ${wanted} places are still to be measured.`,
      acceptable: false,
    });
  }
  return {
    values: {
      lowerMm: limits.lowerMm,
      upperMm: limits.upperMm,
      formLimitMm,
      largestMm,
      smallestMm,
      ovalityMm,
      stationMeansMm,
      taperMmPer100,
      taperOverSeatMm,
      formMm,
      expandedMm: tidy(2 * u),
      taken: taken.length,
      wanted,
    },
    findings,
    working,
    beams: surveyBeams(input, limits, largestMm, smallestMm, u),
  };
}

/** Size on one beam: whichever of the largest and smallest reading stands nearer its limit. */
function surveyBeams(
  input: DiameterSurveyInput,
  limits: SizeLimits,
  largestMm: number | null,
  smallestMm: number | null,
  u: number,
): CalculatorResult<DiameterSurveyValues>['beams'] {
  if (largestMm === null || smallestMm === null) return [];
  const value = limits.upperMm - largestMm < smallestMm - limits.lowerMm ? largestMm : smallestMm;
  const both = { lower: limits.lowerMm, upper: limits.upperMm };
  return [
    {
      label: value === largestMm ? 'Largest diameter' : 'Smallest diameter',
      kind: 'length',
      value,
      target: (limits.lowerMm + limits.upperMm) / 2,
      ...both,
      expanded: 2 * u,
      verdict: decide(value, resolutionUncertainty(input.resolutionMm), both).verdict,
    },
  ];
}
