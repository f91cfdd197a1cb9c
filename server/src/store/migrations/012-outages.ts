import type { QueryInterface } from 'sequelize';

/** Outages: every change is a version of its own, so that who planned what when can be told, and two who change at once are told apart. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`CREATE TABLE outages (
    id CHAR(36) CHARACTER SET ascii NOT NULL,
    version INT NOT NULL,
    body MEDIUMTEXT NOT NULL CHECK (JSON_VALID(body)),
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    PRIMARY KEY (id, version),
    FOREIGN KEY (person_id) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4`);
}
