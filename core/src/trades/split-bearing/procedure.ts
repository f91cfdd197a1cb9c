import { goesTo } from '../../engine/depth.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { type GateItem, type Procedure, redone, type StepDefinition } from '../../engine/step.ts';
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
import { M } from './messages.ts';
import { raceGaps } from './race-gaps.ts';
import type { SplitSetup } from './setup.ts';

/** A screw has stopped moving when a whole round turns none farther. Common practice, no source: 2 to 3°. */
const SETTLED_DEG = 3;

type SetName = 'jointScrews' | 'clampScrews' | 'cartridgeBolts' | 'capBolts';
const set = (setup: SplitSetup, name: SetName): BoltSet => setup[name];

const safe = safeStep(M.safeComplete, [
  ISOLATED,
  EMPTY,
  { id: 'supported', group: H.safe, ask: M.shaftBlockedHeldRatedGear },
  { id: 'protected', group: H.safe, ask: M.eyeProtectionGlovesBoots },
  {
    id: 'parts',
    group: H.kit,
    ask: M.raceRingsCageOuterRace,
  },
  {
    id: 'screws',
    group: H.kit,
    ask: M.screwsCountedLostOneReplaced,
  },
  {
    id: 'tools',
    group: H.kit,
    ask: M.feelersSoftMalletTorqueWrench,
  },
  { id: 'instructions', group: H.kit, ask: M.makersInstructionsHandTheyOutrank },
  {
    id: 'preservative',
    group: H.kit,
    ask: M.preservativeBearingLeftWipedOff,
    note: true,
  },
]);

/** Each kind of split seal by its own questions, before the upper half closes over it. */
const SEALS: Record<NonNullable<SplitSetup['seals']>, GateItem[]> = {
  labyrinth: [
    ifFitted(H.seals, 'pins', M.labyrinthHalvesJoiningPinsOut),
    ifFitted(H.seals, 'orings', M.oRingsSqueezedUntilHoles),
    ifFitted(H.seals, 'rib', M.middleRibCartridgesMiddleGroove),
  ],
  packed: [
    item(H.seals, 'pack', M.packingLiesGrooveAllRound),
    item(H.seals, 'ends', M.endsMeetTopWithoutGap),
  ],
  lip: [item(H.seals, 'lip', M.splitLipFacesWaySheet), item(H.seals, 'top', M.jointStandsTopAwayFrom)],
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
      specOf('screw', M.clampScrews, set(s, 'clampScrews'), {
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
        ? item(H.place, 'held', M.clampScrewsNippedUpCage)
        : item(H.place, 'held', M.gaugeOutClampScrewsNipped),
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
        title: M.pedestal,
        kind: gate,
        guide: M.baseHalfPlaceLooseLower,
        items: [
          ifFitted(H.pedestal, 'boss', M.askedFirstWhichSideMust),
          item(H.pedestal, 'loose', M.baseHalfPlaceBoltsLoose),
          item(H.pedestal, 'up', M.shaftLittleUpHeldRoom),
        ],
      },
      {
        id: 'outer',
        title: M.outerRace,
        needs: boltNeeds('jointScrews'),
        kind: boltsStep((s: SplitSetup) =>
          specOf('screw', M.jointScrews, set(s, 'jointScrews'), { housing: true }),
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
        repeatWord: M.setAnew,
        items: [item(H.race, 'equal', M.raceGapsEqualNotClosed, { remedy: M.noGapWrongShaft })],
      },
      {
        id: 'clamps',
        title: M.clampRings,
        kind: raceGaps({ rings: true, offset: true }),
        guide: M.lipsInwardJointsOffRaces({ clampOffset: setup.clampOffsetDeg ?? 90 }),
        repeatWord: M.setAnew,
        items: [
          item(H.rings, 'ringsequal', M.ringGapsEqual),
          item(H.rings, 'apart', M.ringJointsApart({ clampOffset: setup.clampOffsetDeg ?? 90 })),
          ifFitted(H.rings, 'lips', M.lipsRingsFaceInward),
          item(H.rings, 'feelerout', M.feelerHeldRaceGapOut),
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
        title: M.cage,
        kind: gate,
        guide: M.raceRollersGreasedCageHalves,
        items: [
          item(H.cage, 'greased', M.raceRollersGreased),
          item(H.cage, 'joined', M.cageHalvesJoinedClipsTabs),
          item(H.cage, 'turns', M.firstTurnCageTurnsRace, {
            remedy: M.cageOffClipsRollersLooked,
          }),
        ],
      },
      ...greaseStep(setup, M.cartridgeHalvesBeforeTheyClose),
      {
        id: 'cartridge',
        title: M.cartridge,
        needs: boltNeeds('cartridgeBolts'),
        kind: boltsStep((s: SplitSetup) =>
          specOf('bolt', M.cartridgeBolts, set(s, 'cartridgeBolts'), { housing: true }),
        ),
        itemsFirst: true,
        guide: M.lowerHalfRotatedUpperHalf,
        caution: M.shaftMayRaisedLittleLower,
        items: [
          ifFitted(
            H.cartridge,
            'film',
            setup.film === 'oil' ? M.sphericalSeatLightlyOiled : M.sphericalSeatAntiSeizeAs,
          ),
          item(H.cartridge, 'lower', M.lowerHalfRotatedSecondTurn),
          ifFitted(H.cartridge, 'path', M.greasePathProvedAgainFresh),
          ...SEALS[setup.seals ?? 'labyrinth'],
          item(H.cartridge, 'upper', M.upperHalfLubricationPortTop),
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
          item(H.load, 'cap', M.capMarksDowelsGapJoint),
        ],
      },
      {
        id: 'bolts',
        title: M.capBolts2,
        needs: boltNeeds('capBolts'),
        kind: boltsStep((s: SplitSetup) =>
          specOf('bolt', M.capBolts2, set(s, 'capBolts'), {
            layout: layoutOf(set(s, 'capBolts')),
            housing: true,
          }),
        ),
        itemsFirst: true,
        guide: M.justClosedShaftTurnedSo,
        items: [
          item(H.cap, 'closed', M.capBoltsJustClosedNo),
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
