import { randomInt } from 'node:crypto';
import { type QueryInterface, QueryTypes } from 'sequelize';

/** Letters nobody takes for another, as on the labels of this migration's day. */
const LETTERS = 'ACDEFGHJKMNPQRTVWXY23456789';
const labelled = () => Array.from({ length: 6 }, () => LETTERS[randomInt(LETTERS.length)]).join('');

const TABLES = [
  // What a maker's sheet says of a part, or a shaft's own: a change is a new version, jobs keep the one they used.
  `CREATE TABLE cards (
    kind ENUM('part','shaft') NOT NULL,
    card_key VARCHAR(120) NOT NULL,
    version INT NOT NULL,
    body MEDIUMTEXT NOT NULL CHECK (JSON_VALID(body)),
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    looked_by VARCHAR(40) CHARACTER SET ascii NULL,
    looked_at DATETIME(3) NULL,
    PRIMARY KEY (kind, card_key, version),
    FOREIGN KEY (person_id) REFERENCES people (id)
  )`,
  // Photographs that have arrived, by their content; the files lie in the data folder, the events of jobs name them.
  `CREATE TABLE photos (
    hash CHAR(64) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    width INT NOT NULL, height INT NOT NULL, bytes INT NOT NULL,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    stored_at DATETIME(3) NOT NULL,
    FOREIGN KEY (person_id) REFERENCES people (id)
  )`,
  // What was looked at when a part came out, and what it was put down to.
  `CREATE TABLE autopsies (
    id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    position_id CHAR(36) CHARACTER SET ascii NOT NULL,
    job_id CHAR(36) CHARACTER SET ascii NULL,
    body MEDIUMTEXT NOT NULL CHECK (JSON_VALID(body)),
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    INDEX of_position (position_id, at),
    FOREIGN KEY (position_id) REFERENCES positions (id),
    FOREIGN KEY (person_id) REFERENCES people (id)
  )`,
  // A calendar anybody may read who has its link; only the hash of the link is kept.
  `CREATE TABLE feeds (
    token_hash CHAR(64) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    made_at DATETIME(3) NOT NULL,
    FOREIGN KEY (person_id) REFERENCES people (id)
  )`,
];

/** The register round the positions: areas, labels, cards, photographs, autopsies, calendars by link. */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string, values: unknown[] = []) => q.sequelize.query(sql, { replacements: values });
  for (const sql of TABLES) await run(`${sql} DEFAULT CHARSET = utf8mb4`);
  await run(`ALTER TABLE positions
    ADD COLUMN area VARCHAR(80) NOT NULL DEFAULT '',
    ADD COLUMN label CHAR(6) CHARACTER SET ascii NULL UNIQUE`);
  const positions = await q.sequelize.query<{ id: string }>('SELECT id FROM positions', {
    type: QueryTypes.SELECT,
  });
  const given = new Set<string>();
  for (const { id } of positions) {
    let label = labelled();
    while (given.has(label)) label = labelled();
    given.add(label);
    await run('UPDATE positions SET label = ? WHERE id = ?', [label, id]);
  }
  await run(`ALTER TABLE instruments ADD COLUMN out_of_use BOOLEAN NOT NULL DEFAULT FALSE`);
}
