import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = join(import.meta.dirname, '../../..');
const FACES = readdirSync(import.meta.dirname).filter((f) => f.endsWith('.ts') && !f.includes('.test.'));

function sources(dir: string): string[] {
  return readdirSync(join(ROOT, dir), { withFileTypes: true }).flatMap((e) => {
    const path = `${dir}/${e.name}`;
    if (e.isDirectory()) return ['dist', 'node_modules', 'testing'].includes(e.name) ? [] : sources(path);
    return /\.tsx?$/.test(e.name) && !/\.test\./.test(e.name) ? [path] : [];
  });
}
const rooms = readdirSync(ROOT, { withFileTypes: true }).flatMap((e) =>
  e.isDirectory() && !['core', 'node_modules', 'docs', 'scripts'].includes(e.name) && !e.name.startsWith('.')
    ? [e.name]
    : [],
);
const OUTSIDE = rooms.flatMap(sources).map((f) => readFileSync(join(ROOT, f), 'utf8'));

/** Names between the braces of an import or an export, without what they are called here. */
const namesIn = (braces: string): string[] =>
  braces.split(',').flatMap(
    (n) =>
      n
        .trim()
        .replace(/^type\s+/, '')
        .split(/\s+as\s+/)[0] || [],
  );

describe('the public face of core', () => {
  it('is all the package exports: one entry a file, and no file that is none', () => {
    const { exports } = JSON.parse(readFileSync(join(ROOT, 'core/package.json'), 'utf8'));
    expect(Object.entries(exports).sort()).toEqual(
      FACES.map((f) => [`./${f.replace('.ts', '')}`, `./src/public/${f}`]).sort(),
    );
    expect(FACES.length).toBeLessThanOrEqual(18);
  });

  it.each(FACES)('%s offers only what somebody outside uses, and says what it is', (file) => {
    const text = readFileSync(join(import.meta.dirname, file), 'utf8');
    expect(text).toMatch(/^\/\*\* [A-Z].*\. \*\//);
    // Nothing is made here, and nothing is offered that was not named.
    expect(text).not.toMatch(/^(?:export )?(?:\*|const|let|function|class)/m);
    const entry = `@fulcrant/core/${file.replace('.ts', '')}`;
    const imported = new Set(
      OUTSIDE.flatMap((t) =>
        [...t.matchAll(/(?:import|export)\s+(?:type\s+)?\{([^}]*)\}\s+from\s+'([^']+)'/g)].flatMap(
          ([, braces = '', from]) => (from === entry ? namesIn(braces) : []),
        ),
      ),
    );
    const offered = [...text.matchAll(/export (?:type )?\{([^}]*)\}/g)].flatMap(([, b = '']) => namesIn(b));
    expect(offered.filter((n) => !imported.has(n))).toEqual([]);
    expect(new Set(offered).size).toBe(offered.length);
  });
});
