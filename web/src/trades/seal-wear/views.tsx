import { wearWatch } from '@fulcrant/core/trades';
import { lazy, Suspense } from 'react';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';

const WearChart = lazy(() => import('./WearChart.tsx'));

/** Steps of a seal watched for its wear. */
export const views: StepView[] = [
  view(wearWatch, {
    Figure: ({ values, setup }) => (
      <Suspense fallback={<div className="h-60" />}>
        <WearChart values={values} serviceMm={setup.serviceMm} />
      </Suspense>
    ),
    layout: 'field',
  }),
];
