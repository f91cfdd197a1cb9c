import type { StepDefinition } from '../../engine/step.ts';
import { gate } from '../gate.ts';
import { item } from '../questions.ts';
import { signature } from '../signature.ts';
import { startOrder } from '../start-order.ts';
import type { BearingSetup } from './bearing-setup.ts';
import { runInLog } from './run-in-log.ts';

/** Turned by hand before power, always; then the first hours, and the name under it. */
export function endSteps(setup: BearingSetup): StepDefinition<BearingSetup>[] {
  const runIn: StepDefinition<BearingSetup>[] = setup.runIn
    ? [
        {
          id: 'start',
          title: 'Start',
          kind: gate,
          guide: 'Only after the hand turn, and by whoever may start it.',
          caution: 'Guards on before power. Permits and the plant’s starting order outrank this list.',
          again: true,
          starts: true,
          inOrder: true,
          items: [
            ...startOrder({
              drive: setup.runIn.drive ?? 'untouched',
              group: 'Start',
              isolated: [],
              guards: 'Guards on, tools and people clear.',
              lifted: item('Start', 'permit', 'Isolation lifted by whoever set it; start agreed.'),
            }),
            ...(setup.runIn.lightProduct
              ? [
                  {
                    id: 'vapour',
                    group: 'Start',
                    ask: 'Brought up slowly with vapour before any liquid: light product.',
                  },
                ]
              : []),
          ],
        },
        {
          id: 'runin',
          title: 'First hours',
          kind: runInLog,
          dueWord: 'Read the bearing’s temperature',
          guide: 'Temperature every quarter of an hour until it is steady.',
          caution: 'Stay clear of what turns; read from outside the guard.',
          loop: true,
          again: true,
          items: [
            { id: 'quiet', group: 'First hours', ask: 'No scrape, no new noise; vibration as it should be.' },
            { id: 'dry', group: 'First hours', ask: 'No grease thrown out, no leak at the seals.' },
            ...(setup.runIn.retorque
              ? [
                  {
                    id: 'retorque',
                    group: 'First hours',
                    ask: 'Bolts gone over once more, as the sheet asks.',
                  },
                ]
              : []),
          ],
        },
      ]
    : [];
  return [
    {
      id: 'handturn',
      title: 'Hand turn',
      kind: gate,
      guide: setup.baseBolts
        ? 'Hands before power, always.'
        : 'Load given back first, then the shaft turned by hand.',
      caution: 'Isolation stays on: hands turn it, not power.',
      again: true,
      items: [
        ...(setup.baseBolts
          ? []
          : [{ id: 'load', group: 'Load', ask: 'Shaft support out; housings aligned; base bolts tight.' }]),
        { id: 'free', group: 'Turn', ask: 'Turns freely through whole turns by hand.' },
        { id: 'scrape', group: 'Turn', ask: 'No scrape, no tight spot, seals do not bind.' },
      ],
    },
    ...runIn,
    {
      id: 'sign',
      title: 'Signature',
      kind: signature,
      guide: 'The sheet stays with the machine.',
      again: true,
    },
  ];
}
