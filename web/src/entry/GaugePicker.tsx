import type { Instrument } from '@fulcrant/core/instruments';
import { today } from '../data/today.ts';
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
  onGauge: (id: string) => void;
}) {
  const say = useSay();
  return (
    <select
      aria-label={say(M.gaugeHand)}
      value={gauge?.id ?? ''}
      onChange={(e) => onGauge(e.target.value)}
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
  );
}
