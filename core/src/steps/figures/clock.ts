import { circle, digits, figure, label, line, spot, turnable } from '../../judgement/draw.ts';
import type { Text } from '../../message/message.ts';
import { expr, listOf } from '../../message/message.ts';
import { M } from './messages.ts';

const CX = 190;
const CY = 156;
const SHAFT = 34;
const RIM = 110;

/** Something with a place round the shaft. */
export type ClockMark = {
  key: string;
  name: Text;
  deg: number | null;
  /** A split runs right across and shows on both sides; a seam, joint or port is at one place. */
  across: boolean;
  bad?: boolean;
};
export type ClockLine = { text: Text; tone: 'ink' | 'muted' | 'stop' };

type Props = {
  marks: readonly ClockMark[];
  /** What is being placed, and where it would stand. */
  active: string | null;
  typedDeg: number | null;
  /** It is turned on the figure: a knob stands at it. */
  turns?: boolean;
  lines: readonly ClockLine[];
  /** Places that are wanted, drawn hollow outside. */
  wanted?: ReadonlyArray<{ deg: number; word: Text }>;
  /** The first mark is the innermost circle, as rings lie in a box. */
  innerFirst?: boolean;
  /** The face alone, without the list beside it. */
  compact?: boolean;
  note: Text;
};

const whole = (deg: number): number => ((Math.round(deg) % 360) + 360) % 360;

/**
 * The clock face: shaft end on, every part on a circle of its own, what is being placed dragged to where it stands or moved by the arrow
 * keys. 0° is on top, degrees run clockwise, angles are true.
 */
export function clockFigure({
  marks,
  active,
  typedDeg,
  turns = false,
  lines,
  wanted = [],
  innerFirst = false,
  compact = false,
  note,
}: Props) {
  const wide = (RIM - 8 - SHAFT) / Math.max(1, marks.length);
  // What lies outermost on the shaft is named first, unless it is told otherwise.
  const rank = (i: number) => (innerFirst ? i : marks.length - 1 - i);
  const now = marks.find((m) => m.key === active);
  const at = now ? (typedDeg ?? now.deg ?? 0) : 0;
  const knob = spot(CX, CY, at, RIM + 14);
  return figure(
    {
      width: compact ? 380 : 680,
      height: 318,
      title: M.endView({
        marks: listOf(
          marks.map((m) => expr`${m.name} ${m.deg === null ? M.notPlaced : M.degrees2({ deg: m.deg })}`),
          ', ',
        ),
      }),
    },
    [
      circle({ cx: CX, cy: CY, r: RIM, fill: 'none', ink: 'rule' }),
      Array.from({ length: 24 }, (_, i) => 15 * i).map((deg) => {
        const a = spot(CX, CY, deg, RIM);
        const b = spot(CX, CY, deg, RIM + (deg % 90 === 0 ? 9 : 4));
        return line({ x1: a.x, y1: a.y, x2: b.x, y2: b.y, ink: 'muted' });
      }),
      [0, 90, 180, 270].map((deg) => {
        const p = spot(CX, CY, deg, RIM + (turns ? 37 : 25));
        return digits({ x: p.x, y: p.y + 5, size: 13, tone: 'muted' }, `${deg}°`);
      }),
      circle({ cx: CX, cy: CY, r: SHAFT, fill: 'shade', ink: 'ink', weight: 1.6 }),
      marks.map((m, i) =>
        drawMark({
          mark: m,
          number: i + 1,
          r0: SHAFT + 3 + rank(i) * wide,
          r1: SHAFT + 3 + (rank(i) + 1) * wide - (marks.length > 4 ? 2 : 5),
          deg: m.key === active && typedDeg !== null ? typedDeg : m.deg,
          tone: m.key === active ? 'brass' : m.bad ? 'stop' : 'ink',
        }),
      ),
      wanted.map((w) => {
        const a = spot(CX, CY, w.deg, RIM + 4);
        const t = spot(CX, CY, w.deg, RIM + 32);
        return [
          circle({ cx: a.x, cy: a.y, r: 9, fill: 'none', ink: 'steel', weight: 2, dash: '4 3' }),
          label({ x: t.x, y: t.y + 5, size: 14, tone: 'steel' }, w.word),
        ];
      }),
      now &&
        turns &&
        turnable({ name: now.name, middle: [CX, CY], deg: whole(at) }, [
          circle({ cx: knob.x, cy: knob.y, r: 24, fill: 'touch' }),
          circle({ cx: knob.x, cy: knob.y, r: 12, fill: 'paper', ink: 'brass', weight: 3 }),
          line({
            x1: spot(CX, CY, at, SHAFT + 3).x,
            y1: spot(CX, CY, at, SHAFT + 3).y,
            x2: spot(CX, CY, at, RIM + 4).x,
            y2: spot(CX, CY, at, RIM + 4).y,
            ink: 'brass',
            weight: 1.5,
            dash: '5 4',
          }),
        ]),
      !compact &&
        marks.length <= 6 &&
        marks.map((m, i) => {
          const deg = m.key === active && typedDeg !== null ? typedDeg : m.deg;
          const tone = m.key === active ? 'brass' : m.bad ? 'stop' : 'ink';
          return [
            label({ x: 384, y: 34 + 24 * i, anchor: 'start', tone, size: 16 }, expr`${i + 1} ${m.name}`),
            digits(
              { x: 676, y: 34 + 24 * i, anchor: 'end', tone, size: 16, strong: true },
              deg === null ? '–' : `${whole(deg)}°`,
            ),
          ];
        }),
      (compact ? [] : lines).map((l, i) =>
        label(
          {
            x: 384,
            y: (marks.length <= 6 ? 48 + 24 * marks.length : 34) + 22 * i,
            anchor: 'start',
            tone: l.tone === 'stop' ? 'stop' : l.tone,
            size: 15.5,
            strong: l.tone === 'stop',
          },
          l.text,
        ),
      ),
      label(
        { x: compact ? 190 : 676, y: 314, anchor: compact ? 'middle' : 'end', tone: 'muted', size: 14 },
        note,
      ),
    ],
  );
}

/** A part on its circle: the circle thin, the split or seam heavy, with its number where there is room. */
function drawMark({
  mark,
  number,
  r0,
  r1,
  deg,
  tone,
}: {
  mark: ClockMark;
  number: number;
  r0: number;
  r1: number;
  deg: number | null;
  tone: 'ink' | 'brass' | 'stop';
}) {
  const mid = (r0 + r1) / 2;
  const bar = (at: number) => {
    const [a, b] = [spot(CX, CY, at, r0), spot(CX, CY, at, r1)];
    return line({ x1: a.x, y1: a.y, x2: b.x, y2: b.y, ink: tone, weight: 5 });
  };
  const n = deg === null ? null : spot(CX, CY, deg + 620 / mid, mid);
  return [
    circle({
      cx: CX,
      cy: CY,
      r: mid,
      fill: 'none',
      ink: tone,
      weight: r1 - r0,
      opacity: deg === null ? 0.06 : 0.14,
    }),
    deg !== null && (mark.across ? [deg, deg + 180].map(bar) : bar(deg)),
    n && r1 - r0 > 9 && label({ x: n.x, y: n.y + 5, size: 13, tone }, number),
  ];
}
