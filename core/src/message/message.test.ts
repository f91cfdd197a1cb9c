import { type MessageFormatElement, parse, TYPE } from '@formatjs/icu-messageformat-parser';
import { describe, expect, it } from 'vitest';
import { len, say, sayAll, tor } from '../quantities/say.ts';
import { definedMessages, englishOf, type ParamKind } from './define.ts';
import { ENGLISH, formatText, PSEUDO, textIn } from './language.ts';
import { expr, inline, isAmount, isMessage, listOf, sameText, starting, textKey } from './message.ts';
import '../sheet/kept-words.ts';
import { RETIRED } from '../sheet/words/retired.ts';

/** Every folder that says something: of core, server, pages and practice. */
const FOLDERS = import.meta.glob('../../../{core,server,web,packages/practice}/src/**/messages.ts', {
  eager: true,
});

/** What an ICU text takes: each argument with the answers it tells apart, where it tells any. */
function argumentsOf(icu: string): Map<string, string[] | 'plural' | null> {
  const found = new Map<string, string[] | 'plural' | null>();
  const walk = (parts: readonly MessageFormatElement[]) => {
    for (const p of parts) {
      if (p.type === TYPE.argument && !found.has(p.value)) found.set(p.value, null);
      if (p.type === TYPE.select) {
        found.set(
          p.value,
          Object.keys(p.options).filter((k) => k !== 'other'),
        );
        for (const o of Object.values(p.options)) walk(o.value);
      }
      if (p.type === TYPE.plural) {
        found.set(p.value, 'plural');
        for (const o of Object.values(p.options)) walk(o.value);
      }
    }
  };
  walk(parse(icu, { ignoreTag: true }));
  return found;
}

/** A value of each kind, to try a text with. */
const VALUE: Readonly<Record<Exclude<ParamKind, readonly string[]>, string | number>> = {
  length: '1 mm',
  torque: '1 N·m',
  pressure: '1 MPa',
  temperature: '1 °C',
  difference: '1 K',
  roughness: '1 µm',
  area: '1 mm²',
  force: '1 N',
  velocity: '1 mm/s',
  count: 2,
  name: 'Asta',
  text: 'so',
};

describe('every message', () => {
  it('takes the arguments its text names, and tells apart the answers its facts can give', () => {
    expect(Object.keys(FOLDERS).length).toBeGreaterThan(50);
    const all = [...definedMessages()];
    expect(all.length).toBeGreaterThan(6500);
    for (const [id, { params, words }] of all) {
      const taken = argumentsOf(words);
      expect([...taken.keys()].sort(), id).toEqual(Object.keys(params).sort());
      for (const [name, answers] of taken) {
        const kind = params[name] as ParamKind;
        if (answers === 'plural') expect(kind, `${id} ${name}`).toBe('count');
        else if (answers)
          expect([...answers].sort(), `${id} ${name}`).toEqual([...(kind as string[])].sort());
        else expect(Array.isArray(kind), `${id} ${name}`).toBe(false);
      }
      const args = Object.fromEntries(
        Object.entries(params).map(([name, kind]) => [
          name,
          Array.isArray(kind) ? kind[0] : VALUE[kind as keyof typeof VALUE],
        ]),
      );
      expect(formatText(words, args, PSEUDO), id).not.toMatch(/\{|undefined/);
    }
  });

  it('is accented throughout in the language that is none, its arguments kept', () => {
    for (const [id, { words }] of definedMessages()) {
      const dressed = textIn(id, PSEUDO);
      expect([...argumentsOf(dressed).keys()].sort(), id).toEqual([...argumentsOf(words).keys()].sort());
      expect(dressed.startsWith('⟦'), id).toBe(true);
    }
  });
});

describe('texts', () => {
  it('a signed sheet still says what was said under an id that is no longer used', () => {
    for (const [id, words] of Object.entries(RETIRED)) {
      expect(englishOf(id), id).toBeUndefined();
      expect(textIn(id, ENGLISH)).toBe(words);
    }
  });

  it('are said in the reader’s units: quantities first, then the words', () => {
    const text = listOf([len(0.0254), expr`${tor(180)} × ${2}`], '; ');
    expect(say(text, 'mm')).toBe('0.025 mm; 180 N·m × 2');
    expect(say(text, 'in')).toBe('0.0010 in; 133 lbf·ft × 2');
    expect(sayAll({ a: [len(1, 0)], b: 'so', c: null }, 'mm')).toEqual({ a: ['1 mm'], b: 'so', c: null });
  });

  it('plurals and choices are the language’s, kept text as it was read', () => {
    const icu = '{n, plural, one {# bolt} other {# bolts}} {how, select, loose {loose} other {tight}}';
    expect(formatText(icu, { n: 1, how: 'loose' }, PSEUDO)).toBe('1 bolt loose');
    expect(formatText(icu, { n: 3, how: 'x' }, PSEUDO)).toBe('3 bolts tight');
    expect(say({ mm: '1 mm', in: '0.04 in' }, 'in')).toBe('0.04 in');
  });

  it('a label inside a sentence gives way as its language has it', () => {
    expect(say(inline('Row A, set 1'), 'mm')).toBe('row a, set 1');
    expect(say(inline('Row A, set 1', 'first'), 'mm')).toBe('row A, set 1');
    expect(say(starting('row A'), 'mm')).toBe('Row A');
  });

  it('are told apart by ids and numbers, never by words; a key stays short and plain', () => {
    const one = { id: 'a.b', params: { n: 2, at: len(0.5) } };
    expect(textKey(one)).toBe('a.b(n=2,at=mm:0.5 digits:3)');
    expect(sameText(one, JSON.parse(JSON.stringify(one)))).toBe(true);
    expect(sameText(one, { ...one, params: { n: 3 } })).toBe(false);
    expect(isMessage({ id: 'x', params: {}, more: 1 })).toBe(false);
    expect(isAmount({ mm: '1 mm', in: '0.04 in' })).toBe(false);
  });
});
