import { drawnOf } from '@fulcrant/core/figures';
import type {
  JobState,
  KindFamily,
  Place,
  Said,
  Setup,
  StepDefinition,
  StepReport,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import type { ReactNode } from 'react';
import type { JobView } from '../data/job.ts';
import { Drawings } from '../figures/DrawingView.tsx';

/** What a step's view is drawn from, whatever its kind. */
export type ViewInput = {
  state: JobState;
  step: StepDefinition;
  /** The step as it is stored, and as it would be with what is typed. */
  report: StepReport;
  shown: StepReport;
  place: Place | null;
  typed: number | null;
  open: boolean;
  job: JobView;
  /** A part turned on the figure goes into the field. */
  onTurn?: ((deg: number) => void) | undefined;
  onAnswer(item: string, answer: Said, note?: string): void;
  /** Look at another step. */
  onLook(step: string): void;
};

/** The same, with the numbers of its kind: stored, as they would be, and of the measuring before this one. */
export type ViewProps<S extends Setup, V> = ViewInput & {
  setup: S;
  stored: NonNullable<V>;
  values: NonNullable<V>;
  before: NonNullable<V> | null;
};

type Part<S extends Setup, V> = (p: ViewProps<S, V>) => ReactNode;

/** How a kind of step is shown. What is left out is not there. */
type Parts<S extends Setup, V> = {
  /** The whole middle, where the step is neither read nor only asked. */
  Body?: Part<S, V>;
  /** The figure above the field, where it is not what the trade draws: a chart, a table. */
  Figure?: Part<S, V>;
  /** Numbers in place of the beam. */
  Told?: Part<S, V>;
  /** Beside the figure, over the judgements, and under them. */
  Side?: Part<S, V>;
  Under?: Part<S, V>;
  /** `read`: on a beam; `field`: no beam, the field first; `told`: nothing is read. */
  layout?: 'read' | 'field' | 'told';
  /** The part named by the place in hand can be turned on the figure. */
  turned?: true;
  /** Nothing more is read. */
  stopped?(values: NonNullable<V>): boolean;
  /** A word beside the step on the rail while it is the present one. */
  note?(values: NonNullable<V>): Text | null;
  /** Its sum is long: closed until it is asked for. */
  longSum?: true;
};

/** A view as the sheet holds it: whatever its kind, it finds its own numbers. */
export type StepView = {
  name: string;
  layout: 'read' | 'field' | 'told';
  turned: boolean;
  longSum: boolean;
  stopped(report: StepReport): boolean;
  note(report: StepReport): Text | null;
  body: ((p: ViewInput) => ReactNode) | null;
  figure(p: ViewInput): ReactNode;
  told: ((p: ViewInput) => ReactNode) | null;
  side(p: ViewInput): ReactNode;
  under(p: ViewInput): ReactNode;
};

/** What the trade draws of a step. */
export const StepFigure = (p: ViewInput) => (
  <Drawings drawings={drawnOf({ ...p, turns: p.onTurn !== undefined })} onTurn={p.onTurn} />
);

/** The view of a kind of step; its parts get the kind's own numbers, typed. */
export function view<S extends Setup, V>(kind: KindFamily<S, V>, parts: Parts<S, V>): StepView {
  const part = (Part: Part<S, V> | undefined) => (p: ViewInput) => {
    const shown = kind.told(p.shown);
    if (!Part || !shown) return null;
    const stored = kind.valuesOf(p.report) ?? shown.values;
    return <Part {...p} {...shown} stored={stored} before={kind.valuesOf(p.shown.before?.at(-1))} />;
  };
  return {
    name: kind.name,
    layout: parts.layout ?? 'read',
    turned: parts.turned ?? false,
    longSum: parts.longSum ?? false,
    stopped(report) {
      const values = kind.valuesOf(report);
      return values !== null && (parts.stopped?.(values) ?? false);
    },
    note(report) {
      const values = kind.valuesOf(report);
      return values === null ? null : (parts.note?.(values) ?? null);
    },
    body: parts.Body ? part(parts.Body) : null,
    // Where a view has neither a figure nor a middle of its own, what the trade draws of the step.
    figure: parts.Figure || parts.Body ? part(parts.Figure) : (p) => <StepFigure {...p} />,
    told: parts.Told ? part(parts.Told) : null,
    side: part(parts.Side),
    under: part(parts.Under),
  };
}
