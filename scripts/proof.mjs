import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { CLUSTER_PACKAGES } from '../packages/trials/cluster.mjs';
import { ensureModules, ensurePackages } from './packages.mjs';

/**
 * Proofs that take minutes. `npm test` keeps a short form of each. `npm run proof -- walks` takes the usual number of tries and three
 * seeds; `npm run proof -- walks 2000 7 8` takes 2000 tries and the seeds 7 and 8. Ends with 1 where one does not hold.
 */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));

/**
 * @typedef {{ what: string, project: string, files: string[], tries: number, seeds?: string[] }} LongTest a test file with more tries
 * @typedef {{ what: string, tries: number | null, unit?: string, packages?: Array<Parameters<typeof ensurePackages>[0][number]> }} Trial a program
 */

/** @type {Record<string, LongTest>} */
const LONG_TESTS = {
  walks: {
    what: 'random legal walks through every kind of work, with changes of the setup between',
    project: 'core',
    files: ['core/src/engine/random-walks.test.ts'],
    tries: 100,
  },
  vanishes: {
    what: 'every field of every setup changed, alone and in pairs: nothing recorded is lost',
    project: 'core',
    files: ['core/src/engine/nothing-vanishes.test.ts'],
    tries: 400,
  },
  planner: {
    what: 'small outages against an integer program, larger ones against their bound',
    project: 'core',
    files: ['core/src/arithmetic/planning/schedule.test.ts'],
    tries: 300,
  },
  jobs: {
    what: 'every setup worked to its signature by the fields and buttons of the page',
    project: 'components',
    files: ['web/src/job/whole-jobs.test.tsx'],
    tries: 1,
    seeds: ['1'],
  },
  malformed: {
    what: 'requests nobody would send, over every route',
    project: 'server',
    files: ['server/src/http/malformed.test.ts'],
    tries: 10_000,
  },
  abuse: {
    what: 'storms of wrong passwords, benches and calculators hogged',
    project: 'server',
    files: ['entry', 'threads', 'stand-ins'],
    tries: 1,
    seeds: ['1'],
  },
  roles: {
    what: 'every route as everybody, and as nobody',
    project: 'server',
    files: ['server/src/http/roles.test.ts'],
    tries: 1,
    seeds: ['1'],
  },
};

/** @type {Record<string, Trial>} */
const TRIALS = {
  durability: {
    what: 'server and database killed under load, two tablets, a hanging disk, a restore, clocks, a full disk',
    tries: 20,
    unit: 'kills',
    packages: ['faketime'],
  },
  disk: { what: 'a full disk', tries: null },
  clock: { what: 'a clock that jumps', tries: null, packages: ['faketime'] },
  cluster: {
    what: 'three databases and two servers, killed in turn under load',
    tries: 20,
    unit: 'kills',
    packages: [...CLUSTER_PACKAGES],
  },
  load: { what: 'fifty people; one server and two', tries: 10, unit: 'minutes' },
  scale: { what: 'one server and two over one database', tries: 8, unit: 'seconds' },
  soak: { what: 'twenty-five people', tries: 60, unit: 'minutes' },
  proxy: { what: 'behind nginx with TLS, two processes', tries: null, packages: ['nginx'] },
  tamper: { what: 'the record altered behind the product’s back', tries: null },
};

const UNCERTAINTY =
  'every uncertainty the product states, against a model of the truth; --write keeps the table';

function usage() {
  console.error('Usage: npm run proof -- NAME [TRIES] [SEED ...]\n');
  for (const [name, { what, tries }] of Object.entries(LONG_TESTS))
    console.error(`  ${name.padEnd(12)} ${what} (${tries} tries)`);
  console.error(`  ${'uncertainty'.padEnd(12)} ${UNCERTAINTY} (2000 tries)`);
  for (const [name, { what, tries, unit }] of Object.entries(TRIALS))
    console.error(`  ${name.padEnd(12)} ${what}${tries ? ` (${tries} ${unit}; takes no seed)` : ''}`);
  process.exit(2);
}

/** @param {LongTest} test @param {string | undefined} tries @param {string[]} seeds */
async function runLongTest(test, tries, seeds) {
  if (test.project === 'server') await ensurePackages(['mariadb-server']);
  await ensureModules();
  const red = seeds.filter((seed) => {
    console.log(`${name}, seed ${seed}`);
    const run = spawnSync(
      'node_modules/.bin/vitest',
      ['run', '--project', test.project, '--testTimeout', '3600000', ...test.files],
      {
        stdio: 'inherit',
        env: { ...process.env, FULCRANT_TRIES: tries ?? String(test.tries), FULCRANT_SEED: seed },
      },
    );
    return run.status !== 0;
  });
  console.log(`\n${name}: ${red.length === 0 ? 'holds' : `does not hold with seed ${red.join(', ')}`}`);
  process.exit(red.length > 0 ? 1 : 0);
}

const write = process.argv.includes('--write');
const [name = '', tries, ...seeds] = process.argv.slice(2).filter((a) => a !== '--write');
if ([tries, ...seeds].some((n) => n !== undefined && !/^\d+$/.test(n))) usage();
const test = Object.hasOwn(LONG_TESTS, name) ? LONG_TESTS[name] : undefined;
const trial = Object.hasOwn(TRIALS, name) ? TRIALS[name] : undefined;
if (test) {
  if (name === 'abuse' || name === 'roles') await (await import('./build.mjs')).buildAll();
  await runLongTest(test, tries, seeds.length > 0 ? seeds : (test.seeds ?? ['1', '2', '3']));
} else if (name === 'uncertainty') {
  await ensureModules();
  const { bundle } = await import('./build.mjs');
  await bundle('packages/uncertainty-trials/dist', { main: 'packages/uncertainty-trials/src/main.ts' });
  const built = '../packages/uncertainty-trials/dist/main.js';
  const { tryAll } = await import(built);
  process.exit(tryAll({ trials: Number(tries ?? 2000), seeds: seeds.map(Number), write }) ? 0 : 1);
} else if (trial) {
  await ensurePackages(['mariadb-server', ...(trial.packages ?? [])]);
  await ensureModules();
  const { buildAll, bundle } = await import('./build.mjs');
  await buildAll();
  await bundle('packages/trials/dist', { trial: 'packages/trials/src/run.ts' });
  process.env.FULCRANT_TRIAL = name;
  if (trial.tries !== null) process.env.FULCRANT_TRIES = tries ?? String(trial.tries);
  const built = '../packages/trials/dist/trial.js';
  await import(built);
} else usage();
