import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { gate } from '../gate.ts';
import { beltStep } from './belts.ts';
import { boxBoreStep } from './box-bore.ts';
import { boxFaceStep } from './box-face.ts';
import { MEASURE_TITLE, MEASURES, type Measure } from './condition.ts';
import { couplingStep } from './coupling.ts';
import { diameters } from './diameters.ts';
import { envelopeStep } from './envelope.ts';
import { finishStep } from './finish.ts';
import { housingsStep } from './housings.ts';
import { M } from './messages.ts';
import { playStep } from './play.ts';
import { runoutStep } from './runout.ts';
import type { ShaftSetup } from './shaft-setup.ts';
import { conditionOf } from './shaft-setup.ts';
import { softFootStep } from './soft-foot.ts';

const SHAFT_LOOKS: GateItem[] = [
  {
    id: 'burrs',
    group: COMMON.shaft,
    ask: M.noBurrNickSharpEdge,
  },
  { id: 'nail', group: COMMON.shaft, ask: M.fingernailAlongShaftCatchesNo },
  {
    id: 'fretting',
    group: COMMON.shaft,
    ask: M.noFrettingNoWornTrack,
  },
  {
    id: 'taped',
    group: COMMON.shaft,
    ask: M.keywaysThreadsStepsTapedBefore,
    kind: 'machine',
  },
];
const BOX_LOOKS: GateItem[] = [
  { id: 'box', group: H.box, ask: M.boxCleanClearAlongWhole },
  {
    id: 'face',
    group: H.box,
    ask: M.gasketFaceHasNoScratch,
  },
];

/** Where the box is not measured against the seal's sheet. */
const BOX_FITS: GateItem = { id: 'boxfits', group: H.box, ask: M.boxBoreTakesSeal };

type Told = Omit<StepDefinition<ShaftSetup>, 'id' | 'title'>;

const STEPS: Record<Measure, Told> = {
  look: {
    kind: gate,
    guide: M.cleanFirstThenLookFeel,
    caution: M.solventWipesBurnNoFlame,
    items: SHAFT_LOOKS,
  },
  shaft: {
    kind: diameters,
    guide: M.micrometerSquareShaftEachStation,
  },
  finish: {
    kind: finishStep,
    guide: M.testersStylusAlongShaftAcross,
  },
  runout: {
    kind: runoutStep,
    guide: M.indicatorSquareShaftBaseFirm,
    caution: M.turnHandOnlyKeepSleeves,
  },
  play: {
    kind: playStep,
    repeatWord: M.putRight,
    guide: M.indicatorShaftEndPushPull,
    caution: M.liftLeverShaftItselfNever,
  },
  face: {
    kind: boxFaceStep,
    needs: ['condition.boxBoreMm', 'condition.faceRadiusMm'],
    itemsFirst: true,
    guide: M.indicatorClampedShaftPlungerFace,
    items: [
      {
        id: 'held',
        group: COMMON.float,
        ask: M.shaftPushedOneWayHeld,
      },
    ],
  },
  bore: {
    kind: boxBoreStep,
    needs: ['condition.boxBoreMm'],
    guide: M.indicatorShaftPlungerBoreRegister,
  },
  envelope: {
    kind: envelopeStep,
    guide: M.depthBoreGaugesCleanBox,
  },
  softfoot: {
    kind: softFootStep,
    guide: M.allBoltsTightLoosenOne,
    caution: M.noFingersUnderFoot,
    repeatWord: M.shimmed,
  },
  housings: {
    kind: housingsStep,
    repeatWord: M.moved,
    guide: M.straightedgeWireLaserAlongShaft,
  },
  coupling: {
    kind: couplingStep,
    guide: M.bothShaftsTurnedTogetherLooking,
    caution: M.isolationStaysCouplingGuardBack,
    repeatWord: M.moved,
  },
  belts: {
    kind: beltStep,
    guide: M.shaftTurnedHandFewTimes,
    caution: M.isolationStaysNoFingersBetween,
    repeatWord: M.tensioned,
  },
};

/** Measures that come last before anything turns; all others come before a part goes on. */
export const LAST_MEASURES: readonly string[] = ['softfoot', 'housings', 'coupling', 'belts'];

/**
 * The measures a setup asks for, in the order of the work, as steps.
 * @param boxLooked the box is looked at and compared with its seal, whether it is measured or not
 */
export function conditionSteps(setup: ShaftSetup, { boxLooked = false } = {}): StepDefinition<ShaftSetup>[] {
  const { measures } = conditionOf(setup);
  const box = boxLooked || measures.some((m) => m === 'face' || m === 'bore' || m === 'envelope');
  const fits = boxLooked && !measures.includes('envelope');
  return MEASURES.filter((m) => measures.includes(m)).map((m) => ({
    id: m,
    title: m === 'shaft' ? COMMON.shaft : MEASURE_TITLE[m],
    ...STEPS[m],
    ...(m === 'look' && box ? { items: [...SHAFT_LOOKS, ...BOX_LOOKS, ...(fits ? [BOX_FITS] : [])] } : {}),
  }));
}
