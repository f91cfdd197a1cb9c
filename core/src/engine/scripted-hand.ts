import type { Instrument } from '../instruments/instrument.ts';
import type { Params } from '../judgement/result.ts';
import { say } from '../quantities/say.ts';
import { showsTorque } from './admit.ts';
import { isSettled } from './answers.ts';
import type { Author } from './author.ts';
import type { EventDataOf, EventType, JobEvent } from './events.ts';
import { answered } from './facts.ts';
import type { Hand, Tool } from './hand.ts';
import { paramsToSend } from './params.ts';
import type { Said } from './said.ts';
import type { Setup } from './setup.ts';
import type { JobState, Place } from './state.ts';
import { take } from './take.ts';
import { reportAt, stepOf } from './trades.ts';

export type HandTools = {
  micrometer: Instrument;
  feeler: Instrument;
  wrench: Instrument;
  protractor: Instrument;
  dial?: Instrument;
  roughness?: Instrument;
  caliper?: Instrument;
  laser?: Instrument;
  pressure?: Instrument;
  thermometer?: Instrument;
  gun?: Instrument;
  counter?: Instrument;
  vibration?: Instrument;
  tension?: Instrument;
  force?: Instrument;
};
/** The same, with further wrenches, smallest first: taken where the one in hand does not reach. */
export type ToolBox = HandTools & { wrenches?: readonly Instrument[] };

/**
 * Somebody who works a job by the book, for demo data, practice and tests: every act becomes an event through the same
 * rules as real work, a minute apart, and an act that is not allowed throws with the refusal.
 */
export class ScriptedHand implements Hand {
  readonly events: JobEvent[] = [];
  private now: JobState | null = null;

  constructor(
    readonly jobId: string,
    private readonly newId: (at: Date) => string,
    private readonly tools: ToolBox,
    private author: Author,
    private clock: Date,
  ) {}

  /** The next acts are done by someone else. */
  by(author: Author): this {
    this.author = author;
    return this;
  }

  get state(): JobState {
    if (!this.now) throw new Error('The job is not opened yet.');
    return this.now;
  }

  do<T extends EventType>(type: T, data: EventDataOf<T>): this {
    this.clock = new Date(this.clock.getTime() + 60_000);
    const event = {
      id: this.newId(this.clock),
      jobId: this.jobId,
      at: this.clock.toISOString(),
      author: this.author,
      type,
      data,
    } as JobEvent;
    const taken = take(this.now, event);
    if ('refusal' in taken) throw new Error(say(taken.refusal, 'mm'));
    this.now = taken.state;
    this.events.push(event);
    return this;
  }

  open<S extends Setup>(positionId: string, setup: S): this {
    return this.do('job.opened', { positionId, setup });
  }

  /** A finding accepted as it stands now. */
  accept(step: string, code: string, reason: string): this {
    const finding = this.state.steps
      .find((s) => s.id === step)
      ?.report?.findings.find((f) => f.code === code);
    return this.do('deviation.accepted', {
      step,
      finding: code,
      params: finding ? paramsToSend(finding.params) : {},
      stands: finding ? say(finding.reason, 'mm') : 'not found',
      reason,
    });
  }

  /** Time passes. */
  wait(minutes: number): this {
    this.clock = new Date(this.clock.getTime() + 60_000 * minutes);
    return this;
  }

  /** Answer every question of a step that is not answered yes with yes; what is to be written down, with a word. */
  answerAll(step: string): this {
    const definition = stepOf(this.state, step);
    if (!definition) return this;
    const open = () => answered(this.state, definition).find((a) => !isSettled(a.answer, a.item))?.item;
    for (let item = open(); item; item = open())
      this.answer(step, item.id, 'yes', item.note ? 'as it should be' : undefined);
    return this;
  }

  answer(step: string, item: string, answer: Said, note?: string): this {
    return this.do('gate.answered', { step, item, answer, ...(note ? { note } : {}) });
  }

  act(act: string, params?: Params, reason?: string): this {
    return this.do('act.done', { act, ...(params ? { params } : {}), ...(reason ? { reason } : {}) });
  }

  pass(step: string): this {
    return this.do('step.passed', { step });
  }

  /** A list of questions answered all through, and passed. */
  gate(step: string): this {
    return this.answerAll(step).pass(step);
  }

  safe(): this {
    return this.gate('safe');
  }

  read(step: string, place: string, value: number, tool: Tool): this {
    const instrument = this.tools[tool];
    if (!instrument) throw new Error(`There is no ${tool} in hand.`);
    return this.do('reading.taken', {
      step,
      place,
      value,
      raw: String(Number(value.toFixed(6))),
      instrument,
    });
  }

  /** The places a step asks for, one after the other, as long as it asks; `value` says what the gauge shows there. */
  follow(step: string, tool: Tool, value: (place: Place) => number, most = 400): this {
    for (let i = 0; i < most; i++) {
      const next = this.state.steps.find((s) => s.id === step)?.report?.next;
      if (!next) return this;
      this.read(step, next.key, value(next), tool);
    }
    return this;
  }

  /** Tick the bolts of any step; in a seating loop `moved` says how far each still turned, by round from 1. */
  tighten(
    step: string,
    moved?: (round: number, bolt: number) => number,
    ticks = Number.POSITIVE_INFINITY,
  ): this {
    for (let i = 0; i < ticks; i++) {
      const next = stepOf(this.state, step)?.kind.due?.(reportAt(this.state, step));
      if (!next) break;
      this.do('bolt.tightened', {
        step,
        pass: next.pass,
        bolt: next.bolt,
        torqueNm: next.torqueNm ?? 0,
        instrument: this.wrenchFor(next.torqueNm ?? 0),
        ...(next.settling && moved ? { movedDeg: moved(next.pass, next.bolt) } : {}),
      });
    }
    return this;
  }
  /** Tighten the bolts of a step, a pass at a time. */
  tightenPasses(step: string, passes = Number.POSITIVE_INFINITY, moved = false): this {
    for (let i = 0; i < passes; i++) {
      const report = reportAt(this.state, step);
      const next = stepOf(this.state, step)?.kind.due?.(report);
      const left = next && stepOf(this.state, step)?.kind.leftOfPass?.(report);
      if (!next || !left) break;
      this.do('bolts.tightened', {
        step,
        pass: next.pass,
        bolts: [...left],
        torqueNm: next.torqueNm ?? 0,
        instrument: this.wrenchFor(next.torqueNm ?? 0),
        ...(moved ? { moved } : {}),
      });
    }
    return this;
  }
  private wrenchFor(torqueNm: number): Instrument {
    const { wrench, wrenches = [] } = this.tools;
    return [wrench, ...wrenches].find((w) => torqueNm === 0 || showsTorque(w, torqueNm)) ?? wrench;
  }
}
