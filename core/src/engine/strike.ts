import type { Finding } from '../judgement/result.ts';
import { acceptanceOf } from './facts.ts';
import { sameParams } from './params.ts';
import type { Facts, Hold, Stamp, StepReport, Struck } from './state.ts';
import type { GateItem, StepDefinition } from './step.ts';
import { procedureFor } from './trades.ts';

/** The reports of every step on given facts, in the order of the work, whether it was reached or not. */
export type ReportsOn = (facts: Facts) => Record<string, StepReport>;

const isStop = (f: Finding): boolean => f.verdict === 'reject' || f.verdict === 'too-close';

/** Stops of a step that nobody has accepted. */
export const standingStops = (facts: Facts, step: string, findings: readonly Finding[]): Finding[] =>
  findings.filter((f) => isStop(f) && !(f.acceptable && acceptanceOf(facts, step, f)));

const at = <T extends { step: string }>(list: readonly T[], step: string): T[] =>
  list.filter((x) => x.step === step);

/** What was recorded at a step, in all its rounds. */
const parts = (f: Facts, step: string) => ({
  readings: at(f.readings, step),
  answers: at(f.answers, step),
  ticks: at(f.ticks, step),
  deviations: at(f.deviations, step),
  passes: at(f.passes, step),
  repeats: at(f.repeats, step),
  past: at(f.past, step),
});
type Parts = ReturnType<typeof parts>;
const NOTHING: Parts = {
  readings: [],
  answers: [],
  ticks: [],
  deviations: [],
  passes: [],
  repeats: [],
  past: [],
};

/** Has anything happened at a step: a reading, an answer, a bolt, an acceptance, a pass, a hold somebody put in or let go? */
const hasPast = (p: Parts, holds: readonly Hold[]): boolean =>
  Object.values(p).some((list) => list.length > 0) || holds.some((h) => h.set || h.released);

/** The facts without what was struck. */
function without(f: Facts, struck: Struck): Facts {
  const gone = new Set<object>([
    ...struck.readings,
    ...struck.answers,
    ...struck.ticks,
    ...struck.deviations,
    ...struck.passes,
    ...struck.repeats,
    ...struck.past,
    ...struck.holds,
  ]);
  const left = <T extends object>(list: readonly T[]): T[] => list.filter((x) => !gone.has(x));
  return {
    ...f,
    readings: left(f.readings),
    answers: left(f.answers),
    ticks: left(f.ticks),
    deviations: left(f.deviations),
    passes: left(f.passes),
    repeats: left(f.repeats),
    past: left(f.past),
    holds: left(f.holds),
    struck: [...f.struck, struck],
  };
}

/** The questions a step can ask on given facts. */
const questions = (facts: Facts, step: StepDefinition): GateItem[] => [
  ...(step.items ?? []),
  ...(step.kind.asks?.(facts, step) ?? []),
];

/** A report as text, but for what hangs on the gauges alone: any reading taken with an overdue one has that. */
const told = (r: StepReport): string =>
  JSON.stringify({ ...r, findings: r.findings.filter((f) => !f.code.startsWith('gauge.')), working: [] });

/** Facts, and what every step comes to on them. */
type Side = { facts: Facts; reports: Readonly<Record<string, StepReport>> };
/** A step of both orders of work, as it stands in each. */
type Both = { was: StepDefinition; is: StepDefinition; before: Side; after: Side };
/** One step’s report on facts, by what the steps before it came to. */
export type Run = (
  facts: Facts,
  step: StepDefinition,
  carried: Readonly<Record<string, StepReport>>,
) => StepReport;

/**
 * Does a step take no account any more of what it took account of before: without it the report of before is another, the report of
 * now the same? Then the changed setup does not ask for it.
 */
function isGone({ was, is, before, after }: Both, drop: (f: Facts) => Facts, run: Run): boolean {
  const [toldBefore, toldNow] = [before.reports[was.id], after.reports[is.id]];
  if (!toldBefore || !toldNow) return false;
  if (told(run(drop(before.facts), was, before.reports)) === told(toldBefore)) return false;
  return told(run(drop(after.facts), is, after.reports)) === told(toldNow);
}

/**
 * What a step that is still in the order of work no longer asks: answers by their question, readings and bolts by its report.
 * @param placesStay only limits and names were changed: every place that could be read can be read still
 */
function partsGone(both: Both, run: Run, placesStay: boolean): Parts {
  const { was, is, before, after } = both;
  const known = new Set(questions(after.facts, is).map((i) => i.id));
  const answers = at(before.facts.answers, is.id).filter((a) => !known.has(a.item));
  // Another way of doing the step: what was measured by the one says nothing by the other.
  if (was.kind.name !== is.kind.name) return { ...parts(before.facts, is.id), answers, past: [] };
  const now = after.reports[is.id];
  if (placesStay || !now || now.failed !== undefined || now.asks !== undefined)
    return { ...NOTHING, answers };
  const readings = at(before.facts.readings, is.id).filter(
    (r) => !r.withdrawn && isGone(both, (f) => ({ ...f, readings: f.readings.filter((x) => x !== r) }), run),
  );
  const ticks = at(before.facts.ticks, is.id).filter(
    (t) => !t.withdrawn && isGone(both, (f) => ({ ...f, ticks: f.ticks.filter((x) => x !== t) }), run),
  );
  return { ...NOTHING, answers, readings, ticks };
}

type Change = { id: string; stamp: Stamp; reason: string };

/**
 * What a changed setup no longer asks is struck: it stays on the job, with what stood there and who struck it, and counts no more. One
 * rule for every field: the order of work of before is compared with that of now. What comes back later begins anew beside it.
 * @param before the facts as they were
 * @param after the same with the new setup
 * @param placesStay only limits and names were changed
 */
export function struckBy(
  before: Facts,
  after: Facts,
  change: Change,
  { reportsOn, run, placesStay }: { reportsOn: ReportsOn; run: Run; placesStay: boolean },
): Facts {
  const [was, is] = [procedureFor(before.setup).steps, procedureFor(after.setup).steps];
  const sides: { before?: Side; after?: Side } = {};
  const sideBefore = () => (sides.before ??= { facts: before, reports: reportsOn(before) });
  const sideAfter = () => (sides.after ??= { facts: after, reports: reportsOn(after) });
  let facts = after;
  let follows: string | null = null;
  for (const step of was) {
    const now = is.find((s) => s.id === step.id);
    const here = parts(before, step.id);
    const holds = before.holds.filter((h) => h.step === step.id);
    const ask = (item: string) => step.items?.find((i) => i.id === item)?.ask ?? item;
    const strike = (
      p: Parts,
      more: Pick<Struck, 'whole' | 'holds' | 'stops' | 'findings' | 'values'>,
    ): void => {
      facts = without(facts, {
        ...change.stamp,
        id: `${change.id}/${step.id}`,
        change: change.id,
        reason: change.reason,
        step: step.id,
        title: step.title,
        follows,
        ...p,
        asks: Object.fromEntries(p.answers.map((a) => [a.item, ask(a.item)])),
        ...more,
      });
    };
    if (!now) {
      if (!hasPast(here, holds)) continue;
      const report = sideBefore().reports[step.id];
      const findings = report?.findings ?? [];
      const stops = standingStops(before, step.id, findings);
      strike(here, { whole: true, holds, findings, stops, values: report?.values ?? null });
      continue;
    }
    follows = step.id;
    if (here.readings.length + here.answers.length + here.ticks.length === 0) continue;
    const both: Both = { was: step, is: now, before: sideBefore(), after: sideAfter() };
    const gone = partsGone(both, run, placesStay);
    if (!Object.values(gone).some((list) => list.length > 0)) continue;
    const left = both.after.reports[step.id]?.findings ?? [];
    const stops = standingStops(before, step.id, both.before.reports[step.id]?.findings ?? []).filter(
      (f) => !left.some((g) => g.code === f.code && isStop(g) && sameParams(f.params, g.params)),
    );
    strike(gone, { whole: false, holds: [], findings: stops, stops, values: null });
  }
  return facts;
}

/** What was struck with a stop or a “not OK” on it, and nobody but who struck it has looked at. */
export const struckUnseen = (facts: Pick<Facts, 'struck' | 'setupChanges'>): Struck[] =>
  facts.struck.filter(
    (s) => s.stops.length > 0 && facts.setupChanges.some((c) => c.id === s.change && !c.seen),
  );
