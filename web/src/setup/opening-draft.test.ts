import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { dropOpening, keepOpening, openingDraft } from './opening-draft.ts';

let kept: Map<string, string>;
beforeEach(() => {
  kept = new Map();
  vi.stubGlobal('sessionStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
  });
});
afterEach(() => vi.unstubAllGlobals());

const draft = { kind: 'seal', position: null, values: { machine: 'Juice pump 2' }, unit: 'in' as const };

it('a form that was begun comes back as it was, until its sheet is opened', () => {
  expect(openingDraft()).toBeNull();
  keepOpening(draft);
  expect(openingDraft()).toEqual(draft);
  dropOpening();
  expect(openingDraft()).toBeNull();
});

it.each(['', '{', 'null', '7', '"text"', '[]', '{"kind":"seal"}', '{"values":{}}'])(
  'what is kept as %j is no form: a new one begins',
  (text) => {
    kept.set('fulcrant.opening', text);
    expect(openingDraft()).toBeNull();
  },
);

it('where the window keeps nothing at all a new one begins', () => {
  vi.stubGlobal('sessionStorage', {
    getItem: () => {
      throw new DOMException('denied', 'SecurityError');
    },
  });
  expect(openingDraft()).toBeNull();
});
