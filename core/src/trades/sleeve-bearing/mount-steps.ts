import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { len } from '../../quantities/say.ts';
import { gate, gateAsking } from '../../steps/gate.ts';
import { benchClearance } from './bench-clearance.ts';
import { driveUp } from './drive-up.ts';
import { driveUpAngle } from './drive-up-angle.ts';
import { driveUpHydraulic } from './drive-up-hydraulic.ts';
import { lock } from './lock.ts';
import { lockBySchool } from './lock-by-school.ts';
import { M } from './messages.ts';
import { nutZero } from './nut-zero.ts';
import type { SleeveSetup } from './setup.ts';
import { isFelt, pitchOf, schoolOf } from './setup.ts';
import { target } from './target.ts';

const BENCH: StepDefinition<SleeveSetup> = {
  id: 'bench',
  title: COMMON.benchClearance,
  kind: benchClearance,
  guide: M.bladesRisingStepsUntilSnug,
  again: true,
  items: [
    {
      id: 'inspected',
      group: H.afterDismounting,
      ask: M.ringSleeveNutShaftInspected,
    },
  ],
};

const HAMMER = M.hammerDriftThrowChipsEye;
const NOT_UNDONE = M.drivenTooFarCannotUndone;
const CAP_HIDES = M.onceCapClearanceCanNo;

/** What secures the nut, as it is asked. */
const lockItems = (setup: SleeveSetup): GateItem[] => {
  const by = setup.lock?.by ?? 'washer';
  return [
    {
      id: 'bent',
      group: COMMON.lock,
      // A bent tab is not felt through: what is too close to call is felt again before it.
      after: ['lock.turn', 'lock.back', 'lock.final', 'driveup.place'],
      ask:
        by === 'washer'
          ? M.tabBentHomeIntoSlot
          : by === 'plate'
            ? M.lockPlateWashersScrewsTight
            : M.lockClipSlotGrooveScrew,
    },
  ];
};

/** The film on each surface of the sleeve, by its own school, and the unit set back by what it will travel. */
const onShaft = (setup: SleeveSetup, travel: Text): GateItem[] => [
  {
    id: 'film-bore',
    act: true,
    group: H.film,
    ask: setup.filmBore === 'oiled' ? M.sleevesBoreShaftLightFilm : M.sleevesBoreShaftDryWiped,
  },
  {
    id: 'film-taper',
    act: true,
    group: H.film,
    ask: setup.filmTaper === 'oiled' ? M.sleevesTaperBearingLightFilm : M.sleevesTaperBearingDryWiped,
  },
  {
    id: 'startback',
    act: true,
    group: H.place,
    ask: M.setBackFromFinalPlace({ travel }),
  },
];
/** Looked at again after a dismounting, where no clearance is felt on the bench. */
const INSPECTED: GateItem = {
  id: 'inspected',
  group: H.afterDismounting,
  ask: M.ringSleeveNutShaftInspected,
};
const fitGate = gateAsking<SleeveSetup>(
  (facts, item) => item.id !== INSPECTED.id || (facts.attempt > 1 && !isFelt(facts.setup)),
);
/** A plate or a clip holds the nut until it is off. */
const lockOff = (setup: SleeveSetup): GateItem[] =>
  setup.lock?.by === 'plate' || setup.lock?.by === 'clip' || setup.driveUp?.twoNuts
    ? [{ id: 'lockoff', act: true, group: COMMON.lock, ask: M.lockPlateClipsOff }]
    : [];
const SLIDES: GateItem[] = [
  { id: 'open', act: true, group: H.sleeve, ask: M.sleeveFullyOpenNutBack },
  {
    id: 'slides',
    group: H.sleeve,
    ask: M.slidPlaceWithoutForce,
    remedy: M.nutBackOneTwoTurns,
  },
];

/** School A: clearance by feelers. */
const byFeelers = (setup: SleeveSetup): StepDefinition<SleeveSetup>[] => [
  BENCH,
  {
    id: 'target',
    title: M.target,
    kind: target,
    guide: M.housingOnlyLooselyBoltedNuts,
    closes: M.onceNutPullsBenchClearance,
    again: true,
  },
  {
    id: 'fit',
    title: M.position,
    kind: fitGate,
    guide: M.unitSlidesSleeveOpenNever,
    again: true,
    items: [...lockOff(setup), ...SLIDES, ...onShaft(setup, M.travelTarget)],
  },
  {
    id: 'driveup',
    title: COMMON.driveUp,
    kind: driveUp,
    guide: M.eighthTurnThenFeelBoth,
    caution: HAMMER,
    closes: NOT_UNDONE,
    loop: true,
    again: true,
  },
  {
    id: 'lock',
    title: COMMON.lock,
    kind: lock,
    guide: M.forwardNextTabNeverBack,
    closes: CAP_HIDES,
    again: true,
    items: lockItems(setup),
  },
];

/** The end both other schools share. */
const lockOf = (setup: SleeveSetup, guide: Text, more: GateItem[] = []): StepDefinition<SleeveSetup> => ({
  id: 'lock',
  title: COMMON.lock,
  kind: lockBySchool,
  guide,
  again: true,
  items: [...lockItems(setup), ...more],
  ...(isFelt(setup) ? { closes: CAP_HIDES } : {}),
});

/** Pitch × the middle of the maker's band, where there is one. */
function travelByAngle(setup: SleeveSetup): Text {
  const { nutAngleMinDeg: least, nutAngleMaxDeg: most } = setup.maker;
  if (least === undefined || most === undefined) return '';
  return M.about({ pitch: len((pitchOf(setup).pitchMm * (least + most)) / 720, 2) });
}

/** School B: nut angle from a proven zero. */
const byAngle = (setup: SleeveSetup): StepDefinition<SleeveSetup>[] => [
  ...(isFelt(setup) ? [BENCH] : []),
  {
    id: 'fit',
    title: M.position,
    kind: fitGate,
    guide: M.unitSlidesSleeveOpenNever,
    again: true,
    items: [INSPECTED, ...lockOff(setup), ...SLIDES, ...onShaft(setup, travelByAngle(setup))],
  },
  {
    id: 'zero',
    title: M.zeroNut,
    kind: nutZero,
    guide: M.bothHandsUntilWillNot2,
    closes: M.withoutRealZeroAngleMeans,
    loop: true,
    again: true,
    items: [
      { id: 'marked', act: true, group: H.zero, ask: M.nutFaceMarkedLineSleeves },
      { id: 'stayed', group: H.zero, ask: M.unitHasNotShiftedFrom },
    ],
  },
  {
    id: 'driveup',
    title: COMMON.driveUp,
    kind: driveUpAngle,
    guide: M.spannerDriftHammerMakersBand,
    caution: HAMMER,
    closes: NOT_UNDONE,
    loop: true,
    again: true,
  },
  lockOf(setup, M.forwardNextLockHoleNever),
];

/** Told apart and marked while both nuts still stand as they came; the inboard seal then leaves its nut for the shaft. */
export const twoNutsStep = (setup: SleeveSetup): StepDefinition<SleeveSetup>[] =>
  setup.driveUp?.twoNuts
    ? [
        {
          id: 'nuts',
          title: M.bothNuts,
          kind: gate,
          guide: M.tellNutsApartFirst,
          again: true,
          items: [
            { id: 'told', group: H.twoNuts, ask: M.mountNutToldFromDismount },
            ...lockOff(setup),
            { id: 'seals', group: H.twoNuts, ask: M.outerSealsOffBothNuts, kind: 'machine' },
            { id: 'scribed', act: true, group: H.twoNuts, ask: M.bothNutsScribedSleeve },
          ],
        },
      ]
    : [];

const TWO_NUTS: GateItem[] = [
  { id: 'loose', act: true, group: H.twoNuts, ask: M.dismountNutBackTwoTurns },
  { id: 'freed', group: H.twoNuts, ask: M.nutFaceTappedSoftMallet, remedy: M.driveNutBackOneTurn },
  { id: 'snug', act: true, group: H.twoNuts, ask: M.mountNutSnugAgain },
];

/** School C: hydraulic nut. */
const byHydraulicNut = (setup: SleeveSetup): StepDefinition<SleeveSetup>[] => [
  ...(isFelt(setup) ? [BENCH] : []),
  {
    id: 'fit',
    title: M.nutPump,
    kind: fitGate,
    guide: M.nutBoredSleevePistonFully,
    caution: M.oilUnderPressureCutsSkin,
    again: true,
    items: [
      INSPECTED,
      ...(setup.driveUp?.twoNuts ? TWO_NUTS : [...lockOff(setup), ...SLIDES]),
      ...onShaft(
        setup,
        setup.maker.driveUpMinMm === undefined
          ? ''
          : M.about2({ driveUpMin: len(setup.maker.driveUpMinMm, 2) }),
      ),
      {
        id: 'bored',
        group: COMMON.pump,
        ask: M.nutOneSleevePistonArea,
      },
      { id: 'bled', group: COMMON.pump, ask: M.pistonFullyAirBledHose },
      {
        id: 'dial',
        act: true,
        group: COMMON.pump,
        ask: M.dialSetSquareWholeTravel,
      },
    ],
  },
  {
    id: 'driveup',
    title: COMMON.driveUp,
    needs: ['driveUp.indicator'],
    kind: driveUpHydraulic,
    guide: M.startPressureZeroThereOnce,
    caution: M.nobodyLineNutShaftWhile,
    closes: NOT_UNDONE,
    loop: true,
    again: true,
  },
  {
    id: 'release',
    title: COMMON.release,
    kind: gate,
    guide: M.pressureOffOilBackHome,
    again: true,
    items: [
      { id: 'released', group: COMMON.pump, ask: COMMON.pumpReleasedGaugeShowsNothing },
      { id: 'returned', act: true, group: COMMON.pump, ask: M.nutTurnedSnugSoOil },
      {
        id: 'plugged',
        act: true,
        group: COMMON.pump,
        ask: M.hoseOffPortPluggedPlug,
      },
      ...(setup.driveUp?.twoNuts
        ? []
        : [{ id: 'locknut', group: COMMON.nut, ask: M.hydraulicNutOffLockNutOn }]),
    ],
  },
  lockOf(setup, setup.driveUp?.twoNuts ? M.nutHolesSleeveSlotsNeed : M.lockNutSnugForwardLock, [
    ...(setup.driveUp?.twoNuts
      ? [
          {
            id: 'dismountnut',
            act: true,
            group: COMMON.lock,
            ask: M.dismountNutSnugBackFirst,
          },
        ]
      : []),
    // The last turn to the lock is what raises them.
    {
      id: 'burrs',
      act: true,
      group: COMMON.rim,
      ask: M.burrsNutsRimFiledAfter,
    },
  ]),
];

/** From the bench to the lock, by the school of this job. */
export function mountSteps(setup: SleeveSetup): StepDefinition<SleeveSetup>[] {
  switch (schoolOf(setup)) {
    case 'feelers':
      return byFeelers(setup);
    case 'nut-angle':
      return byAngle(setup);
    case 'hydraulic':
      return byHydraulicNut(setup);
  }
}
