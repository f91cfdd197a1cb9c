import { circle, digits, figure, label, path, spot } from '../../judgement/draw.ts';
import { expr, listOf } from '../../message/message.ts';
import { num } from '../../quantities/say.ts';
import { M } from './messages.ts';
import type { SweepMiddleValues } from './small.ts';

const CX = 250;
const CY = 118;
const STATOR = 88;
const SHAFT = 52;
const AT = [0, 120, 240] as const;

/** The stator about the axis, the shaft off it as it stands, and the three shims between them with what each differs by. */
export function shimsFigure({ values: { circle: swept, shimsMm } }: { values: SweepMiddleValues }) {
  const off = swept && swept.radiusMm > 0 ? 14 : 0;
  const shaft = spot(CX, CY, swept?.highDeg ?? 0, off);
  const say = (mm: number) => expr`${mm < 0 ? '−' : '+'}${num(Math.abs(mm))}`;
  return figure(
    {
      width: 680,
      height: 240,
      title: shimsMm
        ? M.shims({
            shims: listOf(
              shimsMm.map((mm, i) => M.degrees({ at: AT[i], mm: say(mm) })),
              ', ',
            ),
          })
        : M.threeEqualShims120Degrees,
    },
    [
      circle({ cx: CX, cy: CY, r: STATOR + 16, fill: 'shade', ink: 'ink', weight: 1.8 }),
      circle({ cx: CX, cy: CY, r: STATOR, fill: 'paper', ink: 'ink', weight: 1.8 }),
      circle({ cx: shaft.x, cy: shaft.y, r: SHAFT, fill: 'shade', ink: 'ink', weight: 1.8 }),
      path({ d: `M${CX - 8} ${CY}h16M${CX} ${CY - 8}v16`, ink: 'steel', weight: 1.6 }),
      off > 0 && circle({ cx: shaft.x, cy: shaft.y, r: 3, fill: 'brass' }),
      AT.map((deg, i) => {
        const outer = spot(CX, CY, deg, STATOR);
        const inner = spot(shaft.x, shaft.y, deg, SHAFT);
        const word = spot(CX, CY, deg, STATOR + 40);
        const mm = shimsMm?.[i];
        return [
          path({ d: `M${outer.x} ${outer.y}L${inner.x} ${inner.y}`, ink: 'brass', weight: 9 }),
          digits(
            {
              x: deg === 0 ? CX + STATOR + 6 : deg === 120 ? word.x + 24 : word.x - 24,
              y: deg === 0 ? 26 : word.y + 6,
              anchor: deg === 240 ? 'end' : 'start',
              size: 20,
              strong: true,
              tone: 'steel',
            },
            mm === undefined ? M.equal : say(mm),
          ),
        ];
      }),
      label({ x: 450, y: 60, anchor: 'start' }, M.shimsAgainstTheirMean),
      label({ x: 450, y: 82, anchor: 'start', tone: 'muted' }, M.n0MarkTop),
      swept &&
        label(
          { x: 450, y: 104, anchor: 'start', tone: 'muted' },
          M.shaftOffAxisTowards({ radius: num(swept.radiusMm), high: Math.round(swept.highDeg) }),
        ),
      label({ x: 4, y: 234, anchor: 'start', tone: 'muted', size: 14.5 }, M.crossAxisDotShaftsMiddle),
    ],
  );
}
