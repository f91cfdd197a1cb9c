import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  chromium,
  type Page,
} from 'playwright-core';
import { databaseEnv, freePort, startDatabase } from '../../../scripts/database.mjs';
import { browserPath } from '../../../scripts/packages.mjs';

type RunningDb = Awaited<ReturnType<typeof startDatabase>>;
/** Where a database is, and who may enter. */
export type Db = Pick<RunningDb, 'port' | 'owner' | 'app'> & {
  /** The plant’s folder: photographs lie in it. */
  folder: string;
};
/** What a server of the works is reached by. */
export type Works = { dataDir: string; db: RunningDb; at: Db; said: string };

const PASSWORD = 'beet-campaign';

/** A works laid in: MariaDB with the demo's people, gauges and jobs; or one with nothing in it, which says its code. `small` as long as a test. */
export async function layWorks({ demo = true, small = true } = {}): Promise<Works> {
  const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  const db = await startDatabase({ dataDir, small });
  const prepared = spawnSync(process.execPath, ['server/dist/prepare.js'], {
    env: {
      ...process.env,
      ...databaseEnv(db, 'owner'),
      FULCRANT_SERVING_USER: db.app.user,
      FULCRANT_DEMO: demo ? '1' : '0',
    },
    encoding: 'utf8',
  });
  if (prepared.status !== 0) throw new Error(prepared.stderr);
  const { port, owner, app } = db;
  return { dataDir, db, at: { port, owner, app, folder: dataDir }, said: prepared.stdout };
}

/** A works as it was laid in elsewhere and put by: the folder is copied, its database started. */
export async function copyWorks(model: string): Promise<Works> {
  const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  cpSync(model, dataDir, { recursive: true });
  const db = await startDatabase({ dataDir, small: true });
  const { port, owner, app } = db;
  return { dataDir, db, at: { port, owner, app, folder: dataDir }, said: '' };
}

/** The works cleared away. */
export async function clearWorks({ dataDir, db }: Works): Promise<void> {
  await db.stop();
  rmSync(dataDir, { recursive: true, force: true });
}

/** A server of the works as a process that can be killed, and a browser at it: Debian's Chromium. */
export class Plant {
  private constructor(
    readonly url: string,
    readonly browser: Browser,
    /** The server, where it is this one's own. */
    private server: ChildProcess | null,
    private readonly again: () => ChildProcess,
    private readonly after: () => Promise<void>,
  ) {}

  /** A works of its own, cleared away with it: laid in new, or a copy of one put by. */
  static async open(model?: string): Promise<Plant> {
    const works = await (model ? copyWorks(model) : layWorks());
    return Plant.serving(works.at, () => clearWorks(works));
  }

  /** A server of one's own at a works that stands. */
  static async serving(db: Db, after: () => Promise<void> = async () => {}): Promise<Plant> {
    const port = await freePort();
    const again = () => startServer(port, db);
    const plant = new Plant(`http://127.0.0.1:${port}`, await launch(), again(), again, after);
    try {
      await plant.answering();
    } catch (error) {
      await plant.close();
      throw error;
    }
    return plant;
  }

  /** A browser at a server that runs. */
  static async at(url: string): Promise<Plant> {
    const none = () => {
      throw new Error('That server is not this one’s own.');
    };
    return new Plant(url, await launch(), null, none, async () => {});
  }

  /** Wait until the server answers: on a busy machine it takes its time to begin. */
  async answering(): Promise<void> {
    for (const until = Date.now() + 90_000; Date.now() < until; ) {
      if (
        await fetch(`${this.url}/api/health`, { signal: AbortSignal.timeout(5_000) }).then(
          (r) => r.ok,
          () => false,
        )
      )
        return;
      await new Promise((done) => setTimeout(done, 50));
    }
    throw new Error('The server does not answer.');
  }

  /** The server dies without warning. */
  async killServer(): Promise<void> {
    await this.end('SIGKILL');
  }

  private async end(signal: NodeJS.Signals): Promise<void> {
    const { server } = this;
    if (!server) return;
    const gone = new Promise((done) => server.once('exit', done));
    server.kill(signal);
    await gone;
  }

  async restartServer(): Promise<void> {
    this.server = this.again();
    await this.answering();
  }

  /**
   * A device nobody is signed in on. One that will be without network (`away`) first fetches the whole application to keep; the others are
   * spared that.
   */
  device({
    away = false,
    ...more
  }: BrowserContextOptions & { away?: boolean } = {}): Promise<BrowserContext> {
    return this.browser.newContext({
      viewport: { width: 1280, height: 800 },
      serviceWorkers: away ? 'allow' : 'block',
      ...more,
    });
  }

  /** A device of one's own that its person is signed in on already; nothing is opened on it yet. */
  async visit(
    name: string,
    { away = false } = {},
  ): Promise<{ context: BrowserContext; page: Page; complaints: string[] }> {
    const storageState = await signedIn(this.url, name);
    const context = await this.device({ away, acceptDownloads: true, storageState });
    const page = await context.newPage();
    const complaints: string[] = [];
    page.on('pageerror', (e) => complaints.push(e.message));
    page.on('console', (m) => {
      if (m.type() === 'error' && !/Failed to load resource|ERR_INTERNET|ERR_CONNECTION/.test(m.text()))
        complaints.push(m.text());
    });
    page.on('request', (r) => {
      if (!r.url().startsWith(this.url) && !r.url().startsWith('data:') && !r.url().startsWith('blob:'))
        complaints.push(`request outside: ${r.url()}`);
    });
    return { context, page, complaints };
  }

  async close(): Promise<void> {
    await this.browser.close();
    await this.end('SIGTERM');
    await this.after();
  }
}

/** Debian's Chromium, with nothing of its own going over the network. */
const launch = (): Promise<Browser> =>
  chromium.launch({
    executablePath: browserPath() ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });

export function startServer(port: number, db: Db, more: NodeJS.ProcessEnv = {}): ChildProcess {
  return spawn(process.execPath, ['server/dist/main.js'], {
    env: {
      ...process.env,
      ...databaseEnv(db, 'app'),
      PORT: String(port),
      FULCRANT_WEB: 'web/dist',
      FULCRANT_DATA: db.folder,
      LOG_LEVEL: 'error',
      ...more,
    },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
}

/** What a device keeps of somebody who signed in on it. */
async function signedIn(url: string, name: string) {
  const answer = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, password: PASSWORD }),
  });
  if (!answer.ok) throw new Error(`${name} does not get in: ${await answer.text()}`);
  const { person, plant } = (await answer.json()) as { person: object; plant: object };
  const kept = { 'fulcrant.person': person, 'fulcrant.plant': plant };
  return {
    cookies: answer.headers.getSetCookie().map((c) => {
      const [pair = ''] = c.split(';');
      const at = pair.indexOf('=');
      const { hostname: domain } = new URL(url);
      return {
        name: pair.slice(0, at),
        value: pair.slice(at + 1),
        domain,
        path: '/',
        expires: -1,
        httpOnly: true,
        secure: false,
        sameSite: 'Strict' as const,
      };
    }),
    origins: [
      {
        origin: url,
        localStorage: Object.entries(kept).map(([key, v]) => ({ name: key, value: JSON.stringify(v) })),
      },
    ],
  };
}

/** Sign in by the page, as somebody who takes over a device does. */
export async function signIn(page: Page, url: string, name: string): Promise<void> {
  await page.goto(`${url}/sign-in`);
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.getByRole('heading', { name: 'Shift board' }).waitFor();
}
