import type { Drawing, Fill, Ink, Shape } from '@fulcrant/core/judgement';
import { type LengthUnit, sayIn } from '@fulcrant/core/units';
import type PDFDocument from 'pdfkit';

export type Pdf = InstanceType<typeof PDFDocument>;

const INKS: Record<Ink, string> = {
  ink: '#1d262b',
  muted: '#666666',
  faint: '#bbbbbb',
  steel: '#24557a',
  brass: '#8a6a1f',
  stop: '#a3261b',
  accept: '#2c6b3f',
};
const FILLS: Record<Fill, string> = {
  metal: '#c6cacb',
  'steel-light': '#d8dadb',
  paper: '#ffffff',
  dot: '#1d262b',
};
/** Room between drawings that stand beside each other. */
const GAP = 8;

/** Drawings of a sheet, side by side as the page has room. */
export function drawings(doc: Pdf, all: readonly Drawing[], unit: LengthUnit): void {
  const { left, bottom } = doc.page.margins;
  const right = doc.page.width - left;
  let [x, y, row] = [left, doc.y + 6, 0];
  for (const d of all) {
    if (x > left && x + d.width > right) [x, y, row] = [left, y + row + GAP, 0];
    if (y + d.height > doc.page.height - bottom) {
      doc.addPage();
      [x, y, row] = [left, doc.y, 0];
    }
    doc.save().translate(x, y);
    for (const s of d.shapes) draw(doc, s, unit);
    doc.restore();
    x += d.width + GAP;
    row = Math.max(row, d.height);
  }
  doc.x = left;
  doc.y = y + row + GAP;
}

function draw(doc: Pdf, s: Shape, unit: LengthUnit): void {
  const ink = INKS[s.ink];
  if (s.shape === 'text') {
    const size = s.small ? 7 : 8.5;
    const text = sayIn(s.text, unit);
    doc.font(s.small ? 'text' : 'label').fontSize(size);
    const wide = doc.widthOfString(text);
    const back = s.anchor === 'middle' ? wide / 2 : s.anchor === 'end' ? wide : 0;
    doc.fillColor(ink).text(text, s.at[0] - back, s.at[1] - size * 0.78, { lineBreak: false });
    return;
  }
  if (s.shape === 'circle') doc.circle(...s.at, s.r);
  else if (s.shape === 'path') doc.path(s.d);
  else {
    s.points.forEach(([x, y], i) => void (i === 0 ? doc.moveTo(x, y) : doc.lineTo(x, y)));
    if (s.closed) doc.closePath();
  }
  doc.lineWidth((s.shape === 'circle' ? undefined : s.width) ?? 0.8);
  if (s.dashed) doc.dash(3, { space: 2 });
  if (s.fill) doc.fillAndStroke(FILLS[s.fill], ink);
  else doc.stroke(ink);
  if (s.dashed) doc.undash();
}
