import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Caller, everybodyAt, freshHand, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
let imke: Caller;
let oskar: Caller;
let nobody: Caller;

beforeAll(async () => {
  house = await openHouse();
  ({ asta, imke, oskar, nobody } = await everybodyAt(house.url));
});
afterAll(() => house?.close());

const TEN = [90, 90.002, 90, 90, 89.998, 90, 90.002, 90, 90, 90];

describe('repeat checks', () => {
  it('are handed in by whoever read them, seen by all, and kept beside those before', async () => {
    const made = await asta('POST', '/api/hands', { instrumentId: 'mic-4', values: TEN, watchedBy: 'Imke' });
    expect(made.status).toBe(201);
    expect(made.body.card).toMatchObject({
      personId: 'asta',
      kind: 'micrometer',
      step: 0.001,
      free: 9,
      watchedBy: 'Imke',
    });
    // By hand: squares about the mean 90.0002 come to 1.16e-5 over nine.
    expect(made.body.card.scatter).toBeCloseTo(Math.sqrt(1.16e-5 / 9), 8);
    await asta('POST', '/api/hands', { instrumentId: 'mic-4', values: TEN });
    const { cards } = (await oskar('GET', '/api/hands')).body;
    expect(
      cards.filter(
        (c: { personId: string; values: number[] }) => c.personId === 'asta' && c.values[1] === 90.002,
      ),
    ).toHaveLength(2);
    expect((await nobody('GET', '/api/hands')).status).toBe(401);
    expect((await oskar('POST', '/api/hands', { instrumentId: 'mic-4', values: TEN })).status).toBe(403);
  });

  it('take ten readings of a real gauge; one that strays is said beside its field', async () => {
    const post = (body: unknown) => imke('POST', '/api/hands', body);
    expect((await post({ instrumentId: 'none', values: TEN })).status).toBe(404);
    expect((await post({ instrumentId: 'mic-4', values: TEN.slice(1) })).status).toBe(400);
    const strays = await post({ instrumentId: 'mic-4', values: [...TEN.slice(1), 91] });
    expect(strays.status).toBe(400);
    expect(strays.body.faults[0].path).toBe('values');
    const beyond = await post({ instrumentId: 'mic-4', values: TEN.map((v) => v / 10) });
    expect(beyond.status).toBe(400);
    expect(beyond.body.faults[0].path).toBe('values');
    const { instruments } = (await imke('GET', '/api/instruments')).body;
    const standIn = instruments.find((i: { standIn?: boolean }) => i.standIn);
    expect((await post({ instrumentId: standIn.id, values: TEN })).body.faults[0].path).toBe('instrumentId');
  });

  it('count in a reading only where that person has such a check', async () => {
    const h = freshHand('Repeat checks').safe();
    await asta('POST', `/api/jobs/${h.jobId}/events`, { events: h.events });
    const gauge = (await asta('GET', '/api/instruments')).body.instruments.find(
      (i: { id: string }) => i.id === 'mic-4',
    );
    const { cards } = (await asta('GET', '/api/hands')).body;
    const own = cards.find(
      (c: { personId: string; kind: string; step: number }) =>
        c.personId === 'asta' && c.kind === 'micrometer' && c.step === 0.001,
    );
    const read = async (place: string, hand: unknown) => {
      const event = {
        ...{ id: v7(), jobId: h.jobId, at: new Date().toISOString(), type: 'reading.taken' },
        author: { id: 'asta', name: 'Asta', role: 'fitter' },
        data: { step: 'shaft', place, value: 89.98, raw: '89.98', instrument: { ...gauge, hand } },
      };
      await asta('POST', `/api/jobs/${h.jobId}/events`, { events: [event] });
      const { events } = (await asta('GET', `/api/jobs/${h.jobId}`)).body;
      return events.at(-1).data.instrument.hand;
    };
    expect(await read('s1/0', { scatter: own.scatter, free: own.free })).toEqual({
      scatter: own.scatter,
      free: own.free,
    });
    expect(await read('s1/60', { scatter: 0.000001, free: 900 })).toBeUndefined();
  });
});
