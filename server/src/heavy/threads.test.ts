import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { batch, type Caller, caller, freshHand, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let here: Caller;
/** The same works served by a server with threads: what was built runs in them. */
let threaded: Caller;
let url: string;
beforeAll(async () => {
  house = await openHouse();
  const other = await house.another({ threaded: true });
  url = other.url;
  here = await caller(house.url, 'Imke');
  threaded = await caller(url, 'Imke');
});
afterAll(() => house?.close());

/** Each takes two of the three hands, so that no plan reaches what the hours alone would allow: it is looked for to the last moment. */
const longSum = (seconds: number) => ({
  tasks: Array.from({ length: 9 }, (_, i) => ({ id: `t${i}`, minutes: 30 + i, needs: 'hands:2' })),
  resources: [{ id: 'hands', count: 3 }],
  seed: 1,
  seconds,
});

describe('what takes long', () => {
  it('is answered the same in a thread as on the spot: sheets, papers, plans, places', async () => {
    const open = (await here('GET', '/api/jobs?state=open&limit=5')).body.jobs[0].id;
    const signed = (await here('GET', '/api/jobs?state=signed&limit=5')).body.jobs[0].id;
    for (const path of [`/api/jobs/${open}/sheet.json`, `/api/jobs/${signed}/sheet.json`])
      expect((await threaded('GET', path)).body).toEqual((await here('GET', path)).body);
    const paper = await threaded('GET', `/api/jobs/${signed}/sheet.pdf`);
    expect(paper.status).toBe(200);
    expect(paper.body).toMatch(/^%PDF-1\.\d[\s\S]*%%EOF\s*$/);
    const [outage] = (await here('GET', '/api/outages')).body.outages;
    const whole = async (who: Caller) => {
      const { at: _, ...told } = (await who('GET', `/api/outages/${outage.id}`)).body;
      return told;
    };
    expect(await whole(threaded)).toEqual(await whole(here));
    const csv = (await threaded('GET', `/api/outages/${outage.id}/plan.csv`)).body;
    expect(csv.split('\r\n').length).toBeGreaterThan(100);
    expect((await threaded('GET', `/api/outages/${outage.id}/board.pdf`)).body).toMatch(/^%PDF-/);
  });

  it('a long job, folded in a thread, goes on and is signed as any other', async () => {
    const asta = await caller(url, 'Asta');
    const hand = freshHand('folded apart').safe();
    while (hand.events.length < 400) {
      const place = hand.state.steps.find((s) => s.id === 'shaft')?.report?.next?.key;
      const standing = hand.state.readings.filter((r) => !r.withdrawn);
      if (place && standing.length < 5) hand.read('shaft', place, 89.97, 'micrometer');
      else hand.do('reading.withdrawn', { reading: standing.at(-1)?.id ?? '', reason: 'read once more' });
    }
    const path = `/api/jobs/${hand.jobId}`;
    for (let i = 0; i < 400; i += 100)
      expect((await asta('POST', `${path}/events`, { events: hand.events.slice(i, i + 100) })).status).toBe(
        200,
      );
    // A server that has never seen the job folds it whole before it adds to it.
    const fresh = await house.another({ threaded: true });
    const there = await caller(fresh.url, 'Asta');
    hand.do('note.added', { text: 'added at another server' });
    const told = await there('POST', `${path}/events`, batch(hand, 400));
    expect(told.body.outcomes[0]).toMatchObject({ outcome: 'stored', seq: 401 });
    // And the first finds that it was outrun, and looks again.
    hand.do('note.added', { text: 'and at the first again' });
    const again = await asta('POST', `${path}/events`, batch(hand, 401));
    expect(again.body.outcomes[0]).toMatchObject({ outcome: 'stored', seq: 402 });
  });
});

describe('sums that anybody may ask for', () => {
  it('do not keep the house waiting, and too many of them are sent away to come again', async () => {
    const sum = (seconds: number) =>
      fetch(`${url}/api/calculators/planning.schedule`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(longSum(seconds)),
      });
    const done: string[] = [];
    const long = sum(2).then((r) => void done.push(`sum ${r.status}`));
    // Whoever asks meanwhile is answered first: health, a list, and a sheet that needs a thread too.
    for (const [what, path] of [
      ['health', '/api/health'],
      ['jobs', '/api/jobs?limit=3'],
    ] as const)
      await threaded('GET', path).then((r) => done.push(`${what} ${r.status}`));
    await long;
    expect(done).toEqual(['health 200', 'jobs 200', 'sum 200']);
    const many = await Promise.all(Array.from({ length: 80 }, () => sum(0.1)));
    const busy = many.filter((r) => r.status === 503);
    expect(many.filter((r) => r.status === 200).length).toBeGreaterThan(0);
    expect(busy.length).toBeGreaterThan(0);
    expect(busy[0]?.headers.get('retry-after')).toBe('2');
  });
});
