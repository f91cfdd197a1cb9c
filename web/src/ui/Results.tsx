import { textKey } from '@fulcrant/core/messages';
import type { FitUpSheet } from '@fulcrant/core/sheet';
import { say } from '@fulcrant/core/units';
import { useSettings, Words } from './settings.tsx';

/** The numbers a reliability engineer asks for a year later. */
export function Results({ rows }: { rows: FitUpSheet['rows'] }) {
  const { unit } = useSettings();
  return (
    <dl className="m-0 grid border-l border-t border-faint sm:grid-cols-2 md:grid-cols-3">
      {rows.map(([k, v]) => (
        <div key={textKey(k)} className="border-b border-r border-faint px-3 py-2">
          <dt className="kicker">
            <Words of={k} />
          </dt>
          <dd className="figures m-0 text-lg font-medium">{say(v, unit)}</dd>
        </div>
      ))}
    </dl>
  );
}
