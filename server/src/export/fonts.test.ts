import { expect, it, vi } from 'vitest';

// A colon is drawn from two points. Where its outline is read first, the font would keep a point without its character, and every sheet
// printed after it would be drawn right and read (copied, spoken) as “4 53 in”.
it('a point is read as a point in every font, whatever was printed first', async () => {
  vi.resetModules();
  const { fonts } = await import('./fonts.ts');
  for (const [name, font] of Object.entries(fonts())) {
    for (const drawnOfOthers of [':', ';', '!', '“', 'ä'])
      void font.glyphForCodePoint(drawnOfOthers.codePointAt(0) ?? 0).path.commands;
    for (const text of ['.', ',', '’', 'a'])
      expect([name, font.layout(text).glyphs[0]?.codePoints]).toEqual([name, [text.codePointAt(0)]]);
  }
});
