/** What the messages of this folder say, in ICU MessageFormat. */
export const en = {
  torqueTenTimesUsual: '{torque} is about ten times off for {what}: {low} to {high} is usual.',
  thereNoSuchAnswer: 'There is no such answer to that.',
  torqueMissing: 'The torque of {textKey} is missing.',
  passOne: '{pass}: {one, select, bolt {bolt} screw {screw} nut {nut} other {}} {bolt}',
  allAnswered: 'All answered.',
  allSTightAlready: 'All {one}s are tight already.',
  allSTightNoneMoved:
    'All {one, select, bolt {bolts} screw {screws} nut {nuts} other {}} tight; none moved in the last round.',
  and: '{smallest} and {largest}',
  answerWhatComesBeforeWrench: 'Answer what comes before the wrench.',
  baseBoltsFixWhatLined:
    'Base bolts fix what was lined up, so they come last and in turn. A wrong order walks the housing out of line while it is being tightened.',
  bearingWarmsUpAsSpreads:
    'A bearing warms up as it spreads its grease, and then settles. One that keeps climbing is too tight, too full or not in line, and says so in the first hours, while it can still be helped. Read at set times, because a curve tells what one number cannot.',
  benchClearance: 'Bench clearance',
  blockedChannelFoundNowFailed:
    'A blocked channel is found now or by a failed bearing. Fresh grease at the hole in the race is the proof, before another part closes over it.',
  boltsDrawn: 'Bolts drawn to',
  boxBoreTir: 'Box bore, TIR',
  boxFaceTir: 'Box face, TIR',
  boxOffShaftsMiddleLeaves:
    'A box off the shaft’s middle leaves the seal room on one side only, and throws a register’s gland off centre. The bracket sags by its own weight and reads that as an error of the box, unless its sag was measured.',
  burrCutsORingSlides:
    'A burr cuts the O-ring that slides over it, and nobody sees the cut until it leaks. A fingernail drawn along the shaft finds a step no eye finds. Dirt under a gauge is measured as if it were steel, so cleaning and dressing come before any number.',
  cannotUncoupled: 'cannot be uncoupled',
  capDrawnDownOneSide:
    'A cap drawn down on one side pinches the ring oval, and a torque worked out from the bolt can be twice what the housing bears: its own sheet decides. Crosswise and in passes, because each bolt loosens its neighbours a little.',
  carriersFindTheirPlaceClosed:
    'The carriers find their place by the closed cap, so they are drawn up after it, whichever way the housing was closed. Then the labyrinth is packed: the grease in it is the seal.',
  checkAgainstBlockAnotherGauge: 'Check it against a block or another gauge, or repeat with one in date.',
  compression: 'Compression',
  couplingApartNothingCanDrive: 'Coupling apart; nothing can drive the machine.',
  couplingComesApart: 'by a coupling that comes apart',
  couplingJoinedAligned: 'Coupling joined and aligned.',
  decision: 'Decision',
  directionRotationProvedBeforeDrives: 'Direction of rotation proved before it drives the machine: how?',
  directionTriedWhileNothingCoupled:
    'Direction is tried while nothing is coupled that could be hurt by the wrong one. The guard is back before anything turns, and whoever may start it does.',
  doesNotApply: 'Does not apply: {ask}',
  doesNotReplaceLocalCodes:
    'This does not replace local codes and permits, the maker’s instructions or licensed practice. They outrank anything shown here.',
  drainedVentedFlushedCooledNo:
    'Drained, vented, flushed, cooled; no pressure is left; the fluid’s safety sheet is read.',
  drawnUpBeforeCapCarrier:
    'Drawn up before the cap, a carrier holds the halves apart. After it, they go to torque crosswise.',
  driveUp: 'Drive-up',
  driven: 'Driven',
  dropsMin: '{v} drops/min',
  dropsMinute: '{dropsPerMin} drops a minute',
  eachAnsweredNameNothingAfter: 'Each is answered by name. Nothing after it opens before.',
  endPlay: 'End play',
  endPlayMovesFacesApart:
    'End play moves the faces apart and together; radial play lets the shaft fall where no centring holds it. Over the limit the bearing is the fault, and a new seal would only hide it for some weeks.',
  energyIsolatedLockedTaggedMe: 'Energy isolated, locked and tagged by me; try-start done.',
  enteredAlreadyWithdrawReasonEnter:
    '{label} is entered already. Withdraw it, with a reason, to enter it again.',
  farFromWhatUsual: '{torque} is far from what is usual for {what}, {low} to {high}.',
  feel: 'Feel the {label}',
  firstAnswerWhatAskedAbove: 'First answer what is asked above.',
  firstHours: 'First hours',
  fiveSixthsOneSided1: 'five sixths of it, one-sided (1.65 u)',
  footDoesNotBearPulled:
    'A foot that does not bear is pulled down by its bolt and bends the machine’s frame: the bearings bind and no alignment holds. One foot at a time is loosened and watched. A gap that is wedge-shaped is not cured by a flat shim.',
  fromBoltAloneMayDistort:
    '{torque}, computed from the bolt alone: it may distort the housing and pinch the ring.',
  gapFromTopClockwise: 'Gap at {deg}°, from the top clockwise',
  gapsStillFelt: '{count} of {count2} gaps are still to be felt.',
  glandStandsAsSquareAs:
    'The gland stands as square as the face it is bolted to, and the seal as square as the gland. The indicator rides on the shaft, so that it measures the face against the axis the seal will turn about. A shaft that floats writes its end play into the reading: it is held one way.',
  goodFromBoltsTake: '{name} is good from {high} to {high2}; the bolts take {final}.',
  halvesOneHousingWereBored:
    'The halves of one housing were bored together, and belong together. Sealant squeezed into the seat lifts the ring out of round; a seal turned the wrong way lets in what it should keep out. All of it is out of sight once the cap is on.',
  hand: 'by hand',
  handFeelsWhatMotorWould:
    'The hand feels what the motor would not: a scrape, a tight spot, metal on metal. What stops a hand costs an hour; what the motor turns in spite of it costs the part.',
  hasBeenOutCalibrationSince: '{name} has been out of calibration since {calibrationDue}.',
  hottest: 'Hottest',
  hottestFirstHours: 'Hottest in the first hours',
  houseRulesJob: 'House rules on this job',
  isolatedAgainLockedTaggedMe: 'Isolated again, locked and tagged by me; try-start done.',
  isolationLiftedBumpWhoeverSet: 'Isolation lifted for the bump, by whoever set it.',
  last: 'Last {count}',
  leadHandReleasesBefore: 'Lead hand releases before',
  leakage: 'Leakage',
  leakageLastCounted: 'Leakage, last counted',
  lockPermitNumber: 'lock or permit number',
  lookAgainWhenCheckDue: 'Look again when the check is due, or sign the sheet as running.',
  lookHousingsOwnTorqueSheet: 'Look for the housing’s own torque on its sheet, and put it into the setup.',
  loosenAllBoltsSaySo: 'Loosen all bolts, say so, and begin again at the first pass.',
  machine: 'The machine',
  machine2: 'Machine',
  machinesHurtPeopleWhoThought:
    'Machines hurt people who thought they were off. Whoever puts the hands in locks the energy out and tries the start; nothing under pressure, hot or harmful is left inside; the rotor cannot turn, the load hangs on rated gear. And the kit is whole before the machine is opened: what is missing now holds the job on the bench, what is missing later holds it in pieces. Local rules and permits outrank this list.',
  makerSSheet: "{what}: {range}{torque} by the maker''s sheet.",
  makerSValuesLowerLimit: "In the maker''s values a lower limit stands above its upper.",
  makersSheetOutranksEveryTable: 'Maker’s sheet, outranks every table',
  measureAgainRealGaugeBefore: 'Measure again with a real gauge before anything is fitted.',
  middle: '{least} to {makerMost}, the middle ',
  min: '{m} min',
  minAfterStartKeptNot:
    '{count, plural, one {Early look} other {Early looks}} at {minutes} min after the start: kept, and not the check that is due.',
  missing: '{label} is missing.',
  most: '{deg}° at the most',
  motorBumpedCouplingApartTurns: 'Motor bumped with the coupling apart: it turns the way the arrow points.',
  motorCouplingWereNotTouched: 'motor and coupling were not touched',
  newFacesPumpFullGas:
    'New faces and a pump full of gas do not go together. Brought up slowly by the bypass, vapour before liquid where it pumps such, they are wet before they are fast.',
  next: '{name}: {one, select, bolt {bolt} screw {screw} nut {nut} other {}} {bolt} is next{torque}.',
  nextPattern: '{name}: {one} {bolt} is next in the pattern.',
  notAskedWhenStepPassed: 'Not asked when this step was passed: {notThen}',
  notOk: 'Not OK: {ask}{note}',
  notTorqueLoosenAllStart:
    '{torque} is not the {name} torque, {torque2}. Loosen all and start again if a {one} was overtightened.',
  nothingBetterThanSeatStands:
    'Nothing is better than the seat it stands on. Size decides whether the part grips at all; out of round presses its shape into the ring; a taper lets it creep. Largest and smallest count, not the mean: the part sits on the worst place. Two opposite points cannot see an odd number of lobes; a V-block can.',
  oneBearingHoldsShaftOther:
    'One bearing holds the shaft, the other lets it grow. The fixed one goes on first, because the place of the float is reckoned from it; two that hold press against each other as soon as the shaft is warm.',
  onlySnugEvenlyHandKey: '{what}: only snug, evenly, by hand key; no torque.',
  outPattern: 'Out of the pattern: {said}.',
  depthOfCheck: 'Depth of check',
  essentialDepth: 'essential',
  standardDepth: 'standard',
  thoroughDepth: 'thorough',
  partAsStamped: 'Part, as stamped',
  position: 'The position',
  position2: 'Position',
  pumpGoesTogetherFromWhat:
    'A pump goes together from what lies on the bench. Laid out as it came off, each part tagged renew, use again or spare, nothing that has taken its shape goes back, and a ring left over at the end is known as a spare and not as a mistake.',
  putRightThenAnswerAgain: 'Put it right, then answer again.',
  radialPlay: 'Radial play',
  readSheetAgainValueUnit: 'Read the sheet again: the value, and its unit.',
  readSheetThroughSign: 'Read the sheet through and sign.',
  readThroughThenSignYour: 'Read it through, then sign with your name.',
  readingsHereCameFromSimulated:
    'Readings here came from {name}, a simulated gauge: practice, no record of a machine.',
  reduction: 'Reduction',
  residualClearance: 'Residual clearance',
  rollersStartDryMarkedBefore:
    'Rollers that start dry are marked before the grease reaches them; so the bearing itself is filled by hand. The housing gets only its share by speed: what is too much is churned and heats the bearing.',
  rotorBlockedAgainstTurningWhat:
    'Rotor blocked against turning; what is lifted hangs from rated gear, no fingers under.',
  roughShaftFileWhatSeals:
    'A rough shaft is a file for what seals on it; too rough a face leaks past its gasket however tight the bolts are. The stylus goes across the lay, because along it every surface looks smooth.',
  round: 'Round {i}',
  roundMoved: 'round {i} moved',
  roundsSomethingStillMoves: '{count} rounds and something still moves.',
  runOutLargestTir: 'Run-out, largest TIR',
  sayHowFarMovedDegrees: 'Say how far {one} {bolt} moved, in degrees; 0 where it did not.',
  sealDoesNotGoFound:
    'A seal that does not go in is found out with the pump open and the shift gone. Bore, depth, the first obstruction and the studs are held against its sheet while there is still time to order another.',
  sealRingNotTightTurns:
    'A seal ring that is not tight turns with the wrong part and wears its own seat away. Turned by hand once more, it must not rub.',
  sealsFacesHaveFollowShaft:
    'The seal’s faces have to follow the shaft at every turn. A shaft that is off centre, one that is bent and one that is oval show the same total, and want three different remedies: that is why the whole turn is read and taken apart by its shape. The first angle is read again at the end; where it differs, the gauge moved and the turn tells nothing.',
  selfAligningBearingForgivesAngle:
    'A self-aligning bearing forgives an angle, but only so much; past it the rollers run on their edges and a sealed one rubs. Housings are lined up after the base is tight, for tightening moves them.',
  shaftLargest: 'Shaft, largest',
  shaftSlingHangsWhereSling:
    'A shaft on its sling hangs where the sling holds it, not where it will run. The load is given back before anything is lined up: what was lined up before moves when the support comes out.',
  shaftSmallest: 'Shaft, smallest',
  shaftSmallestLargest: 'Shaft, smallest and largest',
  sheetNotSigned: 'The sheet is not signed.',
  signed: 'Signed by {name}.',
  slackBeltSlipsBurnsThrows:
    'Slack, a belt slips, burns and throws dust; tight, it bends the shaft and the bearing beside the pulley carries a load nobody reckoned with. The thumb cannot tell: the note of the span can, or the force that bends it. Belts of one drive are changed as a set, or the new one pulls alone.',
  snugHand: 'Snug by hand',
  snugOnceMore: 'Snug once more',
  spreadGaps: 'Spread of the gaps',
  standsProud: 'Stands proud',
  steelGrowsMoreThanHundredth:
    'Steel grows by more than a hundredth of a millimetre a metre and degree. Where the ring finds no room on the side the shaft grows to, the whole growth lands on the rollers. A ring put beside a float makes a fixed bearing of it, unnoticed until it runs hot.',
  stillAnswered:
    '{count} of {count2} {count, plural, one {question is} other {questions are}} still to be answered.',
  stillRead: 'Still to be read: {what}{count}.',
  stop: 'stop {stopC}',
  stopLookWrongShaftStripped: 'Stop: look for a wrong shaft, a stripped thread, dirt between the faces.',
  thenText: '; then {left}',
  there: 'There are {count} {what}.',
  thereNoSuchPlaceHere: 'There is no such place here.',
  ticksWereMadeBeforeBolts:
    '{count} of {count2} ticks were made before bolts or torque were changed and do not fit any more.',
  to: ', to {torque}',
  useWrenchBetween20100: 'Use a wrench between 20 and 100 % of its scale.',
  vibration: 'Vibration',
  vibrationFirstHours: 'Vibration in the first hours',
  whatOutLineHereComes:
    'What is out of line here comes back as vibration, heat and a seal that wears on one side. Two dials at four places tell offset and angle apart, and so what to lay under which foot. A machine that will run warm grows: it is set low cold, so that it stands in line warm.',
  whatSitsBetweenBearingShoulder:
    'What sits between bearing and shoulder cannot pass the bearing afterwards. Forgotten, it means taking the bearing off again, and a new zero.',
  whatTheseBoltsDrawnCould: 'What these bolts are drawn to could not be worked out.',
  whereGapGasketDecidesLoosen: 'Where a gap or a gasket decides, loosen all and begin again.',
  wholeDoubtK2: 'whole doubt (k = 2)',
  whom: 'by whom',
  yearFromNowSomebodyStands:
    'A year from now somebody stands here with the next failure and asks what was measured, with which gauge, and who says so. The name under the sheet answers. From then on it stands as it was signed; what has to be put right becomes a revision with its reason.',
  nothing: 'nothing',
} as const;
