import type { Amount, Arg, Message } from './message.ts';

/** What a parameter of a message may be; a list of words is a choice the text tells apart. */
export type ParamKind =
  | 'length'
  | 'torque'
  | 'pressure'
  | 'temperature'
  | 'difference'
  | 'roughness'
  | 'area'
  | 'force'
  | 'velocity'
  | 'count'
  | 'name'
  | 'text'
  | readonly string[];

type ArgOf<K extends ParamKind> = K extends readonly string[]
  ? K[number]
  : K extends 'count'
    ? number | null | undefined
    : K extends 'name'
      ? string | number
      : K extends 'text'
        ? Arg | null | undefined
        : Amount;

/** The parameters of one message, by name. */
export type Declared = Readonly<Record<string, ParamKind>>;

/** What a folder's messages are used by: those without parameters are messages, the others make one. */
export type Messages<W extends Record<string, string>, D> = {
  readonly [K in keyof W]: K extends keyof D
    ? D[K] extends Declared
      ? ((params: { readonly [P in keyof D[K]]: ArgOf<D[K][P]> }) => Message) & { readonly id: string }
      : never
    : Message;
};

type Definition = { params: Declared; words: string };

const DEFINED = new Map<string, Definition>();
const NONE = Object.freeze({});

/**
 * The messages of a folder: which parameters each takes, beside the facts; what they say stands in the folder's `words`.
 * Ids that take none are those of the words that are not listed.
 * @param folder what their ids begin with
 * @param words the English texts, by name
 * @param declared the parameters of each text that has some
 * @returns a message for each text without parameters, a function making one for each that has some
 */
export function defineMessages<
  const D extends Readonly<Record<string, Declared>>,
  const W extends Record<string, string> & Record<keyof D, string>,
>(folder: string, words: W, declared: D): Messages<W, D> {
  const made: Record<string, Message | ((params: Message['params']) => Message)> = {};
  for (const [name, text] of Object.entries(words)) {
    const id = `${folder}.${name}`;
    const params = declared[name];
    DEFINED.set(id, { params: params ?? NONE, words: text });
    made[name] = params
      ? Object.assign((args: Message['params']) => ({ id, params: args }), { id })
      : { id, params: NONE };
  }
  return made as Messages<W, D>;
}

/** Every message defined so far, by id. */
export const definedMessages = (): ReadonlyMap<string, Definition> => DEFINED;

/** The English text of a message; undefined where its folder is not loaded. */
export const englishOf = (id: string): string | undefined => DEFINED.get(id)?.words;
