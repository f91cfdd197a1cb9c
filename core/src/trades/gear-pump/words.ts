import type { TradeWords } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { type Drawing, type Shape, small, text } from '../../judgement/drawing.ts';
import { len, num } from '../../quantities/say.ts';
import { boltsCame, boltsRow, orDash } from '../../steps/came.ts';
import { type ClearanceValues, endClearance } from './clearance.ts';
import type { GearPumpSetup } from './setup.ts';

/** How much larger than the gears the gaps are drawn, points a millimetre. */
const POINTS_A_MM = 90;

/** Straightedge over the stack, and the gears under it by as much as they were felt, enlarged. */
function straightedge(v: ClearanceValues): Drawing[] {
  if (v.gaps.some((g) => g.mm === null)) return [];
  const [width, height, top] = [360, 120, 34];
  const gear = (x: number, mm: number): Shape => ({
    shape: 'line',
    points: [
      [x, top + mm * POINTS_A_MM],
      [x + 100, top + mm * POINTS_A_MM],
      [x + 100, 92],
      [x, 92],
    ],
    ink: 'ink',
    closed: true,
    fill: 'metal',
  });
  const of = (name: 'drive' | 'idler') => v.gaps.filter((g) => g.gear === name).map((g) => g.mm ?? 0);
  const [drive, idler] = [of('drive'), of('idler')];
  const said = (gaps: number[]) => gaps.map((mm) => num(mm)).join(' and ');
  const part = (x: number, gaps: number[]) => gear(x, Math.min(0.6, ...gaps));
  return [
    {
      title: 'End clearance',
      width,
      height,
      shapes: [
        {
          shape: 'line',
          points: [
            [20, 14],
            [340, 14],
            [340, top],
            [20, top],
          ],
          ink: 'ink',
          closed: true,
          fill: 'paper',
        },
        part(60, drive),
        part(200, idler),
        text([110, 86], `drive ${said(drive)}`),
        text([250, 86], `idler ${said(idler)}`),
        text([180, 27], 'straightedge'),
        small(
          [180, height - 6],
          `gaps ×${Math.round(POINTS_A_MM / 2.83)}; loose stack ${len(v.stackMm ?? 0)}`,
        ),
      ],
    },
  ];
}

/** What is said of a gear pump rebuilt. */
export const words: TradeWords<GearPumpSetup> = {
  offer: ['Rebuild a gear pump', 'its end clearance by gaskets'],
  setup: 'Pump, gaskets, torques',
  changes: 'gaskets, torques',
  sheet: 'Rebuild sheet',
  signed: 'Rebuilt',
  came(state) {
    const v = endClearance.valuesOf(reportAt(state, 'clearance'));
    const told = v?.told ?? null;
    const results = {
      clearanceMinMm: told?.smallestMm ?? null,
      clearanceMaxMm: told?.largestMm ?? null,
      stackMm: v?.stackMm ?? null,
      torqueNm: boltsCame(state, 'rearbolts'),
      nutNm: boltsCame(state, 'nuttorque'),
    };
    const clearance = told ? `${num(told.smallestMm)} to ${len(told.largestMm)}` : '–';
    return {
      results,
      rows: [
        ['End clearance, under torque', clearance],
        ['Gasket stack, loose', orDash(results.stackMm)],
        boltsRow('End plates', `${state.setup.plateBolts}`, results.torqueNm),
        boltsRow('Shaft nut', '1', results.nutNm),
      ],
    };
  },
  drawings(state) {
    const v = endClearance.valuesOf(reportAt(state, 'clearance'));
    return v ? straightedge(v) : [];
  },
};
