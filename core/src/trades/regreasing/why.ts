import { WHY_EVERY, type Why } from '../../steps/why.ts';

/** Why each step of regreasing is there. */
export const why: Why = {
  ...WHY_EVERY,
  match:
    'Two greases whose thickeners do not suit each other turn to soup or to soap, and run out or stand still. Which grease is in there is asked before a stroke is given; where nobody knows, the old one is cleaned out.',
  strokes:
    'Too little starves it, too much is churned and heats it, or is pressed past the seal. This gun’s stroke is weighed once: strokes are grams only then. Slowly, with the relief free: a blocked relief sends the grease through the seal.',
  watch:
    'Fresh grease drags, so it warms for some hours and falls back. Where it keeps climbing the housing is too full, the relief is shut, or it was not the grease: that is seen by watching, and not by leaving.',
};
