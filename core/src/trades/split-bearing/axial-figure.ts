import { axis, dimension, figure, group, label, path, rect } from '../../judgement/draw.ts';
import { num } from '../../quantities/say.ts';
import type { AxialPlaceValues } from './axial-place.ts';
import { M } from './messages.ts';

const W = 680;
const H = 268;

/** Inner race with its rollers in the outer race, seen from the side: between ribs, or off the middle of a plain race. */
export function axialFigure({ values: v, place }: { values: AxialPlaceValues; place: string | undefined }) {
  const say = (mm: number | null) => (mm === null ? '–' : num(mm, 2));
  const fixed = v.role === 'fixed';
  const sum = (v.towardsMm ?? 1) + (v.awayMm ?? 1) || 1;
  // The rollers are drawn where they stand between the two sides, not to the scale of the gaps.
  const share = ((v.towardsMm ?? sum / 2) / sum) * 120;
  const [left, right] = [190, 490];
  const x = left + 36 + share;
  const rollers = 108;
  return figure(
    {
      width: W,
      height: H,
      title: M.raceAlongShaftOneSide({ towards: say(v.towardsMm), away: say(v.awayMm) }),
    },
    [
      group({ ink: 'ink', weight: 1.8 }, [
        rect({ x: 40, y: 196, width: 600, height: 40, fill: 'shade' }),
        rect({ x: x - 40, y: 166, width: rollers + 80, height: 30, fill: 'paper' }),
        [0, 1].map((i) =>
          rect({ x: x - 66 + i * (rollers + 106), y: 150, width: 26, height: 46, fill: 'shade' }),
        ),
        path({
          d: fixed
            ? `M${left} 60H${right}V112H${right - 24}V92H${left + 24}V112H${left}z`
            : `M${left} 60H${right}V92H${left}z`,
          fill: 'shade',
        }),
        rect({ x, y: 94, width: rollers, height: 70, rx: 8, fill: 'paper' }),
      ]),
      axis({ x1: (left + right) / 2, x2: (left + right) / 2, y1: 40, y2: 242 }),
      dimension(
        {
          x1: fixed ? left + 24 : left,
          y1: 130,
          x2: x,
          y2: 130,
          tone: place === 'side/towards' ? 'brass' : 'ink',
        },
        say(v.towardsMm),
      ),
      dimension(
        {
          x1: x + rollers,
          y1: 130,
          x2: fixed ? right - 24 : right,
          y2: 130,
          tone: place === 'side/away' ? 'brass' : 'ink',
        },
        say(v.awayMm),
      ),
      !fixed && label({ x: 60, y: 40, anchor: 'start', tone: 'muted' }, M.fixedBearing),
      v.growthMm !== null &&
        group({ ink: 'steel', fill: 'steel' }, [
          path({ d: 'M470 216h110', weight: 3 }),
          path({ d: 'M592 216l-14 -6v12z', ink: 'none' }),
          label({ x: 530, y: 206, tone: 'steel' }, M.shaftGrows({ growth: num(Math.abs(v.growthMm), 2) })),
        ]),
      label({ x: 4, y: H - 6, anchor: 'start', tone: 'muted', size: 14.5 }, M.sideViewGapsProportionEach),
    ],
  );
}
