import type { Trace } from '@fulcrant/core/history';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { type LengthUnit, lengthDigits, measured } from '@fulcrant/core/units';
import { useSay, useSettings, Words } from '../ui/settings.tsx';
import { axis, FIGURES, ink, level, readings, STILL, useChart } from './chart.ts';
import { M } from './messages.ts';

/** New Year’s days within a span: where the strip is ruled. */
function newYears([from, to]: readonly [number, number]): number[] {
  const first = new Date(from).getFullYear() + 1;
  const last = new Date(to).getFullYear();
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => new Date(first + i, 0, 1).getTime());
}
/** Room above and below a pen that never moved: a size is told to hundredths, a small number by its fifth. */
const flatRoom = (v: number): number => (Math.abs(v) > 5 ? 0.002 : 0.2) * (Math.abs(v) || 1);

/** A number of a trace with its unit. */
export function sayTraced(value: number, quantity: Trace['quantity'], unit: LengthUnit): Text {
  if (quantity === 'drops') return M.dropsMinute({ value: value.toFixed(0) });
  if (quantity === 'angle') return `${value.toFixed(0)}°`;
  return measured(quantity).format(value, unit);
}

/**
 * One number of a position as a recorder’s pen would have drawn it: time along, its limits as lines, each fitting a dot, what was found
 * an open one.
 * @param span from and to, ms, the same for all traces of a strip
 */
export function StripTrace({ trace, span }: { trace: Trace; span: readonly [number, number] }) {
  const say = useSay();
  const { unit } = useSettings();
  const [from, to] = span;
  const points = trace.points.map((p) => ({ x: Date.parse(p.at), y: p.value }));
  const { lower, upper } = trace.limits;
  const all = [
    ...points.map((p) => p.y),
    ...(lower === undefined ? [] : [lower]),
    ...(upper === undefined ? [] : [upper]),
  ];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = most > least ? (most - least) * 0.18 : flatRoom(most);
  const short = (v: number) =>
    trace.quantity === 'length' ? lengthDigits(v, unit) : String(Number(v.toPrecision(3)));
  const canvas = useChart(
    () => ({
      type: 'line',
      data: {
        datasets: [
          {
            ...readings(points),
            pointBackgroundColor: trace.points.map((p) => (p.found ? ink('--paper') : ink('--steel'))),
            pointBorderColor: ink('--steel'),
            pointBorderWidth: 2,
          },
          ...[lower, upper].flatMap((l) =>
            l === undefined
              ? []
              : [
                  {
                    ...level(l, to, '--stop', [6, 4]),
                    data: [
                      { x: from, y: l },
                      { x: to, y: l },
                    ],
                  },
                ],
          ),
        ],
      },
      options: {
        ...STILL,
        scales: {
          x: {
            ...axis(),
            min: from,
            max: to,
            afterBuildTicks: (scale: { ticks: Array<{ value: number }> }) => {
              scale.ticks = newYears(span).map((value) => ({ value }));
            },
            ticks: {
              color: ink('--muted'),
              font: FIGURES,
              maxRotation: 0,
              autoSkip: true,
              callback: (v: string | number) => String(new Date(Number(v)).getFullYear()),
            },
          },
          y: {
            ...axis(),
            min: least - room,
            max: most + room,
            ticks: {
              color: ink('--muted'),
              font: FIGURES,
              maxTicksLimit: 4,
              callback: (v: string | number) => short(Number(v)),
            },
          },
        },
        plugins: { legend: { display: false } },
      },
    }),
    [trace, unit, from, to],
  );
  const last = trace.points.at(-1);
  return (
    <div className="grid gap-x-4 border-t border-faint py-2 md:grid-cols-[12rem_minmax(0,1fr)]">
      <div>
        <h3 className="m-0 text-lg leading-tight">
          <Words of={trace.label} />
        </h3>
        <p className="figures m-0 text-base">
          {last ? <Words of={sayTraced(last.value, trace.quantity, unit)} /> : ''}
        </p>
        <p className="m-0 text-sm text-muted">
          {lower !== undefined && upper !== undefined
            ? say(
                M.between({
                  lower: sayTraced(lower, trace.quantity, unit),
                  upper: sayTraced(upper, trace.quantity, unit),
                }),
              )
            : upper !== undefined
              ? say(M.most({ upper: sayTraced(upper, trace.quantity, unit) }))
              : lower !== undefined
                ? say(M.least({ lower: sayTraced(lower, trace.quantity, unit) }))
                : ''}
        </p>
        <Day trace={trace} />
      </div>
      <div className="h-28">
        <canvas
          ref={canvas}
          role="img"
          aria-label={`${say(trace.label)}: ${trace.points.map((p) => say(M.on({ value: sayTraced(p.value, trace.quantity, unit), found: p.found ? 'asFound' : 'none', at: p.at.slice(0, 10) }))).join('; ')}`}
        />
      </div>
    </div>
  );
}

/** The day a trace stands at its limit, with its band, where one is told. */
function Day({ trace }: { trace: Trace }) {
  const say = useSay();
  const began = trace.points[0]?.at;
  const { trend } = trace;
  if (!trend || trend.day === null || !began) return null;
  const on = (day: number) => {
    const d = new Date(Date.parse(began) + day * 86_400_000);
    return d.toLocaleDateString('en-GB', { month: 'short', year: 'numeric' });
  };
  return (
    <p className="m-0 text-sm">
      {say(M.limitAbout({ on: on(trend.day) }))}
      {trend.from !== null && (
        <span className="text-muted">
          {say(M.n95100({ on: on(trend.from), to: trend.to === null ? COMMON.noTelling : on(trend.to) }))}
        </span>
      )}
    </p>
  );
}
