import { describe, expect, it } from 'vitest';
import type { Place } from '../../engine/state.ts';
import { setupSchema, stepOf } from '../../engine/trades.ts';
import { summarise } from '../../job/summary.ts';
import { check } from '../../judgement/sentences.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import { diameterAt, STAND_IN_SHAFTS, type StandInShaft, surfaceAt } from '../../simulation/turning-shaft.ts';
import type { BoxBoreStepValues } from '../../steps/condition/box-bore.ts';
import type { BoxFaceStepValues } from '../../steps/condition/box-face.ts';
import type { CouplingStepValues } from '../../steps/condition/coupling.ts';
import { diameters } from '../../steps/condition/diameters.ts';
import type { RunoutStepValues } from '../../steps/condition/runout.ts';
import { english } from '../../testing/english.ts';
import {
  firstOf,
  gauge,
  hand,
  imke,
  refuses,
  round,
  setup,
  step,
  survey,
  surveyor,
  toBolts,
  valuesOf,
} from '../../testing/test-stand.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import { USUAL_SETUP } from '../sleeve-bearing/setup.ts';
import { conditionSetupSchema, USUAL_CONDITION } from './setup.ts';
import type { VerdictValues } from './verdict.ts';

const snap = (v: number, by = 0.001) => Math.round(v / by) * by;
/** What a dial reads on one of the stand-in's shafts at a place. */
const on = (shaft: StandInShaft) => (p: Place) =>
  snap(surfaceAt(STAND_IN_SHAFTS[shaft], p.turn?.atMm ?? 0, p.turn?.angleDeg ?? 0));
/** A seat that passes. */
const good = (h: BearingHand) =>
  h
    .safe()
    .answerAll('look')
    .pass('look')
    .follow('shaft', 'micrometer', () => 59.985)
    .pass('shaft');
const toRunout = (h = surveyor()) =>
  good(h)
    .follow('finish', 'roughness', () => 0.0005)
    .pass('finish');
const play = (h: BearingHand) =>
  h
    .read('play', 'end/push/1', 0, 'dial')
    .read('play', 'end/pull/1', 0.05, 'dial')
    .read('play', 'radial/rest/1', 0, 'dial')
    .read('play', 'radial/lift/1', 0.02, 'dial')
    .pass('play');
const verdicts = (h: BearingHand, id: string) =>
  Object.fromEntries((step(h, id).report?.findings ?? []).map((f) => [f.code, f.verdict]));

describe('a survey of a machine', () => {
  it('goes through the measures it asks for, in the order of the work, and ends with a verdict', () => {
    const h = toRunout().follow('runout', 'dial', on('true')).pass('runout');
    play(h)
      .answerAll('face')
      .follow('face', 'dial', () => 0)
      .pass('face');
    h.read('bore', 'sag', -0.06, 'dial')
      .follow('bore', 'dial', (p) => snap(0.03 * (1 - Math.cos(((p.turn?.angleDeg ?? 0) * Math.PI) / 180))))
      .pass('bore');
    expect(valuesOf<BoxBoreStepValues>(h, 'bore').eccentricityMm).toBeCloseTo(0, 3);
    expect(valuesOf<BoxFaceStepValues>(h, 'face').tirMm).toBe(0);
    expect(step(h, 'verdict').verdict).toBe('accept');
    h.pass('verdict').do('sheet.signed', { name: 'Asta' });
    expect(h.state.steps.map((s) => s.id)).toEqual([
      'safe',
      'look',
      'shaft',
      'finish',
      'runout',
      'play',
      'face',
      'bore',
      'verdict',
      'sign',
    ]);
    const sheet = fitUpSheet(h.state, 'H-0001');
    expect(sheet.procedure.id).toBe('condition.survey');
    expect(sheet.results.verdict).toBe('fit');
    // 0.006 is read; the waves through it come to a little more, and the larger is judged.
    expect(sheet.results.runoutMm).toBeCloseTo(0.006757, 6);
    expect(sheet.readings.find((r) => r.step === 'finish')).toMatchObject({ unit: 'µm', value: 0.5 });
    expect(summarise(h.state)).toMatchObject({ kind: 'condition.survey', role: null });
  });

  it.each([
    ['bent', 'bent', /^Bent/],
    ['off-centre', 'off-centre', /^Off centre/],
    ['bruised', 'local', /bruise/],
  ] as const)('a shaft that is %s is told so', (shaft, diagnosis, words) => {
    const h = toRunout(surveyor({}, { runoutAngles: 12 })).follow('runout', 'dial', on(shaft));
    expect(valuesOf<RunoutStepValues>(h, 'runout').bend?.diagnosis).toBe(diagnosis);
    expect(english(step(h, 'runout').report?.findings.find((f) => f.code === 'shaft.bend')?.reason)).toMatch(
      words,
    );
  });

  it('an oval shaft is told by its two waves at every station, and by the micrometer at right angles', () => {
    const h = surveyor().safe().answerAll('look').pass('look');
    h.follow('shaft', 'micrometer', (p) =>
      snap(diameterAt(STAND_IN_SHAFTS.oval, p.turn?.atMm ?? 0, p.turn?.angleDeg ?? 0)),
    );
    expect(verdicts(h, 'shaft')['shaft.form']).toBe('reject');
    h.pass('shaft')
      .follow('finish', 'roughness', () => 0.0005)
      .pass('finish')
      .follow('runout', 'dial', on('oval'));
    expect(valuesOf<RunoutStepValues>(h, 'runout').stations.map((s) => s.values.shape)).toEqual([
      'oval',
      'oval',
      'oval',
    ]);
  });

  it('goes on past a stop, carries it to the verdict, and can be signed as not fit', () => {
    const h = toRunout().follow('runout', 'dial', on('bent'));
    expect(verdicts(h, 'runout')['runout.tir.3']).toBe('reject');
    h.pass('runout');
    play(h)
      .answerAll('face')
      .follow('face', 'dial', () => 0)
      .pass('face');
    h.follow('bore', 'dial', () => 0).pass('bore');
    expect(valuesOf<VerdictValues>(h, 'verdict').fit).toBe('not-fit');
    expect(step(h, 'verdict').report?.act).toMatchObject({ id: 'survey.notFitReceivePart' });
    h.pass('verdict').do('sheet.signed', { name: 'Asta' });
    expect(h.state.signed).not.toBeNull();
  });

  it('a lead hand accepts what stands, by name, at the step itself; the verdict says so', () => {
    const h = toRunout().follow('runout', 'dial', on('bent')).pass('runout');
    play(h)
      .answerAll('face')
      .follow('face', 'dial', () => 0)
      .pass('face');
    h.follow('bore', 'dial', () => 0).pass('bore');
    refuses(() => h.accept('runout', 'runout.tir.3', 'slow machine'), /lead hand/);
    h.by(imke);
    for (const f of step(h, 'runout').report?.findings ?? [])
      if (f.verdict === 'reject') h.accept('runout', f.code, 'slow machine, packing not a seal');
    expect(valuesOf<VerdictValues>(h, 'verdict').fit).toBe('fit');
    expect(step(h, 'verdict').verdict).toBe('caution');
    refuses(() => h.accept('runout', 'runout.closing.1', 'for no reason'), /does not stand in the way/);
  });
});

describe('dress and measure again', () => {
  it('keeps both measurings side by side, judges the latest, and the sheet prints both', () => {
    const h = toRunout().follow('runout', 'dial', on('bruised')).pass('runout');
    h.do('measure.repeated', { step: 'runout', done: 'bruise filed, cloth round the shaft' });
    expect(step(h, 'runout').status).toBe('present');
    expect(step(h, 'runout').report?.next?.key).toBe('s1/0');
    expect(step(h, 'runout').report?.before).toHaveLength(1);
    h.follow('runout', 'dial', on('true')).pass('runout');
    const report = step(h, 'runout').report;
    const before = report?.before?.[0];
    expect(before?.done).toMatch(/filed/);
    expect(firstOf<RunoutStepValues>(h, 'runout').stations[1]?.values.tirMm).toBeGreaterThan(0.05);
    expect(valuesOf<RunoutStepValues>(h, 'runout').stations[1]?.values.tirMm).toBeLessThan(0.01);
    const sheet = fitUpSheet(h.state, null);
    expect(sheet.steps.find((s) => s.id === 'runout')?.before[0]).toMatchObject({ by: 'Asta' });
    const measurings = sheet.readings.filter((r) => r.step === 'runout').map((r) => r.measuring);
    expect(measurings.filter((m) => m === 1)).toHaveLength(27);
    expect(measurings.filter((m) => m === 2)).toHaveLength(27);
  });

  it('only a step that measures and has something measured, and was reached', () => {
    const h = surveyor().safe();
    refuses(
      () => h.do('measure.repeated', { step: 'safe', done: 'looked again' }),
      /not one to measure anew/,
    );
    h.answerAll('look').pass('look');
    refuses(() => h.do('measure.repeated', { step: 'shaft', done: 'dressed' }), /Nothing is measured/);
    refuses(() => h.do('measure.repeated', { step: 'runout', done: 'dressed' }), /not open yet/);
  });

  it('coupling: after the moves the second reading stands beside the first', () => {
    const h = surveyor(
      {},
      {
        measures: ['coupling'],
        couplingMethod: 'rim-and-face',
        speedRpm: 1480,
        faceDiameterMm: 120,
        frontFeetMm: 150,
        feetSpanMm: 400,
      },
    ).safe();
    h.read('coupling', 'rim/sag', -0.1, 'dial');
    const first = [0, -0.25, -0.5, -0.25, 0, -0.06, -0.12, -0.06];
    let i = 0;
    h.follow('coupling', 'dial', () => first[i++] ?? 0);
    const { vertical } = valuesOf<CouplingStepValues>(h, 'coupling').result ?? { vertical: null };
    expect(vertical?.frontMm).toBeCloseTo(-0.35, 9);
    expect(vertical?.backMm).toBeCloseTo(-0.75, 9);
    h.do('measure.repeated', { step: 'coupling', done: 'took out 0.35 front, 0.75 back' });
    h.read('coupling', 'rim/sag', -0.1, 'dial');
    h.follow('coupling', 'dial', (p) =>
      p.key === 'rim/180' ? -0.1 : p.key.startsWith('rim') && p.key !== 'rim/0' ? -0.05 : 0,
    );
    expect(step(h, 'coupling').verdict).toBe('accept');
    expect(firstOf<CouplingStepValues>(h, 'coupling').result?.vertical.offsetMm).toBeCloseTo(0.2, 9);
  });
});

describe('places of a turn', () => {
  it('any angle may be read; enough of them close the turn, and repeats are of an angle already read', () => {
    const h = toRunout();
    for (const a of [0, 22.5, 70, 100, 161.3, 200, 260, 300]) h.read('runout', `s1/${a}`, 0.001, 'dial');
    expect(step(h, 'runout').report?.next?.key).toBe('s1/360');
    refuses(() => h.read('runout', 's1/22.5', 0, 'dial'), /already has a reading/);
    refuses(() => h.read('runout', 's1/23/2', 0, 'dial'), /Nothing is read at 23°/);
    refuses(() => h.read('runout', 's1/400', 0, 'dial'), /no such place/);
    refuses(() => h.read('runout', 's9/0', 0, 'dial'), /no such place/);
    refuses(() => h.read('runout', 's2/360', 0, 'dial'), /only after the other angles/);
    h.read('runout', 's1/22.5/2', 0.002, 'dial').read('runout', 's1/360', 0.001, 'dial');
    expect(verdicts(h, 'runout')['runout.closing.1']).toBe('accept');
    expect(step(h, 'runout').report?.next?.key).toBe('s2/0');
  });

  it('is read with a dial that reaches both ways, not with feelers, and a slip of unit is not believed', () => {
    const h = toRunout();
    refuses(() => h.read('runout', 's1/0', 0.01, 'feeler'), /dial indicator, not with/);
    refuses(() => h.read('runout', 's1/0', 12, 'dial'), /not believable/);
    h.read('runout', 's1/0', -0.4, 'dial');
  });

  it('a place too close to call is measured again until it is settled', () => {
    // 90 h9: lower limit 89.913; on a step of 0.01 a reading of 89.92 cannot be called in any hand, known or not.
    const coarse = { ...gauge('coarse', 'micrometer', 0.01, 75, 100), hand: undefined };
    const h = hand().safe();
    const at = (place: string, value: number) =>
      h.do('reading.taken', { step: 'shaft', place, value, raw: '', instrument: coarse });
    const places = ['s1/0', 's1/60', 's1/120', 's2/0', 's2/60', 's2/120', 's3/0', 's3/60', 's3/120'];
    // So far apart that the places tell nothing of the hand.
    places.forEach((p, i) => {
      at(p, p === 's1/0' ? 89.92 : 89.93 + 0.018 * (i % 4));
    });
    expect(verdicts(h, 'shaft')['shaft.smallest']).toBe('too-close');
    expect(step(h, 'shaft').report?.findings.find((f) => f.code === 'shaft.smallest')?.remedy).toMatchObject({
      id: 'metrology.handNotKnownFinerGauge',
    });
    expect(english(step(h, 'shaft').report?.choices?.map((c) => c.label))).toContain('Smallest: three more');
    at('s1/0/2', 89.92);
    // Begun, the others are asked without a choice each time, as long as it is too close to call.
    if (verdicts(h, 'shaft')['shaft.smallest'] === 'too-close')
      expect(step(h, 'shaft').report?.next?.key).toBe('s1/0/3');
    at('s1/0/3', 89.92);
    // Three that agree tell a quiet hand to a step, and no nearer, however often it is pressed.
    expect(verdicts(h, 'shaft')['shaft.smallest']).toBe('too-close');
    for (const n of [4, 5, 6]) at(`s1/0/${n}`, 89.92);
    expect(verdicts(h, 'shaft')['shaft.smallest']).toBe('too-close');
  });

  it('what was read again with nothing done between counts together; what was dressed counts anew', () => {
    const h = hand().safe();
    const coarse = { ...gauge('coarse', 'micrometer', 0.01, 75, 100), hand: undefined };
    const round = (...mm: number[]) =>
      ['s1/0', 's1/60', 's1/120', 's2/0', 's2/60', 's2/120', 's3/0', 's3/60', 's3/120'].forEach(
        (place, i) => {
          h.do('reading.taken', {
            step: 'shaft',
            place,
            value: mm[i] ?? 89.94 + 0.016 * (i % 4),
            raw: '',
            instrument: coarse,
          });
        },
      );
    const smallest = () => verdicts(h, 'shaft')['shaft.smallest'];
    round(89.95);
    expect(smallest()).toBe('too-close');
    for (let i = 0; i < 2; i++) {
      h.do('measure.repeated', { step: 'shaft' });
      round(89.94, 89.96);
    }
    // Three of each place tell the hand by themselves: 0.037 inside the limit is settled.
    expect(smallest()).toBe('accept');
    expect(diameters.valuesOf(step(h, 'shaft').report ?? undefined)?.matrix[0]?.[0]).toBeCloseTo(
      (89.95 + 2 * 89.94) / 3,
      9,
    );
    h.do('measure.repeated', { step: 'shaft', done: 'dressed' });
    round();
    expect(smallest()).toBe('too-close');
    expect(step(h, 'shaft').report?.before).toHaveLength(3);
  });

  it('gauges out of date and stand-ins are said of the readings they took', () => {
    const h = toRunout();
    const standIn = { ...gauge('stand-in-dial', 'dial', 0.002, 0, 5, '2026-01-01'), standIn: true };
    h.do('reading.taken', {
      step: 'runout',
      place: 's1/0',
      value: 0,
      raw: '+0.000 mm',
      instrument: standIn,
      via: 'port',
    });
    expect(verdicts(h, 'runout')).toMatchObject({
      'gauge.stand-in': 'caution',
      'gauge.stand-in-dial': 'caution',
    });
    expect(fitUpSheet(h.state, null).readings.at(-1)).toMatchObject({ via: 'port', standIn: true });
  });
});

describe('schools and maker’s values of a job', () => {
  it('the house rule taken over judges; the maker’s value typed in place outranks it, and the sheet tells of the change', () => {
    const schools = { runout: 'standards', face: 'flat', endPlay: 'flat', decision: 'one-sided' } as const;
    const h = toRunout(surveyor({ schools })).follow('runout', 'dial', on('off-centre'));
    expect(valuesOf<RunoutStepValues>(h, 'runout').stations[0]?.values.limitMm).toBe(0.025);
    h.do('setup.changed', {
      setup: { ...survey, schools, maker: { runoutMm: 0.2 } },
      reason: 'maker’s sheet: run-out',
    });
    expect(valuesOf<RunoutStepValues>(h, 'runout').stations[0]?.values.limitMm).toBe(0.2);
    const f = step(h, 'runout').report?.findings.find((x) => x.code === 'runout.tir.1');
    expect(f).toMatchObject({ verdict: 'accept', source: 'maker' });
    expect(english(fitUpSheet(h.state, null).setupChanges[0]?.changed)).toEqual(['Run-out']);
    refuses(() => h.do('setup.changed', { setup, reason: 'another kind of job' }), /keeps its kind/);
  });

  it('a setup lacks what its measures need: said at that very field', () => {
    const faults = (change: object) => {
      const r = check(conditionSetupSchema, { ...survey, condition: { ...survey.condition, ...change } });
      return r.ok ? [] : r.faults.map((f) => f.path);
    };
    expect(faults({})).toEqual([]);
    // Read at its sweep, with the box in front of one.
    expect(faults({ boxBoreMm: undefined })).toEqual([]);
    expect(stepOf({ setup: survey }, 'face')?.needs).toContain('condition.boxBoreMm');
    expect(faults({ seat: 'throttle' })).toEqual(['condition.throttleBoreMm']);
    expect(faults({ measures: ['coupling'], speedRpm: 1480, frontFeetMm: 100, feetSpanMm: 300 })).toEqual([
      'condition.faceDiameterMm',
    ]);
    expect(faults({ measures: ['housings'] })).toEqual([
      'condition.housingSpanMm',
      'condition.housingWidthMm',
    ]);
    expect(faults({ measures: [] })).toEqual(['condition.measures']);
  });

  it('each kind of setup is judged by its own shape', () => {
    const name = { machine: 'M', position: 'P' };
    expect(check(setupSchema, { ...USUAL_SETUP, ...name }).ok).toBe(true);
    expect(check(setupSchema, { ...USUAL_CONDITION, ...name }).ok).toBe(true);
    expect(check(setupSchema, { ...USUAL_CONDITION, ...name, boreMm: 100 }).ok).toBe(false);
    expect(check(setupSchema, { ...USUAL_SETUP, ...name, procedure: 'condition.survey' }).ok).toBe(false);
  });
});

it('a sleeve under packing at its limit is cautioned, a seat at the same limit is too close to call', () => {
  const told = (seat: 'packing-sleeve' | 'mechanical-seal') => {
    const h = surveyor({ maker: { shaftLowerMm: 59.9, shaftUpperMm: 60 } }, { seat, measures: ['shaft'] });
    h.safe().follow('shaft', 'micrometer', () => 60);
    return verdicts(h, 'shaft')['shaft.largest'];
  };
  expect(told('mechanical-seal')).toBe('too-close');
  expect(told('packing-sleeve')).toBe('caution');
});

describe('the condition part of a fitting job', () => {
  it('comes before the bearing, and there a stop holds', () => {
    const h = hand({
      condition: { measures: ['look', 'shaft', 'runout'], runoutStations: 2, runoutAngles: 8 },
    });
    h.safe().answerAll('look').pass('look').survey(round).pass('shaft');
    expect(h.state.steps.map((s) => s.id).slice(0, 5)).toEqual([
      'safe',
      'look',
      'shaft',
      'runout',
      'inboard',
    ]);
    h.follow('runout', 'dial', on('bent'));
    expect(verdicts(h, 'runout')['runout.tir.2']).toBe('reject');
    h.do('measure.repeated', { step: 'runout', done: 'another shaft' });
    h.follow('runout', 'dial', on('oval'));
    expect(verdicts(h, 'runout')['runout.tir.1']).toBe('reject');
    refuses(() => h.pass('runout'), /Not yet: Run-out at station 1/);
    h.by(imke).accept('runout', 'runout.tir.1', 'slow drive').accept('runout', 'runout.tir.2', 'slow drive');
    h.pass('runout');
    expect(h.state.present).toBe('inboard');
  });

  it('soft foot and housings come last, before anything is turned', () => {
    const h = toBolts(
      hand({
        condition: {
          measures: ['shaft', 'softfoot', 'housings'],
          feet: 4,
          housings: 2,
          housingSpanMm: 1200,
          housingWidthMm: 80,
        },
      }),
    );
    h.bolts()
      .pass('bolts')
      .follow('softfoot', 'feeler', () => 0.02)
      .pass('softfoot');
    h.follow('housings', 'laser', () => 0).pass('housings');
    expect(h.state.present).toBe('handturn');
  });

  it('a job of before this part existed asks only for the diameters', () => {
    const { condition: _, ...old } = setup;
    const h = hand();
    h.do('setup.changed', { setup: old, reason: 'as it was' });
    expect(h.state.steps.map((s) => s.id)).toContain('shaft');
    expect(h.state.steps).toHaveLength(11);
  });
});
