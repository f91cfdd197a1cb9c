import type { GateItem, Procedure, StepDefinition } from '../../engine/step.ts';
import { baseStep, fixedFirstStep, greaseStep, specOf } from '../../steps/bearing/closing-steps.ts';
import { endSteps } from '../../steps/bearing/end-steps.ts';
import { type BoltSet, boltNeeds, layoutOf } from '../../steps/bearing/fitting-parts.ts';
import { CLOSING_STANDS_ON } from '../../steps/bearing/stands-on.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { gate } from '../../steps/gate.ts';
import { ifFitted, item } from '../../steps/questions.ts';
import { EMPTY, ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { axialPlace } from './axial-place.ts';
import { raceGaps } from './race-gaps.ts';
import type { SplitSetup } from './setup.ts';

/** A screw has stopped moving when a whole round turns none farther. Common practice, no source: 2 to 3°. */
const SETTLED_DEG = 3;

type SetName = 'jointScrews' | 'clampScrews' | 'cartridgeBolts' | 'capBolts';
const set = (setup: SplitSetup, name: SetName): BoltSet => setup[name];

const safe = safeStep('Safe and complete', [
  ISOLATED,
  EMPTY,
  { id: 'supported', group: 'Safe', ask: 'Shaft blocked and held by rated gear; no fingers under.' },
  { id: 'protected', group: 'Safe', ask: 'Eye protection, gloves, boots on.' },
  {
    id: 'parts',
    group: 'Kit',
    ask: 'Race, rings, cage, outer race, cartridge, pedestal: both halves of each, same marks.',
  },
  {
    id: 'screws',
    group: 'Kit',
    ask: 'Screws counted; a lost one is replaced by the same size, class 12.9.',
  },
  {
    id: 'tools',
    group: 'Kit',
    ask: 'Feelers, soft mallet, torque wrench with the right key, caliper: here.',
  },
  { id: 'instructions', group: 'Kit', ask: 'Maker’s instructions at hand; they outrank this list.' },
  {
    id: 'preservative',
    group: 'Kit',
    ask: 'Preservative on the bearing: left on or wiped off, as the maker says? Does it suit this grease?',
    note: true,
  },
]);

/** Each kind of split seal by its own questions, before the upper half closes over it. */
const SEALS: Record<NonNullable<SplitSetup['seals']>, GateItem[]> = {
  labyrinth: [
    ifFitted(
      'Seals',
      'pins',
      'Labyrinth halves: joining pins out, bores greased, stamped faces on one side.',
    ),
    ifFitted('Seals', 'orings', 'O-rings squeezed until the holes line up; pins in again.'),
    ifFitted('Seals', 'rib', 'Middle rib in the cartridge’s middle groove.'),
  ],
  packed: [
    item('Seals', 'pack', 'Packing lies in its groove all round, greased; no fibre at the joint.'),
    item('Seals', 'ends', 'Ends meet at the top without gap or bulge, away from the cartridge’s joint.'),
  ],
  lip: [
    item('Seals', 'lip', 'Split lip faces the way the sheet says; spring hooked, lip filmed with grease.'),
    item('Seals', 'top', 'Its joint stands at the top, away from the cartridge’s joint.'),
  ],
};

/** Outer race halves into their cartridge, by one school or the other. */
const outerItems = (setup: SplitSetup): GateItem[] => [
  item('Race', 'marks', 'Match-marks of both halves agree; lubrication hole on top.'),
  item('Race', 'proud', 'Joints stand proud equally on each side.'),
  ...(setup.raceSchool === 'joints-first'
    ? [
        ifFitted('Race', 'radial', 'Radial screws finger-tight; joints tight; eased again.'),
        ifFitted('Race', 'side', 'Radial or side screws tight in the maker’s order.'),
      ]
    : [
        item('Race', 'pins', 'Joints tight; axial pins evenly until the race is square on its shoulder.'),
        ifFitted('Race', 'radial', 'Then the radial screws, in the maker’s order.'),
      ]),
];

/** Each part of the race and its cartridge is closed over by the next: one opened takes with it all that lies over it. */
const STANDS_ON: StandsOn = {
  ...CLOSING_STANDS_ON,
  grease1: ['outer'],
  clamps: ['race'],
  axial: ['race', 'clamps'],
  seat: ['axial', 'clamps'],
  seated: ['seat'],
  grease: ['seat', 'cage'],
  cage: ['seat', 'seated', 'axial'],
  cartridge: ['cage', 'outer', 'grease1', 'grease'],
  lower: ['cartridge'],
  bolts: ['lower'],
};

/**
 * Split cylindrical roller bearing, where no ring can be slid on from the end: everything is in halves, and every half has its
 * place, its mark and its torque.
 */
export function splitBearing(setup: SplitSetup): Procedure<SplitSetup> {
  const condition = conditionSteps(setup);
  const seat: StepDefinition<SplitSetup> = {
    id: 'seat',
    title: 'Seating loop',
    needs: boltNeeds('clampScrews'),
    kind: boltsStep((s: SplitSetup) =>
      specOf('Clamp screws', set(s, 'clampScrews'), { layout: 'halves', seatingDeg: SETTLED_DEG }),
    ),
    guide: 'All screws to torque evenly; tap the rings down all round; again, until none moves more than 3°.',
    caution: 'Soft hammer only: a chip in the race is the end of it.',
    loop: true,
  };
  const axial: StepDefinition<SplitSetup> = {
    id: 'axial',
    title: 'Axial place',
    kind: axialPlace,
    guide:
      setup.role === 'fixed'
        ? 'Half the cage and the lower cartridge as a gauge: the cage runs free between the ribs.'
        : 'Half the cage and the lower cartridge as a gauge: rollers centred, or offset towards the fixed bearing.',
    closes: 'Once the clamp screws are at torque the race does not slide any more.',
    repeatWord: 'Slid along',
    items: [
      setup.gaugeSchool === 'gauge-in'
        ? item(
            'Place',
            'held',
            'Clamp screws nipped up with cage and cartridge still in: the place cannot slip unseen.',
          )
        : item('Place', 'held', 'Gauge out, clamp screws nipped up, the place checked again.'),
    ],
  };
  return {
    title: 'Split roller bearing',
    steps: standing(STANDS_ON, [
      safe,
      ...fixedFirstStep(setup),
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
      {
        id: 'pedestal',
        title: 'Pedestal',
        kind: gate,
        guide:
          'Base half in place, loose. The lower cartridge half decides on which side the grease boss ends.',
        items: [
          ifFitted('Pedestal', 'boss', 'Asked first: on which side must the grease boss end?'),
          item('Pedestal', 'loose', 'Base half in place, bolts loose; shims, if any, carry the whole base.'),
          item('Pedestal', 'up', 'Shaft a little up, held; room to turn the cartridge in.'),
        ],
      },
      {
        id: 'outer',
        title: 'Outer race',
        needs: boltNeeds('jointScrews'),
        kind: boltsStep((s: SplitSetup) => specOf('Joint screws', set(s, 'jointScrews'))),
        itemsFirst: true,
        guide: 'Halves in the cartridge; joints tightened side about, the transition felt with a fingernail.',
        items: outerItems(setup),
      },
      {
        id: 'grease1',
        title: 'Grease path',
        kind: gate,
        guide: 'Proved before anything closes over it.',
        closes: 'Once the cartridge is on, the hole can no longer be seen.',
        items: [
          item('Race', 'smooth', 'Transition across both joints felt: smooth.'),
          ifFitted('Race', 'path', 'Pumped until fresh grease left the hole in the outer race.'),
        ],
      },
      {
        id: 'race',
        title: 'Inner race',
        kind: raceGaps({ rings: false, offset: false }),
        guide: 'Joints at 12 and 6 o’clock; a feeler in the lower joint holds both equal. No gap: stop.',
        repeatWord: 'Set anew',
      },
      {
        id: 'clamps',
        title: 'Clamp rings',
        kind: raceGaps({ rings: true, offset: true }),
        guide: `Lips inward, joints ${setup.clampOffsetDeg ?? 90}° off the race’s or as marked, screws finger-tight.`,
        repeatWord: 'Set anew',
        items: [
          ifFitted('Rings', 'lips', 'Lips of the rings face inward.'),
          item(
            'Rings',
            'feelerout',
            'The feeler that held the race gap is out: screws finger-tight, gaps equal.',
          ),
        ],
      },
      axial,
      seat,
      {
        id: 'seated',
        title: 'Gaps after',
        kind: raceGaps({ rings: true, offset: false }),
        guide: 'Race and rings felt once more at both sides, all screws at torque.',
        repeatWord: 'Seated again',
      },
      {
        id: 'cage',
        title: 'Cage',
        kind: gate,
        guide: 'Race and rollers greased, cage halves joined, turned on the race.',
        items: [
          item('Cage', 'greased', 'Race and rollers greased.'),
          item('Cage', 'joined', 'Cage halves joined: clips, tabs or plates all home.'),
          item('Cage', 'turns', 'First turn: the cage turns on the race, nothing binds.', {
            remedy: 'Cage off, clips and rollers looked at, the axial place again.',
          }),
        ],
      },
      ...greaseStep(setup, 'Cartridge halves, before they close,'),
      {
        id: 'cartridge',
        title: 'Cartridge',
        needs: boltNeeds('cartridgeBolts'),
        kind: boltsStep((s: SplitSetup) => specOf('Cartridge bolts', set(s, 'cartridgeBolts'))),
        itemsFirst: true,
        guide: 'Lower half rotated in, upper half with the lubrication port on top; joints torqued, no gap.',
        caution: 'The shaft may be raised a little for the lower half: by rated gear, fingers clear.',
        items: [
          item('Cartridge', 'lower', 'Lower half rotated in; second turn: the shaft turns in it.'),
          ifFitted('Cartridge', 'path', 'Grease path proved again: fresh grease left the hole.'),
          ...SEALS[setup.seals ?? 'labyrinth'],
          item('Cartridge', 'upper', 'Upper half on, lubrication port on top.'),
        ],
      },
      {
        id: 'lower',
        title: 'Load on',
        kind: gate,
        guide: 'Seat filmed, shaft lowered now: the load is on before the cap.',
        caution: 'Nobody under the shaft as it comes down.',
        items: [
          item('Load', 'nogap', 'No gap at the cartridge joints.'),
          ifFitted(
            'Load',
            'film',
            setup.film === 'oil'
              ? 'Spherical seat lightly oiled.'
              : 'Spherical seat with anti-seize, as the maker asks.',
          ),
          item('Load', 'lowered', 'Shaft lowered into the pedestal; support off.'),
          item(
            'Load',
            'cap',
            'Cap on by marks and dowels; a gap at the joint closed by light taps, not by its bolts.',
          ),
        ],
      },
      {
        id: 'bolts',
        title: 'Cap bolts',
        needs: boltNeeds('capBolts'),
        kind: boltsStep((s: SplitSetup) =>
          specOf('Cap bolts', set(s, 'capBolts'), {
            layout: layoutOf(set(s, 'capBolts')),
            housing: true,
          }),
        ),
        itemsFirst: true,
        guide: 'Just closed, the shaft turned so that the cartridge aligns itself, and only then to torque.',
        items: [
          item('Cap', 'closed', 'Cap bolts just closed, no more.'),
          item(
            'Cap',
            'turned',
            setup.aligned === 'power'
              ? 'Third turn: slowly by power under light load, where it is safe and agreed; the cartridge has aligned itself.'
              : 'Third turn: several slow turns by hand; the cartridge has aligned itself.',
          ),
        ],
      },
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      ...baseStep(setup),
      ...endSteps(setup),
    ]),
  };
}
