import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { len } from '../../quantities/say.ts';
import { gate } from '../../steps/gate.ts';
import { benchClearance } from './bench-clearance.ts';
import { driveUp } from './drive-up.ts';
import { driveUpAngle } from './drive-up-angle.ts';
import { driveUpHydraulic } from './drive-up-hydraulic.ts';
import { lock } from './lock.ts';
import { lockBySchool } from './lock-by-school.ts';
import { nutZero } from './nut-zero.ts';
import type { SleeveSetup } from './setup.ts';
import { isFelt, pitchOf, schoolOf } from './setup.ts';
import { target } from './target.ts';

const BENCH: StepDefinition<SleeveSetup> = {
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
};

const HAMMER = 'Hammer and drift throw chips: eye protection on, nobody in line.';
const NOT_UNDONE = 'Driven too far cannot be undone by backing the nut off.';
const CAP_HIDES = 'Once the cap is on, the clearance can no longer be felt.';

/** What secures the nut, as it is asked. */
const lockItems = (setup: SleeveSetup): GateItem[] => {
  const by = setup.lock?.by ?? 'washer';
  return [
    {
      id: 'bent',
      group: 'Lock',
      // A bent tab is not felt through: what is too close to call is felt again before it.
      after: ['lock.turn', 'lock.back', 'lock.final', 'driveup.place'],
      ask:
        by === 'washer'
          ? 'Tab bent home into the slot.'
          : by === 'plate'
            ? 'Lock plate on, its washers and screws tight.'
            : 'Lock clip in slot and groove, its screw tight.',
    },
  ];
};

/** The film on each surface of the sleeve, by its own school, and the unit set back by what it will travel. */
const onShaft = (setup: SleeveSetup, travel: string): GateItem[] => [
  {
    id: 'film-bore',
    group: 'Film',
    ask:
      setup.filmBore === 'oiled'
        ? 'Sleeve’s bore on the shaft: a light film of oil, as the maker asks; never anti-seize.'
        : 'Sleeve’s bore on the shaft: dry, wiped; never anti-seize.',
  },
  {
    id: 'film-taper',
    group: 'Film',
    ask:
      setup.filmTaper === 'oiled'
        ? 'Sleeve’s taper in the bearing: a light film of oil, as the maker asks; never anti-seize.'
        : 'Sleeve’s taper in the bearing: dry, wiped; never anti-seize.',
  },
  {
    id: 'startback',
    group: 'Place',
    ask: `Set back from its final place by what it will travel${travel}: it ends where it belongs.`,
  },
];
const SLIDES: GateItem[] = [
  { id: 'open', group: 'Sleeve', ask: 'Sleeve fully open: nut back one or two turns.' },
  {
    id: 'slides',
    group: 'Sleeve',
    ask: 'It slid on to its place without force.',
    remedy: 'Nut back one or two turns more, try again; never forced.',
  },
];

/** School A: clearance by feelers. */
const byFeelers = (setup: SleeveSetup): StepDefinition<SleeveSetup>[] => [
  BENCH,
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
    id: 'fit',
    title: 'In position',
    kind: gate,
    guide: 'The unit slides on with the sleeve open, and is never forced.',
    again: true,
    items: [...SLIDES, ...onShaft(setup, ', the travel of the target')],
  },
  {
    id: 'driveup',
    title: 'Drive-up',
    kind: driveUp,
    guide: 'An eighth of a turn, then feel both rows. Same state, same place as on the bench.',
    caution: HAMMER,
    closes: NOT_UNDONE,
    loop: true,
    again: true,
  },
  {
    id: 'lock',
    title: 'Lock',
    kind: lock,
    guide: 'Forward to the next tab, never back. Feel once more with the nut locked.',
    closes: CAP_HIDES,
    again: true,
    items: lockItems(setup),
  },
];

/** The end both other schools share. */
const lockOf = (setup: SleeveSetup, guide: string, more: GateItem[] = []): StepDefinition<SleeveSetup> => ({
  id: 'lock',
  title: 'Lock',
  kind: lockBySchool,
  guide,
  again: true,
  items: [...lockItems(setup), ...more],
  ...(isFelt(setup) ? { closes: CAP_HIDES } : {}),
});

/** Pitch × the middle of the maker's band, where there is one. */
function travelByAngle(setup: SleeveSetup): string {
  const { nutAngleMinDeg: least, nutAngleMaxDeg: most } = setup.maker;
  if (least === undefined || most === undefined) return '';
  return `, about ${len((pitchOf(setup).pitchMm * (least + most)) / 720, 2)}`;
}

/** School B: nut angle from a proven zero. */
const byAngle = (setup: SleeveSetup): StepDefinition<SleeveSetup>[] => [
  ...(isFelt(setup) ? [BENCH] : []),
  {
    id: 'fit',
    title: 'In position',
    kind: gate,
    guide: 'The unit slides on with the sleeve open, and is never forced.',
    again: true,
    items: [...SLIDES, ...onShaft(setup, travelByAngle(setup))],
  },
  {
    id: 'zero',
    title: 'Zero of the nut',
    kind: nutZero,
    guide: 'By both hands until it will not turn; tap the rim, try again. It turned: repeat.',
    closes:
      'Without a real zero the angle means nothing, and it cannot be found again once the nut is driven.',
    loop: true,
    again: true,
    items: [
      { id: 'marked', group: 'Zero', ask: 'Nut face marked in line with the sleeve’s slot.' },
      { id: 'stayed', group: 'Zero', ask: 'The unit has not shifted from its place while it was snugged.' },
    ],
  },
  {
    id: 'driveup',
    title: 'Drive-up',
    kind: driveUpAngle,
    guide: 'Spanner, or drift and hammer, on to the maker’s band from the mark. Forward only.',
    caution: HAMMER,
    closes: NOT_UNDONE,
    loop: true,
    again: true,
  },
  lockOf(setup, 'Forward to the next lock hole, never back; it stays in the maker’s band.'),
];

const TWO_NUTS: GateItem[] = [
  {
    id: 'told',
    group: 'Two nuts',
    ask: 'Mount nut told from dismount nut by hole pattern or plate, before anything turned.',
  },
  { id: 'seals', group: 'Two nuts', ask: 'Outer seals off both nuts, their facing noted.', kind: 'machine' },
  { id: 'scribed', group: 'Two nuts', ask: 'Both nuts scribed to the sleeve.' },
  {
    id: 'loose',
    group: 'Two nuts',
    ask: 'Dismount nut back two turns, and loose throughout; mount nut back one.',
  },
  {
    id: 'freed',
    group: 'Two nuts',
    ask: 'Nut face tapped with a soft mallet: the sleeve is open and the unit slid on without force.',
    remedy: 'Drive nut back one turn, tap its face so that the sleeve opens, again; never forced.',
  },
];

/** School C: hydraulic nut. */
const byHydraulicNut = (setup: SleeveSetup): StepDefinition<SleeveSetup>[] => [
  ...(isFelt(setup) ? [BENCH] : []),
  {
    id: 'fit',
    title: 'Nut and pump',
    kind: gate,
    guide: 'Nut bored for the sleeve, piston fully in, air bled, indicator clear for the whole travel.',
    caution: 'Oil under pressure cuts skin: no hand along hose or nut, eye protection on.',
    again: true,
    items: [
      ...(setup.driveUp?.twoNuts ? TWO_NUTS : SLIDES),
      ...onShaft(
        setup,
        setup.maker.driveUpMinMm === undefined ? '' : `, about ${len(setup.maker.driveUpMinMm, 2)}`,
      ),
      {
        id: 'bored',
        group: 'Pump',
        ask: 'The nut is the one for this sleeve; its piston area is the one typed.',
      },
      { id: 'bled', group: 'Pump', ask: 'Piston fully in, air bled, hose and couplings sound.' },
      {
        id: 'dial',
        group: 'Pump',
        ask:
          setup.driveUp?.indicator === 'towards'
            ? 'Indicator on the nut’s side: the face comes towards it; room for the whole travel.'
            : 'Anvil on the inner unit: the face moves away; plunger pressed in for the whole travel.',
      },
    ],
  },
  {
    id: 'driveup',
    title: 'Drive-up',
    kind: driveUpHydraulic,
    guide: 'Start pressure, zero there once, then to the sheet’s distance. Never zeroed again half way.',
    caution: 'Nobody in line with nut or shaft while there is pressure on.',
    closes: NOT_UNDONE,
    loop: true,
    again: true,
  },
  {
    id: 'release',
    title: 'Release',
    kind: gate,
    guide: 'Pressure off, and the oil back home by turning the nut snug.',
    again: true,
    items: [
      { id: 'released', group: 'Pump', ask: 'Pump released; the gauge shows nothing.' },
      { id: 'returned', group: 'Pump', ask: 'Nut turned snug so that the oil returned; piston fully in.' },
      {
        id: 'plugged',
        group: 'Pump',
        ask: 'Hose off, port plugged; the plug sits below the surface, or it cuts the seal.',
      },
    ],
  },
  lockOf(
    setup,
    setup.driveUp?.twoNuts
      ? 'Nut holes and sleeve slots that need the least turn forward; the dismount nut last, back to its own.'
      : 'Lock nut snug, forward to its lock position.',
    [
      ...(setup.driveUp?.twoNuts
        ? [
            {
              id: 'dismountnut',
              group: 'Lock',
              ask: 'Dismount nut snug, back to its first lock position, secured.',
            },
          ]
        : []),
      // The last turn to the lock is what raises them.
      {
        id: 'burrs',
        group: 'Rim',
        ask: 'Burrs on the nut’s rim filed, after its lock, before a seal passes over it.',
      },
    ],
  ),
];

/** From the bench to the lock, by the school of this job. */
export function mountSteps(setup: SleeveSetup): StepDefinition<SleeveSetup>[] {
  switch (schoolOf(setup)) {
    case 'feelers':
      return byFeelers(setup);
    case 'nut-angle':
      return byAngle(setup);
    case 'hydraulic':
      return byHydraulicNut(setup);
  }
}
