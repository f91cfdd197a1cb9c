import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, Procedure } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { greaseMatch, greaseStrokes, greaseWatch } from './greasing.ts';
import { M } from './messages.ts';
import type { RegreaseSetup } from './setup.ts';

const RUNNING: GateItem[] = [
  { id: 'guarded', group: H.safe, ask: M.runsNippleReachedFromOutside },
  { id: 'clear', group: H.safe, ask: M.hoseSleevesRagClearWhat },
];
const STILL: GateItem[] = [
  { id: 'isolated', group: H.safe, ask: COMMON.energyIsolatedLockedTaggedMe },
  { id: 'blocked', group: H.safe, ask: M.nothingTurnsItself },
];

/** What its temperature does is watched after what went in. */
const STANDS_ON: StandsOn = { strokes: ['match'], watch: ['strokes'] };

/** One bearing regreased: what goes in, slowly, and what its temperature does afterwards. */
export function regreasingJob(setup: RegreaseSetup): Procedure<RegreaseSetup> {
  return {
    title: M.regreasing,
    steps: standing(STANDS_ON, [
      safeStep(M.safeClean, [
        ...(setup.how === 'running' ? RUNNING : STILL),
        {
          id: 'nipple',
          group: H.clean,
          ask: M.nippleReliefWipedCleanRelief,
          kind: 'machine',
        },
        {
          id: 'gun',
          group: H.clean,
          ask: M.gunHoldsGreaseSaidHere,
        },
      ]),
      {
        id: 'match',
        title: COMMON.grease,
        kind: greaseMatch,
        guide: M.twoGreasesNotMixedThickener,
        closes: M.onceFreshGreaseOldCannot,
      },
      {
        id: 'strokes',
        title: M.strokes3,
        kind: greaseStrokes,
        guide: setup.how === 'running' ? M.slowlyWhileRunsGreaseSpreads : M.slowlyStandingStillUntilRelief,
        caution: M.blockedReliefSendsGreaseInto,
        items: [
          {
            id: 'ended',
            group: COMMON.stop,
            ask: M.stoppedRuleCleanGreaseSeal,
            note: true,
          },
          {
            id: 'seals',
            group: COMMON.stop,
            ask: M.housingSealsNipplesTheirOwn,
          },
        ],
      },
      {
        id: 'watch',
        title: COMMON.watch,
        kind: greaseWatch,
        guide: M.riseFallsBackWithinHours,
        loop: true,
        items: [{ id: 'wiped', group: COMMON.watch, ask: M.whatPurgedWipedAwayRelief }],
      },
      { id: 'sign', title: COMMON.signature, kind: signature, guide: COMMON.sheetStaysMachine },
    ]),
  };
}
