import { createHash } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { faultOfKept, hurtOnTheWay, isHash, keepFile, placeOf, readKept } from './kept-files.ts';

let dir: string;
beforeEach(() => {
  dir = mkdtempSync(join(tmpdir(), 'fulcrant-test-files-'));
});
afterEach(() => rmSync(dir, { recursive: true, force: true }));

const bytes = Buffer.from('the groove at the shoulder');
const hash = createHash('sha256').update(bytes).digest('hex');

describe('a file kept by what is in it', () => {
  it('lies where its hash says, readable by its owner only, and comes back byte by byte', async () => {
    const file = placeOf(dir, hash, 'jpg');
    expect(await readKept(file)).toBeNull();
    await keepFile(file, bytes);
    expect(await readKept(file)).toEqual(bytes);
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(english(await faultOfKept(file, hash, 'The photograph'))).toBeNull();
  });

  it('kept by many at once it is there once, whole, with nothing left beside it', async () => {
    const file = placeOf(dir, hash, 'jpg');
    await Promise.all(Array.from({ length: 12 }, () => keepFile(file, bytes)));
    expect(await readKept(file)).toEqual(bytes);
    expect(readdirSync(join(dir, hash.slice(0, 2)))).toEqual([`${hash}.jpg`]);
  });

  it('swapped or gone is named', async () => {
    const file = placeOf(dir, hash, 'jpg');
    expect(english(await faultOfKept(file, hash, 'The photograph'))).toContain(
      'is gone from the data folder',
    );
    await keepFile(file, bytes);
    writeFileSync(file, 'another groove altogether');
    expect(english(await faultOfKept(file, hash, 'The photograph'))).toContain(
      'is not the one that was kept',
    );
  });

  it('what was hurt on its way is told by its hash', () => {
    expect(hurtOnTheWay(bytes, hash, 'photograph')).toBeNull();
    expect(hurtOnTheWay(bytes.subarray(1), hash, 'photograph')).toMatchObject({
      id: 'server.store.notOneAnnouncedHurtWay',
    });
  });

  it.each([undefined, '', 'g'.repeat(64), 'a'.repeat(63), `${'a'.repeat(64)}/..`, 'A'.repeat(64)])(
    'a name such as %j leads to no file',
    (name) => {
      expect(isHash(name)).toBe(false);
    },
  );
});
