import { describe, expect, it } from 'vitest';
import type { Setup } from '../engine/setup.ts';
import { stepOf } from '../engine/trades.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, upTo, workAll } from '../testing/every-kind.ts';
import { asta, handAt, imke, step } from '../testing/test-stand.ts';
import type { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import type { Block } from './form.ts';
import { fitUpSheet } from './sheet.ts';
import { whenIn } from './when.ts';

const feelers = EVERY_KIND['by feelers'] as Setup;
const sheetOf = (h: BearingHand) =>
  fitUpSheet(h.state, 'H-0001', 'Europe/Berlin', h.state.signed ?? h.state.running);

/** What stands before the record: all that a receiver reads who turns no page. */
function front(h: BearingHand) {
  const { document } = sheetOf(h);
  const end = document.findIndex((b) => b.block === 'heading');
  const blocks = document.slice(0, end);
  const lines = blocks.flatMap((b) =>
    b.block === 'line'
      ? [
          [b.lead ?? '', b.text, b.small ?? '']
            .map((t) => english(t))
            .join(' ')
            .trim(),
        ]
      : [],
  );
  const table = blocks.find((b): b is Extract<Block, { block: 'table' }> => b.block === 'table');
  const rows = (table?.rows ?? []).map((r) => r.cells.map((c) => english(c)));
  return { lines, rows };
}
const wideRows = (h: BearingHand) =>
  h.bench([
    [0.13, 0.13],
    [0.13, 0.13],
    [0.13, 0.13],
  ]);

describe('the first page alone decides', () => {
  it('a good one: its verdict, each result with its limit and whose that is, who worked and signed, the zone', () => {
    const { lines, rows } = front(workAll(handAt(feelers)));
    expect(lines[0]).toMatch(/^Good\. All results are within limits, with \d+ cautions?\.$/);
    expect(rows.length).toBeGreaterThan(8);
    // Cautions first, then what is well; none twice.
    const verdicts = rows.map((r) => r[0]);
    expect(verdicts.lastIndexOf('Caution')).toBeLessThan(verdicts.indexOf('OK'));
    expect(new Set(rows.map((r) => r[1])).size).toBe(rows.length);
    const largest = rows.find((r) => /largest diameter/i.test(r[1] ?? ''));
    expect(largest?.[2]).toContain('90.000 mm');
    expect(largest?.[3]).toContain('ISO 286');
    expect(lines.join('\n')).toContain('Worked by Asta');
    expect(lines.join('\n')).toMatch(/Signed Asta Asta, \d{4}-\d\d-\d\d \d\d:\d\d/);
    expect(lines.join('\n')).toContain('Europe/Berlin');
  });

  it('one with an acceptance: that it has one, by whom and why', () => {
    const h = upTo(handAt(feelers), 'shaft');
    // 0.03 mm out of round at the first station.
    h.survey([89.97, 89.985, 90.0, 89.974, 89.972, 89.976, 89.974, 89.972, 89.976]).by(imke);
    for (const f of step(h, 'shaft').blocking) h.accept('shaft', f.code, 'agreed for one campaign');
    expect(h.state.deviations).toHaveLength(3);
    h.by(asta).pass('shaft');
    const { lines, rows } = front(workAll(h));
    expect(lines[0]).toMatch(
      /^Accepted with deviations\. 3 results are outside their limits and were accepted/,
    );
    expect(rows[0]?.[0]).toBe('Stop, accepted');
    const told = lines.find((l) => l.startsWith('Accepted at shaft'));
    expect(told).toContain('agreed for one campaign');
    expect(told).toContain('Imke');
  });

  it('a stopped one: where, and what stops it', () => {
    const { lines } = front(wideRows(upTo(handAt(feelers), 'bench')));
    expect(lines[0]).toMatch(/^Stopped at bench clearance: Bench clearance 0\.130 mm/);
  });

  it('an open one: that it is not finished, and what is next; a held one says why', () => {
    const h = upTo(handAt(feelers), 'bench');
    expect(front(h).lines[0]).toBe('Work not finished. Next: Bench clearance.');
    h.do('step.held', { step: 'bench', reason: 'spanner is away' });
    expect(front(h).lines[0]).toBe('Held at bench clearance: spanner is away');
  });

  it('one opened again after its signature is open until it is signed again', () => {
    const h = workAll(handAt(feelers)).do('sheet.reopened', { reason: 'a gap was misread' });
    expect(front(h).lines[0]).toMatch(/^Work not finished\./);
  });

  it('one that runs with checks to come says so first', () => {
    const h = upTo(handAt(EVERY_KIND['cartridge seal'] as Setup), 'proof');
    h.read('proof', 'leak/0', 4, 'counter').read('proof', 'temp/0', 40, 'thermometer').answerAll('proof');
    h.do('sheet.signed', { name: 'Asta', running: true });
    expect(front(h).lines.slice(0, 2).join('\n')).toMatch(/Running, checks to come/);
  });

  it('what was left out at this depth stands there too', () => {
    const { lines } = front(workAll(handAt({ ...EVERY_KIND['cartridge seal'], depth: 'standard' } as Setup)));
    expect(lines.some((l) => l.startsWith('Left out at standard depth.'))).toBe(true);
  });
});

describe('the record behind it', () => {
  it('a run of plain answers of one person stands together; every question is in it with its time', () => {
    const sheet = sheetOf(workAll(handAt(feelers)));
    const at = sheet.document.findIndex(
      (b) => b.block === 'heading' && english(b.text) === 'Inboard side first',
    );
    const told = sheet.document[at + 1];
    const asked = sheet.steps.find((s) => s.id === 'inboard')?.answers ?? [];
    expect(asked.length).toBeGreaterThan(1);
    if (told?.block !== 'line') throw new Error('No statement.');
    for (const a of asked) {
      expect(english(told.text)).toContain(`${english(a.ask)} ${whenIn('Europe/Berlin')(a.at).slice(11)}`);
    }
    expect(english(told.small)).toMatch(/^Asta, \d{4}-\d\d-\d\d$/);
  });

  it('what was not well, or was noted, stands alone with its time', () => {
    const h = upTo(handAt(feelers), 'inboard');
    const item = stepOf(h.state, 'inboard')?.items?.[0]?.id ?? '';
    h.do('gate.answered', { step: 'inboard', item, answer: 'no', note: 'lip turned over' });
    const sheet = sheetOf(h);
    const line = sheet.document.find(
      (b) => b.block === 'line' && b.small && /lip turned over/.test(english(b.small)),
    );
    expect(line).toBeDefined();
  });
});
