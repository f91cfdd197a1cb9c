import type { Procedure } from '../../engine/step.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { ifFitted, item } from '../../steps/questions.ts';
import { EMPTY, ISOLATED, ROTOR, safeStep } from '../../steps/safe-step.ts';
import { breakawayStep, facesOf } from './breakaway.ts';
import { FAMILY_STEPS } from './families.ts';
import type { SealSetup } from './setup.ts';
import { SEAL_FAMILY_TITLE } from './setup.ts';
import { sealParts } from './small.ts';
import { sealStandsOn } from './stands-on.ts';
import { sealEnd } from './tail.ts';

const safe = (setup: SealSetup) =>
  safeStep('Safe and complete', [
    ISOLATED,
    EMPTY,
    ROTOR,
    ...(setup.family === 'purged'
      ? [item('Safe', 'gas', 'Purge gas shut and vented, the place aired: inert gas takes the breath away.')]
      : []),
    item('Safe', 'protected', 'Eye protection, gloves for what was in it, boots on.'),
    ifFitted('Kit', 'instructions', 'Maker’s sheet of this seal on the bench: torques and lengths are its.'),
    item('Kit', 'parts', 'Seal, gasket, screws, tools: complete, in their wrapping till needed.'),
    item('Kit', 'clean', 'Hands, cloth and bench clean; lint-free cloth at hand.'),
  ]);

/**
 * A mechanical seal fitted in its box, each family in its own order, with the tail they share. Nothing is fitted to a shaft or
 * box that has not passed.
 */
export function sealFitting(setup: SealSetup): Procedure<SealSetup> {
  const condition = conditionSteps(setup);
  return {
    title: SEAL_FAMILY_TITLE[setup.family],
    steps: sealStandsOn(setup, [
      safe(setup),
      // Before anything is measured: what does not suit its fluid is said while another can still be fetched.
      {
        id: 'parts',
        title: 'Parts',
        kind: sealParts,
        guide: 'What can be seen before it goes on, and not after.',
        items: [
          item('Parts', 'elastomers', 'Elastomers are those of the sheet; none nicked, flat or swollen.'),
          item('Parts', 'faces', 'Faces looked at in raking light: no chip, no scratch.'),
          item(
            'Parts',
            'greases',
            'No mineral oil or petroleum grease near EPDM, no silicone grease on silicone.',
          ),
        ],
        closes: 'Once it is on the shaft, O-rings and faces can no longer be looked at.',
      },
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
      ...FAMILY_STEPS[setup.family](setup),
      // With the coupling still apart.
      ...(facesOf(setup) && setup.family !== 'purged' ? [breakawayStep] : []),
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      ...sealEnd(setup),
    ]),
  };
}
