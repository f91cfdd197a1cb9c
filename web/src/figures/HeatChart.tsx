import type { Text } from '@fulcrant/core/messages';
import { formatTemperature, type LengthUnit } from '@fulcrant/core/units';
import { memo } from 'react';
import { useSay, useSettings } from '../ui/settings.tsx';
import { axis, level, readings, STILL, useChart } from './chart.ts';
import { M } from './messages.ts';

type Props = {
  points: ReadonlyArray<{ minutes: number; temperatureC: number }>;
  /** A level to compare with: the air, or before the first stroke. */
  baseC: number | null;
  baseName: Text;
  cautionC: number;
  stopC: number;
};

function look(p: Props, unit: LengthUnit, say: (text: Text) => string) {
  const end = Math.max(60, ...p.points.map((r) => r.minutes + 15));
  const hottest = Math.max(p.cautionC, ...p.points.map((r) => r.temperatureC));
  const [x, y] = [axis(say(M.minutes)), axis()];
  return {
    type: 'line' as const,
    data: {
      datasets: [
        readings(p.points.map((r) => ({ x: r.minutes, y: r.temperatureC }))),
        ...(p.baseC === null ? [] : [level(p.baseC, end, '--muted', [3, 4])]),
        level(p.cautionC, end, '--brass', [8, 4]),
        ...(hottest > p.stopC - 12 ? [level(p.stopC, end, '--stop')] : []),
      ],
    },
    options: {
      ...STILL,
      scales: {
        x: { ...x, min: 0, max: end, ticks: { ...x.ticks, stepSize: 15 } },
        y: {
          ...y,
          suggestedMin: Math.floor((p.baseC ?? 20) / 10) * 10 - 10,
          suggestedMax: Math.ceil((hottest + 5) / 10) * 10,
          ticks: { ...y.ticks, callback: (v: string | number) => formatTemperature(Number(v), unit) },
        },
      },
    },
  };
}

/** Temperature over the minutes since the start, with the lines it is judged by. */
const HeatChart = memo(function HeatChart(props: Props) {
  const say = useSay();
  const { unit } = useSettings();
  const canvas = useChart(() => look(props, unit, say), [props, unit, say]);
  const last = props.points.at(-1);
  return (
    <figure className="m-0">
      <div className="h-64 lg:[@media(max-height:790px)]:h-40">
        <canvas
          ref={canvas}
          role="img"
          aria-label={
            last
              ? say(
                  M.afterMinutesCaution({
                    temperatureC: formatTemperature(last.temperatureC, unit),
                    minutes: last.minutes,
                    cautionC: formatTemperature(props.cautionC, unit),
                  }),
                )
              : say(M.noTemperatureReadYet)
          }
        />
      </div>
      <figcaption className="kicker normal-case tracking-normal">
        {say(
          M.dottedCautionDashed({
            baseName: props.baseName,
            baseC: props.baseC === null ? '' : ` ${formatTemperature(props.baseC, unit)}`,
            cautionC: formatTemperature(props.cautionC, unit),
          }),
        )}
      </figcaption>
    </figure>
  );
});
export default HeatChart;
