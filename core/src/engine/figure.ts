import type { Drawing } from '../judgement/drawing.ts';
import type { Setup } from './setup.ts';
import type { JobState, Place, StepReport } from './state.ts';
import type { KindFamily, StepDefinition } from './step.ts';

/** What a figure of a step is drawn from: the job, the step as it is stored and as it would be with what is typed. */
export type FigureInput = {
  state: JobState;
  step: StepDefinition;
  report: StepReport;
  shown: StepReport;
  place: Place | null;
  typed: number | null;
  /** Parts can be turned on it. */
  turns: boolean;
};

/** The same, with the setup and the numbers of its kind: stored, as they would be, and of the measuring before this one. */
export type FigureOf<S extends Setup, V> = FigureInput & {
  setup: S;
  stored: NonNullable<V>;
  values: NonNullable<V>;
  before: NonNullable<V> | null;
};

/** What is drawn of a kind of step, on the screen and on paper, found by the kind’s name. */
export type KindFigure = { name: string; draws(p: FigureInput): readonly Drawing[] };

/** The figure of a kind: it gets the kind’s own numbers, typed; where a report is another kind’s nothing is drawn. */
export const figureOf = <S extends Setup, V>(
  kind: KindFamily<S, V>,
  draw: (p: FigureOf<S, V>) => Drawing | readonly Drawing[] | null,
): KindFigure => ({
  name: kind.name,
  draws(p) {
    const shown = kind.told(p.shown);
    if (!shown) return [];
    const stored = kind.valuesOf(p.report) ?? shown.values;
    const drawn = draw({ ...p, ...shown, stored, before: kind.valuesOf(p.shown.before?.at(-1)) });
    return drawn === null ? [] : [drawn].flat();
  },
});
