import { shimCounts, shimFloats, thicknessesOf, writeHeap } from '@fulcrant/core/trades';
import { PileFigure } from '../../figures/PileFigure.tsx';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { ShimCount } from './ShimCount.tsx';

/** Steps of a vane pump. */
export const views: StepView[] = [
  view(shimCounts, {
    Body: ({ values, open, step, onAnswer }) => (
      <ShimCount
        key={step.id}
        values={values}
        open={open}
        onCount={(heap) => onAnswer('heaps', 'yes', writeHeap(heap))}
      />
    ),
  }),
  view(shimFloats, {
    Figure: ({ values: v, setup }) => {
      const pile = (heap: readonly number[]) =>
        thicknessesOf(setup).map((thicknessMm, i) => ({ thicknessMm, count: heap[i] ?? 0 }));
      return (
        <div className="grid grid-cols-2 items-end">
          <PileFigure pile={pile(v.off)} title="under the cap now" />
          {v.told?.stack && (
            <PileFigure pile={pile(v.told.stack.counts)} title="the float asks for" tone="brass" />
          )}
        </div>
      );
    },
  }),
];
