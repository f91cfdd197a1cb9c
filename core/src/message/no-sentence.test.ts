import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parseSync } from 'vite';
import { expect, it } from 'vitest';

const ROOT = join(import.meta.dirname, '../../..');
type Node = { type: string; [key: string]: unknown };

const sourcesUnder = (dir: string): string[] =>
  readdirSync(dir).flatMap((name) => {
    const path = join(dir, name);
    if (name === 'node_modules' || name === 'dist' || name === 'words' || name === 'testing') return [];
    if (statSync(path).isDirectory()) return sourcesUnder(path);
    return /\.tsx?$/.test(name) && !/\.test\.tsx?$|\.d\.ts$/.test(name) ? [path] : [];
  });

/** Two names of styles and more: what an element looks like, not what it says. */
const CLASSES = /(?:(?:^|\s)-?[a-z]+(?::[a-z-]+)*-[\w.[\]/%():,-]+(?=\s|$).*){2}/;

/** Three words and more with blanks between, the way people read them; a statement to the database is none. */
const isSentence = (text: string): boolean =>
  /\p{Ll}{2,}\s+\S*\p{Ll}{2,}\S*\s+\S*\p{Ll}{2,}/u.test(text) &&
  !CLASSES.test(text) &&
  !/\b(REPLACE|SELECT|INSERT|UPDATE|DELETE|ALTER|CREATE|FROM|WHERE|SET)\b|^(default-src|private,|public,)/.test(
    text,
  );

/** What is told to whoever runs the program, not to whoever uses it. */
const FOR_US = /^(Error|TypeError|RangeError|Damaged|console|log|house\.log|db\.log)/;

/** Every sentence of a file, by where it stands on the syntax tree. */
function sentencesOf(file: string): string[] {
  const source = readFileSync(file, 'utf8');
  const found: string[] = [];
  const walk = (node: unknown): void => {
    if (Array.isArray(node)) for (const n of node) walk(n);
    if (node === null || typeof node !== 'object' || Array.isArray(node)) return;
    const n = node as Node & { start: number; end: number };
    if (typeof n.type !== 'string') return;
    if (/^(Import|Export(All|Named)?Declaration$.*source|TS(?!As|Satisfies|NonNull))/.test(n.type)) return;
    if (n.type === 'JSXAttribute' && (n.name as { name?: string }).name === 'className') return;
    if (n.type === 'NewExpression' || n.type === 'CallExpression') {
      const callee = n.callee as { start: number; end: number };
      if (FOR_US.test(source.slice(callee.start, callee.end))) return;
    }
    if (n.type === 'Literal' && typeof n.value === 'string' && isSentence(n.value)) found.push(n.value);
    if (n.type === 'JSXText' && isSentence(String(n.value))) found.push(String(n.value).trim());
    if (n.type === 'TemplateLiteral') {
      const said = (n.quasis as Array<{ value: { cooked: string } }>).map((q) => q.value.cooked).join('…');
      if (isSentence(said)) found.push(said);
    }
    for (const [key, value] of Object.entries(n)) if (key !== 'type') walk(value);
  };
  walk(parseSync(file, source).program);
  return found;
}

const counted = (dir: string): Array<[file: string, sentence: string]> =>
  sourcesUnder(join(ROOT, dir)).flatMap((f) =>
    sentencesOf(f).map((said): [string, string] => [relative(ROOT, f), said]),
  );

/** Names of people, machines and variants are data; the glossary is a list of words; a demo is made up. */
const DATA =
  /\/(demo|glossary)\/|(example|rigs|scripted-hand|every-kind|rebuild-fields)\.ts$|server\/src\/(store\/migrations\/.*|instruments\/|demo-people|main|prepare|fill|verify|archive)\.ts$/;
/** What is kept under such a name, or told to nobody. */
const KEPT: readonly string[] = ['sleeve to gland', 'no person has this', 'as it lies here'];

it.each(['core/src', 'packages/practice/src', 'server/src', 'web/src'])(
  '%s says nothing outside its words',
  (dir) => {
    const left = counted(dir).filter(([f, said]) => !DATA.test(f) && !KEPT.includes(said));
    expect(left).toEqual([]);
  },
  60_000,
);
