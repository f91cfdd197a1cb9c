import { afterAll, beforeAll, expect, it } from 'vitest';
import { startDatabase } from '../../../scripts/database.mjs';
import { batch, type Caller, caller, freshHand, openHouse, type TestHouse } from '../testing/house.ts';
import { migrate } from './migrate.ts';

let house: TestHouse;
let asta: Caller;
beforeAll(async () => {
  house = await openHouse();
  asta = await caller(house.url, 'Asta');
});
afterAll(() => house?.close());

it('migrations run once and leave the rights as they were', async () => {
  expect(await migrate(house.owner.sequelize, house.mariadb.app.user)).toEqual([]);
});

it('says 503 while the database is away and recovers by itself, with everything stored before', async () => {
  const h = freshHand('away').safe();
  await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
  expect((await asta('GET', '/api/health')).body).toEqual({
    status: 'ok',
    database: 'ok',
    version: '0.0.0-test',
  });

  const { port } = house.mariadb;
  await house.mariadb.stop();
  const away = await asta('GET', '/api/health');
  expect([away.status, away.body.database]).toEqual([503, 'away']);
  const refused = await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
  expect(refused.status).toBe(503);
  expect(refused.headers.get('content-type')).toContain('application/problem+json');

  house.mariadb = await startDatabase({ dataDir: house.dataDir, port, small: true });
  expect(house.mariadb.port).toBe(port);
  let status = 0;
  for (let i = 0; i < 50 && status !== 200; i++) status = (await asta('GET', '/api/health')).status;
  expect(status).toBe(200);
  expect((await asta('GET', `/api/jobs/${h.jobId}`)).body.events).toHaveLength(h.events.length);
});

it('a database killed without warning keeps every acknowledged event', async () => {
  const h = freshHand('killed').safe();
  const answer = await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
  expect(answer.status).toBe(200);
  const { port } = house.mariadb;
  process.kill(house.mariadb.pid, 'SIGKILL');
  await new Promise((done) => setTimeout(done, 300));
  house.mariadb = await startDatabase({ dataDir: house.dataDir, port, small: true });
  expect((await asta('GET', `/api/jobs/${h.jobId}`)).body.events).toHaveLength(h.events.length);
});
