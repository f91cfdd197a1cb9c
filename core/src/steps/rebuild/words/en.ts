/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  doorCloses: '{name}: a door, it closes',
  everyLipFacesWayMust: 'Every lip faces the way it must.',
  everyPartTagged: 'Every part is tagged.',
  fitTickWayLipFaces: '{open}: fit it, and tick the way its lip faces',
  hand: 'In hand: {now}; on: {filter}',
  isolationStaysHandsTurnNot:
    'Isolation stays on: hands turn it, not power. Fingers clear of gears and coupling.',
  keepAsSpare: 'keep as spare',
  laidOutOrderTheyCame: 'Laid out in the order they came off; each looked over, cleaned, tagged.',
  lipFaces: '{l}: its lip faces?',
  look: 'Look for: {causes}.',
  notTurnedOverHandYet: 'It is not turned over by hand yet.',
  notUsedAgain: '{name} is not used again: {renewed}',
  otherWay: '{wants, select, inward {Inward} outward {Outward} other {}}. The other way: {wrong}',
  partsStillTagged: '{count} of {count2} parts are still to be tagged.',
  partsTagged: 'Parts tagged',
  tag: 'Tag: {name}',
  takeNewOneFromKit: 'Take a new one from the kit, and tag it so.',
  turnsOverHand: 'It turns over by hand.',
  useAgain: 'use again',
  whichWayDoesLipFace: '{l}: which way does its lip face?',
  wholeTurnsHandSlowlyFeeling: 'Whole turns by hand, slowly, feeling for a tight spot.',
  willNotTurnFindOut: 'It will not turn: find out why',
  willNotTurnNothingFurther:
    'It will not turn: nothing further goes on until it does. Power never turns it free.',
} as const;
