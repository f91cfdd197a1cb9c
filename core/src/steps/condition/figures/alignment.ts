import type { PlaneValues } from '../../../arithmetic/alignment/coupling.ts';
import { roundedDown } from '../../../arithmetic/shaft/turn-drawing.ts';
import { axis, digits, figure, group, label, line, polyline, rect } from '../../../judgement/draw.ts';
import type { Point } from '../../../judgement/drawing.ts';
import { COMMON } from '../../../message/common/messages.ts';
import type { Text } from '../../../message/message.ts';
import { expr, listOf } from '../../../message/message.ts';
import { num, UNIT } from '../../../quantities/say.ts';
import type { CouplingStepValues } from '../coupling.ts';
import type { HousingsStepValues } from '../housings.ts';
import { M } from '../messages.ts';
import { footKey, type SoftFootStepValues } from '../soft-foot.ts';

const W = 700;
const H = 292;
/** Room for the four readings of each dial under both planes. */
const COUPLING_H = 318;

/** Base plate from above: each foot, its gap (or gaps), and the shim it wants. */
export function softFootFigure({
  values: v,
  before,
  place,
}: {
  values: SoftFootStepValues;
  before: SoftFootStepValues | null;
  place: string | undefined;
}) {
  const n = v.feet.length;
  const side = Math.ceil(n / 2);
  const at = (i: number) => ({
    x: 150 + (side === 1 ? 200 : (400 * (i % side)) / (side - 1)),
    y: i < side ? 62 : 206,
  });
  const foot = (footKey.read(place)?.foot ?? 0) - 1;
  return figure({ width: W, height: H, title: M.machineFromAboveFeet({ n }) }, [
    rect({ x: 150, y: 92, width: 400, height: 106, rx: 40, fill: 'shade', ink: 'ink', weight: 1.6 }),
    axis({ x1: 90, x2: 630, y1: 134, y2: 134 }),
    rect({ x: 550, y: 132, width: 64, height: 26, fill: 'paper', ink: 'ink', weight: 1.6 }),
    v.feet.map((gaps, i) => {
      const p = at(i);
      const on = i === foot;
      const bad = (v.shimMm[i] ?? 0) > 0 || (v.wedgeMm[i] ?? 0) > 0.05;
      const worst = v.worstMm[i] ?? null;
      const then = before?.worstMm[i] ?? null;
      return [
        rect({
          x: p.x - 42,
          y: p.y - 28,
          width: 84,
          height: 56,
          fill: bad ? 'none' : 'paper',
          ink: on ? 'brass' : bad ? 'stop' : 'ink',
          weight: on ? 4 : bad ? 3 : 1.6,
        }),
        label({ x: p.x - 34, y: p.y - 10, anchor: 'start', tone: on ? 'brass' : 'muted', size: 14 }, i + 1),
        digits(
          {
            x: p.x,
            y: p.y + 8,
            tone: worst === null ? 'muted' : on ? 'brass' : 'ink',
            size: 16,
            strong: true,
          },
          worst === null ? '·' : num(worst),
        ),
        digits(
          { x: p.x, y: p.y + (i < side ? -38 : 44), tone: 'steel', size: 14 },
          (v.shimMm[i] ?? 0) > 0
            ? M.shim({ shim: num(v.shimMm[i] ?? 0, 2) })
            : gaps.length > 1
              ? listOf(
                  gaps.map((g) => num(g, 2)),
                  ' ',
                )
              : then !== null
                ? M.was({ earlier: num(then) })
                : '',
        ),
      ];
    }),
    label(
      { x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 },
      M.fromAboveShaftEndRight({ unit: UNIT }),
    ),
  ]);
}

/** Where the feet stand behind the coupling, mm, and how many units of the drawing a millimetre along the shaft is. */
function alongOf(v: CouplingStepValues) {
  const middle = v.method === 'reverse' ? (v.dialDistanceMm ?? 0) / 2 : 0;
  const front = v.frontFeetMm + middle;
  const back = front + v.feetSpanMm;
  return { front, back, scale: 330 / back };
}

/** How high the driver's axis stands over the driven one's, so far behind the coupling. */
const heightOf = (plane: PlaneValues | null, mm: number): number =>
  plane ? plane.offsetMm + (plane.anglePer100Mm * mm) / 100 : 0;

/** How many times larger both planes are drawn: by the worse of them, so that a small fault beside a large one looks small. */
function enlargedBy(v: CouplingStepValues): number {
  const { back, scale } = alongOf(v);
  const most = [v.result?.vertical ?? null, v.result?.horizontal ?? null].flatMap((plane) => [
    Math.abs(heightOf(plane, 0)),
    Math.abs(heightOf(plane, back)),
  ]);
  return Math.min(2000, roundedDown(34 / (Math.max(...most, 1e-4) * scale)));
}

/** One plane of the coupling: the driven shaft level, the driver's axis as it was found (enlarged), feet with their moves. */
function drawCouplingPlane({
  y,
  name,
  plane,
  values: v,
  up,
  down,
  targetMm = 0,
}: {
  y: number;
  name: Text;
  plane: PlaneValues | null;
  values: CouplingStepValues;
  up: Text;
  down: Text;
  /** Where the driver is to stand cold: the level line is that then. */
  targetMm?: number | undefined;
}) {
  const { front, back, scale } = alongOf(v);
  const times = enlargedBy(v);
  const x0 = 250;
  const x = (mm: number) => x0 + mm * scale;
  const py = (mm: number) => y - heightOf(plane, mm) * scale * times;
  const move = (mm: number) =>
    Math.abs(mm) < 0.0005 ? 'stays' : expr`${mm > 0 ? up : down} ${num(Math.abs(mm))}`;
  return [
    label({ x: 4, y: y - 44, anchor: 'start', strong: true, size: 16 }, name),
    rect({ x: 60, y: y - 12, width: x0 - 76, height: 24, fill: 'paper', ink: 'ink', weight: 1.6 }),
    rect({ x: x0 - 18, y: y - 26, width: 14, height: 52, fill: 'shade', ink: 'ink', weight: 1.6 }),
    axis({ x1: 40, x2: 640, y1: y, y2: y }),
    group(
      {
        turn: [plane ? (Math.atan2(py(back) - py(0), x(back) - x(0)) * 180) / Math.PI : 0, x(0), py(0)],
      },
      [
        rect({ x: x(0) + 4, y: py(0) - 26, width: 14, height: 52, fill: 'shade', ink: 'steel', weight: 2 }),
        rect({
          x: x(0) + 18,
          y: py(0) - 12,
          width: x(back) - x(0) + 20,
          height: 24,
          fill: 'paper',
          ink: 'steel',
          weight: 2,
        }),
      ],
    ),
    (
      [
        ['front', front, plane?.frontMm],
        ['back', back, plane?.backMm],
      ] as const
    ).map(([, mm, by]) => [
      line({ x1: x(mm), x2: x(mm), y1: y + 30, y2: y + 46, ink: 'brass', weight: 3 }),
      digits(
        { x: x(mm), y: y + 62, tone: 'brass', size: 14, strong: true },
        by === undefined ? '·' : move(by),
      ),
    ]),
    plane &&
      label(
        { x: W - 4, y: y - 44, anchor: 'end', tone: 'steel', size: 14 },
        M.offsetPer100Drawn({
          target: targetMm
            ? M.coldPlace({ target: num(Math.abs(targetMm), 2), target2: targetMm < 0 ? 'low' : 'high' })
            : '',
          offset: num(plane.offsetMm),
          anglePer100: num(plane.anglePer100Mm, 4),
          times,
        }),
      ),
  ];
}

/** The coupling from the side and from above; under the feet what is to be laid in, taken out or moved. */
export function couplingFigure({
  values: v,
  place,
}: {
  values: CouplingStepValues;
  place: string | undefined;
}) {
  const dial = place?.split('/')[0];
  const clock = (name: string, r: Array<number | null>, x: number) => [
    label(
      {
        x,
        y: 272,
        anchor: 'start',
        tone: dial === name || (name !== 'rim' && dial && dial !== 'rim') ? 'brass' : 'muted',
        size: 14,
      },
      M.topRightBottomLeft({
        name:
          name === 'rim'
            ? v.method === 'reverse'
              ? 'dialDriver'
              : 'rim'
            : v.method === 'reverse'
              ? 'dialDriven'
              : 'face',
      }),
    ),
    digits(
      { x, y: 290, anchor: 'start', size: 14 },
      listOf(
        r.map((m) => (m === null ? '·' : num(m))),
        '  ',
      ),
    ),
  ];
  return figure(
    {
      width: W,
      height: COUPLING_H,
      title: M.couplingFromSideFromAbove,
    },
    [
      drawCouplingPlane({
        y: 64,
        name: M.fromSide,
        plane: v.result?.vertical ?? null,
        values: v,
        up: M.lay,
        down: M.takeOut,
        targetMm: v.targetOffsetMm,
      }),
      drawCouplingPlane({
        y: 192,
        name: M.fromAbove,
        plane: v.result?.horizontal ?? null,
        values: v,
        up: COMMON.right,
        down: COMMON.left,
      }),
      clock('rim', v.rim, 4),
      clock('second', v.second, 352),
      label(
        { x: 4, y: COUPLING_H - 5, anchor: 'start', tone: 'muted', size: 14 },
        M.leftDrivenShaftRightDriver({ unit: UNIT }),
      ),
    ],
  );
}

/** Housings along the shaft, from the side and from above: the line through their middles and each housing's own. */
export function housingsFigure({
  values: v,
  place,
}: {
  values: HousingsStepValues;
  place: string | undefined;
}) {
  const length = v.spanMm * Math.max(1, v.housings.length - 1);
  const scale = 500 / (length + v.widthMm);
  const x = (mm: number) => 100 + (mm + v.widthMm / 2) * scale;
  const all = v.housings
    .flatMap((h) => [...h.vertical, ...h.horizontal])
    .filter((m): m is number => m !== null);
  const most = Math.max(1e-3, ...all.map(Math.abs));
  const times = Math.min(500, roundedDown(36 / (most * scale)));
  // A housing is narrow on a long shaft: along the shaft its width is drawn larger too, or its slope could not be seen.
  const wide = Math.max(64, v.widthMm * scale);
  const planes = [
    {
      y: 72,
      side: true,
      name: M.fromSide,
      of: (h: (typeof v.housings)[number]) => h.vertical,
      keys: ['vn', 'vf'],
    },
    {
      y: 194,
      side: false,
      name: M.fromAbove,
      of: (h: (typeof v.housings)[number]) => h.horizontal,
      keys: ['hn', 'hf'],
    },
  ];
  return figure(
    { width: W, height: H, title: M.housingsAlongShaftTheirOffsets({ count: v.housings.length }) },
    [
      planes.map((p) => {
        const mid = v.housings.map((h) => {
          const [a, b] = p.of(h);
          return a === null || b === null ? null : (a + b) / 2;
        });
        const middle = v.housings.flatMap((h, i): Point[] => {
          const m = mid[i];
          return m === null || m === undefined ? [] : [[x(h.atMm), p.y - m * scale * times]];
        });
        return [
          label({ x: 4, y: p.y - 52, anchor: 'start', strong: true, size: 16 }, p.name),
          axis({ x1: 40, x2: 660, y1: p.y, y2: p.y }),
          middle.length > 1 && polyline({ points: middle, ink: 'steel', weight: 2.5 }),
          v.housings.map((h, i) => {
            const [a, b] = p.of(h);
            const angle = a === null || b === null ? 0 : Math.atan2(-(b - a) * scale * times, wide);
            const y = p.y - (mid[i] ?? 0) * scale * times;
            const on = p.keys.some((k) => place === `h${i + 1}/${k}`);
            const bad = v.result !== null && (v.result.angleDeg[i] ?? 0) > v.result.abilityDeg;
            return [
              group({ turn: [(angle * 180) / Math.PI, x(h.atMm), y] }, [
                rect({
                  x: x(h.atMm) - wide / 2,
                  y: y - 20,
                  width: wide,
                  height: 40,
                  fill: 'paper',
                  fillOpacity: 0.75,
                  ink: on ? 'brass' : bad ? 'stop' : 'ink',
                  weight: on || bad ? 3.5 : 1.8,
                }),
              ]),
              digits(
                { x: x(h.atMm), y: p.y + 52, tone: on ? 'brass' : 'ink', size: 14 },
                listOf(
                  [a, b].map((m) => (m === null ? '·' : num(m, 2))),
                  '  ',
                ),
              ),
              v.result &&
                p.side &&
                digits(
                  { x: x(h.atMm), y: p.y - 52, tone: bad ? 'stop' : 'steel', size: 14, strong: true },
                  `${(v.result.angleDeg[i] ?? 0).toFixed(2)}°`,
                ),
            ];
          }),
        ];
      }),
      label(
        { x: 4, y: H - 5, anchor: 'start', tone: 'muted', size: 14 },
        M.offsetsFromLineNearFar({ unit: UNIT, times }),
      ),
    ],
  );
}
