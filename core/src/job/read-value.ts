import type { PlaceQuantity } from '../engine/state.ts';
import { parseAngle } from '../quantities/angle.ts';
import { formatForce, parseForce } from '../quantities/force.ts';
import { formatFrequency, parseFrequency } from '../quantities/frequency.ts';
import {
  formatLength,
  fromNominal,
  type LengthUnit,
  leadingPoint,
  parseLength,
  parseTypedNumber,
} from '../quantities/length.ts';
import { formatPressure, parsePressure } from '../quantities/pressure.ts';
import { formatRoughness, parseRoughness } from '../quantities/roughness.ts';
import { formatTemperature, parseTemperature } from '../quantities/temperature.ts';
import { formatTorque, parseTorque } from '../quantities/torque.ts';
import { formatVelocity, parseVelocity } from '../quantities/velocity.ts';

export type Understood = { value: number; said: string; note?: string | undefined };

/**
 * What was typed, understood for a kind of place: in the unit inside, said back in people’s units; or why not.
 * @param believable could a length here be so many mm? Tells which unit a leading point means
 * @param nominalMm what it is nominally, where it may be said by how much it is over or under that
 */
export function readValue(
  text: string,
  kind: PlaceQuantity,
  unit: LengthUnit,
  believable?: (mm: number) => boolean,
  nominalMm?: number,
): Understood | { message: string } {
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
  if (kind === 'pressure') {
    const p = parsePressure(text, unit);
    return p.ok
      ? {
          value: p.mpa,
          said: `${formatPressure(p.mpa, 'mm')} · ${(10 * p.mpa).toFixed(0)} bar · ${formatPressure(p.mpa, 'in')}`,
        }
      : { message: p.message };
  }
  if (kind === 'torque') {
    if (text.trim() === '0') return { value: 0, said: formatTorque(0, unit) };
    const t = parseTorque(text, unit);
    return t.ok
      ? { value: t.nm, said: `${formatTorque(t.nm, 'mm')} · ${formatTorque(t.nm, 'in')}` }
      : { message: t.message };
  }
  if (kind === 'temperature') {
    const t = parseTemperature(text, unit);
    return t.ok
      ? { value: t.c, said: `${formatTemperature(t.c, 'mm')} · ${formatTemperature(t.c, 'in')}` }
      : { message: t.message };
  }
  if (kind === 'velocity') {
    const v = parseVelocity(text, unit);
    return v.ok
      ? {
          value: v.mmPerS,
          said: `${formatVelocity(v.mmPerS, 'mm')} rms · ${formatVelocity(v.mmPerS, 'in')}`,
        }
      : { message: v.message };
  }
  if (kind === 'frequency') {
    const f = parseFrequency(text);
    return f.ok ? { value: f.hertz, said: formatFrequency(f.hertz) } : { message: f.message };
  }
  if (kind === 'force') {
    const f = parseForce(text, unit);
    return f.ok
      ? { value: f.n, said: `${formatForce(f.n, 'mm')} · ${formatForce(f.n, 'in')}` }
      : { message: f.message };
  }
  if (kind === 'flats') {
    const n = parseTypedNumber(text.trim().replace(/\s*flats?$/, ''));
    return n
      ? {
          value: 60 * n.value,
          said: `${n.value} ${Math.abs(n.value) === 1 ? 'flat' : 'flats'} · ${(60 * n.value).toFixed(0)}°`,
        }
      : { message: 'Type how many flats, for example 1; −1 for one back.' };
  }
  if (kind === 'count') {
    const n = parseTypedNumber(text);
    return n && Number.isInteger(n.value) && n.value >= 0
      ? { value: n.value, said: `${n.value}` }
      : { message: 'Type a whole number, for example 12.' };
  }
  const off = nominalMm === undefined ? null : fromNominal(text, nominalMm, unit);
  if (off)
    return {
      value: off.mm,
      said: `${formatLength(off.mm, 'mm')} · ${formatLength(off.mm, 'in')}`,
      note: off.said,
    };
  const point = unit === 'mm' && believable ? leadingPoint(text, believable) : null;
  if (point && 'ask' in point) return { message: point.ask };
  if (point)
    return {
      value: point.mm,
      said: `${formatLength(point.mm, 'mm')} · ${formatLength(point.mm, 'in')}`,
      note:
        point.mm > Number(text) ? 'a leading point is read as inches: no mm are so small here' : undefined,
    };
  const length = parseLength(text, unit);
  if (!length.ok) return { message: length.message };
  return {
    value: length.mm,
    said: `${formatLength(length.mm, 'mm')} · ${formatLength(length.mm, 'in')}`,
    note: length.assumed,
  };
}
