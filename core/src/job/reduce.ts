import type { JobEvent } from '../api/events.ts';
import type { Finding } from '../calculators/result.ts';
import { verdictOf } from '../calculators/result.ts';
import { procedureFor } from '../procedures/procedure-for.ts';
import type { StepDefinition } from '../procedures/types.ts';
import { acceptanceOf, gather, inRound } from './facts.ts';
import type { Facts, Hold, JobState, StepReport, StepState } from './state.ts';

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

function passOf(facts: Facts, step: StepDefinition): Facts['passes'][number] | undefined {
  return facts.passes.find((p) => p.step === step.id && (!step.again || p.attempt === facts.attempt));
}

/** A step's report, with those of its earlier measurings beside it. */
function withBefore(facts: Facts, step: StepDefinition, carried: Record<string, StepReport>): StepReport {
  const report = step.kind.report(facts, step, carried);
  const repeats = facts.repeats.filter((r) => r.step === step.id);
  if (repeats.length === 0) return report;
  const before = repeats.map((r, round) => {
    const then = step.kind.report(inRound(facts, step.id, round), step, carried);
    const stamp = { at: r.at, author: r.author };
    return { done: r.done, stamp, values: then.values, findings: then.findings };
  });
  return { ...report, before };
}

/** The state of every step, in order: the first that is not done is the present one, all after it are closed. */
export function judge(facts: Facts): JobState {
  const steps: StepState[] = [];
  const carried: Record<string, StepReport> = {};
  let present: StepState | null = null;
  for (const step of procedureFor(facts.setup).steps) {
    const hold = holdOf(facts, step.id);
    const passed = passOf(facts, step);
    const shared = { id: step.id, title: step.title, ...(hold ? { hold } : {}) };
    if (present) {
      steps.push({
        ...shared,
        status: 'closed',
        because: `“${present.title}” comes first.`,
        report: null,
        verdict: 'incomplete',
        open: [],
        blocking: [],
      });
      continue;
    }
    const report = withBefore(facts, step, carried);
    carried[step.id] = report;
    const standing = open(facts, step, report.findings);
    const blocking = standing.filter(blocks(step));
    const held = hold !== undefined && !hold.released;
    const done =
      step.id === 'sign' ? facts.signed !== null : passed !== undefined && blocking.length === 0 && !held;
    const state: StepState = {
      ...shared,
      status: done ? 'done' : 'present',
      report,
      verdict: verdictOf(standing),
      open: standing,
      blocking,
      ...(passed && done ? { passed: { at: passed.at, author: passed.author } } : {}),
    };
    if (!done) present = state;
    steps.push(state);
  }
  return { ...facts, steps, present: present?.id ?? null };
}

/**
 * A job's events turned into its state: the only place that knows what may happen next. Null until the job is opened.
 * The same function runs in the browser and on the server.
 */
export function reduce(events: readonly JobEvent[]): JobState | null {
  const facts = gather(events);
  return facts ? judge(facts) : null;
}
