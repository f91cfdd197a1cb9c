import type { Instrument } from '@fulcrant/core/instruments';
import {
  answered,
  isSettled,
  type JobEvent,
  type JobState,
  type Place,
  placeAt,
  reportAt,
  stepOf,
  take,
} from '@fulcrant/core/job';
import { randomFrom } from '@fulcrant/core/judgement';
import { isText, sameText } from '@fulcrant/core/messages';
import { type Action, Bench, type Shown } from './bench.ts';
import type { Attempt, Call } from './debrief.ts';
import { BLADES_MM, PRACTICE_GAUGES } from './gauges.ts';
import type { Logged } from './handled.ts';
import type { Laid } from './rigs.ts';

const WHO = { id: 'apprentice', name: 'Apprentice', role: 'fitter' } as const;
const uuid = (n: number): string => `018f0000-0000-7000-8000-${String(n).padStart(12, '0')}`;

/** Somebody at a practice bench, on its sheet: what they handle is logged, what they write goes through the rules. */
class AtBench {
  state: JobState | null = null;
  readonly events: JobEvent[] = [];
  readonly log: Logged[] = [];
  readonly bench: Bench;
  private ms = Date.parse('2026-11-24T06:00:00Z');

  constructor(readonly laid: Laid) {
    this.bench = new Bench(laid);
    this.write('job.opened', { positionId: '018f0000-0000-7000-8000-bbbbbbbbbbbb', setup: laid.rig.setup });
  }

  act(action: Action): Shown {
    this.log.push({ action, after: this.events.length });
    return this.bench.do(action);
  }

  /** True where the rules let it. */
  write(type: JobEvent['type'], data: unknown): boolean {
    this.ms += 20_000;
    const at = new Date(this.ms);
    const id = uuid(this.events.length + 1);
    const event = { id, jobId: uuid(0), at: at.toISOString(), author: WHO, type, data } as JobEvent;
    const taken = take(this.state, event);
    if ('refusal' in taken) return false;
    this.state = taken.state;
    this.events.push(event);
    return true;
  }

  get present() {
    return this.state?.steps.find((s) => s.id === this.state?.present);
  }

  /** Where the sheet wants a reading, as the bench lets it be written. */
  get place(): Place | null {
    const { state, present } = this;
    const next = present?.report?.next;
    if (!state || !present || !next) return null;
    const key = this.laid.rig.keyAt?.(next.key, this.bench.nutDeg) ?? next.key;
    const place = placeAt(state, present.id, key);
    return isText(place) ? next : place;
  }

  open(): Array<{ id: string; note?: boolean | undefined }> {
    const { state, present } = this;
    const definition = state && present ? stepOf(state, present.id) : undefined;
    return state && definition
      ? answered(state, definition).flatMap((a) => (isSettled(a.answer, a.item) || a.answer ? [] : [a.item]))
      : [];
  }

  reading(place: Place, value: number): boolean {
    const kind = place.instrumentKinds[0] as Instrument['kind'];
    return this.write('reading.taken', {
      step: this.present?.id,
      place: place.key,
      value: Number(value.toFixed(4)),
      raw: value.toFixed(4),
      instrument: PRACTICE_GAUGES[kind],
    });
  }

  /** The bolt that is next, by the wrench where it has a torque; false where none is left. */
  bolt(jerk: boolean): boolean {
    const { state, present } = this;
    const next = state && present ? stepOf(state, present.id)?.kind.due?.(reportAt(state, present.id)) : null;
    if (!next) return false;
    if ((next.torqueNm ?? 0) > 0) this.act({ do: 'pull', jerk });
    return this.write('bolt.tightened', {
      step: present?.id,
      pass: next.pass,
      bolt: next.bolt,
      torqueNm: next.torqueNm ?? 0,
      instrument: PRACTICE_GAUGES.wrench,
      ...(next.settling ? { movedDeg: next.pass === 1 ? 30 : 2 } : {}),
    });
  }

  attempt(call: Call): Attempt {
    return { events: this.events, log: this.log, call };
  }
}

/** A gap by blades: upward until one will not go; what is snug is the gap, else halfway. */
function feel(at: AtBench): number {
  let [below, snug]: [number, number | null] = [0, null];
  for (const mm of BLADES_MM) {
    const shown = at.act({ do: 'blade', mm });
    if (shown.kind !== 'feel' || shown.feel === 'will not') return snug ?? (below + mm) / 2;
    if (shown.feel === 'snug') snug = mm;
    else below = mm;
  }
  return below;
}
const numberOf = (shown: Shown): number =>
  shown.kind === 'dial' ? shown.mm : shown.kind === 'digits' ? shown.value : Number.NaN;

/** Looks before every answer, handles every tool as it wants to be, and stops for what it has seen. */
export function careful(laid: Laid): Attempt {
  const at = new AtBench(laid);
  const found = new Set<string>();
  const { rig } = laid;
  for (let i = 0; i < 500; i++) {
    const { present, state } = at;
    if (!present || !state || state.steps.find((s) => s.id === rig.until)?.status === 'done') break;
    for (const f of rig.faults) if (f.sign?.(state, at.bench.handled)) found.add(f.id);
    const question = at.open()[0];
    if (question) {
      const shown = at.act({ do: 'look', step: present.id, item: question.id });
      const fault = rig.faults.find((f) => shown.kind === 'seen' && sameText(f.seen?.says, shown.text));
      if (fault) found.add(fault.id);
      const done = at.write('gate.answered', {
        step: present.id,
        item: question.id,
        answer: fault ? 'no' : 'yes',
        ...(question.note ? { note: laid.noted(present.id, question.id) || 'as it lies here' } : {}),
      });
      if (done) continue;
    }
    // What more could be read, and need not be, is left.
    const enough = present.blocking.length === 0 && found.size === 0;
    const place = enough ? null : at.place;
    if (place) {
      while (rig.ready?.(at.place?.key ?? '', at.bench.handled, at.bench.nutDeg) === 'blow')
        at.act({ do: 'blow' });
      while (rig.ready?.(place.key, at.bench.handled, at.bench.nutDeg) === 'stroke') at.act({ do: 'stroke' });
      const here = at.place ?? place;
      const kind = here.instrumentKinds[0] as Instrument['kind'];
      at.act({ do: 'at', step: present.id, key: here.key, kind });
      let value: number;
      if (kind === 'feeler') {
        at.act({ do: 'square' });
        value = feel(at);
      } else if (kind === 'dial') {
        at.act({ do: 'tap' });
        value = numberOf(at.act({ do: 'tap' }));
      } else value = numberOf(at.act({ do: 'rock' }));
      if (at.reading(here, value)) continue;
      break;
    }
    if (at.bolt(false)) continue;
    if (found.size > 0) break;
    if (!at.write('step.passed', { step: present.id })) break;
  }
  if (at.state) for (const f of rig.faults) if (f.sign?.(at.state, at.bench.handled)) found.add(f.id);
  return at.attempt({ fit: found.size === 0, faults: [...found] });
}

/** Ticks yes without looking, reads once as the tool was set down, jerks the wrench, and calls it fit before the end. */
export function careless(laid: Laid): Attempt {
  const at = new AtBench(laid);
  const chance = randomFrom(laid.seed + 99);
  const steps = at.state?.steps.length ?? 1;
  const enough = Math.max(2, Math.floor(steps * (0.35 + 0.3 * chance())));
  for (let i = 0; i < 400; i++) {
    const { present, state } = at;
    if (!present || !state || state.passes.length >= enough) break;
    if (state.steps.find((s) => s.id === laid.rig.until)?.status === 'done') break;
    const question = at.open()[0];
    if (
      question &&
      at.write('gate.answered', {
        step: present.id,
        item: question.id,
        answer: 'yes',
        ...(question.note ? { note: laid.noted(present.id, question.id) || 'ok' } : {}),
      })
    )
      continue;
    const place = at.place;
    if (place) {
      if (laid.rig.ready?.(place.key, at.bench.handled, at.bench.nutDeg) === 'blow') at.act({ do: 'blow' });
      if (laid.rig.ready?.(place.key, at.bench.handled, at.bench.nutDeg) === 'stroke')
        at.act({ do: 'stroke' });
      const here = at.place ?? place;
      const kind = here.instrumentKinds[0] as Instrument['kind'];
      const shown = at.act({ do: 'at', step: present.id, key: here.key, kind });
      // One blade that goes, whichever comes to hand.
      const truth = at.bench.trueAt(present.id, here.key);
      const thin = BLADES_MM.filter((b) => b < truth);
      const value =
        kind === 'feeler' ? (thin[Math.floor(thin.length * chance() * 0.8)] ?? 0.02) : numberOf(shown);
      if (at.reading(here, value)) continue;
      break;
    }
    if (at.bolt(true)) continue;
    if (!at.write('step.passed', { step: present.id })) break;
  }
  return at.attempt({ fit: true, faults: [] });
}

/** Writes whatever is let through. */
export function atRandom(laid: Laid): Attempt {
  const at = new AtBench(laid);
  const chance = randomFrom(laid.seed + 7);
  for (let i = 0; i < 40; i++) {
    const { present } = at;
    if (!present || chance() < 0.03) break;
    const question = at.open()[0];
    if (question) {
      at.write('gate.answered', {
        step: present.id,
        item: question.id,
        answer: chance() < 0.5 ? 'yes' : 'no',
        ...(question.note ? { note: '?' } : {}),
      });
      if (chance() < 0.7) continue;
    }
    const place = at.place;
    if (place) at.reading(place, place.low + (place.high - place.low) * chance());
    at.bolt(true);
    if (!at.write('step.passed', { step: present.id }) && chance() < 0.05) break;
  }
  const fault = laid.rig.faults[Math.floor(chance() * laid.rig.faults.length)];
  const fit = chance() < 0.5;
  return at.attempt({ fit, faults: fit || !fault ? [] : [fault.id] });
}
