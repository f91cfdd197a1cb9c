import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';

/**
 * Every text people read: its id, its English, where it is used, what it names, how long it is. Finds ids nobody uses, texts written
 * twice, words the glossary has another for, sentences over 20 words, labels over 28 characters. What is still to be rewritten stands in
 * docs/texts-to-rewrite.json and may only get shorter: a text with a finding that is not in the list ends this with 1, and so does one in
 * the list that has none. `--list` prints every text, `--level` how hard each folder is to read, `--shorten` writes the list anew where
 * it has got shorter.
 */
const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
const LIST = join(ROOT, 'docs/texts-to-rewrite.json');
/** What is said in more than one place; pages take it by the face of core. */
const COMMON = join(ROOT, 'core/src/message/common');
const LONGEST_SENTENCE = 20;
const LONGEST_LABEL = 28;

/** @param {string} dir @returns {string[]} */
const filesUnder = (dir) =>
  readdirSync(dir).flatMap((name) => {
    if (name === 'node_modules' || name === 'dist') return [];
    const path = join(dir, name);
    return statSync(path).isDirectory() ? filesUnder(path) : [path];
  });
const files = ['core/src', 'server/src', 'web/src', 'packages/practice/src']
  .flatMap((d) => filesUnder(join(ROOT, d)))
  .filter((f) => /\.tsx?$/.test(f));
const sources = new Map(files.map((f) => [f, readFileSync(f, 'utf8')]));

/** @param {string} source @returns {Promise<Record<string, string>>} */
const wordsIn = async (source) =>
  (await import(`data:text/javascript,${encodeURIComponent(source.replace(/\} as const;/, '};'))}`)).en;

const glossary = sources.get(join(ROOT, 'core/src/message/glossary/terms.ts')) ?? '';
const WRONG = [...glossary.matchAll(/not: \[([^\]]*)\]/g)].flatMap((m) =>
  [...(m[1] ?? '').matchAll(/'([^']+)'/g)].map((w) => w[1] ?? ''),
);
const FORBIDDEN = new RegExp(`\\b(${WRONG.map((w) => w.replace(/[-/]/g, '\\$&')).join('|')})\\b`, 'i');

/** Terms of the trade that hold a word the glossary has another for. */
const TERMS = /\b(lead hands?|by hand|hand turns?|hand[- ]tight|hand pressure|bench clearances?)\b/gi;

/** What a person reads of an ICU text: its words, each argument one word, of a choice the first answer. @param {string} icu */
function readable(icu) {
  /** @param {ReturnType<typeof parse>} parts @returns {string} */
  const said = (parts) =>
    parts
      .map((p) => {
        if (p.type === TYPE.literal) return p.value;
        if (p.type === TYPE.select || p.type === TYPE.plural)
          return said(Object.values(p.options)[0]?.value ?? []);
        return p.type === TYPE.pound ? '2' : 'X';
      })
      .join('');
  return said(parse(icu, { ignoreTag: true }));
}

/** @typedef {{ id: string, folder: string, icu: string, used: string[], findings: string[] }} Told */
/** @type {Told[]} */
const all = [];
for (const [file, source] of sources) {
  if (!file.endsWith('/messages.ts') || file.endsWith('/public/messages.ts')) continue;
  const folder = dirname(file);
  const prefix = /defineMessages\('([^']+)'/.exec(source)?.[1];
  const words = /from '([^']*\/words\/en[^']*)'/.exec(source)?.[1];
  if (!prefix || !words) throw new Error(`${relative(ROOT, file)} defines no messages.`);
  const users = [...sources].filter(([f, s]) => f !== file && usesFolder(f, s, folder));
  for (const [name, icu] of Object.entries(await wordsIn(sources.get(join(folder, words)) ?? ''))) {
    const used = users
      .filter(([, s]) => new RegExp(`\\b(?:[MH]|COMMON)\\.${name}\\b`).test(s))
      .map(([f]) => relative(ROOT, f));
    const text = readable(icu);
    const sentences = text.split(/[.!?:;]\s+/);
    const findings = [];
    if (used.length === 0) findings.push('unused');
    if (FORBIDDEN.test(text.replace(TERMS, ''))) findings.push('word');
    if (sentences.some((s) => s.split(/\s+/).length > LONGEST_SENTENCE)) findings.push('sentence');
    if (!/[.!?]$/.test(text) && !/[,:;]/.test(text) && text.length > LONGEST_LABEL) findings.push('label');
    all.push({ id: `${prefix}.${name}`, folder: relative(ROOT, folder), icu, used, findings });
  }
}

/** Does a file take its messages from this folder? @param {string} file @param {string} source @param {string} folder */
function usesFolder(file, source, folder) {
  if (folder === COMMON && source.includes("from '@fulcrant/core/messages'")) return true;
  return [...source.matchAll(/from '(\.[^']*messages\.ts)'/g)].some(
    (m) => join(dirname(file), m[1] ?? '') === join(folder, 'messages.ts'),
  );
}

const doubled = all.filter((t, i) => all.findIndex((u) => u.id === t.id) !== i).map((t) => t.id);
for (const id of doubled) console.log(`defined twice: ${id}`);

const byText = new Map();
for (const t of all) byText.set(t.icu, [...(byText.get(t.icu) ?? []), t]);
for (const same of byText.values()) if (same.length > 1) for (const t of same) t.findings.push('twice');

if (process.argv.includes('--list'))
  for (const t of all)
    console.log(`${t.id}\t${t.icu.length}\t${t.icu}\t${t.used.join(' ')}\t${t.findings.join(' ')}`);

if (process.argv.includes('--level'))
  for (const folder of [...new Set(all.map((t) => t.folder))].sort()) {
    const texts = all.filter((t) => t.folder === folder && /[.!?]$/.test(t.icu)).map((t) => readable(t.icu));
    const words = texts.flatMap((t) => t.split(/\s+/).filter(Boolean));
    if (texts.length === 0) continue;
    const grade = fleschKincaid({
      sentence: texts.reduce((n, t) => n + t.split(/[.!?](?:\s|$)/).filter(Boolean).length, 0),
      word: words.length,
      syllable: words.reduce((n, w) => n + syllable(w), 0),
    });
    console.log(`${folder}: ${grade.toFixed(1)}`);
  }

/** @type {Record<string, string>} */
const listed = JSON.parse(readFileSync(LIST, 'utf8'));
/** @type {Record<string, string>} */
const now = Object.fromEntries(
  all
    .flatMap((t) => (t.findings.length > 0 ? [[t.id, t.findings.join(' ')]] : []))
    .sort(([a], [b]) => (String(a) < String(b) ? -1 : 1)),
);
/** @param {Record<string, string>} of @param {string} id @returns {string[]} */
const findingsOf = (of, id) => (of[id] ?? '').split(' ').filter(Boolean);
const fresh = Object.keys(now).filter((id) =>
  findingsOf(now, id).some((f) => !findingsOf(listed, id).includes(f)),
);
const gone = Object.keys(listed).filter((id) => now[id] !== listed[id] && !fresh.includes(id));
if (process.argv.includes('--shorten') && fresh.length === 0) {
  writeFileSync(LIST, `${JSON.stringify(now, null, 2)}\n`);
  gone.length = 0;
}
for (const id of fresh) console.log(`new finding: ${id}: ${now[id]}`);
for (const id of gone) console.log(`mended, take it off the list (npm run texts -- --shorten): ${id}`);
console.log(`${all.length} texts, ${Object.keys(now).length} still to be rewritten, ${fresh.length} new`);
process.exit(fresh.length + gone.length + doubled.length > 0 ? 1 : 0);
