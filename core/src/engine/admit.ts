import { object } from 'yup';
import type { Instrument } from '../instruments/instrument.ts';
import { gaugeKind } from '../instruments/kinds.ts';
import { sayReading } from '../instruments/quantity.ts';
import { reaches, sayReach } from '../instruments/reach.ts';
import { check } from '../judgement/sentences.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import { isText, listOf } from '../message/message.ts';
import { saidBy } from '../quantities/message-error.ts';
import { canLack, comesBefore, isSettled } from './answers.ts';
import { roleSaid } from './author.ts';
import { belowSite } from './below-site.ts';
import type { JobEvent, JobEventOf } from './events.ts';
import { acceptanceOf, answered, standing } from './facts.ts';
import { unsaidHere } from './here.ts';
import { mayLack } from './lacking.ts';
import { M } from './messages.ts';
import { sameParams } from './params.ts';
import { find, type Refusal } from './refusal.ts';
import { refuseChange, refuseLook, refuseOpening } from './refuse-setup.ts';
import { records } from './roles.ts';
import { checksLeft, isRunning, refuseWhileRunning } from './running.ts';
import type { Said } from './said.ts';
import type { JobState, Place, StepReport } from './state.ts';
import type { BoltTry, GateItem, StepDefinition } from './step.ts';
import { actOn, signingStep, signsAt, stepOf } from './trades.ts';
import { unseenAtSignature, unseenSoFar } from './unseen.ts';

const NO_PARAMS = object({}).noUnknown();

/** Reports of the steps already reached, by id: what a kind needs to judge a place. */
const reports = (state: JobState): Record<string, StepReport> =>
  Object.fromEntries(state.steps.flatMap((s) => (s.report ? [[s.id, s.report]] : [])));

/** The place behind a key at a step now, or why no reading may be taken there. */
export function placeAt(state: JobState, step: string, key: string): Place | Text {
  const definition = stepOf(state, step);
  const unsaid = definition && unsaidHere(state, definition);
  if (unsaid) return unsaid;
  try {
    return definition?.kind.place?.(state, definition, key, reports(state)) ?? M.stepTakesNoReadings;
  } catch (fault) {
    return fault instanceof RangeError ? saidBy(fault) : M.whatStandsStepDoesNot;
  }
}

/** The step must be the present one, with no pin through it. */
function refuseStep(state: JobState, id: string): Refusal {
  const step = find(state, id);
  if (!step) return M.thereNoStepJob({ id });
  if (step.status === 'done') return M.passedWithdrawReadingThereOpen({ title: step.title });
  if (step.status === 'closed') return M.notOpenYet({ title: step.title, because: step.because ?? '' });
  if (step.hold && !step.hold.released)
    return M.heldLeadHandReleases({ title: step.title, reason: step.hold.reason });
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
    if (!(fault instanceof RangeError)) return M.whatStandsStepDoesNot2;
    return M.whatStandsStepDoesNot3({ message: saidBy(fault) });
  }
}

function refusalOf(state: JobState | null, e: JobEvent): Refusal {
  if (!records(e.author.role)) return M.readsOnlyFittersLeadHands({ roleSaid: roleSaid(e.author.role) });
  if (!state) return e.type === 'job.opened' ? refuseOpening(e) : M.jobNotOpenedYet;
  if (e.type === 'job.opened') return M.jobOpenAlready;
  if (state.cancelled && e.type !== 'note.added') return M.jobCancelledNothingMoreDone;
  if (state.signed && e.type !== 'note.added' && e.type !== 'sheet.reopened')
    return M.sheetSignedNotesCanAdded;
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
    case 'bolts.tightened': {
      const { bolts, ...told } = e.data;
      return refuseTick(state, { ...e, data: { ...told, bolt: bolts[0] ?? 0, all: bolts } });
    }
    case 'bolts.loosened':
      return state.ticks.some((t) => t.step === e.data.step) ? null : M.noBoltTightYet;
    case 'step.passed': {
      const shut = refuseStep(state, e.data.step);
      if (shut) return shut;
      if (signsAt(state.setup, e.data.step)) return M.lastStepPassedSigning;
      const first = find(state, e.data.step)?.blocking[0];
      return first ? COMMON.notYet({ reason: first.reason }) : null;
    }
    case 'step.held': {
      const step = find(state, e.data.step);
      if (!step) return M.thereNoStepJob2({ step: e.data.step });
      if (step.status === 'done') return M.passedHoldLaterStep({ title: step.title });
      return step.hold && !step.hold.released ? M.heldAlready({ title: step.title }) : null;
    }
    case 'step.released': {
      const step = find(state, e.data.step);
      if (e.author.role !== 'lead') return M.onlyLeadHandReleasesHold;
      return step?.hold && !step.hold.released ? null : M.nothingHoldsStep;
    }
    case 'deviation.accepted':
      return refuseDeviation(state, e);
    case 'act.done':
      return refuseAct(state, e);
    case 'sheet.signed':
      return (
        refuseSignature(e) ??
        (e.data.running ? refuseRunning(state) : refuseStep(state, signingStep(state.setup))) ??
        refuseUnseen(state) ??
        refuseShallow(state)
      );
  }
}

/** An act the job knows, at its step where it has one, with the parameters and the reason it asks for. */
function refuseAct(state: JobState, e: JobEventOf<'act.done'>): Refusal {
  const { params = {}, reason } = e.data;
  const act = actOn(state.setup, e.data.act);
  if (!act) return M.thereNothingKindDoneJob;
  const shut = act.step === undefined ? null : refuseStep(state, act.step);
  if (shut) return shut;
  if (act.words && (reason ?? '').length < 3) return COMMON.reasonTakesFewWords;
  const checked = check(act.params ?? NO_PARAMS, params);
  return checked.ok ? act.may(state, params) : (checked.faults[0]?.message ?? M.notHowTold);
}

/** A question of a step as it can be answered now, its own or one that stands beside them. */
const questionAt = (state: JobState, step: StepDefinition | undefined, id: string): GateItem | undefined =>
  (step?.items ?? []).find((i) => i.id === id) ??
  (step && find(state, step.id)?.report?.also?.find((i) => i.id === id));

/** What is wrong with an answer as such, whenever it is given. */
function refuseWords(item: GateItem, { answer, note }: { answer: Said; note?: string | undefined }): Refusal {
  if (item.note && !note?.trim()) return COMMON.writeDownWhatSeenWord;
  if (answer !== 'none') return null;
  if (!canLack(item)) return M.questionNeverSkippedAnswerOk;
  return note?.trim() ? null : COMMON.whyDoesNotApplyWord;
}

/** An answer that was passed is corrected with a reason; one that is still open is simply answered anew. */
function refuseCorrection(state: JobState, e: JobEventOf<'answer.corrected'>): Refusal {
  const definition = stepOf(state, e.data.step);
  const item = questionAt(state, definition, e.data.item);
  const step = find(state, e.data.step);
  if (!definition || !item || !step) return M.thereNoSuchQuestionJob;
  const given = state.answers.find((a) => a.step === step.id && a.item === item.id);
  if (!given) return M.questionNotAnsweredYetAnswer;
  if (step.status !== 'done' && !step.kept) return M.stepOpenAnswerQuestionAnew;
  return refuseWords(item, e.data);
}

function refuseAnswer(state: JobState, e: JobEventOf<'gate.answered'>): Refusal {
  const step = stepOf(state, e.data.step);
  const item = questionAt(state, step, e.data.item);
  if (!step || !item) return M.thereNoSuchQuestionJob;
  if (!step.items?.includes(item)) return refuseWords(item, e.data) ?? refuseStep(state, step.id);
  if (step.kind.asks && !step.kind.asks(state, step).some((i) => i.id === item.id)) return M.notAskedNow;
  const first = e.data.answer === 'yes' ? comesBefore(find(state, step.id), item) : null;
  if (first)
    return listOf(
      [M.firstWhatComesBefore({ reason: first.reason }), ...(first.remedy ? [first.remedy] : [])],
      ' ',
    );
  const above = step.inOrder && e.data.answer !== 'no' ? firstOpenAbove(state, step, item.id) : null;
  if (above) return M.first({ ask: above.ask });
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

/** One bolt, or what is left of its pass. */
type Tightened = { data: BoltTry & { step: string; instrument: Instrument } };

function refuseTick(state: JobState, e: Tightened): Refusal {
  const id = e.data.step;
  const step = stepOf(state, id);
  if (!step?.kind.bolt) return M.noBoltsTightenedStep;
  return (
    refuseStep(state, id) ??
    unsaidHere(state, step) ??
    step.kind.bolt(state, step, find(state, id)?.report ?? null, e.data) ??
    (e.data.torqueNm === 0 || showsTorque(e.data.instrument, e.data.torqueNm)
      ? null
      : sayReach(e.data.instrument))
  );
}

/** Under a quarter of where its scale begins, or over its end, a wrench shows nothing. */
export const showsTorque = (i: Instrument, nm: number): boolean => nm <= i.high && nm >= i.low / 4;

function refuseReading(state: JobState, e: JobEventOf<'reading.taken'>): Refusal {
  const step = stepOf(state, e.data.step);
  if (!step?.kind.place) return M.stepTakesNoReadings;
  const shut = refuseStep(state, step.id) ?? unsaidHere(state, step);
  if (shut) return shut;
  const place = step.kind.place(state, step, e.data.place, reports(state));
  if (isText(place)) return place;
  const untimely = refuseTime(state, e);
  if (untimely) return untimely;
  if (e.data.value < place.low || e.data.value > place.high) {
    const say = (v: number) => sayReading(place.instrumentKinds[0] ?? 'caliper', v);
    return place.quantity === 'angle'
      ? M.notBelievableHere({
          value: e.data.value.toFixed(1),
          low: place.low.toFixed(0),
          high: place.high.toFixed(0),
          low2: place.low >= 0 && place.high !== 360 ? 'forwardOnly' : 'none',
        })
      : M.notBelievableHereCheckUnit({
          value: say(e.data.value),
          low: say(place.low),
          high: say(place.high),
        });
  }
  const { instrument } = e.data;
  if (!place.instrumentKinds.includes(instrument.kind))
    return M.placeReadNot({
      instrumentKinds: listOf(
        place.instrumentKinds.map((k) => gaugeKind(k).name),
        ' or a ',
      ),
      name: instrument.name,
    });
  return reaches(instrument, e.data.value) ? null : sayReach(instrument);
}

/** A number is said to be lacking at the present step, where it may be. */
function refuseLacking(state: JobState, e: JobEventOf<'number.lacking'>): Refusal {
  const step = stepOf(state, e.data.step);
  if (!step || (!step.kind.place && !step.kind.bolt)) return M.stepAsksNoNumber;
  const shut = refuseStep(state, step.id);
  if (shut) return shut;
  if (mayLack(step).length === 0) return M.numberSafetyLimitWorkItself;
  return mayLack(step).includes(e.data.why) ? null : M.notSaidStep;
}

/** Photographs a job holds. */
const PHOTOS_MOST = 200;

function refusePhoto(state: JobState, e: JobEventOf<'photo.added'>): Refusal {
  if (!find(state, e.data.step)) return M.thereNoSuchStep;
  if (state.photos.some((p) => p.hash === e.data.hash && p.step === e.data.step))
    return M.photographStepAlready;
  return state.photos.length >= PHOTOS_MOST ? M.jobHoldsPhotographs({ photosMost: PHOTOS_MOST }) : null;
}

/** What the places of a row begin with: `t/` of `t/3`; a place of no row is its own. */
const rowOfPlace = (place: string): string => place.replace(/\d+$/, '');

/** A reading may be told later than it was read, where the step keeps times: after what was read before it in its row, never ahead of now. */
function refuseTime(state: JobState, e: JobEventOf<'reading.taken'>): Refusal {
  const { readAt, step } = e.data;
  if (readAt === undefined) return null;
  if (find(state, step)?.report?.dueAt === undefined) return M.onlyStepKeepsTimesTakes;
  const at = Date.parse(readAt);
  if (at > Date.parse(e.at)) return M.timeHasNotComeYet;
  const before = Math.max(
    Date.parse(state.opened.at),
    ...standing(state, step, 'any')
      .filter((r) => rowOfPlace(r.place) === rowOfPlace(e.data.place))
      .map((r) => Date.parse(r.at)),
  );
  return at < before ? M.readAfterReadingBeforeTimes : null;
}

/** Only a step that measures, was reached, and has something measured can be measured anew. */
function refuseRepeat(state: JobState, e: JobEventOf<'measure.repeated'>): Refusal {
  const step = find(state, e.data.step);
  if (!step || !stepOf(state, e.data.step)?.kind.repeats) return M.stepNotOneMeasureAnew;
  if (step.status === 'closed') return M.notOpenYet({ title: step.title, because: step.because ?? '' });
  if (step.hold && !step.hold.released) return M.held({ title: step.title, reason: step.hold.reason });
  return standing(state, e.data.step, 'any').length > 0 ? null : M.nothingMeasuredThereYet;
}

function refuseWithdrawal(state: JobState, e: JobEventOf<'reading.withdrawn'>): Refusal {
  const reading = [...state.readings, ...state.ticks].find((r) => r.id === e.data.reading);
  if (!reading) return M.thereNoSuchReadingJob;
  if (reading.withdrawn) return M.readingWithdrawnAlready;
  const step = find(state, reading.step);
  return step?.status === 'closed' ? M.notOpen({ title: step.title }) : null;
}

/** A job opened by mistake is cancelled by who opened it until something is read or tightened; after that by a lead hand. */
function refuseCancelling(state: JobState, e: JobEventOf<'job.cancelled'>): Refusal {
  if (e.author.role === 'lead') return null;
  if (state.readings.length + state.ticks.length + state.past.length > 0)
    return M.somethingRecordedAlreadyLeadHand;
  return e.author.id === state.opened.author.id
    ? null
    : M.onlyWhoOpenedLeadHand({ name: state.opened.author.name });
}

/** A signed sheet is opened again by who signed it, or by a lead hand. */
function refuseRevision(state: JobState, e: JobEventOf<'sheet.reopened'>): Refusal {
  const signature = state.signed ?? state.running;
  if (!signature) return M.sheetNotSignedCanCorrected;
  return e.author.role === 'lead' || e.author.id === signature.author.id
    ? null
    : M.onlyWhoSignedLeadHand({ name: signature.author.name });
}

/** One spelling of a name: case, accents' composition and doubled spaces aside. */
const spelled = (name: string): string =>
  name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');

/** A signature is that of the person signed in, and no other's. */
function refuseSignature(e: JobEventOf<'sheet.signed'>): Refusal {
  return spelled(e.data.name) === spelled(e.author.name)
    ? null
    : M.signYourOwnNameSigned({ name: e.author.name });
}

/** A sheet is signed as running once the machine runs and only its timed checks are still to come. */
function refuseRunning(state: JobState): Refusal {
  if (isRunning(state)) return M.sheetSignedAsRunningAlready;
  return checksLeft(state).length > 0 ? null : M.sheetSignedAsRunningOnce;
}

/** The signature waits where a stop was lifted or struck and nobody else has looked. */
function refuseUnseen(state: JobState): Refusal {
  const [waits] = unseenAtSignature(
    unseenSoFar(
      state,
      state.steps.map((s) => s.report),
    ),
  );
  return waits ? listOf([waits.reason, ...(waits.remedy ? [waits.remedy] : [])], ' ') : null;
}

/** The signature waits where the job is checked less deep than its site asks, and no lead hand has accepted that. */
function refuseShallow(state: JobState): Refusal {
  const below = belowSite(state).find((f) => !acceptanceOf(state, signingStep(state.setup), f));
  return below ? listOf([below.reason, ...(below.remedy ? [below.remedy] : [])], ' ') : null;
}

/** Something a lead hand may be asked to accept. */
const isOver = (f: { verdict: string }) => f.verdict === 'reject' || f.verdict === 'too-close';

function refuseDeviation(state: JobState, e: JobEventOf<'deviation.accepted'>): Refusal {
  if (e.author.role !== 'lead') return M.onlyLeadHandAcceptsDeviation;
  const step = find(state, e.data.step);
  const finding = step?.report?.findings.find((f) => f.code === e.data.finding);
  if (!step || !finding) return M.thereNoSuchFindingStep;
  const stands = step.blocking.includes(finding) || (step.open.includes(finding) && isOver(finding));
  if (!stands) return M.findingDoesNotStandWay;
  // A device with an older page says no parameters: what it accepts is the finding of this code as it stands.
  if (e.data.params !== undefined && !sameParams(e.data.params, finding.params))
    return M.findingHasChangedSinceRead;
  return finding.acceptable ? null : M.cannotAcceptedSignatureMustPut;
}
