import { goesTo } from '../../engine/depth.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, StepDefinition } from '../../engine/step.ts';
import type { Text } from '../../message/message.ts';
import { asked, ifFitted, item } from '../../steps/questions.ts';
import { anglesStep, glandAngleStep } from './angles.ts';
import { M } from './messages.ts';
import { driveScrews, gapsStep, glandBolts, jointScrews, oRingEnds, screwsOf, setScrews } from './parts.ts';
import type { SealSetup } from './setup.ts';
import { baseline } from './small.ts';
import { standingOn } from './stands-on.ts';
import { glandGapsStep, handTurnStep, portsPlaced } from './tail.ts';

/** Splits and seams set round the shaft: those of the faces while they are seen, the gland’s when it is on. */
const angles = (gland = false): StepDefinition<SealSetup> => ({
  id: gland ? 'glandangle' : 'angles',
  depth: 'thorough',
  title: gland ? M.glandsSplit : M.splits,
  kind: gland ? glandAngleStep : anglesStep,
  guide: gland ? M.squareSplitCoversDegreesFrom : M.dragEachWhereStandsType,
  caution: M.facesNotTouchedBareFingers,
  closes: gland ? M.onceJointScrewsTorqueGland : M.onceGlandRoundThemThese,
  repeatWord: M.turned,
});

/** Numbers of degrees are for the thorough depth; else it is seen that the splits stand apart. */
const seenApart = (setup: SealSetup, ...items: GateItem[]): GateItem[] =>
  goesTo(setup, 'thorough') ? [] : items;

/** Two rotary halves, two gland halves; the machine is not dismantled. */
export const cartridgeSplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', M.halves, M.apartCleanClothFacesNever, [
    item(H.halves, 'shipping', M.noShippingSpacerLeftThose),
    item(H.halves, 'paired', M.halvesOneNumberSplitsClean),
    oRingEnds(setup, 'rotaryends', M.rotary),
    item(H.halves, 'grease', M.faceSplitsGreasedThinly),
    item(H.halves, 'notproud', M.noScrewProtrudesIntoBore),
  ]),
  asked('rotary', M.rotaryHalves, M.roundShaftHalfTightSo, [
    item(H.rotary, 'gaskets', M.gasketsLieTheirGrooves),
    item(H.rotary, 'slides', M.halfTightSlides),
    item(H.rotary, 'setting', M.settingSpacersPressedAgainstBox),
  ]),
  jointScrews('rotaryjoint', M.jointScrews, M.alternatelySideAboutSheetsTorque),
  gapsStep(M.gapsSplits),
  asked('spacers', M.spacersOut, M.settingSpacersOutBeforeSet, [
    item(H.spacers, 'out', M.settingSpacersOutCounted),
  ]),
  setScrews({ closes: M.onceGlandRoundNoRotary }),
  angles(),
  asked(
    'gland',
    M.glandHalves,
    M.splitsSquareRotarysHeldSquare,
    [
      item(H.gland, 'wiped', M.rotaryFaceWipedLintFree),
      ifFitted(H.gland, 'springs', M.springsStandUpTheirPockets),
      item(H.gland, 'facesplits', M.stationaryFaceSplitsGreasedThinly),
      oRingEnds(setup, 'stationaryends', M.stationary),
      item(H.gland, 'gaskets', M.glandGasketsGreasedTheirGrooves),
      item(H.gland, 'round', M.halvesRoundShaftSettingTool),
      ...seenApart(setup, item(H.gland, 'square', M.glandSplitsSquareToFaces)),
    ],
    { closes: M.onceGlandRoundRotarySplits },
  ),
  angles(true),
  jointScrews('glandjoint', M.glandJointScrews, M.alternatelySheetsTorqueSettingTool),
  asked('tool', M.settingTool, M.outBeforeBoltsToolLeft, [
    item(H.tool, 'out', M.settingToolOutBox),
    boltTabs(setup),
  ]),
  ...portsPlaced(setup),
  glandBolts(M.boxBolts, M.evenlyOnlySnugSealSquare, true),
  ...squareStep(setup),
  handTurnStep,
];

/** A gland that is only snug is looked at afterwards: by eye, or by its gap all round. */
const squareStep = (setup: SealSetup): StepDefinition<SealSetup>[] => {
  const gaps = glandGapsStep(setup);
  return gaps.length > 0 && goesTo(setup, 'standard')
    ? gaps
    : [
        standingOn(
          asked('square', M.glandSquare, M.lookAllRoundGland, [item(H.gland, 'square', M.glandStandsSquare)]),
          'glandbolts',
        ),
      ];
};

/** Tabs by which a split gland takes the bolts of its box. */
const boltTabs = (setup: SealSetup): GateItem =>
  ifFitted(
    H.tool,
    'tabs',
    setup.glandBolts <= 4
      ? M.boltTabsSetBoltsApart({ glandBolts: setup.glandBolts, glandBolts2: 360 / setup.glandBolts })
      : M.boxsBoltsReachGlandWithout,
  );

const spacerStep = (setup: SealSetup): StepDefinition<SealSetup> =>
  asked(
    'holder',
    M.holder,
    setup.spacer !== 'fastened' ? M.spacerDecidesWhereWholeSeal : M.spacersFastenedHolderRestBox,
    [
      item(H.holder, 'snug', M.holderSnugSlides),
      ...(setup.spacer !== 'fastened'
        ? [
            item(H.holder, 'touched', M.spacerBoreStepHoldersInboard, {
              remedy: M.againstBackWholeSealStands,
            }),
          ]
        : [
            item(H.holder, 'fastened', M.bothSettingSpacersFastenedResting),
            item(H.holder, 'even', M.holderSquareNoLightUnder),
          ]),
    ],
  );

/** How the ring of a separate face is closed round the shaft. */
const ringClosed = (setup: SealSetup, id: string, which: Text): GateItem =>
  setup.ringJoint === 'butt'
    ? oRingEnds(setup, id, which)
    : item(H.oRings, `${id}-snapped`, M.ringSnappedClosed({ which }));

/** Separate faces, each in halves. */
export const fullySplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', M.halves, M.apartCleanClothFacesUp, [
    item(H.halves, 'shipping', M.noShippingSpacerLeftThose),
    item(H.halves, 'paired', M.eachHalfOwnSplitsClean),
    item(H.halves, 'marks', M.ringsToldApart),
    item(H.halves, 'grease', M.holderGasketsORingGland),
    item(H.halves, 'springs', M.springsSitTheirSlots),
  ]),
  spacerStep(setup),
  jointScrews(
    'rotaryjoint',
    M.holdersJointScrews,
    M.twoScrewsClampHolderAlternately,
    setup.spacer === 'fastened'
      ? {}
      : { itemsFirst: true, items: [item(H.holder, 'both', M.spacerHeldBothSidesWhile)] },
  ),
  gapsStep(M.gapsHolder),
  asked('faces', M.faces, M.rotaryORingShaftStationarys, [
    item(H.faces, 'spacers', M.settingSpacersOutAfterJoint),
    item(H.faces, 'orings', M.oRingsOpenedClosedRound),
    ringClosed(setup, 'rotaryends', M.rotary),
    ringClosed(setup, 'stationaryends', M.stationary),
    item(H.faces, 'greased', M.bothFaceORingsGreased),
    item(H.faces, 'seams', M.ringJointsAwayFromFaceSplits),
    item(H.faces, 'drive', M.driveSlotPinMarks),
    item(H.faces, 'wiped', M.rotaryFaceStationaryFaceWiped),
    item(H.faces, 'pressed', M.rotaryPressedIntoHolderStationary),
    item(H.faces, 'felt', M.noStepFeltAcrossSplit),
    ...seenApart(setup, item(H.faces, 'apart', M.rotaryStationarySplitsApart)),
  ]),
  angles(),
  asked(
    'gland',
    M.glandHalves,
    M.onlyAfterSplitsWereFelt,
    [
      item(H.gland, 'gaskets', M.glandGasketsTheirGroovesEnds),
      ifFitted(H.gland, 'springs', M.springsStillTheirSlots),
      ...seenApart(setup, item(H.gland, 'square', M.glandSplitsSquareToStationary)),
      boltTabs(setup),
    ],
    { closes: M.onceGlandClosedNoSplit },
  ),
  angles(true),
  jointScrews('glandjoint', M.glandJointScrews, M.alternatelySheetsTorque),
  ...portsPlaced(setup),
  glandBolts(M.boxBolts, M.evenlyOnlySnugSealSquare, true),
  ...squareStep(setup),
  asked(
    'placement',
    M.placement,
    M.spacerAgainstGlandBack,
    [item(H.gland, 'flush', M.spacerAboutFlush, { remedy: M.whichSurfaceDidSpacerTouch })],
    { standsOn: ['glandbolts'] },
  ),
  {
    id: 'baseline',
    depth: 'standard',
    title: M.wearBaseline2,
    standsOn: ['glandbolts'],
    kind: baseline(M.stationarysBackFromSettingSpacer, 'spacer'),
    guide: M.settingSpacerAgainstBackGland,
    closes: M.onceHasRunNewFaces,
  },
  handTurnStep,
];

/** Halves held by a clamp ring, set by mounting plates. */
export const clampSplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('unpack', M.onTheBench, M.partedOnBench, [
    item(H.bench, 'parted', M.partedEvenlySidesChanged),
    item(H.bench, 'faces', M.facesUpNothingTouches),
    ifFitted(H.bench, 'soap', M.oRingsWettedWhatSheet),
    item(H.oRings, 'rotaryrings', M.ringsMayProjectLittle({ which: M.rotary })),
    item(H.oRings, 'stationaryrings', M.ringsMayProjectLittle({ which: M.stationary })),
  ]),
  asked('halves', M.halves, M.theirPinsRoundShaft, [
    item(H.halves, 'pins', M.rotatingHalvesTheirPinsCollar),
    item(H.halves, 'byhand', M.screwsByHandUntilFractureFelt),
  ]),
  ...(screwsOf(setup) > 0 ? [driveScrews] : []),
  asked('joined', M.jointFelt, M.feelAcrossBothJoints, [item(H.halves, 'felt', M.jointFeltAcrossNoStep)], {
    standsOn: ['screws', 'halves'],
  }),
  asked('plates', M.plates, M.platesBetweenRotorPumpFlange, [
    item(H.plates, 'in', M.bothMountingPlatesRotorPushed),
    item(H.plates, 'square', M.noLightBetweenPlatesRotor),
  ]),
  jointScrews('rotaryjoint', M.clampRingScrews, M.screwWasherFirstThenAlternately, {
    itemsFirst: true,
    items: [item(H.washer, 'washer', M.screwWasherNumber1Drawn)],
  }),
  asked(
    'faces',
    M.faces,
    M.wipedAlcoholUntilFreeStreaks,
    [
      item(H.faces, 'platesout', M.platesOutCounted),
      item(H.faces, 'felt', M.faceFeltAgainAcrossJoint),
      item(H.faces, 'streaks', M.bothFacesWipedAlcoholLint),
      item(H.faces, 'lip', M.coversLipEasedPastRotor),
    ],
    {
      caution: M.alcoholBurnsNoFlameNo,
      closes: M.onceStationaryOverRotorsFace,
    },
  ),
  asked('stationary', M.stationaryHalves, M.joinedRoundShaftClearFlange, [
    item(H.stationary, 'joined', M.halvesJoinedTheirPinsEvenly),
    item(H.stationary, 'gap', M.gapFlangeRemainsWhileThey),
  ]),
  asked('drawin', M.draw, M.twoScrewsDrawUndoneAgain, [
    item(H.draw, 'drawn', M.drawnTwoScrewsThenThese),
    item(H.draw, 'vertical', M.supplyDrainPortsStandVertical),
  ]),
  glandBolts(M.flangeScrews2, M.crosswiseSheetsTorqueUntilNo, false, 'screw'),
  asked('fixtures', M.fixtures, M.fixtureLeftStopsStart, [
    item(H.fixtures, 'nogap', M.noGapBetweenSealFlange),
    item(H.fixtures, 'out', M.fixturesOutCounted),
    item(H.fixtures, 'proud', M.lockingPinsStandProud),
  ]),
  {
    id: 'baseline',
    depth: 'standard',
    title: M.wearBaseline2,
    standsOn: ['glandbolts'],
    kind: baseline(M.projectionLockingPins, 'pins'),
    guide: M.pinsStandSlightlyProudTheir,
    closes: M.onceHasRunNewPins,
  },
  handTurnStep,
];
