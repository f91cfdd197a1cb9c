import {
  angles,
  baselines,
  breakaway,
  compression,
  gasStep,
  kept,
  portsStep,
  sealProof,
  sealSettingStep,
  splitGaps,
  sweepMiddle,
  throttleStep,
} from '@fulcrant/core/trades';
import { lazy, Suspense } from 'react';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';

const ProofChart = lazy(() => import('./ProofChart.tsx'));

/** Steps of a seal. */
export const views: StepView[] = [
  view(sealSettingStep, { layout: 'field' }),
  view(compression, {}),
  view(angles, { layout: 'field', turned: true }),
  view(portsStep, { layout: 'field', turned: true }),
  view(splitGaps, { layout: 'field' }),
  view(baselines, { layout: 'field' }),
  view(sweepMiddle, { layout: 'field' }),
  view(kept, { layout: 'field' }),
  view(throttleStep, { layout: 'field' }),
  view(breakaway, {}),
  view(gasStep, { layout: 'field' }),
  view(sealProof, {
    Figure: ({ values }) => (
      <Suspense fallback={<div className="h-60" />}>
        <ProofChart values={values} />
      </Suspense>
    ),
    layout: 'field',
  }),
];
