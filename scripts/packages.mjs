import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Debian packages and the program, or the file, by which each is recognised. */
const PROGRAMS = {
  'mariadb-server': ['mariadbd', 'mariadb-install-db', 'mariadb'],
  chromium: ['chromium'],
  'chromium-headless-shell': ['chromium-headless-shell'],
  'poppler-utils': ['pdftotext'],
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
 * Install the Debian packages that are missing. As root this is done; otherwise the message says what to type.
 * @param {Array<keyof typeof PROGRAMS>} packages
 */
export function ensurePackages(packages) {
  const missing = packages.filter((p) => PROGRAMS[p].some((program) => !onPath(program)));
  if (missing.length === 0) return;
  if (!install(missing)) process.exit(1);
}

/**
 * Debian's Chromium for the browser tests: its build without a window where it can be had, which draws the same pages with a
 * quarter less work, else the whole one.
 */
export function ensureBrowser() {
  const shell = 'chromium-headless-shell';
  if (onPath(shell) || (mayInstall() && install([shell]))) return;
  ensurePackages(['chromium']);
}

/** The browser the tests start, or null where there is none. */
export const browserPath = () => onPath('chromium-headless-shell') ?? onPath('chromium');

const mayInstall = () => process.getuid?.() === 0 && onPath('apt-get') !== null;

/** @param {string[]} missing @returns {boolean} whether they are there now */
function install(missing) {
  if (!mayInstall()) {
    console.error(
      `Fulcrant needs: ${missing.join(', ')}.\nInstall with:  sudo apt-get install ${missing.join(' ')}\nthen start again.`,
    );
    return false;
  }
  console.log(`Installing ${missing.join(', ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const fetched = () =>
    spawnSync('apt-get', ['install', '-y', '--no-install-recommends', ...missing], {
      env,
      stdio: ['ignore', 'ignore', 'inherit'],
    }).status === 0;
  // Package lists may be missing or stale on a fresh machine: fetch them and try once more.
  if (!fetched()) {
    spawnSync('apt-get', ['update'], { env, stdio: ['ignore', 'ignore', 'inherit'] });
    if (!fetched()) {
      console.error(`Could not install ${missing.join(', ')}. See the lines above.`);
      return false;
    }
  }
  return true;
}

/** `npm ci` where node_modules does not come from this lock file. */
export function ensureModules() {
  const stamp = 'node_modules/.fulcrant-lock';
  const want = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === want) return;
  console.log('Installing npm packages …');
  execFileSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  mkdirSync('node_modules', { recursive: true });
  writeFileSync(stamp, want);
}
