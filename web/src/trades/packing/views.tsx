import { breakIn, cuttings, packingPlan, ringsLoop } from '@fulcrant/core/trades';
import { lazy, Suspense } from 'react';
import { GateStep } from '../../steps/GateStep.tsx';
import type { StepView } from '../../steps/view.tsx';
import { StepFigure, view } from '../../steps/view.tsx';

const BreakInChart = lazy(() => import('./BreakInChart.tsx'));

/** Steps of a stuffing box. */
export const views: StepView[] = [
  view(packingPlan, { layout: 'told' }),
  view(cuttings, {
    Body: (p) => (
      <div className="flex flex-col gap-4">
        <StepFigure {...p} />
        <GateStep {...p} />
      </div>
    ),
  }),
  view(ringsLoop, { layout: 'field', turned: true }),
  view(breakIn, {
    Figure: ({ values }) => (
      <Suspense fallback={<div className="h-60" />}>
        <BreakInChart values={values} />
      </Suspense>
    ),
    layout: 'field',
  }),
];
