import type { Finding } from '../judgement/result.ts';
import { verdictOf } from '../judgement/result.ts';
import { COMMON } from '../message/common/messages.ts';
import { saidBy } from '../quantities/message-error.ts';
import { belowSite } from './below-site.ts';
import type { JobEvent } from './events.ts';
import { acceptanceOf, answerTo, inRound, passOf } from './facts.ts';
import { lay, opened } from './fold.ts';
import { askedHere } from './here.ts';
import { lackingAt, withLacking } from './lacking.ts';
import { M } from './messages.ts';
import type { Judging } from './setup-change.ts';
import type { Facts, Hold, JobState, Pass, StepReport, StepState } from './state.ts';
import type { StepDefinition } from './step.ts';
import { actOn, procedureFor } from './trades.ts';
import { liftedFindings, liftedQuestions, liftedStops, unseenAtSignature, unseenSoFar } from './unseen.ts';
import { upcast } from './upcast.ts';

/** Findings a lead hand has accepted as they stand are no longer in the way; they stay on the sheet. */
function open(facts: Facts, step: StepDefinition, findings: Finding[]): Finding[] {
  return findings.filter((f) => !(f.acceptable && acceptanceOf(facts, step.id, f)));
}

/** A survey goes on past what does not pass; only what is not measured holds it. */
const blocks = (step: StepDefinition) => (f: Finding) =>
  f.verdict === 'incomplete' || (!step.survey && (f.verdict === 'reject' || f.verdict === 'too-close'));

/** The pin through a step that has not been pulled, else the last one that was. */
function holdOf(facts: Facts, step: string): Hold | undefined {
  const pins = facts.holds.filter((h) => h.step === step);
  return pins.find((h) => !h.released) ?? pins.at(-1);
}

/** What is said of a step that could not be worked out; everything before it stands. */
function failed(step: StepDefinition, fault: unknown): StepReport {
  const said = fault instanceof RangeError ? saidBy(fault) : M.whatStandsHereDoesNot;
  return {
    findings: [
      {
        code: `${step.id}.failed`,
        verdict: 'incomplete',
        reason: M.stepCannotWorkedOut({ said }),
        params: { said },
        remedy: M.lookSetupLastReadingChange,
        acceptable: false,
      },
    ],
    working: [],
    beams: [],
    values: null,
    next: null,
    act: M.stepCannotWorkedOut2,
    failed: said,
  };
}

type Carried = Record<string, StepReport>;

/** A step's report on the facts; where its kind throws, a report that says so. */
function reportOf(facts: Facts, step: StepDefinition, carried: Readonly<Carried>): StepReport {
  try {
    const report = askedHere(facts, step) ?? step.kind.report(facts, step, carried);
    const lacking = lackingAt(facts, step.id);
    return lacking ? withLacking(step, lacking, report) : report;
  } catch (fault) {
    return failed(step, fault);
  }
}

/**
 * A step's report, with those of its earlier measurings beside it.
 * @param known the earlier measurings as they were told before, where nothing they read has changed
 */
function withBefore(
  facts: Facts,
  step: StepDefinition,
  carried: Carried,
  known: StepReport['before'],
): StepReport {
  const report = reportOf(facts, step, carried);
  const repeats = facts.repeats.filter((r) => r.step === step.id);
  const lifted = liftedStops(
    facts,
    step,
    report.findings,
    (then, as) => reportOf(then, as, carried).findings,
  );
  const whole =
    lifted.length > 0
      ? { ...report, findings: [...report.findings, ...liftedFindings(facts, step, lifted)], lifted }
      : report;
  if (repeats.length === 0) return whole;
  if (known?.length === repeats.length) return { ...whole, before: known };
  const before = repeats.map((r, round) => {
    const then = reportOf(inRound(facts, step.id, round), step, carried);
    return {
      done: r.done,
      stamp: { at: r.at, author: r.author },
      values: then.values,
      findings: then.findings,
    };
  });
  return { ...whole, before };
}

/** What was lifted and seen by nobody else is asked before the machine is started, and keeps the signature waiting. */
function withUnseen(
  facts: Facts,
  step: StepDefinition,
  before: readonly (StepReport | null)[],
  report: StepReport,
): StepReport {
  if (!(step.starts || step.kind.signs) || facts.signed) return report;
  const shallow = step.kind.signs ? belowSite(facts) : [];
  if (facts.setupChanges.length === 0)
    return shallow.length === 0 ? report : { ...report, findings: [...shallow, ...report.findings] };
  const unseen = unseenSoFar(facts, before);
  if (step.kind.signs)
    return { ...report, findings: [...shallow, ...unseenAtSignature(unseen), ...report.findings] };
  if (unseen.length === 0) return report;
  const also = liftedQuestions(unseen);
  const findings = also.flatMap((item): Finding[] => {
    const answer = answerTo(facts, step.id, item.id, 'any');
    if (answer?.answer === 'yes') return [];
    return [
      {
        code: `${step.id}.${item.id}`,
        verdict: answer ? 'reject' : 'incomplete',
        reason: answer ? COMMON.notOk2({ ask: item.ask }) : M.liftedStopStillAnsweredBefore,
        params: { item: item.id },
        remedy: M.letSecondPersonLookChange,
        acceptable: false,
      },
    ];
  });
  return { ...report, also, findings: [...findings, ...report.findings] };
}

/**
 * Has nothing been touched since a step was passed, at it or before it, and the setup not been changed? Then it was in order by the rules
 * it was passed under: a rule that has become stricter since opens no step again.
 */
const isUntouched = (facts: Facts, pass: Pass, steps: readonly StepDefinition[]): boolean =>
  pass.changes === facts.setupChanges.length &&
  pass.attempt === facts.attempt &&
  steps.every((s) => (facts.touched[s.id] ?? 0) <= pass.act);

type Remembered = {
  /** Steps before this index are as they were. */
  from: number;
  state: JobState;
  /** The earlier measurings of the step at `from` are as they were, too. */
  sameRounds: boolean;
};

/**
 * The state of every step, in order: the first that is not done is the present one, all after it are closed. Under a signature
 * every step is done, whatever today's rules would say of it.
 * @param remembered the state before the last event, and from which step on it has to be told anew
 */
export function judge(facts: Facts, remembered?: Remembered): JobState {
  const steps: StepState[] = [];
  const carried: Carried = {};
  let present: StepState | null = null;
  // What a closed step shows beside what comes first: its pin, and whether it was opened again.
  const samePins =
    remembered !== undefined &&
    facts.holds === remembered.state.holds &&
    facts.past === remembered.state.past &&
    facts.passes === remembered.state.passes;
  const order = procedureFor(facts.setup).steps;
  for (let i = 0; i < order.length; i++) {
    const step = order[i] as StepDefinition;
    const before = remembered?.state.steps[i];
    if (remembered && before && i < remembered.from) {
      steps.push(before);
      if (before.report) carried[step.id] = before.report;
      if (before.status === 'present') present = before;
      continue;
    }
    if (present && samePins && before?.status === 'closed' && remembered.state.present === present.id) {
      steps.push(before);
      continue;
    }
    const hold = holdOf(facts, step.id);
    const passed = passOf(facts, step);
    const again = passed ? undefined : facts.past.findLast((p) => p.step === step.id);
    const shared = {
      id: step.id,
      title: step.title,
      ...(hold ? { hold } : {}),
      ...(again ? { reopened: { at: again.at, author: again.author, because: again.because } } : {}),
    };
    if (present) {
      steps.push({
        ...shared,
        status: 'closed',
        because: M.comesFirst({ title: present.title }),
        ...(passed ? { kept: true as const } : {}),
        report: null,
        verdict: 'incomplete',
        open: [],
        blocking: [],
      });
      continue;
    }
    const known = remembered?.sameRounds && i === remembered.from ? before?.report?.before : undefined;
    const report = withUnseen(
      facts,
      step,
      steps.map((s) => s.report),
      withBefore(facts, step, carried, known),
    );
    carried[step.id] = report;
    const standing = open(facts, step, report.findings);
    const blocking = standing.filter(blocks(step));
    const held = hold !== undefined && !hold.released;
    const stays =
      passed !== undefined && blocking.length > 0 && isUntouched(facts, passed, order.slice(0, i + 1));
    const done =
      facts.signed !== null ||
      (!step.kind.signs && passed !== undefined && (blocking.length === 0 || stays) && !held);
    const state: StepState = {
      ...shared,
      status: done ? 'done' : 'present',
      report,
      verdict: verdictOf(standing),
      open: standing,
      blocking,
      ...(passed && done ? { passed: { at: passed.at, author: passed.author } } : {}),
      ...(stays && !facts.signed ? { byRulesOfThen: true as const } : {}),
    };
    if (!done) present = state;
    steps.push(state);
  }
  return { ...facts, steps, present: present?.id ?? null };
}

/** The reports of every step on given facts, in the order of the work, whether it was reached or not. */
function reportsOn(facts: Facts): Carried {
  const carried: Carried = {};
  for (const step of procedureFor(facts.setup).steps) carried[step.id] = reportOf(facts, step, carried);
  return carried;
}

/** What the fold asks of judgement before an event. */
const judging = (then: () => Carried): Judging => ({ then, on: reportsOn, run: reportOf });

const reportsOf = (state: JobState): Carried =>
  Object.fromEntries(state.steps.flatMap((s) => (s.report ? [[s.id, s.report]] : [])));

/** Events after which only the numbers of one step, and what stands after it, are told anew. */
const STEP_OF: {
  [T in JobEvent['type']]?: (e: Extract<JobEvent, { type: T }>, state: JobState) => string | null;
} = {
  'gate.answered': (e) => e.data.step,
  'answer.corrected': (e) => e.data.step,
  'reading.taken': (e) => e.data.step,
  'number.lacking': (e) => e.data.step,
  'measure.repeated': (e) => e.data.step,
  'reading.withdrawn': (e, s) => s.readings.find((r) => r.id === e.data.reading)?.step ?? null,
  'bolt.tightened': (e) => e.data.step,
  'bolts.tightened': (e) => e.data.step,
  'bolts.loosened': (e) => e.data.step,
  'step.passed': (e) => e.data.step,
  'step.held': (e) => e.data.step,
  'step.released': (e) => e.data.step,
  'deviation.accepted': (e) => e.data.step,
  'act.done': (e, s) => actOn(s.setup, e.data.act)?.step ?? null,
};
/** Events that leave the earlier measurings of their step as they were. */
const ADDS = [
  'gate.answered',
  'reading.taken',
  'bolt.tightened',
  'bolts.tightened',
  'step.passed',
  'step.held',
  'step.released',
];

/** The first step whose report an event may change; one past the last where it changes none. */
function firstTold(before: JobState, after: Facts, e: JobEvent): number {
  if (e.type === 'note.added' || e.type === 'photo.added') return before.steps.length;
  const stepOf = STEP_OF[e.type] as ((e: JobEvent, s: JobState) => string | null) | undefined;
  const step = stepOf?.(e, before);
  if (step === undefined || step === null) return 0;
  const opened = after.past.slice(before.past.length).map((p) => p.step);
  const loose = after.loosened.slice(before.loosened.length).map((l) => l.step);
  const changed = [step, ...opened, ...loose];
  const looking = procedureFor(after.setup).steps.filter((s) =>
    s.kind.looksAhead?.some((id) => changed.includes(id)),
  );
  const told = [...changed, ...looking.map((s) => s.id)];
  return Math.max(0, Math.min(...told.map((id) => before.steps.findIndex((s) => s.id === id))));
}

/**
 * The job one event on. Only the steps from the first that reads what the event brought are judged; those before are
 * remembered: a step reads its own facts and what stands before it, and what comes after only where its kind says so (`looksAhead`).
 * @param state null before the job is opened
 * @returns null where the event does not open a job that is not open yet
 */
export function apply(state: JobState | null, event: JobEvent): JobState | null {
  const e = upcast(event);
  if (!state) return e.type === 'job.opened' ? judge(opened(e)) : null;
  // What was judged goes along with the facts, and is judged over.
  const facts = lay(
    state,
    e,
    judging(() => reportsOf(state)),
  );
  return judge(facts, { state, from: firstTold(state, facts, e), sameRounds: ADDS.includes(e.type) });
}

/** Fold events into facts; null before the job is opened. An event met twice (same id) counts once. */
export function gather(events: readonly JobEvent[]): Facts | null {
  const seen = new Set<string>();
  let facts: Facts | null = null;
  for (const event of events) {
    const e = upcast(event);
    if (seen.has(e.id)) continue;
    seen.add(e.id);
    const now: Facts | null = facts;
    if (now)
      facts = lay(
        now,
        e,
        judging(() => reportsOf(judge(now))),
      );
    else if (e.type === 'job.opened') facts = opened(e);
  }
  return facts;
}

/** What a state stands on: plain data that can be sent elsewhere and judged there to the same state. */
export function factsOf({ steps: _, present: __, ...facts }: JobState): Facts {
  return facts;
}

/**
 * A job's events turned into its state: the only place that knows what may happen next. Null until the job is opened.
 * The same function runs in the browser and on the server.
 */
export function reduce(events: readonly JobEvent[]): JobState | null {
  const facts = gather(events);
  return facts ? judge(facts) : null;
}
