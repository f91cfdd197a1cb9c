import type { Text } from '@fulcrant/core/messages';
import { expr } from '@fulcrant/core/messages';
import { hashOf } from '../export/canonical.ts';
import { linkOf } from './chain.ts';
import { type Database, rowsOf } from './database.ts';
import { M } from './messages.ts';
import { jobNumber } from './numbers.ts';

/** Jobs of a page: enough to be quick, few enough to be held in memory. */
const PAGE = 100;

export type Verified = { jobs: number; events: number; sheets: number; faults: Text[] };

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
export async function verify(db: Database, say: (fault: Text) => void = () => undefined): Promise<Verified> {
  const result: Verified = { jobs: 0, events: 0, sheets: 0, faults: [] };
  const fault = (text: Text) => {
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
      if (job.state === 'signed' && kept.length === 0) fault(M.signedNoSheetKept({ nameOf: nameOf(job) }));
      result.jobs++;
      result.events += own.length;
      result.sheets += kept.length;
    }
    after = last.id;
  }
  return result;
}

const nameOf = (job: JobRow): Text => M.job({ jobNumber: jobNumber(job.serial), id: job.id });

/** The links of a job's chain as its events make them, by number. */
function walk(job: JobRow, events: readonly EventRow[], fault: (text: Text) => void): string[] {
  const links = [job.id];
  let seq = 0;
  for (const e of events) {
    const name = M.event({ nameOf: nameOf(job), seq: e.seq, id: e.id, type: e.type });
    seq++;
    if (e.seq !== seq) {
      fault(M.eventMissingBefore({ name, seq }));
      seq = e.seq;
    }
    const link = linkOf(links.at(-1) ?? '', e.body);
    if (link !== e.chain) fault(M.notAsStoredLinkDoes({ name }));
    const unlike = differs(e, job);
    if (unlike) fault(expr`${name}: ${unlike}`);
    // From the stored link on, so that one altered event is named once and not all after it.
    links[e.seq] = e.chain;
  }
  if (events.length > job.event_count || (events.at(-1)?.chain ?? job.id) !== job.chain)
    if (events.length === job.event_count) fault(M.lastLinkNotOneRow({ nameOf: nameOf(job) }));
  if (events.length < job.event_count)
    fault(M.hasEventsLastMissing({ nameOf: nameOf(job), count: events.length, eventCount: job.event_count }));
  return links;
}

/** What the columns beside an event say otherwise than the event itself. */
function differs(e: EventRow, job: JobRow): Text | null {
  try {
    const event = JSON.parse(e.body) as { id: string; jobId: string; type: string; at: string };
    if (event.id !== e.id || event.jobId !== job.id) return M.whatCarriesBelongsAnotherEvent;
    if (event.type !== e.type) return M.rowCalls({ type: e.type, type2: event.type });
    if (Date.parse(event.at) !== new Date(e.at).getTime()) return M.rowHasAnotherTime;
    return null;
  } catch {
    return M.cannotRead;
  }
}

function walkSheet(job: JobRow, s: SheetRow, links: readonly string[], fault: (text: Text) => void): void {
  const name = M.sheetAsSignedRevision({ nameOf: nameOf(job), revision: s.revision });
  if (hashOf(s.sheet) !== s.hash) fault(M.notAsKeptHashAnother({ name }));
  if (links[s.event_count] !== s.chain) fault(M.standsEventsNotThoseSigned({ name }));
  try {
    const sheet = JSON.parse(s.sheet) as { jobId: string; revision: number };
    if (sheet.jobId !== job.id || sheet.revision !== s.revision) fault(M.sheetAnotherJob({ name }));
  } catch {
    fault(M.cannotRead2({ name }));
  }
}
