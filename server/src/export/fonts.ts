import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { create, type Font } from 'fontkit';
import { LRUCache } from 'lru-cache';
import { toSfnt } from 'woff2sfnt-sfnt2woff';

const FILES = {
  text: ['@fontsource/barlow', 'barlow-latin-400-normal'],
  strong: ['@fontsource/barlow', 'barlow-latin-700-normal'],
  label: ['@fontsource/barlow-condensed', 'barlow-condensed-latin-600-normal'],
  mono: ['@fontsource/jetbrains-mono', 'jetbrains-mono-latin-400-normal'],
} as const;
export type FontName = keyof typeof FILES;

/** Words whose shape is remembered, each font. */
const WORDS_MOST = 4000;

/** The fonts the screens use, from their npm packages, so that paper and screen look alike; read and unpacked once. */
let kept: Record<FontName, Font> | null = null;
export function fonts(): Record<FontName, Font> {
  kept ??= Object.fromEntries(
    Object.entries(FILES).map(([name, [pack, file]]) => [name, remembering(load(pack, file))]),
  ) as Record<FontName, Font>;
  return kept;
}

function load(pack: string, file: string): Font {
  const at = dirname(createRequire(import.meta.url).resolve(`${pack}/package.json`));
  const font = create(toSfnt(readFileSync(join(at, 'files', `${file}.woff`))));
  if (!('layout' in font)) throw new Error(`${file} is a collection of fonts, not one.`);
  // A glyph is kept as it is first met. A point met as a part of a colon would have no character, and paper would read “4 53”.
  for (const character of font.characterSet) font.glyphForCodePoint(character);
  return font;
}

/** Shaping a word costs more than printing it: what was shaped once is handed out again, as a copy, since the printer scales it in place. */
function remembering(font: Font): Font {
  const shape = font.layout.bind(font);
  const words = new LRUCache<string, ReturnType<Font['layout']>>({ max: WORDS_MOST });
  font.layout = (text, ...rest) => {
    if (rest.some((r) => r !== undefined)) return shape(text, ...rest);
    const known = words.get(text) ?? shape(text);
    words.set(text, known);
    return Object.assign(Object.create(Object.getPrototypeOf(known)), known, {
      positions: known.positions.map((p) => ({ ...p })),
    });
  };
  return font;
}
