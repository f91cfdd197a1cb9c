import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureModules } from './packages.mjs';

/**
 * The long form of a test that `npm test` keeps short: `npm run proof -- walks`, with another number of tries or other seeds where wanted:
 * `npm run proof -- walks 2000 7 8 9`.
 */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));

/** @type {Record<string, { what: string, file: string, tries: number }>} */
const PROOFS = {
  walks: {
    what: 'random legal walks through every kind of work, with changes of the setup between',
    file: 'core/src/engine/random-walks.test.ts',
    tries: 100,
  },
  vanishes: {
    what: 'every field of every setup changed, alone and in pairs: nothing recorded goes',
    file: 'core/src/engine/nothing-vanishes.test.ts',
    tries: 400,
  },
};

const [name = '', tries, ...seeds] = process.argv.slice(2);
const proof = PROOFS[name];
const numbers = [tries, ...seeds].filter((n) => n !== undefined);
if (!proof || numbers.some((n) => !/^\d+$/.test(n))) {
  console.error('npm run proof -- NAME [TRIES] [SEED ...]\n');
  for (const [n, { what, tries }] of Object.entries(PROOFS))
    console.error(`  ${n.padEnd(10)} ${what} (${tries})`);
  process.exit(2);
}
ensureModules();
let red = 0;
for (const seed of seeds.length > 0 ? seeds : ['1', '2', '3']) {
  console.log(`${name}, seed ${seed}`);
  const run = spawnSync(
    'node_modules/.bin/vitest',
    ['run', '--project', 'core', '--testTimeout', '3600000', proof.file],
    { stdio: 'inherit', env: { ...process.env, WALKS: tries ?? String(proof.tries), SEED: seed } },
  );
  if (run.status !== 0) red++;
}
process.exit(red > 0 ? 1 : 0);
