import type { Author, JobEvent } from '../api/events.ts';
import { conditionOf, type Setup, schoolsOf } from '../api/setup.ts';
import type { Finding, WorkingLine } from '../calculators/result.ts';
import { inOpenUnit, type OpenUnit } from '../instruments/quantity.ts';
import type { Verdict } from '../metrology/decision.ts';
import { procedureFor } from '../procedures/procedure-for.ts';
import { sayAll } from '../quantities/say.ts';
import { allSources, type Source, sourceOf } from '../sources/register.ts';
import { acceptanceOf } from './facts.ts';
import { type SheetResults, sheetResults, valuesOf } from './sheet-results.ts';
import type { JobState, Reading } from './state.ts';

export type SheetFinding = {
  code: string;
  verdict: Verdict;
  reason: string;
  limit: string | null;
  source: string | null;
  remedy: string | null;
  accepted: { by: string; at: string; reason: string } | null;
};

export type SheetReading = {
  id: string;
  step: string;
  place: string;
  value: number;
  unit: OpenUnit;
  typed: string;
  by: string;
  at: string;
  instrument: string;
  resolution: number;
  calibrationDue: string;
  attempt: number;
  /** Which measuring of its step: 1, and one more after each repeat. */
  measuring: number;
  /** typed, or how else it came. */
  via: 'typed' | 'port' | 'file';
  standIn: boolean;
  withdrawn: { by: string; at: string; reason: string } | null;
};

/** The fit-up sheet as open data: lengths in mm, torques in N·m, times in UTC. */
export type FitUpSheet = {
  format: 'fulcrant.fit-up-sheet';
  version: 1;
  number: string | null;
  jobId: string;
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
  setup: Setup;
  steps: Array<{
    id: string;
    title: string;
    status: string;
    passedBy: string | null;
    passedAt: string | null;
    answers: Array<{ ask: string; answer: string; by: string; at: string; note: string | null }>;
    findings: SheetFinding[];
    working: WorkingLine[];
    values: unknown;
    /** Earlier measurings of the step, oldest first, and what was done after each. */
    before: Array<{ done: string; by: string; at: string; findings: SheetFinding[]; values: unknown }>;
  }>;
  readings: SheetReading[];
  bolts: Array<{
    step: string;
    pass: string;
    bolt: number;
    torqueNm: number;
    moved: boolean;
    movedDeg: number | null;
    by: string;
    at: string;
    instrument: string;
    set: number;
    attempt: number;
  }>;
  results: SheetResults;
  deviations: Array<{ step: string; stood: string; by: string; at: string; reason: string; attempt: number }>;
  holds: Array<{ step: string; reason: string; releasedBy: string | null; releasedAt: string | null }>;
  setupChanges: Array<{ by: string; at: string; reason: string; changed: string[] }>;
  dismountings: Array<{ by: string; at: string; reason: string }>;
  loosenings: Array<{ by: string; at: string; reason: string }>;
  notes: Array<{ by: string; at: string; text: string }>;
  signature: { name: string; by: string; at: string } | null;
  sources: Source[];
  people: string[];
};

const said = (s: { author: Author; at: string }) => ({ by: s.author.name, at: s.at });

/** The whole record of one job, every reading with who, when and instrument, withdrawn ones too. */
export function fitUpSheet(state: JobState, events: readonly JobEvent[], number: string | null): FitUpSheet {
  const procedure = procedureFor(state.setup);
  const used = new Set<string>(
    state.steps.flatMap((s) => s.report?.findings.flatMap((f) => f.source ?? []) ?? []),
  );
  return sayAll<FitUpSheet>(
    {
      format: 'fulcrant.fit-up-sheet',
      version: 1,
      number,
      jobId: state.jobId,
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
      setup: state.setup,
      steps: procedure.steps.map((definition, i) => {
        const step = state.steps[i];
        return {
          id: definition.id,
          title: definition.title,
          status: step?.status ?? 'closed',
          passedBy: step?.passed?.author.name ?? null,
          passedAt: step?.passed?.at ?? null,
          answers: (definition.items ?? []).flatMap((item) => {
            const a = state.answers.filter((x) => x.step === definition.id && x.item === item.id).at(-1);
            return a ? [{ ask: item.ask, answer: a.answer, ...said(a), note: a.note ?? null }] : [];
          }),
          findings: sheetFindings(state, definition.id, step?.report?.findings ?? []),
          working: step?.report?.working ?? [],
          values: step?.report?.values ?? null,
          before: (step?.report?.before ?? []).map((b) => ({
            done: b.done,
            ...said(b.stamp),
            findings: sheetFindings(state, definition.id, b.findings),
            values: b.values,
          })),
        };
      }),
      readings: state.readings.map((r) => sheetReading(r)),
      bolts: state.ticks.map((t) => ({
        step: t.step,
        pass: passName(state, t.step, t.pass),
        bolt: t.bolt,
        torqueNm: t.torqueNm,
        moved: t.moved,
        movedDeg: t.movedDeg ?? null,
        ...said(t),
        instrument: t.instrument.name,
        set: t.round + 1,
        attempt: t.attempt,
      })),
      results: sheetResults(state),
      deviations: state.deviations.map((d) => ({
        step: d.step,
        stood: d.stands,
        ...said(d),
        reason: d.reason,
        attempt: d.attempt,
      })),
      holds: state.holds.map((h) => ({
        step: h.step,
        reason: h.reason,
        releasedBy: h.released?.author.name ?? null,
        releasedAt: h.released?.at ?? null,
      })),
      setupChanges: state.setupChanges.map((c) => ({
        ...said(c),
        reason: c.reason,
        changed: changedFields(c.before, c.after),
      })),
      dismountings: state.dismounted.map((d) => ({ ...said(d), reason: d.reason })),
      loosenings: state.loosened.map((d) => ({ ...said(d), reason: d.reason })),
      notes: state.notes.map((n) => ({ ...said(n), text: n.text })),
      signature: state.signed ? { name: state.signed.name, ...said(state.signed) } : null,
      sources: allSources().filter((s) => used.has(s.id)),
      people: [...new Set(events.map((e) => e.author.name))],
    },
    'mm',
  );
}

/** What a pass of a step's bolts is called. */
function passName(state: JobState, step: string, pass: number): string {
  const passes = (valuesOf(state, step)?.passes ?? []) as Array<{ name: string }>;
  return passes[pass]?.name ?? `pass ${pass + 1}`;
}

function sheetReading(r: Reading): SheetReading {
  return {
    id: r.id,
    step: r.step,
    place: r.place,
    ...inOpenUnit(r.instrument.kind, r.value),
    typed: r.raw,
    ...said(r),
    instrument: r.instrument.name,
    resolution: r.instrument.step,
    calibrationDue: r.instrument.calibrationDue,
    attempt: r.attempt,
    measuring: r.round + 1,
    via: r.via ?? 'typed',
    standIn: r.instrument.standIn ?? false,
    withdrawn: r.withdrawn ? { ...said(r.withdrawn), reason: r.withdrawn.reason } : null,
  };
}

function sheetFindings(state: JobState, step: string, findings: readonly Finding[]): SheetFinding[] {
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
