import { dimension, figure, group, label, path, rect } from '../../judgement/draw.ts';
import { COMMON } from '../../message/common/messages.ts';
import { num } from '../../quantities/say.ts';
import type { FloatRoomValues } from './float-room.ts';
import { M } from './messages.ts';

const W = 680;
const H = 268;

/** The ring in its seat: room towards and away from the fixed bearing, and which way the shaft grows. */
export function floatFigure({
  values: v,
  place,
  spanMm,
}: {
  values: FloatRoomValues;
  place: string | undefined;
  spanMm: number;
}) {
  const say = (mm: number | null) => (mm === null ? '–' : num(mm, 2));
  const whole = (v.towardsMm ?? 2) + (v.awayMm ?? 2) || 1;
  const room = 150;
  const [left, ringW] = [250, 170];
  const x = left + (room * (v.towardsMm ?? whole / 2)) / whole;
  const right = left + room + ringW;
  const away = (v.float?.growthMm ?? 1) >= 0;
  const needed = v.float ? Math.min(room, (room * v.float.neededMm) / whole) : 0;
  return figure(
    {
      width: W,
      height: H,
      title: M.ringSeatTowardsFixedBearing({ towards: say(v.towardsMm), away: say(v.awayMm) }),
    },
    [
      group({ ink: 'ink', weight: 1.8 }, [
        path({
          d: `M${left - 60} 40H${right + 60}V112H${right}V74H${left}V112H${left - 60}z`,
          fill: 'shade',
        }),
        rect({ x, y: 76, width: ringW, height: 52, fill: 'paper' }),
        [0.28, 0.72].map((s) =>
          rect({ x: x + ringW * s - 20, y: 130, width: 40, height: 40, rx: 7, fill: 'paper' }),
        ),
        rect({ x, y: 170, width: ringW, height: 26, fill: 'paper' }),
        rect({ x: 20, y: 196, width: 640, height: 36, fill: 'shade' }),
        rect({ x: 52, y: 120, width: 56, height: 76, fill: 'shade' }),
      ]),
      v.float &&
        rect({
          x: away ? x + ringW : x - needed,
          y: 76,
          width: needed,
          height: 34,
          fill: v.float.sideMm >= v.float.neededMm ? 'accept' : 'stop',
          opacity: 0.25,
        }),
      label({ x: 80, y: 112 }, COMMON.fixed),
      dimension({ x1: 80, y1: 243, x2: x + ringW / 2, y2: 243, tone: 'muted', side: 16 }, num(spanMm, 0)),
      dimension(
        { x1: left, y1: 60, x2: x, y2: 60, tone: place === 'room/towards' ? 'brass' : 'ink' },
        say(v.towardsMm),
      ),
      dimension(
        { x1: x + ringW, y1: 60, x2: right, y2: 60, tone: place === 'room/away' ? 'brass' : 'ink' },
        say(v.awayMm),
      ),
      v.float &&
        group({ ink: 'steel', fill: 'steel' }, [
          path({ d: away ? 'M560 214h70' : 'M630 214h-70', weight: 3 }),
          path({ d: away ? 'M644 214l-14 -6v12z' : 'M546 214l14 -6v12z', ink: 'none' }),
          label({ x: 600, y: 190, tone: 'steel' }, M.grows({ growth: num(Math.abs(v.float.growthMm), 2) })),
        ]),
      label(
        { x: 660, y: H - 6, anchor: 'end', tone: 'muted', size: 14.5 },
        M.gapsProportionShadedGrowthMargin,
      ),
    ],
  );
}
