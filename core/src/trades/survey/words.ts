import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { COMMON } from '../../message/common/messages.ts';
import { num } from '../../quantities/say.ts';
import { orDash, shaftCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { M } from './messages.ts';
import type { ConditionSetup } from './setup.ts';
import { verdict } from './verdict.ts';

const FIT_WORDS = { fit: M.fitReceive, 'not-fit': M.notFit, undecided: 'undecided' } as const;

/** What is said of a machine surveyed. */
export const words: TradeWords<ConditionSetup> = {
  offer: [M.surveyMachine, M.shaftBoxFitReceive],
  measuresOnly: true,
  setup: M.whatMeasuredShaft,
  changes: COMMON.whatMeasured,
  sheet: M.conditionSheet,
  signed: COMMON.measured,
  came(state) {
    const { row, ...shaft } = shaftCame(state);
    const c = conditionCame(state);
    const fit = verdict.valuesOf(reportAt(state, 'verdict'))?.fit ?? null;
    return {
      results: { ...shaft, ...c, verdict: fit },
      rows: [
        [COMMON.result, fit === null ? '–' : FIT_WORDS[fit]],
        row,
        [COMMON.runOutLargestTir, orDash(c.runoutMm)],
        [
          M.endPlayRadialPlay,
          M.and({ endPlay: c.endPlayMm === null ? '–' : num(c.endPlayMm), orDash: orDash(c.radialPlayMm) }),
        ],
        [COMMON.boxFaceTir, orDash(c.faceMm)],
        [COMMON.boxBoreTir, orDash(c.boreMm)],
      ],
    };
  },
  drawings: turnDrawings,
};
