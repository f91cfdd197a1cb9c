import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { WearWatchValues } from '@fulcrant/core/trades';
import { lengthDigits } from '@fulcrant/core/units';
import { format } from 'date-fns';
import { memo } from 'react';
import { axis, level, readings, STILL, useChart } from '../../figures/chart.ts';
import { useSay, useSettings } from '../../ui/settings.tsx';
import { M } from './messages.ts';

function look(
  v: WearWatchValues,
  serviceMm: number,
  digits: (mm: number) => string,
  say: (text: Text) => string,
) {
  const last = v.points.at(-1)?.days ?? 0;
  const end = Math.ceil(Math.max(30, last * 1.1, Math.min(v.dueDays ?? 0, 4 * last + 60)));
  const slope = v.mmPerYear === null ? null : -v.mmPerYear / 365.25;
  const at0 = slope === null || v.dueDays === null ? null : serviceMm - slope * v.dueDays;
  const trend = (x: number) => ({ x, y: (at0 ?? 0) + (slope ?? 0) * x });
  const [x, y] = [axis(say(M.daysSinceFitted)), axis()];
  return {
    type: 'line' as const,
    data: {
      datasets: [
        { ...readings(v.points.map((p) => ({ x: p.days, y: p.projectionMm }))), showLine: false },
        ...(at0 === null ? [] : [{ ...level(0, end, '--steel', [6, 4], 2), data: [trend(0), trend(end)] }]),
        level(serviceMm, end, '--stop', [], 2),
      ],
    },
    options: {
      ...STILL,
      scales: {
        x: { ...x, min: 0, max: end },
        y: {
          ...y,
          suggestedMin: serviceMm,
          ticks: { ...y.ticks, callback: (mm: string | number) => digits(Number(mm)) },
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
  const say = useSay();
  const { unit } = useSettings();
  const canvas = useChart(
    () => look(v, serviceMm, (mm) => lengthDigits(mm, unit, 2), say),
    [v, serviceMm, unit, say],
  );
  const last = v.points.at(-1);
  return (
    <figure className="m-0">
      <div className="h-60 lg:[@media(max-height:790px)]:h-40">
        <canvas
          ref={canvas}
          role="img"
          aria-label={say(
            M.afterDaysDue({
              lengthDigits: lengthDigits(last?.projectionMm ?? 0, unit, 2),
              days: Math.round(last?.days ?? 0),
              lengthDigits2: lengthDigits(serviceMm, unit, 2),
            }),
          )}
        />
      </div>
      <figcaption className="kicker normal-case tracking-normal" data-due-on={v.dueOn ?? ''}>
        {say(
          M.serviceWholeLine({
            lengthDigits: lengthDigits(serviceMm, unit, 2),
            dueOn: v.dueOn
              ? M.robustLineDashedDue({
                  dueOn: format(new Date(v.dueOn), 'd MMM yyyy'),
                  dueBand: v.dueBand
                    ? M.n95({
                        from: format(new Date(v.dueBand.from), 'MMM yyyy'),
                        to: v.dueBand.to ? format(new Date(v.dueBand.to), 'MMM yyyy') : COMMON.noTelling,
                      })
                    : '',
                })
              : '',
          }),
        )}
      </figcaption>
    </figure>
  );
});
export default WearChart;
