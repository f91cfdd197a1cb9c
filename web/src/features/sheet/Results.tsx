import { type FitUpSheet, resultRows } from '@fulcrant/core';
import { useSay } from '../../app/settings.tsx';

/** The numbers a reliability engineer asks for a year later. */
export function Results({ sheet }: { sheet: FitUpSheet }) {
  const say = useSay();
  return (
    <dl className="m-0 grid border-l border-t border-faint sm:grid-cols-2 md:grid-cols-3">
      {resultRows(sheet).map(([k, v]) => (
        <div key={k} className="border-b border-r border-faint px-3 py-2">
          <dt className="kicker">{k}</dt>
          <dd className="figures m-0 text-lg font-medium">{say(v)}</dd>
        </div>
      ))}
    </dl>
  );
}
