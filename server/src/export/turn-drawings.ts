import {
  type AngleReading,
  type BoxBoreStepValues,
  type BoxFaceStepValues,
  type FitUpSheet,
  formatLength,
  type LengthUnit,
  type RunoutStepValues,
  shaftOf,
  turnDrawing,
} from '@fulcrant/core';
import type { Pdf } from './sheet-pdf.ts';

type Turn = { title: string; radiusMm: number; readings: AngleReading[]; note: string };

const CELL = 128;
const RADIUS = 34;
const ROOM = 18;
const INK = '#1d262b';

/** Every turn an indicator made on this job, as titled circles. */
function turnsOf(sheet: FitUpSheet, unit: LengthUnit): Turn[] {
  const values = <T>(id: string) => (sheet.steps.find((s) => s.id === id)?.values ?? null) as T | null;
  const tir = (mm: number | null) => (mm === null ? '' : `TIR ${formatLength(mm, unit)}`);
  const runout = values<RunoutStepValues>('runout');
  const face = values<BoxFaceStepValues>('face');
  const bore = values<BoxBoreStepValues>('bore');
  return [
    ...(runout?.stations ?? []).map((s, i) => ({
      title: `Run-out, station ${i + 1}`,
      radiusMm: shaftOf(sheet).shaftMm / 2,
      readings: s.readings,
      note: tir(s.values.tirMm),
    })),
    ...(face
      ? [{ title: 'Box face', radiusMm: face.sweepRadiusMm, readings: face.readings, note: tir(face.tirMm) }]
      : []),
    ...(bore
      ? [{ title: 'Box bore', radiusMm: bore.boxBoreMm / 2, readings: bore.corrected, note: tir(bore.tirMm) }]
      : []),
  ].filter((t) => t.readings.length > 0);
}

/** The turns of run-out, face and bore as on the screen: the part to scale, its deviations enlarged and said so. */
export function drawTurns(doc: Pdf, sheet: FitUpSheet, unit: LengthUnit): void {
  const turns = turnsOf(sheet, unit);
  if (turns.length === 0) return;
  const left = doc.page.margins.left;
  const across = Math.floor((doc.page.width - 2 * left) / CELL);
  const rows = Math.ceil(turns.length / across);
  if (doc.y + rows * CELL > doc.page.height - doc.page.margins.bottom) doc.addPage();
  const top = doc.y + 8;
  turns.forEach((t, i) => {
    const cx = left + CELL * ((i % across) + 0.5);
    const cy = top + CELL * (Math.floor(i / across) + 0.5) - 10;
    drawTurn(doc, t, cx, cy);
  });
  doc.x = left;
  doc.y = top + rows * CELL;
}

function drawTurn(doc: Pdf, t: Turn, cx: number, cy: number): void {
  const d = turnDrawing({
    radiusMm: t.radiusMm,
    radiusPx: RADIUS,
    roomPx: ROOM,
    readings: t.readings,
  });
  const spot = (deg: number, r: number): [number, number] => [
    cx + r * Math.sin((deg * Math.PI) / 180),
    cy - r * Math.cos((deg * Math.PI) / 180),
  ];
  doc.lineWidth(0.5).dash(3, { space: 2 }).circle(cx, cy, RADIUS).stroke('#999').undash();
  const outline = d.curve.length > 0 ? d.curve : d.points;
  outline.forEach((p, i) => {
    const [x, y] = spot(p.angleDeg, p.r);
    if (i === 0) doc.moveTo(x, y);
    else doc.lineTo(x, y);
  });
  if (outline.length > 1) doc.closePath().lineWidth(1).stroke('#24557a');
  for (const p of d.points) doc.circle(...spot(p.angleDeg, p.r), 1.3).fill(INK);
  const label = (text: string, y: number, size: number, ink: string) =>
    doc
      .font('label')
      .fontSize(size)
      .fillColor(ink)
      .text(text, cx - CELL / 2, y, { width: CELL, align: 'center', lineBreak: false });
  label(`${t.title}  ${t.note}`, cy + RADIUS + ROOM + 1, 8, INK);
  label(`deviations ×${d.times}, 0° on top`, cy + RADIUS + ROOM + 11, 7, '#666');
}
