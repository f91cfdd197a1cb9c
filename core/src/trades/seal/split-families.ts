import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { anglesStep, glandAngleStep } from './angles.ts';
import { driveScrews, gapsStep, glandBolts, jointScrews, oRingEnds, screwsOf, setScrews } from './parts.ts';
import type { SealSetup } from './setup.ts';
import { baseline } from './small.ts';
import { standingOn } from './stands-on.ts';
import { glandGapsStep, handTurnStep, portsPlaced } from './tail.ts';

/** Splits and seams set round the shaft: those of the faces while they are seen, the gland’s when it is on. */
const angles = (gland = false): StepDefinition<SealSetup> => ({
  id: gland ? 'glandangle' : 'angles',
  title: gland ? 'Gland’s split' : 'Splits',
  kind: gland ? glandAngleStep : anglesStep,
  guide: gland
    ? 'Square to the split it covers: degrees from the top, clockwise, seen from the outboard end.'
    : 'Drag each to where it stands, or type it: degrees from the top, clockwise, seen from the outboard end.',
  caution: 'Faces are not touched with bare fingers; edges of a split face cut.',
  closes: gland
    ? 'Once its joint screws are at torque, the gland turns no more.'
    : 'Once the gland is round them, these splits can be neither seen nor turned.',
  repeatWord: 'Turned',
});

/** Two rotary halves, two gland halves; the machine is not dismantled. */
export const cartridgeSplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', 'Halves', 'Apart on a clean cloth. The faces never touch anything.', [
    item('Halves', 'shipping', 'No shipping spacer is left in; those that came are out and counted.'),
    item('Halves', 'paired', 'Halves of one number; splits clean.'),
    oRingEnds(setup, 'rotaryends', 'Rotary'),
    item('Halves', 'grease', 'Face splits greased thinly.'),
    item('Halves', 'notproud', 'No screw protrudes into the bore.'),
  ]),
  asked('rotary', 'Rotary halves', 'Round the shaft, half tight, so that they still slide.', [
    item('Rotary', 'gaskets', 'Gaskets lie in their grooves.'),
    item('Rotary', 'slides', 'Half tight: it slides.'),
    item('Rotary', 'setting', 'Setting spacers pressed against the box face, not against the seal’s face.'),
  ]),
  jointScrews('rotaryjoint', 'Joint screws', 'Alternately, side about, to the sheet’s torque.'),
  gapsStep('Gaps at the splits'),
  asked('spacers', 'Spacers out', 'Setting spacers out before the set screws.', [
    item('Spacers', 'out', 'Setting spacers out and counted.'),
  ]),
  setScrews({ closes: 'Once the gland is round it, no rotary screw can be reached.' }),
  angles(),
  asked(
    'gland',
    'Gland halves',
    'Splits square to the rotary’s, held square by the setting tool.',
    [
      item('Gland', 'wiped', 'Rotary face wiped with lint-free cloth.'),
      ifFitted(
        'Gland',
        'springs',
        'Springs stand up in their pockets; the spring lifter, where there is one, is out.',
      ),
      item('Gland', 'facesplits', 'Stationary face splits greased thinly; its face wiped on its own.'),
      oRingEnds(setup, 'stationaryends', 'Stationary'),
      item('Gland', 'gaskets', 'Gland gaskets greased, in their grooves, ends met.'),
      item('Gland', 'round', 'Halves round the shaft, setting tool in, square.'),
    ],
    { closes: 'Once the gland is round it, the rotary splits can no longer be looked at.' },
  ),
  angles(true),
  jointScrews(
    'glandjoint',
    'Gland joint screws',
    'Alternately, to the sheet’s torque; setting tool still in.',
  ),
  asked('tool', 'Setting tool', 'Out before the bolts; a tool left in stops the start.', [
    item('Tool', 'out', 'Setting tool out and in the box.'),
    boltTabs(setup),
  ]),
  ...portsPlaced(setup),
  glandBolts('Box bolts', 'Evenly, only snug, the seal square: it centres itself.', true),
  glandGapsStep(setup),
  handTurnStep,
];

/** Tabs by which a split gland takes the bolts of its box. */
const boltTabs = (setup: SealSetup): GateItem =>
  ifFitted(
    'Tool',
    'tabs',
    setup.glandBolts <= 4
      ? `Bolt tabs set for ${setup.glandBolts} bolts, ${360 / setup.glandBolts}° apart; those not used are off.`
      : 'The box’s bolts reach the gland without tabs.',
  );

const spacerStep = (setup: SealSetup): StepDefinition<SealSetup> =>
  setup.spacer !== 'fastened'
    ? asked('holder', 'Holder', 'The spacer decides where the whole seal stands.', [
        item(
          'Holder',
          'touched',
          'Spacer bore on the step at the holder’s inboard end, not against its back.',
          {
            remedy: 'Against the back the whole seal stands wrong while all looks right: set it again.',
          },
        ),
      ])
    : asked('holder', 'Holder', 'The spacers are fastened to the holder and rest on the box face.', [
        item('Holder', 'fastened', 'Both setting spacers fastened and resting on the box face.'),
        item('Holder', 'even', 'Holder square: no light under either spacer.'),
      ]);

/** Separate faces, each in halves. */
export const fullySplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', 'Halves', 'Apart on a clean cloth, faces up. Nothing touches a face.', [
    item('Halves', 'shipping', 'No shipping spacer is left in; those that came are out and counted.'),
    item('Halves', 'paired', 'Each half with its own; splits clean, no chip.'),
    item('Halves', 'grease', 'Holder gaskets, its O-ring, gland gaskets greased; no grease on face splits.'),
    item('Halves', 'springs', 'Springs sit in their slots.'),
  ]),
  spacerStep(setup),
  jointScrews(
    'rotaryjoint',
    'Holder’s joint screws',
    'Two screws clamp the holder: alternately, to the sheet’s torque.',
    setup.spacer === 'fastened'
      ? {}
      : { items: [item('Holder', 'both', 'Spacer held at both sides while the joint screws were drawn.')] },
  ),
  gapsStep('Gaps of the holder'),
  asked(
    'faces',
    'Faces',
    'Rotary O-ring on the shaft, stationary’s outboard of it; stationary halves nested between, then the rotary’s.',
    [
      item('Faces', 'spacers', 'Setting spacers out, after the joint screws were at torque.'),
      item('Faces', 'orings', 'O-rings opened and closed round the shaft; the longer is the rotary’s.'),
      oRingEnds(setup, 'rotaryends', 'Rotary'),
      oRingEnds(setup, 'stationaryends', 'Stationary'),
      item('Faces', 'greased', 'Both face O-rings greased thinly on the outside.'),
      item('Faces', 'drive', 'Drive slot on its pin, by the marks.'),
      item('Faces', 'pressed', 'Rotary pressed into its holder with the stationary as the pusher.'),
      item('Faces', 'felt', 'No step felt across a split with a fingertip or nail.'),
      item('Faces', 'wiped', 'Rotary face and stationary face wiped, each on its own.'),
    ],
  ),
  angles(),
  asked(
    'gland',
    'Gland halves',
    'Only after the splits were felt and placed.',
    [
      item('Gland', 'gaskets', 'Gland gaskets in their grooves, ends met.'),
      ifFitted('Gland', 'springs', 'Springs still in their slots.'),
      boltTabs(setup),
    ],
    { closes: 'Once the gland is closed, no split can be felt again.' },
  ),
  angles(true),
  jointScrews('glandjoint', 'Gland joint screws', 'Alternately, to the sheet’s torque.'),
  ...portsPlaced(setup),
  glandBolts(),
  glandGapsStep(setup),
  {
    id: 'baseline',
    title: 'Wear baseline',
    standsOn: ['glandbolts'],
    kind: baseline('Stationary’s back from the setting spacer held against the gland: + proud', 'spacer'),
    guide:
      'Setting spacer against the back of the gland: about flush now. The same comparison later measures the wear.',
    closes: 'Once it has run, the new faces’ place cannot be measured any more.',
  },
  handTurnStep,
];

/** Halves held by a clamp ring, set by mounting plates. */
export const clampSplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', 'Halves', 'On their pins round the shaft.', [
    ifFitted(
      'Halves',
      'soap',
      'O-rings wetted with what the sheet says for them: weak soap, or silicone grease.',
    ),
    item('Halves', 'pins', 'Rotating halves on their pins; collar joined by hand.'),
    item('Halves', 'felt', 'Joint felt across: no step. A fracture line may be seen, not felt.'),
    oRingEnds(setup, 'rotaryends', 'Rotary'),
  ]),
  ...(screwsOf(setup) > 0 ? [driveScrews] : []),
  asked('plates', 'Plates', 'Plates between rotor and pump flange give the fitting dimension.', [
    ifFitted(
      'Plates',
      'parted',
      'Halves parted with the plates between them, one to each side; sides changed as the sheet shows.',
    ),
    item('Plates', 'in', 'Both mounting plates in, the rotor pushed square onto them.'),
    item('Plates', 'square', 'No light between plates and rotor.'),
  ]),
  jointScrews(
    'rotaryjoint',
    'Clamp ring screws',
    'The screw with the washer first, then alternately, to the sheet’s torque.',
    {
      itemsFirst: true,
      items: [item('Washer', 'washer', 'The screw with the washer is number 1, and is drawn first.')],
    },
  ),
  asked(
    'faces',
    'Faces',
    'Wiped with alcohol until free of streaks.',
    [
      item('Faces', 'platesout', 'Plates out and counted.'),
      item('Faces', 'felt', 'Face felt again across its joint: no step.'),
      item('Faces', 'streaks', 'Both faces wiped with alcohol and lint-free cloth, free of streaks.'),
      item('Faces', 'lip', 'Cover’s lip eased past the rotor; the face was not struck.'),
    ],
    {
      caution: 'Alcohol burns: no flame, no hot surface near, gloves on.',
      closes: 'Once the stationary is over it, the rotor’s face can no longer be felt.',
    },
  ),
  asked('stationary', 'Stationary halves', 'Joined round the shaft, clear of the flange.', [
    item('Stationary', 'joined', 'Halves joined on their pins, evenly, by hand.'),
    oRingEnds(setup, 'stationaryends', 'Stationary'),
    item('Stationary', 'gap', 'A gap to the flange remains while they are joined.'),
  ]),
  asked('drawin', 'Draw in', 'Two screws draw it in; undone again, to turn the ports upright.', [
    item('Draw in', 'drawn', 'Drawn in by two screws, then these undone again.'),
    item('Draw in', 'vertical', 'Supply and drain ports stand vertical: it vents.'),
  ]),
  glandBolts('Flange screws', 'Crosswise, to the sheet’s torque, until no gap is left.'),
  standingOn(
    asked('fixtures', 'Fixtures', 'A fixture left in stops the start.', [
      item('Fixtures', 'nogap', 'No gap between seal and flange, all round.'),
      item('Fixtures', 'out', 'Fixtures out and counted.'),
    ]),
    'glandbolts',
  ),
  {
    id: 'baseline',
    title: 'Wear baseline',
    standsOn: ['glandbolts'],
    kind: baseline('Projection of the locking pins', 'pins'),
    guide: 'Pins stand slightly proud: their projection is the wear gauge. Flush means order the service.',
    closes: 'Once it has run, the new pins’ projection cannot be measured any more.',
  },
  handTurnStep,
];
