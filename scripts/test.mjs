import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statfsSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { CLUSTER_PACKAGES } from './cluster.mjs';
import { ensureBrowser, ensureModules, ensurePackages } from './packages.mjs';
import { PROJECTS } from './types.mjs';

process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
ensurePackages(['mariadb-server', 'poppler-utils', ...CLUSTER_PACKAGES]);
ensureBrowser();
ensureModules();
const { buildAll } = await import('./build.mjs');

/**
 * Houses of tests live for seconds and are copied by the dozen: in memory where there is room, so that no disk is waited for. Others must be
 * able to pass through: a database of a cluster runs as a user of its own.
 */
function inMemory() {
  const [memory, room] = ['/dev/shm', 6 * 1024 ** 3];
  if (!existsSync(memory)) return;
  const { bavail, bsize } = statfsSync(memory);
  if (bavail * bsize < room) return;
  const dir = mkdtempSync(`${memory}/fulcrant-`);
  chmodSync(dir, 0o711);
  process.env.TMPDIR = dir;
  process.on('exit', () => rmSync(dir, { recursive: true, force: true }));
  for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM']))
    process.on(signal, () => process.exit(130));
}
inMemory();

let passed = 0;
let failed = 0;

/** @typedef {[name: string, command: string, args: string[]]} Check */

/** Checks that are commands, two at a time: each counts as one. @param {Check[]} checks */
async function checkBy(checks) {
  const left = [...checks];
  const hand = async () => {
    for (let next = left.shift(); next; next = left.shift()) {
      const [name, command, args] = next;
      const run = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
      let said = '';
      for (const stream of [run.stdout, run.stderr]) stream.on('data', (d) => (said += d));
      const ok = await new Promise((done) => run.on('close', (code) => done(code === 0)));
      if (said.trim()) console.log(said.trimEnd());
      console.log(`${ok ? 'ok' : 'NOT OK'}  ${name}`);
      if (ok) passed++;
      else failed++;
    }
  };
  await Promise.all([hand(), hand()]);
}

/**
 * Vitest projects; every test counts. @param {string} name @param {string[]} projects
 * @param {number} workers so many files at a time
 */
function tests(name, projects, workers) {
  const report = `.tmp/${name}.json`;
  mkdirSync('.tmp', { recursive: true });
  rmSync(report, { force: true });
  const run = spawnSync(
    'node_modules/.bin/vitest',
    [
      'run',
      ...projects.flatMap((p) => ['--project', p]),
      `--maxWorkers=${workers}`,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
    ],
    { stdio: ['ignore', 'inherit', 'inherit'] },
  );
  if (!existsSync(report)) {
    failed++;
    return;
  }
  const result = JSON.parse(readFileSync(report, 'utf8'));
  passed += result.numPassedTests;
  failed += result.numFailedTests;
  // A file that could not be loaded, or an unhandled fault, fails without any failed test of its own.
  if (run.status !== 0 && result.numFailedTests === 0) failed++;
}

const bin = (/** @type {string} */ name) => `node_modules/.bin/${name}`;
await checkBy([
  ...PROJECTS.map((p) => /** @type {Check} */ ([`types of ${p}`, bin('tsc'), ['--noEmit', '-p', p]])),
  ['lint and format', bin('biome'), ['check', '--error-on-warnings', '.']],
  ['imports run one way', process.execPath, ['scripts/imports.mjs']],
]);
await buildAll();
tests('units', ['core', 'web', 'cli', 'coverage', 'server'], 2);
// A hand at a browser waits half its time, for a gauge, a frame, a server that comes back: a third fills it.
tests('e2e', ['e2e'], 3);

/** Processes a test run left behind: databases of test folders, browsers and servers that are its children. */
function leftBehind() {
  return readdirSync('/proc')
    .filter((p) => /^\d+$/.test(p))
    .flatMap((pid) => {
      try {
        const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
        return /fulcrant-(test|e2e)-/.test(command) ? [{ pid: Number(pid), command }] : [];
      } catch {
        return []; // It ended while we looked.
      }
    });
}
const left = leftBehind();
for (const { pid, command } of left) {
  console.error(`left behind: ${command}`);
  process.kill(pid, 'SIGTERM');
}
if (left.length > 0) failed++;
else passed++;
console.log(`${left.length > 0 ? 'NOT OK' : 'ok'}  no process left behind`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
