import type { Text } from '../message/message.ts';

/** What a line is drawn in: the sheet's own inks, by what they mean. */
export type Ink =
  | 'ink'
  | 'muted'
  | 'faint'
  | 'rule'
  | 'steel'
  | 'brass'
  | 'stop'
  | 'accept'
  | 'paper'
  | 'shade'
  | 'none';
/** What a part is filled with: an ink, cut metal, cut metal of another part, hatched one way or the other, a touch without a look. */
export type Fill = Ink | 'metal' | 'steel-light' | 'dot' | 'hatch' | 'hatch-back' | 'touch';
export type Point = readonly [x: number, y: number];

/** How a shape looks; what it does not say, its group says. */
export type Look = {
  ink?: Ink;
  width?: number;
  fill?: Fill;
  /** Lengths of strokes and gaps, as SVG writes them; `dashed` is the one of older sheets. */
  dash?: string;
  dashed?: true;
  opacity?: number;
  fillOpacity?: number;
};

/**
 * What can be touched of a shape on a screen: a value that is taken back to be read again, one of several parts that is picked out, or a
 * part that is turned round a middle to where it stands. Paper draws it as it is.
 */
export type Touch =
  | { does: 'mend'; place: string; name: Text; shown: Text }
  | { does: 'pick'; which: number; name: Text }
  | { does: 'turn'; name: Text; middle: Point; deg: number };

export type Shape =
  | ({ shape: 'line'; points: readonly Point[]; closed?: true } & Look)
  /** An outline written as SVG writes paths. */
  | ({ shape: 'path'; d: string } & Look)
  | ({ shape: 'circle'; at: Point; r: number } & Look)
  | {
      shape: 'text';
      at: Point;
      text: Text;
      ink?: Ink;
      anchor?: 'start' | 'middle' | 'end';
      small?: true;
      size?: number;
      font?: 'label' | 'figures';
      strong?: boolean;
    }
  | ({
      shape: 'group';
      shapes: Shape[];
      /** Degrees clockwise round a point; then enlarged; then moved. */
      turn?: readonly [deg: number, x: number, y: number];
      scale?: number;
      shift?: Point;
      touch?: Touch;
      /** Its parts move as values are typed: drawn moving where whoever looks has not asked for stillness. */
      moves?: true;
      /** What a page calls it within its drawing. */
      part?: string;
    } & Look);

/**
 * A drawing as data, y downwards: the page and the print draw it, and it is kept with what was signed. Sizes are points of the sheet
 * (about a third of a millimetre) where `perPoint` says nothing; a figure made for a screen says how many of its own make one.
 */
export type Drawing = {
  /** What it shows, in words, for whoever cannot see it. */
  title: Text;
  width: number;
  height: number;
  /** Its left upper corner, where that is not 0, 0. */
  from?: Point;
  perPoint?: number;
  /** What a page calls it among others. */
  name?: string;
  /** It is no taller than this on a screen, in the height of sixteen of its pixels. */
  tall?: number;
  shapes: Shape[];
};

/** A text of a curve. */
const text = (
  at: Point,
  said: Text,
  ink: Ink = 'ink',
  anchor: 'start' | 'middle' | 'end' = 'middle',
): Shape => ({
  shape: 'text',
  at,
  text: said,
  ink,
  anchor,
});
const rounded = (v: number) => Math.round(v * 10) / 10;

export type CurvePoint = { x: number; y: number };
/** A limit across a curve, and what it is. */
export type CurveLimit = { y: number; said: Text; ink: Ink };

/**
 * What was read over time.
 * @param say how a value up the side, and a time along the bottom, is said
 */
export function curveOf(
  title: Text,
  points: readonly CurvePoint[],
  say: { y: (v: number) => Text; x: (v: number) => Text },
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
