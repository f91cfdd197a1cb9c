import { bearingSection, GAP_SCALE, type Vec } from '../../arithmetic/bearings/section.ts';
import type { JobState } from '../../engine/state.ts';
import { type Drawing, type Fill, type Shape, small, text } from '../../judgement/drawing.ts';
import { len } from '../../quantities/say.ts';
import { shaftCame } from '../../steps/came.ts';
import { endedAt } from './ended.ts';
import type { SleeveSetup } from './setup.ts';
import { pitchOf } from './setup.ts';

const [WIDTH, HEIGHT] = [480, 196] as const;

/** The bearing on its sleeve as it ended: a section to scale, its gaps enlarged and said so, with the job's own numbers. */
export function sectionDrawing(job: JobState<SleeveSetup>): Drawing[] {
  const { setup } = job;
  const ended = endedAt(job);
  const clearanceMm = ended.residualMm ?? ended.benchMm;
  if (clearanceMm === null) return [];
  const travelMm = ended.travelMm ?? (pitchOf(setup).pitchMm * (ended.nutDeg ?? 0)) / 360;
  const s = bearingSection({
    shaftMm: setup.shaftMm,
    boreMm: setup.boreMm,
    taper: setup.taper,
    travelMm,
    clearanceMm,
  });
  // Only the shaft's skin is drawn, broken off below, as on the screen.
  const floor = setup.shaftMm / 2 - setup.boreMm * 0.13;
  const scale = Math.min((WIDTH * 0.78) / (s.right - s.left), (HEIGHT - 34) / (s.top - floor));
  const x0 = WIDTH / 2 - (scale * (s.left + s.right)) / 2;
  const px = (x: number) => Math.round(10 * (x0 + x * scale)) / 10;
  const py = (y: number) => Math.round(10 * (HEIGHT - 20 + (floor - y) * scale)) / 10;
  const part = (points: readonly Vec[], fill: Fill): Shape => ({
    shape: 'line',
    points: points.map((p) => [px(p.x), py(p.y)] as const),
    ink: 'ink',
    width: 0.8,
    closed: true,
    fill,
  });
  const beside = px(setup.boreMm * 0.28) + 14;
  return [
    {
      title: 'Bearing on its sleeve',
      width: WIDTH,
      height: HEIGHT,
      shapes: [
        part(
          s.shaft.map((p) => (p.y === 0 ? { x: p.x, y: floor } : p)),
          'paper',
        ),
        part(s.sleeve, 'steel-light'),
        part(s.nut, 'metal'),
        part(s.washer, 'paper'),
        part(s.innerRing, 'metal'),
        part(s.outerRing, 'metal'),
        ...s.rollers.map((r) => part(r, 'paper')),
        text([beside, py(s.top) + 12], `residual ${len(clearanceMm)}`, 'ink', 'start'),
        text([beside, py(s.top) + 26], `travel ${len(travelMm, 2)}`, 'ink', 'start'),
        text(
          [px(s.left) + 6, py(floor) - 6],
          `Ø ${len(shaftCame(job).largestMm ?? setup.shaftMm)}`,
          'ink',
          'start',
        ),
        small(
          [4, HEIGHT - 6],
          `Section to scale, gaps ×${GAP_SCALE}. Bore ${len(setup.boreMm, 1)}, taper 1:${setup.taper}.`,
          'start',
        ),
      ],
    },
  ];
}
