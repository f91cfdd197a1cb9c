import { placeAt } from '../engine/admit.ts';
import { canLack, isSettled } from '../engine/answers.ts';
import { fieldsOf, valueIn } from '../engine/asked.ts';
import type { JobEvent } from '../engine/events.ts';
import { eventSchema } from '../engine/events.ts';
import { answered } from '../engine/facts.ts';
import { reduce } from '../engine/judge.ts';
import { mayLack } from '../engine/lacking.ts';
import { paramsToSend } from '../engine/params.ts';
import type { Setup } from '../engine/setup.ts';
import type { JobState, Place, StepState } from '../engine/state.ts';
import { take } from '../engine/take.ts';
import { actsOn, stepOf, tradeOf } from '../engine/trades.ts';
import type { Instrument } from '../instruments/instrument.ts';
import { putField } from '../job/setup-form.ts';
import { check } from '../judgement/sentences.ts';
import { isText } from '../message/message.ts';
import type { BoltValues } from '../steps/bolt-passes.ts';
import { english } from './english.ts';
import { asta, imke, JOB, newId } from './test-stand.ts';

/** Numbers from 0 to 1, the same for the same seed. */
export type Chance = () => number;
export function chanceOf(seed: number): Chance {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), a | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

type Act = Pick<JobEvent, 'type'> & { data: unknown };

/** A gauge of a kind that reaches everywhere. */
export const wide = (kind: Instrument['kind']): Instrument => {
  const step = kind === 'roughness' ? 0.00001 : kind === 'micrometer' || kind === 'dial' ? 0.001 : 0.05;
  return {
    id: `wide-${kind}`,
    name: `wide ${kind}`,
    kind,
    step,
    low: -10000,
    high: 10000,
    calibrationDue: '2027-06-01',
    hand: { scatter: step / 4, free: 9 },
  };
};

/**
 * Somebody who knows the rules and nothing else: any act that might be allowed now, with any value that might be believed. Most go on
 * with the work, so that whole jobs are walked; some undo it.
 */
export class RandomHand {
  state: JobState | null = null;
  events: JobEvent[] = [];
  readonly refusals: string[] = [];
  private ms = Date.parse('2026-11-24T06:00:00Z');

  constructor(
    private readonly chance: Chance,
    setup: Setup,
    readonly jobId = JOB,
    private readonly id: (at: Date) => string = newId,
    positionId = '018f0000-0000-7000-8000-bbbbbbbbbbbb',
  ) {
    this.try({ type: 'job.opened', data: { positionId, setup } });
  }

  /** Go on from a job somebody worked so far. */
  takeOver(events: readonly JobEvent[]): this {
    this.events = [...events];
    this.state = reduce(this.events);
    this.ms = Date.parse(events.at(-1)?.at ?? '');
    return this;
  }

  private pick<T>(list: readonly T[]): T | undefined {
    return list[Math.floor(this.chance() * list.length)];
  }

  /** Do it, as the rules let; what is refused is kept as a sentence. */
  try(act: Act): boolean {
    this.ms += 60_000 * (1 + Math.floor(30 * this.chance()));
    const lead = ['step.released', 'deviation.accepted', 'sheet.reopened', 'change.seen'].includes(act.type);
    const at = new Date(this.ms);
    const event = {
      id: this.id(at),
      jobId: this.jobId,
      at: at.toISOString(),
      author: lead ? imke : asta,
      ...act,
    } as JobEvent;
    // What no schema lets through never comes to the rules.
    if (act.type === 'setup.changed' && !check(eventSchema, event).ok) return false;
    const taken = take(this.state, event);
    if ('refusal' in taken) {
      this.refusals.push(english(taken.refusal));
      return false;
    }
    this.state = taken.state;
    this.events.push(event);
    return true;
  }

  /** One act more; what may be done now, most of it onward. */
  step(): void {
    const { state } = this;
    if (!state) return;
    const present = state.steps.find((s) => s.id === state.present);
    const dice = this.chance();
    if (dice < 0.06) return void this.try(this.undoing(state));
    if (!present) return void this.try({ type: 'sheet.reopened', data: { reason: 'one more look' } });
    this.try(this.onward(state, present));
  }

  private onward(state: JobState, present: StepState): Act {
    const { id } = present;
    if (present.hold && !present.hold.released) return { type: 'step.released', data: { step: id } };
    if (id === 'sign') return { type: 'sheet.signed', data: { name: 'Asta' } };
    if (present.blocking.length === 0 && this.chance() < 0.8)
      return { type: 'step.passed', data: { step: id } };
    const ways: Array<Act | null> = [
      this.reading(state, present),
      this.reading(state, present),
      this.answer(state, present),
      this.answer(state, present),
      this.bolt(present),
      this.acceptance(present),
    ];
    if (id === 'fixedfirst')
      ways.push({
        type: 'act.done',
        data: {
          act: 'name-fixed',
          params: {
            job: '018f0000-0000-7000-8000-cccccccccccc',
            position: 'Fixed',
            sheet: null,
            lockedAt: '2026-11-23T10:00:00Z',
          },
        },
      });
    return this.pick(ways.filter((w): w is Act => w !== null)) ?? { type: 'step.passed', data: { step: id } };
  }

  private value(place: Place): number {
    const { low, high } = place;
    const dice = this.chance();
    const v =
      dice < 0.1
        ? low
        : dice < 0.15
          ? high
          : low <= 0 && high >= 0 && dice < 0.5
            ? 0.02 * high * this.chance()
            : low + (high - low) * this.chance();
    const whole = place.quantity === 'count' || place.quantity === 'flats';
    // What becomes of inches typed: 1.2 is 0.047244 in, which is 1.1999976.
    return whole ? Math.round(v) : Number(v.toFixed(this.chance() < 0.5 ? 3 : 7));
  }

  private reading(state: JobState, present: StepState): Act | null {
    const keys = [present.report?.next?.key, ...(present.report?.choices ?? []).map((c) => c.key)];
    const free = present.report?.turn?.prefix;
    if (free) keys.push(`${free}${Math.floor(360 * this.chance())}`);
    const key = this.chance() < 0.7 ? keys[0] : this.pick(keys);
    if (!key) return null;
    const place = placeAt(state, present.id, key);
    if (isText(place)) return null;
    const kind = this.pick(place.instrumentKinds) ?? 'caliper';
    const value = this.value(place);
    return {
      type: 'reading.taken',
      data: { step: present.id, place: key, value, raw: String(value), instrument: wide(kind) },
    };
  }

  private answer(state: JobState, present: StepState): Act | null {
    const definition = stepOf(state, present.id);
    if (!definition) return null;
    const open = answered(state, definition).filter((a) => !isSettled(a.answer, a.item));
    const item = (this.chance() < 0.8 ? open[0] : this.pick(open))?.item;
    if (!item) return null;
    if (canLack(item) && this.chance() < 0.06)
      return {
        type: 'gate.answered',
        data: { step: present.id, item: item.id, answer: 'none', note: 'this one has none' },
      };
    return {
      type: 'gate.answered',
      data: {
        step: present.id,
        item: item.id,
        answer: this.chance() < 0.93 ? 'yes' : 'no',
        ...(item.note
          ? { note: this.pick(['as it should be', 'header wiper', 'renew', 'inward', '1 1 1', '!']) }
          : {}),
      },
    };
  }

  private bolt(present: StepState): Act | null {
    const values = present.report?.values as BoltValues | null | undefined;
    const next = values && typeof values === 'object' && 'passes' in values ? values.next : null;
    if (!next) return null;
    const moved = this.chance() < 0.7 ? 0 : Math.floor(30 * this.chance());
    return {
      type: 'bolt.tightened',
      data: {
        step: present.id,
        pass: next.pass,
        bolt: next.bolt,
        torqueNm: next.torqueNm ?? 0,
        movedDeg: moved,
        moved: moved > 3,
        instrument: wide('wrench'),
      },
    };
  }

  private acceptance(present: StepState): Act | null {
    const f = this.pick(present.blocking.filter((b) => b.acceptable));
    return f
      ? {
          type: 'deviation.accepted',
          data: {
            step: present.id,
            finding: f.code,
            params: paramsToSend(f.params),
            stands: f.reason,
            reason: 'as agreed',
          },
        }
      : null;
  }

  /** An answer corrected after its step was passed, a number that is not there, and a change of the setup that changes something. */
  private rarer(state: JobState): Act[] {
    const answer = this.pick(state.answers);
    const present = state.present ? stepOf(state, state.present) : undefined;
    const why = this.pick(present ? mayLack(present) : []);
    return [
      ...(answer
        ? [
            {
              type: 'answer.corrected' as const,
              data: {
                step: answer.step,
                item: answer.item,
                answer: 'no',
                note: 'seen later',
                reason: 'looked again',
              },
            },
          ]
        : []),
      ...(why
        ? [
            {
              type: 'number.lacking' as const,
              data: { step: state.present ?? '', why, reason: 'no gauge here' },
            },
          ]
        : []),
      { type: 'setup.changed', data: { setup: this.changed(state.setup), reason: 'as it is here' } },
    ];
  }

  /** The setup with one field as it might be. */
  private changed(setup: Setup): Setup {
    const field = this.pick(fieldsOf(tradeOf(setup).schema).filter((f) => english(f.group) !== 'Place'));
    if (!field) return setup;
    const now = valueIn(setup, field.name);
    const value = field.options
      ? this.pick(field.options.map(([o]) => (field.numbered ? Number(o) : o)))
      : field.quantity === 'flag'
        ? now
          ? undefined
          : true
        : typeof now === 'number'
          ? this.pick([now / 2, now + 1, 2 * now, undefined])
          : now;
    return putField(setup, field.name, value);
  }

  private undoing(state: JobState): Act {
    const step = this.pick(state.steps.filter((s) => s.status !== 'closed'))?.id ?? 'safe';
    const change = state.setupChanges.find((c) => !c.seen);
    const reading = this.pick(state.readings.filter((r) => !r.withdrawn));
    return (
      this.pick<Act>([
        { type: 'measure.repeated', data: { step, done: 'dressed a little' } },
        { type: 'reading.withdrawn', data: { reading: reading?.id ?? '', reason: 'misread it' } },
        {
          type: 'bolts.loosened',
          data: { step: this.pick(state.ticks)?.step ?? 'bolts', reason: 'to look again' },
        },
        {
          type: 'act.done',
          data: {
            act: this.pick(actsOn(state.setup).filter((a) => a.undoes))?.id ?? 'none',
            reason: 'something rubs',
          },
        },
        { type: 'step.held', data: { step: state.present ?? 'sign', reason: 'wait for the part' } },
        { type: 'setup.changed', data: { setup: state.setup, reason: 'looked again' } },
        { type: 'change.seen', data: { change: change?.id ?? '' } },
        { type: 'note.added', data: { text: 'A note.' } },
        ...this.rarer(state),
      ]) ?? { type: 'note.added', data: { text: 'A note.' } }
    );
  }
}
