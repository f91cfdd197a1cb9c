import { type Outage, type OutageTold, outageSchema } from '@fulcrant/core/outage';
import { describe, expect, it } from 'vitest';
import { begunFrom, beside, isChanged, readBreaks, readClock, readCount } from './draft.ts';
import { fieldOf, momentOf } from './moments.ts';

const OUTAGE = outageSchema.cast({
  name: 'Stop',
  startsAt: '2027-03-01T05:00:00.000Z',
  endsAt: '2027-03-04T13:00:00.000Z',
  shifts: [{ name: 'Day', from: '06:00', to: '14:00', days: [1, 2, 3] }],
  jobs: [{ key: 'f', trade: 'regreasing', machine: 'Fan', position: 'End' }],
}) as Outage;
const told = (version: number, outage: Outage): OutageTold => ({
  id: 'x',
  version,
  outage,
  by: 'Imke',
  at: '',
});
const plan = {
  madeAt: OUTAGE.startsAt,
  end: 100,
  bound: 90,
  by: '',
  placed: [{ task: 'f:grease', start: 60, finish: 100, units: [] }],
};
const pin = { task: 'f:grease', startsAt: '2027-03-01T06:00:00.000Z', by: [] };

describe('an outage being changed', () => {
  it('not changed it is what stands, whatever comes', () => {
    const draft = begunFrom(told(1, OUTAGE));
    const next = told(2, { ...OUTAGE, name: 'Longer stop' });
    expect(beside(draft, next)).toEqual({ draft: begunFrom(next), theirs: false });
  });

  it('keeps what was typed while pieces are pinned on the board: nobody is in the way', () => {
    const draft = { ...begunFrom(told(1, OUTAGE)), now: { ...OUTAGE, name: 'Autumn stop' } };
    const { draft: now, theirs } = beside(draft, told(2, { ...OUTAGE, pins: [pin], plan } as Outage));
    expect(theirs).toBe(false);
    expect(now).toMatchObject({ base: 2, now: { name: 'Autumn stop', pins: [pin], plan: { end: 100 } } });
  });

  it('says where somebody else has changed it, and throws nothing away', () => {
    const draft = { ...begunFrom(told(1, OUTAGE)), now: { ...OUTAGE, name: 'Autumn stop' } };
    const { draft: now, theirs } = beside(draft, told(2, { ...OUTAGE, endsAt: '2027-03-05T13:00:00.000Z' }));
    expect(theirs).toBe(true);
    expect(now).toMatchObject({ base: 1, now: { name: 'Autumn stop', endsAt: OUTAGE.endsAt } });
    // Changed and changed back is not changed; the order of fields is no change.
    expect(isChanged({ ...draft, now: { ...OUTAGE } })).toBe(false);
    expect(isChanged({ ...draft, now: Object.fromEntries(Object.entries(OUTAGE).reverse()) as Outage })).toBe(
      false,
    );
  });

  it('the beginning moved, the plan stays where it lay in time; a job left out takes its pins along', () => {
    const base = told(1, { ...OUTAGE, pins: [pin], plan } as Outage);
    const draft = begunFrom(base);
    const earlier = { ...draft, now: { ...draft.now, startsAt: '2027-03-01T04:00:00.000Z' } };
    expect(beside(earlier, base).draft.now.plan).toMatchObject({
      end: 160,
      placed: [{ start: 120, finish: 160 }],
    });
    const without = { ...draft, now: { ...draft.now, jobs: [] } };
    expect(beside(without, base).draft.now.pins).toEqual([]);
  });
});

describe('what is typed of an outage', () => {
  it('clocks, breaks and counts are read, or refused in a sentence', () => {
    expect(readClock(' 6:00 ')).toEqual({ value: '06:00' });
    for (const wrong of ['', '6', '24:00', '6:60', 'six']) expect(readClock(wrong)).toHaveProperty('message');
    expect(readBreaks('9:00-9:15, 12:00–12:30')).toEqual({
      value: [
        { from: '09:00', to: '09:15' },
        { from: '12:00', to: '12:30' },
      ],
    });
    expect(readBreaks(' ')).toEqual({ value: [] });
    for (const wrong of ['9-9:15', '09:00', '09:00-09:15-09:30', 'noon'])
      expect(readBreaks(wrong)).toHaveProperty('message');
    expect(readCount('3')).toEqual({ value: 3 });
    for (const wrong of ['', 'two', '1.5', '-1', '101']) expect(readCount(wrong)).toHaveProperty('message');
  });

  it('moments are those of the plant’s clock, on the day it changes too', () => {
    expect(momentOf('2027-03-28T06:00', 'Europe/Berlin')).toBe('2027-03-28T04:00:00.000Z');
    expect(momentOf('2027-03-27T06:00', 'Europe/Berlin')).toBe('2027-03-27T05:00:00.000Z');
    expect(fieldOf('2027-03-28T04:00:00.000Z', 'Europe/Berlin')).toBe('2027-03-28T06:00');
    for (const wrong of ['', '2027-03', 'soon']) expect(momentOf(wrong, 'UTC')).toBeNull();
  });
});
