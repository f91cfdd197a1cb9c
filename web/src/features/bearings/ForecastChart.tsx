import { type DriveUpStepValues, lengthDigits } from '@fulcrant/core';
import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
} from 'chart.js';
import { useEffect, useRef } from 'react';
import { useSettings } from '../../app/settings.tsx';

Chart.register(LinearScale, LineController, LineElement, PointElement, ScatterController, Filler);

const ink = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

type XY = { x: number; y: number };

/** Clearance on nut angle: readings, fitted line with its band, and the residual band it must end in. */
export default function ForecastChart({ values, benchMm }: { values: DriveUpStepValues; benchMm: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { unit, theme } = useSettings();
  // biome-ignore lint/correctness/useExhaustiveDependencies: theme changes the inks read from the page
  useEffect(() => {
    if (!canvas.current) return;
    const t = values.target;
    const last = values.points.at(-1)?.angleDeg ?? 0;
    const end = Math.max(
      (values.curve.at(-1)?.angleDeg ?? 0) / 45,
      last / 45 + 0.5,
      (t.nutDegAim ?? 180) / 45 + 0.5,
    );
    const read = values.points.map((p): XY => ({ x: p.angleDeg / 45, y: p.clearanceMm }));
    const curve = (shift: -1 | 0 | 1) =>
      values.curve.map((p): XY => ({ x: p.angleDeg / 45, y: p.clearanceMm + shift * p.expandedMm }));
    const bandLow = benchMm - (t.reductionMaxMm ?? 0);
    const bandHigh = benchMm - (t.reductionMinMm ?? 0);
    const line = (data: XY[], color: string, extra: object = {}) => ({
      type: 'line' as const,
      data,
      borderColor: color,
      borderWidth: 2,
      pointRadius: 0,
      tension: 0,
      ...extra,
    });
    const chart = new Chart(canvas.current, {
      type: 'scatter',
      data: {
        datasets: [
          {
            type: 'scatter',
            data: read,
            pointBackgroundColor: values.points.map((p) => (p.inFit ? ink('--ink') : ink('--paper'))),
            pointBorderColor: ink('--ink'),
            pointRadius: 5,
            pointBorderWidth: 1.5,
            clip: false,
          },
          line(curve(0), ink('--steel')),
          line(curve(1), ink('--steel'), { borderDash: [5, 4], borderWidth: 1 }),
          line(curve(-1), ink('--steel'), { borderDash: [5, 4], borderWidth: 1 }),
          line(
            [
              { x: 0, y: bandHigh },
              { x: end, y: bandHigh },
            ],
            ink('--good'),
            { borderWidth: 1 },
          ),
          line(
            [
              { x: 0, y: bandLow },
              { x: end, y: bandLow },
            ],
            ink('--good'),
            { borderWidth: 1, fill: '-1', backgroundColor: ink('--band') },
          ),
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        events: [],
        plugins: { legend: { display: false } },
        scales: {
          x: {
            type: 'linear',
            min: 0,
            max: end,
            title: {
              display: true,
              text: 'eighths of a turn',
              color: ink('--muted'),
              font: { family: 'Barlow Condensed', size: 14 },
            },
            ticks: { color: ink('--muted'), stepSize: 1, font: { family: 'JetBrains Mono', size: 12 } },
            grid: { display: false },
            border: { color: ink('--ink') },
          },
          y: {
            type: 'linear',
            min: Math.max(0, Math.floor((bandLow - 0.008) * 100) / 100),
            max: Math.ceil((Math.max(benchMm, ...read.map((p) => p.y)) + 0.003) * 100) / 100,
            ticks: {
              color: ink('--muted'),
              maxTicksLimit: 5,
              includeBounds: false,
              callback: (v) => lengthDigits(Number(v), unit),
              font: { family: 'JetBrains Mono', size: 12 },
            },
            grid: { display: false },
            border: { color: ink('--ink') },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [values, benchMm, unit, theme]);
  return (
    <div className="h-44 w-full">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Clearance against nut angle: ${values.points.length} readings, fitted line, band of residual clearance`}
      />
    </div>
  );
}
