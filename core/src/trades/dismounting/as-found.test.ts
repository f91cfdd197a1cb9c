import { describe, expect, it } from 'vitest';
import { reduce } from '../../engine/judge.ts';
import { reportAt } from '../../engine/trades.ts';
import { MPA_PER_PSI } from '../../quantities/pressure.ts';
import { say } from '../../quantities/say.ts';
import { upTo, workAll } from '../../testing/every-kind.ts';
import { gauge, handAt, tools } from '../../testing/test-stand.ts';
import { asFound } from './as-found.ts';
import { dismount, dismountByPump } from './example.ts';
import { dismounting } from './procedure.ts';

/** A dismounting at the clearance as found, felt in both rows. */
function found(rowA: number, rowB: number, asLeftMm = 0.05) {
  const h = upTo(handAt({ ...dismount, asLeftMm }), 'residual');
  h.read('residual', 'found/A', rowA, 'feeler').read('residual', 'found/B', rowB, 'feeler');
  const report = reportAt(h.state, 'residual');
  return { h, finding: report?.findings[0], values: asFound.valuesOf(report) };
}

describe('the clearance a bearing is found with', () => {
  it('is asked for only where it is known what it was left with, before anything is loosened', () => {
    expect(dismounting(dismount).steps.map((s) => s.id)).not.toContain('residual');
    const ids = dismounting({ ...dismount, asLeftMm: 0.05 }).steps.map((s) => s.id);
    expect(ids.indexOf('residual')).toBeLessThan(ids.indexOf('loose'));
  });

  it.each([
    ['the same as when fitted', 0.05, 0.05, 'accept', 'the same as when fitted'],
    ['grown by 0.05: a loosened sleeve or wear', 0.1, 0.1, 'caution', 'let go, or the bearing has worn'],
    ['shrunk', 0.005, 0.005, 'caution', 'driven further on'],
    ['grown to the edge', 0.08, 0.08, 'caution', 'cannot show'],
  ] as const)('%s', (_what, a, b, verdict, words) => {
    const { finding } = found(a, b);
    expect(finding?.verdict).toBe(verdict);
    expect(say(finding?.reason ?? '', 'mm')).toContain(words);
  });

  it('is the mean of both rows, and stops nobody: the bearing comes off whatever is found', () => {
    const { values, h } = found(0.09, 0.1);
    expect(values).toEqual({ foundMm: 0.095, grownMm: 0.045, asLeftMm: 0.05 });
    h.pass('residual');
    expect(h.state.present).toBe('loose');
  });

  it('taken back once the base is loose it cannot be felt anew: it says so, and the work goes on', () => {
    const h = upTo(handAt({ ...dismount, asLeftMm: 0.05 }), 'nutback');
    const [first] = h.state.readings.filter((r) => r.step === 'residual');
    h.do('reading.withdrawn', { reading: first?.id ?? '', reason: 'read the wrong blade' });
    const report = reportAt(h.state, 'residual');
    expect(h.state.present).toBe('residual');
    expect(report?.next).toBeNull();
    expect(report?.findings[0]).toMatchObject({ code: 'as-found.gone', verdict: 'caution' });
    expect(() => h.read('residual', 'found/A', 0.06, 'feeler')).toThrow(/can no longer be felt/);
    h.pass('residual');
    expect(h.state.present).toBe('nutback');
    expect(workAll(h).state.signed).not.toBeNull();
  });

  it('not felt at all and the base then loosened, it is told the same step by step as from its events', () => {
    const h = upTo(handAt({ ...dismount, asLeftMm: 0.05 }), 'residual');
    h.do('number.lacking', { step: 'residual', why: 'not-measured', reason: 'no gauge here' });
    h.pass('residual').answerAll('loose');
    expect(reportAt(h.state, 'residual')?.findings[0]?.code).toBe('as-found.gone');
    expect(reduce(h.events)).toEqual(h.state);
  });

  it('coarse blades tell less: the same growth of 0.034 is plain by 0.001 and too close by 0.02', () => {
    const h = (stepMm: number) => {
      const hand = upTo(handAt({ ...dismount, asLeftMm: 0.05 }), 'residual');
      const blades = gauge('blades', 'feeler', stepMm, 0, 1);
      for (const row of ['A', 'B'])
        hand.do('reading.taken', {
          step: 'residual',
          place: `found/${row}`,
          value: 0.084,
          raw: '0.084',
          instrument: blades,
        });
      return say(reportAt(hand.state, 'residual')?.findings[0]?.reason ?? '', 'mm');
    };
    expect(h(0.001)).toContain('let go');
    expect(h(0.02)).toContain('cannot show');
    expect(tools.feeler.step).toBe(0.005);
  });

  it('stands on the sheet and among what the job came to', () => {
    const h = workAll(handAt({ ...dismount, asLeftMm: 0.05 }));
    expect(h.state.signed).toBeTruthy();
    expect(asFound.valuesOf(reportAt(h.state, 'residual'))?.foundMm).toBe(0.06);
  });
});

it('the abort pressure of a dismounting met exactly, in the unit of its sheet, is a stop', () => {
  const limit = 5000 * MPA_PER_PSI;
  const h = upTo(handAt({ ...dismountByPump, maker: { dismountAbortMpa: limit } }), 'letgo');
  h.read('letgo', 'n1/peak', limit, 'pressure');
  const report = reportAt(h.state, 'letgo');
  expect(report?.findings[0]).toMatchObject({ code: 'letgo.free', verdict: 'reject' });
  expect(report?.act).toMatchObject({ id: 'dismounting.releasePumpReadWhatLeft' });
});
