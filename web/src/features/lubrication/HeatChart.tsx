import { formatTemperature, type LengthUnit } from '@fulcrant/core';
import type { ChartConfiguration } from 'chart.js';
import { memo } from 'react';
import { useSettings } from '../../app/settings.tsx';
import { bareAxis, FIGURES, ink, useChart } from '../../ui/use-chart.ts';

type XY = { x: number; y: number };
type Props = {
  points: ReadonlyArray<{ minutes: number; temperatureC: number }>;
  /** A level to compare with: the air, or before the first stroke. */
  baseC: number | null;
  baseName: string;
  cautionC: number;
  stopC: number;
};

function look(p: Props, unit: LengthUnit): ChartConfiguration<'line', XY[]> {
  const end = Math.max(60, ...p.points.map((r) => r.minutes + 15));
  const level = (c: number, color: string, dash: number[]) => ({
    data: [
      { x: 0, y: c },
      { x: end, y: c },
    ],
    borderColor: color,
    borderWidth: 1.5,
    borderDash: dash,
    pointRadius: 0,
  });
  const hottest = Math.max(p.cautionC, ...p.points.map((r) => r.temperatureC));
  const axis = bareAxis();
  return {
    type: 'line',
    data: {
      datasets: [
        {
          data: p.points.map((r) => ({ x: r.minutes, y: r.temperatureC })),
          borderColor: ink('--steel'),
          backgroundColor: ink('--steel'),
          borderWidth: 2.5,
          pointRadius: 5,
        },
        ...(p.baseC === null ? [] : [level(p.baseC, ink('--muted'), [3, 4])]),
        level(p.cautionC, ink('--brass'), [8, 4]),
        ...(hottest > p.stopC - 12 ? [level(p.stopC, ink('--stop'), [])] : []),
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
          ticks: { color: ink('--muted'), font: FIGURES, stepSize: 15 },
          title: { display: true, text: 'minutes', color: ink('--muted') },
        },
        y: {
          ...axis,
          type: 'linear',
          suggestedMin: Math.floor((p.baseC ?? 20) / 10) * 10 - 10,
          suggestedMax: Math.ceil((hottest + 5) / 10) * 10,
          ticks: {
            color: ink('--muted'),
            font: FIGURES,
            callback: (v) => formatTemperature(Number(v), unit),
          },
        },
      },
    },
  };
}

/** Temperature over the minutes since the start, with the lines it is judged by. */
const HeatChart = memo(function HeatChart(props: Props) {
  const { unit } = useSettings();
  const canvas = useChart(() => look(props, unit), [props, unit]);
  const last = props.points.at(-1);
  return (
    <figure className="m-0">
      <div className="h-64">
        <canvas
          ref={canvas}
          role="img"
          aria-label={
            last
              ? `${formatTemperature(last.temperatureC, unit)} after ${last.minutes} minutes; caution at ${formatTemperature(props.cautionC, unit)}`
              : 'No temperature is read yet'
          }
        />
      </div>
      <figcaption className="kicker normal-case tracking-normal">
        {props.baseName}
        {props.baseC === null ? '' : ` ${formatTemperature(props.baseC, unit)}`}, dotted · caution{' '}
        {formatTemperature(props.cautionC, unit)}, dashed
      </figcaption>
    </figure>
  );
});
export default HeatChart;
