import type { Setup } from '@fulcrant/core/engine/setup';
import type { JobState } from '@fulcrant/core/engine/state';
import { sameTrade } from '@fulcrant/core/engine/trades';
import type { Transaction } from 'sequelize';
import { type Database, rowsOf } from './database.ts';

/** A survey at a bearing's position does not take the bearing's setup away from the next fitting, nor the other way. */
const sameWork = (kept: string, setup: Setup): boolean => sameTrade(JSON.parse(kept) as Setup, setup);

/** The site all positions stand on; one house, one plant. Until it has a name it has none. */
export async function siteOf(db: Database, transaction: Transaction | null = null): Promise<string> {
  return (await db.models.Position.findOne({ attributes: ['site'], transaction }))?.site ?? '';
}

/**
 * The position remembers the setup last used on it, so that the next job starts from there.
 * @returns the id of the position the job stands at: one of its name that is known already goes before a new one
 */
export async function keepPosition(db: Database, transaction: Transaction, state: JobState): Promise<string> {
  const { machine, position } = state.setup;
  const setup = JSON.stringify(state.setup);
  const found = await db.models.Position.findByPk(state.positionId, { transaction });
  if (found) {
    // A job may say its own names; a position keeps its own, and takes a setup only from jobs that mean it.
    const meant =
      found.machine === machine && found.position === position && sameWork(found.setup, state.setup);
    if (meant && found.setup !== setup) await found.update({ setup }, { transaction });
    return found.id;
  }
  const named = await db.models.Position.findOne({ where: { machine, position }, transaction });
  if (named) {
    if (sameWork(named.setup, state.setup)) await named.update({ setup }, { transaction });
    return named.id;
  }
  await db.models.Position.create(
    { id: state.positionId, site: await siteOf(db, transaction), machine, position, setup },
    { transaction },
  );
  return state.positionId;
}

export type PositionLine = { id: string; site: string; machine: string; position: string; setup: Setup };

/** What was typed, as a pattern: each word somewhere in machine or position. `%` and `_` mean themselves. */
export const wordsOf = (typed: string): string[] =>
  typed
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .slice(0, 6)
    .map((w) => `%${w.replace(/[\\%_]/g, '\\$&')}%`);

/** Positions whose machine or place holds every word typed, by name; `more` where the list is cut. */
export async function findPositions(
  db: Database,
  typed: string,
  limit: number,
): Promise<{ positions: PositionLine[]; more: boolean }> {
  const words = wordsOf(typed);
  const rows = await rowsOf<PositionLine & { setup: string }>(
    db,
    `SELECT id, site, machine, position, setup FROM positions
      ${words.length ? `WHERE ${words.map(() => "CONCAT(machine, ' ', position) LIKE ?").join(' AND ')}` : ''}
      ORDER BY machine, position LIMIT ?`,
    [...words, limit + 1],
  );
  return {
    positions: rows
      .slice(0, limit)
      .map((p) => ({ ...p, setup: JSON.parse(p.setup as unknown as string) as Setup })),
    more: rows.length > limit,
  };
}
