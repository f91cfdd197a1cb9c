import { goesTo } from '../../engine/depth.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { type GateItem, type Procedure, redone, type StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { baseStep, fixedFirstStep, greaseStep, specOf } from '../../steps/bearing/closing-steps.ts';
import { endSteps } from '../../steps/bearing/end-steps.ts';
import { type BoltSet, boltNeeds, layoutOf } from '../../steps/bearing/fitting-parts.ts';
import { CLOSING_STANDS_ON } from '../../steps/bearing/stands-on.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { gate } from '../../steps/gate.ts';
import { done, ifFitted, item } from '../../steps/questions.ts';
import { EMPTY, ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { axialPlace } from './axial-place.ts';
import { M } from './messages.ts';
import { raceGaps } from './race-gaps.ts';
import type { SplitSetup } from './setup.ts';

/** A screw has stopped moving when a whole round turns none farther. Common practice, no source: 2 to 3°. */
const SETTLED_DEG = 3;

type SetName = 'jointScrews' | 'clampScrews' | 'cartridgeBolts' | 'capBolts';
const set = (setup: SplitSetup, name: SetName): BoltSet => setup[name];

const safe = safeStep(COMMON.safeComplete, [
  ISOLATED,
  EMPTY,
  { id: 'supported', group: H.safe, ask: M.shaftBlockedHeldRatedGear },
  { id: 'protected', group: H.safe, ask: COMMON.eyeProtectionGlovesBoots },
  {
    id: 'parts',
    group: COMMON.kit,
    ask: M.raceRingsCageOuterRace,
  },
  {
    id: 'screws',
    group: COMMON.kit,
    ask: M.screwsCountedLostOneReplaced,
  },
  {
    id: 'tools',
    group: COMMON.kit,
    ask: M.feelersSoftMalletTorqueWrench,
  },
  { id: 'instructions', group: COMMON.kit, ask: COMMON.makersInstructionsHandTheyOutrank },
  {
    id: 'preservative',
    group: COMMON.kit,
    ask: COMMON.preservativeBearingLeftWipedOff,
    note: true,
  },
]);

/** Each kind of split seal by its own questions, before the upper half closes over it. */
const SEALS: Record<NonNullable<SplitSetup['seals']>, GateItem[]> = {
  labyrinth: [
    ifFitted(COMMON.seals, 'pins', M.labyrinthHalvesJoiningPinsOut),
    ifFitted(COMMON.seals, 'orings', M.oRingsSqueezedUntilHoles),
    ifFitted(COMMON.seals, 'rib', M.middleRibCartridgesMiddleGroove),
  ],
  packed: [
    item(COMMON.seals, 'pack', M.packingLiesGrooveAllRound),
    item(COMMON.seals, 'ends', M.endsMeetTopWithoutGap),
  ],
  lip: [
    item(COMMON.seals, 'lip', M.splitLipFacesWaySheet),
    item(COMMON.seals, 'top', M.jointStandsTopAwayFrom),
  ],
};

/** Outer race halves into their cartridge: what is looked to before their joints are tightened. */
const outerItems = (setup: SplitSetup): GateItem[] => [
  item(H.race, 'marks', M.matchMarksBothHalvesAgree),
  item(H.race, 'proud', M.jointsStandProudEquallyEach),
  ...(setup.raceSchool === 'joints-first'
    ? [ifFitted(H.race, 'radial', M.radialScrewsFingerTightJoints)]
    : [ifFitted(H.race, 'square', M.raceSquareToShoulder)]),
];

/** What is tightened after the joints, by one school or the other, where the unit has it. */
const outerAfter = (setup: SplitSetup): GateItem[] =>
  setup.raceSchool === 'joints-first'
    ? [ifFitted(H.race, 'sidescrews', M.radialSideScrewsTightMakers)]
    : [
        ifFitted(H.race, 'axialpins', M.axialPinsEvenly),
        ifFitted(H.race, 'radialscrews', M.thenRadialScrewsMakersOrder),
      ];

/** Each part of the race and its cartridge is closed over by the next: one opened takes with it all that lies over it. */
const STANDS_ON: StandsOn = {
  ...CLOSING_STANDS_ON,
  grease1: ['outer'],
  race: ['shaft', 'finish', 'runout'].map(redone),
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
    title: M.seatingLoop2,
    needs: boltNeeds('clampScrews'),
    kind: boltsStep((s: SplitSetup) =>
      specOf('screw', COMMON.clampScrews, set(s, 'clampScrews'), {
        layout: 'halves',
        seatingDeg: SETTLED_DEG,
        housing: true,
        // Whether a screw still moved is seen; its degrees are for the thorough depth.
        ...(goesTo(s, 'thorough') ? {} : { seenMoving: true as const }),
      }),
    ),
    guide: M.allScrewsTorqueEvenlyTap,
    caution: M.softHammerOnlyChipRace,
    loop: true,
  };
  const axial: StepDefinition<SplitSetup> = {
    id: 'axial',
    title: M.axialPlace,
    kind: axialPlace,
    guide: setup.role === 'fixed' ? M.halfCageLowerCartridgeAs : M.halfCageLowerCartridgeAs2,
    closes: M.onceClampScrewsTorqueRace,
    repeatWord: M.slidAlong,
    items: [
      item(H.place, 'free', setup.role === 'fixed' ? M.cageRunsFreeBothSides : M.rollersCentredOrOffset, {
        remedy: M.slideRaceAlong,
      }),
      setup.gaugeSchool === 'gauge-in'
        ? done(H.place, 'held', M.clampScrewsNippedUpCage)
        : done(H.place, 'held', M.gaugeOutClampScrewsNipped),
    ],
  };
  return {
    title: M.splitRollerBearing,
    steps: standing(STANDS_ON, [
      safe,
      ...fixedFirstStep(setup),
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
      {
        id: 'pedestal',
        title: COMMON.pedestal,
        kind: gate,
        guide: M.baseHalfPlaceLooseLower,
        items: [
          ifFitted(COMMON.pedestal, 'boss', M.askedFirstWhichSideMust),
          done(COMMON.pedestal, 'loose', M.baseHalfPlaceBoltsLoose),
          item(COMMON.pedestal, 'up', M.shaftLittleUpHeldRoom),
        ],
      },
      {
        id: 'outer',
        title: M.outerRace,
        needs: boltNeeds('jointScrews'),
        kind: boltsStep((s: SplitSetup) =>
          specOf('screw', COMMON.jointScrews, set(s, 'jointScrews'), { housing: true }),
        ),
        itemsFirst: true,
        guide: M.halvesCartridgeJointsTightenedSide,
        items: outerItems(setup),
      },
      {
        id: 'grease1',
        title: M.greasePath,
        kind: gate,
        guide: M.provedBeforeAnythingClosesOver,
        closes: M.onceCartridgeHoleCanNo,
        items: [
          ...outerAfter(setup),
          item(H.race, 'smooth', M.transitionAcrossBothJointsFelt),
          ifFitted(H.race, 'path', M.pumpedUntilFreshGreaseLeft),
        ],
      },
      {
        id: 'race',
        title: M.innerRace,
        kind: raceGaps({ rings: false, offset: false }),
        guide: M.joints126OclockFeeler,
        repeatWord: COMMON.setAnew,
        items: [item(H.race, 'equal', M.raceGapsEqualNotClosed, { remedy: M.noGapWrongShaft })],
      },
      {
        id: 'clamps',
        title: M.clampRings,
        kind: raceGaps({ rings: true, offset: true }),
        guide: M.lipsInwardJointsOffRaces({ clampOffset: setup.clampOffsetDeg ?? 90 }),
        repeatWord: COMMON.setAnew,
        items: [
          item(COMMON.rings, 'ringsequal', M.ringGapsEqual),
          done(COMMON.rings, 'apart', M.ringJointsApart({ clampOffset: setup.clampOffsetDeg ?? 90 })),
          ifFitted(COMMON.rings, 'lips', M.lipsRingsFaceInward),
          item(COMMON.rings, 'feelerout', M.feelerHeldRaceGapOut),
        ],
      },
      axial,
      seat,
      {
        id: 'seated',
        title: M.gapsAfter,
        kind: raceGaps({ rings: true, offset: false }),
        guide: M.raceRingsFeltOnceMore,
        repeatWord: M.seatedAgain,
        items: [item(H.race, 'equalafter', M.gapsEqualAfterSeating)],
      },
      {
        id: 'cage',
        title: COMMON.cage,
        kind: gate,
        guide: M.raceRollersGreasedCageHalves,
        items: [
          done(COMMON.cage, 'greased', M.raceRollersGreased),
          done(COMMON.cage, 'joined', M.cageHalvesJoinedClipsTabs),
          item(COMMON.cage, 'turns', M.firstTurnCageTurnsRace, {
            remedy: M.cageOffClipsRollersLooked,
          }),
        ],
      },
      ...greaseStep(setup, M.cartridgeHalvesBeforeTheyClose),
      {
        id: 'cartridge',
        title: COMMON.cartridge,
        needs: boltNeeds('cartridgeBolts'),
        kind: boltsStep((s: SplitSetup) =>
          specOf('bolt', COMMON.cartridgeBolts, set(s, 'cartridgeBolts'), { housing: true }),
        ),
        itemsFirst: true,
        guide: M.lowerHalfRotatedUpperHalf,
        caution: M.shaftMayRaisedLittleLower,
        items: [
          ifFitted(
            COMMON.cartridge,
            'film',
            setup.film === 'oil' ? M.sphericalSeatLightlyOiled : M.sphericalSeatAntiSeizeAs,
          ),
          item(COMMON.cartridge, 'lower', M.lowerHalfRotatedSecondTurn),
          ifFitted(COMMON.cartridge, 'path', M.greasePathProvedAgainFresh),
          ...SEALS[setup.seals ?? 'labyrinth'],
          done(COMMON.cartridge, 'upper', M.upperHalfLubricationPortTop),
        ],
      },
      {
        id: 'lower',
        title: M.load,
        kind: gate,
        guide: M.seatFilmedShaftLoweredNow,
        caution: M.nobodyUnderShaftAsComes,
        items: [
          item(H.load, 'nogap', M.noGapCartridgeJoints),
          item(H.load, 'lowered', M.shaftLoweredIntoPedestalSupport),
          done(H.load, 'cap', M.capMarksDowelsGapJoint),
        ],
      },
      {
        id: 'bolts',
        title: COMMON.capBolts,
        needs: boltNeeds('capBolts'),
        kind: boltsStep((s: SplitSetup) =>
          specOf('bolt', COMMON.capBolts, set(s, 'capBolts'), {
            layout: layoutOf(set(s, 'capBolts')),
            housing: true,
          }),
        ),
        itemsFirst: true,
        guide: M.justClosedShaftTurnedSo,
        items: [
          done(H.cap, 'closed', M.capBoltsJustClosedNo),
          item(
            H.cap,
            'turned',
            setup.aligned === 'power' ? M.thirdTurnSlowlyPowerUnder : M.thirdTurnSeveralSlowTurns,
          ),
        ],
      },
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      ...baseStep(setup),
      ...endSteps(setup),
    ]),
  };
}
