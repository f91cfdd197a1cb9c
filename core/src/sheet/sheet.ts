import './kept-words.ts';
import type { Field } from '../engine/asked.ts';
import { fieldsOf, valueIn } from '../engine/asked.ts';
import { acceptanceOf } from '../engine/facts.ts';
import { LACKING } from '../engine/lacking.ts';
import type { Setup } from '../engine/setup.ts';
import { stampsOf } from '../engine/stamps.ts';
import type { Answer, BoltTick, JobState, Past, Reading, Signature, Stamp, Struck } from '../engine/state.ts';
import type { StepDefinition } from '../engine/step.ts';
import { actOn, actsOn, procedureFor, reportAt, rulesWith, tradeOf } from '../engine/trades.ts';
import { inOpenUnit } from '../instruments/quantity.ts';
import type { Finding } from '../judgement/result.ts';
import { COMMON } from '../message/common/messages.ts';
import { expr, type Text, textKey } from '../message/message.ts';
import { keepAllSaid } from '../quantities/say.ts';
import { allSources, sourceOf } from '../sources/register.ts';
import { bolts } from '../steps/bolts.ts';
import { sheetDocument } from './document.ts';
import { fallsDue } from './due.ts';
import type {
  FitUpSheet,
  SheetAnswer,
  SheetFinding,
  SheetReading,
  SheetStep,
  SheetStruck,
  Told,
} from './form.ts';
import { M } from './messages.ts';
import { placeName } from './place-name.ts';
import { mostOf, sayValue, setupLines } from './words.ts';

const said = (s: Stamp): Told => ({ by: s.author.name, at: s.at, ...(s.clock ? { clock: s.clock } : {}) });

/**
 * The whole record of one job, every reading with who, when and instrument, withdrawn ones and those of earlier rounds too.
 * @param zone the plant's time zone, an IANA name
 * @param signature the one it is laid down under: that of a sheet that runs, at the moment it was given
 */
export function fitUpSheet(
  state: JobState,
  number: string | null,
  zone = 'UTC',
  signature: Signature | null = state.signed,
): FitUpSheet {
  const procedure = procedureFor(state.setup);
  const titleOf = (step: string) => procedure.steps.find((s) => s.id === step)?.title ?? step;
  const used = new Set<string>(
    state.steps.flatMap((s) => s.report?.findings.flatMap((f) => f.source ?? []) ?? []),
  );
  const trade = tradeOf(state.setup);
  const came = trade.words.came(state);
  const plain: Omit<FitUpSheet, 'document'> = {
    format: 'fulcrant.fit-up-sheet',
    version: 4,
    number,
    jobId: state.jobId,
    revision: signature?.revision ?? state.signatures.length + 1,
    name: trade.words.sheet,
    procedure: { id: trade.id, title: procedure.title },
    title: {
      machine: state.setup.machine,
      position: state.setup.position,
      role: trade.slots.role?.(state.setup) ?? null,
      partNumber: state.setup.partNumber ?? null,
      openedAt: state.opened.at,
      openedBy: state.opened.author.name,
      state: state.cancelled ? 'cancelled' : state.signed ? 'signed' : state.running ? 'running' : 'open',
    },
    timeZone: zone,
    setup: state.setup,
    setupLines: setupLines(state.setup),
    ...(procedure.leftOut ? { leftOut: [...procedure.leftOut] } : {}),
    rows: came.rows,
    steps: procedure.steps.map((definition) => sheetStep(state, definition)),
    readings: sheetReadings(state),
    bolts: sheetBolts(state),
    lacking: state.lacking.map((l) => ({
      ...said(l),
      title: titleOf(l.step),
      said: LACKING[l.why].said,
      reason: l.reason,
      until: l.until ? said(l.until) : null,
    })),
    struck: state.struck.map((s) => sheetStruck(state, s)),
    results: came.results,
    deviations: [...state.struck.flatMap((s) => s.deviations), ...state.deviations].map((d) => ({
      step: d.step,
      title: titleOf(d.step),
      stood: d.stands,
      ...said(d),
      reason: d.reason,
      attempt: d.attempt,
    })),
    holds: [...state.struck.flatMap((s) => s.holds), ...state.holds].map((h) => ({
      step: h.step,
      title: titleOf(h.step),
      reason: h.reason,
      released: h.released ? said(h.released) : null,
    })),
    setupChanges: state.setupChanges.map((c) => {
      const values = changedFields(c.before, c.after);
      return {
        ...said(c),
        reason: c.reason,
        changed: values.map((v) => v.field),
        values,
        judged: c.readAt.length > 0,
        seen: c.seen ? said(c.seen) : null,
      };
    }),
    reopened: actsOn(state.setup).find((a) => a.undoes)?.words?.said ?? M.takenBack,
    dismountings: state.done.flatMap((d) =>
      actOn(state.setup, d.act)?.undoes ? [{ ...said(d), reason: d.reason ?? '' }] : [],
    ),
    loosenings: state.loosened.map((d) => ({ ...said(d), what: titleOf(d.step), reason: d.reason })),
    notes: state.notes.map((n) => ({ ...said(n), text: n.text })),
    photos: state.photos.map(({ step, hash, words, width, height, ...p }) => ({
      ...said(p),
      step,
      hash,
      words,
      width,
      height,
    })),
    revisions: state.revisions.map((r) => {
      const before = state.signatures.filter((s) => s.at <= r.at);
      return {
        ...said(r),
        n: before.length + 1,
        reason: r.reason,
        signedBefore: before.at(-1)?.name ?? '',
      };
    }),
    due: fallsDue(state),
    toCome: state.running && !state.signed ? state.steps.flatMap((s) => s.report?.toCome ?? []) : [],
    signature: signature ? { name: signature.name, ...said(signature) } : null,
    sources: allSources().filter((s) => used.has(s.id)),
    people: peopleOf(state),
  };
  const kept = keepAllSaid(plain);
  const drawings = trade.words.drawings(state);
  return { ...kept, document: keepAllSaid(sheetDocument({ ...kept, drawings }), 'words') };
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
    ...(step?.byRulesOfThen ? { byRulesOfThen: true as const } : {}),
    answers: sheetAnswers(definition, state.answers),
    findings: findings(report?.findings ?? []),
    working: report?.working ?? [],
    values: report?.values ?? null,
    before: (report?.before ?? []).map((b) => ({
      done: b.done ?? '',
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

/** The answers of a step; a question asked more than once in it says of which part. */
const sheetAnswers = (definition: StepDefinition, answers: readonly Answer[]): SheetAnswer[] => {
  const items = definition.items ?? [];
  const times = new Map<string, number>();
  for (const { ask } of items) times.set(textKey(ask), (times.get(textKey(ask)) ?? 0) + 1);
  return items.flatMap((item) => {
    const a = answers.filter((x) => x.step === definition.id && x.item === item.id).at(-1);
    const again = (times.get(textKey(item.ask)) ?? 0) > 1;
    return a ? [sheetAnswer(again ? expr`${item.group}: ${item.ask}` : item.ask, a)] : [];
  });
};

const sheetAnswer = (ask: Text, a: Answer): SheetAnswer => ({
  ask,
  answer: a.answer,
  ...said(a),
  note: a.note ?? null,
  ...(a.reason === undefined ? {} : { reason: a.reason }),
  ...(a.before
    ? { before: a.before.map((b) => ({ answer: b.answer, ...said(b), note: b.note ?? null })) }
    : {}),
});

/** What a change struck, as it stood; its readings and bolts stand with the others, marked. */
function sheetStruck(state: JobState, s: Struck): SheetStruck {
  const seen = state.setupChanges.find((c) => c.id === s.change)?.seen;
  return {
    ...said(s),
    step: s.step,
    title: s.title,
    follows: s.follows,
    whole: s.whole,
    reason: s.reason,
    answers: [...s.past.flatMap((p) => p.answers), ...s.answers].map((a) =>
      sheetAnswer(s.asks[a.item] ?? a.item, a),
    ),
    findings: sheetFindings({ deviations: s.deviations }, s.step, s.findings),
    stops: s.stops.length > 0,
    seen: seen ? said(seen) : null,
  };
}

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
  const line = (r: Reading, round: number, name: Text): SheetReading => ({
    id: r.id,
    step: r.step,
    place: r.place,
    name,
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
  });
  return [
    ...state.struck.flatMap((s) => {
      const all = [...s.past.flatMap((p) => p.readings), ...s.readings];
      // As the place was called before the change that struck it.
      const change = state.setupChanges.find((c) => c.id === s.change);
      const then: JobState = { ...state, setup: change?.before ?? state.setup, readings: all };
      return all.map((r, i) => ({
        ...line(r, 0, placeName(then, r, all.slice(0, i), reports)),
        struck: { ...said(s), reason: s.reason },
      }));
    }),
    ...overRounds<Reading>(state.past, state.readings, (p) => p.readings).map(
      ({ record: r, round }, i, all) => {
        const before = all
          .slice(0, i)
          .flatMap((x) => (x.round === round || x.record.step !== r.step ? [x.record] : []));
        return line(r, round, placeName(state, r, before, reports));
      },
    ),
  ];
}

const sheetBolts = (state: JobState): FitUpSheet['bolts'] => {
  const line = (t: BoltTick, round: number): FitUpSheet['bolts'][number] => ({
    step: t.step,
    pass: passName(state, t.step, t.pass),
    bolt: t.bolt,
    torqueNm: t.torqueNm,
    moved: t.moved,
    movedDeg: t.movedDeg ?? null,
    ...(t.told ? { told: t.id } : {}),
    ...said(t),
    instrument: t.instrument.name,
    set: t.round + 1,
    attempt: t.attempt + round,
    ...(t.withdrawn ? { withdrawn: { ...said(t.withdrawn), reason: t.withdrawn.reason } } : {}),
  });
  return [
    ...state.struck.flatMap((s) =>
      [...s.past.flatMap((p) => p.ticks), ...s.ticks].map((t) => ({
        ...line(t, 0),
        struck: { ...said(s), reason: s.reason },
      })),
    ),
    ...overRounds<BoltTick>(state.past, state.ticks, (p) => p.ticks).map(({ record, round }) =>
      line(record, round),
    ),
  ];
};

/** What a pass of a step's bolts is called. */
function passName(state: JobState, step: string, pass: number): Text {
  return bolts.valuesOf(reportAt(state, step))?.passes[pass]?.name ?? M.pass({ pass: pass + 1 });
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

/** A value of a setup that is not said. */
const UNSAID = COMMON.notSaid;

/** What a change of the setup changed, as it is asked for, old and new. What a setup leaves unsaid is what holds anyway: saying it is no change. */
function changedFields(before: Setup, after: Setup): Array<{ field: Text; before: Text; after: Text }> {
  const valueOfField = (setup: Setup, f: Field) =>
    valueIn({ ...setup, schools: rulesWith(setup) }, f.name) ?? f.fallback;
  const changed = fieldsOf(tradeOf(after).schema).filter(
    (f) =>
      JSON.stringify([valueOfField(before, f), mostOf(before, f)]) !==
      JSON.stringify([valueOfField(after, f), mostOf(after, f)]),
  );
  const told = (setup: Setup, f: Field): Text => {
    const v = valueOfField(setup, f);
    const unsaid = v === undefined || v === null || v === '' || (Array.isArray(v) && v.length === 0);
    return f.quantity === 'flag'
      ? v
        ? M.yes
        : COMMON.no
      : unsaid
        ? UNSAID
        : sayValue(f, v, mostOf(setup, f));
  };
  return changed.length > 0
    ? changed.map((f) => ({ field: f.label, before: told(before, f), after: told(after, f) }))
    : [{ field: M.whatNotAsked, before: UNSAID, after: UNSAID }];
}
