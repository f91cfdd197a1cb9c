import { describe, expect, it } from 'vitest';
import type { JobEvent } from '../../../core/src/engine/events.ts';
import { reduce } from '../../../core/src/engine/judge.ts';
import { DIFFICULTY_IDS } from '../../../core/src/engine/rig.ts';
import type { JobState } from '../../../core/src/engine/state.ts';
import { take } from '../../../core/src/engine/take.ts';
import { english } from '../../../core/src/testing/english.ts';
import { Bench } from './bench.ts';
import { debrief, WORTH } from './debrief.ts';
import { PRACTICE_GAUGES } from './gauges.ts';
import { layOut } from './rigs.ts';
import { atRandom, careful, careless } from './scripted-hands.ts';
import { RIGS, rig, withFault } from './testing/bench-stand.ts';

describe('the mark', () => {
  it.each(RIGS.map((r) => [r.id]))(
    '%s: a careful hand is over 90, a careless one under 60, one at random under 30',
    { timeout: 60_000 },
    (id) => {
      for (const difficulty of DIFFICULTY_IDS)
        for (let seed = 1; seed <= 2; seed++) {
          const laid = layOut(rig(id), seed, difficulty);
          const of = (hand: typeof careful) => debrief(laid, hand(laid));
          const [a, b, c] = [of(careful), of(careless), of(atRandom)];
          const told = `${id} ${difficulty} ${seed}: ${[...laid.faults]}`;
          expect(a.score, told).toBeGreaterThan(90);
          expect(b.score, told).toBeLessThan(60);
          expect(c.score, told).toBeLessThan(30);
          // Every point lost is said.
          if (a.score < 100)
            expect(
              a.points.some((p) => !p.good),
              told,
            ).toBe(true);
          expect(b.points.filter((p) => !p.good).length, told).toBeGreaterThan(0);
        }
    },
  );

  it('a right stop named right is worth all; another cause, a miss and a false alarm are told apart', () => {
    const laid = withFault('gland', 'cocked');
    const attempt = careful(laid);
    expect(attempt.call).toEqual({ fit: false, faults: ['cocked'] });
    const score = (call: typeof attempt.call) => debrief(laid, { ...attempt, call }).parts.judgement;
    expect(score(attempt.call)).toBeCloseTo(WORTH.judgement, 5);
    expect(score({ fit: false, faults: ['pad'] })).toBeLessThan(score(attempt.call));
    expect(score({ fit: true, faults: [] })).toBeLessThan(score({ fit: false, faults: ['pad'] }));
    expect(score({ fit: false, faults: ['cocked', 'pad'] })).toBeLessThan(score(attempt.call));
    const sound = layOut(rig('gland'), 3, 'sound');
    const well = careful(sound);
    const alarm = debrief(sound, { ...well, call: { fit: false, faults: ['cocked'] } });
    expect(alarm.points.find((p) => p.part === 'judgement')?.says).toMatchObject({
      id: 'practice.stoppedNothingWrongFalseAlarm',
    });
    expect(alarm.score).toBeLessThan(debrief(sound, well).score);
  });

  it('a reading mended is handled anew, or it is said; what is taken off begins with its nut and pump where they were', () => {
    const laid = layOut(rig('seat'), 5, 'sound');
    const { events, log, call } = careful(laid);
    const at = events.findIndex((e) => e.type === 'reading.taken');
    const first = events[at] as Extract<JobEvent, { type: 'reading.taken' }>;
    const last = events.at(-1) as JobEvent;
    const id = (n: number) => `018f0000-0000-7000-8000-0000000f000${n}`;
    const mended = [
      ...events.slice(0, at + 1),
      { ...last, id: id(1), type: 'reading.withdrawn', data: { reading: first.id, reason: 'misread it' } },
      { ...first, id: id(2) },
    ] as JobEvent[];
    const careful1 = log.filter((l) => l.after <= at);
    const blind = debrief(laid, { events: mended, log: careful1, call });
    expect(blind.points.some((p) => /without bringing/.test(english(p.says)))).toBe(true);
    const again = log
      .filter((l) => l.after === at && l.action.do !== 'look')
      .map((l) => ({ ...l, after: at + 2 }));
    const told = debrief(laid, { events: mended, log: [...careful1, ...again], call });
    expect(told.points.some((p) => /without bringing/.test(english(p.says)))).toBe(false);
    const bench = new Bench(layOut(rig('sleeve'), 8, 'sound'));
    for (let i = 0; i < 4; i++) bench.do({ do: 'blow' });
    bench.do({ do: 'off' });
    expect(bench.nutDeg).toBe(0);
    const pump = new Bench(layOut(rig('hydraulic-nut'), 8, 'sound'));
    pump.do({ do: 'stroke' });
    pump.do({ do: 'off' });
    expect(pump.handled.pump).toMatchObject({ strokes: 0, mm: 0 });
  });

  it('driven too far it comes off, and begins again from snug with the nut where it began', () => {
    const laid = layOut(rig('sleeve'), 3, 'sound');
    const { events, log } = careful(laid);
    const cut = events.findIndex((e) => e.type === 'reading.taken' && e.data.step === 'driveup');
    let state = reduce([...events.slice(0, cut)]) as JobState;
    const bench = new Bench(laid);
    for (const l of log) if (l.after < cut) bench.do(l.action);
    let n = 0;
    const write = (type: JobEvent['type'], data: unknown): string | null => {
      const id = `018f0000-0000-7000-8000-0000000e${String(++n).padStart(4, '0')}`;
      const at = new Date(Date.parse('2026-11-24T18:00:00Z') + n * 60_000).toISOString();
      const taken = take(state, { ...(events[0] as JobEvent), id, at, type, data } as JobEvent);
      if ('refusal' in taken) return english(taken.refusal);
      state = taken.state;
      return null;
    };
    const feelBoth = (deg: number) =>
      ['A', 'B'].map((row) => {
        const place = `deg${deg}/${row}/1`;
        const value = Number(bench.trueAt('driveup', place).toFixed(3));
        const instrument = PRACTICE_GAUGES.feeler;
        return write('reading.taken', { step: 'driveup', place, value, raw: String(value), instrument });
      });
    expect(bench.nutDeg).toBe(0);
    expect(feelBoth(0)).toEqual([null, null]);
    while (bench.nutDeg < 260) bench.do({ do: 'blow' });
    expect(feelBoth(bench.nutDeg)).toEqual([null, null]);
    expect(state.steps.find((s) => s.id === 'driveup')?.report?.act).toMatchObject({
      id: 'sleeve-bearing.overDrivenDismountInspectNew',
    });
    expect(write('act.done', { act: 'dismount', reason: 'driven too far' })).toBeNull();
    bench.do({ do: 'off' });
    expect(state.attempt).toBe(2);
    // What stood on the drive-up is open again; at its first place the nut stands at nothing, as the sheet wants it.
    expect(state.steps.find((s) => s.id === 'driveup')?.status).not.toBe('done');
    expect(rig('sleeve').keyAt?.('deg0/A/1', bench.nutDeg)).toBe('deg0/A/1');
    expect(bench.trueAt('driveup', 'deg0/A/1', bench.nutDeg)).toBeCloseTo(
      bench.trueAt('driveup', 'deg0/A/1'),
      9,
    );
  });

  it('a right call without looking is luck, and counts half; a jerked wrench and a reading nobody took are said', () => {
    const laid = layOut(rig('gland'), 5, 'sound');
    const well = careful(laid);
    const blind = debrief(laid, { ...well, log: well.log.filter((l) => l.action.do !== 'look') });
    expect(blind.points.find((p) => p.part === 'judgement')?.says).toMatchObject({
      id: 'practice.calledFitButNotAll',
    });
    expect(blind.points.some((p) => /without looking/.test(english(p.says)))).toBe(true);
    const jerked = debrief(laid, {
      ...well,
      log: well.log.map((l) =>
        l.action.do === 'pull' ? { ...l, action: { do: 'pull' as const, jerk: true } } : l,
      ),
    });
    expect(jerked.points.some((p) => /jerked/.test(english(p.says)))).toBe(true);
    const untouched = debrief(laid, { ...well, log: well.log.filter((l) => l.action.do === 'look') });
    expect(untouched.points.some((p) => /without bringing a tool/.test(english(p.says)))).toBe(true);
    expect(untouched.points.some((p) => /ticked without a pull/.test(english(p.says)))).toBe(true);
    expect(debrief(laid, { events: [], log: [], call: { fit: true, faults: [] } }).score).toBe(0);
  });
});
