import type { TradeWords } from '../../engine/trade.ts';
import { boltsCame, boltsRow, firstHoursCame, orDash, type Row, shaftCame } from '../../steps/came.ts';
import { conditionCame } from '../../steps/condition/came.ts';
import { LAST_MEASURES } from '../../steps/condition/condition-steps.ts';
import { turnDrawings } from '../../steps/condition/drawings.ts';
import { measured } from '../../steps/condition/pieces.ts';
import { firstHoursDrawing } from '../../steps/drawings.ts';
import { torqueOfSet } from '../../steps/wrench-reach.ts';
import { sectionDrawing } from './drawing.ts';
import { endedAt } from './ended.ts';
import { capBolts, type SleeveSetup } from './setup.ts';

/** What is said of a bearing fitted on its sleeve. */
export const words: TradeWords<SleeveSetup> = {
  offer: ['Fit a bearing', 'on its adapter sleeve'],
  setup: 'Bearing, shaft, bolts',
  changes: 'bearing, bolts',
  sheet: 'Fit-up sheet',
  signed: 'Fitted',
  role: (setup) => setup.role,
  comes: 'bearing',
  torqueNm: (setup) => torqueOfSet(capBolts(setup)),
  tasks: [
    measured(['fixedfirst']),
    {
      id: 'bench',
      name: 'Bench clearance, in position',
      steps: ['inboard', 'bench', 'target', 'fit', 'zero'],
      skill: 'bearings',
      hands: 1,
      minutes: [20, 30, 50],
      pauses: true,
    },
    {
      id: 'driveup',
      name: 'Driven up and locked',
      steps: ['driveup', 'release', 'lock'],
      skill: 'bearings',
      hands: 1,
      minutes: [25, 45, 90],
    },
    {
      id: 'close',
      name: 'Filled, closed, bolts to torque',
      steps: ['grease', 'float', 'house', 'carriers', 'bolts', 'load', ...LAST_MEASURES, 'base', 'handturn'],
      skill: 'bearings',
      hands: 2,
      tools: ['torque wrench'],
      minutes: [30, 45, 80],
      pauses: true,
    },
    {
      id: 'runin',
      name: 'Started and watched',
      steps: ['start', 'runin'],
      skill: 'bearings',
      hands: 1,
      tools: ['run-in watch'],
      minutes: [30, 40, 60],
      waits: 180,
    },
  ],
  came(state) {
    const { row, ...shaft } = shaftCame(state);
    const { boltCount, boltSize, boltGrade } = state.setup;
    const firstHours = firstHoursCame(state);
    const results = {
      ...shaft,
      ...conditionCame(state),
      ...endedAt(state),
      torqueNm: boltsCame(state, 'bolts'),
      ...firstHours.results,
    };
    return {
      results,
      rows: [
        row,
        ['Bench clearance', orDash(results.benchMm)],
        ['Reduction', orDash(results.reductionMm)],
        ['Residual clearance', orDash(results.residualMm)],
        ...(results.travelMm === null ? [] : [['Drive-up', orDash(results.travelMm)] as Row]),
        ['Nut from snug', results.nutDeg === null ? '–' : `${(results.nutDeg / 360).toFixed(2)} turn`],
        boltsRow('Cap bolts', `${boltCount} × ${boltSize} ${boltGrade}`, results.torqueNm),
        ...firstHours.rows,
      ],
    };
  },
  drawings: (state) => [...sectionDrawing(state), ...turnDrawings(state), ...firstHoursDrawing(state)],
};
