import type { TradeWords } from '../../engine/trade.ts';
import { drawnAt, reportAt } from '../../engine/trades.ts';
import { COMMON } from '../../message/common/messages.ts';
import { len, num } from '../../quantities/say.ts';
import { bolts } from '../../steps/bolts.ts';
import { boltsCame, boltsRow, firstHoursCame, shaftCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { firstHoursDrawing } from '../../steps/drawings.ts';
import { M } from './messages.ts';
import { races } from './race-gaps.ts';
import type { SplitSetup } from './setup.ts';

/** What is said of a split bearing fitted. */
export const words: TradeWords<SplitSetup> = {
  offer: [M.fitSplitBearing, M.whereNoRingSlides],
  setup: M.bearingShaftScrews,
  changes: M.bearingScrews,
  sheet: COMMON.fitUpSheet,
  signed: COMMON.fitted,
  came(state) {
    const { row, ...shaft } = shaftCame(state);
    const race = (races.valuesOf(reportAt(state, 'seated')) ?? races.valuesOf(reportAt(state, 'race')))
      ?.raceMm;
    const gapsMm = race && race.a !== null && race.b !== null ? ([race.a, race.b] as const) : null;
    const seatingRounds = bolts.valuesOf(reportAt(state, 'seat'))?.settling.length ?? null;
    const torqueNm = boltsCame(state, 'bolts');
    const firstHours = firstHoursCame(state);
    const { count, size, grade } = state.setup.capBolts;
    return {
      results: {
        ...shaft,
        ...conditionCame(state),
        gapsMm,
        seatingRounds,
        torqueNm,
        ...firstHours.results,
      },
      rows: [
        row,
        [M.raceGapsBothJoints, gapsMm === null ? '–' : M.and({ gap: num(gapsMm[0]), gap2: len(gapsMm[1]) })],
        [M.seatingRounds, seatingRounds === null ? '–' : String(seatingRounds)],
        boltsRow(COMMON.capBolts, `${count} × ${size} ${grade}`, torqueNm),
        ...firstHours.rows,
      ],
    };
  },
  drawings: (state) => [
    ...drawnAt(state, races.valuesOf(reportAt(state, 'seated')) ? 'seated' : 'race'),
    ...turnDrawings(state),
    ...firstHoursDrawing(state),
  ],
};
