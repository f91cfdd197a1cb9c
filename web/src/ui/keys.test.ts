import { COMMON, textKey } from '@fulcrant/core/messages';
import { describe, expect, it, vi } from 'vitest';
import { actOf, SAID } from './keys.ts';
import { M } from './messages.ts';

/** An element as far as the keys look at it. */
class Stub {
  constructor(private readonly inside: string | null) {}
  closest(selector: string) {
    return this.inside !== null && selector.includes(this.inside) ? this : null;
  }
}
const body = new Stub(null);
vi.stubGlobal('Element', Stub);
vi.stubGlobal('document', { body });

const press = (key: string, target: unknown = body, held: Partial<KeyboardEvent> = {}) =>
  actOf({ key, altKey: false, ctrlKey: false, metaKey: false, target: target as EventTarget, ...held });

describe('the keys of the sheet', () => {
  it('mean the sheet wherever nothing is typed', () => {
    expect(press('F9')).toBe('pass');
    expect(press('F9', new Stub('textarea'))).toBe('pass');
    expect(press(' ')).toBe('take');
    expect(press('?')).toBe('keys');
  });
  it('that are also typed stay in the field they are typed in', () => {
    expect(press('?', new Stub('textarea'))).toBeNull();
    expect(press(' ', new Stub('button'))).toBeNull();
  });
  it('with another key held are the browser’s, and others are nobody’s', () => {
    expect(press('F4', body, { altKey: true })).toBeNull();
    expect(press('?', body, { ctrlKey: true })).toBeNull();
    expect(press('a')).toBeNull();
    expect(press('constructor')).toBeNull();
  });
  it('are all said in one list, each once', () => {
    const said = SAID.map(([k]) => textKey(k));
    expect(new Set(said).size).toBe(said.length);
    for (const k of [COMMON.space.id, 'F2', 'F4', 'F8', 'F9', '?', M.enter.id]) expect(said).toContain(k);
  });
});
