import type { QueryInterface } from 'sequelize';

/** Feelers, rules and the like are kept without a calibration date; a gauge may carry its serial number. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query('ALTER TABLE instruments MODIFY calibration_due VARCHAR(10) NULL');
  await q.sequelize.query('ALTER TABLE instruments ADD COLUMN serial VARCHAR(40) NULL');
}
