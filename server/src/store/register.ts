import { randomUUID } from 'node:crypto';
import {
  type Imported,
  type ImportFault,
  type ImportLine,
  type NewPosition,
  newPositionSchema,
  type PositionCard,
  type RegisterLine,
} from '@fulcrant/core/api';
import { limitsOf, type PastJob } from '@fulcrant/core/history';
import { type Setup, tradeOf } from '@fulcrant/core/job';
import { check } from '@fulcrant/core/judgement';
import type { FitUpSheet } from '@fulcrant/core/sheet';
import { keepAllSaid, keepSaid } from '@fulcrant/core/units';
import Papa from 'papaparse';
import type { Transaction } from 'sequelize';
import { foldJob } from './append.ts';
import { type Database, isTaken, rowsOf, run, tryingAgain } from './database.ts';
import { labelIn, newLabel } from './labels.ts';
import { M } from './messages.ts';
import { jobNumber } from './numbers.ts';
import { plantOf } from './plant.ts';
import { wordsOf } from './positions.ts';

/** So often something is looked at again that somebody else changed meanwhile. */
const TRIES = 4;

type PositionRow = {
  id: string;
  label: string;
  area: string;
  machine: string;
  position: string;
  setup: string;
};
const cardOf = (r: PositionRow): PositionCard => ({ ...r, setup: JSON.parse(r.setup) as Setup | null });
const COLUMNS = 'id, label, area, machine, position, setup';

export async function positionById(db: Database, id: string): Promise<PositionCard | null> {
  const [row] = await rowsOf<PositionRow>(db, `SELECT ${COLUMNS} FROM positions WHERE id = ?`, [id]);
  return row ? cardOf(row) : null;
}
export async function positionByLabel(db: Database, label: string): Promise<PositionCard | null> {
  const [row] = await rowsOf<PositionRow>(db, `SELECT ${COLUMNS} FROM positions WHERE label = ?`, [label]);
  return row ? cardOf(row) : null;
}

/** The register by area, machine, position; every word typed somewhere in them, or a label. `more` where it is cut. */
export async function registerOf(
  db: Database,
  typed: string,
  limit: number,
): Promise<{ positions: RegisterLine[]; more: boolean }> {
  const words = wordsOf(typed);
  const label = labelIn(typed);
  const rows = await rowsOf<Omit<PositionRow, 'setup'> & { jobs: number; open: number; last: Date | null }>(
    db,
    `SELECT p.id, p.label, p.area, p.machine, p.position, COUNT(j.id) AS jobs,
        CAST(COALESCE(SUM(j.state = 'open'), 0) AS INT) AS open, MAX(j.signed_at) AS last
      FROM positions p LEFT JOIN jobs j ON j.position_id = p.id AND j.state <> 'cancelled'
      ${words.length ? `WHERE (${words.map(() => "CONCAT(p.area, ' ', p.machine, ' ', p.position) LIKE ?").join(' AND ')}) OR p.label = ?` : ''}
      GROUP BY p.id ORDER BY p.area, p.machine, p.position LIMIT ?`,
    [...words, ...(words.length ? [label ?? '-'] : []), limit + 1],
  );
  return {
    positions: rows.slice(0, limit).map(({ last, jobs, open, ...r }) => ({
      ...r,
      jobs: Number(jobs),
      open: Number(open),
      lastSignedAt: last ? new Date(last).toISOString() : null,
    })),
    more: rows.length > limit,
  };
}

/** A new place in the register. @returns null where it is known */
export async function addPosition(
  db: Database,
  told: NewPosition,
  tries = TRIES,
): Promise<PositionCard | null> {
  const { area, machine, position } = told;
  const [known] = await rowsOf(db, 'SELECT 1 FROM positions WHERE machine = ? AND position = ?', [
    machine,
    position,
  ]);
  if (known) return null;
  const id = randomUUID();
  const { site } = await plantOf(db);
  try {
    await run(
      db,
      'INSERT INTO positions (id, site, area, machine, position, label, setup) VALUES (?, ?, ?, ?, ?, ?, ?)',
      [id, site, area, machine, position, newLabel(), 'null'],
    );
  } catch (error) {
    // Somebody else put it in meanwhile, which the next look finds; or two labels came out alike, and the next is another.
    if (tries <= 1 || !isTaken(error)) throw error;
    return addPosition(db, told, tries - 1);
  }
  return positionById(db, id);
}

/** Which area a machine stands in: all of its positions. */
export async function setArea(db: Database, machine: string, area: string): Promise<number> {
  const done = (await run(db, 'UPDATE positions SET area = ? WHERE machine = ?', [area, machine])) as {
    affectedRows: number;
  };
  return done.affectedRows;
}

const HEAD = ['area', 'machine', 'position'] as const;

/**
 * Positions from a CSV with a head (area, machine, position; others are passed over). Every row is looked at first: where one is bad,
 * all bad ones are named with their lines and none is taken.
 * @param look only say what would be done
 */
export async function importPositions(
  db: Database,
  csv: string,
  look: boolean,
  tries = TRIES,
): Promise<Imported> {
  const read = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
    transform: (v) => v.trim(),
  });
  const faults: ImportFault[] = [];
  const missing = ['machine', 'position'].filter((h) => !read.meta.fields?.includes(h));
  if (missing.length > 0)
    return {
      taken: [],
      faults: [{ line: 1, message: keepSaid(M.headHasNoColumn({ missing: missing.join('” and “') })) }],
      done: false,
    };
  for (const e of read.errors)
    if (e.row !== undefined) faults.push({ line: e.row + 2, message: M.rowHasTooManyToo });
  const known = new Map(
    (
      await rowsOf<{ machine: string; position: string }>(db, 'SELECT machine, position FROM positions', [])
    ).map((p) => [`${p.machine}\n${p.position}`.toLowerCase(), true]),
  );
  const seen = new Map<string, number>();
  const taken: ImportLine[] = [];
  read.data.forEach((row, i) => {
    const line = i + 2;
    const told = Object.fromEntries(HEAD.map((h) => [h, row[h] ?? '']));
    const checked = check(newPositionSchema, told);
    if (!checked.ok) {
      faults.push(...checked.faults.map((f) => ({ line, message: f.message })));
      return;
    }
    const key = `${checked.value.machine}\n${checked.value.position}`.toLowerCase();
    const before = seen.get(key);
    if (before !== undefined) {
      faults.push({ line, message: M.samePlaceStandsLine({ before }) });
      return;
    }
    seen.set(key, line);
    taken.push({ line, ...checked.value, was: known.has(key) ? 'known' : 'new' });
  });
  faults.sort((a, b) => a.line - b.line);
  if (faults.length > 0 || look) return { taken, faults: keepAllSaid(faults), done: false };
  const { site } = await plantOf(db);
  const lay = async (transaction: Transaction) => {
    for (const t of taken) {
      if (t.was === 'known')
        await db.models.Position.update(
          { area: t.area },
          { where: { machine: t.machine, position: t.position }, transaction },
        );
      else
        await db.models.Position.create(
          {
            id: randomUUID(),
            site,
            area: t.area,
            machine: t.machine,
            position: t.position,
            label: newLabel(),
            setup: 'null',
          },
          { transaction },
        );
    }
  };
  try {
    await tryingAgain(() => db.sequelize.transaction(lay));
  } catch (error) {
    // Somebody else brought some of it meanwhile: nothing of this was taken, and now it is known.
    if (tries <= 1 || !isTaken(error)) throw error;
    return importPositions(db, csv, look, tries - 1);
  }
  return { taken, faults: keepAllSaid(faults), done: true };
}

/** How many jobs of one position are told, the newest first. */
const PAST = 60;

/** Every job of a position that was not cancelled, the newest first: what each came to, between which limits. */
export async function pastOf(
  db: Database,
  positionId: string,
): Promise<{ past: PastJob[]; setups: Record<string, Setup> }> {
  const rows = await rowsOf<{
    id: string;
    serial: number;
    state: 'open' | 'signed';
    opened_at: Date;
    signed_at: Date | null;
  }>(
    db,
    `SELECT id, serial, state, opened_at, signed_at FROM jobs
      WHERE position_id = ? AND state <> 'cancelled' ORDER BY id DESC LIMIT ?`,
    [positionId, PAST],
  );
  const past: PastJob[] = [];
  const setups: Record<string, Setup> = {};
  for (const row of rows) {
    const folded = await foldJob(db, row.id);
    if (!folded) continue;
    const { state } = folded;
    const trade = tradeOf(state.setup);
    const kept =
      row.state === 'signed'
        ? await db.models.Sheet.findOne({ where: { jobId: row.id }, order: [['revision', 'DESC']] })
        : null;
    const sheet = kept ? (JSON.parse(kept.sheet) as FitUpSheet) : null;
    const came = trade.words.came(state);
    // What was signed stands as it was signed; limits are read by today's rules.
    const results = sheet?.results ?? came.results;
    // The newest of each kind of work: what the next one of it begins with.
    setups[trade.id] ??= state.setup;
    past.push({
      jobId: row.id,
      number: jobNumber(row.serial),
      kind: trade.id,
      sheet: keepSaid(trade.words.sheet),
      state: row.state,
      openedAt: new Date(row.opened_at).toISOString(),
      signedAt: row.signed_at ? new Date(row.signed_at).toISOString() : null,
      signedBy: sheet?.signature?.name ?? null,
      partNumber: state.setup.partNumber ?? null,
      results,
      limits: limitsOf(state, results),
      rows: keepAllSaid(came.rows),
    });
  }
  return { past, setups };
}
