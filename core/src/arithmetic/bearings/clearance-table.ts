import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { M } from './messages.ts';
/** Spherical roller bearings with tapered bore: clearance classes, reduction, drive-up and least residual by bore. */

export type ClearanceClass = 'C2' | 'CN' | 'C3' | 'C4' | 'C5';
export const CLEARANCE_CLASSES: ClearanceClass[] = ['C2', 'CN', 'C3', 'C4', 'C5'];
export type TaperRatio = 12 | 30;

/**
 * Radial internal clearance, µm: bore over, up to, then the six edges C2 least, C2/normal, normal/C3, C3/C4, C4/C5,
 * C5 most. Source: ISO 5753-1, tapered bore, from memory.
 */
const CLEARANCE_UM: ReadonlyArray<readonly [number, number, number, number, number, number, number, number]> =
  [
    [18, 24, 15, 25, 35, 45, 60, 75],
    [24, 30, 20, 30, 40, 55, 75, 95],
    [30, 40, 25, 35, 50, 65, 85, 105],
    [40, 50, 30, 45, 60, 80, 100, 130],
    [50, 65, 40, 55, 75, 95, 120, 160],
    [65, 80, 50, 70, 95, 120, 150, 200],
    [80, 100, 55, 80, 110, 140, 180, 230],
    [100, 120, 65, 100, 135, 170, 220, 280],
    [120, 140, 80, 120, 160, 200, 260, 330],
    [140, 160, 90, 130, 180, 230, 300, 380],
    [160, 180, 100, 140, 200, 260, 340, 430],
    [180, 200, 110, 160, 220, 290, 370, 470],
    [200, 225, 120, 180, 250, 320, 410, 520],
    [225, 250, 140, 200, 270, 350, 450, 570],
    [250, 280, 150, 220, 300, 390, 490, 620],
    [280, 315, 170, 240, 330, 430, 540, 680],
    [315, 355, 190, 270, 360, 470, 590, 740],
    [355, 400, 210, 300, 400, 520, 650, 820],
    [400, 450, 230, 330, 440, 570, 720, 910],
    [450, 500, 260, 370, 490, 630, 790, 1000],
  ];

type MountingRow = {
  over: number;
  upto: number;
  reductionUm: readonly [number, number];
  travel12Mm: readonly [number, number];
  travel30Mm: readonly [number, number] | null;
  residualUm: readonly [number, number, number];
};

const row = (
  over: number,
  upto: number,
  reductionUm: readonly [number, number],
  travel12Mm: readonly [number, number],
  travel30Mm: readonly [number, number] | null,
  residualUm: readonly [number, number, number],
): MountingRow => ({ over, upto, reductionUm, travel12Mm, travel30Mm, residualUm });

/**
 * Reduction of radial clearance, axial drive-up at 1:12 and 1:30 on a solid shaft, least residual for normal, C3, C4.
 * Source: general bearing handbooks, from memory.
 */
const MOUNTING: readonly MountingRow[] = [
  row(24, 30, [15, 20], [0.3, 0.35], null, [15, 20, 35]),
  row(30, 40, [20, 25], [0.35, 0.4], null, [15, 25, 40]),
  row(40, 50, [25, 30], [0.4, 0.45], null, [20, 30, 50]),
  row(50, 65, [30, 40], [0.45, 0.6], null, [25, 35, 55]),
  row(65, 80, [40, 50], [0.6, 0.75], null, [25, 40, 70]),
  row(80, 100, [45, 60], [0.7, 0.9], [1.7, 2.2], [35, 50, 80]),
  row(100, 120, [50, 70], [0.75, 1.1], [1.9, 2.7], [50, 65, 100]),
  row(120, 140, [65, 90], [1.1, 1.4], [2.7, 3.5], [55, 80, 110]),
  row(140, 160, [75, 100], [1.2, 1.6], [3.0, 4.0], [55, 90, 130]),
  row(160, 180, [80, 110], [1.3, 1.7], [3.2, 4.2], [60, 100, 150]),
  row(180, 200, [90, 130], [1.4, 2.0], [3.5, 5.0], [70, 100, 160]),
  row(200, 225, [100, 140], [1.6, 2.2], [4.0, 5.5], [80, 120, 180]),
  row(225, 250, [110, 150], [1.7, 2.4], [4.2, 6.0], [90, 130, 200]),
  row(250, 280, [120, 170], [1.9, 2.7], [4.7, 6.7], [100, 140, 220]),
  row(280, 315, [130, 190], [2.0, 3.0], [5.0, 7.5], [110, 150, 240]),
  row(315, 355, [150, 210], [2.4, 3.3], [6.0, 8.2], [120, 170, 260]),
  row(355, 400, [170, 230], [2.6, 3.6], [6.5, 9.0], [130, 190, 290]),
  row(400, 450, [200, 260], [3.1, 4.0], [7.7, 10], [130, 200, 310]),
  row(450, 500, [210, 280], [3.3, 4.4], [8.2, 11], [160, 230, 350]),
];

export type ClassBand = { class: ClearanceClass; lowerMm: number; upperMm: number };

/**
 * The five classes' bands for a bore, smallest first.
 * @throws RangeError outside over 18 up to 500 mm
 * @example clearanceBands(100)[1] // { class: 'CN', lowerMm: 0.08, upperMm: 0.11 }
 */
export function clearanceBands(boreMm: number): ClassBand[] {
  const found = CLEARANCE_UM.find(([over, upto]) => boreMm > over && boreMm <= upto);
  if (!found) throw new MessageError(M.clearanceClassesTabledBoresOver);
  const edges = found.slice(2);
  return CLEARANCE_CLASSES.map((name, i) => ({
    class: name,
    lowerMm: (edges[i] ?? Number.NaN) / 1000,
    upperMm: (edges[i + 1] ?? Number.NaN) / 1000,
  }));
}

/** One class's band for a bore. @throws RangeError as `clearanceBands` */
export function classBand(boreMm: number, name: ClearanceClass): ClassBand {
  const band = clearanceBands(boreMm).find((b) => b.class === name);
  if (!band) throw new MessageError(M.notClearanceClass({ name }));
  return band;
}

export type MountingLimits = {
  overMm: number;
  uptoMm: number;
  reductionMinMm: number;
  reductionMaxMm: number;
  /** Tabled axial drive-up for the taper; null where the table gives none. */
  travelMm: readonly [number, number] | null;
  /** Least residual clearance of the class; null for C2 and C5, which only the maker's sheet gives. */
  leastResidualMm: number | null;
};

/**
 * Tabled mounting limits for a bore, class and taper; null where the bore is outside over 24 up to 500 mm.
 * @example mountingLimits(100, 'CN', 12)?.leastResidualMm // 0.035
 */
export function mountingLimits(
  boreMm: number,
  name: ClearanceClass,
  taper: TaperRatio,
): MountingLimits | null {
  const found = MOUNTING.find((r) => boreMm > r.over && boreMm <= r.upto);
  if (!found) return null;
  const residual = {
    C2: null,
    CN: found.residualUm[0],
    C3: found.residualUm[1],
    C4: found.residualUm[2],
    C5: null,
  }[name];
  return {
    overMm: found.over,
    uptoMm: found.upto,
    reductionMinMm: found.reductionUm[0] / 1000,
    reductionMaxMm: found.reductionUm[1] / 1000,
    travelMm: taper === 12 ? found.travel12Mm : found.travel30Mm,
    leastResidualMm: residual === null ? null : residual / 1000,
  };
}

/** Every row's bore range, for tests and for the printed table. */
export function mountingRanges(): ReadonlyArray<{ over: number; upto: number }> {
  return MOUNTING.map(({ over, upto }) => ({ over, upto }));
}

/** How a class is said at the plinth. */
export const sayClass = (name: ClearanceClass): Text => (name === 'CN' ? COMMON.normal : name);
