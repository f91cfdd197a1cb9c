import { PART_NAME, partsOf } from '../../arithmetic/packing/plunger.ts';
import type { Procedure } from '../../engine/step.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { provedStep, sizesStep } from './measured.ts';
import { partsOrder } from './parts-order.ts';
import { plungerPreloadStep } from './preload.ts';
import { type PlungerSetup, setOf } from './setup.ts';

const safe = safeStep('Safe and complete', [
  ISOLATED,
  item(
    'Safe',
    'pressure',
    'Liquid end bled to nothing, cooled; valves locked; the fluid’s safety sheet is read.',
  ),
  item('Safe', 'rotor', 'Crank blocked: the plunger cannot move by itself.'),
  item('Safe', 'protected', 'Eye protection, gloves, boots on.'),
  ifFitted('Kit', 'instructions', 'Maker’s instructions at hand; they outrank this list.'),
  item('Kit', 'parts', 'Parts of the set, nut and plunger: complete, unmarked.'),
  ifFitted('Kit', 'tools', 'Soft bar, pick, marker, the sheet’s lubricant, clamp and lock: here.'),
]);

/** Parts laid anew go in anew, and the nut's mark is made over them. */
const STANDS_ON: StandsOn = {
  in: ['order'],
  mark: ['in'],
  preload: ['mark'],
  clamp: ['preload'],
  listed: ['sizes'],
  order: ['listed'],
  start: ['clamp', 'preload'],
  proof: ['start'],
};

/** The parts of this set in words, from the pressure end. */
function listOf(setup: PlungerSetup): string {
  const rings = setup.pressureRings ?? 2;
  return partsOf(setOf(setup))
    .filter((p) => !/^pressure-[2-4]$/.test(p))
    .map((p) => (p === 'pressure-1' ? `${rings} pressure ${rings === 1 ? 'ring' : 'rings'}` : PART_NAME[p]))
    .join(', ');
}

/** A V-ring set put on a plunger, its preload kept by the nut’s mark. */
export function plungerSet(setup: PlungerSetup): Procedure<PlungerSetup> {
  return {
    title: 'V-ring set on a plunger',
    steps: standing(STANDS_ON, [
      safe,
      asked('look', 'Bore and plunger', 'Nothing is fitted to what has not passed.', [
        item('Look', 'plunger', 'Plunger without scores or pits: what is seen?', { note: true }),
        item('Look', 'bore', 'Packing bore clean, no step, no burr.'),
        item('Look', 'threads', 'Threads clean and lubricated.'),
      ]),
      {
        id: 'sizes',
        title: 'Plunger and bore',
        kind: sizesStep,
        guide: 'Where the plunger runs and where it does not; the bore where the rings will lie.',
        repeatWord: 'Renewed',
      },
      asked('listed', 'Parts listed', 'Sets vary: what came is listed before anything is laid.', [
        item('Set', 'listed', `In the set: ${listOf(setup)}.`, {
          remedy: 'Change the setup to what is there, or fetch what is missing.',
        }),
        ...(setup.lantern === 'nut'
          ? [item('Set', 'lantern', 'The lantern is part of the nut; its holes are clear.')]
          : []),
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
          ...(setup.noWiper
            ? []
            : [
                item(
                  'In',
                  'wiper',
                  setup.lubrication === 'oil'
                    ? 'Wiper in the nut: its lip faces the pressure (oil).'
                    : 'Wiper in the nut: its lip faces away from the pressure (grease).',
                ),
              ]),
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
        ifFitted('Lock', 'lock', 'Nut’s lock fitted.'),
        ifFitted('Lock', 'turned', 'Turned over by hand: free.'),
      ]),
      asked(
        'start',
        'Start',
        'Stroke slow at first, lubrication on.',
        [
          item('Start', 'tools', 'Tools and bar out, guards on; nobody beside the crank.'),
          ifFitted('Start', 'lubricated', 'Lubrication on: it reaches the packing.'),
          item('Start', 'handed', 'Isolation lifted by the rule of the house, by name.'),
        ],
        { caution: 'A plunger shoots out under pressure: nobody in its line.', starts: true },
      ),
      {
        id: 'proof',
        title: 'Proof',
        kind: provedStep,
        guide: 'Leak and warmth at the start, after a quarter of an hour and an hour.',
        caution: 'Count from outside the guard.',
      },
      {
        id: 'sign',
        title: 'Signature',
        kind: signature,
        guide: 'Name below. The sheet stays with the machine.',
      },
    ]),
  };
}
