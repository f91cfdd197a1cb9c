import type { Instrument } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { useState } from 'react';
import { today } from '../data/today.ts';
import { Fault } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

export const isOverdue = (g: Instrument): boolean => g.calibrationDue < today();

/** Which gauge is in hand, and whether it is out of date. The device's own list: it works with gloves and with keys. */
export function GaugePicker({
  gauges,
  gauge,
  onGauge,
}: {
  gauges: Instrument[];
  gauge: Instrument | null;
  /** A sentence where that gauge cannot be taken: the one in hand stays. */
  onGauge: (id: string) => Text | null;
}) {
  const say = useSay();
  const [refused, setRefused] = useState<Text | null>(null);
  return (
    <>
      <select
        aria-label={say(M.gaugeHand)}
        value={gauge?.id ?? ''}
        onChange={(e) => setRefused(onGauge(e.target.value))}
        className={`min-h-12 max-w-[10.5rem] border-0 border-b border-faint bg-paper px-1 text-[0.95rem] ${gauge && isOverdue(gauge) ? 'font-medium text-stop' : 'text-ink'}`}
      >
        {!gauge && <option value="">{say(M.whichGauge)}</option>}
        {gauges.map((g) => (
          <option key={g.id} value={g.id}>
            {g.name}
            {isOverdue(g) ? say(M.outDateSince({ calibrationDue: g.calibrationDue })) : ''}
          </option>
        ))}
      </select>
      {refused && (
        <div className="w-full" data-gauge-refused>
          <Fault>{say(refused)}</Fault>
        </div>
      )}
    </>
  );
}
