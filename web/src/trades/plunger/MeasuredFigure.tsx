import { sayReading } from '@fulcrant/core/instruments';
import type { MeasuredRow } from '@fulcrant/core/trades';
import { useSay, Words } from '../../ui/settings.tsx';

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
  return (
    <dl className="m-0 border-t border-rule">
      {rows.map((r) => {
        const now = r.key === place;
        const value = r.value ?? (now ? typed : null);
        return (
          <div
            key={r.key}
            className={`flex items-baseline justify-between gap-4 border-b border-faint px-2 py-1.5 ${now ? 'bg-shade font-medium' : ''}`}
          >
            <dt className={now ? '' : 'text-muted'}>
              <Words of={r.label} />
            </dt>
            <dd className="figures m-0 text-lg text-steel">
              {value === null
                ? '–'
                : say(sayReading(GAUGE[r.quantity as keyof typeof GAUGE] ?? 'caliper', value))}
            </dd>
          </div>
        );
      })}
    </dl>
  );
}
