import { M as H } from '../../engine/headings/messages.ts';
import { type Procedure, redone } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { ifFitted, item } from '../../steps/questions.ts';
import { EMPTY, ISOLATED, ROTOR, safeStep } from '../../steps/safe-step.ts';
import { breakawayStep, facesOf } from './breakaway.ts';
import { FAMILY_STEPS } from './families.ts';
import { M } from './messages.ts';
import { screwsOf } from './parts.ts';
import type { SealSetup } from './setup.ts';
import { SEAL_FAMILY_TITLE } from './setup.ts';
import { sealParts } from './small.ts';
import { sealStandsOn, standingOn } from './stands-on.ts';
import { sealEnd } from './tail.ts';

const safe = (setup: SealSetup) =>
  safeStep(COMMON.safeComplete, [
    ISOLATED,
    EMPTY,
    ROTOR,
    ...(setup.family === 'purged' ? [item(H.safe, 'gas', M.purgeGasShutVentedPlace)] : []),
    item(H.safe, 'protected', COMMON.eyeProtectionGlovesWhatBoots),
    ifFitted(COMMON.kit, 'instructions', M.makersSheetSealBenchTorques),
    item(COMMON.kit, 'parts', M.sealGasketScrewsToolsComplete),
    item(COMMON.kit, 'clean', M.handsClothBenchCleanLint),
  ]);

/**
 * A mechanical seal fitted in its box, each family in its own order, with the tail they share. Nothing is fitted to a shaft or
 * box that has not passed.
 */
export function sealFitting(setup: SealSetup): Procedure<SealSetup> {
  const condition = conditionSteps(setup, { boxLooked: setup.family !== 'purged' });
  const first = condition.filter((s) => !LAST_MEASURES.includes(s.id));
  return {
    title: SEAL_FAMILY_TITLE[setup.family],
    steps: sealStandsOn(setup, [
      safe(setup),
      // Before anything is measured: what does not suit its fluid is said while another can still be fetched.
      {
        id: 'parts',
        title: COMMON.parts,
        kind: sealParts,
        // Whether plain screws hold is told by the pressure; hardened ones hold at any.
        ...(screwsOf(setup) > 0 && !setup.hardenedScrews ? { needs: ['boxPressureMpa'] } : {}),
        guide: M.whatCanSeenBeforeGoes,
        items: [
          item(COMMON.parts, 'elastomers', M.elastomersThoseSheetNoneNicked),
          item(COMMON.parts, 'faces', M.facesLookedRakingLightNo),
          item(COMMON.parts, 'greases', M.noMineralOilPetroleumGrease),
        ],
        closes: M.onceShaftORingsFaces,
      },
      ...first,
      // A shaft dressed or changed: the seal is off it, and all of this is done again.
      ...FAMILY_STEPS[setup.family](setup).map((s) => standingOn(s, ...first.map((c) => redone(c.id)))),
      // With the coupling still apart.
      ...(facesOf(setup) && setup.family !== 'purged'
        ? [{ ...breakawayStep, depth: 'thorough' as const }]
        : []),
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      ...sealEnd(setup),
    ]),
  };
}
