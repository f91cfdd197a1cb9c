import { bearingSection, GAP_SCALE, type Vec } from '../../arithmetic/bearings/section.ts';
import { digits, figure, group, label, path, rect } from '../../judgement/draw.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';

type Props = {
  setup: SleeveSetup;
  clearanceMm: number;
  travelMm?: number | null;
  /** Numbers at the two feeler gaps; null shows the place as empty. */
  rowAMm?: number | null;
  rowBMm?: number | null;
  activeRow?: 'A' | 'B' | null;
  shaftMm?: number | null;
  /** Draw the start and the final place and the travel between. */
  travelDimension?: boolean;
  note?: Text;
};

const W = 680;
const H = 268;

/** The line of a shaft broken off, as drawn by hand. */
function broken(x0: number, x1: number, y: number): string {
  const n = 12;
  const step = (x1 - x0) / n;
  return Array.from({ length: n }, (_, i) => `q${step / 2} ${i % 2 ? 7 : -7} ${step} 0`).reduce(
    (d, q) => d + q,
    `M${x0} ${y}`,
  );
}

/** The section through bearing, sleeve and shaft, upper half, to scale; the feeler gap alone is drawn larger. */
export function bearingFigure({
  setup,
  clearanceMm,
  travelMm = null,
  rowAMm = null,
  rowBMm = null,
  activeRow = null,
  shaftMm = null,
  travelDimension = false,
  note,
}: Props) {
  const s = bearingSection({
    shaftMm: setup.shaftMm,
    boreMm: setup.boreMm,
    taper: setup.taper,
    travelMm: travelMm ?? 0,
    clearanceMm,
  });
  // Only the shaft's skin is drawn, broken off below: its middle tells nothing and would cost the bearing its size.
  const floor = setup.shaftMm / 2 - setup.boreMm * 0.13;
  const scale = Math.min((W - 60) / (s.right - s.left), (H - 62) / (s.top - floor));
  const cx = W / 2 - (scale * (s.left + s.right)) / 2 + 4;
  const base = H - 30 + floor * scale;
  const px = (x: number) => cx + x * scale;
  const py = (y: number) => base - y * scale;
  const outline = (points: Vec[]) =>
    `${points.map((p, i) => `${i ? 'L' : 'M'}${px(p.x).toFixed(1)} ${py(p.y).toFixed(1)}`).join('')}Z`;
  const half = setup.boreMm * 0.28;
  const values = { A: rowAMm, B: rowBMm };
  return figure(
    {
      width: W,
      height: H,
      title: M.sectionBearingSleeveShaftTaper({ shaft: len(setup.shaftMm, 1), taper: setup.taper }),
    },
    [
      group({ ink: 'ink', weight: 1.6, moves: true }, [
        path({
          d: outline(s.shaft.map((p) => (p.y === 0 ? { x: p.x, y: floor } : p))),
          fill: 'shade',
          ink: 'none',
        }),
        path({
          d: `M${px(s.left)} ${py(floor)}V${py(setup.shaftMm / 2)}H${px(s.right)}V${py(floor)}`,
          fill: 'none',
        }),
        path({ d: broken(px(s.left), px(s.right), py(floor)), fill: 'none', ink: 'muted', weight: 1.2 }),
        path({ d: outline(s.sleeve), fill: 'hatch-back' }),
        path({ d: outline(s.nut), fill: 'hatch' }),
        path({ d: outline(s.washer), fill: 'paper' }),
        path({ d: outline(s.innerRing), fill: 'paper' }),
        path({ d: outline(s.innerRing), fill: 'hatch' }),
        path({ d: outline(s.outerRing), fill: 'paper' }),
        path({ d: outline(s.outerRing), fill: 'hatch' }),
        s.rollers.map((r) => path({ d: outline(r), fill: 'paper' })),
      ]),
      s.gaps.map((g) => {
        const on = activeRow === g.row;
        const value = values[g.row];
        const left = g.row === 'A';
        const y = (py(g.from.y) + py(g.to.y)) / 2;
        const tip = px(g.from.x) + (left ? 9 : -9);
        const far = left ? px(-half) - 150 : px(half) + 150;
        const words = { anchor: left ? 'end' : 'start', tone: on ? 'brass' : 'ink' } as const;
        const edge = left ? px(-half) - 22 : px(half) + 22;
        return [
          path({
            d: `M${px(g.from.x) - 10} ${py(g.from.y)}h20M${px(g.to.x) - 10} ${py(g.to.y)}h20`,
            ink: on ? 'brass' : 'muted',
          }),
          on &&
            group({ fill: 'brass' }, [
              rect({ x: Math.min(tip, far), y: y - 1.6, width: Math.abs(far - tip), height: 3.2 }),
              rect({ x: left ? far - 34 : far, y: y - 7, width: 34, height: 14 }),
            ]),
          digits(
            { x: edge, y: y - 12, ...words, size: 21, strong: on },
            value === null ? (on ? '…' : '–') : num(value),
          ),
          label({ x: edge, y: y + 24, ...words, size: 16 }, M.row2({ row: g.row })),
        ];
      }),
      travelMm !== null &&
        travelDimension &&
        group({ ink: 'steel', fill: 'steel' }, [
          path({
            d: `M${px(half)} ${py(s.top) - 2}v-22M${px(half - travelMm)} ${py(s.top) - 2}v-22M${px(half) + 30} ${py(s.top) - 14}H${px(half - travelMm)}`,
            fill: 'none',
          }),
          path({ d: `M${px(half - travelMm)} ${py(s.top) - 14}l9 -4v8z`, ink: 'none' }),
          digits(
            { x: px(half) + 36, y: py(s.top) - 8, anchor: 'start', size: 17, tone: 'steel' },
            M.travel({ travel: len(travelMm, 2) }),
          ),
        ]),
      digits(
        { x: px(s.right) - 10, y: py(floor) - 10, anchor: 'end', size: 17, tone: 'ink' },
        expr`Ø ${shaftMm === null ? num(setup.shaftMm, 1, 4) : num(shaftMm)}`,
      ),
      label(
        { x: 4, y: H - 6, anchor: 'start', size: 14.5, tone: 'muted' },
        M.shaftBoreTaper1Section({
          shaft: len(setup.shaftMm, 1),
          bore: len(setup.boreMm, 1),
          taper: setup.taper,
          gapScale: GAP_SCALE,
          note: note ? expr` · ${note}` : '',
        }),
      ),
    ],
  );
}
