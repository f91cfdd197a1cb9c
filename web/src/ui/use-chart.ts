import {
  CategoryScale,
  Chart,
  type ChartConfiguration,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { type DependencyList, type RefObject, useEffect, useRef } from 'react';
import { useSettings } from '../app/settings.tsx';

Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement);

/** One of the page's inks, in the light in force. @example ink('--steel') */
export const ink = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Numbers on a chart stand in the mono. */
export const FIGURES = { family: 'JetBrains Mono', size: 12 };

/** An axis as on a print: its line, no grid. */
export const bareAxis = () => ({ grid: { display: false }, border: { color: ink('--ink') } });

/** A chart on the canvas the ref is put on, drawn anew when what it shows or the light changes. */
export function useChart<T extends 'line', D>(
  make: () => ChartConfiguration<T, D>,
  shows: DependencyList,
): RefObject<HTMLCanvasElement | null> {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { theme } = useSettings();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the caller says what it shows; the inks are read from the page
  useEffect(() => {
    if (!canvas.current) return;
    const chart = new Chart(canvas.current, make());
    return () => chart.destroy();
  }, [...shows, theme]);
  return canvas;
}
