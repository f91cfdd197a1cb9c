import type { Finding, WorkingLine } from '../../judgement/result.ts';
import type { DecisionRule } from '../../metrology/decision.ts';
import type { Hand } from '../../metrology/hand.ts';
import type { GroovePlace } from './groove.ts';
import { M } from './messages.ts';
import type { SeatQuestion } from './seat-limits.ts';

export type DiameterSurveyInput = SeatQuestion & {
  /** Distance of each station along the seat from the first, mm. */
  stationsMm: number[];
  anglesDeg: number[];
  /** diametersMm[station][angle]; null where not yet taken. */
  diametersMm: Array<Array<number | null>>;
  /** Graduation of the micrometer. */
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  /** Standard uncertainty of each place where it was read more than once; the micrometer's own elsewhere. */
  uncertaintiesMm?: Array<Array<number | null>> | undefined;
  /** How often each place was read; once where nothing is said. */
  countsRead?: Array<Array<number>> | undefined;
  rule?: DecisionRule | undefined;
  /** A worn groove: diameters beside it and in it, and what will lie over it. */
  grooveBesideMm?: number | undefined;
  grooveInsideMm?: number | undefined;
  grooveUnder?: GroovePlace | undefined;
  /** What the groove was measured with, where that is not the gauge of the places. */
  grooveGauge?: { resolutionMm: number; hand: Hand | undefined } | undefined;
};

/** One place that was read. */
export type Spot = { station: number; angleDeg: number; mm: number; u: number; count: number };

export const lower = (a: Spot, b: Spot) => (b.mm < a.mm ? b : a);
export const higher = (a: Spot, b: Spot) => (b.mm > a.mm ? b : a);
export const at = (s: Spot) => M.station2({ station: s.station + 1, angle: s.angleDeg });

/** What the judges of one survey share. */
export type Context = {
  input: DiameterSurveyInput;
  spots: Spot[];
  rows: Spot[][];
  formLimitMm: number;
  findings: Finding[];
  working: WorkingLine[];
};
