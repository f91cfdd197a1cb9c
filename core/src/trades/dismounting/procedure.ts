import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, Procedure, StepDefinition } from '../../engine/step.ts';
import type { Text } from '../../message/message.ts';
import { gate } from '../../steps/gate.ts';
import { ifFitted, item } from '../../steps/questions.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { asFound } from './as-found.ts';
import { lasted } from './lasted.ts';
import { letGo } from './let-go.ts';
import { M } from './messages.ts';
import { nutBack } from './nut-back.ts';
import type { DismountSetup } from './setup.ts';

const safe = safeStep(M.safeReady, [
  ISOLATED,
  item(H.safe, 'drained', M.nothingUnderPressureHotHarmful),
  item(H.safe, 'supported', M.rotorBlockedLoadTakenRated),
  item(H.safe, 'protected', M.eyeProtectionGlovesBootsNobody),
  item(H.ready, 'instructions', M.makersInstructionsHandTheyOutrank),
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
      item(H.pump, 'released', M.pumpReleasedGaugeShowsNothing),
      item(H.pump, 'returned', M.nutTurnedSnugSoOil),
      item(H.pump, 'plugged', M.hoseOffPortPluggedBelow),
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
        title: M.asFound,
        kind: gate,
        guide: M.capOffNothingElseMoved,
        closes: M.onceLooseHowStoodGone,
        items: [
          item(H.cap, 'cap', M.capCoverOffNothingElse),
          item(H.asFound, 'grease', M.greaseColourWaterGritHow, { note: true }),
          item(H.asFound, 'seals', M.sealsFacingWearWhatLeaked, { note: true }),
          item(H.asFound, 'place', M.positionRingsTheirSideLock, { note: true }),
          ...(setup.twoNuts ? [item(H.asFound, 'nuts', M.mountNutToldFromDismount)] : []),
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
        title: M.loose,
        kind: gate,
        guide: M.baseLooseLoadOffBefore,
        items: [
          item(H.loose, 'base', M.baseBoltsLoose),
          item(H.loose, 'load', M.loadOffBearingRatedGear),
          ifFitted(H.loose, 'seals', M.sealsClearNut),
          item(H.loose, 'lock', M.lockOffTabStraightenedPlate),
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
        title: M.parts,
        kind: setup.ranHours === undefined ? gate : lasted,
        guide: M.partsKeptPairedMarkedWhat,
        items: [
          item(H.parts, 'race', M.racesRollersSpallsDentsFretting, { note: true }),
          item(H.parts, 'sleeve', M.sleeveNutShaftScoringCracks, { note: true }),
          ifFitted(
            H.parts,
            'kept',
            setup.reused ? M.partsCleanedOiledPairedWrapped : M.partsKeptTaggedWhoeverLooks,
          ),
        ],
      },
      { id: 'sign', title: M.signature, kind: signature, guide: M.sheetStaysMachine },
    ]),
  };
}
