import type { Text } from '@fulcrant/core/messages';
import { COMMON, listOf } from '@fulcrant/core/messages';
import { type Block, type FitUpSheet, whenIn } from '@fulcrant/core/sheet';
import { type LengthUnit, say } from '@fulcrant/core/units';
import PDFDocument from 'pdfkit';
import { canonicalSheet, type SealedSheet } from './canonical.ts';
import type { Pdf } from './drawings.ts';
import { fonts } from './fonts.ts';
import { M } from './messages.ts';
import { draw, GREY, INK, MARGIN, type Print, TITLE_BLOCK, tag } from './sheet-blocks.ts';

export type PrintOptions = {
  unit: LengthUnit;
  size: 'A4' | 'LETTER';
  /** Notes written under the signature: they are no part of what was signed. */
  since?: FitUpSheet['notes'];
  /** Files of its photographs, by hash, as far as they have arrived. */
  photos?: ReadonlyMap<string, Uint8Array>;
};

/**
 * The sheet as PDF on A4 or Letter, in mm or inches throughout: its own blocks in their order, the drawings with the real numbers, and
 * the title block on each page. A signed sheet prints from what was signed.
 */
export async function sheetPdf(sheet: SealedSheet, options: PrintOptions): Promise<Buffer> {
  const doc = new PDFDocument({
    size: options.size,
    margins: { top: MARGIN, left: MARGIN, right: MARGIN, bottom: MARGIN + TITLE_BLOCK },
    bufferPages: true,
    // ISO 19005-3, level A: whatever is needed to read it in thirty years is in it, its order and its data too.
    pdfVersion: '1.7',
    subset: 'PDF/A-3a',
    tagged: true,
    lang: 'en',
    displayTitle: true,
    info: {
      Title: `${say(sheet.name, options.unit)} ${sheet.number ?? ''}, ${sheet.title.machine}`,
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
  for (const [name, font] of Object.entries(fonts())) doc.registerFont(name, font as never);
  attach(doc, sheet);
  const root = doc.struct('Document');
  doc.addStructure(root);
  const photos = options.photos ?? new Map<string, Uint8Array>();
  const print: Print = {
    doc,
    root,
    unit: options.unit,
    sheet,
    photo: (hash) => (photos.has(hash) ? Buffer.from(photos.get(hash) as Uint8Array) : null),
  };
  tag(print, 'H1', () => head(print));
  const blocks = [...sheet.document, ...after(sheet, options.since ?? [])];
  for (const [i, b] of blocks.entries()) draw(print, b, blocks.slice(i + 1));
  const pages = doc.bufferedPageRange();
  for (let i = 0; i < pages.count; i++) {
    doc.switchToPage(i);
    doc.markContent('Artifact', { type: 'Pagination' });
    frame(print, i + 1, pages.count);
    doc.endMarkedContent();
  }
  root.end();
  doc.end();
  return whole;
}

/** The sheet’s own JSON, the very bytes its printed hash is of: the record can be read without this program. */
function attach(doc: Pdf, { contentHash: _hash, frozen, altered: _altered, ...sheet }: SealedSheet): void {
  const at = new Date(frozen?.at ?? sheet.signature?.at ?? sheet.title.openedAt);
  // What the attachment is to the document (ISO 19005-3) the library knows, its types do not yet.
  const options = {
    name: `${sheet.number ?? 'sheet'}.json`,
    type: 'application/json',
    description: say(M.jsonOfThisSheet, 'mm'),
    relationship: 'Source',
    creationDate: at,
    modifiedDate: at,
  };
  doc.file(Buffer.from(canonicalSheet(sheet)), options);
}

const ALTERED = M.sheetNotAsSignedHash;

/** What stands under a sheet that is no part of it: later notes, how it was laid down, its hash. */
function after(sheet: SealedSheet, since: FitUpSheet['notes']): Block[] {
  const when = whenIn(sheet.timeZone);
  const { frozen } = sheet;
  return [
    ...(since.length > 0 ? [{ block: 'heading' as const, text: COMMON.notedAfterSignature }] : []),
    ...since.map(
      (n): Block => ({ block: 'line', lead: COMMON.note, text: n.text, small: `${n.by}, ${when(n.at)}` }),
    ),
    ...(sheet.altered ? [{ block: 'line' as const, lead: M.altered, text: ALTERED }] : []),
    {
      block: 'line',
      text: '',
      small: listOf(
        [
          frozen
            ? M.rules({
                origin: frozen.origin === 'signed' ? 'keptAsSigned' : 'signedBeforeSheetsWe',
                when: when(frozen.at),
                rules: frozen.rules,
              })
            : M.notSignedHowWorkStands,
          M.contentHashSha256Json({ contentHash: sheet.contentHash }),
        ],
        ' ',
      ),
    },
  ];
}

function head({ doc, sheet, unit }: Print): void {
  doc
    .font('label')
    .fontSize(22)
    .fillColor(INK)
    .text(say(sheet.name, unit), { continued: true })
    .font('mono')
    .fontSize(13)
    .text(
      `   ${sheet.number ?? ''}   ${sheet.title.state}${sheet.revision > 1 ? say(M.revision({ revision: sheet.revision }), unit) : ''}`,
    );
  doc.moveDown(0.5);
  doc
    .font('text')
    .fontSize(10.5)
    .text(`${sheet.title.machine}, ${sheet.title.position}. ${say(sheet.procedure.title, unit)}.`);
  doc.moveDown(0.5);
}

/** The frame of the print and its title block, on every page. */
function frame({ doc, sheet, unit }: Print, page: number, of: number): void {
  const when = whenIn(sheet.timeZone);
  const { width, height } = doc.page;
  const edge = MARGIN - 12;
  doc.page.margins.bottom = 0;
  doc
    .lineWidth(1)
    .rect(edge, edge, width - 2 * edge, height - 2 * edge)
    .stroke(INK);
  const w = 300;
  const x = width - edge - w;
  const y = height - edge - TITLE_BLOCK + 6;
  doc.rect(x, y, w, TITLE_BLOCK - 6).stroke(INK);
  const cell = (label: Text, value: Text, cx: number, cy: number, cw: number, size = 9) => {
    doc
      .font('label')
      .fontSize(6.5)
      .fillColor(GREY)
      .text(say(label, unit).toUpperCase(), cx + 5, cy + 3, { lineBreak: false });
    doc
      .font('strong')
      .fontSize(size)
      .fillColor(INK)
      .text(say(value, unit), cx + 5, cy + 10, {
        width: cw - 8,
        height: 13,
        ellipsis: true,
        lineBreak: false,
      });
  };
  const rule = (at: number) =>
    doc
      .moveTo(x, at)
      .lineTo(x + w, at)
      .lineWidth(0.5)
      .stroke(INK);
  cell(M.machinePosition, `${sheet.title.machine}, ${sheet.title.position}`, x, y, w, 10);
  rule(y + 24);
  cell(COMMON.job, sheet.number ?? '', x, y + 24, 80);
  cell(
    COMMON.opened,
    `${when(sheet.title.openedAt).slice(0, 10)}, ${sheet.title.openedBy}`,
    x + 80,
    y + 24,
    130,
  );
  cell(COMMON.sheet, M.of({ page, of }), x + 220, y + 24, 80);
  rule(y + 46);
  const signed = sheet.signature ? `${sheet.signature.name}, ${when(sheet.signature.at)}` : COMMON.notYet2;
  cell(COMMON.signed, signed, x, y + 46, 200);
  cell(
    M.state,
    `${sheet.title.state}${sheet.revision > 1 ? say(M.rev({ revision: sheet.revision }), unit) : ''}`,
    x + 220,
    y + 46,
    80,
  );
}
