import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Author, Instrument, JobEvent } from '../api/events.ts';
import { eventSchema } from '../api/events.ts';
import { check } from '../api/sentences.ts';
import { type Setup, setupSchema } from '../api/setup.ts';
import type { CapBoltValues } from '../procedures/kinds/cap-bolts.ts';
import type { DriveUpStepValues } from '../procedures/kinds/drive-up.ts';
import { sleeveBearing } from '../procedures/sleeve-bearing.ts';
import { type HandTools, ScriptedHand } from '../simulation/scripted-hand.ts';
import { admit, placeAt } from './admit.ts';
import { gather } from './facts.ts';
import { reduce } from './reduce.ts';
import { fitUpSheet } from './sheet.ts';
import type { StepReport } from './state.ts';
import { summarise } from './summary.ts';

const asta: Author = { id: 'asta', name: 'Asta', role: 'fitter' };
const imke: Author = { id: 'imke', name: 'Imke', role: 'lead' };
const oskar: Author = { id: 'oskar', name: 'Oskar', role: 'viewer' };

const gauge = (
  id: string,
  kind: Instrument['kind'],
  step: number,
  low: number,
  high: number,
  calibrationDue = '2027-06-01',
): Instrument => ({ id, name: id, kind, step, low, high, calibrationDue });
const tools: HandTools = {
  micrometer: gauge('mic', 'micrometer', 0.001, 75, 100),
  feeler: gauge('feelers', 'feeler', 0.005, 0.02, 1),
  wrench: gauge('wrench', 'wrench', 2, 60, 330),
  protractor: gauge('slot', 'protractor', 1, 0, 360),
};
const setup: Setup = {
  machine: 'Pulp press drive',
  position: 'Gearbox end, fixed',
  role: 'fixed',
  shaftSystem: 'metric',
  shaftMm: 90,
  boreMm: 100,
  taper: 12,
  clearanceClass: 'CN',
  pitchMm: 2,
  nutSlots: 4,
  washerTabs: 17,
  seatMm: 68,
  stations: 3,
  angles: 3,
  boltSize: 'M16',
  boltGrade: '8.8',
  boltCount: 4,
  boltLayout: 'rectangle',
  friction: 'oiled',
  holdBefore: [],
  feltAt: 'top',
  feel: 'snug',
  maker: {},
};
const round = [89.974, 89.972, 89.976, 89.973, 89.971, 89.975, 89.972, 89.97, 89.974];

let count = 0;
const newId = () => `018f0000-0000-7000-8000-${String(++count).padStart(12, '0')}`;
const JOB = '018f0000-0000-7000-8000-aaaaaaaaaaaa';

const hand = (change: Partial<Setup> = {}) =>
  new ScriptedHand(JOB, newId, tools, asta, new Date('2026-11-24T06:00:00Z')).open(
    '018f0000-0000-7000-8000-bbbbbbbbbbbb',
    { ...setup, ...change },
  );
const toTarget = (h = hand()) =>
  h
    .safe()
    .survey(round)
    .pass('shaft')
    .bench([
      [0.1, 0.1],
      [0.1, 0.105],
      [0.1, 0.1],
    ])
    .pass('bench');
const toDriveUp = (h = hand()) => toTarget(h).pass('target');
const toLock = (h = hand()) =>
  toDriveUp(h)
    .drive(0, 0.1, 0.1)
    .drive(45, 0.085, 0.085)
    .drive(90, 0.07, 0.07)
    .drive(135, 0.055, 0.055)
    .read('driveup', 'lock/deg135', 3, 'protractor')
    .drive(150, 0.05, 0.05)
    .pass('driveup');
const toBolts = (h = hand()) =>
  toLock(h)
    .lock(3, [
      [0.05, 0.045],
      [0.05, 0.045],
      [0.045, 0.05],
    ])
    .pass('lock');
const whole = (h = hand()) =>
  toBolts(h)
    .bolts()
    .pass('bolts')
    .answerAll('handturn')
    .pass('handturn')
    .do('sheet.signed', { name: 'Asta' });
const step = (h: ScriptedHand, id: string) => {
  const s = h.state.steps.find((x) => x.id === id);
  if (!s) throw new Error(id);
  return s;
};
const refuses = (act: () => unknown, words: RegExp) => expect(act).toThrow(words);

beforeEach(() => {
  count = 0;
});

describe('the job in order', () => {
  it('goes from the gate to the signature', () => {
    const h = whole();
    expect(h.state.steps.map((s) => s.status)).toEqual(Array(9).fill('done'));
    expect(h.state.signed).toMatchObject({ name: 'Asta' });
    expect(h.state.present).toBeNull();
  });

  it('opens nothing after the gate before every question is answered yes', () => {
    const h = hand();
    refuses(() => h.read('shaft', 's1/0', 89.97, 'micrometer'), /not open yet/);
    h.do('gate.answered', { step: 'safe', item: 'isolated', answer: 'yes' });
    refuses(() => h.pass('safe'), /8 of 9/);
    h.answerAll('safe').do('gate.answered', { step: 'safe', item: 'parts', answer: 'no', note: 'no washer' });
    refuses(() => h.pass('safe'), /Answered no/);
    h.do('gate.answered', { step: 'safe', item: 'parts', answer: 'yes' }).pass('safe');
    expect(h.state.present).toBe('shaft');
  });

  it('takes no reading twice at one place, and none that cannot be believed', () => {
    const h = hand().safe().read('shaft', 's1/0', 89.97, 'micrometer');
    refuses(() => h.read('shaft', 's1/0', 89.97, 'micrometer'), /already has a reading/);
    refuses(() => h.read('shaft', 's1/60', 50, 'micrometer'), /not believable/);
    refuses(() => h.read('shaft', 's9/60', 89.97, 'micrometer'), /no such place/);
    refuses(() => h.read('shaft', 's1/60', 89.97, 'feeler'), /micrometer/);
    refuses(
      () =>
        h.do('reading.taken', {
          step: 'shaft',
          place: 's1/60',
          value: 89.97,
          raw: 'x',
          instrument: gauge('small', 'micrometer', 0.001, 0, 25),
        }),
      /does not reach/,
    );
  });

  it('a reading withdrawn stays on the record and opens its step again', () => {
    const h = hand().safe().survey(round).pass('shaft');
    const first = h.state.readings[0];
    h.do('reading.withdrawn', { reading: first?.id ?? '', reason: 'anvil was dirty' });
    expect(h.state.present).toBe('shaft');
    expect(h.state.readings).toHaveLength(9);
    expect(h.state.readings[0]?.withdrawn).toMatchObject({ reason: 'anvil was dirty' });
    refuses(() => h.do('reading.withdrawn', { reading: first?.id ?? '', reason: 'once more' }), /already/);
    h.read('shaft', 's1/0', 89.973, 'micrometer').pass('shaft');
    expect(h.state.present).toBe('bench');
  });

  it('bench clearance out of class stops until felt anew or accepted by a lead hand', () => {
    const h = hand()
      .safe()
      .survey(round)
      .pass('shaft')
      .bench([
        [0.13, 0.13],
        [0.13, 0.13],
        [0.13, 0.13],
      ]);
    refuses(() => h.pass('bench'), /out of its class/);
    refuses(
      () =>
        h.do('deviation.accepted', { step: 'bench', finding: 'bench.class', reason: 'it is what we have' }),
      /lead hand/,
    );
    h.by(imke)
      .do('deviation.accepted', {
        step: 'bench',
        finding: 'bench.class',
        reason: 'C3 agreed with the engineer',
      })
      .by(asta)
      .pass('bench');
    expect(h.state.present).toBe('target');
    expect(h.state.deviations[0]?.author.name).toBe('Imke');
  });

  it('names the set whose rows differ, and takes the set anew after withdrawal', () => {
    const h = hand()
      .safe()
      .survey(round)
      .pass('shaft')
      .bench([
        [0.1, 0.1],
        [0.1, 0.12],
        [0.1, 0.1],
      ]);
    expect(step(h, 'bench').blocking[0]?.code).toBe('bench.rows.2');
    for (const r of h.state.readings.filter((x) => x.place.startsWith('set2')))
      h.do('reading.withdrawn', { reading: r.id, reason: 'ring was tilted' });
    h.bench([[0.1, 0.1]], 2).pass('bench');
    expect(h.state.present).toBe('target');
  });
});

describe('drive-up and lock', () => {
  it('begins at zero, never goes back, feels both rows before the nut goes on', () => {
    const h = toDriveUp();
    refuses(() => h.drive(45, 0.08, 0.08), /zero of the angle/);
    h.drive(0, 0.1, 0.1).drive(45, 0.085, 0.085);
    refuses(() => h.drive(22.5, 0.09, 0.09), /never back/);
    h.read('driveup', 'deg90/A/1', 0.07, 'feeler');
    refuses(() => h.read('driveup', 'deg135/A/1', 0.05, 'feeler'), /Only one row/);
  });

  it('bench clearance can no longer be felt once the nut has pulled', () => {
    const h = toDriveUp().drive(0, 0.1, 0.1);
    for (const r of h.state.readings.filter((x) => x.place === 'set3/A'))
      h.do('reading.withdrawn', { reading: r.id, reason: 'misread' });
    expect(h.state.present).toBe('bench');
    refuses(() => h.read('bench', 'set3/A', 0.1, 'feeler'), /no longer be felt/);
  });

  it('over-driven is a stop: no reading, no signature helps, only dismounting and a new zero', () => {
    const h = toDriveUp().drive(0, 0.1, 0.1).drive(90, 0.07, 0.07).drive(225, 0.025, 0.025);
    expect(step(h, 'driveup').blocking[0]).toMatchObject({ code: 'driveup.over-driven', acceptable: false });
    refuses(() => h.drive(270, 0.03, 0.03), /over-driven/);
    refuses(() => h.read('driveup', 'deg225/A/2', 0.06, 'feeler'), /over-driven/);
    refuses(() => h.pass('driveup'), /Over-driven/);
    refuses(
      () =>
        h.by(imke).do('deviation.accepted', {
          step: 'driveup',
          finding: 'driveup.over-driven',
          reason: 'leave it so',
        }),
      /put right/,
    );
    h.by(asta).do('bearing.dismounted', { reason: 'driven past the band' });
    expect(h.state.attempt).toBe(2);
    expect(h.state.present).toBe('bench');
    expect(step(h, 'shaft').status).toBe('done');
    refuses(
      () =>
        h
          .bench([
            [0.1, 0.1],
            [0.1, 0.1],
            [0.1, 0.1],
          ])
          .pass('bench'),
      /inspected/,
    );
    h.answerAll('bench').pass('bench').pass('target').drive(0, 0.1, 0.1);
    expect(h.state.readings.filter((r) => r.attempt === 1 && r.step === 'driveup')).toHaveLength(6);
  });

  it('a misread that looked over-driven can be withdrawn', () => {
    const h = toDriveUp().drive(0, 0.1, 0.1).drive(90, 0.07, 0.07).drive(135, 0.03, 0.03);
    for (const r of h.state.readings.filter((x) => x.place.startsWith('deg135')))
      h.do('reading.withdrawn', { reading: r.id, reason: 'wrong blade' });
    expect(step(h, 'driveup').blocking[0]?.code).not.toBe('driveup.over-driven');
    h.drive(135, 0.055, 0.055);
  });

  it('tells before the last eighth where a tab meets and what it costs', () => {
    const h = toDriveUp()
      .drive(0, 0.1, 0.1)
      .read('driveup', 'lock/deg0', 4, 'protractor')
      .drive(45, 0.085, 0.085)
      .drive(90, 0.07, 0.07);
    const v = step(h, 'driveup').report?.values as DriveUpStepValues;
    // 4 slots, 17 tabs: alignments stand 360/68° apart; the first was 4° on from zero, so at 90° the next is on at:
    const spacing = 360 / 68;
    expect(v.lock.least?.forwardDeg).toBeCloseTo((((4 - 90) % spacing) + spacing) % spacing, 2);
    expect(v.lock.best?.inBand).toBe(true);
    expect(v.lock.best?.reductionMm).toBeGreaterThan(0.045);
    refuses(() => h.read('driveup', 'lock/deg45', 4, 'protractor'), /stands now/);
  });

  it('the lock goes forward only, and its own readings decide the residual', () => {
    const h = toLock();
    refuses(() => h.read('lock', 'final/A/1', 0.05, 'feeler'), /turned on/);
    refuses(() => h.read('lock', 'turn', -2, 'protractor'), /forward only/);
    h.lock(3, [
      [0.05, 0.045],
      [0.05, 0.045],
      [0.045, 0.05],
    ]);
    expect(step(h, 'lock').blocking).toEqual([]);
    const over = toLock().lock(30, [[0.025, 0.025]]);
    expect(step(over, 'lock').blocking[0]?.code).toBe('driveup.over-driven');
    refuses(() => over.read('lock', 'final/A/2', 0.05, 'feeler'), /over-driven/);
    over.do('bearing.dismounted', { reason: 'lock turned too far' });
    expect(over.state.present).toBe('bench');
  });

  it('a lock too close to call asks for repeats, and they settle it', () => {
    const h = toLock().lock(3, [[0.055, 0.055]]);
    expect(step(h, 'lock').verdict).toBe('too-close');
    refuses(() => h.pass('lock'), /too close/);
    for (const n of [2, 3, 4, 5])
      h.read('lock', `final/A/${n}`, 0.05, 'feeler').read('lock', `final/B/${n}`, 0.05, 'feeler');
    expect(step(h, 'lock').blocking).toEqual([]);
  });
});

describe('cap bolts', () => {
  const next = (h: ScriptedHand) =>
    (step(h, 'bolts').report as StepReport & { values: CapBoltValues }).values.next;

  it('go in the pattern, pass by pass, at the torque of the pass', () => {
    const h = toBolts();
    expect(next(h)).toEqual({ pass: 0, bolt: 1, torqueNm: null });
    refuses(
      () => h.do('bolt.tightened', { pass: 0, bolt: 2, torqueNm: 0, instrument: tools.wrench }),
      /bolt 1 is next/,
    );
    h.bolts(4);
    expect(next(h)).toMatchObject({ pass: 1, bolt: 1 });
    refuses(
      () => h.do('bolt.tightened', { pass: 1, bolt: 1, torqueNm: 300, instrument: tools.wrench }),
      /not the 30 % torque/,
    );
    h.bolts();
    expect(h.state.ticks).toHaveLength(20);
    expect(next(h)).toBeNull();
  });

  it('another round while a bolt still moves; loosened bolts begin at the first pass', () => {
    const h = toBolts().bolts(16);
    const n = next(h);
    h.do('bolt.tightened', {
      pass: n?.pass ?? 0,
      bolt: n?.bolt ?? 0,
      torqueNm: n?.torqueNm ?? 0,
      moved: true,
      instrument: tools.wrench,
    }).bolts(3);
    expect(next(h)).toMatchObject({ pass: 5, bolt: 1 });
    refuses(() => h.pass('bolts'), /bolt 1 is next/);
    h.bolts(4).do('bolts.loosened', { reason: 'seal ring was pinched' });
    expect(next(h)).toMatchObject({ pass: 0, bolt: 1 });
    h.bolts().pass('bolts');
    expect(h.state.present).toBe('handturn');
  });
});

describe('holds, roles, setup', () => {
  it('a planned hold stops the step until a lead hand releases it', () => {
    const h = toTarget(hand({ holdBefore: ['driveup'] })).pass('target');
    expect(summarise(h.state).held).toMatch(/Hold point/);
    refuses(() => h.drive(0, 0.1, 0.1), /is held/);
    refuses(() => h.do('step.released', { step: 'driveup' }), /lead hand/);
    h.by(imke).do('step.released', { step: 'driveup', note: 'go on' }).by(asta).drive(0, 0.1, 0.1);
    expect(summarise(h.state).rail.find((m) => m.id === 'driveup')?.hold).toBe('released');
  });

  it('anyone may hold, with a reason; it is not held twice', () => {
    const h = toDriveUp().do('step.held', { step: 'driveup', reason: 'spanner is missing' });
    refuses(() => h.do('step.held', { step: 'driveup', reason: 'again' }), /already/);
    refuses(() => h.do('step.held', { step: 'shaft', reason: 'too late' }), /passed/);
    h.by(imke).do('step.released', { step: 'driveup' });
    refuses(() => h.do('step.released', { step: 'driveup' }), /Nothing holds/);
  });

  it('a viewer records nothing; a signed sheet takes only notes', () => {
    refuses(() => hand().by(oskar).do('note.added', { text: 'hello' }), /viewer/);
    const h = whole();
    refuses(() => h.do('setup.changed', { setup, reason: 'after the fact' }), /signed/);
    h.do('note.added', { text: 'grease on Friday' });
    expect(h.state.notes).toHaveLength(1);
  });

  it('a changed setup judges everything anew and stays on the record', () => {
    const h = toTarget();
    h.do('setup.changed', {
      setup: {
        ...setup,
        maker: { leastResidualMm: 0.03, reductionMinMm: 0.05, reductionMaxMm: 0.058 },
        clearanceClass: 'CN',
      },
      reason: 'sheet came with the box',
    });
    expect(h.state.steps.find((s) => s.id === 'target')?.report?.findings[0]?.source).toBe('maker');
    h.do('setup.changed', { setup: { ...setup, clearanceClass: 'C3' }, reason: 'ring says C3' });
    expect(h.state.present).toBe('bench');
    expect(fitUpSheet(sleeveBearing, h.state, h.events, null).setupChanges.map((c) => c.changed)).toEqual([
      ['maker.leastResidualMm', 'maker.reductionMinMm', 'maker.reductionMaxMm'],
      ['clearanceClass', 'maker.leastResidualMm', 'maker.reductionMinMm', 'maker.reductionMaxMm'],
    ]);
  });

  it('an overdue gauge warns at the step and on the sheet', () => {
    const late = gauge('old', 'micrometer', 0.001, 75, 100, '2026-11-01');
    const h = hand()
      .safe()
      .do('reading.taken', { step: 'shaft', place: 's1/0', value: 89.97, raw: '89.97', instrument: late });
    expect(step(h, 'shaft').report?.findings.find((f) => f.code === 'gauge.old')).toMatchObject({
      verdict: 'caution',
    });
  });
});

describe('the reducer', () => {
  it('an event met twice is one event', () => {
    const h = toBolts();
    expect(reduce(sleeveBearing, [...h.events, ...h.events])).toEqual(h.state);
    expect(gather([])).toBeNull();
  });

  it('in every state on the way, what is refused is refused with a sentence, and what the next place is can be read', () => {
    const events = whole().events;
    const tries = (jobId: string): JobEvent[] =>
      [
        ...sleeveBearing.steps.map((s) => ({ type: 'step.passed' as const, data: { step: s.id } })),
        {
          type: 'reading.taken' as const,
          data: { step: 'driveup', place: 'deg0/A/1', value: 0.1, raw: '', instrument: tools.feeler },
        },
        {
          type: 'bolt.tightened' as const,
          data: { pass: 0, bolt: 3, torqueNm: 0, instrument: tools.wrench },
        },
        { type: 'sheet.signed' as const, data: { name: 'Asta' } },
      ].map((e) => ({ id: newId(), jobId, at: '2026-11-24T12:00:00Z', author: asta, ...e }) as JobEvent);
    for (let n = 1; n <= events.length; n++) {
      const state = reduce(sleeveBearing, events.slice(0, n));
      if (!state) throw new Error('opened');
      const at = state.steps.findIndex((s) => s.id === state.present);
      for (const e of tries(JOB)) {
        const refusal = admit(sleeveBearing, state, e);
        if (refusal !== null) expect(refusal).toMatch(/[.?:]/);
        // Nothing beyond the present step is ever let through.
        if (e.type === 'step.passed' && sleeveBearing.steps.findIndex((s) => s.id === e.data.step) !== at)
          expect(refusal).not.toBeNull();
        if (e.type === 'sheet.signed' && state.present !== 'sign') expect(refusal).not.toBeNull();
      }
      const next = state.steps[at]?.report?.next;
      if (next && state.present) expect(placeAt(sleeveBearing, state, state.present, next.key)).toEqual(next);
      expect(state.steps.filter((s) => s.status === 'present')).toHaveLength(state.signed ? 0 : 1);
    }
  });

  it('any order of admitted acts leaves one present step with all before it done', () => {
    const all = whole().events;
    fc.assert(
      fc.property(fc.shuffledSubarray(all.slice(1), { minLength: 5 }), (subset) => {
        let events: JobEvent[] = all.slice(0, 1);
        for (const e of subset) {
          const state = reduce(sleeveBearing, events);
          if (admit(sleeveBearing, state, e) === null) events = [...events, e];
        }
        const state = reduce(sleeveBearing, events);
        const statuses = state?.steps.map((s) => s.status) ?? [];
        const at = statuses.indexOf('present');
        if (at >= 0) {
          expect(statuses.slice(0, at).every((s) => s === 'done')).toBe(true);
          expect(statuses.slice(at + 1).every((s) => s === 'closed')).toBe(true);
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe('the sheet and the shapes', () => {
  it('carries every reading with who, when and instrument, every limit with its source, and no marks of ours', () => {
    const h = whole();
    const sheet = fitUpSheet(sleeveBearing, h.state, h.events, 'H-0001');
    expect(sheet.readings).toHaveLength(h.state.readings.length);
    for (const r of sheet.readings)
      expect(r.by && r.at && r.instrument && r.typed && r.calibrationDue).toBeTruthy();
    expect(sheet.bolts).toHaveLength(20);
    expect(sheet.results).toMatchObject({ largestMm: 89.976, smallestMm: 89.97, nutDeg: 153 });
    expect(sheet.results.residualMm).toBeCloseTo(0.0475, 6);
    expect(sheet.sources.map((s) => s.id)).toEqual(
      expect.arrayContaining(['iso-286', 'iso-5753', 'bearing-handbooks', 'short-torque']),
    );
    expect(JSON.stringify(sheet)).not.toMatch(/[⟦⟧]/);
    expect(sheet.steps.every((s) => s.status === 'done')).toBe(true);
  });

  it('events are checked strictly: unknown fields, wrong versions of id, wild numbers', () => {
    const [opened] = hand().events;
    expect(check(eventSchema, opened).ok).toBe(true);
    const faults = (change: object) => {
      const r = check(eventSchema, { ...opened, ...change });
      return r.ok ? [] : r.faults.map((f) => f.message);
    };
    expect(faults({ extra: 1 }).join()).toMatch(/Unknown here: extra/);
    expect(faults({ id: 'x' }).join()).toMatch(/version 7/);
    expect(faults({ type: 'job.erased' }).join()).toMatch(/one of/);
    expect(faults({ at: 'yesterday' }).join()).toMatch(/time of an event/);
    expect(faults({ at: '2026-13-45T06:30:00Z' }).join()).toMatch(/not a real time/);
    expect(faults({ data: { positionId: JOB, setup: { ...setup, boreMm: Number.NaN } } })).not.toEqual([]);
  });

  it('a setup that cannot be is refused in words', () => {
    const fault = (change: Partial<Setup>) => {
      const r = check(setupSchema, { ...setup, ...change });
      return r.ok ? '' : r.faults.map((f) => f.message).join();
    };
    expect(fault({})).toBe('');
    expect(fault({ shaftMm: 100 })).toMatch(/sleeve stands between/);
    expect(fault({ boltCount: 5 })).toMatch(/even number/);
    expect(fault({ hollowBoreMm: 95 })).toMatch(/thicker/);
    expect(fault({ maker: { reductionMinMm: 0.06, reductionMaxMm: 0.05 } })).toMatch(/lower limit/);
    expect(fault({ machine: '' })).toMatch(/machine is missing/);
  });
});
