import type { JobEvent, JobEventOf } from '../api/events.ts';
import { type CapBoltValues, refuseBolt } from '../procedures/kinds/cap-bolts.ts';
import type { Procedure } from '../procedures/types.ts';
import { len } from '../quantities/say.ts';
import { standing } from './facts.ts';
import type { JobState, Place, StepReport, StepState } from './state.ts';

/** Why an event may not happen now, as a sentence; null where it may. */
export type Refusal = string | null;

/** Reports of the steps already reached, by id: what a kind needs to judge a place. */
const reports = (state: JobState): Record<string, StepReport> =>
  Object.fromEntries(state.steps.flatMap((s) => (s.report ? [[s.id, s.report]] : [])));

const find = (state: JobState, id: string): StepState | undefined => state.steps.find((s) => s.id === id);

/** The place behind a key at a step now, or why no reading may be taken there. */
export function placeAt(procedure: Procedure, state: JobState, step: string, key: string): Place | string {
  const definition = procedure.steps.find((s) => s.id === step);
  return definition?.kind.place?.(state, definition, key, reports(state)) ?? 'That step takes no readings.';
}

/** The step must be the present one, with no pin through it. */
function refuseStep(state: JobState, id: string): Refusal {
  const step = find(state, id);
  if (!step) return `There is no step “${id}” in this job.`;
  if (step.status === 'done') return `“${step.title}” is passed. Withdraw a reading there to open it again.`;
  if (step.status === 'closed') return `“${step.title}” is not open yet: ${step.because ?? ''}`;
  if (step.hold && !step.hold.released)
    return `“${step.title}” is held: ${step.hold.reason} A lead hand releases it.`;
  return null;
}

/**
 * May this event happen to a job in this state? The browser asks before it stores, the server before it accepts.
 * `state` is null for a job not yet opened.
 */
export function admit(procedure: Procedure, state: JobState | null, e: JobEvent): Refusal {
  if (e.author.role === 'viewer') return 'A viewer reads; only fitters and lead hands record.';
  if (!state) return e.type === 'job.opened' ? null : 'This job is not opened yet.';
  if (e.type === 'job.opened') return 'This job is open already.';
  if (state.signed && e.type !== 'note.added') return 'The sheet is signed: only notes can be added.';
  switch (e.type) {
    case 'setup.changed':
    case 'note.added':
      return null;
    case 'gate.answered':
      return refuseAnswer(procedure, state, e);
    case 'reading.taken':
      return refuseReading(procedure, state, e);
    case 'reading.withdrawn':
      return refuseWithdrawal(state, e);
    case 'bolt.tightened': {
      const shut = refuseStep(state, 'bolts');
      return (
        shut ??
        refuseBolt(
          state,
          find(state, 'bolts')?.report?.values as CapBoltValues,
          e.data.pass,
          e.data.bolt,
          e.data.torqueNm,
        )
      );
    }
    case 'bolts.loosened':
      return state.ticks.length > 0 ? null : 'No bolt is tight yet.';
    case 'step.passed': {
      const shut = refuseStep(state, e.data.step);
      if (shut) return shut;
      if (e.data.step === 'sign') return 'The last step is passed by signing.';
      const first = find(state, e.data.step)?.blocking[0];
      return first ? `Not yet: ${first.reason}` : null;
    }
    case 'step.held': {
      const step = find(state, e.data.step);
      if (!step) return `There is no step “${e.data.step}” in this job.`;
      if (step.status === 'done') return `“${step.title}” is passed; hold a later step.`;
      return step.hold && !step.hold.released ? `“${step.title}” is held already.` : null;
    }
    case 'step.released': {
      const step = find(state, e.data.step);
      if (e.author.role !== 'lead') return 'Only a lead hand releases a hold.';
      return step?.hold && !step.hold.released ? null : 'Nothing holds this step.';
    }
    case 'deviation.accepted':
      return refuseDeviation(state, e);
    case 'bearing.dismounted':
      return standing(state, 'driveup').length > 0
        ? null
        : 'The bearing is not on its taper yet: nothing to dismount.';
    case 'sheet.signed':
      return refuseStep(state, 'sign');
  }
}

function refuseAnswer(procedure: Procedure, state: JobState, e: JobEventOf<'gate.answered'>): Refusal {
  const step = procedure.steps.find((s) => s.id === e.data.step);
  if (!step?.items?.some((i) => i.id === e.data.item)) return 'There is no such question in this job.';
  return refuseStep(state, e.data.step);
}

function refuseReading(procedure: Procedure, state: JobState, e: JobEventOf<'reading.taken'>): Refusal {
  const step = procedure.steps.find((s) => s.id === e.data.step);
  if (!step?.kind.place) return 'That step takes no readings.';
  const shut = refuseStep(state, step.id);
  if (shut) return shut;
  const place = step.kind.place(state, step, e.data.place, reports(state));
  if (typeof place === 'string') return place;
  if (e.data.value < place.low || e.data.value > place.high) {
    return place.kind === 'angle'
      ? `${e.data.value.toFixed(1)}° is not believable here: ${place.low.toFixed(0)}° to ${place.high.toFixed(0)}°, and forward only.`
      : `${len(e.data.value)} is not believable here: ${len(place.low)} to ${len(place.high)}. Check the unit.`;
  }
  const { instrument } = e.data;
  if (instrument.kind !== place.instrumentKind)
    return `This place is read with a ${place.instrumentKind}, not with ${instrument.name}.`;
  const reach = place.kind === 'diameter' ? 0.5 : 0; // a micrometer closes a little past its scale
  if (
    instrument.kind !== 'feeler' &&
    (e.data.value < instrument.low - reach || e.data.value > instrument.high + reach)
  ) {
    return `${instrument.name} does not reach there: it reads ${len(instrument.low, 0)} to ${len(instrument.high, 0)}.`;
  }
  return null;
}

function refuseWithdrawal(state: JobState, e: JobEventOf<'reading.withdrawn'>): Refusal {
  const reading = state.readings.find((r) => r.id === e.data.reading);
  if (!reading) return 'There is no such reading in this job.';
  if (reading.withdrawn) return 'That reading is withdrawn already.';
  const step = find(state, reading.step);
  return step?.status === 'closed' ? `“${step.title}” is not open.` : null;
}

function refuseDeviation(state: JobState, e: JobEventOf<'deviation.accepted'>): Refusal {
  if (e.author.role !== 'lead') return 'Only a lead hand accepts a deviation.';
  const step = find(state, e.data.step);
  const finding = step?.report?.findings.find((f) => f.code === e.data.finding);
  if (!step || !finding) return 'There is no such finding at that step now.';
  if (!step.blocking.includes(finding)) return 'That finding does not stand in the way.';
  if (e.data.stands !== finding.reason)
    return 'That finding has changed since it was read. Read it again, then decide.';
  return finding.acceptable ? null : 'This cannot be accepted by a signature; it must be put right.';
}
