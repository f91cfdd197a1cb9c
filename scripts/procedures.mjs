import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Write docs/procedures.md: every kind of work, step by step, to be read on paper. */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
if (!existsSync('node_modules/vite')) {
  console.error('The packages are not installed yet. Run npm start or npm test once, or npm ci.');
  process.exit(2);
}
const { buildCli } = await import('./build.mjs');
await buildCli();
process.exit(
  spawnSync(process.execPath, ['cli/dist/procedures.js', ...process.argv.slice(2)], { stdio: 'inherit' })
    .status ?? 1,
);
