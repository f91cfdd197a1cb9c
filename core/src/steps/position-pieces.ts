import type { MeasuredPlace, PositionPiece } from '../engine/slots.ts';
import type { Shape } from '../judgement/drawing.ts';

/** Pieces several trades draw a position of, on its strip of 1000 by 216 with the shaft’s axis at 110. */

const across = (x: number, y: number, y2: number): MeasuredPlace => ({
  at: [x, y],
  line: `M${x} ${y} V${y2} M${x - 6} ${y + 7} L${x} ${y} L${x + 6} ${y + 7} M${x - 6} ${y2 - 7} L${x} ${y2} L${x + 6} ${y2 - 7}`,
});
const along = (x: number, x2: number, y: number): MeasuredPlace => ({
  at: [(x + x2) / 2 + (x === 310 ? 30 : 0), y],
  line: `M${x} ${y} H${x2} M${x + 7} ${y - 6} L${x} ${y} L${x + 7} ${y + 6} M${x2 - 7} ${y - 6} L${x2} ${y} L${x2 - 7} ${y + 6} M${x} ${y - 40} V${y + 6} M${x2} ${y - 40} V${y + 6}`,
});
const path = (d: string, fill: 'shade' | 'paper', width = 1.6): Shape => ({
  shape: 'path',
  d,
  ink: 'ink',
  width,
  fill,
});
const roller = (x: number, y: number): Shape => ({
  shape: 'circle',
  at: [x, y],
  r: 11,
  ink: 'ink',
  width: 1.6,
});

/** The shaft, and the length of the seat on it told close under it. */
export const SHAFT_PIECE: PositionPiece = {
  shapes: [],
  places: { shaftMm: across(110, 86, 134), seatMm: along(310, 490, 172) },
};

/** A bearing on its sleeve: the seat’s length is told under it. */
export const BEARING_PIECE: PositionPiece = {
  shapes: [
    path('M310 70 L490 78 V86 H310 Z M310 150 L490 142 V134 H310 Z', 'shade'),
    path('M340 42 H460 V72 L340 71 Z M340 149 L460 148 V178 H340 Z', 'paper'),
    roller(372, 56),
    roller(428, 56),
    roller(372, 164),
    roller(428, 164),
  ],
  places: { boreMm: across(400, 70, 150), seatMm: along(310, 490, 190) },
};

/** A stuffing box and its face. */
export const BOX_PIECE: PositionPiece = {
  shapes: [
    path('M670 30 H880 V62 H680 V86 H670 Z M670 190 H880 V158 H680 V134 H670 Z', 'shade'),
    { shape: 'path', d: 'M880 24 V196', ink: 'ink', width: 3 },
  ],
  places: {
    boxBoreMm: across(800, 62, 158),
    'condition.boxBoreMm': across(800, 62, 158),
    boxDepthMm: { ...along(680, 880, 206), at: [860, 206] },
    'condition.faceRadiusMm': { at: [890, 150], line: 'M890 110 V196 M884 189 L890 196 L896 189' },
  },
};
