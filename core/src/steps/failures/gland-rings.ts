import { type FailureGuide, olderThan, over, seen, under, youngerThan } from '../../engine/failure.ts';
import { COMMON } from '../../message/common/messages.ts';
import { M } from './messages.ts';

/** Packing that has come out. */
export const PACKING_FAILURE: FailureGuide = {
  id: 'gland-rings',
  part: M.ringsGland,
  title: M.packingCameOut,
  questions: [
    {
      id: 'inner',
      ask: M.ringsWhereTheyRanShaft,
      look: M.firstRingOutOneFollower,
      answers: [
        ['even', M.wornEvenly],
        ['glazed', M.glazedHardBurnt],
        ['one-side', M.wornOneSide],
        ['torn', M.tornScuffed],
      ],
    },
    {
      id: 'outer',
      ask: M.ringsWhereTheyLayBox,
      look: M.scoredOutsidesTurnedShaft,
      answers: [
        ['still', M.cleanTheyStoodStill],
        ['turned', M.scoredTheyTurned],
      ],
    },
    {
      id: 'spent',
      ask: M.whichRingsSpent,
      look: M.compareRingFollowerOneBottom,
      answers: [
        ['follower', M.thoseFollowerOnly],
        ['all', M.allAlike],
        ['bottom', M.thoseBottom],
      ],
    },
    {
      id: 'joints',
      ask: M.joints,
      look: M.whereEndsMetGapShows,
      answers: [
        ['tight', M.met],
        ['gap', M.stoodApart],
        ['overlap', M.overlapped],
        ['line', M.stoodBehindEachOther],
      ],
    },
    {
      id: 'sleeve',
      ask: M.sleeve,
      look: M.fingernailAlongRound,
      answers: [
        ['smooth', M.smooth],
        ['grooved', M.grooved],
        ['scored', M.scored],
      ],
    },
    {
      id: 'lantern',
      ask: M.lanternRing,
      look: M.whereDidStandAgainstPort,
      answers: [
        ['under', M.underPort],
        ['past', M.pushedPastPort],
        ['none', M.thereNone],
      ],
    },
  ],
  causes: [
    {
      id: 'worn-out',
      cause: COMMON.woreOutLife,
      next: M.nothingPutRightPlanNext,
      signs: [
        seen('inner', 'even', 2, M.ringsWoreEvenly),
        olderThan(300, 2, COMMON.livedLong),
        seen('sleeve', ['grooved', 'scored'], -1, M.sleeveHurt),
        seen('inner', 'glazed', -2, M.burnt),
      ],
    },
    {
      id: 'too-tight',
      cause: M.glandPulledTooTightNo,
      next: M.breakUnderDropCounterDrops,
      signs: [
        seen('inner', 'glazed', 3, M.ringsGlazed),
        seen('spent', 'follower', 1, M.thoseFollowerTook),
        under('dropsPerMin', 8, 2, M.sheetHadHardlyDrop),
        seen('sleeve', 'grooved', 1, M.sleeveGrooved),
        seen('inner', 'even', -2, M.nothingBurnt),
      ],
    },
    {
      id: 'runout',
      cause: M.shaftSwingsStandsOffMiddle,
      next: M.runOutBoxPlayBearings,
      signs: [
        seen('inner', 'one-side', 2, M.ringsWoreOneSide),
        over('runoutMm', 0.08, 3, M.sheetHadLargeRunOut),
        over('boreMm', 0.25, 2, M.sheetHadBoxOffShafts),
        over('radialPlayMm', 0.15, 2, M.sheetHadPlayBearings),
        under('runoutMm', 0.04, -1, M.sheetHadShaftRunningTrue),
      ],
    },
    {
      id: 'sleeve',
      cause: M.sleeveWornBeforePacked,
      next: M.noPackingHoldsGrooveSleeve,
      signs: [
        seen('sleeve', 'grooved', 2, M.grooved2),
        seen('sleeve', 'scored', 2, M.scored2),
        seen('inner', 'torn', 1, M.ringsTorn),
        youngerThan(60, 1, M.livedFewWeeksOnly),
        seen('sleeve', 'smooth', -3, M.smooth2),
      ],
    },
    {
      id: 'rings-cut',
      cause: M.ringsWereCutLaidWrong,
      next: M.cutMandrelEndsMeetJoints,
      signs: [
        seen('joints', ['gap', 'overlap'], 3, M.endsDidNotMeet),
        seen('joints', 'line', 3, M.jointsStoodBehindEachOther),
        seen('outer', 'turned', 2, M.ringsTurnedBox),
        seen('joints', 'tight', -1, M.endsMet),
      ],
    },
    {
      id: 'lantern',
      cause: M.lanternRingLostPortNo,
      next: M.measureAfterLastTighteningStill,
      signs: [
        seen('lantern', 'past', 3, M.stoodPastPort),
        seen('spent', 'bottom', 2, M.ringsBottomWentFirst),
        seen('sleeve', 'scored', 1, M.gritScoredSleeve),
        seen('lantern', ['under', 'none'], -3, M.stoodRightThereNone),
      ],
    },
  ],
};
