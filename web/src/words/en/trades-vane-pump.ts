/** What the pages of trades/vane-pump say, in ICU MessageFormat. */
export const en = {
  countedAsWanted: 'Counted: {heap}, as wanted',
  cameOff: 'came off',
  counted: 'Counted',
  goesBack: 'goes back',
  howMany0WhereThere: 'How many? 0 where there is none.',
  shims: 'Shims of {lengthDigits} {unit}',
  sidesHeap: 'shims of this side',
  wholeNumberShims060: 'A whole number of shims, 0 to 60.',
} as const;
