import type { QueryInterface } from 'sequelize';

/** What of the drills each person has met, and when it comes again. No record of work: it may be forgotten. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`CREATE TABLE drills (
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    drill VARCHAR(160) NOT NULL,
    body TEXT NOT NULL CHECK (JSON_VALID(body)),
    PRIMARY KEY (person_id, drill),
    FOREIGN KEY (person_id) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4`);
}
