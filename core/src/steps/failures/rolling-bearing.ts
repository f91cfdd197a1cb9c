import { type FailureGuide, olderThan, over, seen, under, youngerThan } from '../../engine/failure.ts';
import { COMMON } from '../../message/common/messages.ts';
import { M } from './messages.ts';

/** A rolling bearing that has come off. */
export const BEARING_FAILURE: FailureGuide = {
  id: 'rolling-bearing',
  part: M.bearing,
  title: M.bearingCameOff,
  questions: [
    {
      id: 'path',
      ask: M.runningPathOuterRing,
      look: M.turnLightMattBandWhere,
      answers: [
        ['load-side', M.loadedSideMiddle],
        ['round', COMMON.allRound],
        ['edge', M.oneEdge],
        ['askew', M.crossingFromOneEdgeOther],
        ['spots', M.marksRollersDistanceApart],
      ],
    },
    {
      id: 'surface',
      ask: M.racesRollers,
      look: M.loupeFingernail,
      answers: [
        ['smooth', M.smooth],
        ['spalled', M.spalledPiecesBrokenOut],
        ['dented', M.dentedHardGrit],
        ['smeared', M.smeared],
        ['fluted', M.washboardAcrossPath],
        ['rust', M.rust],
      ],
    },
    {
      id: 'colour',
      ask: M.colour,
      look: M.strawBrownBlueHot,
      answers: [
        ['bright', M.brightSteel],
        ['straw', M.strawBrown],
        ['blue', M.blue],
      ],
    },
    {
      id: 'fretting',
      ask: M.underRingSleeve,
      look: M.redBrownDustMattPatches,
      answers: [
        ['none', COMMON.clean],
        ['under-sleeve', M.frettingBetweenShaftSleeve],
        ['under-ring', M.frettingBetweenSleeveRing],
        ['housing', M.frettingWearHousingSeat],
      ],
    },
    {
      id: 'grease',
      ask: M.grease,
      look: M.colourSmellGritBetweenFingers,
      answers: [
        ['good', M.likeNewLittleDarker],
        ['dark', M.darkHardBurntSmell],
        ['milky', M.milkyWater],
        ['gritty', M.gritty],
        ['full', M.housingPackedFull],
        ['little', M.hardlyAny],
      ],
    },
  ],
  causes: [
    {
      id: 'fatigue',
      cause: COMMON.woreOutLife,
      next: M.compareReckonedLifeNothingPut,
      signs: [
        seen('surface', 'spalled', 2, M.spalled),
        seen('path', 'load-side', 1, M.ranWhereLoadLies),
        olderThan(1800, 3, M.livedYears),
        seen('fretting', 'none', 1, M.satFast),
        youngerThan(200, -3, M.livedSomeMonthsOnly),
      ],
    },
    {
      id: 'tight',
      cause: M.drivenUpTooFarNo,
      next: M.residualFeelersNextSheetAgainst,
      signs: [
        seen('path', 'round', 2, M.ranAllRound),
        seen('colour', ['straw', 'blue'], 2, M.hot),
        under('residualMm', 0.025, 3, M.sheetHadLittleClearanceLeft),
        over('hottestC', 85, 2, M.sheetHadHotFirstHours),
        under('foundMm', 0.02, 2, M.foundHardlyAnyClearance),
        seen('colour', 'bright', -2, M.neverHot),
      ],
    },
    {
      id: 'loose',
      cause: M.satLooseDrivenUpToo,
      next: M.shaftDiametersDriveUpBand,
      signs: [
        seen('fretting', ['under-sleeve', 'under-ring'], 3, M.workedSeat),
        over('foundMm', 0.1, 1, M.foundMuchClearance),
        under('reductionMm', 0.03, 2, M.sheetHadSmallReduction),
        seen('fretting', 'none', -2, M.seatClean),
      ],
    },
    {
      id: 'askew',
      cause: M.housingShaftDidNotStand,
      next: M.housingsSlopesAgainstShaftFeet,
      signs: [
        seen('path', 'askew', 3, M.pathCrossesOver),
        seen('path', 'edge', 1, M.ranOneEdge),
        over('runoutMm', 0.1, 1, M.sheetHadShaftBent),
        over('vibrationMmPerS', 4.5, 1, M.sheetHadVibrating),
        seen('path', 'load-side', -2, M.ranWhereShould),
      ],
    },
    {
      id: 'crossed',
      cause: M.carriedThrustShouldNotFloat,
      next: M.roomFloatRingsRightSide,
      signs: [
        seen('path', 'edge', 3, M.ranOneEdge),
        seen('colour', ['straw', 'blue'], 1, M.hot),
        seen('path', ['load-side', 'round'], -2, M.ranMiddle),
      ],
    },
    {
      id: 'dirt',
      cause: M.dirtWaterCame,
      next: M.sealsTheirLipsWhatWashes,
      signs: [
        seen('surface', 'dented', 3, M.hardGritDented),
        seen('grease', 'gritty', 3, M.greaseGritty),
        seen('grease', 'milky', 3, M.thereWater),
        seen('surface', 'rust', 2, M.rusted),
        seen('grease', 'good', -2, M.greaseClean),
      ],
    },
    {
      id: 'grease',
      cause: M.greaseTooMuchTooLittle,
      next: M.fillVolumeIntervalHoursNever,
      signs: [
        seen('grease', 'dark', 2, M.burnt2),
        seen('grease', 'full', 2, M.housingPackedFullChurned),
        seen('grease', 'little', 3, M.thereHardlyAny),
        seen('surface', 'smeared', 2, M.rollersSmeared),
        seen('colour', 'straw', 1, M.warm),
        seen('grease', 'good', -3, M.greaseAsShould),
      ],
    },
    {
      id: 'still',
      cause: M.shakenWhileStoodStruckFitting,
      next: M.turnStandingMachinesHandNow,
      signs: [
        seen('path', 'spots', 3, M.markedRollersDistance),
        seen('surface', 'smooth', -1, M.smooth2),
        youngerThan(60, 1, M.livedFewWeeksOnly),
      ],
    },
    {
      id: 'current',
      cause: M.electricCurrentWentThrough,
      next: M.shaftEarthedInsulatedBearingCoupling,
      signs: [
        seen('surface', 'fluted', 3, M.flutedLikeWashboard),
        seen('surface', ['smooth', 'dented', 'spalled'], -2, M.noFluting),
      ],
    },
  ],
};
