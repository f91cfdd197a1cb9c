import { hashOf } from '../export/canonical.ts';
import { linkOf } from './chain.ts';
import { type Database, rowsOf } from './database.ts';
import { jobNumber } from './numbers.ts';

/** Jobs of a page: enough to be quick, few enough to be held in memory. */
const PAGE = 100;

export type Verified = { jobs: number; events: number; sheets: number; faults: string[] };

type JobRow = { id: string; serial: number; event_count: number; chain: string; state: string };
type EventRow = {
  id: string;
  job_id: string;
  seq: number;
  type: string;
  at: Date;
  body: string;
  chain: string;
};
type SheetRow = {
  job_id: string;
  revision: number;
  hash: string;
  event_count: number;
  chain: string;
  sheet: string;
};

/**
 * Walk every job's chain of events and every sheet that was signed.
 * @returns how much was walked, and each job, event or sheet that does not hold, named, a sentence each
 */
export async function verify(
  db: Database,
  say: (fault: string) => void = () => undefined,
): Promise<Verified> {
  const result: Verified = { jobs: 0, events: 0, sheets: 0, faults: [] };
  const fault = (text: string) => {
    result.faults.push(text);
    say(text);
  };
  for (let after = ''; ; ) {
    const jobs = await rowsOf<JobRow>(
      db,
      'SELECT id, serial, event_count, chain, state FROM jobs WHERE id > ? ORDER BY id LIMIT ?',
      [after, PAGE],
    );
    const last = jobs.at(-1);
    if (!last) break;
    // Events first: what is added while they are read shows as more in the row, never as less.
    const events = await rowsOf<EventRow>(
      db,
      'SELECT id, job_id, seq, type, at, body, chain FROM events WHERE job_id > ? AND job_id <= ? ORDER BY job_id, seq',
      [after, last.id],
    );
    const sheets = await rowsOf<SheetRow>(
      db,
      'SELECT job_id, revision, hash, event_count, chain, sheet FROM sheets WHERE job_id > ? AND job_id <= ?',
      [after, last.id],
    );
    for (const job of jobs) {
      const own = events.filter((e) => e.job_id === job.id);
      const links = walk(job, own, fault);
      const kept = sheets.filter((s) => s.job_id === job.id);
      for (const s of kept) walkSheet(job, s, links, fault);
      if (job.state === 'signed' && kept.length === 0)
        fault(`${nameOf(job)} is signed and no sheet of it is kept.`);
      result.jobs++;
      result.events += own.length;
      result.sheets += kept.length;
    }
    after = last.id;
  }
  return result;
}

const nameOf = (job: JobRow): string => `Job ${jobNumber(job.serial)} (${job.id})`;

/** The links of a job's chain as its events make them, by number. */
function walk(job: JobRow, events: readonly EventRow[], fault: (text: string) => void): string[] {
  const links = [job.id];
  let seq = 0;
  for (const e of events) {
    const name = `${nameOf(job)}, event ${e.seq} (${e.id}, ${e.type})`;
    seq++;
    if (e.seq !== seq) {
      fault(`${name}: event ${seq} is missing before it.`);
      seq = e.seq;
    }
    const link = linkOf(links.at(-1) ?? '', e.body);
    if (link !== e.chain)
      fault(`${name} is not as it was stored: its link does not follow from the one before.`);
    const unlike = differs(e, job);
    if (unlike) fault(`${name}: ${unlike}`);
    // From the stored link on, so that one altered event is named once and not all after it.
    links[e.seq] = e.chain;
  }
  if (events.length > job.event_count || (events.at(-1)?.chain ?? job.id) !== job.chain)
    if (events.length === job.event_count)
      fault(`${nameOf(job)}: its last link is not the one its row was left with.`);
  if (events.length < job.event_count)
    fault(`${nameOf(job)} has ${events.length} events of ${job.event_count}: the last are missing.`);
  return links;
}

/** What the columns beside an event say otherwise than the event itself. */
function differs(e: EventRow, job: JobRow): string | null {
  try {
    const event = JSON.parse(e.body) as { id: string; jobId: string; type: string; at: string };
    if (event.id !== e.id || event.jobId !== job.id)
      return 'what it carries belongs to another event or job.';
    if (event.type !== e.type) return `its row calls it “${e.type}”, it is “${event.type}”.`;
    if (Date.parse(event.at) !== new Date(e.at).getTime()) return 'its row has another time.';
    return null;
  } catch {
    return 'it cannot be read.';
  }
}

function walkSheet(job: JobRow, s: SheetRow, links: readonly string[], fault: (text: string) => void): void {
  const name = `${nameOf(job)}, sheet as signed, revision ${s.revision}`;
  if (hashOf(s.sheet) !== s.hash) fault(`${name} is not as it was kept: its hash is another.`);
  if (links[s.event_count] !== s.chain)
    fault(`${name} stands on events that are not those it was signed on.`);
  try {
    const sheet = JSON.parse(s.sheet) as { jobId: string; revision: number };
    if (sheet.jobId !== job.id || sheet.revision !== s.revision)
      fault(`${name} is the sheet of another job.`);
  } catch {
    fault(`${name} cannot be read.`);
  }
}
