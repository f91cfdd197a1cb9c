import { asFound, letGo, nutBack } from '@fulcrant/core/trades';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
/** Steps of a bearing taken off. */
export const views: StepView[] = [
  view(asFound, {}),
  view(nutBack, { layout: 'field' }),
  view(letGo, { layout: 'field' }),
];
