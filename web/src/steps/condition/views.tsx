import type { Place } from '@fulcrant/core/job';
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
import { CouplingFigure, HousingsFigure, SoftFootFigure } from './AlignmentFigures.tsx';
import { BeltFigure } from './BeltFigure.tsx';
import { BoreFigure, EnvelopeFigure, FaceFigure } from './BoxFigures.tsx';
import { RunoutFigure } from './RunoutFigure.tsx';
import { ShaftFigure } from './ShaftFigure.tsx';
import { FinishFigure, PlayFigure } from './ShaftFigures.tsx';

const angleOf = (place: Place | null): number | null => place?.turn?.angleDeg ?? null;

/** What a shaft and what is round it are measured by. */
export const conditionViews: StepView[] = [
  view(diameters, {
    Figure: ({ values, setup, place }) => (
      <ShaftFigure
        values={values}
        nominalMm={setup.shaftMm}
        active={place?.turn ? { station: place.turn.station, angleDeg: place.turn.angleDeg } : null}
      />
    ),
  }),
  view(runoutStep, {
    Figure: ({ values, before, setup, place }) => (
      <RunoutFigure
        values={values}
        before={before}
        shaftMm={setup.shaftMm}
        seatMm={setup.seatMm}
        active={place?.turn ?? null}
      />
    ),
  }),
  view(boxFaceStep, {
    Figure: ({ values, before, setup, place }) => (
      <FaceFigure values={values} before={before} shaftMm={setup.shaftMm} active={angleOf(place)} />
    ),
  }),
  view(boxBoreStep, {
    Figure: ({ values, before, setup, place }) => (
      <BoreFigure values={values} before={before} shaftMm={setup.shaftMm} active={angleOf(place)} />
    ),
  }),
  view(finishStep, { Figure: ({ values, place }) => <FinishFigure values={values} place={place?.key} /> }),
  view(playStep, { Figure: ({ values, place }) => <PlayFigure values={values} place={place?.key} /> }),
  view(envelopeStep, {
    Figure: ({ values, place }) => <EnvelopeFigure values={values} place={place?.key} />,
  }),
  view(softFootStep, {
    Figure: ({ values, before, place }) => (
      <SoftFootFigure values={values} before={before} place={place?.key} />
    ),
  }),
  view(housingsStep, {
    Figure: ({ values, place }) => <HousingsFigure values={values} place={place?.key} />,
  }),
  view(beltStep, { Figure: ({ values, place }) => <BeltFigure values={values} place={place?.key} /> }),
  view(couplingStep, {
    Figure: ({ values, place }) => <CouplingFigure values={values} place={place?.key} />,
  }),
];
