import type { QueryInterface } from 'sequelize';

/** A PIN, by which somebody changes over at a device where they are known: its hash, as that of a password. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query('ALTER TABLE people ADD COLUMN pin_hash VARCHAR(200) NULL');
}
