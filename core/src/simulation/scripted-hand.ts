import type { Author, EventDataOf, EventType, Instrument, JobEvent } from '../api/events.ts';
import { type Setup, shaftOf } from '../api/setup.ts';
import { numbersOf } from '../engine/numbers.ts';
import type { JobState, Place } from '../engine/state.ts';
import { take } from '../engine/take.ts';
import type { BoltValues } from '../procedures/kinds/bolts.ts';
import { surveyGrid } from '../procedures/kinds/diameters.ts';
import { answered } from '../procedures/kinds/item-findings.ts';
import { stepOf } from '../procedures/procedure-for.ts';
import { say } from '../quantities/say.ts';

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
};

/**
 * Somebody who works a job by the book, for demo data, practice and tests: every act becomes an event through the same
 * rules as real work, a minute apart, and an act that is not allowed throws with the refusal.
 */
export class ScriptedHand {
  readonly events: JobEvent[] = [];
  private now: JobState | null = null;

  constructor(
    readonly jobId: string,
    private readonly newId: (at: Date) => string,
    private readonly tools: HandTools,
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

  open(positionId: string, setup: Setup): this {
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
      numbers: finding ? numbersOf(finding) : [],
      stands: finding?.reason ?? 'not found',
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
    const open = () => answered(this.state, definition).find((a) => a.answer?.answer !== 'yes')?.item;
    for (let item = open(); item; item = open())
      this.do('gate.answered', {
        step,
        item: item.id,
        answer: 'yes',
        ...(item.note ? { note: 'as it should be' } : {}),
      });
    return this;
  }

  pass(step: string): this {
    return this.do('step.passed', { step });
  }

  safe(): this {
    return this.answerAll('safe').pass('safe');
  }

  read(step: string, place: string, value: number, tool: keyof HandTools): this {
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

  /** Diameters station by station; a short list leaves the rest unmeasured. */
  survey(diametersMm: number[]): this {
    const { stationsMm, anglesDeg } = surveyGrid(shaftOf(this.state));
    const places = stationsMm.flatMap((_, s) => anglesDeg.map((a) => `s${s + 1}/${a}`));
    places
      .slice(0, diametersMm.length)
      .forEach((place, i) => void this.read('shaft', place, diametersMm[i] ?? 0, 'micrometer'));
    return this;
  }

  /** The places a step asks for, one after the other, as long as it asks; `value` says what the gauge shows there. */
  follow(step: string, tool: keyof HandTools, value: (place: Place) => number, most = 400): this {
    for (let i = 0; i < most; i++) {
      const next = this.state.steps.find((s) => s.id === step)?.report?.next;
      if (!next) return this;
      this.read(step, next.key, value(next), tool);
    }
    return this;
  }

  /** Feeler pairs, row A and row B. */
  bench(pairs: Array<[number, number]>, from = 1): this {
    pairs.forEach(
      ([a, b], i) =>
        void this.read('bench', `set${from + i}/A`, a, 'feeler').read(
          'bench',
          `set${from + i}/B`,
          b,
          'feeler',
        ),
    );
    return this;
  }

  /** Both rows at a nut angle. */
  drive(deg: number, rowA: number, rowB: number): this {
    return this.read('driveup', `deg${deg}/A/1`, rowA, 'feeler').read(
      'driveup',
      `deg${deg}/B/1`,
      rowB,
      'feeler',
    );
  }

  /** The nut on to the tab, both rows felt (as often as pairs are given), the tab bent. */
  lock(turnedDeg: number, pairs: Array<[number, number]>): this {
    this.read('lock', 'turn', turnedDeg, 'protractor');
    pairs.forEach(
      ([a, b], i) =>
        void this.read('lock', `final/A/${i + 1}`, a, 'feeler').read('lock', `final/B/${i + 1}`, b, 'feeler'),
    );
    return this.answerAll('lock');
  }

  /** Tick bolts in the pattern until `ticks` are done, or all. */
  bolts(ticks = Number.POSITIVE_INFINITY): this {
    return this.tighten('bolts', undefined, ticks);
  }

  /** Tick the bolts of any step; in a seating loop `moved` says how far each still turned, by round from 1. */
  tighten(
    step: string,
    moved?: (round: number, bolt: number) => number,
    ticks = Number.POSITIVE_INFINITY,
  ): this {
    for (let i = 0; i < ticks; i++) {
      const values = this.state.steps.find((s) => s.id === step)?.report?.values as BoltValues | undefined;
      const next = values?.next;
      if (!next) break;
      const round = values.passes[next.pass]?.kind === 'round';
      this.do('bolt.tightened', {
        step,
        pass: next.pass,
        bolt: next.bolt,
        torqueNm: next.torqueNm ?? 0,
        instrument: this.tools.wrench,
        ...(round && moved ? { movedDeg: moved(next.pass, next.bolt) } : {}),
      });
    }
    return this;
  }
}
