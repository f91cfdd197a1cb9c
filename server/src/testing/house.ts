import { rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { BearingHand } from '@fulcrant/core/examples';
import type { Instrument } from '@fulcrant/core/instruments';
import type { JobEvent } from '@fulcrant/core/job';
import type { SleeveSetup } from '@fulcrant/core/trades';
import { pino } from 'pino';
import { v7 } from 'uuid';
import { inject } from 'vitest';
import type { Author } from '../../../core/src/engine/author.ts';
import type { HandTools } from '../../../core/src/engine/scripted-hand.ts';
import { startDatabase } from '../../../scripts/database.mjs';
import { Attempts } from '../auth/attempts.ts';
import type { DatabaseConfig } from '../config.ts';
import { inHand } from '../demo/hand-cards.ts';
import { GAUGES, PEOPLE } from '../demo/people-and-gauges.ts';
import { setupOf } from '../demo/works.ts';
import { ON_THE_SPOT, threads } from '../heavy/workshop.ts';
import { buildApp } from '../http/app.ts';
import { StandIns } from '../instruments/stand-ins.ts';
import { type Database, openDatabase } from '../store/database.ts';
import { copyOf } from './models.ts';

export type Served = {
  url: string;
  db: Database;
  /** What it logged as a warning or worse, a line of JSON each. */
  said: string[];
  close(): Promise<void>;
};

export type TestHouse = Served & {
  owner: Database;
  mariadb: Awaited<ReturnType<typeof startDatabase>>;
  dataDir: string;
  config(who: 'owner' | 'app'): DatabaseConfig;
  /** One more server over the same database, as another process would be: nothing is shared but the database. */
  another(options?: { proxy?: boolean; threaded?: boolean; paced?: boolean }): Promise<Served>;
};

/** The application on a free port, over a database that runs. */
async function serve(
  config: DatabaseConfig,
  dataDir: string,
  { proxy = false, threaded = false, paced = false } = {},
): Promise<Served> {
  // Threads run what was built; most tests have the same done on the spot, from the sources.
  const workshop = threaded ? threads(pathToFileURL('server/dist/worker.js')) : ON_THE_SPOT;
  const db = openDatabase(config, { workshop });
  const standIns = new StandIns();
  const said: string[] = [];
  const log = pino({ level: 'warn' }, { write: (line: string) => void said.push(line) });
  const photoDir = join(dataDir, 'photos');
  const server: Server = createServer(
    buildApp({ db, attempts: new Attempts(db), version: '0.0.0-test', log, standIns, photoDir }, 'web/dist', {
      proxy,
      paced,
      // Every answer a test gets is held to what its route says of it.
      held: true,
    }).callback(),
  );
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    db,
    said,
    async close() {
      standIns.close();
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
      await workshop.close();
      await db.sequelize.close();
    },
  };
}

/** A real MariaDB of its own with the demo data or a plant just begun, and the application on a free port. */
export async function openHouse({ demo = true } = {}): Promise<TestHouse> {
  const dataDir = copyOf(inject('models')[demo ? 'demo' : 'empty']);
  const mariadb = await startDatabase({ dataDir, small: true });
  const config = (who: 'owner' | 'app'): DatabaseConfig => ({
    host: '127.0.0.1',
    port: mariadb.port,
    database: 'fulcrant',
    ...mariadb[who],
  });
  const owner = openDatabase(config('owner'));
  const first = await serve(config('app'), dataDir);
  const others: Served[] = [];
  const house: TestHouse = {
    ...first,
    owner,
    mariadb,
    dataDir,
    config,
    async another(options) {
      const one = await serve(config('app'), dataDir, options);
      others.push(one);
      return one;
    },
    async close() {
      for (const one of [first, ...others]) await one.close();
      await owner.sequelize.close();
      // A test may have stopped the first database and started another in its place.
      await house.mariadb.stop();
      rmSync(dataDir, { recursive: true, force: true });
    },
  };
  return house;
}

// biome-ignore lint/suspicious/noExplicitAny: a test reads answers of every shape
type Answer = { status: number; body: any; headers: Headers };
export type Caller = (method: string, path: string, body?: unknown) => Promise<Answer>;

/** What a browser of somebody signed in sends along. */
export async function cookieOf(url: string, name: string): Promise<string> {
  const response = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, password: 'beet-campaign' }),
  });
  return cookiesIn(response).join('; ');
}

/** What a browser would keep of an answer: its session, and what the device is known by. */
export const cookiesIn = (response: Response): string[] =>
  response.headers.getSetCookie().map((c) => c.split(';')[0] ?? '');

/** Somebody at the API: signed in by name, or nobody. */
export async function caller(url: string, name?: string): Promise<Caller> {
  const cookie = name ? await cookieOf(url, name) : '';
  const call: Caller = async (method, path, body) => {
    const response = await fetch(`${url}${path}`, {
      method,
      headers: {
        ...(cookie ? { cookie } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await response.text();
    const json = response.headers.get('content-type')?.includes('json');
    return { status: response.status, body: json ? JSON.parse(text) : text, headers: response.headers };
  };
  return call;
}

/** Everybody of the works at the API: a fitter, a lead hand, a viewer, and who is not signed in. */
export async function everybodyAt(
  url: string,
): Promise<{ asta: Caller; imke: Caller; oskar: Caller; nobody: Caller }> {
  const [asta, imke, oskar, nobody] = await Promise.all([
    caller(url, 'Asta'),
    caller(url, 'Imke'),
    caller(url, 'Oskar'),
    caller(url),
  ]);
  return { asta, imke, oskar, nobody };
}

const tool = (id: string): Instrument => {
  const g = GAUGES[id];
  if (!g) throw new Error(id);
  return inHand(g);
};
export const TOOLS: HandTools = {
  micrometer: tool('mic-4'),
  feeler: tool('feel-a'),
  wrench: tool('wrench-3'),
  protractor: tool('slot'),
  dial: tool('dial-2'),
};

export const person = (id: string): Author => {
  const p = PEOPLE.find((x) => x.id === id);
  if (!p) throw new Error(id);
  return p;
};

/** A hand at a fresh job of a fresh position; its events are posted by the test. */
export function freshHand(name: string, change: Partial<SleeveSetup> = {}): BearingHand {
  const id = (at: Date) => v7({ msecs: at.getTime() });
  const began = new Date(Date.now() - 3_600_000);
  return new BearingHand(v7(), id, TOOLS, person('asta'), began).open(
    v7(),
    setupOf('Test stand', name, change),
  );
}

/** A hand's events from the n-th on, as a request's body. */
export const batch = (h: BearingHand, from = 0): { events: JobEvent[] } => ({
  events: h.events.slice(from),
});
