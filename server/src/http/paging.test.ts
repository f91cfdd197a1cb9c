import type { Context } from 'koa';
import { describe, expect, it } from 'vitest';
import { limitOf, pageOf, positionOf, typedOf } from './paging.ts';

/** A request with this behind its question mark, as Koa reads it: what stands there twice is a list. */
const asked = (search: string): Context => {
  const all = new URLSearchParams(search);
  const query = Object.fromEntries(
    [...new Set(all.keys())].map((k) => [k, all.getAll(k).length > 1 ? all.getAll(k) : all.get(k)]),
  );
  return { query } as unknown as Context;
};
const ID = '018f0000-0000-7000-8000-aaaaaaaaaaaa';

describe('a page of a list', () => {
  it('is a hundred long where nothing is said, and what is said where it is', () => {
    expect(limitOf(asked(''))).toBe(100);
    expect(limitOf(asked('limit=7'))).toBe(7);
    // Said twice, the first holds.
    expect(limitOf(asked('limit=7&limit=9'))).toBe(7);
  });
  it.each(['0', '201', '-1', '1.5', 'ten', 'NaN', 'Infinity', ''])('is never %j long', (limit) => {
    expect(() => limitOf(asked(`limit=${limit}`))).toThrow(/whole number from 1 to 200/);
  });

  it('goes on after the last one seen, and after nothing else', () => {
    expect(pageOf(asked(`after=${ID}&limit=5`))).toEqual({ after: ID, limit: 5 });
    expect(pageOf(asked(`after=1764238000000.${ID}`)).after).toBe(`1764238000000.${ID}`);
    expect(pageOf(asked('')).after).toBeUndefined();
    for (const odd of ['x', `${ID}x`, `1e5.${ID}`, `${ID} OR 1=1`, `-1.${ID}`])
      expect(() => pageOf(asked(`after=${encodeURIComponent(odd)}`)), odd).toThrow(/the page before/);
  });

  it('a search and a position are what they are', () => {
    expect(typedOf(asked('q=line%20pump'))).toBe('line pump');
    expect(typedOf(asked(''))).toBe('');
    expect(() => typedOf(asked(`q=${'x'.repeat(81)}`))).toThrow(/80 characters/);
    expect(positionOf(asked(`position=${ID}`))).toBe(ID);
    expect(positionOf(asked(''))).toBeUndefined();
    expect(() => positionOf(asked('position=here'))).toThrow(/id of a position/);
  });
});
