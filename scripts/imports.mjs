import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/**
 * The house stands on floors: a file may use what stands on its own floor or below, never above, and no files go round in a
 * circle. Rooms of one floor that are named apart do not know each other. Core and practice use nothing of Node, the DOM or React; the
 * others use them by their faces (core/src/public, packages/practice/src/index.ts), never each other. Tests may look from anywhere.
 */
const PACKAGES = {
  core: ['yup', '@sodaru/yup-to-json-schema', '@date-fns/tz', 'intl-messageformat'],
  'packages/practice': ['yup', 'ts-fsrs'],
};
/** What others enter a room by, by how they name it. */
const FACES = [
  { name: /^@fulcrant\/core\/([\w-]+)$/, file: (/** @type {string} */ face) => `core/src/public/${face}.ts` },
  { name: /^@fulcrant\/practice$/, file: () => 'packages/practice/src/index.ts' },
];
/** Rooms that are read as one: those of the product, and what tries it. */
const ROOMS = [
  'core',
  'server',
  'web',
  'cli',
  'packages/practice',
  'packages/uncertainty-trials',
  'packages/trials',
  'packages/api-client',
  'e2e',
];

/** Floors from the ground up; folders of one line stand on one floor. */
const FLOORS = {
  core: [
    ['message'],
    ['quantities'],
    ['metrology'],
    ['sources'],
    ['judgement'],
    ['arithmetic'],
    ['simulation'],
    ['instruments'],
    ['engine'],
    ['steps'],
    ['trades'],
    ['sheet'],
    ['history', 'autopsy'],
    ['job'],
    ['planning'],
    ['api'],
    // What others enter by: nothing stands on it inside.
    ['public'],
  ],
  web: [
    ['words'],
    ['ui'],
    ['figures'],
    ['data'],
    ['entry'],
    ['steps'],
    ['trades'],
    ['bench', 'board', 'glossary', 'job', 'outage', 'plant', 'session', 'setup', 'sheet'],
    // A practice bench stands beside the sheet of a job.
    ['practice'],
    ['messages.ts'],
    ['contents'],
    ['SheetIndex.tsx'],
    ['Providers.tsx', 'Shell.tsx'],
    ['routes.tsx'],
    ['main.tsx'],
  ],
  server: [
    ['config.ts', 'demo-people.ts'],
    ['instruments'],
    ['export'],
    // What may take long is done in threads of its own; what is stored is told through them.
    ['heavy'],
    ['store'],
    ['auth'],
    ['http'],
    ['demo'],
    ['archive.ts', 'fill.ts', 'main.ts', 'prepare.ts', 'verify.ts'],
  ],
};
/** Rooms whose folders do not know each other, though they stand on one floor. */
const APART = [/^core\/src\/trades\/([^/]+)\//, /^web\/src\/trades\/([^/]+)\//];

/** @param {string} dir @returns {string[]} */
function sources(dir) {
  return readdirSync(dir, { withFileTypes: true }).flatMap((e) => {
    const path = join(dir, e.name);
    if (e.isDirectory()) return ['dist', 'node_modules'].includes(e.name) ? [] : sources(path);
    return /\.tsx?$/.test(e.name) ? [path] : [];
  });
}

/** What a file imports. @param {string} file @returns {string[]} */
function imports(file) {
  const text = readFileSync(file, 'utf8');
  return [...text.matchAll(/(?:from|import)\s*\(?\s*['"]([^'"\s]+)['"]/g)].map((m) => m[1] ?? '');
}

const isTest = (/** @type {string} */ file) =>
  /\.test\.tsx?$|\/testing\//.test(file) || /^(?:e2e|packages\/trials)\//.test(file);

/** The room a file is in. @param {string} file */
const roomOf = (file) => ROOMS.find((r) => file.startsWith(`${r}/`)) ?? file.split('/')[0] ?? '';

/** The file an import means, where it is ours. @param {string} file @param {string} specifier */
function target(file, specifier) {
  for (const { name, file: of } of FACES) {
    const face = name.exec(specifier);
    if (face) return of(face[1] ?? '');
  }
  return specifier.startsWith('.') ? relative('.', resolve(dirname(file), specifier)) : null;
}

/** Which floor of its house a file stands on; null where the house has none. @param {string} file */
function floorOf(file) {
  const [room = '', , folder = ''] = file.split('/');
  const floors = FLOORS[/** @type {'core'} */ (room)];
  if (!floors) return null;
  const floor = floors.findIndex((f) => f.includes(folder));
  return { room, floor, folder };
}

/** What is wrong with one import, or null. @param {string} file @param {string} specifier */
function fault(file, specifier) {
  const room = roomOf(file);
  if (isTest(file) && !specifier.startsWith('.')) return null;
  const to = target(file, specifier);
  if (to === null) {
    const allowed = PACKAGES[/** @type {'core'} */ (room)];
    if (allowed && !allowed.includes(specifier)) return `${room} may not use ${specifier}`;
    if (specifier.startsWith('@fulcrant/')) return `${room} enters by a face, not by ${specifier}`;
    return room === 'web' && specifier.startsWith('node:') ? 'the browser has no Node' : null;
  }
  if (to.startsWith('..')) return `${to} is outside the project`;
  const other = roomOf(to);
  if (isTest(file)) {
    // The simulated gauges are for every test.
    const shared = ['core/src/', 'packages/', 'scripts/', 'server/src/instruments/'];
    // The description a client is made from.
    if (room === 'packages/api-client') shared.push('server/src/http/');
    const known = other === room || shared.some((folder) => to.startsWith(folder));
    return known ? null : `${room} reaches into ${other}`;
  }
  if (isTest(to)) return `${to} is for tests`;
  if (specifier.startsWith('.') && other !== room) return `${room} reaches into ${other}`;
  if (room === 'core' && other !== 'core') return `core knows nothing of ${other}`;
  const [from, at] = [floorOf(file), floorOf(to)];
  if (from && at && from.room === at.room) {
    if (from.floor < 0) return `${from.folder} stands on no floor`;
    if (at.floor > from.floor) return `${from.folder} climbs to ${at.folder}`;
    if (at.floor === from.floor && at.folder !== from.folder)
      return `${from.folder} reaches over to ${at.folder}`;
  }
  for (const apart of APART) {
    const [a, b] = [apart.exec(file)?.[1], apart.exec(to)?.[1]];
    if (a && b && a !== b) return `trade ${a} reaches into trade ${b}`;
  }
  return null;
}

/** Files that import each other round in a circle: one line a circle. @param {string[]} files */
function circles(files) {
  const uses = new Map(files.map((f) => [f, imports(f).flatMap((i) => target(f, i) ?? [])]));
  /** @type {Map<string, 'open' | 'done'>} */
  const seen = new Map();
  /** @type {string[]} */
  const found = [];
  /** @param {string} file @param {string[]} path */
  const visit = (file, path) => {
    if (seen.get(file) === 'done' || !uses.has(file)) return;
    if (seen.get(file) === 'open') {
      found.push(`a circle: ${[...path.slice(path.indexOf(file)), file].join(' → ')}`);
      return;
    }
    seen.set(file, 'open');
    for (const next of uses.get(file) ?? []) visit(next, [...path, file]);
    seen.set(file, 'done');
  };
  for (const f of files) visit(f, []);
  return found;
}

/** Every import that goes the wrong way and every circle, one line each. */
export function wrongImports() {
  const files = ROOMS.flatMap((room) => sources(`${room}/src`));
  const wrong = files.flatMap((file) =>
    imports(file).flatMap((specifier) => {
      const said = fault(file, specifier);
      return said ? [`${file}: ${said}`] : [];
    }),
  );
  return [...wrong, ...circles(files.filter((f) => !isTest(f)))];
}

if (process.argv[1] && resolve(process.argv[1]) === fileURLToPath(import.meta.url)) {
  const wrong = wrongImports();
  for (const line of wrong) console.error(line);
  process.exit(wrong.length ? 1 : 0);
}
