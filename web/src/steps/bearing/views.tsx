import { RUN_IN_LIMITS } from '@fulcrant/core/calculators';
import { fixedFirst, floatRoom, greaseFill, NAME_FIXED, runInLog } from '@fulcrant/core/steps';
import { lazy, Suspense } from 'react';
import type { StepView } from '../view.tsx';
import { view } from '../view.tsx';
import { FixedFirst } from './FixedFirst.tsx';
import { M } from './messages.ts';

const HeatChart = lazy(() => import('../../figures/HeatChart.tsx'));

/** What the sheet of a bearing may carry beside its fitting. */
export const bearingViews: StepView[] = [
  view(fixedFirst, {
    Body: ({ state, setup, stored, open, job }) => (
      <FixedFirst
        state={state}
        named={stored.named}
        spanMm={setup.float?.spanMm}
        open={open}
        onName={(named) => job.act('act.done', { act: NAME_FIXED.id, params: named })}
      />
    ),
  }),
  view(floatRoom, { layout: 'field' }),
  view(greaseFill, { layout: 'told' }),
  view(runInLog, {
    Figure: ({ values: { points, ambientC } }) => (
      <Suspense fallback={<div className="h-64" />}>
        <HeatChart
          points={points}
          baseC={ambientC}
          baseName={M.around}
          cautionC={Math.min(RUN_IN_LIMITS.cautionC, (ambientC ?? 20) + RUN_IN_LIMITS.riseK)}
          stopC={RUN_IN_LIMITS.stopC}
        />
      </Suspense>
    ),
    layout: 'field',
  }),
];
