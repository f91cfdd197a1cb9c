import { SUMMARY_VERSION, summarise } from '@fulcrant/core/forms';
import { tradeOf } from '@fulcrant/core/job';
import { keepAllSaid } from '@fulcrant/core/units';
import type { Logger } from 'pino';
import { foldJob } from './append.ts';
import { type Database, rowsOf } from './database.ts';
import { freeze } from './sheets.ts';

/** Jobs made anew before the house gets its breath again. */
const PAGE = 20;
const BREATH_MS = 50;
const breathe = () => new Promise((done) => setTimeout(done, BREATH_MS));

/**
 * Make every job's line anew whose form is not today's, in the background; until then the old one is shown. Signed sheets are never
 * touched. A job whose events move meanwhile writes its own line.
 * @returns how many were made anew
 */
export async function renewLines(db: Database, log: Logger, stopped: () => boolean): Promise<number> {
  let renewed = 0;
  for (let after = ''; !stopped(); ) {
    const jobs = await rowsOf<{ id: string }>(
      db,
      'SELECT id FROM jobs WHERE summary_version <> ? AND id > ? ORDER BY id LIMIT ?',
      [SUMMARY_VERSION, after, PAGE],
    );
    for (const { id } of jobs) {
      try {
        if (await renewLine(db, id)) renewed++;
      } catch (error) {
        log.error({ err: error, job: id }, 'the line of a job could not be made anew');
      }
    }
    const last = jobs.at(-1);
    if (!last) break;
    after = last.id;
    await breathe();
  }
  if (renewed > 0) log.info({ renewed }, 'lines of jobs made anew');
  return renewed;
}

async function renewLine(db: Database, jobId: string): Promise<boolean> {
  return db.folded.inTurn(jobId, async () => {
    const folded = await foldJob(db, jobId);
    if (!folded) return false;
    const { state } = folded;
    const [changed] = await db.models.Job.update(
      {
        summary: JSON.stringify(keepAllSaid(summarise(state))),
        summaryVersion: SUMMARY_VERSION,
        machine: state.setup.machine,
        role: tradeOf(state.setup).slots.role?.(state.setup) ?? null,
      },
      { where: { id: jobId, chain: folded.chain } },
    );
    return changed === 1;
  });
}

/**
 * Sheets signed before sheets were kept: laid down as they fold today, and marked so. Run once by the owner, before serving.
 * @returns how many were laid down
 */
export async function freezeSigned(db: Database): Promise<number> {
  let laid = 0;
  for (let after = ''; ; ) {
    const jobs = await rowsOf<{ id: string }>(
      db,
      `SELECT j.id FROM jobs j LEFT JOIN sheets s ON s.job_id = j.id
        WHERE j.state = 'signed' AND s.job_id IS NULL AND j.id > ? ORDER BY j.id LIMIT ?`,
      [after, PAGE],
    );
    for (const { id } of jobs) {
      const folded = await foldJob(db, id);
      if (!folded?.state.signed) continue;
      await freeze(db, undefined, folded.state, folded, 'migrated');
      laid++;
    }
    const last = jobs.at(-1);
    if (!last) return laid;
    after = last.id;
  }
}
