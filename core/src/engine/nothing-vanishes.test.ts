import { describe, expect, it } from 'vitest';
import { putField } from '../job/setup-form.ts';
import { check } from '../judgement/sentences.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, upTo, workStep } from '../testing/every-kind.ts';
import { chanceOf, RandomHand } from '../testing/random-hand.ts';
import { asta, handAt, imke, newId, refuses, step, surveyor } from '../testing/test-stand.ts';
import { seedOf, triesOf } from '../testing/tries.ts';
import type { SleeveSetup } from '../trades/sleeve-bearing/setup.ts';
import type { ConditionSetup } from '../trades/survey/setup.ts';
import { type Field, fieldsOf, valueIn } from './asked.ts';
import type { JobEvent } from './events.ts';
import { apply, reduce } from './judge.ts';
import type { Setup } from './setup.ts';
import type { JobState } from './state.ts';
import { standingStops } from './strike.ts';
import { take } from './take.ts';
import { setupSchema, tradeOf } from './trades.ts';
import { unseenSoFar } from './unseen.ts';

/** How many changes are tried on each job; 2000 are nearly all there are. */
const CHANGES = triesOf(4);
const SEED = seedOf(20261201);

/** What a field may be changed to: every choice, nothing, on and off, its bounds, a value on either side of what stands. */
function valuesFor(field: Field, now: unknown): unknown[] {
  if (field.name === 'holdBefore') return [[], ...(field.options ?? []).flatMap(([o]) => (o ? [[o]] : []))];
  if (field.options) return [undefined, ...field.options.map(([o]) => (field.numbered ? Number(o) : o))];
  if (field.quantity === 'flag') return [true, undefined];
  if (field.quantity === 'text') return [undefined, 'another'];
  if (field.quantity === 'list') return [undefined, [8, 10], []];
  const n = typeof now === 'number' ? now : 1;
  return [undefined, 0, 1, 2, 3, 4, 6, 8, 12, n / 2, n - 1, n + 1, 0.9 * n, 1.1 * n, 2 * n, 1000];
}

/** Setups that differ from one in one field, or in two. */
function* changesOf(setup: Setup, chance: () => number): Generator<Setup> {
  const fields = fieldsOf(tradeOf(setup).schema).filter((f) => !['machine', 'position'].includes(f.name));
  const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)] as T;
  for (;;) {
    let changed = setup;
    for (let n = chance() < 0.7 ? 1 : 2; n > 0; n--) {
      const field = pick(fields);
      changed = putField(changed, field.name, pick(valuesFor(field, valueIn(changed, field.name))));
    }
    if (check(setupSchema, changed).ok) yield changed;
  }
}

const change = (state: JobState, setup: Setup, author = asta): JobEvent =>
  ({
    id: newId(),
    jobId: state.jobId,
    at: '2026-11-25T06:00:00Z',
    author,
    type: 'setup.changed',
    data: { setup, reason: 'as it is here' },
  }) as JobEvent;

/** Everything a sheet tells that somebody recorded. */
function toldBy(state: JobState) {
  const sheet = fitUpSheet(state, 'F-1');
  const answers = [
    ...sheet.steps.flatMap((s) => [...s.answers, ...s.rounds.flatMap((r) => r.answers)]),
    ...(sheet.struck ?? []).flatMap((s) => s.answers),
  ].flatMap((a) => [a, ...(a.before ?? [])]);
  return {
    readings: new Set(sheet.readings.map((r) => r.id)),
    bolts: sheet.bolts.length,
    noes: answers.filter((a) => a.answer === 'no').length,
    answers: answers.length,
    deviations: sheet.deviations.length,
    holds: sheet.holds.length,
    text: JSON.stringify(english(sheet.document)),
  };
}

const stopsOf = (state: JobState): Array<{ step: string; code: string }> =>
  state.steps.flatMap((s) =>
    standingStops(state, s.id, s.report?.findings ?? []).map((f) => ({ step: s.id, code: f.code })),
  );

/** After a change by a fitter nothing is gone: what was recorded is told, a stop stands or its loss keeps the signature waiting. */
function nothingIsGone(before: JobState, after: JobState): void {
  const [was, is] = [toldBy(before), toldBy(after)];
  for (const id of was.readings) expect(is.readings).toContain(id);
  expect(is.bolts).toBeGreaterThanOrEqual(was.bolts);
  expect(is.noes).toBeGreaterThanOrEqual(was.noes);
  expect(is.answers).toBeGreaterThanOrEqual(was.answers);
  expect(is.deviations).toBeGreaterThanOrEqual(was.deviations);
  expect(is.holds).toBeGreaterThanOrEqual(was.holds);
  for (const h of before.holds.filter((x) => !x.released && before.steps.some((s) => s.id === x.step)))
    expect(after.holds.some((x) => x.step === h.step && !x.released)).toBe(true);
  // A stop that was reached still stands, or somebody else has to look before anybody signs.
  const reached = new Set(after.steps.filter((s) => s.report).map((s) => s.id));
  const lost = stopsOf(before).filter(
    ({ step: id, code }) =>
      !stopsOf(after).some((x) => x.step === id && x.code === code) &&
      (reached.has(id) || !after.steps.some((s) => s.id === id)),
  );
  if (lost.length > 0)
    expect(
      unseenSoFar(
        after,
        after.steps.map((s) => s.report),
      ).length,
      JSON.stringify(lost),
    ).toBeGreaterThan(0);
}

describe.each(Object.entries(EVERY_KIND))('a job %s', (_name, setup) => {
  it('keeps on its sheet all that was recorded, whatever is changed in its setup', () => {
    const chance = chanceOf(SEED);
    // Worked so far by anybody, with stops, noes and holds on it; and by the book to its end.
    const states: JobState[] = [1, 2, 3].flatMap((n) => {
      const hand = new RandomHand(chanceOf(SEED + n), setup);
      for (let i = 0; i < 60; i++) hand.step();
      return hand.state && !hand.state.signed ? [hand.state] : [];
    });
    const book = handAt(setup);
    for (let i = 0; i < 90 && book.state.present && book.state.present !== 'sign'; i++) {
      const at = book.state.present;
      workStep(book);
      book.pass(at);
    }
    states.push(book.state);
    let tried = 0;
    for (const state of states) {
      const changes = changesOf(state.setup, chance);
      for (let i = 0; i < CHANGES / states.length; i++) {
        const event = change(state, changes.next().value as Setup);
        const taken = take(state, event);
        if ('refusal' in taken) {
          expect(english(taken.refusal)).toMatch(/lead hand|worked out|together/);
          continue;
        }
        tried++;
        nothingIsGone(state, taken.state);
        // And back again: it begins anew, and what was struck stays.
        const back = apply(taken.state, change(taken.state, state.setup));
        if (back) nothingIsGone(state, back);
      }
    }
    expect(tried).toBeGreaterThan(0);
  }, 240_000);
});

describe('by trial these vanished', () => {
  const signs = (h: ReturnType<typeof surveyor>) => {
    for (let i = 0; i < 40 && h.state.present && h.state.present !== 'sign'; i++) {
      const at = h.state.present;
      if (at === 'runout') h.follow('runout', 'dial', () => 0);
      else workStep(h);
      h.pass(at);
    }
    return () => h.do('sheet.signed', { name: 'Asta' });
  };

  it('a shaft read 0.95 under, with its diameters unticked', () => {
    const h = surveyor({}, { measures: ['look', 'shaft', 'runout'] });
    upTo(h, 'shaft');
    h.follow('shaft', 'micrometer', () => (h.state.setup as unknown as ConditionSetup).shaftMm - 0.95);
    const stops = standingStops(h.state, 'shaft', step(h, 'shaft').report?.findings ?? []);
    expect(stops.length).toBeGreaterThan(0);
    const { readings } = h.state;
    h.do('setup.changed', {
      setup: {
        ...h.state.setup,
        condition: {
          ...(h.state.setup as unknown as ConditionSetup).condition,
          measures: ['look', 'runout'],
        },
      } as Setup,
      reason: 'not asked for',
    });
    expect(h.state.steps.some((s) => s.id === 'shaft')).toBe(false);
    const sheet = fitUpSheet(h.state, 'F-1');
    expect(sheet.readings.map((r) => r.id).sort()).toEqual(readings.map((r) => r.id).sort());
    expect(JSON.stringify(english(sheet.document))).toMatch(/Shaft[^"]*, struck/);
    refuses(signs(h), /second person has still to look/);
    h.by(imke)
      .do('change.seen', { change: h.state.setupChanges[0]?.id ?? '' })
      .by(asta);
    h.do('sheet.signed', { name: 'Asta' });
    expect(JSON.stringify(english(fitUpSheet(h.state, 'F-1').document))).toMatch(/looked at by Imke/);
  });

  it('a bearing whose shaft is dropped; and what comes back begins anew', () => {
    const measures = ['look', 'shaft', 'runout'] as const;
    const setup = {
      ...(EVERY_KIND['by feelers'] as SleeveSetup),
      condition: { measures: [...measures], runoutStations: 2, runoutAngles: 8 },
    } as SleeveSetup;
    const h = upTo(handAt(setup), 'runout');
    const drop = { ...setup, condition: { ...setup.condition, measures: ['look', 'runout'] } } as SleeveSetup;
    h.do('setup.changed', { setup: drop, reason: 'no micrometer here' });
    expect(h.state.struck).toMatchObject([{ step: 'shaft', whole: true }]);
    h.do('setup.changed', { setup, reason: 'one was found' });
    expect(h.state.present).toBe('shaft');
    expect(step(h, 'shaft').report?.next?.key).toBe('s1/0');
    expect(
      fitUpSheet(h.state, 'F-1').readings.filter((r) => r.step === 'shaft' && r.struck).length,
    ).toBeGreaterThan(5);
  });

  it('a hold before cap bolts, with the housing changed to one-piece: only a lead hand', () => {
    const setup = {
      ...(EVERY_KIND['by feelers'] as SleeveSetup),
      holdBefore: ['bolts'],
      closing: { order: 'room', seals: 'labyrinth', rings: 'both' },
    } as SleeveSetup;
    const h = handAt(setup);
    const onePiece = { ...setup, closing: { ...setup.closing, housing: 'one-piece' } } as SleeveSetup;
    refuses(() => h.do('setup.changed', { setup: onePiece, reason: 'no cap' }), /only by a lead hand/);
    // Planned at the opening it would hold nothing: that is said, and nothing is opened.
    refuses(() => handAt(onePiece), /no step “[^”]+” for a lead hand to release/);
    // One put in by hand as well.
    const free = handAt({ ...setup, holdBefore: [] } as SleeveSetup);
    free.do('step.held', { step: 'bolts', reason: 'a crack at the base' });
    refuses(
      () =>
        free.do('setup.changed', { setup: { ...onePiece, holdBefore: [] } as SleeveSetup, reason: 'no cap' }),
      /only by a lead hand/,
    );
  });

  it('five readings of a run-out that was too close to call: they stay, and the station left out is struck', () => {
    const h = surveyor({}, { measures: ['look', 'runout'], runoutStations: 2, runoutAngles: 8 });
    upTo(h, 'runout');
    h.follow('runout', 'dial', (p) =>
      p.key.startsWith('s2') ? 0.2 * Math.cos(((p.turn?.angleDeg ?? 0) * Math.PI) / 180) : 0,
    );
    const before = h.state.readings.length;
    const condition = (h.state.setup as unknown as ConditionSetup).condition;
    h.do('setup.changed', {
      setup: { ...h.state.setup, condition: { ...condition, runoutStations: 1 } } as Setup,
      reason: 'one station will do',
    });
    const sheet = fitUpSheet(h.state, 'F-1');
    expect(sheet.readings).toHaveLength(before);
    expect(sheet.readings.some((r) => r.struck)).toBe(true);
    refuses(signs(h), /second person has still to look/);
    expect(reduce(h.events)).toEqual(h.state);
  });
});
