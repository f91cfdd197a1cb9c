import type { QueryInterface } from 'sequelize';

const TABLES = [
  `CREATE TABLE people (
    id VARCHAR(40) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    name VARCHAR(60) NOT NULL UNIQUE,
    role ENUM('fitter','lead','viewer') NOT NULL,
    password_hash VARCHAR(200) NOT NULL
  )`,
  `CREATE TABLE sessions (
    token_hash CHAR(64) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    expires_at DATETIME(3) NOT NULL,
    INDEX by_expiry (expires_at),
    FOREIGN KEY (person_id) REFERENCES people (id)
  )`,
  `CREATE TABLE instruments (
    id VARCHAR(40) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    name VARCHAR(60) NOT NULL UNIQUE,
    kind ENUM('micrometer','feeler','wrench','protractor') NOT NULL,
    step DOUBLE NOT NULL, low DOUBLE NOT NULL, high DOUBLE NOT NULL,
    calibration_due CHAR(10) CHARACTER SET ascii NOT NULL
  )`,
  `CREATE TABLE positions (
    id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    site VARCHAR(80) NOT NULL, machine VARCHAR(80) NOT NULL, position VARCHAR(80) NOT NULL,
    setup MEDIUMTEXT NOT NULL CHECK (JSON_VALID(setup)),
    UNIQUE by_name (site, machine, position)
  )`,
  `CREATE TABLE jobs (
    id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    serial INT NOT NULL AUTO_INCREMENT UNIQUE,
    position_id CHAR(36) CHARACTER SET ascii NOT NULL,
    state ENUM('open','signed') NOT NULL,
    event_count INT NOT NULL,
    summary MEDIUMTEXT NOT NULL CHECK (JSON_VALID(summary)),
    opened_at DATETIME(3) NOT NULL, updated_at DATETIME(3) NOT NULL,
    INDEX board (state, id),
    INDEX of_position (position_id, id),
    FOREIGN KEY (position_id) REFERENCES positions (id)
  ) AUTO_INCREMENT = 139`,
  `CREATE TABLE events (
    id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    job_id CHAR(36) CHARACTER SET ascii NOT NULL,
    seq INT NOT NULL,
    type VARCHAR(40) CHARACTER SET ascii NOT NULL,
    author_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL, stored_at DATETIME(3) NOT NULL,
    body MEDIUMTEXT NOT NULL CHECK (JSON_VALID(body)),
    UNIQUE in_order (job_id, seq),
    FOREIGN KEY (job_id) REFERENCES jobs (id),
    FOREIGN KEY (author_id) REFERENCES people (id)
  )`,
];

/** People, sessions, instruments, positions, jobs and the append-only events. */
export async function up(q: QueryInterface): Promise<void> {
  for (const sql of TABLES) await q.sequelize.query(`${sql} DEFAULT CHARSET = utf8mb4`);
}
