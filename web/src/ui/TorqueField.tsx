import type { Text } from '@fulcrant/core/messages';
import { formatTorque, parseTorqueRange, TORQUE_UNITS } from '@fulcrant/core/units';
import { useId, useState } from 'react';
import { Fault } from './controls.tsx';
import { M } from './messages.ts';
import { useSay, useSettings, Words } from './settings.tsx';

/** What is typed, apart from its unit; the unit as typed, or nothing. */
function apart(text: string): { number: string; unit: string } {
  const m = /^([\s\d.,\-–—…]*(?:\bto\b[\s\d.,]*)?)(.*)$/i.exec(text);
  return { number: (m?.[1] ?? '').trimEnd(), unit: (m?.[2] ?? '').trim() };
}

/**
 * A torque from a sheet: one value or a range, its unit beside it to be chosen, and said back in the units people know.
 * A unit that is typed counts as typed.
 */
export function TorqueField({
  label,
  id: given,
  value,
  hint,
  fault,
  disabled,
  onText,
}: {
  label: Text;
  id?: string;
  value: string;
  hint?: Text | undefined;
  fault?: Text | undefined;
  disabled?: boolean | undefined;
  onText: (text: string) => void;
}) {
  const say = useSay();
  const own = useId();
  const id = given ?? own;
  const { unit: inForce } = useSettings();
  const { number, unit } = apart(value);
  const known = TORQUE_UNITS.find((u) => u === unit);
  const [picked, setPicked] = useState<string>(known ?? (inForce === 'mm' ? 'N·m' : 'lbf·ft'));
  const chosen = unit === '' ? picked : unit;
  const typed = (text: string) => {
    const parts = apart(text);
    onText(parts.unit === '' && parts.number.trim() !== '' ? `${text} ${chosen}` : text);
  };
  const read = value.trim() === '' ? null : parseTorqueRange(value, inForce);
  const both = (nm: number) => `${formatTorque(nm, 'mm')} · ${formatTorque(nm, 'in')}`;
  return (
    <div className="flex min-w-0 flex-col">
      <label htmlFor={id} className="kicker">
        <Words of={label} />
      </label>
      {hint && (
        <span className="text-[0.8125rem] leading-tight text-muted">
          <Words of={hint} />
        </span>
      )}
      <div className="flex items-stretch gap-2">
        <input
          id={id}
          // The unit stands beside it; one of the fitter's own stays as it was typed.
          value={known ? number : value}
          disabled={disabled}
          inputMode="text"
          autoComplete="off"
          maxLength={40}
          onChange={(e) => typed(e.target.value)}
          aria-invalid={fault !== undefined}
          aria-describedby={fault ? `${id}-fault` : `${id}-echo`}
          className="figures min-h-12 min-w-0 flex-1 border-0 border-b-2 border-muted bg-transparent text-lg"
        />
        <select
          aria-label={say(M.torqueUnit)}
          value={TORQUE_UNITS.find((u) => u === chosen) ?? ''}
          disabled={disabled}
          onChange={(e) => {
            setPicked(e.target.value);
            if (number.trim() !== '') onText(`${number} ${e.target.value}`);
          }}
          className="min-h-12 border-2 border-muted bg-paper px-1 text-lg"
        >
          {TORQUE_UNITS.every((u) => u !== chosen) && <option value="">{chosen}</option>}
          {TORQUE_UNITS.map((u) => (
            <option key={u} value={u}>
              {u}
            </option>
          ))}
        </select>
      </div>
      <span id={`${id}-echo`} className="min-h-5 text-[0.875rem] leading-tight text-muted" data-echo>
        {read?.ok
          ? read.mostNm === undefined
            ? both(read.nm)
            : say(M.torqueFromTo({ least: both(read.nm), most: both(read.mostNm) }))
          : ''}
      </span>
      {fault && (
        <Fault id={`${id}-fault`}>
          <Words of={fault} />
        </Fault>
      )}
    </div>
  );
}
