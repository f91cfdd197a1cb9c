import { type FailureGuide, over, seen } from '../../engine/failure.ts';
import { defineRig, either } from '../../engine/rig.ts';
import type { Slots } from '../../engine/slots.ts';
import { chosenOf } from '../../sources/methods.ts';
import { MAKER } from '../../steps/setup-parts.ts';
import { FELT_BY } from './methods.ts';
import { DOOR, type DoorSetup } from './setup.ts';

const FAILURE: FailureGuide = {
  id: 'door-stop',
  part: 'a door’s stop',
  title: 'A stop that came off',
  questions: [
    {
      id: 'rubber',
      ask: 'Its rubber',
      look: 'Where the door meets it.',
      answers: [
        ['flat', 'pressed flat'],
        ['whole', 'whole'],
      ],
    },
  ],
  causes: [
    {
      id: 'slammed',
      cause: 'The door was slammed',
      next: 'A closer on the door.',
      signs: [seen('rubber', 'flat', 3, 'pressed flat'), over('gapMm', 5, 2, 'set far off')],
    },
  ],
};

const bench = defineRig<DoorSetup>({
  id: 'doorstop-practice',
  name: 'A door and its stop',
  says: 'A door, its stop, a set of blades.',
  setup: {
    procedure: 'doorstop',
    machine: 'Practice bench',
    position: 'Door',
    gapMm: 3,
    holdBefore: [],
    maker: {},
  },
  until: 'gap',
  faults: [
    {
      id: 'wide',
      name: 'The gap is too wide',
      step: 'gap',
      sign: (state) => state.readings.some((r) => r.value > 4),
      because: 'The door swings past its latch.',
    },
  ],
  looks: [],
  lay: (chance, faults) => ({ at: () => (faults.has('wide') ? 6 : 3) + either(chance, 0.05) }),
});

/** All a trade can give the rest of the product, given once. */
export const slots: Slots<DoorSetup> = {
  methods: [FELT_BY],
  byRules: (rules) => ({ feltBy: chosenOf(rules, FELT_BY) }),
  history: { gapMm: { series: { id: 'door-gap', label: 'Gap of the door', quantity: 'length' } } },
  part: { groups: [DOOR, MAKER], kit: 'doors', failure: FAILURE },
  position: [
    {
      shapes: [{ shape: 'path', d: 'M400 20 H440 V200 H400 Z', ink: 'ink', fill: 'metal' }],
      places: { gapMm: { at: [460, 110], line: 'M440 110 H480' } },
    },
  ],
  stage: 'round',
  kit: () => [{ group: 'doors', item: 'rubber for a stop', count: 1, unit: 'piece' }],
  tasks: [
    {
      id: 'all',
      name: 'The stop',
      steps: ['*'],
      skill: 'doors',
      hands: 1,
      tools: ['step ladder'],
      minutes: [5, 10, 20],
    },
  ],
  practice: [bench],
};
