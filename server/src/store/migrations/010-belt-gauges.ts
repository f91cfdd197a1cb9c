import type { QueryInterface } from 'sequelize';

/** Belt tension meters and spring scales into the register of gauges. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(`ALTER TABLE instruments
    MODIFY kind ENUM('micrometer','feeler','dial','caliper','roughness','laser','wrench','protractor',
      'pressure','thermometer','gun','counter','vibration','tension','force') NOT NULL`);
}
