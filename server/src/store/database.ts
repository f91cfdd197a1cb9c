import { Sequelize } from 'sequelize';
import type { DatabaseConfig } from '../config.ts';
import { ON_THE_SPOT, type Workshop } from '../heavy/workshop.ts';
import { FoldedJobs } from './bounded.ts';
import { defineModels, type Models } from './models.ts';
import { Nodes } from './nodes.ts';

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
    dialectOptions: {
      connectTimeout: 2000,
      charset: 'utf8mb4',
      jsonStrings: true,
      // In a cluster what was written through one database is waited for before it is looked up in another.
      ...(config.nodes ? { sessionVariables: { wsrep_sync_wait: 1 } } : {}),
      ...driver,
    },
  });
  if (config.nodes) watchNodes(sequelize, new Nodes(config.nodes));
  const models = defineModels(sequelize);
  return { sequelize, models, folded: new FoldedJobs(), workshop };
}

/** In a cluster each connection goes to a database that answers; of one that is not ready for work none is kept. */
function watchNodes(sequelize: Sequelize, nodes: Nodes): void {
  sequelize.addHook('beforeConnect', async (options) => {
    const { host, port } = await nodes.pick();
    Object.assign(options, { host, port });
  });
  sequelize.addHook('afterConnect', async (made) => {
    const connection = made as unknown as Connection;
    const said = async (sql: string) =>
      ((await connection.query(sql, [])) as Array<{ Value: string }>)[0]?.Value;
    if ((await said("SHOW GLOBAL VARIABLES LIKE 'wsrep_on'")) !== 'ON') return;
    if ((await said("SHOW GLOBAL STATUS LIKE 'wsrep_ready'")) === 'ON') return;
    nodes.moveOn();
    await connection.end();
    throw new NotReady();
  });
}

/** A database of a cluster that has lost touch with the others, or has not caught up with them yet. */
class NotReady extends Error {}

export type Connection = {
  query(sql: string, values: unknown[]): Promise<unknown>;
  end(): Promise<void>;
};

/** Something done with one connection of the pool, which goes back when it is done. */
export async function onConnection<T>(
  db: Pick<Database, 'sequelize'>,
  work: (connection: Connection) => Promise<T>,
): Promise<T> {
  const manager = db.sequelize.connectionManager;
  const connection = (await manager.getConnection({ type: 'write' })) as unknown as Connection;
  try {
    return await work(connection);
  } catch (error) {
    // Back in the pool it would be met again.
    if (isNotReady(error)) await connection.end().catch(() => undefined);
    throw error;
  } finally {
    manager.releaseConnection(connection as never);
  }
}

/** How often what met another writer is tried: it was rolled back whole, and changed nothing. */
const TRIES = 5;
/** The database's number for what went wrong, by the driver or by Sequelize. */
export const errnoOf = (error: unknown): number | undefined => {
  const said = error as { errno?: number; parent?: { errno?: number } } | null;
  return said?.parent?.errno ?? said?.errno;
};

/** Two met on one row; in a cluster only the commit shows it. */
const DEADLOCK = 1213;
const isDeadlock = (error: unknown): boolean => errnoOf(error) === DEADLOCK;

/** What was to be put in is there already: somebody else was a moment quicker. */
const DUPLICATE = 1062;
export const isTaken = (error: unknown): boolean => errnoOf(error) === DUPLICATE;

/** Do something once more where it met another writer. */
export async function tryingAgain<T>(work: () => Promise<T>, tries = TRIES): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (tries <= 1 || !isDeadlock(error)) throw error;
    return tryingAgain(work, tries - 1);
  }
}

/** A statement on a connection of the pool, put to the driver as it is: for the few that are asked with every reading. */
export const run = (db: Pick<Database, 'sequelize'>, sql: string, values: unknown[]): Promise<unknown> =>
  tryingAgain(() => onConnection(db, (connection) => connection.query(sql, values)));

/** Rows of a plain SELECT; a list among the values stands for `IN (?)`. */
export const rowsOf = async <T extends object>(
  db: Pick<Database, 'sequelize'>,
  sql: string,
  values: unknown[],
): Promise<T[]> => (await run(db, sql, values)) as T[];

/** A statement that a database of a cluster would not look at: it has lost touch with the others. */
const isNotReady = (error: unknown): boolean =>
  error instanceof NotReady ||
  /WSREP has not yet prepared node/.test(String((error as { message?: string } | null)?.message ?? ''));

/** True where a statement was not carried out for want of room on the disk. */
export const isDiskFull = (error: unknown): boolean =>
  /No space left on device|Disk is full|Disk full|The table '[^']*' is full/i.test(
    String((error as { message?: string } | null)?.message ?? ''),
  );

/** True where an error means the database is away rather than that a statement was wrong. */
export function isDatabaseAway(error: unknown): boolean {
  const name = (error as { name?: string } | null)?.name ?? '';
  const text = String((error as { message?: string } | null)?.message ?? '');
  return (
    isNotReady(error) ||
    name.startsWith('SequelizeConnection') ||
    /ECONNREFUSED|ECONNRESET|EPIPE|socket has unexpectedly been closed|connection (?:is )?closed|Cannot execute new commands|Server shutdown|pool timeout/i.test(
      text,
    )
  );
}
