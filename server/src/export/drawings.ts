import type { Drawing, Fill, Ink, Look, Shape } from '@fulcrant/core/figures';
import { type LengthUnit, say } from '@fulcrant/core/units';
import type PDFDocument from 'pdfkit';

export type Pdf = InstanceType<typeof PDFDocument>;

const INKS: Record<Exclude<Ink, 'none'>, string> = {
  ink: '#1d262b',
  muted: '#666666',
  faint: '#bbbbbb',
  rule: '#1d262b',
  steel: '#24557a',
  brass: '#8a6a1f',
  stop: '#a3261b',
  accept: '#2c6b3f',
  paper: '#ffffff',
  shade: '#e4e4e1',
};
/** On paper cut metal is grey: a hatch of hair lines would close up in a copy. */
const FILLS: Record<Exclude<Fill, Ink | 'touch'>, string> = {
  metal: '#c6cacb',
  'steel-light': '#d8dadb',
  dot: '#1d262b',
  hatch: '#c6cacb',
  'hatch-back': '#d8dadb',
};
/** Room between drawings that stand beside each other. */
const GAP = 8;

/**
 * Drawings of a sheet, side by side as the page has room; one wider than the page is drawn smaller.
 * @param figure draws one, with what it shows in words
 */
export function drawings(
  doc: Pdf,
  all: readonly Drawing[],
  unit: LengthUnit,
  figure: (alt: string, content: () => void) => void,
): void {
  const { left, bottom } = doc.page.margins;
  const right = doc.page.width - left;
  let [x, y, row] = [left, doc.y + 6, 0];
  for (const d of all) {
    const scale = Math.min(1 / (d.perPoint ?? 1), (right - left) / d.width);
    const [width, height] = [d.width * scale, d.height * scale];
    if (x > left && x + width > right) [x, y, row] = [left, y + row + GAP, 0];
    if (y + height > doc.page.height - bottom) {
      doc.addPage();
      [x, y, row] = [left, doc.y, 0];
    }
    const [fromX, fromY] = d.from ?? [0, 0];
    const [at, top] = [x, y];
    figure(say(d.title, unit), () => {
      doc.save().translate(at, top).scale(scale).translate(-fromX, -fromY);
      for (const s of d.shapes) draw(doc, s, unit, PLAIN);
      doc.restore();
    });
    x += width + GAP;
    row = Math.max(row, height);
  }
  doc.x = left;
  doc.y = y + row + GAP;
}

/** What a shape looks like that says nothing of it, outside every group. */
const PLAIN: Look = { width: 0.8 };

function draw(doc: Pdf, s: Shape, unit: LengthUnit, inherited: Look): void {
  if (s.shape === 'text') {
    words(doc, s, unit);
    return;
  }
  const look: Look = { ...inherited, ...given(s) };
  if (s.shape === 'group') {
    doc.save();
    if (s.shift) doc.translate(...s.shift);
    if (s.scale !== undefined) doc.scale(s.scale);
    if (s.turn) doc.rotate(s.turn[0], { origin: [s.turn[1], s.turn[2]] });
    for (const inner of s.shapes) draw(doc, inner, unit, look);
    doc.restore();
    return;
  }
  const fill = look.fill && look.fill !== 'none' && look.fill !== 'touch' ? colour(look.fill) : null;
  const ink = look.ink && look.ink !== 'none' ? INKS[look.ink] : null;
  if (fill === null && ink === null) return;
  doc.save();
  if (s.shape === 'circle') doc.circle(...s.at, s.r);
  else if (s.shape === 'path') doc.path(s.d);
  else {
    s.points.forEach(([x, y], i) => void (i === 0 ? doc.moveTo(x, y) : doc.lineTo(x, y)));
    if (s.closed) doc.closePath();
  }
  doc.lineWidth(look.width ?? 0.8);
  const dash = look.dash ?? (look.dashed ? '3 2' : undefined);
  if (dash) doc.dash(dash.split(' ').map(Number) as never, {});
  doc.fillOpacity((look.opacity ?? 1) * (look.fillOpacity ?? 1)).strokeOpacity(look.opacity ?? 1);
  if (fill !== null && ink !== null) doc.fillAndStroke(fill, ink);
  else if (fill !== null) doc.fill(fill);
  else if (ink !== null) doc.stroke(ink);
  doc.restore();
}

const colour = (fill: Exclude<Fill, 'none' | 'touch'>): string =>
  fill in FILLS ? FILLS[fill as keyof typeof FILLS] : INKS[fill as keyof typeof INKS];

/** What a shape says of its look; opacity is a group’s own and goes with every shape in it. */
const given = ({ ink, width, fill, dash, dashed, opacity, fillOpacity }: Look): Look =>
  Object.fromEntries(
    Object.entries({ ink, width, fill, dash, dashed, opacity, fillOpacity }).filter(
      ([, v]) => v !== undefined,
    ),
  );

function words(doc: Pdf, s: Extract<Shape, { shape: 'text' }>, unit: LengthUnit): void {
  const size = s.size ?? (s.small ? 7 : 8.5);
  const text = say(s.text, unit);
  doc.font(FONT[s.font ?? (s.small ? 'text' : 'plain')]).fontSize(size);
  const wide = doc.widthOfString(text);
  const back = s.anchor === 'middle' ? wide / 2 : s.anchor === 'end' ? wide : 0;
  const ink = s.ink && s.ink !== 'none' ? INKS[s.ink] : INKS.ink;
  doc.fillColor(ink).text(text, s.at[0] - back, s.at[1] - size * 0.78, { lineBreak: false });
}
const FONT = { label: 'label', figures: 'mono', text: 'text', plain: 'label' } as const;
