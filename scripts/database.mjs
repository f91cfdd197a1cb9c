import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { join, resolve } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { holdFolder } from './lock.mjs';
import { onPath } from './packages.mjs';

/**
 * @typedef {{ port: number, owner: { user: string, password: string }, app: { user: string, password: string },
 *   pid: number, ended: Promise<void>, stop: () => Promise<void> }} RunningDatabase
 */

/** A TCP port nobody listens on, `wanted` if it is free. @param {number} [wanted] @returns {Promise<number>} */
export function freePort(wanted = 0) {
  return new Promise((done, fail) => {
    const probe = createServer();
    probe.once('error', () => (wanted === 0 ? fail(new Error('no free port')) : freePort().then(done, fail)));
    probe.listen(wanted, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** Passwords made once per data folder, readable by its owner only. @param {string} dir */
function secrets(dir) {
  const file = join(dir, 'database.json');
  if (!existsSync(file)) {
    const password = () => randomBytes(24).toString('base64url');
    writeFileSync(file, JSON.stringify({ owner: password(), app: password() }), { mode: 0o600 });
  }
  return /** @type {{ owner: string, app: string }} */ (JSON.parse(readFileSync(file, 'utf8')));
}

/** @param {string} program */
function need(program) {
  const path = onPath(program);
  if (!path) throw new Error(`${program} is not installed (Debian package mariadb-server).`);
  return path;
}

/** End a server left over from a start that was killed; its data folder is locked as long as it runs. @param {string} pidFile */
async function endLeftover(pidFile) {
  if (!existsSync(pidFile)) return;
  const pid = Number(readFileSync(pidFile, 'utf8'));
  try {
    if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(`--pid-file=${pidFile}`)) return;
    process.kill(pid, 'SIGTERM');
    for (let i = 0; i < 200 && existsSync(`/proc/${pid}`); i++) await wait(50);
  } catch {
    // Gone already.
  }
}

/**
 * Start MariaDB on loopback with its own data folder; make the folder, the database and the two users the first time.
 * It runs in a process group of its own, so that Ctrl-C reaches only the script that then stops it in order.
 * @param {{ dataDir: string, port?: number, small?: boolean }} options `small` for a plant that lives as long as a test: copied and begun in a moment
 * @returns {Promise<RunningDatabase>}
 */
export async function startDatabase({ dataDir, port: wanted, small = false }) {
  const dir = resolve(dataDir);
  const files = join(dir, 'mariadb');
  // A socket path may not pass 107 bytes, so it does not live in the data folder.
  const socket = join(
    tmpdir(),
    `fulcrant-${createHash('sha256').update(dir).digest('hex').slice(0, 12)}.sock`,
  );
  const pidFile = join(dir, 'mariadb.pid');
  const account = userInfo().username;
  // Its own folder for temporary tables: a server that starts clears those it finds, its neighbours' too.
  const temporary = join(dir, 'tmp');
  mkdirSync(temporary, { recursive: true, mode: 0o700 });
  // Held before anything is looked at: a database left over may be ended only where no other start lives on it.
  const letGo = await holdFolder(dir);
  try {
    return await bringUp();
  } catch (error) {
    letGo();
    throw error;
  }

  /** @returns {Promise<RunningDatabase>} */
  async function bringUp() {
    await endLeftover(pidFile);
    const { owner, app } = secrets(dir);
    const asRoot = process.getuid?.() === 0 ? ['--user=root'] : [];
    if (!existsSync(join(files, 'mysql'))) {
      rmSync(files, { recursive: true, force: true });
      const made = spawnSync(
        need('mariadb-install-db'),
        [
          '--no-defaults',
          `--datadir=${files}`,
          '--auth-root-authentication-method=socket',
          `--auth-root-socket-user=${account}`,
          `--tmpdir=${temporary}`,
          '--skip-test-db',
          ...asRoot,
        ],
        { encoding: 'utf8' },
      );
      if (made.status !== 0)
        throw new Error(`The database folder could not be made:\n${made.stdout}\n${made.stderr}`);
    }
    const port = await freePort(wanted);
    const log = openSync(join(dir, 'mariadb.log'), 'a');
    const child = spawn(
      need('mariadbd'),
      [
        '--no-defaults',
        ...asRoot,
        `--datadir=${files}`,
        `--socket=${socket}`,
        `--port=${port}`,
        '--bind-address=127.0.0.1',
        `--tmpdir=${temporary}`,
        `--pid-file=${pidFile}`,
        '--skip-name-resolve',
        '--character-set-server=utf8mb4',
        `--innodb-buffer-pool-size=${small ? 64 : 256}M`,
        `--innodb-log-file-size=${small ? 16 : 256}M`,
        '--column-compression-zlib-level=1',
        '--performance-schema=OFF',
      ],
      { detached: true, stdio: ['ignore', log, log] },
    );
    let ended = false;
    child.on('exit', () => {
      ended = true;
    });
    const sql = [
      'CREATE DATABASE IF NOT EXISTS fulcrant CHARACTER SET utf8mb4',
      `CREATE USER IF NOT EXISTS 'fulcrant_owner'@'127.0.0.1' IDENTIFIED BY '${owner}'`,
      `CREATE USER IF NOT EXISTS 'fulcrant_app'@'127.0.0.1' IDENTIFIED BY '${app}'`,
      "GRANT ALL ON fulcrant.* TO 'fulcrant_owner'@'127.0.0.1' WITH GRANT OPTION",
    ].join(';\n');
    let last = '';
    for (let i = 0; ; i++) {
      if (ended) throw new Error(`The database did not start; see ${join(dir, 'mariadb.log')}.`);
      const run = spawnSync(need('mariadb'), ['--no-defaults', `--socket=${socket}`, `--user=${account}`], {
        input: sql,
        encoding: 'utf8',
      });
      if (run.status === 0) break;
      last = run.stderr;
      if (i > 300) throw new Error(`The database does not answer: ${last}`);
      await wait(100);
    }
    const stop = async () => {
      if (ended) return letGo();
      const gone = new Promise((done) => child.once('exit', done));
      child.kill('SIGTERM');
      const late = setTimeout(() => child.kill('SIGKILL'), 15_000);
      await gone;
      clearTimeout(late);
      letGo();
    };
    writeFileSync(join(dir, 'mariadb.port'), String(port));
    return {
      port,
      owner: { user: 'fulcrant_owner', password: owner },
      app: { user: 'fulcrant_app', password: app },
      pid: child.pid ?? 0,
      ended: new Promise((done) => child.once('exit', () => done(undefined))),
      stop,
    };
  }
}

/**
 * The database of a data folder that somebody else has running, as one who reads or writes beside it.
 * @param {string} dataDir @returns {{ port: number, owner: { user: string, password: string }, app: { user: string, password: string } } | null} null where it does not run
 */
export function runningDatabase(dataDir) {
  const dir = resolve(dataDir);
  const file = join(dir, 'mariadb.pid');
  if (!existsSync(file) || !existsSync(join(dir, 'mariadb.port'))) return null;
  const pid = Number(readFileSync(file, 'utf8'));
  try {
    if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(`--pid-file=${file}`)) return null;
  } catch {
    return null;
  }
  const { owner, app } = secrets(dir);
  return {
    port: Number(readFileSync(join(dir, 'mariadb.port'), 'utf8')),
    owner: { user: 'fulcrant_owner', password: owner },
    app: { user: 'fulcrant_app', password: app },
  };
}

/**
 * What the server needs in its environment to reach the database as one of its users.
 * @param {Pick<RunningDatabase, 'port' | 'owner' | 'app'>} db @param {'owner' | 'app'} who
 */
export function databaseEnv(db, who) {
  return {
    FULCRANT_DB_PORT: String(db.port),
    FULCRANT_DB_USER: db[who].user,
    FULCRANT_DB_PASSWORD: db[who].password,
  };
}
