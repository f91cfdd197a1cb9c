import { M as H } from '../../engine/headings/messages.ts';
import type { StepDefinition } from '../../engine/step.ts';
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
          title: M.start2,
          kind: gate,
          guide: M.onlyAfterHandTurnWhoever,
          caution: M.guardsBeforePowerPermitsPlants,
          again: true,
          starts: true,
          inOrder: true,
          items: [
            ...startOrder({
              drive: setup.runIn.drive ?? 'untouched',
              group: H.start,
              isolated: [],
              guards: M.guardsToolsPeopleClear,
              lifted: item(H.start, 'permit', M.isolationLiftedWhoeverSetStart),
            }),
            ...(setup.runIn.lightProduct
              ? [
                  {
                    id: 'vapour',
                    group: H.start,
                    ask: M.broughtUpSlowlyVapourBefore,
                  },
                ]
              : []),
          ],
        },
        {
          id: 'runin',
          depth: 'standard',
          title: M.firstHours,
          kind: runInLog,
          dueWord: M.readBearingsTemperature,
          guide: M.temperatureEveryQuarterHourUntil,
          caution: M.stayClearWhatTurnsRead,
          loop: true,
          again: true,
          items: [
            { id: 'quiet', group: H.firstHours, ask: M.noScrapeNoNewNoise },
            { id: 'dry', group: H.firstHours, ask: M.noGreaseThrownOutNo },
            ...(setup.runIn.retorque
              ? [
                  {
                    id: 'retorque',
                    group: H.firstHours,
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
      title: M.handTurn,
      kind: gate,
      guide: setup.baseBolts ? M.handsBeforePowerAlways : M.loadGivenBackFirstThen,
      caution: M.isolationStaysHandsTurnNot,
      again: true,
      items: [
        ...(setup.baseBolts ? [] : [{ id: 'load', group: H.load, ask: M.shaftSupportOutHousingsAligned }]),
        { id: 'free', group: H.turn, ask: M.turnsFreelyThroughWholeTurns },
        { id: 'scrape', group: H.turn, ask: M.noScrapeNoTightSpot },
      ],
    },
    ...runIn,
    {
      id: 'sign',
      title: M.signature,
      kind: signature,
      guide: M.sheetStaysMachine,
      again: true,
    },
  ];
}
