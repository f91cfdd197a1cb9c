import { goesTo } from '../../engine/depth.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { asked, done, ifFitted, item } from '../../steps/questions.ts';
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
  repeatWord: COMMON.turned,
});

/** Numbers of degrees are for the thorough depth; else it is seen that the splits stand apart. */
const seenApart = (setup: SealSetup, ...items: GateItem[]): GateItem[] =>
  goesTo(setup, 'thorough') ? [] : items;

/** Two rotary halves, two gland halves; the machine is not dismantled. */
export const cartridgeSplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', M.halves, M.apartCleanClothFacesNever, [
    item(H.halves, 'shipping', M.noShippingSpacerLeftThose),
    item(H.halves, 'paired', M.halvesOneNumberSplitsClean),
    oRingEnds(setup, 'rotaryends', COMMON.rotary),
    done(H.halves, 'grease', M.faceSplitsGreasedThinly),
    item(H.halves, 'notproud', M.noScrewProtrudesIntoBore),
  ]),
  asked('rotary', M.rotaryHalves, M.roundShaftHalfTightSo, [
    done(COMMON.rotary, 'gaskets', M.gasketsLieTheirGrooves),
    done(COMMON.rotary, 'slides', M.halfTightSlides),
    done(COMMON.rotary, 'setting', M.settingSpacersPressedAgainstBox),
  ]),
  jointScrews('rotaryjoint', COMMON.jointScrews, M.alternatelySideAboutSheetsTorque),
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
      done(H.gland, 'wiped', M.rotaryFaceWipedLintFree),
      ifFitted(H.gland, 'springs', M.springsStandUpTheirPockets),
      done(H.gland, 'facesplits', M.stationaryFaceSplitsGreasedThinly),
      oRingEnds(setup, 'stationaryends', COMMON.stationary),
      done(H.gland, 'gaskets', M.glandGasketsGreasedTheirGrooves),
      done(H.gland, 'round', M.halvesRoundShaftSettingTool),
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
    COMMON.holder,
    setup.spacer !== 'fastened' ? M.spacerDecidesWhereWholeSeal : M.spacersFastenedHolderRestBox,
    [
      done(COMMON.holder, 'snug', M.holderSnugSlides),
      ...(setup.spacer !== 'fastened'
        ? [
            item(COMMON.holder, 'touched', M.spacerBoreStepHoldersInboard, {
              remedy: M.againstBackWholeSealStands,
            }),
          ]
        : [
            item(COMMON.holder, 'fastened', M.bothSettingSpacersFastenedResting),
            item(COMMON.holder, 'even', M.holderSquareNoLightUnder),
          ]),
    ],
  );

/** How the ring of a separate face is closed round the shaft. */
const ringClosed = (setup: SealSetup, id: string, which: Text): GateItem =>
  setup.ringJoint === 'butt'
    ? oRingEnds(setup, id, which)
    : item(COMMON.oRings, `${id}-snapped`, M.ringSnappedClosed({ which }));

/** Separate faces, each in halves. */
export const fullySplit = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked('halves', M.halves, M.apartCleanClothFacesUp, [
    item(H.halves, 'shipping', M.noShippingSpacerLeftThose),
    item(H.halves, 'paired', M.eachHalfOwnSplitsClean),
    item(H.halves, 'marks', M.ringsToldApart),
    done(H.halves, 'grease', M.holderGasketsORingGland),
    item(H.halves, 'springs', M.springsSitTheirSlots),
  ]),
  spacerStep(setup),
  jointScrews(
    'rotaryjoint',
    M.holdersJointScrews,
    M.twoScrewsClampHolderAlternately,
    setup.spacer === 'fastened'
      ? {}
      : { itemsFirst: true, items: [item(COMMON.holder, 'both', M.spacerHeldBothSidesWhile)] },
  ),
  gapsStep(M.gapsHolder),
  asked('faces', COMMON.faces, M.rotaryORingShaftStationarys, [
    item(COMMON.faces, 'spacers', M.settingSpacersOutAfterJoint),
    done(COMMON.faces, 'orings', M.oRingsOpenedClosedRound),
    ringClosed(setup, 'rotaryends', COMMON.rotary),
    ringClosed(setup, 'stationaryends', COMMON.stationary),
    done(COMMON.faces, 'greased', M.bothFaceORingsGreased),
    done(COMMON.faces, 'seams', M.ringJointsAwayFromFaceSplits),
    done(COMMON.faces, 'drive', M.driveSlotPinMarks),
    done(COMMON.faces, 'wiped', M.rotaryFaceStationaryFaceWiped),
    done(COMMON.faces, 'pressed', M.rotaryPressedIntoHolderStationary),
    item(COMMON.faces, 'felt', M.noStepFeltAcrossSplit),
    ...seenApart(setup, done(COMMON.faces, 'apart', M.rotaryStationarySplitsApart)),
  ]),
  angles(),
  asked(
    'gland',
    M.glandHalves,
    M.onlyAfterSplitsWereFelt,
    [
      done(H.gland, 'gaskets', M.glandGasketsTheirGroovesEnds),
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
    done(COMMON.bench, 'parted', M.partedEvenlySidesChanged),
    item(COMMON.bench, 'faces', M.facesUpNothingTouches),
    ifFitted(COMMON.bench, 'soap', M.oRingsWettedWhatSheet),
    item(COMMON.oRings, 'rotaryrings', M.ringsMayProjectLittle({ which: COMMON.rotary })),
    item(COMMON.oRings, 'stationaryrings', M.ringsMayProjectLittle({ which: COMMON.stationary })),
  ]),
  asked('halves', M.halves, M.theirPinsRoundShaft, [
    done(H.halves, 'pins', M.rotatingHalvesTheirPinsCollar),
    done(H.halves, 'byhand', M.screwsByHandUntilFractureFelt),
  ]),
  ...(screwsOf(setup) > 0 ? [driveScrews] : []),
  asked('joined', M.jointFelt, M.feelAcrossBothJoints, [item(H.halves, 'felt', M.jointFeltAcrossNoStep)], {
    standsOn: ['screws', 'halves'],
  }),
  asked('plates', COMMON.plates, M.platesBetweenRotorPumpFlange, [
    done(COMMON.plates, 'in', M.bothMountingPlatesRotorPushed),
    item(COMMON.plates, 'square', M.noLightBetweenPlatesRotor),
  ]),
  jointScrews('rotaryjoint', M.clampRingScrews, M.screwWasherFirstThenAlternately, {
    itemsFirst: true,
    items: [item(H.washer, 'washer', M.screwWasherNumber1Drawn)],
  }),
  asked(
    'faces',
    COMMON.faces,
    M.wipedAlcoholUntilFreeStreaks,
    [
      item(COMMON.faces, 'platesout', M.platesOutCounted),
      item(COMMON.faces, 'felt', M.faceFeltAgainAcrossJoint),
      item(COMMON.faces, 'streaks', M.bothFacesWipedAlcoholLint),
      done(COMMON.faces, 'lip', M.coversLipEasedPastRotor),
    ],
    {
      caution: M.alcoholBurnsNoFlameNo,
      closes: M.onceStationaryOverRotorsFace,
    },
  ),
  asked('stationary', M.stationaryHalves, M.joinedRoundShaftClearFlange, [
    done(COMMON.stationary, 'joined', M.halvesJoinedTheirPinsEvenly),
    item(COMMON.stationary, 'gap', M.gapFlangeRemainsWhileThey),
  ]),
  asked('drawin', M.draw, M.twoScrewsDrawUndoneAgain, [
    done(H.draw, 'drawn', M.drawnTwoScrewsThenThese),
    item(H.draw, 'vertical', M.supplyDrainPortsStandVertical),
  ]),
  glandBolts(M.flangeScrews2, M.crosswiseSheetsTorqueUntilNo, false, 'screw'),
  asked('fixtures', COMMON.fixtures, M.fixtureLeftStopsStart, [
    item(COMMON.fixtures, 'nogap', M.noGapBetweenSealFlange),
    item(COMMON.fixtures, 'out', M.fixturesOutCounted),
    item(COMMON.fixtures, 'proud', M.lockingPinsStandProud),
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
