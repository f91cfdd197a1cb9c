import { M as H } from '../../engine/headings/messages.ts';
import type { StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { gate } from '../gate.ts';
import { item } from '../questions.ts';
import { signature } from '../signature.ts';
import { startOrder } from '../start-order.ts';
import type { BearingSetup } from './bearing-setup.ts';
import { M } from './messages.ts';
import { runInLog } from './run-in-log.ts';

/** Turned by hand before power, always; then the first hours, and the name under it. */
export function endSteps(setup: BearingSetup): StepDefinition<BearingSetup>[] {
  const runIn: StepDefinition<BearingSetup>[] = setup.runIn
    ? [
        {
          id: 'start',
          title: COMMON.start,
          kind: gate,
          guide: M.onlyAfterHandTurnWhoever,
          caution: M.guardsBeforePowerPermitsPlants,
          again: true,
          starts: true,
          inOrder: true,
          items: [
            ...startOrder({
              drive: setup.runIn.drive ?? 'untouched',
              group: COMMON.start,
              isolated: [],
              guards: M.guardsToolsPeopleClear,
              lifted: item(COMMON.start, 'permit', M.isolationLiftedWhoeverSetStart),
            }),
            ...(setup.runIn.lightProduct
              ? [
                  {
                    id: 'vapour',
                    group: COMMON.start,
                    ask: M.broughtUpSlowlyVapourBefore,
                  },
                ]
              : []),
          ],
        },
        {
          id: 'runin',
          depth: 'standard',
          title: COMMON.firstHours,
          kind: runInLog,
          dueWord: COMMON.readBearingsTemperature,
          guide: M.temperatureEveryQuarterHourUntil,
          caution: M.stayClearWhatTurnsRead,
          loop: true,
          again: true,
          items: [
            { id: 'quiet', group: COMMON.firstHours, ask: M.noScrapeNoNewNoise },
            { id: 'dry', group: COMMON.firstHours, ask: M.noGreaseThrownOutNo },
            ...(setup.runIn.retorque
              ? [
                  {
                    id: 'retorque',
                    group: COMMON.firstHours,
                    ask: M.boltsGoneOverOnceMore,
                  },
                ]
              : []),
          ],
        },
      ]
    : [];
  return [
    {
      id: 'handturn',
      title: COMMON.turn,
      kind: gate,
      guide: setup.baseBolts ? M.handsBeforePowerAlways : M.loadGivenBackFirstThen,
      caution: M.isolationStaysHandsTurnNot,
      again: true,
      items: [
        ...(setup.baseBolts ? [] : [{ id: 'load', group: H.load, ask: M.shaftSupportOutHousingsAligned }]),
        { id: 'free', group: COMMON.turn, ask: M.turnsFreelyThroughWholeTurns },
        { id: 'scrape', group: COMMON.turn, ask: M.noScrapeNoTightSpot },
      ],
    },
    ...runIn,
    {
      id: 'sign',
      title: COMMON.signature,
      kind: signature,
      guide: COMMON.sheetStaysMachine,
      again: true,
    },
  ];
}
