import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureBrowser, ensureModules, ensurePackages } from './packages.mjs';

/** Build everything, then run one of the browser programs beside the tests: `bench` or `screenshots`. */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
await ensurePackages(['mariadb-server']);
await ensureBrowser();
await ensureModules();
const [what = '', of] = process.argv.slice(2);
const name = of === undefined ? what : `${what}-${of}`;
if (!['bench', 'bench-server', 'bench-planner', 'bench-practice', 'screenshots'].includes(name)) {
  console.error('Usage: node scripts/run-e2e.mjs bench [server|planner]|screenshots');
  process.exit(2);
}
const { buildAll, bundle } = await import('./build.mjs');
await buildAll();
await bundle('e2e/dist', {
  [name]: `e2e/src/${name}.ts`,
  ...(name === 'bench-server' ? { 'bare-koa': 'e2e/src/bare-koa.ts' } : {}),
});
await import(`../e2e/dist/${name}.js`);
