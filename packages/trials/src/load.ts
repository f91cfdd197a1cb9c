import { availableParallelism } from 'node:os';
import { BearingHand } from '@fulcrant/core/examples';
import type { Instrument } from '@fulcrant/core/instruments';
import type { JobEvent, Setup } from '@fulcrant/core/job';
import { v7 } from 'uuid';
import type { HandTools } from '../../../core/src/engine/scripted-hand.ts';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { freePort } from '../../../scripts/database.mjs';
import { demoTools } from './demo-tools.ts';
import type { Outcome } from './durability.ts';
import { ask, crewOf, type Member, signedIn, told, until } from './hands.ts';
import { cpuOf, held, heldTo } from './house.ts';
import { clearWorks, layWorks, startServer, type Works } from './plant.ts';

type Server = { url: string; pid: number; stop(): Promise<void> };

/** A works with the database a plant has. */
const grown = () => layWorks({ small: false });

/** A server of a works, as a process of its own. */
export async function serverAt(works: Works, env: NodeJS.ProcessEnv = {}): Promise<Server> {
  const port = await freePort();
  const child = startServer(port, works.at, env);
  const url = `http://127.0.0.1:${port}`;
  await until('The server', async () => (await ask(url, '/api/health'))?.status === 200);
  return {
    url,
    pid: child.pid ?? 0,
    async stop() {
      const gone = new Promise((done) => child.once('exit', done));
      child.kill('SIGTERM');
      await gone;
    },
  };
}

async function toolsOf(url: string, by: Member): Promise<HandTools> {
  const { instruments } = await told<{ instruments: Instrument[] }>(url, '/api/instruments', by);
  return demoTools(instruments);
}

/** Somebody at a seat: the next place read, or the last reading withdrawn, for ever. */
class AtTheSeat {
  readonly hand: BearingHand;
  constructor(by: Member, tools: HandTools) {
    const { id, name, role } = by;
    const stamp = (at: Date) => v7({ msecs: at.getTime() });
    this.hand = new BearingHand(v7(), stamp, tools, { id, name, role }, new Date(Date.now() - 20 * 3_600_000))
      .open(v7(), {
        ...(EVERY_KIND['by feelers'] as Setup),
        machine: 'Load stand',
        position: v7().slice(-12),
      })
      .safe();
  }
  next(): JobEvent {
    const { state } = this.hand;
    const standing = state.readings.filter((r) => !r.withdrawn);
    const place = state.steps.find((s) => s.id === 'shaft')?.report?.next?.key;
    if (place && standing.length < 5) this.hand.read('shaft', place, 89.97, 'micrometer');
    else this.hand.do('reading.withdrawn', { reading: standing.at(-1)?.id ?? '', reason: 'read once more' });
    return this.hand.events.at(-1) as JobEvent;
  }
}

const store = (url: string, by: Member, jobId: string, events: readonly JobEvent[]) =>
  ask(url, `/api/jobs/${jobId}/events`, {
    cookie: by.cookie,
    body: { events, sentAt: new Date().toISOString() },
  });
/** Its first events, or nothing goes on. @throws where they are not stored */
async function opened(url: string, by: Member, jobId: string, events: readonly JobEvent[]): Promise<void> {
  const answer = await store(url, by, jobId, events);
  if (!(await isStored(answer)))
    throw new Error(`Not opened: ${answer?.status}, ${JSON.stringify(await answer?.json())}`);
}
const isStored = async (answer: Awaited<ReturnType<typeof store>>): Promise<boolean> =>
  answer?.status === 200 &&
  ((await answer.json()) as { outcomes: Array<{ outcome: string }> }).outcomes.every(
    (o) => o.outcome === 'stored',
  );

/** The value below which a share of all lies. */
export function quantile(all: readonly number[], share: number): number {
  const sorted = [...all].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
}

/** Seconds between two acts of somebody at work: most soon, a few late. */
const think = () => Math.min(6, -1.2 * Math.log(1 - Math.random())) * 1000;

/**
 * So many people at work for so many minutes at one server: readings, the board, the job as it stands, a sheet on paper, a search; some
 * with a gauge’s feed open.
 */
export async function loaded(
  { people, minutes }: { people: number; minutes: number },
  lay: () => Promise<Works> = grown,
): Promise<Outcome> {
  const works = await lay();
  const server = await serverAt(works);
  const { url } = server;
  try {
    const imke = await signedIn(url, 'Imke');
    const crew = await crewOf(url, imke, people);
    const tools = await toolsOf(url, imke);
    const listed = await told<{ jobs: Array<{ id: string }> }>(url, '/api/jobs?state=signed&limit=20', imke);
    const signed = listed.jobs.map((j) => j.id);
    const times: Record<string, number[]> = {};
    const errors: string[] = [];
    const timed = async (what: string, work: () => Promise<boolean>) => {
      const began = performance.now();
      const went = await work();
      const own = times[what] ?? [];
      times[what] = own;
      own.push(performance.now() - began);
      if (!went && errors.length < 20) errors.push(what);
    };
    const end = Date.now() + minutes * 60_000;
    const got = async (path: string, by: Member) =>
      (await ask(url, path, { cookie: by.cookie }))?.status === 200;
    const person = async (by: Member, n: number) => {
      const seat = new AtTheSeat(by, tools);
      const { jobId } = seat.hand;
      await opened(url, by, jobId, seat.hand.events);
      // One in ten has a gauge lying at a port.
      const feed = n % 10 === 0 ? new AbortController() : null;
      if (feed)
        void fetch(`${url}/api/feed/tablet-${n}-of-trial?ports=dial`, {
          headers: { cookie: by.cookie },
          signal: feed.signal,
        })
          .then((r) => r.body?.pipeTo(new WritableStream()))
          .catch(() => undefined);
      while (Date.now() < end) {
        await new Promise((done) => setTimeout(done, think()));
        const dice = Math.random();
        if (dice < 0.6)
          await timed('reading stored', async () => isStored(await store(url, by, jobId, [seat.next()])));
        else if (dice < 0.75)
          await timed('job read', () => got(`/api/jobs/${jobId}?after=${seat.hand.events.length - 1}`, by));
        else if (dice < 0.88) await timed('board read', () => got('/api/jobs?state=open&limit=200', by));
        else if (dice < 0.94)
          await timed('sheet printed', () => got(`/api/jobs/${signed[n % signed.length]}/sheet.pdf`, by));
        else await timed('looked for', () => got('/api/register?q=press', by));
      }
      feed?.abort();
    };
    const memory: Array<{ mb: number; files: number }> = [];
    const sampling = setInterval(() => memory.push(held(server.pid)), Math.max(500, minutes * 1000));
    await Promise.all(crew.map(person)).finally(() => clearInterval(sampling));
    const part = (from: number, to: number) =>
      memory.slice(Math.floor(from * memory.length), Math.ceil(to * memory.length));
    const mean = (all: typeof memory) => all.reduce((s, m) => s + m.mb, 0) / Math.max(1, all.length);
    const [middle, last] = [mean(part(0.4, 0.7)), mean(part(0.7, 1))];
    const p99 = quantile(times['reading stored'] ?? [], 0.99);
    const count = Object.values(times).reduce((n, t) => n + t.length, 0);
    return {
      figures: [
        [`${people} people for ${minutes} minutes`, `${count} requests, ${errors.length} that failed`],
        ...Object.entries(times).map(([what, t]): [string, string] => [
          `  ${what}: half / 95 / 99 of 100 within, ms${what === 'reading stored' ? ' (aim 250)' : ''}`,
          `${[0.5, 0.95, 0.99].map((q) => quantile(t, q).toFixed(0)).join(' / ')} of ${t.length}`,
        ]),
        ['memory, middle and last third, MB', `${middle.toFixed(0)} and ${last.toFixed(0)}`],
        ['files open at the end', `${memory.at(-1)?.files ?? 0}`],
      ],
      wrong: [
        ...errors.map((e) => `Failed: ${e}.`),
        ...(p99 >= 250 ? [`A reading took ${p99.toFixed(0)} ms in the slowest hundredth.`] : []),
        // What is kept of jobs is bounded, and grows to its bound; more than a fifth is something else.
        ...(minutes >= 5 && last > middle * 1.2 + 20 ? ['Memory grows.'] : []),
      ],
    };
  } finally {
    await server.stop();
    await clearWorks(works);
  }
}

/** Of a core for each server, where two are to be held against one: on a small machine there is room for all who take part. */
const SHARE = 0.3;

/**
 * How many readings a second are stored by one server, and by two over the same database; turn about. Where a machine has no cores to
 * spare for a second server nothing is gained: with each held to a share of one, what they have in common shows.
 */
export async function scaled(seconds: number): Promise<Outcome> {
  const works = await grown();
  const servers = [await serverAt(works), await serverAt(works)];
  const HANDS = 16;
  /** More than two servers can store on a machine of this kind: enough is prepared. */
  const MOST_A_SECOND = 700;
  try {
    const first = servers[0]?.url ?? '';
    const imke = await signedIn(first, 'Imke');
    const crew = await crewOf(first, imke, HANDS);
    const tools = await toolsOf(first, imke);
    const rate = async (urls: readonly string[]) => {
      // Worked out before the time begins: the hands must not be what is measured.
      const work = crew.map((by) => {
        const seat = new AtTheSeat(by, tools);
        const opening = [...seat.hand.events];
        const events = Array.from({ length: Math.ceil((seconds * MOST_A_SECOND) / HANDS) }, () =>
          seat.next(),
        );
        return { by, jobId: seat.hand.jobId, opening, events };
      });
      for (const [i, w] of work.entries())
        await opened(urls[i % urls.length] ?? '', w.by, w.jobId, w.opening);
      let stored = 0;
      const used = () => [
        servers.reduce((n, s) => n + cpuOf(s.pid), 0),
        cpuOf(works.db.pid),
        cpuOf(process.pid),
      ];
      const before = used();
      const end = Date.now() + seconds * 1000;
      await Promise.all(
        work.map(async ({ by, jobId, events }, i) => {
          for (const e of events) {
            if (Date.now() >= end) return;
            if (!(await isStored(await store(urls[i % urls.length] ?? '', by, jobId, [e]))))
              throw new Error('Not stored.');
            stored++;
          }
        }),
      );
      // Milliseconds of a core for one reading: the servers', the database's, and that of the hands that ask.
      const spent = used().map((u, i) => ((u - (before[i] ?? 0)) * 1000) / Math.max(1, stored));
      return { rate: stored / seconds, spent };
    };
    const urls = servers.map((s) => s.url);
    type Round = Awaited<ReturnType<typeof rate>>;
    const half = (all: readonly Round[], of: (r: Round) => number) => quantile(all.map(of), 0.5);
    const turnAbout = async () => {
      const [one, two]: [Round[], Round[]] = [[], []];
      for (let round = 0; round < 3; round++) {
        one.push(await rate(urls.slice(0, 1)));
        two.push(await rate(urls));
      }
      return { one, a: half(one, (r) => r.rate), b: half(two, (r) => r.rate) };
    };
    const free = await turnAbout();
    const spent = [0, 1, 2].map((i) => half(free.one, (r) => r.spent[i] ?? 0));
    const figures: Outcome['figures'] = [
      ['readings stored a second: one server', free.a.toFixed(0)],
      [`  two servers, all on ${availableParallelism()} cores with database and hands`, free.b.toFixed(0)],
      [
        '  of a core for one reading, ms: server, database, who asks',
        spent.map((ms) => ms.toFixed(2)).join(', '),
      ],
    ];
    const wrong = free.b < 0.8 * free.a ? ['Two servers store less than one.'] : [];
    const letGo = servers.map((s) => heldTo(s.pid, SHARE));
    if (letGo.every((go) => go !== null)) {
      const { a, b } = await turnAbout();
      figures.push(
        [`each server held to ${SHARE} of a core: one`, a.toFixed(0)],
        ['  two, and their ratio (aim 1.6)', `${b.toFixed(0)}, ${(b / a).toFixed(2)}`],
      );
      if (b / a < 1.6) wrong.push(`Two servers store only ${(b / a).toFixed(2)} times what one does.`);
    } else figures.push(['each server held to a share of a core', 'left out: no right to do so here']);
    for (const go of letGo) go?.();
    return { figures, wrong };
  } finally {
    for (const s of servers) await s.stop();
    await clearWorks(works);
  }
}
