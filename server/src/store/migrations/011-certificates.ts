import type { QueryInterface } from 'sequelize';

/** Calibration certificates of gauges, by their content; the files lie in the data folder beside the photographs. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`CREATE TABLE certificates (
    hash CHAR(64) CHARACTER SET ascii NOT NULL,
    instrument_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    name VARCHAR(120) NOT NULL,
    type ENUM('application/pdf','image/jpeg','image/png') CHARACTER SET ascii NOT NULL,
    bytes INT NOT NULL,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    PRIMARY KEY (hash, instrument_id),
    INDEX of_instrument (instrument_id, at),
    FOREIGN KEY (instrument_id) REFERENCES instruments (id),
    FOREIGN KEY (person_id) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4`);
}
