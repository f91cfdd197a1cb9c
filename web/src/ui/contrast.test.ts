import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const CSS = readFileSync(new URL('../index.css', import.meta.url), 'utf8');

/** The colours a rule of the style sheet sets, by their names. */
function coloursOf(selector: string): Record<string, string> {
  const from = CSS.indexOf(`\n${selector} {`);
  if (from < 0) throw new Error(`There is no ${selector}.`);
  const body = CSS.slice(from, CSS.indexOf('}', from));
  return Object.fromEntries([...body.matchAll(/--([a-z]+): (#[0-9a-f]{6});/g)].map((m) => [m[1], m[2]]));
}

/** Relative luminance. Source: WCAG 2.2, definition of relative luminance. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((i) => Number.parseInt(hex.slice(i, i + 2), 16) / 255)
    .map((v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Source: WCAG 2.2, definition of contrast ratio. */
function contrast(a: string, b: string): number {
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
}

const day = coloursOf(':root');
const night = { ...day, ...coloursOf('[data-theme="night"]') };
const PAPERS = {
  day,
  night,
  'practice by day': { ...day, ...coloursOf('[data-paper="practice"]') },
  'practice by night': { ...night, ...coloursOf('[data-theme="night"][data-paper="practice"]') },
};

describe('what is read at work', () => {
  it('the formula gives 21 for black on white and 4.48 for #777 on white (WCAG 2.2; from memory)', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  });
  it.each(Object.entries(PAPERS))('stands out 7 : 1 on paper and on shade: %s', (_, colours) => {
    const weak = ['ink', 'muted', 'steel', 'brass', 'stop', 'good'].flatMap((ink) =>
      ['paper', 'shade'].flatMap((on) => {
        const ratio = contrast(colours[ink] ?? '', colours[on] ?? '');
        return ratio >= 7 ? [] : [`${ink} on ${on}: ${ratio.toFixed(2)}`];
      }),
    );
    expect(weak).toEqual([]);
  });
});
