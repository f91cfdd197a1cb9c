import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { num } from '../../quantities/say.ts';
import { orDash, shaftCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import type { ConditionSetup } from './setup.ts';
import { verdict } from './verdict.ts';

const FIT_WORDS = { fit: 'fit to receive', 'not-fit': 'not fit', undecided: 'undecided' } as const;

/** What is said of a machine surveyed. */
export const words: TradeWords<ConditionSetup> = {
  offer: ['Survey a machine', 'shaft and box, fit to receive?'],
  measuresOnly: true,
  setup: 'What is measured, shaft',
  changes: 'what is measured',
  sheet: 'Condition sheet',
  signed: 'Measured',
  came(state) {
    const { row, ...shaft } = shaftCame(state);
    const c = conditionCame(state);
    const fit = verdict.valuesOf(reportAt(state, 'verdict'))?.fit ?? null;
    return {
      results: { ...shaft, ...c, verdict: fit },
      rows: [
        ['Verdict', fit === null ? '–' : FIT_WORDS[fit]],
        row,
        ['Run-out, largest TIR', orDash(c.runoutMm)],
        [
          'End play, radial play',
          `${c.endPlayMm === null ? '–' : num(c.endPlayMm)} and ${orDash(c.radialPlayMm)}`,
        ],
        ['Box face, TIR', orDash(c.faceMm)],
        ['Box bore, TIR', orDash(c.boreMm)],
      ],
    };
  },
  drawings: turnDrawings,
};
