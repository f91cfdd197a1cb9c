import { describe, expect, it } from 'vitest';
import { reportAt } from '../../engine/trades.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import { english } from '../../testing/english.ts';
import { upTo } from '../../testing/every-kind.ts';
import { handAt } from '../../testing/test-stand.ts';
import { regrease } from './example.ts';
import { greaseWatch } from './greasing.ts';

/** Minutes at which the bearing was looked at, as the watch counts them. */
const minutes = (h: ReturnType<typeof handAt>) =>
  greaseWatch.valuesOf(reportAt(h.state, 'watch'))?.points.map((p) => p.minutes);

describe('the watch after greasing', () => {
  it('counts from the first stroke', () => {
    const h = upTo(handAt(regrease), 'watch');
    const stroke = h.state.readings.find((r) => r.place === 'strokes/1');
    h.wait(14).read('watch', 't/1', 55, 'thermometer');
    const read = h.state.readings.find((r) => r.place === 't/1');
    expect(minutes(h)).toEqual([(Date.parse(read?.at ?? '') - Date.parse(stroke?.at ?? '')) / 60_000]);
  });

  it('where the strokes were not counted, counts from when that was said; no number is none', () => {
    const h = upTo(handAt(regrease), 'strokes');
    h.do('number.lacking', { step: 'strokes', why: 'not-measured', reason: 'no gauge here' });
    const said = h.state.lacking[0]?.at ?? '';
    h.answerAll('strokes').pass('strokes');
    for (const [i, c] of [55, 62, 58].entries()) h.wait(14).read('watch', `t/${i + 1}`, c, 'thermometer');
    const first = h.state.readings.find((r) => r.place === 't/1');
    expect(minutes(h)?.[0]).toBe((Date.parse(first?.at ?? '') - Date.parse(said)) / 60_000);
    expect(JSON.stringify(english(fitUpSheet(h.state, 'G-1')))).not.toMatch(/NaN|null,\d/);
  });

  it('where nobody read the temperature before, nothing is back where it was', () => {
    const h = upTo(handAt(regrease), 'strokes');
    h.do('number.lacking', { step: 'strokes', why: 'not-measured', reason: 'no gauge here' });
    h.answerAll('strokes').pass('strokes');
    for (let i = 1; i <= 3; i++) h.wait(14).read('watch', `t/${i}`, 21, 'thermometer');
    expect(greaseWatch.valuesOf(reportAt(h.state, 'watch'))).toMatchObject({ startC: null, state: 'rising' });
  });

  it('whatever it came to, the last questions are asked: what stays warm is not passed over them', () => {
    const h = upTo(handAt(regrease), 'watch');
    for (let i = 1; i <= 10; i++) h.wait(15).read('watch', `t/${i}`, 70, 'thermometer');
    expect(greaseWatch.valuesOf(reportAt(h.state, 'watch'))?.state).toBe('stays');
    expect(() => h.pass('watch')).toThrow();
    h.answerAll('watch').pass('watch');
    expect(h.state.present).toBe('sign');
  });
});
