import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { decide } from '../../metrology/decision.ts';
import { mean, meanUncertainty, sampleDeviation } from '../../metrology/uncertainty.ts';
import { len, num } from '../../quantities/say.ts';
import { withMaker } from '../shaft/seat-limits.ts';
import { tidy } from '../shaft/tolerance.ts';
import { type ClearanceClass, classBand, clearanceBands, sayClass } from './clearance-table.ts';

/** One passage of the feelers: the gap over row A and over row B, mm. */
export type FeelerPair = { rowAMm: number; rowBMm: number };

/** `snug`: the gap as felt. `goes`: the thickest blade that passes, so the gap is half a step more. */
export type Feel = 'snug' | 'goes';

export type ClearanceClassInput = {
  boreMm: number;
  clearanceClass: ClearanceClass;
  sets: FeelerPair[];
  bladeStepMm: number;
  feel?: Feel | undefined;
  makerLowerMm?: number | undefined;
  makerUpperMm?: number | undefined;
};

export type ClearanceClassValues = {
  benchMm: number | null;
  standardUncertaintyMm: number | null;
  expandedMm: number | null;
  spreadMm: number | null;
  rowDifferencesMm: number[];
  lowerMm: number;
  upperMm: number;
  /** Where in its class the bench clearance lies: 0 at the lower edge, 1 at the upper. */
  placeInClass: number | null;
  likelyClass: ClearanceClass | null;
  sets: number;
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
  const limit = `${num(lowerMm)} to ${len(upperMm)} (${sayClass(input.clearanceClass)}, bore ${len(input.boreMm, 0)})`;
  const add = feelOffset(input.feel, input.bladeStepMm);
  const pairMeans = input.sets.map((s) => (s.rowAMm + s.rowBMm) / 2 + add);
  const rowDifferencesMm = input.sets.map((s) => tidy(Math.abs(s.rowAMm - s.rowBMm)));
  const findings: Finding[] = [];
  const working: WorkingLine[] = input.sets.map((s, i) => ({
    what: `set ${i + 1}`,
    sum: `(${num(s.rowAMm)} + ${num(s.rowBMm)})/2${add ? ` + ${num(add)} half a blade` : ''} = ${len(pairMeans[i] ?? 0, 4)}`,
  }));

  rowDifferencesMm.forEach((difference, i) => {
    if (difference > input.bladeStepMm + 1e-6) {
      findings.push({
        code: `bench.rows.${i + 1}`,
        verdict: 'reject',
        reason: `In set ${i + 1} the rows differ by ${len(difference)}, more than one blade: the outer ring is tilted.`,
        params: { i, difference },
        limit: `${len(input.bladeStepMm)} (one blade)`,
        source: 'practice',
        remedy: 'Square the outer ring, withdraw this set and feel it again.',
        acceptable: true,
      });
    }
  });

  if (input.sets.length < SETS_WANTED) {
    findings.push({
      code: 'bench.sets',
      verdict: 'incomplete',
      reason: `${SETS_WANTED - input.sets.length} more ${SETS_WANTED - input.sets.length === 1 ? 'set' : 'sets'} wanted: one place of the rollers is not the bearing.`,
      params: {
        SETS_WANTED: SETS_WANTED - input.sets.length,
        SETS_WANTED2: Boolean(SETS_WANTED - input.sets.length === 1),
      },
      limit: `${SETS_WANTED} sets`,
      source: 'practice',
      remedy: 'Turn the ring a little and feel both rows again.',
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
      },
      findings,
      working,
      beams: [],
    };
  }

  const felt = input.sets.flatMap((s) => [s.rowAMm, s.rowBMm]);
  const u = meanUncertainty(felt, input.bladeStepMm);
  const benchMm = tidy(mean(pairMeans));
  const spreadMm = tidy(Math.max(...pairMeans) - Math.min(...pairMeans));
  const decision = decide(benchMm, u, { lower: lowerMm, upper: upperMm });
  const likelyClass =
    clearanceBands(input.boreMm).find((b) => benchMm >= b.lowerMm && benchMm <= b.upperMm)?.class ?? null;
  working.push(
    { what: 'bench', sum: `mean of ${pairMeans.length} = ${len(benchMm, 4)} ± ${len(decision.expanded, 4)}` },
    {
      what: 'spread',
      sum: `${num(Math.max(...pairMeans), 4)} − ${num(Math.min(...pairMeans), 4)} = ${len(spreadMm, 4)}`,
    },
  );
  if (spreadMm > input.bladeStepMm + 1e-6) {
    findings.push({
      code: 'bench.spread',
      verdict: 'caution',
      reason: `The sets differ by ${len(spreadMm)}, more than one blade.`,
      params: { spreadMm },
      limit: `${len(input.bladeStepMm)} (one blade)`,
      source: 'practice',
      remedy: 'Rock the ring so that the rollers seat, and take another set.',
      acceptable: false,
    });
  }
  const elsewhere =
    likelyClass && likelyClass !== input.clearanceClass ? ` It would be ${sayClass(likelyClass)}.` : '';
  findings.push({
    code: 'bench.class',
    verdict: decision.verdict,
    reason:
      decision.verdict === 'reject'
        ? `Bench clearance ${len(benchMm)} is out of its class: the wrong bearing, or a wrong reading.${elsewhere}`
        : decision.verdict === 'too-close'
          ? `Bench clearance ${len(benchMm)} ± ${len(decision.expanded)} straddles the edge of its class.`
          : `Bench clearance ${len(benchMm)} lies in its class.`,
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
              ? 'Read the class stamped on the ring, square the outer ring and feel again; do not mount a bearing of another class unasked.'
              : 'Take more sets, or use finer blades.',
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
      placeInClass: (benchMm - lowerMm) / (upperMm - lowerMm),
      likelyClass,
      sets: input.sets.length,
    },
    findings,
    working,
    beams: [
      {
        label: 'Bench clearance',
        quantity: 'length',
        value: benchMm,
        target: (lowerMm + upperMm) / 2,
        lower: lowerMm,
        upper: upperMm,
        expanded: decision.expanded,
        verdict: decision.verdict,
        doubt: doubtSaid({
          count: felt.length,
          stepMm: input.bladeStepMm,
          scatterMm: sampleDeviation(felt),
          marginMm: decision.marginMm,
          where: 'of both rows',
        }),
      },
    ],
  };
}
