import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureModules } from './packages.mjs';

/** Try every doubt the product states: `npm run coverage`, with `-- --write` to keep the table. */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
ensureModules();
const { bundle } = await import('./build.mjs');
const name = 'main';
await bundle('coverage', { [name]: 'coverage/src/main.ts' });
await import(`../coverage/dist/${name}.js`);
