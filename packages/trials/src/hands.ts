import { v7 } from 'uuid';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';

/** Somebody signed in, as the servers know them. */
export type Member = { id: string; name: string; role: 'fitter' | 'lead'; cookie: string };
type Event = { id: string; jobId: string; at: string; author: object; type: string; data: object };

const PATIENCE_MS = 8000;

/** A request to one of the servers; null where it does not answer, or says that it cannot just now. */
export async function ask(
  url: string,
  path: string,
  {
    cookie,
    body,
    method = body === undefined ? 'GET' : 'POST',
  }: { cookie?: string; body?: unknown; method?: string } = {},
): Promise<{ status: number; json: () => Promise<unknown>; headers: Headers } | null> {
  try {
    const response = await fetch(`${url}${path}`, {
      method,
      headers: {
        ...(cookie ? { cookie } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    const bytes = await response.text();
    return { status: response.status, headers: response.headers, json: async () => JSON.parse(bytes) };
  } catch {
    return null;
  }
}

/** What a request that must succeed is answered with. @throws where it is not */
export async function told<T>(url: string, path: string, by: Member, body?: unknown): Promise<T> {
  const answer = await ask(url, path, { cookie: by.cookie, ...(body === undefined ? {} : { body }) });
  if (!answer || answer.status >= 300) throw new Error(`${path}: ${answer?.status ?? 'no answer'}`);
  return (await answer.json()) as T;
}

const cookiesOf = (headers: Headers): string =>
  headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');

/** Sign somebody of the demo in. @throws where the server does not let them */
export async function signedIn(url: string, name: string, password = 'beet-campaign'): Promise<Member> {
  const answer = await ask(url, '/api/session', { body: { name, password } });
  if (answer?.status !== 200) throw new Error(`${name} was not let in: ${answer?.status}`);
  const { person } = (await answer.json()) as { person: Omit<Member, 'cookie'> };
  return { ...person, cookie: cookiesOf(answer.headers) };
}

/** So many new fitters of the plant, each let in by a code of their lead hand. */
export async function crewOf(url: string, lead: Member, size: number): Promise<Member[]> {
  const crew: Member[] = [];
  for (let i = 0; i < size; i++) {
    const name = `Trial hand ${v7().slice(-8)}`;
    const made = await ask(url, '/api/people', { cookie: lead.cookie, body: { name, role: 'fitter' } });
    if (made?.status !== 201) throw new Error(`Nobody was added: ${made?.status}`);
    const { code } = (await made.json()) as { code: string };
    const answer = await ask(url, '/api/password/reset', {
      body: { name, code, password: `words of ${name}` },
    });
    if (answer?.status !== 200) throw new Error(`The code let nobody in: ${answer?.status}`);
    const { person } = (await answer.json()) as { person: Omit<Member, 'cookie'> };
    crew.push({ ...person, cookie: cookiesOf(answer.headers) });
  }
  return crew;
}

/** An event of somebody, as a device makes it. */
export const eventOf = (by: Member, jobId: string, type: string, data: object): Event => ({
  id: v7(),
  jobId,
  at: new Date().toISOString(),
  author: { id: by.id, name: by.name, role: by.role },
  type,
  data,
});

/** A job of a fresh position, opened by somebody. @returns its id, and the number it was given */
export async function openJob(
  urls: () => readonly string[],
  by: Member,
): Promise<{ jobId: string; number: string; opened: string }> {
  const jobId = v7();
  const setup = { ...EVERY_KIND['by feelers'], machine: 'Trial stand', position: v7().slice(-12) };
  const opened = eventOf(by, jobId, 'job.opened', { positionId: v7(), setup });
  const told = await untilStored(urls, by, jobId, [opened], () => true);
  if (!told) throw new Error('The job was not opened.');
  return { jobId, number: told.number, opened: opened.id };
}

type Told = { number: string; outcomes: Array<{ id: string; outcome: string; reason?: string }> };

/**
 * Post events until some server answers for them, as a device does: the next one is asked where one does not answer.
 * @returns null where it was told to stop first
 * @throws where an event is refused
 */
export async function untilStored(
  urls: () => readonly string[],
  by: Member,
  jobId: string,
  events: readonly Event[],
  going: () => boolean,
): Promise<Told | null> {
  for (let i = 0; going(); i++) {
    const all = urls();
    const answer = await ask(all[i % all.length] ?? '', `/api/jobs/${jobId}/events`, {
      cookie: by.cookie,
      body: { events, sentAt: new Date().toISOString() },
    });
    if (answer?.status === 200) {
      const told = (await answer.json()) as Told;
      const refused = told.outcomes.find((o) => o.outcome === 'refused');
      if (refused) throw new Error(`Refused: ${refused.reason}`);
      return told;
    }
    if (answer && answer.status < 500 && answer.status !== 429)
      throw new Error(`${answer.status} at a posting`);
    await new Promise((done) => setTimeout(done, 25));
  }
  return null;
}

/** What was acknowledged, by job, and when the last of it was. */
export class Acknowledged {
  readonly byJob = new Map<string, Set<string>>();
  /** Longest time between two acknowledgements, since it was last asked. */
  private longest = 0;
  private last = Date.now();

  add(jobId: string, ids: readonly string[]): void {
    const own = this.byJob.get(jobId) ?? new Set<string>();
    for (const id of ids) own.add(id);
    this.byJob.set(jobId, own);
    this.longest = Math.max(this.longest, Date.now() - this.last);
    this.last = Date.now();
  }
  get count(): number {
    return [...this.byJob.values()].reduce((n, s) => n + s.size, 0);
  }
  /** The longest silence since it was asked last, ms. */
  silence(): number {
    const longest = Math.max(this.longest, Date.now() - this.last);
    this.longest = 0;
    return longest;
  }

  /** What the servers have of it: those that are gone, and those that are there twice. */
  async compared(url: string, cookie: string): Promise<{ lost: number; doubled: number }> {
    let [lost, doubled] = [0, 0];
    for (const [jobId, ids] of this.byJob) {
      const answer = await ask(url, `/api/jobs/${jobId}`, { cookie });
      if (answer?.status !== 200) throw new Error(`Job ${jobId} is not told: ${answer?.status}`);
      const kept = ((await answer.json()) as { events: Array<{ id: string }> }).events.map((e) => e.id);
      const set = new Set(kept);
      doubled += kept.length - set.size;
      lost += [...ids].filter((id) => !set.has(id)).length;
    }
    return { lost, doubled };
  }
}

/** Hands that write one note after the other into a job until they are told to stop. */
export function writing(
  urls: () => readonly string[],
  crew: readonly Member[],
  jobs: readonly string[],
  acknowledged: Acknowledged,
): { stop(): Promise<void> } {
  let going = true;
  const hands = crew.map(async (by, i) => {
    const jobId = jobs[i % jobs.length] ?? '';
    while (going) {
      const note = eventOf(by, jobId, 'note.added', { text: 'under trial' });
      const told = await untilStored(urls, by, jobId, [note], () => going);
      if (told) acknowledged.add(jobId, [note.id]);
    }
  });
  return {
    async stop() {
      going = false;
      await Promise.all(hands);
    },
  };
}

/** Wait until something holds. @throws where it does not come in time */
export async function until(
  what: string,
  holds: () => Promise<boolean> | boolean,
  ms = 60_000,
): Promise<number> {
  const began = Date.now();
  while (Date.now() - began < ms) {
    if (await holds()) return Date.now() - began;
    await new Promise((done) => setTimeout(done, 20));
  }
  throw new Error(`${what} did not come within ${ms / 1000} s.`);
}
