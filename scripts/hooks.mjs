import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Have what is staged formatted and checked at each commit, unless this checkout has hooks of its own. */
export function hookCommits() {
  if (!existsSync('.git')) return;
  const { stdout } = spawnSync('git', ['config', 'core.hooksPath'], { encoding: 'utf8' });
  const own = stdout.trim();
  if (own !== '' && own !== '.husky/_') return;
  spawnSync('node_modules/.bin/husky', { stdio: 'inherit' });
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
  hookCommits();
}
