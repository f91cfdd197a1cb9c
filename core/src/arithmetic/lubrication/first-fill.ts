import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import type { FillMethod } from './fill-method.ts';
import { M } from './messages.ts';

export type FirstFillInput = {
  boreMm: number;
  outsideMm?: number | undefined;
  widthMm?: number | undefined;
  /** Mass of the bearing, for the metal in its envelope. */
  massKg?: number | undefined;
  speedRpm?: number | undefined;
  /** Free space of the housing beside the bearing, cm³. */
  housingCm3?: number | undefined;
  /** Free space of the base up to the underside of the shaft, cm³; for that school. */
  baseCm3?: number | undefined;
  school: FillMethod;
  sealed?: boolean | undefined;
  /** It came greased: then there is no first fill. */
  greased?: boolean | undefined;
  /** It runs in an oil bath: no grease goes in. */
  oil?: boolean | undefined;
  /** Grease by the maker's sheet, g: outranks every share. */
  sheetG?: number | undefined;
  /** Density of the grease, g/cm³, and what one stroke of this gun gives, weighed once. */
  densityGCm3?: number | undefined;
  gramsPerStroke?: number | undefined;
};

export type FirstFillValues = {
  /** Null where the school sees it and does not reckon. */
  bearingCm3: number | null;
  housingCm3: number | null;
  totalCm3: number | null;
  totalG: number | null;
  strokes: number | null;
  speedFactor: number | null;
};

const STEEL_KG_PER_CM3 = 7.85e-3;

/** Share of the housing by speed factor n·dm. Common practice, no source. */
function shareBySpeed(factor: number): { share: number; words: Text } {
  if (factor <= 50_000) return { share: 0.85, words: M.twoThirdsFull };
  if (factor <= 150_000) return { share: 0.5, words: M.half };
  if (factor <= 250_000) return { share: 1 / 3, words: M.third };
  return { share: 0.25, words: M.quarter };
}

type Envelope = {
  boreMm: number;
  outsideMm?: number | undefined;
  widthMm?: number | undefined;
  massKg?: number | undefined;
};

/** Of a bearing, cm³: the ring π/4·B·(D² − d²), and what of it is not steel, less m/ρ. Null where its sizes are not known. */
function spaceOf({
  boreMm,
  outsideMm,
  widthMm,
  massKg,
}: Envelope): { envelope: number; free: number } | null {
  if (outsideMm === undefined || widthMm === undefined || massKg === undefined) return null;
  const envelope = ((Math.PI / 4) * widthMm * (outsideMm ** 2 - boreMm ** 2)) / 1000;
  return { envelope, free: envelope - massKg / STEEL_KG_PER_CM3 };
}

/** Is there any space in a bearing of this size that is not steel? Null where its sizes are not known. */
export const hasFreeSpace = (b: Envelope): boolean | null => {
  const space = spaceOf(b);
  return space && space.free > 0;
};

/** Is the base, where this school fills it, no larger than the whole housing? */
export const baseFits = (g: Pick<FirstFillInput, 'school' | 'baseCm3' | 'housingCm3'>): boolean =>
  g.school !== 'to-shaft' ||
  !(g.baseCm3 !== undefined && g.housingCm3 !== undefined && g.baseCm3 > g.housingCm3);

/** What goes into the housing beside the bearing, cm³, and how that is said; null where its numbers are not known, and the share is seen. */
function housingBy(input: FirstFillInput): { cm3: number | null; words: Text; factor: number | null } {
  const factor =
    input.speedRpm === undefined || input.outsideMm === undefined
      ? null
      : (input.speedRpm * (input.boreMm + input.outsideMm)) / 2;
  const { housingCm3: whole } = input;
  if (input.school === 'to-shaft')
    return { cm3: input.baseCm3 ?? null, words: M.baseLevelShaftsUnderside, factor };
  // Sealed bearings carry their own: the housing is filled nearly whole.
  if (input.sealed)
    return { cm3: whole === undefined ? null : 0.8 * whole, words: M.n80HousingBearingSealed, factor };
  if (whole === undefined || (input.school === 'by-speed' && factor === null))
    return { cm3: null, words: M.n2040Housing30Taken, factor };
  if (input.school === 'by-speed') {
    const { share, words } = shareBySpeed(factor ?? 0);
    return {
      cm3: share * whole,
      words: M.housingNDm({ words, factor: Math.round(factor ?? 0) }),
      factor,
    };
  }
  return { cm3: 0.3 * whole, words: M.n2040Housing30Taken, factor };
}

/**
 * First fill of a roller bearing housing: the bearing's free space full, and the housing by one of three schools. Free space of
 * the bearing V = π/4·B·(D² − d²) − m/ρ of steel. Base to the shaft's underside is seen: it wants no volume, and then none is told.
 * Source: geometry; the shares are common practice, no source. The maker's sheet outranks them.
 * @throws RangeError where sizes cannot be, or the school's own numbers are missing
 */
export function firstFill(input: FirstFillInput): CalculatorResult<FirstFillValues> {
  const space = spaceOf(input);
  if (space && !(space.free > 0)) throw new MessageError(M.massDoesNotGoInto);
  if (!baseFits(input)) throw new MessageError(COMMON.baseUpShaftHoldsLess);
  const housing = housingBy(input);
  const none = input.greased === true || input.oil === true;
  const bearingCm3 = space?.free ?? null;
  const housingCm3 = none ? 0 : housing.cm3;
  const totalCm3 = none ? 0 : bearingCm3 === null || housingCm3 === null ? null : bearingCm3 + housingCm3;
  const sheetG = none ? undefined : input.sheetG;
  const totalG = sheetG ?? (totalCm3 === null ? null : totalCm3 * (input.densityGCm3 ?? 0.9));
  const strokes = totalG === null || !input.gramsPerStroke ? null : Math.round(totalG / input.gramsPerStroke);
  const cm3 = (v: number | null) => (v === null ? '' : M.cm({ v: v.toFixed(0) }));
  const inAll =
    totalG === null
      ? ''
      : M.gAll({ totalG: totalG.toFixed(0), strokes: strokes === null ? '' : M.strokes({ strokes }) });
  const finding: Finding = {
    code: 'first-fill',
    verdict: 'accept',
    reason: input.oil
      ? M.oilBathNoGrease
      : none
        ? M.unitCameGreasedNoFirst
        : sheetG !== undefined
          ? M.greaseBySheet({
              grams: sheetG.toFixed(0),
              strokes: strokes === null ? '' : M.strokes({ strokes }),
            })
          : M.bearingFull({ cm3: cm3(bearingCm3), words: housing.words, cm32: cm3(housingCm3), inAll }),
    params: {
      bearingCm3: none ? null : cm3(bearingCm3),
      words: none ? null : housing.words,
      housingCm3: none ? null : cm3(housingCm3),
      inAll: none ? null : inAll,
    },
    source: sheetG === undefined ? 'practice' : 'maker',
    acceptable: false,
  };
  return {
    values: {
      bearingCm3,
      housingCm3,
      totalCm3,
      totalG,
      strokes: none ? 0 : strokes,
      speedFactor: housing.factor,
    },
    findings: [finding],
    working: [
      ...(space
        ? [
            {
              what: M.freeSpaceBearing,
              sum: M.n4CmKgSteelCm({
                width: input.widthMm,
                outside: input.outsideMm,
                bore: input.boreMm,
                envelope: space.envelope.toFixed(0),
                massKg: input.massKg,
                free: space.free.toFixed(0),
              }),
            },
          ]
        : []),
      ...(housing.factor === null
        ? []
        : [
            {
              what: M.nDm,
              sum: `${input.speedRpm} × ${(input.boreMm + (input.outsideMm ?? 0)) / 2} = ${Math.round(housing.factor)}`,
            },
          ]),
    ],
    beams: [],
  };
}
