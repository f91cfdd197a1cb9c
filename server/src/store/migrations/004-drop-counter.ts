import type { QueryInterface } from 'sequelize';
import { layStandIns } from './stand-ins.ts';

/** As they shipped on the day of this migration. */
const STAND_INS = [['stand-in-drops', 'Stand-in drop counter', 'counter', 1, 0, 5000]] as const;

/** Drop counters into the register, with the stand-in that ships. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`ALTER TABLE instruments
    MODIFY kind ENUM('micrometer','feeler','dial','caliper','roughness','laser','wrench','protractor',
      'pressure','thermometer','gun','counter') NOT NULL`);
  await layStandIns(q, STAND_INS);
}
