import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { holdFolder } from './lock.mjs';
import { ensureModules, ensurePackages } from './packages.mjs';

process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
const port = Number(process.env.PORT ?? 4170);
const dataDir = process.env.FULCRANT_DATA ?? '.data';
const host = process.env.HOST ?? '127.0.0.1';
if (!Number.isInteger(port) || port < 1 || port > 65534) {
  console.error(`PORT must be a number from 1 to 65534, not “${process.env.PORT}”.`);
  process.exit(1);
}
const processes = Number(process.env.FULCRANT_PROCESSES ?? 1);
if (!Number.isInteger(processes) || processes < 1 || processes > 32) {
  console.error(`FULCRANT_PROCESSES must be a number from 1 to 32, not “${process.env.FULCRANT_PROCESSES}”.`);
  process.exit(1);
}
// The database listens beside the first server; more servers on every second port after it.
const serverPorts = Array.from({ length: processes }, (_, i) => port + 2 * i);
// One start a folder, held until this process ends: a second one is told so before it installs, builds or touches anything.
mkdirSync(dataDir, { recursive: true, mode: 0o700 });
await holdFolder(dataDir).catch((error) => {
  console.error(error.message);
  process.exit(1);
});

await ensurePackages(['mariadb-server']);
await ensureModules();
const { buildAll } = await import('./build.mjs');
const { startDatabase, databaseEnv, freePort } = await import('./database.mjs');

for (const wanted of serverPorts)
  if ((await freePort(wanted)) !== wanted) {
    console.error(`Port ${wanted} is taken. Stop what uses it, or choose another:  PORT=4270 npm start`);
    process.exit(1);
  }
console.log('Building …');
await buildAll();
console.log('Starting the database …');
let db = await startDatabase({ dataDir, port: port + 1 });

/** Servers that run, by their ports. @type {Map<number, import('node:child_process').ChildProcess>} */
const servers = new Map();
let leaving = false;

/** Stop what this script started, in order, and nothing else. @param {number} code */
async function leave(code) {
  if (leaving) return;
  leaving = true;
  await stopServers();
  await db.stop();
  process.exit(code);
}
process.on('SIGINT', () => void leave(0));
process.on('SIGTERM', () => void leave(0));
process.on('SIGHUP', () => void leave(0));

/** Tables, rights and the demo data, before any server runs. */
const prepare = () =>
  spawnSync(process.execPath, ['server/dist/prepare.js'], {
    env: {
      ...process.env,
      ...databaseEnv(db, 'owner'),
      FULCRANT_SERVING_USER: db.app.user,
      FULCRANT_DATA: dataDir,
      FULCRANT_DEMO: process.argv.includes('--empty') ? '0' : (process.env.FULCRANT_DEMO ?? '1'),
    },
    stdio: 'inherit',
  }).status === 0;
if (!prepare()) await leave(1);

/** How long before each attempt to bring something up again, and after how long a life it counts as well. */
const PAUSES_MS = [200, 500, 1000, 2000, 3000, 5000];
const WELL_MS = 20_000;

/**
 * Keep something running: when it dies it is brought up again after a pause that grows while it keeps dying.
 * @param {string} what @param {() => Promise<{ ended: Promise<unknown> }>} bringUp resolves when it is up, to what tells its end
 */
async function keep(what, bringUp) {
  for (let deaths = 0; !leaving; ) {
    const began = Date.now();
    try {
      const { ended } = await bringUp();
      if (deaths > 0) console.error(`${what} is back.`);
      await ended;
    } catch (error) {
      if (!leaving)
        console.error(`${what} did not come up: ${error instanceof Error ? error.message : error}`);
    }
    if (leaving) return;
    deaths = Date.now() - began > WELL_MS ? 1 : deaths + 1;
    const pause = PAUSES_MS[Math.min(deaths, PAUSES_MS.length) - 1] ?? 5000;
    console.error(`${what} ended. It is brought up again in ${pause / 1000} s.`);
    await wait(pause);
  }
}

async function stopServers() {
  await Promise.all(
    [...servers.values()].map(async (running) => {
      if (running.exitCode !== null || running.signalCode !== null) return;
      const gone = new Promise((done) => running.once('exit', done));
      running.kill('SIGTERM');
      await Promise.race([gone, wait(12_000)]);
    }),
  );
}

/** A server, up as soon as it is started: it says itself when the database is away. @param {number} at its port */
async function bringUpServer(at) {
  // A lead hand asked for the demo laid anew: no server runs meanwhile.
  if (existsSync(join(dataDir, 'demo-anew'))) {
    await stopServers();
    if (!prepare()) throw new Error('the demo could not be laid anew');
  }
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    detached: true,
    env: {
      ...process.env,
      ...databaseEnv(db, 'app'),
      PORT: String(at),
      HOST: host,
      FULCRANT_WEB: 'web/dist',
      FULCRANT_DATA: dataDir,
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      FULCRANT_SUPERVISED: '1',
    },
    stdio: ['pipe', 'inherit', 'inherit'],
  });
  servers.set(at, child);
  return { ended: new Promise((done) => child.once('exit', done)) };
}

let first = true;
void keep('The database', async () => {
  // The first one is up already; later ones come back on the same port, so that the server finds them by itself.
  if (!first) db = await startDatabase({ dataDir, port: port + 1 });
  first = false;
  return { ended: db.ended };
});
for (const at of serverPorts)
  void keep(processes === 1 ? 'The server' : `The server on port ${at}`, () => bringUpServer(at));

const address = `http://${host === '0.0.0.0' ? 'localhost' : host}:${port}`;
for (let i = 0; i < 200 && !leaving; i++) {
  const up = await fetch(`${address}/api/health`).then(
    (r) => r.ok,
    () => false,
  );
  if (up) {
    console.log(`
Fulcrant is at ${address}${processes === 1 ? '' : `, and on port ${serverPorts.slice(1).join(', ')}`}

  Data in ${dataDir}. Ctrl-C stops it.`);
    break;
  }
  await wait(100);
}
