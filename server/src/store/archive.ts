import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { copyFile, mkdir, mkdtemp, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { createInterface } from 'node:readline';
import { finished, pipeline } from 'node:stream/promises';
import type { Text } from '@fulcrant/core/messages';
import { say } from '@fulcrant/core/units';
import * as tar from 'tar';
import { type CertificateType, certificateFile } from './certificates.ts';
import type { Database } from './database.ts';
import { placeOf } from './kept-files.ts';
import { M } from './messages.ts';
import { plantStage } from './plant.ts';
import { RULES } from './rules.ts';
import { verify } from './verify.ts';

/**
 * A whole plant as one archive: a tar of JSON Lines, a file a table, photographs by their hash, and a manifest that names each file with
 * its SHA-256. Open: anything that reads tar and JSON reads it.
 */
export const ARCHIVE_FORM = 1;

type Table = {
  name: string;
  /** By what its rows are in order. */
  key: readonly string[];
  /** What never leaves the house without being asked for, and what stands in its place. */
  secret?: Readonly<Record<string, string | null>>;
};

/** What stands for a password that was left behind: nobody is let in by it. */
/** A fault as it is printed where the command was given. */
const worded = (fault: Text): string => say(fault, 'mm');

const NO_PASSWORD = '-';

/** In the order they can be laid in again: each stands on those before it. Sessions, codes, tries, known devices and calendar links stay behind. */
const TABLES: readonly Table[] = [
  { name: 'plant', key: ['one'] },
  {
    name: 'people',
    key: ['id'],
    secret: { password_hash: NO_PASSWORD, pin_hash: null, second_secret: null, second_step: null },
  },
  { name: 'instruments', key: ['id'] },
  { name: 'house_rules', key: ['n'] },
  { name: 'positions', key: ['id'] },
  { name: 'cards', key: ['kind', 'card_key', 'version'] },
  { name: 'jobs', key: ['id'] },
  { name: 'events', key: ['job_id', 'seq'] },
  { name: 'sheets', key: ['job_id', 'revision'] },
  { name: 'autopsies', key: ['id'] },
  { name: 'outages', key: ['id', 'version'] },
  { name: 'drills', key: ['person_id', 'drill'] },
  { name: 'outage_laid', key: ['outage_id', 'item'] },
  { name: 'bench_sets', key: ['id'] },
  { name: 'bench_results', key: ['id'] },
  { name: 'competences', key: ['id'] },
  { name: 'photos', key: ['hash'] },
  { name: 'certificates', key: ['hash', 'instrument_id'] },
  { name: 'hand_cards', key: ['id'] },
];
/** Rows read, and laid in, at once. */
const PAGE = 200;

export type Manifest = {
  form: number;
  made: string;
  rules: string;
  /** With passwords: a backup. Without: to be handed on. */
  secrets: boolean;
  rows: Record<string, number>;
  /** SHA-256 of each file, by its path in the archive. */
  files: Record<string, string>;
};

type Row = Record<string, unknown>;
type Connection = {
  query(sql: string, values?: unknown[]): Promise<unknown>;
};

/** One connection for all of it, given back at the end. */
async function onOne<T>(db: Pick<Database, 'sequelize'>, does: (c: Connection) => Promise<T>): Promise<T> {
  const manager = db.sequelize.connectionManager;
  const connection = (await manager.getConnection({ type: 'write' })) as unknown as Connection;
  try {
    return await does(connection);
  } finally {
    manager.releaseConnection(connection as never);
  }
}

/** The file a row stands for, in a folder of kept files; null where its table has none. */
function fileOf(table: Table, row: Row, dir: string): string | null {
  if (table.name === 'photos') return placeOf(dir, String(row.hash), 'jpg');
  if (table.name === 'certificates')
    return certificateFile(dir, String(row.hash), String(row.type) as CertificateType);
  return null;
}

async function hashOfFile(file: string): Promise<string> {
  const sum = createHash('sha256');
  await pipeline(createReadStream(file), sum);
  return sum.digest('hex');
}

/** A page of a table after the row seen last, in the order of its key. */
async function pageOf(c: Connection, table: Table, last: Row | null): Promise<Row[]> {
  const key = table.key.join(', ');
  const after = last ? `WHERE (${key}) > (${table.key.map(() => '?').join(', ')})` : '';
  return (await c.query(`SELECT * FROM ${table.name} ${after} ORDER BY ${key} LIMIT ${PAGE}`, [
    ...(last ? table.key.map((k) => last[k]) : []),
  ])) as Row[];
}

async function writeTable(
  c: Connection,
  table: Table,
  folder: string,
  secrets: boolean,
  seen: (row: Row) => Promise<void>,
): Promise<number> {
  const file = createWriteStream(join(folder, `${table.name}.jsonl`));
  let rows = 0;
  for (let last: Row | null = null; ; ) {
    const page: Row[] = await pageOf(c, table, last);
    for (const row of page) {
      await seen(row);
      const kept = secrets ? row : { ...row, ...table.secret };
      if (!file.write(`${JSON.stringify(kept)}\n`))
        await new Promise<void>((done) => file.once('drain', () => done()));
      rows++;
    }
    last = page.at(-1) ?? null;
    if (page.length < PAGE) break;
  }
  file.end();
  await finished(file);
  return rows;
}

/**
 * Write a whole plant to one archive, as it stands at one moment: people go on working, and what they record after that moment is in the
 * next one.
 * @param secrets with the hashes of passwords: then it is as secret as the plant itself
 * @throws Error where a photograph that should be there is gone
 */
export async function exportPlant(
  db: Pick<Database, 'sequelize'>,
  photoDir: string,
  file: string,
  { secrets }: { secrets: boolean },
): Promise<Manifest> {
  const folder = await mkdtemp(join(tmpdir(), 'fulcrant-export-'));
  try {
    const manifest: Manifest = {
      form: ARCHIVE_FORM,
      made: new Date().toISOString(),
      rules: RULES,
      secrets,
      rows: {},
      files: {},
    };
    await onOne(db, async (c) => {
      await c.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
      await c.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
      try {
        for (const table of TABLES)
          manifest.rows[table.name] = await writeTable(c, table, folder, secrets, async (row) => {
            const from = fileOf(table, row, photoDir);
            const to = fileOf(table, row, join(folder, 'photos'));
            if (!from || !to) return;
            await mkdir(dirname(to), { recursive: true });
            await copyFile(from, to).catch(() => {
              throw new Error(`The file of ${table.name} ${String(row.hash)} is gone from the data folder.`);
            });
            manifest.files[relative(folder, to)] = await hashOfFile(to);
          });
      } finally {
        await c.query('ROLLBACK');
      }
    });
    for (const { name } of TABLES)
      manifest.files[`${name}.jsonl`] = await hashOfFile(join(folder, `${name}.jsonl`));
    await writeFile(join(folder, 'manifest.json'), `${JSON.stringify(manifest, null, 2)}\n`);
    // Beside its place first: a broken one is never mistaken for the whole.
    const beside = `${file}.part`;
    await tar.create({ gzip: true, file: beside, cwd: folder, portable: true }, [
      'manifest.json',
      ...Object.keys(manifest.files).sort(),
    ]);
    await rename(beside, file);
    return manifest;
  } finally {
    await rm(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 50 });
  }
}

/** A moment as an archive writes it, as the database takes it; all else as it is. */
const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/;
const laid = (v: unknown): unknown =>
  typeof v === 'string' && MOMENT.test(v) ? v.replace('T', ' ').replace('Z', '') : v;
/** Columns whose text only looks like a moment. */
const AS_TEXT = new Set(['body', 'sheet', 'summary', 'setup', 'rules']);

async function readTable(c: Connection, table: Table, folder: string): Promise<number> {
  const lines = createInterface({
    input: createReadStream(join(folder, `${table.name}.jsonl`)),
    crlfDelay: Infinity,
  });
  let rows = 0;
  let page: Row[] = [];
  const lay = async () => {
    const [first] = page;
    if (!first) return;
    const columns = Object.keys(first);
    const values = page.flatMap((r) => columns.map((k) => (AS_TEXT.has(k) ? r[k] : laid(r[k]))));
    const holes = page.map(() => `(${columns.map(() => '?').join(', ')})`).join(', ');
    await c.query(
      `INSERT INTO ${table.name} (${columns.map((k) => `\`${k}\``).join(', ')}) VALUES ${holes}`,
      values,
    );
    rows += page.length;
    page = [];
  };
  for await (const line of lines) {
    if (line === '') continue;
    page.push(JSON.parse(line) as Row);
    if (page.length >= PAGE) await lay();
  }
  await lay();
  return rows;
}

/** What is wrong with an unpacked archive, a sentence each: every file is there and is the one the manifest names. */
async function faultsIn(folder: string): Promise<{ manifest: Manifest | null; faults: Text[] }> {
  const text = await readFile(join(folder, 'manifest.json'), 'utf8').catch(() => null);
  if (text === null)
    return {
      manifest: null,
      faults: [M.archiveHasNoManifestNone],
    };
  let manifest: Manifest;
  try {
    manifest = JSON.parse(text) as Manifest;
  } catch {
    return { manifest: null, faults: [M.manifestArchiveCannotRead] };
  }
  if (manifest.form !== ARCHIVE_FORM)
    return {
      manifest,
      faults: [M.archiveFormReleaseReadsForm({ form: manifest.form, archiveForm: ARCHIVE_FORM })],
    };
  const faults: Text[] = [];
  for (const [name, hash] of Object.entries(manifest.files)) {
    if (name.includes('..') || name.startsWith('/')) {
      faults.push(M.archiveNamesFileOutsideItself({ name }));
      continue;
    }
    const there = await stat(join(folder, name)).catch(() => null);
    if (!there) faults.push(M.missingFromArchive({ name }));
    else if ((await hashOfFile(join(folder, name))) !== hash) faults.push(M.notOneManifestNames({ name }));
  }
  for (const { name } of TABLES)
    if (!manifest.files[`${name}.jsonl`]) faults.push(M.jsonlMissingFromArchive({ name }));
  return { manifest, faults };
}

/**
 * Lay an archive into a plant with nothing in it: all of it or nothing. The chains and sheets are walked before it counts.
 * @returns its manifest
 * @throws Error naming what does not hold, or that the plant is not empty
 */
export async function importPlant(owner: Database, photoDir: string, file: string): Promise<Manifest> {
  const stage = await plantStage(owner);
  if (stage !== 'none' && stage !== 'begun')
    throw new Error('The plant is not empty: an archive goes into a folder of its own.');
  const folder = await mkdtemp(join(tmpdir(), 'fulcrant-import-'));
  try {
    await tar.extract({ file, cwd: folder, strict: true }).catch((error: Error) => {
      throw new Error(`The archive cannot be unpacked: ${error.message}`);
    });
    const { manifest, faults } = await faultsIn(folder);
    if (faults.length > 0 || !manifest) throw new Error(faults.slice(0, 5).map(worded).join('\n'));
    await onOne(owner, async (c) => {
      await c.query('START TRANSACTION');
      try {
        await c.query('DELETE FROM codes');
        await c.query('DELETE FROM plant');
        // Stand-ins are laid in with the schema; those of the archive take their place.
        await c.query('DELETE FROM instruments');
        for (const table of TABLES) {
          const rows = await readTable(c, table, folder);
          if (rows !== manifest.rows[table.name])
            throw new Error(
              `${table.name} has ${rows} rows where the manifest counts ${manifest.rows[table.name]}.`,
            );
        }
        for (const name of Object.keys(manifest.files).filter((f) => f.startsWith('photos/'))) {
          const to = join(photoDir, name.slice('photos/'.length));
          await mkdir(dirname(to), { recursive: true, mode: 0o700 });
          await copyFile(join(folder, name), to);
        }
        await c.query('COMMIT');
      } catch (error) {
        await c.query('ROLLBACK');
        throw error;
      }
    });
    const walked = await verify(owner);
    if (walked.faults.length > 0) {
      await clear(owner);
      throw new Error(
        `The record in the archive does not hold:\n${walked.faults.slice(0, 5).map(worded).join('\n')}`,
      );
    }
    return manifest;
  } finally {
    await rm(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 50 });
  }
}

/** Take out again what was laid in. */
async function clear(owner: Database): Promise<void> {
  await onOne(owner, async (c) => {
    for (const { name } of [...TABLES].reverse()) await c.query(`DELETE FROM ${name}`);
  });
}
