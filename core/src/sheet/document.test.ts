import { describe, expect, it } from 'vitest';
import type { Setup } from '../engine/setup.ts';
import { allTrades } from '../engine/trades.ts';
import type { Drawing, Shape } from '../judgement/drawing.ts';
import { keepSaid, say } from '../quantities/say.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, workAll } from '../testing/every-kind.ts';
import { handAt } from '../testing/test-stand.ts';
import type { Block } from './form.ts';
import { joinSaid } from './join.ts';
import { fitUpSheet } from './sheet.ts';
import { whenIn } from './when.ts';

/** Every word of a block in one unit. */
function words(b: Block, unit: 'mm' | 'in'): string[] {
  switch (b.block) {
    case 'results':
      return b.rows.flatMap(([k, v]) => [say(k, unit), say(v, unit)]);
    case 'line':
      return [say(b.lead ?? '', unit), say(b.text, unit), b.small ? say(b.small, unit) : ''];
    case 'table':
      return b.rows.flatMap((r) => r.cells.map((c) => say(c, unit)));
    case 'working':
      return b.rows.flatMap(([w, s]) => [say(w, unit), say(s, unit)]);
    case 'heading':
      return [say(b.text, unit)];
    case 'photos':
      return b.photos.flatMap((p) => [p.words, say(p.small, unit)]);
    case 'drawings':
      return b.drawings.flatMap((d) =>
        d.shapes.flatMap((s) => (s.shape === 'text' ? [say(s.text, unit)] : [])),
      );
  }
}

describe.each(Object.entries<Setup>(EVERY_KIND))('the sheet of a job %s', (_name, setup) => {
  const h = workAll(handAt(setup));
  const sheet = fitUpSheet(h.state, 'F-1');

  it('names places as a person would, never by their keys', () => {
    for (const r of sheet.readings) {
      expect(english(r.name), r.place).not.toBe(r.place);
      expect(english(r.name)).toMatch(/^[A-Z0-9]/);
    }
    const tables = sheet.document.filter((b) => b.block === 'table').flatMap((b) => words(b, 'mm'));
    for (const r of sheet.readings) expect(tables).not.toContain(r.place);
  });

  it('is in inches throughout for who reads inches: no number left in mm, and the other way round', () => {
    const inch = sheet.document.flatMap((b) => words(b, 'in'));
    const metric = sheet.document.flatMap((b) => words(b, 'mm'));
    // What a person typed stands as it was typed.
    const typed = new Set(sheet.readings.map((r) => r.typed));
    for (const w of inch.filter((x) => !typed.has(x))) expect(w).not.toMatch(/\d (mm|µm|N·m|MPa|°C)\b/);
    for (const w of metric.filter((x) => !typed.has(x))) expect(w).not.toMatch(/\d (in|µin|lbf·ft|psi|°F)\b/);
    expect(inch).toHaveLength(metric.length);
  });

  it('has every reading, bolt, passed step and the signature in its blocks', () => {
    const all = sheet.document.flatMap((b) => words(b, 'mm')).join('\n');
    const tables = sheet.document.filter((b) => b.block === 'table').filter((b) => b.of !== 'verdicts');
    const rows = tables.flatMap((b) => b.rows);
    // A row a reading; of bolts each once, those of a pass in one row in their order.
    const bolts = rows.filter((r) => /^\d+( · \d+)*$/.test(english(r.cells[1] ?? '')));
    expect(rows).toHaveLength(sheet.readings.length + bolts.length);
    expect(bolts.flatMap((r) => english(r.cells[1] ?? '').split(' · '))).toHaveLength(sheet.bolts.length);
    expect(all.match(/Passed by Asta/g)).toHaveLength(sheet.steps.filter((s) => s.passed).length);
    expect(all).toContain('Signed\nAsta');
  });
});

/** Nothing of a drawing lies outside it, as far as it is not turned or moved as a whole. */
function insideItself(d: Drawing): void {
  const [x0, y0] = d.from ?? [0, 0];
  const look = (shapes: readonly Shape[]): void => {
    for (const s of shapes) {
      if (s.shape === 'group' && !s.turn && !s.shift && s.scale === undefined) look(s.shapes);
      if (s.shape === 'group' || s.shape === 'path') continue;
      for (const [x, y] of s.shape === 'line' ? s.points : [s.at]) {
        const where = `${JSON.stringify(english(d.title))}: ${JSON.stringify(english(s))}`;
        expect(x, where).toBeGreaterThanOrEqual(x0);
        expect(x, where).toBeLessThanOrEqual(x0 + d.width);
        expect(y, where).toBeGreaterThanOrEqual(y0);
        expect(y, where).toBeLessThanOrEqual(y0 + d.height);
      }
    }
  };
  look(d.shapes);
}

describe('drawings on a sheet', () => {
  it.each(allTrades().map((t) => [t.id, t] as const))('%s has one where its work has a figure', (_id, t) => {
    const drawn = Object.values(t.example.setups).flatMap((setup) =>
      fitUpSheet(workAll(handAt(setup)).state, 'F-1').document.flatMap((b) =>
        b.block === 'drawings' ? b.drawings : [],
      ),
    );
    if (t.example.setups.surveyed === undefined) expect(drawn.length).toBeGreaterThan(0);
    for (const d of drawn) insideItself(d);
  });
});

describe('times on a sheet', () => {
  it('are the plant’s own: summer and winter by its zone, UTC where there is no such zone', () => {
    // Copenhagen is an hour ahead of UTC in winter, two in summer; the clock went back on 25 October 2026 at 01:00 UTC.
    const when = whenIn('Europe/Copenhagen');
    expect(when('2026-11-26T13:03:00Z')).toBe('2026-11-26 14:03');
    expect(when('2026-07-01T22:30:00Z')).toBe('2026-07-02 00:30');
    expect(when('2026-10-25T00:59:00Z')).toBe('2026-10-25 02:59');
    expect(when('2026-10-25T01:01:00Z')).toBe('2026-10-25 02:01');
    expect(whenIn('Nowhere/None')('2026-11-26T13:03:00Z')).toBe('2026-11-26 13:03');
    expect(when('not a time')).toBe('not a time');
  });
});

describe('texts put together', () => {
  it('stay one text while they are one, and are said in each unit where one part is', () => {
    expect(english(joinSaid(['a', null, '', 'b']))).toBe('a b');
    expect(keepSaid(joinSaid(['gap', { mm: '1 mm', in: '0.04 in' }], ': '))).toEqual({
      mm: 'gap: 1 mm',
      in: 'gap: 0.04 in',
    });
  });
});
