import { say } from '@fulcrant/core/units';
import PDFDocument from 'pdfkit';
import QRCode from 'qrcode';
import { fonts } from './fonts.ts';
import { M } from './messages.ts';

export type Label = { label: string; machine: string; position: string; area: string };

const MM = 72 / 25.4;
/** Labels of 62 × 34 mm, three across: cut along the lines, or printed on a sheet of that pitch. */
const WIDE = 62 * MM;
const HIGH = 34 * MM;
const EDGE = { x: 12 * MM, y: 12 * MM };
const CODE = 26 * MM;

/**
 * A sheet of labels to stick on machines: what the position is called, its letters, and a QR code that opens it.
 * @param base where the application is found, without a slash at its end
 */
export async function labelsPdf(
  labels: readonly Label[],
  { base, size }: { base: string; size: 'A4' | 'LETTER' },
): Promise<Buffer> {
  const doc = new PDFDocument({ size, margin: 0, info: { Title: say(M.labelsPositions, 'mm') } });
  for (const [name, font] of Object.entries(fonts())) doc.registerFont(name, font as never);
  const parts: Buffer[] = [];
  doc.on('data', (b: Buffer) => parts.push(b));
  const ended = new Promise<void>((done) => doc.on('end', () => done()));
  const across = Math.floor((doc.page.width - 2 * EDGE.x) / WIDE);
  const down = Math.floor((doc.page.height - 2 * EDGE.y) / HIGH);
  for (const [i, l] of labels.entries()) {
    const place = i % (across * down);
    if (i > 0 && place === 0) doc.addPage();
    const x = EDGE.x + (place % across) * WIDE;
    const y = EDGE.y + Math.floor(place / across) * HIGH;
    doc.lineWidth(0.3).dash(2, { space: 2 }).rect(x, y, WIDE, HIGH).stroke('#999').undash();
    const code = QRCode.create(`${base}/p/${l.label}`, { errorCorrectionLevel: 'M' });
    const { size: n, data } = code.modules;
    const cell = CODE / (n + 4);
    const [cx, cy] = [x + 2 * MM + 2 * cell, y + (HIGH - CODE) / 2 + 2 * cell];
    for (let row = 0; row < n; row++)
      for (let col = 0; col < n; col++)
        if (data[row * n + col])
          // A little over its cell, so that no hair of white stands between two.
          doc.rect(cx + col * cell, cy + row * cell, cell + 0.05, cell + 0.05);
    doc.fill('#000');
    const tx = x + 2 * MM + CODE + 1 * MM;
    const tw = x + WIDE - tx - 2 * MM;
    doc
      .font('label')
      .fontSize(11)
      .text(l.machine, tx, y + 4 * MM, { width: tw, height: 10 * MM, ellipsis: true });
    doc
      .font('text')
      .fontSize(8)
      .text(l.position, tx, y + 14.5 * MM, { width: tw, height: 9 * MM, ellipsis: true });
    doc
      .font('mono')
      .fontSize(13)
      .text(l.label, tx, y + 26 * MM, { width: tw, lineBreak: false });
  }
  doc.end();
  await ended;
  return Buffer.concat(parts);
}
