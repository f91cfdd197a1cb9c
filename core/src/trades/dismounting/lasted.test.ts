import { describe, expect, it } from 'vitest';
import { reportAt } from '../../engine/trades.ts';
import { check } from '../../judgement/sentences.ts';
import { english } from '../../testing/english.ts';
import { upTo, workAll } from '../../testing/every-kind.ts';
import { handAt } from '../../testing/test-stand.ts';
import { dismount } from './example.ts';
import { dismountSetupSchema } from './setup.ts';

const ran = (ranHours: number, more: object = {}) => {
  const h = upTo(
    handAt({ ...dismount, ranHours, ratingKn: 100, radialKn: 10, speedRpm: 600, ...more }),
    'parts',
  );
  return reportAt(h.state, 'parts')?.findings.find((f) => f.code === 'lasted');
};

describe('how long a bearing lasted beside its rating', () => {
  // (100/10)^(10/3) = 2154 million turns, at 600 a minute 59 845 h (ISO 281, by hand).
  it('gone early: not by age, and what else to look for', () => {
    expect(ran(20_000)).toMatchObject({ verdict: 'caution', source: 'iso-281' });
    expect(english(ran(20_000)?.reason)).toContain('59845 h');
    expect(ran(20_000)?.remedy).toMatchObject({ id: 'dismounting.ifWornOutNotAge' });
  });
  it('past its rating life, or going back on: nothing is asked', () => {
    expect(ran(70_000)?.verdict).toBe('accept');
    expect(ran(20_000, { reused: true })?.verdict).toBe('accept');
  });
  it('a job with it is worked to its signature, one without says nothing of it', () => {
    const whole = { ...dismount, ranHours: 9000, ratingKn: 100, radialKn: 10, speedRpm: 600 };
    expect(workAll(handAt(whole)).state.signed).not.toBeNull();
    const h = upTo(handAt(dismount), 'parts');
    expect(reportAt(h.state, 'parts')?.findings.some((f) => f.code === 'lasted')).toBe(false);
  });
  it('one of its numbers alone is asked for the others', () => {
    const checked = check(dismountSetupSchema, { ...dismount, ranHours: 9000 });
    expect(checked.ok).toBe(false);
    if (!checked.ok) expect(checked.faults.map((f) => f.path)).toContain('ratingKn');
  });
});
