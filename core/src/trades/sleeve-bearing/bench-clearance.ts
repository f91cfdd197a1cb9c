import {
  type ClearanceClassValues,
  clearanceClass,
  type FeelerPair,
} from '../../arithmetic/bearings/clearance-class.ts';
import { answerTo, readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { inline } from '../../message/message.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { inHand } from '../../steps/in-hand.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';

export type BenchValues = ClearanceClassValues & {
  bladeStepMm: number;
  pairs: Array<{ set: number; rowAMm: number | null; rowBMm: number | null }>;
};

/** Most sets of feelers anyone takes. */
const SETS_MOST = 12;

/** A row of a set of feelings. */
export const setKeys = placeKey('set{set}/{row:A|B}');
const setKey = (set: number, row: 'A' | 'B') => setKeys.write({ set, row });

/** Feeler pairs over both rows before the bearing goes up its taper: the zero of everything after. */
export const benchClearance = stepKind<SleeveSetup, BenchValues>('bench-clearance', {
  essential: true,
  // Parts are looked over again only where the bearing has been on before.
  asks: (facts, step) => (facts.attempt === 1 ? [] : (step.items ?? [])),
  report(facts, step) {
    const setup = facts.setup;
    const read = standing(facts, step.id);
    const last = Math.max(0, ...read.map((r) => setKeys.read(r.place)?.set ?? 0));
    const pairs = Array.from({ length: last }, (_, i) => ({
      set: i + 1,
      rowAMm: readingAt(facts, step.id, setKey(i + 1, 'A'))?.value ?? null,
      rowBMm: readingAt(facts, step.id, setKey(i + 1, 'B'))?.value ?? null,
    }));
    const sets = pairs.filter((p): p is typeof p & FeelerPair => p.rowAMm !== null && p.rowBMm !== null);
    const { resolutionMm: bladeStepMm, hand } = inHand(read, 0.001);
    const result = clearanceClass({
      boreMm: setup.boreMm,
      clearanceClass: setup.clearanceClass,
      sets,
      bladeStepMm,
      hand,
      feel: setup.feel,
      makerLowerMm: setup.maker.benchLowerMm,
      makerUpperMm: setup.maker.benchUpperMm,
    });
    const half = pairs.find((p) => (p.rowAMm === null) !== (p.rowBMm === null));
    const open =
      pairs.find((p) => p.rowAMm === null && p.rowBMm === null)?.set ?? (last < SETS_MOST ? last + 1 : null);
    const key = half
      ? setKey(half.set, half.rowAMm === null ? 'A' : 'B')
      : open === null
        ? null
        : setKey(open, 'A');
    const next = key ? placeOf(facts, key) : null;
    const extra: Finding[] = half
      ? [
          {
            code: 'bench.half',
            verdict: 'incomplete',
            reason: M.setHasOnlyOneRow({ set: half.set }),
            params: { set: half.set },
            remedy: M.feelOtherRow,
            acceptable: false,
          },
        ]
      : [];
    const enough = !result.findings.some((f) => f.code === 'bench.sets') && !half;
    return {
      findings: [...result.findings, ...extra, ...inspected(facts), ...gaugeFindings(read)],
      working: result.working,
      beams: result.beams,
      values: { ...result.values, bladeStepMm, pairs } satisfies BenchValues,
      next,
      act: enough
        ? M.enoughSetsReadVerdictFeel
        : next
          ? M.feel({ label: inline(next.label, 'first') })
          : COMMON.readVerdict,
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts, key);
    if (!place) return M.thereNoSuchSetHere;
    if (standing(facts, 'driveup').length > 0) return M.bearingTaperBenchClearanceCan;
    if (readingAt(facts, step.id, key)) return COMMON.alreadyHasReadingWithdrawReason({ label: place.label });
    return place;
  },
});

/** After a dismounting, ring and sleeve are looked at before anything is felt anew. */
function inspected(facts: Facts<SleeveSetup>): Finding[] {
  if (facts.attempt === 1) return [];
  const answer = answerTo(facts, 'bench', 'inspected');
  if (answer?.answer === 'yes') return [];
  return [
    {
      code: 'bench.inspected',
      verdict: answer ? 'reject' : 'incomplete',
      reason: answer ? M.ringSleeveShaftDidNot : M.afterDismountingRingSleeveShaft,
      params: { answer: Boolean(answer) },
      remedy: M.lookScoringCracksSpreadSleeve,
      acceptable: false,
    },
  ];
}

function placeOf(facts: Facts<SleeveSetup>, key: string): Place | null {
  const setup = facts.setup;
  const at = setKeys.read(key);
  if (!at || at.set < 1 || at.set > SETS_MOST) return null;
  return {
    key,
    label: M.setRow({ set: at.set, row: at.row }),
    quantity: 'gap',
    low: 0,
    high: Math.max(0.3, setup.boreMm * 0.004),
    instrumentKinds: ['feeler'],
  };
}
