import { type JobState, reportAt } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import {
  benchClearance,
  type DriveUpStepValues,
  driveUp,
  driveUpAngle,
  driveUpHydraulic,
  lock,
  lockBySchool,
  nutZero,
  type SleeveSetup,
  target,
} from '@fulcrant/core/trades';
import { lazy, Suspense, useDeferredValue } from 'react';
import type { StepView, ViewProps } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { M } from './messages.ts';
import { AngleSide, PumpSide } from './SchoolSide.tsx';
import { BenchSets, DriveUpSide, TargetNumbers } from './sides.tsx';

const ForecastChart = lazy(() => import('./ForecastChart.tsx'));
const TrialPanel = lazy(() => import('./TrialPanel.tsx'));

const benchOf = (state: JobState) => benchClearance.valuesOf(reportAt(state, 'bench'));

/** So far, still to turn, and the chart; the chart may follow the keystroke a moment later. */
function DriveUpBeside({ state, values }: ViewProps<SleeveSetup, DriveUpStepValues>) {
  const charted = useDeferredValue(values);
  const benchMm = benchOf(state)?.benchMm;
  return (
    <>
      <DriveUpSide values={values} />
      {benchMm && (
        <Suspense fallback={<div className="h-44" />}>
          <ForecastChart values={charted} benchMm={benchMm} />
        </Suspense>
      )}
    </>
  );
}

/** A trial of what is known, worked out beside the page. */
function Trial({ state, stored, open }: ViewProps<SleeveSetup, DriveUpStepValues>) {
  const bench = benchOf(state);
  if (!open || !bench?.benchMm) return null;
  return (
    <Suspense fallback={null}>
      <TrialPanel
        values={stored}
        benchMm={bench.benchMm}
        benchU={bench.standardUncertaintyMm ?? bench.bladeStepMm}
        bladeStepMm={bench.bladeStepMm}
        jobId={state.jobId}
      />
    </Suspense>
  );
}

/** How far of the way, in eighths. */
const eighths = (v: DriveUpStepValues): Text | null =>
  v.target.nutEighthsAim === null
    ? null
    : M.aboutEighths({
        angle: (v.angleDeg / 45).toFixed(v.angleDeg % 45 ? 1 : 0),
        nutEighthsAim: v.target.nutEighthsAim.toFixed(1),
      });

/** Steps of a bearing on its sleeve. */
export const views: StepView[] = [
  view(benchClearance, { Side: ({ values }) => <BenchSets values={values} /> }),
  view(target, {
    Told: ({ stored }) => <TargetNumbers values={stored} />,
    layout: 'told',
  }),
  view(driveUp, {
    Side: DriveUpBeside,
    Under: Trial,
    stopped: (v) => v.place === 'over-driven',
    note: eighths,
    longSum: true,
  }),
  view(driveUpAngle, {
    Side: ({ values }) => <AngleSide values={values} />,
    longSum: true,
  }),
  view(driveUpHydraulic, {
    Side: ({ values }) => <PumpSide values={values} />,
    longSum: true,
  }),
  view(lock, {}),
  view(lockBySchool, {}),
  view(nutZero, { layout: 'field' }),
];
