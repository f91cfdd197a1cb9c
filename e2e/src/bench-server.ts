import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BearingHand } from '@fulcrant/core/examples';
import type { Instrument } from '@fulcrant/core/instruments';
import type { JobEvent, Setup } from '@fulcrant/core/job';
import { v7 } from 'uuid';
import type { HandTools } from '../../core/src/engine/scripted-hand.ts';
import { EVERY_KIND, workAll } from '../../core/src/testing/every-kind.ts';
import { demoTools } from '../../packages/trials/src/demo-tools.ts';
import { databaseEnv, freePort, startDatabase } from '../../scripts/database.mjs';

/** Requests each figure is the middle of, half of them the bare server's, turn by turn in one run. */
const ROUNDS = 300;
const ASTA = { id: 'asta', name: 'Asta', role: 'fitter' } as const;
let agent = new Agent({ keepAlive: true, maxSockets: 4 });
type Answer = { status: number; text: string; headers: Record<string, unknown>; ms: number };

function ask(
  method: string,
  url: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Answer> {
  const text = body === undefined ? undefined : JSON.stringify(body);
  const began = performance.now();
  return new Promise((done, fail) => {
    const call = request(
      url,
      {
        method,
        agent,
        headers: {
          ...headers,
          ...(text === undefined
            ? {}
            : { 'content-type': 'application/json', 'content-length': String(Buffer.byteLength(text)) }),
        },
      },
      (response) => {
        const chunks: Buffer[] = [];
        response.on('data', (c: Buffer) => chunks.push(c));
        response.on('end', () =>
          done({
            status: response.statusCode ?? 0,
            text: Buffer.concat(chunks).toString(),
            headers: response.headers,
            ms: performance.now() - began,
          }),
        );
      },
    );
    call.on('error', fail);
    call.end(text);
  });
}

const p50 = (times: number[]): number => times.sort((a, b) => a - b)[times.length >> 1] ?? Number.NaN;
const line = (what: string, value: string) => console.log(`${what.padEnd(66)} ${value}`);

/** Two ways asked turn by turn, so that what the machine does meanwhile falls on both. */
async function turnAbout(
  a: () => Promise<Answer>,
  b: () => Promise<Answer>,
  rounds = ROUNDS,
): Promise<{ a: number; b: number }> {
  const [ta, tb]: [number[], number[]] = [[], []];
  for (let i = 0; i < rounds + 20; i++) {
    const [x, y] = [await a(), await b()];
    for (const r of [x, y]) if (r.status >= 400) throw new Error(`${r.status} ${r.text.slice(0, 300)}`);
    if (i >= 20) {
      ta.push(x.ms);
      tb.push(y.ms);
    }
  }
  return { a: p50(ta), b: p50(tb) };
}

const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-bench-'));
const db = await startDatabase({ dataDir });
const owner = { ...process.env, ...databaseEnv(db, 'owner') };
const prepared = spawnSync(process.execPath, ['server/dist/prepare.js'], {
  env: { ...owner, FULCRANT_SERVING_USER: db.app.user, FULCRANT_DEMO: '1' },
  encoding: 'utf8',
});
if (prepared.status !== 0) throw new Error(prepared.stderr);
const [port, barePort] = [await freePort(), await freePort()];
const [house, bare] = [`http://127.0.0.1:${port}`, `http://127.0.0.1:${barePort}`];
const running: ChildProcess[] = [
  spawn(process.execPath, ['server/dist/main.js'], {
    env: {
      ...process.env,
      ...databaseEnv(db, 'app'),
      PORT: String(port),
      FULCRANT_WEB: 'web/dist',
      LOG_LEVEL: 'error',
    },
    stdio: ['ignore', 'inherit', 'inherit'],
  }),
  spawn(process.execPath, ['e2e/dist/bare-koa.js'], {
    env: { ...owner, PORT: String(barePort) },
    stdio: ['ignore', 'inherit', 'inherit'],
  }),
];
const up = async (url: string) => {
  for (let i = 0; i < 300; i++) {
    if (
      await ask('GET', url).then(
        (r) => r.status < 500,
        () => false,
      )
    )
      return;
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error(`${url} does not answer.`);
};

try {
  await up(`${house}/api/health`);
  await up(`${bare}/row?job=none`);
  const signedIn = await ask('POST', `${house}/api/session`, { name: 'Asta', password: 'beet-campaign' });
  const cookie = { cookie: String(signedIn.headers['set-cookie']).split(';')[0] ?? '' };
  const tools = await gauges(cookie);

  console.log('The server against a bare Koa with one durable INSERT, or SELECT, on the same database:\n');
  const small = await longJob(tools, cookie, 50);
  const large = await longJob(tools, cookie, 1000);
  const at50 = await postOne(small, cookie);
  line(
    'POST one event, job of 50: ratio to one INSERT (aim 2), ms',
    `${(at50.b / at50.a).toFixed(2)}, ${at50.b.toFixed(2)}`,
  );
  const at1000 = await postOne(large, cookie);
  line(
    '  job of 1000: ratio to job of 50 (aim 1.3), ms',
    `${(at1000.b / at50.b).toFixed(2)}, ${at1000.b.toFixed(2)}`,
  );

  const all = await turnAbout(
    () => ask('GET', `${bare}/all?job=${large.jobId}`),
    () => ask('GET', `${house}/api/jobs/${large.jobId}`, undefined, cookie),
  );
  line(
    'GET a job of over 1000 events: ratio to one SELECT (aim 1.5), ms',
    `${(all.b / all.a).toFixed(2)}, ${all.b.toFixed(2)}`,
  );
  const mark = String((await ask('GET', `${house}/api/jobs/${large.jobId}`, undefined, cookie)).headers.etag);
  const same = await turnAbout(
    () => ask('GET', `${bare}/row?job=${large.jobId}`),
    () => ask('GET', `${house}/api/jobs/${large.jobId}`, undefined, { ...cookie, 'if-none-match': mark }),
  );
  line(
    'GET it unchanged: ratio to one SELECT of a row (aim 1.1), ms',
    `${(same.b / same.a).toFixed(2)}, ${same.b.toFixed(2)}`,
  );

  const batches: number[] = [];
  for (let i = 0; i < 7; i++) {
    const job = await longJob(tools, cookie, 900);
    const events = next(job, 100);
    const answer = await ask('POST', `${house}/api/jobs/${job.jobId}/events`, { events }, cookie);
    if (!answer.text.includes('stored')) throw new Error(answer.text.slice(0, 300));
    batches.push(answer.ms);
  }
  line(
    'A batch of 100 onto 900: in single ones (aim 8), ms',
    `${(p50(batches) / at50.b).toFixed(1)}, ${p50(batches).toFixed(1)}`,
  );

  const finished = new BearingHand(v7(), id, tools, ASTA, new Date(Date.now() - 8 * 3_600_000)).open(v7(), {
    ...(EVERY_KIND['by feelers'] as Setup),
    machine: 'Bench',
    position: 'finished',
  });
  workAll(finished);
  await post(finished.jobId, finished.events, cookie);
  const pdf: number[] = [];
  for (let i = 0; i < 25; i++)
    pdf.push((await ask('GET', `${house}/api/jobs/${finished.jobId}/sheet.pdf`, undefined, cookie)).ms);
  line('PDF of a finished fitting, warm (aim 150), ms', p50(pdf.slice(5)).toFixed(0));

  const lists = ['state=open&limit=200', 'state=signed&limit=6', 'q=press&limit=30'];
  const before = await listTimes(lists, cookie);
  const jobs = Number(process.env.JOBS ?? 16000);
  const filled = spawnSync(process.execPath, ['server/dist/fill.js', '--jobs', String(jobs)], {
    env: owner,
    encoding: 'utf8',
  });
  console.log(`\n${filled.stdout.trim()}${filled.stderr.trim()}`);
  // Idle meanwhile, its sockets were closed by the server.
  agent.destroy();
  agent = new Agent({ keepAlive: true, maxSockets: 4 });
  const after = await listTimes(lists, cookie);
  for (const [i, l] of lists.entries())
    line(
      `GET /api/jobs?${l}: ratio full to nearly empty (aim 1.3), ms`,
      `${((after[i] ?? 0) / (before[i] ?? 1)).toFixed(2)}, ${(after[i] ?? 0).toFixed(2)}`,
    );
} finally {
  for (const p of running) p.kill('SIGTERM');
  agent.destroy();
  await db.stop();
  rmSync(dataDir, { recursive: true, force: true });
}

function id(at: Date): string {
  return v7({ msecs: at.getTime() });
}
type Cookie = { cookie: string };

async function gauges(cookie: Cookie): Promise<HandTools> {
  const { instruments } = JSON.parse((await ask('GET', `${house}/api/instruments`, undefined, cookie)).text);
  return demoTools(instruments as Instrument[]);
}

/** A job of so many events: a seat read place by place, misread ones withdrawn and read again. */
async function longJob(tools: HandTools, cookie: Cookie, events: number): Promise<BearingHand> {
  const hand = new BearingHand(v7(), id, tools, ASTA, new Date(Date.now() - 40 * 3_600_000))
    .open(v7(), {
      ...(EVERY_KIND['by feelers'] as Setup),
      machine: 'Bench',
      position: `of ${events}, ${v7().slice(-6)}`,
    })
    .safe();
  while (hand.events.length < events) one(hand);
  await post(hand.jobId, hand.events, cookie);
  return hand;
}

/** One more act at the seat: the next place read, or the last reading withdrawn. */
function one(hand: BearingHand): void {
  const place = hand.state.steps.find((s) => s.id === 'shaft')?.report?.next?.key;
  const last = hand.state.readings.findLast((r) => !r.withdrawn);
  if (place && hand.state.readings.filter((r) => !r.withdrawn).length < 5)
    hand.read('shaft', place, 89.97, 'micrometer');
  else hand.do('reading.withdrawn', { reading: last?.id ?? '', reason: 'read once more' });
}

function next(hand: BearingHand, count: number): JobEvent[] {
  const from = hand.events.length;
  for (let i = 0; i < count; i++) one(hand);
  return hand.events.slice(from);
}

async function post(jobId: string, events: readonly JobEvent[], cookie: Cookie): Promise<void> {
  for (let i = 0; i < events.length; i += 100) {
    const answer = await ask(
      'POST',
      `${house}/api/jobs/${jobId}/events`,
      { events: events.slice(i, i + 100) },
      cookie,
    );
    if (answer.status !== 200 || answer.text.includes('refused')) throw new Error(answer.text.slice(0, 400));
  }
}

async function postOne(hand: BearingHand, cookie: Cookie): Promise<{ a: number; b: number }> {
  return turnAbout(
    () => ask('POST', `${bare}/`, { events: [hand.events.at(-1)] }),
    async () => {
      const answer = await ask(
        'POST',
        `${house}/api/jobs/${hand.jobId}/events`,
        { events: next(hand, 1) },
        cookie,
      );
      if (!answer.text.includes('stored')) throw new Error(answer.text);
      return answer;
    },
    // Few enough that the job is still about as long as it is said to be.
    60,
  );
}

async function listTimes(lists: readonly string[], cookie: Cookie): Promise<number[]> {
  const times: number[] = [];
  for (const l of lists) {
    const own: number[] = [];
    for (let i = 0; i < 80; i++) own.push((await ask('GET', `${house}/api/jobs?${l}`, undefined, cookie)).ms);
    times.push(p50(own.slice(10)));
  }
  return times;
}
