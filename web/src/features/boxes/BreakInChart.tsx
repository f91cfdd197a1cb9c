import type { BreakInStepValues } from '@fulcrant/core';
import type { ChartConfiguration } from 'chart.js';
import { memo } from 'react';
import { bareAxis, FIGURES, ink, useChart } from '../../ui/use-chart.ts';

type XY = { x: number; y: number };

function look(v: BreakInStepValues): ChartConfiguration<'line', XY[]> {
  const end = Math.max(6, ...v.points.map((p) => p.flats + 1));
  const level = (y: number) => ({
    data: [
      { x: 0, y },
      { x: end, y },
    ],
    borderColor: ink('--good'),
    borderWidth: 2,
    pointRadius: 0,
  });
  const axis = bareAxis();
  return {
    type: 'line',
    data: {
      datasets: [
        {
          data: v.points.map((p) => ({ x: p.flats, y: p.dropsPerMin })),
          borderColor: ink('--steel'),
          backgroundColor: ink('--steel'),
          borderWidth: 2.5,
          pointRadius: 5,
          clip: 8,
        },
        level(v.targetLow),
        level(v.targetHigh),
      ],
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: {
          ...axis,
          type: 'linear',
          min: 0,
          max: end,
          ticks: { color: ink('--muted'), font: FIGURES, stepSize: 1 },
          title: { display: true, text: 'flats turned on each nut', color: ink('--muted') },
        },
        y: {
          ...axis,
          type: 'linear',
          min: 0,
          suggestedMax: Math.max(1.6 * v.targetHigh, ...v.points.map((p) => p.dropsPerMin + 10)),
          ticks: { color: ink('--muted'), font: FIGURES },
          title: { display: true, text: 'drops a minute', color: ink('--muted') },
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
      <div className="h-52">
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
