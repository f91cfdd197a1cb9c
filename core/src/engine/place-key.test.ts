import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placeKey } from './place-key.ts';

describe('keys of places', () => {
  const felt = placeKey('deg{deg}/{row:A|B}/{n}');
  it('are written and read back, whatever stands in them (property)', () => {
    const number = fc.oneof(
      fc.nat(3600),
      fc.nat(7200).map((n) => n / 2),
    );
    fc.assert(
      fc.property(number, fc.constantFrom('A' as const, 'B' as const), fc.nat(99), (deg, row, n) => {
        expect(felt.read(felt.write({ deg, row, n }))).toEqual({ deg, row, n });
      }),
    );
  });
  it('of another form are none of them, and one key has one spelling', () => {
    for (const key of [
      'deg45/C/1',
      'deg045/A/1',
      'deg45/A',
      'deg45/A/1/2',
      'xdeg45/A/1',
      '',
      'deg/A/1',
      'deg1e3/A/1',
    ])
      expect(felt.read(key), key).toBeNull();
    expect(felt.read(undefined)).toBeNull();
  });
});
