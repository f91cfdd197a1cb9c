import { describe, expect, it } from 'vitest';
import { type Kept, makeRoom, putSheet, readSheet, shelfKey } from './shelf.ts';

/** What a browser keeps, with room for so many letters. */
function shelf(room = Number.POSITIVE_INFINITY) {
  const kept = new Map<string, string>();
  return {
    get length() {
      return kept.size;
    },
    key: (i: number) => [...kept.keys()][i] ?? null,
    getItem: (k: string) => kept.get(k) ?? null,
    setItem(k: string, v: string) {
      if (v.length > room) throw new DOMException('full', 'QuotaExceededError');
      kept.set(k, v);
    },
    removeItem: (k: string) => void kept.delete(k),
  };
}
const sheet = (day: number): Kept => ({
  events: [{ at: `2026-11-${String(day).padStart(2, '0')}T06:00:00Z` }] as Kept['events'],
  log: [],
  call: null,
  result: null,
});

describe('practice sheets on a device', () => {
  it('are each person’s own, and read again as they were left', () => {
    const store = shelf();
    expect(putSheet(store, shelfKey('asta', 'seat.one.5'), sheet(3))).toBe(true);
    expect(readSheet(store, shelfKey('asta', 'seat.one.5'))).toEqual(sheet(3));
    expect(readSheet(store, shelfKey('bram', 'seat.one.5'))).toBeNull();
  });

  it('what is no sheet is none; what the device cannot keep is said', () => {
    const store = shelf(200);
    const key = shelfKey('asta', 'x');
    for (const odd of ['{', 'null', '5', '[]', '{"events":1}', '{"events":[],"log":[]}']) {
      store.setItem(key, odd);
      expect(readSheet(store, key)).toBeNull();
    }
    expect(putSheet(shelf(10), key, sheet(1))).toBe(false);
  });

  it('a dozen at the most: those begun longest ago go, never the one asked for, never what is not practice', () => {
    const store = shelf();
    store.setItem('fulcrant.theme', 'night');
    for (let d = 1; d <= 15; d++) putSheet(store, shelfKey('asta', `b${d}`), sheet(d));
    makeRoom(store, shelfKey('asta', 'b1'));
    const left = Array.from({ length: store.length }, (_, i) => store.key(i));
    expect(left).toContain('fulcrant.theme');
    expect(left).toContain(shelfKey('asta', 'b1'));
    expect(left).not.toContain(shelfKey('asta', 'b2'));
    expect(left).toContain(shelfKey('asta', 'b15'));
    expect(left.length).toBe(13);
    makeRoom(store, shelfKey('asta', 'new'));
    expect(store.length).toBe(12);
  });
});
