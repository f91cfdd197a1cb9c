import type { QueryInterface } from 'sequelize';

/** Benches set for a class, what was handed in at benches, competences signed. Practice is no record of work; who signed whom stays. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`CREATE TABLE bench_sets (
    id VARCHAR(40) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    rig VARCHAR(40) NOT NULL,
    difficulty VARCHAR(20) NOT NULL,
    seed INT UNSIGNED NULL,
    says VARCHAR(200) NOT NULL,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    FOREIGN KEY (person_id) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4`);
  await q.sequelize.query(`CREATE TABLE bench_results (
    id VARCHAR(40) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    set_id VARCHAR(40) CHARACTER SET ascii NULL,
    rig VARCHAR(40) NOT NULL,
    difficulty VARCHAR(20) NOT NULL,
    seed INT UNSIGNED NOT NULL,
    score SMALLINT UNSIGNED NOT NULL,
    minutes INT UNSIGNED NOT NULL,
    body MEDIUMTEXT NOT NULL CHECK (JSON_VALID(body)),
    at DATETIME(3) NOT NULL,
    KEY (person_id, at),
    UNIQUE KEY once (set_id, person_id),
    FOREIGN KEY (person_id) REFERENCES people (id),
    FOREIGN KEY (set_id) REFERENCES bench_sets (id)
  ) DEFAULT CHARSET = utf8mb4`);
  await q.sequelize.query(`CREATE TABLE competences (
    id VARCHAR(40) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    trade VARCHAR(40) NOT NULL,
    renew_on CHAR(10) CHARACTER SET ascii NOT NULL,
    words VARCHAR(400) NOT NULL,
    signed_by VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    FOREIGN KEY (person_id) REFERENCES people (id),
    FOREIGN KEY (signed_by) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4`);
}
