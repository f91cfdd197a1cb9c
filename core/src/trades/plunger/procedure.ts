import { PART_NAME, partsOf } from '../../arithmetic/packing/plunger.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { Procedure } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { listOf, type Text } from '../../message/message.ts';
import { asked, done, ifFitted, item } from '../../steps/questions.ts';
import { ISOLATED, safeStep } from '../../steps/safe-step.ts';
import { signature } from '../../steps/signature.ts';
import { type StandsOn, standing } from '../../steps/standing.ts';
import { provedStep, sizesStep } from './measured.ts';
import { M } from './messages.ts';
import { partsOrder } from './parts-order.ts';
import { plungerPreloadStep } from './preload.ts';
import { type PlungerSetup, setOf } from './setup.ts';

const safe = safeStep(COMMON.safeComplete, [
  ISOLATED,
  item(H.safe, 'pressure', M.liquidEndBledNothingCooled),
  item(H.safe, 'rotor', M.crankBlockedPlungerCannotMove),
  item(H.safe, 'protected', COMMON.eyeProtectionGlovesBoots),
  ifFitted(COMMON.kit, 'instructions', COMMON.makersInstructionsHandTheyOutrank),
  item(COMMON.kit, 'parts', M.partsSetNutPlungerComplete),
  ifFitted(COMMON.kit, 'tools', M.softBarPickMarkerSheets),
]);

/** Parts laid anew go in anew, and the nut's mark is made over them. */
const STANDS_ON: StandsOn = {
  in: ['order'],
  mark: ['in'],
  preload: ['mark'],
  clamp: ['preload'],
  listed: ['sizes'],
  order: ['listed'],
  start: ['clamp', 'preload'],
  proof: ['start'],
};

/** The parts of this set in words, from the pressure end. */
function partsListed(setup: PlungerSetup): Text {
  const rings = setup.pressureRings ?? 2;
  return listOf(
    partsOf(setOf(setup))
      .filter((p) => !/^pressure-[2-4]$/.test(p))
      .map((p) => (p === 'pressure-1' ? M.pressure({ rings }) : PART_NAME[p])),
    ', ',
  );
}

/** A V-ring set put on a plunger, its preload kept by the nut’s mark. */
export function plungerSet(setup: PlungerSetup): Procedure<PlungerSetup> {
  return {
    title: M.vRingSetPlunger,
    steps: standing(STANDS_ON, [
      safe,
      asked('look', M.borePlunger, M.nothingFittedWhatHasNot, [
        item(H.look, 'plunger', M.plungerWithoutScoresPitsWhat, { note: true }),
        item(H.look, 'bore', M.packingBoreCleanNoStep),
        item(H.look, 'threads', M.threadsCleanLubricated),
      ]),
      {
        id: 'sizes',
        depth: 'standard',
        title: M.plungerBore,
        kind: sizesStep,
        guide: M.wherePlungerRunsWhereDoes,
        repeatWord: M.renewed,
      },
      asked('listed', M.partsListed, M.setsVaryWhatCameListed, [
        item(H.set, 'listed', M.set({ listOf: partsListed(setup) }), {
          remedy: M.changeSetupWhatThereFetch,
        }),
        ...(setup.lantern === 'nut' ? [item(H.set, 'lantern', M.lanternPartNutHolesClear)] : []),
      ]),
      {
        id: 'order',
        title: M.orderParts,
        kind: partsOrder,
        guide: M.laidOutFromPressureEnd,
        items: [item(COMMON.order, 'order', M.partsLieOrderShown, { note: true })],
      },
      asked(
        'in',
        M.parts,
        M.eachPieceLubricatedOwn,
        [
          done(H.inText, 'each', M.eachPieceLubricatedOwnPut),
          done(H.inText, 'open', M.pressureRingsOpenTowardPressure),
          ...(setup.noWiper
            ? []
            : [
                done(
                  H.inText,
                  'wiper',
                  setup.lubrication === 'oil' ? M.wiperNutLipFacesPressure : M.wiperNutLipFacesAway,
                ),
              ]),
        ],
        { closes: M.onceNutPulledNoRings },
      ),
      asked('mark', COMMON.mark, M.preloadedWithoutPlungerHandThen, [
        done(COMMON.mark, 'pulled', M.nutHandThenPulledOne),
        done(COMMON.mark, 'marked', M.nutHousingMarked12Oclock),
      ]),
      {
        id: 'preload',
        title: M.preload,
        kind: plungerPreloadStep,
        guide: M.backThreeQuartersPlungerSoft,
        caution: M.neverSteelPlungersEnd,
        repeatWord: COMMON.turned,
      },
      asked('clamp', M.clampLock, M.plungerAgainstRodBeforeClamp, [
        done(COMMON.lock, 'rod', M.plungerFullyAgainstRod),
        done(COMMON.lock, 'clamp', M.clampTurnedSoBoltsCan),
        ifFitted(COMMON.lock, 'lock', M.nutsLockFitted),
        ifFitted(COMMON.lock, 'turned', M.turnedOverHandFree),
      ]),
      asked(
        'start',
        COMMON.start,
        M.strokeSlowFirstLubrication,
        [
          item(COMMON.start, 'tools', M.toolsBarOutGuardsNobody),
          ifFitted(COMMON.start, 'lubricated', M.lubricationReachesPacking),
          item(COMMON.start, 'handed', COMMON.isolationLiftedRuleHouseName),
        ],
        { caution: M.plungerShootsOutUnderPressure, starts: true },
      ),
      {
        id: 'proof',
        title: COMMON.proof,
        kind: provedStep,
        guide: M.leakWarmthStartAfterQuarter,
        caution: M.countFromOutsideGuard,
      },
      {
        id: 'sign',
        title: COMMON.signature,
        kind: signature,
        guide: COMMON.sheetStaysMachine,
      },
    ]),
  };
}
