import { describe, expect, it } from 'vitest';
import { object } from 'yup';
import { afterRow, limit, position, typed } from './paging.ts';
import { queryAs } from './routes.ts';

const schema = object({ limit, q: typed, after: afterRow, position });
/** A request with this behind its question mark, as Koa reads it: what stands there twice is a list. */
function asked(search: string): Record<string, unknown> {
  const all = new URLSearchParams(search);
  const query = Object.fromEntries(
    [...new Set(all.keys())].map((k) => [k, all.getAll(k).length > 1 ? all.getAll(k) : (all.get(k) ?? '')]),
  );
  return queryAs(schema, query) as Record<string, unknown>;
}
const ID = '018f0000-0000-7000-8000-aaaaaaaaaaaa';

describe('a page of a list', () => {
  it('is a hundred long where nothing is said, and what is said where it is', () => {
    expect(asked('').limit).toBe(100);
    expect(asked('limit=7').limit).toBe(7);
    // Said twice, the first holds.
    expect(asked('limit=7&limit=9').limit).toBe(7);
  });
  it.each(['0', '201', '-1', '1.5', 'ten', 'NaN', 'Infinity', ''])('is never %j long', (n) => {
    expect(() => asked(`limit=${n}`)).toThrow(/whole number from 1 to 200/);
  });

  it('goes on after the last one seen, and after nothing else', () => {
    expect(asked(`after=${ID}&limit=5`)).toEqual({ after: ID, limit: 5, q: '' });
    expect(asked(`after=1764238000000.${ID}`).after).toBe(`1764238000000.${ID}`);
    expect(asked('').after).toBeUndefined();
    for (const odd of ['x', `${ID}x`, `1e5.${ID}`, `${ID} OR 1=1`, `-1.${ID}`])
      expect(() => asked(`after=${encodeURIComponent(odd)}`), odd).toThrow(/the page before/);
  });

  it('a search and a position are what they are; what nobody asks for is not looked at', () => {
    expect(asked('q=line%20pump').q).toBe('line pump');
    expect(asked('').q).toBe('');
    expect(() => asked(`q=${'x'.repeat(81)}`)).toThrow(/80 characters/);
    expect(asked(`position=${ID}`).position).toBe(ID);
    expect(asked('').position).toBeUndefined();
    expect(() => asked('position=here')).toThrow(/id of a position/);
    expect(asked('else=1')).not.toHaveProperty('else');
  });
});
