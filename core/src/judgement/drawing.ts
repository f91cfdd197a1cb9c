import type { Said } from '../quantities/say.ts';

/** What a line is drawn in: the sheet's own inks, by what they mean. */
export type Ink = 'ink' | 'muted' | 'faint' | 'steel' | 'brass' | 'stop' | 'accept';
type Point = readonly [number, number];

export type Shape =
  | { shape: 'line'; points: Point[]; ink: Ink; width?: number; dashed?: true; closed?: true; fill?: Fill }
  /** An outline written as SVG writes paths. */
  | { shape: 'path'; d: string; ink: Ink; width?: number; dashed?: true; fill?: Fill }
  | { shape: 'circle'; at: Point; r: number; ink: Ink; fill?: Fill; dashed?: true }
  | { shape: 'text'; at: Point; text: Said; ink: Ink; anchor?: 'start' | 'middle' | 'end'; small?: true };
/** What a part is filled with: cut metal, cut metal of another part, paper. */
export type Fill = 'metal' | 'steel-light' | 'paper' | 'dot';

/**
 * A drawing of the sheet as data, in points of the sheet's own (about a third of a millimetre), y downwards: page and print draw
 * it, and it is kept with what was signed.
 */
export type Drawing = { title: string; width: number; height: number; shapes: Shape[] };

/** A text of a drawing. */
export const text = (
  at: Point,
  said: Said,
  ink: Ink = 'ink',
  anchor: 'start' | 'middle' | 'end' = 'middle',
): Shape => ({
  shape: 'text',
  at,
  text: said,
  ink,
  anchor,
});
/** A small text beside what is drawn. */
export const small = (at: Point, said: Said, anchor: 'start' | 'middle' | 'end' = 'middle'): Shape => ({
  shape: 'text',
  at,
  text: said,
  ink: 'muted',
  anchor,
  small: true,
});
const rounded = (v: number) => Math.round(v * 10) / 10;
/** A place on a clock face round a middle, 0° on top, clockwise. */
export const spot = (cx: number, cy: number, deg: number, r: number): Point => [
  rounded(cx + r * Math.sin((deg * Math.PI) / 180)),
  rounded(cy - r * Math.cos((deg * Math.PI) / 180)),
];

/** A mark on a clock face: what stands there, and whether it is as it should be. */
export type FaceMark = { deg: number; said: Said; ink?: Ink };

/** Things set round a shaft, each at its angle from the top, clockwise. */
export function clockOf(title: string, marks: readonly FaceMark[], note?: Said): Drawing {
  const [width, height] = [220, 150];
  const [cx, cy, r] = [width / 2, 66, 40];
  return {
    title,
    width,
    height,
    shapes: [
      { shape: 'circle', at: [cx, cy], r, ink: 'muted' },
      { shape: 'circle', at: [cx, cy], r: r * 0.45, ink: 'muted', fill: 'metal' },
      ...marks.flatMap((m): Shape[] => {
        const side = Math.sin((m.deg * Math.PI) / 180);
        return [
          {
            shape: 'line',
            points: [spot(cx, cy, m.deg, r * 0.6), spot(cx, cy, m.deg, r + 5)],
            ink: m.ink ?? 'ink',
            width: 2,
          },
          text(
            spot(cx, cy + 3, m.deg, r + 12),
            m.said,
            m.ink ?? 'ink',
            side > 0.2 ? 'start' : side < -0.2 ? 'end' : 'middle',
          ),
        ];
      }),
      text([cx, height - 14], title),
      ...(note ? [small([cx, height - 3], note)] : []),
    ],
  };
}

export type CurvePoint = { x: number; y: number };
/** A limit across a curve, and what it is. */
export type CurveLimit = { y: number; said: Said; ink: Ink };

/**
 * What was read over time.
 * @param say how a value up the side, and a time along the bottom, is said
 */
export function curveOf(
  title: string,
  points: readonly CurvePoint[],
  say: { y: (v: number) => Said; x: (v: number) => string },
  limits: readonly CurveLimit[] = [],
): Drawing {
  const [width, height, left, right, top, bottom] = [360, 150, 62, 70, 10, 34];
  const xs = points.map((p) => p.x);
  const ys = [...points.map((p) => p.y), ...limits.map((l) => l.y)];
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const px = (x: number) => rounded(left + ((x - x0) / (x1 - x0 || 1)) * (width - left - right));
  const py = (y: number) =>
    rounded(height - bottom - ((y - low) / (high - low || 1)) * (height - top - bottom));
  return {
    title,
    width,
    height,
    shapes: [
      {
        shape: 'line',
        points: [
          [left, top],
          [left, height - bottom],
          [width - right, height - bottom],
        ],
        ink: 'muted',
      },
      ...limits.flatMap((l): Shape[] => [
        {
          shape: 'line',
          points: [
            [left, py(l.y)],
            [width - right, py(l.y)],
          ],
          ink: l.ink,
          dashed: true,
        },
        text([width - right + 4, py(l.y) + 3], l.said, l.ink, 'start'),
      ]),
      { shape: 'line', points: points.map((p) => [px(p.x), py(p.y)]), ink: 'steel', width: 1.4 },
      ...points.map(
        (p): Shape => ({
          shape: 'circle',
          at: [px(p.x), py(p.y)],
          r: 1.8,
          ink: 'ink',
          fill: 'dot',
        }),
      ),
      text([left - 4, py(high) + 3], say.y(high), 'ink', 'end'),
      ...(low === high ? [] : [text([left - 4, py(low) + 3], say.y(low), 'ink', 'end')]),
      text([left, height - bottom + 12], say.x(x0), 'ink', 'start'),
      ...(x0 === x1 ? [] : [text([width - right, height - bottom + 12], say.x(x1), 'ink', 'end')]),
      text([(left + width - right) / 2, height - 3], title),
    ],
  };
}
