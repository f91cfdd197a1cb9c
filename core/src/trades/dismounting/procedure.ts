import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, Procedure, StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { gate } from '../../steps/gate.ts';
import { done, ifFitted, item } from '../../steps/questions.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { asFound } from './as-found.ts';
import { lasted } from './lasted.ts';
import { letGo } from './let-go.ts';
import { M } from './messages.ts';
import { nutBack } from './nut-back.ts';
import type { DismountSetup } from './setup.ts';

const safe = safeStep(COMMON.safeReady, [
  ISOLATED,
  item(H.safe, 'drained', COMMON.nothingUnderPressureHotHarmful),
  item(H.safe, 'supported', M.rotorBlockedLoadTakenRated),
  item(H.safe, 'protected', M.eyeProtectionGlovesBootsNobody),
  item(H.ready, 'instructions', COMMON.makersInstructionsHandTheyOutrank),
]);

const FREE: Record<DismountSetup['design'], GateItem[]> = {
  'adapter-sleeve': [
    item(H.off, 'driven', M.driftSleevesEndBlowsAll, {
      remedy: M.nutBackAnotherTurnNever,
    }),
  ],
  'captive-nut': [
    item(H.off, 'driven', M.drivenBackUntilBearingLet, {
      remedy: M.baseLooseLoadOffThen,
    }),
  ],
  hydraulic: [],
};

const NUT_GUIDE: Record<DismountSetup['design'], Text> = {
  'adapter-sleeve': M.fewTurnsBackStillCatches,
  'captive-nut': M.lockPlateOffNutDriven,
  hydraulic: M.mountNutTwoTurnsLoose,
};

const pump: StepDefinition<DismountSetup>[] = [
  {
    id: 'letgo',
    title: M.letGo,
    kind: letGo,
    guide: M.pressureClimbsSleeveLetsGo,
    caution: M.oilUnderPressureCutsSkin,
    loop: true,
  },
  {
    id: 'pumpoff',
    title: M.pumpOff,
    kind: gate,
    guide: M.releaseNutSnugReturnOil,
    items: [
      item(COMMON.pump, 'released', COMMON.pumpReleasedGaugeShowsNothing),
      done(COMMON.pump, 'returned', M.nutTurnedSnugSoOil),
      done(COMMON.pump, 'plugged', M.hoseOffPortPluggedBelow),
    ],
  },
];

/** What has let go stands on how far the nut was back. */
const STANDS_ON: StandsOn = { letgo: ['nutback'], pumpoff: ['letgo'], parts: ['letgo', 'nutback'] };

/** A bearing taken off, by the design of its sleeve; what is seen is written down: it is next time's diagnosis. */
export function dismounting(setup: DismountSetup): Procedure<DismountSetup> {
  const { design } = setup;
  return {
    title: M.bearingTakenOff,
    steps: standing(STANDS_ON, [
      safe,
      {
        id: 'found',
        title: COMMON.asFound,
        kind: gate,
        guide: M.capOffNothingElseMoved,
        closes: M.onceLooseHowStoodGone,
        items: [
          done(H.cap, 'cap', M.capCoverOffNothingElse),
          item(COMMON.asFound, 'grease', M.greaseColourWaterGritHow, { note: true }),
          item(COMMON.asFound, 'seals', M.sealsFacingWearWhatLeaked, { note: true }),
          item(COMMON.asFound, 'place', M.positionRingsTheirSideLock, { note: true }),
          ...(setup.twoNuts ? [item(COMMON.asFound, 'nuts', M.mountNutToldFromDismount)] : []),
        ],
      },
      ...(setup.asLeftMm === undefined
        ? []
        : [
            {
              id: 'residual',
              title: M.clearanceAsFound,
              kind: asFound,
              guide: M.besideWhatFittedGrownSleeve,
              closes: M.onceNutBackCanFelt,
              caution: M.rotorStillBlockedFingersOut,
            },
          ]),
      {
        id: 'loose',
        title: COMMON.loose,
        kind: gate,
        guide: M.baseLooseLoadOffBefore,
        items: [
          done(COMMON.loose, 'base', M.baseBoltsLoose),
          item(COMMON.loose, 'load', M.loadOffBearingRatedGear),
          ifFitted(COMMON.loose, 'seals', M.sealsClearNut),
          item(COMMON.loose, 'lock', M.lockOffTabStraightenedPlate),
        ],
      },
      {
        id: 'nutback',
        title: M.nutBack,
        kind: nutBack,
        guide: NUT_GUIDE[design],
        caution: M.neverAllWayOffBefore,
        items: FREE[design],
      },
      ...(design === 'hydraulic' ? pump : []),
      {
        id: 'parts',
        title: COMMON.parts,
        kind: setup.ranHours === undefined ? gate : lasted,
        guide: M.partsKeptPairedMarkedWhat,
        items: [
          item(COMMON.parts, 'race', M.racesRollersSpallsDentsFretting, { note: true }),
          item(COMMON.parts, 'sleeve', M.sleeveNutShaftScoringCracks, { note: true }),
          ifFitted(
            COMMON.parts,
            'kept',
            setup.reused ? M.partsCleanedOiledPairedWrapped : M.partsKeptTaggedWhoeverLooks,
          ),
        ],
      },
      { id: 'sign', title: COMMON.signature, kind: signature, guide: COMMON.sheetStaysMachine },
    ]),
  };
}
