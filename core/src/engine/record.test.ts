import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { check } from '../judgement/sentences.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, upTo } from '../testing/every-kind.ts';
import {
  asta,
  hand,
  handAt,
  imke,
  newId,
  refuses,
  round,
  step,
  tools,
  toTarget,
  whole,
} from '../testing/test-stand.ts';
import type { SealSetup } from '../trades/seal/setup.ts';
import type { SleeveSetup } from '../trades/sleeve-bearing/setup.ts';
import type { Author } from './author.ts';
import { sayClock, timeOf } from './clock.ts';
import type { JobEvent } from './events.ts';
import { eventSchema } from './events.ts';
import { apply, reduce } from './judge.ts';
import { isParams, paramsToSend, sameParams } from './params.ts';
import type { Setup } from './setup.ts';
import { take } from './take.ts';
import { upcast } from './upcast.ts';

const bram: Author = { id: 'bram', name: 'Bram', role: 'fitter' };

describe('an acceptance', () => {
  it('is bound to what was found, not to the words round it', () => {
    expect(sameParams({ runoutMm: 0.0712, station: 2 }, { station: 2, runoutMm: 0.0712 })).toBe(true);
    expect(sameParams({ runoutMm: 0.0712 }, { runoutMm: 0.0713 })).toBe(false);
    expect(sameParams({ e: 'EPDM', fluid: 'mineral oil' }, { e: 'NBR', fluid: 'mineral oil' })).toBe(false);
    expect(sameParams({ a: 1 }, { a: 1, b: null })).toBe(true);
    // Sums done in another order differ in their last digit.
    expect(sameParams({ a: 0.1 + 0.2 }, { a: 0.3 })).toBe(true);
    expect(isParams({ a: { b: 1 } }) || isParams([1]) || isParams({ a: Number.NaN })).toBe(false);
    // What a finding names comes back from JSON as the same.
    const scalar = fc.oneof(
      fc.double({ noNaN: true, noDefaultInfinity: true }),
      fc.string(),
      fc.boolean(),
      fc.constant(null),
    );
    fc.assert(
      fc.property(fc.dictionary(fc.string({ maxLength: 8 }), scalar, { maxKeys: 8 }), (params) => {
        const sent = paramsToSend(params);
        expect(isParams(sent)).toBe(true);
        expect(sameParams(JSON.parse(JSON.stringify(sent)), params)).toBe(true);
      }),
    );
  });

  it('of a material covers that material in that fluid and falls with either', () => {
    const setup = {
      ...(EVERY_KIND['cartridge seal'] as SealSetup),
      elastomer: 'EPDM',
      fluid: 'mineral oil',
    } as SealSetup;
    const h = upTo(handAt(setup), 'parts');
    const found = () => step(h, 'parts').report?.findings.find((f) => f.code === 'elastomer.fluid');
    expect(found()).toMatchObject({ verdict: 'reject', acceptable: true });
    h.by(imke).accept('parts', 'elastomer.fluid', 'for one shift only').by(asta);
    expect(step(h, 'parts').open.map((f) => f.code)).not.toContain('elastomer.fluid');
    h.do('setup.changed', {
      setup: { ...setup, elastomer: 'NBR', fluid: 'ketone' } as SealSetup,
      reason: 'other rings came',
    });
    expect(found()?.verdict).toBe('reject');
    expect(step(h, 'parts').open.map((f) => f.code)).toContain('elastomer.fluid');
    expect(() => h.answerAll('parts').pass('parts')).toThrow(/NBR/);
  });

  it('given before findings named their parameters is bound to the finding that stood then', () => {
    const h = hand().safe().survey(round).pass('shaft').gate('inboard');
    h.bench([
      [0.13, 0.13],
      [0.13, 0.13],
      [0.13, 0.13],
    ])
      .by(imke)
      .accept('bench', 'bench.class', 'agreed for one campaign');
    const old = h.events.map((e) => {
      if (e.type !== 'deviation.accepted') return e;
      const { params: _, ...data } = e.data;
      return { ...e, data: { ...data, numbers: [0.13, 0.045] } } as unknown as JobEvent;
    });
    expect(reduce(old.map(upcast))).toEqual(h.state);
    expect(h.state.steps.find((s) => s.id === 'bench')?.blocking).toEqual([]);
  });

  it('which named more than its finding names now is bound to it all the same, and to no other', () => {
    const h = hand().safe().survey(round).pass('shaft').gate('inboard');
    h.bench([
      [0.13, 0.13],
      [0.13, 0.13],
      [0.13, 0.13],
    ])
      .by(imke)
      .accept('bench', 'bench.class', 'agreed for one campaign');
    const named = (more: Record<string, number>) =>
      reduce(
        h.events
          .map((e) =>
            e.type === 'deviation.accepted'
              ? ({
                  ...e,
                  data: {
                    ...e.data,
                    stands: 'as it was said then',
                    params: { ...e.data.params, i: 0, ...more },
                  },
                } as unknown as JobEvent)
              : e,
          )
          .map(upcast),
      )?.steps.find((step) => step.id === 'bench')?.blocking;
    const [some] = Object.entries(h.state.deviations[0]?.params ?? {}).filter(
      ([, v]) => typeof v === 'number',
    );
    expect(some).toBeDefined();
    expect(named({})).toEqual([]);
    expect(named({ [some?.[0] ?? '']: 9 })).not.toEqual([]);
  });

  it('of before acts had names folds as the act its trade knows by that name: a bearing off, an impeller moved, a job named', () => {
    const OLD: Record<string, string> = {
      dismount: 'bearing.dismounted',
      'move-impeller': 'bearing.dismounted',
      'name-fixed': 'fixed.named',
    };
    const asBefore = (e: JobEvent) =>
      e.type === 'act.done'
        ? { ...e, type: OLD[e.data.act], data: e.data.params ?? { reason: e.data.reason } }
        : e;
    const bearing = upTo(handAt(EVERY_KIND['by feelers'] as Setup), 'lock').act(
      'dismount',
      undefined,
      'driven past the band',
    );
    const seal = upTo(handAt(EVERY_KIND['cartridge seal'] as Setup), 'handturn').act(
      'move-impeller',
      undefined,
      'rubs its wear ring',
    );
    const float = upTo(handAt(EVERY_KIND['split bearing, float'] as Setup), 'pedestal');
    for (const h of [bearing, seal, float]) {
      expect(h.state.done).toHaveLength(1);
      const old = h.events.map(asBefore) as unknown as JobEvent[];
      expect(old).not.toEqual(h.events);
      expect(reduce(old.map((e) => upcast(e)))).toEqual(h.state);
      for (const e of old) expect(check(eventSchema, upcast(e)).ok).toBe(true);
    }
  });

  it('that today’s rules do not know is left as it is', () => {
    for (const odd of [null, 3, 'x', {}, { type: 'constructor', data: {} }, { type: 'toString' }, []])
      expect(upcast(odd)).toBe(odd);
  });
});

describe('the clock an entry is made by', () => {
  const at = '2026-11-26T10:00:00.000Z';
  const later = (minutes: number) => new Date(Date.parse(at) + 60_000 * minutes).toISOString();

  it('is believed where it agrees with the server’s', () => {
    expect(timeOf({ at })).toEqual({ at });
    expect(timeOf({ at, stored: { at: later(1), sentAt: later(0.2) } })).toEqual({ at });
  });
  it('keeps the device’s time for what waited on it, marked', () => {
    const told = timeOf({ at, stored: { at: later(300), sentAt: later(300) } });
    expect(told).toMatchObject({ at, clock: { kind: 'offline', aheadS: 0 } });
  });
  it('gives way to the server’s where it is fast: a day ahead ends no wait', () => {
    const fast = timeOf({ at: later(26 * 60), stored: { at: later(0), sentAt: later(26 * 60) } });
    expect(fast).toMatchObject({ at, clock: { kind: 'off', aheadS: 26 * 3600 } });
    expect(sayClock(fast.clock as never, (x) => x)).toMatchObject({
      id: 'engine.devicesClockSaidStored',
      params: { span: '26 hours', when: '2026-11-27T12:00:00.000Z', when2: '2026-11-26T10:00:00.000Z' },
    });
    // Nor does one that says nothing of when it sent: nothing is later than the server had it.
    expect(timeOf({ at: later(26 * 60), stored: { at } }).at).toBe(at);
  });
  it('or slow', () => {
    expect(timeOf({ at, stored: { at: later(180), sentAt: at } })).toMatchObject({
      at: later(180),
      clock: { aheadS: -10800 },
    });
  });
  it('is a time that is in the calendar, in a year of machines', () => {
    const event = hand().events[0] as JobEvent;
    for (const bad of [
      '0000-01-01T00:00:00Z',
      '9999-12-31T00:00:00Z',
      '2026-02-31T00:00:00Z',
      '2026-13-01T00:00:00Z',
    ])
      expect(check(eventSchema, { ...event, at: bad }), bad).toMatchObject({ ok: false });
    expect(check(eventSchema, event)).toMatchObject({ ok: true });
    // What only the server writes nobody else may send.
    expect(check(eventSchema, { ...event, stored: { at } })).toMatchObject({ ok: false });
  });
});

describe('a limit typed after the readings it judges', () => {
  /** A seat read 0.1 under its size is a stop; the change says the maker's sheet allows it. */
  const small = round.map((d) => d - 0.25);
  const changed = (h: ReturnType<typeof hand>) =>
    h.do('setup.changed', {
      setup: { ...h.state.setup, maker: { shaftLowerMm: 89, shaftUpperMm: 91 } } as SleeveSetup,
      reason: 'as the sheet says',
    });

  it('goes on flagged, is asked before the start, and is signed only after a second person has looked', () => {
    const whole = {
      ...(EVERY_KIND['float, whole'] as SleeveSetup),
      role: 'fixed' as const,
      float: undefined,
    };
    const h = handAt(whole).safe().survey(small);
    expect(step(h, 'shaft').blocking.some((f) => f.verdict === 'reject')).toBe(true);
    changed(h);
    // A lone fitter on nights is not stopped.
    expect(english(step(h, 'shaft').report?.findings)).toContainEqual(
      expect.objectContaining({ code: 'shaft.unseen', verdict: 'caution' }),
    );
    h.pass('shaft');
    upTo(h, 'start');
    const asked = step(h, 'start').report?.also?.[0];
    expect(asked?.ask).toMatchObject({ id: 'engine.safeStartAlthoughStopLifted' });
    h.answerAll('start');
    refuses(() => h.pass('start'), /still to be answered for/);
    refuses(() => h.answer('start', asked?.id ?? '', 'none', 'no stop'), /never skipped/);
    h.answer('start', asked?.id ?? '', 'yes').pass('start');
    upTo(h, 'sign');
    refuses(() => h.do('sheet.signed', { name: 'Asta' }), /second person has still to look/);
    const change = h.state.setupChanges[0]?.id ?? '';
    refuses(() => h.do('change.seen', { change }), /another person/);
    h.by(bram).do('change.seen', { change });
    refuses(() => h.do('change.seen', { change }), /looked at it already/);
    h.by(asta).do('sheet.signed', { name: 'Asta' });
    const sheet = fitUpSheet(h.state, 'F-1');
    expect(sheet.setupChanges[0]).toMatchObject({ by: 'Asta', judged: true, seen: { by: 'Bram' } });
    expect(JSON.stringify(english(sheet.document))).toContain('looked at by Bram');
  });

  it('needs no look where nothing was read yet, nor where it lifts nothing', () => {
    const h = hand().safe();
    changed(h).survey(small).pass('shaft');
    const good = hand().safe().survey(round);
    changed(good).pass('shaft');
  });
});

describe('a step that was passed', () => {
  it('stays passed where a rule has become stricter since, and opens where what it stands on is touched', () => {
    const h = whole();
    const open = h.events.filter((e) => e.type !== 'sheet.signed');
    // By the rules of then a drive-up felt with one row twice another’s was in order: the streams of before hold such passes.
    const then = open.map((e) =>
      e.type === 'reading.taken' && e.data.place === 'deg150/B/1'
        ? ({ ...e, data: { ...e.data, value: 0.03 } } as JobEvent)
        : e,
    );
    const state = reduce(then);
    const drive = state?.steps.find((s) => s.id === 'driveup');
    expect(drive).toMatchObject({ status: 'done', byRulesOfThen: true });
    expect(drive?.blocking.map((f) => f.code)).toContain('driveup.rows');
    expect(state?.present).toBe('sign');
    if (!state) throw new Error('not opened');
    expect(JSON.stringify(english(fitUpSheet(state, 'F-1').document))).toMatch(/by the rules of then/);
    // A bench reading withdrawn: what stands on it is judged by today’s rules.
    const bench = state.readings.find((r) => r.step === 'bench');
    const again = apply(state, {
      ...(open.at(-1) as JobEvent),
      id: newId(),
      type: 'reading.withdrawn',
      data: { reading: bench?.id ?? '', reason: 'misread' },
    } as JobEvent);
    expect(again?.present).toBe('bench');
  });
});

describe('a planned hold', () => {
  it('leaves only by a lead hand', () => {
    const h = hand({ holdBefore: ['bolts'] });
    const without = { ...h.state.setup, holdBefore: [] };
    refuses(() => h.do('setup.changed', { setup: without, reason: 'not needed' }), /only by a lead hand/);
    h.by(imke).do('setup.changed', { setup: without, reason: 'not needed here' });
    // It stays on the record, as taken out with the change and by whom.
    expect(h.state.holds).toMatchObject([
      { step: 'bolts', planned: false, released: { author: { id: 'imke' } } },
    ]);
    expect(step(h, 'bolts').hold?.released).toBeDefined();
  });
});

describe('a signed sheet', () => {
  it('is opened again by its signer or a lead hand, with a reason, and signed anew as a revision', () => {
    const h = whole();
    refuses(() => h.by(bram).do('sheet.reopened', { reason: 'a gap was misread' }), /Only Asta/);
    refuses(() => h.by(asta).read('lock', 'turn', 1, 'protractor'), /a correction opens a revision/);
    h.do('sheet.reopened', { reason: 'a gap was misread' });
    expect(h.state.signed).toBeNull();
    expect(h.state.present).toBe('sign');
    const last = h.state.readings.findLast((r) => r.step === 'lock');
    h.do('reading.withdrawn', { reading: last?.id ?? '', reason: 'misread' });
    expect(h.state.present).toBe('lock');
    h.read('lock', last?.place ?? '', 0.05, 'feeler').pass('lock');
    // The cap came off for the blade: what stands on the gap is done anew.
    h.bolts().pass('bolts').answerAll('handturn').pass('handturn').do('sheet.signed', { name: 'asta ' });
    expect(h.state.signed).toMatchObject({ revision: 2 });
    expect(h.state.signatures.map((s) => s.revision)).toEqual([1, 2]);
    expect(fitUpSheet(h.state, 'F-1')).toMatchObject({
      revision: 2,
      revisions: [{ n: 2, reason: 'a gap was misread', signedBefore: 'Asta' }],
    });
  });

  it('stays done whatever today’s rules would say of it', () => {
    const h = whole();
    // The same events under a rule that would now stop it: a limit nobody meets.
    const events = h.events.map((e) =>
      e.type === 'job.opened'
        ? { ...e, data: { ...e.data, setup: { ...e.data.setup, maker: { leastResidualMm: 0.9 } } } }
        : e,
    ) as JobEvent[];
    const state = reduce(events);
    expect(state?.present).toBeNull();
    expect(state?.steps.every((s) => s.status === 'done')).toBe(true);
  });
});

describe('a step that cannot be worked out', () => {
  it('says so in its own place, and the rest of the sheet lives', () => {
    const h = toTarget();
    const broken = reduce(
      h.events.map((e) =>
        e.type === 'job.opened' ? { ...e, data: { ...e.data, setup: { ...e.data.setup, boreMm: 9999 } } } : e,
      ) as JobEvent[],
    );
    if (!broken) throw new Error('opened');
    const bench = broken.steps.find((s) => s.id === 'bench');
    expect(bench?.report?.failed).toMatchObject({
      id: 'arithmetic.bearings.clearanceClassesTabledBoresOver',
    });
    expect(bench?.report?.findings[0]).toMatchObject({
      code: 'bench.failed',
      verdict: 'incomplete',
    });
    expect(broken.steps.find((s) => s.id === 'shaft')?.status).toBe('done');
    expect(fitUpSheet(broken, null).readings).toHaveLength(h.state.readings.length);
  });

  it('is not opened in the first place: an act that would break it is refused in a sentence', () => {
    const h = hand().safe();
    const event = {
      id: newId(),
      jobId: h.jobId,
      at: '2026-11-24T09:00:00Z',
      author: asta,
      type: 'setup.changed',
      data: { setup: { ...h.state.setup, boreMm: 9999 }, reason: 'a slip' },
    } as JobEvent;
    expect(english(take(h.state, event))).toEqual({ refusal: expect.stringMatching(/cannot be worked out/) });
  });
});

describe('one event on', () => {
  it('judges only from the step it touches: the reports before it are the very same', () => {
    const h = toTarget();
    const before = h.state;
    const event = {
      id: newId(),
      jobId: h.jobId,
      at: '2026-11-24T09:00:00Z',
      author: asta,
      type: 'note.added',
      data: { text: 'windy' },
    } as JobEvent;
    const noted = apply(before, event);
    expect(english(noted?.steps)).toEqual(english(before.steps));
    for (const [i, s] of before.steps.entries()) expect(noted?.steps[i]).toBe(s);
    const read = hand().safe();
    const safe = read.state.steps[0];
    read.read('shaft', 's1/0', 89.97, 'micrometer');
    expect(read.state.steps[0]).toBe(safe);
    expect(tools.micrometer.kind).toBe('micrometer');
  });
});
