import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { asked, item } from '../../steps/questions.ts';
import { anglesStep, glandAngleStep } from './angles.ts';
import { driveScrews, gapsStep, glandBolts, jointScrews, oRingEnds, screwsOf, setScrews } from './parts.ts';
import { collarStep, impellerStep, sealSettingStep } from './setting.ts';
import type { SealFamily, SealSetup } from './setup.ts';
import { baseline, sweepMiddle, throttleStep } from './small.ts';
import {
  clipsStep,
  glandGapsStep,
  handTurnStep,
  impellerGate,
  portsPlaced,
  recoveryTurn,
  settingAsClipped,
  settingProved,
  snugStep,
} from './tail.ts';

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

/** A step that opens again when one of these is undone. */
const standing = (step: StepDefinition<SealSetup>, ...on: string[]): StepDefinition<SealSetup> => ({
  ...step,
  standsOn: [...(step.standsOn ?? []), ...on],
});

/** The shared order of all preset cartridges, from the orienting on. */
const cartridgeTail = (setup: SealSetup): StepDefinition<SealSetup>[] => {
  const screws = setScrews({
    guide:
      'Dog points first, all of them, then cup points: by hand, then to torque, crosswise. A screw out of reach: free one clip only.',
  });
  const clips = clipsStep(setup);
  return [
    ...portsPlaced(setup),
    impellerGate,
    standing(settingAsClipped, 'impeller'),
    // The impeller moved later: all from here comes again, with the clips in first.
    standing(glandBolts(), 'impeller'),
    glandGapsStep(setup),
    ...(setup.tail === 'clips-first' ? [snugStep, clips, screws] : [screws, clips]).map((s) =>
      standing(s, 'impeller', 'glandbolts'),
    ),
    standing(settingProved, 'impeller', 'reach', 'glandbolts', 'screws', 'clips'),
    standing(recoveryTurn, 'reached', 'glandbolts', 'gland-gaps', 'screws', 'clips'),
  ];
};

const component = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked(
    'scribe',
    'Scribe',
    'The shaft’s place now is what every length is taken from.',
    [
      item('Scribe', 'runs', 'Impeller stands where it will run.'),
      item('Scribe', 'scribed', 'Shaft scribed at the box face, fine, outside every O-ring’s track.'),
    ],
    { closes: 'Once the box is closed, the scribe line can no longer be taken from its face.' },
  ),
  asked(
    'stationary',
    'Seat',
    'By hand pressure only, through a clean disc; never by blows, never on the face.',
    [
      item('Seat', 'lubricated', 'Seat’s secondary seal lubricated with what suits its rubber.'),
      item('Seat', 'home', 'Stationary seat fully home and square, felt all round.'),
      item('Seat', 'pin', 'Anti-rotation pin in its slot, if there is one.'),
      item('Seat', 'wiped', 'Face wiped with lint-free cloth; no finger on it since.'),
    ],
  ),
  {
    id: 'setting',
    title: 'Setting',
    kind: sealSettingStep,
    guide: 'Where the seat’s face stands decides the sign: a wrong one costs twice its distance.',
    repeatWord: 'Set anew',
  },
  asked('rotary', 'Rotary', 'Pushed by the collar, with a turn, past taped edges.', [
    item('Rotary', 'lubricated', 'Shaft and secondary seals lubricated.'),
    item('Rotary', 'mark', 'Rotary to its mark; spring free, not twisted.'),
    item('Rotary', 'faces', 'Faces wiped, dry or with the sheet’s oil.'),
  ]),
  setScrews({ closes: 'Once the box is closed, the collar can no longer be reached.' }),
  {
    id: 'collar',
    title: 'Collar as set',
    kind: collarStep,
    guide: 'Measured after the screws: they pull it along.',
    repeatWord: 'Set anew',
  },
  asked(
    'close',
    'Close',
    'The gland comes up square; the gasket is the one that was measured.',
    [
      item('Close', 'gasket', 'Gasket in, the one that was measured.'),
      item('Close', 'square', 'Gland brought up square by hand; faces meet without a blow.'),
    ],
    { closes: 'Once the gland is up, seat and collar can no longer be measured.' },
  ),
  glandBolts(),
  glandGapsStep(setup),
  {
    id: 'impeller',
    title: 'Impeller',
    kind: impellerStep,
    guide: 'Every movement of the shaft since the setting changes the compression one for one.',
    repeatWord: 'Adjusted',
  },
  handTurnStep,
];

const ELASTOMERS_LUBED = item(
  'On',
  'lubricated',
  'Shaft and O-rings lubricated with what suits their rubber.',
);

const cartridge = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('slide', 'Slide on', 'Push on the sleeve or lock ring, never on the gland.', [
    item('Cartridge', 'pads', 'Every centring pad squarely in its groove.'),
    item(
      'Cartridge',
      'points',
      'Dog points in the small holes, not backed out; cups through the large ones.',
    ),
    item('Cartridge', 'notproud', 'No screw protrudes into the bore.'),
    item('Cartridge', 'plugs', 'Plugs out of the ports to be used; the others stay in.'),
    ELASTOMERS_LUBED,
    item('On', 'pushed', 'Slid on by sleeve or lock ring; gasket in its place.'),
  ]),
  ...cartridgeTail(setup),
];

const cassette = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('change', 'Cassette', 'The gland stays; the cassette is changed in it.', [
    item('Old', 'clipped', 'Clips or template in and screwed home before anything was moved.'),
    item('Old', 'out', 'Old cassette out; gland and its gasket looked over and kept.'),
    item('New', 'pushed', 'New cassette pushed in, its pin in its hole, flush.'),
    item('New', 'dogs', 'Dog points engaged in their holes, not backed out.'),
    item('New', 'notproud', 'No screw protrudes into the bore.'),
    item('New', 'plugs', 'Plugs out of the ports to be used; the others stay in.'),
    item('New', 'pads', 'Gland pressed down until the centring pads sit in the ring’s groove.'),
    item('New', 'template', 'Template kept with the tools: it is for this cassette.'),
    ELASTOMERS_LUBED,
    item('On', 'pushed', 'Slid on by sleeve or lock ring, never by the gland.'),
  ]),
  ...cartridgeTail(setup),
];

const cartridgeSplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', 'Halves', 'Apart on a clean cloth. The faces never touch anything.', [
    item('Halves', 'shipping', 'Shipping spacers out and counted; no face was moved.'),
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
      item(
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
  item(
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

const fullySplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', 'Halves', 'Apart on a clean cloth, faces up. Nothing touches a face.', [
    item('Halves', 'shipping', 'Shipping spacers out and counted; no face was moved.'),
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
      item('Gland', 'springs', 'Springs still in their slots.'),
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

const clampSplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', 'Halves', 'On their pins round the shaft.', [
    item(
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
    item(
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
  standing(
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

const purged = (_setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('apart', 'Bench', 'Nothing is closed that does not move.', [
    item('Bench', 'radial', 'All internals move radially by hand.'),
    item('Bench', 'square', 'Shaft square to the face, by the square.'),
    item('Bench', 'apart', 'Halves apart by the pry grooves, or not at all.'),
    item('Bench', 'report', 'Maker’s test report with the sheet.'),
  ]),
  {
    id: 'throttle',
    title: 'Throttle',
    kind: throttleStep,
    guide: 'Blades between throttle and shaft, three places round.',
    closes: 'Once the flange is on, the throttle’s clearance can no longer be felt.',
    repeatWord: 'Changed',
  },
  asked('assemble', 'Assemble', 'Throttle, stator with its pins outward, flange, cap.', [
    item(
      'Assemble',
      'antirotation',
      'Stator’s anti-rotation screws entered the throttle’s holes as its halves joined.',
    ),
    item('Assemble', 'sealant', 'Thin sealant on one side of each joint, excess wiped.'),
    item('Assemble', 'boxface', 'Box face sealed by O-ring, gasket or thin sealant: which?', { note: true }),
    item('Assemble', 'ports', 'Inlet and gauge ports near horizontal, opposite each other.'),
    item('Assemble', 'loose', 'Loosely bolted.'),
  ]),
  {
    id: 'centre',
    title: 'Centre',
    kind: sweepMiddle,
    guide:
      'Three shims, 120° apart, between stator and shaft: centred on the axis, not on the shaft as it stands.',
    items: [
      item('Centre', 'middle', 'Shaft stopped with its 0° mark on top, where the run-out was read from.'),
      item('Centre', 'shims', 'Three shims of the sizes shown at 120° between stator and shaft.'),
    ],
  },
  glandBolts('Flange bolts', 'With the shims in: they centre it.'),
  standing(
    asked('shims', 'Shims out', 'A shim left in stops the start.', [
      item('Shims', 'out', 'All three shims out and counted.'),
    ]),
    'glandbolts',
  ),
  handTurnStep,
];

/** The middle of the work, by family: from the parts to the hand turn. */
export const FAMILY_STEPS: Record<SealFamily, (setup: SealSetup) => StepDefinition<SealSetup>[]> = {
  component,
  cartridge,
  cassette,
  'cartridge-split': cartridgeSplit,
  'fully-split': fullySplit,
  'clamp-split': clampSplit,
  purged,
};
