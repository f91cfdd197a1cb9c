import { describe, expect, it } from 'vitest';
import { readValue } from './read-value.ts';

describe('what was typed, said back', () => {
  it('a shaft is said by what it is over or under its nominal, signed and whole; nothing else is taken so', () => {
    const at = (text: string, unit: 'mm' | 'in') => readValue(text, 'diameter', unit, undefined, 90);
    expect(at('-26', 'mm')).toEqual({
      value: expect.closeTo(89.974, 9),
      said: '89.974 mm · 3.5423 in',
      note: '26 µm under 90.000 mm',
    });
    expect(at('+4', 'in')).toMatchObject({
      value: expect.closeTo(90 + 4 * 0.00254, 9),
      note: expect.stringMatching(/^4 tenths over 3\.5433 in$/),
    });
    expect(at('−3', 'mm')).toMatchObject({ value: expect.closeTo(89.997, 9) });
    // Unsigned, with a point, or with a unit it is what it says; without a nominal a sign is only a sign.
    for (const [text, mm] of [
      ['89.974', 89.974],
      ['26', 26],
      ['-0.026', -0.026],
      ['-26 mm', -26],
    ] as const)
      expect(at(text, 'mm')).toMatchObject({ value: mm });
    expect(readValue('-26', 'gap', 'mm')).toMatchObject({ value: -26 });
  });

  it('in both units, before anything is stored', () => {
    expect(readValue('3 thou', 'gap', 'mm')).toMatchObject({ said: '0.076 mm · 0.0030 in' });
    expect(readValue('0.077', 'gap', 'mm')).toMatchObject({ value: 0.077 });
    expect(readValue('0.003', 'gap', 'in')).toMatchObject({ said: '0.076 mm · 0.0030 in' });
  });
  it('with the assumption named where one was made', () => {
    const blade = (mm: number) => mm >= 0.02 && mm <= 1;
    expect(readValue('.03', 'gap', 'mm', blade)).toEqual({
      message: {
        id: 'quantities.couldWrite',
        params: { t: '.03', formatLength: '0.030 mm', formatLength2: '0.0300 in', replace: '0.03' },
      },
    });
    expect(readValue('.0015', 'gap', 'mm', blade)).toMatchObject({
      value: 0.0381,
      note: { id: 'job.leadingPointReadAsInches' },
    });
    expect(readValue('.0015', 'gap', 'in')).toMatchObject({ note: undefined });
  });
  it('angles in degrees and parts of a turn', () => {
    expect(readValue('1/16 turn', 'angle', 'mm')).toEqual({
      value: 22.5,
      said: { id: 'quantities.turn', params: { format: '22.5°', deg: '0.063' } },
    });
  });
  it('or why not', () => {
    expect(readValue('a bit', 'gap', 'mm')).toEqual({
      message: { id: 'quantities.notLengthWriteAs0', params: { text: 'a bit' } },
    });
    expect(readValue('a bit', 'angle', 'mm')).toEqual({
      message: { id: 'quantities.typeAngleDegreesExample11', params: {} },
    });
  });
  it('a roughness in µm and µin, kept as mm', () => {
    // 32 µin = 0.8128 µm (exact: 1 in = 25.4 mm)
    expect(readValue('32 µin', 'roughness', 'mm')).toMatchObject({ said: '0.81 µm · 32 µin' });
    expect(readValue('0.8', 'roughness', 'mm')).toMatchObject({ value: 0.0008 });
    expect(readValue('32', 'roughness', 'in')).toMatchObject({ said: '0.81 µm · 32 µin' });
    expect(readValue('-0.8', 'roughness', 'mm')).toEqual({
      message: { id: 'quantities.typeRoughnessSuchAs0', params: {} },
    });
  });
});
