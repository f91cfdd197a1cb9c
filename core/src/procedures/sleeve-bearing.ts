import type { Setup } from '../api/setup.ts';
import { conditionSteps } from './condition-steps.ts';
import { benchClearance } from './kinds/bench-clearance.ts';
import { capBolts } from './kinds/cap-bolts.ts';
import { driveUp } from './kinds/drive-up.ts';
import { gate } from './kinds/gate.ts';
import { lock } from './kinds/lock.ts';
import { signature } from './kinds/signature.ts';
import { target } from './kinds/target.ts';
import { safeStep } from './safe-step.ts';
import type { Procedure, StepDefinition } from './types.ts';

const SAFE: StepDefinition[] = [
  safeStep('Safe and complete', [
    { id: 'isolated', group: 'Safe', ask: 'Energy isolated, locked and tagged by me; try-start done.' },
    {
      id: 'drained',
      group: 'Safe',
      ask: 'Nothing under pressure, hot or harmful is left in the machine.',
    },
    {
      id: 'supported',
      group: 'Safe',
      ask: 'Rotor blocked; load off the bearing by rated gear, no fingers under.',
    },
    { id: 'protected', group: 'Safe', ask: 'Eye protection, gloves, boots on; hammer work shielded.' },
    {
      id: 'instructions',
      group: 'Kit',
      ask: 'Maker’s instructions on the bench; the part’s stamp matches this shaft.',
    },
    {
      id: 'parts',
      group: 'Kit',
      ask: 'Bearing, sleeve, nut, new lock washer, seals, rings: present, counted, halves paired.',
    },
    {
      id: 'tools',
      group: 'Kit',
      ask: 'Feelers, micrometer, spanner or drift, torque wrench: here and in good order.',
    },
    { id: 'inboard', group: 'Kit', ask: 'Inboard seal parts are on the shaft, or are not needed.' },
    {
      id: 'clean',
      group: 'Kit',
      ask: 'Shaft, sleeve bore and housing clean; burrs dressed; no anti-seize on the sleeve.',
    },
  ]),
];

const MOUNT: StepDefinition[] = [
  {
    id: 'bench',
    title: 'Bench clearance',
    kind: benchClearance,
    guide:
      'Blades in rising steps until snug: goes, does not push, rolls not dragged. Turn a little between sets.',
    again: true,
    items: [
      {
        id: 'inspected',
        group: 'After dismounting',
        ask: 'Ring, sleeve, nut and shaft inspected: no scoring, no cracks, sleeve not spread.',
      },
    ],
  },
  {
    id: 'target',
    title: 'Target',
    kind: target,
    guide:
      'Housing only loosely bolted, nut’s chamfer to the bearing, threads and face lightly oiled. Start back by the travel.',
    closes: 'Once the nut pulls, the bench clearance can no longer be felt.',
    again: true,
  },
  {
    id: 'driveup',
    title: 'Drive-up',
    kind: driveUp,
    guide: 'An eighth of a turn, then feel both rows. Same state, same place as on the bench.',
    caution: 'Hammer and drift throw chips: eye protection on, nobody in line.',
    closes: 'Driven too far cannot be undone by backing the nut off.',
    loop: true,
    again: true,
  },
  {
    id: 'lock',
    title: 'Lock',
    kind: lock,
    guide: 'Forward to the next tab, never back. Feel once more with the nut locked.',
    closes: 'Once the cap is on, the clearance can no longer be felt.',
    again: true,
    items: [{ id: 'bent', group: 'Lock', ask: 'Tab bent home into the slot.' }],
  },
  {
    id: 'bolts',
    title: 'Cap bolts',
    kind: capBolts,
    guide: 'Halves matched and clean, bolts in the pattern, pass by pass.',
    caution: 'Keep fingers out of the joint as the cap comes down.',
    again: true,
  },
];

const END: StepDefinition[] = [
  {
    id: 'handturn',
    title: 'Hand turn',
    kind: gate,
    guide: 'Load given back first, then the shaft turned by hand.',
    caution: 'Isolation stays on: hands turn it, not power.',
    again: true,
    items: [
      { id: 'load', group: 'Load', ask: 'Shaft support out; housings aligned; base bolts tight.' },
      { id: 'free', group: 'Turn', ask: 'Turns freely through whole turns by hand.' },
      { id: 'scrape', group: 'Turn', ask: 'No scrape, no tight spot, seals do not bind.' },
    ],
  },
  {
    id: 'sign',
    title: 'Signature',
    kind: signature,
    guide: 'The sheet stays with the machine.',
    again: true,
  },
];

/** Measures that come last before anything turns; all others come before a part goes on. */
const LAST = ['softfoot', 'housings', 'coupling'];

/**
 * Spherical roller bearing with tapered bore on an adapter sleeve, split pillow block, drive-up judged by feelers. Nothing is
 * fitted to a shaft that has not passed: the condition measures come first, alignment last.
 */
export function sleeveBearing(setup: Setup): Procedure {
  const condition = conditionSteps(setup);
  return {
    id: 'sleeve-bearing.feelers',
    title: 'Bearing on adapter sleeve, by feelers',
    steps: [
      ...SAFE,
      ...condition.filter((s) => !LAST.includes(s.id)),
      ...MOUNT,
      ...condition.filter((s) => LAST.includes(s.id)),
      ...END,
    ],
  };
}
