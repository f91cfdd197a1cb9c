import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { CLUSTER_PACKAGES } from './cluster.mjs';
import { ensureModules, ensurePackages } from './packages.mjs';

/** Trials as programs: figures at the end, exit 1 where anything is lost or not as it should be. */
const WHAT = {
  durability:
    'server and database killed under load, two tablets, a hanging disk, a restore, clocks, a full disk',
  disk: 'a disk that is full, alone',
  clock: 'a clock that jumps, alone',
  cluster: 'three databases and two servers, killed in turn under load',
  load: 'fifty people for ten minutes; one server and two',
  scale: 'one server and two over one database, alone',
  soak: 'twenty-five people for an hour',
  proxy: 'behind nginx with TLS, two processes',
  tamper: 'the record altered behind the product’s back',
  abuse: 'ten thousand malformed requests, storms of wrong passwords, benches and sums hogged',
  roles: 'every route as everybody, and as nobody',
};
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
const [name = ''] = process.argv.slice(2);
if (!Object.hasOwn(WHAT, name)) {
  console.error(
    `Usage: npm run trial -- <one of>\n${Object.entries(WHAT)
      .map(([n, words]) => `  ${n.padEnd(12)}${words}`)
      .join('\n')}\n\nFULCRANT_ROUNDS, FULCRANT_MINUTES and FULCRANT_TRIES make them longer or shorter.`,
  );
  process.exit(2);
}
ensurePackages([
  'mariadb-server',
  ...(name === 'cluster' ? CLUSTER_PACKAGES : []),
  ...(name === 'proxy' ? /** @type {const} */ (['nginx']) : []),
  ...(name === 'durability' || name === 'clock' ? /** @type {const} */ (['faketime']) : []),
]);
ensureModules();
const { buildAll, bundle } = await import('./build.mjs');
await buildAll();

/** Trials that are tests made longer. @type {Record<string, string[]>} */
const TESTS = { abuse: ['malformed', 'entry', 'threads', 'stand-ins'], roles: ['roles'] };
const tests = TESTS[name];
if (tests) {
  const run = spawnSync('node_modules/.bin/vitest', ['run', '--project', 'server', ...tests], {
    stdio: 'inherit',
    env: { FULCRANT_TRIES: '10000', ...process.env },
  });
  console.log(`\ntrial ${name}: ${run.status === 0 ? 'holds' : 'not so'}`);
  process.exit(run.status ?? 1);
}
await bundle('e2e', { trial: 'e2e/src/trials/run.ts' });
process.env.FULCRANT_TRIAL = name;
const built = '../e2e/dist/trial.js';
await import(built);
