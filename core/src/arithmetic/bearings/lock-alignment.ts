import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { sayNutAngle } from '../../quantities/angle.ts';
import { len, num } from '../../quantities/say.ts';
import { tidy } from '../shaft/tolerance.ts';
import type { TaperRatio } from './clearance-table.ts';
import { M } from './messages.ts';
import { effectiveK, reductionForTravel } from './travel.ts';

/** Slots of a nut or tabs of a washer: a count where they are equally spaced, else their angles in degrees. */
export type Pattern = { count: number } | { anglesDeg: number[] };

export type LockAlignmentInput = {
  boreMm: number;
  taper: TaperRatio;
  pitchMm: number;
  nut: Pattern;
  washer: Pattern;
  /**
   * Forward angle from where the nut stands to the first alignment, measured; left out when unknown. For unequal
   * patterns it is instead the angle from the washer's first tab forward to the nut's first slot.
   */
  forwardDeg?: number | undefined;
  /** A dismount nut goes back to its lock; every other nut forward. */
  way?: 'forward' | 'back' | undefined;
  hollowRatio?: number | undefined;
  /** Measured reduction per degree of nut; the expected one where left out. */
  reductionPerDegMm?: number | undefined;
  reductionNowMm?: number | undefined;
  reductionMinMm?: number | undefined;
  reductionMaxMm?: number | undefined;
  aimMm?: number | undefined;
};

export type Alignment = {
  /** How far the nut goes, forward or back as was asked. */
  forwardDeg: number;
  /** Which slot or hole of the nut meets which tab or hole of its lock, from 1; slot 1 is the one measured from. */
  slot: number;
  tab: number;
  travelMm: number;
  costMm: number;
  reductionMm: number | null;
  inBand: boolean | null;
};

export type LockAlignmentValues = {
  /** Angle between neighbouring alignments; null where they are not equally spaced. */
  spacingDeg: number | null;
  /** The most the nut may have to go forward: from just past an alignment to the next. */
  worstDeg: number;
  worstCostMm: number;
  least: Alignment | null;
  /** Alignments ahead within a turn, nearest first, as far as the band's end and one beyond. */
  ahead: Alignment[];
  best: Alignment | null;
};

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Least common multiple: N slots and M tabs, both equally spaced, meet every 360°/lcm(N, M). Geometry. */
export const lcm = (a: number, b: number): number => (a / gcd(a, b)) * b;

const turn = (deg: number): number => ((deg % 360) + 360) % 360;

/** The angles of a pattern, degrees from its first. */
export function patternAngles(p: Pattern): number[] {
  return 'count' in p
    ? Array.from({ length: p.count }, (_, i) => (360 * i) / p.count)
    : p.anglesDeg.map(turn);
}

/**
 * Every turn of the nut within one revolution that brings a slot to a tab, ascending, and which to which; of several at one
 * angle the lowest numbers.
 * @param slotLeadDeg how far the nut's first slot stands forward of the lock's first tab now
 */
export function lockMeetings(
  nut: Pattern,
  washer: Pattern,
  slotLeadDeg: number,
  way: 'forward' | 'back' = 'forward',
): Array<{ deg: number; slot: number; tab: number }> {
  const at = new Map<number, { deg: number; slot: number; tab: number }>();
  patternAngles(nut).forEach((slot, j) => {
    patternAngles(washer).forEach((tab, i) => {
      const forward = turn(tab - slot - slotLeadDeg);
      const deg = Number((way === 'forward' ? forward : turn(-forward)).toFixed(6)) % 360;
      if (!at.has(deg)) at.set(deg, { deg, slot: j + 1, tab: i + 1 });
    });
  });
  return [...at.values()].sort((a, b) => a.deg - b.deg);
}

/**
 * Every forward turn of the nut within one revolution that brings some slot to some tab, ascending. `slotLeadDeg` is
 * how far the nut's first slot stands forward of the washer's first tab now.
 */
export function forwardAlignments(nut: Pattern, washer: Pattern, slotLeadDeg: number): number[] {
  return lockMeetings(nut, washer, slotLeadDeg).map((m) => m.deg);
}

/** The widest gap between neighbouring angles round a full turn. */
export function widestGap(angles: number[]): number {
  return Math.max(...angles.map((a, i) => (angles[i + 1] ?? 360 + (angles[0] ?? 0)) - a));
}

/**
 * The next places where a tab meets a slot going forward, what each costs in clearance, and which to stop at. The nut
 * that drives the bearing up is tightened to the next alignment and never loosened.
 * Source: geometry; cost = k × pitch × angle / (360 × taper) unless a measured rate is given.
 *
 * @example lockAlignment({ boreMm: 100, taper: 12, pitchMm: 2, nut: { count: 4 }, washer: { count: 17 }, forwardDeg: 3 })
 */
export function lockAlignment(input: LockAlignmentInput): CalculatorResult<LockAlignmentValues> {
  const k = effectiveK(input.boreMm, input.hollowRatio ?? 0);
  const perDeg = input.reductionPerDegMm ?? reductionForTravel(input.pitchMm / 360, input.taper, k);
  const equal = 'count' in input.nut && 'count' in input.washer;
  const spacingDeg =
    'count' in input.nut && 'count' in input.washer ? 360 / lcm(input.nut.count, input.washer.count) : null;
  const worstDeg = spacingDeg ?? widestGap(forwardAlignments(input.nut, input.washer, 0));
  const known = input.forwardDeg !== undefined;
  // Where both are even it is the gap from a slot forward to the next tab that is measured: the slot lies that much behind.
  const leadDeg = equal ? -(input.forwardDeg ?? 0) : (input.forwardDeg ?? 0);
  const way = input.way ?? 'forward';
  const angles = known ? lockMeetings(input.nut, input.washer, leadDeg, way) : [];
  const now = input.reductionNowMm;
  const all = angles.map(({ deg: forwardDeg, slot, tab }): Alignment => {
    // Going back a dismount nut drives nothing.
    const costMm = way === 'back' ? 0 : tidy(perDeg * forwardDeg);
    const reductionMm = now === undefined ? null : tidy(now + costMm);
    const inBand =
      reductionMm === null || input.reductionMaxMm === undefined
        ? null
        : reductionMm <= input.reductionMaxMm + 1e-6 && reductionMm >= (input.reductionMinMm ?? 0) - 1e-6;
    return {
      forwardDeg: Number(forwardDeg.toFixed(3)),
      slot,
      tab,
      travelMm: tidy((input.pitchMm * forwardDeg) / 360),
      costMm,
      reductionMm,
      inBand,
    };
  });
  const beyond = all.findIndex(
    (a) =>
      a.reductionMm !== null && input.reductionMaxMm !== undefined && a.reductionMm > input.reductionMaxMm,
  );
  const ahead = beyond < 0 ? all.slice(0, 12) : all.slice(0, beyond + 1);
  const inBand = all.filter((a) => a.inBand === true);
  const aim = input.aimMm;
  const best =
    inBand.length === 0
      ? null
      : aim === undefined
        ? (inBand[0] ?? null)
        : inBand.reduce((a, b) =>
            Math.abs((b.reductionMm ?? 0) - aim) < Math.abs((a.reductionMm ?? 0) - aim) ? b : a,
          );
  const values: LockAlignmentValues = {
    spacingDeg,
    worstDeg,
    worstCostMm: tidy(perDeg * worstDeg),
    least: ahead[0] ?? null,
    ahead,
    best,
  };
  return {
    values,
    findings: lockFindings(input, values),
    working: lockWorking(input, values, perDeg),
    beams: [],
  };
}

function lockFindings(input: LockAlignmentInput, v: LockAlignmentValues): Finding[] {
  const base = { code: 'lock.next', source: 'geometry' as const, acceptable: true };
  if (!v.least) {
    return [
      {
        ...base,
        verdict: 'caution',
        reason: M.whereNextTabMeetsSlot({ worstCost: len(v.worstCostMm, 4), worst: v.worstDeg.toFixed(1) }),
        params: { worstCostMm: v.worstCostMm, worstDeg: v.worstDeg },
        remedy: M.measureForwardAngleFromSlot,
      },
    ];
  }
  if (input.way === 'back')
    return [
      {
        ...base,
        verdict: 'accept',
        reason: M.slotMeetsTabBack({
          slot: v.least.slot,
          tab: v.least.tab,
          forward: v.least.forwardDeg.toFixed(1),
        }),
        params: { slot: v.least.slot, tab: v.least.tab, forwardDeg: v.least.forwardDeg },
      },
    ];
  const cost = M.forwardCosts({ forward: v.least.forwardDeg.toFixed(1), cost: len(v.least.costMm, 4) });
  if (v.least.reductionMm === null || input.reductionMaxMm === undefined) {
    return [
      {
        ...base,
        verdict: 'accept',
        reason: M.slotMeetsTab({ slot: v.least.slot, tab: v.least.tab, cost }),
        params: { slot: v.least.slot, tab: v.least.tab, cost },
      },
    ];
  }
  const limit = M.to4({
    reductionMin: num(input.reductionMinMm ?? 0),
    reductionMax: len(input.reductionMaxMm),
  });
  if (v.least.reductionMm > input.reductionMaxMm) {
    return [
      {
        ...base,
        verdict: 'reject',
        reason: M.nextTabMeetsSlotWould({ cost, reduction: len(v.least.reductionMm) }),
        params: { cost, reductionMm: v.least.reductionMm },
        limit,
        remedy: M.doNotTurnDoNot,
      },
    ];
  }
  return [
    {
      ...base,
      verdict: 'accept',
      reason: M.nextTabMeetsSlotReduction({
        cost,
        reduction: len(v.least.reductionMm),
        inBand: v.least.inBand ? 'band' : 'stillShortBand',
      }),
      params: { cost, reductionMm: v.least.reductionMm, inBand: Boolean(v.least.inBand) },
      limit,
    },
  ];
}

function lockWorking(input: LockAlignmentInput, v: LockAlignmentValues, perDeg: number): WorkingLine[] {
  const lines: WorkingLine[] = [];
  if (v.spacingDeg !== null && 'count' in input.nut && 'count' in input.washer) {
    lines.push({
      what: M.spacing,
      sum: M.n360Lcm({
        count: input.nut.count,
        count2: input.washer.count,
        spacing: v.spacingDeg.toFixed(2),
      }),
    });
  }
  lines.push({
    what: M.rate,
    sum: M.per10Nut({
      per: len(perDeg * 10, 4),
      reductionPer: input.reductionPerDegMm === undefined ? 'expected' : 'asMeasured',
    }),
  });
  if (v.least)
    lines.push({
      what: M.next,
      sum: M.slotTabRate({
        slot: v.least.slot,
        tab: v.least.tab,
        forward: v.least.forwardDeg.toFixed(1),
        cost: len(v.least.costMm, 4),
      }),
    });
  if (v.best)
    lines.push({
      what: M.bestStop,
      sum: M.reduction3({
        forward: v.best.forwardDeg.toFixed(1),
        forward2: sayNutAngle(v.best.forwardDeg),
        reduction: len(v.best.reductionMm ?? 0),
      }),
    });
  return lines;
}
