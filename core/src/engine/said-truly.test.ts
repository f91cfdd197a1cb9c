import { describe, expect, it } from 'vitest';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, upTo, workAll } from '../testing/every-kind.ts';
import { asta, handAt, imke, refuses, step, surveyor } from '../testing/test-stand.ts';
import type { SealSetup } from '../trades/seal/setup.ts';
import { reduce } from './judge.ts';
import { mayLack } from './lacking.ts';
import type { Setup } from './setup.ts';
import { allTrades, procedureFor } from './trades.ts';

const kind = (name: string) => EVERY_KIND[name] as Setup;
const told = (h: ReturnType<typeof handAt>) => JSON.stringify(english(fitUpSheet(h.state, 'F-1').document));

describe('found, then put right', () => {
  it('an answer first not OK, then OK, stands on the sheet with both names', () => {
    const h = handAt(kind('cartridge seal'));
    h.answer('safe', 'clean', 'no').by(imke).answer('safe', 'clean', 'yes').by(asta);
    const [answer] = fitUpSheet(h.state, 'F-1').steps.find((s) => s.id === 'safe')?.answers ?? [];
    expect(answer).toMatchObject({ answer: 'yes', by: 'Imke', before: [{ answer: 'no', by: 'Asta' }] });
    expect(told(h)).toMatch(/First Not OK Asta.*then OK Imke/);
    // The same said again is no history.
    h.answer('safe', 'clean', 'yes');
    expect(h.state.answers.find((a) => a.item === 'clean')?.before).toHaveLength(1);
  });

  it('a passed answer is corrected with a reason, and what stands on it opens again', () => {
    const h = upTo(handAt(kind('cartridge seal')), 'handturn');
    refuses(() => h.answer('impeller', 'adjusted', 'no'), /passed/);
    h.do('answer.corrected', {
      step: 'impeller',
      item: 'adjusted',
      answer: 'no',
      reason: 'a shim was left out',
    });
    expect(h.state.present).toBe('impeller');
    for (const id of ['glandbolts', 'screws', 'clips'])
      expect(
        h.state.past.map((p) => p.step),
        id,
      ).toContain(id);
    expect(told(h)).toMatch(/corrected, a shim was left out/);
    refuses(
      () => h.do('answer.corrected', { step: 'impeller', item: 'adjusted', answer: 'yes', reason: 'now' }),
      /answer the question anew/,
    );
    h.answer('impeller', 'adjusted', 'yes');
    workAll(h);
    expect(reduce(h.events)).toEqual(h.state);
  });

  it('a hazard is not corrected to “does not apply” either', () => {
    const h = upTo(handAt(kind('cartridge seal')), 'slide');
    refuses(
      () =>
        h.do('answer.corrected', {
          step: 'safe',
          item: 'isolated',
          answer: 'none',
          note: 'x',
          reason: 'x y',
        }),
      /never skipped/,
    );
  });

  it('a change of the setup prints old and new', () => {
    const h = surveyor();
    h.do('setup.changed', {
      setup: { ...h.state.setup, shaftMm: 61 } as unknown as Setup,
      reason: 'read off the drawing',
    });
    const [changed] = fitUpSheet(h.state, 'F-1').setupChanges;
    expect(changed?.values).toHaveLength(1);
    expect(told(h)).toMatch(/Shaft diameter: .* → .*61.*Why: read off the drawing/);
  });
});

describe('what has no number says so', () => {
  it('a shaft that cannot be measured: the job goes on, the sheet tells why, and a reading taken later takes its place', () => {
    const h = upTo(handAt(kind('by feelers')), 'shaft');
    refuses(
      () => h.do('number.lacking', { step: 'shaft', why: 'snug-by-hand', reason: 'snug' }),
      /not said of this step/,
    );
    h.do('number.lacking', { step: 'shaft', why: 'not-measured', reason: 'No gauge here that reaches' });
    expect(english(step(h, 'shaft').report?.findings)).toContainEqual(
      expect.objectContaining({ code: 'shaft.lacking', verdict: 'caution' }),
    );
    expect(step(h, 'shaft').blocking).toEqual([]);
    const other = upTo(handAt(kind('by feelers')), 'shaft');
    other.do('number.lacking', { step: 'shaft', why: 'not-measured', reason: 'No gauge here' });
    other.follow('shaft', 'micrometer', () => 89.98, 1);
    expect(step(other, 'shaft').blocking.length).toBeGreaterThan(0);
    expect(told(other)).toMatch(/Not measured at Shaft.*read after all/);
    h.pass('shaft');
    expect(told(h)).toMatch(/Not measured: No gauge here that reaches/);
  });

  it('bolts without a torque on their sheet are drawn snug, evenly, and are a caution', () => {
    const { glandNm: _, glandMostNm: __, ...setup } = kind('cartridge seal') as SealSetup;
    const h = upTo(handAt(setup as Setup), 'glandbolts');
    expect(step(h, 'glandbolts').report?.asks).toContain('glandNm');
    h.do('number.lacking', { step: 'glandbolts', why: 'sheet-gives-none', reason: 'No torque on the sheet' });
    expect(step(h, 'glandbolts').report?.asks).toBeUndefined();
    h.tighten('glandbolts').pass('glandbolts');
    expect(told(h)).toMatch(/The sheet gives none: No torque on the sheet/);
    expect(h.state.ticks.every((t) => t.torqueNm === 0)).toBe(true);
  });

  it('the number that is itself the limit, or the work, has to be there', () => {
    for (const [name, at] of [
      ['by hydraulic nut', 'driveup'],
      ['taken off by pump', 'letgo'],
      ['cartridge seal', 'proof'],
    ] as const) {
      const h = upTo(handAt(kind(name)), at);
      refuses(
        () => h.do('number.lacking', { step: at, why: 'not-measured', reason: 'no gauge here' }),
        /safety limit, or the work itself/,
      );
    }
  });

  it('a survey never calls fit what it did not measure', () => {
    const h = upTo(surveyor({}, { measures: ['look', 'runout'] }), 'runout');
    h.do('number.lacking', { step: 'runout', why: 'not-measured', reason: 'Cannot be reached' }).pass(
      'runout',
    );
    const verdict = step(h, 'verdict').report?.findings.find((f) => f.code === 'verdict.fit');
    expect(verdict).toMatchObject({ verdict: 'caution' });
    expect(verdict?.reason).toMatchObject({ id: 'survey.fitWhatMeasuredNotMeasured' });
  });

  it('every step that asks a number of a gauge can be without it, or says that it cannot', () => {
    const steps = allTrades().flatMap((t) =>
      Object.values(t.example.setups).flatMap((s) => procedureFor(s).steps.filter((x) => x.kind.place)),
    );
    expect(steps.every((s) => mayLack(s).length > 0 || s.kind.essential === true)).toBe(true);
  });
});

describe('typed reasons are never interpreted', () => {
  it('bolts loosened with the words “centring recovery” are no round of it', () => {
    const h = upTo(handAt(kind('cartridge seal')), 'handturn');
    h.do('bolts.loosened', { step: 'glandbolts', reason: 'centring recovery' });
    upTo(h, 'handturn');
    expect(step(h, 'handturn').report?.values).toMatchObject({ rounds: 0 });
    workAll(h);
    expect(fitUpSheet(h.state, 'F-1').results.recoveryRounds ?? 0).toBe(0);
  });
});
