type Words<W extends string> = W extends `${infer A}|${infer B}` ? A | Words<B> : W;
/** What stands in a key of this form: `{deg}` is a number, `{row:A|B}` one of these words. */
export type KeyParts<P extends string> = P extends `${string}{${infer Name}}${infer Rest}`
  ? (Name extends `${infer K}:${infer W}` ? { [k in K]: Words<W> } : { [k in Name]: number }) & KeyParts<Rest>
  : unknown;

export type PlaceKey<P extends string> = {
  /** The key with these parts. */
  write(parts: KeyParts<P>): string;
  /** The parts of a key; null where it is of another form. Numbers as they are written: `045` is not 45. */
  read(key: string | undefined): KeyParts<P> | null;
};

const HOLE = /\{(\w+)(?::([^}]+))?\}/g;
const NUMBER = '(0|[1-9]\\d{0,5}(?:\\.\\d+)?|0\\.\\d+)';

/**
 * The keys of places of one form, written and read in one place: a reading is kept under them for good.
 * @example const felt = placeKey('deg{deg}/{row:A|B}/{n}'); felt.read('deg45/A/1') // { deg: 45, row: 'A', n: 1 }
 */
export function placeKey<P extends string>(form: P): PlaceKey<P> {
  const holes = [...form.matchAll(HOLE)].map((m) => ({ name: m[1] ?? '', words: m[2] }));
  const pattern = new RegExp(
    `^${form.replace(HOLE, (_all, _name, words) => (words ? `(${words})` : NUMBER))}$`,
  );
  return {
    write(parts) {
      const values = new Map(Object.entries(parts ?? {}));
      return form.replace(HOLE, (_all, name: string) => String(values.get(name)));
    },
    read(key) {
      const m = pattern.exec(key ?? '');
      if (!m) return null;
      const parts = holes.map(({ name, words }, i) => [name, words ? m[i + 1] : Number(m[i + 1])] as const);
      return Object.fromEntries(parts) as KeyParts<P>;
    },
  };
}
