import { describe, expect, it } from 'vitest';
import { eventSchema } from '../engine/events.ts';
import { setupListing } from '../engine/setup-schema.ts';
import { allTrades, enrol, reportAt } from '../engine/trades.ts';
import { openingFor } from '../job/opening.ts';
import { fieldsAsked, fromForm, toForm } from '../job/setup-form.ts';
import { summarise } from '../job/summary.ts';
import { check } from '../judgement/sentences.ts';
import { sayIn } from '../quantities/say.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { doorGap, doorstop } from '../testing/doorstop/doorstop.ts';
import { workAll } from '../testing/every-kind.ts';
import { handAt, tools } from '../testing/test-stand.ts';

// All the house is told of it: one line of the list of trades.
enrol([doorstop]);

const setup = Object.values(doorstop.example.setups)[0];
if (!setup) throw new Error('It has no example.');

describe('a trade the house has never seen', () => {
  it('is offered, asked for in a form, and read back from it', () => {
    expect(allTrades().at(-1)?.words.offer[0]).toBe('Set a door’s stop');
    const form = toForm(
      doorstop,
      { ...openingFor(doorstop, { place: null, rules: undefined }).start, ...setup },
      'in',
    );
    expect(form.gapMm).toBe('0.1181 in');
    expect(fieldsAsked(doorstop, form).map((f) => f.label)).toEqual([
      'Machine',
      'Position',
      'Part, as stamped',
      'Lead hand releases before',
      'Gap wanted',
      'Gap, most',
    ]);
    const read = fromForm(doorstop, { ...form, gapMm: '3 mm', 'maker:mostMm': '1/8 in' }, 'mm');
    expect(read).toMatchObject({ setup: { gapMm: 3, maker: { mostMm: 3.175 } } });
    expect(fromForm(doorstop, { ...form, gapMm: 'wide' }, 'mm')).toMatchObject({
      faults: { gapMm: expect.stringMatching(/not a length/) },
    });
  });

  it('has its setup told as JSON Schema, with what is asked for each field', () => {
    const listed = setupListing().find((t) => t.id === 'doorstop');
    expect(listed?.setup).toMatchObject({
      type: 'object',
      properties: { gapMm: { type: 'number', title: 'Gap wanted', minimum: 0.1 } },
    });
  });

  it('is opened, worked, signed and told on a sheet in both units', () => {
    const h = workAll(handAt(setup));
    for (const e of h.events) expect(check(eventSchema, e).ok).toBe(true);
    const sheet = fitUpSheet(h.state, 'D-1');
    expect(sheet).toMatchObject({
      name: 'Door sheet',
      procedure: { id: 'doorstop' },
      results: { gapMm: 3.2 },
      rows: [['Gap', { mm: '3.200 mm', in: '0.1260 in' }]],
    });
    const lines = sheet.document.flatMap((b) => (b.block === 'line' ? [sayIn(b.text, 'in')] : []));
    expect(lines).toContain('Gap wanted: 0.12 in');
    expect(sheet.document.some((b) => b.block === 'drawings')).toBe(true);
    expect(summarise(h.state)).toMatchObject({ kind: 'doorstop', signedBy: 'Asta', role: null });
  });

  it('stops where its own limit is passed, and its numbers come in their own type', () => {
    const h = handAt({ ...setup, maker: { mostMm: 3.1 } })
      .safe()
      .read('gap', 'gap', 3.2, 'feeler');
    expect(doorGap.valuesOf(reportAt(h.state, 'gap'))?.gapMm).toBe(3.2);
    expect(() => h.pass('gap')).toThrow(/most 3\.100 mm/);
    expect(tools.feeler.kind).toBe('feeler');
  });
});
