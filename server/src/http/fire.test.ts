import { INSTRUMENT_KINDS } from '@fulcrant/core/instruments';
import type { JobEvent, Setup } from '@fulcrant/core/job';
import fc from 'fast-check';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { arbitrarySetup } from '../../../core/src/testing/arbitrary-setup.ts';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { chanceOf, RandomHand, wide } from '../../../core/src/testing/random-hand.ts';
import { floatWhole } from '../../../core/src/trades/sleeve-bearing/example.ts';
import { fill, prepareFill } from '../demo/fill.ts';
import { layHandCards } from '../demo/hand-cards.ts';
import { openDatabase } from '../store/database.ts';
import { verify } from '../store/verify.ts';
import { batch, type Caller, caller, freshHand, openHouse, type TestHouse, TOOLS } from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
let imke: Caller;
beforeAll(async () => {
  house = await openHouse();
  [asta, imke] = await Promise.all([caller(house.url, 'Asta'), caller(house.url, 'Imke')]);
  for (const kind of INSTRUMENT_KINDS) await house.owner.models.Instrument.create(wide(kind));
  await layHandCards(house.owner, ['asta', 'imke'], INSTRUMENT_KINDS.map(wide));
});
afterAll(() => house?.close());

/** Post events as their authors, in runs; every answer. */
async function send(jobId: string, events: readonly JobEvent[]) {
  const outcomes: Array<{ outcome: string; reason?: string }> = [];
  for (let i = 0; i < events.length; ) {
    const by = events[i]?.author.id;
    let n = i;
    while (n < events.length && n - i < 60 && events[n]?.author.id === by) n++;
    const call = by === 'imke' ? imke : asta;
    const answer = await call('POST', `/api/jobs/${jobId}/events`, { events: events.slice(i, n) });
    expect(answer.status, JSON.stringify(answer.body).slice(0, 400)).toBe(200);
    outcomes.push(...answer.body.outcomes);
    i = n;
  }
  return outcomes;
}

/** Floats name a job of the plant; every other kind stands on its own. */
const ALONE = Object.entries<Setup>(EVERY_KIND).filter(([name]) => !name.includes('float'));

describe('any job by any hand, over the wire', () => {
  it.each(ALONE)('%s: what the device takes the server takes, and nothing is a 5xx', async (_name, usual) => {
    await fc.assert(
      fc.asyncProperty(arbitrarySetup(usual), fc.integer(), async (setup, seed) => {
        const jobId = v7();
        const place = { machine: 'Random stand', position: jobId.slice(-12) };
        const hand = new RandomHand(
          chanceOf(seed),
          { ...setup, ...place } as Setup,
          jobId,
          (at) => v7({ msecs: at.getTime() }),
          v7(),
        );
        if (!hand.state) return;
        for (let i = 0; i < 45; i++) hand.step();
        if (hand.events.some((e) => e.type === 'act.done' && e.data.act === 'name-fixed')) return;
        const outcomes = await send(jobId, hand.events);
        expect(outcomes.filter((o) => o.outcome !== 'stored')).toEqual([]);
        const sheet = await asta('GET', `/api/jobs/${jobId}/sheet.json`);
        expect(sheet.status).toBe(200);
        expect((await asta('GET', `/api/jobs/${jobId}/readings.csv`)).status).toBe(200);
        expect([200, 404]).toContain((await asta('GET', `/api/jobs/${jobId}/due.ics`)).status);
        expect((await asta('GET', `/api/jobs/${jobId}/sheet.pdf?units=in`)).status).toBe(200);
      }),
      { numRuns: 2, seed: 20261126 },
    );
  });

  it('and every chain they left holds', async () => {
    expect((await verify(house.db)).faults).toEqual([]);
  });
});

describe('a poison event among good ones', () => {
  it('is refused alone, in a sentence; the good ones round it are stored', async () => {
    const h = freshHand('poison').safe();
    const good = h.events;
    const odd: object[] = [
      { id: good[1]?.id?.replace(/^./, 'f'), type: 'toString' },
      { id: { toString: 'x' }, type: 'reading.taken' },
      { ...good[1], id: v7(), data: { step: 'constructor', item: '__proto__', answer: 'yes' } },
      { ...good[1], id: v7(), at: '2026-02-31T00:00:00Z' },
      { ...good[1], id: v7(), type: 'constructor' },
      { ...good[1], id: v7(), type: 'note.added', data: { text: '\ud800' } },
      { ...good[1], id: 'ünïcode', type: 'note.added', data: { text: 'x' } },
      {
        ...good[1],
        id: v7(),
        type: 'setup.changed',
        data: { setup: { procedure: 'constructor' }, reason: 'odd one' },
      },
      {
        ...good[1],
        id: v7(),
        type: 'setup.changed',
        data: { setup: { procedure: 'seal' }, reason: 'odd one' },
      },
    ];
    const mixed: object[] = good.flatMap((e, i) => (odd[i] === undefined ? [e] : [e, odd[i]]));
    const answer = await asta('POST', `/api/jobs/${h.jobId}/events`, { events: mixed });
    expect(answer.status).toBe(200);
    const by = new Map(mixed.map((e, i) => [e, answer.body.outcomes[i]]));
    for (const e of good) expect(by.get(e)?.outcome).toBe('stored');
    for (const e of odd.slice(0, good.length)) {
      const said = by.get(e);
      // A lone half of a character is text all the same: kept or refused, but answered.
      if ((e as { type?: string }).type === 'note.added' && said?.outcome === 'stored') continue;
      expect(said).toMatchObject({ outcome: 'refused', reason: expect.stringMatching(/.{12,}/) });
    }
    expect((await asta('GET', `/api/jobs/${h.jobId}`)).body.events.length).toBeGreaterThanOrEqual(
      good.length,
    );
  });

  it('a box too shallow for a ring, a lantern too long, an odd number of clamp screws are refused at their field', async () => {
    for (const [name, change] of [
      ['packed', { boxDepthMm: 10 }],
      ['packed', { boxDepthMm: 90, lanternMm: 85 }],
      ['split bearing', { clampScrews: { size: 'M8', grade: '12.9', count: 5, friction: 'oiled' } }],
      ['float, whole', { grease: { ...floatWhole.grease, massKg: 60 } }],
    ] as const) {
      const jobId = v7();
      const event = {
        id: v7(),
        jobId,
        at: new Date().toISOString(),
        author: { id: 'asta', name: 'Asta', role: 'fitter' },
        type: 'job.opened',
        data: { positionId: v7(), setup: { ...EVERY_KIND[name], ...change } },
      };
      const answer = await asta('POST', `/api/jobs/${jobId}/events`, { events: [event] });
      expect(answer.status).toBe(200);
      expect(answer.body.outcomes[0], name).toMatchObject({
        outcome: 'refused',
        reason: expect.stringMatching(/deep|lantern|clamp screws|mass/),
      });
    }
  });
});

describe('a device whose clock is wrong', () => {
  it('is found out by when it sends; a day ahead ends no wait, and the sheet says so', async () => {
    const h = freshHand('fast clock').safe();
    await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    const ahead = (ms: number) => new Date(Date.now() + 26 * 3_600_000 + ms).toISOString();
    const reading = {
      id: v7(),
      jobId: h.jobId,
      at: ahead(0),
      author: { id: 'asta', name: 'Asta', role: 'fitter' },
      type: 'reading.taken',
      data: { step: 'shaft', place: 's1/0', value: 89.97, raw: '89.97', instrument: TOOLS.micrometer },
    };
    const answer = await asta('POST', `/api/jobs/${h.jobId}/events`, {
      events: [reading],
      sentAt: ahead(500),
    });
    expect(answer.body.outcomes[0].outcome).toBe('stored');
    const sheet = (await asta('GET', `/api/jobs/${h.jobId}/sheet.json`)).body;
    const last = sheet.readings.at(-1);
    expect(Date.parse(last.at)).toBeLessThan(Date.now() + 1000);
    expect(last.clock).toMatchObject({ kind: 'off', deviceAt: reading.at });
    expect(JSON.stringify(sheet.document)).toContain('26 hours ahead');
    expect(
      (await asta('POST', `/api/jobs/${h.jobId}/events`, { events: [reading], sentAt: 'soon' })).status,
    ).toBe(400);
  });
});

describe('lists at any size', () => {
  it('open jobs are all there, signed ones newest first, and what is cut says so', async () => {
    const many = openDatabase(house.config('owner'), { driver: { permitLocalInfile: true } });
    const openOnes = async () => {
      const ids: string[] = [];
      for (let after: string | null = ''; after !== null; ) {
        const page: { jobs: Array<{ id: string; state: string }>; next: string | null } = (
          await asta('GET', `/api/jobs?state=open&limit=7${after ? `&after=${after}` : ''}`)
        ).body;
        expect(page.jobs.every((j) => j.state === 'open')).toBe(true);
        ids.push(...page.jobs.map((j) => j.id));
        after = page.next;
      }
      return ids;
    };
    const before = await openOnes();
    const first = await prepareFill(many, 230);
    await fill(many, { jobs: 230, first, from: 0, to: 230 });
    await many.sequelize.close();
    expect(await openOnes()).toEqual(before);
    expect(new Set(before).size).toBe(before.length);

    const seen: string[] = [];
    let last = '9';
    for (let after: string | null = ''; after !== null && seen.length < 300; ) {
      const page: { jobs: Array<{ id: string; signedAt: string }>; next: string | null } = (
        await asta('GET', `/api/jobs?state=signed&limit=50${after ? `&after=${after}` : ''}`)
      ).body;
      for (const j of page.jobs) {
        expect(j.signedAt <= last).toBe(true);
        last = j.signedAt;
      }
      seen.push(...page.jobs.map((j) => j.id));
      after = page.next;
    }
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen.length).toBeGreaterThanOrEqual(230);

    const byNumber = (await asta('GET', `/api/jobs?q=h-${first + 3}`)).body;
    expect(byNumber.jobs[0].number).toBe(`H-${String(first + 3).padStart(4, '0')}`);
    const byWords = (await asta('GET', '/api/jobs?q=line%20pump%20drive&limit=20')).body;
    expect(byWords.jobs).toHaveLength(20);
    expect(byWords.next).not.toBeNull();
    const places = (await asta('GET', '/api/positions?q=line%20drive&limit=20')).body;
    expect(places.positions).toHaveLength(20);
    expect(places.more).toBe(true);
    expect((await asta('GET', '/api/positions?q=100%25_')).body.positions).toEqual([]);
    expect((await asta('GET', '/api/jobs?position=%C3%A9')).status).toBe(400);
    expect((await verify(house.db)).faults).toEqual([]);
  });

  it('a job unchanged is answered by its mark alone, and only what came since travels', async () => {
    const h = freshHand('marks').safe();
    await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    const whole = await asta('GET', `/api/jobs/${h.jobId}`);
    const mark = whole.headers.get('etag') ?? '';
    const cookie = await fetch(`${house.url}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Asta', password: 'beet-campaign' }),
    }).then((r) => (r.headers.get('set-cookie') ?? '').split(';')[0] ?? '');
    const again = (m: string) =>
      fetch(`${house.url}/api/jobs/${h.jobId}?after=${whole.body.seq}`, {
        headers: { cookie, 'if-none-match': m },
      });
    expect((await again(mark)).status).toBe(304);
    const from = h.events.length;
    h.read('shaft', 's1/0', 89.97, 'micrometer');
    await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h, from));
    const news = await again(mark);
    expect(news.status).toBe(200);
    const { events } = (await news.json()) as { events: JobEvent[] };
    expect(events.map((e) => e.id)).toEqual([h.events.at(-1)?.id]);
  });

  it('a device that asks is told which of its entries and photographs the record has not', async () => {
    const h = freshHand('held').safe();
    await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    const [kept, lost, hash] = [h.events.map((e) => e.id), v7(), 'c'.repeat(64)];
    const told = await asta('POST', '/api/record/lacks', { events: [...kept, lost], photos: [hash] });
    expect(told.body).toEqual({ events: [lost], photos: [hash] });
    expect((await asta('POST', '/api/record/lacks', { events: [], photos: [] })).body.events).toEqual([]);
    expect((await asta('POST', '/api/record/lacks', { events: ["' OR 1=1"], photos: [] })).status).toBe(400);
  });

  it('many who open jobs at new places at the same moment do not wait for each other, and each gets a number of its own', async () => {
    const hands = Array.from({ length: 24 }, (_, i) => freshHand(`at once, ${i}`));
    const told = await Promise.all(hands.map((h) => asta('POST', `/api/jobs/${h.jobId}/events`, batch(h))));
    expect(told.map((t) => t.status)).toEqual(hands.map(() => 200));
    const numbers = told.map((t) => Number(String(t.body.number).replace(/\D/g, '')));
    expect(new Set(numbers).size).toBe(hands.length);
    expect(Math.max(...numbers) - Math.min(...numbers)).toBeLessThan(2 * hands.length);
  });
});
