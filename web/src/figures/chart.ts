import {
  Chart,
  type ChartConfiguration,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { type DependencyList, type RefObject, useEffect, useRef } from 'react';
import { useSettings } from '../ui/settings.tsx';

Chart.register(LinearScale, LineController, LineElement, PointElement, Filler);

export type XY = { x: number; y: number };
type Config = ChartConfiguration<'line', XY[]>;

/** One of the page's inks, in the light in force. @example ink('--steel') */
export const ink = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Numbers on a chart stand in the mono. */
export const FIGURES = { family: 'JetBrains Mono', size: 12 };

/** A straight axis as on a print: its line, no grid; `title` says what it counts. */
export const axis = (title?: string) => ({
  type: 'linear' as const,
  grid: { display: false },
  border: { color: ink('--ink') },
  ticks: { color: ink('--muted'), font: FIGURES },
  ...(title
    ? {
        title: {
          display: true,
          text: title,
          color: ink('--muted'),
          font: { family: 'Barlow Condensed', size: 14 },
        },
      }
    : {}),
});

/** A level across a chart. */
export const level = (y: number, end: number, color: string, dash: number[] = [], width = 1.5) => ({
  data: [
    { x: 0, y },
    { x: end, y },
  ],
  borderColor: ink(color),
  borderWidth: width,
  borderDash: dash,
  pointRadius: 0,
});

/** What was read, joined. */
export const readings = (data: XY[]) => ({
  data,
  borderColor: ink('--steel'),
  backgroundColor: ink('--steel'),
  borderWidth: 2.5,
  pointRadius: 5,
  clip: 8,
});

/** Charts of the sheet stand still and fill their place. */
export const STILL = {
  animation: false as const,
  responsive: true,
  maintainAspectRatio: false,
  events: [] as never[],
};

/**
 * A chart on the canvas the ref is put on: made once for the light in force, and its numbers changed in place after that, so
 * that it follows what is typed.
 */
export function useChart(make: () => Config, shows: DependencyList): RefObject<HTMLCanvasElement | null> {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart<'line', XY[]> | null>(null);
  const { theme } = useSettings();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the inks are read from the page
  useEffect(() => {
    if (!canvas.current) return;
    chart.current = new Chart(canvas.current, make());
    return () => {
      chart.current?.destroy();
      chart.current = null;
    };
  }, [theme]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the caller says what it shows
  useEffect(() => {
    const c = chart.current;
    if (!c) return;
    const { data, options } = make();
    c.data = data;
    if (options) c.options = options;
    c.update('none');
  }, [...shows]);
  return canvas;
}
