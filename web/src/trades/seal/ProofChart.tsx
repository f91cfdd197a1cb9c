import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { ProofValues } from '@fulcrant/core/trades';
import { formatTemperature, type LengthUnit } from '@fulcrant/core/units';
import { format } from 'date-fns';
import { memo } from 'react';
import { axis, FIGURES, ink, readings, STILL, useChart } from '../../figures/chart.ts';
import { useSay, useSettings } from '../../ui/settings.tsx';
import { M } from './messages.ts';

const WHEN: readonly Text[] = [COMMON.start3, M.n15Min, M.n1Hour, M.nextDay];

function look(v: ProofValues, unit: LengthUnit, say: (text: Text) => string) {
  const line = (ys: Array<number | null>, colour: string) => ({
    ...readings(ys.flatMap((y, x) => (y === null ? [] : [{ x, y }]))),
    borderColor: ink(colour),
    backgroundColor: ink(colour),
  });
  const drops = line(
    v.points.map((p) => p.dropsPerMin),
    '--steel',
  );
  const warmth = line(
    v.points.map((p) => p.temperatureC),
    '--brass',
  );
  const [x, y] = [axis(), axis(say(COMMON.dropsMinute))];
  return {
    type: 'line' as const,
    data: { datasets: [drops, { ...warmth, yAxisID: 'warm', borderDash: [7, 4] }] },
    options: {
      ...STILL,
      scales: {
        x: {
          ...x,
          min: 0,
          max: WHEN.length - 1,
          ticks: { ...x.ticks, stepSize: 1, callback: (i: string | number) => say(WHEN[Number(i)] ?? '') },
        },
        y: { ...y, min: 0, suggestedMax: 10, ticks: { ...y.ticks, color: ink('--steel') } },
        warm: {
          ...axis(),
          position: 'right' as const,
          suggestedMin: 20,
          suggestedMax: 95,
          ticks: {
            color: ink('--brass'),
            font: FIGURES,
            callback: (c: string | number) => formatTemperature(Number(c), unit),
          },
        },
      },
    },
  };
}

/** Leakage and warmth of the gland at the four times a seal is proved by. */
const ProofChart = memo(function ProofChart({ values: v }: { values: ProofValues }) {
  const say = useSay();
  const { unit } = useSettings();
  const canvas = useChart(() => look(v, unit, say), [v, unit, say]);
  const said = v.points.map((p, i) =>
    say(
      M.drops({
        when: WHEN[i],
        dropsPerMin: p.dropsPerMin ?? COMMON.no,
        temperatureC: p.temperatureC === null ? M.noTemperature : formatTemperature(p.temperatureC, unit),
      }),
    ),
  );
  return (
    <figure className="m-0">
      <div className="h-60 lg:[@media(max-height:790px)]:h-40">
        <canvas ref={canvas} role="img" aria-label={said.join('; ')} />
      </div>
      <figcaption className="kicker normal-case tracking-normal">
        {say(
          M.leakageWholeLineGlandsWarmth({
            dueAt: v.dueAt ? M.nextDue({ dueAt: format(new Date(v.dueAt), 'EEE HH:mm') }) : '',
          }),
        )}
      </figcaption>
    </figure>
  );
});
export default ProofChart;
