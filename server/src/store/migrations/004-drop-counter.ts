import type { QueryInterface } from 'sequelize';
import { DROP_STAND_INS } from '../../instruments/stand-in-gauges.ts';

/** Drop counters into the register, with the stand-in that ships. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`ALTER TABLE instruments
    MODIFY kind ENUM('micrometer','feeler','dial','caliper','roughness','laser','wrench','protractor',
      'pressure','thermometer','gun','counter') NOT NULL`);
  await q.bulkInsert(
    'instruments',
    DROP_STAND_INS.map(({ calibrationDue, standIn, ...gauge }) => ({
      ...gauge,
      calibration_due: calibrationDue,
      stand_in: standIn,
    })),
  );
}
