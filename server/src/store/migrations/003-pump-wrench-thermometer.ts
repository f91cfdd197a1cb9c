import type { QueryInterface } from 'sequelize';
import { SHOP_STAND_INS } from '../../instruments/stand-in-gauges.ts';

/** Pressure gauges, thermometers and grease guns into the register, with the stand-ins that ship. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`ALTER TABLE instruments
    MODIFY kind ENUM('micrometer','feeler','dial','caliper','roughness','laser','wrench','protractor',
      'pressure','thermometer','gun') NOT NULL`);
  await q.bulkInsert(
    'instruments',
    SHOP_STAND_INS.map(({ calibrationDue, standIn, ...gauge }) => ({
      ...gauge,
      calibration_due: calibrationDue,
      stand_in: standIn,
    })),
  );
}
