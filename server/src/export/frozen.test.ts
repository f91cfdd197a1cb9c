import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { say } from '@fulcrant/core/units';
import { describe, expect, it } from 'vitest';
import { canonicalSheet, hashOf, type SealedSheet } from './canonical.ts';
import { sheetPdf } from './sheet-pdf.ts';

/** Sheets as they were frozen before figures were drawn by one renderer: their drawings say shapes as they were said then. */
const FROZEN = ['frozen-fit-up-sheet', 'frozen-plunger-sheet'];
const sheetOf = (name: string): SealedSheet =>
  JSON.parse(readFileSync(join(import.meta.dirname, `../../golden/${name}.json`), 'utf8'));

describe('a sheet frozen by an older version', () => {
  it.each(FROZEN)('%s keeps its bytes: its hash is the one it was kept with', (name) => {
    const { contentHash, frozen: _, ...sheet } = sheetOf(name);
    expect(hashOf(canonicalSheet(sheet as never))).toBe(contentHash);
  });

  it.each(FROZEN)('%s prints every word of its drawings, in both units', async (name) => {
    const sheet = sheetOf(name);
    const drawn = sheet.document.flatMap((b) => (b.block === 'drawings' ? b.drawings : []));
    const said = drawn.flatMap((d) => d.shapes.flatMap((s) => (s.shape === 'text' ? [s.text] : [])));
    expect(said.length).toBeGreaterThan(1);
    for (const unit of ['mm', 'in'] as const) {
      const file = join(tmpdir(), `fulcrant-frozen-${process.pid}.pdf`);
      writeFileSync(file, await sheetPdf(sheet, { unit, size: 'A4' }));
      const text = spawnSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).stdout;
      const words = text.replace(/\s+/g, ' ');
      for (const s of said) expect(words).toContain(say(s, unit));
    }
  });
});
