import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { BreakInStepValues } from '@fulcrant/core/trades';
import { memo } from 'react';
import { axis, ink, level, readings, STILL, useChart, type XY } from '../../figures/chart.ts';
import { useSay } from '../../ui/settings.tsx';
import { M } from './messages.ts';

/** Flats turned as a stair along the bottom: each turn of the nuts a step, up to the last act. */
function stair(v: BreakInStepValues, end: number): XY[] {
  const steps = v.turns.map((t) => ({ x: t.minutes, y: t.flats }));
  return [{ x: 0, y: 0 }, ...steps, { x: end, y: v.flats }];
}

function look(v: BreakInStepValues, say: (text: Text) => string) {
  const times = [...v.points, ...v.warmth, ...v.turns].map((p) => p.minutes);
  const end = Math.max(20, ...times.map((t) => t + 2));
  const [x, y, warm] = [
    axis(say(M.minutesAfterStart)),
    axis(say(COMMON.dropsMinute)),
    axis(say(M.glandCelsius)),
  ];
  const hottest = Math.max(0, ...v.warmth.map((w) => w.glandC));
  return {
    type: 'line' as const,
    data: {
      datasets: [
        readings(v.points.map((p) => ({ x: p.minutes, y: p.dropsPerMin }))),
        level(v.targetLow, end, '--good', [], 2),
        level(v.targetHigh, end, '--good', [], 2),
        {
          data: stair(v, end),
          yAxisID: 'flats',
          stepped: 'before' as const,
          borderColor: ink('--muted'),
          borderWidth: 2,
          pointRadius: 0,
        },
        {
          data: v.warmth.map((w) => ({ x: w.minutes, y: w.glandC })),
          yAxisID: 'warm',
          borderColor: ink('--stop'),
          backgroundColor: ink('--stop'),
          borderDash: [6, 4],
          borderWidth: 2,
          pointRadius: 5,
          pointStyle: 'triangle' as const,
        },
      ],
    },
    options: {
      ...STILL,
      scales: {
        x: { ...x, min: 0, max: end },
        y: {
          ...y,
          min: 0,
          suggestedMax: Math.max(1.6 * v.targetHigh, ...v.points.map((p) => p.dropsPerMin + 10)),
        },
        // The stair keeps to the lower third.
        flats: { type: 'linear' as const, display: false, min: 0, max: 3 * Math.max(3, v.flats) },
        warm: {
          ...warm,
          position: 'right' as const,
          display: v.warmth.length > 0,
          min: 0,
          suggestedMax: Math.max(90, hottest + 10),
        },
      },
    },
  };
}

/** Drops, flats and warmth over the minutes of the break-in, with the band the leakage has to come to. */
const BreakInChart = memo(function BreakInChart({ values: v }: { values: BreakInStepValues }) {
  const say = useSay();
  const canvas = useChart(() => look(v, say), [v, say]);
  const last = v.points.at(-1);
  const band = { targetLow: v.targetLow.toFixed(0), targetHigh: v.targetHigh.toFixed(0) };
  return (
    <figure className="m-0">
      <div className="h-52 lg:[@media(max-height:790px)]:h-36">
        <canvas
          ref={canvas}
          role="img"
          aria-label={
            last
              ? say(M.dropsMinuteAfterFlatsCome({ dropsPerMin: last.dropsPerMin, flats: v.flats, ...band }))
              : say(M.noDropsCountedYet)
          }
        />
      </div>
      <figcaption className="text-[0.95rem] leading-snug" data-break-in={v.do}>
        {say(M.bandDropsMinute(band))}{' '}
        {say(
          M.flatsSoFarFollower({ flats: v.flats, travel: v.travelMm.toFixed(2), left: v.leftMm.toFixed(1) }),
        )}{' '}
        {v.flatsToGo !== null && v.do !== 'done'
          ? say(M.aboutMoreTrend({ value: Math.max(1, Math.round(v.flatsToGo)) }))
          : ''}{' '}
        {v.mlPerMin === null ? '' : say(M.mLMinute({ mlPerMin: v.mlPerMin.toFixed(1) }))}{' '}
        {say(v.warmth.length > 0 ? M.legendWithWarmth : M.legend)}
      </figcaption>
    </figure>
  );
});
export default BreakInChart;
