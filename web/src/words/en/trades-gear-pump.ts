/** What the pages of trades/gear-pump say, in ICU MessageFormat. */
export const en = {
  loose: 'loose',
  lost: 'lost',
  right95100: ' ± {uncertainty} %, right in 95 of 100',
  stack: 'Stack',
  stackLoses: 'A stack loses',
  stackPut: 'stack to put in',
} as const;
