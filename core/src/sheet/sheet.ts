import { conditionOf, type Setup, schoolsOf } from '../api/setup.ts';
import type { Finding } from '../calculators/result.ts';
import { acceptanceOf } from '../engine/facts.ts';
import { reopeningOf } from '../engine/reopening.ts';
import { stampsOf } from '../engine/stamps.ts';
import type { Answer, BoltTick, ClockMark, JobState, Past, Reading, Stamp } from '../engine/state.ts';
import { inOpenUnit, type OpenUnit } from '../instruments/quantity.ts';
import type { Verdict } from '../metrology/decision.ts';
import { procedureFor } from '../procedures/procedure-for.ts';
import type { StepDefinition } from '../procedures/types.ts';
import { keepAllSaid, type Said } from '../quantities/say.ts';
import { allSources, type Source, sourceOf } from '../sources/register.ts';
import { type Block, sheetDocument } from './document.ts';
import { placeName } from './place-name.ts';
import { type SheetResults, sheetResults, valuesOf } from './results.ts';
import { describeSetup, resultRows, sheetTitle } from './words.ts';

/** Who and when, as a sheet tells it; `clock` where the time is not the device's plain word. */
export type Told = { by: string; at: string; clock?: ClockMark };

export type SheetFinding = {
  code: string;
  verdict: Verdict;
  reason: Said;
  limit: Said | null;
  source: string | null;
  remedy: Said | null;
  accepted: (Told & { reason: string }) | null;
};

export type SheetReading = Told & {
  id: string;
  step: string;
  place: string;
  /** The place as a person calls it. */
  name: string;
  value: number;
  unit: OpenUnit;
  typed: string;
  instrument: string;
  resolution: number;
  calibrationDue: string;
  /** Which attempt at its step: 1, and one more each time the step was opened again or the part dismounted. */
  attempt: number;
  /** Which measuring of its step: 1, and one more after each repeat. */
  measuring: number;
  /** typed, or how else it came. */
  via: 'typed' | 'port' | 'file';
  standIn: boolean;
  withdrawn: (Told & { reason: string }) | null;
};

export type SheetAnswer = Told & { ask: string; answer: string; note: string | null };

export type SheetStep = {
  id: string;
  title: string;
  status: string;
  passed: Told | null;
  answers: SheetAnswer[];
  findings: SheetFinding[];
  working: Array<{ what: Said; sum: Said }>;
  values: unknown;
  /** Earlier measurings of the step, oldest first, and what was done after each. */
  before: Array<Told & { done: string; findings: SheetFinding[]; values: unknown }>;
  /** Rounds of the step before it was opened again, oldest first, and why it was. */
  rounds: Array<
    Told & {
      because: string;
      answers: SheetAnswer[];
      findings: SheetFinding[];
      passed: Told | null;
      values: unknown;
    }
  >;
};

/** The fit-up sheet as open data: lengths in mm, torques in N·m, times in UTC; texts with quantities in both units. */
export type FitUpSheet = {
  format: 'fulcrant.fit-up-sheet';
  version: 2;
  number: string | null;
  jobId: string;
  /** Which revision of the sheet it is: 1, and one more each time it was opened again after a signature. */
  revision: number;
  name: string;
  procedure: { id: string; title: string };
  title: {
    machine: string;
    position: string;
    role: string | null;
    partNumber: string | null;
    openedAt: string;
    openedBy: string;
    state: 'open' | 'signed';
  };
  /** Where its times are said in, an IANA name. */
  timeZone: string;
  setup: Setup;
  /** What was worked on, in a line. */
  description: Said;
  /** What it came to: heading and number. */
  rows: Array<[string, Said]>;
  steps: SheetStep[];
  readings: SheetReading[];
  bolts: Array<
    Told & {
      step: string;
      pass: string;
      bolt: number;
      torqueNm: number;
      moved: boolean;
      movedDeg: number | null;
      instrument: string;
      set: number;
      attempt: number;
    }
  >;
  results: SheetResults;
  deviations: Array<Told & { step: string; title: string; stood: Said; reason: string; attempt: number }>;
  holds: Array<{ step: string; title: string; reason: string; released: Told | null }>;
  setupChanges: Array<
    Told & {
      reason: string;
      changed: string[] /** Readings it judges were taken before. */;
      judged: boolean;
      seen: Told | null;
    }
  >;
  /** What taking the work back is called on this job. */
  reopened: string;
  dismountings: Array<Told & { reason: string }>;
  loosenings: Array<Told & { reason: string }>;
  notes: Array<Told & { text: string }>;
  revisions: Array<Told & { n: number; reason: string; signedBefore: string }>;
  signature: (Told & { name: string }) | null;
  sources: Source[];
  people: string[];
  /** The sheet as it is read, block by block. */
  document: Block[];
};

const said = (s: Stamp): Told => ({ by: s.author.name, at: s.at, ...(s.clock ? { clock: s.clock } : {}) });

/**
 * The whole record of one job, every reading with who, when and instrument, withdrawn ones and those of earlier rounds too.
 * @param zone the plant's time zone, an IANA name
 */
export function fitUpSheet(state: JobState, number: string | null, zone = 'UTC'): FitUpSheet {
  const procedure = procedureFor(state.setup);
  const titleOf = (step: string) => procedure.steps.find((s) => s.id === step)?.title ?? step;
  const used = new Set<string>(
    state.steps.flatMap((s) => s.report?.findings.flatMap((f) => f.source ?? []) ?? []),
  );
  const results = sheetResults(state);
  const plain: Omit<FitUpSheet, 'document'> = {
    format: 'fulcrant.fit-up-sheet',
    version: 2,
    number,
    jobId: state.jobId,
    revision: state.signed?.revision ?? state.revisions.length + 1,
    name: sheetTitle({ procedure }),
    procedure: { id: procedure.id, title: procedure.title },
    title: {
      machine: state.setup.machine,
      position: state.setup.position,
      role: 'role' in state.setup ? state.setup.role : null,
      partNumber: state.setup.partNumber ?? null,
      openedAt: state.opened.at,
      openedBy: state.opened.author.name,
      state: state.signed ? 'signed' : 'open',
    },
    timeZone: zone,
    setup: state.setup,
    description: describeSetup(state.setup),
    rows: resultRows({ setup: state.setup, results }),
    steps: procedure.steps.map((definition) => sheetStep(state, definition)),
    readings: sheetReadings(state),
    bolts: sheetBolts(state),
    results,
    deviations: state.deviations.map((d) => ({
      step: d.step,
      title: titleOf(d.step),
      stood: d.stands,
      ...said(d),
      reason: d.reason,
      attempt: d.attempt,
    })),
    holds: state.holds.map((h) => ({
      step: h.step,
      title: titleOf(h.step),
      reason: h.reason,
      released: h.released ? said(h.released) : null,
    })),
    setupChanges: state.setupChanges.map((c) => ({
      ...said(c),
      reason: c.reason,
      changed: changedFields(c.before, c.after),
      judged: c.readAt.length > 0,
      seen: c.seen ? said(c.seen) : null,
    })),
    reopened: reopeningOf(state.setup).said,
    dismountings: state.dismounted.map((d) => ({ ...said(d), reason: d.reason })),
    loosenings: state.loosened.map((d) => ({ ...said(d), reason: d.reason })),
    notes: state.notes.map((n) => ({ ...said(n), text: n.text })),
    revisions: state.revisions.map((r, i) => ({
      ...said(r),
      n: i + 2,
      reason: r.reason,
      signedBefore: state.signatures[i]?.name ?? '',
    })),
    signature: state.signed ? { name: state.signed.name, ...said(state.signed) } : null,
    sources: allSources().filter((s) => used.has(s.id)),
    people: peopleOf(state),
  };
  const kept = keepAllSaid(plain);
  return { ...kept, document: keepAllSaid(sheetDocument(kept)) };
}

/** Everybody who recorded something, in the order they first did. */
const peopleOf = (state: JobState): string[] => [
  ...new Set(
    stampsOf(state)
      .sort((a, b) => a.at.localeCompare(b.at))
      .map((s) => s.author.name),
  ),
];

function sheetStep(state: JobState, definition: StepDefinition): SheetStep {
  const { id } = definition;
  const step = state.steps.find((s) => s.id === id);
  const report = step?.report;
  const findings = (f: readonly Finding[]) => sheetFindings(state, id, f);
  return {
    id,
    title: definition.title,
    status: step?.status ?? 'closed',
    passed: step?.passed ? said(step.passed) : null,
    answers: sheetAnswers(definition, state.answers),
    findings: findings(report?.findings ?? []),
    working: report?.working ?? [],
    values: report?.values ?? null,
    before: (report?.before ?? []).map((b) => ({
      done: b.done,
      ...said(b.stamp),
      findings: findings(b.findings),
      values: b.values,
    })),
    rounds: state.past
      .filter((p) => p.step === id)
      .map((p) => ({
        ...said(p),
        because: p.because,
        answers: sheetAnswers(definition, p.answers),
        findings: sheetFindings({ deviations: p.deviations }, id, p.findings),
        passed: p.passes[0] ? said(p.passes[0]) : null,
        values: p.values,
      })),
  };
}

const sheetAnswers = (definition: StepDefinition, answers: readonly Answer[]): SheetAnswer[] =>
  (definition.items ?? []).flatMap((item) => {
    const a = answers.filter((x) => x.step === definition.id && x.item === item.id).at(-1);
    return a ? [{ ask: item.ask, answer: a.answer, ...said(a), note: a.note ?? null }] : [];
  });

/** Records of a step over all its rounds, each with the round it belongs to: 0, and one more after each opening. */
function overRounds<T extends { step: string }>(
  past: readonly Past[],
  now: readonly T[],
  of: (p: Past) => readonly T[],
): Array<{ record: T; round: number }> {
  const round = (p: Past) => past.filter((q) => q.step === p.step).indexOf(p);
  return [
    ...past.flatMap((p) => of(p).map((record) => ({ record, round: round(p) }))),
    ...now.map((record) => ({ record, round: past.filter((p) => p.step === record.step).length })),
  ];
}

function sheetReadings(state: JobState): SheetReading[] {
  const reports = Object.fromEntries(state.steps.flatMap((s) => (s.report ? [[s.id, s.report]] : [])));
  return overRounds<Reading>(state.past, state.readings, (p) => p.readings).map(
    ({ record: r, round }, i, all) => {
      const before = all
        .slice(0, i)
        .flatMap((x) => (x.round === round || x.record.step !== r.step ? [x.record] : []));
      return {
        id: r.id,
        step: r.step,
        place: r.place,
        name: placeName(state, r, before, reports),
        ...inOpenUnit(r.instrument.kind, r.value),
        typed: r.raw,
        ...said(r),
        instrument: r.instrument.name,
        resolution: r.instrument.step,
        calibrationDue: r.instrument.calibrationDue,
        attempt: r.attempt + round,
        measuring: r.round + 1,
        via: r.via ?? 'typed',
        standIn: r.instrument.standIn ?? false,
        withdrawn: r.withdrawn ? { ...said(r.withdrawn), reason: r.withdrawn.reason } : null,
      };
    },
  );
}

const sheetBolts = (state: JobState): FitUpSheet['bolts'] =>
  overRounds<BoltTick>(state.past, state.ticks, (p) => p.ticks).map(({ record: t, round }) => ({
    step: t.step,
    pass: passName(state, t.step, t.pass),
    bolt: t.bolt,
    torqueNm: t.torqueNm,
    moved: t.moved,
    movedDeg: t.movedDeg ?? null,
    ...said(t),
    instrument: t.instrument.name,
    set: t.round + 1,
    attempt: t.attempt + round,
  }));

/** What a pass of a step's bolts is called. */
function passName(state: JobState, step: string, pass: number): string {
  const passes = (valuesOf(state, step)?.passes ?? []) as Array<{ name: string }>;
  return passes[pass]?.name ?? `pass ${pass + 1}`;
}

function sheetFindings(
  state: Pick<JobState, 'deviations'>,
  step: string,
  findings: readonly Finding[],
): SheetFinding[] {
  return findings.map((f) => {
    const d = acceptanceOf(state, step, f);
    return {
      code: f.code,
      verdict: f.verdict,
      reason: f.reason,
      limit: f.limit ?? null,
      source: f.source ? sourceOf(f.source).title : null,
      remedy: f.remedy ?? null,
      accepted: d ? { ...said(d), reason: d.reason } : null,
    };
  });
}

function changedFields(before: Setup, after: Setup): string[] {
  const under = (name: string, part: object | undefined) =>
    Object.fromEntries(Object.entries(part ?? {}).map(([k, v]) => [`${name}.${k}`, v]));
  const flat = (s: Setup) => ({
    ...s,
    ...under('maker', s.maker),
    // What a setup leaves unsaid is what holds anyway: saying it is no change.
    ...under('schools', schoolsOf(s)),
    ...under('condition', conditionOf(s)),
    maker: undefined,
    schools: undefined,
    condition: undefined,
  });
  const a = flat(before) as Record<string, unknown>;
  const b = flat(after) as Record<string, unknown>;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
    (k) => JSON.stringify(a[k]) !== JSON.stringify(b[k]),
  );
}
