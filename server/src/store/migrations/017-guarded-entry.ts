import { type QueryInterface, QueryTypes } from 'sequelize';

/** Tries to get in are counted here, for all servers of the house; devices somebody has got in at; a second factor for who wants one. */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string) => q.sequelize.query(sql);
  // Names are counted as they are looked up: what folds to one person there folds to one line here.
  const [name] = await q.sequelize.query<{ collation: string }>(
    `SELECT COLLATION_NAME collation FROM information_schema.COLUMNS
      WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'people' AND COLUMN_NAME = 'name'`,
    { type: QueryTypes.SELECT },
  );
  await run(`CREATE TABLE attempts (
    \`key\` VARCHAR(160) CHARACTER SET utf8mb4 COLLATE ${name?.collation} NOT NULL PRIMARY KEY,
    points INT NOT NULL DEFAULT 0,
    expire BIGINT UNSIGNED NULL,
    KEY by_expiry (expire)
  ) DEFAULT CHARSET = utf8mb4`);
  await run(`CREATE TABLE known_devices (
    token_hash CHAR(64) CHARACTER SET ascii NOT NULL,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    last_at DATETIME(3) NOT NULL,
    PRIMARY KEY (token_hash, person_id),
    KEY by_age (last_at),
    FOREIGN KEY (person_id) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4`);
  await run(`ALTER TABLE people
    ADD COLUMN second_secret VARCHAR(64) CHARACTER SET ascii NULL,
    ADD COLUMN second_step BIGINT NULL`);
}
