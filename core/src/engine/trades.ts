import { lazy, type Schema } from 'yup';
import { still } from '../judgement/draw.ts';
import type { Drawing } from '../judgement/drawing.ts';
import type { Text } from '../message/message.ts';
import { textKey } from '../message/message.ts';
import { MessageError } from '../quantities/message-error.ts';
import { DECISION, DEPTH, HANDS_DUE, type Method, type SiteRules, usualOf } from '../sources/methods.ts';
import type { ActHere } from './act.ts';
import { atDepth, depthOf } from './depth.ts';
import type { FailureGuide } from './failure.ts';
import type { FigureInput } from './figure.ts';
import { M } from './messages.ts';
import type { Setup } from './setup.ts';
import type { JobState } from './state.ts';
import type { Procedure, StepDefinition } from './step.ts';
import type { Trade } from './trade.ts';

/** The trades enrolled, by the name a setup gives them, oldest names too. */
const enrolled = new Map<string | undefined, Trade>();

/**
 * Let trades in: what they are not enrolled for, the engine does not know. Enrolling one again replaces it.
 * @returns takes them out again
 */
export function enrol(trades: readonly Trade[]): () => void {
  // A doubled id is found when the program starts, not at the machine.
  for (const trade of trades)
    for (const setup of Object.values(trade.example.setups)) uniquely(trade.procedure(setup));
  for (const trade of trades)
    for (const name of [trade.id, ...(trade.also ?? []), ...(trade.oldest ? [undefined] : [])])
      enrolled.set(name, trade);
  return () => {
    for (const [name, trade] of enrolled) if (trades.includes(trade)) enrolled.delete(name);
  };
}

/** Every trade, in the order they were enrolled. */
export const allTrades = (): Trade[] => [...new Set(enrolled.values())];

/** The trade of a setup. @throws RangeError where no such trade is enrolled */
export function tradeOf(setup: Pick<Setup, 'procedure'>): Trade {
  const trade = enrolled.get(setup.procedure);
  if (!trade) throw new MessageError(M.thereNoTradeHere({ procedure: setup.procedure }));
  return trade;
}

/** Are two setups of the same trade? */
export const sameTrade = (a: Pick<Setup, 'procedure'>, b: Pick<Setup, 'procedure'>): boolean =>
  tradeOf(a) === tradeOf(b);

/** Any job's setup, judged by its own trade's shape; one that names no trade we know is refused by the first one's. */
export const setupSchema: Schema<Setup> = lazy((value: { procedure?: string } | null | undefined) => {
  const trade = enrolled.get(value?.procedure) ?? allTrades()[0];
  if (!trade) throw new MessageError(M.noTradeEnrolled);
  return trade.schema.required();
}) as unknown as Schema<Setup>;

/** Orders of work by the setup they were made for: a setup is never changed in place, only replaced. */
const made = new WeakMap<Setup, Procedure>();

/**
 * @throws RangeError where two steps share an id, or two questions of a step, since one answer would tick both; where the job is not
 * closed by a signature at its last step and nowhere else; where two acts share a name
 */
function uniquely(procedure: Procedure): Procedure {
  const doubled = (ids: readonly string[]) => ids.find((id, i) => ids.indexOf(id) !== i);
  const step = doubled(procedure.steps.map((s) => s.id));
  if (step !== undefined) throw new MessageError(M.hasTwoSteps({ textKey: textKey(procedure.title), step }));
  for (const s of procedure.steps) {
    const question = doubled((s.items ?? []).map((i) => i.id));
    if (question !== undefined)
      throw new MessageError(M.asksTwoQuestions({ textKey: textKey(procedure.title), question, id: s.id }));
  }
  const signed = procedure.steps.filter((s) => s.kind.signs);
  if (signed.length !== 1 || signed[0] !== procedure.steps.at(-1))
    throw new MessageError(M.signedLastStep({ textKey: textKey(procedure.title) }));
  return procedure;
}

/** The order of work of a job: its trade's steps as deep as it is checked, with those variants and measures in it that its setup asks for. */
export function procedureFor(setup: Setup): Procedure {
  const known = made.get(setup);
  if (known) return known;
  const procedure = uniquely(atDepth(tradeOf(setup).procedure(setup), depthOf(setup)));
  made.set(setup, procedure);
  return procedure;
}

/** One step of a job's procedure, by id. */
export const stepOf = (job: { setup: Setup }, id: string): StepDefinition | undefined =>
  procedureFor(job.setup).steps.find((s) => s.id === id);

/** Why a step is there, as its trade tells it; null where it does not. */
export function whyOf(setup: Setup, id: string): Text | null {
  const why = tradeOf(setup).why ?? {};
  return why[id] ?? why[id.replace(/\d+$/, '')] ?? null;
}

/** The report of a step, where it was reached. */
export const reportAt = (job: Pick<JobState, 'steps'>, id: string) =>
  job.steps.find((s) => s.id === id)?.report ?? null;

/** Acts of the trade, and of the kinds of its steps, on this job. */
export const actsOn = (setup: Setup): ActHere[] => [
  ...(tradeOf(setup).acts?.(setup) ?? []),
  ...procedureFor(setup).steps.flatMap((s) => (s.kind.acts ?? []).map((a) => ({ ...a, step: s.id }))),
];

/** An act of this job by its name, or by the one events had for it before. */
export const actOn = (setup: Setup, name: string): ActHere | undefined =>
  actsOn(setup).find((a) => a.id === name || a.formerly === name);

/** The step a job is closed at by a signature: its last. */
export const signingStep = (setup: Setup): string => procedureFor(setup).steps.at(-1)?.id ?? '';

/** The steps of a job that are work: all but the signature. */
export const workSteps = (setup: Setup): string[] =>
  procedureFor(setup).steps.flatMap((s) => (s.kind.signs ? [] : [s.id]));

/** Does a step of a job close it by a signature? */
export const signsAt = (setup: Setup, step: string): boolean => step === signingStep(setup);

/** Of what every trade gives, each once, in the order of the trades. */
const gathered = <T>(of: (trade: Trade) => readonly T[]): T[] => [...new Set(allTrades().flatMap(of))];

/** Every method a site chooses among: those of the trades, when a reading may be called, how long a hand card counts. */
export const allMethods = (): Method[] =>
  gathered((t) => t.slots.methods ?? []).concat(DEPTH, DECISION, HANDS_DUE);
export const methodOf = (id: string): Method | undefined => allMethods().find((m) => m.id === id);

/** What is usual of the methods every job keeps that measures. */
export const usualRules = (): SiteRules => usualOf(allMethods().filter((m) => m.ofJob));

/** What a job, or a new one begun from a setup, has chosen; what is usual where it says nothing. */
export const rulesWith = (setup: Pick<Setup, 'schools'>): SiteRules => setup.schools ?? usualRules();

/** What is looked at when a part has come out, one guide a kind of part. */
export const failureGuides = (): FailureGuide[] =>
  gathered(({ slots: { part } }) => (part?.failure ? [part.failure] : []));
export const failureGuideOf = (id: string): FailureGuide | undefined =>
  failureGuides().find((g) => g.id === id);

/** Releasing a hold is nobody’s trade: every outage asks for it. */
export const LEADING = 'leading';
/** What a person of an outage can be able to do. */
export const allSkills = (): string[] => [...gathered((t) => t.slots.tasks.map((x) => x.skill)), LEADING];
/** What is shared by all in an outage. */
export const allSharedTools = (): string[] => gathered((t) => t.slots.tasks.flatMap((x) => x.tools ?? []));

/** What is drawn of a step of a job. */
export const drawnOf = (input: FigureInput): readonly Drawing[] =>
  tradeOf(input.state.setup)
    .figures?.find((f) => f.name === input.step.kind.name)
    ?.draws(input) ?? [];

/** What is drawn of steps of a job as they stand, for its sheet. Those not reached draw nothing. */
export const drawnAt = (state: JobState, ...steps: readonly string[]): Drawing[] =>
  steps.flatMap((id) => {
    const step = stepOf(state, id);
    const report = reportAt(state, id);
    return step && report
      ? drawnOf({ state, step, report, shown: report, place: null, typed: null, turns: false }).map(still)
      : [];
  });
