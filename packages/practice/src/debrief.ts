import {
  type Answer,
  type GateItem,
  isSettled,
  type JobEvent,
  type JobState,
  procedureFor,
  type RigFault,
  reduce,
  type StepDefinition,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON, expr, inline, listOf } from '@fulcrant/core/messages';
import { Bench } from './bench.ts';
import { type Beside, careOf, type Logged, readingsBeside } from './handled.ts';
import { M } from './messages.ts';
import type { Laid } from './rigs.ts';

/** What is made of a bench: fit to go on, or stopped, and for what. */
export type Call = { fit: boolean; faults: readonly string[] };
export type Attempt = { events: readonly JobEvent[]; log: readonly Logged[]; call: Call };

export const PARTS = {
  order: COMMON.order,
  accuracy: M.accuracy,
  judgement: COMMON.judgement,
  cautions: M.cautions,
} as const;
export type Part = keyof typeof PARTS;
export const PART_IDS = Object.keys(PARTS) as Part[];
/** How much each part of the mark is worth: judgement the most. */
export const WORTH: Record<Part, number> = { order: 15, accuracy: 30, judgement: 35, cautions: 20 };
/** Of the judgement: what the whole is called; the rest is each question answered for itself. */
const CALLED = 20;
/** A stop that names another cause; one that names some of it; a call that was right by luck. Shares of what a call is worth. */
const OTHER_CAUSE = 0.4;
const PARTLY = 0.7;
const LUCK = 0.5;
/** Called fit with less than this done or looked at, it was luck. */
const FOUNDED = 0.9;

/** One thing said in a debrief: what it belongs to, whether it was well done, why, and where on the sheet. */
export type Point = { part: Part; good: boolean; says: Text; step: string | null; place?: string };
export type Debrief = {
  score: number;
  parts: Record<Part, number>;
  points: Point[];
  beside: Beside[];
  faults: RigFault[];
  looks: Laid['looks'];
  minutes: number;
};
type Told = { share: number; points: Point[] };
type Asked = { step: StepDefinition; item: GateItem; said: Answer };

const mean = (of: readonly number[]): number => of.reduce((n, v) => n + v, 0) / of.length;
const round = (v: number): string => String(Number(v.toFixed(3)));

/**
 * An attempt at a bench laid beside what was truly there: order, accuracy against what each gauge could have given at best, judgement,
 * cautions; every point says why and where. 100 is a careful hand’s.
 */
export function debrief(laid: Laid, attempt: Attempt): Debrief {
  const { events, log, call } = attempt;
  const state = reduce(events as JobEvent[]);
  const present = laid.rig.faults.filter((f) => laid.faults.has(f.id));
  const told = { faults: present, looks: laid.looks, minutes: minutesOf(events) };
  if (!state)
    return {
      ...told,
      score: 0,
      parts: { order: 0, accuracy: 0, judgement: 0, cautions: 0 },
      points: [{ part: 'order', good: false, step: null, says: M.nothingBegun }],
      beside: [],
    };
  const steps = procedureFor(state.setup).steps;
  const nth = (id: string) => steps.findIndex((s) => s.id === id);
  // As far as the work had to go: to the end, or to where the first fault can be known.
  const end = Math.min(nth(laid.rig.until), ...present.map((f) => nth(f.step)));
  const asked = questionsOf(state, steps);
  const looked = asked.map((q) => wasLookedAt(q, attempt));
  const order = orderOf(state, steps, end);
  const founded = Math.min(order.share, looked.length > 0 ? mean(looked.map(Number)) : 1);
  const reached = Math.max(end, nth(state.present ?? laid.rig.until));
  const called = judged(
    call,
    present,
    present.filter((f) => nth(f.step) <= reached),
    founded,
  );
  const beside = readingsBeside(laid, events, log, state);
  const told4: Record<Part, Told> = {
    order,
    accuracy: accuracyOf(beside, order.share * called.share),
    judgement: judgementOf(laid, asked, called, order.share),
    cautions: cautionsOf(laid, attempt, state, looked),
  };
  const parts = Object.fromEntries(PART_IDS.map((p) => [p, WORTH[p] * told4[p].share])) as Record<
    Part,
    number
  >;
  return {
    ...told,
    score: Math.round(PART_IDS.reduce((n, p) => n + parts[p], 0)),
    parts,
    points: PART_IDS.flatMap((p) => told4[p].points),
    beside,
  };
}

/** Every question of the sheet that was answered, with what was said last. */
const questionsOf = (state: JobState, steps: readonly StepDefinition[]): Asked[] =>
  steps.flatMap((step) =>
    (step.items ?? []).flatMap((item) => {
      const said = state.answers.findLast((a) => a.step === step.id && a.item === item.id);
      return said ? [{ step, item, said }] : [];
    }),
  );

const wasLookedAt = ({ step, item, said }: Asked, { events, log }: Attempt): boolean => {
  const n = events.findIndex((e) => e.id === said.id);
  return log.some(
    ({ action: a, after }) => after <= n && a.do === 'look' && a.step === step.id && a.item === item.id,
  );
};

function orderOf(state: JobState, steps: readonly StepDefinition[], end: number): Told {
  const passed = new Set(state.passes.map((p) => p.step));
  const missing = steps.slice(0, end).filter((s) => !passed.has(s.id));
  const last = steps[end]?.id ?? '';
  const begun =
    passed.has(last) ||
    (state.present === last &&
      [...state.readings, ...state.answers, ...state.ticks].some((x) => x.step === last));
  return {
    share: (end - missing.length + (begun ? 1 : 0)) / (end + 1),
    points:
      missing.length === 0
        ? [
            {
              part: 'order',
              good: true,
              step: null,
              says: M.everyStepOrderAsFar,
            },
          ]
        : missing.map((s) => ({
            part: 'order',
            good: false,
            step: s.id,
            says: M.notDoneBeforeCalled,
          })),
  };
}

/** @param unread what it is worth where nothing was to be read: stopped rightly before, nothing was read badly */
function accuracyOf(beside: readonly Beside[], unread: number): Told {
  const off = beside.filter((b) => b.share < 1);
  const points = off.map(
    (b): Point => ({
      part: 'accuracy',
      good: false,
      step: b.step,
      place: b.place,
      says: M.writtenTrulyGaugeCouldHave({
        round: round(b.value),
        round2: round(b.truth),
        round3: round(b.within),
      }),
    }),
  );
  if (beside.length > 0 && off.length === 0)
    points.push({
      part: 'accuracy',
      good: true,
      step: null,
      says: M.allReadingsAsGoodAs({ count: beside.length }),
    });
  return { share: beside.length > 0 ? mean(beside.map((b) => b.share)) : unread, points };
}

function judgementOf(
  laid: Laid,
  asked: readonly Asked[],
  called: { share: number; says: Text },
  order: number,
): Told {
  const bench = new Bench(laid);
  const points: Point[] = [{ part: 'judgement', good: called.share === 1, step: null, says: called.says }];
  let rightly = 0;
  for (const { step, item, said } of asked) {
    const fault = laid.rig.faults.find(
      (f) => laid.faults.has(f.id) && f.seen?.step === step.id && f.seen.item === item.id,
    );
    const look = laid.looks.find((l) => l.step === step.id && l.item === item.id);
    const right = (fault !== undefined) !== isSettled(said, item);
    if (right) rightly++;
    if (right && !fault && !look) continue;
    const shown = bench.do({ do: 'look', step: step.id, item: item.id });
    const seen = shown.kind === 'seen' && !shown.nothing ? [shown.text] : [];
    const because = fault?.because ?? look?.because ?? M.nothingWrong;
    points.push({
      part: 'judgement',
      good: right,
      step: step.id,
      says: listOf([item.ask, ...seen, because], ' '),
    });
  }
  const questions = asked.length > 0 ? (rightly / asked.length) * order : 0;
  return {
    share: (CALLED * called.share + (WORTH.judgement - CALLED) * questions) / WORTH.judgement,
    points,
  };
}

function cautionsOf(laid: Laid, { events, log }: Attempt, state: JobState, looked: readonly boolean[]): Told {
  const points: Point[] = [];
  const say = (says: Text, step: string | null = null, place?: string) =>
    points.push({ part: 'cautions', good: false, step, says, ...(place ? { place } : {}) });
  const blind = looked.filter((l) => !l).length;
  if (blind > 0) say(M.questionsWereAnsweredWithoutLooking({ blind, count: looked.length }));
  const care = careOf(laid, events, log);
  for (const c of care) if (c.why) say(c.why, c.step, c.place);
  const pulls = log.flatMap(({ action: a }) => (a.do === 'pull' ? [a.jerk] : []));
  const jerked = pulls.filter((j) => j).length;
  if (jerked > 0) say(M.pullsWrenchWereJerkedClicks({ jerked }));
  // What is drawn by hand alone wants no wrench.
  const ticks = state.ticks.filter((t) => !t.withdrawn && t.torqueNm > 0).length;
  if (ticks > pulls.length) say(M.boltsWereTickedWithoutPull({ ticks: ticks - pulls.length }));
  const kinds = [
    ...(looked.length > 0 ? [mean(looked.map(Number))] : []),
    ...(care.length > 0 ? [mean(care.map((c) => (c.why ? 0 : 1)))] : []),
    ...(ticks > 0 ? [Math.min(1, (pulls.length - jerked) / ticks)] : []),
  ];
  if (points.length === 0 && kinds.length > 0)
    points.push({
      part: 'cautions',
      good: true,
      step: null,
      says: M.lookedBeforeEveryAnswerHandled,
    });
  return { share: kinds.length > 0 ? mean(kinds) : 0, points };
}

/**
 * What the call was worth: all of it where it names what was there and could be known; half where it was right by luck.
 * @param knowable faults that could be known as far as the work went
 * @param founded how much was done and looked at of what a call stands on, 0 to 1
 */
function judged(
  call: Call,
  present: readonly RigFault[],
  knowable: readonly RigFault[],
  founded: number,
): { share: number; says: Text } {
  if (present.length === 0) {
    if (!call.fit) return { share: 0, says: M.stoppedNothingWrongFalseAlarm };
    return founded < FOUNDED
      ? {
          share: LUCK,
          says: M.calledFitButNotAll,
        }
      : { share: 1, says: M.calledFit };
  }
  const truly = expr`${listOf(
    present.map((f) => inline(f.name)),
    ', and ',
  )}. ${listOf(
    present.map((f) => f.because),
    ' ',
  )}`;
  if (call.fit) return { share: 0, says: M.calledFitTruly({ truly }) };
  const wrong = call.faults.filter((c) => !present.some((f) => f.id === c));
  const missed = knowable.filter((f) => !call.faults.includes(f.id));
  if (call.faults.length === wrong.length)
    return { share: OTHER_CAUSE, says: M.stoppedAnotherCauseTruly({ truly }) };
  if (wrong.length === 0 && missed.length === 0) return { share: 1, says: M.stoppedRightly({ truly }) };
  return {
    share: PARTLY,
    says: M.stoppedRightlyButTruly({
      count:
        wrong.length > 0
          ? M.somethingNamedNotThere
          : M.missed({
              missed: listOf(
                missed.map((f) => inline(f.name)),
                ', ',
              ),
            }),
      truly,
    }),
  };
}

const minutesOf = (events: readonly JobEvent[]): number => {
  const [a, b] = [events[0], events.at(-1)];
  return a && b ? Math.round((Date.parse(b.at) - Date.parse(a.at)) / 60_000) : 0;
};
