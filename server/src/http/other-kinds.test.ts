import { parseGaugeLine } from '@fulcrant/core/instruments';
import type { JobEvent } from '@fulcrant/core/job';
import { STAND_IN_PUMPS } from '@fulcrant/core/simulators';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { StandInBench } from '../instruments/stand-in-bench.ts';
import { type Caller, caller, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
beforeAll(async () => {
  house = await openHouse();
  asta = await caller(house.url, 'Asta');
});
afterAll(() => house?.close());

type Listed = {
  id: string;
  machine: string;
  position: string;
  kind: string;
  present: string | null;
  dueAt: string | null;
};
const jobAt = async (machine: string, position: RegExp): Promise<Listed> => {
  const { body } = await asta('GET', '/api/jobs?limit=200');
  const found = (body.jobs as Listed[]).find((j) => j.machine === machine && position.test(j.position));
  if (!found) throw new Error(`No job at ${machine}.`);
  return found;
};
const named = (jobId: string, job: string): JobEvent =>
  ({
    id: v7(),
    jobId,
    at: new Date().toISOString(),
    author: { id: 'asta', name: 'Asta', role: 'fitter' },
    type: 'act.done',
    data: {
      act: 'name-fixed',
      params: { job, position: 'what the browser says', sheet: null, lockedAt: new Date().toISOString() },
    },
  }) as JobEvent;

describe('the fixed bearing of the same shaft', () => {
  const post = async (float: Listed, e: JobEvent) =>
    (await asta('POST', `/api/jobs/${float.id}/events`, { events: [e] })).body.outcomes[0];

  it('is looked up: on the same machine, fixed, and locked; what the record says stands, not the browser’s word', async () => {
    const float = await jobAt('Cooling fan 4', /float/);
    const elsewhere = await jobAt('Beet washer drum', /Gear side/);
    expect(await post(float, named(float.id, elsewhere.id))).toMatchObject({
      outcome: 'refused',
      reason: expect.stringMatching(/another machine/),
    });
    const survey = await jobAt('Raw juice pump 4', /Seal/);
    expect((await post(float, named(float.id, survey.id))).reason).toMatch(/mounts no fixed bearing/);
    expect((await post(float, named(float.id, v7()))).reason).toMatch(/no such job/);
    const event = named(float.id, (await jobAt('Cooling fan 4', /fixed/)).id);
    expect(await post(float, event)).toMatchObject({ outcome: 'stored' });
    expect(await post(float, event)).toMatchObject({ outcome: 'already' });
    const { body } = await asta('GET', `/api/jobs/${float.id}`);
    const stored = (body.events as JobEvent[]).find((e) => e.id === event.id);
    expect(stored?.data).toMatchObject({
      params: { position: 'Drive end, fixed', sheet: expect.stringMatching(/^H-/) },
    });
  });

  it('that is not on yet is not taken', async () => {
    const other = await jobAt('Pulp screw conveyor', /fixed/);
    expect(other.present).toBe('seat');
    const float = await jobAt('Cooling fan 4', /float/);
    const { body } = await asta('POST', `/api/jobs/${float.id}/events`, {
      events: [named(float.id, other.id)],
    });
    expect(body.outcomes[0].outcome).toBe('refused');
  });
});

describe('what falls due', () => {
  it('the first hours say when the next reading is due, on the board and as a calendar file', async () => {
    const fan = await jobAt('Cooling fan 4', /fixed/);
    expect(fan.present).toBe('runin');
    expect(Date.parse(fan.dueAt ?? '')).toBeGreaterThan(0);
    const ics = await asta('GET', `/api/jobs/${fan.id}/due.ics`);
    expect(ics.status).toBe(200);
    expect(ics.headers.get('content-type')).toContain('text/calendar');
    const text = String(ics.body);
    const utc = (fan.dueAt ?? '').slice(0, 16).replace(/[-:]/g, '');
    expect(text).toContain(`DTSTART:${utc}00Z`);
    expect(text).toMatch(/SUMMARY:Read bearing temperature: Cooling fan 4/);
  });
  it('a regreasing gives the next one; a drive-up gives nothing', async () => {
    const dryer = await jobAt('Pulp dryer fan', /greasing/);
    const text = String((await asta('GET', `/api/jobs/${dryer.id}/due.ics`)).body);
    expect(text).toMatch(/SUMMARY:Regrease: Pulp dryer fan/);
    const press = await jobAt('Pulp press drive', /Gearbox/);
    expect((await asta('GET', `/api/jobs/${press.id}/due.ics`)).status).toBe(404);
  });
});

describe('sheets of every kind of job', () => {
  it('print and come as open data', async () => {
    for (const [machine, position] of [
      ['Beet washer drum', /Layshaft/],
      ['Pulp dryer fan', /Tail/],
      ['Pulp screw conveyor', /Drive/],
      ['Pulp press 2', /Worm/],
      ['Pulp dryer fan', /greasing/],
      ['Thin juice pump 3', /Seal/],
      ['Condensate pump 1', /Seal/],
      ['Lime-milk pump 1', /Stuffing/],
      ['Molasses dosing pump', /Plunger/],
    ] as const) {
      const { id } = await jobAt(machine, position);
      const json = await asta('GET', `/api/jobs/${id}/sheet.json`);
      expect(json.status).toBe(200);
      expect(json.body.title.machine).toBe(machine);
      const pdf = await asta('GET', `/api/jobs/${id}/sheet.pdf?units=in`);
      expect(pdf.status).toBe(200);
      expect(pdf.headers.get('content-type')).toContain('application/pdf');
      const csv = await asta('GET', `/api/jobs/${id}/readings.csv`);
      expect(String(csv.body).split('\r\n')[0]).toContain('place');
    }
  });
});

describe('pump, wrench and thermocouple on the bench', () => {
  const bench = new StandInBench(11);
  const value = (port: string): number => {
    const line = bench.lines().find((l) => l.port === port)?.line ?? '';
    const parsed = parseGaugeLine(line);
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.message));
    return parsed.line.value;
  };
  const pumpTo = (mpa: number) => {
    while (value('pump') < mpa - 1e-6) bench.move({ strokes: 1 });
  };

  it('a free nut goes up with the pressure, the indicator’s face moving away', () => {
    bench.move({ pump: 'free' });
    pumpTo(3);
    expect(value('pump')).toBeCloseTo(3, 6);
    const zero = value('dial');
    pumpTo(20);
    expect(zero - value('dial')).toBeCloseTo(0.72, 1);
  });
  it('held by the other nut it stalls while the pressure climbs; freed, it goes on', () => {
    bench.move({ pump: 'other-nut-tight' });
    pumpTo(3);
    const zero = value('dial');
    pumpTo(30);
    expect(zero - value('dial')).toBeLessThan(0.12);
    bench.move({ release: true });
    expect(value('pump')).toBe(0);
    bench.move({ freeOtherNut: true });
    pumpTo(18);
    expect(zero - value('dial')).toBeGreaterThan(0.5);
  });
  it('a sleeve that lets go drops the gauge to zero by itself', () => {
    bench.move({ pump: 'lets-go' });
    pumpTo(41);
    bench.move({ strokes: 1 });
    expect(value('pump')).toBe(0);
    expect(STAND_IN_PUMPS).toContain('lets-go');
  });
  it('the wrench shows what it clicked at, the thermocouple a bearing warming', () => {
    bench.move({ wrenchNm: 100 });
    expect(value('wrench')).toBeGreaterThan(95);
    expect(value('wrench')).toBeLessThan(105);
    bench.move({ heat: 'falls-back', minutes: 15 });
    const warm = value('probe');
    bench.move({ minutes: 120 });
    expect(value('probe')).toBeLessThan(warm - 5);
  });
  it('drops fall less with every flat, and less as the packing settles', () => {
    bench.move({ leak: 'rings', minutes: 0, flats: 0 });
    const fresh = value('drops');
    bench.move({ minutes: 60 });
    const settled = value('drops');
    bench.move({ flats: 5 });
    const drawn = value('drops');
    expect(fresh).toBeGreaterThan(settled + 20);
    expect(settled).toBeGreaterThan(drawn + 60);
    expect(Number.isInteger(drawn)).toBe(true);
    bench.move({ leak: 'faces-open', minutes: 60 });
    expect(value('drops')).toBeGreaterThan(30);
  });
});
