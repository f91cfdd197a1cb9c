import { WHY_EVERY, type Why } from '../../steps/why.ts';

/** Why each step of a wear watch is there. */
export const why: Why = {
  ...WHY_EVERY,
  wear: 'The faces of a running seal cannot be seen; what stands proud of the gland can. Measured at the same place each time, against what it was when it was new, it tells how much face is left, and by its rate the day on which the service is due. Measured once, it tells nothing.',
  renewed:
    'Passed only when the seal is renewed or its service is ordered: a watch that ends with a look at it is how faces run to the end.',
};
