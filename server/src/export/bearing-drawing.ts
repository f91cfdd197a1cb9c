import {
  bearingSection,
  type FitUpSheet,
  formatLength,
  GAP_SCALE,
  kindOf,
  type LengthUnit,
  sleeveOf,
  type Vec,
} from '@fulcrant/core';
import type { Pdf } from './sheet-pdf.ts';

const HEIGHT = 190;

/** The to-scale section with the job's own numbers on it, as on the screen. */
export function drawBearing(doc: Pdf, sheet: FitUpSheet, unit: LengthUnit): void {
  if (kindOf(sheet.setup) !== 'sleeve-bearing') return;
  const setup = sleeveOf(sheet);
  const residual = sheet.results.residualMm ?? sheet.results.benchMm;
  if (residual === null) return;
  const { nutDeg } = sheet.results;
  const travelMm = sheet.results.travelMm ?? (nutDeg === null ? 0 : (setup.pitchMm * nutDeg) / 360);
  const s = bearingSection({
    shaftMm: setup.shaftMm,
    boreMm: setup.boreMm,
    taper: setup.taper,
    travelMm,
    clearanceMm: residual,
  });
  if (doc.y + HEIGHT > doc.page.height - doc.page.margins.bottom) doc.addPage();
  const left = doc.page.margins.left;
  const width = doc.page.width - 2 * left;
  // Only the shaft's skin is drawn, broken off below, as on the screen.
  const floor = setup.shaftMm / 2 - setup.boreMm * 0.13;
  const scale = Math.min((width * 0.78) / (s.right - s.left), (HEIGHT - 34) / (s.top - floor));
  const x0 = left + width / 2 - (scale * (s.left + s.right)) / 2;
  const base = doc.y + HEIGHT - 20 + floor * scale;
  const px = (x: number) => x0 + x * scale;
  const py = (y: number) => base - y * scale;
  const outline = (points: Vec[], fill: string) => {
    points.forEach((p, i) => void (i === 0 ? doc.moveTo(px(p.x), py(p.y)) : doc.lineTo(px(p.x), py(p.y))));
    doc.closePath().lineWidth(0.8).fillAndStroke(fill, '#1d262b');
  };
  outline(
    s.shaft.map((p) => (p.y === 0 ? { x: p.x, y: floor } : p)),
    '#eeeae0',
  );
  outline(s.sleeve, '#d8dadb');
  outline(s.nut, '#c6cacb');
  outline(s.washer, '#ffffff');
  outline(s.innerRing, '#c6cacb');
  outline(s.outerRing, '#c6cacb');
  for (const roller of s.rollers) outline(roller, '#ffffff');
  const half = setup.boreMm * 0.28;
  const label = (text: string, x: number, y: number) =>
    doc.font('mono').fontSize(9).fillColor('#1d262b').text(text, x, y, { lineBreak: false });
  label(`residual ${formatLength(residual, unit)}`, px(half) + 14, py(s.top) + 4);
  label(`travel ${formatLength(travelMm, unit, 2)}`, px(half) + 14, py(s.top) + 18);
  label(`Ø ${formatLength(sheet.results.largestMm ?? setup.shaftMm, unit)}`, px(s.left) + 6, py(floor) - 14);
  doc
    .font('text')
    .fontSize(7.8)
    .fillColor('#666')
    .text(
      `Section to scale, gaps ×${GAP_SCALE}. Bore ${formatLength(setup.boreMm, unit, 1)}, taper 1:${setup.taper}.`,
      left,
      py(floor) + 6,
      { lineBreak: false },
    );
  doc.x = left;
  doc.y = py(floor) + 18;
}
