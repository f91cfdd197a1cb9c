import { type PlungerPreloadValues, plungerPreload } from '../../arithmetic/packing/plunger.ts';
import { standing } from '../../engine/facts.ts';
import type { Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { anglePlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import type { PlungerSetup } from './setup.ts';

export type PreloadStepValues = PlungerPreloadValues & { backDeg: number | null; endDeg: number | null };

const preloadPlaces = (): Place[] => [
  anglePlace('back', M.nutBackedOffFromMark, 0, 720),
  anglePlace('end', M.nutFromMarkWhenBack, -360, 360),
];

/** The nut’s mark, backed off for the plunger, and back to within an eighth of a turn. */
export const plungerPreloadStep = stepKind<PlungerSetup, PreloadStepValues>('plunger-preload', {
  essential: true,
  repeats: true,
  report(facts, step) {
    const [backDeg, endDeg] = [valueAt(facts, step, 'back'), valueAt(facts, step, 'end')];
    const result = plungerPreload({
      pitchMm: facts.setup.nutPitchMm,
      backDeg: backDeg ?? undefined,
      endDeg: endDeg ?? undefined,
    });
    const next = nextListed(facts, step, preloadPlaces());
    return {
      ...result,
      findings: [
        ...result.findings,
        ...(next ? [] : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      values: { ...result.values, backDeg, endDeg } satisfies PreloadStepValues,
      next,
      act: next
        ? next.key === 'back'
          ? M.backOffThreeQuartersTurn
          : M.plungerNutBackMarkEnter
        : (result.findings.find((f) => f.remedy)?.remedy ?? M.withinEighthMark),
    };
  },
  place: listedPlace(preloadPlaces),
});
