import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';
import { useSay, Words } from './settings.tsx';

/** One of a few, from a list that opens: a Radix select in the sheet’s own lines, each answer a touch high. */
export function Choice<V extends string>({
  label,
  value,
  options,
  onChange,
  disabled = false,
  id,
}: {
  label: Text;
  value: V | '';
  options: ReadonlyArray<readonly [value: V, words: Text]>;
  onChange: (value: V) => void;
  disabled?: boolean;
  id?: string;
}) {
  const say = useSay();
  return (
    <Select.Root value={value} onValueChange={(v) => onChange(v as V)} disabled={disabled}>
      <Select.Trigger
        id={id}
        aria-label={say(label)}
        className="flex min-h-12 w-full items-center justify-between gap-3 border-0 border-b-2 border-muted bg-transparent text-left text-lg text-ink disabled:text-muted"
      >
        <Select.Value placeholder={say(COMMON.chosen)} />
        <Select.Icon>
          <ChevronDown aria-hidden="true" size={20} />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={2}
          className="z-50 max-h-[min(60dvh,var(--radix-select-content-available-height))] min-w-[var(--radix-select-trigger-width)] overflow-auto border-2 border-rule bg-paper text-ink"
        >
          <Select.Viewport>
            {options.map(([v, words]) => (
              <Select.Item
                key={v}
                value={v}
                className="flex min-h-12 cursor-pointer items-center gap-3 border-b border-faint px-4 py-1.5 text-lg outline-none last:border-b-0 data-[highlighted]:bg-shade"
              >
                <Select.ItemText>
                  <Words of={words} />
                </Select.ItemText>
                <Select.ItemIndicator className="ml-auto text-brass">
                  <Check aria-hidden="true" size={20} />
                </Select.ItemIndicator>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
