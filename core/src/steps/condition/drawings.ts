import { turnDrawing } from '../../arithmetic/shaft/turn-drawing.ts';
import type { JobState } from '../../engine/state.ts';
import { reportAt } from '../../engine/trades.ts';
import { type Drawing, type Shape, small, spot, text } from '../../judgement/drawing.ts';
import type { AngleReading } from '../../metrology/harmonics.ts';
import { len, type Said } from '../../quantities/say.ts';
import { boxBoreStep } from './box-bore.ts';
import { boxFaceStep } from './box-face.ts';
import { runoutStep } from './runout.ts';
import type { ShaftSetup } from './shaft-setup.ts';

const CELL = 132;
const RADIUS = 36;
const ROOM = 18;

/** One turn of an indicator: the part to scale, its deviations enlarged by a round number that is said beside it. */
function turnOf(title: string, said: Said, radiusMm: number, readings: readonly AngleReading[]): Drawing {
  const [cx, cy] = [CELL / 2, CELL / 2 - 10];
  const d = turnDrawing({ radiusMm, radiusPx: RADIUS, roomPx: ROOM, readings });
  const curve = d.curve.length > 0 ? d.curve : d.points;
  return {
    title,
    width: CELL,
    height: CELL,
    shapes: [
      { shape: 'circle', at: [cx, cy], r: RADIUS, ink: 'muted', dashed: true },
      {
        shape: 'line',
        points: curve.map((p) => spot(cx, cy, p.angleDeg, p.r)),
        ink: 'steel',
        closed: true,
      },
      ...d.points.map(
        (p): Shape => ({
          shape: 'circle',
          at: spot(cx, cy, p.angleDeg, p.r),
          r: 1.4,
          ink: 'ink',
          fill: 'dot',
        }),
      ),
      text([cx, cy + RADIUS + ROOM + 9], title),
      small([cx, cy + RADIUS + ROOM + 19], said),
      small([cx, 8], `deviations ×${d.times}, 0° on top`),
    ],
  };
}

const tir = (mm: number | null): Said => (mm === null ? '' : `TIR ${len(mm)}`);

/** Every turn an indicator made on a job: run-out at its stations, face and bore of the box. */
export function turnDrawings(job: JobState<ShaftSetup>): Drawing[] {
  const runout = runoutStep.valuesOf(reportAt(job, 'runout'));
  const face = boxFaceStep.valuesOf(reportAt(job, 'face'));
  const bore = boxBoreStep.valuesOf(reportAt(job, 'bore'));
  return [
    ...(runout?.stations ?? []).flatMap((s, i) =>
      s.readings.length > 0
        ? [turnOf(`Run-out, station ${i + 1}`, tir(s.values.tirMm), job.setup.shaftMm / 2, s.readings)]
        : [],
    ),
    ...(face && face.readings.length > 0
      ? [turnOf('Box face', tir(face.tirMm), face.sweepRadiusMm, face.readings)]
      : []),
    ...(bore && bore.corrected.length > 0
      ? [turnOf('Box bore', tir(bore.tirMm), bore.boxBoreMm / 2, bore.corrected)]
      : []),
  ];
}
