import { kitOf, kitRowKey, type Outage } from '@fulcrant/core/outage';
import { whenIn } from '@fulcrant/core/sheet';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { plantDurations } from '../store/outages.ts';
import { type Caller, caller, cookieOf, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let imke: Caller;
let asta: Caller;
beforeAll(async () => {
  house = await openHouse();
  [imke, asta] = await Promise.all([caller(house.url, 'Imke'), caller(house.url, 'Asta')]);
});
afterAll(() => house?.close());

const theStop = async () => {
  const [line] = (await asta('GET', '/api/outages')).body.outages;
  return { line, known: (await asta('GET', `/api/outages/${line.id}`)).body };
};
const fetched = async (path: string) =>
  fetch(`${house.url}${path}`, { headers: { cookie: await cookieOf(house.url, 'Asta') } });

describe('an outage', () => {
  it('of the demo is half way through: forty jobs, seven hands, some done, some begun, some ahead', async () => {
    const { line, known } = await theStop();
    expect(line).toMatchObject({ name: 'Stop between campaigns', jobs: 40 });
    const outage = known.told.outage as Outage;
    expect(outage.crew).toHaveLength(7);
    expect(Object.keys(known.progress).length).toBeGreaterThan(5);
    const ended = Object.values(known.ended as Record<string, boolean>);
    expect(ended.filter((e) => e).length).toBeGreaterThan(0);
    expect(ended.filter((e) => !e).length).toBeGreaterThan(10);
    expect(outage.plan?.placed.length).toBeGreaterThan(80);
    expect(known.durations['sleeve-bearing'].driveup.sheets).toBeGreaterThanOrEqual(3);
    expect(known.durations['split-bearing'].races.likely).toBeGreaterThan(0);
  });

  it('is changed by a lead hand only, a version at a time: who comes second is told and loses nothing', async () => {
    const { known } = await theStop();
    const { id, version, outage } = known.told;
    const change = { ...outage, name: 'Stop, as changed' };
    expect((await asta('POST', `/api/outages/${id}`, { after: version, outage: change })).status).toBe(403);
    const first = await imke('POST', `/api/outages/${id}`, { after: version, outage: change });
    expect(first.body.told).toMatchObject({ version: version + 1, by: 'Imke' });
    const second = await imke('POST', `/api/outages/${id}`, { after: version, outage });
    expect(second.status).toBe(409);
    expect(second.body.said).toMatchObject({ id: 'server.http.somebodyElseHasChangedOutage' });
    const wrong = await imke('POST', `/api/outages/${id}`, {
      after: version + 1,
      outage: { ...outage, endsAt: outage.startsAt },
    });
    expect(wrong.body.faults[0]).toMatchObject({
      path: 'endsAt',
      message: expect.stringMatching(/before the start/),
    });
    // Two at the same moment: one is first.
    const both = await Promise.all(
      [1, 2].map(() => imke('POST', `/api/outages/${id}`, { after: version + 1, outage })),
    );
    expect(both.map((b) => b.status).sort()).toEqual([200, 409]);
    expect((await asta('GET', '/api/outages/nothing')).status).toBe(404);
    expect((await asta('POST', '/api/outages', outage)).status).toBe(403);
  });

  it('a row of its kit is ticked by whoever laid it out; two at once are both heard, and the plan stays its version', async () => {
    const { known } = await theStop();
    const { id, version } = known.told;
    const csv = await (await fetched(`/api/outages/${id}/kit.csv`)).text();
    expect(Papa.parse(csv).data.length).toBeGreaterThan(3);
    // Sizes are said, as everywhere.
    expect(csv).not.toMatch(/[⟦⟧]/);
    expect(csv).toMatch(/gaskets,0\.120 mm/);
    const line = kitOf(known.told.outage, known.setups).rows.map(kitRowKey);
    const [a, b] = line as [string, string];
    const tick = (who: Caller, row: string, laid: boolean) =>
      who('POST', `/api/outages/${id}/laid`, { row, laid });
    await Promise.all([tick(asta, a, true), tick(imke, b, true), tick(imke, a, true)]);
    const after = (await asta('GET', `/api/outages/${id}`)).body;
    expect(Object.keys(after.laid).sort()).toEqual([a, b].sort());
    expect(after.told.version).toBe(version);
    expect((await tick(asta, b, false)).body.laid).toEqual({ [a]: after.laid[a] });
    expect((await tick(asta, 'nothing of it', true)).status).toBe(404);
    expect((await asta('POST', `/api/outages/${id}/laid`, { row: a })).status).toBe(400);
  });

  it('goes out as a calendar that is read back: each piece of one hand, its times as planned', async () => {
    const { known } = await theStop();
    const { id, outage } = known.told as { id: string; outage: Outage };
    const text = await (await fetched(`/api/outages/${id}/plan.ics?who=asta`)).text();
    const events = new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((e) => new ICAL.Event(e));
    expect(events.length).toBeGreaterThan(3);
    // The table tells the same plan as it goes on now: each event begins when a piece of this hand does there.
    const csv = await (await fetched(`/api/outages/${id}/plan.csv`)).text();
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
    const hand = outage.crew.find((c) => c.id === 'asta')?.name ?? '';
    const own = data.filter((r) => r.hands?.split(', ').includes(hand));
    const say = whenIn(known.zone);
    for (const e of events) {
      const at = say(e.startDate.toJSDate().toISOString());
      expect(own.some((r) => r.start === at && e.summary.includes(r.piece ?? '?'))).toBe(true);
      expect(e.endDate.compare(e.startDate)).toBe(1);
      expect(e.startDate.zone.tzid).toBe('UTC');
    }
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
    const all = await (await fetched(`/api/outages/${id}/plan.ics`)).text();
    expect(all.split('BEGIN:VEVENT').length).toBeGreaterThan(events.length);
    expect((await fetched(`/api/outages/${id}/plan.ics?who=nobody`)).status).toBe(404);
  });

  it('stands in the private calendar of whoever is in the crew, beside what falls due', async () => {
    const { path } = (await asta('POST', '/api/due/feed', {})).body;
    const text = await (await fetch(`${house.url}${path}`)).text();
    const events = new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((e) => new ICAL.Event(e));
    const { known } = await theStop();
    const own = events.filter((e) => e.uid.startsWith(known.told.id));
    expect(own.length).toBeGreaterThan(2);
    expect(events.length).toBeGreaterThan(own.length);
    // Oskar is in no crew: nothing of it is his.
    const oskar = await caller(house.url, 'Oskar');
    const his = await (
      await fetch(`${house.url}${(await oskar('POST', '/api/due/feed', {})).body.path}`)
    ).text();
    expect(his).not.toContain(known.told.id);
  });

  it('goes out as tables and on paper', async () => {
    const { known } = await theStop();
    const { id } = known.told;
    const csv = await (await fetched(`/api/outages/${id}/plan.csv`)).text();
    const { data, errors } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
    expect(errors).toEqual([]);
    expect(data.length).toBeGreaterThan(80);
    expect(data[0]?.start).toMatch(/^\d{4}-\d\d-\d\d \d\d:\d\d$/);
    const kit = Papa.parse<Record<string, string>>(
      await (await fetched(`/api/outages/${id}/kit.csv`)).text(),
      { header: true },
    );
    expect(kit.data.some((r) => r.group === 'rope' && Number(r.count) > 0)).toBe(true);
    for (const size of ['A3', 'A4', 'letter']) {
      const pdf = await fetched(`/api/outages/${id}/board.pdf?size=${size}`);
      expect(pdf.headers.get('content-type')).toBe('application/pdf');
      expect((await pdf.arrayBuffer()).byteLength).toBeGreaterThan(5000);
    }
  });

  it('a job cancelled in the middle of it holds up nobody any more', async () => {
    const { known } = await theStop();
    const outage = known.told.outage as Outage;
    const job = outage.jobs.find((j) => j.jobId && !known.ended[j.key]);
    const event = {
      id: v7(),
      jobId: job?.jobId,
      at: new Date().toISOString(),
      author: { id: 'imke', name: 'Imke', role: 'lead' },
      type: 'job.cancelled',
      data: { reason: 'the pump is scrapped' },
    };
    const told = await imke('POST', `/api/jobs/${job?.jobId}/events`, { events: [event] });
    expect(told.body.outcomes[0].outcome).toBe('stored');
    const after = (await asta('GET', `/api/outages/${known.told.id}`)).body;
    expect(after.ended[job?.key ?? '']).toBe(true);
    const csv = await (await fetched(`/api/outages/${known.told.id}/plan.csv`)).text();
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true });
    const mine = data.filter(
      (r) => r.machine === job?.machine && r.position === job?.position && r.state !== 'done',
    );
    // Another job of the same place may lie ahead still; of this one nothing is begun.
    expect(mine.every((r) => r.state === 'ahead')).toBe(true);
  });

  it('begun anew by a lead hand holds its jobs’ setups by what was last done at the place', async () => {
    const { known } = await theStop();
    const outage = known.told.outage as Outage;
    const some = outage.jobs.find((j) => !j.jobId && j.positionId);
    const made = await imke('POST', '/api/outages', {
      ...outage,
      name: 'Short',
      jobs: [some],
      bindings: [],
      pins: [],
      plan: undefined,
    });
    expect(made.status).toBe(201);
    const told = (await asta('GET', `/api/outages/${made.body.told.id}`)).body;
    expect(told.progress).toEqual({});
    expect(told.told.outage.jobs).toHaveLength(1);
    expect((await plantDurations(house.db)).seal).toBeDefined();
  });
});
