import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BearingHand } from '@fulcrant/core/examples';
import { fitUpSheet } from '@fulcrant/core/sheet';
import { v7 } from 'uuid';
import { describe, expect, it } from 'vitest';
import { surveyOf } from '../demo/works.ts';
import { freshHand, person, TOOLS } from '../testing/house.ts';
import { sealSheet } from './canonical.ts';
import { sheetPdf } from './sheet-pdf.ts';

const round = [89.974, 89.972, 89.976, 89.973, 89.971, 89.975, 89.972, 89.97, 89.974];
const worked = (name: string) =>
  freshHand(name)
    .safe()
    .survey(round)
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.13, 0.13],
      [0.13, 0.13],
      [0.13, 0.13],
    ])
    .by(person('imke'))
    .accept('bench', 'bench.class', 'agreed for one campaign')
    .by(person('asta'))
    .pass('bench');

const sealed = (h: BearingHand) => sealSheet(fitUpSheet(h.state, 'H-0777'));

async function words(
  h: BearingHand,
  unit: 'mm' | 'in',
  size: 'A4' | 'LETTER',
): Promise<{ text: string; info: string }> {
  const file = join(tmpdir(), `fulcrant-sheet-${process.pid}.pdf`);
  writeFileSync(file, await sheetPdf(sealed(h), { unit, size }));
  const text = spawnSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).stdout.replace(
    /\s+/g,
    ' ',
  );
  return { text, info: spawnSync('pdfinfo', [file], { encoding: 'utf8' }).stdout };
}

describe('the sheet of a survey as PDF', () => {
  it('gives the verdict, draws its turns with their exaggeration, and says how readings came', async () => {
    const id = (at: Date) => v7({ msecs: at.getTime() });
    const h = new BearingHand(v7(), id, TOOLS, person('asta'), new Date(Date.now() - 3_600_000)).open(
      v7(),
      surveyOf('Test pump', 'Seal', { measures: ['runout'], runoutStations: 1 }),
    );
    h.safe().follow('runout', 'dial', (p) => (p.turn?.angleDeg === 90 ? 0.03 : 0));
    h.do('measure.repeated', { step: 'runout', done: 'bruise filed' });
    h.follow('runout', 'dial', () => 0.002)
      .pass('runout')
      .pass('verdict');
    const { text } = await words(h, 'mm', 'A4');
    for (const word of [
      'fit for use',
      'Run-out, station 1',
      'deviations ×',
      'Measuring 1, before: bruise filed',
      'measuring 2: At 90°',
      'Run-out: a thousandth of the shaft',
    ])
      expect(text).toContain(word);
  });
});

describe('the sheet as PDF', () => {
  it('says every reading in mm on A4, the deviation with name and reason, the title block on each page', async () => {
    const h = worked('pdf in mm');
    const { text, info } = await words(h, 'mm', 'A4');
    for (const mm of round) expect(text).toContain(`${mm.toFixed(3)} mm`);
    expect(text).toContain('0.130 mm');
    expect(text).toMatch(/Deviation accepted\. agreed for one campaign Imke/);
    expect(info).toMatch(/A4/);
    const pages = Number(/Pages:\s+(\d+)/.exec(info)?.[1]);
    expect(text.match(/MACHINE, POSITION/g)).toHaveLength(pages);
    expect(text).toContain(`1 of ${pages}`);
  });

  it('says the same in inches on Letter', async () => {
    const { text, info } = await words(worked('pdf in inches'), 'in', 'LETTER');
    // 89.974 mm / 25.4 = 3.5423 in; 0.130 mm = 0.0051 in
    expect(text).toContain('3.5423 in');
    expect(text).toContain('0.0051 in');
    expect(info).toMatch(/612 x 792/);
  });

  it('strikes nothing out: a withdrawn reading stands with its reason; notes and dismountings too', async () => {
    const h = worked('pdf of a bad day');
    h.do('reading.withdrawn', { reading: h.state.readings.at(-1)?.id ?? '', reason: 'blade was bent' }).do(
      'note.added',
      {
        text: 'spare blades are in the blue box',
      },
    );
    const { text } = await words(h, 'mm', 'A4');
    expect(text).toMatch(/Withdrawn by Asta, [\d: -]+: blade was bent/);
    expect(text).toContain('spare blades are in the blue box');
  });

  it('is made for a job just opened as well', async () => {
    expect((await words(freshHand('pdf of nothing yet'), 'mm', 'A4')).text).toContain('Fit-up sheet');
  });
});

describe('the seal', () => {
  it('changes with any reading and with nothing else', () => {
    const h = worked('seal');
    const first = sealed(h).contentHash;
    expect(sealed(h).contentHash).toBe(first);
    expect(first).toMatch(/^[0-9a-f]{64}$/);
    h.do('note.added', { text: 'one more word' });
    expect(sealed(h).contentHash).not.toBe(first);
  });
});
