import { goesTo } from '../../engine/depth.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { Facts } from '../../engine/state.ts';
import type { Procedure } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { conditionSteps, LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { gate } from '../../steps/gate.ts';
import { glandGaps } from '../../steps/gland-gaps.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { EMPTY, ISOLATED, ROTOR, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { startOrder } from '../../steps/start-order.ts';
import { breakIn } from './breaking-in.ts';
import { M } from './messages.ts';
import { cutting, packingPlan } from './plan.ts';
import { ringsLoop } from './rings-in.ts';
import type { PackingSetup } from './setup.ts';

const safe = safeStep(COMMON.safeComplete, [
  ISOLATED,
  EMPTY,
  ROTOR,
  item(H.safe, 'protected', M.eyeProtectionGlovesBootsPacking),
  ifFitted(COMMON.kit, 'instructions', COMMON.makersInstructionsHandTheyOutrank),
  ifFitted(COMMON.kit, 'tools', M.hookKnifeMandrelSplitPusher),
]);

/** Where the studs of a follower stand, from the top clockwise. */
const studsDeg = (studs: number): number[] => Array.from({ length: studs }, (_, i) => (360 * i) / studs);
/** A follower this far out of square is cocked: it holds the packing on one side. Our own choice. */
const COCKED_MM = 1;
/** Beside finger-tight nuts a gap is read by a rule: so much is square. Our own choice. */
const SQUARE_MM = 0.5;
/** A follower is felt at two places across, at right angles to its studs too where it is checked thoroughly. */
const gapsDeg = (setup: PackingSetup): number[] =>
  goesTo(setup, 'thorough')
    ? (setup.studs < 3 ? [0, 90, 180, 270] : studsDeg(setup.studs)).map(Math.round)
    : [0, 180];

/** Gaps from the follower to the box face, by a rule: tapped square, never pulled square by a nut. */
const followerGaps = glandGaps(({ setup }: Facts<PackingSetup>) => ({
  bolts: setup.studs,
  rigid: false,
  atDeg: gapsDeg(setup),
  limitMm: SQUARE_MM,
  stopMm: COCKED_MM,
  tapped: true,
  gauges: ['caliper', 'feeler'],
}));

/** A ring that comes out takes follower, start and break-in with it; what is cut is cut by the plan. */
const STANDS_ON: StandsOn = {
  plan: ['shaft'],
  cut: ['plan'],
  rings: ['cut'],
  follower: ['rings'],
  belts: ['softfoot', 'coupling'],
  coupling: ['softfoot'],
  start: ['rings', 'follower', 'softfoot', 'coupling', 'belts'],
  breakin: ['start'],
};

/** Compression packing, from the stripped box to the steady leak. */
export function packingJob(setup: PackingSetup): Procedure<PackingSetup> {
  const condition = conditionSteps(setup);
  return {
    title: M.stuffingBoxPacked,
    steps: standing(STANDS_ON, [
      safe,
      asked('strip', M.strip, M.everyOldRingOutCounted, [
        item(H.strip, 'rings', M.oldRingsOutBottomBox, { note: true }),
        item(H.strip, 'lantern', M.lanternRingOutCleanedPlace, { note: true }),
        item(H.strip, 'clean', M.boxCleanBottomSeenLamp),
      ]),
      ...condition.filter((s) => !LAST_MEASURES.includes(s.id)),
      {
        id: 'plan',
        title: M.sectionCount,
        kind: packingPlan,
        guide: M.sectionFromShaftBoxLength,
        items: [
          item(COMMON.packing, 'stock', M.packingBenchSectionSuitsFluid),
          ifFitted(COMMON.packing, 'soft', M.notHammeredFlatMakeFit),
        ],
      },
      asked(
        'cut',
        COMMON.cut,
        M.mandrelShaftsSizeCutShown,
        [
          ifFitted(H.cut, 'mandrel', M.cutMandrelShaftsSizeAll),
          item(H.cut, 'tried', M.firstRingTriedBoxEnds, {
            remedy: M.changeLengthWhatSeenTry,
          }),
        ],
        { caution: M.cutAwayFromHandHolds, kind: cutting },
      ),
      {
        id: 'rings',
        title: COMMON.rings,
        kind: ringsLoop,
        loop: true,
        guide: M.openedSidewaysNeverBentStraight,
        closes: M.onceRingOneBelowCan,
        items: [ifFitted(COMMON.rings, 'lantern', M.lanternRingPlaceUnderPort)],
      },
      {
        id: 'follower',
        title: M.followerSquare,
        // What the break-in is counted by is measured while the follower is at hand.
        needs: ['studPitchMm', 'followerMm'],
        ...(goesTo(setup, 'standard') ? { kind: followerGaps } : { kind: gate }),
        guide: M.nutsFingerTightGapFrom,
        repeatWord: M.tappedSquare,
        items: [
          item(H.follower, 'finger', M.nutsFingerTightOnlyShaft),
          ...(goesTo(setup, 'standard') ? [] : [item(H.follower, 'square', M.followerSquareByEye)]),
        ],
      },
      // With the isolation still on: once it runs, nobody has a hand at foot, coupling or belt.
      ...condition.filter((s) => LAST_MEASURES.includes(s.id)),
      asked(
        'start',
        COMMON.start,
        M.startsLeakingGenerouslyRight,
        startOrder({
          drive: setup.drive ?? 'untouched',
          group: COMMON.start,
          isolated: [item(COMMON.start, 'flush', M.flushBoxFilledVented)],
          guards: M.guardsNobodyBesideCoupling,
          lifted: item(COMMON.start, 'handed', COMMON.isolationLiftedRuleHouseName),
        }),
        {
          inOrder: true,
          caution: M.nutsSetBesideTurningShaft,
          closes: M.onceHasRunRingsHave,
          starts: true,
        },
      ),
      {
        id: 'breakin',
        title: COMMON.break,
        needs: ['studPitchMm', 'followerMm'],
        kind: breakIn,
        dueWord: M.countPackingsDrops,
        loop: true,
        guide: M.oneFlatEachNutTurn,
        caution: M.hotGlandSmokeBackOff,
        items: [item(COMMON.break, 'even', M.followerStillSquareAfterLast)],
      },
      {
        id: 'sign',
        title: COMMON.signature,
        kind: signature,
        guide: COMMON.sheetStaysMachine,
      },
    ]),
  };
}
