import type { Text } from '../message/message.ts';
import { measured, QUANTITIES, type Quantity } from '../quantities/measured.ts';
import { M } from './messages.ts';

/** What a gauge sends: a value in the unit inside, and what kind of quantity it is. */
export type GaugeLine = {
  value: number;
  quantity: Quantity;
  raw: string;
};

const UNITS = new Map(
  QUANTITIES.flatMap((quantity) =>
    Object.entries(measured(quantity).sends).map(([unit, factor]) => [unit, { quantity, factor }] as const),
  ),
);

const LINE = /^([+-]?)\s*(\d+(?:[.,]\d*)?|[.,]\d+)\s*([A-Za-z]+(?:\/s)?)$/;

/**
 * One line of a gauge that sends plain text: value, unit, end of line (`+0.012 mm`, `-.0005 in`, `45.0 deg`). A line that is
 * anything else, such as an error word, gives no value and says so.
 * @example parseGaugeLine('+0.012 mm') // { ok: true, line: { value: 0.012, quantity: 'length', … } }
 */
export function parseGaugeLine(text: string): { ok: true; line: GaugeLine } | { ok: false; message: Text } {
  const raw = text.trim();
  const m = LINE.exec(raw);
  if (!m) return { ok: false, message: M.gaugeSentWhichNoValue({ raw: raw.slice(0, 40) }) };
  const unit = UNITS.get((m[3] ?? '').toLowerCase());
  if (!unit) return { ok: false, message: M.gaugeSendsUnitNotKnown({ m: m[3] }) };
  const size = Number((m[2] ?? '').replace(',', '.'));
  if (!Number.isFinite(size)) return { ok: false, message: M.gaugeSentWhichNoNumber({ raw }) };
  return {
    ok: true,
    line: { value: (m[1] === '-' ? -size : size) * unit.factor, quantity: unit.quantity, raw },
  };
}

/** A value as a gauge sends it. @example gaugeLine(0.012, 'mm', 3) // '+0.012 mm' */
export function gaugeLine(
  value: number,
  unit: 'mm' | 'deg' | 'MPa' | 'Nm' | 'C' | 'dpm',
  decimals: number,
): string {
  const text = value.toFixed(decimals);
  return `${value >= 0 && !text.startsWith('-') ? '+' : ''}${text} ${unit}`;
}

/** A line longer than this is no gauge's. */
const LINE_MOST = 200;

/**
 * Bring pieces of text, as a port hands them over, together to whole lines. What has no end yet is kept for the next piece.
 * @example const take = lineSplitter(); take('+0.0'); take('12 mm\n') // ['+0.012 mm']
 */
export function lineSplitter(): (piece: string) => string[] {
  let rest = '';
  return (piece) => {
    const parts = (rest + piece).split(/\r\n|\n|\r/);
    rest = (parts.pop() ?? '').slice(0, LINE_MOST);
    return parts.map((p) => p.trim()).filter((p) => p !== '');
  };
}
