import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seedOf, triesOf } from '../../../core/src/testing/tries.ts';
import { rowsOf } from '../store/database.ts';
import { cookieOf, openHouse, type TestHouse } from '../testing/house.ts';
import { ROUTES } from './app.ts';

let house: TestHouse;
let cookie: string;
beforeAll(async () => {
  house = await openHouse();
  cookie = await cookieOf(house.url, 'Imke');
});
afterAll(() => house?.close());

const TRIES = triesOf(300);
/** Signing in and out have limits and ends of their own; a stream has none. */
const ASIDE = ['post /api/session', 'delete /api/session', 'get /api/feed/:device'];
const routes = ROUTES.filter((r) => !ASIDE.includes(`${r.method} ${r.path}`));

const json = fc.jsonValue({ maxDepth: 3 });
/** Names the house knows, with anything in them: what gets past the first look. */
const known = fc.dictionary(
  fc.constantFrom(
    'events',
    'actions',
    'outage',
    'after',
    'setup',
    'procedure',
    'name',
    'person',
    'rig',
    'seed',
    'set',
    'log',
    'call',
    'row',
    'laid',
    'machine',
    'position',
    'rules',
    'kind',
    'designation',
    'body',
    'csv',
    'answers',
    'input',
    'trade',
    'renewOn',
    'words',
    'shaft',
    'flats',
    'strokes',
    '__proto__',
    'constructor',
    'toString',
    'length',
  ),
  fc.oneof(json, fc.constant('sleeve-bearing'), fc.constant(-1), fc.constant(1e308), fc.constant('')),
  { maxKeys: 8 },
);
const body = fc.oneof(json, known, fc.constant({}), fc.constant(null));
const raw = fc.oneof(
  body.map((b) => JSON.stringify(b)),
  fc.string({ maxLength: 60 }),
  fc.constant('{"a":'),
  fc.constant('['.repeat(3000)),
);
const part = fc.oneof(
  fc.constantFrom(
    'none',
    '..',
    '%00',
    '%2e%2e',
    '__proto__',
    'constructor',
    "'; DROP TABLE people; --",
    '018f0000-0000-7000-8000-000000000000',
    'f'.repeat(64),
    '-1',
    'NaN',
  ),
  fc.string({ minLength: 1, maxLength: 40 }),
);
const query = fc.oneof(
  fc.constant(''),
  fc
    .dictionary(fc.constantFrom('q', 'limit', 'after', 'who', 'ports', 'shaft', 'size'), part)
    .map((q) => `?${new URLSearchParams(q)}`),
);
const request = fc.record({
  route: fc.constantFrom(...routes),
  part,
  query,
  raw,
  type: fc.constantFrom(
    'application/json',
    'application/json',
    'application/json',
    'text/plain',
    'image/jpeg',
    '',
  ),
});

/** How much there is of everything that is kept. */
async function counted(): Promise<Record<string, number>> {
  const tables = await rowsOf<{ t: string }>(
    house.owner,
    `SELECT table_name AS t FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name <> 'sessions'`,
    [],
  );
  const out: Record<string, number> = {};
  for (const { t } of tables) {
    const [row] = await rowsOf<{ n: number }>(house.owner, `SELECT COUNT(*) AS n FROM \`${t}\``, []);
    out[t] = Number(row?.n);
  }
  return out;
}

describe('requests nobody would make', () => {
  it(`${TRIES} of them over every route: none is a fault of the house, and nothing is kept of any`, {
    timeout: 3_600_000,
  }, async () => {
    const before = await counted();
    const taken: string[] = [];
    await fc.assert(
      fc.asyncProperty(request, async (r) => {
        const path = r.route.path.replace(/:\w+/g, () => encodeURIComponent(r.part));
        const method = r.route.method.toUpperCase();
        const answer = await fetch(`${house.url}${path}${r.query}`, {
          method,
          headers: { cookie, ...(r.type ? { 'content-type': r.type } : {}) },
          ...(['POST', 'PUT'].includes(method) ? { body: r.raw } : {}),
        });
        await answer.arrayBuffer();
        expect(answer.status, `${method} ${path} ${r.raw.slice(0, 200)}`).toBeLessThan(500);
        if (answer.ok && method !== 'GET') taken.push(`${method} ${r.route.path}`);
      }),
      { numRuns: TRIES, seed: seedOf(20261127) },
    );
    // Links to a calendar, and one’s own other sign-ins, are ended by a bare touch; a calculator and a stand-in’s hand keep nothing.
    const may = [
      'POST /api/due/feed',
      'DELETE /api/due/feed',
      'POST /api/calculators/:id',
      'DELETE /api/account/sessions',
      // A dot for an id is the list itself.
      'DELETE /api/account/sessions/:id',
      'POST /api/feed/:device/hand',
      // A secret is offered, and none is kept.
      'POST /api/account/second/offer',
    ];
    expect([...new Set(taken)].filter((t) => !may.includes(t))).toEqual([]);
    const after = await counted();
    delete before.feeds;
    delete after.feeds;
    expect(after).toEqual(before);
  });
});
