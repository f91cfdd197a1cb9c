import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Debian packages and the program, or the file, by which each is recognised. */
const PROGRAMS = {
  'mariadb-server': ['mariadbd', 'mariadb-install-db', 'mariadb'],
  chromium: ['chromium'],
  'chromium-headless-shell': ['chromium-headless-shell'],
  'poppler-utils': ['pdftotext'],
  qpdf: ['qpdf'],
  'galera-4': ['/usr/lib/galera/libgalera_smm.so'],
  rsync: ['rsync'],
  faketime: ['faketime'],
  nginx: ['nginx'],
};

/** @param {string} program */
export function onPath(program) {
  if (program.startsWith('/')) return existsSync(program) ? program : null;
  const dirs = `${process.env.PATH ?? ''}:/usr/sbin:/usr/local/sbin`.split(':');
  return dirs.map((d) => join(d, program)).find((p) => existsSync(p)) ?? null;
}

/**
 * Run a command; its errors are shown. @param {string} command @param {string[]} args @param {NodeJS.ProcessEnv} [env]
 * @returns {Promise<boolean>} whether it ended well
 */
const run = (command, args, env = process.env) =>
  new Promise((done) => {
    const child = spawn(command, args, { env, stdio: ['ignore', 'ignore', 'inherit'] });
    child.on('error', () => done(false));
    child.on('close', (code) => done(code === 0));
  });

/**
 * Install the Debian packages that are missing. As root this is done; otherwise the message says what to type.
 * @param {Array<keyof typeof PROGRAMS>} packages
 */
export async function ensurePackages(packages) {
  const missing = packages.filter((p) => PROGRAMS[p].some((program) => !onPath(program)));
  if (missing.length === 0) return;
  if (!(await install(missing))) process.exit(1);
}

/**
 * Debian's Chromium for the browser tests: its build without a window where it can be had, which draws the same pages with a
 * quarter less work, else the whole one.
 */
export async function ensureBrowser() {
  const shell = 'chromium-headless-shell';
  if (onPath(shell) || (mayInstall() && (await install([shell])))) return;
  await ensurePackages(['chromium']);
}

/** The browser the tests start, or null where there is none. */
export const browserPath = () => onPath('chromium-headless-shell') ?? onPath('chromium');

const mayInstall = () => process.getuid?.() === 0 && onPath('apt-get') !== null;

/** @param {string[]} missing @returns {Promise<boolean>} whether they are there now */
async function install(missing) {
  if (!mayInstall()) {
    console.error(
      `Fulcrant needs: ${missing.join(', ')}.\nInstall with:  sudo apt-get install ${missing.join(' ')}\nthen start again.`,
    );
    return false;
  }
  console.log(`Installing ${missing.join(', ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const fetched = () => run('apt-get', ['install', '-y', '--no-install-recommends', ...missing], env);
  if (await fetched()) return true;
  // Package lists may be missing or stale on a fresh machine: fetch them and try once more.
  await run('apt-get', ['update'], env);
  if (await fetched()) return true;
  console.error(`Could not install ${missing.join(', ')}. See the lines above.`);
  return false;
}

/** `npm ci` where node_modules does not come from this lock file. */
export async function ensureModules() {
  const stamp = 'node_modules/.fulcrant-lock';
  const want = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === want) return;
  console.log('Installing npm packages …');
  if (!(await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']))) {
    console.error('Could not install the npm packages. See the lines above.');
    process.exit(1);
  }
  mkdirSync('node_modules', { recursive: true });
  writeFileSync(stamp, want);
}
