import { formatTemperature, type LengthUnit, type ProofValues } from '@fulcrant/core';
import type { ChartConfiguration } from 'chart.js';
import { format } from 'date-fns';
import { memo } from 'react';
import { useSettings } from '../../app/settings.tsx';
import { bareAxis, FIGURES, ink, useChart } from '../../ui/use-chart.ts';

const WHEN = ['start', '15 min', '1 hour', 'next day'];

function look(v: ProofValues, unit: LengthUnit): ChartConfiguration<'line', Array<number | null>> {
  const axis = bareAxis();
  const line = (data: Array<number | null>, colour: string, yAxisID: string, dash: number[]) => ({
    data,
    yAxisID,
    borderColor: ink(colour),
    backgroundColor: ink(colour),
    borderWidth: 2.5,
    borderDash: dash,
    pointRadius: 5,
    spanGaps: true,
  });
  return {
    type: 'line',
    data: {
      labels: WHEN,
      datasets: [
        line(
          v.points.map((p) => p.dropsPerMin),
          '--steel',
          'y',
          [],
        ),
        line(
          v.points.map((p) => p.temperatureC),
          '--brass',
          'warm',
          [7, 4],
        ),
      ],
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      scales: {
        x: { ...axis, type: 'category', ticks: { color: ink('--muted'), font: FIGURES } },
        y: {
          ...axis,
          type: 'linear',
          min: 0,
          suggestedMax: 10,
          ticks: { color: ink('--steel'), font: FIGURES },
          title: { display: true, text: 'drops a minute', color: ink('--steel') },
        },
        warm: {
          ...axis,
          type: 'linear',
          position: 'right',
          suggestedMin: 20,
          suggestedMax: 95,
          ticks: {
            color: ink('--brass'),
            font: FIGURES,
            callback: (c) => formatTemperature(Number(c), unit),
          },
        },
      },
    },
  };
}

/** Leakage and warmth of the gland at the four times a seal is proved by. */
const ProofChart = memo(function ProofChart({ values: v }: { values: ProofValues }) {
  const { unit } = useSettings();
  const canvas = useChart(() => look(v, unit), [v, unit]);
  const said = v.points.map(
    (p, i) =>
      `${WHEN[i]}: ${p.dropsPerMin ?? 'no'} drops, ${p.temperatureC === null ? 'no temperature' : formatTemperature(p.temperatureC, unit)}`,
  );
  return (
    <figure className="m-0">
      <div className="h-60">
        <canvas ref={canvas} role="img" aria-label={said.join('; ')} />
      </div>
      <figcaption className="kicker normal-case tracking-normal">
        leakage, whole line · gland’s warmth, dashed
        {v.dueAt ? ` · next due ${format(new Date(v.dueAt), 'EEE HH:mm')}` : ''}
      </figcaption>
    </figure>
  );
});
export default ProofChart;
