import { type JobState, type Setup, sameTrade } from '@fulcrant/core/job';
import { Op, type Transaction } from 'sequelize';
import { type Database, rowsOf } from './database.ts';
import { newLabel } from './labels.ts';

/** A survey at a bearing's position does not take the bearing's setup away from the next fitting, nor the other way. */
const sameWork = (kept: string, setup: Setup): boolean => {
  const before = JSON.parse(kept) as Setup | null;
  return before === null || sameTrade(before, setup);
};

/**
 * The position remembers the setup last used on it, so that the next job starts from there.
 * @returns the id of the position the job stands at: one of its name that is known already goes before a new one
 */
export async function keepPosition(
  db: Database,
  transaction: Transaction,
  state: JobState,
  site: string,
): Promise<string> {
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
    {
      id: state.positionId,
      site,
      area: '',
      machine,
      position,
      label: newLabel(),
      setup,
    },
    { transaction },
  );
  return state.positionId;
}

/**
 * A job opened by mistake told its position a setup nobody meant: the one of the last job there that stands, of the same work, comes
 * back. Where there is none the position stays as it is: it was made by this job.
 */
export async function forgetSetup(db: Database, transaction: Transaction, state: JobState): Promise<void> {
  const job = await db.models.Job.findByPk(state.jobId, { transaction });
  const position = job && (await db.models.Position.findByPk(job.positionId, { transaction }));
  if (!job || !position || !sameWork(position.setup, state.setup)) return;
  const others = await db.models.Job.findAll({
    where: { positionId: job.positionId, state: { [Op.ne]: 'cancelled' }, id: { [Op.ne]: state.jobId } },
    order: [['serial', 'DESC']],
    limit: OTHERS,
    transaction,
  });
  for (const other of others) {
    const told = await db.models.Event.findOne({
      where: { jobId: other.id, type: { [Op.in]: ['job.opened', 'setup.changed'] } },
      order: [['seq', 'DESC']],
      transaction,
    });
    const setup = told && (JSON.parse(told.body) as { data: { setup: Setup } }).data.setup;
    if (!setup || !sameTrade(setup, state.setup)) continue;
    await position.update({ setup: JSON.stringify(setup) }, { transaction });
    return;
  }
}
/** Jobs looked through for one of the same work. */
const OTHERS = 20;

export type PositionLine = {
  id: string;
  site: string;
  machine: string;
  position: string;
  label: string;
  setup: Setup | null;
};

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
    `SELECT id, site, machine, position, label, setup FROM positions
      ${words.length ? `WHERE ${words.map(() => "CONCAT(machine, ' ', position) LIKE ?").join(' AND ')}` : ''}
      ORDER BY machine, position LIMIT ?`,
    [...words, limit + 1],
  );
  return {
    positions: rows
      .slice(0, limit)
      .map((p) => ({ ...p, setup: JSON.parse(p.setup as unknown as string) as Setup | null })),
    more: rows.length > limit,
  };
}
