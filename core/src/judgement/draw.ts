import type { Text } from '../message/message.ts';
import type { Drawing, Fill, Ink, Point, Shape } from './drawing.ts';

/** Shapes as a figure is written: lists in lists, and nothing where a condition does not hold. */
export type Drawn = Shape | readonly Drawn[] | false | null | undefined | '' | 0;

/** How a shape looks, as a figure is written: `weight` is the width of its line. */
type Style = {
  ink?: Ink | undefined;
  weight?: number | undefined;
  fill?: Fill | undefined;
  dash?: string | undefined;
  opacity?: number | undefined;
  fillOpacity?: number | undefined;
};

/** Lists in lists as one list, in their order. */
const flat = (drawn: readonly Drawn[]): Shape[] =>
  drawn.flatMap((d): Shape[] => {
    if (!d) return [];
    return isList(d) ? flat(d) : [d];
  });
const isList = (d: Shape | readonly Drawn[]): d is readonly Drawn[] => Array.isArray(d);

/** A hundredth of a unit is finer than any line: more digits only make a kept sheet longer. */
const tidy = (v: number): number => Math.round(100 * v) / 100;

const look = ({ ink, weight, fill, dash, opacity, fillOpacity }: Style) => ({
  ...(ink === undefined ? {} : { ink }),
  ...(weight === undefined ? {} : { width: weight }),
  ...(fill === undefined ? {} : { fill }),
  ...(dash === undefined ? {} : { dash }),
  ...(opacity === undefined ? {} : { opacity: tidy(opacity) }),
  ...(fillOpacity === undefined ? {} : { fillOpacity }),
});

/** A point at an angle from the top, clockwise, as on a clock. */
export const spot = (cx: number, cy: number, deg: number, r: number): { x: number; y: number } => ({
  x: cx + r * Math.sin((deg * Math.PI) / 180),
  y: cy - r * Math.cos((deg * Math.PI) / 180),
});

type FigureProps = Pick<Drawing, 'width' | 'height' | 'title'> &
  Partial<Pick<Drawing, 'from' | 'name' | 'tall'>>;

/** How many units of a figure made for a screen make a point of paper. */
const PER_POINT = 2.15;

/**
 * A figure of a step: a screen's pixels at its natural size. Lines are one wide where nothing is said, and filled with nothing.
 * @example figure({ width: 40, height: 40, title: 'A hole' }, [circle({ cx: 20, cy: 20, r: 9, ink: 'ink' })])
 */
export const figure = (props: FigureProps, shapes: readonly Drawn[]): Drawing => ({
  ...props,
  perPoint: PER_POINT,
  shapes: [{ shape: 'group', ink: 'none', width: 1, fill: 'none', shapes: flat(shapes) }],
});

type GroupProps = Style & {
  turn?: readonly [deg: number, x: number, y: number];
  scale?: number;
  shift?: Point;
  part?: string;
  moves?: true;
};

/** Shapes that look, or lie, alike. */
export const group = (
  { turn, scale, shift, part, moves, ...style }: GroupProps,
  shapes: readonly Drawn[],
): Shape => ({
  shape: 'group',
  ...look(style),
  ...(turn ? { turn } : {}),
  ...(scale === undefined ? {} : { scale }),
  ...(shift ? { shift } : {}),
  ...(part === undefined ? {} : { part }),
  ...(moves ? { moves } : {}),
  shapes: flat(shapes),
});

/** A value on a figure that is read again by touching it; where nothing is read yet it is only drawn. */
export const mendable = (
  { place, name, shown = '' }: { place: string | null; name: Text; shown?: Text },
  shapes: readonly Drawn[],
): Shape => ({
  shape: 'group',
  shapes: flat(shapes),
  ...(place === null ? {} : { touch: { does: 'mend', place, name, shown } }),
});

/** One of several parts that is picked out by touching it. */
export const pickable = (which: number, name: Text, shapes: readonly Drawn[]): Shape => ({
  shape: 'group',
  shapes: flat(shapes),
  touch: { does: 'pick', which, name },
});

/** A drawing nobody touches: what could be is only drawn. */
export const still = (d: Drawing): Drawing => ({ ...d, shapes: untouched(d.shapes) });
const untouched = (shapes: readonly Shape[]): Shape[] =>
  shapes.map((s) => {
    if (s.shape !== 'group') return s;
    const { touch: _, ...group } = s;
    return { ...group, shapes: untouched(s.shapes) };
  });

/** A part that is turned round a middle to where it stands. */
export const turnable = (
  { name, middle, deg }: { name: Text; middle: Point; deg: number },
  shapes: readonly Drawn[],
): Shape => ({ shape: 'group', shapes: flat(shapes), touch: { does: 'turn', name, middle, deg } });

export const path = ({ d, ...style }: Style & { d: string }): Shape => ({ shape: 'path', d, ...look(style) });

export const circle = ({ cx, cy, r, ...style }: Style & { cx: number; cy: number; r: number }): Shape => ({
  shape: 'circle',
  at: [tidy(cx), tidy(cy)],
  r: tidy(r),
  ...look(style),
});

export const line = ({
  x1,
  y1,
  x2,
  y2,
  ...style
}: Style & { x1: number; y1: number; x2: number; y2: number }): Shape => ({
  shape: 'line',
  points: [
    [tidy(x1), tidy(y1)],
    [tidy(x2), tidy(y2)],
  ],
  ...look(style),
});

/** @param rx radius of its corners */
export function rect({
  x,
  y,
  width,
  height,
  rx = 0,
  ...style
}: Style & { x: number; y: number; width: number; height: number; rx?: number }): Shape {
  const [w, h] = [tidy(width), tidy(height)];
  const r = Math.min(rx, w / 2, h / 2);
  const d =
    r > 0
      ? `M${tidy(x + r)} ${tidy(y)}h${w - 2 * r}a${r} ${r} 0 0 1 ${r} ${r}v${h - 2 * r}a${r} ${r} 0 0 1 ${-r} ${r}h${-(w - 2 * r)}a${r} ${r} 0 0 1 ${-r} ${-r}v${-(h - 2 * r)}a${r} ${r} 0 0 1 ${r} ${-r}z`
      : `M${tidy(x)} ${tidy(y)}h${w}v${h}h${-w}z`;
  return { shape: 'path', d, ...look(style) };
}

/** Points one after the other. */
export const polyline = ({ points, ...style }: Style & { points: readonly Point[] }): Shape => ({
  shape: 'line',
  points: points.map(([x, y]): Point => [tidy(x), tidy(y)]),
  ...look(style),
});

/** Points one after the other, back to the first. */
export const polygon = (props: Style & { points: readonly Point[] }): Shape => ({
  ...polyline(props),
  shape: 'line',
  points: props.points.map(([x, y]): Point => [tidy(x), tidy(y)]),
  closed: true,
});

type TextProps = {
  x: number;
  y: number;
  anchor?: 'start' | 'middle' | 'end';
  tone?: Ink;
  size?: number;
  strong?: boolean;
};
const textOf =
  (font: 'label' | 'figures', usual: number) =>
  (
    { x, y, anchor = 'middle', tone = 'ink', size = usual, strong = false }: TextProps,
    said: Text | number,
  ): Shape => ({
    shape: 'text',
    at: [tidy(x), tidy(y)],
    text: typeof said === 'number' ? String(said) : said,
    ink: tone,
    anchor,
    size,
    font,
    ...(strong ? { strong } : {}),
  });

/** A label in the condensed sans. */
export const label = textOf('label', 15);
/** A number in the mono. */
export const digits = textOf('figures', 14.5);

type Ends = { x1: number; y1: number; x2: number; y2: number };

/** The dash-dot line of an axis. */
export const axis = (ends: Ends): Shape => line({ ...ends, ink: 'steel', dash: '16 4 3 4' });

/**
 * A dimension with an arrow head at both ends and its number on it.
 * @param side how far the number stands off the line, up or to the left
 */
export function dimension(
  { x1, y1, x2, y2, tone = 'ink', side = -6 }: Ends & { tone?: Ink; side?: number },
  said: Text,
): Drawn {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const head = (x: number, y: number, s: 1 | -1) =>
    `M${x} ${y}l${s * 8 * ux - 3 * uy} ${s * 8 * uy + 3 * ux}l${6 * uy} ${-6 * ux}z`;
  const upright = Math.abs(uy) > Math.abs(ux);
  return [
    line({ x1, y1, x2, y2, ink: tone, weight: 1.2 }),
    path({ d: `${head(x1, y1, 1)}${head(x2, y2, -1)}`, fill: tone }),
    digits(
      {
        x: (x1 + x2) / 2 + (upright ? side : 0),
        y: (y1 + y2) / 2 + (upright ? 5 : side),
        anchor: upright ? (side < 0 ? 'end' : 'start') : 'middle',
        tone,
      },
      said,
    ),
  ];
}

/** A dial indicator standing on a surface: its plunger comes in along an angle. */
export function dialGauge({ x, y, deg, r = 15 }: { x: number; y: number; deg: number; r?: number }): Drawn {
  const c = spot(x, y, deg, r + 22);
  const tip = spot(x, y, deg, 0);
  const rim = spot(x, y, deg, 22);
  return [
    line({ x1: tip.x, y1: tip.y, x2: rim.x, y2: rim.y, ink: 'brass', weight: 3.5 }),
    circle({ cx: c.x, cy: c.y, r, fill: 'paper', ink: 'brass', weight: 3 }),
    path({ d: `M${c.x} ${c.y}l${r * 0.4} ${-r * 0.5}`, ink: 'brass', weight: 2 }),
  ];
}
