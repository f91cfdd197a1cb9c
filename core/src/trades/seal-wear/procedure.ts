import type { Procedure } from '../../engine/step.ts';
import { asked, item } from '../../steps/questions.ts';
import { safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import type { WearSetup } from './setup.ts';
import { wearWatch } from './wear-watch.ts';

/** The wear of a fitted seal watched until it is renewed. */
export function sealWearJob(setup: WearSetup): Procedure<WearSetup> {
  const pins = setup.gauge === 'pins';
  return {
    title: 'Seal’s wear watched',
    steps: [
      safeStep('Safe to measure', [
        item('Safe', 'stands', 'Machine stands, isolated, locked and tagged by me; try-start done.', {
          mayNote: 'lock or permit number',
        }),
        item('Safe', 'cool', 'Seal cool, box without pressure; rotor blocked against turning.'),
        item(
          'Safe',
          'same',
          pins ? 'The same pins are measured as at the fitting.' : 'The same setting spacer is at hand.',
        ),
      ]),
      {
        id: 'wear',
        title: 'Wear',
        kind: wearWatch,
        dueWord: 'Measure the seal’s wear',
        loop: true,
        guide: pins
          ? 'Projection of the locking pins, by depth gauge; flush means order the service.'
          : 'Setting spacer against the back of the gland; how far the stationary’s back stands from it.',
        caution: 'Isolated each time, not only the first.',
      },
      asked('renewed', 'Service', 'Only when the seal is renewed or its service is ordered.', [
        item('Service', 'ordered', 'Service ordered, or the seal renewed: which?', { note: true }),
      ]),
      {
        id: 'sign',
        title: 'Signature',
        kind: signature,
        guide: 'Name below. The sheet stays with the machine.',
      },
    ],
  };
}
