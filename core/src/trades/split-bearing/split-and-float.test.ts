import { describe, expect, it } from 'vitest';
import { reduce } from '../../engine/judge.ts';
import type { Setup } from '../../engine/setup.ts';
import { summarise } from '../../job/summary.ts';
import type { FloatRoomValues } from '../../steps/bearing/float-room.ts';
import type { RunInStepValues } from '../../steps/bearing/run-in-log.ts';
import type { BoltValues } from '../../steps/bolt-passes.ts';
import { workStep } from '../../testing/every-kind.ts';
import { but, handAt, imke, refuses, step, valuesOf } from '../../testing/test-stand.ts';
import { dismount, dismountByPump } from '../dismounting/example.ts';
import type { LetGoValues } from '../dismounting/let-go.ts';
import { regrease } from '../regreasing/example.ts';
import type { GreaseWatchValues, StrokesValues } from '../regreasing/greasing.ts';
import { floatWhole } from '../sleeve-bearing/example.ts';
import type { AxialPlaceValues } from './axial-place.ts';
import { split, splitFloat } from './example.ts';
import type { SplitSetup } from './setup.ts';

/** Worked by the book up to a step. */
const upTo = (id: string, setup: Setup = split) => {
  const h = handAt(setup);
  for (let i = 0; i < 60 && h.state.present !== id; i++) {
    const now = h.state.present ?? '';
    workStep(h);
    h.pass(now);
  }
  return h;
};

describe('a split bearing', () => {
  it('no gap at a joint is the wrong shaft: stop; unequal gaps are set anew and both settings stay', () => {
    const h = upTo('race').read('race', 'race/a', 0, 'feeler').read('race', 'race/b', 0.3, 'feeler');
    refuses(() => h.pass('race'), /no gap/);
    h.do('measure.repeated', { step: 'race', done: 'feeler in the lower joint' });
    h.read('race', 'race/a', 0.3, 'feeler').read('race', 'race/b', 0.45, 'feeler');
    refuses(() => h.pass('race'), /sits to one side/);
    h.do('measure.repeated', { step: 'race', done: 'drawn evenly' });
    h.read('race', 'race/a', 0.35, 'feeler')
      .read('race', 'race/b', 0.35, 'feeler')
      .answerAll('race')
      .pass('race');
    expect(step(h, 'race').report?.before).toHaveLength(2);
  });

  it('how wide the gaps should be follows from the shaft: π × (89.973 − 89.78) ÷ 2 (geometry)', () => {
    const h = upTo('race', { ...split, maker: { closedBoreMm: 89.78 } });
    h.read('race', 'race/a', 0.3, 'feeler').read('race', 'race/b', 0.3, 'feeler');
    expect(valuesOf<{ race: { expectedMm: number } }>(h, 'race').race.expectedMm).toBeCloseTo(0.303, 2);
    expect(step(h, 'race').report?.findings.find((f) => f.code === 'split-race.expected')?.verdict).toBe(
      'accept',
    );
  });

  it('at the standard depth equal is seen, and a number is judged only where it is given', () => {
    const seen = upTo('race', { ...split, depth: 'standard' });
    expect(step(seen, 'race').report?.next).toBeNull();
    seen.answerAll('race').pass('race');
    const felt = upTo('race', { ...split, depth: 'standard' }).read('race', 'race/a', 0.3, 'feeler');
    expect(step(felt, 'race').report?.next?.key).toBe('race/b');
    felt.read('race', 'race/b', 0.6, 'feeler').answerAll('race');
    refuses(() => felt.pass('race'), /sits to one side/);
  });

  it('the rings’ joints stand off the race’s by their angle', () => {
    const h = upTo('clamps').follow('clamps', 'feeler', () => 0.3, 4);
    h.read('clamps', 'offset', 60, 'protractor').answerAll('clamps');
    refuses(() => h.pass('clamps'), /not 90°/);
  });

  it('the seating loop goes on until no screw moves more than 3° in a whole round, and counts', () => {
    const h = upTo('seat');
    refuses(
      () =>
        h.tighten('seat').do('bolt.tightened', {
          step: 'seat',
          pass: 1,
          bolt: 1,
          torqueNm: 40,
          instrument: h.state.readings[0]?.instrument ?? ({} as never),
        }),
      /Say how far screw 1 moved/,
    );
    h.tighten('seat', (r) => [0, 45, 12, 4, 3][r] ?? 0);
    const v = valuesOf<BoltValues>(h, 'seat');
    expect(v.settling).toEqual([45, 12, 4, 3]);
    expect(v.next).toBeNull();
    // Two halves: side about (common practice).
    expect(v.passes[0]?.order).toEqual([1, 3, 2, 4]);
    h.pass('seat');
  });

  it('two clamp rings have four joints, each asked; no gap at any is a stop', () => {
    const h = upTo('clamps');
    const keys: string[] = [];
    for (
      let next = step(h, 'clamps').report?.next;
      next && next.key !== 'offset';
      next = step(h, 'clamps').report?.next
    ) {
      keys.push(next.key);
      h.read('clamps', next.key, next.key === 'ring2/b' ? 0 : 0.3, 'feeler');
    }
    expect(keys).toEqual(['race/a', 'race/b', 'ring/a', 'ring/b', 'ring2/a', 'ring2/b']);
    expect(step(h, 'clamps').blocking.find((b) => b.code === 'clamps.gaps-second')).toMatchObject({
      verdict: 'reject',
      acceptable: false,
    });
  });

  it('a torque worked out from the cap bolt is a caution: a housing may take less', () => {
    const torque = (change: Partial<SplitSetup>) =>
      step(upTo('bolts', { ...split, ...change }), 'bolts').report?.findings.find(
        (f) => f.code === 'bolting.torque',
      );
    expect(torque({})).toMatchObject({ verdict: 'caution', acceptable: false });
    expect(torque({})?.reason).toMatchObject({ id: 'steps.fromBoltAloneMayDistort' });
    expect(torque({ capBolts: { ...split.capBolts, makerTorqueNm: 90 } })?.verdict).toBe('accept');
  });

  it('screws that never settle stop the work', () => {
    const h = upTo('seat').tighten('seat', () => 20);
    refuses(() => h.pass('seat'), /still move/);
  });

  it('questions come before the wrench where they must', () => {
    const h = upTo('bolts');
    refuses(() => h.tighten('bolts', undefined, 1), /First answer/);
    h.answerAll('bolts').tighten('bolts').pass('bolts');
  });

  it('fixed: the cage touches no rib; float: off the middle towards the fixed bearing by the growth', () => {
    const h = upTo('axial')
      .read('axial', 'side/towards', 0, 'caliper')
      .read('axial', 'side/away', 3, 'caliper');
    refuses(() => h.pass('axial'), /touches a rib/);
    const f = upTo('axial', splitFloat);
    f.read('axial', 'side/towards', 1, 'caliper').read('axial', 'side/away', 1, 'caliper');
    // 11.7e-6 × 2000 × 25 = 0.585 and half a millimetre over: 1.085 wanted of 1.
    refuses(() => f.pass('axial'), /only/);
    expect(valuesOf<AxialPlaceValues>(f, 'axial').growthMm).toBeCloseTo(0.585, 9);
    f.do('measure.repeated', { step: 'axial', done: 'slid towards the fixed bearing' });
    f.read('axial', 'side/towards', 0.6, 'caliper').read('axial', 'side/away', 1.4, 'caliper');
    f.answerAll('axial').pass('axial');
  });
});

describe('a float on its shaft', () => {
  it('waits for the fixed bearing, named by its job or accepted by a lead hand', () => {
    const h = handAt(floatWhole).safe();
    expect(h.state.present).toBe('fixedfirst');
    refuses(() => h.pass('fixedfirst'), /fitted first/);
    refuses(
      () =>
        h.act('name-fixed', {
          job: h.jobId,
          position: 'itself',
          sheet: null,
          lockedAt: '2026-11-23T10:00:00Z',
        }),
      /another job/,
    );
    h.by(imke).accept('fixedfirst', 'fixed.first', 'mounted last spring, no sheet').pass('fixedfirst');
  });

  it('has room where the shaft grows, or the ring is moved', () => {
    const h = upTo('float', floatWhole);
    h.read('float', 'room/towards', 4, 'caliper').read('float', 'room/away', 0.6, 'caliper');
    // 11.7e-6 × 1400 × 30 = 0.491, with half a millimetre 0.991 (ΔL = α·L·ΔT).
    refuses(() => h.pass('float'), /only/);
    h.do('measure.repeated', { step: 'float', done: 'ring moved' });
    h.read('float', 'room/towards', 2.2, 'caliper').read('float', 'room/away', 2.4, 'caliper').pass('float');
    expect(valuesOf<FloatRoomValues>(h, 'float').float?.neededMm).toBeCloseTo(0.991, 3);
  });

  it('is told the same act by act as from its events, also after it came off', () => {
    const h = upTo('float', floatWhole);
    h.act('dismount', undefined, 'driven too far');
    expect(reduce(h.events)).toEqual(h.state);
    for (let i = 0; i < 6; i++) {
      const at = h.state.present ?? '';
      workStep(h);
      h.pass(at);
      expect(reduce(h.events)).toEqual(h.state);
    }
    h.act('dismount', undefined, 'once more');
    expect(reduce(h.events)).toEqual(h.state);
  });

  it('the housing asks what its order and its seals need, and the base bolts come after the load', () => {
    const asks = (change: object) =>
      upTo('house', { ...floatWhole, ...change })
        .state.steps.map((s) => s.id)
        .join(' ');
    expect(asks({})).toMatch(/grease float house bolts carriers load base handturn start runin sign/);
    const h = upTo(
      'house',
      but(floatWhole, { closing: { order: 'room', seals: 'contact', snapRing: 'to-float' } }),
    );
    refuses(
      () => h.do('gate.answered', { step: 'house', item: 'sealsin', answer: 'yes' }),
      /no such question/,
    );
    h.do('gate.answered', { step: 'house', item: 'snapring', answer: 'yes' });
  });

  it('the first hours keep their times: due every quarter of an hour until steady', () => {
    const h = upTo('runin', floatWhole);
    refuses(() => h.read('runin', 't/1', 24, 'thermometer'), /ambient temperature first/);
    h.read('runin', 'ambient', 20, 'thermometer').read('runin', 't/1', 24, 'thermometer');
    const due = valuesOf<RunInStepValues>(h, 'runin').dueAt;
    expect(Date.parse(due ?? '') - Date.parse(h.state.readings.at(-1)?.at ?? '')).toBe(15 * 60_000);
    expect(summarise(h.state).dueAt).toBe(due);
    h.wait(14).read('runin', 't/2', 101, 'thermometer');
    refuses(() => h.pass('runin'), /stop the machine/);
  });
});

describe('taken off', () => {
  it('what was seen is written down, not only answered', () => {
    const h = handAt(dismount).safe();
    refuses(() => h.do('gate.answered', { step: 'found', item: 'grease', answer: 'yes' }), /Write down/);
    h.answerAll('found').pass('found');
  });
  it('the nut goes back far enough and stays on', () => {
    const h = upTo('nutback', dismount).read('nutback', 'back/1', 400, 'protractor');
    refuses(() => h.pass('nutback'), /at least 2 turns/);
    refuses(() => h.read('nutback', 'back/2', 2000, 'protractor'), /not believable/);
    h.read('nutback', 'back/2', 800, 'protractor').answerAll('nutback').pass('nutback');
  });
  it('by pump: the drop to zero is the proof; abort pressure first wants the other nut', () => {
    const h = upTo('letgo', dismountByPump).read('letgo', 'n1/peak', 52, 'pressure');
    refuses(() => h.read('letgo', 'n2/peak', 40, 'pressure'), /First: pressure after/);
    h.read('letgo', 'n1/after', 0, 'pressure');
    refuses(() => h.pass('letgo'), /abort pressure/);
    h.read('letgo', 'n1/back', 360, 'protractor').read('letgo', 'n2/peak', 41, 'pressure');
    h.read('letgo', 'n2/after', 38, 'pressure');
    refuses(() => h.pass('letgo'), /not let go yet/);
    h.read('letgo', 'n3/peak', 44, 'pressure').read('letgo', 'n3/after', 0, 'pressure').pass('letgo');
    expect(valuesOf<LetGoValues>(h, 'letgo').rounds.map((r) => r.aborted)).toEqual([true, false, false]);
  });
});

describe('regreased', () => {
  it('two thickeners that quarrel stop it, unless a lead hand takes it on', () => {
    const h = handAt({ ...regrease, thickenerInside: 'polyurea', thickenerFresh: 'lithium' } as Setup);
    h.answerAll('safe').pass('safe');
    refuses(() => h.pass('match'), /not put on polyurea/);
    h.by(imke).accept('match', 'grease.thickener', 'cleaned out before').pass('match');
  });
  it('strokes counted against 0.005·D·B: 41.4 g at 1.2 g a stroke, 35 (bearing handbooks, from memory)', () => {
    const h = upTo('strokes', regrease);
    refuses(() => h.read('strokes', 'strokes/1', 10, 'gun'), /First read the temperature/);
    h.read('strokes', 'before', 48, 'thermometer').read('strokes', 'strokes/1', 10, 'gun');
    h.read('strokes', 'strokes/2', 20, 'gun');
    expect(valuesOf<StrokesValues>(h, 'strokes')).toMatchObject({ strokes: 35, given: 30 });
    expect(step(h, 'strokes').report?.findings.find((f) => f.code === 'strokes')?.verdict).toBe('caution');
  });
  it('a closed chamber takes six strokes at the most, for checks only', () => {
    const h = upTo('strokes', but(regrease, { chamber: 'closed' }));
    expect(valuesOf<StrokesValues>(h, 'strokes').strokes).toBe(6);
  });
  it('a rise that keeps climbing after two hours is not the usual one', () => {
    const h = upTo('watch', regrease);
    for (let i = 1; i <= 9; i++) h.wait(14).read('watch', `t/${i}`, 50 + 4 * i, 'thermometer');
    expect(valuesOf<GreaseWatchValues>(h, 'watch').state).toBe('climbing');
    refuses(() => h.pass('watch'), /still climbing/);
  });
});
