import { readFileSync, rmSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureModules, ensurePackages } from './packages.mjs';
import { runVitest, testsInMemory } from './vitest.mjs';

/**
 * How many lines unit, component and server tests run, by folder: `npm run test:cover`. What only the browser tests reach does not count.
 * Ends with 1 where core is under 90 % or web under 60 %.
 */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
await ensurePackages(['mariadb-server', 'poppler-utils', 'qpdf']);
await ensureModules();
await (await import('./build.mjs')).buildAll();
testsInMemory();
const WANTED = { core: 90, web: 60 };
const out = '.tmp/cover';
rmSync(out, { recursive: true, force: true });
const { failed } = runVitest(
  'cover',
  ['core', 'practice', 'web', 'components', 'cli', 'uncertainty', 'api', 'server'],
  {
    workers: 2,
    more: [
      '--coverage',
      '--coverage.provider=v8',
      '--coverage.reportOnFailure',
      '--coverage.reporter=json-summary',
      `--coverage.reportsDirectory=${out}`,
      ...['core', 'packages/practice', 'web', 'server', 'cli'].map(
        (p) => `--coverage.include=${p}/src/**/*.{ts,tsx}`,
      ),
      ...['**/*.test.{ts,tsx}', '**/testing/**'].map((p) => `--coverage.exclude=${p}`),
    ],
  },
);

/** @typedef {{ lines: { total: number, covered: number } }} Covered */
/** @type {Record<string, Covered>} */
const { total: _total, ...files } = JSON.parse(readFileSync(`${out}/coverage-summary.json`, 'utf8'));
/** @type {Map<string, { total: number, covered: number }>} */
const folders = new Map();
for (const [file, { lines }] of Object.entries(files)) {
  const [part = '', , ...rest] = relative('.', file).split('/');
  const names = [part, rest.length > 1 ? `${part}/${rest[0]}` : `${part} (top)`];
  for (const name of names) {
    const sum = folders.get(name) ?? { total: 0, covered: 0 };
    folders.set(name, { total: sum.total + lines.total, covered: sum.covered + lines.covered });
  }
}
const share = (/** @type {string} */ name) => {
  const sum = folders.get(name);
  return sum ? (100 * sum.covered) / sum.total : 0;
};
console.log('\nLines covered:');
for (const name of [...folders.keys()].sort())
  console.log(`${share(name).toFixed(1).padStart(7)} %  ${name}  (${folders.get(name)?.total} lines)`);
const under = Object.entries(WANTED).filter(([name, least]) => share(name) < least);
for (const [name, least] of under) console.log(`\n${name} is under ${least} %`);
process.exit(failed > 0 || under.length > 0 ? 1 : 0);
