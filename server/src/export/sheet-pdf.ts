import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import {
  describeSetup,
  type FitUpSheet,
  formatTorque,
  type JobState,
  type LengthUnit,
  reopeningOf,
  resultRows,
  type SheetReading,
  say,
  sayPlace,
  saySheetReading,
  sheetTitle,
  VERDICT_WORD,
} from '@fulcrant/core';
import PDFDocument from 'pdfkit';
import { drawBearing } from './bearing-drawing.ts';
import type { SealedSheet } from './seal.ts';
import { drawTurns } from './turn-drawings.ts';

export type Pdf = InstanceType<typeof PDFDocument>;

/** Sides of the drawing frame, points. */
const MARGIN = 40;
const TITLE_BLOCK = 74;

const when = (at: string): string => `${at.slice(0, 10)} ${at.slice(11, 16)} UTC`;

/** The fonts the screens use, from their npm packages, so that paper and screen look alike. */
function fonts(doc: Pdf): void {
  const resolve = createRequire(import.meta.url).resolve;
  const file = (pack: string, name: string) => {
    const path = join(dirname(resolve(`${pack}/package.json`)), 'files', `${name}.woff`);
    if (!existsSync(path)) throw new Error(`The font ${name} is missing.`);
    return path;
  };
  doc.registerFont('text', file('@fontsource/barlow', 'barlow-latin-400-normal'));
  doc.registerFont('strong', file('@fontsource/barlow', 'barlow-latin-700-normal'));
  doc.registerFont('label', file('@fontsource/barlow-condensed', 'barlow-condensed-latin-600-normal'));
  doc.registerFont('mono', file('@fontsource/jetbrains-mono', 'jetbrains-mono-latin-400-normal'));
}

/**
 * The fit-up sheet as PDF on A4 or Letter, in mm or inches: results, drawing with the real numbers, every reading with
 * who, when and gauge, every judgement with its limit and source, the working, and the title block on each page.
 */
export async function sheetPdf(
  sheet: SealedSheet,
  state: JobState,
  options: { unit: LengthUnit; size: 'A4' | 'LETTER' },
): Promise<Buffer> {
  const doc = new PDFDocument({
    size: options.size,
    margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN + TITLE_BLOCK },
    bufferPages: true,
    info: {
      Title: `${sheetTitle(sheet)} ${sheet.number ?? ''}, ${sheet.title.machine}`,
      Producer: 'Fulcrant',
      Creator: 'Fulcrant',
    },
  });
  const chunks: Buffer[] = [];
  const whole = new Promise<Buffer>((done, fail) => {
    doc.on('data', (c: Buffer) => chunks.push(c));
    doc.on('end', () => done(Buffer.concat(chunks)));
    doc.on('error', fail);
  });
  fonts(doc);
  doc
    .font('label')
    .fontSize(22)
    .text(sheetTitle(sheet), { continued: true })
    .font('mono')
    .fontSize(13)
    .text(`   ${sheet.number ?? ''}   ${sheet.title.state}`);
  doc.moveDown(0.5);
  doc
    .font('text')
    .fontSize(10.5)
    .text(`${sheet.title.machine}, ${sheet.title.position}. ${sheet.procedure.title}.`);
  doc
    .fontSize(8.6)
    .fillColor('#555')
    .text(`${say(describeSetup(sheet.setup), options.unit)}.`)
    .fillColor('#1d262b');
  doc.moveDown(0.5);
  results(doc, sheet, options.unit);
  drawBearing(doc, state, sheet, options.unit);
  drawTurns(doc, state, options.unit);
  for (const step of sheet.steps) section(doc, sheet, step, options.unit);
  alsoRecorded(doc, sheet);
  const pages = doc.bufferedPageRange();
  for (let i = 0; i < pages.count; i++) {
    doc.switchToPage(i);
    frame(doc, sheet, i + 1, pages.count);
  }
  doc.end();
  return whole;
}

function heading(doc: Pdf, text: string): void {
  if (doc.y > doc.page.height - MARGIN - TITLE_BLOCK - 70) doc.addPage();
  doc.moveDown(0.6);
  doc
    .moveTo(MARGIN, doc.y)
    .lineTo(doc.page.width - MARGIN, doc.y)
    .lineWidth(0.8)
    .stroke('#1d262b');
  doc.moveDown(0.3);
  doc.font('label').fontSize(13).fillColor('#1d262b').text(text, MARGIN);
}

function results(doc: Pdf, sheet: FitUpSheet, unit: LengthUnit): void {
  const rows = resultRows(sheet).map(([k, v]) => [k, say(v, unit)] as const);
  const width = (doc.page.width - 2 * MARGIN) / 3;
  const top = doc.y;
  rows.forEach(([k, v], i) => {
    const x = MARGIN + width * (i % 3);
    const y = top + 34 * Math.floor(i / 3);
    doc.rect(x, y, width, 34).lineWidth(0.5).stroke('#999');
    doc
      .font('label')
      .fontSize(8.5)
      .fillColor('#555')
      .text(k.toUpperCase(), x + 6, y + 4, { lineBreak: false });
    doc
      .font('strong')
      .fontSize(12)
      .fillColor('#1d262b')
      .text(v, x + 6, y + 15, { lineBreak: false });
  });
  doc.y = top + 34 * Math.ceil(rows.length / 3) + 4;
  doc.x = MARGIN;
}

function section(doc: Pdf, sheet: FitUpSheet, step: FitUpSheet['steps'][number], unit: LengthUnit): void {
  heading(doc, step.title);
  for (const a of step.answers)
    para(doc, `${a.answer.toUpperCase()}  ${a.ask}`, `${a.by}, ${when(a.at)}${a.note ? `; ${a.note}` : ''}`);
  const readings = sheet.readings.filter((r) => r.step === step.id);
  if (readings.length > 0)
    table(
      doc,
      ['place', 'reading', 'typed', 'who, when, gauge'],
      readings.map((r) => readingRow(r, unit)),
    );
  const bolts = sheet.bolts.filter((b) => b.step === step.id);
  if (bolts.length > 0) {
    table(
      doc,
      ['pass', 'bolt', 'torque', 'who, when, wrench'],
      bolts.map((b) => [
        b.pass,
        String(b.bolt),
        `${b.torqueNm === 0 ? 'hand' : formatTorque(b.torqueNm, unit)}${b.movedDeg !== null ? `, moved ${b.movedDeg}°` : b.moved ? ', moved' : ''}`,
        `${b.by}, ${when(b.at)}, ${b.instrument}`,
      ]),
    );
  }
  for (const f of step.findings) {
    para(
      doc,
      `${VERDICT_WORD[f.verdict]}. ${f.reason}`,
      [f.limit ? `Limit ${f.limit}.` : '', f.source ? `${f.source}.` : ''].filter(Boolean).join(' '),
    );
    if (f.accepted)
      para(doc, `Deviation accepted by ${f.accepted.by}, ${when(f.accepted.at)}: ${f.accepted.reason}`, '');
  }
  if (step.working.length > 0) {
    doc.moveDown(0.2);
    for (const w of step.working)
      doc
        .font('mono')
        .fontSize(7.6)
        .fillColor('#333')
        .text(`${w.what}: ${w.sum}`, MARGIN + 10);
  }
  step.before.forEach((b, i) => {
    para(doc, `Measuring ${i + 1}, before: ${b.done}`, `${b.by}, ${when(b.at)}`);
    for (const f of b.findings.filter((x) => x.verdict !== 'incomplete'))
      para(doc, '', `${VERDICT_WORD[f.verdict]}. ${f.reason}`);
  });
  if (step.passedBy) para(doc, '', `Passed by ${step.passedBy}, ${when(step.passedAt ?? '')}`);
}

function readingRow(r: SheetReading, unit: LengthUnit): string[] {
  const struck = r.withdrawn ? ` WITHDRAWN by ${r.withdrawn.by}: ${r.withdrawn.reason}` : '';
  return [
    sayPlace(r),
    say(saySheetReading(r), unit),
    r.via === 'typed' ? r.typed : `${r.typed} (${r.via}${r.standIn ? ', stand-in' : ''})`,
    `${r.by}, ${when(r.at)}, ${r.instrument}${struck}`,
  ];
}

function para(doc: Pdf, text: string, small: string): void {
  doc
    .font('text')
    .fontSize(9.2)
    .fillColor('#1d262b')
    .text(text, MARGIN, undefined, { continued: small !== '' && text !== '' });
  if (small)
    doc
      .font('text')
      .fontSize(8.2)
      .fillColor('#666')
      .text(text ? `  ${small}` : small);
}

function table(doc: Pdf, head: string[], rows: string[][]): void {
  const widths = [96, 88, 80, doc.page.width - 2 * MARGIN - 264];
  const line = (cells: string[], font: string, size: number, ink: string) => {
    doc.font(font).fontSize(size);
    const height =
      Math.max(...cells.map((c, i) => doc.heightOfString(c, { width: (widths[i] ?? 80) - 6 }))) + 2;
    if (doc.y + height > doc.page.height - MARGIN - TITLE_BLOCK) doc.addPage();
    const y = doc.y;
    let x = MARGIN;
    cells.forEach((c, i) => {
      doc.fillColor(ink).text(c, x, y, { width: (widths[i] ?? 80) - 6 });
      x += widths[i] ?? 80;
    });
    doc.x = MARGIN;
    doc.y = y + height;
    doc
      .moveTo(MARGIN, doc.y - 1)
      .lineTo(doc.page.width - MARGIN, doc.y - 1)
      .lineWidth(0.25)
      .stroke('#bbb');
  };
  doc.moveDown(0.2);
  line(
    head.map((h) => h.toUpperCase()),
    'label',
    8,
    '#555',
  );
  for (const r of rows) line(r, 'text', 8.6, '#1d262b');
  doc.moveDown(0.2);
}

function alsoRecorded(doc: Pdf, sheet: SealedSheet): void {
  heading(doc, 'Also recorded');
  for (const d of sheet.deviations) {
    para(
      doc,
      `Deviation accepted at ${d.step}, attempt ${d.attempt}: ${d.reason}`,
      `${d.by}, ${when(d.at)}; it stood: ${d.stood}`,
    );
  }
  for (const h of sheet.holds)
    para(
      doc,
      `Hold at ${h.step}: ${h.reason}`,
      h.releasedBy ? `Released by ${h.releasedBy}, ${when(h.releasedAt ?? '')}` : 'Not released',
    );
  for (const d of sheet.dismountings)
    para(doc, `${reopeningOf(sheet.setup).said}: ${d.reason}`, `${d.by}, ${when(d.at)}`);
  for (const d of sheet.loosenings) para(doc, `Bolts loosened: ${d.reason}`, `${d.by}, ${when(d.at)}`);
  for (const c of sheet.setupChanges)
    para(doc, `Setup changed (${c.changed.join(', ')}): ${c.reason}`, `${c.by}, ${when(c.at)}`);
  for (const n of sheet.notes) para(doc, `Note: ${n.text}`, `${n.by}, ${when(n.at)}`);
  for (const s of sheet.sources) para(doc, '', `Source: ${s.title} (${s.rank}).`);
  para(doc, '', 'This sheet does not replace local codes, the maker’s instructions or licensed practice.');
  para(doc, '', `Content hash (SHA-256 of the JSON sheet): ${sheet.contentHash}`);
}

/** The frame of the print and its title block, on every page. */
function frame(doc: Pdf, sheet: FitUpSheet, page: number, of: number): void {
  const { width, height } = doc.page;
  const edge = MARGIN - 12;
  doc.page.margins.bottom = 0;
  doc
    .lineWidth(1)
    .rect(edge, edge, width - 2 * edge, height - 2 * edge)
    .stroke('#1d262b');
  const w = 300;
  const x = width - edge - w;
  const y = height - edge - TITLE_BLOCK + 6;
  doc.rect(x, y, w, TITLE_BLOCK - 6).stroke('#1d262b');
  const cell = (label: string, value: string, cx: number, cy: number, cw: number, size = 9) => {
    doc
      .font('label')
      .fontSize(6.5)
      .fillColor('#555')
      .text(label.toUpperCase(), cx + 5, cy + 3, { lineBreak: false });
    doc
      .font('strong')
      .fontSize(size)
      .fillColor('#1d262b')
      .text(value, cx + 5, cy + 10, { width: cw - 8, height: 13, ellipsis: true, lineBreak: false });
  };
  cell('Machine, position', `${sheet.title.machine}, ${sheet.title.position}`, x, y, w, 10);
  doc
    .moveTo(x, y + 24)
    .lineTo(x + w, y + 24)
    .lineWidth(0.5)
    .stroke('#1d262b');
  cell('Job', sheet.number ?? '', x, y + 24, 80);
  cell('Opened', `${sheet.title.openedAt.slice(0, 10)}, ${sheet.title.openedBy}`, x + 80, y + 24, 130);
  cell('Sheet', `${page} of ${of}`, x + 220, y + 24, 80);
  doc
    .moveTo(x, y + 46)
    .lineTo(x + w, y + 46)
    .stroke('#1d262b');
  cell(
    'Signed',
    sheet.signature ? `${sheet.signature.name}, ${when(sheet.signature.at)}` : 'not yet',
    x,
    y + 46,
    200,
  );
  cell('State', sheet.title.state, x + 220, y + 46, 80);
}
