import type { QueryInterface } from 'sequelize';

/** A job opened by mistake may be cancelled: it leaves the board and stays in the record. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`ALTER TABLE jobs MODIFY state ENUM('open','signed','cancelled') NOT NULL`);
}
