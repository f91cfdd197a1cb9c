import type { BreakInStepValues } from '@fulcrant/core/trades';
import { memo } from 'react';
import { axis, level, readings, STILL, useChart } from '../../figures/chart.ts';

function look(v: BreakInStepValues) {
  const end = Math.max(6, ...v.points.map((p) => p.flats + 1));
  const [x, y] = [axis('flats turned on each nut'), axis('drops a minute')];
  return {
    type: 'line' as const,
    data: {
      datasets: [
        readings(v.points.map((p) => ({ x: p.flats, y: p.dropsPerMin }))),
        level(v.targetLow, end, '--good', [], 2),
        level(v.targetHigh, end, '--good', [], 2),
      ],
    },
    options: {
      ...STILL,
      scales: {
        x: { ...x, min: 0, max: end, ticks: { ...x.ticks, stepSize: 1 } },
        y: {
          ...y,
          min: 0,
          suggestedMax: Math.max(1.6 * v.targetHigh, ...v.points.map((p) => p.dropsPerMin + 10)),
        },
      },
    },
  };
}

/** Leakage on flats, with the band it is to come to. */
const BreakInChart = memo(function BreakInChart({ values: v }: { values: BreakInStepValues }) {
  const canvas = useChart(() => look(v), [v]);
  const last = v.points.at(-1);
  return (
    <figure className="m-0">
      <div className="h-52 lg:[@media(max-height:790px)]:h-36">
        <canvas
          ref={canvas}
          role="img"
          aria-label={
            last
              ? `${last.dropsPerMin} drops a minute after ${last.flats} flats; to come to ${v.targetLow.toFixed(0)} to ${v.targetHigh.toFixed(0)}`
              : 'No drops are counted yet'
          }
        />
      </div>
      <figcaption className="kicker normal-case tracking-normal" data-break-in={v.state}>
        band {v.targetLow.toFixed(0)} to {v.targetHigh.toFixed(0)} drops a minute ·{' '}
        <span className="figures">{v.flats}</span> flats so far, follower in by{' '}
        <span className="figures">{v.travelMm.toFixed(2)}</span> mm,{' '}
        <span className="figures">{v.leftMm.toFixed(1)}</span> mm left
        {v.flatsToGo !== null && v.state !== 'done'
          ? ` · about ${Math.max(0, Math.round(v.flatsToGo))} more by the trend`
          : ''}
        {v.mlPerMin === null ? '' : ` · ${v.mlPerMin.toFixed(1)} mL a minute`}
      </figcaption>
    </figure>
  );
});
export default BreakInChart;
