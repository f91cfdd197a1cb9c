import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureModules, ensurePackages } from './packages.mjs';

/** Build everything, then run one of the browser programs beside the tests: `bench` or `screenshots`. */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
ensurePackages(['mariadb-server', 'chromium']);
ensureModules();
const name = process.argv[2] ?? '';
if (!['bench', 'screenshots'].includes(name)) {
  console.error('Usage: node scripts/run-e2e.mjs bench|screenshots');
  process.exit(2);
}
const { buildAll, bundle } = await import('./build.mjs');
await buildAll();
await bundle('e2e', { [name]: `e2e/src/${name}.ts` });
await import(`../e2e/dist/${name}.js`);
