import type { Text } from '@fulcrant/core/messages';
import type { BreakInStepValues } from '@fulcrant/core/trades';
import { memo } from 'react';
import { axis, level, readings, STILL, useChart } from '../../figures/chart.ts';
import { useSay } from '../../ui/settings.tsx';
import { M } from './messages.ts';

function look(v: BreakInStepValues, say: (text: Text) => string) {
  const end = Math.max(6, ...v.points.map((p) => p.flats + 1));
  const [x, y] = [axis(say(M.flatsTurnedEachNut)), axis(say(M.dropsMinute))];
  return {
    type: 'line' as const,
    data: {
      datasets: [
        readings(v.points.map((p) => ({ x: p.flats, y: p.dropsPerMin }))),
        level(v.targetLow, end, '--good', [], 2),
        level(v.targetHigh, end, '--good', [], 2),
      ],
    },
    options: {
      ...STILL,
      scales: {
        x: { ...x, min: 0, max: end, ticks: { ...x.ticks, stepSize: 1 } },
        y: {
          ...y,
          min: 0,
          suggestedMax: Math.max(1.6 * v.targetHigh, ...v.points.map((p) => p.dropsPerMin + 10)),
        },
      },
    },
  };
}

/** Leakage on flats, with the band it is to come to. */
const BreakInChart = memo(function BreakInChart({ values: v }: { values: BreakInStepValues }) {
  const say = useSay();
  const canvas = useChart(() => look(v, say), [v, say]);
  const last = v.points.at(-1);
  return (
    <figure className="m-0">
      <div className="h-52 lg:[@media(max-height:790px)]:h-36">
        <canvas
          ref={canvas}
          role="img"
          aria-label={
            last
              ? say(
                  M.dropsMinuteAfterFlatsCome({
                    dropsPerMin: last.dropsPerMin,
                    flats: last.flats,
                    targetLow: v.targetLow.toFixed(0),
                    targetHigh: v.targetHigh.toFixed(0),
                  }),
                )
              : say(M.noDropsCountedYet)
          }
        />
      </div>
      <figcaption className="kicker normal-case tracking-normal" data-break-in={v.state}>
        {say(M.bandDropsMinute({ targetLow: v.targetLow.toFixed(0), targetHigh: v.targetHigh.toFixed(0) }))}{' '}
        <span className="figures">{v.flats}</span> {say(M.flatsSoFarFollower)}{' '}
        <span className="figures">{v.travelMm.toFixed(2)}</span> {say(M.mm)}{' '}
        <span className="figures">{v.leftMm.toFixed(1)}</span>{' '}
        {say(
          M.mmLeft({
            flatsToGo:
              v.flatsToGo !== null && v.state !== 'done'
                ? M.aboutMoreTrend({ value: Math.max(0, Math.round(v.flatsToGo)) })
                : '',
            mlPerMin: v.mlPerMin === null ? '' : M.mLMinute({ mlPerMin: v.mlPerMin.toFixed(1) }),
          }),
        )}
      </figcaption>
    </figure>
  );
});
export default BreakInChart;
