import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { killed, twoTablets } from '../../packages/trials/src/durability.ts';
import { ask, type Member, signedIn, told } from '../../packages/trials/src/hands.ts';
import { Started } from '../../packages/trials/src/house.ts';
import { tampered } from '../../packages/trials/src/tamper.ts';
import { freePort } from '../../scripts/database.mjs';

// The trials of durability and tampering in short: the programs themselves go on longer.
const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
let house: Started;
beforeAll(async () => {
  house = await Started.at(dataDir);
});
afterAll(async () => {
  await house?.stop();
  rmSync(dataDir, { recursive: true, force: true });
});

it('killed under load, server and database come back by themselves; nothing acknowledged is lost or doubled', async () => {
  expect((await killed(house, 3)).wrong).toEqual([]);
  expect(house.said).toMatch(/The server ended\. It is brought up again in/);
  expect(house.said).toMatch(/The database is back\./);
});

it('two tablets that were away come back with what they wrote, each run sent twice: all is there once', async () => {
  expect((await twoTablets(house, 60)).wrong).toEqual([]);
});

it('a second start on the same folder is refused with a sentence, and the first does not feel it', async () => {
  const pid = house.pid('database');
  const second = spawnSync(process.execPath, ['scripts/start.mjs'], {
    env: { ...process.env, PORT: String(await freePort()), FULCRANT_DATA: dataDir },
    encoding: 'utf8',
  });
  expect(second.status).toBe(1);
  expect(second.stderr).toMatch(/is in use: another start of Fulcrant runs on it/);
  expect((await ask(house.url, '/api/health'))?.status).toBe(200);
  expect(house.pid('database')).toBe(pid);
});

it('what was altered, taken away, put in or swapped behind its back is named, and the works goes on', async () => {
  expect((await tampered(house)).wrong).toEqual([]);
});

it('a lead hand has the demo laid anew: what was tried in it is gone, and it is of today', async () => {
  const jobs = async (by: Member) =>
    (await told<{ jobs: Array<{ id: string }> }>(house.url, '/api/jobs?limit=200', by)).jobs.map((j) => j.id);
  const lead = await signedIn(house.url, 'Imke');
  const before = await jobs(lead);
  const fitter = await signedIn(house.url, 'Asta');
  const anew = (by: Member) => ask(house.url, '/api/demo/anew', { cookie: by.cookie, body: {} });
  expect((await anew(fitter))?.status).toBe(403);
  expect((await anew(lead))?.status).toBe(204);
  // Nobody of before is signed in any more.
  await expect
    .poll(() => ask(house.url, '/api/session', { cookie: lead.cookie }).then((r) => r?.status), {
      timeout: 90_000,
    })
    .toBe(401);
  const after = await jobs(await signedIn(house.url, 'Imke'));
  expect(after.length).toBeGreaterThan(10);
  expect(after.filter((id) => before.includes(id))).toEqual([]);
}, 150_000);

it('verify walks the plant while it runs, and says that all holds', () => {
  const walked = spawnSync(process.execPath, ['scripts/beside.mjs', 'verify'], {
    env: { ...process.env, FULCRANT_DATA: dataDir },
    encoding: 'utf8',
  });
  expect(walked.stdout).toMatch(/signed sheets walked: all hold\./);
  expect(walked.status).toBe(0);
});
