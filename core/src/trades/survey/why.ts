import { WHY_EVERY, WHY_SHAFT, type Why } from '../../steps/why.ts';

/** Why each step of a survey is there. */
export const why: Why = {
  ...WHY_EVERY,
  ...WHY_SHAFT,
  verdict:
    'A survey that ends in numbers leaves the deciding to whoever is in a hurry. Here stands what passed, what does not, what to do about it, and who took it on by name where it is used all the same.',
};
