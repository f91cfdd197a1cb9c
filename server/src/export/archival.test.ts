import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import '@fulcrant/core/every-trade';
import type { Setup } from '@fulcrant/core/job';
import { fitUpSheet } from '@fulcrant/core/sheet';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { EVERY_KIND, workAll } from '../../../core/src/testing/every-kind.ts';
import { handAt } from '../../../core/src/testing/test-stand.ts';
import { hashOf, type SealedSheet, sealSheet } from './canonical.ts';
import { sheetPdf } from './sheet-pdf.ts';

let dir = '';
beforeAll(() => {
  dir = mkdtempSync(join(tmpdir(), 'fulcrant-archive-'));
});
afterAll(() => rmSync(dir, { recursive: true, force: true }));

const tool = (name: string, ...args: string[]) => spawnSync(name, args, { encoding: 'utf8' });
const sheetOf = (kind: string): SealedSheet =>
  sealSheet(
    fitUpSheet(
      workAll(handAt({ ...EVERY_KIND[kind], depth: 'standard' } as Setup)).state,
      'H-0777',
      'Europe/Berlin',
    ),
  );

async function printed(kind: string, size: 'A4' | 'LETTER' = 'A4') {
  const sheet = sheetOf(kind);
  const file = join(dir, `${kind.replaceAll(/\W+/g, '-')}-${size}.pdf`);
  writeFileSync(file, await sheetPdf(sheet, { unit: 'mm', size }));
  const pages = Number(/^Pages:\s+(\d+)/m.exec(tool('pdfinfo', file).stdout)?.[1]);
  return { sheet, file, pages };
}

describe('a sheet for the archive', () => {
  it.each(Object.keys(EVERY_KIND))(
    '%s: sound, tagged, its fonts in it, and what decides on page 1',
    async (kind) => {
      const { file, sheet, pages } = await printed(kind);
      const sound = tool('qpdf', '--check', file);
      expect(sound.stdout + sound.stderr).toMatch(/No syntax or stream encoding errors/);
      expect(sound.status).toBe(0);
      const about = tool('pdfinfo', file).stdout;
      expect(about).toMatch(/^Tagged:\s+yes/m);
      expect(about).toMatch(/^Title:\s+.*H-0777/m);
      const fonts = tool('pdffonts', file).stdout.split('\n').slice(2).filter(Boolean);
      expect(fonts.length).toBeGreaterThan(1);
      // Every element is opened and closed on its own page.
      expect(tool('pdftotext', file, '-').stderr).toBe('');
      // Embedded, and its letters told: copied out or read aloud they are words.
      for (const f of fonts) expect(f).toMatch(/\byes +yes +yes\b/);
      const first = tool('pdftotext', '-l', '1', file, '-').stdout.replace(/\s+/g, ' ');
      expect(first).toContain(sheet.title.machine);
      expect(first).toMatch(/Good\.|Accepted with deviations\./);
      expect(first).toMatch(/Worked by Asta Signed Asta/);
      expect(first).toContain('Europe/Berlin');
      expect(pages).toBeLessThanOrEqual(7);
    },
  );

  it('fits four pages for a cartridge seal, and for a bearing whose every diameter is read, three by the hydraulic nut', async () => {
    expect((await printed('cartridge seal')).pages).toBeLessThanOrEqual(4);
    expect((await printed('by feelers')).pages).toBeLessThanOrEqual(4);
    expect((await printed('by hydraulic nut')).pages).toBeLessThanOrEqual(3);
  });

  it('says of itself which standard it keeps, and in which language', async () => {
    const { file } = await printed('packed');
    const raw = readFileSync(file, 'latin1');
    expect(raw).toContain('<pdfaid:part>3</pdfaid:part>');
    expect(raw).toContain('<pdfaid:conformance>A</pdfaid:conformance>');
    expect(raw).toMatch(/\/Lang \(en\)/);
    expect(raw).toContain('/OutputIntents');
    expect(raw).toMatch(/\/AFRelationship \/Source/);
  });

  it('carries its own JSON, the bytes its printed hash is of', async () => {
    const { file, sheet } = await printed('by feelers');
    const out = join(dir, 'sheet.json');
    expect(tool('pdfdetach', '-save', '1', '-o', out, file).status).toBe(0);
    const json = readFileSync(out, 'utf8');
    expect(hashOf(json)).toBe(sheet.contentHash);
    expect(JSON.parse(json)).toMatchObject({ number: 'H-0777', format: 'fulcrant.fit-up-sheet' });
    expect(tool('pdftotext', file, '-').stdout.replace(/\s+/g, '')).toContain(sheet.contentHash);
  });

  it('is read in its order: heading, verdict, results, the table row by row; figures say what they show', async () => {
    const { file } = await printed('by feelers');
    const info = tool('pdfinfo', '-struct-text', file).stdout;
    expect(info.indexOf('H1')).toBeLessThan(info.indexOf('Good.'));
    expect(info.indexOf('Good.')).toBeLessThan(info.indexOf('Table'));
    expect(info).toMatch(/Figure/);
    expect((info.match(/^ +TR/gm) ?? []).length).toBeGreaterThan(20);
  });
});
