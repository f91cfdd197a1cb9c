import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The product on the command line: `npm run -s fulcrant -- <what> …`. Exit 0 done, 1 it does not hold or cannot be, 2 asked wrongly. */
const WHAT = {
  backup: ['backup <file>', 'The whole plant, passwords too, to one archive; people go on working.'],
  restore: ['restore <file>', 'A backup into a data folder with nothing in it; all of it or nothing.'],
  export: ['export <file>', 'The whole plant without passwords, to be handed on.'],
  import: ['import <file>', 'Such an archive into a data folder with nothing in it; lead hands get a code.'],
  verify: ['verify', 'Every chain of events, signed sheet and photograph walked.'],
  calc: ["calc --list | calc <id> '<json>'", 'A sum without a job.'],
};

const help = (/** @type {string | undefined} */ one) => {
  const lines = Object.entries(WHAT)
    .filter(([name]) => !one || name === one)
    .map(([, [usage, words]]) => `  npm run -s fulcrant -- ${usage}\n      ${words}`);
  return `${one ? '' : 'Fulcrant on the command line.\n\n'}${lines.join('\n')}

FULCRANT_DATA names the plant’s data folder, .data where nothing is said.
Exit 0: done. 1: it does not hold, or cannot be. 2: asked wrongly.`;
};

const from = process.cwd();
const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const [what = '', ...rest] = process.argv.slice(2);
const known = Object.hasOwn(WHAT, what);
if (what === '' || what === '--help' || what === '-h') {
  console.log(help(undefined));
  process.exit(what === '' ? 2 : 0);
}
if (!known) {
  console.error(`There is no “${what}”.\n\n${help(undefined)}`);
  process.exit(2);
}
if (rest.includes('--help') || rest.includes('-h')) {
  console.log(help(what));
  process.exit(0);
}
const archive = what !== 'verify' && what !== 'calc';
if ((archive && rest.length !== 1) || (what === 'verify' && rest.length > 0)) {
  console.error(help(what));
  process.exit(2);
}
process.chdir(root);
/** @param {string} script @param {string[]} args @param {Record<string, string>} env */
const run = (script, args, env = {}) =>
  spawnSync(process.execPath, [join('scripts', script), ...args], {
    stdio: 'inherit',
    env: { ...process.env, ...env },
  }).status ?? 1;
if (what === 'calc') process.exit(run('calc.mjs', rest));
if (what === 'verify') process.exit(run('beside.mjs', ['verify']));
const dataDir = process.env.FULCRANT_DATA ?? '.data';
const inward = what === 'import' || what === 'restore';
if (inward && !existsSync(join(dataDir, 'mariadb'))) mkdirSync(dataDir, { recursive: true, mode: 0o700 });
process.exit(run('beside.mjs', ['archive', what, ...rest], { FULCRANT_FROM: process.env.INIT_CWD ?? from }));
