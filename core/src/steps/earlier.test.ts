import { describe, expect, it } from 'vitest';
import { nextDue } from '../arithmetic/lubrication/run-in.ts';
import { fitUpSheet } from '../sheet/sheet.ts';
import { english } from '../testing/english.ts';
import { EVERY_KIND, upTo } from '../testing/every-kind.ts';
import { gauge, handAt, step } from '../testing/test-stand.ts';
import type { RunInStepValues } from './bearing/run-in-log.ts';

const probe = gauge('probe', 'thermometer', 0.5, -40, 250);
const running = Object.values(EVERY_KIND).find((s) => handAt(s).state.steps.some((p) => p.id === 'runin'));
if (!running) throw new Error('No kind of job has the first hours.');

const started = () => {
  const h = upTo(handAt(running), 'runin');
  const at = (minutes: number) => new Date(Date.parse(h.state.opened.at) + minutes * 60_000).toISOString();
  const read = (place: string, value: number, readAt?: string) =>
    h.do('reading.taken', {
      step: 'runin',
      place,
      value,
      raw: String(value),
      instrument: probe,
      ...(readAt ? { readAt } : {}),
    });
  return { h, at, read, now: () => h.state.readings.at(-1)?.at ?? h.state.opened.at };
};
const values = (h: ReturnType<typeof handAt>) => step(h, 'runin').report?.values as RunInStepValues;

describe('a reading told later than it was read', () => {
  it('counts from when it was read, and the sheet says when it was entered', () => {
    const { h, read } = started();
    read('ambient', 20).wait(120);
    const start = new Date(Date.parse(h.state.readings.at(-1)?.at ?? '') + 30 * 60_000).toISOString();
    read('t/1', 24, start);
    read('t/2', 41, new Date(Date.parse(start) + 15 * 60_000).toISOString());
    expect(values(h).points.map((p) => p.minutes)).toEqual([0, 15]);
    const line = JSON.stringify(english(fitUpSheet(h.state, 'F-1').document));
    expect(line.match(/read then, entered/g)?.length).toBeGreaterThanOrEqual(2);
  });

  it('never goes back, never ahead of now, and only where times are kept', () => {
    const { h, read, at } = started();
    read('ambient', 20).wait(60);
    read('t/1', 24);
    const first = Date.parse(h.state.readings.at(-1)?.at ?? '');
    h.wait(30);
    expect(() => read('t/2', 40, new Date(first - 60_000).toISOString())).toThrow(/never back/);
    expect(() => read('t/2', 40, new Date(first + 86_400_000).toISOString())).toThrow(/not come yet/);
    const other = handAt(running).safe();
    expect(() =>
      other.do('reading.taken', {
        step: other.state.present ?? '',
        place: 's1/0',
        value: 89.97,
        raw: '89.97',
        instrument: gauge('mic', 'micrometer', 0.001, 75, 100),
        readAt: at(0),
      }),
    ).toThrow(/keeps times|no readings/);
  });
});

describe('the next quarter of an hour', () => {
  it('stands by the start: one read early does not push it on', () => {
    // Common practice, no source: a reading every quarter of an hour from the start.
    expect([0, 3, 9.9].map(nextDue)).toEqual([15, 15, 15]);
    expect([10.1, 15, 17, 24.9].map(nextDue)).toEqual([30, 30, 30, 30]);
    expect(nextDue(31)).toBe(45);
  });
});
