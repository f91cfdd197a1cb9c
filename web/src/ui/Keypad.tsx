import type { PlaceQuantity } from '@fulcrant/core/job';

/** Rows of six: digits at the left as on a calculator, units and signs at the right. */
const keys = (sign: string, ...units: [string, string, string]) => [
  ...['7', '8', '9', sign, units[0], '⌫'],
  ...['4', '5', '6', '.', units[1], ' '],
  ...['1', '2', '3', '0', units[2], ' in'],
];
const LENGTH_KEYS = keys('/', ' mm', ' thou', ' µm');
/** A dial goes both ways. */
const DIAL_KEYS = keys('-', ' mm', ' thou', ' µm');
const ROUGHNESS_KEYS = ['7', '8', '9', '.', ' µm', '⌫', '4', '5', '6', '0', ' µin', '1', '2', '3'];
const ANGLE_KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.', '⌫'];
const PRESSURE_KEYS = keys('/', ' MPa', ' bar', ' psi').slice(0, 17);
const TORQUE_KEYS = keys('/', ' N·m', ' lbf·ft', ' ').slice(0, 16);
const TEMPERATURE_KEYS = keys('-', ' °C', ' °F', ' ').slice(0, 16);
const VELOCITY_KEYS = keys('/', ' mm/s', ' in/s', ' ').slice(0, 16);
const FREQUENCY_KEYS = ['7', '8', '9', '.', ' Hz', '⌫', '4', '5', '6', '0', ' ', '1', '2', '3'];
const FORCE_KEYS = keys('/', ' N', ' lbf', ' ').slice(0, 16);
const KEYS: Partial<Record<PlaceQuantity, string[]>> = {
  angle: ANGLE_KEYS,
  dial: DIAL_KEYS,
  roughness: ROUGHNESS_KEYS,
  pressure: PRESSURE_KEYS,
  torque: TORQUE_KEYS,
  temperature: TEMPERATURE_KEYS,
  count: ANGLE_KEYS,
  flats: ANGLE_KEYS,
  velocity: VELOCITY_KEYS,
  frequency: FREQUENCY_KEYS,
  force: FORCE_KEYS,
};
const SAID: Record<string, string> = {
  '⌫': 'delete',
  ' ': 'space',
  '/': 'slash',
  '.': 'point',
  '-': 'minus',
};

type Props = {
  onKey: (key: string) => void;
  kind: PlaceQuantity;
  /** The place goes both ways. */
  signed?: boolean;
};

/** Keys big enough for gloves, with the units at hand. */
export function Keypad({ onKey, kind, signed = false }: Props) {
  const laid = KEYS[kind] ?? LENGTH_KEYS;
  const all = signed && !laid.includes('-') ? [...laid, '-'] : laid;
  return (
    <fieldset className="m-0 grid grid-cols-6 gap-1 border-0 p-0">
      <legend className="sr-only">Keypad</legend>
      {all.map((k) => (
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
