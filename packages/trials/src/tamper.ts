import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { runningDatabase } from '../../../scripts/database.mjs';
import type { Outcome } from './durability.ts';
import { ask, signedIn, told } from './hands.ts';
import { type Started, verified } from './house.ts';

/** What somebody with the database’s own key might do to the record, and how it is put right again. */
const TAMPERINGS: ReadonlyArray<[what: string, does: string, undoes: string, named: RegExp]> = [
  [
    'an event altered',
    'UPDATE events SET body = REPLACE(body, \'"value":\', \'"value":1\') WHERE id = @reading',
    'UPDATE events SET body = @body WHERE id = @reading',
    /is not as it was stored/,
  ],
  [
    'an event deleted',
    'DELETE FROM events WHERE id = @middle',
    'INSERT INTO events SELECT * FROM kept_event',
    /is missing before it/,
  ],
  [
    'an event inserted',
    'INSERT INTO events SELECT UUID(), job_id, seq + 1000, type, author_id, at, stored_at, body, chain FROM events WHERE id = @middle',
    'DELETE FROM events WHERE seq > 1000 AND job_id = @job',
    /is missing before it|belongs to another event/,
  ],
  [
    'a sheet altered',
    "UPDATE sheets SET sheet = REPLACE(sheet, 'accept', 'reject') WHERE job_id = @signed",
    'UPDATE sheets SET sheet = @sheet WHERE job_id = @signed',
    /is not as it was kept: its hash is another/,
  ],
];

/** Each tampering is named by the walk, and the works goes on serving; put right, all holds again. */
export async function tampered(house: Started): Promise<Outcome> {
  const db = runningDatabase(house.dataDir);
  if (!db) throw new Error('No database runs.');
  const sql = (text: string) => {
    const done = spawnSync(
      'mariadb',
      ['--no-defaults', '--host=127.0.0.1', `--port=${db.port}`, `--user=${db.owner.user}`, 'fulcrant'],
      { input: text, encoding: 'utf8', env: { ...process.env, MYSQL_PWD: db.owner.password } },
    );
    if (done.status !== 0) throw new Error(done.stderr);
    return done.stdout;
  };
  const begin = `SET @reading = (SELECT id FROM events WHERE type = 'reading.taken' ORDER BY id LIMIT 1);
    SET @signed = (SELECT job_id FROM sheets ORDER BY job_id LIMIT 1);
    SET @job = (SELECT id FROM jobs WHERE state = 'signed' ORDER BY id LIMIT 1);
    SET @middle = (SELECT id FROM events WHERE job_id = @job AND seq = 5);`;
  sql(`${begin} CREATE TABLE kept_event AS SELECT * FROM events WHERE id = @middle;
    CREATE TABLE kept_body AS SELECT body FROM events WHERE id = @reading;
    CREATE TABLE kept_sheet AS SELECT sheet FROM sheets WHERE job_id = @signed;`);
  const [, signed = ''] = sql('SELECT job_id FROM sheets ORDER BY job_id LIMIT 1').split('\n');
  const asta = await signedIn(house.url, 'Asta');
  const figures: Outcome['figures'] = [];
  const wrong: string[] = [];
  const look = async (what: string, named: RegExp) => {
    const walked = verified(house.dataDir);
    const line = walked.said.split('\n').find((l) => named.test(l));
    const serves = (await ask(house.url, '/api/jobs?limit=5', { cookie: asta.cookie }))?.status === 200;
    figures.push([what, line ? line.slice(0, 150) : 'not named']);
    if (walked.holds || !line) wrong.push(`${what} is not named by verify.`);
    if (!serves) wrong.push(`After ${what} the works does not go on.`);
  };
  if (!verified(house.dataDir).holds) wrong.push('The works did not hold before it was touched.');
  const restore = `${begin} SET @body = (SELECT body FROM kept_body); SET @sheet = (SELECT sheet FROM kept_sheet LIMIT 1);`;
  for (const [what, does, undoes, named] of TAMPERINGS) {
    sql(`${begin} ${does};`);
    await look(what, named);
    if (what === 'a sheet altered') {
      const sheet = await told<{ altered?: true }>(house.url, `/api/jobs/${signed}/sheet.json`, asta);
      if (!sheet.altered) wrong.push('A sheet that was altered does not say so.');
    }
    sql(`${restore.replace(/SET @middle[^;]*;/, '')} ${undoes};`);
  }
  const picture = await sharp({ create: { width: 64, height: 48, channels: 3, background: '#806040' } })
    .jpeg()
    .toBuffer();
  const hash = createHash('sha256').update(picture).digest('hex');
  const put = await fetch(`${house.url}/api/photos/${hash}`, {
    method: 'PUT',
    headers: { cookie: asta.cookie, 'content-type': 'image/jpeg' },
    body: picture,
  });
  if (!put.ok) throw new Error(`The photograph was not taken: ${put.status}`);
  const file = join(house.dataDir, 'photos', hash.slice(0, 2), `${hash}.jpg`);
  writeFileSync(file, Buffer.concat([picture.subarray(0, -8), Buffer.alloc(8, 7)]));
  await look('a photograph swapped', /Photograph/);
  writeFileSync(file, picture);
  const after = verified(house.dataDir);
  figures.push(['put right again', after.said.split('\n')[0] ?? '']);
  if (!after.holds) wrong.push(after.said);
  sql('DROP TABLE kept_event; DROP TABLE kept_body; DROP TABLE kept_sheet;');
  return { figures, wrong };
}
