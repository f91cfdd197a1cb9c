import {
  breakIn,
  cuttings,
  type PackingSetup,
  packingPlan,
  type RingsStepValues,
  ringKey,
  ringsLoop,
  ringsOf,
} from '@fulcrant/core/trades';
import { lazy, Suspense } from 'react';
import { ClockFigure } from '../../figures/ClockFigure.tsx';
import { GateStep } from '../../steps/GateStep.tsx';
import type { StepView, ViewProps } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { CutFigure, PackingFigure } from './PackingFigures.tsx';

const BreakInChart = lazy(() => import('./BreakInChart.tsx'));

/** Rings in the box, and their joints on the clock face. */
function RingsFigure({ setup, values: v, place, typed, onTurn }: ViewProps<PackingSetup, RingsStepValues>) {
  const next = ringKey.read(place?.key)?.n ?? 0;
  const off = (i: number) => {
    const [a, b] = [v.jointsDeg[i], v.jointsDeg[i - 1]];
    return a !== undefined && b !== undefined && Math.abs(((a - b + 540) % 360) - 180) < v.staggerDeg - 20;
  };
  return (
    <div className="grid items-center gap-2 md:grid-cols-[1.2fr_1fr]">
      <PackingFigure
        setup={setup}
        plan={v.plan}
        seated={v.jointsDeg.length}
        bare
        active={next || undefined}
      />
      <ClockFigure
        marks={Array.from({ length: v.plan.count }, (_, i) => ({
          key: `ring/${i + 1}`,
          name: `joint of ring ${i + 1}`,
          deg: v.jointsDeg[i] ?? null,
          across: false,
          bad: off(i),
        }))}
        active={place?.key ?? null}
        typedDeg={typed}
        onTurn={onTurn}
        lines={[]}
        wanted={
          next && v.plan.jointsDeg[next - 1] !== undefined
            ? [{ deg: v.plan.jointsDeg[next - 1] ?? 0, word: 'joint' }]
            : []
        }
        innerFirst
        compact
        note={`joints ${v.staggerDeg}° on; ring 1 innermost`}
      />
    </div>
  );
}

/** Steps of a stuffing box. */
export const views: StepView[] = [
  view(packingPlan, {
    Figure: ({ values, setup }) => (
      <>
        <PackingFigure setup={setup} plan={values} />
        <CutFigure setup={setup} plan={values} />
      </>
    ),
    layout: 'told',
  }),
  view(cuttings, {
    Body: (p) => (
      <div className="flex flex-col gap-4">
        <CutFigure setup={p.setup} plan={ringsOf(p).values} />
        <GateStep {...p} />
      </div>
    ),
  }),
  view(ringsLoop, { Figure: RingsFigure, layout: 'field', turned: true }),
  view(breakIn, {
    Figure: ({ values }) => (
      <Suspense fallback={<div className="h-60" />}>
        <BreakInChart values={values} />
      </Suspense>
    ),
    layout: 'field',
  }),
];
