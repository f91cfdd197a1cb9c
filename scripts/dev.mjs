import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { holdFolder } from './lock.mjs';
import { ensureModules, ensurePackages } from './packages.mjs';

/**
 * Work on the code with the product running: database, server, page and demo data by one command, at one address. A change in web or core is
 * on screen without a reload where it can be; a change in core or server starts the server again.
 * PORT is the address (4170), the database and the server take the two ports after it; FULCRANT_DATA is the folder (.dev).
 */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
// A build would else set it to production for this process, and the page would not be replaced in place.
process.env.NODE_ENV = 'development';
const port = Number(process.env.PORT ?? 4170);
const dataDir = process.env.FULCRANT_DATA ?? '.dev';
const [databasePort, serverPort] = [port + 1, port + 2];
mkdirSync(dataDir, { recursive: true, mode: 0o700 });
await holdFolder(dataDir).catch((error) => {
  console.error(error.message);
  process.exit(1);
});
await ensurePackages(['mariadb-server']);
await ensureModules();

const { createServer } = await import('vite');
const { bundle, SERVER_PROGRAMS } = await import('./build.mjs');
const { startDatabase, databaseEnv, freePort } = await import('./database.mjs');
const { hookCommits } = await import('./hooks.mjs');
const { licences } = await import('./licences.mjs');

for (const wanted of [port, serverPort])
  if ((await freePort(wanted)) !== wanted) {
    console.error(`Port ${wanted} is taken. Choose another:  PORT=4270 npm run dev`);
    process.exit(1);
  }
hookCommits();
const db = await startDatabase({ dataDir, port: databasePort });

const OUT = 'server/.tmp/dev';
/** @type {import('node:child_process').ChildProcess | undefined} */
let server;
let prepared = false;
let leaving = false;
/** Resolves when the server of the newest code answers; requests wait for it. */
let ready = Promise.resolve();

/** The database brought up to the newest schema, with the demo data; once a start, since migrations run at a start. */
function prepare() {
  if (prepared) return;
  const { status } = spawnSync(process.execPath, [`${OUT}/prepare.js`], {
    env: {
      ...process.env,
      ...databaseEnv(db, 'owner'),
      FULCRANT_SERVING_USER: db.app.user,
      FULCRANT_DEMO: process.argv.includes('--empty') ? '0' : '1',
    },
    stdio: 'inherit',
  });
  prepared = status === 0;
}

/** @param {import('node:child_process').ChildProcess | undefined} running */
async function end(running) {
  if (!running || running.exitCode !== null || running.signalCode !== null) return;
  const gone = new Promise((done) => running.once('exit', done));
  // Whatever was acknowledged is in the database: nobody waits here for a stream that stays open.
  running.kill('SIGKILL');
  await gone;
}

async function serve() {
  await end(server);
  prepare();
  server = spawn(process.execPath, [`${OUT}/main.js`], {
    env: {
      ...process.env,
      ...databaseEnv(db, 'app'),
      PORT: String(serverPort),
      FULCRANT_DATA: dataDir,
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      FULCRANT_SUPERVISED: '1',
    },
    stdio: ['pipe', 'inherit', 'inherit'],
  });
  for (let i = 0; i < 400 && !leaving; i++) {
    const up = await fetch(`http://127.0.0.1:${serverPort}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (up || server.exitCode !== null) return;
    await new Promise((done) => setTimeout(done, 25));
  }
}

const watcher = /** @type {import('rolldown').RolldownWatcher} */ (
  await bundle(OUT, SERVER_PROGRAMS, { watch: true })
);
/** @type {Promise<void>} */
const firstServed = new Promise((done) => {
  watcher.on('event', async (event) => {
    if (event.code === 'ERROR') console.error(`The server is not bundled: ${event.error.message}`);
    if (event.code !== 'BUNDLE_END') return;
    const began = performance.now();
    ready = serve();
    await ready;
    if (!leaving) console.log(`server: started in ${Math.round(performance.now() - began)} ms`);
    done();
  });
});

const page = await createServer({
  root: 'web',
  server: {
    host: '127.0.0.1',
    port,
    strictPort: true,
    proxy: { '/api': { target: `http://127.0.0.1:${serverPort}` } },
  },
  plugins: [
    {
      name: 'waits-for-the-server',
      configureServer({ middlewares }) {
        middlewares.use('/api', (_request, _response, next) => void ready.then(() => next()));
        middlewares.use('/licences.json', (_request, response) => {
          response.setHeader('content-type', 'application/json');
          response.end(JSON.stringify(licences()));
        });
      },
    },
  ],
});

async function leave() {
  if (leaving) return;
  leaving = true;
  await page.close();
  await watcher.close();
  await end(server);
  await db.stop();
  process.exit(0);
}
for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM', 'SIGHUP'])) process.on(signal, leave);

await firstServed;
await page.listen();
console.log(`\nFulcrant is at http://127.0.0.1:${port}, from the sources. Ctrl-C stops it.`);
