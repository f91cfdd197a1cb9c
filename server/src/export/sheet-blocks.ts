import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { Block } from '@fulcrant/core/sheet';
import { type LengthUnit, say } from '@fulcrant/core/units';
import type { SealedSheet } from './canonical.ts';
import type { Pdf } from './drawings.ts';
import { drawings } from './drawings.ts';
import type { FontName } from './fonts.ts';
import { M } from './messages.ts';

/** Sides of the drawing frame, points. */
export const MARGIN = 40;
export const TITLE_BLOCK = 74;
export const INK = '#1d262b';
export const GREY = '#555';
/** A heading is kept with so much of what follows it, and so does a page begun need to be worth its paper. */
const KEEP = 58;
/** Of a long sum so much is kept together, half a page. */
const WORKING_MOST = 330;

type Element = ReturnType<Pdf['struct']>;

/** A sheet being printed: the document, its structure for who cannot see it, the reader's unit. */
export type Print = {
  doc: Pdf;
  root: Element;
  unit: LengthUnit;
  sheet: SealedSheet;
  photo: (hash: string) => Buffer | null;
};

/** Draw one element of the structure: what it is, and what is drawn for it. */
export function tag(
  { doc, root }: Print,
  type: string,
  content: () => void,
  options: { alt?: string } = {},
): void {
  root.add(doc.struct(type as 'P', options, [content]));
}

const floor = (doc: Pdf): number => doc.page.height - MARGIN - TITLE_BLOCK;

/** Start a page where less than so much room is left. */
function room(doc: Pdf, points: number): void {
  if (doc.y + points > floor(doc)) doc.addPage();
}

/** Draw one block of a sheet; `next` are those after it, which a heading keeps company with. */
export function draw(print: Print, block: Block, next: readonly Block[]): void {
  if (block.block === 'results') results(print, block.rows);
  else if (block.block === 'heading') {
    roomForHeading(print, next);
    tag(print, 'H2', () => heading(print, block.text));
  } else if (block.block === 'line') {
    roomForLine(print, block, next);
    tag(print, 'P', () => line(print, block));
  } else if (block.block === 'table') table(print, block);
  else if (block.block === 'working') working(print, block.rows);
  else if (block.block === 'photos') photographs(print, block.photos);
  else if (block.block === 'drawings')
    drawings(print.doc, block.drawings, print.unit, (alt, content) => tag(print, 'Figure', content, { alt }));
}

/** How much of what follows a heading keeps company with it: its first line, or a table's head and first row. */
function roomForHeading(print: Print, next: readonly Block[]): void {
  const { doc } = print;
  const first = next[0];
  // A first line that would move to the next page takes its heading along.
  const goesOver = first?.block === 'line' && spills(print, lineHeight(print, first) + 30, next.slice(1));
  if (goesOver) doc.addPage();
  else room(doc, first?.block === 'heading' || first === undefined ? 30 : KEEP);
}

function heading({ doc, unit }: Print, text: Text): void {
  doc.moveDown(0.6);
  doc
    .moveTo(MARGIN, doc.y)
    .lineTo(doc.page.width - MARGIN, doc.y)
    .lineWidth(0.8)
    .stroke(INK);
  doc.moveDown(0.3);
  doc.font('label').fontSize(13).fillColor(INK).text(say(text, unit), MARGIN);
}

function results(print: Print, rows: ReadonlyArray<[Text, Text]>): void {
  const { doc } = print;
  const width = (doc.page.width - 2 * MARGIN) / 3;
  const top = doc.y;
  rows.forEach((row, i) => {
    const [x, y] = [MARGIN + width * (i % 3), top + 34 * Math.floor(i / 3)];
    tag(print, 'P', () => result(print, row, x, y, width));
  });
  doc.y = top + 34 * Math.ceil(rows.length / 3) + 4;
  doc.x = MARGIN;
}

function result({ doc, unit }: Print, [k, v]: [Text, Text], x: number, y: number, width: number): void {
  doc.rect(x, y, width, 34).lineWidth(0.5).stroke('#999');
  doc
    .font('label')
    .fontSize(8.5)
    .fillColor(GREY)
    .text(say(k, unit).toUpperCase(), x + 6, y + 4, { lineBreak: false });
  doc
    .font('strong')
    .fontSize(12)
    .fillColor(INK)
    .text(say(v, unit), x + 6, y + 15, { lineBreak: false });
}

/** Photographs two across, each with its words under it; one that has not arrived says so. */
function photographs(print: Print, all: Extract<Block, { block: 'photos' }>['photos']): void {
  const { doc, unit } = print;
  const gap = 12;
  const width = (doc.page.width - 2 * MARGIN - gap) / 2;
  const most = 190;
  for (let i = 0; i < all.length; i += 2) {
    const pair = all.slice(i, i + 2);
    const heights = pair.map((p) => Math.min(most, (width * p.height) / p.width));
    const high = Math.max(...heights);
    room(doc, high + 34);
    const top = doc.y + 4;
    const photograph = (p: (typeof pair)[number], k: number) => {
      const x = MARGIN + k * (width + gap);
      const bytes = print.photo(p.hash);
      if (bytes) doc.image(bytes, x, top, { fit: [width, high] });
      else {
        doc.rect(x, top, width, 40).lineWidth(0.5).stroke('#999');
        doc
          .font('text')
          .fontSize(9)
          .fillColor(GREY)
          .text(say(M.notArrivedYetWaitsDevice, unit), x + 6, top + 14, {
            width: width - 12,
          });
      }
      const under = top + (bytes ? high : 40) + 2;
      doc
        .font('text')
        .fontSize(8.2)
        .fillColor(GREY)
        .text([p.words, say(p.small, unit)].filter(Boolean).join('. '), x, under, {
          width,
          height: 22,
          ellipsis: true,
        });
    };
    pair.forEach((p, k) => {
      tag(print, 'Figure', () => photograph(p, k), { alt: p.words || say(COMMON.photographStep, unit) });
    });
    doc.y = top + high + 28;
    doc.x = MARGIN;
  }
  doc.fillColor(INK);
}

type Line = Extract<Block, { block: 'line' }>;
type Run = { text: string; font: FontName; size: number; ink: string };

const runsOf = (b: Line, unit: LengthUnit): Run[] =>
  [
    { text: say(b.lead ?? '', unit), font: 'strong' as const, size: 9.2, ink: INK },
    { text: say(b.text, unit), font: 'text' as const, size: 9.2, ink: INK },
    { text: b.small ? say(b.small, unit) : '', font: 'text' as const, size: 8.2, ink: '#666' },
  ].filter((r) => r.text !== '');

/** How high a line stands, its parts one after the other. */
function lineHeight({ doc, unit }: Print, b: Line): number {
  const width = doc.page.width - 2 * MARGIN - (b.inset ? 14 : 0);
  const runs = runsOf(b, unit);
  const across = runs.reduce(
    (sum, r) => sum + doc.font(r.font).fontSize(r.size).widthOfString(`${r.text} `),
    0,
  );
  return Math.ceil((1.06 * across) / width) * 11.2;
}

/** Whether the last few lines would stand alone on a last page: then what stands before them, so many points high, goes along. */
function spills(print: Print, before: number, next: readonly Block[]): boolean {
  const tail = next.every((n) => n.block === 'line') ? next.map((n) => lineHeight(print, n as Line)) : [];
  const rest = tail.reduce((sum, h) => sum + h, 0);
  return tail.length > 0 && tail.length <= 6 && rest < KEEP && print.doc.y + before + rest > floor(print.doc);
}

/** A page is begun before an element, never inside one: it would be left open on the page before. */
function roomForLine(print: Print, b: Line, next: readonly Block[]): void {
  const mine = lineHeight(print, b);
  if (print.doc.y + mine > floor(print.doc) || spills(print, mine, next)) print.doc.addPage();
}

function line({ doc, unit }: Print, b: Line): void {
  const left = MARGIN + (b.inset ? 14 : 0);
  const runs = runsOf(b, unit);
  runs.forEach((r, i) => {
    doc.font(r.font).fontSize(r.size).fillColor(r.ink);
    const more = { continued: i < runs.length - 1, width: doc.page.width - MARGIN - left };
    const text = i < runs.length - 1 ? `${r.text} ` : r.text;
    if (i === 0) doc.text(text, left, doc.y, more);
    else doc.text(text, more);
  });
  doc.x = MARGIN;
}

function working(print: Print, rows: ReadonlyArray<[Text, Text]>): void {
  const { doc, unit } = print;
  doc.moveDown(0.2);
  // One line after the other: a sum a line would take a page of every three.
  const text = rows.map(([what, sum]) => `${say(what, unit)}: ${say(sum, unit)}`).join('  ·  ');
  doc.font('mono').fontSize(7.4).fillColor('#333');
  const width = doc.page.width - 2 * MARGIN - 10;
  room(doc, Math.min(doc.heightOfString(text, { width }), WORKING_MOST));
  // A page begun anew has forgotten the ink.
  doc.fillColor('#333');
  tag(print, 'P', () => void doc.text(text, MARGIN + 10, doc.y, { width }));
  doc.x = MARGIN;
}

/** Shares of the page each column takes. */
const COLUMNS = { readings: [0.3, 0.14, 0.14, 0.42], verdicts: [0.09, 0.43, 0.2, 0.28] } as const;

/** A table keeps its head over a page break. */
function table({ doc, unit, root }: Print, block: Extract<Block, { block: 'table' }>): void {
  const shown = doc.struct('Table');
  root.add(shown);
  const whole = doc.page.width - 2 * MARGIN;
  const widths = COLUMNS[block.of ?? 'readings'].map((share) => share * whole);
  const row = (cells: string[], font: FontName, size: number, ink: string, struck = false): void => {
    doc.font(font).fontSize(size);
    const height =
      Math.max(...cells.map((c, i) => doc.heightOfString(c, { width: (widths[i] ?? 80) - 6 }))) + 2;
    if (doc.y + height > floor(doc)) {
      doc.addPage();
      if (font !== 'label') top();
      doc.font(font).fontSize(size);
    }
    const y = doc.y;
    let x = MARGIN;
    const line = doc.struct('TR');
    shown.add(line);
    cells.forEach((c, i) => {
      const cell = () =>
        void doc.fillColor(ink).text(c, x, y, { width: (widths[i] ?? 80) - 6, strike: struck && i === 1 });
      const head = { scope: 'Column' };
      line.add(font === 'label' ? doc.struct('TH', head as object, [cell]) : doc.struct('TD', {}, [cell]));
      x += widths[i] ?? 80;
    });
    line.end();
    doc.markContent('Artifact', { type: 'Layout' });
    doc.x = MARGIN;
    doc.y = y + height;
    doc
      .moveTo(MARGIN, doc.y - 1)
      .lineTo(doc.page.width - MARGIN, doc.y - 1)
      .lineWidth(0.25)
      .stroke('#bbb');
    doc.endMarkedContent();
  };
  const top = () =>
    row(
      block.head.map((h) => say(h, unit).toUpperCase()),
      'label',
      8,
      GREY,
    );
  doc.moveDown(0.2);
  room(doc, 30);
  top();
  for (const r of block.rows)
    row(
      r.cells.map((c) => say(c, unit)),
      'text',
      8.6,
      INK,
      r.struck,
    );
  shown.end();
  doc.moveDown(0.2);
}
