import { Sequelize } from 'sequelize';
import type { DatabaseConfig } from '../config.ts';
import { defineModels, type Models } from './models.ts';

export type Database = { sequelize: Sequelize; models: Models };

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
  return { sequelize, models: defineModels(sequelize) };
}

/** True where an error means the database is away rather than that a statement was wrong. */
export function isDatabaseAway(error: unknown): boolean {
  const name = (error as { name?: string } | null)?.name ?? '';
  const text = String((error as { message?: string } | null)?.message ?? '');
  return (
    name.startsWith('SequelizeConnection') ||
    /ECONNREFUSED|ECONNRESET|socket has unexpectedly been closed|connection (?:is )?closed|Server shutdown|pool timeout/i.test(
      text,
    )
  );
}
