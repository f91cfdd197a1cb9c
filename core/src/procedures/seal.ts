import type { SealFamily, SealSetup } from '../api/setup.ts';
import { conditionSteps } from './condition-steps.ts';
import { sealParts } from './kinds/seal-small.ts';
import { item } from './questions.ts';
import { safeStep } from './safe-step.ts';
import { FAMILY_STEPS } from './seal-families.ts';
import { sealStandsOn } from './seal-stands-on.ts';
import { sealEnd } from './seal-tail.ts';
import { LAST_MEASURES } from './sleeve-bearing.ts';
import type { Procedure } from './types.ts';

/** What each family is called. */
export const SEAL_FAMILY_TITLE: Record<SealFamily, string> = {
  component: 'Component seal',
  cartridge: 'Cartridge seal',
  cassette: 'Cassette change',
  'cartridge-split': 'Cartridge split seal',
  'fully-split': 'Fully split seal',
  'clamp-split': 'Split seal with clamp ring',
  purged: 'Gas-purged throttle seal',
};

const safe = safeStep('Safe and complete', [
  item('Safe', 'isolated', 'Energy isolated, locked and tagged by me; try-start done.'),
  item('Safe', 'drained', 'Pump drained, vented, flushed; nothing hot, harmful or under pressure is left.'),
  item('Safe', 'protected', 'Eye protection, gloves for what was in it, boots on.'),
  item('Kit', 'instructions', 'Maker’s sheet of this seal on the bench: torques and lengths are its.'),
  item('Kit', 'parts', 'Seal, gasket, screws, tools: complete, in their wrapping till needed.'),
  item('Kit', 'clean', 'Hands, cloth and bench clean; lint-free cloth at hand.'),
]);

/**
 * A mechanical seal fitted in its box, each family in its own order, with the tail they share. Nothing is fitted to a shaft or
 * box that has not passed.
 */
export function sealFitting(setup: SealSetup): Procedure {
  const condition = conditionSteps(setup);
  return {
    id: 'seal',
    title: SEAL_FAMILY_TITLE[setup.family],
    steps: sealStandsOn(setup, [
      safe,
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
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
      ...FAMILY_STEPS[setup.family](setup),
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      ...sealEnd(setup),
    ]),
  };
}
