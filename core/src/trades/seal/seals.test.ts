import { describe, expect, it } from 'vitest';
import { procedureFor, setupSchema, stepOf } from '../../engine/trades.ts';
import { check } from '../../judgement/sentences.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import { english } from '../../testing/english.ts';
import { EVERY_KIND, upTo, workAll, workStep } from '../../testing/every-kind.ts';
import { but, handAt } from '../../testing/test-stand.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import { cartridgeSeal, componentSeal, fullySplitSeal } from './example.ts';
import type { SettingStepValues } from './setting.ts';
import { type SealSetup, sealSetupSchema } from './setup.ts';

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

  it('tells of the shaft’s O-ring before it goes on: squeezed, stretched, or not sealing at all', () => {
    const verdictOf = (more: Partial<SealSetup>, code: string) =>
      report(upTo(handAt({ ...cartridgeSeal, ...more }), 'parts'), 'parts')?.findings.find(
        (f) => f.code === code,
      )?.verdict;
    const ring = { oRingInsideMm: cartridgeSeal.shaftMm - 1, oRingSectionMm: 4, oRingDepthMm: 3.2 };
    expect(verdictOf(ring, 'o-ring.squeeze')).toBe('accept');
    expect(verdictOf({ ...ring, oRingDepthMm: 4.1 }, 'o-ring.squeeze')).toBe('reject');
    expect(verdictOf({ ...ring, oRingInsideMm: cartridgeSeal.shaftMm - 9 }, 'o-ring.stretch')).toBe('reject');
    expect(verdictOf({}, 'o-ring.squeeze')).toBeUndefined();
    const checked = check(sealSetupSchema, { ...cartridgeSeal, oRingSectionMm: 4 });
    expect(checked.ok ? [] : checked.faults.map((f) => f.path)).toEqual(
      expect.arrayContaining(['oRingInsideMm', 'oRingDepthMm']),
    );
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
    expect(() => h.pass('clips')).toThrow(/Not OK/);
    expect(() => h.pass('ready')).toThrow();
  });

  it('says a torque that looks like another unit', () => {
    const h = upTo(handAt({ ...cartridgeSeal, screwNm: 55 }), 'screws');
    // 55 lbf·ft where 55 lbf·in is usual: a stop, until a lead hand says otherwise.
    expect(report(h, 'screws')?.findings.find((f) => f.code === 'screws.unit')).toMatchObject({
      verdict: 'reject',
      acceptable: true,
      remedy: { id: 'arithmetic.bolting.meantInPounds' },
    });
  });
});

describe('metal on metal at the hand turn', () => {
  const round = ['clips', 'gland', 'full', 'screws'];

  it('goes through the recovery in its order, counts the rounds, and asks for a cause after two', () => {
    const h = upTo(handAt(cartridgeSeal), 'handturn');
    answer(h, 'handturn', 'turn0', 'no');
    expect(() => h.pass('handturn')).toThrow();
    // The whole round is seen from its first question on; what is to come is not answered yet.
    const turn = stepOf(h.state, 'handturn');
    expect(turn?.kind.ahead?.(h.state, turn).map((i) => i.id)).toEqual(['r1-gland', 'r1-full', 'r1-screws']);
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
      remedy: { id: 'seal.boxFaceOutSquareBore' },
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
    expect(() => h.act('move-impeller', undefined, 'rubs')).toThrow(/can still be adjusted/);
    upTo(h, 'pipes');
    h.act('move-impeller', undefined, 'impeller rubs its wear ring');
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
    expect(() => h.act('move-impeller', undefined, 'rubs')).toThrow(/nothing of the kind/);
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
      english(
        procedureFor(but(fullySplitSeal, { spacer }))
          .steps.find((s) => s.id === 'holder')
          ?.items?.map((i) => i.ask),
      )?.join();
    expect(asks('hand-held')).toContain('inboard end');
    expect(asks('fastened')).toContain('resting on the box face');
  });

  it('a fully split one has no set screws and no grease on its face splits', () => {
    expect(ids(fullySplitSeal)).not.toContain('screws');
    expect(JSON.stringify(english(procedureFor(fullySplitSeal).steps))).toContain(
      'face splits free of grease',
    );
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
      { path: 'freeLengthMm', message: { id: 'seal.freeLengthSealMissing' } },
    ]);
    // Torques are said at the step that draws the screws: a job opens without them.
    expect(check(setupSchema, { ...cartridgeSeal, glandNm: undefined, screwNm: undefined }).ok).toBe(true);
    expect(check(setupSchema, { ...cartridgeSeal, family: 'purged' }).ok).toBe(false);
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
