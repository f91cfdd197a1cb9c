import { doorGap } from '../../../../core/src/testing/doorstop/doorstop.ts';
import { type StepView, view } from '../../steps/view.tsx';

/** How the door's gap is shown: its own figure, the field first, and how far it is off beside it. */
export const views: readonly StepView[] = [
  view(doorGap, {
    layout: 'field',
    Side: ({ setup, values }) =>
      values.gapMm === null ? null : (
        <p data-off={(values.gapMm - setup.gapMm).toFixed(2)}>{`Wanted ${setup.gapMm} mm.`}</p>
      ),
  }),
];
