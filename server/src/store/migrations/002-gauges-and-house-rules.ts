import type { QueryInterface } from 'sequelize';
import { layStandIns } from './stand-ins.ts';

/** As they shipped on the day of this migration. */
const STAND_INS = [
  ['stand-in-dial', 'Stand-in dial', 'dial', 0.002, 0, 5],
  ['stand-in-mic', 'Stand-in micrometer', 'micrometer', 0.001, 25, 100],
  ['stand-in-feeler', 'Stand-in feelers', 'feeler', 0.01, 0.02, 1],
] as const;

/** Dials, testers, calipers and lasers into the register, stand-ins marked; house rules, kept with who set them and when. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`ALTER TABLE instruments
    MODIFY kind ENUM('micrometer','feeler','dial','caliper','roughness','laser','wrench','protractor') NOT NULL,
    ADD COLUMN stand_in BOOLEAN NOT NULL DEFAULT FALSE`);
  await layStandIns(q, STAND_INS);
  await q.sequelize.query(`CREATE TABLE house_rules (
    n INT NOT NULL AUTO_INCREMENT PRIMARY KEY,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    rules MEDIUMTEXT NOT NULL CHECK (JSON_VALID(rules)),
    FOREIGN KEY (person_id) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4`);
}
