import type { QueryInterface } from 'sequelize';

/** Which kinds of gauges there are is told by core alone: a new one needs no change of the table. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query('ALTER TABLE instruments MODIFY kind VARCHAR(20) NOT NULL');
}
