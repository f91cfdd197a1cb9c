import type { QueryInterface } from 'sequelize';

/** What of an outage's kit lies ready, and who laid it out. No record of work: a tick may be taken back. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`CREATE TABLE outage_laid (
    outage_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    item VARCHAR(200) NOT NULL,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    PRIMARY KEY (outage_id, item),
    FOREIGN KEY (person_id) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_bin`);
}
