import { listCalculators, runCalculator } from '@fulcrant/core/calculators';
import { describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { labelOf, START } from './fields.ts';
import { type FlatSchema, inOtherUnit, isLines, readInput } from './read-input.ts';

const inputOf = (id: string, unit: 'mm' | 'in' = 'mm') => {
  const schema = listCalculators().find((c) => c.id === id)?.input as FlatSchema;
  return Object.fromEntries(
    Object.entries(schema.properties ?? {}).flatMap(([k, p]) => {
      const v = readInput(k, START[id]?.[k] ?? '', p, unit);
      return v === undefined ? [] : [[k, v]];
    }),
  );
};

describe('the bench', () => {
  it('has an example for every calculator, and each is worked without a fault', () => {
    for (const { id } of listCalculators()) {
      const answer = runCalculator(id, inputOf(id));
      expect([id, answer.ok ? [] : answer.faults]).toEqual([id, []]);
    }
  });
  it('every pointer that has a thickness says where it comes from', () => {
    for (const { id } of listCalculators()) {
      const answer = runCalculator(id, inputOf(id));
      for (const beam of answer.ok ? answer.result.beams : [])
        if (beam.expanded > 0)
          expect(beam.doubt?.length, `${id}: ${english(beam.label)}`).toBeGreaterThanOrEqual(3);
    }
  });
  it('calls every input by a name of its own', () => {
    for (const { id, input } of listCalculators())
      for (const key of Object.keys((input as FlatSchema).properties ?? {}))
        expect(labelOf(id, key), `${id} ${key}`).not.toBe(key);
  });
  it('reads lists, rows and records in the order the schema names them', () => {
    expect(inputOf('alignment.coupling').rimMm).toEqual([0, -0.2, -0.4, -0.2]);
    expect(inputOf('alignment.soft-foot').feet).toEqual([[0.02], [0.16, 0.17, 0.16, 0.18], [0.01], [0.03]]);
    expect(inputOf('shaft.play').end).toEqual([
      { pushMm: 0, pullMm: 0.1 },
      { pushMm: 0, pullMm: 0.11 },
    ]);
    expect(inputOf('box.face').heldOneWay).toBe(true);
    expect(inputOf('seal.angles').marks).toEqual({
      'gland-split': 0,
      'stationary-split': 88,
      'rotary-split': 95,
    });
    expect(inputOf('seal.angles').rules).toEqual([
      { a: 'gland-split', b: 'stationary-split', want: 'square' },
      { a: 'rotary-split', b: 'stationary-split', want: 'apart' },
    ]);
  });
  it('lengths of one field are read in the unit in force, fractions and all', () => {
    expect(readInput('shaftMm', '2 7/16', { type: 'number' }, 'mm')).toBeCloseTo(61.9125, 9);
    expect(readInput('shaftMm', '2', { type: 'number' }, 'in')).toBe(50.8);
    expect(readInput('shaftMm', 'thick', { type: 'number' }, 'mm')).toBe('thick');
  });
  it('a length keeps the unit it was typed in when another is in force; lists and other numbers stay', () => {
    const schema = listCalculators().find((c) => c.id === 'bearing.clearance-class')?.input as FlatSchema;
    const there = inOtherUnit(
      { boreMm: '100', bladeStepMm: '1/2', sets: '0.10 0.10', clearanceClass: 'C3' },
      schema.properties ?? {},
      'mm',
      'in',
    );
    expect(there).toEqual({ boreMm: '100 mm', bladeStepMm: '1/2', sets: '0.10 0.10', clearanceClass: 'C3' });
    expect(readInput('boreMm', there.boreMm ?? '', { type: 'number' }, 'in')).toBe(100);
    expect(inOtherUnit(there, schema.properties ?? {}, 'in', 'mm').boreMm).toBe('100 mm');
  });
  it('every example is worked without a fault on a device set to inches', () => {
    for (const { id, input } of listCalculators()) {
      const { properties = {} } = input as FlatSchema;
      const values = inOtherUnit(START[id] ?? {}, properties, 'mm', 'in');
      const read = Object.fromEntries(
        Object.entries(properties).flatMap(([k, p]) => {
          const v = readInput(k, values[k] ?? '', p, 'in');
          return v === undefined ? [] : [[k, v]];
        }),
      );
      expect([id, read]).toEqual([id, inputOf(id)]);
    }
  });
  it('what is no number stays as typed, so that the fault can be said beside its field', () => {
    const rows = { type: 'array', items: { type: 'array', items: { type: 'number' } } };
    expect(isLines(rows)).toBe(true);
    expect(readInput('feet', '0.1 a bit', rows, 'mm')).toEqual([[0.1, 'a', 'bit']]);
    const answer = runCalculator('alignment.soft-foot', { feet: [[0.1], ['a']], resolutionMm: 0.01 });
    expect(!answer.ok && answer.faults[0]?.path).toBe('feet[1][0]');
  });
});
