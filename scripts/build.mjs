import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { licences } from './licences.mjs';

/** @param {string} dir @returns {string[]} */
function filesBelow(dir) {
  return readdirSync(dir, { withFileTypes: true })
    .flatMap((e) =>
      e.name === 'dist' || e.name === 'node_modules'
        ? []
        : e.isDirectory()
          ? filesBelow(join(dir, e.name))
          : [join(dir, e.name)],
    )
    .sort();
}

/** One hash over all sources a build reads. @param {string[]} dirs */
function fingerprint(dirs) {
  const hash = createHash('sha256');
  for (const file of [...dirs.flatMap(filesBelow), 'package-lock.json', 'scripts/build.mjs']) {
    if (/\.test\.tsx?$/.test(file)) continue;
    hash.update(file).update(readFileSync(file));
  }
  return hash.digest('hex');
}

/**
 * Build only what changed since its last build. @param {string} name @param {string[]} sources @param {() => Promise<unknown>} work
 */
async function ifChanged(name, sources, work) {
  const stamp = join(name, 'dist', '.built-from');
  const want = fingerprint(sources);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === want) return;
  await work();
  mkdirSync(join(name, 'dist'), { recursive: true });
  writeFileSync(stamp, want);
}

/** The release and a fingerprint of core as it is built: what a signed sheet says it was judged by. */
function rulesVersion() {
  const { version } = JSON.parse(readFileSync('package.json', 'utf8'));
  return `${version}+${fingerprint(['core/src']).slice(0, 12)}`;
}

/**
 * Bundle a Node program: our own code in one file, packages left where npm put them.
 * @param {string} outDir @param {Record<string, string>} entries @param {{ watch?: boolean }} [how] `watch` bundles again at each change
 * @returns what vite's build returns: a watcher where it watches
 */
export async function bundle(outDir, entries, { watch = false } = {}) {
  const { build } = await import('vite');
  return build({
    configFile: false,
    logLevel: 'warn',
    ssr: { noExternal: [/^@fulcrant\//] },
    define: { __FULCRANT_RULES__: JSON.stringify(rulesVersion()) },
    build: {
      ssr: true,
      target: 'node20',
      outDir,
      emptyOutDir: true,
      minify: false,
      watch: watch ? {} : null,
      rollupOptions: { input: entries, output: { entryFileNames: '[name].js' } },
    },
  });
}

/** The programs of the server, by the names they are started by. */
export const SERVER_PROGRAMS = {
  main: 'server/src/main.ts',
  worker: 'server/src/heavy/worker.ts',
  prepare: 'server/src/prepare.ts',
  verify: 'server/src/verify.ts',
  fill: 'server/src/fill.ts',
  archive: 'server/src/archive.ts',
};

export const buildServer = () =>
  ifChanged('server', ['core/src', 'packages/practice/src', 'server/src'], () =>
    bundle('server/dist', SERVER_PROGRAMS),
  );
export const buildCli = () =>
  ifChanged('cli', ['core/src', 'cli/src'], () =>
    bundle('cli/dist', { calc: 'cli/src/calc.ts', procedures: 'cli/src/procedures.ts' }),
  );

/** The web application, then the worker that keeps it usable without network. */
export const buildWeb = () =>
  ifChanged('web', ['core/src', 'packages/practice/src', 'web'], async () => {
    const { build } = await import('vite');
    const { generateSW } = await import('workbox-build');
    await build({ root: 'web', logLevel: 'warn' });
    writeFileSync('web/dist/licences.json', JSON.stringify(licences()));
    const { warnings } = await generateSW({
      globDirectory: 'web/dist',
      globPatterns: ['**/*.{js,css,html,woff2,svg,webmanifest}', 'licences.json'],
      swDest: 'web/dist/sw.js',
      navigateFallback: '/index.html',
      navigateFallbackDenylist: [/^\/api\//],
      clientsClaim: true,
      // A new version waits until the page says that nothing is still to be sent.
      skipWaiting: false,
      cleanupOutdatedCaches: true,
      inlineWorkboxRuntime: true,
      sourcemap: false,
    });
    for (const w of warnings) console.warn(w);
  });

export async function buildAll() {
  await buildServer();
  await buildCli();
  await buildWeb();
}

if (process.argv[1] && resolve(process.argv[1]) === fileURLToPath(import.meta.url)) {
  process.chdir(join(dirname(fileURLToPath(import.meta.url)), '..'));
  await buildAll();
}
