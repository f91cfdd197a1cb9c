import type { Instrument } from '@fulcrant/core';
import { ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';

const today = () => new Date().toISOString().slice(0, 10);
export const isOverdue = (g: Instrument): boolean => g.calibrationDue < today();

/** Which gauge is in hand, and whether it is out of date. */
export function GaugePicker({
  gauges,
  gauge,
  onGauge,
}: {
  gauges: Instrument[];
  gauge: Instrument | null;
  onGauge: (id: string) => void;
}) {
  return (
    <Select.Root value={gauge?.id ?? ''} onValueChange={onGauge}>
      <Select.Trigger
        aria-label="Gauge in hand"
        className="flex min-h-12 max-w-[15rem] items-center gap-1.5 border-b border-faint px-1 text-left text-[0.95rem] leading-tight"
      >
        <span className={`truncate ${gauge && isOverdue(gauge) ? 'text-stop' : ''}`}>
          <Select.Value placeholder="Which gauge?">
            {gauge ? `${gauge.name}${isOverdue(gauge) ? ' · out of date' : ''}` : 'Which gauge?'}
          </Select.Value>
        </span>
        <ChevronDown aria-hidden="true" size={18} className="shrink-0" />
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          align="end"
          className="z-50 max-h-80 overflow-auto border-2 border-rule bg-paper text-ink"
        >
          <Select.Viewport>
            {gauges.map((g) => (
              <Select.Item
                key={g.id}
                value={g.id}
                className="flex min-h-12 cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-shade data-[state=checked]:font-semibold"
              >
                <Select.ItemText>{g.name}</Select.ItemText>
                {isOverdue(g) && <span className="ml-2 text-stop">out of date since {g.calibrationDue}</span>}
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
