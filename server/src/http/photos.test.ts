import { createHash } from 'node:crypto';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { verifyPhotos } from '../store/photos.ts';
import {
  batch,
  type Caller,
  cookieOf,
  everybodyAt,
  freshHand,
  openHouse,
  person,
  type TestHouse,
} from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
let nobody: Caller;

beforeAll(async () => {
  house = await openHouse();
  ({ asta, nobody } = await everybodyAt(house.url));
});
afterAll(() => house?.close());

const sha = (b: Buffer) => createHash('sha256').update(b).digest('hex');
const put = async (bytes: Buffer, hash = sha(bytes), who = 'Asta', type = 'image/jpeg') =>
  fetch(`${house.url}/api/photos/${hash}`, {
    method: 'PUT',
    headers: { cookie: await cookieOf(house.url, who), 'content-type': type },
    body: new Uint8Array(bytes),
  });
const picture = (shade: number) =>
  sharp({ create: { width: 320, height: 240, channels: 3, background: { r: shade, g: 90, b: 30 } } });

describe('photographs', () => {
  it('are kept by their content, once, and shown to who is signed in', async () => {
    const bytes = await picture(10).jpeg().toBuffer();
    expect((await put(bytes)).status).toBe(204);
    expect((await put(bytes)).status).toBe(204);
    const shown = await fetch(`${house.url}/api/photos/${sha(bytes)}`, {
      headers: { cookie: await cookieOf(house.url, 'Oskar') },
    });
    expect(shown.headers.get('content-type')).toBe('image/jpeg');
    expect(Buffer.from(await shown.arrayBuffer())).toEqual(bytes);
    expect((await nobody('GET', `/api/photos/${sha(bytes)}`)).status).toBe(401);
  });

  it('are refused with a reason: another content, no JPEG, cut off, with what the camera wrote, too large', async () => {
    const good = await picture(20).jpeg().toBuffer();
    const title = async (response: Response) => [
      response.status,
      ((await response.json()) as { title: string }).title,
    ];
    expect(await title(await put(good, sha(Buffer.from('other'))))).toEqual([
      400,
      expect.stringContaining('hurt'),
    ]);
    const png = await picture(20).png().toBuffer();
    expect(await title(await put(png))).toEqual([400, expect.stringContaining('JPEG')]);
    expect(await title(await put(Buffer.from('<svg onload="x">')))).toEqual([
      400,
      expect.stringContaining('JPEG'),
    ]);
    const cut = good.subarray(0, good.length - 400);
    expect(await title(await put(cut))).toEqual([400, expect.stringContaining('to its end')]);
    const placed = await picture(20)
      .withExif({ IFD3: { GPSLatitude: '52/1 31/1 0/1', GPSLatitudeRef: 'N' } })
      .jpeg()
      .toBuffer();
    expect(await title(await put(placed))).toEqual([400, expect.stringContaining('place')]);
    expect((await put(Buffer.alloc(4_100_000, 1))).status).toBe(413);
    expect((await put(good, undefined, 'Oskar')).status).toBe(403);
    expect((await put(good, undefined, 'Asta', 'text/plain')).status).toBe(415);
    expect((await put(good, 'short')).status).toBe(404);
  });

  it('stand on sheet and PDF; one that has not arrived says so there', async () => {
    const h = freshHand('photographed');
    const bytes = await picture(30).jpeg().toBuffer();
    for (const hash of [sha(bytes), 'f'.repeat(64)])
      h.do('photo.added', { step: 'safe', hash, words: 'the lock', width: 320, height: 240 });
    expect(
      (await asta('POST', `/api/jobs/${h.jobId}/events`, batch(h))).body.outcomes.every(
        (o: { outcome: string }) => o.outcome === 'stored',
      ),
    ).toBe(true);
    const pdf = async () =>
      (
        await (
          await fetch(`${house.url}/api/jobs/${h.jobId}/sheet.pdf`, {
            headers: { cookie: await cookieOf(house.url, 'Asta') },
          })
        ).arrayBuffer()
      ).byteLength;
    const without = await pdf();
    expect((await put(bytes)).status).toBe(204);
    expect(await pdf()).toBeGreaterThan(without + 500);
    const sheet = (await asta('GET', `/api/jobs/${h.jobId}/sheet.json`)).body;
    expect(sheet.photos).toHaveLength(2);
    expect(person('asta').name).toBe(sheet.photos[0].by);
  });

  it('one that is swapped or gone is named by verify', async () => {
    const dir = join(house.dataDir, 'photos');
    const [a, b] = [await picture(40).jpeg().toBuffer(), await picture(50).jpeg().toBuffer()];
    await put(a);
    await put(b);
    expect((await verifyPhotos(house.db, dir)).faults).toEqual([]);
    const file = (x: Buffer) => join(dir, sha(x).slice(0, 2), `${sha(x)}.jpg`);
    writeFileSync(file(a), b);
    rmSync(file(b));
    const faults = english((await verifyPhotos(house.db, dir)).faults);
    expect(faults).toHaveLength(2);
    expect(faults.join(' ')).toContain(sha(a));
    expect(faults.join(' ')).toContain('gone');
  });
});
