import { doubtSaid } from '../../judgement/doubt.ts';
import type { Beam, CalculatorResult, Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { COVERAGE, decide } from '../../metrology/decision.ts';
import { boundedBy, readingUncertainty } from '../../metrology/hand.ts';
import { saySettle, settle } from '../../metrology/settle.ts';
import { mean } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { judgeForm, judgeOvality, judgeTaper } from './diameter-form.ts';
import { at, type Context, type DiameterSurveyInput, higher, lower, type Spot } from './diameter-spots.ts';
import { groove } from './groove.ts';
import { M } from './messages.ts';
import { formLimitMm as formLimitOf, type SeatLimits, seatLimits } from './seat-limits.ts';
import { finestGrade, type SizeLimits, tidy } from './tolerance.ts';

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
  /** Finest ISO grade the spread of all diameters keeps to. */
  formGrade: number | null;
  grooveDepthMm: number | null;
  expandedMm: number;
  taken: number;
  wanted: number;
};

/**
 * Judge a seat from diameters at stations × angles: size by what goes on it (every reading between the limits),
 * out-of-round per station, taper along the seat by least squares of the station means, form against IT5, and a worn
 * groove where one was measured. Unread places make the survey incomplete; what is read is judged at once.
 * Source: limits as in `seatLimits`; IT5 by ISO 286-1; decision by ISO 14253-1.
 * @throws RangeError for a size not tabled
 */
export function diameterSurvey(asked: DiameterSurveyInput): CalculatorResult<DiameterSurveyValues> {
  const read = asked.diametersMm.flat().filter((mm): mm is number => mm !== null);
  const input = { ...asked, hand: boundedBy(read, asked.resolutionMm, asked.hand) };
  const seat = seatLimits(input);
  const { limits, name } = seat;
  const u = readingUncertainty(input.resolutionMm, input.hand);
  const rows = input.stationsMm.map((_, station) =>
    input.anglesDeg.flatMap((angleDeg, a): Spot[] => {
      const mm = input.diametersMm[station]?.[a] ?? null;
      if (mm === null) return [];
      const own = input.uncertaintiesMm?.[station]?.[a];
      return [{ station, angleDeg, mm, u: own ?? u, count: input.countsRead?.[station]?.[a] ?? 1 }];
    }),
  );
  const spots = rows.flat();
  const wanted = input.stationsMm.length * input.anglesDeg.length;
  const formLimitMm = formLimitOf(input.nominalMm);
  const context: Context = {
    input,
    spots,
    rows,
    formLimitMm,
    findings: [],
    working: [
      { what: M.size, sum: M.to({ lower: num(limits.lowerMm), upper: len(limits.upperMm), name }) },
      { what: M.form, sum: M.iT5({ nominal: len(input.nominalMm, 1), formLimit: len(formLimitMm) }) },
    ],
  };
  const { findings, working } = context;
  const largest = spots.length ? spots.reduce(higher) : null;
  const smallest = spots.length ? spots.reduce(lower) : null;
  if (largest && smallest) judgeSize(context, seat, largest, smallest);
  const ovalityMm = rows.map((row, s) => judgeOvality(context, row, s));
  const stationMeansMm = rows.map((row) =>
    row.length === input.anglesDeg.length && row.length > 0 ? tidy(mean(row.map((p) => p.mm))) : null,
  );
  const taper = judgeTaper(context, stationMeansMm, u);
  const formMm = largest && smallest && spots.length > 1 ? judgeForm(context, largest, smallest) : null;
  const grooveDepthMm = judgeGroove(context);
  if (spots.length === wanted) {
    findings.push({
      code: 'shaft.odd-lobes',
      verdict: 'accept',
      reason: M.twoPointMeasuringPassesOver,
      params: {},
      source: 'geometry',
      remedy: M.whereMattersThreeWavesTurn,
      acceptable: false,
    });
    if (input.stationsMm.length < seat.leastPlaces)
      findings.push({
        code: 'shaft.places',
        verdict: 'incomplete',
        reason: M.seatJudgedPlacesAlongMore({ leastPlaces: seat.leastPlaces }),
        params: { leastPlaces: seat.leastPlaces },
        acceptable: false,
      });
  } else {
    findings.push({
      code: 'shaft.unread',
      verdict: 'incomplete',
      reason: M.placesStillMeasured({ wanted: wanted - spots.length, wanted2: wanted }),
      params: { wanted: wanted - spots.length, wanted2: wanted },
      acceptable: false,
    });
  }
  return {
    values: {
      lowerMm: limits.lowerMm,
      upperMm: limits.upperMm,
      formLimitMm,
      largestMm: largest?.mm ?? null,
      smallestMm: smallest?.mm ?? null,
      ovalityMm,
      stationMeansMm,
      ...taper,
      formMm,
      formGrade: formMm === null ? null : finestGrade(input.nominalMm, formMm),
      grooveDepthMm,
      expandedMm: tidy(COVERAGE[input.rule ?? 'k2'] * u),
      taken: spots.length,
      wanted,
    },
    findings,
    working,
    beams: largest && smallest ? sizeBeam(input, limits, largest, smallest) : [],
  };
}

/** What to do about a place too close to a limit, with the number of readings that would settle it. */
function repeatThere({ input }: Context, spot: Spot, marginMm: number): Text {
  return saySettle(
    settle({
      marginMm,
      stepMm: input.resolutionMm,
      count: spot.count,
      hand: input.hand,
      rule: input.rule,
    }),
    M.at({ at: at(spot) }),
  );
}

function judgeSize(context: Context, seat: SeatLimits, largest: Spot, smallest: Spot): void {
  const { findings, working } = context;
  const { lowerMm, upperMm } = seat.limits;
  findings.push(
    judgeEnd(context, seat, largest, {
      name: 'largest',
      limits: { upper: upperMm },
      within: M.underUpperLimit,
      side: 'upper',
      beyond: M.over({ mm: len(largest.mm - upperMm), over: seat.over }),
      remedy: M.fileOffHighSpotsThen,
    }),
    judgeEnd(context, seat, smallest, {
      name: 'smallest',
      limits: { lower: lowerMm },
      within: M.overLowerLimit,
      side: 'lower',
      beyond: M.under({ lower: len(lowerMm - smallest.mm), under: seat.under }),
      remedy: M.moveSeatSleeveShaftRenew,
    }),
  );
  working.push({ what: M.largestSmallest, sum: expr`${num(largest.mm)}, ${len(smallest.mm)}` });
}

type End = {
  name: 'largest' | 'smallest';
  limits: { lower?: number; upper?: number };
  side: 'lower' | 'upper';
  within: Text;
  beyond: Text;
  remedy: Text;
};

/** One end of the sizes against its own limit. */
function judgeEnd(context: Context, seat: SeatLimits, spot: Spot, end: End): Finding {
  const d = decide(spot.mm, spot.u, end.limits, context.input.rule);
  const { lowerMm, upperMm } = seat.limits;
  const said = {
    accept: M.is({ within: end.within }),
    'too-close': M.withinMicrometerSDoubtLimit({ side: end.side }),
    reject: M.is2({ beyond: end.beyond }),
  }[d.verdict];
  return {
    code: `shaft.${end.name}`,
    verdict: d.verdict,
    reason: M.diameter({ name: end.name, mm: len(spot.mm), said }),
    params: { name: end.name, mm: spot.mm, said },
    limit: M.to2({ lower: num(lowerMm), upper: len(upperMm), name: seat.name }),
    source: seat.source,
    acceptable: true,
    ...(d.verdict === 'accept'
      ? {}
      : { remedy: d.verdict === 'reject' ? end.remedy : repeatThere(context, spot, d.marginMm) }),
  };
}

function judgeGroove({ input, findings, working }: Context): number | null {
  if (input.grooveBesideMm === undefined || input.grooveInsideMm === undefined) return null;
  const g = groove({
    besideMm: input.grooveBesideMm,
    insideMm: input.grooveInsideMm,
    under: input.grooveUnder ?? 'moving-o-ring',
    // Each of the two is read once: what the places share of one reader counts, not how often they were read.
    ...(input.grooveGauge ?? {
      resolutionMm: input.resolutionMm,
      hand: { ...input.hand, count: 1, scattered: false },
    }),
  });
  findings.push(g.finding);
  working.push(g.working);
  return g.depthMm;
}

/** Size on one beam: whichever of the largest and smallest reading stands nearer its limit. */
function sizeBeam(input: DiameterSurveyInput, limits: SizeLimits, largest: Spot, smallest: Spot): Beam[] {
  const spot = limits.upperMm - largest.mm < smallest.mm - limits.lowerMm ? largest : smallest;
  const both = { lower: limits.lowerMm, upper: limits.upperMm };
  return [
    {
      label: spot === largest ? M.largestDiameter : M.smallestDiameter,
      quantity: 'length',
      value: spot.mm,
      target: (limits.lowerMm + limits.upperMm) / 2,
      ...both,
      expanded: COVERAGE[input.rule ?? 'k2'] * spot.u,
      verdict: decide(spot.mm, spot.u, both, input.rule).verdict,
      // Read more than once its doubt is its own: what it is made of is not told apart here.
      ...(spot.u === readingUncertainty(input.resolutionMm, input.hand)
        ? {
            doubt: doubtSaid({
              stepMm: input.resolutionMm,
              hand: input.hand,
              marginMm: decide(spot.mm, spot.u, both, input.rule).marginMm,
              rule: input.rule,
              where: M.place,
            }),
          }
        : {}),
    },
  ];
}
