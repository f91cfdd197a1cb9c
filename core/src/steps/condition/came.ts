import type { JobState } from '../../engine/state.ts';
import { reportAt } from '../../engine/trades.ts';
import { boxBoreStep } from './box-bore.ts';
import { boxFaceStep } from './box-face.ts';
import { playStep } from './play.ts';
import { runoutStep } from './runout.ts';

/** The worst numbers of the condition measures, mm; null where one was not taken. */
export function conditionCame(job: JobState) {
  const tirs = (runoutStep.valuesOf(reportAt(job, 'runout'))?.stations ?? []).flatMap(
    (s) => s.values.tirMm ?? [],
  );
  const play = playStep.valuesOf(reportAt(job, 'play'));
  return {
    runoutMm: tirs.length ? Math.max(...tirs) : null,
    endPlayMm: play?.endPlayMm ?? null,
    radialPlayMm: play?.radialPlayMm ?? null,
    faceMm: boxFaceStep.valuesOf(reportAt(job, 'face'))?.tirMm ?? null,
    boreMm: boxBoreStep.valuesOf(reportAt(job, 'bore'))?.tirMm ?? null,
  };
}
