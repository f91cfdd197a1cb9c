import { WHY_EVERY, type Why } from '../../steps/why.ts';
import { M } from './messages.ts';

/** Why each step of setting a plunger is there. */
export const why: Why = {
  ...WHY_EVERY,
  look: M.ringsSealAgainstPlungerBore,
  sizes: M.plungerBoreDecideWhatRoom,
  listed: M.setsDifferMakerAgeWhat,
  order: M.eachRingDoesOneThing,
  in: M.pushedTogetherOneTipsNobody,
  mark: M.preloadNotFeltPlungerSo,
  preload: M.backedOffSoPlungerPasses,
  clamp: M.plungerNotAgainstRodHammers,
  start: M.dryLipsBurnSecondsSlow,
  proof: M.someLeakageLubricatesNoneMay,
};
