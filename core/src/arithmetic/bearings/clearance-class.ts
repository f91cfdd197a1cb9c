import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { decide } from '../../metrology/decision.ts';
import { doubtOfMean, type Hand, handOver, spreadOver } from '../../metrology/hand.ts';
import { saySettle, settle } from '../../metrology/settle.ts';
import { mean } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { withMaker } from '../shaft/seat-limits.ts';
import { tidy } from '../shaft/tolerance.ts';
import { type ClearanceClass, classBand, clearanceBands, sayClass } from './clearance-table.ts';
import { M } from './messages.ts';

/** One passage of the feelers: the gap over row A and over row B, mm. */
export type FeelerPair = { rowAMm: number; rowBMm: number };

/** `snug`: the gap as felt. `goes`: the thickest blade that passes, so the gap is half a step more. */
export type Feel = 'snug' | 'goes';

export type ClearanceClassInput = {
  boreMm: number;
  clearanceClass: ClearanceClass;
  /** Pairs of both rows; `set` where they are not counted from one. */
  sets: Array<FeelerPair & { set?: number }>;
  bladeStepMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  feel?: Feel | undefined;
  makerLowerMm?: number | undefined;
  makerUpperMm?: number | undefined;
};

/**
 * What the hand of a bench measuring is known by: its card, and what each row's repeats show. The rows may differ by themselves.
 * The mean of it is of both rows of every set.
 */
export function feltHand({
  sets,
  bladeStepMm,
  hand,
}: Pick<ClearanceClassInput, 'sets' | 'bladeStepMm' | 'hand'>): Hand & { count: number } {
  const rows = [sets.map((s) => s.rowAMm), sets.map((s) => s.rowBMm)];
  return {
    ...handOver(rows, bladeStepMm, hand?.card),
    count: 2 * sets.length,
    scattered: spreadOver(rows.flat(), bladeStepMm),
  };
}

export type ClearanceClassValues = {
  benchMm: number | null;
  standardUncertaintyMm: number | null;
  expandedMm: number | null;
  spreadMm: number | null;
  rowDifferencesMm: number[];
  lowerMm: number;
  upperMm: number;
  /** Where in its class the bench clearance lies: 0 at the lower edge, 1 at the upper; null where the class has no width. */
  placeInClass: number | null;
  likelyClass: ClearanceClass | null;
  sets: number;
  /** What the sets show of the hand, for what is felt after them with the same blades. */
  hand: Hand;
};

/** Sets of feeler pairs wanted before the bench clearance is believed. Common practice, no source. */
export const SETS_WANTED = 3;

/** What is added to a felt gap by the way of feeling. */
export const feelOffset = (feel: Feel | undefined, bladeStepMm: number): number =>
  feel === 'goes' ? bladeStepMm / 2 : 0;

/**
 * Bench clearance from feeler pairs over both rows, against the clearance class stamped on the ring: value = mean of
 * the pair means; rows agree within one blade or the outer ring is tilted; three sets or more.
 * Source: ISO 5753-1 (table from memory); agreement of rows and sets: common practice.
 *
 * @example clearanceClass({ boreMm: 100, clearanceClass: 'CN', bladeStepMm: 0.01, sets: [...] }).values.benchMm
 */
export function clearanceClass(input: ClearanceClassInput): CalculatorResult<ClearanceClassValues> {
  const table = classBand(input.boreMm, input.clearanceClass);
  // A lone limit of the maker's counts too; the table gives the other.
  const maker = input.makerLowerMm !== undefined || input.makerUpperMm !== undefined;
  const { lowerMm, upperMm } = withMaker(table, input.makerLowerMm, input.makerUpperMm);
  const source = maker ? ('maker' as const) : ('iso-5753' as const);
  const limit = M.bore({
    lower: num(lowerMm),
    upper: len(upperMm),
    clearanceClass: sayClass(input.clearanceClass),
    bore: len(input.boreMm, 0),
  });
  const add = feelOffset(input.feel, input.bladeStepMm);
  const pairMeans = input.sets.map((s) => (s.rowAMm + s.rowBMm) / 2 + add);
  const rowDifferencesMm = input.sets.map((s) => tidy(Math.abs(s.rowAMm - s.rowBMm)));
  const findings: Finding[] = [];
  const working: WorkingLine[] = input.sets.map((s, i) => ({
    what: M.set({ i: i + 1 }),
    sum: expr`(${num(s.rowAMm)} + ${num(s.rowBMm)})/2${add ? M.halfBlade({ add: num(add) }) : ''} = ${len(pairMeans[i] ?? 0, 4)}`,
  }));

  const setOf = (i: number): number => input.sets[i]?.set ?? i + 1;
  rowDifferencesMm.forEach((difference, i) => {
    if (difference > input.bladeStepMm + 1e-6) {
      findings.push({
        code: `bench.rows.${setOf(i)}`,
        verdict: 'reject',
        reason: M.setRowsDifferMoreThan({ i: setOf(i), difference: len(difference) }),
        params: { set: setOf(i), difference },
        limit: M.oneBlade({ bladeStep: len(input.bladeStepMm) }),
        source: 'practice',
        remedy: M.squareOuterRingWithdrawSet,
        acceptable: true,
      });
    }
  });

  if (input.sets.length < SETS_WANTED) {
    findings.push({
      code: 'bench.sets',
      verdict: 'incomplete',
      reason: M.moreWantedOnePlaceRollers({ setsWanted: SETS_WANTED - input.sets.length }),
      params: {
        SETS_WANTED: SETS_WANTED - input.sets.length,
        SETS_WANTED2: Boolean(SETS_WANTED - input.sets.length === 1),
      },
      limit: M.sets({ setsWanted: SETS_WANTED }),
      source: 'practice',
      remedy: M.turnRingLittleFeelBoth,
      acceptable: false,
    });
  }
  if (pairMeans.length === 0) {
    return {
      values: {
        benchMm: null,
        standardUncertaintyMm: null,
        expandedMm: null,
        spreadMm: null,
        rowDifferencesMm,
        lowerMm,
        upperMm,
        placeInClass: null,
        likelyClass: null,
        sets: 0,
        hand: {},
      },
      findings,
      working,
      beams: [],
    };
  }

  // What each row's own repeats show of the hand: the rows may differ by themselves.
  const hand = feltHand(input);
  const u = doubtOfMean({ ...hand, stepMm: input.bladeStepMm });
  const benchMm = tidy(mean(pairMeans));
  const spreadMm = tidy(Math.max(...pairMeans) - Math.min(...pairMeans));
  const decision = decide(benchMm, u, { lower: lowerMm, upper: upperMm });
  const nearEdge = decision.verdict === 'too-close' && decision.marginMm >= 0;
  const likelyClass =
    clearanceBands(input.boreMm).find((b) => benchMm >= b.lowerMm && benchMm <= b.upperMm)?.class ?? null;
  working.push(
    {
      what: M.bench,
      sum: M.mean({ count: pairMeans.length, bench: len(benchMm, 4), expanded: len(decision.expanded, 4) }),
    },
    {
      what: COMMON.spread,
      sum: expr`${num(Math.max(...pairMeans), 4)} − ${num(Math.min(...pairMeans), 4)} = ${len(spreadMm, 4)}`,
    },
  );
  if (spreadMm > input.bladeStepMm + 1e-6) {
    findings.push({
      code: 'bench.spread',
      verdict: 'caution',
      reason: M.setsDifferMoreThanOne({ spread: len(spreadMm) }),
      params: { spreadMm },
      limit: M.oneBlade({ bladeStep: len(input.bladeStepMm) }),
      source: 'practice',
      remedy: M.rockRingSoRollersSeat,
      acceptable: false,
    });
  }
  const elsewhere =
    likelyClass && likelyClass !== input.clearanceClass
      ? M.would({ likelyClass: sayClass(likelyClass) })
      : '';
  findings.push({
    code: 'bench.class',
    // Inside its class as felt: what the blades cannot tell is said, and is no reason to stop. It tells classes apart, not a fit.
    verdict: nearEdge ? 'caution' : decision.verdict,
    reason:
      decision.verdict === 'reject'
        ? M.benchClearanceOutClassWrong({ bench: len(benchMm), elsewhere })
        : decision.verdict === 'too-close'
          ? M.benchClearanceStraddlesEdgeClass({ bench: len(benchMm), expanded: len(decision.expanded) })
          : M.benchClearanceLiesClass({ bench: len(benchMm) }),
    params: {
      benchMm: decision.verdict === 'reject' ? benchMm : null,
      elsewhere: decision.verdict === 'reject' ? elsewhere : null,
      benchMm2: decision.verdict === 'reject' ? null : decision.verdict === 'too-close' ? benchMm : null,
      expanded:
        decision.verdict === 'reject' ? null : decision.verdict === 'too-close' ? decision.expanded : null,
      benchMm3: decision.verdict === 'reject' ? null : decision.verdict === 'too-close' ? null : benchMm,
    },
    limit,
    source,
    ...(decision.verdict === 'accept'
      ? {}
      : {
          remedy:
            decision.verdict === 'reject'
              ? M.readClassStampedRingSquare
              : saySettle(
                  settle({ marginMm: decision.marginMm, stepMm: input.bladeStepMm, count: hand.count, hand }),
                  M.bothRows,
                ),
        }),
    acceptable: true,
  });
  return {
    values: {
      benchMm,
      standardUncertaintyMm: u,
      expandedMm: decision.expanded,
      spreadMm,
      rowDifferencesMm,
      lowerMm,
      upperMm,
      placeInClass: upperMm > lowerMm ? (benchMm - lowerMm) / (upperMm - lowerMm) : null,
      likelyClass,
      sets: input.sets.length,
      hand: { card: hand.card, scatterMm: hand.scatterMm, free: hand.free },
    },
    findings,
    working,
    beams: [
      {
        label: COMMON.benchClearance,
        quantity: 'length',
        value: benchMm,
        target: (lowerMm + upperMm) / 2,
        lower: lowerMm,
        upper: upperMm,
        expanded: decision.expanded,
        verdict: nearEdge ? 'caution' : decision.verdict,
        doubt: doubtSaid({
          stepMm: input.bladeStepMm,
          hand,
          marginMm: decision.marginMm,
          where: M.bothRows,
        }),
      },
    ],
  };
}
