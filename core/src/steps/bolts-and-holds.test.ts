import { describe, expect, it } from 'vitest';
import type { Setup } from '../engine/setup.ts';
import type { StepReport } from '../engine/state.ts';
import { stepOf } from '../engine/trades.ts';
import { summarise } from '../job/summary.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, upTo } from '../testing/every-kind.ts';
import {
  asta,
  but,
  gauge,
  hand,
  handAt,
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

describe('a pass told in one statement', () => {
  const tell = (h: BearingHand, pass: number, bolts: number[], torqueNm = 0) =>
    h.do('bolts.tightened', { step: 'bolts', pass, bolts, torqueNm, instrument: tools.wrench });
  const next = (h: BearingHand) =>
    (step(h, 'bolts').report as StepReport & { values: BoltValues }).values.next;

  it('counts for each bolt of it as if each were told, in the order of the pattern only', () => {
    const h = toBolts();
    refuses(() => tell(h, 0, [1, 2, 3, 4]), /bolt 1 is next/);
    refuses(() => tell(h, 0, [1, 3]), /bolt 1 is next/);
    refuses(() => tell(h, 1, [1, 3, 2, 4], 120), /bolt 1 is next/);
    tell(h, 0, [1, 3, 2, 4]);
    expect(next(h)).toMatchObject({ pass: 1, bolt: 1 });
    refuses(() => tell(h, 1, [1, 3, 2, 4], 300), /not the 30 % torque/);
    h.tightenPasses('bolts').pass('bolts');
    expect(h.state.present).toBe('handturn');
    const singly = toBolts().bolts().pass('bolts');
    const plain = (x: BearingHand) => x.state.ticks.map((t) => [t.pass, t.bolt, t.torqueNm, t.moved]);
    expect(plain(h)).toEqual(plain(singly));
  });

  it('takes up what was begun one by one; taken back, all of it goes and no more', () => {
    const h = toBolts().bolts(1);
    tell(h, 0, [3, 2, 4]);
    const id = h.state.ticks.at(-1)?.id ?? '';
    h.do('reading.withdrawn', { reading: id, reason: 'a washer was left out' });
    expect(next(h)).toMatchObject({ pass: 0, bolt: 3 });
    expect(h.state.ticks.filter((t) => t.withdrawn)).toHaveLength(3);
  });

  it('a round in which some moved asks for another', () => {
    const h = toBolts().tightenPasses('bolts', 4).tightenPasses('bolts', 1, true);
    expect(next(h)).toMatchObject({ pass: 5, bolt: 1 });
  });

  it('prints as one line with its order, however its bolts were told', () => {
    const h = toBolts().bolts(2).tightenPasses('bolts').pass('bolts');
    const rows = fitUpSheet(h.state, 'H-0001').document.flatMap((b) =>
      b.block === 'table'
        ? b.rows.map((r) =>
            r.cells
              .slice(0, 2)
              .map((c) => english(c))
              .join(': '),
          )
        : [],
    );
    const mine = rows.filter((r) => /tight|%|round/i.test(r));
    expect(mine.slice(0, 2)).toEqual(['Hand tight: 1 · 3 · 2 · 4', '30 %: 1 · 3 · 2 · 4']);
  });

  it('is never how a seating round is told: what each still turned is what is judged', () => {
    const h = upTo(handAt(EVERY_KIND['split bearing'] as Setup), 'seat');
    const report = () => step(h, 'seat').report ?? null;
    const kind = stepOf(h.state, 'seat')?.kind;
    for (let i = 0; i < 20 && kind?.leftOfPass?.(report()); i++) h.tightenPasses('seat', 1);
    const due = kind?.due?.(report());
    expect(due?.settling).toBe(true);
    refuses(
      () =>
        h.do('bolts.tightened', {
          step: 'seat',
          pass: due?.pass ?? 0,
          bolts: [due?.bolt ?? 0],
          torqueNm: due?.torqueNm ?? 0,
          instrument: tools.wrench,
        }),
      /how far/i,
    );
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
