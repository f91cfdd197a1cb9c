import { describe, expect, it } from 'vitest';
import { siteRulesSchema } from '../api/requests.ts';
import { allMethods, allTrades } from '../engine/trades.ts';
import { say } from '../quantities/say.ts';
import { chosenOf, idsOf } from '../sources/methods.ts';
import { english } from '../testing/english.ts';
import './registry.ts';

const METHODS = allMethods();

describe('where practitioners disagree', () => {
  it('every method has its own id, and a trade that declares it, but those that belong to all', () => {
    expect(new Set(METHODS.map((m) => m.id)).size).toBe(METHODS.length);
    const declared = allTrades().flatMap((t) => (t.slots.methods ?? []).map((m) => m.id));
    for (const m of METHODS.filter((x) => !['decision', 'hands', 'depth'].includes(x.id)))
      expect(declared).toContain(m.id);
  });

  it.each(METHODS)('$id: each answer can be chosen by a site, and nothing else can', async (m) => {
    const schema = siteRulesSchema();
    for (const id of idsOf(m)) expect(await schema.isValid({ [m.id]: id })).toBe(true);
    expect(await schema.isValid({ [m.id]: 'as we always did' })).toBe(false);
  });

  it('each says what it means and on whose word, told apart from the others in either unit', () => {
    for (const m of METHODS) {
      for (const unit of ['mm', 'in'] as const) {
        const said = m.answers.map(([, words]) => say(words, unit));
        expect(new Set(said).size, m.id).toBe(said.length);
      }
      for (const [, , source] of m.answers) expect(english(source).trim(), m.id).not.toBe('');
      expect(english(m.ask), m.id).toMatch(/^[A-Z]/);
      expect(english(m.why), m.id).toMatch(/[.]$/);
    }
  });

  it('where a site has said nothing, or something the method does not know, what is usual is in force', () => {
    for (const m of METHODS) {
      expect(idsOf(m)).toContain(m.usual);
      expect(chosenOf({}, m)).toBe(m.usual);
      expect(chosenOf({ [m.id]: 'as we always did' }, m)).toBe(m.usual);
    }
  });

  it('a new job of a trade begins by what was chosen', () => {
    for (const t of allTrades()) {
      const usual = JSON.stringify(t.slots.byRules?.({}) ?? null);
      for (const m of t.slots.methods ?? []) {
        if (m.ofJob || usual === 'null') continue;
        const other = idsOf(m).find((id) => id !== m.usual) ?? m.usual;
        // The first fill is asked for by the field itself, by the id of its method.
        if (m.id === 'fill') continue;
        expect(JSON.stringify(t.slots.byRules?.({ [m.id]: other })), `${t.id} ${m.id}`).not.toBe(usual);
      }
    }
  });
});
