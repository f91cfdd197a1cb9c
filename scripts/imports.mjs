import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/**
 * Imports run one way: web, server and cli use core, never each other, and core uses nothing of Node, the DOM or React.
 * Features of the web meet only through core, ui, figures and app. Nothing reaches outside the project.
 */
const CORE_PACKAGES = ['yup', '@sodaru/yup-to-json-schema'];

/** @param {string} dir @returns {string[]} */
function sources(dir) {
  return readdirSync(dir, { withFileTypes: true }).flatMap((e) => {
    const path = join(dir, e.name);
    if (e.isDirectory()) return ['dist', 'node_modules'].includes(e.name) ? [] : sources(path);
    return /\.tsx?$/.test(e.name) ? [path] : [];
  });
}

/** @param {string} file */
const specifiers = (file) =>
  [...readFileSync(file, 'utf8').matchAll(/(?:from|import)\s*\(?\s*['"]([^'"\s]+)['"]/g)].map(
    (m) => m[1] ?? '',
  );

/** @param {string} path */
const feature = (path) => /^web\/src\/features\/([^/]+)\//.exec(path)?.[1] ?? null;

/** What is wrong with one import, or null. @param {string} file @param {string} specifier */
function fault(file, specifier) {
  const room = file.split('/')[0];
  const test = /\.test\.tsx?$|\/testing\//.test(file) || room === 'e2e';
  if (!specifier.startsWith('.')) {
    if (room === 'core' && !test && !CORE_PACKAGES.includes(specifier))
      return `core may not use ${specifier}`;
    if (specifier.startsWith('@fulcrant/') && specifier !== '@fulcrant/core')
      return `${room} may only use core, not ${specifier}`;
    if (room === 'web' && specifier.startsWith('node:') && !test) return 'the browser has no Node';
    return null;
  }
  const target = relative('.', resolve(dirname(file), specifier));
  if (target.startsWith('..')) return `${target} is outside the project`;
  const other = target.split('/')[0];
  // Tests of every room may work a job by the scripted hand of core's tests.
  const forTests = test && (other === 'scripts' || target.startsWith('core/src/testing/'));
  if (other !== room && !forTests) return `${room} reaches into ${other}`;
  const [from, to] = [feature(file), feature(target)];
  return from && to && from !== to ? `feature ${from} reaches into feature ${to}` : null;
}

/** Every import that goes the wrong way, one line each. */
export function wrongImports() {
  return ['core', 'server', 'web', 'cli', 'e2e']
    .flatMap((room) => sources(`${room}/src`))
    .flatMap((file) =>
      specifiers(file).flatMap((s) => (fault(file, s) ? [`${file}: ${fault(file, s)}`] : [])),
    );
}

if (process.argv[1] && resolve(process.argv[1]) === fileURLToPath(import.meta.url)) {
  const wrong = wrongImports();
  for (const line of wrong) console.error(line);
  process.exit(wrong.length ? 1 : 0);
}
