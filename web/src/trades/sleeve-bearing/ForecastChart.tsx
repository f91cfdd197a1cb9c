import type { Text } from '@fulcrant/core/messages';
import type { DriveUpStepValues } from '@fulcrant/core/trades';
import { type LengthUnit, lengthDigits } from '@fulcrant/core/units';
import { memo } from 'react';
import { axis, ink, level, STILL, useChart, type XY } from '../../figures/chart.ts';
import { useSay, useSettings } from '../../ui/settings.tsx';
import { M } from './messages.ts';

/** What the chart shows, from the forecast: readings, fitted line with its band, the residual band, and the ends of its axes. */
function look(values: DriveUpStepValues, benchMm: number, unit: LengthUnit, say: (text: Text) => string) {
  const t = values.target;
  const last = values.points.at(-1)?.angleDeg ?? 0;
  const end = Math.max(
    (values.curve.at(-1)?.angleDeg ?? 0) / 45,
    last / 45 + 0.5,
    (t.nutDegAim ?? 180) / 45 + 0.5,
  );
  const read = values.points.map((p): XY => ({ x: p.angleDeg / 45, y: p.clearanceMm }));
  const curve = (shift: -1 | 0 | 1, dashed: object = {}) => ({
    data: values.curve.map((p): XY => ({ x: p.angleDeg / 45, y: p.clearanceMm + shift * p.expandedMm })),
    borderColor: ink('--steel'),
    borderWidth: 2,
    pointRadius: 0,
    ...dashed,
  });
  const dashed = { borderDash: [5, 4], borderWidth: 1 };
  const residual = (reductionMm: number | null) => level(benchMm - (reductionMm ?? 0), end, '--good', [], 1);
  const low = Math.min(benchMm - (t.reductionMaxMm ?? 0), ...read.map((p) => p.y));
  const high = Math.max(benchMm, ...read.map((p) => p.y));
  const [x, y] = [axis(say(M.eighthsTurn)), axis()];
  return {
    type: 'line' as const,
    data: {
      datasets: [
        {
          data: read,
          showLine: false,
          pointBorderColor: ink('--ink'),
          pointBackgroundColor: values.points.map((p) => ink(p.inFit ? '--ink' : '--paper')),
          pointRadius: 5,
          pointBorderWidth: 1.5,
          clip: false as const,
        },
        curve(0),
        curve(1, dashed),
        curve(-1, dashed),
        residual(t.reductionMinMm),
        { ...residual(t.reductionMaxMm), fill: '-1', backgroundColor: ink('--band') },
      ],
    },
    options: {
      ...STILL,
      plugins: { legend: { display: false } },
      scales: {
        x: { ...x, min: 0, max: end, ticks: { ...x.ticks, stepSize: 1, includeBounds: false } },
        y: {
          ...y,
          min: Math.max(0, Math.floor((low - 0.008) * 100) / 100),
          max: Math.ceil((high + 0.003) * 100) / 100,
          ticks: {
            ...y.ticks,
            maxTicksLimit: 5,
            includeBounds: false,
            callback: (v: string | number) => lengthDigits(Number(v), unit),
          },
        },
      },
    },
  };
}

/** Clearance on nut angle: readings, fitted line with its band, and the residual band it must end in. */
function ForecastChart({ values, benchMm }: { values: DriveUpStepValues; benchMm: number }) {
  const say = useSay();
  const { unit } = useSettings();
  const canvas = useChart(() => look(values, benchMm, unit, say), [values, benchMm, unit, say]);
  return (
    <div className="h-44 w-full">
      <canvas
        ref={canvas}
        role="img"
        aria-label={say(M.clearanceAgainstNutAngleReadings({ count: values.points.length }))}
      />
    </div>
  );
}

export default memo(ForecastChart);
