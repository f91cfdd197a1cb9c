import type { Text } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import type { SourceId } from '../../sources/register.ts';
import { M } from './messages.ts';
import { inchCommercialLimits, iso286Limits, itMm, type SizeLimits, tidy } from './tolerance.ts';

export type ShaftSystem = 'metric' | 'inch';

/** What goes on the seat. */
export const SEATS = [
  'adapter-sleeve',
  'mechanical-seal',
  'packing-sleeve',
  'split-race',
  'throttle',
] as const;
export type Seat = (typeof SEATS)[number];

export const SPLIT_RACE_GRADES = ['h6', 'h7', 'h8'] as const;
export type SplitRaceGrade = (typeof SPLIT_RACE_GRADES)[number];

export type SeatQuestion = {
  nominalMm: number;
  system: ShaftSystem;
  seat?: Seat | undefined;
  /** Of a split race mounted direct: by its series and speed. */
  splitRaceGrade?: SplitRaceGrade | undefined;
  /** Bore of a gas-purged throttle, which the shaft must clear. */
  throttleBoreMm?: number | undefined;
  makerLowerMm?: number | undefined;
  makerUpperMm?: number | undefined;
};

export type SeatLimits = {
  limits: SizeLimits;
  name: Text;
  source: SourceId;
  /** What a shaft over or under its limits does to what goes on it. */
  over: Text;
  under: Text;
  /** Fewest places that judge this seat. */
  leastPlaces: number;
};

/** Most diametral clearance of a gas-purged throttle on its shaft. Common practice, no source. */
export const THROTTLE_CLEARANCE_MM = 0.13;

const MEANS: Record<Seat, { over: Text; under: Text }> = {
  'adapter-sleeve': {
    over: M.sleeveWillNotSlideCannot,
    under: M.sleeveClosesItselfLosesGrip,
  },
  'mechanical-seal': {
    over: M.sealWillNotGoO,
    under: M.oRingLeaksDriveTilts,
  },
  'packing-sleeve': {
    over: M.sleeveWillNotGo,
    under: M.sleeveRunsOffCentreUnder,
  },
  'split-race': {
    over: M.jointGapsStayOpenToo,
    under: M.halvesMeetBeforeTheyGrip,
  },
  throttle: { over: M.shaftRubsThrottle, under: M.gasEscapesPastThrottle },
};

function general(q: SeatQuestion, seat: Seat): { limits: SizeLimits; name: Text; source: SourceId } {
  switch (seat) {
    case 'adapter-sleeve':
      return q.system === 'inch'
        ? {
            limits: inchCommercialLimits(q.nominalMm),
            name: M.inchCommercialBand,
            source: 'practice',
          }
        : { limits: iso286Limits(q.nominalMm, 'h9'), name: 'h9', source: 'iso-286' };
    case 'mechanical-seal':
    case 'packing-sleeve': {
      const minus = q.system === 'inch' ? 0.002 * 25.4 : 0.05;
      return { limits: band(q.nominalMm, -minus, 0), name: M.nominalNothingOver, source: 'practice' };
    }
    case 'split-race': {
      const grade = q.splitRaceGrade ?? 'h7';
      return { limits: iso286Limits(q.nominalMm, grade), name: grade, source: 'iso-286' };
    }
    case 'throttle': {
      const bore = q.throttleBoreMm;
      if (bore === undefined) throw new MessageError(M.giveBoreThrottleShaftJudged);
      return {
        limits: band(q.nominalMm, bore - THROTTLE_CLEARANCE_MM - q.nominalMm, bore - q.nominalMm),
        name: M.clearanceThrottleMost({ throttleClearanceMm: THROTTLE_CLEARANCE_MM }),
        source: 'practice',
      };
    }
  }
}

function band(nominalMm: number, lower: number, upper: number): SizeLimits {
  return {
    lowerMm: tidy(nominalMm + lower),
    upperMm: tidy(nominalMm + upper),
    lowerDeviationMm: tidy(lower),
    upperDeviationMm: tidy(upper) + 0,
    itMm: tidy(upper - lower),
  };
}

/**
 * A band with the maker's limits in it: a lone one counts too, and the general one gives the other, as far off as the general band
 * is wide where the two would cross. mm.
 * @throws RangeError where the maker's own two stand in the wrong order
 */
export function withMaker(
  general: { lowerMm: number; upperMm: number },
  makerLowerMm: number | undefined,
  makerUpperMm: number | undefined,
): { lowerMm: number; upperMm: number } {
  const wide = general.upperMm - general.lowerMm;
  const lowerMm =
    makerLowerMm ??
    (makerUpperMm !== undefined && makerUpperMm < general.lowerMm ? makerUpperMm - wide : general.lowerMm);
  const upperMm = makerUpperMm ?? (lowerMm > general.upperMm ? lowerMm + wide : general.upperMm);
  if (lowerMm > upperMm) throw new MessageError(M.makerSLeastStandsAbove);
  return { lowerMm, upperMm };
}

/**
 * Limits of size of a seat by what goes on it; the maker's two values outrank them.
 * Source: ISO 286 h9 (adapter sleeve, metric), h6 to h8 (split race); common practice for the others.
 * @throws RangeError for a size not tabled, or a throttle without its bore
 * @example seatLimits({ nominalMm: 60, system: 'metric', seat: 'mechanical-seal' }).limits.lowerMm // 59.95
 */
export function seatLimits(q: SeatQuestion): SeatLimits {
  const seat = q.seat ?? 'adapter-sleeve';
  const plain = general(q, seat);
  const shared = { ...MEANS[seat], leastPlaces: seat === 'throttle' ? 3 : 2 };
  if (q.makerLowerMm !== undefined || q.makerUpperMm !== undefined) {
    const limits = { ...plain.limits, ...withMaker(plain.limits, q.makerLowerMm, q.makerUpperMm) };
    const both = q.makerLowerMm !== undefined && q.makerUpperMm !== undefined;
    return {
      ...shared,
      limits,
      name: both
        ? M.makerSBand
        : M.makerS({ makerLower: q.makerLowerMm === undefined ? 'most' : 'least', name: plain.name }),
      source: 'maker',
    };
  }
  return { ...shared, ...plain };
}

/** Difference of diameters allowed over a seat: IT5 (ISO 286-1). */
export const formLimitMm = (nominalMm: number): number => itMm(nominalMm, 5);
