import { elastomerGuide } from '../../arithmetic/seals/elastomers.ts';
import { oRing } from '../../arithmetic/seals/o-ring.ts';
import { purgeGas } from '../../arithmetic/seals/purge.ts';
import { setScrewRule } from '../../arithmetic/seals/set-screws.ts';
import { standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { kindFamily, stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { len } from '../../quantities/say.ts';
import { runoutStep } from '../../steps/condition/runout.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { gapPlace, lengthPlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import type { SealSetup } from './setup.ts';

/** What is told of the parts before they go on: elastomers by fluid and warmth, set screws by the box’s pressure; then asked. */
export const sealParts = stepKind<SealSetup, null>('seal-parts', {
  quiet: true,
  report(facts, step) {
    const s = facts.setup;
    const guide =
      s.elastomer && s.fluid && s.temperatureC !== undefined
        ? elastomerGuide({ elastomer: s.elastomer, fluid: s.fluid, temperatureC: s.temperatureC })
        : null;
    const screws =
      (s.dogs ?? 0) + (s.cups ?? 0) > 0
        ? setScrewRule({
            shaftMm: facts.setup.shaftMm,
            boxPressureMpa: s.boxPressureMpa,
            hardened: s.hardenedScrews === true,
            caseHardened: s.caseHardened,
          })
        : null;
    const ring =
      s.oRingInsideMm && s.oRingSectionMm && s.oRingDepthMm
        ? oRing({
            insideMm: s.oRingInsideMm,
            sectionMm: s.oRingSectionMm,
            depthMm: s.oRingDepthMm,
            seatMm: s.shaftMm,
            // The ring of a component seal creeps along the shaft as the face wears; that of a sleeve stands still.
            use: s.family === 'component' ? 'moving' : 'static',
          })
        : null;
    const asked = itemFindings(facts, step);
    return {
      findings: [
        ...(screws?.findings ?? []),
        ...(guide?.findings ?? []),
        ...(ring?.findings ?? []),
        ...asked,
      ],
      working: [...(screws?.working ?? []), ...(guide?.working ?? []), ...(ring?.working ?? [])],
      beams: [],
      values: null,
      next: null,
      act: asked[0]?.reason ?? 'The parts are looked over.',
    };
  },
});

export type PairGapsValues = { aMm: number | null; bMm: number | null; equal: boolean | null };
const splitPlaces = (): Place[] => [
  gapPlace('split/a', 'Gap at one split'),
  gapPlace('split/b', 'Gap at the other split'),
];

/** The gaps at both splits of a halved part: equal within a blade. */
export const splitGaps = stepKind<SealSetup, PairGapsValues>('seal-split-gaps', {
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
            params: {},
            acceptable: false,
          }
        : {
            code: 'split.equal',
            verdict: equal ? 'accept' : 'reject',
            reason: equal
              ? 'Both splits gape alike.'
              : `The splits differ by ${len(Math.abs((aMm ?? 0) - (bMm ?? 0)))}: one side is drawn more.`,
            params: { aMm: equal ? null : Math.abs((aMm ?? 0) - (bMm ?? 0)) },
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
});

export type BaselineValues = { baselineMm: number | null };

/** What later wear is measured against: projection of the pins, or the face from the spacer. */
export const baselines = kindFamily<SealSetup, BaselineValues>('seal-baseline');

/** Flush within this is a good place; further off a caution, far off a stop. Our own choice. */
const FLUSH_WITHIN_MM = 0.5;
const FLUSH_STOP_MM = 1.5;

/** Is the seal where it should be, by its spacer or by its pins? */
function placeFinding(mm: number, by: 'spacer' | 'pins', { maker }: SealSetup): Finding {
  const { baselineLowerMm: low, baselineUpperMm: high } = maker;
  const shared = { code: 'baseline', acceptable: true } as const;
  const said = `Baseline ${len(mm, 2)}: wear is measured against it.`;
  if (by === 'pins' && mm <= 0)
    return {
      ...shared,
      verdict: 'reject',
      reason: `The pins stand ${mm === 0 ? 'flush' : `${len(Math.abs(mm), 2)} under`}: new, they stand proud.`,
      params: { mm: mm === 0 ? null : Math.abs(mm) },
      source: 'practice',
      remedy:
        'Was the seal drawn in all the way, are the pins in their holes? Flush means the faces are worn out.',
      acceptable: false,
    };
  if (low !== undefined || high !== undefined) {
    const inside = mm >= (low ?? -Infinity) && mm <= (high ?? Infinity);
    const limit = `${low === undefined ? 'no least' : len(low, 2)} to ${high === undefined ? 'no most' : len(high, 2)}`;
    return inside
      ? { ...shared, verdict: 'accept', reason: said, params: { said }, limit, source: 'maker' }
      : {
          ...shared,
          verdict: 'reject',
          reason: `${len(mm, 2)} is outside the maker’s band: the seal does not stand where it should.`,
          params: { mm },
          limit,
          source: 'maker',
          remedy: 'Which surface did the spacer touch? Loosen, set again, measure again.',
        };
  }
  const off = Math.abs(mm);
  if (by === 'pins' || off <= FLUSH_WITHIN_MM + 1e-9)
    return { ...shared, verdict: 'accept', reason: said, params: { said }, source: 'practice' };
  return {
    ...shared,
    verdict: off <= FLUSH_STOP_MM + 1e-9 ? 'caution' : 'reject',
    reason: `${len(mm, 2)} from flush with the spacer: the seal stands ${off <= FLUSH_STOP_MM + 1e-9 ? 'a little' : 'far'} off its place.`,
    params: { mm, off: Boolean(off <= FLUSH_STOP_MM + 1e-9) },
    limit: `flush ± ${len(FLUSH_WITHIN_MM, 2)}, our own choice`,
    source: 'practice',
    remedy: 'Which surface did the spacer touch: the step at the inboard end, or the holder’s back?',
    acceptable: off <= FLUSH_STOP_MM + 1e-9,
  };
}

/** Read once, kept with the sheet; `by` the setting spacer held against the gland, or the locking pins' projection. */
export const baseline = (label: string, by: 'spacer' | 'pins') => {
  const places = (): Place[] => [lengthPlace('baseline', label, -20, 50)];
  return baselines.kind({
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
                params: {},
                acceptable: false,
              }
            : placeFinding(baselineMm, by, facts.setup),
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
  });
};

export type ThrottleValues = {
  clearancesMm: Array<number | null>;
  largestMm: number | null;
  /** Bore less shaft, and how far the shaft stands off the middle. mm. */
  diametralMm: number | null;
  eccentricMm: number | null;
};
const throttlePlaces = (): Place[] =>
  [0, 120, 240].map((deg) => gapPlace(`throttle/${deg}`, `Throttle clearance at ${deg}°`, 2));

/** Clearance of the throttle at three places round. */
export const throttleStep = stepKind<SealSetup, ThrottleValues>('seal-throttle', {
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
            params: { length: 3 - read.length },
            acceptable: false,
          },
        ]),
        ...(next ? [] : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: [],
      beams: [],
      values: {
        clearancesMm,
        largestMm: result?.values.largestMm ?? null,
        diametralMm: result?.values.diametralMm ?? null,
        eccentricMm: result?.values.eccentricMm ?? null,
      } satisfies ThrottleValues,
      next,
      act: next ? `Feel the ${next.label.toLowerCase()}` : 'The throttle fits its shaft.',
    };
  },
  place: listedPlace(throttlePlaces),
});

export type SweepMiddleValues = {
  /** Amplitude of the shaft's own circle and where its high spot stands, degrees from the top; null where it was not measured. */
  circle: { radiusMm: number; highDeg: number } | null;
  /** How much thinner or thicker each of three shims is, at 0°, 120°, 240°, as the shaft stands. mm. */
  shimsMm: number[] | null;
};

/** Where the three shims go, degrees from the top. */
const SHIMS_DEG = [0, 120, 240] as const;

/**
 * Three shims that centre the stator on the axis the shaft turns about, not on the shaft as it stands: its middle runs on a circle,
 * and stands off the axis towards its high spot by the circle's radius. Each shim is thinner by that times the cosine of its angle
 * to the high spot. Geometry.
 */
export const shimsFor = (radiusMm: number, highDeg: number): number[] =>
  SHIMS_DEG.map((deg) => -radiusMm * Math.cos(((deg - highDeg) * Math.PI) / 180));

/** The stator centred on the shaft's axis, by shims that allow for where the shaft stands on its circle. */
export const sweepMiddle = stepKind<SealSetup, SweepMiddleValues>('seal-middle', {
  report(facts, step, carried) {
    const stations = runoutStep.valuesOf(carried.runout)?.stations ?? [];
    const swept = stations.find((s) => s.values.highSpotDeg !== null)?.values;
    const first = swept?.harmonics.find((h) => h.order === 1)?.amplitudeMm;
    const circle =
      swept?.highSpotDeg == null || first === undefined
        ? null
        : { radiusMm: first, highDeg: swept.highSpotDeg };
    const shimsMm = circle ? shimsFor(circle.radiusMm, circle.highDeg) : null;
    const said = shimsMm
      ?.map((mm, i) => `${SHIMS_DEG[i]}°: ${len(Math.abs(mm))} ${mm < 0 ? 'thinner' : 'thicker'}`)
      .join(', ');
    const finding: Finding = said
      ? {
          code: 'centre.middle',
          verdict: 'accept',
          reason: `With its 0° mark on top the shaft stands ${len(circle?.radiusMm ?? 0)} off its axis towards ${Math.round(circle?.highDeg ?? 0)}°. Shims at ${said}.`,
          params: { radiusMm: circle?.radiusMm ?? 0, highDeg: circle?.highDeg ?? 0, said },
          source: 'geometry',
          acceptable: false,
        }
      : {
          code: 'centre.middle',
          verdict: 'caution',
          reason:
            'The run-out was not measured in this job: how far the shaft stands off its axis is not known.',
          params: {},
          source: 'practice',
          remedy:
            'Set it with three equal shims, turn the shaft half round, set it again, and leave it in the middle of both.',
          acceptable: false,
        };
    return {
      findings: [finding, ...itemFindings(facts, step)],
      working: [],
      beams: [],
      values: { circle, shimsMm } satisfies SweepMiddleValues,
      next: null,
      act: said
        ? 'Shaft with its 0° mark on top, then the three shims'
        : 'Three equal shims, twice, half a turn apart',
    };
  },
});

export type GasValues = { gasMpa: number | null; lowMpa: number; highMpa: number };
const gasPlaces = (): Place[] => [
  {
    key: 'gas',
    label: 'Gas at the gauge opposite the inlet',
    quantity: 'pressure',
    low: -0.1,
    high: 20,
    instrumentKinds: ['pressure'],
  },
];

/** The purge gas set over the process, and its own regulator. */
export const gasStep = stepKind<SealSetup, GasValues>('seal-gas', {
  essential: true,
  repeats: true,
  report(facts, step) {
    const gasMpa = valueAt(facts, step, 'gas');
    const next = nextListed(facts, step, gasPlaces());
    const result = purgeGas({
      processMpa: processOf(facts),
      gasMpa: gasMpa ?? undefined,
      mostOverMpa: facts.setup.maker.gasMostOverMpa,
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
});

/** @throws RangeError where the setup gives no process pressure; such a setup is refused */
function processOf(facts: Facts<SealSetup>): number {
  const { processMpa } = facts.setup;
  if (processMpa === undefined) throw new RangeError('The process pressure is missing.');
  return processMpa;
}
