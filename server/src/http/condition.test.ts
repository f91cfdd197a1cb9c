import { createHash } from 'node:crypto';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseGaugeLine } from '@fulcrant/core/instruments';
import { STAND_IN_SHAFTS, surfaceAt } from '@fulcrant/core/simulators';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { certificateFile, verifyCertificates } from '../store/certificates.ts';
import {
  batch,
  type Caller,
  cookieOf,
  everybodyAt,
  freshHand,
  openHouse,
  type TestHouse,
} from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
let imke: Caller;
let oskar: Caller;
let cookie: string;

beforeAll(async () => {
  house = await openHouse();
  ({ asta, imke, oskar } = await everybodyAt(house.url));
  cookie = await cookieOf(house.url, 'Asta');
});
afterAll(() => house?.close());

type Heard = Array<{ port: string; line: string; moves?: number }>;

/** Listen to the feed until `enough`, then hang up. */
async function listen(device: string, ports: string, enough: (heard: Heard) => boolean): Promise<Heard> {
  const stop = new AbortController();
  const response = await fetch(`${house.url}/api/feed/${device}?ports=${ports}`, {
    headers: { cookie },
    signal: stop.signal,
  });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  expect(response.headers.get('content-encoding')).toBeNull();
  const heard: Heard = [];
  let rest = '';
  for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
    const parts = (rest + new TextDecoder().decode(chunk)).split('\n\n');
    rest = parts.pop() ?? '';
    for (const p of parts) {
      const [, moves, data] = p.match(/^id: (\d+)\ndata: (.*)$/) ?? [];
      if (data) heard.push(...(JSON.parse(data) as Heard).map((h) => ({ ...h, moves: Number(moves) })));
    }
    if (enough(heard)) break;
  }
  stop.abort();
  return heard;
}
const sent = (line: string) => {
  const r = parseGaugeLine(line);
  if (!r.ok) throw new Error(JSON.stringify(r.message));
  return r.line.value;
};

describe('the feed of stand-in gauges', () => {
  const device = 'test-device-1';
  const hand = (body: object) => asta('POST', `/api/feed/${device}/hand`, body);

  it('streams lines of value and unit, of the ports asked for only', async () => {
    const heard = await listen(device, 'dial,micrometer', (h) => h.length >= 40);
    expect(new Set(heard.map((h) => h.port))).toEqual(new Set(['dial', 'micrometer']));
    for (const h of heard) expect(h.line).toMatch(/^[+-]\d+\.\d{3} mm$/);
    expect(sent(heard.find((h) => h.port === 'micrometer')?.line ?? '')).toBeCloseTo(60, 1);
  });

  it('the hand lays on another shaft and turns it; the dial comes to what that shaft is there', async () => {
    const moved = await hand({ shaft: 'oval', atMm: 30, angleDeg: 90 });
    expect(moved).toMatchObject({ status: 200, body: { moves: expect.any(Number) } });
    const heard = await listen(
      device,
      'dial,angle',
      (h) => h.filter((x) => x.port === 'angle' && x.line === '+90.0 deg').length > 10,
    );
    // Every line says how many moves it has seen: one sent before a move can be told from one after it.
    expect(heard.at(-1)?.moves).toBe(moved.body.moves);
    const last = sent(heard.filter((h) => h.port === 'dial').at(-1)?.line ?? '');
    expect(Math.abs(last - surfaceAt(STAND_IN_SHAFTS.oval, 30, 90))).toBeLessThan(0.005);
  });

  it('a steady turn passes every angle once round and closes; the shaft is kept while the feed is dropped', async () => {
    await hand({ sweepRpm: 60 });
    const heard = await listen(device, 'angle', (h) => h.length > 0 && sent(h.at(-1)?.line ?? '') >= 360);
    const angles = heard.map((h) => sent(h.line));
    expect(Math.min(...angles)).toBeLessThan(20);
    expect([...angles].sort((a, b) => a - b)).toEqual(angles);
    const again = await listen(device, 'angle', (h) => h.length > 3);
    expect(sent(again[0]?.line ?? '')).toBeGreaterThan(360);
  });

  it('is for those who record; a bad move or device is refused with a sentence', async () => {
    expect((await oskar('POST', `/api/feed/${device}/hand`, { angleDeg: 0 })).status).toBe(403);
    const bad = await hand({ shaft: 'crooked' });
    expect(bad.status).toBe(400);
    expect(bad.body.faults[0].message).toMatch(/one of/);
    expect((await asta('POST', '/api/feed/x/hand', {})).status).toBe(404);
    expect((await asta('GET', `/api/feed/${device}?ports=none`)).status).toBe(400);
  });
});

describe('site rules', () => {
  it('are our usual ones until a lead hand sets others; the last word holds, with its author', async () => {
    const first = await asta('GET', '/api/house-rules');
    expect(first.body).toEqual({
      rules: { runout: 'proportional', face: 'standards', endPlay: 'strict', decision: 'k2' },
      set: null,
    });
    const rules = { runout: 'standards', face: 'flat', endPlay: 'strict', decision: 'one-sided' };
    expect((await asta('POST', '/api/house-rules', rules)).status).toBe(403);
    expect((await imke('POST', '/api/house-rules', { ...rules, runout: 'mine' })).status).toBe(400);
    expect((await imke('POST', '/api/house-rules', rules)).status).toBe(201);
    const now = await asta('GET', '/api/house-rules');
    expect(now.body.rules).toEqual(rules);
    expect(now.body.set.by).toBe('Imke');
  });

  it('a rule left out stays as it is, though two are set at the same moment', async () => {
    const before = (await asta('GET', '/api/house-rules')).body.rules;
    const told = await Promise.all(
      [{ runout: 'flat' }, { fill: 'share' }, { face: 'proportional' }].map((r) =>
        imke('POST', '/api/house-rules', r),
      ),
    );
    expect(told.map((t) => t.status)).toEqual([201, 201, 201]);
    const now = (await asta('GET', '/api/house-rules')).body.rules;
    expect(now).toEqual({ ...before, runout: 'flat', fill: 'share', face: 'proportional' });
    expect((await imke('POST', '/api/house-rules', { colour: 'blue' })).status).toBe(400);
  });
  it('the serving user can add rules but not change or take them away', async () => {
    await expect(house.db.sequelize.query("UPDATE house_rules SET person_id = 'asta'")).rejects.toThrow(
      /denied/,
    );
    await expect(house.db.sequelize.query('DELETE FROM house_rules')).rejects.toThrow(/denied/);
  });
});

describe('the register of gauges', () => {
  it('takes dials, testers, calipers and lasers, and a new date after calibration', async () => {
    const dial = {
      name: 'Dial 9',
      kind: 'dial',
      step: 0.001,
      low: 0,
      high: 5,
      calibrationDue: '2026-12-01',
    };
    const made = await asta('POST', '/api/instruments', dial);
    expect(made.status).toBe(201);
    expect(made.body.instrument).toMatchObject({ ...dial, standIn: false });
    const path = `/api/instruments/${made.body.instrument.id}/calibrated`;
    expect((await asta('POST', path, { calibrationDue: 'soon' })).body.faults[0].message).toMatch(
      /2026-01-31/,
    );
    expect((await asta('POST', path, { calibrationDue: '2027-02-31' })).status).toBe(400);
    expect((await asta('POST', path, { calibrationDue: '2027-13-31' })).status).toBe(400);
    expect((await asta('POST', path, { calibrationDue: '2028-01-31' })).body.instrument.calibrationDue).toBe(
      '2028-01-31',
    );
    expect(
      (await asta('POST', '/api/instruments/none/calibrated', { calibrationDue: '2028-01-31' })).status,
    ).toBe(404);
    expect((await oskar('POST', path, { calibrationDue: '2028-01-31' })).status).toBe(403);
  });
  it('keeps certificates by their content: PDF or picture, whole, of a gauge that is there', async () => {
    const sha = (b: Buffer) => createHash('sha256').update(b).digest('hex');
    const gauge = await asta('POST', '/api/instruments', {
      name: 'Dial with paper',
      kind: 'dial',
      step: 0.01,
      low: 0,
      high: 10,
      calibrationDue: '2027-12-01',
    });
    const id = gauge.body.instrument.id as string;
    const put = (bytes: Buffer, hash = sha(bytes), of = id) =>
      fetch(
        `${house.url}/api/instruments/${of}/certificates/${hash}?name=${encodeURIComponent('Prüfschein <1>.pdf')}`,
        {
          method: 'PUT',
          headers: { cookie, 'content-type': 'application/octet-stream' },
          body: new Uint8Array(bytes),
        },
      );
    const pdf = Buffer.from('%PDF-1.4\n1 0 obj<<>>endobj\ntrailer<<>>\n%%EOF\n');
    expect((await put(pdf)).status).toBe(204);
    expect((await put(pdf)).status).toBe(204);
    const kept = (await oskar('GET', '/api/certificates')).body.certificates.filter(
      (c: { instrumentId: string }) => c.instrumentId === id,
    );
    expect(kept).toMatchObject([
      { hash: sha(pdf), name: 'Prüfschein 1.pdf', type: 'application/pdf', by: 'Asta' },
    ]);
    const back = await fetch(`${house.url}/api/certificates/${sha(pdf)}`, { headers: { cookie } });
    expect(Buffer.from(await back.arrayBuffer()).equals(pdf)).toBe(true);
    expect(back.headers.get('content-type')).toBe('application/pdf');
    expect(back.headers.get('content-security-policy')).toContain('sandbox');
    // Cut off, swapped on the way, a page dressed as a paper, no gauge, nobody's: each refused.
    expect((await put(pdf.subarray(0, 20))).status).toBe(400);
    expect((await put(pdf, sha(Buffer.from('other')))).status).toBe(400);
    expect((await put(Buffer.from('<html><script>alert(1)</script>'))).status).toBe(400);
    expect((await put(Buffer.alloc(5_000_001))).status).toBe(413);
    expect((await put(pdf, sha(pdf), 'none')).status).toBe(404);
    expect((await fetch(`${house.url}/api/certificates/${sha(pdf)}`)).status).toBe(401);
    const dir = join(house.dataDir, 'photos');
    expect(await verifyCertificates(house.db, dir)).toEqual([]);
    rmSync(certificateFile(dir, sha(pdf), 'application/pdf'));
    expect(english(await verifyCertificates(house.db, dir))).toEqual([expect.stringContaining('gone')]);
    await put(pdf);
  });

  it('out of use it is offered to nobody and falls due no more; put back, it is; only a lead hand may', async () => {
    const made = await asta('POST', '/api/instruments', {
      ...{ name: 'Dial, dropped', kind: 'dial', step: 0.01, low: 0, high: 10, calibrationDue: '2026-12-01' },
    });
    const { id } = made.body.instrument;
    const path = `/api/instruments/${id}/use`;
    const listed = async () => {
      const { instruments, outOfUse } = (await asta('GET', '/api/instruments')).body;
      const has = (all: Array<{ id: string }>) => all.some((g) => g.id === id);
      return [has(instruments), has(outOfUse)];
    };
    expect((await asta('POST', path, { inUse: false })).status).toBe(403);
    expect((await imke('POST', path, { inUse: 'no' })).status).toBe(400);
    expect((await imke('POST', path, { inUse: false })).status).toBe(204);
    expect(await listed()).toEqual([false, true]);
    const due = JSON.stringify((await asta('GET', '/api/due')).body);
    expect(due).not.toContain('Dial, dropped');
    expect((await imke('POST', path, { inUse: true })).status).toBe(204);
    expect(await listed()).toEqual([true, false]);
    expect((await imke('POST', '/api/instruments/stand-in-mic/use', { inUse: false })).status).toBe(404);
  });
  it('nothing else of a gauge can be changed, by the database’s own word', async () => {
    await expect(house.db.sequelize.query('UPDATE instruments SET step = 1')).rejects.toThrow(/denied/);
  });
  it('stand-ins are marked, and a reading taken with one keeps the mark whatever the device said', async () => {
    const { body } = await asta('GET', '/api/instruments');
    const standIn = body.instruments.find((i: { id: string }) => i.id === 'stand-in-mic');
    expect(standIn.standIn).toBe(true);
    const h = freshHand('stand-in').safe();
    h.do('reading.taken', {
      step: 'shaft',
      place: 's1/0',
      value: 89.97,
      raw: '+89.970 mm',
      instrument: { ...standIn, standIn: false },
      via: 'port',
    });
    const { body: posted } = await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    expect(posted.outcomes.at(-1).outcome).toBe('stored');
    const { body: job } = await asta('GET', `/api/jobs/${h.jobId}`);
    expect(job.events.at(-1).data.instrument.standIn).toBe(true);
  });
});

describe('surveys over HTTP', () => {
  const find = async (machine: string, position: string) => {
    const { body } = await asta('GET', '/api/jobs?limit=200');
    return body.jobs.find(
      (j: { machine: string; position: string }) => j.machine === machine && j.position === position,
    );
  };

  it('the demo has surveys beside fittings, each summed up for the board', async () => {
    const juice = await find('Raw juice pump 4', 'Seal, drive side');
    expect(juice).toMatchObject({ kind: 'condition.survey', present: 'runout', role: null });
    const signed = await find('Thick juice pump 2', 'Seal, drive side');
    const { body: sheet } = await asta('GET', `/api/jobs/${signed.id}/sheet.json`);
    expect(sheet.results.verdict).toBe('fit');
    expect(sheet.steps.find((s: { id: string }) => s.id === 'runout').before).toHaveLength(1);
  });

  it('readings as CSV: one row a reading, read back by a general parser; typed formulas stay text', async () => {
    const signed = await find('Thick juice pump 2', 'Seal, drive side');
    const answer = await asta('GET', `/api/jobs/${signed.id}/readings.csv`);
    expect(answer.headers.get('content-type')).toMatch(/text\/csv/);
    const rows = Papa.parse<string[]>(answer.body.trim()).data;
    const { body: sheet } = await asta('GET', `/api/jobs/${signed.id}/sheet.json`);
    expect(rows).toHaveLength(1 + sheet.readings.length);
    expect(rows[0]?.slice(0, 4)).toEqual(['step', 'place', 'value', 'unit']);
    for (const row of rows) for (const cell of row) expect(cell).not.toMatch(/^[=@]/);
    // A spreadsheet sums what the sheet holds, readings below zero too.
    const values = sheet.readings.map((r: { value: number }) => r.value);
    expect(values.some((v: number) => v < 0)).toBe(true);
    expect(rows.slice(1).map((row) => Number(row[2]))).toEqual(values);
  });

  it('the PDF of a survey draws its turns and says what was done between two measurings', async () => {
    const signed = await find('Thick juice pump 2', 'Seal, drive side');
    const answer = await asta('GET', `/api/jobs/${signed.id}/sheet.pdf?paper=letter&units=in`);
    expect(answer.headers.get('content-type')).toBe('application/pdf');
    expect(answer.body.slice(0, 5)).toBe('%PDF-');
  });

  it('a survey at a bearing’s position leaves the bearing’s setup to the next fitting', async () => {
    const { body: before } = await asta('GET', '/api/positions?limit=200');
    const p = before.positions.find(
      (x: { machine: string; position: string }) => x.position === 'Gearbox end, fixed',
    );
    const { body: jobs } = await asta('GET', '/api/jobs?limit=200');
    const some = jobs.jobs.find((j: { kind: string }) => j.kind === 'condition.survey');
    const { body: job } = await asta('GET', `/api/jobs/${some.id}`);
    const { stored: _, ...opened } = job.events[0];
    const jobId = '018f0000-0000-7000-8000-00000000cccc';
    const event = {
      ...opened,
      id: '018f0000-0000-7000-8000-00000000dddd',
      jobId,
      author: { id: 'asta', name: 'Asta', role: 'fitter' },
      data: { positionId: p.id, setup: { ...opened.data.setup, machine: p.machine, position: p.position } },
    };
    const { body: posted } = await asta('POST', `/api/jobs/${jobId}/events`, { events: [event] });
    expect(posted.outcomes[0].outcome).toBe('stored');
    const { body: after } = await asta('GET', '/api/positions?limit=200');
    expect(after.positions.find((x: { id: string }) => x.id === p.id).setup).toEqual(p.setup);
  });
});
