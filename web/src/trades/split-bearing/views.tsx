import { axialPlace, races } from '@fulcrant/core/trades';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';

/** Steps of a split bearing. */
export const views: StepView[] = [view(races, { layout: 'field' }), view(axialPlace, { layout: 'field' })];
