import type { BoltGrade } from '../../arithmetic/bolting/grades.ts';
import type { FillMethod } from '../../arithmetic/lubrication/fill-method.ts';
import type { GateItem, StepDefinition } from '../../engine/step.ts';
import type { BoltSpec } from '../bolt-passes.ts';
import { boltsStep } from '../bolts.ts';
import { gate } from '../gate.ts';
import { ifFitted, item } from '../questions.ts';
import type { BearingSetup } from './bearing-setup.ts';
import { type BoltSet, boltNeeds, type Housing, layoutOf } from './fitting-parts.ts';
import { fixedFirst } from './fixed-first.ts';
import { floatRoom } from './float-room.ts';
import { greaseFill } from './grease-fill.ts';

/** A set of the setup as the bolt step takes it. */
export const specOf = (what: string, set: BoltSet, more: Partial<BoltSpec> = {}): BoltSpec => ({
  what,
  // A step is not drawn before all of it is said: `boltNeeds`.
  ...(set.size && set.grade
    ? { bolt: { size: set.size, grade: set.grade as BoltGrade, friction: set.friction } }
    : {}),
  count: set.count ?? 0,
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
const fillAsk = (school: FillMethod, filled: string): string =>
  school === 'to-shaft'
    ? 'Base filled level with the underside of the shaft; nothing into the cap.'
    : `${filled} filled to the quantity above, no more.`;

/** @param filled what the quantity goes into: a housing, or halves that are not closed yet */
export const greaseStep = (setup: BearingSetup, filled = 'Housing'): StepDefinition<BearingSetup>[] =>
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
                { id: 'housing', group: 'Grease', ask: fillAsk(setup.grease.school, filled) },
                { id: 'kind', group: 'Grease', ask: 'The grease is the one on the plate or the sheet.' },
              ],
        },
      ]
    : [];

const RINGS = {
  shoulder: 'One fixing ring, between bearing and shoulder.',
  'free-side': 'One fixing ring, on the side away from the shoulder.',
  'mount-nut': 'One fixing ring, on the mount nut’s side.',
  both: 'A fixing ring each side of the bearing.',
  none: 'No fixing ring: the unit is fixed by its own design.',
} as const;

/** What the bearing sits in; jobs of before the kinds were told apart sat in a split block. */
export const housingOf = (setup: Pick<BearingSetup, 'closing'>): Housing => setup.closing?.housing ?? 'split';
/** Has it a cap that is bolted on? */
export const hasCap = (setup: Pick<BearingSetup, 'closing'>): boolean => housingOf(setup) === 'split';

/** The side that is out of reach once the bearing is on, looked to before it goes on. */
export const inboardStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] => [
  {
    id: 'inboard',
    title: 'Inboard side first',
    kind: gate,
    guide: 'What sits between the bearing and the shoulder goes on before the bearing.',
    closes: 'Once the bearing is on, the inboard side is out of reach: forgotten, all begins again.',
    again: true,
    items: [
      ifFitted('Inboard', 'on', 'Inboard seal parts are on the shaft, before the bearing.'),
      ifFitted(
        'Inboard',
        'facing',
        setup.closing?.seals === 'contact'
          ? 'They face right: lip towards the housing, the marked top up.'
          : 'They face right, the marked top is up.',
      ),
      ifFitted('Inboard', 'oring', 'Their O-ring is in its groove, greased.'),
    ],
  },
];

function houseItems(setup: BearingSetup): GateItem[] {
  const c = setup.closing;
  if (!c) return [];
  const cap = hasCap(setup);
  return [
    ...(cap
      ? [
          item('Housing', 'faces', 'Base and cap faces flat and clean; no burr at the joint.'),
          item('Housing', 'halves', 'Both halves belong together: match-marks and dowels agree.'),
        ]
      : [item('Housing', 'faces', 'Mounting face flat and clean; the unit lies on it all round.')]),
    item(
      'Housing',
      'rings',
      setup.role === 'fixed'
        ? RINGS[c.rings ?? 'both']
        : 'No fixing ring beside the outer ring: it floats in its seat.',
    ),
    ...(c.snapRing && c.snapRing !== 'as-was'
      ? [
          item(
            'Housing',
            'snapring',
            `Snap ring moved to the other groove: this unit is now ${c.snapRing === 'to-fixed' ? 'fixed' : 'a float'}.`,
          ),
        ]
      : []),
    ...(housingOf(setup) === 'take-up'
      ? [item('Housing', 'slides', 'Slides in its frame from end to end; screw turned and greased.')]
      : []),
    ifFitted('Seals', 'facing', 'Outer seal faces right, its marked top is up, O-ring in place.'),
    ...(cap && c.order === 'in-place'
      ? [item('Seals', 'sealsin', 'Seals are on the shaft and in the base, before the cap.')]
      : []),
    ...(c.endCover ? [item('Seals', 'cover', 'End cover in its groove instead of the outer seal.')] : []),
    ...(c.seals === 'labyrinth'
      ? [item('Seals', 'packed', 'Labyrinth’s grooves filled with grease.')]
      : [
          item(
            'Seals',
            'lip',
            'Lip ring on its step, lip towards the housing; its O-ring held by a dab of grease.',
          ),
        ]),
    ...(cap
      ? [
          ifFitted('Joint', 'strip', 'Joint seal strip at 12 o’clock.'),
          ifFitted(
            'Joint',
            'sealant',
            'Sealant: a thin continuous bead at the joint, none that would be squeezed into the seat.',
          ),
        ]
      : []),
    ifFitted(
      'Joint',
      'nipples',
      'Grease nipples and relief in the holes they belong to; the others plugged.',
    ),
    item('Joint', 'spare', 'Nothing left over, or what is left is a spare the kit holds.'),
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
          guide: !hasCap(setup)
            ? 'No cap: what the unit closes with is looked at before its carriers go on.'
            : setup.closing.order === 'room'
              ? 'In the workshop: cap to torque first, carriers after.'
              : 'In place, with no room: seals into the base, then the cap.',
          closes: 'Once it is closed, ring, grease and seals can no longer be seen.',
          again: true,
          items: houseItems(setup),
        },
      ]
    : [];

/** A small set of bolts that the sheet gives a torque for, where it is on this job. */
const bySheet = (
  setup: BearingSetup,
  of: 'carrierBolts' | 'ringScrews',
  step: Pick<StepDefinition<BearingSetup>, 'id' | 'title' | 'guide'>,
): StepDefinition<BearingSetup>[] =>
  setup[of]
    ? [
        {
          ...step,
          needs: boltNeeds(of),
          kind: boltsStep((s) => specOf(step.title, part(s[of], step.title), { housing: true })),
          again: true,
        },
      ]
    : [];

export const carrierSteps = (setup: BearingSetup): StepDefinition<BearingSetup>[] => {
  if (!setup.closing) return [];
  const after = hasCap(setup) ? ', after the cap bolts' : '';
  const { seals } = setup.closing;
  return [
    ...bySheet(setup, 'carrierBolts', {
      id: 'carrierbolts',
      title: 'Carrier bolts',
      guide: `By the wrench, bolt by bolt, to the sheet’s value${after}.`,
    }),
    {
      id: 'carriers',
      title: 'Carriers',
      kind: gate,
      guide: `Carrier bolts${after || ' first'}, whichever order the housing was closed in; then the labyrinth.`,
      again: true,
      items: [
        ifFitted('Carriers', 'sealant', 'A thin bead of sealant on the carrier’s flange, or its gasket.'),
        ...(setup.carrierBolts ? [] : [ifFitted('Carriers', 'bolts', `Carrier bolts to torque${after}.`)]),
        ...(seals === 'labyrinth'
          ? [
              ifFitted(
                'Carriers',
                'slid',
                'Labyrinth slid in until its chamfer edge lines up with the carrier’s face.',
              ),
            ]
          : []),
        ...(setup.ringScrews
          ? []
          : [ifFitted('Carriers', 'grub', 'Grub screws of the seal rings to torque.')]),
        item('Carriers', 'turns', 'Turned by hand, all closed: no seal ring binds.', {
          remedy: 'A seal that binds means the base stands wrong: move the base, then answer again.',
        }),
      ],
    },
    ...bySheet(setup, 'ringScrews', {
      id: 'ringscrews',
      title: 'Ring screws',
      guide: 'Grub screws of the seal rings, by the wrench, to the sheet’s value.',
    }),
  ];
};

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
            { id: 'washers', group: 'Load', ask: 'Heavy flat washers over slotted holes.', kind: 'machine' },
          ],
        },
      ]
    : [];

/** What holds the unit to what it stands on. */
const BASE: Record<Housing, string> = {
  split: 'Base bolts',
  'one-piece': 'Base bolts',
  flanged: 'Flange bolts',
  'take-up': 'Frame bolts',
};

export const baseStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.baseBolts
    ? [
        {
          id: 'base',
          title: BASE[housingOf(setup)],
          needs: boltNeeds('baseBolts'),
          kind: boltsStep((s) =>
            specOf(BASE[housingOf(s)], part(s.baseBolts, 'Base bolts'), {
              layout: layoutOf(part(s.baseBolts, 'Base bolts')),
            }),
          ),
          guide: 'By grade to torque, crosswise, pass by pass.',
          again: true,
        },
      ]
    : [];
