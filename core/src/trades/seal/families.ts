import type { StepDefinition } from '../../engine/step.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { glandBolts, setScrews } from './parts.ts';
import { collarStep, impellerStep, sealSettingStep } from './setting.ts';
import type { SealFamily, SealSetup } from './setup.ts';
import { sweepMiddle, throttleStep } from './small.ts';
import { cartridgeSplit, clampSplit, fullySplit } from './split-families.ts';
import { standingOn } from './stands-on.ts';
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
    standingOn(settingAsClipped, 'impeller'),
    // The impeller moved later: all from here comes again, with the clips in first.
    standingOn(glandBolts(), 'impeller'),
    glandGapsStep(setup),
    ...(setup.tail === 'clips-first' ? [snugStep, clips, screws] : [screws, clips]).map((s) =>
      standingOn(s, 'impeller', 'glandbolts'),
    ),
    standingOn(settingProved, 'impeller', 'reach', 'glandbolts', 'screws', 'clips'),
    standingOn(recoveryTurn, 'reached', 'glandbolts', 'gland-gaps', 'screws', 'clips'),
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
      ifFitted('Seat', 'pin', 'Anti-rotation pin in its slot, if there is one.'),
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
    ifFitted('Cartridge', 'pads', 'Every centring pad squarely in its groove.'),
    item(
      'Cartridge',
      'points',
      'Dog points in the small holes, not backed out; cups through the large ones.',
    ),
    item('Cartridge', 'notproud', 'No screw protrudes into the bore.'),
    ifFitted('Cartridge', 'plugs', 'Plugs out of the ports to be used; the others stay in.'),
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
    ifFitted('New', 'plugs', 'Plugs out of the ports to be used; the others stay in.'),
    ifFitted('New', 'pads', 'Gland pressed down until the centring pads sit in the ring’s groove.'),
    ifFitted('New', 'template', 'Template kept with the tools: it is for this cassette.'),
    ELASTOMERS_LUBED,
    item('On', 'slidon', 'Slid on by sleeve or lock ring, never by the gland.'),
  ]),
  ...cartridgeTail(setup),
];

const purged = (_setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('apart', 'Bench', 'Nothing is closed that does not move.', [
    item('Bench', 'radial', 'All internals move radially by hand.'),
    item('Bench', 'square', 'Shaft square to the face, by the square.'),
    ifFitted('Bench', 'apart', 'Halves apart by the pry grooves, or not at all.'),
    ifFitted('Bench', 'report', 'Maker’s test report with the sheet.'),
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
  standingOn(
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
