import { lengthDigits, type WearWatchValues } from '@fulcrant/core';
import type { ChartConfiguration } from 'chart.js';
import { format } from 'date-fns';
import { memo } from 'react';
import { useSettings } from '../../app/settings.tsx';
import { bareAxis, FIGURES, ink, useChart } from '../../ui/use-chart.ts';

type XY = { x: number; y: number };

function look(
  v: WearWatchValues,
  serviceMm: number,
  say: (mm: number) => string,
): ChartConfiguration<'line', XY[]> {
  const last = v.points.at(-1)?.days ?? 0;
  const end = Math.ceil(Math.max(30, last * 1.1, Math.min(v.dueDays ?? 0, 4 * last + 60)));
  const axis = bareAxis();
  const line = (data: XY[], colour: string, dash: number[], radius: number) => ({
    data,
    borderColor: ink(colour),
    backgroundColor: ink(colour),
    borderWidth: 2,
    borderDash: dash,
    pointRadius: radius,
    showLine: radius === 0,
    clip: 8,
  });
  const slope = v.mmPerYear === null ? null : -v.mmPerYear / 365.25;
  const level = slope === null || v.dueDays === null ? null : serviceMm - slope * v.dueDays;
  return {
    type: 'line',
    data: {
      datasets: [
        line(
          v.points.map((p) => ({ x: p.days, y: p.projectionMm })),
          '--steel',
          [],
          5,
        ),
        ...(slope === null || level === null
          ? []
          : [
              line(
                [0, end].map((x) => ({ x, y: level + slope * x })),
                '--steel',
                [6, 4],
                0,
              ),
            ]),
        line(
          [0, end].map((x) => ({ x, y: serviceMm })),
          '--stop',
          [],
          0,
        ),
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
          ticks: { color: ink('--muted'), font: FIGURES },
          title: { display: true, text: 'days since it was fitted', color: ink('--muted') },
        },
        y: {
          ...axis,
          type: 'linear',
          suggestedMin: serviceMm,
          ticks: { color: ink('--muted'), font: FIGURES, callback: (mm) => say(Number(mm)) },
        },
      },
    },
  };
}

/** What stands proud over the days, the robust line through it, and where the service is due. */
const WearChart = memo(function WearChart({
  values: v,
  serviceMm,
}: {
  values: WearWatchValues;
  serviceMm: number;
}) {
  const { unit } = useSettings();
  const canvas = useChart(() => look(v, serviceMm, (mm) => lengthDigits(mm, unit, 2)), [v, serviceMm, unit]);
  const last = v.points.at(-1);
  return (
    <figure className="m-0">
      <div className="h-60">
        <canvas
          ref={canvas}
          role="img"
          aria-label={`${lengthDigits(last?.projectionMm ?? 0, unit, 2)} after ${Math.round(last?.days ?? 0)} days, due at ${lengthDigits(serviceMm, unit, 2)}`}
        />
      </div>
      <figcaption className="kicker normal-case tracking-normal" data-due-on={v.dueOn ?? ''}>
        service at {lengthDigits(serviceMm, unit, 2)}, whole line
        {v.dueOn ? ` · by the robust line, dashed, due on ${format(new Date(v.dueOn), 'd MMM yyyy')}` : ''}
      </figcaption>
    </figure>
  );
});
export default WearChart;
