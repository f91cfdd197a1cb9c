import { shimCounts, shimFloats, writeHeap } from '@fulcrant/core/trades';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { ShimCount } from './ShimCount.tsx';

/** Steps of a vane pump. */
export const views: StepView[] = [
  view(shimCounts, {
    Body: ({ values, open, step, job, onAnswer }) => (
      <ShimCount
        key={step.id}
        values={values}
        open={open}
        quick={!job.practice}
        onCount={(heap) => onAnswer('heaps', 'yes', writeHeap(heap))}
      />
    ),
  }),
  view(shimFloats, {}),
];
