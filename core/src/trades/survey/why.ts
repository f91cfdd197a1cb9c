import { WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of a survey is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_SHAFT,
  verdict: M.surveyEndsNumbersLeavesDeciding,
};
