import { spawn, spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { ensureModules, ensurePackages } from './packages.mjs';

process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
const port = Number(process.env.PORT ?? 4170);
const dataDir = process.env.FULCRANT_DATA ?? '.data';
const host = process.env.HOST ?? '127.0.0.1';
if (!Number.isInteger(port) || port < 1 || port > 65534) {
  console.error(`PORT must be a number from 1 to 65534, not “${process.env.PORT}”.`);
  process.exit(1);
}

ensurePackages(['mariadb-server']);
ensureModules();
const { buildAll } = await import('./build.mjs');
const { startDatabase, databaseEnv, freePort } = await import('./database.mjs');

if ((await freePort(port)) !== port) {
  console.error(`Port ${port} is taken. Stop what uses it, or choose another:  PORT=4270 npm start`);
  process.exit(1);
}
console.log('Building …');
await buildAll();
console.log('Starting the database …');
const db = await startDatabase({ dataDir, port: port + 1 });

/** @type {import('node:child_process').ChildProcess | null} */
let server = null;
let leaving = false;

/** Stop what this script started, in order, and nothing else. @param {number} code */
async function leave(code) {
  if (leaving) return;
  leaving = true;
  if (server && server.exitCode === null && server.signalCode === null) {
    const gone = new Promise((done) => server?.once('exit', done));
    server.kill('SIGTERM');
    await Promise.race([gone, wait(12_000)]);
  }
  await db.stop();
  process.exit(code);
}
process.on('SIGINT', () => void leave(0));
process.on('SIGTERM', () => void leave(0));
process.on('SIGHUP', () => void leave(0));

const prepared = spawnSync(process.execPath, ['server/dist/prepare.js'], {
  env: {
    ...process.env,
    ...databaseEnv(db, 'owner'),
    FULCRANT_SERVING_USER: db.app.user,
    FULCRANT_DEMO: '1',
  },
  stdio: 'inherit',
});
if (prepared.status !== 0) await leave(1);

server = spawn(process.execPath, ['server/dist/main.js'], {
  detached: true,
  env: {
    ...process.env,
    ...databaseEnv(db, 'app'),
    PORT: String(port),
    HOST: host,
    FULCRANT_WEB: 'web/dist',
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    FULCRANT_SUPERVISED: '1',
  },
  stdio: ['pipe', 'inherit', 'inherit'],
});
server.on('exit', (code) => {
  if (!leaving) {
    console.error(`The server ended (${code}). Stopping the database.`);
    void leave(1);
  }
});
const address = `http://${host === '0.0.0.0' ? 'localhost' : host}:${port}`;
for (let i = 0; i < 200 && !leaving; i++) {
  const up = await fetch(`${address}/api/health`).then(
    (r) => r.ok,
    () => false,
  );
  if (up) {
    console.log(`
Fulcrant is at ${address}

  Demo sign-ins (invented people, password beet-campaign):
    Asta    fitter
    Bram    fitter
    Imke    lead hand: releases holds, accepts deviations
    Oskar   viewer

  Data in ${dataDir}. Ctrl-C stops it.`);
    break;
  }
  await wait(100);
}
