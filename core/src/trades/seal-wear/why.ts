import { WHY_EVERY, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of a wear watch is there. */
export const why: Why = {
  ...WHY_EVERY,
  wear: M.facesRunningSealCannotSeen,
  renewed: M.passedOnlyWhenSealRenewed,
};
