import { createHash } from 'node:crypto';
import { careful, layOut, rigOf } from '@fulcrant/practice';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { OUTAGE } from '../../../core/src/testing/outage-stand.ts';
import { type Caller, caller, cookieOf, everybodyAt, openHouse, type TestHouse } from '../testing/house.ts';

/** What two do at the same moment, each on a device of his own: told once, refused in a sentence or laid one upon the other; never a 5xx. */
let house: TestHouse;
let asta: Caller;
let imke: Caller;
beforeAll(async () => {
  house = await openHouse();
  ({ asta, imke } = await everybodyAt(house.url));
});
afterAll(() => house?.close());

const MANY = 6;
/** The same asked by two people, three times each, at once. */
async function atOnce(path: string, body: (i: number) => object) {
  const answers = await Promise.all(
    Array.from({ length: MANY }, (_, i) => (i % 2 === 0 ? asta : imke)('POST', path, body(i))),
  );
  for (const a of answers) {
    expect(a.status, JSON.stringify(a.body).slice(0, 300)).toBeLessThan(500);
    if (a.status >= 400) expect(a.body.title).toMatch(/^[A-Z].{8,}/);
  }
  return answers;
}
const statuses = (answers: ReadonlyArray<{ status: number }>) => answers.map((a) => a.status).sort();

describe('the same thing by many at once', () => {
  it('a position is in the register once, the others are told that it is there', async () => {
    const told = { area: 'Yard', machine: 'Lift pump 9', position: 'Drive end' };
    const answers = await atOnce('/api/positions', () => told);
    expect(statuses(answers)).toEqual([201, ...Array(MANY - 1).fill(statuses(answers).at(-1))]);
    const { positions } = (await asta('GET', '/api/register?q=lift%20pump%209')).body;
    expect(positions).toHaveLength(1);
  });

  it('a gauge of a name is in the register once', async () => {
    const gauge = { name: 'Feelers At Once', kind: 'feeler', step: 0.01, low: 0.02, high: 1 };
    const answers = await atOnce('/api/instruments', () => ({ ...gauge, calibrationDue: '2031-01-31' }));
    expect(answers.filter((a) => a.status === 201)).toHaveLength(1);
    const { instruments } = (await asta('GET', '/api/instruments')).body;
    expect(instruments.filter((g: { name: string }) => g.name === gauge.name)).toHaveLength(1);
  });

  it('a person is added once, however the name is written', async () => {
    const answers = await Promise.all(
      ['Hedda', 'hedda', 'HEDDA', 'Hedda'].map((name) =>
        imke('POST', '/api/people', { name, role: 'fitter' }),
      ),
    );
    expect(statuses(answers)[0]).toBe(201);
    expect(answers.filter((a) => a.status === 201)).toHaveLength(1);
    for (const a of answers) expect(a.status).toBeLessThan(500);
  });

  it('a list of positions brought twice is there once', async () => {
    const csv =
      'area,machine,position\nYard,Sieve 1,Drive end\nYard,Sieve 1,Tail end\nYard,Sieve 2,Drive end\n';
    await atOnce('/api/register/import', () => ({ csv }));
    const { positions } = (await asta('GET', '/api/register?q=sieve')).body;
    expect(positions).toHaveLength(3);
  });

  it('cards of one part typed at once are versions of it, none lost and none with another’s number', async () => {
    const card = (i: number) => ({
      designation: 'HB 90 AT ONCE',
      trade: 'sleeve-bearing',
      values: { 'maker.benchLowerMm': 0.08 + i / 1000 },
    });
    const answers = await atOnce('/api/parts', card);
    const made = answers.filter((a) => a.status === 201);
    const { versions } = (await asta('GET', '/api/parts/HB%2090%20AT%20ONCE')).body;
    expect(versions).toHaveLength(made.length);
    expect(new Set(versions.map((v: { version: number }) => v.version)).size).toBe(made.length);
    expect(made.length).toBeGreaterThan(0);
  });

  it('an outage is changed by one of them; the others are told that it was', async () => {
    const begun = await imke('POST', '/api/outages', { ...OUTAGE, name: 'At once' });
    expect(begun.status).toBe(201);
    const { id, version, outage } = begun.body.told;
    const answers = await Promise.all(
      Array.from({ length: MANY }, (_, i) =>
        imke('POST', `/api/outages/${id}`, { after: version, outage: { ...outage, name: `At once ${i}` } }),
      ),
    );
    for (const a of answers) expect(a.status, JSON.stringify(a.body).slice(0, 200)).toBeLessThan(500);
    expect(answers.filter((a) => a.status < 300)).toHaveLength(1);
    const now = (await imke('GET', `/api/outages/${id}`)).body.told;
    expect(now.version).toBe(version + 1);
    expect(now.outage.name).toMatch(/^At once \d$/);
  });

  it('a machine put into areas by two stands in one of them, whole', async () => {
    const areas = ['Yard', 'Boiler house'];
    await atOnce('/api/machines/area', (i) => ({ machine: 'Sieve 1', area: areas[i % 2] }));
    const { positions } = (await asta('GET', '/api/register?q=sieve%201')).body;
    expect(new Set(positions.map((p: { area: string }) => p.area)).size).toBe(1);
  });

  it('a photograph sent by several devices is kept once, whole', async () => {
    const bytes = await sharp({
      create: { width: 320, height: 240, channels: 3, background: { r: 80, g: 90, b: 30 } },
    })
      .jpeg()
      .toBuffer();
    const hash = createHash('sha256').update(bytes).digest('hex');
    const cookie = await cookieOf(house.url, 'Asta');
    const put = () =>
      fetch(`${house.url}/api/photos/${hash}`, {
        method: 'PUT',
        headers: { cookie, 'content-type': 'image/jpeg' },
        body: new Uint8Array(bytes),
      });
    const answers = await Promise.all(Array.from({ length: MANY }, put));
    expect(new Set(statuses(answers))).toEqual(new Set([204]));
    const shown = await fetch(`${house.url}/api/photos/${hash}`, { headers: { cookie } });
    expect(Buffer.from(await shown.arrayBuffer())).toEqual(bytes);
  });

  it('a code lets in one of those who hold it', async () => {
    const { code } = (await imke('POST', '/api/people', { name: 'Ragna', role: 'fitter' })).body;
    const nobody = await caller(house.url);
    const answers = await Promise.all(
      Array.from({ length: MANY }, (_, i) =>
        nobody('POST', '/api/password/reset', { name: 'Ragna', code, password: `a wedge under line ${i}` }),
      ),
    );
    expect(answers.filter((a) => a.status < 300)).toHaveLength(1);
    for (const a of answers) expect(a.status).toBeLessThan(500);
    // The password that holds is the one of whoever was let in.
    const let_in = answers.findIndex((a) => a.status < 300);
    const signs = (i: number) =>
      nobody('POST', '/api/session', { name: 'Ragna', password: `a wedge under line ${i}` });
    expect((await signs(let_in)).status).toBe(200);
    expect((await signs((let_in + 1) % MANY)).status).toBe(401);
  });

  it('a bench handed in twice is marked once', async () => {
    const { id } = (await imke('POST', '/api/practice/sets', { rig: 'seat', difficulty: 'one', seed: 5 }))
      .body;
    const attempt = careful(layOut(rigOf('seat') as NonNullable<ReturnType<typeof rigOf>>, 5, 'one'));
    const hand = { set: id, ...attempt, call: { fit: attempt.call.fit, faults: [...attempt.call.faults] } };
    const answers = await Promise.all(
      Array.from({ length: 3 }, () => asta('POST', '/api/practice/results', hand)),
    );
    for (const a of answers) expect(a.status).toBeLessThan(500);
    expect(answers.filter((a) => a.status === 201)).toHaveLength(1);
    const { sets } = (await asta('GET', '/api/practice/benches')).body;
    expect(sets.find((s: { id: string }) => s.id === id).marks).toHaveLength(1);
  });

  it('a shaft drawn by two is drawn twice, and the last holds', async () => {
    const { positions } = (await asta('GET', '/api/register?q=cooling%20fan%204')).body;
    const stations = positions.map((p: { id: string }, i: number) => ({
      positionId: p.id,
      atMm: 1000 * i,
      role: i === 0 ? 'fixed' : 'float',
    }));
    const answers = await atOnce('/api/shafts', () => ({
      name: 'Long shaft',
      machine: 'Cooling fan 4',
      stations,
    }));
    expect(answers.filter((a) => a.status === 201)).toHaveLength(MANY);
    const { shafts } = (await asta('GET', `/api/positions/${positions[0].id}`)).body;
    const long = shafts.filter((s: { name: string }) => s.name === 'Long shaft');
    expect(long.map((s: { version: number }) => s.version)).toEqual([MANY]);
  });
});
