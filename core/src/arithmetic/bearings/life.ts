import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { M } from './messages.ts';

export type LifeInput = {
  kind: 'ball' | 'roller';
  /** Basic dynamic load rating, kN, by the maker. */
  ratingKn: number;
  radialKn: number;
  axialKn?: number | undefined;
  /** Factors of the load, by the maker; wanted where there is an axial load. */
  x?: number | undefined;
  y?: number | undefined;
  speedRpm: number;
  /** Of a hundred bearings so many reach it; 90 where left out. */
  reliability?: number | undefined;
  /** What is wanted, h. */
  wantedHours?: number | undefined;
};

export type LifeValues = { loadKn: number; millions: number; hours: number };

/** By the number that reach it. Source: ISO 281:2007, table 12, from memory. */
const A1: ReadonlyArray<readonly [reliability: number, factor: number]> = [
  [90, 1],
  [95, 0.64],
  [96, 0.55],
  [97, 0.47],
  [98, 0.37],
  [99, 0.25],
];

/** How the lives of one kind of bearing are spread. Source: ISO 281, slope of its Weibull line, from memory. */
const SLOPE = 1.5;

/**
 * Of a hundred bearings so many are gone by fatigue alone once they ran so long.
 * Source: ISO 281, two-parameter Weibull through L₁₀, from memory.
 * @example goneBy(10_000, 10_000) // 10
 */
export const goneBy = (hours: number, l10Hours: number): number =>
  100 * (1 - 0.9 ** ((hours / l10Hours) ** SLOPE));

/**
 * Basic rating life from load and speed: L₁₀ = (C/P)^p million turns, p = 3 for balls and 10/3 for rollers, times a₁ for another
 * reliability. Dirt, grease and a warm bearing shorten it; that is not in here.
 * Source: ISO 281, from memory.
 * @throws RangeError for a reliability not tabled, or an axial load without the maker’s factors
 * @example bearingLife({ kind: 'ball', ratingKn: 35.1, radialKn: 5, speedRpm: 1000 }).values.hours // about 5766
 */
export function bearingLife(input: LifeInput): CalculatorResult<LifeValues> {
  const reliability = input.reliability ?? 90;
  const a1 = A1.find(([r]) => r === reliability)?.[1];
  if (a1 === undefined) throw new MessageError(M.reliabilityTabled909596);
  if ((input.axialKn ?? 0) > 0 && (input.x === undefined || input.y === undefined))
    throw new MessageError(M.axialWantsFactors);
  // With little axial load the radial alone counts.
  const loadKn = Math.max(
    input.radialKn,
    (input.x ?? 1) * input.radialKn + (input.y ?? 0) * (input.axialKn ?? 0),
  );
  const p = input.kind === 'ball' ? 3 : 10 / 3;
  const millions = a1 * (input.ratingKn / loadKn) ** p;
  const hours = (millions * 1e6) / (60 * input.speedRpm);
  const said = hours >= 100_000 ? M.over100000 : hours.toFixed(0);
  const short = input.wantedHours !== undefined && hours < input.wantedHours;
  const shared = { source: 'iso-281' as const, acceptable: true };
  const findings: Finding[] = [
    {
      ...shared,
      code: 'life',
      verdict: short ? 'reject' : 'accept',
      reason: M.hundredReachHKNMinute({
        reliability,
        said,
        loadKn: loadKn.toFixed(1),
        speedRpm: input.speedRpm,
      }),
      params: { reliability, said, loadKn, speedRpm: input.speedRpm },
      ...(input.wantedHours !== undefined ? { limit: `${input.wantedHours} h` } : {}),
      ...(short ? { remedy: M.largerRatingLessLoadShorter } : {}),
    },
  ];
  if (loadKn > input.ratingKn / 2)
    findings.push({
      ...shared,
      code: 'life.heavy',
      verdict: 'caution',
      reason: M.loadOverHalfRatingRule,
      params: {},
      remedy: M.askMakerLookStaticRating,
    });
  return {
    values: { loadKn, millions, hours },
    findings,
    working: [
      { what: M.load, sum: M.kN({ loadKn: loadKn.toFixed(2) }) },
      {
        what: M.life,
        sum: M.millionTurns({
          a1,
          ratingKn: input.ratingKn,
          loadKn: loadKn.toFixed(2),
          kind: input.kind === 'ball' ? 'n3' : 'n103',
          millions: millions.toFixed(1),
        }),
      },
      {
        what: M.hours,
        sum: M.million60({
          millions: millions.toFixed(1),
          speedRpm: input.speedRpm,
          hours: hours.toFixed(0),
        }),
      },
    ],
    beams: [],
  };
}
