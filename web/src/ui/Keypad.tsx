import { measuredAt, type PlaceQuantity } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { measured } from '@fulcrant/core/units';
import { M } from './messages.ts';
import { useSay } from './settings.tsx';
import { useBeside } from './use-wide.ts';

/** Keys by their place: digits at the left as on a calculator, units and signs at the right or below. */
function laidFor(read: PlaceQuantity, narrow: boolean, signed: boolean): string[] {
  const { sign, units } = measured(measuredAt(read)).keys;
  // A dial goes both ways.
  const signs = [...new Set([...(sign ? [read === 'dial' ? '-' : sign] : []), ...(signed ? ['-'] : [])])];
  const free = sign ? [' '] : [];
  if (narrow) {
    const more = [...signs, ...free, ...units];
    return [
      ...['7', '8', '9', '⌫'],
      ...['4', '5', '6', more[0] ?? ''],
      ...['1', '2', '3', more[1] ?? ''],
      ...['0', '.', ...more.slice(2)],
    ];
  }
  const side = [...units.slice(0, 2), ...signs, ...free, ...units.slice(2)];
  return [
    ...['7', '8', '9', '.', side[0] ?? '', '⌫'],
    ...['4', '5', '6', '0', side[1] ?? '', side[2] ?? ''],
    ...['1', '2', '3', ...side.slice(3)],
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
  const narrow = useBeside();
  const laid = laidFor(kind, narrow, signed);
  return (
    <fieldset
      className={`m-0 grid gap-0.5 border-0 p-0 md:gap-1 ${narrow ? 'grid-cols-4' : 'grid-cols-6'}`}
      data-keypad
    >
      <legend className="sr-only">{say(M.keypad)}</legend>
      {laid.map((k, i) =>
        k === '' ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: an empty place has nothing but its place
          <span key={i} />
        ) : (
          <button
            key={k}
            type="button"
            aria-label={say(SAID[k] ?? k.trim())}
            onClick={() => onKey(k)}
            className={`min-h-14 min-w-14 border border-muted bg-transparent text-ink active:bg-shade ${k.trim().length > 1 ? 'font-label text-lg font-medium' : 'figures text-xl'}`}
          >
            {k === ' ' ? '␣' : k.trim()}
          </button>
        ),
      )}
    </fieldset>
  );
}
