import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Browser, type BrowserContext, chromium, type Page } from 'playwright-core';
import { databaseEnv, freePort, startDatabase } from '../../scripts/database.mjs';

/** A whole works of its own: MariaDB, the built server as a process that can be killed, Debian's Chromium. */
export class Plant {
  private constructor(
    readonly url: string,
    private readonly port: number,
    private readonly dataDir: string,
    private readonly db: Awaited<ReturnType<typeof startDatabase>>,
    readonly browser: Browser,
    private server: ChildProcess,
  ) {}

  static async open(): Promise<Plant> {
    const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
    const db = await startDatabase({ dataDir });
    const prepared = spawnSync(process.execPath, ['server/dist/prepare.js'], {
      env: {
        ...process.env,
        ...databaseEnv(db, 'owner'),
        FULCRANT_SERVING_USER: db.app.user,
        FULCRANT_DEMO: '1',
      },
      encoding: 'utf8',
    });
    if (prepared.status !== 0) throw new Error(prepared.stderr);
    const port = await freePort();
    const url = `http://127.0.0.1:${port}`;
    const browser = await chromium.launch({
      executablePath: '/usr/bin/chromium',
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
    const plant = new Plant(url, port, dataDir, db, browser, startServer(port, db));
    await plant.answering();
    return plant;
  }

  /** Wait until the server answers. */
  async answering(): Promise<void> {
    for (let i = 0; i < 200; i++) {
      if (
        await fetch(`${this.url}/api/health`).then(
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
    const gone = new Promise((done) => this.server.once('exit', done));
    this.server.kill('SIGKILL');
    await gone;
  }

  async restartServer(): Promise<void> {
    this.server = startServer(this.port, this.db);
    await this.answering();
  }

  /** A browser of one's own, signed in. */
  async visit(
    name: string,
    size = { width: 1280, height: 800 },
  ): Promise<{ context: BrowserContext; page: Page; complaints: string[] }> {
    const context = await this.browser.newContext({ viewport: size, acceptDownloads: true });
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
    await signIn(page, this.url, name);
    return { context, page, complaints };
  }

  async close(): Promise<void> {
    await this.browser.close();
    const gone = new Promise((done) => this.server.once('exit', done));
    this.server.kill('SIGTERM');
    await gone;
    await this.db.stop();
    rmSync(this.dataDir, { recursive: true, force: true });
  }
}

function startServer(port: number, db: Awaited<ReturnType<typeof startDatabase>>): ChildProcess {
  return spawn(process.execPath, ['server/dist/main.js'], {
    env: {
      ...process.env,
      ...databaseEnv(db, 'app'),
      PORT: String(port),
      FULCRANT_WEB: 'web/dist',
      LOG_LEVEL: 'error',
    },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
}

export async function signIn(page: Page, url: string, name: string): Promise<void> {
  await page.goto(`${url}/sign-in`);
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password').fill('beet-campaign');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await page.getByRole('heading', { name: 'Shift board' }).waitFor();
}
