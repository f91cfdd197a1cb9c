import { sayReading } from '@fulcrant/core/instruments/quantity';
import type { MeasuredRow } from '@fulcrant/core/trades/plunger/measured';
import { Figure, Label } from '../../figures/drawing.tsx';
import { useSay } from '../../ui/settings.tsx';

const GAUGE = { length: 'micrometer', count: 'counter', temperature: 'thermometer' } as const;

/** What is read, line by line, the one in hand picked out. */
export function MeasuredFigure({
  rows,
  place,
  typed,
}: {
  rows: MeasuredRow[];
  place: string | null;
  typed: number | null;
}) {
  const say = useSay();
  const height = 24 + rows.length * 34;
  return (
    <svg
      viewBox={`0 0 680 ${height}`}
      className="block w-full"
      role="img"
      aria-label="What is measured, line by line"
    >
      {rows.map((r, i) => {
        const y = 32 + i * 34;
        const now = r.key === place;
        const value = r.value ?? (now ? typed : null);
        return (
          <g key={r.key}>
            {now && <rect x="0" y={y - 24} width="680" height="34" fill="var(--shade)" />}
            <Label x={12} y={y} anchor="start" tone={now ? 'ink' : 'muted'}>
              {r.label}
            </Label>
            <Figure x={668} y={y} anchor="end" size={20} strong={now} tone="steel">
              {value === null
                ? '—'
                : say(sayReading(GAUGE[r.quantity as keyof typeof GAUGE] ?? 'caliper', value))}
            </Figure>
          </g>
        );
      })}
    </svg>
  );
}
