import type { Text } from '../message/message.ts';
import { expr, inline, listOf } from '../message/message.ts';
import { timeOf } from './clock.ts';
import type { JobEvent, JobEventOf } from './events.ts';
import { loosenedAt, roundOf } from './facts.ts';
import { ISOLATION } from './isolation.ts';
import { M } from './messages.ts';
import { inWords, paramsToSend, sameInWords } from './params.ts';
import { FOLLOWS_RUNNING } from './running.ts';
import { type Judging, planned, setupChanged } from './setup-change.ts';
import type { Answer, Facts, Stamp, StepReport } from './state.ts';
import type { GateItem } from './step.ts';
import { loosened, redone } from './step.ts';
import { actOn, procedureFor, signsAt } from './trades.ts';

const stamp = (e: JobEvent): Stamp => ({ ...timeOf(e), author: e.author });

/** A reading told later than it was read counts from when it was read, and says so. */
const earlier = (e: JobEventOf<'reading.taken'>, s: Stamp): Partial<Stamp> =>
  e.data.readAt === undefined
    ? {}
    : { at: e.data.readAt, clock: { kind: 'earlier', deviceAt: e.at, storedAt: s.at, aheadS: 0 } };

/** Facts of a job that has just been opened. */
export function opened(e: JobEventOf<'job.opened'>): Facts {
  return {
    jobId: e.jobId,
    positionId: e.data.positionId,
    opened: stamp(e),
    setup: e.data.setup,
    setupChanges: [],
    attempt: 1,
    readings: [],
    answers: [],
    ticks: [],
    loosened: [],
    done: [],
    deviations: [],
    holds: e.data.setup.holdBefore.map((step) => planned(step)),
    passes: [],
    repeats: [],
    notes: [],
    photos: [],
    past: [],
    struck: [],
    acts: 0,
    touched: {},
    lacking: [],
    signed: null,
    running: null,
    signatures: [],
    revisions: [],
  };
}

/** One event laid on the facts. Events were admitted before; here they are only remembered. */
export function lay(f: Facts, e: JobEvent, judging: Judging): Facts {
  // What does not belong to a sheet that runs was let in because a check had failed: it runs no more.
  const going = f.running && !FOLLOWS_RUNNING.includes(e.type) ? { ...f, running: null } : f;
  const acts = f.acts + 1;
  return touchedBy(going, laidOn({ ...going, acts }, e, judging), e);
}

/** The acts at the steps an event touched: its own, those it opened again, those whose bolts it loosened. */
function touchedBy(before: Facts, after: Facts, e: JobEvent): Facts {
  const own = 'step' in e.data && e.type !== 'step.passed' ? [e.data.step] : [];
  const taken =
    e.type === 'reading.withdrawn'
      ? [...before.readings, ...before.ticks].flatMap((r) => (r.id === e.data.reading ? [r.step] : []))
      : [];
  const opened = after.past.slice(before.past.length).map((p) => p.step);
  const loose = after.loosened.slice(before.loosened.length).map((l) => l.step);
  const steps = [...own, ...taken, ...opened, ...loose];
  return steps.length === 0
    ? after
    : { ...after, touched: { ...after.touched, ...Object.fromEntries(steps.map((s) => [s, after.acts])) } };
}

function laidOn(f: Facts, e: JobEvent, judging: Judging): Facts {
  const s = stamp(e);
  switch (e.type) {
    case 'job.opened':
      return f;
    case 'setup.changed':
      return setupChanged(f, e, s, judging);
    case 'change.seen':
      return {
        ...f,
        setupChanges: f.setupChanges.map((c) => (c.id === e.data.change ? { ...c, seen: s } : c)),
      };
    case 'gate.answered': {
      const told = withAnswer(f, { ...s, id: e.id, ...e.data, attempt: f.attempt });
      const loosens = e.data.answer === 'yes' ? loosenedBy(f, e.data) : undefined;
      if (!loosens) return told;
      const { steps, because, act } = loosens;
      return undo(
        {
          ...told,
          loosened: [
            ...told.loosened,
            ...steps.map((step) => ({ ...s, id: e.id, step, reason: because, attempt: f.attempt, act })),
          ],
          passes: told.passes.filter((p) => !steps.includes(p.step)),
        },
        told,
        { of: steps, because, stamp: s, judging },
      );
    }
    case 'answer.corrected': {
      const { reason, ...data } = e.data;
      const told = withAnswer(f, { ...s, id: e.id, ...data, attempt: f.attempt, reason });
      return undo({ ...told, passes: told.passes.filter((p) => p.step !== e.data.step) }, f, {
        of: [e.data.step],
        because: M.answerCorrected({ reason }),
        stamp: s,
        judging,
      });
    }
    case 'reading.taken':
      return {
        ...f,
        lacking: ended(f.lacking, e.data.step, s),
        readings: [
          ...f.readings,
          { ...s, id: e.id, ...e.data, ...earlier(e, s), attempt: f.attempt, round: roundOf(f, e.data.step) },
        ],
      };
    case 'measure.repeated':
      return undo(
        {
          ...f,
          repeats: [...f.repeats, { ...s, id: e.id, ...e.data }],
          lacking: ended(f.lacking, e.data.step, s),
          passes: f.passes.filter((p) => p.step !== e.data.step),
        },
        f,
        {
          of: e.data.done ? [e.data.step, redone(e.data.step)] : [e.data.step],
          because: e.data.done ? M.measuredAgain({ done: e.data.done }) : M.readAgainNothingDone,
          stamp: s,
          judging,
        },
      );
    case 'reading.withdrawn': {
      const taken = [...f.readings, ...f.ticks].find((r) => r.id === e.data.reading);
      const step = taken?.step ?? '';
      const back = <T extends { id: string }>(list: readonly T[]): T[] =>
        list.map((r) => (r.id === e.data.reading ? { ...r, withdrawn: { ...s, reason: e.data.reason } } : r));
      return undo(
        {
          ...f,
          readings: back(f.readings),
          ticks: back(f.ticks),
          // A withdrawn reading opens its step again: what was passed on it must be passed anew.
          passes: f.passes.filter((p) => p.step !== step),
        },
        f,
        { of: [step], because: M.readingWithdrawn({ reason: e.data.reason }), stamp: s, judging },
      );
    }
    case 'number.lacking':
      return {
        ...f,
        lacking: [
          ...ended(f.lacking, e.data.step, s),
          { ...s, id: e.id, ...e.data, round: roundOf(f, e.data.step) },
        ],
      };
    case 'bolt.tightened':
      return {
        ...f,
        ticks: [
          ...f.ticks,
          {
            ...s,
            id: e.id,
            ...e.data,
            moved: e.data.moved ?? false,
            attempt: f.attempt,
            round: loosenedAt(f, e.data.step).length,
          },
        ],
      };
    case 'bolts.tightened': {
      const { bolts, ...told } = e.data;
      const round = loosenedAt(f, told.step).length;
      // Each of them is a tick of the one statement: taken back, all of them are.
      const ticks = bolts.map((bolt) => ({
        ...s,
        id: e.id,
        ...told,
        bolt,
        moved: told.moved ?? false,
        told: true as const,
        attempt: f.attempt,
        round,
      }));
      return { ...f, ticks: [...f.ticks, ...ticks] };
    }
    case 'bolts.loosened': {
      const { step } = e.data;
      return undo(
        {
          ...f,
          loosened: [...f.loosened, { ...s, id: e.id, step, reason: e.data.reason, attempt: f.attempt }],
          passes: f.passes.filter((p) => p.step !== step),
        },
        f,
        { of: [step, loosened(step)], because: M.loosened({ reason: e.data.reason }), stamp: s, judging },
      );
    }
    case 'step.passed':
      return {
        ...f,
        passes: [
          ...f.passes.filter((p) => p.step !== e.data.step),
          { ...s, step: e.data.step, attempt: f.attempt, changes: f.setupChanges.length, act: f.acts },
        ],
      };
    case 'step.held':
      return {
        ...f,
        holds: [...f.holds, { step: e.data.step, planned: false, reason: e.data.reason, set: s }],
      };
    case 'step.released':
      return {
        ...f,
        holds: f.holds.map((h) =>
          h.step === e.data.step && !h.released ? { ...h, released: { ...s, note: e.data.note } } : h,
        ),
      };
    case 'deviation.accepted': {
      const { step, finding, stands, reason } = e.data;
      // Acceptances of before say no parameters, or say what stood in words: they are bound to the finding of their code that stood then.
      const stood = () => judging.then()[step]?.findings.find((x) => x.code === finding)?.params ?? null;
      const given = e.data.params;
      const ofBefore =
        given === undefined || typeof stands === 'string' || 'parts' in stands || inWords(given);
      const then = ofBefore ? stood() : null;
      const params =
        then && (given === undefined || sameInWords(given, then)) ? paramsToSend(then) : (given ?? null);
      const accepted = { ...s, id: e.id, step, finding, params, stands, reason, attempt: f.attempt };
      return { ...f, deviations: [...f.deviations, accepted] };
    }
    case 'act.done': {
      const { params = {}, reason = null } = e.data;
      const act = actOn(f.setup, e.data.act);
      const done = { ...s, id: e.id, act: act?.id ?? e.data.act, params, reason };
      const noted = { ...f, done: [...f.done, done] };
      const { undoes = [], words } = act ?? {};
      if (undoes === 'attempt') return { ...noted, attempt: f.attempt + 1 };
      const because = listOf([...(words ? [inline(words.said)] : []), ...(reason ? [reason] : [])], ', ');
      return undoes.length === 0
        ? noted
        : undo(noted, f, { of: undoes, self: true, because, stamp: s, judging });
    }
    case 'sheet.signed': {
      const { name, running } = e.data;
      const signature = { ...s, name, revision: f.signatures.length + 1 };
      const signatures = [...f.signatures, running ? { ...signature, running } : signature];
      return running
        ? { ...f, running: { ...signature, running }, signatures }
        : { ...f, signed: signature, running: null, signatures };
    }
    case 'sheet.reopened':
      return {
        ...f,
        signed: null,
        running: null,
        revisions: [...f.revisions, { ...s, reason: e.data.reason }],
        passes: f.passes.filter((p) => !signsAt(f.setup, p.step)),
      };
    case 'job.cancelled':
      return { ...f, cancelled: { ...s, reason: e.data.reason } };
    case 'photo.added':
      return { ...f, photos: [...f.photos, { ...s, id: e.id, ...e.data }] };
    case 'note.added':
      return { ...f, notes: [...f.notes, { ...s, id: e.id, text: e.data.text }] };
  }
}

/** An answer laid on the facts; what it takes the place of stays with it where it said otherwise. */
function withAnswer(f: Facts, answer: Answer): Facts {
  const same = (a: Answer) =>
    a.step === answer.step && a.item === answer.item && a.attempt === answer.attempt;
  const old = f.answers.find(same);
  const says = (a: Answer) => `${a.answer} ${a.note ?? ''}`;
  const { before = [], ...was } = old ?? { before: undefined };
  const history =
    old === undefined
      ? []
      : says(old) === says(answer) && answer.reason === undefined
        ? before
        : [...before, was as Omit<Answer, 'before'>];
  return {
    ...f,
    answers: [
      ...f.answers.filter((a) => !same(a)),
      history.length > 0 ? { ...answer, before: history } : answer,
    ],
  };
}

/** What was said to be lacking at a step is said no more: it was read after all, or the step opened again. */
const ended = (lacking: Facts['lacking'], step: string, until: Stamp): Facts['lacking'] =>
  lacking.some((l) => l.step === step && !l.until)
    ? lacking.map((l) => (l.step === step && !l.until ? { ...l, until } : l))
    : lacking;

/** What an answer of yes loosens, if its question is one of loosening. */
const loosenedBy = (f: Facts, { step, item }: { step: string; item: string }): GateItem['loosens'] =>
  procedureFor(f.setup)
    .steps.find((x) => x.id === step)
    ?.items?.find((i) => i.id === item)?.loosens;

type Undoing = {
  /** The steps, or states, that were undone. */
  of: readonly string[];
  /** These themselves open again too; otherwise they have seen to it already. */
  self?: boolean;
  because: Text;
  stamp: Stamp;
  judging: Judging;
};

/**
 * Reopen every step that depends on what was undone, and those that depend on these. Where the start is among them the
 * machine had been handed over: whatever stands on its isolation is asked again as well.
 */
function undo(next: Facts, before: Facts, u: Undoing): Facts {
  const { steps } = procedureFor(before.setup);
  const undone = new Set(u.of);
  const passed = (step: string) => before.passes.some((p) => p.step === step);
  for (let grew = true; grew; ) {
    grew = false;
    for (const s of steps) {
      if (undone.has(s.id) || !s.standsOn?.some((x) => undone.has(x))) continue;
      undone.add(s.id);
      if (s.starts && passed(s.id)) undone.add(ISOLATION);
      grew = true;
    }
  }
  const title = steps.find((s) => u.of.includes(s.id))?.title ?? u.of[0] ?? '';
  let facts = next;
  for (const s of steps)
    if (undone.has(s.id) && (u.self || !u.of.includes(s.id)) && isBegun(facts, s.id))
      facts = openAgain(facts, s.id, expr`${title}: ${u.because}`, u.stamp, u.judging.then()[s.id]);
  return facts;
}

const isBegun = (f: Facts, step: string): boolean =>
  [f.passes, f.readings, f.answers, f.ticks].some((list) => list.some((x) => x.step === step));

/** What a step holds goes to its past; its pass falls, and a planned hold stands before it again. */
function openAgain(f: Facts, step: string, because: Text, s: Stamp, report?: StepReport): Facts {
  const here = <T extends { step: string }>(list: readonly T[]) => list.filter((x) => x.step === step);
  const elsewhere = <T extends { step: string }>(list: readonly T[]) => list.filter((x) => x.step !== step);
  const pulled = f.holds.some((h) => h.step === step && h.planned && h.released);
  return {
    ...f,
    past: [
      ...f.past,
      {
        ...s,
        step,
        because,
        readings: here(f.readings),
        answers: here(f.answers),
        ticks: here(f.ticks),
        deviations: here(f.deviations),
        passes: here(f.passes),
        findings: report?.findings ?? [],
        values: report?.values ?? null,
        before: report?.before ?? [],
      },
    ],
    readings: elsewhere(f.readings),
    answers: elsewhere(f.answers),
    ticks: elsewhere(f.ticks),
    deviations: elsewhere(f.deviations),
    passes: elsewhere(f.passes),
    repeats: elsewhere(f.repeats),
    lacking: ended(f.lacking, step, s),
    holds: pulled ? [...f.holds, planned(step, M.holdPointOpenedAgainWaits)] : f.holds,
  };
}
