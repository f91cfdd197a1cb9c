import { goesTo } from '../../engine/depth.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { Facts } from '../../engine/state.ts';
import type { StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { glandGaps, QUARTERS } from '../../steps/gland-gaps.ts';
import { asked, done, ifFitted, item } from '../../steps/questions.ts';
import { signature } from '../../steps/signature.ts';
import { startOrder } from '../../steps/start-order.ts';
import { portsStep } from './angles.ts';
import { M } from './messages.ts';
import { sealProof } from './proof.ts';
import { impellerClearance, reachedStep, reachStep } from './setting-kept.ts';
import type { SealSetup } from './setup.ts';
import { gasStep } from './small.ts';
import { RECOVERY_ITEMS, turnRecovery } from './turn-recovery.ts';

/** Barrier ports turned to their place while nothing is bolted yet. */
export const portsPlaced = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  ...(setup.barrier
    ? [
        {
          id: 'ports',
          title: COMMON.ports,
          kind: portsStep,
          guide: M.turnedTheirPlaceNowNo,
          repeatWord: COMMON.turned,
        } satisfies StepDefinition<SealSetup>,
      ]
    : []),
  asked('otherports', M.flushDrain, M.turnedTheirPlaceNowNo, [
    ifFitted(COMMON.ports, 'flush', M.flushPortStandsWherePipe),
    ifFitted(COMMON.ports, 'quench', M.quenchEntersAboveDrainLowest),
    ifFitted(COMMON.ports, 'drain', M.drainVentStandWhereThey),
  ]),
];

/** All the impeller’s adjustments come before a bolt is drawn. */
export const impellerGate: StepDefinition<SealSetup> = {
  id: 'impeller',
  title: COMMON.impeller,
  kind: impellerClearance,
  guide: M.everyAdjustmentImpellerMadeNow2,
  repeatWord: M.adjusted,
  items: [
    done(COMMON.impeller, 'clipsin', M.clipsTemplateScrewedHome),
    done(COMMON.impeller, 'screwsloose', M.setScrewsLooseSleeveFree),
    ifFitted(COMMON.impeller, 'assembled', M.pumpPutTogetherAgain),
    ifFitted(COMMON.impeller, 'adjusted', M.allImpellerAdjustmentsMade),
  ],
  closes: M.onceSetScrewsHoldMoving,
};

/** The setting as the clips hold it, and proved by the same length when the screws do. */
export const settingAsClipped: StepDefinition<SealSetup> = {
  id: 'reach',
  title: M.settingClipped,
  kind: reachStep,
  guide: M.fromSleevesEndGlandClips,
  closes: M.onceClipsOffWhereThey,
  repeatWord: COMMON.setAnew,
};
export const settingProved: StepDefinition<SealSetup> = {
  id: 'reached',
  title: M.settingProved,
  kind: reachedStep,
  guide: M.sameLengthAgainScrewsTorque,
  repeatWord: COMMON.setAnew,
};

/** Gaps of the gland at the quarters, where nothing else holds it square, or its sheet asks. */
export const glandGapsStep = (setup: SealSetup): StepDefinition<SealSetup>[] =>
  setup.noPilot || setup.maker.glandSpreadMm !== undefined || goesTo(setup, 'thorough')
    ? [
        {
          id: 'gland-gaps',
          depth: 'standard',
          title: M.glandSquare,
          kind: glandGaps((facts: Facts<SealSetup>) => ({
            bolts: facts.setup.glandBolts,
            rigid: setup.softGasket !== true,
            atDeg: QUARTERS,
          })),
          guide: M.gapFromGlandBoxFour,
          repeatWord: M.boltsMoved,
          standsOn: ['glandbolts'],
        },
      ]
    : [];

/** Clips never come off with no screw snug: dog points and cup points by hand first. */
export const snugStep: StepDefinition<SealSetup> = asked('snug', M.screwsSnug, M.handShortLegKeyBefore, [
  done(H.snug, 'dogs', M.everyDogPointSnugHand),
  done(H.snug, 'cups', M.everyCupPointSnugHand),
]);

/** Clips out, counted and kept. */
export const clipsStep = (setup: SealSetup): StepDefinition<SealSetup> =>
  asked(
    'clips',
    M.clipsOff,
    M.oneLeftStopsStart,
    [
      item(H.clips, 'off', M.allClipsTemplateOutCounted),
      done(H.clips, 'kept', M.clipsKeptMachineTheyNeeded),
      ifFitted(H.clips, 'cord', M.pullCordWhereThereOne),
    ],
    setup.tail === 'clips-first'
      ? { closes: M.screwsDrawnSealHeldGland }
      : { closes: M.onceClipsOutImpellerDoes },
  );

/** The hand turn of a cartridge, with its recovery. */
export const recoveryTurn: StepDefinition<SealSetup> = {
  id: 'handturn',
  title: COMMON.turn,
  kind: turnRecovery,
  loop: true,
  guide: M.handRunningDirectionMetalMetal,
  caution: M.isolationStaysKeepSleevesRag,
  items: RECOVERY_ITEMS,
};

/** The hand turn of a seal that centres itself, or was centred. */
export const handTurnStep: StepDefinition<SealSetup> = asked(
  'handturn',
  COMMON.turn,
  M.handRunningDirection,
  [
    item(COMMON.turn, 'free', M.turnsSlightDragNormalMetal, {
      remedy: M.lookWhatTouchesToolSpacer,
    }),
  ],
  {
    caution: M.isolationStaysKeepSleevesRag,
    standsOn: [
      'glandbolts',
      'gland-gaps',
      'square',
      'screws',
      'setting',
      'collar',
      'impeller',
      'throttle',
      'angles',
      'fixtures',
      'shims',
    ],
  },
);

/** The gas of a purged seal: set when its pipes are on. */
const gas: StepDefinition<SealSetup> = {
  id: 'gas',
  title: COMMON.gas,
  kind: gasStep,
  guide: M.ownRegulatorGaugeEachSeal,
  caution: M.gasFillsClosedSpaceTakes,
  repeatWord: COMMON.setAnew,
  items: [
    item(COMMON.gas, 'own', M.regulatorGaugeServeSealAlone),
    ifFitted(COMMON.gas, 'interlock', M.gasFailingStopsMachineInterlock),
  ],
};

/** What every seal ends with: pipes, start, proof over a day, signature. */
export const sealEnd = (setup: SealSetup): StepDefinition<SealSetup>[] => [
  asked(
    'pipes',
    COMMON.pipes,
    M.onlyNowPipesLoadCan,
    [
      item(COMMON.pipes, 'ports', M.portsLookedOnceMoreRight),
      ifFitted(COMMON.pipes, 'connected', M.flushQuenchBarrierConnectedWithout),
      ...(setup.family === 'purged' ? [] : [item(COMMON.pipes, 'vented', M.boxVentedFilled)]),
    ],
    { standsOn: ['handturn', 'breakaway'] },
  ),
  ...(setup.family === 'purged' ? [gas] : []),
  asked(
    'ready',
    M.readyStart,
    M.everythingWayOut,
    startOrder({
      drive: setup.drive ?? 'coupling',
      group: H.ready,
      isolated: [
        item(H.ready, 'out', M.clipsSpacersToolsShimsAll),
        ...(setup.family === 'purged' ? [] : [item(H.ready, 'rest', M.filledUnderPressureRestNo)]),
        ...(setup.barrier ? [item(H.ready, 'barrier', M.barrierFlowsFeltSeenReturn)] : []),
      ],
      coupled: M.couplingJoinedAlignmentReadAgain,
      guards: M.guardsNobodyBesideCouplingSeal,
      lifted: item(H.ready, 'handed', COMMON.isolationLiftedRuleHouseName),
    }),
    {
      inOrder: true,
      caution: M.firstStartCanSprayStand,
      closes: M.onceHasRunFacesBaselines,
      standsOn: ['pipes', 'handturn', 'gas'],
      starts: true,
    },
  ),
  {
    id: 'proof',
    title: COMMON.proof,
    kind: sealProof,
    dueWord: M.readSealsLeakageWarmth,
    guide: M.leakageGlandsWarmthStartAfter,
    caution: M.countFromWhereNoPart,
    items: [item(COMMON.proof, 'noise', M.noNoiseNoSmellNo)],
    loop: true,
    standsOn: ['ready'],
  },
  { id: 'sign', title: COMMON.signature, kind: signature, guide: COMMON.sheetStaysMachine },
];
