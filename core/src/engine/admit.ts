import { object } from 'yup';
import type { Instrument } from '../instruments/instrument.ts';
import { gaugeKind } from '../instruments/kinds.ts';
import { quantityOf, sayReading } from '../instruments/quantity.ts';
import { check } from '../judgement/sentences.ts';
import { len } from '../quantities/say.ts';
import { canLack, comesBefore, isSettled } from './answers.ts';
import { records, roleSaid } from './author.ts';
import type { JobEvent, JobEventOf } from './events.ts';
import { answered, standing } from './facts.ts';
import { unsaidHere } from './here.ts';
import { mayLack } from './lacking.ts';
import { sameParams } from './params.ts';
import { find, type Refusal } from './refusal.ts';
import { refuseChange, refuseLook, refuseOpening } from './refuse-setup.ts';
import { checksLeft, isRunning, refuseWhileRunning } from './running.ts';
import type { Said } from './said.ts';
import type { JobState, Place, StepReport } from './state.ts';
import type { GateItem, StepDefinition } from './step.ts';
import { actOn, signingStep, signsAt, stepOf } from './trades.ts';
import { unseenAtSignature, unseenSoFar } from './unseen.ts';

const NO_PARAMS = object({}).noUnknown();

/** Reports of the steps already reached, by id: what a kind needs to judge a place. */
const reports = (state: JobState): Record<string, StepReport> =>
  Object.fromEntries(state.steps.flatMap((s) => (s.report ? [[s.id, s.report]] : [])));

/** The place behind a key at a step now, or why no reading may be taken there. */
export function placeAt(state: JobState, step: string, key: string): Place | string {
  const definition = stepOf(state, step);
  const unsaid = definition && unsaidHere(state, definition);
  if (unsaid) return unsaid;
  try {
    return definition?.kind.place?.(state, definition, key, reports(state)) ?? 'That step takes no readings.';
  } catch (fault) {
    return fault instanceof RangeError ? fault.message : 'What stands at this step does not go together.';
  }
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
export function admit(state: JobState | null, e: JobEvent): Refusal {
  try {
    return refusalOf(state, e);
  } catch (fault) {
    if (!(fault instanceof RangeError))
      return 'What stands at this step does not go together: look at the setup.';
    return `What stands at this step does not go together: ${fault.message}`;
  }
}

function refusalOf(state: JobState | null, e: JobEvent): Refusal {
  if (!records(e.author.role)) return `${roleSaid(e.author.role)} reads; only fitters and lead hands record.`;
  if (!state) return e.type === 'job.opened' ? refuseOpening(e) : 'This job is not opened yet.';
  if (e.type === 'job.opened') return 'This job is open already.';
  if (state.cancelled && e.type !== 'note.added')
    return 'This job was cancelled: nothing more is done to it. Open a new one.';
  if (state.signed && e.type !== 'note.added' && e.type !== 'sheet.reopened')
    return 'The sheet is signed: notes can be added; a correction opens a revision, with its reason.';
  const running = refuseWhileRunning(state, e);
  if (running) return running;
  switch (e.type) {
    case 'note.added':
      return null;
    case 'photo.added':
      return refusePhoto(state, e);
    case 'job.cancelled':
      return refuseCancelling(state, e);
    case 'setup.changed':
      return refuseChange(state, e);
    case 'change.seen':
      return refuseLook(state, e);
    case 'sheet.reopened':
      return refuseRevision(state, e);
    case 'measure.repeated':
      return refuseRepeat(state, e);
    case 'gate.answered':
      return refuseAnswer(state, e);
    case 'answer.corrected':
      return refuseCorrection(state, e);
    case 'reading.taken':
      return refuseReading(state, e);
    case 'number.lacking':
      return refuseLacking(state, e);
    case 'reading.withdrawn':
      return refuseWithdrawal(state, e);
    case 'bolt.tightened':
      return refuseTick(state, e);
    case 'bolts.loosened':
      return state.ticks.some((t) => t.step === e.data.step) ? null : 'No bolt is tight yet.';
    case 'step.passed': {
      const shut = refuseStep(state, e.data.step);
      if (shut) return shut;
      if (signsAt(state.setup, e.data.step)) return 'The last step is passed by signing.';
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
    case 'act.done':
      return refuseAct(state, e);
    case 'sheet.signed':
      return (
        refuseSignature(e) ??
        (e.data.running ? refuseRunning(state) : refuseStep(state, signingStep(state.setup))) ??
        refuseUnseen(state)
      );
  }
}

/** An act the job knows, at its step where it has one, with the parameters and the reason it asks for. */
function refuseAct(state: JobState, e: JobEventOf<'act.done'>): Refusal {
  const { params = {}, reason } = e.data;
  const act = actOn(state.setup, e.data.act);
  if (!act) return 'There is nothing of the kind to be done on this job.';
  const shut = act.step === undefined ? null : refuseStep(state, act.step);
  if (shut) return shut;
  if (act.words && (reason ?? '').length < 3) return 'A reason takes a few words.';
  const checked = check(act.params ?? NO_PARAMS, params);
  return checked.ok ? act.may(state, params) : (checked.faults[0]?.message ?? 'That is not how it is told.');
}

/** A question of a step as it can be answered now, its own or one that stands beside them. */
const questionAt = (state: JobState, step: StepDefinition | undefined, id: string): GateItem | undefined =>
  (step?.items ?? []).find((i) => i.id === id) ??
  (step && find(state, step.id)?.report?.also?.find((i) => i.id === id));

/** What is wrong with an answer as such, whenever it is given. */
function refuseWords(item: GateItem, { answer, note }: { answer: Said; note?: string | undefined }): Refusal {
  if (item.note && !note?.trim()) return 'Write down what was seen; a word or two will do.';
  if (answer !== 'none') return null;
  if (!canLack(item)) return 'This question is never skipped: answer OK or not OK.';
  return note?.trim() ? null : 'Why does it not apply? A word or two will do.';
}

/** An answer that was passed is corrected with a reason; one that is still open is simply answered anew. */
function refuseCorrection(state: JobState, e: JobEventOf<'answer.corrected'>): Refusal {
  const definition = stepOf(state, e.data.step);
  const item = questionAt(state, definition, e.data.item);
  const step = find(state, e.data.step);
  if (!definition || !item || !step) return 'There is no such question in this job.';
  const given = state.answers.find((a) => a.step === step.id && a.item === item.id);
  if (!given) return 'That question was not answered yet: answer it at its step.';
  if (step.status !== 'done' && !step.kept) return 'That step is open: answer the question anew.';
  return refuseWords(item, e.data);
}

function refuseAnswer(state: JobState, e: JobEventOf<'gate.answered'>): Refusal {
  const step = stepOf(state, e.data.step);
  const item = questionAt(state, step, e.data.item);
  if (!step || !item) return 'There is no such question in this job.';
  if (!step.items?.includes(item)) return refuseWords(item, e.data) ?? refuseStep(state, step.id);
  if (step.kind.asks && !step.kind.asks(state, step).some((i) => i.id === item.id))
    return 'That is not asked now.';
  const first = e.data.answer === 'yes' ? comesBefore(find(state, step.id), item) : null;
  if (first) return `First what comes before it. ${first.reason} ${first.remedy ?? ''}`.trim();
  const above = step.inOrder && e.data.answer !== 'no' ? firstOpenAbove(state, step, item.id) : null;
  if (above) return `First: ${above.ask}`;
  return refuseWords(item, e.data) ?? refuseStep(state, e.data.step);
}

/** The first question above one that is still to be answered, of a step whose questions keep their order. */
function firstOpenAbove(state: JobState, step: StepDefinition, id: string): GateItem | null {
  for (const { item, answer } of answered(state, step)) {
    if (item.id === id) return null;
    if (!isSettled(answer, item)) return item;
  }
  return null;
}

function refuseTick(state: JobState, e: JobEventOf<'bolt.tightened'>): Refusal {
  const id = e.data.step;
  const step = stepOf(state, id);
  if (!step?.kind.bolt) return 'No bolts are tightened at that step.';
  return (
    refuseStep(state, id) ??
    unsaidHere(state, step) ??
    step.kind.bolt(state, step, find(state, id)?.report ?? null, e.data) ??
    (e.data.torqueNm === 0 || showsTorque(e.data.instrument, e.data.torqueNm)
      ? null
      : `${e.data.instrument.name} does not reach there: it reads ${sayRange(e.data.instrument)}.`)
  );
}

/** Under a quarter of where its scale begins, or over its end, a wrench shows nothing. */
export const showsTorque = (i: Instrument, nm: number): boolean => nm <= i.high && nm >= i.low / 4;

function refuseReading(state: JobState, e: JobEventOf<'reading.taken'>): Refusal {
  const step = stepOf(state, e.data.step);
  if (!step?.kind.place) return 'That step takes no readings.';
  const shut = refuseStep(state, step.id) ?? unsaidHere(state, step);
  if (shut) return shut;
  const place = step.kind.place(state, step, e.data.place, reports(state));
  if (typeof place === 'string') return place;
  const untimely = refuseTime(state, e);
  if (untimely) return untimely;
  if (e.data.value < place.low || e.data.value > place.high) {
    const say = (v: number) => sayReading(place.instrumentKinds[0] ?? 'caliper', v);
    return place.quantity === 'angle'
      ? `${e.data.value.toFixed(1)}° is not believable here: ${place.low.toFixed(0)}° to ${place.high.toFixed(0)}°${place.low >= 0 && place.high !== 360 ? ', and forward only' : ''}.`
      : `${say(e.data.value)} is not believable here: ${say(place.low)} to ${say(place.high)}. Check the unit.`;
  }
  const { instrument } = e.data;
  if (!place.instrumentKinds.includes(instrument.kind))
    return `This place is read with a ${place.instrumentKinds.map((k) => gaugeKind(k).name).join(' or a ')}, not with ${instrument.name}.`;
  return reaches(instrument, e.data.value)
    ? null
    : `${instrument.name} does not reach there: it reads ${sayRange(instrument)}.`;
}

/** A number is said to be lacking at the present step, where it may be. */
function refuseLacking(state: JobState, e: JobEventOf<'number.lacking'>): Refusal {
  const step = stepOf(state, e.data.step);
  if (!step || (!step.kind.place && !step.kind.bolt)) return 'That step asks for no number.';
  const shut = refuseStep(state, step.id);
  if (shut) return shut;
  if (mayLack(step).length === 0)
    return 'This number is the safety limit, or the work itself: it has to be there.';
  return mayLack(step).includes(e.data.why) ? null : 'That is not said of this step.';
}

/** Photographs a job holds. */
const PHOTOS_MOST = 200;

function refusePhoto(state: JobState, e: JobEventOf<'photo.added'>): Refusal {
  if (!find(state, e.data.step)) return 'There is no such step.';
  if (state.photos.some((p) => p.hash === e.data.hash && p.step === e.data.step))
    return 'That photograph is at this step already.';
  return state.photos.length >= PHOTOS_MOST ? `A job holds ${PHOTOS_MOST} photographs.` : null;
}

/** What the places of a row begin with: `t/` of `t/3`; a place of no row is its own. */
const rowOfPlace = (place: string): string => place.replace(/\d+$/, '');

/** A reading may be told later than it was read, where the step keeps times: after what was read before it in its row, never ahead of now. */
function refuseTime(state: JobState, e: JobEventOf<'reading.taken'>): Refusal {
  const { readAt, step } = e.data;
  if (readAt === undefined) return null;
  if (find(state, step)?.report?.dueAt === undefined)
    return 'Only a step that keeps times takes a reading made earlier: here it counts from when it is entered.';
  const at = Date.parse(readAt);
  if (at > Date.parse(e.at)) return 'That time has not come yet.';
  const before = Math.max(
    Date.parse(state.opened.at),
    ...standing(state, step, 'any')
      .filter((r) => rowOfPlace(r.place) === rowOfPlace(e.data.place))
      .map((r) => Date.parse(r.at)),
  );
  return at < before
    ? 'It was read after the reading before it: the times go on, never back. Withdraw the later one to enter one in between.'
    : null;
}

/** The range of a gauge in words, whole millimetres for lengths. */
const sayRange = (i: Instrument): string =>
  quantityOf(i.kind) === 'length'
    ? `${len(i.low, 0)} to ${len(i.high, 0)}`
    : `${sayReading(i.kind, i.low)} to ${sayReading(i.kind, i.high)}`;

/** Does a gauge's range take in a value? */
export function reaches(instrument: Instrument, value: number): boolean {
  const own = gaugeKind(instrument.kind).reaches;
  return own ? own(instrument, value) : value >= instrument.low && value <= instrument.high;
}

/** Only a step that measures, was reached, and has something measured can be measured anew. */
function refuseRepeat(state: JobState, e: JobEventOf<'measure.repeated'>): Refusal {
  const step = find(state, e.data.step);
  if (!step || !stepOf(state, e.data.step)?.kind.repeats) return 'That step is not one to measure anew.';
  if (step.status === 'closed') return `“${step.title}” is not open yet: ${step.because ?? ''}`;
  if (step.hold && !step.hold.released) return `“${step.title}” is held: ${step.hold.reason}`;
  return standing(state, e.data.step, 'any').length > 0 ? null : 'Nothing is measured there yet.';
}

function refuseWithdrawal(state: JobState, e: JobEventOf<'reading.withdrawn'>): Refusal {
  const reading = [...state.readings, ...state.ticks].find((r) => r.id === e.data.reading);
  if (!reading) return 'There is no such reading in this job.';
  if (reading.withdrawn) return 'That reading is withdrawn already.';
  const step = find(state, reading.step);
  return step?.status === 'closed' ? `“${step.title}” is not open.` : null;
}

/** A job opened by mistake is cancelled by who opened it until something is read or tightened; after that by a lead hand. */
function refuseCancelling(state: JobState, e: JobEventOf<'job.cancelled'>): Refusal {
  if (e.author.role === 'lead') return null;
  if (state.readings.length + state.ticks.length + state.past.length > 0)
    return 'Something is recorded already: a lead hand cancels it.';
  return e.author.id === state.opened.author.id
    ? null
    : `Only ${state.opened.author.name}, who opened it, or a lead hand cancels it.`;
}

/** A signed sheet is opened again by who signed it, or by a lead hand. */
function refuseRevision(state: JobState, e: JobEventOf<'sheet.reopened'>): Refusal {
  const signature = state.signed ?? state.running;
  if (!signature) return 'The sheet is not signed: it can be corrected as it is.';
  return e.author.role === 'lead' || e.author.id === signature.author.id
    ? null
    : `Only ${signature.author.name}, who signed it, or a lead hand opens a revision.`;
}

/** One spelling of a name: case, accents' composition and doubled spaces aside. */
const spelled = (name: string): string =>
  name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');

/** A signature is that of the person signed in, and no other's. */
function refuseSignature(e: JobEventOf<'sheet.signed'>): Refusal {
  return spelled(e.data.name) === spelled(e.author.name)
    ? null
    : `Sign with your own name: ${e.author.name} is signed in. Somebody else signs in first to sign.`;
}

/** A sheet is signed as running once the machine runs and only its timed checks are still to come. */
function refuseRunning(state: JobState): Refusal {
  if (isRunning(state)) return 'The sheet is signed as running already; the last check closes it.';
  return checksLeft(state).length > 0
    ? null
    : 'A sheet is signed as running once the machine runs and only its timed checks are still to come.';
}

/** The signature waits where a stop was lifted or struck and nobody else has looked. */
function refuseUnseen(state: JobState): Refusal {
  const [waits] = unseenAtSignature(
    unseenSoFar(
      state,
      state.steps.map((s) => s.report),
    ),
  );
  return waits ? `${waits.reason} ${waits.remedy ?? ''}`.trim() : null;
}

/** Something a lead hand may be asked to accept. */
const isOver = (f: { verdict: string }) => f.verdict === 'reject' || f.verdict === 'too-close';

function refuseDeviation(state: JobState, e: JobEventOf<'deviation.accepted'>): Refusal {
  if (e.author.role !== 'lead') return 'Only a lead hand accepts a deviation.';
  const step = find(state, e.data.step);
  const finding = step?.report?.findings.find((f) => f.code === e.data.finding);
  if (!step || !finding) return 'There is no such finding at that step now.';
  const stands = step.blocking.includes(finding) || (step.open.includes(finding) && isOver(finding));
  if (!stands) return 'That finding does not stand in the way.';
  // A device with an older page says no parameters: what it accepts is the finding of this code as it stands.
  if (e.data.params !== undefined && !sameParams(e.data.params, finding.params))
    return 'That finding has changed since it was read. Read it again, then decide.';
  return finding.acceptable ? null : 'This cannot be accepted by a signature; it must be put right.';
}
