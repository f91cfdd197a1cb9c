import {
  type PartCard,
  type PartCardBody,
  partCardSchema,
  partKey,
  type ShaftCardBody,
} from '@fulcrant/core/api';
import { PART_HEAD, type PartRow, partsFrom } from '@fulcrant/core/forms';
import { check } from '@fulcrant/core/judgement';
import type { Text } from '@fulcrant/core/messages';
import { keepAllSaid, keepSaid } from '@fulcrant/core/units';
import Papa from 'papaparse';
import { type Database, rowsOf, run } from './database.ts';
import { M } from './messages.ts';

type Row = {
  card_key: string;
  version: number;
  body: string;
  by_name: string;
  person_id: string;
  at: Date;
  looked_name: string | null;
  looked_at: Date | null;
};
const SELECT = `SELECT c.card_key, c.version, c.body, c.person_id, p.name AS by_name, c.at, l.name AS looked_name, c.looked_at
  FROM cards c JOIN people p ON p.id = c.person_id LEFT JOIN people l ON l.id = c.looked_by`;

const partOf = (r: Row): PartCard => ({
  ...(JSON.parse(r.body) as PartCardBody),
  key: r.card_key,
  version: r.version,
  by: r.by_name,
  at: new Date(r.at).toISOString(),
  looked:
    r.looked_name && r.looked_at ? { by: r.looked_name, at: new Date(r.looked_at).toISOString() } : null,
});

/** Every version of a part’s card, the newest first. */
export async function partCards(db: Database, designation: string): Promise<PartCard[]> {
  const rows = await rowsOf<Row>(
    db,
    `${SELECT} WHERE c.kind = 'part' AND c.card_key = ? ORDER BY c.version DESC`,
    [partKey(designation)],
  );
  return rows.map(partOf);
}

/** The newest cards whose designation holds what was typed. */
export async function findParts(db: Database, typed: string, limit: number): Promise<PartCard[]> {
  const rows = await rowsOf<Row>(
    db,
    `${SELECT} WHERE c.kind = 'part' AND c.card_key LIKE ?
        AND c.version = (SELECT MAX(o.version) FROM cards o WHERE o.kind = c.kind AND o.card_key = c.card_key)
      ORDER BY c.card_key LIMIT ?`,
    [`%${partKey(typed).replace(/[\\%_]/g, '\\$&')}%`, limit],
  );
  return rows.map(partOf);
}

/** More than so many never type one card at the same moment. */
const LOOKS_MOST = 60;

/** A new version of a card: those before it stay, and jobs keep the one they used. Two at once are two versions. */
async function addVersion(
  db: Database,
  kind: 'part' | 'shaft',
  key: string,
  body: object,
  personId: string,
): Promise<number> {
  // Of those who type at the same moment one is through at each look.
  for (let look = 0; look < LOOKS_MOST; look++) {
    const [last] = await rowsOf<{ version: number | null }>(
      db,
      'SELECT MAX(version) AS version FROM cards WHERE kind = ? AND card_key = ?',
      [kind, key],
    );
    const version = Number(last?.version ?? 0) + 1;
    const done = (await run(
      db,
      'INSERT IGNORE INTO cards (kind, card_key, version, body, person_id, at) VALUES (?, ?, ?, ?, ?, NOW(3))',
      [kind, key, version, JSON.stringify(body), personId],
    )) as { affectedRows: number };
    if (done.affectedRows === 1) return version;
  }
  throw new Error(`Card ${key} is changed faster than it can be kept.`);
}

/** The newest version of every card, by designation. */
export async function allParts(db: Database): Promise<PartCard[]> {
  const rows = await rowsOf<Row>(
    db,
    `${SELECT} WHERE c.kind = 'part'
        AND c.version = (SELECT MAX(o.version) FROM cards o WHERE o.kind = c.kind AND o.card_key = c.card_key)
      ORDER BY c.card_key`,
    [],
  );
  return rows.map(partOf);
}

export type ImportedParts = {
  taken: Array<{ line: number; designation: string; was: 'new' | 'known' }>;
  faults: Array<{ line: number; message: Text }>;
  done: boolean;
};

/**
 * Cards from a file, a value a row; one bad row and none is taken. What says the same as its card already is no new version.
 * @param look only say what it would do
 */
export async function importParts(
  db: Database,
  csv: string,
  look: boolean,
  personId: string,
): Promise<ImportedParts> {
  const read = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
    transform: (v) => v.trim(),
  });
  const missing = PART_HEAD.filter((h) => h !== 'source' && !read.meta.fields?.includes(h));
  if (missing.length > 0)
    return {
      taken: [],
      faults: [{ line: 1, message: keepSaid(M.headHasNoColumn({ missing: missing.join('” and “') })) }],
      done: false,
    };
  const rows = read.data.map((r, i) => ({
    ...(Object.fromEntries(PART_HEAD.map((h) => [h, r[h] ?? ''])) as PartRow),
    line: i + 2,
  }));
  const { cards, faults } = partsFrom(rows);
  for (const c of cards) {
    const { line, ...body } = c;
    const checked = check(partCardSchema, body);
    if (!checked.ok) faults.push(...checked.faults.map((f) => ({ line, message: f.message })));
  }
  const known = new Map((await allParts(db)).map((p) => [p.key, p]));
  const same = (c: (typeof cards)[number]): boolean => {
    const before = known.get(partKey(c.designation));
    const sorted = (v: object) => JSON.stringify(Object.entries(v).sort());
    return before !== undefined && before.trade === c.trade && sorted(before.values) === sorted(c.values);
  };
  const taken = cards.map((c) => ({
    line: c.line,
    designation: c.designation,
    was: known.has(partKey(c.designation)) ? ('known' as const) : ('new' as const),
  }));
  if (faults.length > 0 || look) return { taken, faults: keepAllSaid(faults), done: false };
  for (const { line: _line, ...body } of cards.filter((c) => !same(c))) await keepPart(db, body, personId);
  return { taken, faults: keepAllSaid(faults), done: true };
}

export const keepPart = (db: Database, body: PartCardBody, personId: string): Promise<number> =>
  addVersion(db, 'part', partKey(body.designation), body, personId);
export const keepShaft = (db: Database, body: ShaftCardBody, personId: string): Promise<number> =>
  addVersion(db, 'shaft', `${body.machine} · ${body.name}`, body, personId);

/** Somebody else has looked a version over. @returns false where it is not there, looked over already, or their own */
export async function lookOver(
  db: Database,
  designation: string,
  version: number,
  personId: string,
): Promise<boolean> {
  const done = (await run(
    db,
    `UPDATE cards SET looked_by = ?, looked_at = NOW(3)
      WHERE kind = 'part' AND card_key = ? AND version = ? AND looked_by IS NULL AND person_id <> ?`,
    [personId, partKey(designation), version, personId],
  )) as { affectedRows: number };
  return done.affectedRows === 1;
}

export type ShaftCard = ShaftCardBody & { version: number };

/** The shafts of a machine as they were drawn last. */
export async function shaftsOf(db: Database, machine: string): Promise<ShaftCard[]> {
  const rows = await rowsOf<Row>(
    db,
    `${SELECT} WHERE c.kind = 'shaft' AND JSON_VALUE(c.body, '$.machine') = ?
        AND c.version = (SELECT MAX(o.version) FROM cards o WHERE o.kind = c.kind AND o.card_key = c.card_key)
      ORDER BY c.card_key`,
    [machine],
  );
  return rows.map((r) => ({ ...(JSON.parse(r.body) as ShaftCardBody), version: r.version }));
}
