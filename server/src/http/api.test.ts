import { createHash } from 'node:crypto';
import canonicalize from 'canonicalize';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  batch,
  type Caller,
  caller,
  cookieOf,
  everybodyAt,
  freshHand,
  openHouse,
  type TestHouse,
  TOOLS,
} from '../testing/house.ts';
import { ROUTES } from './app.ts';

let house: TestHouse;
let asta: Caller;
let imke: Caller;
let oskar: Caller;
let nobody: Caller;

beforeAll(async () => {
  house = await openHouse();
  ({ asta, imke, oskar, nobody } = await everybodyAt(house.url));
});
afterAll(() => house?.close());

describe('who may call', () => {
  it('every route but health, sign-in and the bench wants a session', async () => {
    for (const route of ROUTES.filter((r) => r.who !== 'anyone')) {
      const path = route.path
        .replace(':id', '018f0000-0000-7000-8000-000000000000')
        .replace(':device', 'some-device');
      const answer = await nobody(route.method.toUpperCase(), path, route.method === 'post' ? {} : undefined);
      expect([route.path, answer.status]).toEqual([route.path, 401]);
      expect(answer.headers.get('content-type')).toContain('application/problem+json');
    }
    expect(ROUTES.filter((r) => r.who === 'anyone').map((r) => `${r.method} ${r.path}`)).toEqual([
      'get /api/openapi.json',
      'get /api/health',
      'post /api/session',
      'delete /api/session',
      'get /api/device/people',
      'post /api/session/pin',
      'get /api/greeting',
      'post /api/first-visit',
      'post /api/password/reset',
      'get /api/trades',
      'get /api/calculators',
      'post /api/calculators/:id',
      'get /api/feeds/:token',
    ]);
  });

  it('a viewer reads but does not record', async () => {
    expect((await oskar('GET', '/api/jobs')).status).toBe(200);
    const h = freshHand('viewer');
    expect((await oskar('POST', `/api/jobs/${h.jobId}/events`, batch(h))).status).toBe(403);
  });

  it('the cookie is for the server only', async () => {
    const response = await fetch(`${house.url}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Bram', password: 'beet-campaign' }),
    });
    expect(response.headers.get('set-cookie')).toMatch(/httponly/i);
    expect(response.headers.get('set-cookie')).toMatch(/samesite=strict/i);
  });

  it('a wrong password is refused, and after ten the name waits', async () => {
    const statuses = [];
    for (let i = 0; i < 11; i++)
      statuses.push((await nobody('POST', '/api/session', { name: 'Nemo', password: `wrong ${i}` })).status);
    expect(statuses.slice(0, 10)).toEqual(Array(10).fill(401));
    expect(statuses[10]).toBe(429);
    expect((await nobody('POST', '/api/session', { name: 'Asta', password: 'beet-campaign' })).status).toBe(
      200,
    );
  });

  it('signing out ends the session on the server', async () => {
    const bram = await caller(house.url, 'Bram');
    expect((await bram('GET', '/api/session')).body.person.name).toBe('Bram');
    expect((await bram('DELETE', '/api/session')).status).toBe(204);
    expect((await bram('GET', '/api/session')).status).toBe(401);
  });
});

describe('recording', () => {
  it('stores a whole job, once, and reads it back as it was sent', async () => {
    const h = freshHand('whole')
      .safe()
      .survey([89.974, 89.972, 89.976, 89.973, 89.971, 89.975, 89.972, 89.97, 89.974])
      .pass('shaft')
      .gate('inboard');
    const first = await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    expect(first.status).toBe(200);
    expect(first.body.number).toMatch(/^H-\d{4}$/);
    expect(first.body.outcomes.every((o: { outcome: string }) => o.outcome === 'stored')).toBe(true);
    const again = await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    expect(again.body.outcomes.every((o: { outcome: string }) => o.outcome === 'already')).toBe(true);
    const read = await asta('GET', `/api/jobs/${h.jobId}`);
    // As they were posted, each with when the server had it.
    expect(read.body.events.map(({ stored, ...e }: { stored: object }) => e)).toEqual(h.events);
    expect(read.body.events.every((e: { stored?: { at: string } }) => e.stored?.at)).toBe(true);
    expect(read.body.job.present).toBe('bench');
    expect((await asta('GET', `/api/jobs/${h.jobId}?after=${h.events.length - 2}`)).body.events).toHaveLength(
      2,
    );
  });

  it('a cancelled job leaves the board and stays in the record', async () => {
    const h = freshHand('cancelled').do('job.cancelled', { reason: 'opened at the wrong machine' });
    const stored = await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    expect(stored.body.outcomes.every((o: { outcome: string }) => o.outcome === 'stored')).toBe(true);
    const open = await asta('GET', '/api/jobs?state=open&limit=200');
    expect(open.body.jobs.map((j: { id: string }) => j.id)).not.toContain(h.jobId);
    const read = await asta('GET', `/api/jobs/${h.jobId}`);
    expect(read.body.job.state).toBe('cancelled');
    const events = [{ ...h.events[0], id: v7(), type: 'note.added', data: { text: 'it stays' } }];
    const noted = await asta('POST', `/api/jobs/${h.jobId}/events`, { events });
    expect(noted.body.outcomes[0].outcome).toBe('stored');
  });

  it('a job cancelled leaves its position the setup of the last one that stands', async () => {
    const setupAt = async () => {
      const { body } = await asta('GET', '/api/positions?limit=20&q=opened%20twice');
      return body.positions[0]?.setup.boreMm;
    };
    const right = freshHand('opened twice', { boreMm: 120, shaftMm: 110 });
    await asta('POST', `/api/jobs/${right.jobId}/events`, batch(right));
    expect(await setupAt()).toBe(120);
    // The second is cancelled a while after it was opened, the third with its first breath.
    const wrong = freshHand('opened twice', { boreMm: 140, shaftMm: 125 });
    await asta('POST', `/api/jobs/${wrong.jobId}/events`, batch(wrong));
    expect(await setupAt()).toBe(140);
    const sent = wrong.events.length;
    wrong.do('job.cancelled', { reason: 'the other pedestal' });
    await asta('POST', `/api/jobs/${wrong.jobId}/events`, batch(wrong, sent));
    expect(await setupAt()).toBe(120);
    const slip = freshHand('opened twice', { boreMm: 160, shaftMm: 140 });
    slip.do('job.cancelled', { reason: 'the other pedestal' });
    await asta('POST', `/api/jobs/${slip.jobId}/events`, batch(slip));
    expect(await setupAt()).toBe(120);
  });

  it('two tabs sending the same events at once store them once', async () => {
    for (let round = 0; round < 6; round++) {
      const h = freshHand(`twins ${round}`).safe();
      const answers = await Promise.all(
        Array.from({ length: 8 }, () => asta('POST', `/api/jobs/${h.jobId}/events`, batch(h))),
      );
      expect(answers.map((a) => a.status)).toEqual(Array(8).fill(200));
      const stored = answers
        .flatMap((a) => a.body.outcomes)
        .filter((o: { outcome: string }) => o.outcome === 'stored');
      expect(stored).toHaveLength(h.events.length);
      expect((await asta('GET', `/api/jobs/${h.jobId}`)).body.events).toHaveLength(h.events.length);
    }
  });

  it('refuses what the reducer refuses, each on its own, and stores the rest', async () => {
    const h = freshHand('partly');
    const [opened] = h.events;
    const passed = { ...opened, id: v7(), type: 'step.passed', data: { step: 'safe' } };
    const bad = { ...opened, id: v7(), type: 'reading.taken', data: { step: 'shaft' } };
    const note = { ...opened, id: v7(), type: 'note.added', data: { text: 'kept' } };
    const answer = await asta('POST', `/api/jobs/${h.jobId}/events`, { events: [opened, passed, bad, note] });
    expect(answer.body.outcomes.map((o: { outcome: string }) => o.outcome)).toEqual([
      'stored',
      'refused',
      'refused',
      'stored',
    ]);
    expect(answer.body.outcomes[1].reason).toMatch(/10 of 10/);
    expect(answer.body.outcomes[2].reason).toMatch(/place is missing/);
  });

  it('a reading posted again after its gauge was calibrated anew is still the same reading', async () => {
    const h = freshHand('recalibrated').safe().survey([89.974]);
    await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    await house.owner.models.Instrument.update(
      { calibrationDue: '2031-01-01' },
      { where: { id: TOOLS.micrometer.id } },
    );
    const again = await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    expect(again.body.outcomes.map((o: { outcome: string }) => o.outcome)).toEqual(
      h.events.map(() => 'already'),
    );
    await house.owner.models.Instrument.update(
      { calibrationDue: TOOLS.micrometer.calibrationDue },
      { where: { id: TOOLS.micrometer.id } },
    );
  });

  it('an id used again with other contents is refused, here or in another job', async () => {
    const h = freshHand('ids');
    await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    const opened = h.events[0];
    const other = { ...opened, type: 'note.added', data: { text: 'not the same' } };
    expect(
      (await asta('POST', `/api/jobs/${h.jobId}/events`, { events: [other] })).body.outcomes[0].reason,
    ).toMatch(/other contents/);
    const jobId = v7();
    expect(
      (await asta('POST', `/api/jobs/${jobId}/events`, { events: [{ ...opened, jobId }] })).body.outcomes[0]
        .reason,
    ).toMatch(/another job/);
  });

  it('nobody records in another’s name, with a raised role, or with a gauge made up', async () => {
    const h = freshHand('honest');
    await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    const mark = { jobId: h.jobId, at: new Date().toISOString() };
    const forged = {
      ...mark,
      id: v7(),
      author: { id: 'imke', name: 'Imke', role: 'lead' },
      type: 'note.added',
      data: { text: 'signed, Imke' },
    };
    expect(
      (await asta('POST', `/api/jobs/${h.jobId}/events`, { events: [forged] })).body.outcomes[0].reason,
    ).toMatch(/recorded by Imke/);
    const raised = {
      ...mark,
      id: v7(),
      author: { id: 'asta', name: 'Asta', role: 'lead' },
      type: 'step.held',
      data: { step: 'safe', reason: 'wait for it' },
    };
    await asta('POST', `/api/jobs/${h.jobId}/events`, { events: [raised] });
    const release = { ...raised, id: v7(), type: 'step.released', data: { step: 'safe' } };
    expect(
      (await asta('POST', `/api/jobs/${h.jobId}/events`, { events: [release] })).body.outcomes[0].reason,
    ).toMatch(/lead hand/);
    h.by({ id: 'imke', name: 'Imke', role: 'lead' });
    expect(
      (
        await imke('POST', `/api/jobs/${h.jobId}/events`, {
          events: [{ ...release, id: v7(), author: { id: 'imke', name: 'Imke', role: 'lead' } }],
        })
      ).body.outcomes[0].outcome,
    ).toBe('stored');
    const fine = { ...TOOLS.micrometer, step: 1e-6 };
    const g = freshHand('gauge').safe();
    await asta('POST', `/api/jobs/${g.jobId}/events`, batch(g));
    const reading = {
      ...mark,
      jobId: g.jobId,
      id: v7(),
      author: { id: 'asta', name: 'Asta', role: 'fitter' },
      type: 'reading.taken',
      data: { step: 'shaft', place: 's1/0', value: 89.97, raw: '89.97', instrument: fine },
    };
    await asta('POST', `/api/jobs/${g.jobId}/events`, { events: [reading] });
    const kept = (await asta('GET', `/api/jobs/${g.jobId}`)).body.events.at(-1);
    expect(kept.data.instrument.step).toBe(0.001);
    const made = {
      ...reading,
      id: v7(),
      data: { ...reading.data, place: 's1/60', instrument: { ...fine, id: 'mine' } },
    };
    expect(
      (await asta('POST', `/api/jobs/${g.jobId}/events`, { events: [made] })).body.outcomes[0].reason,
    ).toMatch(/register/);
    // One said not to be listed is kept as it was named, without what only the register can give it.
    const borrowed = {
      ...made,
      id: v7(),
      data: {
        ...made.data,
        instrument: { ...fine, id: 'n-1', name: 'borrowed', step: 0.01, unlisted: true },
      },
    };
    const told = (await asta('POST', `/api/jobs/${g.jobId}/events`, { events: [borrowed] })).body;
    expect(told.outcomes[0].outcome).toBe('stored');
    const last = (await asta('GET', `/api/jobs/${g.jobId}`)).body.events.at(-1).data.instrument;
    expect(last).toMatchObject({ name: 'borrowed', step: 0.01, unlisted: true });
    expect(last.calibrationDue).toBeUndefined();
    expect(last.hand).toBeUndefined();
  });

  it('refuses bodies that are not what is asked', async () => {
    const path = `/api/jobs/${v7()}/events`;
    expect((await asta('POST', path, { events: [], more: 1 })).body.faults.length).toBeGreaterThan(0);
    expect((await asta('POST', path, '{')).status).toBe(400);
    expect((await asta('POST', path, { events: Array(101).fill({}) })).status).toBe(400);
    expect((await asta('POST', path, { events: [{ pad: 'x'.repeat(600_000) }] })).status).toBe(413);
    expect((await asta('POST', '/api/jobs/not-an-id/events', { events: [{}] })).status).toBe(404);
    expect((await asta('GET', `/api/jobs/${v7()}`)).status).toBe(404);
    const form = await fetch(`${house.url}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/x-www-form-urlencoded' },
      body: 'name=Asta',
    });
    expect(form.status).toBe(415);
    expect((await asta('GET', '/api/nothing')).status).toBe(404);
  });

  it('a new job of a known position name joins that position and remembers its setup', async () => {
    const h = freshHand('same place');
    const g = freshHand('same place', { washerTabs: 19 });
    await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
    await asta('POST', `/api/jobs/${g.jobId}/events`, batch(g));
    const { positions } = (await asta('GET', '/api/positions?limit=200')).body;
    const here = positions.filter((p: { position: string }) => p.position === 'same place');
    expect(here).toHaveLength(1);
    expect(here[0].setup.washerTabs).toBe(19);
    expect((await asta('GET', `/api/jobs?position=${here[0].id}`)).body.jobs).toHaveLength(2);
  });
});

describe('lists, gauges, bench, sheet', () => {
  it('pages by key, whole and without overlap', async () => {
    const seen: string[] = [];
    let after: string | null = null;
    do {
      const page: { jobs: Array<{ id: string }>; next: string | null } = (
        await asta('GET', `/api/jobs?limit=3${after ? `&after=${after}` : ''}`)
      ).body;
      seen.push(...page.jobs.map((j) => j.id));
      after = page.next;
    } while (after);
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen).toEqual([...seen].sort());
    expect(seen).toHaveLength((await asta('GET', '/api/jobs?limit=200')).body.jobs.length);
    expect((await asta('GET', '/api/jobs?limit=0')).status).toBe(400);
    expect((await asta('GET', '/api/jobs?state=lost')).status).toBe(400);
  });

  it('the demo has at least eight positions and six jobs in different states', async () => {
    expect((await asta('GET', '/api/positions')).body.positions.length).toBeGreaterThanOrEqual(8);
    const jobs = (await asta('GET', '/api/jobs?limit=200')).body.jobs.filter(
      (j: { machine: string }) => j.machine !== 'Test stand',
    );
    expect(
      new Set(
        jobs.map(
          (j: { present: string | null; held: string | null }) => `${j.present} ${JSON.stringify(j.held)}`,
        ),
      ).size,
    ).toBeGreaterThanOrEqual(6);
  });

  it('a gauge goes into the register once', async () => {
    const gauge = {
      name: 'Feelers C',
      kind: 'feeler',
      step: 0.02,
      low: 0.02,
      high: 1,
      calibrationDue: '2027-01-01',
    };
    expect((await asta('POST', '/api/instruments', gauge)).status).toBe(201);
    expect((await asta('POST', '/api/instruments', gauge)).status).toBe(409);
    expect(
      (await asta('POST', '/api/instruments', { ...gauge, name: 'D', step: -1 })).body.faults.length,
    ).toBeGreaterThan(0);
  });

  it('feelers and the like go in without a calibration date, a micrometer does not; a serial number is kept', async () => {
    const plain = { name: 'Feelers D', kind: 'feeler', step: 0.05, low: 0.05, high: 1, serial: 'F-77' };
    const { instrument } = (await asta('POST', '/api/instruments', plain)).body;
    expect(instrument).toMatchObject({ serial: 'F-77' });
    expect(instrument.calibrationDue).toBeUndefined();
    const dateless = await asta('POST', '/api/instruments', { ...plain, name: 'M9', kind: 'micrometer' });
    expect(dateless.body.faults).toMatchObject([{ path: 'calibrationDue' }]);
    const cold = { ...plain, name: 'Probe 9', kind: 'thermometer', step: 1, low: -40, high: 200 };
    expect((await asta('POST', '/api/instruments', { ...cold, calibrationDue: '2027-01-01' })).status).toBe(
      201,
    );
  });

  it('calculators over HTTP give what they give on the bench', async () => {
    const list = (await nobody('GET', '/api/calculators')).body;
    expect(list.map((c: { id: string }) => c.id)).toContain('tolerance.iso286');
    const answer = await nobody('POST', '/api/calculators/tolerance.iso286', {
      nominalMm: 90,
      designation: 'h9',
    });
    expect(answer.body.values).toMatchObject({ lowerMm: 89.913, upperMm: 90 });
    expect(Object.keys(answer.body).sort()).toEqual(['findings', 'values', 'working']);
    const faulty = await nobody('POST', '/api/calculators/tolerance.iso286', { nominalMm: -1 });
    expect(faulty.status).toBe(422);
    expect(faulty.body.faults).toHaveLength(2);
    expect((await nobody('POST', '/api/calculators/none', {})).status).toBe(404);
  });

  it('the JSON sheet’s hash is that of its contents', async () => {
    const { jobs } = (await asta('GET', '/api/jobs?state=signed')).body;
    const sheet = (await asta('GET', `/api/jobs/${jobs[0].id}/sheet.json`)).body;
    const { contentHash, frozen, ...rest } = sheet;
    expect(frozen).toMatchObject({ revision: 1, origin: 'signed' });
    expect(
      createHash('sha256')
        .update(canonicalize(rest) ?? '')
        .digest('hex'),
    ).toBe(contentHash);
    expect(sheet.signature.name).toMatch(/^(Asta|Bram)$/);
    expect(sheet.readings.length).toBeGreaterThan(8);
  });

  it('the PDF is a PDF, on either paper, for open jobs too', async () => {
    const { jobs } = (await asta('GET', '/api/jobs?limit=200')).body;
    for (const job of jobs.slice(0, 8)) {
      const response = await fetch(`${house.url}/api/jobs/${job.id}/sheet.pdf?paper=letter&units=in`, {
        headers: { cookie: await cookieOf(house.url, 'Oskar') },
      });
      expect(response.headers.get('content-type')).toBe('application/pdf');
      expect(
        Buffer.from(await response.arrayBuffer())
          .subarray(0, 5)
          .toString(),
      ).toBe('%PDF-');
    }
  });
});
