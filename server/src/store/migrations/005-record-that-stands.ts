import { createHash } from 'node:crypto';
import { type QueryInterface, QueryTypes } from 'sequelize';

const CHANGES = [
  `ALTER TABLE jobs
    ADD COLUMN machine VARCHAR(80) NOT NULL DEFAULT '', ADD COLUMN role VARCHAR(10) CHARACTER SET ascii NULL,
    ADD COLUMN signed_at DATETIME(3) NULL, ADD COLUMN chain CHAR(64) CHARACTER SET ascii NOT NULL DEFAULT '',
    ADD COLUMN summary_version INT NOT NULL DEFAULT 0,
    ADD INDEX signed_last (state, signed_at, id), ADD INDEX fixed_on (machine, role, id),
    ADD INDEX line_form (summary_version, id)`,
  // The chain says more of an event than that it is valid JSON, and costs less on every insert.
  `ALTER TABLE events MODIFY body MEDIUMTEXT NOT NULL,
    ADD COLUMN chain CHAR(64) CHARACTER SET ascii NOT NULL DEFAULT ''`,
  // What was signed, as it was signed: later code reads it and never writes it again.
  `CREATE TABLE sheets (
    job_id CHAR(36) CHARACTER SET ascii NOT NULL,
    revision INT NOT NULL,
    hash CHAR(64) CHARACTER SET ascii NOT NULL,
    rules VARCHAR(80) NOT NULL,
    origin ENUM('signed','migrated') NOT NULL,
    event_count INT NOT NULL,
    chain CHAR(64) CHARACTER SET ascii NOT NULL,
    frozen_at DATETIME(3) NOT NULL,
    sheet MEDIUMTEXT COMPRESSED NOT NULL,
    PRIMARY KEY (job_id, revision),
    FOREIGN KEY (job_id) REFERENCES jobs (id)
  ) DEFAULT CHARSET = utf8mb4`,
];

/** As `linkOf` was on the day of this migration; kept here, since what is written must not change with the code. */
const link = (before: string, body: string) =>
  createHash('sha256').update(before).update('\n').update(body).digest('hex');

/** Jobs of one page: enough to be quick, few enough to be held in memory. */
const PAGE = 200;

/** Columns the lists are read by, the chain of each job's events, and the table of signed sheets. */
export async function up(q: QueryInterface): Promise<void> {
  const db = q.sequelize;
  for (const sql of CHANGES) await db.query(sql);
  for (let after = ''; ; ) {
    const jobs = await db.query<{ id: string }>('SELECT id FROM jobs WHERE id > ? ORDER BY id LIMIT ?', {
      replacements: [after, PAGE],
      type: QueryTypes.SELECT,
    });
    for (const job of jobs) await chainJob(q, job.id);
    const last = jobs.at(-1);
    if (!last || jobs.length < PAGE) return;
    after = last.id;
  }
}

async function chainJob(q: QueryInterface, jobId: string): Promise<void> {
  const events = await q.sequelize.query<{ id: string; type: string; at: string; body: string }>(
    'SELECT id, type, at, body FROM events WHERE job_id = ? ORDER BY seq',
    { replacements: [jobId], type: QueryTypes.SELECT },
  );
  let chain = jobId;
  let signedAt: string | null = null;
  for (const e of events) {
    chain = link(chain, e.body);
    if (e.type === 'sheet.signed') signedAt = e.at;
    await q.sequelize.query('UPDATE events SET chain = ? WHERE id = ?', { replacements: [chain, e.id] });
  }
  await q.sequelize.query('UPDATE jobs SET chain = ?, signed_at = ? WHERE id = ?', {
    replacements: [chain, signedAt, jobId],
  });
}
