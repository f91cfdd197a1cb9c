import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isText } from '@fulcrant/core/messages';
import sharp from 'sharp';
import * as tar from 'tar';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { batch, caller, freshHand, openHouse, type TestHouse } from '../testing/house.ts';
import { exportPlant, importPlant } from './archive.ts';
import { keepCertificate, readCertificate } from './certificates.ts';
import { keepPhoto, lookAtPhoto, readPhoto } from './photos.ts';
import { plantStage } from './plant.ts';
import { verify } from './verify.ts';

let full: TestHouse;
let empty: TestHouse;
let folder: string;
let certificate = '';
let photo = '';
const photosOf = (house: TestHouse) => join(house.dataDir, 'photos');

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'fulcrant-test-'));
  [full, empty] = await Promise.all([openHouse(), openHouse({ demo: false })]);
  const bytes = await sharp({ create: { width: 64, height: 48, channels: 3, background: '#446' } })
    .jpeg()
    .toBuffer();
  photo = createHash('sha256').update(bytes).digest('hex');
  const size = await lookAtPhoto(bytes, photo);
  if (isText(size)) throw new Error(JSON.stringify(size));
  await keepPhoto(full.db, photosOf(full), photo, bytes, size, 'asta');
  const paper = Buffer.from('%PDF-1.4\n%%EOF\n');
  certificate = createHash('sha256').update(paper).digest('hex');
  const file = { hash: certificate, name: 'paper', type: 'application/pdf', bytes: paper } as const;
  await keepCertificate(full.db, photosOf(full), file, 'mic-4', 'asta');
});
afterAll(async () => {
  await Promise.all([full?.close(), empty?.close()]);
  rmSync(folder, { recursive: true, force: true });
});

/** An archive taken apart, changed, and put together again. */
async function changed(file: string, name: string, change: (folder: string) => void): Promise<string> {
  const apart = join(folder, name);
  mkdirSync(apart);
  await tar.extract({ file, cwd: apart });
  change(apart);
  const again = join(folder, `${name}.tar.gz`);
  await tar.create({ gzip: true, file: again, cwd: apart }, ['.']);
  return again;
}

describe('a plant out to an archive and into an empty one', () => {
  it('without passwords, unless asked for; with its photographs; named file by file with their hashes', async () => {
    const file = join(folder, 'plant.tar.gz');
    const manifest = await exportPlant(full.db, photosOf(full), file, { secrets: false });
    expect(manifest.rows.jobs).toBe(await full.db.models.Job.count());
    expect(Object.keys(manifest.files)).toContain(`photos/${photo.slice(0, 2)}/${photo}.jpg`);
    expect(Object.keys(manifest.files)).toContain(`photos/${certificate.slice(0, 2)}/${certificate}.pdf`);
    const apart = join(folder, 'looked-at');
    mkdirSync(apart);
    await tar.extract({ file, cwd: apart });
    expect(readFileSync(join(apart, 'people.jsonl'), 'utf8')).not.toContain('argon2');
    expect(existsSync(join(apart, 'sessions.jsonl'))).toBe(false);
    for (const line of readFileSync(join(apart, 'events.jsonl'), 'utf8').trim().split('\n')) JSON.parse(line);
  });

  it('is refused whole where a byte is changed, a file is missing, it is cut off, or it is something else', async () => {
    const file = join(folder, 'plant.tar.gz');
    const tampered = await changed(file, 'tampered', (at) => {
      const events = join(at, 'events.jsonl');
      writeFileSync(events, readFileSync(events, 'utf8').replace('89.974', '89.975'));
    });
    await expect(importPlant(empty.owner, photosOf(empty), tampered)).rejects.toThrow(
      /events.jsonl is not the one/,
    );
    const without = await changed(file, 'without', (at) => rmSync(join(at, 'sheets.jsonl')));
    await expect(importPlant(empty.owner, photosOf(empty), without)).rejects.toThrow(
      /sheets.jsonl is missing/,
    );
    const cut = join(folder, 'cut.tar.gz');
    writeFileSync(cut, readFileSync(file).subarray(0, 4000));
    await expect(importPlant(empty.owner, photosOf(empty), cut)).rejects.toThrow(
      /cannot be unpacked|manifest|missing/,
    );
    const other = join(folder, 'other.tar.gz');
    writeFileSync(other, 'no archive');
    await expect(importPlant(empty.owner, photosOf(empty), other)).rejects.toThrow();
    expect(await empty.db.models.Job.count()).toBe(0);
    expect(await plantStage(empty.owner)).toBe('begun');
  });

  it('a record that was altered and its hashes made to fit again is found by its chain, and nothing stays', async () => {
    const forged = await changed(join(folder, 'plant.tar.gz'), 'forged', (at) => {
      const events = join(at, 'events.jsonl');
      const text = readFileSync(events, 'utf8').replace('89.974', '89.975');
      writeFileSync(events, text);
      const manifest = JSON.parse(readFileSync(join(at, 'manifest.json'), 'utf8'));
      manifest.files['events.jsonl'] = createHash('sha256').update(text).digest('hex');
      writeFileSync(join(at, 'manifest.json'), JSON.stringify(manifest));
    });
    await expect(importPlant(empty.owner, photosOf(empty), forged)).rejects.toThrow(/does not hold/);
    expect(await empty.db.models.Job.count()).toBe(0);
    expect(await empty.db.models.Person.count()).toBe(0);
  });

  it('laid in it is the same plant: hashes equal when it is written out again, all chains hold, people go on by codes', async () => {
    const file = join(folder, 'plant.tar.gz');
    const manifest = await importPlant(empty.owner, photosOf(empty), file);
    const again = await exportPlant(empty.db, photosOf(empty), join(folder, 'again.tar.gz'), {
      secrets: false,
    });
    expect(again.files).toEqual(manifest.files);
    expect((await verify(empty.db)).faults).toEqual([]);
    expect(await readPhoto(photosOf(empty), photo)).not.toBeNull();
    expect(await readCertificate(empty.db, photosOf(empty), certificate)).toMatchObject({
      type: 'application/pdf',
    });
    const asta = await caller(empty.url, 'Asta');
    expect((await asta('GET', '/api/session')).status).toBe(401);
    await expect(importPlant(empty.owner, photosOf(empty), file)).rejects.toThrow(/not empty/);
  });

  it('is written while people work: what is recorded meanwhile is in none of it by half', async () => {
    const asta = await caller(full.url, 'Asta');
    let stop = false;
    let n = 0;
    const working = (async () => {
      while (!stop) {
        const h = freshHand(`while exporting ${n++}`);
        await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h));
      }
    })();
    const file = join(folder, 'busy.tar.gz');
    const manifest = await exportPlant(full.db, photosOf(full), file, { secrets: true });
    stop = true;
    await working;
    const into = await openHouse({ demo: false });
    try {
      await importPlant(into.owner, photosOf(into), file);
      expect((await verify(into.db)).faults).toEqual([]);
      expect(await into.db.models.Job.count()).toBe(manifest.rows.jobs);
      // A backup holds passwords: everybody signs in as before.
      const imke = await caller(into.url, 'Imke');
      expect((await imke('GET', '/api/session')).status).toBe(200);
      // And work goes on: the next number follows the last.
      const h = freshHand('after the restore');
      const asta2 = await caller(into.url, 'Asta');
      const stored = await asta2('POST', `/api/jobs/${h.jobId}/events`, batch(h));
      expect(stored.body.outcomes[0].outcome).toBe('stored');
    } finally {
      await into.close();
    }
  });
});
