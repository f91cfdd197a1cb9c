import { Sequelize } from 'sequelize';
import type { DatabaseConfig } from '../config.ts';
import { ON_THE_SPOT, type Workshop } from '../heavy/workshop.ts';
import { FoldedJobs } from './bounded.ts';
import { defineModels, type Models } from './models.ts';

export type Database = {
  sequelize: Sequelize;
  models: Models;
  /** Jobs as they were folded last. */
  folded: FoldedJobs;
  /** Where what takes long is computed. */
  workshop: Workshop;
};

/** A pool on MariaDB. It reconnects by itself when the database comes back. */
export function openDatabase(
  config: DatabaseConfig,
  { driver = {}, workshop = ON_THE_SPOT }: { driver?: Record<string, unknown>; workshop?: Workshop } = {},
): Database {
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
  return { sequelize, models, folded: new FoldedJobs(), workshop };
}

export type Connection = { query(sql: string, values: unknown[]): Promise<unknown> };

/** Something done with one connection of the pool, which goes back when it is done. */
export async function onConnection<T>(
  db: Pick<Database, 'sequelize'>,
  work: (connection: Connection) => Promise<T>,
): Promise<T> {
  const manager = db.sequelize.connectionManager;
  const connection = (await manager.getConnection({ type: 'write' })) as unknown as Connection;
  try {
    return await work(connection);
  } finally {
    manager.releaseConnection(connection as never);
  }
}

/** A statement on a connection of the pool, put to the driver as it is: for the few that are asked with every reading. */
export const run = (db: Pick<Database, 'sequelize'>, sql: string, values: unknown[]): Promise<unknown> =>
  onConnection(db, (connection) => connection.query(sql, values));

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
