import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { len, num } from '../../quantities/say.ts';

/** From the pressure end outward. */
export const V_RING_PARTS = [
  'bottom-ring',
  'header',
  'pressure-1',
  'pressure-2',
  'adapter',
  'wiper',
] as const;
export type VRingPart = (typeof V_RING_PARTS)[number];
export const PART_NAME: Record<VRingPart, string> = {
  'bottom-ring': 'bottom (junk) ring',
  header: 'header ring',
  'pressure-1': 'pressure ring',
  'pressure-2': 'pressure ring',
  adapter: 'adapter',
  wiper: 'wiper, in the packing nut',
};

export const V_RING_LUBRICATIONS = ['oil', 'grease'] as const;

/** Pressure rings look alike: either may come first. */
const kind = (p: string): string => p.replace(/-\d$/, '');

/** The first part that is out of its place, from the pressure end; null where the order is right. */
export function firstWrong(order: readonly string[]): number | null {
  const at = V_RING_PARTS.findIndex((p, i) => kind(order[i] ?? '') !== kind(p));
  return at < 0 ? null : at;
}

export type PlungerPreloadInput = {
  pitchMm: number;
  /** Turned back from the mark, degrees. */
  backDeg?: number | undefined;
  /** Where the nut ended from the mark: positive past it, negative short of it. */
  endDeg?: number | undefined;
};

export type PlungerPreloadValues = { backMm: number | null; endMm: number | null; withinMm: number };

const BACK_DEG = 270;
const BACK_WITHIN_DEG = 30;
const WITHIN_DEG = 45;

/**
 * Preload of a V-ring set by its mark: backed off three quarters for the plunger, brought back to within an eighth of a turn.
 * Source: common practice, no source; pitch × angle ÷ 360.
 */
export function plungerPreload(input: PlungerPreloadInput): CalculatorResult<PlungerPreloadValues> {
  const mm = (deg: number) => (input.pitchMm * deg) / 360;
  const { backDeg, endDeg } = input;
  const shared = { source: 'practice' as const, acceptable: false };
  const findings: Finding[] = [];
  if (backDeg === undefined)
    findings.push({
      ...shared,
      code: 'plunger.back',
      verdict: 'incomplete',
      reason: 'Not backed off yet: three quarters of a turn, then the plunger.',
    });
  else {
    const off = Math.abs(backDeg - BACK_DEG);
    findings.push({
      ...shared,
      code: 'plunger.back',
      acceptable: true,
      verdict: off <= BACK_WITHIN_DEG ? 'accept' : 'caution',
      reason: `Backed off ${backDeg}°, ${len(mm(backDeg), 2)}.`,
      limit: 'three quarters of a turn',
      ...(off <= BACK_WITHIN_DEG
        ? {}
        : { remedy: 'Enough that the plunger goes in by a soft bar, not so far that the rings part.' }),
    });
  }
  if (endDeg === undefined)
    findings.push({
      ...shared,
      code: 'plunger.end',
      verdict: 'incomplete',
      reason: 'The nut is not back at its mark yet.',
    });
  else
    findings.push({
      ...shared,
      code: 'plunger.end',
      verdict: Math.abs(endDeg) <= WITHIN_DEG + 1e-9 ? 'accept' : 'reject',
      reason: `The nut stands ${Math.abs(endDeg)}° ${endDeg < 0 ? 'short of' : 'past'} its mark, ${len(Math.abs(mm(endDeg)), 2)}.`,
      limit: 'within an eighth of a turn (45°)',
      ...(Math.abs(endDeg) <= WITHIN_DEG
        ? {}
        : {
            remedy: endDeg > 0 ? 'Back to the mark: too much preload burns the set.' : 'On towards the mark.',
          }),
    });
  return {
    values: {
      backMm: backDeg === undefined ? null : mm(backDeg),
      endMm: endDeg === undefined ? null : mm(endDeg),
      withinMm: mm(WITHIN_DEG),
    },
    findings,
    working: [
      {
        what: 'an eighth of a turn',
        sum: `${num(input.pitchMm, 2)} ÷ 8 = ${len(mm(WITHIN_DEG), 3)} of preload`,
      },
      ...(endDeg === undefined
        ? []
        : [
            {
              what: 'off the mark',
              sum: `${num(input.pitchMm, 2)} × ${endDeg} ÷ 360 = ${len(mm(endDeg), 3)}`,
            },
          ]),
    ],
    beams: [],
  };
}
