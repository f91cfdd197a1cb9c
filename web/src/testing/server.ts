import type { Person, Plant } from '@fulcrant/core/api';
import { summarise } from '@fulcrant/core/forms';
import type { Instrument } from '@fulcrant/core/instruments';
import { type JobEvent, type JobState, reduce, take, usualRules } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { tools } from '../../../core/src/testing/test-stand.ts';

export const ASTA: Person = { id: 'asta', name: 'Asta', role: 'fitter' };
export const IMKE: Person = { id: 'imke', name: 'Imke', role: 'lead' };
export const OSKAR: Person = { id: 'oskar', name: 'Oskar', role: 'viewer' };

export const SITE = {
  site: 'Test works',
  paper: 'a4',
  units: 'mm',
  zone: 'Europe/Berlin',
  stockMm: [],
  demo: false,
} as unknown as Plant;

const json = (body: unknown, status = 200, headers: Record<string, string> = {}) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json', ...headers },
  });

type Asked = { method: string; path: string; query: URLSearchParams; body: unknown };
type Answer = (asked: Asked) => unknown;

/**
 * The server as a page meets it, without a network: it keeps events and judges them by the same `take` as the real one. Whatever else a page
 * asks for is given by `answers`, by method and path; what nobody gave an answer for is not there (404).
 */
export class FakeServer {
  person: Person | null = ASTA;
  /** No network: every request fails. */
  away = false;
  instruments: Instrument[] = Object.values(tools).map((g) => ({ ...g, low: 0, high: 10_000 }));
  private readonly jobs = new Map<string, { events: JobEvent[]; state: JobState }>();
  readonly answers = new Map<string, Answer>();

  /** Requests that changed something, in order. */
  readonly written: Asked[] = [];

  /** What a method and path is answered with. `:id` stands for any one part. */
  on(method: string, path: string, answer: Answer): this {
    this.answers.set(`${method} ${path}`, answer);
    return this;
  }

  /** Have a job as these events tell it. */
  hold(events: readonly JobEvent[]): this {
    const state = reduce(events);
    if (state) this.jobs.set(state.jobId, { events: [...events], state });
    return this;
  }

  /** Take one more event of a job, as if another device had sent it. */
  add(event: JobEvent): void {
    this.take(event);
  }

  /** The jobs it has, in the order they came. */
  ids(): string[] {
    return [...this.jobs.keys()];
  }

  state(jobId: string): JobState {
    const job = this.jobs.get(jobId);
    if (!job) throw new Error('The server has no such job.');
    return job.state;
  }

  private take(event: JobEvent): Text | null {
    const before = this.jobs.get(event.jobId);
    const taken = take(before?.state ?? null, event);
    if ('refusal' in taken) return taken.refusal;
    this.jobs.set(event.jobId, { events: [...(before?.events ?? []), event], state: taken.state });
    return null;
  }

  readonly fetch = async (input: RequestInfo | URL, init: RequestInit = {}): Promise<Response> => {
    if (this.away) throw new TypeError('fetch failed');
    const { pathname: path, searchParams: query } = new URL(String(input), 'http://test');
    const method = init.method ?? 'GET';
    const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : init.body;
    const asked = { method, path, query, body };
    if (method !== 'GET') this.written.push(asked);
    const given = this.given(asked);
    if (given) return given instanceof Response ? given : json(given);
    return json({ title: 'There is no such thing.' }, 404);
  };

  private given(asked: Asked): unknown {
    for (const [key, answer] of this.answers) {
      const [method, path = ''] = key.split(' ');
      const like = new RegExp(`^${path.replace(/:\w+/g, '[^/]+')}$`);
      if (method === asked.method && like.test(asked.path)) return answer(asked);
    }
    return this.usual(asked);
  }

  private usual({ method, path, query, body }: Asked): unknown {
    const [, , , jobId = '', events] = path.split('/');
    if (path === '/api/greeting') return { begun: true, demo: false };
    if (path === '/api/session')
      return this.person
        ? { person: this.person, plant: SITE }
        : json({ title: 'Nobody is signed in here.' }, 401);
    if (path === '/api/instruments' && method === 'GET') return { instruments: this.instruments };
    if (path === '/api/house-rules' && method === 'GET') return { rules: usualRules(), set: null };
    if (path === '/api/positions') return { positions: [], more: false };
    if (path === '/api/record/lacks') return { events: [], photos: [] };
    if (path === '/api/jobs') return { jobs: this.lines(query), next: null };
    if (path.startsWith('/api/jobs/') && events === 'events') return this.append(jobId, body);
    if (path.startsWith('/api/jobs/') && events === undefined) return this.job(jobId, query);
    return null;
  }

  private job(jobId: string, query: URLSearchParams): unknown {
    const job = this.jobs.get(jobId);
    if (!job) return json({ title: 'There is no such job.' }, 404);
    const after = Number(query.get('after') ?? 0);
    return {
      job: { id: jobId, number: 'H-0001', state: 'open' },
      seq: job.events.length,
      events: job.events.slice(after),
    };
  }

  private append(jobId: string, body: unknown): unknown {
    const outcomes = (body as { events: JobEvent[] }).events.map((event) => {
      if (this.jobs.get(jobId)?.events.some((e) => e.id === event.id))
        return { id: event.id, outcome: 'already' };
      const reason = this.take(event);
      return reason ? { id: event.id, outcome: 'refused', reason } : { id: event.id, outcome: 'stored' };
    });
    return { jobId, number: 'H-0001', outcomes };
  }

  lines(query: URLSearchParams) {
    return [...this.jobs.entries()].flatMap(([id, { events, state }], i) => {
      const is = state.cancelled ? 'cancelled' : state.signed ? 'signed' : 'open';
      const line = {
        ...summarise(state),
        id,
        number: `H-000${i + 1}`,
        state: is,
        updatedAt: events.at(-1)?.at ?? '',
      };
      return !query.get('state') || query.get('state') === is ? [line] : [];
    });
  }
}
