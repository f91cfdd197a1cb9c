import { generate } from 'otplib';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { LIMITS } from '../auth/attempts.ts';
import { stepOfCode } from '../auth/second.ts';
import { caller, cookieOf, cookiesIn, openHouse, type Served, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let behindProxy: Served;
beforeAll(async () => {
  house = await openHouse();
  behindProxy = await house.another({ proxy: true });
});
afterAll(() => house?.close());
beforeEach(() => house.owner.sequelize.query('DELETE FROM attempts'));

type From = { url?: string; cookie?: string; address?: string; code?: string };

const tryAs = (
  name: string,
  password: string,
  { url = house.url, cookie, address, code }: From = {},
): Promise<Response> =>
  fetch(`${url}/api/session`, {
    method: 'POST',
    headers: {
      'content-type': 'application/json',
      ...(cookie ? { cookie } : {}),
      ...(address ? { 'x-forwarded-for': address } : {}),
    },
    body: JSON.stringify({ name, password, ...(code === undefined ? {} : { code }) }),
  });
type Said = { title: string; faults: Array<{ path: string }>; person: { role: string } };
const said = async (response: Response | undefined) => (await response?.json()) as Said;
/** As if so many tries had been counted already on the lines that are there of a limit. */
const counted = (limit: string, points: number) =>
  house.owner.sequelize.query('UPDATE attempts SET points = ? WHERE `key` LIKE ?', {
    replacements: [points, `${limit}:%`],
  });
const statuses = (all: readonly Response[]) => {
  const count: Record<number, number> = {};
  for (const { status } of all) count[status] = (count[status] ?? 0) + 1;
  return count;
};

describe('wrong passwords', () => {
  it('for one person, all at once and spelled in every way the lookup folds: no more are looked at than the limit', async () => {
    const ways = ['Asta', 'asta', 'ASTA', 'Ásta', 'Astà', 'aStA'];
    const all = await Promise.all(
      Array.from({ length: 60 }, (_, i) => tryAs(ways[i % ways.length] ?? '', `guess ${i}`)),
    );
    expect(statuses(all)).toEqual({ 401: LIMITS.person, 429: 60 - LIMITS.person });
    const refused = all.find((r) => r.status === 429);
    const seconds = Number(refused?.headers.get('retry-after'));
    expect(seconds).toBeGreaterThan(800);
    expect(seconds).toBeLessThanOrEqual(900);
    expect((await said(refused)).title).toMatch(/^Too many wrong tries\. Wait 15 minutes/);
    // Said in the log, with where it came from and which limit it was; never with what was typed.
    expect(house.said.filter((l) => l.includes('"limit":"person"')).length).toBe(50);
    expect(house.said.join('')).not.toContain('guess');
  });

  it('do not lock out who comes with the right one from a device known for them, nor anybody else', async () => {
    const known = await cookieOf(house.url, 'Asta');
    for (let i = 0; i < LIMITS.person + 1; i++) await tryAs('Asta', 'a guess');
    expect((await tryAs('Asta', 'beet-campaign')).status).toBe(429);
    expect((await tryAs('Asta', 'beet-campaign', { cookie: known })).status).toBe(200);
    // Bram never got in at that device: to him it is a stranger's.
    expect((await tryAs('Bram', 'beet-campaign')).status).toBe(200);
    // Nor may one guess without end at a device that is known.
    const guesses = [];
    for (let i = 0; i < LIMITS.device + 2; i++)
      guesses.push(await tryAs('Asta', 'a guess', { cookie: known }));
    expect(statuses(guesses)).toEqual({ 401: LIMITS.device, 429: 2 });
  });

  it('under ever other names from one address', async () => {
    await tryAs('Nobody', 'a guess');
    await counted('address', LIMITS.address - 2);
    const all = await Promise.all([1, 2, 3, 4, 5].map((i) => tryAs(`Nobody ${i}`, 'a guess')));
    expect(statuses(all)).toEqual({ 401: 2, 429: 3 });
    expect(house.said.some((l) => l.includes('"limit":"address"'))).toBe(true);
  });

  it('from ever other addresses, at two servers: counted together, by person and in all', async () => {
    const all = [];
    for (let i = 0; i < LIMITS.person + 2; i++)
      all.push(await tryAs('Bram', 'a guess', { url: behindProxy.url, address: `10.0.0.${i}` }));
    expect(statuses(all)).toEqual({ 401: LIMITS.person, 429: 2 });
    expect((await tryAs('Bram', 'beet-campaign')).status).toBe(429);
    await counted('house', LIMITS.house);
    const at = { url: behindProxy.url, address: '10.9.9.9' };
    expect((await tryAs('Oskar', 'beet-campaign', at)).status).toBe(429);
  });

  it('that were few are forgiven by the right one, and all are forgotten when their time is over', async () => {
    for (let i = 0; i < LIMITS.person - 1; i++) await tryAs('Asta', 'a guess');
    expect((await tryAs('Asta', 'beet-campaign')).status).toBe(200);
    await tryAs('Asta', 'a guess');
    await counted('person', LIMITS.person);
    expect((await tryAs('Asta', 'beet-campaign')).status).toBe(429);
    await house.owner.sequelize.query('UPDATE attempts SET expire = expire - 900000');
    expect((await tryAs('Asta', 'beet-campaign')).status).toBe(200);
  });

  it('no proxy, no word of a proxy: who says where they come from is not believed', async () => {
    await tryAs('Someone', 'a guess', { address: '10.1.0.1' });
    await counted('address', LIMITS.address);
    expect((await tryAs('Someone else', 'a guess', { address: '10.1.0.2' })).status).toBe(429);
  });
});

describe('behind a proxy with a secure way', () => {
  it('cookies are only for that way and this host, and browsers are told to keep to it; exactly one hop is believed', async () => {
    const ask = (headers: Record<string, string>) =>
      fetch(`${behindProxy.url}/api/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', ...headers },
        body: JSON.stringify({ name: 'Asta', password: 'beet-campaign' }),
      });
    const secure = await ask({ 'x-forwarded-proto': 'https', 'x-forwarded-for': '10.2.0.1' });
    const cookies = secure.headers.getSetCookie();
    expect(cookies.map((c) => c.split('=')[0])).toEqual(['__Host-fulcrant', '__Host-fulcrant-device']);
    for (const c of cookies) expect(c).toMatch(/; path=\/;.* secure; httponly/i);
    for (const c of cookies) expect(c).toMatch(/samesite=strict/i);
    expect(secure.headers.get('strict-transport-security')).toMatch(/^max-age=\d{8}/);
    const cookie = cookiesIn(secure).join('; ');
    const me = (proto: string) =>
      fetch(`${behindProxy.url}/api/session`, { headers: { cookie, 'x-forwarded-proto': proto } });
    expect((await me('https')).status).toBe(200);
    expect((await me('http')).status).toBe(401);
    const plain = await ask({});
    expect(plain.headers.get('strict-transport-security')).toBeNull();
    expect(plain.headers.getSetCookie().join()).not.toMatch(/secure/i);
    // What stands before the last hop's own word was written by whoever asked.
    const from = (address: string) => tryAs('Whoever', 'x', { url: behindProxy.url, address });
    await from('10.3.0.1, 10.4.0.1');
    await counted('address', LIMITS.address);
    expect((await from('10.3.9.9, 10.4.0.1')).status).toBe(429);
    expect((await from('10.4.0.1, 10.3.9.9')).status).toBe(401);
  });
});

describe('a runaway', () => {
  it('is told to wait once it asks more than anybody does, and nobody else is', async () => {
    const paced = await house.another({ paced: true });
    const cookie = await cookieOf(paced.url, 'Asta');
    const ask = (as: string) => fetch(`${paced.url}/api/session`, { headers: { cookie: as } });
    const all: Response[] = [];
    for (let i = 0; i < 31; i++)
      all.push(...(await Promise.all(Array.from({ length: 100 }, () => ask(cookie)))));
    const count = statuses(all);
    expect(count[200]).toBe(3000);
    expect(count[429]).toBe(100);
    expect(Number(all.at(-1)?.headers.get('retry-after'))).toBeGreaterThan(0);
    expect((await ask(await cookieOf(paced.url, 'Bram'))).status).toBe(200);
  });
});

describe('over several servers', () => {
  it('a session ended, a role changed or a person retired at one holds at once at the other', async () => {
    const imke = await caller(house.url, 'Imke');
    const cookie = await cookieOf(house.url, 'Bram');
    const there = (path: string, method = 'GET') =>
      fetch(`${behindProxy.url}${path}`, { method, headers: { cookie } });
    expect((await there('/api/session')).status).toBe(200);
    expect((await imke('POST', '/api/people/bram', { role: 'viewer' })).status).toBe(200);
    expect((await said(await there('/api/session'))).person.role).toBe('viewer');
    await imke('POST', '/api/people/bram', { role: 'fitter' });
    await fetch(`${house.url}/api/session`, { method: 'DELETE', headers: { cookie } });
    expect((await there('/api/session')).status).toBe(401);
  });
});

describe('a PIN', () => {
  /** What a browser would keep of an answer. */
  const kept = (response: Response) => cookiesIn(response).join('; ');
  const post = (path: string, body: object, cookie = '') =>
    fetch(`${house.url}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie },
      body: JSON.stringify(body),
    });
  const get = async (path: string, cookie: string) =>
    (await (await fetch(`${house.url}${path}`, { headers: { cookie } })).json()) as {
      people: Array<{ id: string; name: string }>;
    };

  it('lets its person take over where they have got in before, nowhere else; tries are counted', async () => {
    // Asta and Bram have both got in at this device; Asta sets a PIN.
    const asta = kept(await tryAs('Asta', 'beet-campaign'));
    const here = kept(await tryAs('Bram', 'beet-campaign', { cookie: asta }));
    const short = await post('/api/account/pin', { pin: '12', password: 'beet-campaign' }, asta);
    expect(short.status).toBe(400);
    expect(await short.text()).toContain('A PIN is 4 to 6 digits.');
    // Whoever finds a tablet left lying gives its person no PIN.
    expect((await post('/api/account/pin', { pin: '4711', password: 'a guess' }, asta)).status).toBe(400);
    const set = await post('/api/account/pin', { pin: '4711', password: 'beet-campaign' }, asta);
    expect(set.status).toBe(204);
    expect((await get('/api/device/people', here)).people.map((p) => p.name)).toEqual(['Asta']);
    expect((await post('/api/session/pin', { person: 'asta', pin: '4712' }, here)).status).toBe(401);
    const over = await post('/api/session/pin', { person: 'asta', pin: '4711' }, here);
    expect(over.status).toBe(200);
    expect((await said(over.clone())).person).toMatchObject({ role: 'fitter' });
    // Who was signed in before is not any more.
    expect((await fetch(`${house.url}/api/session`, { headers: { cookie: here } })).status).toBe(401);
    const mine = kept(over);
    expect((await post('/api/session/pin/check', { pin: '4711' }, mine)).status).toBe(204);
    expect((await post('/api/session/pin/check', { pin: '0000' }, mine)).status).toBe(400);
    // Another device has not met Asta: the PIN is nothing there.
    expect((await get('/api/device/people', '')).people).toEqual([]);
    expect((await post('/api/session/pin', { person: 'asta', pin: '4711' })).status).toBe(401);
    // Bram has none.
    expect((await post('/api/session/pin', { person: 'bram', pin: '4711' }, here)).status).toBe(401);
    const guesses = await Promise.all(
      Array.from({ length: 30 }, (_, i) =>
        post('/api/session/pin', { person: 'asta', pin: String(5000 + i) }, here),
      ),
    );
    expect(statuses(guesses)[401]).toBeLessThanOrEqual(LIMITS.device);
    expect(statuses(guesses)[429]).toBeGreaterThanOrEqual(30 - LIMITS.device);
  });

  it('is none for who has a second factor, which it would pass by', async () => {
    const imke = kept(await tryAs('Imke', 'beet-campaign'));
    expect((await post('/api/account/pin', { pin: '654321', password: 'beet-campaign' }, imke)).status).toBe(
      204,
    );
    expect((await get('/api/device/people', imke)).people.map((p) => p.name)).toEqual(['Imke']);
    await house.owner.sequelize.query("UPDATE people SET second_secret = 'X' WHERE id = 'imke'");
    expect((await get('/api/device/people', imke)).people).toEqual([]);
    expect((await post('/api/session/pin', { person: 'imke', pin: '654321' }, imke)).status).toBe(401);
    await house.owner.sequelize.query("UPDATE people SET second_secret = NULL WHERE id = 'imke'");
  });
});

describe('a second factor', () => {
  // Source: RFC 6238, appendix B, SHA-1; six of the eight digits, as authenticators show. The secret is "12345678901234567890" in base32.
  it.each([
    [59, '287082'],
    [1111111109, '081804'],
    [1111111111, '050471'],
    [1234567890, '005924'],
    [2000000000, '279037'],
    [20000000000, '353130'],
  ])('at %i s is %s, as published', async (epoch, token) => {
    const secret = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';
    expect(await generate({ secret, epoch })).toBe(token);
  });

  it('is no code where it is not six digits, or the secret is none', async () => {
    for (const code of ['', '12345', '1234567', 'abcdef', '12 34', '１２３４５６'])
      expect(await stepOfCode('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ', code)).toBeNull();
    expect(await stepOfCode('no base32!', '123456')).toBeNull();
  });

  it('is set by who leads, asked from then on beside the password, lets in once, and is taken off by password or by a code handed over', async () => {
    const imke = await caller(house.url, 'Imke');
    const asta = await caller(house.url, 'Asta');
    expect((await asta('POST', '/api/account/second/offer', {})).status).toBe(403);
    const { secret, uri, picture } = (await imke('POST', '/api/account/second/offer', {})).body;
    expect(uri).toMatch(/^otpauth:\/\/totp\//);
    expect(uri).toContain(`secret=${secret}`);
    expect(picture).toMatch(/^data:image\/png;base64,/);
    // No half-minute ends between the first codes and their being looked at: the one before this would be too old then.
    while (Date.now() % 30_000 > 28_000) await new Promise((done) => setTimeout(done, 100));
    const now = Math.floor(Date.now() / 1000);
    const code = (steps: number) => generate({ secret, epoch: now + 30 * steps });
    const set = (code: string, password = 'beet-campaign') =>
      imke('POST', '/api/account/second', { secret, code, password });
    expect((await set('000000')).body.faults[0].path).toBe('code');
    expect((await set(await code(-1), 'not mine')).body.faults[0].path).toBe('password');
    expect((await set(await code(-1))).body).toEqual({ on: true });

    const asked = await tryAs('Imke', 'beet-campaign');
    expect(asked.status).toBe(401);
    expect((await said(asked)).faults[0]?.path).toBe('code');
    expect((await tryAs('Imke', 'wrong one', { code: await code(0) })).status).toBe(401);
    // The one it was set with was used; one sent ten times at once lets in one.
    expect((await tryAs('Imke', 'beet-campaign', { code: await code(-1) })).status).toBe(401);
    await house.owner.sequelize.query('DELETE FROM attempts');
    const token = await code(0);
    const all = await Promise.all(
      Array.from({ length: 9 }, () => tryAs('Imke', 'beet-campaign', { code: token })),
    );
    expect(statuses(all)).toEqual({ 200: 1, 401: 8 });

    expect((await imke('POST', '/api/account/second/off', { password: 'no' })).status).toBe(400);
    expect((await imke('POST', '/api/account/second/off', { password: 'beet-campaign' })).body).toEqual({
      on: false,
    });
    expect((await tryAs('Imke', 'beet-campaign')).status).toBe(200);

    expect((await set(await code(1))).body).toEqual({ on: true });
    // Who leads no more has it still, and may take it off; nobody else may set one.
    await imke('POST', '/api/people/bram', { role: 'lead' });
    const bram = await caller(house.url, 'Bram');
    await bram('POST', '/api/people/imke', { role: 'fitter' });
    expect((await imke('GET', '/api/account/second')).body).toEqual({ on: true });
    expect((await set(await code(1))).status).toBe(403);
    expect((await imke('POST', '/api/account/second/off', { password: 'beet-campaign' })).status).toBe(200);
    await bram('POST', '/api/people/imke', { role: 'lead' });
    await imke('POST', '/api/people/bram', { role: 'fitter' });
    expect((await set(await code(1))).body).toEqual({ on: true });
    const reset = (await imke('POST', '/api/people/imke/code', {})).body.code;
    const back = await fetch(`${house.url}/api/password/reset`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Imke', code: reset, password: 'beet-campaign' }),
    });
    expect(back.status).toBe(200);
    expect((await tryAs('Imke', 'beet-campaign')).status).toBe(200);
  });
});
