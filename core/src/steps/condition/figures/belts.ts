import { axis, circle, digits, figure, label, line, path } from '../../../judgement/draw.ts';
import { formatFrequency } from '../../../quantities/frequency.ts';
import { force, num, UNIT } from '../../../quantities/say.ts';
import { type BeltStepValues, beltKey } from '../belts.ts';
import { M } from '../messages.ts';

const W = 700;
const H = 292;
/** Middles and radii of the pulleys: the driven one larger. */
const [LEFT, RIGHT] = [
  { x: 96, y: 84, r: 46 },
  { x: 604, y: 84, r: 64 },
] as const;
const ROW = { left: 40, right: W - 40, y: 236 };

/** Both pulleys from the side, the span that is struck or bent; below, each belt beside the tension wanted. */
export function beltFigure({ values: v, place }: { values: BeltStepValues; place: string | undefined }) {
  const on = beltKey.read(place)?.belt ?? 0;
  const n = v.tensionsN.length;
  // The outer tangent of two circles.
  const sin = (RIGHT.r - LEFT.r) / (RIGHT.x - LEFT.x);
  const cos = Math.sqrt(1 - sin * sin);
  const touch = (c: { x: number; y: number; r: number }, side: 1 | -1) => ({
    x: c.x - c.r * sin,
    y: c.y + side * c.r * cos,
  });
  const [a, b] = [touch(LEFT, -1), touch(RIGHT, -1)];
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const bent = v.by === 'force' ? 16 : 0;
  const cell = (ROW.right - ROW.left) / n;
  const share = (t: number) => Math.max(-1, Math.min(1, (t / v.wantedN - 1) / 0.5));
  return figure(
    {
      width: W,
      height: H,
      title: M.driveEachBesideTensionWanted({ n }),
    },
    [
      axis({ x1: LEFT.x, x2: RIGHT.x, y1: LEFT.y, y2: LEFT.y }),
      [LEFT, RIGHT].map((c) => [
        circle({ cx: c.x, cy: c.y, r: c.r, fill: 'paper', ink: 'ink', weight: 1.6 }),
        circle({ cx: c.x, cy: c.y, r: 9, fill: 'shade', ink: 'ink', weight: 1.6 }),
      ]),
      path({
        d: `M ${a.x} ${a.y} L ${middle.x} ${middle.y + bent} L ${b.x} ${b.y}`,
        fill: 'none',
        ink: 'steel',
        weight: 4,
      }),
      line({
        x1: touch(LEFT, 1).x,
        y1: touch(LEFT, 1).y,
        x2: touch(RIGHT, 1).x,
        y2: touch(RIGHT, 1).y,
        ink: 'steel',
        weight: 4,
      }),
      path({
        d:
          v.by === 'force'
            ? `M ${middle.x} ${middle.y - 22} V ${middle.y + bent - 6} m -6 -8 l 6 9 l 6 -9`
            : `M ${middle.x - 60} ${middle.y - 3} q 60 -22 120 0 M ${middle.x - 60} ${middle.y - 3} q 60 16 120 0`,
        fill: 'none',
        ink: 'brass',
        weight: 2.4,
      }),
      label(
        { x: middle.x, y: LEFT.y - 12, anchor: 'middle', tone: 'muted', size: 14 },
        M.span({
          span: num(v.spanMm, 0),
          unit: UNIT,
          by: v.by === 'force' ? M.bent({ deflection: num(v.deflectionMm, 1) }) : M.struckMiddle,
        }),
      ),
      label(
        { x: middle.x, y: LEFT.y + 26, anchor: 'middle', strong: true, size: 16 },
        M.wanted({
          formatFrequency: v.by === 'note' ? formatFrequency(v.wantedReading) : force(v.wantedReading),
        }),
      ),
      line({
        x1: ROW.left,
        x2: ROW.right,
        y1: ROW.y - 20,
        y2: ROW.y - 20,
        ink: 'muted',
        dash: '5 4',
        weight: 1.4,
      }),
      v.tensionsN.map((t, i) => {
        const x = ROW.left + cell * (i + 0.5);
        const bad = t !== null && Math.abs(t / v.wantedN - 1) > 0.1;
        const y = ROW.y - 20 - (t === null ? 0 : 24 * share(t));
        const wide = Math.min(34, cell * 0.36);
        const few = n <= 10;
        return [
          line({
            x1: x - wide,
            x2: x + wide,
            y1: y,
            y2: y,
            ink: i + 1 === on ? 'brass' : t === null ? 'faint' : bad ? 'stop' : 'steel',
            weight: i + 1 === on ? 5 : 4,
          }),
          label(
            { x, y: ROW.y - 52, anchor: 'middle', tone: i + 1 === on ? 'brass' : 'muted', size: 14 },
            i + 1,
          ),
          few &&
            digits(
              { x, y: ROW.y + 26, tone: t === null ? 'muted' : 'ink', size: 14 },
              t === null ? '·' : force(t),
            ),
        ];
      }),
      label(
        { x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 },
        M.dashedStrandEachBeltHigher({ wantedN: force(v.wantedN) }),
      ),
    ],
  );
}
