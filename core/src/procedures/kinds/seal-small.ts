import type { SealSetup } from '../../api/setup.ts';
import { shaftOf } from '../../api/setup.ts';
import type { Finding } from '../../calculators/result.ts';
import { standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { len } from '../../quantities/say.ts';
import { elastomerGuide } from '../../seals/elastomers.ts';
import { purgeGas } from '../../seals/purge.ts';
import { setScrewRule } from '../../seals/set-screws.ts';
import type { StepKind } from '../types.ts';
import { gaugeFindings } from './gauges.ts';
import { itemFindings } from './item-findings.ts';
import { gapPlace, lengthPlace, listedPlace, nextListed, valueAt } from './places-in-order.ts';
import type { RunoutStepValues } from './runout.ts';

/** What is told of the parts before they go on: elastomers by fluid and warmth, set screws by the box’s pressure; then asked. */
export const sealParts: StepKind = {
  quiet: true,
  report(facts, step) {
    const s = facts.setup as SealSetup;
    const guide =
      s.elastomer && s.fluid && s.temperatureC !== undefined
        ? elastomerGuide({ elastomer: s.elastomer, fluid: s.fluid, temperatureC: s.temperatureC })
        : null;
    const screws =
      (s.dogs ?? 0) + (s.cups ?? 0) > 0 && s.boxPressureMpa !== undefined
        ? setScrewRule({
            shaftMm: shaftOf(facts).shaftMm,
            boxPressureMpa: s.boxPressureMpa,
            hardened: s.hardenedScrews === true,
            caseHardened: s.caseHardened,
          })
        : null;
    const asked = itemFindings(facts, step);
    return {
      findings: [...(screws?.findings ?? []), ...(guide?.findings ?? []), ...asked],
      working: [...(screws?.working ?? []), ...(guide?.working ?? [])],
      beams: [],
      values: null,
      next: null,
      act: asked[0]?.reason ?? 'The parts are looked over.',
    };
  },
};

export type PairGapsValues = { aMm: number | null; bMm: number | null; equal: boolean | null };
const splitPlaces = (): Place[] => [
  gapPlace('split/a', 'Gap at one split'),
  gapPlace('split/b', 'Gap at the other split'),
];

/** The gaps at both splits of a halved part: equal within a blade. */
export const splitGaps: StepKind = {
  repeats: true,
  report(facts, step) {
    const [aMm, bMm] = [valueAt(facts, step, 'split/a'), valueAt(facts, step, 'split/b')];
    const used = standing(facts, step.id);
    const blade = Math.max(0.001, ...used.map((r) => r.instrument.step));
    const next = nextListed(facts, step, splitPlaces());
    const equal = aMm === null || bMm === null ? null : Math.abs(aMm - bMm) <= blade + 1e-9;
    const finding: Finding =
      equal === null
        ? {
            code: 'split.open',
            verdict: 'incomplete',
            reason: 'The gaps at both splits are not felt yet.',
            acceptable: false,
          }
        : {
            code: 'split.equal',
            verdict: equal ? 'accept' : 'reject',
            reason: equal
              ? 'Both splits gape alike.'
              : `The splits differ by ${len(Math.abs((aMm ?? 0) - (bMm ?? 0)))}: one side is drawn more.`,
            limit: 'one blade',
            source: 'practice',
            ...(equal ? {} : { remedy: 'Ease the joint screws, draw them side about, feel again.' }),
            acceptable: false,
          };
    return {
      findings: [finding, ...(next ? [] : itemFindings(facts, step)), ...gaugeFindings(used)],
      working: [],
      beams: [],
      values: { aMm, bMm, equal } satisfies PairGapsValues,
      next,
      act: next ? `Feel the ${next.label.toLowerCase()}` : finding.reason,
    };
  },
  place: listedPlace(splitPlaces),
};

export type BaselineValues = { baselineMm: number | null };

/** What later wear is measured against: projection of the pins, or the face from the spacer. Read once, kept with the sheet. */
export const baseline = (label: string): StepKind => {
  const places = (): Place[] => [lengthPlace('baseline', label, -20, 50)];
  return {
    report(facts, step) {
      const baselineMm = valueAt(facts, step, 'baseline');
      const next = nextListed(facts, step, places());
      return {
        findings: [
          baselineMm === null
            ? {
                code: 'baseline',
                verdict: 'incomplete',
                reason: 'The wear’s baseline is not measured yet: it cannot be had later.',
                acceptable: false,
              }
            : {
                code: 'baseline',
                verdict: 'accept',
                reason: `Baseline ${len(baselineMm, 2)}: wear is measured against it.`,
                source: 'practice',
                acceptable: true,
              },
          ...(next ? [] : itemFindings(facts, step)),
          ...gaugeFindings(standing(facts, step.id)),
        ],
        working: [],
        beams: [],
        values: { baselineMm } satisfies BaselineValues,
        next,
        act: next ? `Measure: ${label.toLowerCase()}` : 'The baseline is on the sheet.',
      };
    },
    place: listedPlace(places),
  };
};

export type ThrottleValues = { clearancesMm: Array<number | null>; largestMm: number | null };
const throttlePlaces = (): Place[] =>
  [0, 120, 240].map((deg) => gapPlace(`throttle/${deg}`, `Throttle clearance at ${deg}°`, 2));

/** Clearance of the throttle at three places round. */
export const throttleStep: StepKind = {
  repeats: true,
  report(facts, step) {
    const clearancesMm = throttlePlaces().map((p) => valueAt(facts, step, p.key));
    const read = clearancesMm.filter((c): c is number => c !== null);
    const next = nextListed(facts, step, throttlePlaces());
    const result = next
      ? null
      : purgeGas({ processMpa: processOf(facts), clearancesMm: read, seals: 1, regulators: 1 });
    return {
      findings: [
        ...(result?.findings.filter((f) => f.code === 'purge.throttle') ?? [
          {
            code: 'throttle.open',
            verdict: 'incomplete' as const,
            reason: `${3 - read.length} of 3 clearances are still to be felt.`,
            acceptable: false,
          },
        ]),
        ...(next ? [] : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: [],
      beams: [],
      values: { clearancesMm, largestMm: result?.values.largestMm ?? null } satisfies ThrottleValues,
      next,
      act: next ? `Feel the ${next.label.toLowerCase()}` : 'The throttle fits its shaft.',
    };
  },
  place: listedPlace(throttlePlaces),
};

export type SweepMiddleValues = { middleDeg: [number, number] | null; sweepMm: number | null };

/** Where a shaft stands in the middle of its run-out: a quarter turn either side of the high spot of its first station. */
export const sweepMiddle: StepKind = {
  report(facts, step, carried) {
    const stations = (carried.runout?.values as RunoutStepValues | undefined)?.stations ?? [];
    const swept = stations.find((s) => s.values.highSpotDeg !== null)?.values;
    const high = swept?.highSpotDeg ?? null;
    const middleDeg: [number, number] | null =
      high === null ? null : [Math.round(high + 90) % 360, Math.round(high + 270) % 360];
    const finding: Finding = middleDeg
      ? {
          code: 'centre.middle',
          verdict: 'accept',
          reason: `The shaft stands in the middle of its sweep with its ${middleDeg[0]}° or ${middleDeg[1]}° mark where the high spot was read.`,
          source: 'practice',
          acceptable: true,
        }
      : {
          code: 'centre.middle',
          verdict: 'caution',
          reason: 'The run-out was not measured in this job: the middle of its sweep is not known.',
          source: 'practice',
          remedy: 'Sweep the shaft with an indicator at the stator and stop at the middle reading.',
          acceptable: true,
        };
    return {
      findings: [finding, ...itemFindings(facts, step)],
      working: [],
      beams: [],
      values: { middleDeg, sweepMm: swept?.tirMm ?? null } satisfies SweepMiddleValues,
      next: null,
      act: middleDeg
        ? `Turn the shaft to ${middleDeg[0]}° or ${middleDeg[1]}°, then the three shims`
        : 'Find the middle of the shaft’s sweep, then the three shims',
    };
  },
};

export type GasValues = { gasMpa: number | null; lowMpa: number; highMpa: number };
const gasPlaces = (): Place[] => [
  {
    key: 'gas',
    label: 'Gas at the gauge opposite the inlet',
    kind: 'pressure',
    low: 0,
    high: 20,
    instrumentKinds: ['pressure'],
  },
];

/** The purge gas set over the process, and its own regulator. */
export const gasStep: StepKind = {
  repeats: true,
  report(facts, step) {
    const gasMpa = valueAt(facts, step, 'gas');
    const next = nextListed(facts, step, gasPlaces());
    const result = purgeGas({
      processMpa: processOf(facts),
      gasMpa: gasMpa ?? undefined,
      seals: 1,
      regulators: 1,
    });
    return {
      findings: [
        ...result.findings,
        ...(next ? [] : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: result.working,
      beams: [],
      values: { gasMpa, lowMpa: result.values.lowMpa, highMpa: result.values.highMpa } satisfies GasValues,
      next,
      act: result.findings[0]?.reason ?? '',
    };
  },
  place: listedPlace(gasPlaces),
};

/** @throws RangeError where the setup gives no process pressure; such a setup is refused */
function processOf(facts: Facts): number {
  const { processMpa } = facts.setup as SealSetup;
  if (processMpa === undefined) throw new RangeError('The process pressure is missing.');
  return processMpa;
}
