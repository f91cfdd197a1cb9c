import { elastomerGuide } from '../../arithmetic/seals/elastomers.ts';
import { oRing } from '../../arithmetic/seals/o-ring.ts';
import { purgeGas } from '../../arithmetic/seals/purge.ts';
import { setScrewRule } from '../../arithmetic/seals/set-screws.ts';
import { goesTo } from '../../engine/depth.ts';
import { standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { kindFamily, stepKind } from '../../engine/step.ts';
import { aboutEqual } from '../../judgement/about-equal.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline, listOf } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len } from '../../quantities/say.ts';
import { runoutStep } from '../../steps/condition/runout.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { gapPlace, lengthPlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';

/** Nobody has said what the O-rings have to stand: they cannot be compared with it. */
const fluidNotGiven = ({ elastomer, fluid }: SealSetup): Finding => ({
  code: 'parts.fluid',
  verdict: 'caution',
  reason: M.elastomerNotCompared({
    missing: elastomer === undefined ? 'elastomer' : fluid === undefined ? 'fluid' : 'temperature',
  }),
  params: { elastomer: elastomer ?? null, fluid: fluid ?? null },
  source: 'practice',
  remedy: M.giveElastomerFluidTemperature,
  acceptable: true,
});

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
        ...(guide?.findings ?? [fluidNotGiven(s)]),
        ...(ring?.findings ?? []),
        ...asked,
      ],
      working: [...(screws?.working ?? []), ...(guide?.working ?? []), ...(ring?.working ?? [])],
      beams: [],
      values: null,
      next: null,
      act: asked[0]?.reason ?? COMMON.partsLookedOver,
    };
  },
});

export type PairGapsValues = { aMm: number | null; bMm: number | null; equal: boolean | null };
const splitPlaces = (): Place[] => [gapPlace('split/a', M.gapOneSplit), gapPlace('split/b', M.gapOtherSplit)];

/** Gaps of a split seal are alike within a tenth of their mean; to a quarter it is a caution. Common practice, no source. */
const SPLIT_SHARES = { alike: 0.1, caution: 0.25 } as const;

/** The gaps at both splits of a halved part: seen to be equal, and judged by blade where they were felt. */
export const splitGaps = stepKind<SealSetup, PairGapsValues>('seal-split-gaps', {
  repeats: true,
  report(facts, step) {
    const [aMm, bMm] = [valueAt(facts, step, 'split/a'), valueAt(facts, step, 'split/b')];
    const used = standing(facts, step.id);
    const blade = Math.max(0, ...used.map((r) => r.instrument.step));
    const judged =
      aMm === null || bMm === null
        ? null
        : aboutEqual([aMm, bMm], blade, SPLIT_SHARES, {
            code: 'split.equal',
            alike: M.gapsAtSplitsEqual,
            unlike: M.oneSideTightenedMore,
            remedy: M.easeJointScrewsTightenAlternately,
          });
    // Seen to be equal is enough; one gap that was felt wants the other. Both are felt at the thorough depth.
    const open = splitPlaces().filter((p) => valueAt(facts, step, p.key) === null);
    const measured = goesTo(facts.setup, 'thorough');
    const half = measured || open.length === 1 ? (open[0] ?? null) : null;
    const findings: Finding[] = [
      ...(judged ? [judged] : []),
      ...(half
        ? [
            {
              code: 'split.open',
              verdict: 'incomplete' as const,
              reason: open.length === 2 ? M.splitGapsNotFelt : M.otherSplitNotFelt,
              params: {},
              acceptable: false,
            },
          ]
        : []),
    ];
    return {
      findings: [...findings, ...itemFindings(facts, step), ...gaugeFindings(used)],
      working: [],
      beams: [],
      values: { aMm, bMm, equal: judged ? judged.verdict === 'accept' : null } satisfies PairGapsValues,
      next: half,
      choices:
        goesTo(facts.setup, 'standard') && !measured ? open.map((p) => ({ key: p.key, label: p.label })) : [],
      act: half
        ? COMMON.feel({ label: inline(half.label) })
        : judged && judged.verdict !== 'accept'
          ? judged.reason
          : M.lookAtBothSplits,
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
  const said = M.baselineWearMeasuredAgainst({ mm: len(mm, 2) });
  if (by === 'pins' && mm <= 0)
    return {
      ...shared,
      verdict: 'reject',
      reason: M.pinsStandNewTheyStand({
        mm: mm === 0 ? COMMON.flush : M.under({ mm: len(Math.abs(mm), 2) }),
      }),
      params: { mm: mm === 0 ? null : Math.abs(mm) },
      source: 'practice',
      remedy: M.sealDrawnAllWayPins,
      acceptable: false,
    };
  if (low !== undefined || high !== undefined) {
    const inside = mm >= (low ?? -Infinity) && mm <= (high ?? Infinity);
    const limit = M.to({
      low: low === undefined ? COMMON.noLeast : len(low, 2),
      high: high === undefined ? COMMON.noMost : len(high, 2),
    });
    return inside
      ? { ...shared, verdict: 'accept', reason: said, params: { said }, limit, source: 'maker' }
      : {
          ...shared,
          verdict: 'reject',
          reason: M.outsideMakersBandSealDoes({ mm: len(mm, 2) }),
          params: { mm },
          limit,
          source: 'maker',
          remedy: M.whichSurfaceDidSpacerTouch,
        };
  }
  const off = Math.abs(mm);
  if (by === 'pins' || off <= FLUSH_WITHIN_MM + 1e-9)
    return { ...shared, verdict: 'accept', reason: said, params: { said }, source: 'practice' };
  return {
    ...shared,
    verdict: off <= FLUSH_STOP_MM + 1e-9 ? 'caution' : 'reject',
    reason: M.fromFlushSpacerSealStands({
      mm: len(mm, 2),
      off: off <= FLUSH_STOP_MM + 1e-9 ? 'little' : 'far',
    }),
    params: { mm, off: Boolean(off <= FLUSH_STOP_MM + 1e-9) },
    limit: M.flushOurOwnChoice({ flushWithinMm: len(FLUSH_WITHIN_MM, 2) }),
    source: 'practice',
    remedy: M.whichSurfaceDidSpacerTouch2,
    acceptable: off <= FLUSH_STOP_MM + 1e-9,
  };
}

/** Read once, kept with the sheet; `by` the setting spacer held against the gland, or the locking pins' projection. */
export const baseline = (label: Text, by: 'spacer' | 'pins') => {
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
                reason: M.wearsBaselineNotMeasuredYet,
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
        act: next ? COMMON.measure({ label: inline(label) }) : M.baselineSheet,
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
  [0, 120, 240].map((deg) => gapPlace(`throttle/${deg}`, M.throttleClearance({ deg }), 2));

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
            reason: M.n3ClearancesStillFelt({ count: 3 - read.length }),
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
      act: next ? COMMON.feel({ label: inline(next.label) }) : M.throttleFitsShaft,
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
      ? listOf(
          shimsMm.map((mm, i) =>
            M.shimAt({ deg: SHIMS_DEG[i], by: len(Math.abs(mm)), way: mm < 0 ? 'thinner' : 'thicker' }),
          ),
          ', ',
        )
      : undefined;
    const swing = stations.find((x) => x.values.tirMm !== null)?.values.tirMm ?? null;
    const shared = { code: 'centre.middle', acceptable: false } as const;
    const finding: Finding = said
      ? {
          ...shared,
          verdict: 'accept',
          reason: M.n0MarkTopShaftStands({
            radius: len(circle?.radiusMm ?? 0),
            high: Math.round(circle?.highDeg ?? 0),
            said,
          }),
          params: { radiusMm: circle?.radiusMm ?? 0, highDeg: circle?.highDeg ?? 0, said },
          source: 'geometry',
        }
      : swing !== null
        ? {
            ...shared,
            verdict: 'accept',
            reason: M.centreInMiddleOfSwing({ swing: len(swing) }),
            params: { swing },
            source: 'practice',
          }
        : {
            ...shared,
            verdict: goesTo(facts.setup, 'standard') ? 'caution' : 'accept',
            reason: M.threeEqualKeysCentreShaftAsStands,
            params: {},
            source: 'practice',
          };
    return {
      findings: [finding, ...itemFindings(facts, step)],
      working: [],
      beams: [],
      values: { circle, shimsMm } satisfies SweepMiddleValues,
      next: null,
      act: said ? M.shaft0MarkTopThen : M.threeEqualKeysBetween,
    };
  },
});

export type GasValues = { gasMpa: number | null; lowMpa: number; highMpa: number };
const gasPlaces = (): Place[] => [
  {
    key: 'gas',
    label: M.gasGaugeOppositeInlet,
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
  if (processMpa === undefined) throw new MessageError(M.processPressureMissing);
  return processMpa;
}
