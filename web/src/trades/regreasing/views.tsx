import { RUN_IN_LIMITS } from '@fulcrant/core/calculators';
import { greaseMatch, greaseStrokes, greaseWatch } from '@fulcrant/core/trades';
import { lazy, Suspense } from 'react';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { M } from './messages.ts';

const HeatChart = lazy(() => import('../../figures/HeatChart.tsx'));

/** Steps of a regreasing. */
export const views: StepView[] = [
  view(greaseMatch, { layout: 'told' }),
  view(greaseStrokes, { layout: 'field' }),
  view(greaseWatch, {
    Figure: ({ values }) => (
      <Suspense fallback={<div className="h-64" />}>
        <HeatChart
          points={values.points}
          baseC={values.startC}
          baseName={M.beforeFirstStroke}
          cautionC={RUN_IN_LIMITS.cautionC}
          stopC={RUN_IN_LIMITS.stopC}
        />
      </Suspense>
    ),
    layout: 'field',
  }),
];
