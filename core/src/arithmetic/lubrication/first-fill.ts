import type { CalculatorResult, Finding } from '../../judgement/result.ts';

import type { FillSchool } from '../../sources/schools.ts';

export type FirstFillInput = {
  boreMm: number;
  outsideMm: number;
  widthMm: number;
  /** Mass of the bearing, for the metal in its envelope. */
  massKg: number;
  speedRpm: number;
  /** Free space of the housing beside the bearing, cm³. */
  housingCm3: number;
  /** Free space of the base up to the underside of the shaft, cm³; for that school. */
  baseCm3?: number | undefined;
  school: FillSchool;
  sealed?: boolean | undefined;
  /** It came greased: then there is no first fill. */
  greased?: boolean | undefined;
  /** Density of the grease, g/cm³, and what one stroke of this gun gives, weighed once. */
  densityGCm3?: number | undefined;
  gramsPerStroke?: number | undefined;
};

export type FirstFillValues = {
  bearingCm3: number;
  housingCm3: number;
  totalCm3: number;
  totalG: number;
  strokes: number | null;
  speedFactor: number;
};

const STEEL_KG_PER_CM3 = 7.85e-3;

/** Share of the housing by speed factor n·dm. Common practice, no source. */
function shareBySpeed(factor: number): { share: number; words: string } {
  if (factor <= 50_000) return { share: 0.85, words: 'two thirds to full' };
  if (factor <= 150_000) return { share: 0.5, words: 'half' };
  if (factor <= 250_000) return { share: 1 / 3, words: 'a third' };
  return { share: 0.25, words: 'a quarter' };
}

type Envelope = { boreMm: number; outsideMm: number; widthMm: number; massKg: number };

/** Of a bearing, cm³: the ring π/4·B·(D² − d²), and what of it is not steel, less m/ρ. */
function spaceOf(b: Envelope): { envelope: number; free: number } {
  const envelope = ((Math.PI / 4) * b.widthMm * (b.outsideMm ** 2 - b.boreMm ** 2)) / 1000;
  return { envelope, free: envelope - b.massKg / STEEL_KG_PER_CM3 };
}

/** Is there any space in a bearing of this size that is not steel? */
export const hasFreeSpace = (b: Envelope): boolean => spaceOf(b).free > 0;

/**
 * First fill of a roller bearing housing: the bearing's free space full, and the housing by one of three schools. Free space of
 * the bearing V = π/4·B·(D² − d²) − m/ρ of steel.
 * Source: geometry; the shares are common practice, no source. The maker's sheet outranks them.
 */
export function firstFill(input: FirstFillInput): CalculatorResult<FirstFillValues> {
  const { envelope, free: bearingCm3 } = spaceOf(input);
  if (!(bearingCm3 > 0))
    throw new RangeError('This mass does not go into this envelope: check bore, outside, width and mass.');
  if (input.baseCm3 !== undefined && input.baseCm3 > input.housingCm3)
    throw new RangeError('The base up to the shaft holds less than the whole housing: check both volumes.');
  const speedFactor = (input.speedRpm * (input.boreMm + input.outsideMm)) / 2;
  const speed = shareBySpeed(speedFactor);
  const share = input.sealed ? 0.8 : 0.3;
  const housingCm3 =
    input.school === 'by-speed'
      ? speed.share * input.housingCm3
      : input.school === 'to-shaft'
        ? (input.baseCm3 ?? input.housingCm3 / 2)
        : share * input.housingCm3;
  const words =
    input.school === 'by-speed'
      ? `${speed.words} of the housing at n·dm ${Math.round(speedFactor)}`
      : input.school === 'to-shaft'
        ? 'the base up to the underside of the shaft'
        : input.sealed
          ? '80 % of the housing, the bearing is sealed'
          : '20 to 40 % of the housing, 30 taken';
  const none = input.greased === true;
  const totalCm3 = none ? 0 : bearingCm3 + housingCm3;
  const totalG = totalCm3 * (input.densityGCm3 ?? 0.9);
  const strokes = input.gramsPerStroke ? Math.round(totalG / input.gramsPerStroke) : null;
  const finding: Finding = none
    ? {
        code: 'first-fill',
        verdict: 'accept',
        reason: 'The unit came greased: no first fill. Only the housing seals get grease.',
        source: 'practice',
        acceptable: true,
      }
    : {
        code: 'first-fill',
        verdict: 'accept',
        reason: `Bearing full, ${bearingCm3.toFixed(0)} cm³, and ${words}, ${housingCm3.toFixed(0)} cm³: ${totalG.toFixed(0)} g in all${strokes === null ? '' : `, ${strokes} strokes`}.`,
        source: 'practice',
        acceptable: true,
      };
  return {
    values: {
      bearingCm3,
      housingCm3: none ? 0 : housingCm3,
      totalCm3,
      totalG,
      strokes: none ? 0 : strokes,
      speedFactor,
    },
    findings: [finding],
    working: [
      {
        what: 'free space of the bearing',
        sum: `π/4 × ${input.widthMm} × (${input.outsideMm}² − ${input.boreMm}²) = ${envelope.toFixed(0)} cm³ − ${input.massKg} kg of steel = ${bearingCm3.toFixed(0)} cm³`,
      },
      {
        what: 'n·dm',
        sum: `${input.speedRpm} × ${(input.boreMm + input.outsideMm) / 2} = ${Math.round(speedFactor)}`,
      },
    ],
    beams: [],
  };
}
