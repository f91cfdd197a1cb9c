import type { BoltGrade } from '../../arithmetic/bolting/grades.ts';
import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { type BoltSpec, boltsStep } from '../bolts.ts';
import { gate } from '../gate.ts';
import { signature } from '../signature.ts';
import type { BearingSetup } from './bearing-setup.ts';
import { type BoltSet, layoutOf } from './fitting-parts.ts';
import { fixedFirst } from './fixed-first.ts';
import { floatRoom } from './float-room.ts';
import { greaseFill } from './grease-fill.ts';
import { runInLog } from './run-in-log.ts';

/** A set of the setup as the bolt step takes it. */
export const specOf = (what: string, set: BoltSet, more: Partial<BoltSpec> = {}): BoltSpec => ({
  what,
  bolt: { size: set.size, grade: set.grade as BoltGrade, friction: set.friction },
  count: set.count,
  layout: set.layout ?? 'circle',
  makerTorqueNm: set.makerTorqueNm,
  ...more,
});

/** A part of the setup a step was built for. @throws RangeError where it is gone: a fault of ours */
function part<T>(value: T | undefined, what: string): T {
  if (value === undefined) throw new RangeError(`${what} are not in this setup.`);
  return value;
}

/** A float waits for the fixed bearing of its shaft. */
export const fixedFirstStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.role === 'float' && setup.float
    ? [
        {
          id: 'fixedfirst',
          title: 'Fixed bearing on',
          kind: fixedFirst,
          guide:
            'Two bearings to a shaft: the fixed one first, the float last and set so the shaft can grow.',
          closes: 'Once the float is on, the fixed bearing can no longer be shifted along the shaft.',
        },
      ]
    : [];

/** The float's ring in its seat, with room on the side the shaft grows to. */
export const floatStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.role === 'float' && setup.float
    ? [
        {
          id: 'float',
          title: 'Float',
          kind: floatRoom,
          guide:
            'No ring beside a float: centred in its seat, or offset so that the larger gap lies where the shaft grows.',
          repeatWord: 'Ring moved',
          again: true,
        },
      ]
    : [];

/** The first fill, before the housing closes over it. */
export const greaseStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.grease
    ? [
        {
          id: 'grease',
          title: 'First fill',
          kind: greaseFill,
          guide: 'Bearing first, by hand, from one side until it comes out of the other.',
          caution: 'Clean hands, clean tin. Two greases are never mixed.',
          again: true,
          items: setup.grease.greased
            ? [{ id: 'seals', group: 'Grease', ask: 'Only the housing seals got grease.' }]
            : [
                {
                  id: 'bearing',
                  group: 'Grease',
                  ask: 'Bearing packed from one side until it came out of the other.',
                },
                { id: 'housing', group: 'Grease', ask: 'Housing filled to the quantity above, no more.' },
                { id: 'kind', group: 'Grease', ask: 'The grease is the one on the plate or the sheet.' },
              ],
        },
      ]
    : [];

const RINGS = {
  shoulder: 'One fixing ring, between bearing and shoulder.',
  'free-side': 'One fixing ring, on the side away from the shoulder.',
  both: 'A fixing ring each side of the bearing.',
  none: 'No fixing ring: the unit is fixed by its own design.',
} as const;

function houseItems(setup: BearingSetup): GateItem[] {
  const c = setup.closing;
  if (!c) return [];
  const item = (id: string, ask: string, group = 'Housing'): GateItem => ({ id, group, ask });
  return [
    item('faces', 'Base and cap faces flat and clean; no burr at the joint.'),
    item('halves', 'Both halves belong together: match-marks and dowels agree.'),
    item(
      'rings',
      setup.role === 'fixed'
        ? RINGS[c.rings ?? 'both']
        : 'No fixing ring beside the outer ring: it floats in its seat.',
    ),
    ...(c.snapRing && c.snapRing !== 'as-was'
      ? [
          item(
            'snapring',
            `Snap ring moved to the other groove: this unit is now ${c.snapRing === 'to-fixed' ? 'fixed' : 'a float'}.`,
          ),
        ]
      : []),
    item('facing', 'Seal halves face right, the marked top is up, O-rings in place.', 'Seals'),
    ...(c.order === 'in-place'
      ? [item('sealsin', 'Seals are on the shaft and in the base, before the cap.', 'Seals')]
      : []),
    ...(c.endCover ? [item('cover', 'End cover in its groove instead of the outer seal.', 'Seals')] : []),
    ...(c.seals === 'labyrinth'
      ? [item('packed', 'Labyrinth packed with grease.', 'Seals')]
      : [
          item(
            'lip',
            'Lip ring on its step, lip towards the housing; its O-ring held by a dab of grease.',
            'Seals',
          ),
        ]),
    item('strip', 'Joint seal strip at 12 o’clock.', 'Joint'),
    item(
      'sealant',
      'Sealant: a thin continuous bead at the joint, none that would be squeezed into the seat.',
      'Joint',
    ),
    {
      ...item('turns', 'Turned by hand: no seal ring binds.', 'Joint'),
      remedy: 'A seal that binds means the base stands wrong: move the base, then answer again.',
    },
  ];
}

/** Housing looked over, then (after the cap) carriers: what stands before and after the cap bolts. */
export const houseStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.closing
    ? [
        {
          id: 'house',
          title: 'Housing',
          kind: gate,
          guide:
            setup.closing.order === 'room'
              ? 'In the workshop: cap to torque first, carriers after.'
              : 'In place, with no room: seals into the base, then the cap.',
          closes: 'Once the cap is on, ring, grease and seals can no longer be seen.',
          again: true,
          items: houseItems(setup),
        },
      ]
    : [];

export const carrierSteps = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.closing
    ? [
        {
          id: 'carriers',
          title: 'Carriers',
          kind: gate,
          guide: 'Carrier bolts after the cap bolts, whichever order the housing was closed in.',
          again: true,
          items: [
            { id: 'bolts', group: 'Carriers', ask: 'Carrier bolts to torque, after the cap bolts.' },
            ...(setup.closing.seals === 'labyrinth'
              ? [
                  {
                    id: 'slid',
                    group: 'Carriers',
                    ask: 'Labyrinth packed and slid in until its chamfer edge lines up with the carrier’s face.',
                  },
                ]
              : []),
            { id: 'grub', group: 'Carriers', ask: 'Grub screws to torque; the shaft turns, no seal binds.' },
          ],
        },
      ]
    : [];

/** The load given back as a step of its own, and the base bolts after the housings stand in line. */
export const loadStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.baseBolts
    ? [
        {
          id: 'load',
          title: 'Load back',
          kind: gate,
          guide: 'Giving the load back is a step of its own: support out, then the housings in line.',
          caution: 'Nobody under the shaft as it comes down; rated gear only.',
          closes: 'Alignment after the base bolts are at torque is too late.',
          again: true,
          items: [
            { id: 'support', group: 'Load', ask: 'Shaft support out; the load stands on the bearings.' },
            {
              id: 'inline',
              group: 'Load',
              ask: 'Housings in line by straightedge, wire or laser; base bolts still loose.',
            },
            { id: 'washers', group: 'Load', ask: 'Heavy flat washers over slotted holes.' },
          ],
        },
      ]
    : [];

export const baseStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.baseBolts
    ? [
        {
          id: 'base',
          title: 'Base bolts',
          kind: boltsStep((s) =>
            specOf('Base bolts', part(s.baseBolts, 'Base bolts'), {
              layout: layoutOf(part(s.baseBolts, 'Base bolts')),
            }),
          ),
          guide: 'By grade to torque, crosswise, pass by pass.',
          again: true,
        },
      ]
    : [];

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
          items: [
            { id: 'guards', group: 'Start', ask: 'Guards on, tools and people clear.' },
            { id: 'permit', group: 'Start', ask: 'Isolation lifted by whoever set it; start agreed.' },
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
