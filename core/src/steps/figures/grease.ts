import type { FirstFillValues } from '../../arithmetic/lubrication/first-fill.ts';
import { circle, digits, figure, label, path, spot } from '../../judgement/draw.ts';
import { M } from './messages.ts';

const ROLLERS_DEG = [0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330];

/** The housing’s inside below a level: its sides stand up to 120, its roof is half an ellipse over them. */
function filledTo(level: number): string {
  if (level >= 120) return `M210 ${level}H430V212H210z`;
  const half = 110 * Math.sqrt(Math.max(0, 1 - ((120 - level) / 86) ** 2));
  return `M210 212V120A110 86 0 0 1 ${320 - half} ${level}H${320 + half}A110 86 0 0 1 430 120V212z`;
}

/** Housing and bearing seen from the end, filled as far as the sum says: areas in proportion to the volumes. */
export function fillFigure({ values: v, housingCm3 }: { values: FirstFillValues; housingCm3: number }) {
  // Without volumes the base stands level with the shaft’s underside, as it is seen.
  const share = v.housingCm3 === null ? 0.26 : housingCm3 > 0 ? Math.min(1, v.housingCm3 / housingCm3) : 0;
  const full = v.bearingCm3 === null ? '' : M.cm({ bearingCm3: v.bearingCm3.toFixed(0) });
  const housing =
    v.housingCm3 === null
      ? M.baseShaftsUnderside
      : housingCm3 > 0
        ? M.housingCm({ housingCm3: v.housingCm3.toFixed(0), housingCm32: housingCm3.toFixed(0) })
        : M.baseCm({ housingCm3: v.housingCm3.toFixed(0) });
  const [top, bottom] = [34, 212];
  const level = bottom - (bottom - top) * share;
  return figure({ width: 680, height: 240, title: M.bearingFull({ full, housing }) }, [
    path({ d: filledTo(level), fill: 'brass', opacity: 0.3 }),
    path({ d: 'M210 212V120A110 86 0 0 1 430 120V212z', fill: 'none', ink: 'ink', weight: 2.4 }),
    circle({ cx: 320, cy: 128, r: 74, fill: 'brass', fillOpacity: 0.55, ink: 'ink', weight: 1.8 }),
    ROLLERS_DEG.map((deg) =>
      circle({
        cx: spot(320, 128, deg, 56).x,
        cy: spot(320, 128, deg, 56).y,
        r: 12,
        fill: 'paper',
        ink: 'ink',
      }),
    ),
    circle({ cx: 320, cy: 128, r: 38, fill: 'shade', ink: 'ink', weight: 1.8 }),
    v.totalG !== null && [
      digits(
        { x: 470, y: 110, anchor: 'start', size: 24, strong: true, tone: 'steel' },
        `${v.totalG.toFixed(0)} g`,
      ),
      label(
        { x: 470, y: 132, anchor: 'start', tone: 'muted' },
        M.all({ strokes: v.strokes ? M.strokesGun({ strokes: v.strokes }) : '' }),
      ),
    ],
    label({ x: 196, y: 104, anchor: 'end' }, M.bearingFull2({ full })),
    label({ x: 196, y: Math.min(206, level + 20), anchor: 'end' }, housing),
    label(
      { x: 4, y: 234, anchor: 'start', tone: 'muted', size: 14.5 },
      M.howMuchNotWhereLies({
        speedFactor: v.speedFactor === null ? '' : M.nDm({ speedFactor: Math.round(v.speedFactor) }),
      }),
    ),
  ]);
}
