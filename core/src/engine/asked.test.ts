import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromForm, toForm } from '../job/setup-form.ts';
import { arbitrarySetup } from '../testing/arbitrary-setup.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND } from '../testing/every-kind.ts';
import { askedOf, fieldsOf, formName, lacking, standsAs, valueIn } from './asked.ts';
import { saysOnlyWhatWasAsked } from './here.ts';
import type { Setup } from './setup.ts';
import { allTrades, tradeOf } from './trades.ts';

describe.each(allTrades())('what is asked for a job of $id', ({ schema }) => {
  const fields = fieldsOf(schema);

  it('each field has one name, a label, a group, and is typed in something', () => {
    expect(new Set(fields.map((f) => f.name)).size).toBe(fields.length);
    for (const f of fields) {
      expect(english(f.label).trim(), f.name).not.toBe('');
      expect(english(f.group).trim(), f.name).not.toBe('');
      // A form library reads a dot as nesting: at most one, which travels as a colon.
      expect(formName(f.name), f.name).not.toContain('.');
    }
  });

  it('choices are told apart, by what is kept and by what is said', () => {
    for (const f of fields.filter((x) => x.options)) {
      const options = f.options ?? [];
      expect(new Set(options.map(([v]) => v)).size, f.name).toBe(options.length);
      expect(new Set(options.map(([, said]) => said)).size, f.name).toBe(options.length);
      if (f.fallback !== undefined) expect(options.map(([v]) => v)).toContain(f.fallback);
    }
  });

  it('labels of what is asked at the same time are told apart', () => {
    for (const usual of Object.values(EVERY_KIND).filter((s) => tradeOf(s).schema === schema)) {
      const asked = askedOf(schema, usual);
      const said = asked.map((f) => `${english(f.group)} / ${english(f.label)}`);
      const twice = said.filter((s, i) => said.indexOf(s) !== i);
      expect(twice).toEqual([]);
    }
  });
});

describe.each(Object.entries<Setup>(EVERY_KIND))('%s', (_name, usual) => {
  const { schema } = tradeOf(usual);

  it('a setup as a form and back is the same setup', () => {
    const trade = tradeOf(usual);
    const back = fromForm(trade, toForm(trade, usual, 'mm'), 'mm');
    expect('faults' in back ? back.faults : {}).toEqual({});
    if (!('setup' in back)) return;
    for (const f of askedOf(schema, usual)) {
      const [then, now] = [valueIn(usual, f.name), valueIn(back.setup, f.name)];
      if (typeof then === 'number' && typeof now === 'number') expect(now, f.name).toBeCloseTo(then, 3);
      // A flag that is off may be left out.
      else if (then !== undefined) expect(now ?? false, f.name).toEqual(then);
    }
  });

  it('what it lacks is asked for it, has a sentence, and nothing is lacking once it is said', () => {
    fc.assert(
      fc.property(arbitrarySetup(usual), (setup) => {
        const asked = new Set(askedOf(schema, setup).map((f) => f.name));
        for (const { path, message } of lacking(schema, setup)) {
          expect(asked).toContain(path);
          expect(english(message)).toMatch(/^[A-Z].{5,}$/s);
          expect(valueIn(setup, path)).toBeUndefined();
        }
      }),
      { numRuns: 15, seed: 20261127 },
    );
    expect(lacking(schema, usual)).toEqual([]);
  });

  it('the form it stands as says of every field what is in the setup', () => {
    const form = standsAs(fieldsOf(schema), usual);
    for (const f of fieldsOf(schema)) {
      const v = valueIn(usual, f.name);
      const said = form[formName(f.name)] ?? '';
      if (v === undefined || v === null) expect([said, '']).toContain(f.fallback ?? '');
      else if (typeof v === 'number') expect(Number(said)).toBe(v);
    }
  });

  it('a change that says what a step asked for is told from one that changes what stood', () => {
    const later = fieldsOf(schema).find(
      (f) => f.later && !f.name.includes('.') && valueIn(usual, f.name) !== undefined,
    );
    if (!later) return;
    const { [later.name as keyof Setup]: _said, ...before } = usual as unknown as Record<string, unknown>;
    const unsaid = before as unknown as Setup;
    expect(saysOnlyWhatWasAsked(unsaid, usual)).toBe(true);
    expect(saysOnlyWhatWasAsked(unsaid, { ...usual, machine: 'Another' })).toBe(false);
    expect(saysOnlyWhatWasAsked(usual, usual)).toBe(false);
    // Said once, it stands: said again otherwise it is a change.
    expect(saysOnlyWhatWasAsked(usual, unsaid)).toBe(false);
  });
});
