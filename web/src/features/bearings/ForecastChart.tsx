import { type DriveUpStepValues, type LengthUnit, lengthDigits } from '@fulcrant/core';
import {
  Chart,
  type ChartConfiguration,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
} from 'chart.js';
import { memo, useEffect, useRef } from 'react';
import { useSettings } from '../../app/settings.tsx';

Chart.register(LinearScale, LineController, LineElement, PointElement, ScatterController, Filler);

type XY = { x: number; y: number };

const FIGURES = { family: 'JetBrains Mono', size: 12 };

/** What the chart shows, from the forecast: data, and the ends of its axes. */
function picture(values: DriveUpStepValues, benchMm: number) {
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
  const level = (reductionMm: number | null): XY[] =>
    [0, end].map((x) => ({ x, y: benchMm - (reductionMm ?? 0) }));
  const low = Math.min(benchMm - (t.reductionMaxMm ?? 0), ...read.map((p) => p.y));
  const high = Math.max(benchMm, ...read.map((p) => p.y));
  return {
    data: [read, curve(0), curve(1), curve(-1), level(t.reductionMinMm), level(t.reductionMaxMm)],
    filled: values.points.map((p) => p.inFit),
    end,
    low: Math.max(0, Math.floor((low - 0.008) * 100) / 100),
    high: Math.ceil((high + 0.003) * 100) / 100,
  };
}

/** The chart's look in the inks of the theme; data is laid in afterwards. */
function look(unit: LengthUnit): ChartConfiguration<'scatter' | 'line', XY[]> {
  const page = getComputedStyle(document.documentElement);
  const ink = (name: string) => page.getPropertyValue(name).trim();
  const line = (color: string, extra: object = {}) => ({
    type: 'line' as const,
    data: [] as XY[],
    borderColor: color,
    borderWidth: 2,
    pointRadius: 0,
    ...extra,
  });
  const dashed = { borderDash: [5, 4], borderWidth: 1 };
  const axis = {
    ticks: { color: ink('--muted'), font: FIGURES },
    grid: { display: false },
    border: { color: ink('--ink') },
  };
  return {
    type: 'scatter',
    data: {
      datasets: [
        {
          type: 'scatter',
          data: [],
          pointBorderColor: ink('--ink'),
          pointRadius: 5,
          pointBorderWidth: 1.5,
          clip: false,
        },
        line(ink('--steel')),
        line(ink('--steel'), dashed),
        line(ink('--steel'), dashed),
        line(ink('--good'), { borderWidth: 1 }),
        line(ink('--good'), { borderWidth: 1, fill: '-1', backgroundColor: ink('--band') }),
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
          ...axis,
          title: {
            display: true,
            text: 'eighths of a turn',
            color: ink('--muted'),
            font: { family: 'Barlow Condensed', size: 14 },
          },
          ticks: { ...axis.ticks, stepSize: 1, includeBounds: false },
        },
        y: {
          type: 'linear',
          ...axis,
          ticks: {
            ...axis.ticks,
            maxTicksLimit: 5,
            includeBounds: false,
            callback: (v) => lengthDigits(Number(v), unit),
          },
        },
      },
    },
  };
}

/** Clearance on nut angle: readings, fitted line with its band, and the residual band it must end in. */
function ForecastChart({ values, benchMm }: { values: DriveUpStepValues; benchMm: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'scatter' | 'line', XY[]> | null>(null);
  const { unit, theme } = useSettings();

  // biome-ignore lint/correctness/useExhaustiveDependencies: the theme changes the inks read from the page
  useEffect(() => {
    if (!canvas.current) return;
    chart.current = new Chart(canvas.current, look(unit));
    return () => chart.current?.destroy();
  }, [unit, theme]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: a chart made anew for unit or theme wants its data again
  useEffect(() => {
    const c = chart.current;
    if (!c) return;
    const p = picture(values, benchMm);
    p.data.forEach((data, i) => {
      const set = c.data.datasets[i];
      if (set) set.data = data;
    });
    const page = getComputedStyle(document.documentElement);
    const [ink, paper] = ['--ink', '--paper'].map((n) => page.getPropertyValue(n).trim());
    Object.assign(c.data.datasets[0] ?? {}, { pointBackgroundColor: p.filled.map((f) => (f ? ink : paper)) });
    Object.assign(c.options.scales?.x ?? {}, { max: p.end });
    Object.assign(c.options.scales?.y ?? {}, { min: p.low, max: p.high });
    c.update('none');
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

export default memo(ForecastChart);
