import { parseAngle } from '../quantities/angle.ts';
import { formatLength, type LengthUnit, parseLength } from '../quantities/length.ts';
import { formatRoughness, parseRoughness } from '../quantities/roughness.ts';
import type { PlaceKind } from './state.ts';

export type Understood = { value: number; said: string; note?: string | undefined };

/** What was typed, understood for a kind of place: mm or degrees, said back in both units; or why not. */
export function readValue(text: string, kind: PlaceKind, unit: LengthUnit): Understood | { message: string } {
  if (kind === 'angle') {
    const angle = parseAngle(text);
    return angle.ok
      ? { value: angle.deg, said: `${Number(angle.deg.toFixed(2))}° · ${(angle.deg / 360).toFixed(3)} turn` }
      : { message: angle.message };
  }
  if (kind === 'roughness') {
    const r = parseRoughness(text, unit);
    return r.ok
      ? { value: r.um / 1000, said: `${formatRoughness(r.um, 'mm')} · ${formatRoughness(r.um, 'in')}` }
      : { message: r.message };
  }
  const length = parseLength(text, unit);
  if (!length.ok) return { message: length.message };
  return {
    value: length.mm,
    said: `${formatLength(length.mm, 'mm')} · ${formatLength(length.mm, 'in')}`,
    note: length.assumed,
  };
}
