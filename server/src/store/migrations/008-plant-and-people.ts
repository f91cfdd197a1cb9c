import { randomUUID } from 'node:crypto';
import { type QueryInterface, QueryTypes } from 'sequelize';

const TABLES = [
  // One row at the most. A plant that was begun and not yet laid down has no `ready_at`.
  `CREATE TABLE plant (
    one TINYINT NOT NULL PRIMARY KEY DEFAULT 1 CHECK (one = 1),
    site VARCHAR(80) NOT NULL,
    demo BOOLEAN NOT NULL,
    paper ENUM('A4','letter') NOT NULL DEFAULT 'A4',
    units ENUM('mm','in') NOT NULL DEFAULT 'mm',
    works_from CHAR(5) CHARACTER SET ascii NOT NULL DEFAULT '06:00',
    works_to CHAR(5) CHARACTER SET ascii NOT NULL DEFAULT '14:00',
    stock TEXT NOT NULL DEFAULT '[]' CHECK (JSON_VALID(stock)),
    ready_at DATETIME(3) NULL
  )`,
  // What lets somebody in once: the first visitor of a new plant, or a person whose password was forgotten.
  `CREATE TABLE codes (
    code_hash CHAR(64) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    purpose ENUM('first','reset') NOT NULL,
    person_id VARCHAR(40) CHARACTER SET ascii NULL,
    expires_at DATETIME(3) NOT NULL,
    FOREIGN KEY (person_id) REFERENCES people (id)
  )`,
];

/** The plant has a row of its own; people are added, retired and let in anew; sessions can be told apart. */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string, values: unknown[] = []) => q.sequelize.query(sql, { replacements: values });
  for (const sql of TABLES) await run(`${sql} DEFAULT CHARSET = utf8mb4`);
  await run(`ALTER TABLE people
    MODIFY role ENUM('fitter','lead','viewer','instructor') NOT NULL,
    ADD COLUMN retired_at DATETIME(3) NULL`);
  await run(`ALTER TABLE sessions
    ADD COLUMN id CHAR(36) CHARACTER SET ascii NULL UNIQUE,
    ADD COLUMN started_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3),
    ADD COLUMN device VARCHAR(160) NOT NULL DEFAULT ''`);
  const sessions = await q.sequelize.query<{ token_hash: string }>('SELECT token_hash FROM sessions', {
    type: QueryTypes.SELECT,
  });
  for (const s of sessions)
    await run('UPDATE sessions SET id = ? WHERE token_hash = ?', [randomUUID(), s.token_hash]);
  // A plant laid in earlier goes on as what it was: all were demos then, and some of them are worked on by now.
  const [place] = await q.sequelize.query<{ site: string }>('SELECT site FROM positions LIMIT 1', {
    type: QueryTypes.SELECT,
  });
  if (place)
    await run('INSERT INTO plant (site, demo, ready_at) VALUES (?, TRUE, CURRENT_TIMESTAMP(3))', [
      place.site,
    ]);
}
