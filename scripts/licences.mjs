import { readFileSync } from 'node:fs';

/** What a package without a word of it in its manifest says in its licence file. @type {Record<string, string>} */
const BY_FILE = { 'png-js': 'MIT' };

/**
 * Every package that ships with the product, as the lock file has it: what a user of the product is owed by name.
 * @returns {Array<{ name: string, version: string, licence: string }>} by name, each version once
 */
export function licences() {
  const { packages } = JSON.parse(readFileSync('package-lock.json', 'utf8'));
  const shipped = new Map();
  for (const [path, p] of Object.entries(packages)) {
    if (!path.includes('node_modules/') || p.dev || p.link) continue;
    const name = path.split('node_modules/').at(-1) ?? '';
    const licence = String(p.license ?? BY_FILE[name] ?? '').replace(/ License$/, '');
    if (licence === '') throw new Error(`Nothing is known of the licence of ${name}.`);
    shipped.set(`${name} ${p.version}`, { name, version: p.version, licence });
  }
  return [...shipped.values()].sort(
    (a, b) => a.name.localeCompare(b.name) || a.version.localeCompare(b.version),
  );
}
