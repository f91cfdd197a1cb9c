import {
  axis,
  circle,
  digits,
  dimension,
  figure,
  label,
  line,
  path,
  rect,
  spot,
} from '../../judgement/draw.ts';
import { COMMON } from '../../message/common/messages.ts';
import { listOf } from '../../message/message.ts';
import { num, pres } from '../../quantities/say.ts';
import { M } from './messages.ts';
import type { GasValues, ThrottleValues } from './small.ts';

/** What wear is measured against: pins standing out of the seal, or the stationary's back beside the setting spacer. */
export function baselineFigure({ mm, pins }: { mm: number | null; pins: boolean }) {
  const out = Math.max(-26, Math.min(70, (mm ?? 0) * 18));
  const face = 360;
  return figure(
    { width: 680, height: 220, title: M.wearBaseline({ mm: mm === null ? COMMON.notMeasured : num(mm, 2) }) },
    [
      axis({ x1: 60, x2: 620, y1: 190, y2: 190 }),
      rect({ x: 120, y: 40, width: face - 120, height: 120, fill: 'shade', ink: 'ink', weight: 1.8 }),
      pins
        ? rect({
            x: 200,
            y: 86,
            width: face - 200 + out,
            height: 26,
            fill: 'paper',
            ink: 'brass',
            weight: 2.5,
          })
        : [
            rect({
              x: 200,
              y: 76,
              width: face - 200 + out,
              height: 84,
              fill: 'paper',
              ink: 'brass',
              weight: 2.5,
            }),
            rect({ x: face + 1, y: 34, width: 26, height: 40, fill: 'steel', opacity: 0.6, ink: 'ink' }),
            label({ x: face + 36, y: 56, anchor: 'start', tone: 'steel' }, COMMON.settingSpacerAgainstGland),
          ],
      line({ x1: face, x2: face, y1: 24, y2: 182, ink: 'ink', weight: 1.4 }),
      dimension(
        { x1: face, y1: 140, x2: face + (Math.abs(out) < 4 ? 34 : out), y2: 140, tone: 'brass', side: 24 },
        mm === null ? '–' : num(mm, 2),
      ),
      label(
        { x: 240, y: 186, tone: 'muted' },
        pins ? M.lockingPinFlushMeansOrder : M.stationaryBackFollowsWearFaces,
      ),
      label({ x: 4, y: 214, anchor: 'start', tone: 'muted', size: 14 }, M.notScaleStandsProud),
    ],
  );
}

/** Throttle round its shaft, with the clearance felt at three places. */
export function throttleFigure({
  values: v,
  active,
}: {
  values: ThrottleValues;
  active: string | undefined;
}) {
  const [cx, cy] = [230, 126];
  return figure(
    {
      width: 680,
      height: 256,
      title: M.throttleClearances({
        clearances: listOf(
          v.clearancesMm.map((c) => (c === null ? COMMON.notFelt : num(c, 2))),
          ', ',
        ),
      }),
    },
    [
      circle({ cx, cy, r: 104, fill: 'shade', ink: 'ink', weight: 1.8 }),
      circle({ cx, cy, r: 72, fill: 'paper', ink: 'ink', weight: 1.6 }),
      circle({ cx, cy, r: 66, fill: 'shade', ink: 'ink', weight: 1.6 }),
      v.clearancesMm.map((c, i) => {
        const deg = 120 * i;
        const p = spot(cx, cy, deg, 69);
        const t = spot(cx, cy, deg, 88);
        const on = active === `throttle/${deg}`;
        return [
          circle({ cx: p.x, cy: p.y, r: 6, fill: on ? 'brass' : 'ink' }),
          digits(
            { x: t.x, y: t.y + 5, tone: on ? 'brass' : 'ink', size: 15, strong: on },
            c === null ? '–' : num(c, 2),
          ),
        ];
      }),
      label({ x: 400, y: 112, anchor: 'start', size: 17, strong: true }, M.throttleShaft),
      label({ x: 400, y: 136, anchor: 'start', tone: 'muted' }, M.felt0120240From),
      label({ x: 4, y: 250, anchor: 'start', tone: 'muted', size: 14 }, M.endViewClearanceDrawnLarger),
    ],
  );
}

/** The window of the purge gas over the process, and where the gauge stands. */
export function gasFigure({
  values: v,
  processMpa,
  typed,
}: {
  values: GasValues;
  processMpa: number;
  typed: number | null;
}) {
  const gas = typed ?? v.gasMpa;
  const top = Math.max(v.highMpa * 1.15, gas ?? 0) || 1;
  const low = processMpa * 0.8;
  const x = (mpa: number) => 60 + (560 * Math.max(0, mpa - low)) / (top - low);
  return figure(
    { width: 680, height: 190, title: M.gasWindow({ low: pres(v.lowMpa), high: pres(v.highMpa) }) },
    [
      rect({
        x: x(v.lowMpa),
        y: 78,
        width: x(v.highMpa) - x(v.lowMpa),
        height: 26,
        fill: 'accept',
        opacity: 0.35,
      }),
      line({ x1: 60, x2: 620, y1: 104, y2: 104, ink: 'ink', weight: 1.8 }),
      (
        [
          [processMpa, M.processWord],
          [v.lowMpa, M.leastWord],
          [v.highMpa, M.mostWord],
        ] as const
      ).map(([mpa, word], i) => [
        line({ x1: x(mpa), x2: x(mpa), y1: 72, y2: 112, ink: 'ink', weight: 1.6 }),
        digits({ x: x(mpa), y: 132 + 0 * i, size: 15 }, pres(mpa)),
        label({ x: x(mpa), y: 150, tone: 'muted' }, word),
      ]),
      gas !== null && [
        path({ d: `M${x(gas)} 76l-10 -22h20z`, fill: 'brass' }),
        digits({ x: x(gas), y: 44, size: 19, tone: 'brass', strong: true }, pres(gas)),
      ],
      label({ x: 4, y: 184, anchor: 'start', tone: 'muted', size: 14 }, M.gaugeOppositeInletOneRegulator),
    ],
  );
}
