import { asFound, letGo, nutBack } from '@fulcrant/core/trades';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { LetGoFigure, NutBackFigure } from './OffFigures.tsx';
/** Steps of a bearing taken off. */
export const views: StepView[] = [
  view(asFound, {}),
  view(nutBack, { Figure: ({ values }) => <NutBackFigure values={values} />, layout: 'field' }),
  view(letGo, { Figure: ({ values }) => <LetGoFigure values={values} />, layout: 'field' }),
];
