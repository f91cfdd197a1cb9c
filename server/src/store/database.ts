import type { Instrument } from '@fulcrant/core/instruments/instrument';
import { Sequelize } from 'sequelize';
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
export function openDatabase(config: DatabaseConfig, driver: Record<string, unknown> = {}): Database {
  const sequelize = new Sequelize(config.database, config.user, config.password, {
    host: config.host,
    port: config.port,
    dialect: 'mariadb',
    logging: false,
    timezone: '+00:00',
    define: { timestamps: false, underscored: true },
    pool: { max: 8, min: 0, acquire: 4000, idle: 10_000 },
    dialectOptions: { connectTimeout: 2000, charset: 'utf8mb4', jsonStrings: true, ...driver },
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

type Connection = { query(sql: string, values: unknown[]): Promise<unknown> };

/** A statement on a connection of the pool, put to the driver as it is: for the few that are asked with every reading. */
export async function run(db: Pick<Database, 'sequelize'>, sql: string, values: unknown[]): Promise<unknown> {
  const manager = db.sequelize.connectionManager;
  const connection = (await manager.getConnection({ type: 'write' })) as unknown as Connection;
  try {
    return await connection.query(sql, values);
  } finally {
    manager.releaseConnection(connection as never);
  }
}

/** Rows of a plain SELECT; a list among the values stands for `IN (?)`. */
export const rowsOf = async <T extends object>(
  db: Pick<Database, 'sequelize'>,
  sql: string,
  values: unknown[],
): Promise<T[]> => (await run(db, sql, values)) as T[];

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
