import { runCalculator } from '@fulcrant/core/calculators';
import {
  type Difficulty,
  type Facts,
  gather,
  type JobEvent,
  judge,
  reduce,
  type Setup,
  type Signature,
  tradeOf,
  upcast,
} from '@fulcrant/core/job';
import {
  carriedOn,
  type Duration,
  durationsOf,
  foundAt,
  networkOf,
  type Outage,
  oddsOf,
  type Progress,
  progressOf,
  workedByStep,
} from '@fulcrant/core/outage';
import { fitUpSheet } from '@fulcrant/core/sheet';
import type { LengthUnit } from '@fulcrant/core/units';
import { type Action, type Attempt, debrief, type Laid, layOut, played, rigOf } from '@fulcrant/practice';
import type { EventAttributes } from 'ics';
import { canonicalSheet, type SealedSheet } from '../export/canonical.ts';
import { outageCalendar, outageCsv, outageEvents, outagePdf, type Paper } from '../export/outage-files.ts';
import { type PrintOptions, sheetPdf } from '../export/sheet-pdf.ts';

const eventsIn = (bodies: readonly string[]): JobEvent[] =>
  bodies.map((b) => upcast(JSON.parse(b) as JobEvent));

/** A bench of practice by what it is laid out from. */
export type BenchOf = { rig: string; seed: number; difficulty: Difficulty };
const laidOut = ({ rig, seed, difficulty }: BenchOf): Laid => {
  const known = rigOf(rig);
  if (!known) throw new RangeError(`There is no bench “${rig}”.`);
  return layOut(known, seed, difficulty);
};

/** As it is stored and sent: what is told of a bench names things by functions, which travel nowhere. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** How far a job of an outage is. */
export type Standing = { setup: Setup; progress: Progress; ended: boolean };

/** What a plan of an outage is made from. */
export type PlanAsked = {
  id: string;
  outage: Outage;
  setups: Record<string, Setup>;
  progress: Record<string, Progress>;
  ended: Record<string, boolean>;
  durations: Record<string, Record<string, Duration>>;
  zone: string;
  at: string;
};
/** What of it is to be written. */
export type PlanFile = { file: 'csv' } | { file: 'ics'; who: string | null } | { file: 'pdf'; size: Paper };

/** The plan as it goes on from what was adopted. */
function planned({ outage, ...known }: PlanAsked) {
  const net = networkOf(outage, known);
  const adopted = (outage.plan?.placed ?? []).map((p) => ({ ...p, id: p.task }));
  // What has no place any more has no time to tell.
  const placed =
    adopted.length > 0 ? carriedOn(net.network, adopted).placed.filter((p) => Number.isFinite(p.finish)) : [];
  return { outage, net, placed, zone: known.zone };
}

/** A sheet that is asked for; `signature` is the one it is laid down under, where it is not simply the one that stands. */
type SheetOf = { facts: Facts; number: string | null; zone: string; signature?: Signature };

/**
 * What is computed for a request and may take long: pure functions of what can be sent to another thread, answering with what can be sent
 * back.
 */
export const TASKS = {
  /**
   * The facts of a job, folded from the bodies of its events. Facts are plain data and travel; what steps make of them does not: a step
   * kind knows its own reports by being the ones it made.
   */
  fold: ({ bodies }: { bodies: readonly string[] }): Facts | null =>
    gather(bodies.map((b) => JSON.parse(b) as JobEvent)),

  /** The sheet of a job, by its facts, as canonical JSON. */
  sheet: ({ facts, number, zone, signature }: SheetOf): string =>
    canonicalSheet(fitUpSheet(judge(facts), number, zone, signature ?? facts.signed)),

  /** A sheet on paper. */
  print: ({ sheet, options }: { sheet: SealedSheet; options: PrintOptions }): Promise<Uint8Array> =>
    sheetPdf(sheet, options),

  /** How far jobs are, by their keys; those that were never opened are left out. */
  standing: ({ jobs }: { jobs: Record<string, readonly string[]> }): Record<string, Standing> =>
    Object.fromEntries(
      Object.entries(jobs).flatMap(([key, bodies]) => {
        const state = reduce(eventsIn(bodies));
        if (!state) return [];
        const ended = Boolean(state.signed || state.cancelled);
        return [[key, { setup: state.setup, progress: progressOf(state), ended }]];
      }),
    ),

  /** How long the pieces of a trade take by signed sheets of it, and how often its surveys find what they may find. */
  durations: ({
    trade,
    sheets,
  }: {
    trade: string;
    sheets: ReadonlyArray<readonly string[]>;
  }): Record<string, Duration> => {
    const { tasks } = tradeOf({ procedure: trade }).slots;
    const worked = sheets.map((bodies) => {
      const events = eventsIn(bodies);
      return { minutes: workedByStep(events), found: foundAt(events) };
    });
    const own = durationsOf(
      tasks,
      worked.map((s) => s.minutes),
    );
    for (const task of tasks) {
      const odds = oddsOf(task, worked);
      const duration = own[task.id];
      if (duration && odds !== null) duration.odds = odds;
    }
    return own;
  },

  /** An outage’s plan, written out. */
  plan: (asked: PlanAsked & { as: PlanFile }): string | Promise<Uint8Array> => {
    const told = planned(asked);
    const { id, as } = asked;
    if (as.file === 'csv') return outageCsv(told);
    return as.file === 'ics' ? outageCalendar(told, id, as.who) : outagePdf(told, as.size);
  },

  /** What of an outage’s plan is one hand’s, as events of a calendar. */
  pieces: (asked: PlanAsked & { who: string }): EventAttributes[] =>
    outageEvents(planned(asked), asked.id, asked.who),

  /** What a bench shows after all that was done at it. */
  shown: ({ bench, actions }: { bench: BenchOf; actions: Action[] }) => {
    const done = played(laidOut(bench), actions);
    return plain({ shown: done.shown.at(-1), nutDeg: done.bench.nutDeg });
  },

  /** What is said of what was handed in. */
  debrief: ({ bench, attempt }: { bench: BenchOf; attempt: Attempt }) =>
    plain(debrief(laidOut(bench), attempt)),

  /** A sum without a job. */
  calculate: ({ id, input, unit }: { id: string; input: unknown; unit: LengthUnit }) => {
    const answer = runCalculator(id, input, unit);
    // A result carries more than is told: only this leaves the thread.
    if (!answer.ok) return answer;
    const { values, findings, working } = answer.result;
    return { ok: true as const, result: { values, findings, working } };
  },
};

export type Task = keyof typeof TASKS;
export type Asked<T extends Task> = Parameters<(typeof TASKS)[T]>[0];
export type Answered<T extends Task> = Awaited<ReturnType<(typeof TASKS)[T]>>;
