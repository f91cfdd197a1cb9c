import type { JobEvent, JobEventOf } from '../api/events.ts';
import type { Finding } from '../calculators/result.ts';
import type { Deviation, Facts, Stamp } from './state.ts';

const stamp = (e: JobEvent): Stamp => ({ at: e.at, author: e.author });

/** Facts of a job that has just been opened. */
function open(e: JobEventOf<'job.opened'>): Facts {
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
    dismounted: [],
    deviations: [],
    holds: e.data.setup.holdBefore.map((step) => ({
      step,
      planned: true,
      reason: 'Hold point: waits for the lead hand.',
    })),
    passes: [],
    repeats: [],
    notes: [],
    fixedNamed: [],
    signed: null,
  };
}

/** One event laid on the facts. Events were admitted before; here they are only remembered. */
function lay(f: Facts, e: JobEvent): Facts {
  const s = stamp(e);
  switch (e.type) {
    case 'job.opened':
      return f;
    case 'setup.changed': {
      const kept = f.holds.filter(
        (h) => !h.planned || e.data.setup.holdBefore.some((step) => step === h.step),
      );
      const added = e.data.setup.holdBefore.filter((step) => !kept.some((h) => h.planned && h.step === step));
      return {
        ...f,
        setup: e.data.setup,
        setupChanges: [
          ...f.setupChanges,
          { ...s, id: e.id, before: f.setup, after: e.data.setup, reason: e.data.reason },
        ],
        holds: [
          ...kept,
          ...added.map((step) => ({ step, planned: true, reason: 'Hold point: waits for the lead hand.' })),
        ],
      };
    }
    case 'gate.answered':
      return {
        ...f,
        answers: [
          ...f.answers.filter(
            (a) => !(a.step === e.data.step && a.item === e.data.item && a.attempt === f.attempt),
          ),
          { ...s, id: e.id, ...e.data, attempt: f.attempt },
        ],
      };
    case 'reading.taken':
      return {
        ...f,
        readings: [
          ...f.readings,
          { ...s, id: e.id, ...e.data, attempt: f.attempt, round: roundOf(f, e.data.step) },
        ],
      };
    case 'measure.repeated':
      return {
        ...f,
        repeats: [...f.repeats, { ...s, id: e.id, ...e.data }],
        passes: f.passes.filter((p) => p.step !== e.data.step),
      };
    case 'reading.withdrawn':
      return {
        ...f,
        readings: f.readings.map((r) =>
          r.id === e.data.reading ? { ...r, withdrawn: { ...s, reason: e.data.reason } } : r,
        ),
        passes: reopened(f, e.data.reading),
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
            step: e.data.step ?? 'bolts',
            moved: e.data.moved ?? false,
            attempt: f.attempt,
            round: loosenedAt(f, e.data.step ?? 'bolts').length,
          },
        ],
      };
    case 'bolts.loosened':
      return {
        ...f,
        loosened: [
          ...f.loosened,
          { ...s, id: e.id, step: e.data.step ?? 'bolts', reason: e.data.reason, attempt: f.attempt },
        ],
        passes: f.passes.filter((p) => p.step !== (e.data.step ?? 'bolts')),
      };
    case 'step.passed':
      return {
        ...f,
        passes: [
          ...f.passes.filter((p) => p.step !== e.data.step),
          { ...s, step: e.data.step, attempt: f.attempt },
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
    case 'deviation.accepted':
      return { ...f, deviations: [...f.deviations, { ...s, id: e.id, ...e.data, attempt: f.attempt }] };
    case 'bearing.dismounted':
      return {
        ...f,
        attempt: f.attempt + 1,
        dismounted: [...f.dismounted, { ...s, id: e.id, reason: e.data.reason }],
      };
    case 'fixed.named':
      return { ...f, fixedNamed: [...f.fixedNamed, { ...s, ...e.data }] };
    case 'sheet.signed':
      return { ...f, signed: { ...s, name: e.data.name } };
    case 'note.added':
      return { ...f, notes: [...f.notes, { ...s, id: e.id, text: e.data.text }] };
  }
}

/** A withdrawn reading opens its step again: what was passed on it must be passed anew. */
function reopened(f: Facts, readingId: string): Facts['passes'] {
  const step = f.readings.find((r) => r.id === readingId)?.step;
  return f.passes.filter((p) => p.step !== step);
}

/** Fold events into facts; null before the job is opened. An event met twice (same id) counts once. */
export function gather(events: readonly JobEvent[]): Facts | null {
  const seen = new Set<string>();
  let facts: Facts | null = null;
  for (const e of events) {
    if (seen.has(e.id)) continue;
    seen.add(e.id);
    if (facts) facts = lay(facts, e);
    else if (e.type === 'job.opened') facts = open(e);
  }
  return facts;
}

/** Each time all bolts of a step were loosened. */
export const loosenedAt = (facts: Pick<Facts, 'loosened'>, step: string): Facts['loosened'] =>
  facts.loosened.filter((l) => l.step === step);

/** How often a step has been measured anew. */
export function roundOf(facts: Pick<Facts, 'repeats'>, step: string): number {
  return facts.repeats.filter((r) => r.step === step).length;
}

/** The facts as they stood in an earlier measuring of a step. */
export function inRound(facts: Facts, step: string, round: number): Facts {
  let seen = 0;
  return { ...facts, repeats: facts.repeats.filter((r) => r.step !== step || seen++ < round) };
}

/** Readings that stand: not withdrawn, of the latest measuring, of this attempt (or of any, for steps a dismounting does not reopen). */
export function standing(
  facts: Facts,
  step: string,
  attempt: number | 'any' = facts.attempt,
): Facts['readings'] {
  return facts.readings.filter(
    (r) =>
      r.step === step &&
      !r.withdrawn &&
      r.round === roundOf(facts, step) &&
      (attempt === 'any' || r.attempt === attempt),
  );
}

/** The standing reading at a place, if one was taken. */
export function readingAt(
  facts: Facts,
  step: string,
  place: string,
  attempt: number | 'any' = facts.attempt,
): Facts['readings'][number] | undefined {
  return standing(facts, step, attempt).find((r) => r.place === place);
}

/** The answer last given to a gate's item in this attempt (or in any). */
export function answerTo(
  facts: Facts,
  step: string,
  item: string,
  attempt: number | 'any' = facts.attempt,
): Facts['answers'][number] | undefined {
  return facts.answers.find(
    (a) => a.step === step && a.item === item && (attempt === 'any' || a.attempt === attempt),
  );
}

/**
 * The acceptance that covers a finding as it stands. Where a number in it has changed since, it is another finding and
 * wants a lead hand anew; the acceptance before stays on the record.
 */
export function acceptanceOf(facts: Facts, step: string, finding: Finding): Deviation | undefined {
  return facts.deviations.find(
    (d) => d.step === step && d.finding === finding.code && d.stands === finding.reason,
  );
}
