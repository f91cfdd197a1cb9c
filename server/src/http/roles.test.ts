import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Caller, caller, everybodyAt, openHouse, type TestHouse } from '../testing/house.ts';
import { ROUTES } from './app.ts';
import type { EVERYONE_SIGNED_IN } from './routes.ts';

let house: TestHouse;
let who: Record<(typeof EVERYONE_SIGNED_IN)[number] | 'nobody', Caller>;
beforeAll(async () => {
  house = await openHouse();
  await house.owner.sequelize.query(
    `INSERT INTO people (id, name, role, password_hash)
     SELECT 'inga', 'Inga', 'instructor', password_hash FROM people WHERE name = 'Asta'`,
  );
  const { asta, imke, oskar, nobody } = await everybodyAt(house.url);
  who = { fitter: asta, lead: imke, viewer: oskar, instructor: await caller(house.url, 'Inga'), nobody };
});
afterAll(() => house?.close());

/** Things there are none of: every route gets as far as finding that out, and no further. */
const NONE: Record<string, string> = {
  ':id': '018f0000-0000-7000-8000-000000000000',
  ':device': 'some-device-1',
  ':hash': 'f'.repeat(64),
  ':designation': 'none',
  ':version': '1',
  ':token': 'none',
  ':label': 'NONE-0000',
};
const pathOf = (path: string): string =>
  path.replace(/:\w+/g, (p) => NONE[p] ?? '018f0000-0000-7000-8000-000000000000');
/** A stream has no end of its own. */
const ENDLESS = 'get /api/feed/:device';

describe('who may call what', () => {
  // Written down apart from the routes: a route opened to others by mistake changes this file, and somebody has to look.
  it('is as it was decided (vitest -u writes a change down)', async () => {
    const lines = ROUTES.map(
      (r) => `${r.method} ${r.path}: ${typeof r.who === 'string' ? r.who : [...r.who].sort().join(' ')}`,
    );
    await expect(`${lines.sort().join('\n')}\n`).toMatchFileSnapshot('../../golden/who-may.txt');
  });
});

describe('every route, as everybody', () => {
  it.each(ROUTES.map((r) => [`${r.method} ${r.path}`, r] as const))('%s', async (name, route) => {
    if (name === ENDLESS) return;
    const body = route.method === 'get' || route.method === 'delete' ? undefined : {};
    for (const [role, call] of Object.entries(who)) {
      // Signing out is anybody’s own: they would not be themselves at the next route.
      if (name === 'delete /api/session' && role !== 'nobody') continue;
      const answer = await call(route.method.toUpperCase(), pathOf(route.path), body);
      const told = `${role}: ${answer.status}`;
      expect(answer.status, told).toBeLessThan(500);
      if (route.who === 'anyone') expect([403], told).not.toContain(answer.status);
      else if (role === 'nobody') expect(answer.status, told).toBe(401);
      else if (!(route.who as readonly string[]).includes(role)) expect(answer.status, told).toBe(403);
      else expect([401, 403], told).not.toContain(answer.status);
    }
  });

  it('who is gone is nobody, from the next request on', async () => {
    const gone = await who.lead('POST', '/api/people/inga', { retired: true });
    expect(gone.status).toBe(200);
    expect((await who.instructor('GET', '/api/jobs')).status).toBe(401);
    expect((await who.fitter('GET', '/api/jobs')).status).toBe(200);
  });
});
