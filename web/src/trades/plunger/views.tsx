import {
  measured,
  type PlungerSetup,
  type PreloadStepValues,
  partsOrder,
  plungerPreloadStep,
} from '@fulcrant/core/trades';
import { NutMarkFigure } from '../../figures/NutMarkFigure.tsx';
import type { StepView, ViewProps } from '../../steps/view.tsx';
import { view } from '../../steps/view.tsx';
import { MeasuredFigure } from './MeasuredFigure.tsx';
import { PartsOrder } from './PartsOrder.tsx';

/** The nut against its mark, backed off and back. */
function PreloadFigure({ values: v, setup, place, typed }: ViewProps<PlungerSetup, PreloadStepValues>) {
  const deg = (place?.key === 'end' ? typed : null) ?? v.endDeg;
  const back = (place?.key === 'back' ? typed : null) ?? v.backDeg;
  const travel = (of: number) => ((setup.nutPitchMm * Math.abs(of)) / 360).toFixed(2);
  return (
    <NutMarkFigure
      slots={6}
      turnedDeg={deg ?? (back === null ? 0 : -back)}
      band={{ minDeg: -45, maxDeg: 45 }}
      marked
      note={
        deg !== null
          ? `${Math.abs(deg)}° ${deg < 0 ? 'short of' : 'past'} its mark: ${travel(deg)} mm`
          : `backed off ${back ?? 0}°: ${travel(back ?? 0)} mm`
      }
    />
  );
}

/** Steps of a plunger. */
export const views: StepView[] = [
  view(partsOrder, {
    Body: ({ stored, open, onAnswer }) => (
      <PartsOrder values={stored} open={open} onLay={(order) => onAnswer('order', 'yes', order.join(' '))} />
    ),
  }),
  view(measured, {
    Figure: ({ values, place, typed }) => (
      <MeasuredFigure rows={values.rows} place={place?.key ?? null} typed={typed} />
    ),
    layout: 'field',
  }),
  view(plungerPreloadStep, { Figure: PreloadFigure, layout: 'field' }),
];
