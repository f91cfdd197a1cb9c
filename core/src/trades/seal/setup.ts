import { boolean, type InferType, number, object, string } from 'yup';
import { ELASTOMERS, FLUIDS } from '../../arithmetic/seals/elastomers.ts';
import { isBalance } from '../../arithmetic/seals/face-load.ts';
import { type Asked, ask, choice, chosen, isWhole } from '../../engine/asked.ts';
import { conditionPart } from '../../steps/condition/condition.ts';
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
import type { CartridgeEndMethod, ORingMethod, SpacerMethod } from './methods.ts';
import '../../judgement/sentences.ts';

/** Families of seals, each with its own order of work. */
export const SEAL_FAMILY_TITLE = {
  component: 'Component seal',
  cartridge: 'Cartridge seal',
  cassette: 'Cassette change',
  'cartridge-split': 'Cartridge split seal',
  'fully-split': 'Fully split seal',
  'clamp-split': 'Split seal with clamp ring',
  purged: 'Gas-purged throttle seal',
} as const;
export type SealFamily = keyof typeof SEAL_FAMILY_TITLE;

const of = (...families: SealFamily[]) => chosen('family', ...families);
const PRESET = of('cartridge', 'cassette');
const SCREWED = of('component', 'cartridge', 'cassette', 'cartridge-split', 'clamp-split');
const POINTED = of('component', 'cartridge', 'cassette', 'cartridge-split');
const SPLIT = of('cartridge-split', 'fully-split', 'clamp-split');
export const SEAL = 'Seal';
export const TORQUES = 'Torques, from the seal’s sheet';
const PRESSURE = 'Set screws by pressure';
export const FACES = 'Faces, from the drawing';

const screws = (least: number, label: string, when?: Asked['when']) =>
  number()
    .integer()
    .min(least)
    .max(16)
    .meta(ask(TORQUES, label, when ? { when } : {}));

/** A torque of the maker's sheet: there is no default. */
const torque = (label: string, more: Partial<Asked>) =>
  number()
    .min(0.001)
    .max(2000)
    .meta(ask(TORQUES, label, more));
/** The upper end, where the sheet gives a range of torques. */
const atMost = (label: string, when?: Asked['when']) => torque(`${label} (a range)`, when ? { when } : {});
const missing = (what: string) => `${what} torque is missing: it comes from the maker’s sheet.`;
/** What the bolts of a family are called, where its sheet must give their torque. */
const named =
  (usual: string, others: Partial<Record<SealFamily, string | null>> = {}): Asked['needed'] =>
  (form) => {
    const other = others[form.family as SealFamily];
    return other === null ? undefined : missing(other ?? usual);
  };
/** A clamp ring that is driven by pins alone has no drive screws to have a torque. */
const drive: Asked['needed'] = (form) =>
  form.family !== 'clamp-split'
    ? missing('The set screws’')
    : Number(form.dogs || 0) + Number(form.cups || 0) > 0
      ? missing('The drive screws’')
      : undefined;

const RING = ['oRingInsideMm', 'oRingSectionMm', 'oRingDepthMm'];
/** A size of the O-ring on the shaft; one given, the others are wanted too. */
const ringSize = (label: string, name: string, max = 1500) =>
  number()
    .min(0.1)
    .max(max)
    .meta(
      ask('Elastomer', label, {
        decimals: 2,
        needed: (form) =>
          RING.some((other) => other !== name && form[other])
            ? `${label} is missing: its squeeze is worked out of all three.`
            : undefined,
      }),
    );

/** A seal fitted in a box. mm, MPa, N·m, °C. */
export const sealSetupSchema = object({
  procedure: string()
    .oneOf(['seal'] as const)
    .required(),
  ...placeFields,
  family: choice('Place', 'Seal is', SEAL_FAMILY_TITLE).required(),
  ...everyJob,
  holdBefore: holdBefore({ screws: 'set screws', handturn: 'hand turn', sign: 'signature' }),
  /** Component seal: its length, its compression, which side of the box face it turns on, growth of the shaft after setting. */
  freeLengthMm: number()
    .min(0.001)
    .max(1000)
    .meta(
      ask(SEAL, 'Free length', {
        decimals: 2,
        when: of('component'),
        needed: 'The free length of the seal is missing.',
      }),
    ),
  compressionMm: number()
    .min(0.001)
    .max(100)
    .meta(
      ask(SEAL, 'Working compression', {
        decimals: 2,
        when: of('component'),
        needed: 'The working compression is missing.',
      }),
    ),
  rotary: choice(
    SEAL,
    'Rotary turns',
    { inside: 'inside the box', outside: 'outside the box' },
    { when: of('component') },
  ),
  growthMm: number()
    .min(-20)
    .max(20)
    .meta(ask(SEAL, 'Shaft’s growth, + presses', { decimals: 2, when: of('component') })),
  /** Barrier or buffer ports to be turned to their place. */
  barrier: boolean().meta(
    ask(SEAL, 'Barrier ports are turned to place', {
      when: of('cartridge', 'cassette', 'cartridge-split', 'fully-split'),
    }),
  ),
  rotation: choice(
    SEAL,
    'Shaft turns, as seen from there',
    { clockwise: 'clockwise', anticlockwise: 'anticlockwise' },
    { when: chosen('barrier', 'yes') },
  ),
  seenFrom: choice(
    SEAL,
    'Ports are looked at from',
    { 'drive-end': 'the drive end', 'pump-end': 'the pump end' },
    { when: chosen('barrier', 'yes') },
  ),
  /** The impeller is adjusted: its clearance goes on the sheet as found and as left. */
  impellerSet: boolean().meta(ask(SEAL, 'Impeller clearance is set', { when: PRESET })),
  softGasket: boolean().meta(ask(SEAL, 'Gland’s gasket is soft')),
  processMpa: number()
    .min(-0.1)
    .max(50)
    .meta(
      ask(SEAL, 'Process pressure', {
        when: of('purged'),
        needed: 'The process pressure is missing: the gas is set by it.',
      }),
    ),
  /** Gland, set screws, joint screws of a split part: how many, and the sheet’s torques. */
  glandBolts: screws(2, 'Gland or flange bolts').required(),
  glandNm: torque('Gland bolts to', {
    later: true,
    needed: named('The gland bolts’', { 'clamp-split': 'The flange screws’', purged: 'The flange bolts’' }),
  }),
  glandMostNm: atMost('Gland bolts, at the most'),
  dogs: screws(0, 'Set screws, dog point', POINTED),
  cups: screws(0, 'Set screws, cup point', SCREWED),
  screwNm: torque('Set or drive screws to', { when: SCREWED, later: true, needed: drive }),
  screwMostNm: atMost('Set or drive screws, at the most', SCREWED),
  jointScrews: screws(2, 'Joint screws', SPLIT),
  jointNm: torque('Joint or clamp-ring screws to', {
    later: true,
    when: SPLIT,
    needed: named('The joint screws’', { 'clamp-split': 'The clamp ring’s' }),
  }),
  jointMostNm: atMost('Joint or clamp-ring screws, at the most', SPLIT),
  boxPressureMpa: number()
    .min(0)
    .max(100)
    .meta(ask(PRESSURE, 'Pressure in the box', { when: SCREWED })),
  hardenedScrews: boolean().meta(ask(PRESSURE, 'Screws are hardened', { when: SCREWED })),
  caseHardened: boolean().meta(ask(PRESSURE, 'Shaft is case-hardened', { when: SCREWED })),
  /** As the drawing gives them: with all four the breakaway torque is read beside what the faces ask for. */
  faces: object({
    outsideMm: number()
      .min(1)
      .max(1500)
      .meta(ask(FACES, 'Outside diameter of the narrow face', { decimals: 1 })),
    insideMm: number()
      .min(1)
      .max(1500)
      .meta(ask(FACES, 'Inside diameter of it', { decimals: 1 })),
    balanceMm: number()
      .min(1)
      .max(1500)
      .meta(ask(FACES, 'Balance diameter', { decimals: 1 })),
    springN: number().min(1).max(100_000).meta(ask(FACES, 'Spring force, N')),
  })
    .noUnknown()
    .optional()
    .default(undefined),
  elastomer: choice('Elastomer', 'O-rings', ELASTOMERS),
  fluid: choice('Elastomer', 'Fluid', FLUIDS),
  temperatureC: number().min(-100).max(400).meta(ask('Elastomer', 'At')),
  /** The ring that seals it on the shaft: with all three its squeeze and stretch are told before it goes on. */
  oRingInsideMm: ringSize('Shaft’s O-ring, inside diameter', 'oRingInsideMm'),
  oRingSectionMm: ringSize('Shaft’s O-ring, section', 'oRingSectionMm', 30),
  oRingDepthMm: ringSize('Depth of its groove, closed', 'oRingDepthMm', 30),
  /** By the house’s schools; where nothing is said, as we usually begin. */
  tail: choice(
    HOUSE_RULES,
    'Cartridge’s end',
    {
      'screws-first': 'set screws, then clips off',
      'clips-first': 'clips off, then set screws',
    } satisfies Record<CartridgeEndMethod, string>,
    { fallback: 'screws-first', when: PRESET },
  ),
  oRings: choice(
    HOUSE_RULES,
    'O-ring ends at a split',
    { flush: 'flush', proud: 'slightly proud' } satisfies Record<ORingMethod, string>,
    { fallback: 'flush', when: SPLIT },
  ),
  spacer: choice(
    HOUSE_RULES,
    'Holder’s spacer',
    { 'hand-held': 'held by hand', fastened: 'fastened to the holder' } satisfies Record<
      SpacerMethod,
      string
    >,
    { fallback: 'hand-held', when: of('fully-split') },
  ),
  drive: driveField('coupling'),
  ...shaftFields,
  condition: conditionPart([
    'look',
    'shaft',
    'finish',
    'runout',
    'play',
    'face',
    'bore',
    'envelope',
    'softfoot',
    'coupling',
  ]).required(),
  schools: shaftSchools,
  maker: object({
    compressionLowerMm: fromSheet(100, 'Compression, least', { when: of('component') }),
    compressionUpperMm: fromSheet(100, 'Compression, most', { when: of('component') }),
    glandSpreadMm: fromSheet(5, 'Spread of the gland’s gaps'),
    impellerLowerMm: fromSheet(50, 'Impeller clearance, least', { when: chosen('impellerSet', 'yes') }),
    impellerUpperMm: fromSheet(50, 'Impeller clearance, most', { when: chosen('impellerSet', 'yes') }),
    gasMostOverMpa: fromSheet(20, 'Gas over the process, most', { when: of('purged') }),
    leakDropsPerMin: fromSheet(1000, 'Leakage, drops a minute at the most'),
    baselineLowerMm: number()
      .min(-20)
      .max(50)
      .meta(ask('Maker', 'Wear baseline, least', { when: of('fully-split', 'clamp-split') })),
    baselineUpperMm: number()
      .min(-20)
      .max(50)
      .meta(ask('Maker', 'Wear baseline, most', { when: of('fully-split', 'clamp-split') })),
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
          message: 'How many set screws are there: dog points and cup points?',
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
          message: 'The range of this torque ends below where it begins.',
        })
      : true;
  })
  .test('faces', (s, context) => {
    const { outsideMm, insideMm, balanceMm } = s?.faces ?? {};
    if (outsideMm === undefined || insideMm === undefined) return true;
    if (outsideMm <= insideMm)
      return context.createError({
        path: 'faces.insideMm',
        message: 'The inside of the face is smaller than its outside.',
      });
    // The balance diameter lies at the face: between these the balance is that of a seal.
    return balanceMm !== undefined && !isBalance(outsideMm, insideMm, balanceMm)
      ? context.createError({
          path: 'faces.balanceMm',
          message: 'With this balance diameter it is no seal: it lies at the face, or a little inside it.',
        })
      : true;
  })
  .test('throttle-seat', (s, context) =>
    s?.family === 'purged' && s.condition?.seat !== 'throttle'
      ? context.createError({
          path: 'condition.seat',
          message: 'A purged seal seals by its throttle: the shaft is judged as a throttle’s.',
        })
      : true,
  )
  .test('joint-even', (s, context) =>
    s?.jointScrews !== undefined && s.jointScrews % 2 === 1
      ? context.createError({
          path: 'jointScrews',
          message: 'A split part has as many joint screws on each side.',
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
    runoutAngles: 8,
    boxBoreMm: 100,
    faceRadiusMm: 80,
  },
};
