import { verdict } from '@fulcrant/core/trades';
import type { StepView } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { VerdictStep } from './VerdictStep.tsx';
/** Steps of a survey. */
export const views: StepView[] = [
  view(verdict, { Body: ({ stored, onLook }) => <VerdictStep values={stored} onLook={onLook} /> }),
];
