import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Setup } from '@fulcrant/core/job';
import { fitUpSheet } from '@fulcrant/core/sheet';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND, workAll } from '../../../core/src/testing/every-kind.ts';
import { handAt } from '../../../core/src/testing/test-stand.ts';
import { sealSheet } from './canonical.ts';
import { dueCalendar } from './due-calendar.ts';
import { sheetPdf } from './sheet-pdf.ts';

const setupOf = (name: string): Setup => {
  const setup = EVERY_KIND[name];
  if (!setup) throw new Error(`There is no ${name}.`);
  return setup;
};

/** The printed words of a job worked by the book. */
async function printed(name: string, unit: 'mm' | 'in', more: Partial<Setup> = {}): Promise<string> {
  const h = workAll(handAt({ ...setupOf(name), ...more }));
  const file = join(tmpdir(), `fulcrant-boxes-${process.pid}.pdf`);
  const sheet = sealSheet(fitUpSheet(h.state, 'H-0900'));
  writeFileSync(file, await sheetPdf(sheet, { unit, size: 'A4' }));
  return spawnSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).stdout.replace(/\s+/g, ' ');
}

describe('the printed sheet', () => {
  it('of a component seal gives its compression as it runs, and the gland’s gaps', async () => {
    const text = await printed('component seal', 'mm');
    for (const word of [
      'Seal sheet',
      'COMPRESSION AS IT RUNS',
      // 6 as set, impeller 0.2 and growth 0.2 on top.
      '6.40 mm',
      'GLAND BOLTS',
      '4, 34 N·m',
      'Component seal',
      'signed',
    ])
      expect(text, word).toContain(word);
  });

  it('of a cartridge counts the rounds of recovery and says the leak last counted', async () => {
    const text = await printed('cartridge seal', 'mm');
    expect(text).toContain('ROUNDS OF CENTRING RECOVERY');
    expect(text).toContain('1 drops a minute');
    expect(text).toContain('Shaft turned by hand in running direction');
  });

  it('of packing gives rings, length, flats and drops; in inches where the plant reads inches', async () => {
    const text = await printed('packed', 'mm');
    for (const word of [
      'Packing sheet',
      'RINGS IN',
      'FLATS TURNED',
      '341.0 mm',
      '36 drops a minute',
      'Joints apart: 90°',
    ])
      expect(text, word).toContain(word);
    const inch = await printed('packed', 'in');
    expect(inch).toMatch(/Box bore: 4\.5\d* in; Box depth: 3\.5\d* in/);
  });

  it('of a plunger gives the nut’s angle and what it is in preload; of a worn seal the day it is due', async () => {
    // 20° of a 3 mm pitch.
    expect(await printed('plunger', 'mm', { nutPitchMm: 3 } as Partial<Setup>)).toMatch(
      /NUT FROM ITS MARK.{0,40}20° · 0\.17 mm/,
    );
    const worn = await printed('worn seal', 'mm');
    expect(worn).toContain('Wear sheet');
    expect(worn).toMatch(/SERVICE DUE ON.{0,60}20\d\d-\d\d-\d\d/);
  });
});

describe('pages', () => {
  /** The lines of each page, without the title block that stands on all of them. */
  async function pagesOf(name: string): Promise<string[][]> {
    const h = workAll(handAt(setupOf(name)));
    const file = join(tmpdir(), `fulcrant-pages-${process.pid}.pdf`);
    writeFileSync(
      file,
      await sheetPdf(sealSheet(fitUpSheet(h.state, 'H-0903', 'Europe/Copenhagen')), {
        unit: 'mm',
        size: 'A4',
      }),
    );
    const text = spawnSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).stdout;
    return text
      .split('\f')
      .filter((page) => page.trim() !== '')
      .map((page) => {
        const lines = page.split('\n').map((l) => l.trim());
        return lines
          .slice(
            0,
            lines.findIndex((l) => l.startsWith('MACHINE, POSITION')),
          )
          .filter(Boolean);
      });
  }
  const titles = (name: string) => workAll(handAt(setupOf(name))).state.steps.map((s) => s.title);

  it.each(Object.keys(EVERY_KIND))(
    'of a job %s: no last one with a line or two, no heading left alone, tables keep their head',
    async (name) => {
      const pages = await pagesOf(name);
      expect(pages.at(-1)?.length ?? 0).toBeGreaterThan(3);
      const headings = new Set([...titles(name), 'Also recorded']);
      for (const page of pages.slice(0, -1)) {
        expect(headings, page.at(-1)).not.toContain(page.at(-1));
        expect(page.at(-1)).not.toMatch(/^(PLACE|PASS)\s/);
      }
      // A page that begins in a table begins with its head.
      for (const page of pages.slice(1))
        if (/\d\d:\d\d, (mic|feelers|wrench|slot|dial|depth|pump|probe|gun|drops)$/.test(page[0] ?? ''))
          expect(page[0]).toMatch(/^(PLACE|PASS)/);
      // In the plant's zone, an hour ahead of UTC in November: the hand began at six.
      expect(pages.flat().join(' ')).toContain('2026-11-24 07:');
      expect(pages.flat().join(' ')).not.toContain('UTC');
    },
  );
});

describe('the calendar of what falls due', () => {
  it('has the next look at a worn seal, and the next reading of a proof; nothing once it is signed', () => {
    const worn = handAt(setupOf('worn seal')).safe();
    expect(dueCalendar(fitUpSheet(worn.state, 'H-0901'))).toBeNull();
    worn.read('wear', 'wear/1', 1, 'caliper');
    const text = dueCalendar(fitUpSheet(worn.state, 'H-0901')) ?? '';
    expect(text).toContain('SUMMARY:Measure the seal’s wear');
    expect(text).toContain('BEGIN:VEVENT');
    const at = /DTSTART:(\d{8})/.exec(text)?.[1] ?? '';
    // A quarter of a year after 2026-11-24.
    expect(at).toBe('20270223');
    expect(dueCalendar(fitUpSheet(workAll(handAt(setupOf('worn seal'))).state, 'H-0902'))).toBeNull();
  });
});
