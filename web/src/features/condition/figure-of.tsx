import type {
  BoxBoreStepValues,
  BoxFaceStepValues,
  CouplingStepValues,
  EnvelopeStepValues,
  FinishStepValues,
  HousingsStepValues,
  JobState,
  Place,
  PlayStepValues,
  RunoutStepValues,
  ShaftValues,
  SoftFootStepValues,
  StepReport,
} from '@fulcrant/core';
import type { ReactNode } from 'react';
import { CouplingFigure, HousingsFigure, SoftFootFigure } from '../../figures/AlignmentFigures.tsx';
import { BoreFigure, EnvelopeFigure, FaceFigure } from '../../figures/BoxFigures.tsx';
import { RunoutFigure } from '../../figures/RunoutFigure.tsx';
import { ShaftFigure } from '../../figures/ShaftFigure.tsx';
import { FinishFigure, PlayFigure } from '../../figures/ShaftFigures.tsx';

type Props = { state: JobState; step: string; shown: StepReport; place: Place | null };

/** The figure of a condition measure with the numbers as they would stand; null where the step is none. */
export function conditionFigure({ state, step, shown, place }: Props): ReactNode {
  const before = <T,>() => (shown.before?.at(-1)?.values as T | undefined) ?? null;
  const key = place?.key;
  const angle = place?.turn?.angleDeg ?? null;
  if (!('shaftMm' in state.setup)) return null;
  const { shaftMm, seatMm } = state.setup;
  switch (step) {
    case 'shaft':
      return (
        <ShaftFigure
          values={shown.values as ShaftValues}
          nominalMm={shaftMm}
          active={place?.turn ? { station: place.turn.station, angleDeg: place.turn.angleDeg } : null}
        />
      );
    case 'runout':
      return (
        <RunoutFigure
          values={shown.values as RunoutStepValues}
          before={before<RunoutStepValues>()}
          shaftMm={shaftMm}
          seatMm={seatMm}
          active={place?.turn ?? null}
        />
      );
    case 'face':
      return (
        <FaceFigure
          values={shown.values as BoxFaceStepValues}
          before={before<BoxFaceStepValues>()}
          shaftMm={shaftMm}
          active={angle}
        />
      );
    case 'bore':
      return (
        <BoreFigure
          values={shown.values as BoxBoreStepValues}
          before={before<BoxBoreStepValues>()}
          shaftMm={shaftMm}
          active={angle}
        />
      );
    case 'finish':
      return <FinishFigure values={shown.values as FinishStepValues} place={key} />;
    case 'play':
      return <PlayFigure values={shown.values as PlayStepValues} place={key} />;
    case 'envelope':
      return <EnvelopeFigure values={shown.values as EnvelopeStepValues} place={key} />;
    case 'softfoot':
      return (
        <SoftFootFigure
          values={shown.values as SoftFootStepValues}
          before={before<SoftFootStepValues>()}
          place={key}
        />
      );
    case 'housings':
      return <HousingsFigure values={shown.values as HousingsStepValues} place={key} />;
    case 'coupling':
      return <CouplingFigure values={shown.values as CouplingStepValues} place={key} />;
    default:
      return null;
  }
}
