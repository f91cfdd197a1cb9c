import { sayStack } from '../../arithmetic/rebuild/gaskets.ts';
import { type EndFloatValues, endFloat } from '../../arithmetic/rebuild/shims.ts';
import { answerTo, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { type GateItem, kindFamily } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { listOf } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand } from '../../steps/in-hand.ts';
import { lengthPlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import { sparesOf, thicknessesOf, type VanePumpSetup } from './setup.ts';

/** A heap of shims, counted thickness by thickness. */
export type Heap = number[];
export type ShimCountValues = {
  thicknessesMm: number[];
  /** As they came off, and as they went back on; null where they are not counted. */
  off: Heap | null;
  on: Heap | null;
  /** The heap that must go back: the one that came off, or by the measured float; null where neither is known. */
  wanted: Heap | null;
};

export const shimCounts = kindFamily<VanePumpSetup, ShimCountValues>('shim-counts');

/** Heaps as they are written down with the answer: “3 2 1”. */
export const writeHeap = (heap: Heap): string => heap.join(' ');
/** A heap read back; null where it is none of this pump's. */
export function readHeap(note: string | undefined, kinds: number): Heap | null {
  const heap = (note ?? '').split(' ');
  return heap.length === kinds && heap.every((n) => /^\d{1,2}$/.test(n) && Number(n) <= 60)
    ? heap.map(Number)
    : null;
}

const heapAt = (facts: Facts<VanePumpSetup>, step: string): Heap | null =>
  readHeap(answerTo(facts, step, 'heaps', 'any')?.note, thicknessesOf(facts.setup).length);

const pieces = (thick: readonly number[], heap: Heap) =>
  thick.map((thicknessMm, i) => ({ thicknessMm, count: heap[i] ?? 0 }));
const sumOf = (thick: readonly number[], heap: Heap): number =>
  thick.reduce((s, t, i) => s + t * (heap[i] ?? 0), 0);

export const HEAP_ITEM: GateItem = {
  id: 'heaps',
  group: COMMON.shims,
  ask: M.howManyEachThickness,
  note: true,
};

/** Shims counted into heaps as they come off this side: the count differs from side to side, and is this side's own. */
export const countedOff = () =>
  shimCounts.kind({
    report(facts, step) {
      const thick = thicknessesOf(facts.setup);
      const off = heapAt(facts, step.id);
      const said = off ? sayStack(pieces(thick, off), off) : '';
      const finding: Finding = off
        ? {
            code: 'shims.off',
            verdict: 'accept',
            reason: M.cameOffTogether({ said, sumOf: len(sumOf(thick, off)) }),
            params: { said, thick: sumOf(thick, off) },
            source: 'practice',
            acceptable: false,
          }
        : {
            code: 'shims.off',
            verdict: 'incomplete',
            reason: M.shimsSideNotCountedYet,
            params: {},
            acceptable: false,
          };
      return {
        findings: [finding],
        working: [],
        beams: [],
        values: { thicknessesMm: thick, off, on: null, wanted: null },
        next: null,
        act: off ? M.countedKeptApartSidesMark : M.countShimsIntoHeapsThickness,
      };
    },
  });

/** The same shims back, or those a measured float asks for: what is missing or too many is found by the count. */
export const countedOn = (offStep: string, floatStep: string | null) =>
  shimCounts.kind({
    report(facts, step, carried) {
      const thick = thicknessesOf(facts.setup);
      const off = heapAt(facts, offStep);
      const on = heapAt(facts, step.id);
      const told = floatStep === null ? null : (shimFloats.valuesOf(carried[floatStep])?.told ?? null);
      const wanted = floatStep === null ? off : (told?.stack?.counts ?? null);
      const sum = on ? sumOf(thick, on) : null;
      const fits =
        told !== null &&
        sum !== null &&
        sum >= told.wantedMm.least - EVEN_MM &&
        sum <= told.wantedMm.most + EVEN_MM;
      const finding = judged(thick, wanted, on, floatStep !== null, fits);
      return {
        findings: [finding],
        working:
          off && on
            ? [
                {
                  what: M.shims,
                  sum: M.off({ sumOf: len(sumOf(thick, off)), sumOf2: len(sumOf(thick, on)) }),
                },
              ]
            : [],
        beams: [],
        values: { thicknessesMm: thick, off, on, wanted },
        next: null,
        act: on ? finding.reason : M.countShimsGoBack,
      };
    },
  });

/** Two heaps are of one thickness. */
const EVEN_MM = 1e-6;

function judged(
  thick: readonly number[],
  wanted: Heap | null,
  on: Heap | null,
  byFloat: boolean,
  fits: boolean,
): Finding {
  if (!on)
    return {
      code: 'shims.on',
      verdict: 'incomplete',
      reason: M.shimsGoBackNotCounted,
      params: {},
      acceptable: false,
    };
  const different = thick.flatMap((t, i) => {
    const d = (on[i] ?? 0) - (wanted?.[i] ?? 0);
    return d === 0 ? [] : [M.of({ d: Math.abs(d), t: len(t), d2: d < 0 ? 'missing' : 'tooMany' })];
  });
  if (fits || (wanted && different.length === 0))
    return {
      code: 'shims.on',
      verdict: 'accept',
      reason: byFloat ? M.heapMeasuredFloatAsks : M.sameShimsAsCameOff,
      params: { byFloat: Boolean(byFloat) },
      source: byFloat ? 'geometry' : 'practice',
      acceptable: false,
    };
  if (byFloat)
    return {
      code: 'shims.on',
      verdict: 'reject',
      reason: M.shimsFloatComesOutWrong({ sumOf: len(sumOf(thick, on)) }),
      params: { thick: sumOf(thick, on) },
      source: 'geometry',
      remedy: wanted
        ? COMMON.put({ pieces: sayStack(pieces(thick, wanted), wanted) })
        : M.measureFloatAgainGetOther,
      acceptable: false,
    };
  return {
    code: 'shims.on',
    verdict: 'reject',
    reason: M.notShimsCameOff({ different: listOf(different, ', ') }),
    params: { value: listOf(different, ', ') },
    source: 'practice',
    remedy: M.lookBenchCapFloorOther,
    acceptable: false,
  };
}

export type ShimFloatValues = { floatMm: number | null; off: Heap; told: EndFloatValues | null };

const floatPlaces = (): Place[] => [lengthPlace('float', M.endFloatPushedPulled, 0, 5)];

const NO_FLOAT: Finding = {
  code: 'float.open',
  verdict: 'incomplete',
  reason: M.floatNotMeasuredYet,
  params: {},
  acceptable: false,
};

/** A float that is wrong is no stop where a heap is known that brings it right: it is put in at the next step. */
const carriedOn = (f: Finding): Finding =>
  f.verdict === 'accept' ? f : { ...f, verdict: 'caution', acceptable: true };

/** A new head or bearing: the cap over the shims that came off, the float felt with a dial, and the heap it asks for. */
export const shimFloats = kindFamily<VanePumpSetup, ShimFloatValues>('shim-float');
export const floatMeasured = (offStep: string) =>
  shimFloats.kind({
    repeats: true,
    report(facts, step) {
      const { setup } = facts;
      const thick = thicknessesOf(setup);
      const off = heapAt(facts, offStep) ?? thick.map(() => 0);
      const spares = sparesOf(setup);
      const floatMm = valueAt(facts, step, 'float');
      const used = standing(facts, step.id);
      const told =
        floatMm === null
          ? null
          : endFloat({
              floatMm,
              stackMm: sumOf(thick, off),
              leastMm: setup.maker.floatMinMm ?? 0,
              mostMm: setup.maker.floatMaxMm ?? 2,
              // Shims lie under the cap: one more lifts it off.
              moreShims: 'looser',
              ...inHand(used, 0.001),
              pieces: thick.map((thicknessMm, i) => ({
                thicknessMm,
                count: Math.min(60, (off[i] ?? 0) + (spares[i] ?? 0)),
              })),
            });
      const heap = told?.values.stack ?? null;
      return {
        findings: [
          ...(told ? told.findings.map((f) => (heap ? carriedOn(f) : f)) : [NO_FLOAT]),
          ...gaugeFindings(used),
        ],
        working: told?.working ?? [],
        beams: told?.beams ?? [],
        values: { floatMm, off, told: told?.values ?? null },
        next: nextListed(facts, step, floatPlaces()),
        act: told ? (told.findings[0]?.reason ?? '') : M.pushShaftHomePullWhat,
      };
    },
    place: listedPlace<VanePumpSetup>(floatPlaces),
  });
