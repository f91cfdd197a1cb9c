/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  torqueTenTimesUsual: '{torque} is about ten times off for {what}: {low} to {high} is usual.',
  torqueMissing: 'The torque of {textKey} is missing.',
  passInOrder: '{pass}: {one, select, bolt {bolts} screw {screws} nut {nuts} other {}} {order}',
  passOne: '{pass}: {one, select, bolt {bolt} screw {screw} nut {nut} other {}} {bolt}',
  allAnswered: 'All answered.',
  allSTightAlready: 'All are tight already.',
  allSTightNoneMoved:
    'All {one, select, bolt {bolts} screw {screws} nut {nuts} other {}} tight; none moved in the last round.',
  and: '{smallest} and {largest}',
  answerWhatComesBeforeWrench: 'Answer the questions that come before the wrench.',
  baseBoltsFixWhatLined:
    'Base bolts fix the alignment, so tighten them last and in order. A wrong order moves the housing out of line.',
  bearingWarmsUpAsSpreads:
    'A bearing warms up as it spreads its grease, then settles. One that keeps warming is too tight, too full or out of line. Read at set times: a curve shows what one number cannot.',
  blockedChannelFoundNowFailed:
    'A blocked channel is found now, or by a failed bearing. Fresh grease at the hole in the race proves it, before another part covers it.',
  boltsDrawn: 'Bolts tightened to',
  boxOffShaftsMiddleLeaves:
    'A box off the shaft’s centre leaves the seal room on one side only. The bracket sags under its own weight; measure the sag, or it reads as an error of the box.',
  burrCutsORingSlides:
    'A burr cuts the O-ring that slides over it; the cut shows only as a leak. A fingernail finds steps the eye misses. Dirt under a gauge is measured as steel, so clean and dress first.',
  cannotUncoupled: 'cannot be uncoupled',
  capDrawnDownOneSide:
    'A cap tightened on one side pinches the ring oval. A torque computed from the bolt can be twice what the housing bears: use the sheet. Tighten crosswise and in passes.',
  carriersFindTheirPlaceClosed:
    'The seal holders locate on the closed cap, so tighten them after it. Then pack the labyrinth: its grease is the seal.',
  checkAgainstBlockAnotherGauge: 'Check it against a block or another gauge, or repeat with one in date.',
  couplingApartNothingCanDrive: 'Coupling apart; machine cannot be driven.',
  couplingComesApart: 'by a separable coupling',
  couplingJoinedAligned: 'Coupling joined and aligned.',
  decision: 'Decision',
  directionRotationProvedBeforeDrives: 'Direction of rotation checked before it drives the machine. How?',
  directionTriedWhileNothingCoupled:
    'Check the direction while nothing is coupled that could be damaged. Guards are back before anything turns; an authorised person starts it.',
  doesNotApply: 'Does not apply: {ask}',
  doesNotReplaceLocalCodes:
    'This does not replace local codes and permits, the maker’s instructions or licensed practice. They override anything shown here.',
  drainedVentedFlushedCooledNo:
    'Drained, vented, flushed, cooled and without pressure; the fluid’s safety sheet is read.',
  drawnUpBeforeCapCarrier:
    'Tightened before the cap, a seal holder keeps the halves apart. Tighten it after the cap, crosswise to torque.',
  driven: 'Driven',
  dropsMin: '{v} drops/min',
  eachAnsweredNameNothingAfter: 'Answer all to go on. Your name is recorded.',
  endPlayMovesFacesApart:
    'End play moves the faces apart and together; radial play lets the shaft drop. Over the limit the bearing is at fault, and a new seal would only hide it for some weeks.',
  farFromWhatUsual: '{torque} is far from the usual for {what}, {low} to {high}.',
  firstAnswerWhatAskedAbove: 'First answer the questions above.',
  fiveSixthsOneSided1: 'five sixths of it, one-sided (1.65 u)',
  footDoesNotBearPulled:
    'A foot that does not bear is pulled down by its bolt and bends the frame: no alignment holds. Loosen one foot at a time and watch it. A flat shim does not cure a wedge-shaped gap.',
  fromBoltAloneMayDistort:
    '{torque}, computed from the bolt alone: it may distort the housing and pinch the ring.',
  gapFromTopClockwise: 'Gap at {deg}°, from the top clockwise',
  gapsStillFelt: '{count} of {count2} gaps are still to be felt.',
  glandStandsAsSquareAs:
    'The gland is as square as the face it is bolted to, and the seal as square as the gland. The dial rides on the shaft and measures the face against the axis. Hold a floating shaft one way, or the reading includes end play.',
  goodFromBoltsTake: '{name} is good from {high} to {high2}; the bolts take {final}.',
  halvesOneHousingWereBored:
    'The halves of a housing were bored together and belong together. Sealant squeezed into the seat lifts the ring out of round; a seal turned the wrong way lets dirt in.',
  handFeelsWhatMotorWould:
    'Turning by hand you feel a scrape, a tight spot, metal on metal. Found by hand it costs an hour; turned by the motor it costs the part.',
  notInListCalibrationNotKnown: '{name} is not in the list of gauges: its calibration is not known.',
  hasBeenOutCalibrationSince: '{name} has been out of calibration since {calibrationDue}.',
  hottest: 'Hottest',
  hottestFirstHours: 'Hottest in the run-in',
  houseRulesJob: 'Site rules on this job',
  isolatedAgainLockedTaggedMe: 'Isolated again, locked and tagged by me; try-start done.',
  isolationLiftedBumpWhoeverSet: 'Isolation lifted for the bump, by the person who set it.',
  last: 'Last {count}',
  leadHandReleasesBefore: 'Lead hand releases before',
  leakageLastCounted: 'Leakage, last counted',
  lookAgainWhenCheckDue: 'Check again when it is due, or sign the sheet as running.',
  lookHousingsOwnTorqueSheet: 'Look for the housing’s own torque on its sheet, and enter it in the setup.',
  loosenAllBoltsSaySo: 'Loosen all bolts, record it, and begin again at the first pass.',
  machinesHurtPeopleWhoThought:
    'Machines hurt people who thought they were off. Lock the energy out yourself and try the start. Block the rotor; hang loads on rated gear. Check the parts now: what is missing later stops the job half done. Local rules override this list.',
  makerSSheet: "{what}: {range}{torque} by the maker''s sheet.",
  makerSValuesLowerLimit: "In the maker''s values a lower limit stands above its upper.",
  makersSheetOutranksEveryTable: 'Maker’s values',
  measureAgainRealGaugeBefore: 'Measure again with a real gauge before anything is fitted.',
  middle: '{least} to {makerMost}, the middle ',
  minAfterStartKeptNot:
    '{count, plural, one {Early look} other {Early looks}} at {minutes} min after the start: kept, and not the check that is due.',
  most: '{deg}° at the most',
  motorBumpedCouplingApartTurns: 'Motor bumped with the coupling apart: turns the way the arrow points.',
  motorCouplingWereNotTouched: 'motor, coupling untouched',
  newFacesPumpFullGas:
    'New faces must be wet before they run fast. Start slowly by the bypass, vapour before liquid where the pump moves liquefied gas.',
  next: '{name}: {one, select, bolt {bolt} screw {screw} nut {nut} other {}} {bolt} is next{torque}.',
  nextPattern: '{name}: {one} {bolt} is next in the pattern.',
  notAskedWhenStepPassed: 'Not asked when this step was passed: {notThen}',
  notOk: 'Not OK: {ask}{note}',
  notTorqueLoosenAllStart:
    '{torque} is not the {name} torque, {torque2}. Loosen all and start again if a {one} was overtightened.',
  nothingBetterThanSeatStands:
    'No part is better than its seat. Size decides the grip; out of round shapes the ring; a taper lets it creep. The largest and smallest count, not the mean. Two opposite points cannot see an odd number of lobes; a V-block can.',
  oneBearingHoldsShaftOther:
    'One bearing holds the shaft, the other lets it grow. Fit the fixed one first: the float is set from it. Two fixed bearings press against each other as soon as the shaft is warm.',
  onlySnugEvenlyHandKey: '{what}: snug only, evenly, by hand; no torque.',
  outPattern: 'Out of order: {said}.',
  essentialDepth: 'essential',
  standardDepth: 'standard',
  thoroughDepth: 'thorough',
  pumpGoesTogetherFromWhat:
    'Lay the parts out as they were removed; tag each renew, reuse or spare. Parts that have taken their shape are not refitted. A part left over at the end is then a known spare, not a mistake.',
  putRightThenAnswerAgain: 'Correct it, then answer again.',
  readSheetAgainValueUnit: 'Read the sheet again: the value, and its unit.',
  readSheetThroughSign: 'Read the sheet and sign.',
  readThroughThenSignYour: 'Read it, then sign with your name.',
  readingsHereCameFromSimulated:
    'Readings here are from {name}, a simulated gauge: practice, not a record of a machine.',
  rollersStartDryMarkedBefore:
    'Rollers that start dry are damaged before the grease reaches them: fill the bearing itself by hand. The housing gets only a share by speed; too much is churned and heats the bearing.',
  rotorBlockedAgainstTurningWhat: 'Rotor blocked against turning; loads on rated gear; fingers clear.',
  roughShaftFileWhatSeals:
    'A rough shaft files away what seals on it; a rough face leaks however tight the bolts are. Measure across the lay: along it every surface looks smooth.',
  round: 'Round {i}',
  roundMoved: 'round {i} moved',
  roundsSomethingStillMoves: '{count} rounds, and screws still move.',
  sayHowFarMovedDegrees: 'Say how far {one} {bolt} moved, in degrees; 0 where it did not.',
  sealDoesNotGoFound:
    'Check bore, depth, first obstruction and studs against the seal’s sheet now, while another seal can still be ordered.',
  sealRingNotTightTurns:
    'A loose seal ring turns with the wrong part and wears its seat. Turn by hand again: it must not rub.',
  sealsFacesHaveFollowShaft:
    'The faces must follow the shaft every turn. Off centre, bent and oval give the same total but need different remedies, so read the whole turn. Read the first angle again at the end: a difference means that the gauge moved.',
  selfAligningBearingForgivesAngle:
    'A self-aligning bearing allows an angle, but not much; past it the rollers run on their edges. Line the housings up after the base is tight: tightening moves them.',
  shaftLargest: 'Shaft, largest',
  shaftSlingHangsWhereSling:
    'A shaft in its sling hangs where the sling holds it, not where it will run. Put the load back before lining anything up.',
  shaftSmallest: 'Shaft, smallest',
  shaftSmallestLargest: 'Shaft, smallest and largest',
  sheetNotSigned: 'The sheet is not signed.',
  slackBeltSlipsBurnsThrows:
    'A slack belt slips and burns; a tight one bends the shaft and overloads the bearing. Measure by the note of the span or by the force that bends it. Change the belts of a drive as a set.',
  snugOnceMore: 'Snug once more',
  standsProud: 'Stands proud',
  steelGrowsMoreThanHundredth:
    'Steel grows by more than 0.01 mm for each metre and degree. Without room on the growth side, the growth lands on the rollers. A ring beside a float makes it a fixed bearing, unnoticed until it runs hot.',
  stillAnswered:
    '{count} of {count2} {count, plural, one {question is} other {questions are}} still to be answered.',
  stillRead: 'Still to be read: {what}{count}.',
  stop: 'stop {stopC}',
  stopLookWrongShaftStripped: 'Stop. Look for a wrong shaft, a stripped thread, dirt between the faces.',
  thenText: '; then {left}',
  there: 'There are {count} {what}.',
  ticksWereMadeBeforeBolts:
    '{count} of {count2} ticks were made before bolts or torque were changed and no longer fit.',
  to: ', to {torque}',
  useWrenchBetween20100: 'Use a wrench between 20 and 100 % of its scale.',
  vibration: 'Vibration',
  vibrationFirstHours: 'Vibration in the run-in',
  whatOutLineHereComes:
    'Misalignment causes vibration, heat and one-sided seal wear. Two dials at four places separate offset and angle, and give the shims for each foot. A machine that runs warm grows: set it low when cold.',
  whatSitsBetweenBearingShoulder:
    'What sits between bearing and shoulder cannot pass the bearing afterwards. A forgotten part means taking the bearing off again, with a new zero.',
  whatTheseBoltsDrawnCould: 'The torque of these bolts could not be calculated.',
  whereGapGasketDecidesLoosen: 'If a gap or a gasket matters, loosen all and begin again.',
  wholeDoubtK2: 'allow for gauge error',
  whom: 'by whom',
  yearFromNowSomebodyStands:
    'At the next failure, people ask what was measured, with which gauge, and by whom. The signed sheet answers. It is never changed; a correction becomes a revision with its reason.',
} as const;
