import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { giveCode } from '../auth/codes.ts';
import { seedDemo } from '../demo/seed.ts';
import { greetingOf, plantStage } from '../store/plant.ts';
import { type Caller, caller, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let nobody: Caller;

beforeAll(async () => {
  house = await openHouse({ demo: false });
  nobody = await caller(house.url);
});
afterAll(() => house?.close());

/** Somebody who keeps the cookie the server last gave. */
function visitor() {
  let cookie = '';
  return async (method: string, path: string, body?: unknown) => {
    const response = await fetch(`${house.url}${path}`, {
      method,
      headers: {
        'user-agent': 'Tablet of the test',
        ...(cookie ? { cookie } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const given = (response.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    if (given.length > 10) cookie = given;
    const text = await response.text();
    return { status: response.status, body: text ? JSON.parse(text) : null };
  };
}
const faultsOf = (answer: { body: { faults?: Array<{ path: string; message: string }> } }) =>
  Object.fromEntries((answer.body.faults ?? []).map((f) => [f.path, f.message]));

const first = { code: '', site: 'Oxleigh works', name: 'Ingrid', password: 'three plain words' };
const ingrid = visitor();
const tore = visitor();

describe('a plant with nothing in it', () => {
  it('has no people, no gauges but stand-ins, no machine, and greets its first visitor', async () => {
    expect((await nobody('GET', '/api/greeting')).body).toEqual({
      site: '',
      demo: false,
      state: 'first-visit',
    });
    expect(await house.db.models.Person.count()).toBe(0);
    expect(await house.db.models.Position.count()).toBe(0);
    expect(await house.db.models.Instrument.count({ where: { standIn: false } })).toBe(0);
  });

  it('says beside each field what is wrong, and lets nobody in by a made-up code', async () => {
    const wrong = await nobody('POST', '/api/first-visit', {
      ...first,
      site: 'x',
      password: 'short',
      code: '',
    });
    expect(wrong.status).toBe(400);
    expect(faultsOf(wrong)).toMatchObject({
      site: expect.stringContaining('two letters'),
      password: expect.stringContaining('ten characters'),
      code: expect.stringContaining('code'),
    });
    const guessed = await nobody('POST', '/api/first-visit', { ...first, code: 'AAAAA-AAAAA' });
    expect(faultsOf(guessed).code).toContain('console');
    expect(await house.db.models.Person.count()).toBe(0);
  });

  it('lets the first visitor in by the console’s code, once, however it is typed; who comes second is told', async () => {
    const stale = await giveCode(house.owner, 'first');
    const code = await giveCode(house.owner, 'first');
    expect(code).toMatch(/^[A-HJ-KM-NP-Z2-9]{5}-[A-HJ-KM-NP-Z2-9]{5}$/);
    expect((await nobody('POST', '/api/first-visit', { ...first, code: stale })).status).toBe(400);
    const answer = await ingrid('POST', '/api/first-visit', {
      ...first,
      code: ` ${code.toLowerCase().replace('-', ' ')}`,
    });
    expect(answer.body).toMatchObject({
      person: { name: 'Ingrid', role: 'lead' },
      plant: { site: 'Oxleigh works', demo: false },
    });
    expect((await ingrid('GET', '/api/session')).body.person.name).toBe('Ingrid');
    expect((await nobody('POST', '/api/first-visit', { ...first, code, name: 'Olaf' })).status).toBe(409);
    expect(await greetingOf(house.db)).toEqual({ site: 'Oxleigh works', demo: false, state: 'ready' });
  });

  it('never becomes a demo afterwards', async () => {
    expect(await seedDemo(house.owner)).toBe(false);
    expect(await plantStage(house.owner)).toBe('ready');
  });
});

describe('people', () => {
  let toresCode = '';
  let toreId = '';

  it('are added by a lead hand with a code of their own, by which they choose a password', async () => {
    const added = await ingrid('POST', '/api/people', { name: 'Tore', role: 'fitter' });
    expect(added.status).toBe(201);
    ({ code: toresCode, id: toreId } = added.body);
    const list = (await ingrid('GET', '/api/people')).body.people;
    expect(list.find((p: { name: string }) => p.name === 'Tore')).toMatchObject({
      canSignIn: false,
      role: 'fitter',
    });
    // Without a password nobody is let in, whatever is tried.
    for (const password of ['-', '', 'x'])
      expect([400, 401]).toContain((await nobody('POST', '/api/session', { name: 'Tore', password })).status);
    const again = await ingrid('POST', '/api/people', { name: 'tore', role: 'fitter' });
    expect(faultsOf(again).name).toContain('already');
    expect(faultsOf(await ingrid('POST', '/api/people', { name: '', role: 'boss' }))).toMatchObject({
      name: expect.any(String),
      role: 'Choose a role.',
    });
  });

  it('the code stands for its person only, and once', async () => {
    const wrongs = await nobody('POST', '/api/password/reset', {
      name: 'Ingrid',
      code: toresCode,
      password: 'something long enough',
    });
    expect(faultsOf(wrongs).code).toContain('do not go together');
    const chosen = { name: 'Tore', code: toresCode, password: 'a wedge under a line' };
    expect((await tore('POST', '/api/password/reset', chosen)).body.person).toMatchObject({ name: 'Tore' });
    expect((await nobody('POST', '/api/password/reset', chosen)).status).toBe(400);
    expect((await tore('GET', '/api/session')).status).toBe(200);
  });

  it('a fitter neither adds nor changes people, nor tells the plant anything', async () => {
    for (const [path, body] of [
      ['/api/people', { name: 'Olaf', role: 'lead' }],
      [`/api/people/${toreId}`, { role: 'lead' }],
      [`/api/people/${toreId}/code`, {}],
      ['/api/plant', {}],
    ] as const)
      expect([path, (await tore('POST', path, body)).status]).toEqual([path, 403]);
  });

  it('change their own password by the one they have; their other sessions end, this one goes on', async () => {
    const other = visitor();
    await other('POST', '/api/session', { name: 'Tore', password: 'a wedge under a line' });
    const sessions = (await tore('GET', '/api/account/sessions')).body.sessions;
    expect(sessions).toHaveLength(2);
    expect(sessions.filter((s: { here: boolean }) => s.here)).toHaveLength(1);
    expect(sessions[0].device).toBe('Tablet of the test');
    const wrong = await tore('POST', '/api/account/password', {
      current: 'not this',
      password: 'a beam on a fulcrum',
    });
    expect(faultsOf(wrong).current).toContain('not the password');
    const right = await tore('POST', '/api/account/password', {
      current: 'a wedge under a line',
      password: 'a beam on a fulcrum',
    });
    expect(right.status).toBe(204);
    expect((await tore('GET', '/api/session')).status).toBe(200);
    expect((await other('GET', '/api/session')).status).toBe(401);
    expect(
      (await nobody('POST', '/api/session', { name: 'Tore', password: 'a wedge under a line' })).status,
    ).toBe(401);
  });

  it('end one session, or all others', async () => {
    const [a, b] = [visitor(), visitor()];
    for (const v of [a, b])
      await v('POST', '/api/session', { name: 'Tore', password: 'a beam on a fulcrum' });
    const { sessions } = (await a('GET', '/api/account/sessions')).body;
    const here = sessions.find((s: { here: boolean }) => s.here);
    expect((await b('DELETE', `/api/account/sessions/${here.id}`)).status).toBe(204);
    expect((await a('GET', '/api/session')).status).toBe(401);
    // Nobody ends a session of somebody else.
    expect((await ingrid('DELETE', `/api/account/sessions/${sessions[0].id}`)).status).toBe(404);
    expect((await b('DELETE', '/api/account/sessions')).status).toBe(204);
    expect((await b('GET', '/api/session')).status).toBe(200);
    expect((await tore('GET', '/api/session')).status).toBe(401);
  });

  it('the last lead hand stays one; a role holds at the next request; who retires is out at once, and can come back', async () => {
    const me = (await ingrid('GET', '/api/session')).body.person.id;
    for (const change of [{ role: 'fitter' }, { retired: true }])
      expect((await ingrid('POST', `/api/people/${me}`, change)).body.title).toContain('last lead hand');
    await tore('POST', '/api/session', { name: 'Tore', password: 'a beam on a fulcrum' });
    expect((await tore('POST', '/api/people', { name: 'Olaf', role: 'viewer' })).status).toBe(403);
    expect((await ingrid('POST', `/api/people/${toreId}`, { role: 'lead' })).status).toBe(200);
    expect((await tore('POST', '/api/people', { name: 'Olaf', role: 'viewer' })).status).toBe(201);
    // Two now lead: one may go.
    expect((await tore('POST', `/api/people/${me}`, { role: 'fitter' })).status).toBe(200);
    expect((await tore('POST', `/api/people/${me}`, { role: 'lead' })).status).toBe(200);
    expect((await ingrid('POST', `/api/people/${toreId}`, { retired: true })).status).toBe(200);
    expect((await tore('GET', '/api/session')).status).toBe(401);
    expect(
      (await nobody('POST', '/api/session', { name: 'Tore', password: 'a beam on a fulcrum' })).status,
    ).toBe(401);
    expect((await ingrid('POST', `/api/people/${toreId}/code`, {})).status).toBe(409);
    const list = (await ingrid('GET', '/api/people')).body.people;
    expect(list.at(-1)).toMatchObject({ name: 'Tore', retiredAt: expect.stringMatching(/^\d{4}-/) });
    await ingrid('POST', `/api/people/${toreId}`, { retired: false });
    expect(
      (await tore('POST', '/api/session', { name: 'Tore', password: 'a beam on a fulcrum' })).status,
    ).toBe(200);
    expect((await ingrid('POST', '/api/people/nobody', { role: 'lead' })).status).toBe(404);
  });

  it('too many wrong codes have to wait, and are told how long', async () => {
    const tries = [];
    for (let i = 0; i < 12; i++)
      tries.push(
        (
          await nobody('POST', '/api/password/reset', {
            name: 'Olaf',
            code: `X${i}`,
            password: 'long enough now',
          })
        ).status,
      );
    expect(tries.slice(0, 10).every((s) => s === 400)).toBe(true);
    expect(tries.at(-1)).toBe(429);
  });
});

describe('what the plant is told', () => {
  const told = {
    site: 'Oxleigh',
    paper: 'letter',
    units: 'in',
    worksFrom: '05:30',
    worksTo: '13:30',
    stockMm: [8, 10],
  };

  it('is told by a lead hand, whole, and every session hears it', async () => {
    expect((await ingrid('POST', '/api/plant', told)).body).toEqual({ ...told, demo: false });
    expect((await tore('GET', '/api/session')).body.plant).toEqual({ ...told, demo: false });
  });

  it('what is wrong is said beside its field, and nothing is changed', async () => {
    const wrong = await ingrid('POST', '/api/plant', { ...told, worksFrom: '25:00', stockMm: [0] });
    expect(faultsOf(wrong)).toMatchObject({
      worksFrom: expect.stringContaining('06:00'),
      'stockMm[0]': expect.stringContaining('more than nothing'),
    });
    expect((await ingrid('GET', '/api/plant')).body.worksFrom).toBe('05:30');
  });
});

describe('a demo that was begun and broken off', () => {
  it('is begun again and ends whole; one that is whole is left alone', async () => {
    const demo = await openHouse();
    try {
      const jobs = await demo.db.models.Job.count();
      // As a kill in the middle leaves it: some of it there, and not ready.
      await demo.owner.sequelize.query('UPDATE plant SET ready_at = NULL');
      await demo.owner.sequelize.query('DELETE FROM sheets');
      expect(await plantStage(demo.owner)).toBe('begun-demo');
      expect(await seedDemo(demo.owner)).toBe(true);
      expect(await demo.db.models.Job.count()).toBe(jobs);
      expect(await demo.db.models.Sheet.count()).toBeGreaterThan(0);
      expect(await plantStage(demo.owner)).toBe('demo');
      expect(await seedDemo(demo.owner)).toBe(false);
    } finally {
      await demo.close();
    }
  });
});
