import { Readable } from 'node:stream';
import { SUMMARY_VERSION, summarise } from '@fulcrant/core/forms';
import type { Setup } from '@fulcrant/core/job';
import { fitUpSheet, whenIn } from '@fulcrant/core/sheet';
import { keepAllSaid } from '@fulcrant/core/units';
import { v7 } from 'uuid';
import { canonicalSheet, hashOf } from '../export/canonical.ts';
import { linkOf } from '../store/chain.ts';
import { type Database, rowsOf } from '../store/database.ts';
import { newLabel } from '../store/labels.ts';
import { jobNumber } from '../store/numbers.ts';
import { PLANT_ZONE, RULES } from '../store/rules.ts';
import { fittedBy70, hand, tools } from './hands.ts';
import { SITE } from './people-and-gauges.ts';
import { setupOf } from './works.ts';

/** Jobs laid in by one transaction. */
const BATCH = 50;
const MACHINES = 200;
const HOUR_MS = 3_600_000;

/** A text with holes: what stands between them never changes, what goes into them is a job's own, by its number in the list of holes. */
type Stencil = { pieces: string[]; holes: number[] };

const HOLE =
  /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}|\d{4}-\d\d-\d\dT[\d:.]+Z|\d{4}-\d\d-\d\d \d\d:\d\d|H-0000|MACHINE|POSITION/g;

function stencil(text: string, all: string[]): Stencil {
  const pieces: string[] = [];
  const holes: number[] = [];
  let at = 0;
  for (const m of text.matchAll(HOLE)) {
    pieces.push(text.slice(at, m.index));
    if (!all.includes(m[0])) all.push(m[0]);
    holes.push(all.indexOf(m[0]));
    at = m.index + m[0].length;
  }
  pieces.push(text.slice(at));
  return { pieces, holes };
}

function cast({ pieces, holes }: Stencil, fill: readonly string[]): string {
  const parts = [pieces[0] ?? ''];
  for (let i = 0; i < holes.length; i++) parts.push(fill[holes[i] ?? 0] ?? '', pieces[i + 1] ?? '');
  return parts.join('');
}

/** What goes into a hole, made ready once: a time is told again for each job, an id is given anew. */
type Hole =
  | { kind: 'id'; id: string }
  | { kind: 'moment' | 'written'; ms: number }
  | { kind: 'number' | 'machine' | 'position' };

function holeOf(text: string, written: ReadonlyMap<string, number>, endMs: number): Hole {
  if (text === 'MACHINE') return { kind: 'machine' };
  if (text === 'POSITION') return { kind: 'position' };
  if (text === 'H-0000') return { kind: 'number' };
  if (text.length === 36) return { kind: 'id', id: text };
  if (text.includes('T')) return { kind: 'moment', ms: Date.parse(text) };
  return { kind: 'written', ms: written.get(text) ?? endMs };
}

type Template = {
  /** Everything that is a job's own, once each. */
  holes: Hole[];
  events: Array<{ id: string; type: string; author: string; ms: number; body: Stencil }>;
  jobId: string;
  beganMs: number;
  endMs: number;
  sheet: Stencil;
  summary: Stencil;
  setup: Stencil;
};

/** One bearing fitted by the book and signed, as a stencil to lay many like it. */
function template(): Template {
  const began = new Date('2026-01-05T06:00:00.000Z');
  const setup: Setup = setupOf('MACHINE', 'POSITION', {
    shaftMm: 70,
    boreMm: 80,
    seatMm: 58,
    boltCount: 2,
  });
  const h = fittedBy70(hand(new Map(), setup, 'asta', began, tools('mic-3'))).do('sheet.signed', {
    name: 'Asta',
  });
  const ms = (at: string) => Date.parse(at);
  const holes: string[] = [];
  const when = whenIn(PLANT_ZONE);
  const written = new Map(h.events.map((e) => [when(e.at), ms(e.at)]));
  const endMs = ms(h.events.at(-1)?.at ?? '');
  const made = {
    events: h.events.map((e) => ({
      id: e.id,
      type: e.type,
      author: e.author.id,
      ms: ms(e.at),
      body: stencil(JSON.stringify({ ...e, stored: { at: e.at } }), holes),
    })),
    jobId: h.jobId,
    beganMs: ms(h.events[0]?.at ?? ''),
    endMs,
    sheet: stencil(canonicalSheet(fitUpSheet(h.state, 'H-0000', PLANT_ZONE)), holes),
    summary: stencil(JSON.stringify(keepAllSaid(summarise(h.state))), holes),
    setup: stencil(JSON.stringify(h.state.setup), holes),
  };
  return { ...made, holes: holes.map((hole) => holeOf(hole, written, endMs)) };
}

type Connection = {
  query(statement: string | { sql: string; infileStreamFactory: () => Readable }): Promise<unknown>;
};

/** What is to be laid in: so many jobs, from which number on, of which this range. */
export type Plan = { jobs: number; first: number; from: number; to: number };

/**
 * Make room for so many jobs: their positions, and numbers of their own taken in one piece, so that jobs opened meanwhile go on behind
 * them.
 * @returns the number of the first
 */
export async function prepareFill(db: Database, jobs: number): Promise<number> {
  if ((await db.models.Person.count()) === 0)
    throw new Error('There is nobody in this plant yet: start it once with its demo, then fill it.');
  await layPositions(db, template());
  const [top] = await rowsOf<{ n: number | null }>(db, 'SELECT MAX(serial) AS n FROM jobs', []);
  const first = (top?.n ?? 0) + 1;
  await db.sequelize.query(`ALTER TABLE jobs AUTO_INCREMENT = ${first + jobs}`);
  return first;
}

/**
 * Lay a range of jobs in, each worked through and signed, each with its chain and its sheet, spread over the years before today.
 * For trying a plant at its size; the house may run meanwhile.
 * @returns how many events they have
 */
export async function fill(db: Database, { jobs, first, from, to }: Plan): Promise<number> {
  const t = template();
  const positions = await rowsOf<Place>(
    db,
    'SELECT id, machine, position FROM positions WHERE machine LIKE ?',
    ['Line _ pump %'],
  );
  const hand = await open(db);
  let laying: Promise<void> = Promise.resolve();
  for (let at = from; at < to; at += BATCH) {
    // The next jobs are made while the database still lays in those before.
    const batch = makeBatch(t, positions, first, at, Math.min(BATCH, to - at), jobs);
    await laying;
    laying = layBatch(hand, batch);
    laying.catch(() => undefined);
    await new Promise((done) => setImmediate(done));
  }
  await laying;
  await close(db, hand);
  return (to - from) * t.events.length;
}

/** A connection of its own. What is laid in hangs together by its making: the database need not look it all up again. */
async function open(db: Database): Promise<Connection> {
  const connection = (await db.sequelize.connectionManager.getConnection({
    type: 'write',
  })) as unknown as Connection;
  await connection.query('SET SESSION unique_checks = 0, foreign_key_checks = 0');
  return connection;
}

async function close(db: Database, connection: Connection): Promise<void> {
  await connection.query('SET SESSION unique_checks = 1, foreign_key_checks = 1');
  db.sequelize.connectionManager.releaseConnection(connection as never);
}

type Place = { id: string; machine: string; position: string };

/** The setup of the template at another place. */
const setupAt = (t: Template, p: Place): string =>
  cast(
    t.setup,
    t.holes.map((h) => (h.kind === 'machine' ? p.machine : h.kind === 'position' ? p.position : '')),
  );

async function layPositions(db: Database, t: Template): Promise<void> {
  const places = Array.from({ length: MACHINES }, (_, i): Place => {
    const machine = `Line ${String.fromCharCode(65 + (i % 8))} pump ${1 + Math.floor(i / 8)}`;
    return { id: v7(), machine, position: i % 2 ? 'Drive end' : 'Outboard end' };
  });
  await db.models.Position.bulkCreate(
    places.map((p) => ({ ...p, site: SITE, area: 'Filled', label: newLabel(), setup: setupAt(t, p) })),
    { ignoreDuplicates: true },
  );
}

let made = 0;
/** An id of version 7 of a moment: nobody guesses at these, so a count does for its random part. */
function idAt(ms: number): string {
  const time = ms.toString(16).padStart(12, '0');
  made++;
  const tail = made.toString(16).padStart(12, '0');
  return `${time.slice(0, 8)}-${time.slice(8)}-7${SALT.slice(0, 3)}-8${SALT.slice(3, 6)}-${tail}`;
}
/** One of this run, so that two runs never meet. */
const SALT = Math.floor(0x1000000 * Math.random())
  .toString(16)
  .padStart(6, '0');

type Batch = { jobRows: Cell[][]; eventRows: Cell[][]; sheetRows: Cell[][] };

function makeBatch(
  t: Template,
  positions: readonly Place[],
  first: number,
  from: number,
  count: number,
  of: number,
): Batch {
  const when = whenIn(PLANT_ZONE);
  const jobRows: Cell[][] = [];
  const eventRows: Cell[][] = [];
  const sheetRows: Cell[][] = [];
  for (let k = from; k < from + count; k++) {
    const p = positions[k % positions.length];
    if (!p) throw new Error('There is no position to lay a job at.');
    // The last one ended yesterday, the others each so many hours before the next.
    const shift = Date.now() - 24 * HOUR_MS - (of - k) * 3 * HOUR_MS - t.endMs;
    const ids = new Map<string, string>();
    const jobId = idAt(t.beganMs + shift);
    ids.set(t.jobId, jobId);
    for (const e of t.events) ids.set(e.id, idAt(e.ms + shift));
    const serial = first + k;
    const own = t.holes.map((hole) => {
      if (hole.kind === 'id') return ids.get(hole.id) ?? p.id;
      if (hole.kind === 'moment') return new Date(hole.ms + shift).toISOString();
      if (hole.kind === 'written') return when(new Date(hole.ms + shift).toISOString());
      return { number: jobNumber(serial), machine: p.machine, position: p.position }[hole.kind];
    });
    let chain = jobId;
    for (const [i, e] of t.events.entries()) {
      const body = cast(e.body, own);
      chain = linkOf(chain, body);
      const at = sqlTime(e.ms + shift);
      eventRows.push([ids.get(e.id) ?? '', jobId, i + 1, e.type, e.author, at, at, body, chain]);
    }
    const [began, end] = [sqlTime(t.beganMs + shift), sqlTime(t.endMs + shift)];
    const sheet = cast(t.sheet, own);
    jobRows.push([
      jobId,
      serial,
      p.id,
      'signed',
      t.events.length,
      cast(t.summary, own),
      SUMMARY_VERSION,
      p.machine,
      'fixed',
      end,
      chain,
      began,
      end,
    ]);
    sheetRows.push([jobId, 1, hashOf(sheet), RULES, 'signed', t.events.length, chain, end, sheet]);
  }
  return { jobRows, eventRows, sheetRows };
}

async function layBatch(connection: Connection, { jobRows, eventRows, sheetRows }: Batch): Promise<void> {
  await connection.query('START TRANSACTION');
  await load(
    connection,
    'jobs (id, serial, position_id, state, event_count, summary, summary_version, machine, role, signed_at, chain, opened_at, updated_at)',
    jobRows,
  );
  await load(connection, 'events (id, job_id, seq, type, author_id, at, stored_at, body, chain)', eventRows);
  await load(
    connection,
    'sheets (job_id, revision, hash, rules, origin, event_count, chain, frozen_at, sheet)',
    sheetRows,
  );
  await connection.query('COMMIT');
}

/** Between cells and rows: characters no JSON text and none of our words can hold, so that nothing has to be escaped. */
const [CELL, ROW] = ['\u0001', '\u0002'];

/** Rows streamed into a table as text: the quickest way in. */
async function load(connection: Connection, into: string, rows: readonly Cell[][]): Promise<void> {
  const [table, columns] = [into.slice(0, into.indexOf(' ')), into.slice(into.indexOf(' '))];
  await connection.query({
    sql: `LOAD DATA LOCAL INFILE 'rows' INTO TABLE ${table} CHARACTER SET utf8mb4
      FIELDS TERMINATED BY 0x01 ESCAPED BY '' LINES TERMINATED BY 0x02 ${columns}`,
    infileStreamFactory: () => Readable.from(rows.map((r) => Buffer.from(r.join(CELL) + ROW))),
  });
}

type Cell = string | number;
/** A moment as the database writes it. */
const sqlTime = (ms: number): string => new Date(ms).toISOString().replace('T', ' ').slice(0, 23);
