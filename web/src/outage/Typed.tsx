import { type InputHTMLAttributes, useState } from 'react';
import { TextField } from '../ui/TextField.tsx';
import type { Read } from './draft.ts';

/** A line that must read as something: what is typed stays as it is typed, with what is wrong beside it, and counts once it is right. */
export function Typed<T>({
  shown,
  read,
  onValue,
  ...field
}: {
  label: string;
  /** How the value that stands is written. */
  shown: string;
  read: (text: string) => Read<T>;
  onValue: (value: T) => void;
} & Pick<InputHTMLAttributes<HTMLInputElement>, 'type' | 'inputMode' | 'disabled' | 'maxLength'>) {
  const [text, setText] = useState<string | null>(null);
  const wrong = text === null ? null : read(text);
  return (
    <TextField
      {...field}
      value={text ?? shown}
      fault={wrong && 'message' in wrong ? wrong.message : undefined}
      onText={(t) => {
        setText(t);
        const told = read(t);
        if ('value' in told) onValue(told.value);
      }}
      onBlur={() => {
        if (wrong && 'value' in wrong) setText(null);
      }}
    />
  );
}
