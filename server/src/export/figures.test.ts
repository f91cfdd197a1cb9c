import { writeFileSync } from 'node:fs';
import { drawnOf } from '@fulcrant/core/figures';
import { reportAt, type Setup, stepOf } from '@fulcrant/core/job';
import { say } from '@fulcrant/core/units';
import PDFDocument from 'pdfkit';
import { describe, expect, it } from 'vitest';
import { keepAllSaid } from '../../../core/src/quantities/say.ts';
import { EVERY_KIND, workStep } from '../../../core/src/testing/every-kind.ts';
import { handAt } from '../../../core/src/testing/test-stand.ts';
import { drawings } from './drawings.ts';
import { fonts } from './fonts.ts';

/** Every figure of a job on paper: before each step is worked and after it. */
function everyFigure(setup: Setup) {
  const h = handAt(setup);
  const drawn: Array<{ step: string; figures: ReturnType<typeof drawnOf> }> = [];
  const look = (id: string) => {
    const [step, report] = [stepOf(h.state, id), reportAt(h.state, id)];
    if (!step || !report) throw new Error(`${id} is not there.`);
    const place = report.next;
    drawn.push({
      step: id,
      figures: drawnOf({ state: h.state, step, report, shown: report, place, typed: null, turns: false }),
    });
  };
  for (let i = 0; i < 90 && h.state.present && h.state.present !== 'sign'; i++) {
    const at = h.state.present;
    look(at);
    workStep(h);
    look(at);
    h.pass(at);
  }
  return drawn;
}

/** What is painted of some drawings, as the file it comes to. */
async function painted(all: ReturnType<typeof drawnOf>, unit: 'mm' | 'in'): Promise<Buffer> {
  const doc = new PDFDocument({ size: 'A4', margin: 36, compress: false });
  const parts: Buffer[] = [];
  doc.on('data', (d: Buffer) => parts.push(d));
  const done = new Promise((resolve) => doc.on('end', resolve));
  for (const [name, font] of Object.entries(fonts())) doc.registerFont(name, font as never);
  drawings(doc, keepAllSaid([...all]), unit, (_alt, content) => content());
  doc.end();
  await done;
  return Buffer.concat(parts);
}

describe('every figure of a job can stand on its sheet', () => {
  it.each(Object.entries(EVERY_KIND))('%s', async (kind, setup) => {
    const drawn = everyFigure(setup);
    const all = drawn.flatMap((d) => d.figures);
    // A seal watched for its wear is a curve alone.
    expect(all.length > 0, kind).toBe(kind !== 'worn seal');
    for (const unit of ['mm', 'in'] as const) {
      const file = await painted(all, unit);
      const text = file.toString('latin1');
      // A number that is none would be written as such, and no reader opens the page.
      expect(text, kind).not.toMatch(/\bNaN\b|undefined|Infinity/);
      expect((text.match(/\/Type \/Page\b/g) ?? []).length).toBeLessThanOrEqual(Math.max(1, all.length));
      if (process.env.LOOK)
        writeFileSync(`${process.env.LOOK}/${kind.replace(/\W+/g, '-')}-${unit}.pdf`, file);
    }
    for (const d of all) expect(say(d.title, 'mm').length, kind).toBeGreaterThan(8);
  });
});
