import { axis, digits, dimension, figure, label, line, path, rect } from '../../judgement/draw.ts';
import type { Drawing } from '../../judgement/drawing.ts';
import { expr } from '../../message/message.ts';
import { num } from '../../quantities/say.ts';
import type { FaceLoadValues } from './face-load.ts';
import { M } from './messages.ts';

const numberIn = (input: Readonly<Record<string, unknown>>, name: string, usual = 0): number => {
  const v = input[name];
  return typeof v === 'number' ? v : usual;
};

/** The pair of faces in half section, radii to scale, with the pressure falling along the gap. `input` as `seal.face-load` takes it. */
export function facePairFigure(input: Readonly<Record<string, unknown>>, v: FaceLoadValues): Drawing {
  const say = (mm: number) => num(mm, 1);
  const [od, id, bd] = ['faceOutsideMm', 'faceInsideMm', 'balanceMm'].map((n) => numberIn(input, n)) as [
    number,
    number,
    number,
  ];
  const outside = input.pressureFrom !== 'inside';
  const lo = Math.min(id, bd) - 4;
  const hi = Math.max(od, bd) + 4;
  const y = (mm: number) => 210 - (170 * (mm - lo)) / (hi - lo);
  const face = 190;
  const [high, low] = outside ? [od, id] : [id, od];
  // The share in the gap bends the fall: half is a straight one.
  const bend = 92 * numberIn(input, 'dropFactor', 0.5);
  return figure(
    {
      width: 420,
      height: 250,
      title: M.facePairBalanceRatioClosing({
        balance: v.balance.toFixed(2),
        closing: v.closingMpa.toFixed(2),
      }),
    },
    [
      path({ d: `M60 ${y(bd)}H130V${y(od)}H${face}V${y(id)}H60z`, fill: 'paper', ink: 'ink', weight: 1.8 }),
      rect({
        x: face + 4,
        y: y(od + 2),
        width: 46,
        height: y(id - 2) - y(od + 2),
        fill: 'steel',
        opacity: 0.45,
        ink: 'ink',
      }),
      path({
        d: `M${face + 60} ${y(high)}h92Q${face + 60 + bend} ${(y(high) + y(low)) / 2} ${face + 60} ${y(low)}z`,
        fill: 'brass',
        fillOpacity: 0.35,
        ink: 'brass',
        weight: 2,
      }),
      label(
        { x: face + 64, y: Math.min(y(high), y(low)) - 8, anchor: 'start', tone: 'brass' },
        M.pressureAlongGap,
      ),
      line({ x1: 20, x2: face + 56, y1: y(bd), y2: y(bd), ink: 'steel', dash: '6 4' }),
      label({ x: 16, y: y(bd) - 6, anchor: 'start', tone: 'steel' }, M.balance2({ bd: say(bd) })),
      digits({ x: 136, y: y(od) - 6, anchor: 'start', size: 13 }, expr`⌀ ${say(od)}`),
      digits({ x: 136, y: y(id) + 17, anchor: 'start', size: 13 }, expr`⌀ ${say(id)}`),
      path({ d: 'M24 130h30m0 0l-9 -5m9 5l-9 5', ink: 'ink', weight: 2 }),
      label({ x: 20, y: 118, anchor: 'start', tone: 'muted' }, M.spring),
      axis({ x1: 10, x2: 410, y1: 232, y2: 232 }),
      dimension(
        { x1: face + 60, y1: 222, x2: face + 152, y2: 222, tone: 'brass' },
        M.mPa({ numberIn: numberIn(input, 'pressureMpa').toFixed(2) }),
      ),
      label(
        { x: 412, y: 246, anchor: 'end', tone: 'muted', size: 13 },
        M.halfSectionRadiiScaleFrom({ lo: say(lo) }),
      ),
    ],
  );
}
