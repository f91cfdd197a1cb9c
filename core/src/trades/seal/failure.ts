import { type FailureGuide, olderThan, over, seen, under, youngerThan } from '../../engine/failure.ts';
import { COMMON } from '../../message/common/messages.ts';
import { M } from './messages.ts';

/** Two years of running: most seals that reach it were fitted right. */
const OLD_SEAL_DAYS = 700;
const YOUNG_SEAL_DAYS = 60;

/** A mechanical seal that has come out. */
export const SEAL_FAILURE: FailureGuide = {
  id: 'face-seal',
  part: COMMON.mechanicalSeal,
  title: M.mechanicalSealCameOut,
  questions: [
    {
      id: 'track',
      ask: M.wearTrackHardFace,
      look: M.holdLightTurnSlowlySofter,
      answers: [
        ['as-face', M.asWideAsNarrowerFace],
        ['wide', M.widerThanNarrowerFaceAll],
        ['narrow', M.narrowerThan],
        ['one-side', M.deepWideOneSideOnly],
        ['broken', M.notAllRoundDoesNot],
        ['none', M.hardlyTrackAll],
      ],
    },
    {
      id: 'heat',
      ask: M.heat,
      look: M.blueBrownMattPatchesNet,
      answers: [
        ['none', M.noSign],
        ['round', COMMON.allRound],
        ['patch', M.patches],
        ['cracks', M.fineCracksFromMiddleOutwards],
      ],
    },
    {
      id: 'chips',
      ask: M.edgesFaces,
      look: M.bothEdgesBothFacesFingernail,
      answers: [
        ['whole', M.whole],
        ['outer', M.chippedOuterEdge],
        ['inner', M.chippedInnerEdge],
        ['split', M.brokenThrough],
      ],
    },
    {
      id: 'oring',
      ask: COMMON.oRings,
      look: M.bendEachLookSectionCompare,
      answers: [
        ['good', M.roundSoftAsNew],
        ['set', M.flatSetGroove],
        ['swollen', M.swollenGoneSoft],
        ['hard', M.hardCracked],
        ['nibbled', M.cutNibbled],
      ],
    },
    {
      id: 'sleeve',
      ask: M.sleeveShaftWhereMovingO,
      look: M.brightRustyRingFrettingStep,
      answers: [
        ['clean', COMMON.clean],
        ['fretted', M.frettedWornRing],
        ['scored', M.scoredAlong],
        ['marked', M.markedSetScrewsWhereNone],
      ],
    },
    {
      id: 'moving',
      ask: M.partMovesAlong,
      look: M.pressHandLookBetweenSprings,
      answers: [
        ['free', M.movesFreely],
        ['clogged', M.cloggedProductCrystalsLime],
        ['stuck', M.stuck],
        ['worn', M.drivePinsLugsWornOne],
      ],
    },
    {
      id: 'clips',
      ask: M.clipsPinsSpacers,
      look: M.anythingStillShouldHaveCome,
      answers: [
        ['out', M.allOutAsTheyShould],
        ['left', M.oneLeft],
        ['unknown', M.cannotToldAnyMore],
      ],
    },
  ],
  causes: [
    {
      id: 'worn-out',
      cause: COMMON.woreOutLife,
      next: M.nothingPutRightPlanNext,
      signs: [
        seen('track', 'as-face', 2, M.trackAsWideAsFace),
        olderThan(OLD_SEAL_DAYS, 2, COMMON.livedLong),
        youngerThan(YOUNG_SEAL_DAYS, -3, M.livedFewWeeksOnly),
        seen('heat', ['round', 'patch', 'cracks'], -2, M.ranHot),
        seen('chips', ['outer', 'inner', 'split'], -2, M.facesChipped),
        seen('oring', ['swollen', 'hard', 'nibbled'], -1, M.oRingsSuffered),
      ],
    },
    {
      id: 'runout',
      cause: M.shaftSwingsRunsOutBends,
      next: M.readRunOutSealImpeller,
      signs: [
        seen('track', 'wide', 3, M.trackWiderThanFaceAll),
        over('runoutMm', 0.05, 3, M.sheetHadLargeRunOut),
        under('runoutMm', 0.03, -2, M.sheetHadShaftRunningTrue),
        over('radialPlayMm', 0.08, 2, M.sheetHadPlayBearings),
        seen('moving', 'worn', 1, M.driveWornOneSide),
        seen('sleeve', 'fretted', 1, M.movingORingFrettedSleeve),
        seen('track', ['as-face', 'narrow'], -2, M.trackNoWiderThanFace),
      ],
    },
    {
      id: 'square',
      cause: M.glandSeatStoodOutSquare,
      next: M.sweepBoxFaceFeelGlands,
      signs: [
        seen('track', 'one-side', 3, M.trackDeepOneSide),
        seen('track', 'broken', 2, M.trackDoesNotClose),
        over('glandSpreadMm', 0.05, 3, M.sheetHadGlandsGapsUneven),
        over('faceMm', 0.05, 2, M.sheetHadBoxFaceOut),
        under('glandSpreadMm', 0.03, -2, M.sheetHadGlandSquare),
        seen('moving', 'worn', 1, M.noddedOnceTurnDriveWorn),
        seen('track', 'as-face', -2, M.trackEven),
      ],
    },
    {
      id: 'dry',
      cause: M.ranDryFlushFailed,
      next: M.lookFlushVentFillingBox,
      signs: [
        seen('heat', 'cracks', 3, M.fineCracksRunOutwardsHeated),
        seen('heat', 'round', 2, M.hotAllRound),
        seen('oring', 'hard', 2, M.oRingsHard),
        seen('track', 'as-face', 1, M.trackEvenDeep),
        over('hottestC', 90, 1, M.sheetHadWarmFromFirst),
        seen('heat', 'none', -3, M.nothingHot),
      ],
    },
    {
      id: 'attack',
      cause: M.oRingsWereWrongStuff,
      next: M.lookUpElastomerFluidTemperature,
      signs: [
        seen('oring', 'swollen', 3, M.theySwollen),
        seen('oring', 'hard', 1, M.theyHard),
        seen('moving', 'stuck', 1, M.movingPartStuckThem),
        seen('oring', ['good', 'set'], -2, M.theySound),
        youngerThan(YOUNG_SEAL_DAYS, 1, M.wentWithinWeeks),
      ],
    },
    {
      id: 'clogged',
      cause: M.productGotBetweenHungUp,
      next: M.quenchFlushAgainstCrystalsLime,
      signs: [
        seen('moving', 'clogged', 3, M.movingPartClogged),
        seen('moving', 'stuck', 2, M.stuck2),
        seen('chips', 'inner', 1, M.solidsNibbledInnerEdge),
        seen('track', 'none', 1, M.facesHardlyRanEachOther),
        seen('moving', 'free', -3, M.movesFreely2),
      ],
    },
    {
      id: 'set-wrong',
      cause: M.setWrongPressedTooMuch,
      next: M.proveNextOneDistanceSleeve,
      signs: [
        seen('clips', 'left', 3, M.clipLeft),
        seen('track', 'none', 2, M.facesHardlyMet),
        seen('heat', 'round', 1, M.pressedTooMuchRunsHot),
        seen('sleeve', 'marked', 1, M.screwsMarkedSleeveMovedMoved),
        seen('clips', 'out', -1, M.allClipsWereOut),
        youngerThan(YOUNG_SEAL_DAYS, 2, M.wentWithinWeeks),
        olderThan(OLD_SEAL_DAYS, -3, COMMON.livedLong),
      ],
    },
    {
      id: 'cavitation',
      cause: M.pumpHammersCavitationRunOff,
      next: M.listenSuctionLookHeadStrainer,
      signs: [
        seen('chips', 'outer', 3, M.outerEdgesChipped),
        seen('chips', 'split', 2, M.faceBrokeThrough),
        seen('moving', 'worn', 1, M.driveHammered),
        over('vibrationMmPerS', 4.5, 2, M.sheetHadVibrating),
        over('endPlayMm', 0.15, 1, M.sheetHadMuchEndPlay),
        seen('chips', 'whole', -2, M.edgesWhole),
      ],
    },
    {
      id: 'hurt',
      cause: M.hurtWhileFitted,
      next: M.chamferCoverSplinesKeywayClean,
      signs: [
        seen('oring', 'nibbled', 3, M.oRingCut),
        seen('sleeve', 'scored', 2, M.sleeveScoredAlong),
        seen('chips', 'split', 1, M.faceBrokenThrough),
        youngerThan(7, 3, M.leakedWithinDays),
        olderThan(OLD_SEAL_DAYS, -3, COMMON.livedLong),
      ],
    },
  ],
};
