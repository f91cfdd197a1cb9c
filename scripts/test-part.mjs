import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBrowser, ensureModules, ensurePackages } from './packages.mjs';
import { runVitest, testsInMemory } from './vitest.mjs';

/**
 * Part of the tests: `npm run test:unit`, `test:server`, `test:browser`, each with `-- NAME ...` for the files whose path holds a name.
 * Unit tests are core, the page without a browser and its components: no database, no build.
 */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
const [part = '', ...names] = process.argv.slice(2);

/** @type {Record<string, { projects: string[], workers?: number, prepare?: () => Promise<void> }>} */
const PARTS = {
  unit: { projects: ['core', 'practice', 'web', 'components', 'uncertainty'] },
  server: {
    projects: ['server', 'cli'],
    prepare: async () => {
      await ensurePackages(['mariadb-server', 'poppler-utils', 'qpdf']);
      await build();
    },
  },
  browser: {
    projects: ['e2e'],
    workers: 3,
    prepare: async () => {
      await ensurePackages(['mariadb-server', 'poppler-utils', 'qpdf']);
      await ensureBrowser();
      await build();
    },
  },
};
const build = async () => (await import('./build.mjs')).buildAll();

const chosen = Object.hasOwn(PARTS, part) ? PARTS[part] : undefined;
if (!chosen) {
  console.error(`Usage: npm run test:${Object.keys(PARTS).join('|test:')} [-- NAME ...]`);
  process.exit(2);
}
await ensureModules();
await chosen.prepare?.();
if (part !== 'unit') testsInMemory();

// Where all that is asked for lies in one trade, only that trade is loaded.
const trades = new Set(names.map((n) => /(?:^|\/)core\/src\/trades\/([\w-]+)(?:\/|$)/.exec(n)?.[1]));
const [trade] = trades;
if (part === 'unit' && trades.size === 1 && trade && existsSync(`core/src/trades/${trade}/index.ts`))
  process.env.FULCRANT_TRADE = trade;
process.env.FULCRANT_TEST_CACHE = '1';

const { passed, failed } = runVitest(part, chosen.projects, { workers: chosen.workers, more: names });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
