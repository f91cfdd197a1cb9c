import { describe, expect, it } from 'vitest';
import type { StepReport } from '../engine/state.ts';
import { summarise } from '../job/summary.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import {
  asta,
  but,
  gauge,
  hand,
  imke,
  oskar,
  refuses,
  setup,
  step,
  toBolts,
  toDriveUp,
  tools,
  toTarget,
  whole,
} from '../testing/test-stand.ts';
import type { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import type { BoltValues } from './bolt-passes.ts';

describe('cap bolts', () => {
  const next = (h: BearingHand) =>
    (step(h, 'bolts').report as StepReport & { values: BoltValues }).values.next;

  it('go in the pattern, pass by pass, at the torque of the pass', () => {
    const h = toBolts();
    expect(next(h)).toEqual({ pass: 0, bolt: 1, torqueNm: null });
    refuses(
      () =>
        h.do('bolt.tightened', { step: 'bolts', pass: 0, bolt: 2, torqueNm: 0, instrument: tools.wrench }),
      /bolt 1 is next/,
    );
    h.bolts(4);
    expect(next(h)).toMatchObject({ pass: 1, bolt: 1 });
    refuses(
      () =>
        h.do('bolt.tightened', { step: 'bolts', pass: 1, bolt: 1, torqueNm: 300, instrument: tools.wrench }),
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
      step: 'bolts',
      pass: n?.pass ?? 0,
      bolt: n?.bolt ?? 0,
      torqueNm: n?.torqueNm ?? 0,
      moved: true,
      instrument: tools.wrench,
    }).bolts(3);
    expect(next(h)).toMatchObject({ pass: 5, bolt: 1 });
    refuses(() => h.pass('bolts'), /bolt 1 is next/);
    h.bolts(4).do('bolts.loosened', { step: 'bolts', reason: 'seal ring was pinched' });
    expect(next(h)).toMatchObject({ pass: 0, bolt: 1 });
    h.bolts().pass('bolts');
    expect(h.state.present).toBe('handturn');
  });
});

describe('holds, roles, setup', () => {
  it('a planned hold stops the step until a lead hand releases it', () => {
    const h = toTarget(hand({ holdBefore: ['driveup'] }))
      .pass('target')
      .gate('fit');
    expect(summarise(h.state).held).toMatchObject({ id: 'engine.holdPointWaitsLeadHand' });
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
      setup: but(setup, {
        maker: { leastResidualMm: 0.03, reductionMinMm: 0.05, reductionMaxMm: 0.058 },
        clearanceClass: 'CN',
      }),
      reason: 'sheet came with the box',
    });
    expect(h.state.steps.find((s) => s.id === 'target')?.report?.findings[0]?.source).toBe('maker');
    h.do('setup.changed', { setup: but(setup, { clearanceClass: 'C3' }), reason: 'ring says C3' });
    expect(h.state.present).toBe('bench');
    expect(english(fitUpSheet(h.state, null).setupChanges.map((c) => c.changed))).toEqual([
      ['Reduction, min', 'Reduction, max', 'Residual, min'],
      ['Clearance class', 'Reduction, min', 'Reduction, max', 'Residual, min'],
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
