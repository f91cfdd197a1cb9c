import 'fake-indexeddb/auto';
import type { JobEvent } from '@fulcrant/core/job';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

type Queue = typeof import('./queue.ts');
type Shelf = typeof import('./store.ts');

const JOB = '018f0000-0000-7000-8000-00000000aaaa';
let count = 0;
const event = (author = 'asta', jobId = JOB): JobEvent => ({
  id: `018f0000-0000-7000-8000-${String(++count).padStart(12, '0')}`,
  jobId,
  at: '2026-11-24T06:00:00Z',
  author: { id: author, name: author, role: 'fitter' },
  type: 'note.added',
  data: { text: `note ${count}` },
});

/** What the server answers to the next posts; a function per post, the last one for all that follow. */
let answers: Array<(events: JobEvent[]) => Response | Promise<Response>> = [];
let posted: Array<{ path: string; events: JobEvent[] }> = [];

const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const stored = (events: JobEvent[]) =>
  json(200, { jobId: JOB, number: 'H-0001', outcomes: events.map((e) => ({ id: e.id, outcome: 'stored' })) });
const refused = (events: JobEvent[]) =>
  json(200, {
    jobId: JOB,
    number: 'H-0001',
    outcomes: events.map((e) => ({ id: e.id, outcome: 'refused', reason: 'Not yet.' })),
  });
const away = (): never => {
  throw new TypeError('fetch failed');
};

/** Of what a device asks after: what the server has lost. */
let lacks: (asked: { events: string[]; photos: string[] }) => { events: string[]; photos: string[] };

let queue: Queue;
let shelf: Shelf;

/** A fresh device: empty shelf, modules loaded anew, a server of our own. */
beforeEach(async () => {
  vi.resetModules();
  vi.stubGlobal('indexedDB', new IDBFactory());
  vi.stubGlobal('navigator', {});
  vi.stubGlobal('BroadcastChannel', undefined);
  answers = [stored];
  posted = [];
  lacks = () => ({ events: [], photos: [] });
  vi.stubGlobal('fetch', async (path: string, init: { body: string }) => {
    if (path === '/api/record/lacks') return json(200, lacks(JSON.parse(init.body)));
    const { events } = JSON.parse(init.body) as { events: JobEvent[] };
    posted.push({ path, events });
    const answer = answers.length > 1 ? answers.shift() : answers[0];
    return (answer ?? stored)(events);
  });
  queue = await import('./queue.ts');
  shelf = await import('./store.ts');
});
afterEach(() => {
  // Signed out, nothing is tried again: no timer outlives its test.
  queue.setSender(null);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const settled = async (what: () => Promise<boolean>) => {
  await vi.waitFor(async () => expect(await what()).toBe(true), { timeout: 12_000, interval: 10 });
};
const empty = async () => (await shelf.allWaiting()).length === 0;

describe('the queue on the device', () => {
  it('keeps first, then sends, then lets go', async () => {
    const e = event();
    await queue.enqueue(e);
    expect((await shelf.allWaiting()).map((w) => w.event)).toEqual([e]);
    expect(posted).toEqual([]);
    queue.setSender('asta');
    await settled(empty);
    expect(posted).toEqual([{ path: `/api/jobs/${JOB}/events`, events: [e] }]);
  });

  it('sends in the order things happened, one job’s run at a time', async () => {
    const other = '018f0000-0000-7000-8000-00000000bbbb';
    const events = [event(), event(), event('asta', other), event()];
    for (const e of events) await queue.enqueue(e);
    queue.setSender('asta');
    await settled(empty);
    expect(posted.map((p) => p.events.map((e) => e.id))).toEqual([
      [events[0]?.id, events[1]?.id, events[3]?.id],
      [events[2]?.id],
    ]);
  });

  it('keeps everything while the server is away and sends it when it is back, without a word from anybody', async () => {
    answers = [away, () => json(503, { title: 'The database does not answer just now.' }), stored];
    queue.setSender('asta');
    const e = event();
    await queue.enqueue(e);
    await settled(async () => posted.length >= 1);
    expect(await shelf.allWaiting()).toHaveLength(1);
    await settled(empty);
    expect(posted).toHaveLength(3);
    expect(new Set(posted.map((p) => p.events[0]?.id))).toEqual(new Set([e.id]));
  });

  it('tells who laid the sent events into the sheet before they leave the queue', async () => {
    const seen: Array<[number, number]> = [];
    queue.onSent(async (_job, sent) => {
      seen.push([sent.length, (await shelf.allWaiting()).length]);
    });
    queue.setSender('asta');
    await queue.enqueue(event());
    await settled(empty);
    expect(seen).toEqual([[1, 1]]);
  });

  it('an event stored before is let go as well: posted twice is one event', async () => {
    answers = [
      (events) =>
        json(200, {
          jobId: JOB,
          number: null,
          outcomes: events.map((e) => ({ id: e.id, outcome: 'already' })),
        }),
    ];
    queue.setSender('asta');
    await queue.enqueue(event());
    await settled(empty);
    expect(await shelf.allAside()).toEqual([]);
  });

  it('what the server refuses is kept aside with the reason, and what comes after is not stuck behind it', async () => {
    answers = [refused, stored];
    queue.setSender('asta');
    const first = event();
    await queue.enqueue(first);
    await settled(empty);
    await queue.enqueue(event());
    await settled(empty);
    expect(await shelf.allAside()).toEqual([{ event: first, reason: 'Not yet.' }]);
    await queue.retryAside(first.id);
    await settled(async () => (await empty()) && (await shelf.allAside()).length === 0);
    expect(posted.at(-1)?.events[0]?.id).toBe(first.id);
  });

  it('a request refused as a whole loses nothing either', async () => {
    answers = [() => json(413, { title: 'The body is too large.' }), stored];
    queue.setSender('asta');
    const e = event();
    await queue.enqueue(e);
    await settled(empty);
    expect(await shelf.allAside()).toEqual([{ event: e, reason: 'The body is too large.' }]);
    await queue.forgetAside(e.id);
    expect(await shelf.allAside()).toEqual([]);
  });

  it('a server that fails at a run gets it one by one: one poison entry among good ones waits, the good ones are stored', async () => {
    const [one, poison, two, other] = [event(), event(), event(), event('asta', `${JOB.slice(0, -1)}b`)];
    // A server that cannot deal with this one, alone or among others, however often; until it is mended.
    let mended = false;
    answers = [
      (events) =>
        !mended && events.some((e) => e.id === poison.id)
          ? json(500, { title: 'Something went wrong here.' })
          : stored(events),
    ];
    for (const e of [one, poison, two, other]) await queue.enqueue(e);
    queue.setSender('asta');
    await settled(async () => (await shelf.allWaiting()).length === 2);
    // Nothing is set aside, nothing is lost: what came after it in its job keeps its turn behind it.
    expect((await shelf.allWaiting()).map((w) => w.event.id)).toEqual([poison.id, two.id]);
    expect(await shelf.allAside()).toEqual([]);
    mended = true;
    await settled(empty);
    expect(await shelf.allAside()).toEqual([]);
  });

  it('tells with every run what this clock says', async () => {
    let sentAt = '';
    vi.stubGlobal('fetch', async (_path: string, init: { body: string }) => {
      const body = JSON.parse(init.body) as { events: JobEvent[]; sentAt: string };
      sentAt = body.sentAt;
      return stored(body.events);
    });
    const before = Date.now();
    await queue.enqueue(event());
    queue.setSender('asta');
    await settled(empty);
    expect(Date.parse(sentAt)).toBeGreaterThanOrEqual(before);
    expect(Date.parse(sentAt)).toBeLessThanOrEqual(Date.now());
  });

  it('sends nobody’s entries but those of whoever is signed in', async () => {
    await queue.enqueue(event('bram'));
    queue.setSender('asta');
    const mine = event('asta');
    await queue.enqueue(mine);
    await settled(async () => (await shelf.allWaiting()).length === 1);
    expect(posted.flatMap((p) => p.events.map((e) => e.author.id))).toEqual(['asta']);
    queue.setSender('bram');
    await settled(empty);
  });

  it('waits where the sign-in has run out', async () => {
    answers = [() => json(401, { title: 'Sign in first.' }), stored];
    await queue.enqueue(event());
    queue.setSender('asta');
    await settled(async () => posted.length === 1);
    expect(await shelf.allWaiting()).toHaveLength(1);
    queue.setSender('asta');
    await settled(empty);
  });

  it('says so where the device cannot keep it', async () => {
    vi.resetModules();
    vi.stubGlobal('indexedDB', {
      open() {
        throw new Error('storage is switched off');
      },
    });
    const broken = await import('./queue.ts');
    await expect(broken.enqueue(event())).rejects.toThrow();
  });

  it('an entry made while another is on its way is sent as well', async () => {
    let arrive: (r: Response) => void = () => {};
    answers = [() => new Promise<Response>((done) => (arrive = done)), stored];
    queue.setSender('asta');
    const [one, two] = [event(), event()];
    await queue.enqueue(one);
    await settled(async () => posted.length === 1);
    await queue.enqueue(two);
    arrive(stored([one]));
    await settled(empty);
    expect(posted.map((p) => p.events.map((e) => e.id))).toEqual([[one.id], [two.id]]);
  });

  it('many entries go in batches, each once', async () => {
    for (let i = 0; i < 120; i++) await queue.enqueue(event());
    queue.setSender('asta');
    await settled(empty);
    expect(posted.map((p) => p.events.length)).toEqual([50, 50, 20]);
    expect(new Set(posted.flatMap((p) => p.events.map((e) => e.id))).size).toBe(120);
  });
});

describe('a server that was set back', () => {
  const all = async () => (await shelf.allSent(0, 100)).map((s) => s.event.id);

  it('is asked on the next start for what it had; what it lost goes again, in its old place before what is new', async () => {
    const [one, two, three] = [event(), event(), event()];
    for (const e of [one, two]) await queue.enqueue(e);
    queue.setSender('asta');
    await settled(empty);
    expect(await all()).toEqual([one.id, two.id]);
    // The device is closed, the server restored from last night, the device opened again with one more entry.
    queue.setSender(null);
    vi.resetModules();
    queue = await import('./queue.ts');
    shelf = await import('./store.ts');
    posted = [];
    const asked: string[][] = [];
    lacks = ({ events }) => {
      asked.push(events);
      return { events: asked.length === 1 ? events : [], photos: [] };
    };
    await queue.enqueue(three);
    queue.setSender('asta');
    await settled(async () => (await empty()) && posted.length > 0);
    expect(asked[0]).toEqual([one.id, two.id]);
    expect(posted.flatMap((p) => p.events.map((e) => e.id))).toEqual([one.id, two.id, three.id]);
    expect(await all()).toEqual([one.id, two.id, three.id]);
  });

  it('while nobody looked: an entry it refuses for want of those before it is no refusal', async () => {
    const [one, two] = [event(), event()];
    await queue.enqueue(one);
    queue.setSender('asta');
    await settled(empty);
    let there: string[] = [];
    lacks = ({ events }) => ({ events: events.filter((id) => !there.includes(id)), photos: [] });
    answers = [
      (events) => {
        const outcomes = events.map((e) => {
          const fits = e.id === one.id || there.includes(one.id);
          if (fits) there = [...there, e.id];
          return { id: e.id, outcome: fits ? 'stored' : 'refused', reason: 'The job is not open.' };
        });
        return json(200, { jobId: JOB, number: 'H-0001', outcomes });
      },
    ];
    await queue.enqueue(two);
    await settled(empty);
    expect(await shelf.allAside()).toEqual([]);
    expect(there).toEqual([one.id, two.id]);
  });

  it('asks again where the server was away, and sends nothing before it knows; old things are forgotten', async () => {
    const [one, two] = [event(), event()];
    await queue.enqueue(one);
    queue.setSender('asta');
    await settled(empty);
    let looked = 0;
    lacks = () => {
      looked++;
      expect(posted.filter((p) => p.events.some((e) => e.id === two.id)).length).toBeLessThanOrEqual(looked);
      return { events: [], photos: [] };
    };
    answers = [away, stored];
    await queue.enqueue(two);
    await settled(empty);
    expect(looked).toBe(1);
    expect((await shelf.allSent(Date.now() + 1000, 100)).length).toBe(0);
    expect(await all()).toEqual([]);
  });

  it('refuses what it cannot place and is gone before it is asked: nothing is set aside, it waits', async () => {
    const [one, two] = [event(), event()];
    await queue.enqueue(one);
    queue.setSender('asta');
    await settled(empty);
    let gone = false;
    lacks = () => {
      if (gone) throw new TypeError('fetch failed');
      return { events: [], photos: [] };
    };
    answers = [
      (events) => {
        gone = true;
        return refused(events);
      },
      stored,
    ];
    await queue.enqueue(two);
    await settled(async () => gone);
    expect(await shelf.allAside()).toEqual([]);
    expect((await shelf.allWaiting()).map((w) => w.event.id)).toEqual([two.id]);
    gone = false;
    await settled(empty);
    expect(await all()).toEqual([one.id, two.id]);
  });

  it('lets go of the shelf where a later page lays it out anew', async () => {
    await queue.enqueue(event());
    const later = await new Promise<IDBDatabase>((done, fail) => {
      const request = indexedDB.open('fulcrant', 99);
      request.onsuccess = () => done(request.result);
      request.onerror = () => fail(request.error);
    });
    expect(later.version).toBe(99);
    later.close();
    // This page cannot keep anything any more, and says so rather than wait.
    await expect(queue.enqueue(event())).rejects.toThrow();
  });

  it('is sent a photograph again, too', async () => {
    const lost = await import('./lost.ts');
    const hash = 'a'.repeat(64);
    await shelf.putPhoto({ hash, bytes: new ArrayBuffer(4) });
    await shelf.markPhoto(hash, Date.now());
    lacks = ({ photos }) => ({ events: [], photos });
    expect(await lost.takeBackLost()).toBe(1);
    expect((await shelf.photoByHash(hash))?.sentAt).toBeUndefined();
  });
});

describe('reading through', () => {
  it('answers from the copy while the server is away, and never hides what the server says', async () => {
    const api = await import('./api.ts');
    vi.stubGlobal('fetch', async () => json(200, { jobs: [1] }));
    expect(await api.readThrough('/api/jobs')).toEqual({ jobs: [1] });
    vi.stubGlobal('fetch', away);
    expect(await api.readThrough('/api/jobs')).toEqual({ jobs: [1] });
    await expect(api.readThrough('/api/other')).rejects.toBeInstanceOf(api.Unreachable);
    vi.stubGlobal('fetch', async () => json(403, { title: 'A viewer may not do this.', faults: [] }));
    await expect(api.readThrough('/api/jobs')).rejects.toMatchObject({ status: 403 });
    vi.stubGlobal('fetch', async () => new Response('<html>', { status: 502 }));
    expect(await api.readThrough('/api/jobs')).toEqual({ jobs: [1] });
  });
});
