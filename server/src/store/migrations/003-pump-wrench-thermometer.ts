import type { QueryInterface } from 'sequelize';
import { layStandIns } from './stand-ins.ts';

/** As they shipped on the day of this migration. */
const STAND_INS = [
  ['stand-in-pump', 'Stand-in pump', 'pressure', 0.1, 0, 100],
  ['stand-in-wrench', 'Stand-in wrench', 'wrench', 0.5, 5, 1000],
  ['stand-in-probe', 'Stand-in thermocouple', 'thermometer', 0.1, -40, 250],
] as const;

/** Pressure gauges, thermometers and grease guns into the register, with the stand-ins that ship. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`ALTER TABLE instruments
    MODIFY kind ENUM('micrometer','feeler','dial','caliper','roughness','laser','wrench','protractor',
      'pressure','thermometer','gun') NOT NULL`);
  await layStandIns(q, STAND_INS);
}
