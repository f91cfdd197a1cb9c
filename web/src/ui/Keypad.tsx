import { measuredAt, type PlaceQuantity } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { measured } from '@fulcrant/core/units';
import { M } from './messages.ts';
import { useSay } from './settings.tsx';

/** Rows of six: digits at the left as on a calculator, units and signs at the right. */
function laidFor(read: PlaceQuantity): string[] {
  const { sign, units } = measured(measuredAt(read)).keys;
  const [first, second = ' ', third = ' ', fourth] = units;
  if (!first) return ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.', '⌫'];
  if (!sign) return ['7', '8', '9', '.', first, '⌫', '4', '5', '6', '0', second, '1', '2', '3'];
  return [
    // A dial goes both ways.
    ...['7', '8', '9', read === 'dial' ? '-' : sign, first, '⌫'],
    ...['4', '5', '6', '.', second, ' '],
    ...['1', '2', '3', '0', ...(units.length > 2 ? [third] : []), ...(fourth ? [fourth] : [])],
  ];
}
const SAID: Record<string, Text> = {
  '⌫': M.keyDelete,
  ' ': M.keySpace,
  '/': M.keySlash,
  '.': M.keyPoint,
  '-': M.keyMinus,
};

type Props = {
  onKey: (key: string) => void;
  kind: PlaceQuantity;
  /** The place goes both ways. */
  signed?: boolean;
};

/** Keys big enough for gloves, with the units at hand. */
export function Keypad({ onKey, kind, signed = false }: Props) {
  const say = useSay();
  const laid = laidFor(kind);
  const all = signed && !laid.includes('-') ? [...laid, '-'] : laid;
  return (
    <fieldset className="m-0 grid grid-cols-6 gap-1 border-0 p-0">
      <legend className="sr-only">{say(M.keypad)}</legend>
      {all.map((k) => (
        <button
          key={k}
          type="button"
          aria-label={say(SAID[k] ?? k.trim())}
          onClick={() => onKey(k)}
          className={`min-h-12 border border-muted bg-transparent text-ink active:bg-shade ${k.trim().length > 1 ? 'font-label text-lg font-medium' : 'figures text-xl'}`}
        >
          {k === ' ' ? '␣' : k.trim()}
        </button>
      ))}
    </fieldset>
  );
}
