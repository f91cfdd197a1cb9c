import type { Place } from '@fulcrant/core';
import { describe, expect, it } from 'vitest';
import { understand } from './understand.ts';

const gap: Place = {
  key: 'set1/A',
  label: 'Set 1, row A',
  kind: 'gap',
  low: 0,
  high: 0.4,
  instrumentKinds: ['feeler'],
};
const angle: Place = { ...gap, key: 'turn', kind: 'angle' };

describe('what was typed, said back', () => {
  it('in both units, before anything is stored', () => {
    expect(understand('3 thou', gap, 'mm')).toMatchObject({ said: '0.076 mm · 0.0030 in' });
    expect(understand('0.077', gap, 'mm')).toMatchObject({ value: 0.077 });
    expect(understand('0.003', gap, 'in')).toMatchObject({ said: '0.076 mm · 0.0030 in' });
  });
  it('with the assumption named where one was made', () => {
    expect(understand('.0015', gap, 'mm')).toMatchObject({
      value: 0.0381,
      note: expect.stringMatching(/inches/),
    });
    expect(understand('.0015', gap, 'in')).toMatchObject({ note: undefined });
  });
  it('angles in degrees and parts of a turn', () => {
    expect(understand('1/16 turn', angle, 'mm')).toEqual({ value: 22.5, said: '22.5° · 0.063 turn' });
  });
  it('or why not', () => {
    expect(understand('a bit', gap, 'mm')).toEqual({ message: expect.stringMatching(/not a length/) });
    expect(understand('a bit', angle, 'mm')).toEqual({ message: expect.stringMatching(/angle/) });
  });
});
