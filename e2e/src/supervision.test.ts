import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EVERY_KIND } from '../../core/src/testing/every-kind.ts';
import { freePort } from '../../scripts/database.mjs';

const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
let start: ChildProcess;
let port: number;
let said = '';
let cookie = '';

const until = async (what: string, ready: () => Promise<boolean> | boolean, ms = 60_000) => {
  for (const end = Date.now() + ms; Date.now() < end; await new Promise((done) => setTimeout(done, 50)))
    if (await ready()) return;
  throw new Error(`${what} did not come. The start said:\n${said}`);
};
const url = (path: string) => `http://127.0.0.1:${port}${path}`;
const healthy = () =>
  fetch(url('/api/health')).then(
    (r) => r.ok,
    () => false,
  );
const env = (at: number) => ({ ...process.env, PORT: String(at), FULCRANT_DATA: dataDir });

beforeAll(async () => {
  port = await freePort();
  start = spawn(process.execPath, ['scripts/start.mjs'], {
    env: env(port),
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  for (const stream of [start.stdout, start.stderr]) stream?.on('data', (d) => (said += d));
  await until('The house', () => said.includes('Fulcrant is at'), 100_000);
  const signedIn = await fetch(url('/api/session'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Asta', password: 'beet-campaign' }),
  });
  cookie = (signedIn.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
});
afterAll(async () => {
  const gone = new Promise((done) => start.once('exit', done));
  start.kill('SIGTERM');
  await gone;
  rmSync(dataDir, { recursive: true, force: true });
});

/** The process of the house that holds a word in its command line and this folder or port in its environment. */
function pidOf(word: string, where: string): number {
  const found = spawnSync('pgrep', ['-f', word], { encoding: 'utf8' }).stdout.split('\n').filter(Boolean);
  const mine = found.find((pid) => {
    const proc = `/proc/${pid}`;
    try {
      return `${readFileSync(`${proc}/cmdline`)}${readFileSync(`${proc}/environ`)}`.includes(where);
    } catch {
      return false;
    }
  });
  if (!mine) throw new Error(`No process ${word}.`);
  return Number(mine);
}

const author = { id: 'asta', name: 'Asta', role: 'fitter' };
const post = (jobId: string, event: object) =>
  fetch(url(`/api/jobs/${jobId}/events`), {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/json' },
    body: JSON.stringify({ events: [event], sentAt: new Date().toISOString() }),
  });

it('killed under load, server and database come back by themselves; nothing acknowledged is lost or doubled', async () => {
  const jobId = v7();
  const event = (type: string, data: object) => ({
    id: v7(),
    jobId,
    at: new Date().toISOString(),
    author,
    type,
    data,
  });
  const opened = event('job.opened', { positionId: v7(), setup: EVERY_KIND['by feelers'] });
  expect((await post(jobId, opened)).status).toBe(200);
  const acknowledged = new Set([opened.id]);
  let going = true;
  /** One note after another, each sent again until somebody answers for it. */
  const load = async () => {
    while (going) {
      const note = event('note.added', { text: 'under load' });
      for (;;) {
        const answer = await post(jobId, note).then(
          async (r) =>
            r.status === 200 ? ((await r.json()) as { outcomes: Array<{ outcome: string }> }) : null,
          () => null,
        );
        if (answer && answer.outcomes[0]?.outcome !== 'refused') {
          acknowledged.add(note.id);
          break;
        }
        if (!going) return;
      }
    }
  };
  const hands = [load(), load(), load()];
  for (const [word, where] of [
    ['server/dist/main.js', `PORT=${port}\0`],
    ['mariadbd', dataDir],
    ['server/dist/main.js', `PORT=${port}\0`],
    ['mariadbd', dataDir],
  ] as const) {
    const before = acknowledged.size;
    await until('Load', () => acknowledged.size > before + 10);
    process.kill(pidOf(word, where), 'SIGKILL');
    const after = acknowledged.size;
    await until('Life after death', () => acknowledged.size > after + 10);
  }
  going = false;
  await Promise.all(hands);
  await until('Health', healthy);
  const job = (await (await fetch(url(`/api/jobs/${jobId}`), { headers: { cookie } })).json()) as {
    events: Array<{ id: string }>;
  };
  const kept = job.events.map((e) => e.id);
  expect(new Set(kept).size).toBe(kept.length);
  expect([...acknowledged].filter((id) => !kept.includes(id))).toEqual([]);
  expect(said).toMatch(/The server ended\. It is brought up again in/);
  expect(said).toMatch(/The database is back\./);
});

it('a second start on the same folder is refused with a sentence, and the first does not feel it', async () => {
  const pid = pidOf('mariadbd', dataDir);
  const second = spawnSync(process.execPath, ['scripts/start.mjs'], {
    env: env(await freePort()),
    encoding: 'utf8',
  });
  expect(second.status).toBe(1);
  expect(second.stderr).toMatch(/is in use: another start of Fulcrant runs on it/);
  expect(await healthy()).toBe(true);
  expect(pidOf('mariadbd', dataDir)).toBe(pid);
});

it('verify walks the plant while it runs, and says that all holds', () => {
  const walked = spawnSync(process.execPath, ['scripts/beside.mjs', 'verify'], {
    env: { ...process.env, FULCRANT_DATA: dataDir },
    encoding: 'utf8',
  });
  expect(walked.stdout).toMatch(/signed sheets walked: all hold\./);
  expect(walked.status).toBe(0);
});
