/** Three rows of six: digits at the left as on a calculator, units and signs at the right. */
const LENGTH_KEYS = [
  '7',
  '8',
  '9',
  '/',
  ' mm',
  '⌫',
  '4',
  '5',
  '6',
  '.',
  ' thou',
  ' ',
  '1',
  '2',
  '3',
  '0',
  ' µm',
  ' in',
];
const ANGLE_KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.', '⌫'];
const SAID: Record<string, string> = { '⌫': 'delete', ' ': 'space', '/': 'slash', '.': 'point' };

/** Keys big enough for gloves, with the units at hand. */
export function Keypad({ onKey, angle }: { onKey: (key: string) => void; angle: boolean }) {
  return (
    <fieldset className="m-0 grid grid-cols-6 gap-1 border-0 p-0">
      <legend className="sr-only">Keypad</legend>
      {(angle ? ANGLE_KEYS : LENGTH_KEYS).map((k) => (
        <button
          key={k}
          type="button"
          aria-label={SAID[k] ?? k.trim()}
          onClick={() => onKey(k)}
          className={`min-h-12 border border-muted bg-transparent text-ink active:bg-shade ${k.trim().length > 1 ? 'font-label text-lg font-medium' : 'figures text-xl'}`}
        >
          {k === ' ' ? '␣' : k.trim()}
        </button>
      ))}
    </fieldset>
  );
}
