import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, openSync, readFileSync, rmSync } from 'node:fs';
import { userInfo } from 'node:os';
import { join, resolve } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { freePort } from '../../scripts/database.mjs';
import { onPath } from '../../scripts/packages.mjs';

/**
 * @typedef {{ port: number, kill: () => Promise<void>, start: () => Promise<void>, running: () => boolean }} ClusterNode
 * @typedef {{ nodes: ClusterNode[], owner: { user: string, password: string }, app: { user: string, password: string },
 *   stop: () => Promise<void> }} Cluster
 */

/** Where Debian's galera-4 keeps what joins databases to one. */
const PROVIDERS = ['/usr/lib/galera/libgalera_smm.so', '/usr/lib/libgalera_smm.so'];
export const galera = () => PROVIDERS.find((p) => existsSync(p)) ?? null;
/** Debian's packages a cluster needs beside the database. */
export const CLUSTER_PACKAGES = /** @type {const} */ (['galera-4', 'rsync']);

/** @param {string} program */
const need = (program) => {
  const path = onPath(program);
  if (!path) throw new Error(`${program} is not installed.`);
  return path;
};

/**
 * A Galera cluster on loopback, a folder a database: what one is told all hold before it is acknowledged. As root it runs as the user
 * mysql: the state of one could not be handed to another otherwise.
 * @param {{ dataDir: string, size?: number }} options
 * @returns {Promise<Cluster>}
 */
export async function startCluster({ dataDir, size = 3 }) {
  const provider = galera();
  if (!provider) throw new Error('The library of Debian’s package galera-4 is not there.');
  const root = process.getuid?.() === 0;
  const account = root ? 'mysql' : userInfo().username;
  const dir = resolve(dataDir);
  mkdirSync(dir, { recursive: true, mode: 0o711 });
  const password = () => randomBytes(24).toString('base64url');
  const owner = { user: 'fulcrant_owner', password: password() };
  const app = { user: 'fulcrant_app', password: password() };
  /** @type {Array<{ sql: number, group: number, ist: number, sst: number }>} */
  const ports = [];
  for (let i = 0; i < size; i++)
    ports.push({
      sql: await freePort(),
      group: await freePort(),
      ist: await freePort(),
      sst: await freePort(),
    });
  const address = `gcomm://${ports.map((p) => `127.0.0.1:${p.group}`).join(',')}`;

  /** @param {number} i */
  function node(i) {
    const { sql, group, ist, sst } = /** @type {(typeof ports)[number]} */ (ports[i]);
    const home = join(dir, `node${i}`);
    // In its own folder: the user it runs as need not be able to write beside it.
    const socket = join(home, 's.sock');
    const log = join(home, 'mariadb.log');
    /** @type {import('node:child_process').ChildProcess | null} */
    let child = null;
    const always = [
      '--no-defaults',
      ...(root ? ['--user=mysql'] : []),
      `--datadir=${join(home, 'data')}`,
      `--tmpdir=${join(home, 'tmp')}`,
      `--socket=${socket}`,
      `--port=${sql}`,
      `--pid-file=${join(home, 'mariadb.pid')}`,
      '--bind-address=127.0.0.1',
      '--skip-name-resolve',
      '--character-set-server=utf8mb4',
      '--innodb-buffer-pool-size=128M',
      '--innodb-log-file-size=96M',
      // Another database holds what this one acknowledged: its own log may reach the disk a moment later.
      '--innodb-flush-log-at-trx-commit=2',
      '--column-compression-zlib-level=1',
      '--performance-schema=OFF',
      '--binlog-format=ROW',
      '--innodb-autoinc-lock-mode=2',
      '--wsrep-on=ON',
      `--wsrep-provider=${provider}`,
      `--wsrep-cluster-name=fulcrant`,
      '--wsrep-sst-method=rsync',
      `--wsrep-sst-receive-address=127.0.0.1:${sst}`,
      `--wsrep-node-address=127.0.0.1:${group}`,
      // Numbers of jobs go one by one, whichever database gives them: two at once are settled at the commit.
      '--wsrep-auto-increment-control=OFF',
      '--auto-increment-increment=1',
      '--auto-increment-offset=1',
      `--wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:${group};ist.recv_addr=127.0.0.1:${ist};evs.keepalive_period=PT0.5S;evs.suspect_timeout=PT2S;evs.inactive_timeout=PT4S;gcache.size=64M`,
    ];
    const ask = (/** @type {string} */ text) =>
      spawnSync(need('mariadb'), ['--no-defaults', `--socket=${socket}`, `--user=${account}`, '-N'], {
        input: text,
        encoding: 'utf8',
        ...(root ? { uid: uidOf('mysql') } : {}),
      });
    return {
      port: sql,
      home,
      log,
      ask,
      running: () => child !== null && child.exitCode === null && child.signalCode === null,
      make() {
        for (const part of ['data', 'tmp']) mkdirSync(join(home, part), { recursive: true, mode: 0o700 });
        if (root) spawnSync('chown', ['-R', 'mysql', home]);
        const made = spawnSync(
          need('mariadb-install-db'),
          [
            '--no-defaults',
            `--datadir=${join(home, 'data')}`,
            `--tmpdir=${join(home, 'tmp')}`,
            '--auth-root-authentication-method=socket',
            `--auth-root-socket-user=${account}`,
            '--skip-test-db',
            ...(root ? ['--user=mysql'] : []),
          ],
          { encoding: 'utf8' },
        );
        if (made.status !== 0) throw new Error(`${made.stdout}\n${made.stderr}`);
      },
      /** @param {boolean} first */
      async start(first = false) {
        const recovered = first ? null : recover(always, log);
        const out = openSync(log, 'a');
        child = spawn(
          need('mariadbd'),
          [
            ...always,
            `--wsrep-cluster-address=${first ? 'gcomm://' : address}`,
            ...(recovered ? [`--wsrep-start-position=${recovered}`] : []),
          ],
          { stdio: ['ignore', out, out], detached: true },
        );
        child.unref();
        for (let t = 0; ; t++) {
          const { stdout } = ask("SHOW GLOBAL STATUS LIKE 'wsrep_ready'");
          if (/\tON/.test(stdout)) return;
          if (child.exitCode !== null || child.signalCode !== null || t > 900)
            throw new Error(
              `A database of the cluster did not come up:\n${readFileSync(log, 'utf8').slice(-3000)}`,
            );
          await wait(100);
        }
      },
      /** @param {NodeJS.Signals} signal */
      async end(signal) {
        const running = child;
        if (!running || running.exitCode !== null || running.signalCode !== null) return;
        const gone = new Promise((done) => running.once('exit', done));
        running.kill(signal);
        const late = setTimeout(() => running.kill('SIGKILL'), 20_000);
        await gone;
        clearTimeout(late);
        rmSync(socket, { force: true });
      },
    };
  }

  const all = ports.map((_, i) => node(i));
  for (const n of all) n.make();
  for (const [i, n] of all.entries()) await n.start(i === 0);
  const made = all[0]?.ask(
    [
      'CREATE DATABASE IF NOT EXISTS fulcrant CHARACTER SET utf8mb4',
      `CREATE USER IF NOT EXISTS 'fulcrant_owner'@'127.0.0.1' IDENTIFIED BY '${owner.password}'`,
      `CREATE USER IF NOT EXISTS 'fulcrant_app'@'127.0.0.1' IDENTIFIED BY '${app.password}'`,
      "GRANT ALL ON fulcrant.* TO 'fulcrant_owner'@'127.0.0.1' WITH GRANT OPTION",
    ].join(';\n'),
  );
  if (made?.status !== 0) throw new Error(made?.stderr);
  return {
    nodes: all.map((n) => ({
      port: n.port,
      running: n.running,
      kill: () => n.end('SIGKILL'),
      start: () => n.start(),
    })),
    owner,
    app,
    stop: async () => {
      for (const n of [...all].reverse()) await n.end('SIGTERM');
    },
  };
}

/** @param {string} user */
const uidOf = (user) => Number(spawnSync('id', ['-u', user], { encoding: 'utf8' }).stdout.trim());

/** Up to where a database that was killed holds the common record: from there on it is told by the others. @param {string[]} always @param {string} log */
function recover(always, log) {
  const { stderr, stdout } = spawnSync(
    need('mariadbd'),
    [...always, '--wsrep-recover', `--log-error=${log}.recover`],
    {
      encoding: 'utf8',
    },
  );
  const said = `${stdout}\n${stderr}\n${existsSync(`${log}.recover`) ? readFileSync(`${log}.recover`, 'utf8') : ''}`;
  return [...said.matchAll(/Recovered position: ([0-9a-f-]{36}:-?\d+)/g)].at(-1)?.[1] ?? null;
}
