import { describe, expect, it } from 'vitest';
import { procedureFor, setupSchema } from '../../engine/trades.ts';
import { check } from '../../judgement/sentences.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import { EVERY_KIND, upTo, workAll, workStep } from '../../testing/every-kind.ts';
import { but, handAt } from '../../testing/test-stand.ts';
import type { BreakInStepValues } from '../packing/breaking-in.ts';
import { packing } from '../packing/example.ts';
import { plunger } from '../plunger/example.ts';
import { wornSeal } from '../seal-wear/example.ts';
import type { WearWatchValues } from '../seal-wear/wear-watch.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import { cartridgeSeal, componentSeal, fullySplitSeal } from './example.ts';
import type { SettingStepValues } from './setting.ts';
import type { SealSetup } from './setup.ts';

const report = (h: BearingHand, step: string) => h.state.steps.find((s) => s.id === step)?.report;
/** What a step came to. */
function values<T>(h: BearingHand, step: string): T {
  const found = report(h, step)?.values;
  if (!found) throw new Error(`${step} has no values.`);
  return found as T;
}
const setupOf = (kind: string): SealSetup => EVERY_KIND[kind] as SealSetup;
const ids = (setup: SealSetup) => procedureFor(setup).steps.map((s) => s.id);
const answer = (h: BearingHand, step: string, item: string, a: 'yes' | 'no') =>
  h.do('gate.answered', { step, item, answer: a });

describe('the order of a cartridge', () => {
  it('keeps set screws shut until the impeller is adjusted and the gland bolts are done', () => {
    const order = ids(cartridgeSeal);
    expect(order.indexOf('impeller')).toBeLessThan(order.indexOf('glandbolts'));
    expect(order.indexOf('glandbolts')).toBeLessThan(order.indexOf('screws'));
    expect(order.indexOf('screws')).toBeLessThan(order.indexOf('clips'));
    const h = upTo(handAt(cartridgeSeal), 'impeller');
    expect(() =>
      h.do('bolt.tightened', {
        step: 'screws',
        pass: 0,
        bolt: 1,
        torqueNm: 0,
        instrument: h.state.readings[0]?.instrument as never,
      }),
    ).toThrow(/Set screws/);
  });

  it('takes clips before screws by the other school', () => {
    const order = ids({ ...cartridgeSeal, tail: 'clips-first' });
    expect(order.indexOf('clips')).toBeLessThan(order.indexOf('screws'));
    expect(order.indexOf('glandbolts')).toBeLessThan(order.indexOf('clips'));
  });

  it('tightens every dog point before the first cup point', () => {
    const h = upTo(handAt(cartridgeSeal), 'screws');
    const { passes } = values<{ passes: Array<{ order: number[] }> }>(h, 'screws');
    const dogs = passes.filter((p) => p.order.every((b) => b <= 3));
    const cups = passes.filter((p) => p.order.every((b) => b > 3));
    expect(dogs.length).toBeGreaterThan(0);
    expect(passes.lastIndexOf(dogs.at(-1) as never)).toBeLessThan(passes.indexOf(cups[0] as never));
    expect(() =>
      h.do('bolt.tightened', {
        step: 'screws',
        pass: 0,
        bolt: 4,
        torqueNm: 0,
        instrument: h.state.ticks[0]?.instrument as never,
      }),
    ).toThrow(/screw \d is next/);
  });

  it('does not start with a clip left in', () => {
    const h = upTo(handAt(cartridgeSeal), 'clips');
    answer(h, 'clips', 'off', 'no');
    expect(() => h.pass('clips')).toThrow(/Answered no/);
    expect(() => h.pass('ready')).toThrow();
  });

  it('says a torque that looks like another unit', () => {
    const h = upTo(handAt({ ...cartridgeSeal, screwNm: 55 }), 'screws');
    expect(report(h, 'screws')?.findings.find((f) => f.code === 'screws.torque')).toMatchObject({
      verdict: 'caution',
      remedy: expect.stringContaining('unit'),
    });
  });
});

describe('metal on metal at the hand turn', () => {
  const round = ['clips', 'gland', 'full', 'screws'];

  it('goes through the recovery in its order, counts the rounds, and asks for a cause after two', () => {
    const h = upTo(handAt(cartridgeSeal), 'handturn');
    answer(h, 'handturn', 'turn0', 'no');
    expect(() => h.pass('handturn')).toThrow();
    // The next turn is not asked before the round is through.
    expect(() => answer(h, 'handturn', 'turn1', 'yes')).toThrow('That is not asked now.');
    // Nor a step of the round before the one ahead of it.
    expect(() => answer(h, 'handturn', 'r1-full', 'yes')).toThrow('That is not asked now.');
    for (const id of round) answer(h, 'handturn', `r1-${id}`, 'yes');
    // Loose now: gland bolts and screws go by the wrench again, the gland is felt, the setting proved.
    expect(h.state.present).toBe('glandbolts');
    for (const step of ['glandbolts', 'gland-gaps', 'screws', 'clips', 'reached', 'handturn'])
      expect(h.state.steps.find((s) => s.id === step)?.status).not.toBe('done');
    upTo(h, 'handturn');
    expect(() => h.pass('handturn')).toThrow();
    answer(h, 'handturn', 'turn1', 'no');
    expect(report(h, 'handturn')?.values).toEqual({ rounds: 2, free: false });
    expect(report(h, 'handturn')?.findings.find((f) => f.code === 'turn.cause')).toMatchObject({
      verdict: 'reject',
      remedy: expect.stringContaining('Box face'),
    });
    for (const id of round) answer(h, 'handturn', `r2-${id}`, 'yes');
    upTo(h, 'handturn');
    answer(h, 'handturn', 'turn2', 'yes');
    expect(report(h, 'handturn')?.values).toEqual({ rounds: 2, free: true });
    h.pass('handturn');
    const sheet = fitUpSheet(h.state, 'F-1');
    expect(sheet.results.recoveryRounds).toBe(2);
    // Every round's bolts stand on the sheet.
    const glands = sheet.bolts.filter((b) => b.step === 'glandbolts');
    expect(glands).toHaveLength(3 * (glands.length / 3));
    expect(glands.length).toBeGreaterThan(3 * cartridgeSeal.glandBolts);
  });
});

describe('the impeller moved later', () => {
  it('takes the end of the order again, clips in first; what was done before stays on the sheet', () => {
    const h = upTo(handAt(cartridgeSeal), 'slide');
    expect(() => h.do('bearing.dismounted', { reason: 'rubs' })).toThrow(/can still be adjusted/);
    upTo(h, 'pipes');
    h.do('bearing.dismounted', { reason: 'impeller rubs its wear ring' });
    expect(h.state.present).toBe('impeller');
    expect(() => h.pass('screws')).toThrow();
    expect(() => h.pass('impeller')).toThrow(/still to be answered/);
    workAll(h);
    const sheet = fitUpSheet(h.state, 'F-3');
    expect(sheet.dismountings).toMatchObject([{ reason: 'impeller rubs its wear ring' }]);
    expect(new Set(sheet.bolts.filter((b) => b.step === 'screws').map((b) => b.attempt))).toEqual(
      new Set([1, 2]),
    );
  });
  it('is not offered where a seal has no clips', () => {
    const h = upTo(handAt(fullySplitSeal), 'pipes');
    expect(() => h.do('bearing.dismounted', { reason: 'rubs' })).toThrow(/nothing is taken back/);
  });
});

describe('splits', () => {
  it('in line stop the work until they are turned', () => {
    const h = upTo(handAt(fullySplitSeal), 'angles');
    h.follow('angles', 'protractor', (p) =>
      p.key.endsWith('seam') ? 200 : p.key === 'gland-split' ? 0 : 90,
    );
    expect(() => h.pass('angles')).toThrow(/stand in line/);
    expect(() => h.accept('angles', 'angles.rotary-split.stationary-split', 'no time')).toThrow();
    h.do('measure.repeated', { step: 'angles', done: 'Rotary turned on by 50°' });
    workStep(h);
    h.pass('angles');
  });

  it('a holder’s spacer is asked for in words where it is held by hand', () => {
    const asks = (spacer: SealSetup['spacer']) =>
      procedureFor(but(fullySplitSeal, { spacer }))
        .steps.find((s) => s.id === 'holder')
        ?.items?.map((i) => i.ask)
        .join();
    expect(asks('hand-held')).toContain('inboard end');
    expect(asks('fastened')).toContain('resting on the box face');
  });

  it('a fully split one has no set screws and no grease on its face splits', () => {
    expect(ids(fullySplitSeal)).not.toContain('screws');
    expect(JSON.stringify(procedureFor(fullySplitSeal).steps)).toContain('no grease on face splits');
  });
});

describe('a component seal', () => {
  it('seat 5 inside with half a millimetre of gasket: 62 − 6 + 4.5 deep, and the impeller moves it one for one', () => {
    const h = upTo(handAt(componentSeal), 'rotary');
    // Worked by hand: working length 56; the gasket moves the seat outward.
    expect(values<SettingStepValues>(h, 'setting').setting).toMatchObject({
      workingLengthMm: 56,
      seatFaceMm: 4.5,
      collarMm: 60.5,
    });
    upTo(h, 'impeller');
    h.read('impeller', 'impeller', 0.5, 'dial');
    const shift = values<SettingStepValues>(h, 'impeller').shift;
    // Impeller 0.5 and growth 0.2 both press.
    expect(shift?.shiftMm).toBeCloseTo(0.7, 6);
    expect(shift?.compressionMm).toBeCloseTo(6.7, 6);
    h.pass('impeller');
  });

  it('a seat out in the gland is typed with its minus and takes from the depth', () => {
    const h = upTo(handAt(componentSeal), 'setting');
    h.read('setting', 'seat', -5, 'caliper').read('setting', 'gasket', 0, 'caliper');
    expect(values<SettingStepValues>(h, 'setting').setting).toMatchObject({ collarMm: 51, signSlipMm: 10 });
  });

  it('an impeller moved out of the band stops', () => {
    const h = upTo(handAt(componentSeal), 'impeller');
    h.read('impeller', 'impeller', 1.5, 'dial');
    expect(report(h, 'impeller')?.findings.some((f) => f.verdict === 'reject')).toBe(true);
  });

  it('is not opened without its lengths, and each family says what it lacks', () => {
    const { freeLengthMm: _, ...without } = componentSeal;
    const answered = check(setupSchema, without);
    expect(answered.ok ? [] : answered.faults).toMatchObject([
      { path: 'freeLengthMm', message: 'The free length of the seal is missing.' },
    ]);
    const bare = check(setupSchema, { ...cartridgeSeal, glandNm: undefined, screwNm: undefined });
    expect(bare.ok ? [] : bare.faults.map((f) => f.path).sort()).toEqual(['glandNm', 'screwNm']);
    for (const family of ['cartridge-split', 'fully-split', 'clamp-split', 'purged'] as const)
      expect(check(setupSchema, { ...cartridgeSeal, family }).ok, family).toBe(false);
  });
});

describe('proof over a day', () => {
  it('keeps when the next reading is due, and stops on a leak that grows', () => {
    const h = upTo(handAt(cartridgeSeal), 'proof');
    h.read('proof', 'leak/0', 2, 'counter').read('proof', 'temp/0', 40, 'thermometer');
    const first = Date.parse(h.events.at(-2)?.at ?? '');
    expect(Date.parse(values<{ dueAt: string }>(h, 'proof').dueAt)).toBe(first + 15 * 60_000);
    h.wait(14).read('proof', 'leak/15', 30, 'counter').read('proof', 'temp/15', 45, 'thermometer');
    expect(report(h, 'proof')?.findings[0]).toMatchObject({ code: 'proof.leak', verdict: 'reject' });
  });

  it('says where a reading was taken long before its time', () => {
    const h = upTo(handAt(cartridgeSeal), 'proof');
    h.read('proof', 'leak/0', 2, 'counter').read('proof', 'temp/0', 40, 'thermometer');
    h.read('proof', 'leak/15', 1, 'counter').read('proof', 'temp/15', 40, 'thermometer');
    expect(report(h, 'proof')?.findings.find((f) => f.code === 'proof.early.15')?.reason).toContain(
      'was read after 2 minutes',
    );
    h.wait(45).read('proof', 'leak/60', 1, 'counter').read('proof', 'temp/60', 40, 'thermometer');
    expect(report(h, 'proof')?.findings.some((f) => f.code === 'proof.early.60')).toBe(false);
  });

  it('a hot gland is a stop: 90 °C where the fluid is not known, else 30 K over it (our own choice)', () => {
    const told = (fluidC: number | undefined, glandC: number) => {
      const h = upTo(handAt({ ...cartridgeSeal, temperatureC: fluidC }), 'proof');
      h.read('proof', 'leak/0', 2, 'counter').read('proof', 'temp/0', glandC, 'thermometer');
      return report(h, 'proof')?.findings[0]?.code;
    };
    expect([told(undefined, 89), told(undefined, 95)]).toEqual(['proof.leak', 'proof.hot']);
    expect([told(150, 175), told(150, 181)]).toEqual(['proof.leak', 'proof.hot']);
  });

  it('leakage is judged by kind: over 5 drops a minute a caution, 60 a stop, the sheet’s figure before both (common practice)', () => {
    const told = (drops: number, maker = {}) => {
      const h = upTo(handAt({ ...cartridgeSeal, maker }), 'proof');
      h.read('proof', 'leak/0', drops, 'counter').read('proof', 'temp/0', 50, 'thermometer');
      return report(h, 'proof')?.findings.find((f) => f.code === 'proof.leak')?.verdict;
    };
    expect([5, 6, 59, 60, 300].map((d) => told(d))).toEqual([
      'accept',
      'caution',
      'caution',
      'reject',
      'reject',
    ]);
    expect([told(9, { leakDropsPerMin: 10 }), told(11, { leakDropsPerMin: 10 })]).toEqual([
      'accept',
      'reject',
    ]);
  });

  it('a gas seal is proved by its gas, not by drops', () => {
    const h = upTo(handAt(setupOf('purged seal')), 'proof');
    expect(report(h, 'proof')?.next?.key).toBe('gas/0');
    h.read('proof', 'gas/0', 0.1, 'pressure').read('proof', 'temp/0', 50, 'thermometer');
    expect(report(h, 'proof')?.findings[0]).toMatchObject({ code: 'proof.gas', verdict: 'reject' });
  });

  it('clips come off with every screw snug, by either school', () => {
    const order = ids(setupOf('cartridge seal, clips first'));
    expect(order.slice(order.indexOf('gland-gaps') + 1, order.indexOf('handturn'))).toEqual([
      'snug',
      'clips',
      'screws',
      'reached',
    ]);
  });

  it('where a seal stands is judged by spacer and by pins: flush within half a millimetre, pins proud (our own choice)', () => {
    const told = (kind: string, mm: number, maker = {}) => {
      const h = upTo(handAt({ ...setupOf(kind), maker }), 'baseline');
      h.read('baseline', 'baseline', mm, 'caliper');
      const f = report(h, 'baseline')?.findings.find((x) => x.code === 'baseline');
      return [f?.verdict, f?.acceptable];
    };
    expect(told('fully split seal', 0.5)).toEqual(['accept', true]);
    expect(told('fully split seal', -1.2)).toEqual(['caution', true]);
    expect(told('fully split seal', 6)).toEqual(['reject', false]);
    expect(told('fully split seal', 6, { baselineLowerMm: 5, baselineUpperMm: 7 })).toEqual(['accept', true]);
    expect(told('clamped split seal', 1.2)).toEqual(['accept', true]);
    expect(told('clamped split seal', 0)).toEqual(['reject', false]);
    expect(told('clamped split seal', -2)).toEqual(['reject', false]);
  });
});

describe('packing', () => {
  it('is broken in flat by flat to its band, the flats and the way left kept', () => {
    const h = workAll(handAt(packing));
    const came = values<BreakInStepValues>(h, 'breakin');
    // 8 to 12 drops for each 25 mm of a shaft of 90: 28.8 to 43.2.
    expect(came.targetLow).toBeCloseTo(28.8, 6);
    expect(came.targetHigh).toBeCloseTo(43.2, 6);
    expect(came.points.at(-1)?.dropsPerMin).toBe(36);
    expect(came.flats).toBe(3);
    // 2 mm of pitch, three sixths of a turn.
    expect(came.travelMm).toBeCloseTo(1, 6);
    const sheet = fitUpSheet(h.state, 'F-2');
    expect(sheet.results).toMatchObject({ flats: 3, dropsPerMin: 36 });
    expect(sheet.readings.find((r) => r.place.startsWith('flats/'))).toMatchObject({
      value: 60,
      unit: 'deg',
    });
  });

  it('asks for a count of drops after every turn of the nuts', () => {
    const h = upTo(handAt(packing), 'breakin');
    h.read('breakin', 'drops/1', 160, 'counter').wait(15).read('breakin', 'drops/2', 150, 'counter');
    expect(report(h, 'breakin')?.next?.key).toBe('flats/1');
    h.read('breakin', 'flats/1', 60, 'protractor');
    expect(report(h, 'breakin')?.next?.key).toBe('drops/3');
  });

  it('a joint over the one below it is refused until it is turned on', () => {
    const h = upTo(handAt(packing), 'rings');
    h.follow('rings', 'protractor', () => 0);
    expect(() => h.pass('rings')).toThrow(/stands only 0°/);
  });
});

describe('a plunger’s set', () => {
  const lay = (h: BearingHand, note: string) =>
    h.do('gate.answered', { step: 'order', item: 'order', answer: 'yes', note });

  it('is not put in out of order; either pressure ring may come first', () => {
    const h = upTo(handAt(plunger), 'order');
    lay(h, 'bottom-ring header adapter pressure-1 pressure-2 wiper');
    expect(() => h.pass('order')).toThrow(/Place 3 from the pressure end/);
    lay(h, 'bottom-ring header pressure-2 pressure-1 adapter wiper');
    h.pass('order');
  });

  it('the wiper faces the pressure with oil, away from it with grease', () => {
    const lip = (lubrication: 'oil' | 'grease') =>
      JSON.stringify(procedureFor(but(plunger, { lubrication })).steps.find((s) => s.id === 'in')?.items);
    expect(lip('oil')).toContain('faces the pressure (oil)');
    expect(lip('grease')).toContain('faces away from the pressure (grease)');
  });

  it('the nut must come back within an eighth of a turn', () => {
    const h = upTo(handAt(plunger), 'preload');
    h.read('preload', 'back', 270, 'protractor').read('preload', 'end', -60, 'protractor');
    expect(() => h.pass('preload')).toThrow();
    h.do('measure.repeated', { step: 'preload', done: 'Turned on' });
    h.read('preload', 'back', 270, 'protractor').read('preload', 'end', 40, 'protractor');
    h.pass('preload');
  });
});

describe('a seal in service', () => {
  it('is measured against its baseline; the robust line says the day the service is due', () => {
    const h = handAt({ ...wornSeal, fittedOn: '2026-08-16' }).safe();
    // The hand began on 2026-11-24: a hundred days on, three tenths worn.
    h.read('wear', 'wear/1', 0.9, 'caliper');
    const came = values<WearWatchValues>(h, 'wear');
    expect(came.points[1]?.days).toBeCloseTo(100.3, 0);
    // The baseline and one reading tell no day.
    expect(came.dueDays).toBeNull();
    // Looked at again after a quarter of a year.
    expect(Date.parse(came.dueAt ?? '') - Date.parse(h.events.at(-1)?.at ?? '')).toBeCloseTo(
      91 * 86_400_000,
      -6,
    );
    // 1.2 − 0.3 per 100 days: flush after 400. Three readings tell it, with a band.
    h.wait(60 * 24 * 100).read('wear', 'wear/2', 0.6, 'caliper');
    const told = values<WearWatchValues>(h, 'wear');
    expect(told.dueDays).toBeCloseTo(401, 0);
    expect(told.dueOn).toBe('2027-09-20');
    expect(Date.parse(told.dueBand?.from ?? '')).toBeLessThan(Date.parse('2027-09-20'));
    expect(Date.parse(told.dueBand?.to ?? '')).toBeGreaterThan(Date.parse('2027-09-20'));
    h.wait(60 * 24 * 250).read('wear', 'wear/3', -0.05, 'caliper');
    expect(report(h, 'wear')?.findings[0]).toMatchObject({ code: 'wear', verdict: 'reject' });
  });

  it('is not opened on a day that is none, or with a baseline that is worn already', () => {
    const fault = (change: object) => {
      const answered = check(setupSchema, { ...wornSeal, ...change });
      return answered.ok ? [] : answered.faults.map((f) => f.path);
    };
    expect(fault({ fittedOn: '26.11.2026' })).toEqual(['fittedOn']);
    expect(fault({ baselineMm: 0 })).toEqual(['baselineMm']);
  });
});
