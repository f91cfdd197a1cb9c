/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  thereNothingDrawFrom: 'There is nothing to draw from.',
  boreNotTabledClass: 'This bore is not tabled in this class.',
} as const;
