import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBrowser, ensureModules, ensurePackages } from './packages.mjs';
import { PROJECTS } from './types.mjs';
import { runVitest, testsInMemory } from './vitest.mjs';

process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));

/** A fixed piece of computing, in seconds on one core: machines differ by half, so the whole run is also told as a multiple of it. */
function fixedComputation() {
  const began = performance.now();
  let x = 1;
  for (let i = 0; i < 120_000_000; i++) x = (x * 48_271) % 2_147_483_647;
  const hash = createHash('sha256').update(String(x));
  for (let i = 0; i < 64; i++) hash.update(Buffer.alloc(2 ** 20, i));
  hash.digest();
  return (performance.now() - began) / 1000;
}

const fixed = fixedComputation();
const began = performance.now();
let passed = 0;
let failed = 0;
/** @type {Array<[what: string, seconds: number]>} */
const phases = [];

/** @template T @param {string} what @param {() => T | Promise<T>} work @returns {Promise<T>} */
async function phase(what, work) {
  const from = performance.now();
  const result = await work();
  phases.push([what, (performance.now() - from) / 1000]);
  return result;
}

/** @typedef {[name: string, command: string, args: string[]]} Check */

/** Checks that are commands, two at a time: each counts as one. @param {Check[]} checks */
async function checkBy(checks) {
  const left = [...checks];
  const one = async () => {
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
  await Promise.all([one(), one()]);
}

const bin = (/** @type {string} */ name) => `node_modules/.bin/${name}`;
const packages = (async () => {
  await ensurePackages(['mariadb-server', 'poppler-utils', 'qpdf']);
  await ensureBrowser();
})();
await phase('npm packages', ensureModules);
await phase('types, lint, imports', () =>
  checkBy([
    ...PROJECTS.map((p) => /** @type {Check} */ ([`types of ${p}`, bin('tsc'), ['--noEmit', '-p', p]])),
    ['lint and format', bin('biome'), ['check', '--error-on-warnings', '.']],
    ['imports run one way', process.execPath, ['scripts/imports.mjs']],
    ['texts: no new finding', process.execPath, ['scripts/texts.mjs']],
  ]),
);
await phase('build', async () => (await import('./build.mjs')).buildAll());
await phase('rest of the system packages', () => packages);

testsInMemory();
const outcomes = [
  await phase('unit, component and server tests', () =>
    runVitest('units', ['core', 'practice', 'web', 'components', 'cli', 'uncertainty', 'api', 'server'], {
      workers: 2,
    }),
  ),
  // A browser test waits half its time, for a gauge, a frame, a server that comes back: a third one fills it.
  await phase('browser tests', () => runVitest('e2e', ['e2e'], { workers: 3 })),
];
for (const outcome of outcomes) {
  passed += outcome.passed;
  failed += outcome.failed;
}

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

console.log('\nWhere the time went:');
for (const [what, seconds] of phases) console.log(`${seconds.toFixed(1).padStart(8)} s  ${what}`);
const whole = (performance.now() - began) / 1000;
console.log(
  `${whole.toFixed(1).padStart(8)} s  the whole run: ${(whole / fixed).toFixed(0)} times a fixed computation of ${fixed.toFixed(2)} s`,
);
console.log('\nThe ten slowest files:');
const slowest = outcomes.flatMap((o) => o.files).sort((a, b) => b.seconds - a.seconds);
for (const { file, seconds } of slowest.slice(0, 10))
  console.log(`${seconds.toFixed(1).padStart(8)} s  ${file}`);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
