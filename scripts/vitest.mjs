import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { relative } from 'node:path';

/** @typedef {{ passed: number, failed: number, files: Array<{ file: string, seconds: number }> }} Outcome */

/**
 * Run vitest projects and read what became of every test. A file that could not be loaded, or an unhandled fault, counts as one failed.
 * @param {string} name of the report @param {string[]} projects @param {{ workers?: number, more?: string[] }} [how]
 * @returns {Outcome}
 */
export function runVitest(name, projects, { workers, more = [] } = {}) {
  const report = `.tmp/${name}.json`;
  mkdirSync('.tmp', { recursive: true });
  rmSync(report, { force: true });
  const run = spawnSync(
    'node_modules/.bin/vitest',
    [
      'run',
      ...projects.flatMap((p) => ['--project', p]),
      ...(workers ? [`--maxWorkers=${workers}`] : []),
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
      ...more,
    ],
    // A build before it says “production”; components are tested in the form that says what is wrong.
    { stdio: ['ignore', 'inherit', 'inherit'], env: { ...process.env, NODE_ENV: 'test' } },
  );
  if (!existsSync(report)) return { passed: 0, failed: 1, files: [] };
  const { numPassedTests: passed, numFailedTests, testResults } = JSON.parse(readFileSync(report, 'utf8'));
  /** @type {Array<{ name: string, startTime: number, endTime: number }>} */
  const results = testResults;
  return {
    passed,
    failed: run.status !== 0 ? Math.max(1, numFailedTests) : numFailedTests,
    files: results.map((f) => ({
      file: relative('.', f.name),
      seconds: (f.endTime - f.startTime) / 1000,
    })),
  };
}

/**
 * Databases of tests live for seconds and are copied by the dozen: in memory where there is room, so that no disk is waited for. Others must
 * be able to pass through: a database of a cluster runs as a user of its own.
 */
export function testsInMemory() {
  const [memory, room] = ['/dev/shm', 6 * 1024 ** 3];
  if (!existsSync(memory)) return;
  const { bavail, bsize } = statfsSync(memory);
  if (bavail * bsize < room) return;
  const dir = mkdtempSync(`${memory}/fulcrant-`);
  chmodSync(dir, 0o711);
  process.env.TMPDIR = dir;
  process.on('exit', () => rmSync(dir, { recursive: true, force: true }));
  for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM']))
    process.on(signal, () => process.exit(130));
}
