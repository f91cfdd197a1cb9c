import { turnDrawing } from '../../../arithmetic/shaft/turn-drawing.ts';
import { circle, dialGauge, digits, label, line, mendable, path, spot } from '../../../judgement/draw.ts';
import type { Text } from '../../../message/message.ts';
import { expr } from '../../../message/message.ts';
import type { AngleReading } from '../../../metrology/harmonics.ts';
import { num } from '../../../quantities/say.ts';
import { M } from '../messages.ts';

type Props = {
  cx: number;
  cy: number;
  /** The part's radius, on the drawing and in the metal. */
  radiusPx: number;
  radiusMm: number;
  readings: readonly AngleReading[];
  /** The measuring before, drawn faint beneath. */
  before?: readonly AngleReading[];
  /** What is drawn faint, in a word. */
  beforeWord?: Text;
  /** Where the gauge stands now. */
  active: number | null;
  /** Direction to be marked, with its word. */
  mark?: { deg: number; word: Text } | null;
  /** Angles to be read, ticked round the part. */
  wanted: number;
  /** Read by its full swing alone. */
  swing?: boolean;
  /** What this is, before the exaggeration under it. */
  title: Text;
  /** What the places of this turn begin with: its points are mended by touch. */
  prefix?: string;
};

const ROOM = 28;

const outline = (points: Array<{ x: number; y: number }>): string =>
  `${points.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('')}Z`;

/**
 * One turn of an indicator, the part seen from its end: the circle is to scale, the readings and the fitted curve stand off it
 * enlarged by one round number, which is said. 0° is on top, degrees run clockwise.
 */
export function turnView({
  cx,
  cy,
  radiusPx,
  radiusMm,
  readings,
  before = [],
  beforeWord = M.before,
  active,
  mark,
  wanted,
  title,
  prefix,
  swing = false,
}: Props) {
  const drawn = turnDrawing({ radiusMm, radiusPx, roomPx: ROOM, readings: [...readings, ...before] });
  const now = turnDrawing({ radiusMm, radiusPx, roomPx: ROOM, readings });
  // Both measurings at one exaggeration, or the eye compares what cannot be compared.
  const scale = radiusPx / radiusMm;
  const rOf = (mm: number, mean: number) => radiusPx + (mm - mean) * scale * drawn.times;
  const then = turnDrawing({ radiusMm, radiusPx, roomPx: ROOM, readings: before });
  const rescale = (r: number, from: number) => radiusPx + ((r - radiusPx) * drawn.times) / from;
  const whole = now.points.length >= wanted;
  const curve = (d: typeof now) =>
    (d.curve.length > 0 && (d !== now || whole) ? d.curve : d.points.length > 1 ? d.points : []).map((p) =>
      spot(cx, cy, p.angleDeg, rescale(p.r, d.times)),
    );
  const points = now.points.map((p) => ({ ...p, ...spot(cx, cy, p.angleDeg, rOf(p.valueMm, now.meanMm)) }));
  const high = points.length > 1 ? points.reduce((a, b) => (b.valueMm > a.valueMm ? b : a)) : null;
  const low = points.length > 1 ? points.reduce((a, b) => (b.valueMm < a.valueMm ? b : a)) : null;
  const ticks = Array.from({ length: Math.min(24, wanted) }, (_, i) => (360 * i) / Math.min(24, wanted));
  const turned = active === null ? null : active % 360;
  const standing = turned === null ? null : points.find((p) => Math.abs(p.angleDeg - turned) < 0.05);
  const at =
    turned === null ? null : spot(cx, cy, turned, standing ? rOf(standing.valueMm, now.meanMm) : radiusPx);
  return [
    circle({ cx, cy, r: radiusPx, fill: 'shade', fillOpacity: 0.6, ink: 'muted', dash: '5 4' }),
    path({ d: `M${cx - 7} ${cy}h14M${cx} ${cy - 7}v14`, ink: 'steel' }),
    ticks.map((deg) => {
      const major = wanted <= 12 || Math.round(deg) % 45 === 0;
      const [a, b] = [
        spot(cx, cy, deg, radiusPx + ROOM + 4),
        spot(cx, cy, deg, radiusPx + ROOM + (major ? 11 : 8)),
      ];
      const t = spot(cx, cy, deg, radiusPx + ROOM + 23);
      return [
        line({ x1: a.x, y1: a.y, x2: b.x, y2: b.y, ink: 'muted' }),
        major &&
          !(turned !== null && Math.abs(deg - turned) < 0.1) &&
          label({ x: t.x, y: t.y + 5, tone: 'muted', size: 14 }, `${Number(deg.toFixed(1))}°`),
      ];
    }),
    before.length > 2 &&
      path({ d: outline(curve(then)), fill: 'none', ink: 'muted', weight: 1.5, dash: '2 4' }),
    curve(now).length > 1 &&
      path({
        d: whole ? outline(curve(now)) : outline(curve(now)).slice(0, -1),
        fill: whole ? 'steel' : 'none',
        fillOpacity: 0.1,
        ink: 'steel',
        weight: 2,
      }),
    points.map((p) =>
      mendable(
        {
          place: prefix === undefined ? null : `${prefix}${Number(p.angleDeg.toFixed(1))}`,
          name: M.at2({ title, angle: Number(p.angleDeg.toFixed(1)) }),
        },
        [
          circle({ cx: p.x, cy: p.y, r: 11, fill: 'touch' }),
          circle({ cx: p.x, cy: p.y, r: 3.6, fill: 'ink' }),
        ],
      ),
    ),
    [high, low].map((p) =>
      p ? digits({ ...inward(cx, cy, p), anchor: 'middle', size: 13, tone: 'ink' }, num(p.valueMm)) : null,
    ),
    mark &&
      whole && [
        path({ d: wedge(cx, cy, mark.deg, radiusPx - 4), fill: 'brass' }),
        label({ ...markAt(cx, cy, mark.deg, radiusPx), tone: 'brass', size: 13.5, strong: true }, mark.word),
      ],
    at &&
      turned !== null && [
        dialGauge({ x: at.x, y: at.y, deg: turned, r: 11 }),
        label(
          { ...beyond(at, turned), tone: 'brass', size: 14, strong: true },
          `${Number(turned.toFixed(1))}°`,
        ),
      ],
    label(
      { x: cx, y: cy + radiusPx + ROOM + 44, size: 14 },
      expr`${title}${now.points.length > 0 ? M.deviations({ times: drawn.times }) : swing ? M.onlySwing : M.noReadingYet}${before.length > 2 ? M.dotted({ beforeWord }) : ''}`,
    ),
  ];
}

/** Beside the dial, where the angle it stands at is said. */
function beyond(at: { x: number; y: number }, deg: number) {
  const p = spot(at.x, at.y, deg, 33);
  const q = spot(p.x, p.y, deg + 90, 26);
  return { x: q.x, y: q.y + 5 };
}

/** A little inside the part, where the number of a point is clear of the curve. */
function inward(cx: number, cy: number, p: { angleDeg: number; x: number; y: number }) {
  const d = Math.hypot(p.x - cx, p.y - cy);
  const q = spot(cx, cy, p.angleDeg, Math.max(24, d - 30));
  return { x: q.x, y: q.y + 5 };
}

/** A wedge inside the circle that points out to the high spot. */
function wedge(cx: number, cy: number, deg: number, r: number): string {
  const tip = spot(cx, cy, deg, r);
  const [a, b] = [spot(tip.x, tip.y, deg + 155, 15), spot(tip.x, tip.y, deg - 155, 15)];
  return `M${tip.x} ${tip.y}L${a.x} ${a.y}L${b.x} ${b.y}Z`;
}

const markAt = (cx: number, cy: number, deg: number, r: number) => {
  const p = spot(cx, cy, deg, r * 0.42);
  return { x: p.x, y: p.y + 5 };
};
