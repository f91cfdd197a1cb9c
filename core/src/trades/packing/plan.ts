import { type PackingRingsValues, packingRings } from '../../arithmetic/packing/rings.ts';
import type { Facts } from '../../engine/state.ts';
import { kindFamily, stepKind } from '../../engine/step.ts';
import type { GateValues } from '../../steps/gate.ts';
import { gate } from '../../steps/gate.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import type { PackingSetup } from './setup.ts';

/** The packing of a job’s box, worked out from its setup. */
export const ringsOf = (facts: Pick<Facts<PackingSetup>, 'setup'>) => {
  const s = facts.setup;
  return packingRings({
    shaftMm: s.shaftMm,
    boxBoreMm: s.boxBoreMm,
    boxDepthMm: s.boxDepthMm,
    lanternMm: s.lanternMm,
    portMm: s.portMm,
    allowancePercent: s.allowancePercent,
    cut: s.cut,
    boxes: s.boxes,
    staggerDeg: s.staggerDeg,
    ...(s.stockMm && s.stockMm.length > 0 ? { stockMm: s.stockMm } : {}),
  });
};

/** Section, ring length, count, lantern and order, told before anything is cut. */
export const packingPlan = stepKind<PackingSetup, PackingRingsValues>('packing-plan', {
  report(facts, step) {
    const result = ringsOf(facts);
    return {
      ...result,
      findings: [...result.findings, ...itemFindings(facts, step)],
      values: result.values satisfies PackingRingsValues,
      next: null,
      act: result.findings[0]?.reason ?? '',
    };
  },
});

/** The cut, asked beside the drawing of it. */
export const cuttings = kindFamily<PackingSetup, GateValues>('packing-cut');
export const cutting = cuttings.kind(gate);
