import type { QueryInterface } from 'sequelize';
import { SHAFT_STAND_INS } from '../../instruments/stand-in-gauges.ts';

/** Dials, testers, calipers and lasers into the register, stand-ins marked; house rules, kept with who set them and when. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`ALTER TABLE instruments
    MODIFY kind ENUM('micrometer','feeler','dial','caliper','roughness','laser','wrench','protractor') NOT NULL,
    ADD COLUMN stand_in BOOLEAN NOT NULL DEFAULT FALSE`);
  await q.bulkInsert(
    'instruments',
    SHAFT_STAND_INS.map(({ calibrationDue, standIn, ...gauge }) => ({
      ...gauge,
      calibration_due: calibrationDue,
      stand_in: standIn,
    })),
  );
  await q.sequelize.query(`CREATE TABLE house_rules (
    n INT NOT NULL AUTO_INCREMENT PRIMARY KEY,
    person_id VARCHAR(40) CHARACTER SET ascii NOT NULL,
    at DATETIME(3) NOT NULL,
    rules MEDIUMTEXT NOT NULL CHECK (JSON_VALID(rules)),
    FOREIGN KEY (person_id) REFERENCES people (id)
  ) DEFAULT CHARSET = utf8mb4`);
}
