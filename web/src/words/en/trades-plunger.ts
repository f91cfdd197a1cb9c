/** What the pages of trades/plunger say, in ICU MessageFormat. */
export const en = {
  dragEachPartPlaceKeyboard: 'Drag each part to its place. By keyboard:',
  laysDown: 'lays it down.',
  liftsArrowsMove: 'lifts it, the arrows move it,',
  packingNut: 'packing nut →',
  placeWrongWhatFacesPressure: 'Place {wrong} is wrong: what faces the pressure first?',
  pressureEnd: '← pressure end',
  theyLieSo: 'They lie so',
} as const;
