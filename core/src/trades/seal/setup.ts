import { boolean, type InferType, number, object, string } from 'yup';
import { ELASTOMER_NAME, FLUID_NAME } from '../../arithmetic/seals/elastomers.ts';
import { isBalance } from '../../arithmetic/seals/face-load.ts';
import { type Asked, ask, choice, chosen, isWhole } from '../../engine/asked.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { conditionPart, grooveUnder, throttleBore } from '../../steps/condition/condition.ts';
import { makerCondition, makerShaft, shaftFields, shaftSchools } from '../../steps/condition/setup-fields.ts';
import {
  everyJob,
  fromSheet,
  HOUSE_RULES,
  holdBefore,
  inOrder,
  MAKER_ORDER,
  placeFields,
} from '../../steps/setup-parts.ts';
import { driveField } from '../../steps/start-order.ts';
import { M } from './messages.ts';
import type { CartridgeEndMethod, ORingMethod, SpacerMethod } from './methods.ts';
import '../../judgement/sentences.ts';

/** Families of seals, each with its own order of work. */
export const SEAL_FAMILY_TITLE = {
  component: M.componentSeal,
  cartridge: M.cartridgeSeal,
  cassette: M.cassetteChange,
  'cartridge-split': M.cartridgeSplitSeal,
  'fully-split': M.fullySplitSeal,
  'clamp-split': M.splitSealClampRing,
  purged: M.gasPurgedThrottleSeal,
} as const;
export type SealFamily = keyof typeof SEAL_FAMILY_TITLE;

const of = (...families: SealFamily[]) => chosen('family', ...families);
const PRESET = of('cartridge', 'cassette');
const SCREWED = of('component', 'cartridge', 'cassette', 'cartridge-split', 'clamp-split');
const POINTED = of('component', 'cartridge', 'cassette', 'cartridge-split');
const SPLIT = of('cartridge-split', 'fully-split', 'clamp-split');
/** Their gland bolts are only snug: the seal centres itself. */
const SNUG = of('cartridge-split', 'fully-split');
export const SEAL = COMMON.seal;
export const TORQUES = M.torquesFromSealsSheet;
const PRESSURE = M.setScrewsPressure;
export const FACES = M.facesFromDrawing;

const screws = (least: number, label: Text, when?: Asked['when']) =>
  number()
    .integer()
    .min(least)
    .max(16)
    .meta(ask(TORQUES, label, when ? { when } : {}));

/** A torque of the maker's sheet: there is no default. */
const torque = (label: Text, more: Partial<Asked>) =>
  number()
    .min(0.001)
    .max(2000)
    .meta(ask(TORQUES, label, more));
/** The upper end, where the sheet gives a range of torques: typed with the lower one. */
const upper = () => number().min(0.001).max(2000).meta({ silent: true });
const missing = (what: Text) => COMMON.torqueMissingComesFromMakers({ what });
/** What the bolts of a family are called, where its sheet must give their torque. */
const named =
  (usual: Text, others: Partial<Record<SealFamily, Text | null>> = {}): Asked['needed'] =>
  (form) => {
    const other = others[form.family as SealFamily];
    return other === null ? undefined : missing(other ?? usual);
  };
/** A clamp ring that is driven by pins alone has no drive screws to have a torque. */
const drive: Asked['needed'] = (form) =>
  form.family !== 'clamp-split'
    ? missing(M.setScrews)
    : Number(form.dogs || 0) + Number(form.cups || 0) > 0
      ? missing(M.driveScrews)
      : undefined;

const RING = ['oRingInsideMm', 'oRingSectionMm', 'oRingDepthMm'];
/** A size of the O-ring on the shaft; one given, the others are wanted too. */
const ringSize = (label: Text, name: string, max = 1500) =>
  number()
    .min(0.1)
    .max(max)
    .meta(
      ask(H.elastomer, label, {
        decimals: 2,
        needed: (form) =>
          RING.some((other) => other !== name && form[other])
            ? M.missingSqueezeWorkedOutAll({ label })
            : undefined,
      }),
    );

/** A seal fitted in a box. mm, MPa, N·m, °C. */
export const sealSetupSchema = object({
  procedure: string()
    .oneOf(['seal'] as const)
    .required(),
  ...placeFields,
  /** The family decides the order of work: it is chosen, never taken from a default. */
  family: choice(H.place, M.seal2, SEAL_FAMILY_TITLE, { inSight: true, decided: true }).required(),
  ...everyJob,
  holdBefore: holdBefore({ screws: M.setScrews2, handturn: COMMON.handTurn, sign: COMMON.signature2 }),
  /** Component seal: its length, its compression, which side of the box face it turns on, growth of the shaft after setting. */
  freeLengthMm: number()
    .min(0.001)
    .max(1000)
    .meta(
      ask(SEAL, COMMON.freeLength, {
        decimals: 2,
        when: of('component'),
        needed: M.freeLengthSealMissing,
      }),
    ),
  compressionMm: number()
    .min(0.001)
    .max(100)
    .meta(
      ask(SEAL, COMMON.workingCompression, {
        decimals: 2,
        when: of('component'),
        needed: M.workingCompressionMissing,
      }),
    ),
  rotary: choice(
    SEAL,
    COMMON.rotaryTurns,
    { inside: M.insideBox, outside: M.outsideBox },
    { when: of('component') },
  ),
  growthMm: number()
    .min(-20)
    .max(20)
    .meta(ask(SEAL, M.shaftsGrowthPresses, { decimals: 2, when: of('component') })),
  /** Barrier or buffer ports to be turned to their place. */
  barrier: boolean().meta(
    ask(SEAL, M.barrierPortsTurnedPlace, {
      when: of('cartridge', 'cassette', 'cartridge-split', 'fully-split'),
    }),
  ),
  rotation: choice(
    SEAL,
    M.shaftTurnsAsSeenFrom,
    { clockwise: COMMON.clockwise, anticlockwise: COMMON.anticlockwise },
    { when: chosen('barrier', 'yes') },
  ),
  seenFrom: choice(
    SEAL,
    M.portsLookedFrom,
    { 'drive-end': M.driveEnd, 'pump-end': M.pumpEnd },
    { when: chosen('barrier', 'yes') },
  ),
  /** The impeller is adjusted: its clearance goes on the sheet as found and as left. */
  impellerSet: boolean().meta(ask(SEAL, M.impellerClearanceSet, { when: PRESET })),
  softGasket: boolean().meta(ask(SEAL, M.glandsGasketSoft)),
  /** Nothing centres the gland or holds it square but its bolts: then its gap is felt all round. */
  noPilot: boolean().meta(ask(SEAL, M.glandHasNoPilot)),
  /** Rings of separate faces snap together round the shaft, or their ends butt. */
  ringJoint: choice(
    SEAL,
    M.ringJoint,
    { ball: M.ballAndSocket, butt: M.endsButt },
    { fallback: 'ball', when: of('fully-split') },
  ),
  processMpa: number()
    .min(-0.1)
    .max(50)
    .meta(
      ask(SEAL, M.processPressure, {
        when: of('purged'),
        needed: M.processPressureMissingGasSet,
      }),
    ),
  /** Gland, set screws, joint screws of a split part: how many, and the sheet’s torques. */
  glandBolts: screws(2, M.glandFlangeBolts).required(),
  glandNm: torque(M.glandBolts, {
    later: true,
    upTo: 'glandMostNm',
    needed: named(M.glandBolts2, {
      'clamp-split': M.flangeScrews,
      purged: M.flangeBolts,
      'cartridge-split': null,
      'fully-split': null,
    }),
    when: (form) => !SNUG(form),
  }),
  glandMostNm: upper(),
  dogs: screws(0, M.setScrewsDogPoint, POINTED),
  cups: screws(0, M.setScrewsCupPoint, SCREWED),
  screwNm: torque(M.setDriveScrews, { when: SCREWED, later: true, upTo: 'screwMostNm', needed: drive }),
  screwMostNm: upper(),
  jointScrews: screws(2, COMMON.jointScrews, SPLIT),
  jointNm: torque(M.jointClampRingScrews, {
    later: true,
    upTo: 'jointMostNm',
    when: SPLIT,
    needed: named(M.jointScrews2, { 'clamp-split': M.clampRings }),
  }),
  jointMostNm: upper(),
  boxPressureMpa: number()
    .min(0)
    .max(100)
    .meta(ask(PRESSURE, M.pressureBox, { when: SCREWED, later: true })),
  hardenedScrews: boolean().meta(ask(PRESSURE, COMMON.screwsHardened, { when: SCREWED })),
  caseHardened: boolean().meta(ask(PRESSURE, COMMON.shaftCaseHardened, { when: SCREWED })),
  /** As the drawing gives them: with all four the breakaway torque is read beside what the faces ask for. */
  faces: object({
    outsideMm: number()
      .min(1)
      .max(1500)
      .meta(ask(FACES, M.outsideDiameterNarrowFace, { decimals: 1 })),
    insideMm: number()
      .min(1)
      .max(1500)
      .meta(ask(FACES, M.insideDiameter, { decimals: 1 })),
    balanceMm: number()
      .min(1)
      .max(1500)
      .meta(ask(FACES, COMMON.balanceDiameter, { decimals: 1 })),
    springN: number().min(1).max(100_000).meta(ask(FACES, COMMON.springForceN)),
  })
    .noUnknown()
    .optional()
    .default(undefined),
  elastomer: choice(H.elastomer, COMMON.oRings, ELASTOMER_NAME),
  fluid: choice(H.elastomer, COMMON.fluid, FLUID_NAME),
  temperatureC: number().min(-100).max(400).meta(ask(H.elastomer, M.at)),
  /** The ring that seals it on the shaft: with all three its squeeze and stretch are told before it goes on. */
  oRingInsideMm: ringSize(M.shaftsORingInsideDiameter, 'oRingInsideMm'),
  oRingSectionMm: ringSize(M.shaftsORingSection, 'oRingSectionMm', 30),
  oRingDepthMm: ringSize(M.depthGrooveClosed, 'oRingDepthMm', 30),
  /** By the house’s schools; where nothing is said, as we usually begin. */
  tail: choice(
    HOUSE_RULES,
    M.cartridgesEnd,
    {
      'screws-first': M.setScrewsThenClipsOff,
      'clips-first': M.clipsOffThenSetScrews,
    } satisfies Record<CartridgeEndMethod, Text>,
    { fallback: 'screws-first', when: PRESET },
  ),
  oRings: choice(
    HOUSE_RULES,
    M.oRingEndsSplit,
    { flush: COMMON.flush, proud: M.slightlyProud } satisfies Record<ORingMethod, Text>,
    {
      fallback: 'flush',
      when: (form) => SPLIT(form) && (form.family !== 'fully-split' || form.ringJoint === 'butt'),
    },
  ),
  spacer: choice(
    HOUSE_RULES,
    M.holdersSpacer,
    { 'hand-held': M.heldHand, fastened: M.fastenedHolder } satisfies Record<SpacerMethod, Text>,
    { fallback: 'hand-held', when: of('fully-split') },
  ),
  drive: driveField('coupling'),
  ...shaftFields,
  condition: conditionPart(
    ['look', 'shaft', 'finish', 'runout', 'play', 'face', 'bore', 'envelope', 'softfoot', 'coupling'],
    'given',
  )
    .shape({
      throttleBoreMm: throttleBore({ when: of('purged') }),
      grooveUnder,
    })
    .required(),
  schools: shaftSchools,
  maker: object({
    compressionLowerMm: fromSheet(100, M.compressionLeast, { when: of('component') }),
    compressionUpperMm: fromSheet(100, M.compressionMost, { when: of('component') }),
    glandSpreadMm: fromSheet(5, M.spreadGlandsGaps),
    impellerLowerMm: fromSheet(50, M.impellerClearanceLeast, { when: chosen('impellerSet', 'yes') }),
    impellerUpperMm: fromSheet(50, M.impellerClearanceMost, { when: chosen('impellerSet', 'yes') }),
    gasMostOverMpa: fromSheet(20, M.gasOverProcessMost, { when: of('purged') }),
    leakDropsPerMin: fromSheet(1000, M.leakageDropsMinuteMost),
    baselineLowerMm: number()
      .min(-20)
      .max(50)
      .meta(ask(H.maker, M.wearBaselineLeast, { when: of('fully-split', 'clamp-split') })),
    baselineUpperMm: number()
      .min(-20)
      .max(50)
      .meta(ask(H.maker, M.wearBaselineMost, { when: of('fully-split', 'clamp-split') })),
    ...makerShaft,
    ...makerCondition,
  })
    .noUnknown()
    .required(),
})
  .noUnknown()
  .test('whole', isWhole)
  .test('screws', (s, context) =>
    s &&
    ['component', 'cartridge', 'cassette', 'cartridge-split'].includes(s.family) &&
    (s.dogs ?? 0) + (s.cups ?? 0) < 1
      ? context.createError({
          path: 'cups',
          message: M.howManySetScrewsThere,
        })
      : true,
  )
  .test('torque-range', (s, context) => {
    const turned = s
      ? (['gland', 'screw', 'joint'] as const).find(
          (set) => (s[`${set}MostNm`] ?? 9999) < (s[`${set}Nm`] ?? 0),
        )
      : undefined;
    return turned
      ? context.createError({
          path: `${turned}MostNm`,
          message: M.rangeTorqueEndsBelowWhere,
        })
      : true;
  })
  .test('faces', (s, context) => {
    const { outsideMm, insideMm, balanceMm } = s?.faces ?? {};
    if (outsideMm === undefined || insideMm === undefined) return true;
    if (outsideMm <= insideMm)
      return context.createError({
        path: 'faces.insideMm',
        message: M.insideFaceSmallerThanOutside,
      });
    // The balance diameter lies at the face: between these the balance is that of a seal.
    return balanceMm !== undefined && !isBalance(outsideMm, insideMm, balanceMm)
      ? context.createError({
          path: 'faces.balanceMm',
          message: M.balanceDiameterNoSealLies,
        })
      : true;
  })
  .test('throttle-seat', (s, context) =>
    s?.family === 'purged' && s.condition?.seat !== 'throttle'
      ? context.createError({
          path: 'condition.seat',
          message: M.purgedSealSealsThrottleShaft,
        })
      : true,
  )
  .test('joint-even', (s, context) =>
    s?.jointScrews !== undefined && s.jointScrews % 2 === 1
      ? context.createError({
          path: 'jointScrews',
          message: M.splitPartHasAsMany,
        })
      : true,
  )
  .test('maker-order', MAKER_ORDER, inOrder);

export type SealSetup = InferType<typeof sealSetupSchema>;

/** A usual cartridge seal on a shaft of 60. Torques are the maker's sheet's: none is given here. */
export const USUAL_SEAL: Omit<SealSetup, 'machine' | 'position'> = {
  procedure: 'seal',
  family: 'cartridge',
  shaftSystem: 'metric',
  shaftMm: 60,
  seatMm: 60,
  stations: 3,
  angles: 3,
  holdBefore: [],
  maker: {},
  rotary: 'inside',
  glandBolts: 4,
  dogs: 3,
  cups: 3,
  tail: 'screws-first',
  condition: {
    measures: ['look', 'shaft', 'runout', 'play', 'face'],
    seat: 'mechanical-seal',
    runoutStations: 2,
    turnBy: 'swing',
    boxBoreMm: 100,
    faceRadiusMm: 80,
  },
};
