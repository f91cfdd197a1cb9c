import { describe, expect, it } from 'vitest';
import { allSources, sourceOf } from '../sources/register.ts';
import { english } from '../testing/english.ts';
import { hand, imke, round, toDriveUp, toTarget, whole } from '../testing/test-stand.ts';
import { summarise } from './summary.ts';

describe('a job in one line', () => {
  it('says where it stands and what to do, at every stage', () => {
    expect(summarise(hand().state)).toMatchObject({
      present: 'safe',
      held: null,
      readings: 0,
      signedBy: null,
    });
    expect(english(summarise(hand().safe().survey(round).state).act)).toMatch(/Read the result/);
    expect(english(summarise(toTarget().state).act)).toMatch(/before its final place/);
    expect(english(summarise(toDriveUp().drive(0, 0.1, 0.1).state).act)).toMatch(/one eighth/);
    expect(summarise(whole().state)).toMatchObject({
      present: null,
      signedBy: 'Asta',
      act: { id: 'common.signed2' },
      verdict: 'accept',
    });
  });

  it('lays the rail: done, present, closed; pins that hold now told from pins to come', () => {
    const h = toTarget(hand({ holdBefore: ['driveup', 'bolts'] }));
    const marks = (s = summarise(h.state)) => s.rail.map((m) => `${m.status}${m.hold ? ` ${m.hold}` : ''}`);
    expect(marks().slice(4, 9)).toEqual(['present', 'closed', 'closed ahead', 'closed', 'closed ahead']);
    h.pass('target').gate('fit');
    expect(marks().slice(6, 9)).toEqual(['present holding', 'closed', 'closed ahead']);
    h.by(imke).do('step.released', { step: 'driveup' });
    expect(marks()[6]).toBe('present released');
    expect(summarise(h.state).held).toBeNull();
  });

  it('a stop holds the job like a pin, with its reason', () => {
    const h = toDriveUp().drive(0, 0.1, 0.1).drive(225, 0.02, 0.02);
    expect(summarise(h.state)).toMatchObject({
      verdict: 'reject',
      held: { id: 'arithmetic.bearings.overDrivenLeftUnderLeast' },
    });
    h.act('dismount', undefined, 'too far');
    expect(summarise(h.state)).toMatchObject({ attempt: 2, present: 'inboard', held: null });
  });
});

describe('the register of sources', () => {
  it('names each once, with its rank; what was not looked up says so', () => {
    const all = allSources();
    expect(new Set(all.map((s) => s.title)).size).toBe(all.length);
    expect(sourceOf('maker').rank).toBe('maker');
    for (const s of all.filter((x) => /^(ISO|SAE|ASTM|VDI)/.test(english(x.title))))
      expect(english(s.title)).toMatch(/from memory/);
  });
});
