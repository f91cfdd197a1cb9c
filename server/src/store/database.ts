import type { Instrument } from '@fulcrant/core';
import { type QueryOptionsWithType, QueryTypes, Sequelize } from 'sequelize';
import type { DatabaseConfig } from '../config.ts';
import { Briefly, FoldedJobs } from './bounded.ts';
import { defineModels, type Models } from './models.ts';

export type Database = {
  sequelize: Sequelize;
  models: Models;
  /** Jobs as they were folded last. */
  folded: FoldedJobs;
  /** The register of gauges as events name them, by id. */
  gauges: Briefly<Map<string, Instrument>>;
};

/** A pool on MariaDB. It reconnects by itself when the database comes back. */
export function openDatabase(config: DatabaseConfig): Database {
  const sequelize = new Sequelize(config.database, config.user, config.password, {
    host: config.host,
    port: config.port,
    dialect: 'mariadb',
    logging: false,
    timezone: '+00:00',
    define: { timestamps: false, underscored: true },
    pool: { max: 8, min: 0, acquire: 4000, idle: 10_000 },
    dialectOptions: { connectTimeout: 2000, charset: 'utf8mb4', jsonStrings: true },
  });
  const models = defineModels(sequelize);
  return {
    sequelize,
    models,
    folded: new FoldedJobs(),
    gauges: new Briefly(async () => registerOf(models)),
  };
}

/** The gauges as an event names them: a stand-in says so, a real gauge says nothing. */
async function registerOf(models: Models): Promise<Map<string, Instrument>> {
  const rows = await models.Instrument.findAll();
  return new Map(
    rows.map((row) => {
      const { standIn, ...gauge } = row.get({ plain: true }) as Instrument;
      return [gauge.id, standIn ? { ...gauge, standIn } : gauge];
    }),
  );
}

/** Rows of a plain SELECT. */
export const rowsOf = <T extends object>(
  db: Pick<Database, 'sequelize'>,
  sql: string,
  replacements: unknown[],
  more: Partial<QueryOptionsWithType<QueryTypes.SELECT>> = {},
): Promise<T[]> => db.sequelize.query<T>(sql, { replacements, type: QueryTypes.SELECT, raw: true, ...more });

/** True where an error means the database is away rather than that a statement was wrong. */
export function isDatabaseAway(error: unknown): boolean {
  const name = (error as { name?: string } | null)?.name ?? '';
  const text = String((error as { message?: string } | null)?.message ?? '');
  return (
    name.startsWith('SequelizeConnection') ||
    /ECONNREFUSED|ECONNRESET|EPIPE|socket has unexpectedly been closed|connection (?:is )?closed|Cannot execute new commands|Server shutdown|pool timeout/i.test(
      text,
    )
  );
}
