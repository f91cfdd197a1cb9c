import type { Instrument } from '@fulcrant/core/instruments';
import type { Place } from '@fulcrant/core/job';
import { expect, it } from 'vitest';
import { touchesNear } from './touches.ts';

const gap = { quantity: 'gap', low: 0, high: 0.5 } as Place;
const feelers = { kind: 'feeler', step: 0.005, low: 0.03, high: 1 } as Instrument;

it('blades lie ready round the one that went last, thickest first, none the set has not', () => {
  expect(touchesNear(gap, feelers, 0.085, 'mm')).toEqual([
    '0.090',
    '0.085',
    '0.080',
    '0.075',
    '0.070',
    '0.065',
  ]);
  expect(touchesNear(gap, feelers, 0.04, 'mm')).toEqual(['0.045', '0.040', '0.035', '0.030']);
  expect(touchesNear(gap, { ...feelers, step: 0.0254 / 2 }, 0.0762, 'in')).toEqual([
    '0.0035',
    '0.0030',
    '0.0025',
    '0.0020',
    '0.0015',
  ]);
});

it('a pointer goes either way, through nought too', () => {
  const at = { quantity: 'dial', low: -5, high: 5 } as Place;
  const dial = { kind: 'dial', step: 0.01, low: 0, high: 10 } as Instrument;
  expect(touchesNear(at, dial, 0.01, 'mm')).toEqual([
    '0.040',
    '0.030',
    '0.020',
    '0.010',
    '0.000',
    '-0.010',
    '-0.020',
  ]);
  expect(touchesNear({ ...at, quantity: 'gap' }, dial, 0.01, 'mm')).toEqual([]);
});

it('nothing is offered that nobody felt, nor with a gauge that has no blades', () => {
  expect(touchesNear(gap, feelers, null, 'mm')).toEqual([]);
  expect(touchesNear(gap, null, 0.085, 'mm')).toEqual([]);
  expect(touchesNear(gap, { ...feelers, kind: 'micrometer' }, 0.085, 'mm')).toEqual([]);
  expect(touchesNear({ ...gap, quantity: 'angle' }, feelers, 0.085, 'mm')).toEqual([]);
});
