import { goesTo } from '../../engine/depth.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { Procedure, StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { expr } from '../../message/message.ts';
import { boltsStep } from '../../steps/bolts.ts';
import { asked, done, ifFitted, item } from '../../steps/questions.ts';
import { assemblyStep } from '../../steps/rebuild/assembly.ts';
import { handTurnStep } from '../../steps/rebuild/hand-turn.ts';
import { tagStep } from '../../steps/rebuild/part-tags.ts';
import { ISOLATED, ROTOR, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { startOrder } from '../../steps/start-order.ts';
import { M } from './messages.ts';
import { PARTS, VANE_PUMP_TAGGED } from './parts.ts';
import { shimsByFloat, type VanePumpSetup } from './setup.ts';
import { countedOff, countedOn, floatMeasured, HEAP_ITEM } from './shims.ts';

type Step = StepDefinition<VanePumpSetup>;
type Side = 1 | 2;

const safe = (setup: VanePumpSetup) =>
  safeStep(COMMON.safeComplete, [
    ISOLATED,
    item(H.safe, 'pressure', M.pumpSystemDepressurisedVentedGauge),
    ROTOR,
    item(H.safe, 'gas', M.noFlammableHarmfulVapourMeasured),
    item(H.safe, 'protected', COMMON.eyeProtectionGlovesWhatBoots),
    ifFitted(COMMON.kit, 'instructions', COMMON.makersInstructionsHandTheyOutrank),
    item(COMMON.kit, 'kit', M.seatsRingsGreaseSealsO),
    ...(setup.fixtures === 'none' ? [] : [ifFitted(COMMON.kit, 'tools', M.guardRingShaftGuardGuide)]),
  ]);

/** What is heavy, and where the weep hole stands: by how the pump is mounted. */
const weep = ({ mounted }: VanePumpSetup): Text => (mounted === 'foot' ? M.bottom6Oclock : M.oppositeSuction);
const nipple = ({ mounted }: VanePumpSetup): Text =>
  mounted === 'foot' ? M.top12Oclock : M.bottomOppositeSuction;

const CAUSES = [
  M.shimsNotOnesCameOff,
  M.seatNotHomeCracked,
  M.retainersNotchBesidePin,
  M.vanesStuckTheirSlots,
] as const;

/** A head or a cap drawn up: rods or jacking bolts fill holes until they are out. */
const drawn = (
  id: string,
  title: Text,
  count: (s: VanePumpSetup) => number,
  torqueNm: (s: VanePumpSetup) => readonly [number | undefined, number | undefined],
  head: boolean,
  rods: boolean,
): Step => ({
  id,
  title,
  needs: [head ? 'headNm' : 'capNm'],
  kind: boltsStep<VanePumpSetup>((s) => ({
    one: 'bolt',
    what: title,
    count: count(s),
    layout: 'circle',
    makerTorqueNm: torqueNm(s)[0],
    makerMostNm: torqueNm(s)[1],
    ...(rods
      ? {
          occupied: {
            holes: [1, 1 + Math.floor(count(s) / 2)],
            by: M.guideRod,
            free: 'rods',
            wait: M.guideRodsStillFillLast,
          },
        }
      : {}),
    ...(head
      ? {
          jacking: {
            holes: 2,
            step: id.replace('headbolts', 'headon'),
            free: 'jackout',
            wait: M.jackingBoltsStillStandTheir,
          },
        }
      : {}),
  })),
  guide: rods ? M.snugAllButTwoUnder : head ? M.snugThenStarLastPass : M.snugThenCrosswiseTorque,
  items: rods ? [item(H.rods, 'rods', M.bothGuideRodsOutLast)] : [],
});

/** One side: opened, its seal out and the new one in, closed with its own shims. The second is the first in a mirror. */
function sideSteps(n: Side, s: VanePumpSetup): Step[] {
  const side = M.side({ n });
  // With a new head or bearing the stack is worked out, and counted at every depth.
  const counts = goesTo(s, 'standard') || shimsByFloat(s);
  const at = (id: string) => `${id}${n}`;
  // The drawing follows the first side's names; the mirror is drawn the same.
  const order = ['head', 'seat', 'rotary', 'headon', 'thrust', 'shimson', 'cap'].map((id) => at(id));
  const parts = PARTS.map((p) => ({ ...p, at: p.at.replace('1', String(n)) }));
  const together = (
    id: string,
    title: Text,
    guide: Text,
    items: Parameters<typeof asked>[3],
    more: Partial<Step> = {},
  ) => assemblyStep<VanePumpSetup>(parts, order, at(id), expr`${title}, ${side}`, guide, items, more);
  const capOff: Step[] = s.capStays
    ? []
    : [
        counts
          ? {
              id: at('shimsoff'),
              title: M.capOff({ side }),
              kind: countedOff(),
              guide: M.capOffSquareShimsCounted,
              closes: M.mixedOtherSidesNobodyCan,
              items: [HEAP_ITEM],
            }
          : asked(
              at('shimskept'),
              M.capOff({ side }),
              M.capOffSquareShimsCounted,
              [done(COMMON.shims, 'together', M.boltsCapShimsKeptTogether)],
              { closes: M.mixedOtherSidesNobodyCan },
            ),
        asked(at('thrustoff'), M.thrustPartsOff({ side }), M.theirOrderLaidOutAs, [
          done(H.thrust, 'order', M.washerNeedleCageWasherRing),
          item(H.thrust, 'state', M.rollersTracksRingWearColour, { mayNote: COMMON.whatSeen }),
        ]),
      ];
  return [
    ...capOff,
    asked(
      at('headoff'),
      M.headOff({ side }),
      M.jackedOffOwnHolesSquare,
      [
        done(H.head, 'jacked', M.jackingBoltsTurnedEvenlyLittle),
        item(H.head, 'shaft', M.nothingTouchedShaft, {
          remedy: M.lookLampScratchUnderO,
        }),
        done(H.head, 'together', M.oldGreaseSealSeatTapped),
        item(H.head, 'rotaryoff', M.oldRotatingRingOff),
        done(H.head, 'headring', M.oldHeadRingOff),
        done(H.head, 'bore', M.boreCleanedNoLeadChamfer),
      ],
      { caution: M.headHeavyGearTwoPeople },
    ),
    together(
      'seat',
      M.newSealIntoHead,
      M.greaseSealFirstThenSeat,
      [
        ifFitted(COMMON.greaseSeal, 'greaseseal', M.greaseSealFlatSideDown),
        done(COMMON.seat, 'oiled', M.seatORingGenerouslyOiled),
        done(COMMON.seat, 'smooth', M.smoothSideUp, {
          remedy: M.otherWayRingRunsRough,
        }),
        done(
          COMMON.seat,
          'guard',
          s.fixtures === 'none' ? M.cleanClothBetweenHandSeat : M.guardRingToolNothingBut,
        ),
        done(COMMON.seat, 'hands', M.pushedHandsAloneUntilSnapped, {
          remedy: M.hammeredPressedCracksWhereCannot,
        }),
        item(COMMON.seat, 'looked', M.lookedAfterwardsAllRoundLevel),
        done(H.head, 'ring', M.headFaceCleanNewO),
      ],
      { closes: M.onceHeadSeatCannotSeen },
    ),
    together('rotary', M.rotatingRing, M.shaftCleanOiledDrivePin, [
      done(COMMON.shaft, 'clean', M.shaftCleanDressedOiled),
      done(COMMON.shaft, 'pin', M.drivePinKeyway12Oclock),
      done(H.ring, 'retainer', M.retainerNotchDrivePin, {
        remedy: M.besidePinNotDrivenRing,
      }),
      done(H.ring, 'oring', M.oRingRotatingRingsBack),
      done(H.ring, 'notches', M.notchesSitRetainersGuides),
      done(H.ring, 'faces', M.bothFacesWipedLastUntouched),
    ]),
    together(
      'headon',
      M.head2,
      s.fixtures === 'none' ? M.handSquareShaftFacesDo : M.shaftGuardTwoGuideRods,
      [
        ...(s.fixtures === 'none'
          ? []
          : [
              done(H.head, 'guard', M.shaftGuardBeforeHead),
              done(H.head, 'rods', M.twoGuideRodsOppositeHoles),
            ]),
        item(H.head, 'weep', M.weepHole({ weep: weep(s) }), {
          remedy: M.offRoundElsewhereLeakFills,
        }),
        item(H.head, 'jackout', M.jackingBoltsOutTheirHoles, {
          remedy: M.outThemTheyHoldHead,
        }),
        done(H.head, 'slid', s.fixtures === 'none' ? M.slidHandHomeAllRound : M.slidOverRodsHandHome),
      ],
      { closes: M.onceHeadHomeFacesCannot },
    ),
    drawn(
      at('headbolts'),
      M.headBolts3({ side }),
      (x) => x.headBolts,
      (x) => [x.headNm, x.headMostNm],
      true,
      s.fixtures !== 'none',
    ),
    ...(s.capStays
      ? s.fixtures === 'none'
        ? []
        : [
            asked(at('guardoff'), M.guardOff({ side }), M.afterTorque, [
              item(H.guard, 'off', M.shaftGuardOff),
            ]),
          ]
      : [
          together('thrust', M.thrustParts2, M.guardOffAfterTorqueThen, [
            ...(s.fixtures === 'none' ? [] : [item(H.thrust, 'off', M.shaftGuardOff)]),
            done(H.thrust, 'parts', M.ringWasherNeedleCageWasher),
          ]),
          ...(shimsByFloat(s)
            ? [
                {
                  id: at('float'),
                  title: M.endFloat({ side }),
                  kind: floatMeasured(at('shimsoff')),
                  guide: M.capOverShimsCameOff,
                  repeatWord: M.putAnew,
                } satisfies Step,
              ]
            : []),
          counts
            ? {
                id: at('shimson'),
                title: shimsByFloat(s) ? M.shimsFloat({ side }) : M.sameShimsBack({ side }),
                kind: countedOn(at('shimsoff'), shimsByFloat(s) ? at('float') : null),
                guide: shimsByFloat(s) ? M.capOffAgainHeapFloat : M.sameShimsLinedUpTwo,
                items: [HEAP_ITEM],
              }
            : asked(at('shimsback'), M.sameShimsBack({ side }), M.sameShimsLinedUpTwo, [
                done(COMMON.shims, 'same', M.sameShimsAsCameOff),
              ]),
          together('cap', M.cap2, M.overShimsNippleWhereGrease, [
            ifFitted(H.cap, 'nipple', M.nipple({ nipple: nipple(s) })),
            item(H.cap, 'lined', M.shimsLinedUpTwoBolts),
          ]),
          drawn(
            at('capbolts'),
            M.capBolts3({ side }),
            (x) => x.capBolts,
            (x) => [x.capNm, x.capMostNm],
            false,
            false,
          ),
        ]),
    handTurnStep<VanePumpSetup>(at('turn'), M.handTurn({ side }), M.turnsOverFreelyHand, CAUSES),
  ];
}

/** One side in its order; what is brought up stands on both. */
const STANDS_ON: StandsOn = {
  ...Object.fromEntries(
    (['1', '2'] as const).flatMap((n) =>
      Object.entries({
        headbolts: ['headon'],
        thrust: ['headbolts'],
        float: ['thrust'],
        shimson: ['float', 'thrust'],
        shimsback: ['thrust'],
        cap: ['shimson', 'shimsback'],
        capbolts: ['cap'],
        turn: ['headbolts', 'capbolts'],
      }).map(([id, on]) => [`${id}${n}`, on.map((x) => `${x}${n}`)]),
    ),
  ),
  start: ['turn1', 'turn2', 'grease'],
  store: ['start'],
};

/** A vane pump's seals changed in its heads, in its pipes: one side whole, then the other in the mirror. */
export function vanePumpSeals(setup: VanePumpSetup): Procedure<VanePumpSetup> {
  const light = setup.product === 'light';
  return {
    title: setup.sides === 'both' ? M.vanePumpBothSealsChanged : M.vanePumpOneSealChanged,
    steps: standing(STANDS_ON, [
      safe(setup),
      asked('relief', M.reliefParts, M.beforeBoltTurned, [
        ifFitted(H.relief, 'valve', M.reliefValvePumpPulledMoves),
        ...(setup.sides === 'first'
          ? [item(H.side, 'left', M.otherHeadLeft({ leftBecause: setup.leftBecause ?? '' }))]
          : []),
      ]),
      { ...tagStep<VanePumpSetup>(VANE_PUMP_TAGGED), depth: 'standard' as const },
      ...sideSteps(1, setup),
      ...(setup.sides === 'both' ? sideSteps(2, setup) : []),
      asked('grease', COMMON.grease, M.reliefProvedFreeFirstElse, [
        ifFitted(COMMON.grease, 'free', M.greaseReliefCleanedProvedFree, {
          remedy: M.freeRenewBeforeAnyGrease,
        }),
        ifFitted(COMMON.grease, 'nipple', M.nippleWipedClean),
        item(COMMON.grease, 'slowly', M.greasedSlowlyStoppedAsRelief),
      ]),
      {
        ...asked(
          'start',
          M.broughtUp,
          light ? M.slowlyBypassVapourBeforeAny : M.slowlyBypassPressureLetLittle,
          [
            ...startOrder({
              drive: setup.drive ?? 'untouched',
              group: COMMON.start,
              isolated: [],
              guards: M.guardsToolsOutPeopleClear,
              lifted: item(COMMON.start, 'permit', M.isolationLiftedWhoeverSetName),
            }),
            ...(light ? [item(COMMON.start, 'vapour', M.filledVapourFirstSlowlyLiquid)] : []),
            item(COMMON.start, 'slow', M.pressureLetSlowlyNoDrop),
            item(COMMON.start, 'runs', M.runsWithoutNewNoiseWeep, { mayNote: COMMON.whatSeen }),
          ],
          {
            inOrder: true,
            caution: M.stayClearWhatTurnsLeak,
          },
        ),
        starts: true,
      },
      asked('store', M.leftOrder, M.storedWhereDoesNotRun, [
        item(COMMON.store, 'closed', M.runsOpeningsClosedLightOil),
        ifFitted(COMMON.store, 'spares', COMMON.sparesTagsGoStoreSheets),
      ]),
      {
        id: 'sign',
        title: COMMON.signature,
        kind: signature,
        guide: COMMON.nameBelowSheetStaysPump,
      },
    ]),
  };
}
