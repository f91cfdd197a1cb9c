import { formatFrequency } from '../quantities/frequency.ts';
import { force, len, pres, rough, temp, tor, velocity } from '../quantities/say.ts';
import type { Instrument } from './instrument.ts';

/** What a gauge measures, in the unit inside. */
export type Quantity =
  | 'length'
  | 'roughness'
  | 'angle'
  | 'torque'
  | 'pressure'
  | 'temperature'
  | 'count'
  | 'velocity'
  | 'frequency'
  | 'force';

const QUANTITY: Record<Instrument['kind'], Quantity> = {
  micrometer: 'length',
  feeler: 'length',
  dial: 'length',
  caliper: 'length',
  laser: 'length',
  roughness: 'roughness',
  wrench: 'torque',
  protractor: 'angle',
  pressure: 'pressure',
  thermometer: 'temperature',
  gun: 'count',
  counter: 'count',
  vibration: 'velocity',
  tension: 'frequency',
  force: 'force',
};

/** What a kind of gauge measures. @example quantityOf('dial') // 'length' */
export const quantityOf = (kind: Instrument['kind']): Quantity => QUANTITY[kind];

export type OpenUnit =
  | 'mm'
  | 'µm'
  | 'deg'
  | 'N·m'
  | 'MPa'
  | '°C'
  | 'strokes'
  | 'drops/min'
  | 'mm/s'
  | 'Hz'
  | 'N';

const OPEN_UNIT: Record<Quantity, OpenUnit> = {
  length: 'mm',
  roughness: 'µm',
  angle: 'deg',
  torque: 'N·m',
  pressure: 'MPa',
  temperature: '°C',
  count: 'strokes',
  velocity: 'mm/s',
  frequency: 'Hz',
  force: 'N',
};

/**
 * A reading in the unit open data carries it in: lengths mm, roughness µm, angles degrees, pressures MPa, temperatures °C.
 * @example inOpenUnit('roughness', 0.0008) // { value: 0.8, unit: 'µm' }
 */
export function inOpenUnit(kind: Instrument['kind'], value: number): { value: number; unit: OpenUnit } {
  const quantity = quantityOf(kind);
  return {
    value: Number((quantity === 'roughness' ? 1000 * value : value).toFixed(6)),
    unit: kind === 'counter' ? 'drops/min' : OPEN_UNIT[quantity],
  };
}

/** A reading in a sentence, with its quantity mark. */
export function sayReading(kind: Instrument['kind'], value: number): string {
  switch (quantityOf(kind)) {
    case 'length':
      return len(value);
    case 'roughness':
      return rough(1000 * value);
    case 'angle':
      return `${Number(value.toFixed(2))}°`;
    case 'torque':
      return tor(value);
    case 'pressure':
      return pres(value);
    case 'temperature':
      return temp(value);
    case 'velocity':
      return velocity(value);
    case 'frequency':
      return formatFrequency(value);
    case 'force':
      return force(value);
    case 'count':
      return kind === 'counter'
        ? `${value} drops a minute`
        : `${value} ${value === 1 ? 'stroke' : 'strokes'}`;
  }
}
