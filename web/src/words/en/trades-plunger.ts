/** What the pages of trades/plunger say, in ICU MessageFormat. */
export const en = {
  dragEachPartPlaceKeyboard: 'Drag each part to its place. By keyboard:',
  laysDown: 'puts it down.',
  liftsArrowsMove: 'picks it up, the arrows move it,',
  packingNut: 'packing nut →',
  placeWrongWhatFacesPressure: 'Place {wrong} is wrong: which part faces the pressure first?',
  pressureEnd: '← pressure end',
  theyLieSo: 'This is the order',
} as const;
