import type { JobState } from '../../engine/state.ts';
import { reportAt } from '../../engine/trades.ts';
import { figure, label } from '../../judgement/draw.ts';
import type { Drawing } from '../../judgement/drawing.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import type { AngleReading } from '../../metrology/harmonics.ts';
import { len } from '../../quantities/say.ts';
import { boxBoreStep } from './box-bore.ts';
import { boxFaceStep } from './box-face.ts';
import { turnView } from './figures/turn-view.ts';
import { M } from './messages.ts';
import { runoutStep } from './runout.ts';
import type { ShaftSetup } from './shaft-setup.ts';

const WIDTH = 272;

/** One turn of an indicator by itself, with what it came to over it. */
const turnOf = (
  title: Text,
  tirMm: number | null,
  radiusMm: number,
  wanted: number,
  readings: readonly AngleReading[],
): Drawing =>
  figure({ width: WIDTH, height: 272, title: M.oneTurn({ title }) }, [
    label({ x: WIDTH / 2, y: 16, size: 15 }, tirMm === null ? '' : M.tir({ tir: len(tirMm) })),
    turnView({
      cx: WIDTH / 2,
      cy: 134,
      radiusPx: 58,
      radiusMm,
      readings,
      active: null,
      wanted,
      title,
    }),
  ]);

/** Every turn an indicator made on a job: run-out at its stations, face and bore of the box. */
export function turnDrawings(job: JobState<ShaftSetup>): Drawing[] {
  const runout = runoutStep.valuesOf(reportAt(job, 'runout'));
  const face = boxFaceStep.valuesOf(reportAt(job, 'face'));
  const bore = boxBoreStep.valuesOf(reportAt(job, 'bore'));
  return [
    ...(runout?.stations ?? []).flatMap((s, i) =>
      s.readings.length > 0
        ? [
            turnOf(
              M.runOutStation({ i: i + 1 }),
              s.values.tirMm,
              job.setup.shaftMm / 2,
              runout?.wanted ?? 8,
              s.readings,
            ),
          ]
        : [],
    ),
    ...(face && face.readings.length > 0
      ? [turnOf(COMMON.boxFace, face.tirMm, face.sweepRadiusMm, face.wanted, face.readings)]
      : []),
    ...(bore && bore.corrected.length > 0
      ? [turnOf(COMMON.boxBore, bore.tirMm, bore.boxBoreMm / 2, bore.wanted, bore.corrected)]
      : []),
  ];
}
