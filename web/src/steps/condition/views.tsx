import {
  beltStep,
  boxBoreStep,
  boxFaceStep,
  couplingStep,
  diameters,
  envelopeStep,
  finishStep,
  housingsStep,
  playStep,
  runoutStep,
  softFootStep,
} from '@fulcrant/core/steps';
import type { StepView } from '../view.tsx';
import { view } from '../view.tsx';

/** What a shaft and what is round it are measured by. */
export const conditionViews: StepView[] = [
  view(diameters, {}),
  view(runoutStep, {}),
  view(boxFaceStep, {}),
  view(boxBoreStep, {}),
  view(finishStep, {}),
  view(playStep, {}),
  view(envelopeStep, {}),
  view(softFootStep, {}),
  view(housingsStep, {}),
  view(beltStep, {}),
  view(couplingStep, {}),
];
