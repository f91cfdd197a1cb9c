import type { GateItem, Procedure, StepDefinition } from '../../engine/step.ts';
import { gate } from '../../steps/gate.ts';
import { ifFitted, item } from '../../steps/questions.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { asFound } from './as-found.ts';
import { lasted } from './lasted.ts';
import { letGo } from './let-go.ts';
import { nutBack } from './nut-back.ts';
import type { DismountSetup } from './setup.ts';

const safe = safeStep('Safe and ready', [
  ISOLATED,
  item(
    'Safe',
    'drained',
    'Nothing under pressure, hot or harmful is left in the machine; its safety sheet is read.',
  ),
  item('Safe', 'supported', 'Rotor blocked; load taken by rated gear, no fingers under.'),
  item('Safe', 'protected', 'Eye protection, gloves, boots on; nobody in line with nut or shaft.'),
  item('Ready', 'instructions', 'Maker’s instructions at hand; they outrank this list.'),
]);

const FREE: Record<DismountSetup['design'], GateItem[]> = {
  'adapter-sleeve': [
    item('Off', 'driven', 'Drift on the sleeve’s end, blows all round: it has let go.', {
      remedy: 'Nut back another turn, never off; or a hydraulic nut. No flame on the sleeve.',
    }),
  ],
  'captive-nut': [
    item('Off', 'driven', 'Driven back until the bearing let go: the nut was its own puller.', {
      remedy: 'Is the base loose and the load off? Then on, evenly.',
    }),
  ],
  hydraulic: [],
};

const NUT_GUIDE: Record<DismountSetup['design'], string> = {
  'adapter-sleeve': 'A few turns back, and still on: it catches the bearing when it jumps.',
  'captive-nut': 'Lock plate off, the nut driven back: it pulls the bearing off by itself.',
  hydraulic: 'Mount nut two turns loose, but never off: the bearing jumps. Dismount nut snug.',
};

const pump: StepDefinition<DismountSetup>[] = [
  {
    id: 'letgo',
    title: 'Let go',
    kind: letGo,
    guide: 'Pressure climbs, the sleeve lets go, the gauge drops to zero: that zero is the proof.',
    caution: 'Oil under pressure cuts skin. Nobody in line: it goes with a bang.',
    loop: true,
  },
  {
    id: 'pumpoff',
    title: 'Pump off',
    kind: gate,
    guide: 'Release, nut snug to return the oil, pump off, plug in.',
    items: [
      item('Pump', 'released', 'Pump released; the gauge shows nothing.'),
      item('Pump', 'returned', 'Nut turned snug so that the oil returned.'),
      item('Pump', 'plugged', 'Hose off, port plugged below the surface.'),
    ],
  },
];

/** What has let go stands on how far the nut was back. */
const STANDS_ON: StandsOn = { letgo: ['nutback'], pumpoff: ['letgo'], parts: ['letgo', 'nutback'] };

/** A bearing taken off, by the design of its sleeve; what is seen is written down: it is next time's diagnosis. */
export function dismounting(setup: DismountSetup): Procedure<DismountSetup> {
  const { design } = setup;
  return {
    title: 'Bearing taken off',
    steps: standing(STANDS_ON, [
      safe,
      {
        id: 'found',
        title: 'As found',
        kind: gate,
        guide: 'Cap off, nothing else moved yet: how it stood cannot be seen afterwards.',
        closes: 'Once it is loose, how it stood is gone.',
        items: [
          item('Cap', 'cap', 'Cap or cover off; nothing else is moved yet.'),
          item('As found', 'grease', 'Grease: colour, water, grit, how much?', { note: true }),
          item('As found', 'seals', 'Seals: facing, wear, what leaked?', { note: true }),
          item('As found', 'place', 'Position, rings and their side, lock: as they stand?', { note: true }),
          ...(setup.twoNuts
            ? [
                item(
                  'As found',
                  'nuts',
                  'Mount nut told from dismount nut by hole pattern or plate; outer seals off both.',
                ),
              ]
            : []),
        ],
      },
      ...(setup.asLeftMm === undefined
        ? []
        : [
            {
              id: 'residual',
              title: 'Clearance as found',
              kind: asFound,
              guide: 'Beside what it was fitted with: grown, the sleeve has let go or the bearing has worn.',
              closes: 'Once the nut is back it can be felt no more.',
              caution: 'Rotor still blocked; fingers out from between ring and rollers.',
            },
          ]),
      {
        id: 'loose',
        title: 'Loose',
        kind: gate,
        guide: 'The base is loose and the load off before the nut turns.',
        items: [
          item('Loose', 'base', 'Base bolts loose.'),
          item('Loose', 'load', 'Load off the bearing, by rated gear.'),
          ifFitted('Loose', 'seals', 'Seals clear of the nut.'),
          item('Loose', 'lock', 'Lock off: tab straightened, plate or clip taken away.'),
        ],
      },
      {
        id: 'nutback',
        title: 'Nut back',
        kind: nutBack,
        guide: NUT_GUIDE[design],
        caution: 'Never all the way off before it has let go.',
        items: FREE[design],
      },
      ...(design === 'hydraulic' ? pump : []),
      {
        id: 'parts',
        title: 'Parts',
        kind: setup.ranHours === undefined ? gate : lasted,
        guide: 'Parts kept, paired and marked; what is seen is next time’s diagnosis.',
        items: [
          item('Parts', 'race', 'Races and rollers: spalls, dents, fretting, colour?', { note: true }),
          item('Parts', 'sleeve', 'Sleeve, nut and shaft: scoring, cracks, fretting?', { note: true }),
          ifFitted(
            'Parts',
            'kept',
            setup.reused
              ? 'Parts cleaned, oiled, paired and wrapped: they go back on.'
              : 'Parts kept and tagged for whoever looks for the cause.',
          ),
        ],
      },
      { id: 'sign', title: 'Signature', kind: signature, guide: 'The sheet stays with the machine.' },
    ]),
  };
}
