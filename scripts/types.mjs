import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Every part of the house with types of its own; what the test command checks one by one. */
export const PROJECTS = [
  'core',
  'core/tsconfig.test.json',
  'packages/practice',
  'packages/practice/tsconfig.test.json',
  'server',
  'cli',
  'web',
  'packages/uncertainty-trials',
  'packages/trials',
  'packages/api-client',
  'e2e',
];

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
  const wrong = PROJECTS.filter(
    (p) => spawnSync('node_modules/.bin/tsc', ['--noEmit', '-p', p], { stdio: 'inherit' }).status !== 0,
  );
  process.exit(wrong.length > 0 ? 1 : 0);
}
