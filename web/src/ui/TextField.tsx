import type { Text } from '@fulcrant/core/messages';
import { type InputHTMLAttributes, useId } from 'react';
import { Fault } from './controls.tsx';
import { Words } from './settings.tsx';

/** A line to write on, its name above it and what is wrong with it below. */
export function TextField({
  label,
  fault,
  onText,
  strong = false,
  ...input
}: Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange'> & {
  label: Text;
  fault?: Text | undefined;
  onText: (text: string) => void;
  strong?: boolean;
}) {
  const id = useId();
  return (
    <div className="flex min-w-0 flex-col">
      <label htmlFor={id} className="kicker">
        <Words of={label} />
      </label>
      <input
        maxLength={80}
        autoComplete="off"
        {...input}
        id={id}
        onChange={(e) => onText(e.target.value)}
        aria-invalid={fault !== undefined}
        aria-describedby={fault ? `${id}-fault` : undefined}
        className={`min-w-0 border-0 bg-transparent ${strong ? 'mt-1 min-h-14 border-b-[3px] border-brass text-2xl' : 'min-h-12 border-b-2 border-muted text-lg'}`}
      />
      {fault && (
        <Fault id={`${id}-fault`}>
          <Words of={fault} />
        </Fault>
      )}
    </div>
  );
}
