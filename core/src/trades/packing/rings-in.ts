import type { PackingRingsValues } from '../../arithmetic/packing/rings.ts';
import { standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Place, Reading } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { rowOf } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { anglePlace } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import { ringsOf } from './plan.ts';
import type { PackingSetup } from './setup.ts';

/** A ring, 1 innermost. */
export const ringKey = placeKey('ring/{n}');

export type RingsStepValues = { plan: PackingRingsValues; jointsDeg: number[]; staggerDeg: number };

/** A joint stands so far from the last one at the least. Common practice, no source. */
const STAGGER_WITHIN_DEG = 20;

/** Ring by ring to the bottom of the box, each seated on its own, its joint off the one before. */
export const ringsLoop = stepKind<PackingSetup, RingsStepValues>('packing-rings', {
  essential: true,
  report(facts, step) {
    const plan = ringsOf(facts).values;
    const stagger = facts.setup.staggerDeg;
    const taken = standing(facts, step.id);
    const jointsDeg = inOrder(taken).map((r) => r.value);
    const missing = plan.count - jointsDeg.length;
    const findings: Finding[] = jointsDeg.flatMap((deg, i) => staggered(jointsDeg, i, deg, stagger));
    if (missing > 0)
      findings.push({
        code: 'rings.open',
        verdict: 'incomplete',
        reason: M.rings({ count: jointsDeg.length, count2: plan.count }),
        params: { length: jointsDeg.length, count: plan.count },
        acceptable: false,
      });
    else if (!findings.some((f) => f.verdict === 'reject'))
      findings.push({
        code: 'rings.in',
        verdict: 'accept',
        reason: M.ringsJointsStaggered({ count: jointsDeg.length }),
        params: { length: jointsDeg.length },
        source: 'practice',
        acceptable: false,
      });
    const n = firstMissing(taken);
    const wrong = tooNear(jointsDeg, stagger);
    const lantern = plan.below !== null && n === plan.below + 1;
    return {
      findings: [...findings, ...(missing > 0 ? [] : itemFindings(facts, step)), ...gaugeFindings(taken)],
      working: [],
      beams: [],
      values: { plan, jointsDeg, staggerDeg: stagger } satisfies RingsStepValues,
      next: missing > 0 && wrong === null ? ringPlace(n, jointsDeg, stagger) : null,
      act:
        wrong !== null
          ? M.ringComesOutJointToo({ wrong })
          : missing > 0
            ? M.seatEnterWhereJointStands({ lantern: lantern ? 'lanternRingFirstThen' : 'ring', n })
            : M.allRings,
    };
  },
  place(facts, step, key) {
    const taken = standing(facts, step.id);
    const n = firstMissing(taken);
    const joints = inOrder(taken).map((r) => r.value);
    const wrong = tooNear(joints, facts.setup.staggerDeg);
    if (wrong !== null) return M.ringComesOutFirstJoint({ wrong });
    if (ringKey.read(key)?.n !== n) return M.ringsGoOneAfterOther;
    return n > ringsOf(facts).values.count ? M.allRingsAlready : ringPlace(n, joints, facts.setup.staggerDeg);
  },
});

/** The first ring whose joint is too near the one below, from 1; null where all are staggered. */
function tooNear(jointsDeg: readonly number[], stagger: number): number | null {
  const i = jointsDeg.findIndex((deg, at) => staggered(jointsDeg, at, deg, stagger).length > 0);
  return i < 0 ? null : i + 1;
}

/** Rings that stand, innermost first; and the first that is not in: a ring pulled from the middle is the next that goes in. */
const inOrder = (taken: readonly Reading[]): Reading[] =>
  rowOf(taken, 'ring/').sort((a, b) => (ringKey.read(a.place)?.n ?? 0) - (ringKey.read(b.place)?.n ?? 0));
function firstMissing(taken: readonly Reading[]): number {
  const have = new Set(inOrder(taken).map((r) => ringKey.read(r.place)?.n));
  let n = 1;
  while (have.has(n)) n++;
  return n;
}

/** A ring, and where its joint is to stand: turned on from that of the ring below. */
const ringPlace = (n: number, joints: readonly number[], stagger: number): Place => ({
  ...anglePlace(ringKey.write({ n }), M.jointRingFromTopClockwise({ n })),
  offers: { values: [n < 2 ? 0 : ((joints[n - 2] ?? 0) + stagger) % 360] },
});

function staggered(all: readonly number[], i: number, deg: number, stagger: number): Finding[] {
  const before = all[i - 1];
  if (before === undefined) return [];
  const d = Math.abs(((deg - before + 540) % 360) - 180);
  return d >= stagger - STAGGER_WITHIN_DEG
    ? []
    : [
        {
          code: `rings.joint.${i + 1}`,
          verdict: 'reject',
          reason: M.jointRingStandsOnlyFrom({ i: i + 1, d: d.toFixed(0) }),
          params: { i, d },
          limit: `${stagger}° ± ${STAGGER_WITHIN_DEG}°`,
          source: 'practice',
          remedy: M.pullTurnJointSeatAgain,
          acceptable: false,
        },
      ];
}
