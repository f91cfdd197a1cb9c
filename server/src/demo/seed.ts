import type { JobEvent } from '@fulcrant/core/engine/events';
import type { BearingHand } from '@fulcrant/core/trades/sleeve-bearing/hand';
import { v7 } from 'uuid';
import { hashPassword } from '../auth/password.ts';
import { appendEvents } from '../store/append.ts';
import type { Database } from '../store/database.ts';
import { boxes } from './boxes.ts';
import { fittings } from './fittings.ts';
import { hoursAgo, person } from './hands.ts';
import { otherWork } from './other-work.ts';
import { pumps } from './pumps.ts';
import { surveys } from './surveys.ts';
import { DEMO_PASSWORD, GAUGES, PEOPLE, POSITIONS, SITE } from './works.ts';

/** Post a hand's events as each of their authors, the way the queue would. */
async function post(db: Database, worked: BearingHand): Promise<void> {
  const runs: JobEvent[][] = [];
  for (const e of worked.events) {
    const run = runs.at(-1);
    if (run && run[0]?.author.id === e.author.id) run.push(e);
    else runs.push([e]);
  }
  for (const run of runs) {
    const answer = await appendEvents(db, person(run[0]?.author.id ?? ''), worked.jobId, run, {
      // The demo's past is told, not lived: each entry counts as sent when it was made.
      now: (e) => new Date(e.at),
    });
    const refused = answer.outcomes.find((o) => o.outcome === 'refused');
    if (refused) throw new Error(`Demo event refused: ${refused.reason}`);
  }
}

/** Lay the demo data in once, into an empty house. True where it did. */
export async function seedDemo(db: Database): Promise<boolean> {
  if ((await db.models.Person.count()) > 0) return false;
  const positions = Object.values(POSITIONS).map((setup) => ({
    id: v7({ msecs: hoursAgo(24 * 30).getTime() }),
    site: SITE,
    machine: setup.machine,
    position: setup.position,
    setup: JSON.stringify(setup),
  }));
  const ids = new Map(positions.map((p) => [`${p.machine}|${p.position}`, p.id]));
  // All jobs are worked through before anything of theirs is written, so that a refused act leaves an empty house.
  const worked = [...fittings(ids), ...surveys(ids), ...otherWork(ids), ...boxes(ids), ...pumps(ids)];
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  await db.models.Instrument.bulkCreate(Object.values(GAUGES));
  await db.models.Position.bulkCreate(positions);
  await db.models.Person.bulkCreate(PEOPLE.map((p) => ({ ...p, passwordHash })));
  for (const job of worked) await post(db, job);
  return true;
}
