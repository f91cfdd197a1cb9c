import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { JobEvent } from '@fulcrant/core/job';
import { pino } from 'pino';
import { QueryTypes } from 'sequelize';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sameParams } from '../../../core/src/engine/params.ts';
import { english } from '../../../core/src/testing/english.ts';
import { startDatabase } from '../../../scripts/database.mjs';
import { canonicalSheet, hashOf } from '../export/canonical.ts';
import { type Caller, caller, freshHand, openHouse, person, type TestHouse } from '../testing/house.ts';
import { foldJob } from './append.ts';
import { openDatabase } from './database.ts';
import { migrate } from './migrate.ts';
import { freezeSigned, renewLines } from './projections.ts';
import { readFrozen } from './sheets.ts';
import { verify } from './verify.ts';

const round = [89.974, 89.972, 89.976, 89.973, 89.971, 89.975, 89.972, 89.97, 89.974];

/** A fitting worked to its signature, with a deviation a lead hand accepted. */
function signedHand(name: string) {
  const h = freshHand(name)
    .safe()
    .survey(round)
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.13, 0.13],
      [0.13, 0.13],
      [0.13, 0.13],
    ])
    .by(person('imke'))
    .accept('bench', 'bench.class', 'agreed for one campaign')
    .by(person('asta'))
    .pass('bench')
    .pass('target')
    .gate('fit')
    .drive(0, 0.13, 0.13)
    .drive(45, 0.115, 0.115)
    .drive(90, 0.1, 0.1)
    .drive(135, 0.085, 0.085)
    .drive(157.5, 0.08, 0.075)
    .pass('driveup')
    .lock(3, [
      [0.075, 0.075],
      [0.075, 0.075],
      [0.075, 0.075],
    ])
    .pass('lock')
    .bolts()
    .pass('bolts')
    .answerAll('handturn')
    .pass('handturn');
  return h.do('sheet.signed', { name: 'Asta' });
}

let house: TestHouse;
let asta: Caller;
let imke: Caller;
beforeAll(async () => {
  house = await openHouse();
  [asta, imke] = await Promise.all([caller(house.url, 'Asta'), caller(house.url, 'Imke')]);
});
afterAll(() => house?.close());

/** Sent as each of its authors, the way the queues of two devices would. */
async function send(h: { jobId: string; events: JobEvent[] }): Promise<void> {
  for (const e of h.events) {
    const by = e.author.id === 'imke' ? imke : asta;
    const answer = await by('POST', `/api/jobs/${h.jobId}/events`, { events: [e] });
    if (answer.body.outcomes?.[0]?.outcome !== 'stored') throw new Error(JSON.stringify(answer.body));
  }
}

describe('what was signed', () => {
  it('is kept, hashed, and served from there: later code that words it otherwise moves nothing', async () => {
    const h = signedHand('kept as signed');
    await send(h);
    const path = `/api/jobs/${h.jobId}/sheet.json`;
    const before = (await asta('GET', path)).body;
    expect(before.frozen).toMatchObject({ revision: 1, origin: 'signed' });

    // The sheet as an earlier code would have worded it: what is served must be this, not what today's code would write.
    const row = await house.owner.models.Sheet.findOne({ where: { jobId: h.jobId } });
    const worded = (row?.sheet ?? '').replaceAll('agreed for one campaign', 'as it was put in those days');
    expect(worded).not.toBe(row?.sheet);
    // Altered behind the product’s back it says so, on page and paper, and nothing else stops for it.
    await row?.update({ sheet: worded });
    expect((await asta('GET', path)).body.altered).toBe(true);
    expect((await asta('GET', `/api/jobs/${h.jobId}/sheet.pdf`)).status).toBe(200);
    await row?.update({ sheet: worded, hash: hashOf(worded) });
    const then = (await asta('GET', path)).body;
    expect(JSON.stringify(then)).toContain('as it was put in those days');
    expect(then.contentHash).toBe(hashOf(worded));
    expect(then.altered).toBeUndefined();
    expect((await asta('GET', `/api/jobs/${h.jobId}/sheet.pdf`)).status).toBe(200);
    const { body } = await asta('GET', `/api/jobs/${h.jobId}`);
    expect(body.job.state).toBe('signed');
    expect((await verify(house.db)).faults).toEqual([]);
  });

  it('keeps its acceptances when a finding is worded anew: they are bound to its code and its numbers', async () => {
    const h = signedHand('acceptance worded anew');
    const events = h.events.map((e) =>
      e.type === 'deviation.accepted'
        ? ({ ...e, data: { ...e.data, stands: 'Other words altogether.' } } as JobEvent)
        : e,
    );
    await send({ jobId: h.jobId, events });
    const folded = await foldJob(house.db, h.jobId);
    const bench = folded?.state.steps.find((s) => s.id === 'bench');
    expect(bench?.blocking).toEqual([]);
    const stop = bench?.report?.findings.find((f) => f.code === 'bench.class');
    expect(stop && sameParams(stop.params, folded?.state.deviations[0]?.params ?? {})).toBe(true);
  });

  it('is corrected as a revision; the one before stays and can be read', async () => {
    const h = signedHand('revised');
    await send(h);
    const from = h.events.length;
    h.do('sheet.reopened', { reason: 'one gap was misread' });
    const gap = h.state.readings.findLast((r) => r.step === 'lock');
    h.do('reading.withdrawn', { reading: gap?.id ?? '', reason: 'misread' });
    h.read('lock', gap?.place ?? '', 0.08, 'feeler').pass('lock');
    // The cap came off for the blade.
    h.bolts().pass('bolts').answerAll('handturn').pass('handturn').do('sheet.signed', { name: 'Asta' });
    await send({ jobId: h.jobId, events: h.events.slice(from) });
    const path = `/api/jobs/${h.jobId}/sheet.json`;
    expect((await asta('GET', path)).body).toMatchObject({ revision: 2, frozen: { revision: 2 } });
    expect((await asta('GET', `${path}?revision=1`)).body).toMatchObject({
      revision: 1,
      signature: { name: 'Asta' },
    });
    expect((await asta('GET', `${path}?revision=3`)).status).toBe(404);
    expect((await asta('GET', `${path}?revision=x`)).status).toBe(400);
    expect((await verify(house.db)).faults).toEqual([]);
  });

  it('has later notes beside it, not in it', async () => {
    const h = signedHand('noted later');
    await send(h);
    const path = `/api/jobs/${h.jobId}`;
    const { contentHash } = (await asta('GET', `${path}/sheet.json`)).body;
    const from = h.events.length;
    h.do('note.added', { text: 'runs quietly a week on' });
    await send({ jobId: h.jobId, events: h.events.slice(from) });
    expect((await asta('GET', `${path}/sheet.json`)).body.contentHash).toBe(contentHash);
  });
});

describe('verify', () => {
  it('names the job and the event that was altered, the sheet that was, and events that are missing', async () => {
    const [one, two, three] = [signedHand('altered'), signedHand('sheet altered'), signedHand('cut off')];
    for (const h of [one, two, three]) await send(h);
    expect((await verify(house.db)).faults).toEqual([]);
    const at = one.events.findIndex((x) => x.type === 'reading.taken');
    const e = one.events[at];
    const row = await house.owner.models.Event.findByPk(e?.id ?? '');
    const was = row?.body ?? '';
    expect(was).toContain('"value":89.974');
    await row?.update({ body: was.replace('"value":89.974', '"value":89.994') });
    const faults = english((await verify(house.db)).faults);
    expect(faults).toHaveLength(1);
    expect(faults[0]).toContain(one.jobId);
    expect(faults[0]).toContain(e?.id);
    expect(faults[0]).toContain(`event ${at + 1} `);
    await row?.update({ body: was });

    const sheet = await house.owner.models.Sheet.findOne({ where: { jobId: two.jobId } });
    const kept = sheet?.sheet ?? '';
    await sheet?.update({ sheet: kept.replace('Asta', 'Bram') });
    const last = await house.owner.models.Event.findByPk(three.events.at(-1)?.id ?? '');
    await last?.destroy();
    // A record with its end cut off is no ground to build on: said, not looped over.
    house.db.folded.forget(three.jobId);
    await expect(foldJob(house.db, three.jobId)).rejects.toThrow(/where its row counts/);
    const refused = await asta('POST', `/api/jobs/${three.jobId}/events`, {
      events: three.events.slice(0, 1),
    });
    expect(refused.status).toBe(503);
    expect(refused.body.title).toMatch(/does not hold together/);
    const more = english((await verify(house.db)).faults).join('\n');
    expect(more).toContain(`${two.jobId}), sheet as signed, revision 1 is not as it was kept`);
    expect(more).toContain(`${three.jobId}) has`);
    await sheet?.update({ sheet: kept });
    await house.owner.models.Event.create(last?.get({ plain: true }) as never);
    expect((await verify(house.db)).faults).toEqual([]);
  });

  it('the serving user can neither change nor remove what is kept', async () => {
    await expect(house.db.models.Event.update({ body: '{}' }, { where: {} })).rejects.toThrow(/denied/);
    await expect(house.db.models.Event.destroy({ where: {} })).rejects.toThrow(/denied/);
    await expect(house.db.models.Sheet.update({ hash: '' }, { where: {} })).rejects.toThrow(/denied/);
    await expect(house.db.models.Sheet.destroy({ where: {} })).rejects.toThrow(/denied/);
  });
});

describe('lines of the board', () => {
  it('of an older form are shown until they are made anew in the background; signed sheets are not touched', async () => {
    const h = signedHand('older line');
    await send(h);
    const job = await house.owner.models.Job.findByPk(h.jobId);
    const was = JSON.parse(job?.summary ?? '{}');
    // A line as an earlier release wrote it: it knew neither hands nor when something was last done.
    const { hands, lastAt, waitsForLead, ...older } = was;
    await job?.update({
      summary: JSON.stringify({ ...older, act: 'As it used to be said.' }),
      summaryVersion: 1,
    });
    const line = async () =>
      (await asta('GET', '/api/jobs?q=older%20line')).body.jobs.find((j: { id: string }) => j.id === h.jobId);
    expect(await line()).toMatchObject({
      act: 'As it used to be said.',
      hands: [],
      waitsForLead: false,
      lastAt: expect.stringMatching(/^\d{4}-/),
    });
    const sheet = await house.owner.models.Sheet.findOne({ where: { jobId: h.jobId } });
    expect(await renewLines(house.db, pino({ level: 'silent' }), () => false)).toBe(1);
    expect(await line()).toMatchObject({ act: was.act, hands, lastAt, waitsForLead });
    expect((await house.owner.models.Sheet.findOne({ where: { jobId: h.jobId } }))?.sheet).toBe(sheet?.sheet);
    expect(await renewLines(house.db, pino({ level: 'silent' }), () => false)).toBe(0);
  });
});

describe('a database laid in by an earlier release', () => {
  it('is migrated: chained, its signed sheets kept as they fold that day and marked so, old acceptances covering what they did', async () => {
    const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-test-'));
    const mariadb = await startDatabase({ dataDir, small: true });
    const owner = openDatabase({
      host: '127.0.0.1',
      port: mariadb.port,
      database: 'fulcrant',
      ...mariadb.owner,
    });
    try {
      await migrate(owner.sequelize, mariadb.app.user, { to: '004-drop-counter' });
      const h = signedHand('from before');
      const jobId = h.jobId;
      const put = (sql: string, replacements: unknown[]) =>
        owner.sequelize.query(sql, { replacements, type: QueryTypes.INSERT });
      for (const p of ['asta', 'imke'])
        await put('INSERT INTO people (id, name, role, password_hash) VALUES (?,?,?,?)', [
          p,
          person(p).name,
          person(p).role,
          'x',
        ]);
      const positionId = v7();
      await put('INSERT INTO positions (id, site, machine, position, setup) VALUES (?,?,?,?,?)', [
        positionId,
        'Holmbeck',
        'Test stand',
        'from before',
        JSON.stringify(h.state.setup),
      ]);
      await put(
        'INSERT INTO jobs (id, position_id, state, event_count, summary, opened_at, updated_at) VALUES (?,?,?,?,?,?,?)',
        [jobId, positionId, 'signed', h.events.length, '{}', new Date(), new Date()],
      );
      for (const [i, e] of h.events.entries()) {
        // As events were written then: an acceptance knew its sentence only.
        const { params: _, ...data } = e.data as { params?: unknown };
        const body = JSON.stringify({ ...e, data });
        await put(
          'INSERT INTO events (id, job_id, seq, type, author_id, at, stored_at, body) VALUES (?,?,?,?,?,?,?,?)',
          [e.id, jobId, i + 1, e.type, e.author.id, new Date(e.at), new Date(e.at), body],
        );
      }
      expect(await migrate(owner.sequelize, mariadb.app.user)).toEqual([
        '005-record-that-stands',
        '006-cancelled-jobs',
        '007-vibration-meter',
        '008-plant-and-people',
        '009-register',
        '010-belt-gauges',
        '011-certificates',
        '012-outages',
        '013-drills',
        '014-laid',
        '015-practice',
        '016-measured-piece',
        '017-guarded-entry',
        '018-struck-and-running',
        '019-kinds-of-gauges',
        '020-hand-cards',
        '021-gauges-without-a-date',
        '022-pins',
      ]);
      // A later release has brought it further: this one says so, and touches nothing.
      await put('INSERT INTO migrations (name) VALUES (?)', ['999-of-later']);
      await expect(migrate(owner.sequelize, mariadb.app.user)).rejects.toThrow(
        /newer Fulcrant \(999-of-later\)/,
      );
      await owner.sequelize.query("DELETE FROM migrations WHERE name = '999-of-later'");
      expect(await freezeSigned(owner)).toBe(1);
      expect(await freezeSigned(owner)).toBe(0);
      expect(await verify(owner)).toMatchObject({ jobs: 1, events: h.events.length, sheets: 1, faults: [] });
      const kept = await readFrozen(owner, jobId);
      expect(kept?.frozen).toMatchObject({ revision: 1, origin: 'migrated' });
      expect(JSON.parse(kept?.canonical ?? '{}').signature).toMatchObject({ name: 'Asta' });
      const folded = await foldJob(owner, jobId);
      expect(folded?.state.steps.find((s) => s.id === 'bench')?.blocking).toEqual([]);
      expect(folded?.state.signed).not.toBeNull();
      expect(await renewLines(owner, pino({ level: 'silent' }), () => false)).toBe(1);
      expect(canonicalSheet({ b: 1, a: 2 } as never)).toBe('{"a":2,"b":1}');
    } finally {
      await owner.sequelize.close();
      await mariadb.stop();
      rmSync(dataDir, { recursive: true, force: true });
    }
  });
});
