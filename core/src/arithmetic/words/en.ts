/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  thereNoCalculatorKnown: 'There is no calculator “{id}”. Known: {calculators}.',
} as const;
