/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  thereNoGuideHere: 'There is no guide “{kind}” here.',
} as const;
