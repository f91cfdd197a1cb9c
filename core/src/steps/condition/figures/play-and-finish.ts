import {
  axis,
  circle,
  dialGauge,
  digits,
  figure,
  group,
  label,
  line,
  path,
  rect,
} from '../../../judgement/draw.ts';
import { COMMON } from '../../../message/common/messages.ts';
import { num, rough, UNIT } from '../../../quantities/say.ts';
import type { FinishStepValues } from '../finish.ts';
import { M } from '../messages.ts';
import { type PlayStepValues, playKey } from '../play.ts';

const W = 700;
const H = 290;
const MID = 132;

/** Push and pull at the shaft's end, release and lift beside the seal: where the gauge stands and which way it goes. */
export function playFigure({ values: v, place }: { values: PlayStepValues; place: string | undefined }) {
  const act = playKey.read(place)?.act;
  const end = act?.startsWith('end/') ?? false;
  const radial = act?.startsWith('radial/') ?? false;
  const way = act?.split('/')[1];
  const say = (mm: number | null) => (mm === null ? '…' : num(mm));
  const arrow = (x: number, y: number, dx: number, dy: number) =>
    path({
      d: `M${x} ${y}l${dx} ${dy}m${-dx * 0.28 - dy * 0.16} ${-dy * 0.28 + dx * 0.16}l${dx * 0.28 + dy * 0.16} ${dy * 0.28 - dx * 0.16}l${-dx * 0.28 + dy * 0.16} ${-dy * 0.28 - dx * 0.16}`,
      fill: 'none',
      ink: 'brass',
      weight: 4,
    });
  return figure({ width: W, height: H, title: M.shaftGaugesEndPlayRadial }, [
    [150, 300].map((x) => [
      rect({ x: x - 26, y: MID - 78, width: 52, height: 156, fill: 'shade', ink: 'ink', weight: 1.6 }),
      [-1, 1].map((s) => circle({ cx: x, cy: MID + s * 58, r: 13, fill: 'paper', ink: 'ink', weight: 1.6 })),
    ]),
    rect({ x: 60, y: MID - 40, width: 530, height: 80, fill: 'paper', ink: 'ink', weight: 1.8 }),
    rect({ x: 380, y: MID - 48, width: 92, height: 96, fill: 'shade', ink: 'muted' }),
    label({ x: 426, y: MID + 5, tone: 'muted' }, M.seal),
    axis({ x1: 40, x2: 626, y1: MID, y2: MID }),
    group({ opacity: radial ? 0.35 : 1 }, [
      dialGauge({ x: 590, y: MID, deg: 90 }),
      end && (way === 'push' ? arrow(560, MID + 62, -70, 0) : arrow(490, MID + 62, 70, 0)),
    ]),
    group({ opacity: end ? 0.35 : 1 }, [
      dialGauge({ x: 500, y: MID - 40, deg: 0 }),
      radial && (way === 'rest' ? arrow(520, MID + 48, 0, 52) : arrow(520, MID + 100, 0, -52)),
    ]),
    digits(
      { x: 690, y: MID + 44, anchor: 'end', tone: end ? 'brass' : 'ink', size: 17, strong: true },
      say(v.endPlayMm),
    ),
    label({ x: 690, y: MID + 62, anchor: 'end', tone: 'muted' }, M.endPlay2),
    digits(
      { x: 560, y: 36, anchor: 'start', tone: radial ? 'brass' : 'ink', size: 17, strong: true },
      say(v.radialPlayMm),
    ),
    label({ x: 560, y: 54, anchor: 'start', tone: 'muted' }, M.radialPlay2),
    label(
      { x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 },
      M.arrangementNotScalePlayMean({ unit: UNIT, count: Math.max(v.end.length, v.radial.length) }),
    ),
  ]);
}

/** Where the stylus goes: three places round the shaft, three on the face; bars as high as they are rough, against the limit. */
export function finishFigure({ values: v, place }: { values: FinishStepValues; place: string | undefined }) {
  const width = W / v.surfaces.length;
  return figure({ width: W, height: H, title: M.roughnessEachPlaceAgainstLimit }, [
    v.surfaces.map((s, k) => {
      const x0 = k * width + 40;
      const top = Math.max(s.limitUm * 1.4, ...s.readingsUm.map((r) => r ?? 0));
      const y = (um: number) => 214 - (170 * um) / top;
      return [
        line({ x1: x0, x2: x0 + width - 70, y1: 214, y2: 214, ink: 'ink', weight: 1.6 }),
        line({
          x1: x0,
          x2: x0 + width - 70,
          y1: y(s.limitUm),
          y2: y(s.limitUm),
          ink: 'stop',
          weight: 2,
          dash: '9 5',
        }),
        label(
          { x: x0 + width - 70, y: y(s.limitUm) - 7, anchor: 'end', tone: 'stop', size: 14 },
          COMMON.ra({ limit: rough(s.limitUm) }),
        ),
        s.readingsUm.map((um, i) => {
          const key = `${s.surface}/${i + 1}`;
          const x = x0 + 20 + (i * (width - 110)) / 3;
          const on = place === key;
          return [
            um !== null &&
              path({
                d: profile(x, y(um), 214, 42),
                fill: 'steel',
                fillOpacity: 0.25,
                ink: 'steel',
                weight: 2,
              }),
            on && rect({ x: x - 5, y: 36, width: 52, height: 178, fill: 'none', ink: 'brass', weight: 3 }),
            digits(
              { x: x + 21, y: 234, tone: on ? 'brass' : 'ink', size: 13.5 },
              um === null ? '·' : um.toFixed(2),
            ),
          ];
        }),
        label(
          { x: x0, y: 258, anchor: 'start' },
          M.m({ surface: s.surface === 'shaft' ? 'shaftUnderSeal' : 'gasketFace', parameter: v.parameter }),
        ),
      ];
    }),
    label({ x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 }, M.heightEachBlockRoughnessOne),
  ]);
}

/** A block whose top is a cut profile. */
function profile(x: number, top: number, floor: number, width: number): string {
  const teeth = 6;
  const step = width / (2 * teeth);
  const depth = Math.min(7, (floor - top) / 2);
  return `M${x} ${floor}V${top}${Array.from({ length: teeth }, () => `l${step} ${depth}l${step} ${-depth}`).join('')}V${floor}Z`;
}
