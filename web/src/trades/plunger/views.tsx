import { measured, partsOrder, plungerPreloadStep } from '@fulcrant/core/trades';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { MeasuredFigure } from './MeasuredFigure.tsx';
import { PartsOrder } from './PartsOrder.tsx';

/** Steps of a plunger. */
export const views: StepView[] = [
  view(partsOrder, {
    Body: ({ stored, open, onAnswer }) => (
      <PartsOrder values={stored} open={open} onLay={(order) => onAnswer('order', 'yes', order.join(' '))} />
    ),
  }),
  view(measured, {
    Figure: ({ values, place, typed }) => (
      <MeasuredFigure rows={values.rows} place={place?.key ?? null} typed={typed} />
    ),
    layout: 'field',
  }),
  view(plungerPreloadStep, { layout: 'field' }),
];
