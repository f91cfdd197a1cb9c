import { allRigs, careful, careless, layOut, rigOf } from '@fulcrant/practice';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Caller, caller, everybodyAt, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
let bram: Caller;
let imke: Caller;
let oskar: Caller;
beforeAll(async () => {
  house = await openHouse();
  // What is laid out and debriefed here is sent to threads and back.
  const { url } = await house.another({ threaded: true });
  ({ asta, imke, oskar } = await everybodyAt(url));
  bram = await caller(url, 'Bram');
});
afterAll(() => house?.close());

const rig = (id: string) => rigOf(id) as NonNullable<ReturnType<typeof rigOf>>;
const told = async (who: Caller) => (await who('GET', '/api/practice/benches')).body;

describe('benches of a class', () => {
  it('are set by who teaches; the page is told neither seed nor fault; what each sees is their own bench', async () => {
    const ask = { rig: 'shaft', difficulty: 'one', says: 'before the stop' };
    expect((await asta('POST', '/api/practice/sets', ask)).status).toBe(403);
    const wrong = await imke('POST', '/api/practice/sets', { ...ask, rig: 'none', seed: 0 });
    expect(wrong.body.faults.map((f: { path: string }) => f.path).sort()).toEqual(['rig', 'seed']);
    const { id } = (await imke('POST', '/api/practice/sets', ask)).body;
    const [set] = (await told(asta)).sets;
    expect(set).toEqual({
      id,
      rig: 'shaft',
      each: true,
      says: 'before the stop',
      by: 'Imke',
      at: expect.any(String),
      marks: [],
    });
    const actions = [{ do: 'at', step: 'runout', key: 's2/45', kind: 'dial' }, { do: 'tap' }];
    const shown = async (who: Caller) =>
      (await who('POST', `/api/practice/sets/${id}/shown`, { actions })).body.shown;
    const [a, again, b] = [await shown(asta), await shown(asta), await shown(bram)];
    expect(a).toEqual({ kind: 'dial', mm: expect.any(Number) });
    expect(again).toEqual(a);
    expect(b).not.toEqual(a);
    // By its number it is the same for all.
    const same = (await imke('POST', '/api/practice/sets', { ...ask, seed: 77 })).body.id;
    const at77 = async (who: Caller) =>
      (await who('POST', `/api/practice/sets/${same}/shown`, { actions })).body;
    expect(await at77(asta)).toEqual(await at77(bram));
    expect((await told(asta)).sets.find((s: { id: string }) => s.id === same)).not.toHaveProperty('seed');
    expect(
      (await asta('POST', `/api/practice/sets/${id}/shown`, { actions: [{ do: 'steal' }] })).status,
    ).toBe(400);
    expect((await asta('POST', '/api/practice/sets/none/shown', { actions })).status).toBe(404);
  });

  it('handed in, a bench is debriefed by the server’s truth; one’s own marks are seen by oneself and who teaches', async () => {
    const { id } = (await imke('POST', '/api/practice/sets', { rig: 'seat', difficulty: 'one', seed: 12 }))
      .body;
    const laid = layOut(rig('seat'), 12, 'one');
    const hand = (attempt: ReturnType<typeof careful>) => ({
      set: id,
      ...attempt,
      call: { fit: attempt.call.fit, faults: [...attempt.call.faults] },
    });
    const well = await asta('POST', '/api/practice/results', hand(careful(laid)));
    expect(well.status).toBe(201);
    expect(well.body.debrief.points.filter((p: { good: boolean }) => !p.good)).toEqual([]);
    expect(well.body.debrief.score).toBeGreaterThan(90);
    expect(well.body.debrief.faults.map((f: { id: string }) => f.id)).toEqual([...laid.faults]);
    const badly = await bram('POST', '/api/practice/results', hand(careless(laid)));
    expect(badly.body.debrief.score).toBeLessThan(60);
    const mine = await told(asta);
    expect(mine.results.map((r: { person: string }) => r.person)).toEqual(['Asta']);
    expect(
      mine.sets.find((s: { id: string }) => s.id === id).marks.map((m: { person: string }) => m.person),
    ).toEqual(['Asta']);
    expect(mine.people).toEqual([]);
    const all = await told(imke);
    expect(
      all.sets.find((s: { id: string }) => s.id === id).marks.map((m: { person: string }) => m.person),
    ).toEqual(['Asta', 'Bram']);
    expect(all.people.length).toBeGreaterThan(3);
    // Once each: afterwards the truth is known.
    const again = await bram('POST', '/api/practice/results', hand(careful(laid)));
    expect(again.status).toBe(409);
    expect(again.body.title).toMatch(/already/);
    // How it is laid out is told to who teaches alone.
    expect(mine.sets.every((x: object) => !('difficulty' in x))).toBe(true);
    // Looked at again, by whose it is and by who teaches.
    expect((await asta('GET', `/api/practice/results/${well.body.id}`)).body.debrief).toEqual(
      well.body.debrief,
    );
    expect((await imke('GET', `/api/practice/results/${well.body.id}`)).status).toBe(200);
    expect((await bram('GET', `/api/practice/results/${well.body.id}`)).status).toBe(404);
    // Nothing of it is among the jobs, the positions, the due.
    const jobs = (await asta('GET', '/api/jobs?limit=200')).body.jobs;
    expect(jobs.some((j: { machine: string }) => j.machine === 'Practice bench')).toBe(false);
    expect(JSON.stringify((await asta('GET', '/api/due')).body)).not.toContain('Practice bench');
  });

  it('what could not have been written at that bench is refused with the reason, and signing with it', async () => {
    const laid = layOut(rig('gland'), 3, 'sound');
    const attempt = careful(laid);
    const of = (events: unknown[], id = 'gland') => ({
      own: { rig: id, difficulty: 'sound', seed: 3 },
      events,
      log: attempt.log,
      call: { fit: true, faults: [] },
    });
    const post = (body: object) => asta('POST', '/api/practice/results', body);
    expect((await post(of([...attempt.events]))).status).toBe(201);
    const missing = await post(of(attempt.events.slice(1)));
    expect(missing.status).toBe(400);
    const other = await post(of([...attempt.events], 'shaft'));
    expect(other.body.faults[0].message).toMatch(/another bench/);
    // A bench keeps the setup it was laid out with, whoever says otherwise.
    const [opened, ...rest] = attempt.events;
    const eased = {
      ...opened,
      data: { ...opened?.data, setup: { ...laid.rig.setup, maker: { glandSpreadMm: 5 } } },
    };
    expect((await post(of([eased, ...rest]))).body.faults[0].message).toMatch(/another bench/);
    const changed = {
      ...attempt.events.at(-1),
      id: '018f0000-0000-7000-8000-0000000ffffe',
      type: 'setup.changed',
      data: { setup: laid.rig.setup, reason: 'an easier one' },
    };
    expect((await post(of([...attempt.events, changed]))).body.faults[0].message).toMatch(/laid out/);
    const both = { ...of([...attempt.events]), set: '018f0000-0000-7000-8000-000000000000' };
    expect((await post(both)).status).toBe(400);
    const signed = {
      ...attempt.events.at(-1),
      id: '018f0000-0000-7000-8000-0000000fffff',
      type: 'sheet.signed',
      data: { name: 'Asta' },
    };
    expect((await post(of([...attempt.events, signed]))).body.faults[0].message).toMatch(/never signed/);
    expect((await post(of([]))).body.debrief.score).toBe(0);
    expect((await post({ own: { rig: 'gland' } })).status).toBe(400);
  });

  it('a competence is signed by another, for a trade, with a day ahead; it stays as it was signed', async () => {
    const people = (await told(imke)).people as Array<{ id: string; name: string }>;
    const id = (name: string) => people.find((p) => p.name === name)?.id;
    const ask = {
      person: id('Asta'),
      trade: 'packing',
      renewOn: '2099-01-01',
      words: 'Packed two boxes alone, both square.',
    };
    const sign = (who: Caller, body: object) => who('POST', '/api/practice/competences', body);
    expect((await sign(asta, ask)).status).toBe(403);
    expect((await sign(oskar, ask)).status).toBe(403);
    for (const [change, path] of [
      [{ person: id('Imke') }, 'person'],
      [{ person: 'nobody' }, 'person'],
      [{ trade: 'flying' }, 'trade'],
      [{ renewOn: '2020-01-01' }, 'renewOn'],
      [{ renewOn: '2027-02-30' }, 'renewOn'],
      [{ words: '' }, 'words'],
    ] as const)
      expect((await sign(imke, { ...ask, ...change })).body.faults[0].path).toBe(path);
    expect((await sign(imke, ask)).status).toBe(201);
    expect((await told(asta)).competences).toEqual([
      expect.objectContaining({ person: 'Asta', trade: 'packing', by: 'Imke', renewOn: '2099-01-01' }),
    ]);
    expect((await told(bram)).competences).toEqual([]);
    await expect(house.db.sequelize.query(`UPDATE competences SET renew_on = '2199-01-01'`)).rejects.toThrow(
      /denied/,
    );
  });

  it('every bench can be handed in', async () => {
    for (const r of allRigs()) {
      const attempt = careful(layOut(r, 5, 'one'));
      const { status } = await asta('POST', '/api/practice/results', {
        own: { rig: r.id, difficulty: 'one', seed: 5 },
        ...attempt,
      });
      expect(status, r.id).toBe(201);
    }
  });
});
