import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible';
import { type Database, onConnection, tryingAgain } from '../store/database.ts';

/**
 * How many tries that were wrong are let pass within a quarter of an hour. Source: common practice, no source; OWASP ASVS 5.0, 6.3.1 asks that there be limits.
 */
export const LIMITS = {
  /** At a device somebody has got in at before: their own, whatever others do elsewhere. */
  device: 10,
  /** As one person, from devices they have never got in at. */
  person: 10,
  /** From one address: a shift behind one router may mistype, a sprayer of names may not. */
  address: 60,
  /** At all, from devices nobody knows. */
  house: 600,
} as const;
export type Limit = keyof typeof LIMITS;
const WITHIN_S = 900;

/** Too many tries; `retryAfterS` says when one more is looked at. */
export class TooMany extends Error {
  constructor(
    readonly limit: Limit,
    readonly retryAfterS: number,
  ) {
    super(limit);
  }
}

/** Somebody who tries to get in. */
export type Trying = {
  /** As typed; the database folds it as it folds the names it looks up. */
  name: string;
  address: string;
  /** What the device is known by, where this person has got in at it before. */
  device: string | null;
};

/** Tries to get in, counted in the database: for all servers, and over a restart. */
export class Attempts {
  private readonly limiters: Record<Limit, RateLimiterMySQL>;

  constructor(db: Pick<Database, 'sequelize'>) {
    const limiter = (limit: Limit, sweeps = false) =>
      new RateLimiterMySQL({
        keyPrefix: limit,
        points: LIMITS[limit],
        duration: WITHIN_S,
        storeClient: poolOf(db),
        storeType: 'pool',
        dbName: db.sequelize.getDatabaseName(),
        tableName: 'attempts',
        tableCreated: true,
        clearExpiredByTimeout: sweeps,
      });
    this.limiters = {
      device: limiter('device', true),
      person: limiter('person'),
      address: limiter('address'),
      house: limiter('house'),
    };
  }

  /**
   * Count a try before anything of it is looked at, so that many at once do not pass together.
   * @returns what is to be told when it was right: it is then not held against anybody
   * @throws TooMany where one of the limits is reached
   */
  async count({ name, address, device }: Trying): Promise<{ right(): Promise<void> }> {
    const counts: ReadonlyArray<[Limit, string]> =
      device !== null
        ? [['device', `${device.slice(0, 32)} ${name}`]]
        : [
            ['address', address],
            ['person', name],
            ['house', 'all'],
          ];
    for (const [limit, key] of counts) await this.consume(limit, key);
    return {
      right: async () => {
        for (const [limit, key] of counts)
          await tryingAgain<unknown>(() =>
            limit === 'person' || limit === 'device'
              ? this.limiters[limit].delete(key)
              : this.limiters[limit].reward(key, 1),
          );
      },
    };
  }

  private async consume(limit: Limit, key: string): Promise<void> {
    try {
      await tryingAgain(() => this.limiters[limit].consume(key));
    } catch (error) {
      if (error instanceof RateLimiterRes) throw new TooMany(limit, Math.ceil(error.msBeforeNext / 1000));
      throw error;
    }
  }
}

type Told = (error: unknown, rows?: unknown) => void;

/** The house's own pool, as the limiter asks for one: with words back instead of promises, names of tables put in. */
function poolOf(db: Pick<Database, 'sequelize'>) {
  return {
    getConnection(told: (error: unknown, connection?: object) => void) {
      onConnection(db, (connection) => {
        return new Promise<void>((done) => {
          told(null, {
            query(sql: string, values: unknown[] | Told, then?: Told) {
              const say = typeof values === 'function' ? values : (then as Told);
              const [schema, table, ...rest] = typeof values === 'function' ? [] : values;
              const named = sql.replace('??.??', `\`${schema}\`.\`${table}\``);
              connection.query(named, rest).then(
                (rows) => say(null, rows),
                (error: unknown) => say(error),
              );
            },
            rollback: () => void connection.query('ROLLBACK', []).catch(() => undefined),
            release: done,
          });
        });
      }).catch((error: unknown) => told(error));
    },
  };
}
