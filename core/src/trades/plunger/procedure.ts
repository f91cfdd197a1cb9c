import type { Procedure } from '../../engine/step.ts';
import { asked, item } from '../../steps/questions.ts';
import { safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { partsOrder } from './parts-order.ts';
import { plungerPreloadStep } from './preload.ts';
import type { PlungerSetup } from './setup.ts';

const safe = safeStep('Safe and complete', [
  item('Safe', 'isolated', 'Energy isolated, locked and tagged by me; try-start done.'),
  item('Safe', 'pressure', 'Liquid end bled to nothing; valves locked.'),
  item('Safe', 'protected', 'Eye protection, gloves, boots on.'),
  item('Kit', 'instructions', 'Maker’s instructions at hand; they outrank this list.'),
  item('Kit', 'parts', 'Rings, adapter, wiper, nut, plunger: complete, unmarked.'),
]);

/** Parts laid anew go in anew, and the nut's mark is made over them. */
const STANDS_ON: StandsOn = {
  in: ['order'],
  mark: ['in'],
  preload: ['mark'],
  clamp: ['preload'],
};

/** A V-ring set put on a plunger, its preload kept by the nut’s mark. */
export function plungerSet(setup: PlungerSetup): Procedure<PlungerSetup> {
  return {
    title: 'V-ring set on a plunger',
    steps: standing(STANDS_ON, [
      safe,
      asked('look', 'Bore and plunger', 'Nothing is fitted to what has not passed.', [
        item('Look', 'plunger', 'Plunger without scores, pits or a worn waist.'),
        item('Look', 'bore', 'Packing bore clean, no step, no burr.'),
        item('Look', 'threads', 'Threads clean and lubricated.'),
      ]),
      {
        id: 'order',
        title: 'Order of parts',
        kind: partsOrder,
        guide: 'Laid out from the pressure end, as they go in.',
        items: [item('Order', 'order', 'The parts lie in the order shown.')],
      },
      asked(
        'in',
        'Parts in',
        'Each piece lubricated on its own.',
        [
          item('In', 'each', 'Each piece lubricated on its own, put in on its own.'),
          item('In', 'open', 'Pressure rings open toward the pressure.'),
          item(
            'In',
            'wiper',
            setup.lubrication === 'oil'
              ? 'Wiper in the nut: its lip faces the pressure (oil).'
              : 'Wiper in the nut: its lip faces away from the pressure (grease).',
          ),
        ],
        { closes: 'Once the nut is pulled, no ring’s direction can be seen.' },
      ),
      asked('mark', 'Mark', 'Preloaded without the plunger: by hand, then pulled with one hand on the bar.', [
        item('Mark', 'pulled', 'Nut in by hand, then pulled with one hand on the bar.'),
        item('Mark', 'marked', 'Nut and housing marked at 12 o’clock.'),
      ]),
      {
        id: 'preload',
        title: 'Preload',
        kind: plungerPreloadStep,
        guide: 'Back three quarters, plunger in by a soft bar, back to within an eighth of the mark.',
        caution: 'Never steel on the plunger’s end.',
        repeatWord: 'Turned',
      },
      asked('clamp', 'Clamp and lock', 'The plunger is against its rod before the clamp closes.', [
        item('Lock', 'rod', 'Plunger fully against the rod.'),
        item('Lock', 'clamp', 'Clamp turned so that its bolts can be reached, about 45°; tight.'),
        item('Lock', 'lock', 'Nut’s lock fitted.'),
        item('Lock', 'turned', 'Turned over by hand: free.'),
      ]),
      {
        id: 'sign',
        title: 'Signature',
        kind: signature,
        guide: 'Name below. The sheet stays with the machine.',
      },
    ]),
  };
}
