import { formatLength, type LengthUnit, type Place, parseAngle, parseLength } from '@fulcrant/core';

export type Understood = { value: number; said: string; note?: string | undefined };

/** What was typed, understood for a place: mm or degrees, said back in both units; or why not. */
export function understand(text: string, place: Place, unit: LengthUnit): Understood | { message: string } {
  if (place.kind === 'angle') {
    const angle = parseAngle(text);
    return angle.ok
      ? { value: angle.deg, said: `${Number(angle.deg.toFixed(2))}° · ${(angle.deg / 360).toFixed(3)} turn` }
      : { message: angle.message };
  }
  const length = parseLength(text, unit);
  if (!length.ok) return { message: length.message };
  return {
    value: length.mm,
    said: `${formatLength(length.mm, 'mm')} · ${formatLength(length.mm, 'in')}`,
    note: length.assumed,
  };
}
