/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  aim: '{least} to {most}, aim {aim}',
  asWanted: 'as wanted',
  compressed: 'compressed by',
  endClearanceUnderTorque: 'End clearance under torque',
  endClearanceUnderTorqueGears:
    'End clearance {range} under torque: the gears run free and do not slip past.',
  endClearanceUnderTorqueWithin:
    'End clearance {range} under torque is within the blades’ doubt of its limit.',
  endFloat: 'End float',
  endFloatBetween: 'End float {float} is between {least} and {most}.',
  endFloatShims:
    'End float {float} is {float2, select, tooSmall {too small} tooLarge {too large} other {}}: {change} {change2, select, more {more} less {less} other {}} of shims.',
  endFloatWithinDialsDoubt: 'End float {float} is within the dial’s doubt of its limit.',
  feelAgainFinerBladesChange: 'Feel it again with finer blades, or change the stack. {way}',
  float: 'of the float',
  gasketStackEndClearance: 'Gasket stack for an end clearance',
  gear: 'at that gear',
  gearTouchesStraightedgeUnderTorque:
    'A gear touches the straightedge: under torque it is clamped between the plates.',
  gearsStandTooUnequalAny:
    'The gears stand too unequal for any stack: look at the faces, and whether the gears are home.',
  howMuchStackGivesUnder: 'how much the stack gives under torque',
  inwardOutwardOpen: '{count} inward, {count2} outward, {open} open',
  lipFacesMustFace:
    '{l}: its lip faces {fitted, select, inward {inward} outward {outward} other {}}, it must face {wants, select, inward {inward} outward {outward} other {}}.',
  lipSealsStillFittedTicked: '{open} of {count} lip seals are still to be fitted and ticked.',
  lips: 'lips',
  looseLooseTightLoose: 'Σ loose·(loose − tight) / Σ loose² = {fraction} %{uncertainty}',
  measureLooseTightOnceMore: 'Measure loose and tight once more, with the same gauge.',
  most: '{small} − {f} × {stack} = {smallest}, at the most {largest}',
  mostMustOverLeast: 'The most must be over the least.',
  n95100: ' ± {uncertainty} %, 95 of 100',
  noHeapShimsBringsRight: 'No heap of shims brings it right: look for what stands proud, or is not home.',
  noHeapWhatHandComes: 'No heap of what is on hand comes to {wanted} within {tolerance}.',
  noStackWhatHandDoes: 'No stack of what is on hand does it{buy}',
  onePieceMoreWould: '; one piece of {buy} more would.',
  oneShimMoreWouldDo: 'One shim of {buy} more would do it.',
  otherThicknessesNeeded: 'Other thicknesses are needed.',
  overUnder: 'over {least}, under {most}',
  pressOutFitNewOne: 'Press it out and fit a new one the right way; a seal pressed out is not used again.',
  put: 'Put in: {pieces}.',
  putLoose: 'Put in: {pieces} ({sum} loose).',
  shimsFromMeasuredEndFloat: 'Shims from a measured end float',
  shimsWantedThickness: 'Shims of a wanted thickness',
  stackWanted: 'stack wanted',
  stackWanted2: 'A stack of {value} is wanted.',
  thesePairsStackLosesUnder:
    'By these pairs the stack loses {fraction} % under torque: that is not believable.',
  to: '{small} to {large}',
  to2: '{least} to {most}',
  underTorque: 'under torque',
  underTorqueOnlyLeftTightest:
    'Under torque only {smallest} is left at the tightest place: a gear would be clamped.',
  underTorqueOpenWidestPlace:
    'Under torque {largest} is open at the widest place: the pump slips past its gears.',
  wanted: 'wanted',
  wantedFloat:
    '{stack} {way, select, text {+} text2 {−} other {}} (wanted float − {float}) = {least} to {most}',
  whatGasketStackLosesUnder: 'What a gasket stack loses under torque',
  whichWayLipsFace: 'Which way the lips face',
} as const;
