import { M as H } from '../../engine/headings/messages.ts';
import type { Procedure, StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { asked, done, ifFitted, item } from '../../steps/questions.ts';
import { assemblyStep } from '../../steps/rebuild/assembly.ts';
import { handTurnStep } from '../../steps/rebuild/hand-turn.ts';
import { lipStep } from '../../steps/rebuild/lip-seals.ts';
import { tagStep } from '../../steps/rebuild/part-tags.ts';
import { ISOLATED, ROTOR, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { endClearance } from './clearance.ts';
import { squeeze } from './compression.ts';
import { M } from './messages.ts';
import { GEAR_PUMP_TAGGED, lipsOf, PARTS } from './parts.ts';
import type { GearPumpSetup } from './setup.ts';

/** Orders of size, to catch a slip of unit: 35 to 40 lbf·ft, 45 to 50 lbf·ft. Common practice, no source. */
const USUAL_PLATE_NM = [47, 54] as const;
const USUAL_NUT_NM = [61, 68] as const;

const ORDER = ['front', 'gears', 'clearance', 'rear', 'chambers', 'drive', 'main', 'nut'] as const;
type Id = (typeof ORDER)[number];

const together = (
  id: Id,
  title: Text,
  guide: Text,
  items: Parameters<typeof asked>[3],
  more: Partial<StepDefinition<GearPumpSetup>> = {},
) => assemblyStep<GearPumpSetup>(PARTS, ORDER, id, title, guide, items, more);

const safe = safeStep(COMMON.safeComplete, [
  ISOLATED,
  item(H.safe, 'drained', M.pumpDrainedFlushedWithoutPressure),
  ROTOR,
  item(H.safe, 'lift', M.twoPeopleGearRatedLift),
  item(H.safe, 'protected', COMMON.eyeProtectionGlovesWhatBoots),
  ifFitted(COMMON.kit, 'instructions', COMMON.makersInstructionsHandTheyOutrank),
  item(COMMON.kit, 'kit', M.kitCompleteGasketsLipSeals),
]);

/** An end plate drawn up: guide pins fill two holes until all other bolts hold the plate. */
const plate = (id: string, title: Text): StepDefinition<GearPumpSetup> => ({
  id,
  title,
  needs: ['plateNm'],
  kind: boltsStep<GearPumpSetup>((s) => ({
    one: 'bolt',
    what: title,
    count: s.plateBolts,
    layout: 'circle',
    makerTorqueNm: s.plateNm,
    makerMostNm: s.plateMostNm,
    usualNm: USUAL_PLATE_NM,
    occupied: {
      holes: [1, 1 + Math.floor(s.plateBolts / 2)],
      by: M.guidePin,
      free: 'pins',
      wait: M.guidePinsStillFillLast,
    },
  })),
  guide: M.allBoltsHandButTwo,
  items: [item(H.pins, 'pins', M.bothGuidePinsOutLast)],
});

const CAUSES = [
  M.gearTouchesPlateEndClearance,
  M.lipSealTurnedOverSleeve,
  M.bearingNotHomeBothShields,
  M.gearsNotMeshedSquareDirt,
] as const;

/** The lock ring’s way round, by the school and the pump’s own rotation. */
const ringWay = ({ ringSchool, rotation }: GearPumpSetup): string =>
  ringSchool === 'clockwise' ? 'clockwise' : rotation;

/** Each part is closed over by the next; a plate taken off opens what lies behind it, and what was turned over by hand. */
const STANDS_ON: StandsOn = {
  front: ['lips', 'bench'],
  frontbolts: ['front'],
  gears: ['frontbolts'],
  clearance: ['gears', 'frontbolts', 'compress'],
  rear: ['clearance'],
  rearbolts: ['rear'],
  chambers: ['rear'],
  turn1: ['rearbolts', 'frontbolts', 'chambers'],
  drive: ['frontbolts'],
  main: ['drive'],
  nut: ['main'],
  nuttorque: ['nut'],
  turn2: ['turn1', 'nuttorque', 'main'],
  finish: ['turn2'],
};

/** An external gear pump, from the kit to the signature: bench assemblies first, since a plate closes the door on them. */
export function gearPumpRebuild(setup: GearPumpSetup): Procedure<GearPumpSetup> {
  return {
    title: M.gearPumpRebuilt,
    steps: standing(STANDS_ON, [
      safe,
      { ...tagStep<GearPumpSetup>(GEAR_PUMP_TAGGED), depth: 'standard' as const },
      asked('clean', M.cleanedLookedOver, M.everythingGoesBackCleanHas, [
        item(COMMON.wear, 'case', M.caseBoresWithoutScoresFingernail),
        item(COMMON.wear, 'gears', M.gearsWithoutChipsPitsWorn, {
          remedy: M.renewHaveGroundWriteTag,
        }),
        item(COMMON.wear, 'plates', M.wearPlatesFlatNoStep),
        item(COMMON.wear, 'faces', M.gasketFacesWithoutScratchesAcross),
      ]),
      lipStep<GearPumpSetup>(lipsOf(setup), M.sealsBench, M.smallHousingsChambersDriveHousing, {
        closes: M.oncePlateNoLipCan,
      }),
      asked('bench', COMMON.bench, M.whatCanMadeUpBench, [
        ifFitted(COMMON.bench, 'orings', M.smallHousingsTwoORings),
        done(COMMON.bench, 'pushed', M.smallHousingsHomeTheirChambers),
        ifFitted(COMMON.bench, 'dowels', M.dowelsBothPlates),
        done(COMMON.bench, 'flat', M.platesClampedFlatRotatingParts),
        done(COMMON.bench, 'snap', M.driveHousingSnapRingTwo),
        ifFitted(COMMON.bench, 'picture', M.pictureEveryLipKept),
      ]),
      ...(setup.compression === 'measured'
        ? [
            {
              id: 'compress',
              title: M.whatGasketsLose,
              depth: 'standard' as const,
              kind: squeeze,
              guide: M.threeStacksTheseGasketsBetween,
              repeatWord: M.squeezedAnew,
            } satisfies StepDefinition<GearPumpSetup>,
          ]
        : []),
      together(
        'front',
        M.frontPlate,
        M.twoGuidePinsThenGasket,
        [
          done(H.front, 'which', M.whichBoreCarriesDriveGear),
          done(H.front, 'pins', M.twoGuidePinsOppositeHoles),
          done(H.front, 'inner', M.gasketCaseDryEveryHole),
          done(H.front, 'wear', M.wearPlateLargeBoreDrive, {
            remedy: M.offAgainOtherWayRound,
          }),
          done(H.front, 'outer', M.secondGasketWearPlate),
          done(H.front, 'chamber', M.frontPlateLargeChamberDrive),
        ],
        { closes: M.onceFrontPlateDrawnUp },
      ),
      plate('frontbolts', M.frontPlateBolts),
      together(
        'gears',
        M.gears2,
        M.caseGearsOiledSleeveOver,
        [
          done(H.gears, 'oiled', M.caseGearsOiled),
          done(H.gears, 'drive', M.driveGearBoreShaftThrough),
          done(H.gears, 'sleeve', M.sleeveOverIdlersFrontEnd, {
            remedy: M.idlerOutLookBothLips,
          }),
          done(H.gears, 'idler', M.idlerTeethMeshed),
        ],
        { caution: M.gearsHeavyTheirTeethBite },
      ),
      {
        id: 'clearance',
        title: M.endClearance3,
        kind: endClearance,
        loop: true,
        repeatWord: M.stackChanged,
        guide:
          setup.gears === 'steel' ? M.pinsLooseStackStraightedgeAcross : M.pinsLooseStackStraightedgeAcross2,
        closes: M.onceSecondWearPlateClearance,
        items: [item(H.clearance, 'only', M.onlyLooseGasketsLieThere)],
        itemsFirst: true,
      },
      together(
        'rear',
        M.rearPlate2,
        M.wearPlateOneMoreGasket,
        [
          done(H.rear, 'wear', M.wearPlateLargeBoreDrive2),
          done(H.rear, 'outer', M.oneGasket),
          done(H.rear, 'sleeves', M.sleevesBothShaftEnds),
          done(H.rear, 'pockets', M.rearPlatePocketsOutward),
        ],
        { closes: M.onceRearPlateDrawnUp },
      ),
      plate('rearbolts', M.rearPlateBolts),
      asked('drains', M.drainPlugs, M.platesTorque, [
        ifFitted(H.drains, 'plugs', M.drainPlugsSameTorqueAs),
        item(H.drains, 'sleevesoff', M.sleevesOffShaftEndsAgain),
      ]),
      together(
        'chambers',
        M.smallChambers2,
        M.threeTimesSameBearingsSnap,
        [M.frontIdler, M.rearDrive, M.rearIdler].flatMap((where, i) => {
          const n = i + 1;
          return [
            done(
              where,
              `bearing${n}`,
              setup.smallBearing === 'roller' ? M.sleeveOverEndRollerBearing : M.sleeveOverEndBothBall,
            ),
            item(where, `shields${n}`, M.bothShieldsBallBearingOff, {
              remedy: M.outShieldedGetsNoGrease,
            }),
            done(where, `ring${n}`, M.snapRingGrooveAllRound),
            done(where, `plug${n}`, M.plugORingAntiSeize),
            done(where, `grease${n}`, M.greasedUntilGunMeetsResistance),
          ];
        }),
        { closes: M.oncePlugsShieldsRingsCannot },
      ),
      handTurnStep<GearPumpSetup>('turn1', COMMON.turn, M.gearsMeshTurnsOverFreely, CAUSES),
      together(
        'drive',
        M.driveSideSeal,
        M.nothingTouchesFaceButWhat,
        [
          done(COMMON.seal, 'saddle', M.saddleThreeORingsStationary),
          done(COMMON.seal, 'guide', M.guideChamber),
          done(COMMON.seal, 'rotary', M.rotatingElementOilFreePusher, {
            remedy: M.faceInwardRunsRubberMetal,
          }),
          item(COMMON.seal, 'untouched', M.noFingerNoOilEither, {
            remedy: M.wipeLintFreeClothWhat,
          }),
          done(COMMON.seal, 'wiped', M.shaftWipedCleanAfterRotary),
          done(COMMON.seal, 'home', M.saddleFaceCasePushedGear),
          item(COMMON.seal, 'grooves', M.groovesStandUprightSeenThrough, {
            remedy: M.turnSaddleGroovesAwayFrom,
          }),
        ],
        { closes: M.onceSaddleHomeFacesCannot },
      ),
      together('main', M.mainBearingHousing, M.oneShieldOffGreasedOther, [
        item(H.main, 'shield', M.mainBearingOneShieldOff, {
          remedy: M.turnShieldOutwardGreaseWorks,
        }),
        item(H.main, 'flush', M.sitsFlushSaddle),
        done(H.main, 'housing', M.sealHousingOiledLipsInward),
        done(H.main, 'locking', M.lockingBearingWithoutRingShield),
      ]),
      {
        ...together('nut', M.nutLockRing, M.nutTorqueOffAgainRing, [
          done(COMMON.nut, 'seated', M.nutTorqueOnceOffAgain),
          ifFitted(COMMON.nut, 'ring', M.lockRingDrivenRoundUntil({ ringWay: ringWay(setup) }), {
            remedy: M.drivenOtherWayWorksItself,
          }),
          item(COMMON.nut, 'freeagain', M.turnedOverHandOnceMore),
          ifFitted(COMMON.nut, 'paste', M.antiSeizeThread),
        ]),
        needs: ['nutNm'],
      },
      {
        id: 'nuttorque',
        title: M.nutTorque,
        needs: ['nutNm'],
        kind: boltsStep<GearPumpSetup>((s) => ({
          one: 'nut',
          what: M.shaftNut2,
          count: 1,
          layout: 'circle',
          makerTorqueNm: s.nutNm,
          makerMostNm: s.nutMostNm,
          usualNm: USUAL_NUT_NM,
        })),
        guide: M.sheetsTorqueThenThreeSet,
        items: [item(COMMON.nut, 'screws', M.threeSetScrewsNutTight)],
      },
      handTurnStep<GearPumpSetup>('turn2', M.handTurnWhole, M.turnsOverFreelyHandWhole, CAUSES),
      asked('finish', M.closedUp, M.whatLeftOpenLetsDirt, [
        ifFitted(COMMON.finish, 'plug', M.inspectionPlug),
        ifFitted(COMMON.finish, 'ports', M.portsClosedUntilPipedIf),
        ifFitted(COMMON.finish, 'tagged', COMMON.sparesTagsGoStoreSheets),
      ]),
      {
        id: 'sign',
        title: COMMON.signature,
        kind: signature,
        guide: COMMON.nameBelowSheetStaysPump,
      },
    ]),
  };
}
