import { M as H } from '../../engine/headings/messages.ts';
import type { StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { asked, done, ifFitted, item } from '../../steps/questions.ts';
import { M } from './messages.ts';
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
    guide: M.dogPointsFirstAllThem2,
  });
  const clips = clipsStep(setup);
  return [
    ...portsPlaced(setup),
    impellerGate,
    standingOn({ ...settingAsClipped, depth: 'thorough' }, 'impeller'),
    // The impeller moved later: all from here comes again, with the clips in first.
    standingOn(glandBolts(), 'impeller'),
    ...glandGapsStep(setup),
    ...(setup.tail === 'clips-first' ? [snugStep, clips, screws] : [screws, clips]).map((s) =>
      standingOn(s, 'impeller', 'glandbolts'),
    ),
    standingOn({ ...settingProved, depth: 'thorough' }, 'impeller', 'reach', 'glandbolts', 'screws', 'clips'),
    standingOn(recoveryTurn, 'reached', 'glandbolts', 'gland-gaps', 'screws', 'clips'),
  ];
};

const component = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked(
    'scribe',
    M.scribe,
    M.shaftsPlaceNowWhatEvery,
    [
      done(H.scribe, 'runs', M.impellerStandsWhereWillRun),
      done(H.scribe, 'scribed', M.shaftScribedBoxFaceFine),
    ],
    { closes: M.onceBoxClosedScribeLine },
  ),
  asked('stationary', COMMON.seat, M.handPressureOnlyThroughClean, [
    done(COMMON.seat, 'lubricated', M.seatsSecondarySealLubricatedWhat),
    item(COMMON.seat, 'home', M.stationarySeatFullyHomeSquare),
    ifFitted(COMMON.seat, 'pin', M.antiRotationPinSlotIf),
    done(COMMON.seat, 'wiped', M.faceWipedLintFreeCloth),
  ]),
  {
    id: 'setting',
    title: M.setting,
    kind: sealSettingStep,
    items: [item(COMMON.seat, 'again', M.farFromBoxFaceMeasuredAgain)],
    guide: M.whereSeatsFaceStandsDecides,
    repeatWord: COMMON.setAnew,
  },
  asked('rotary', COMMON.rotary, M.pushedCollarTurnPastTaped, [
    done(COMMON.rotary, 'lubricated', M.shaftSecondarySealsLubricated),
    item(COMMON.rotary, 'mark', M.rotaryMarkSpringFreeNot),
    done(COMMON.rotary, 'faces', M.facesWipedDrySheetsOil),
  ]),
  setScrews({ closes: M.onceBoxClosedCollarCan }),
  {
    id: 'collar',
    title: M.collarAsSet2,
    kind: collarStep,
    guide: M.measuredAfterScrewsTheyPull,
    repeatWord: COMMON.setAnew,
  },
  asked(
    'close',
    M.close,
    M.glandComesUpSquareGasket,
    [done(H.close, 'gasket', M.gasketOneMeasured), item(H.close, 'square', M.glandBroughtUpSquareHand)],
    { closes: M.onceGlandUpSeatCollar },
  ),
  glandBolts(),
  ...glandGapsStep(setup),
  {
    id: 'impeller',
    depth: 'standard',
    title: COMMON.impeller,
    kind: impellerStep,
    guide: M.everyMovementShaftSinceSetting,
    repeatWord: M.adjusted,
  },
  handTurnStep,
];

const ELASTOMERS_LUBED = done(H.on, 'lubricated', M.shaftORingsLubricatedWhat);

const cartridge = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('slide', M.slide, M.pushSleeveLockRingNever, [
    ifFitted(COMMON.cartridge, 'pads', M.everyCentringPadSquarelyGroove),
    item(COMMON.cartridge, 'points', M.dogPointsSmallHolesNot),
    item(COMMON.cartridge, 'notproud', M.noScrewProtrudesIntoBore),
    ifFitted(COMMON.cartridge, 'plugs', M.plugsOutPortsUsedOthers),
    ELASTOMERS_LUBED,
    done(H.on, 'pushed', M.slidSleeveLockRingGasket),
  ]),
  ...cartridgeTail(setup),
];

const cassette = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('change', M.cassette, M.glandStaysCassetteChanged, [
    item(H.old, 'clipped', M.clipsTemplateScrewedHomeBefore),
    item(H.old, 'out', M.oldCassetteOutGlandGasket),
    done(H.newText, 'pushed', M.newCassettePushedPinHole),
    done(H.newText, 'dogs', M.dogPointsEngagedTheirHoles),
    item(H.newText, 'notproud', M.noScrewProtrudesIntoBore),
    ifFitted(H.newText, 'plugs', M.plugsOutPortsUsedOthers),
    ifFitted(H.newText, 'pads', M.glandPressedDownUntilCentring),
    ifFitted(H.newText, 'template', M.templateKeptToolsCassette),
    ELASTOMERS_LUBED,
    done(H.on, 'slidon', M.slidSleeveLockRingNever),
  ]),
  ...cartridgeTail(setup),
];

const purged = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('apart', M.bench, M.nothingClosedDoesNotMove, [
    item(COMMON.bench, 'radial', M.throttleMovesFreely),
    item(COMMON.bench, 'square', M.shaftSquareToFace),
    ifFitted(COMMON.bench, 'apart', M.halvesApartPryGroovesNot),
    ifFitted(COMMON.bench, 'report', M.makersTestReportSheet),
  ]),
  {
    id: 'throttle',
    depth: 'thorough',
    title: M.throttle,
    kind: throttleStep,
    guide: M.bladesBetweenThrottleShaftThree,
    closes: M.onceFlangeThrottlesClearanceCan,
    repeatWord: COMMON.changed,
  },
  asked('assemble', M.assemble, M.throttleStatorPinsOutwardFlange, [
    done(H.assemble, 'throttle', M.throttleHalvesRoundShaft),
    done(H.assemble, 'pins', M.statorPinsOutward),
    done(H.assemble, 'antirotation', M.statorsAntiRotationScrewsEntered),
    done(H.assemble, 'flange', M.flangeAndCapHalvesOn),
    done(H.assemble, 'sealant', M.thinSealantOneSideEach),
    item(H.assemble, 'boxface', M.boxFaceSealedORing, { note: true }),
    item(H.assemble, 'ports', M.inletGaugePortsNearHorizontal),
    done(H.assemble, 'loose', M.looselyBolted),
  ]),
  {
    id: 'centre',
    title: M.centre,
    kind: sweepMiddle,
    guide: M.threeKeysApartBetweenStatorAndShaft,
    items: [
      ...(setup.condition.turnBy === 'angles' && setup.condition.measures.includes('runout')
        ? [item(H.centre, 'middle', M.shaftStopped0MarkTop)]
        : []),
      item(H.centre, 'keys', M.threeKeysInAt120),
    ],
  },
  glandBolts(COMMON.flangeBolts, M.keysStillIn),
  standingOn(
    asked('shims', M.keysOut, M.keyLeftStopsStart, [item(COMMON.shims, 'keysout', M.allThreeKeysOutCounted)]),
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
