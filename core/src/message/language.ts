import { IntlMessageFormat } from 'intl-messageformat';
import { englishOf } from './define.ts';

/** A language texts are said in; `qps` is the made-up one that shows what was never put into words. */
export type Language = {
  code: string;
  /** The text of a message, in ICU MessageFormat; undefined where it has none. */
  textOf(id: string): string | undefined;
  /** A label as it is said inside a sentence. */
  inline(label: string, at?: 'first' | 'start'): string;
  /** What is done to a text before it is formatted. */
  dress?(icu: string): string;
};

/** English, as the texts beside the facts are written. */
export const ENGLISH: Language = {
  code: 'en',
  textOf: englishOf,
  inline: (label, at) => {
    if (at === undefined) return label.toLowerCase();
    const first = label.charAt(0);
    return `${at === 'start' ? first.toUpperCase() : first.toLowerCase()}${label.slice(1)}`;
  },
};

const ACCENTS: Readonly<Record<string, string>> = Object.fromEntries(
  [...'aàeèiìoòuùyýcçnñAÀEÈIÌOÒUÙYÝCÇNÑsšSŠzžZŽ'].reduce<Array<[string, string]>>(
    (all, letter, i, letters) => {
      if (i % 2 === 0) all.push([letter, letters[i + 1] ?? letter]);
      return all;
    },
    [],
  ),
);

/**
 * Accent the letters of an ICU text outside its arguments, and make it about 40 % longer: what reads plain on a page was never
 * put into words, what is cut off has no room for another language.
 */
function accented(icu: string): string {
  let out = '';
  let letters = 0;
  // What the braces round a place hold: words, or the answers of a choice.
  const within: Array<'words' | 'answers'> = ['words'];
  for (let i = 0; i < icu.length; i++) {
    const c = icu.charAt(i);
    if (c === '}') within.pop();
    else if (c === '{' && within.at(-1) === 'answers') within.push('words');
    else if (c === '{') {
      const argument = /^\{\s*\w+\s*(\}|,\s*\w+\s*,)/.exec(icu.slice(i))?.[0] ?? c;
      if (!argument.endsWith('}')) within.push('answers');
      out += argument;
      i += argument.length - 1;
      continue;
    } else if (within.at(-1) === 'words') {
      if (/\p{L}/u.test(c)) letters += 1;
      out += ACCENTS[c] ?? c;
      continue;
    }
    out += c;
  }
  return `⟦${out}${'·'.repeat(Math.ceil(letters * 0.4))}⟧`;
}

/** The language that is none, to see what was never put into words. */
export const PSEUDO: Language = {
  code: 'qps',
  textOf: (id) => englishOf(id),
  inline: (label) => label,
  dress: accented,
};

/** English of ids that are no longer said, where somebody still reads them. */
const kept = new Map<string, string>();

/** Keep saying what is no longer said: a signed sheet holds its texts by id, and is never changed. */
export function keepSaying(words: Readonly<Record<string, string>>): void {
  for (const [id, text] of Object.entries(words)) kept.set(id, text);
}

let spoken: Language = ENGLISH;

/** The language texts are said in where nothing else is asked. */
export const spokenLanguage = (): Language => spoken;

/** Say texts in this language from now on. */
export function speak(language: Language): void {
  spoken = language;
}

// English is in every browser. Asking which locales there are, as the library does, costs a slow device a fifth of a second.
IntlMessageFormat.resolveLocale = () => new Intl.Locale('en');

const SIMPLE = /\{(\w+)\}/g;
const NEEDS_ICU = /,\s*(?:plural|select|selectordinal)\s*,|'/;
const made = new Map<string, IntlMessageFormat>();

/**
 * Put arguments that are words already into an ICU text. Texts without plurals and choices are most of them and need no parser.
 */
export function formatText(
  icu: string,
  args: Readonly<Record<string, string | number>>,
  language: Language,
): string {
  if (!icu.includes('{') && !icu.includes("'")) return icu;
  if (!NEEDS_ICU.test(icu)) return icu.replace(SIMPLE, (_all, name: string) => String(args[name] ?? ''));
  const key = `${language.code} ${icu}`;
  let format = made.get(key);
  if (!format) {
    format = new IntlMessageFormat(icu, 'en', undefined, { ignoreTag: true });
    made.set(key, format);
  }
  return String(format.format(args));
}

/** The text of a message in a language, ready for its arguments; its id where nobody wrote one. */
export function textIn(id: string, language: Language): string {
  const icu = language.textOf(id) ?? englishOf(id) ?? kept.get(id);
  if (icu === undefined) return id;
  return language.dress ? language.dress(icu) : icu;
}
