const LENGTH_KEYS = [
  '7',
  '8',
  '9',
  'mm',
  '4',
  '5',
  '6',
  ' thou',
  '1',
  '2',
  '3',
  ' µm',
  '0',
  '.',
  '/',
  ' in',
  '⌫',
  ' ',
];
const ANGLE_KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.', '⌫'];
const SAID: Record<string, string> = { '⌫': 'delete', ' ': 'space', '/': 'slash', '.': 'point' };

/** Keys big enough for gloves, with the units at hand. */
export function Keypad({ onKey, angle }: { onKey: (key: string) => void; angle: boolean }) {
  return (
    <fieldset className={`m-0 grid gap-1.5 border-0 p-0 ${angle ? 'grid-cols-3' : 'grid-cols-4'}`}>
      <legend className="sr-only">Keypad</legend>
      {(angle ? ANGLE_KEYS : LENGTH_KEYS).map((k) => (
        <button
          key={k}
          type="button"
          aria-label={SAID[k] ?? k.trim()}
          onClick={() => onKey(k === 'mm' ? ' mm' : k)}
          className="figures min-h-12 border border-muted bg-transparent text-xl text-ink active:bg-shade"
        >
          {k === ' ' ? '␣' : k.trim()}
        </button>
      ))}
    </fieldset>
  );
}
