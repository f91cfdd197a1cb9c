import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureModules, ensurePackages } from './packages.mjs';
import { PROJECTS } from './types.mjs';

process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
ensurePackages(['mariadb-server', 'chromium', 'poppler-utils']);
ensureModules();
const { buildAll } = await import('./build.mjs');

let passed = 0;
let failed = 0;

/** One check that is a command: it counts as one. @param {string} name @param {string} command @param {string[]} args */
function checkBy(name, command, args) {
  const ok = spawnSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'] }).status === 0;
  console.log(`${ok ? 'ok' : 'NOT OK'}  ${name}`);
  if (ok) passed++;
  else failed++;
}

/** Vitest projects; every test counts. @param {string} name @param {string[]} projects */
function tests(name, projects) {
  const report = `.tmp/${name}.json`;
  mkdirSync('.tmp', { recursive: true });
  rmSync(report, { force: true });
  const run = spawnSync(
    'node_modules/.bin/vitest',
    [
      'run',
      ...projects.flatMap((p) => ['--project', p]),
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
for (const project of PROJECTS) checkBy(`types of ${project}`, bin('tsc'), ['--noEmit', '-p', project]);
checkBy('lint and format', bin('biome'), ['check', '--error-on-warnings', '.']);
checkBy('imports run one way', process.execPath, ['scripts/imports.mjs']);
await buildAll();
tests('units', ['core', 'web', 'cli', 'coverage', 'server']);
tests('e2e', ['e2e']);

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
