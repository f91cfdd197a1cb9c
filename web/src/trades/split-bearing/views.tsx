import { axialPlace, races } from '@fulcrant/core/trades';
import { AxialFigure, RaceFigure } from '../../figures/SplitFigures.tsx';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
/** Steps of a split bearing. */
export const views: StepView[] = [
  view(races, {
    Figure: ({ values, setup, place }) => (
      <RaceFigure values={values} shaftMm={setup.shaftMm} place={place?.key} />
    ),
    layout: 'field',
  }),
  view(axialPlace, {
    Figure: ({ values, place }) => <AxialFigure values={values} place={place?.key} />,
    layout: 'field',
  }),
];
