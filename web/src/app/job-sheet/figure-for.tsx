import {
  type AxialPlaceValues,
  type DriveUpAngleValues,
  type DriveUpHydraulicValues,
  type FirstFillValues,
  type FloatRoomValues,
  type GreaseWatchValues,
  type JobState,
  type LetGoValues,
  type LockBySchoolValues,
  type NutBackValues,
  type NutZeroValues,
  type Place,
  type RaceGapsStepValues,
  RUN_IN_LIMITS,
  type RunInStepValues,
  type SleeveSetup,
  type StepReport,
  type StrokesValues,
  schoolOf,
  sleeveOf,
} from '@fulcrant/core';
import { lazy, type ReactNode, Suspense } from 'react';
import {
  BenchFigure,
  DriveUpFigure,
  FinalFigure,
  LockFigure,
  TargetFigure,
} from '../../features/bearings/steps.tsx';
import { boxFigure } from '../../features/boxes/box-figure-of.tsx';
import { conditionFigure } from '../../features/condition/figure-of.tsx';
import { FillFigure, StrokesFigure } from '../../figures/GreaseFigure.tsx';
import { NutMarkFigure } from '../../figures/NutMarkFigure.tsx';
import { LetGoFigure, NutBackFigure } from '../../figures/OffFigures.tsx';
import { PumpFigure } from '../../figures/PumpFigure.tsx';
import { AxialFigure, FloatFigure, RaceFigure } from '../../figures/SplitFigures.tsx';

const HeatChart = lazy(() => import('../../features/lubrication/HeatChart.tsx'));

type Props = {
  state: JobState;
  step: string;
  report: StepReport;
  shown: StepReport;
  place: Place | null;
  typed: number | null;
  /** A part turned on the figure goes into the field. */
  onTurn?: ((deg: number) => void) | undefined;
};

const valuesAt = <T,>(state: JobState, step: string): T | null =>
  (state.steps.find((s) => s.id === step)?.report?.values ?? null) as T | null;

const bandOf = ({ maker }: SleeveSetup) => ({
  minDeg: maker.nutAngleMinDeg ?? 0,
  maxDeg: maker.nutAngleMaxDeg ?? 0,
});

/** Drive-up and lock by the schools that are not judged by feelers. */
function schoolFigure({ state, step, report, shown, place, typed }: Props): ReactNode {
  const setup = sleeveOf(state);
  if (step === 'lock' && place?.key.startsWith('final/')) {
    const { travelMm } = report.values as LockBySchoolValues;
    return <FinalFigure state={state} place={place.key} typed={typed} travelMm={travelMm} />;
  }
  if (schoolOf(setup) === 'hydraulic') {
    const v = (
      step === 'driveup' ? shown.values : valuesAt(state, 'driveup')
    ) as DriveUpHydraulicValues | null;
    return v ? (
      <PumpFigure setup={setup} values={v} typedMpa={place?.kind === 'pressure' ? typed : null} />
    ) : null;
  }
  const driven = (
    step === 'driveup' ? shown.values : valuesAt(state, 'driveup')
  ) as DriveUpAngleValues | null;
  const lock = step === 'lock' ? (shown.values as LockBySchoolValues | null) : null;
  if (!driven) return null;
  const turning = step === 'driveup' && place?.key.startsWith('turn/') ? typed : null;
  const locking =
    step === 'lock' && place?.key === 'turn' && typed !== null ? driven.turnedDeg + typed : null;
  return (
    <NutMarkFigure
      slots={setup.nutSlots}
      turnedDeg={turning ?? locking ?? lock?.finalDeg ?? driven.turnedDeg}
      band={bandOf(setup)}
      marked
      stops={driven.stops}
      note={`a lock position every ${driven.spacingDeg.toFixed(1)}° at the most; ticks: where it locks`}
    />
  );
}

/** Temperature over time of the first hours, or after a regreasing. */
function heatFigure({ step, shown }: Props): ReactNode {
  const runIn = step === 'runin' ? (shown.values as RunInStepValues) : null;
  const watch = step === 'watch' ? (shown.values as GreaseWatchValues) : null;
  const base = runIn ? runIn.ambientC : (watch?.startC ?? null);
  return (
    <Suspense fallback={<div className="h-64" />}>
      <HeatChart
        points={runIn?.points ?? watch?.points ?? []}
        baseC={base}
        baseName={runIn ? 'around it' : 'before the first stroke'}
        cautionC={
          runIn
            ? Math.min(RUN_IN_LIMITS.cautionC, (base ?? 20) + RUN_IN_LIMITS.riseK)
            : RUN_IN_LIMITS.cautionC
        }
        stopC={RUN_IN_LIMITS.stopC}
      />
    </Suspense>
  );
}

/** The figure of a step, with the numbers as they would stand. */
export function figureFor(props: Props): ReactNode {
  const { state, step, report, shown, place, typed } = props;
  const key = place?.key;
  const feelers = { state, report, place: key, typed };
  const byFeelers = 'driveUp' in state.setup ? schoolOf(state.setup) === 'feelers' : true;
  switch (step) {
    case 'bench':
      return <BenchFigure {...feelers} />;
    case 'target':
      return <TargetFigure state={state} report={report} />;
    case 'driveup':
      return byFeelers ? <DriveUpFigure {...feelers} /> : schoolFigure(props);
    case 'lock':
      return byFeelers ? <LockFigure {...feelers} /> : schoolFigure(props);
    case 'zero': {
      const v = shown.values as NutZeroValues;
      const setup = sleeveOf(state);
      return (
        <NutMarkFigure
          slots={setup.nutSlots}
          turnedDeg={0}
          band={bandOf(setup)}
          marked={v.proven}
          note={v.taps.length === 0 ? 'sleeve’s slot on top' : `taps moved it ${v.taps.join('°, ')}°`}
        />
      );
    }
    case 'float':
      return (
        <FloatFigure
          values={shown.values as FloatRoomValues}
          place={key}
          spanMm={'float' in state.setup ? (state.setup.float?.spanMm ?? 0) : 0}
        />
      );
    case 'race':
    case 'clamps':
    case 'seated':
      return (
        <RaceFigure
          values={shown.values as RaceGapsStepValues}
          shaftMm={'shaftMm' in state.setup ? state.setup.shaftMm : 0}
          place={key}
        />
      );
    case 'axial':
      return <AxialFigure values={shown.values as AxialPlaceValues} place={key} />;
    case 'nutback':
      return <NutBackFigure values={shown.values as NutBackValues} />;
    case 'letgo':
      return <LetGoFigure values={shown.values as LetGoValues} />;
    case 'grease':
      return (
        <FillFigure
          values={shown.values as FirstFillValues}
          housingCm3={'grease' in state.setup ? (state.setup.grease?.housingCm3 ?? 0) : 0}
        />
      );
    case 'strokes':
      return <StrokesFigure values={shown.values as StrokesValues} />;
    case 'runin':
    case 'watch':
      return heatFigure(props);
    default: {
      const box = boxFigure({ state, step, shown, place, typed, onTurn: props.onTurn });
      return box === undefined ? conditionFigure({ state, step, shown, place }) : box;
    }
  }
}
