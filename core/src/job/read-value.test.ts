import { describe, expect, it } from 'vitest';
import { readValue } from './read-value.ts';

describe('what was typed, said back', () => {
  it('in both units, before anything is stored', () => {
    expect(readValue('3 thou', 'gap', 'mm')).toMatchObject({ said: '0.076 mm · 0.0030 in' });
    expect(readValue('0.077', 'gap', 'mm')).toMatchObject({ value: 0.077 });
    expect(readValue('0.003', 'gap', 'in')).toMatchObject({ said: '0.076 mm · 0.0030 in' });
  });
  it('with the assumption named where one was made', () => {
    const blade = (mm: number) => mm >= 0.02 && mm <= 1;
    expect(readValue('.03', 'gap', 'mm', blade)).toEqual({ message: expect.stringMatching(/could be/) });
    expect(readValue('.0015', 'gap', 'mm', blade)).toMatchObject({
      value: 0.0381,
      note: expect.stringMatching(/inches/),
    });
    expect(readValue('.0015', 'gap', 'in')).toMatchObject({ note: undefined });
  });
  it('angles in degrees and parts of a turn', () => {
    expect(readValue('1/16 turn', 'angle', 'mm')).toEqual({ value: 22.5, said: '22.5° · 0.063 turn' });
  });
  it('or why not', () => {
    expect(readValue('a bit', 'gap', 'mm')).toEqual({ message: expect.stringMatching(/not a length/) });
    expect(readValue('a bit', 'angle', 'mm')).toEqual({ message: expect.stringMatching(/angle/) });
  });
  it('a roughness in µm and µin, kept as mm', () => {
    // 32 µin = 0.8128 µm (exact: 1 in = 25.4 mm)
    expect(readValue('32 µin', 'roughness', 'mm')).toMatchObject({ said: '0.81 µm · 32 µin' });
    expect(readValue('0.8', 'roughness', 'mm')).toMatchObject({ value: 0.0008 });
    expect(readValue('32', 'roughness', 'in')).toMatchObject({ said: '0.81 µm · 32 µin' });
    expect(readValue('-0.8', 'roughness', 'mm')).toEqual({ message: expect.stringMatching(/roughness/) });
  });
});
