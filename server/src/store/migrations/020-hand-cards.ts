import type { QueryInterface } from 'sequelize';

/** Hand cards: what a person scatters by with a kind of gauge, by ten readings. None is changed or taken away; the newest counts. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`CREATE TABLE hand_cards (
    id VARCHAR(40) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    instrument_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    kind VARCHAR(20) NOT NULL,
    step DOUBLE NOT NULL,
    scatter DOUBLE NOT NULL,
    free SMALLINT UNSIGNED NOT NULL,
    readings TEXT NOT NULL CHECK (JSON_VALID(readings)),
    watched_by VARCHAR(60) NULL,
    at DATETIME(3) NOT NULL,
    KEY of_person (person_id, at),
    FOREIGN KEY (person_id) REFERENCES people (id),
    FOREIGN KEY (instrument_id) REFERENCES instruments (id)
  ) DEFAULT CHARSET = utf8mb4`);
}
