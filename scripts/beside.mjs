import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { ensureModules, ensurePackages } from './packages.mjs';

/**
 * Run a program on a data folder: beside the running house, or, where none runs, on a database started for it and stopped after.
 * Usage: node scripts/beside.mjs verify|fill|archive [arguments], with FULCRANT_DATA naming the folder.
 */
process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
const [name = '', ...rest] = process.argv.slice(2);
if (!['verify', 'fill', 'archive'].includes(name)) {
  console.error('Usage: node scripts/beside.mjs verify|fill|archive [arguments]');
  process.exit(2);
}
await ensurePackages(['mariadb-server']);
await ensureModules();
const { buildServer } = await import('./build.mjs');
const { databaseEnv, runningDatabase, startDatabase } = await import('./database.mjs');
const dataDir = process.env.FULCRANT_DATA ?? '.data';
// An archive is laid into a folder with nothing in it: then its database is made here.
const inward = name === 'archive' && ['import', 'restore'].includes(rest[0] ?? '');
if (!existsSync(join(dataDir, 'mariadb')) && !inward) {
  console.error(`There is no plant in ${dataDir}. FULCRANT_DATA names the folder.`);
  process.exit(2);
}
await buildServer();
const running = runningDatabase(dataDir);
const started = running ? null : await startDatabase({ dataDir });
const db = running ?? started;
if (!db) throw new Error('No database.');
const asOwner = name === 'fill' || inward;
if (inward) {
  const prepared = spawnSync(process.execPath, ['server/dist/prepare.js'], {
    env: {
      ...process.env,
      ...databaseEnv(db, 'owner'),
      FULCRANT_SERVING_USER: db.app.user,
      FULCRANT_DEMO: '0',
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (prepared.status !== 0) {
    await started?.stop();
    process.exit(1);
  }
}
const run = spawnSync(process.execPath, [`server/dist/${name}.js`, ...rest], {
  env: { ...process.env, ...databaseEnv(db, asOwner ? 'owner' : 'app'), FULCRANT_DATA: dataDir },
  stdio: 'inherit',
});
await started?.stop();
process.exit(run.status ?? 1);
