import { boolean, type InferType, number, object, string, type TestContext } from 'yup';
import { BOLT_GRADES } from '../../arithmetic/bolting/grades.ts';
import { BOLT_LAYOUTS } from '../../arithmetic/bolting/pattern.ts';
import { BOLT_SIZES } from '../../arithmetic/bolting/threads.ts';
import type { FRICTIONS } from '../../arithmetic/bolting/torque.ts';
import { FIRST_FILL, type FillMethod } from '../../arithmetic/lubrication/fill-method.ts';
import { baseFits, hasFreeSpace } from '../../arithmetic/lubrication/first-fill.ts';
import { type Asked, ask, choice, chosen } from '../../engine/asked.ts';
import { partNeeds } from '../../engine/here.ts';
import { driveField } from '../start-order.ts';
import '../../judgement/sentences.ts';

/** What bolts are called by: sizes, grades, how their threads are. */
export const SIZES = BOLT_SIZES.map((b) => b.name);
export const THREADS = { dry: 'dry', oiled: 'lightly oiled', 'anti-seize': 'anti-seize' } satisfies Record<
  (typeof FRICTIONS)[number],
  string
>;
/** Ways a set of bolts is set out. */
export const ROWS = { rectangle: 'rectangle', circle: 'circle' } as const;
export const HALVES = { halves: 'two halves, side about', circle: 'circle' } as const;

/** Bolts begin unsaid: whoever has them in front of him says what they are, at the step that draws them. */
const UNSAID = { decided: true, later: true } as const;
/** What a step that draws such a set cannot go without. */
export const boltNeeds = (set: string): string[] => partNeeds(set, 'size', 'grade', 'count');

/**
 * A set of bolts or screws tightened together; a torque from the maker's sheet outranks the computed one. N·m.
 * @param layouts ways they may be set out, the usual one first; none where they are not asked for
 */
export const boltSet = (
  group: string,
  layouts: Partial<Record<(typeof BOLT_LAYOUTS)[number], string>> = {},
) => {
  const layout = string().oneOf(BOLT_LAYOUTS);
  const options = Object.entries(layouts);
  return object({
    size: choice(group, 'Size', SIZES, UNSAID),
    grade: choice(group, 'Grade', [...BOLT_GRADES], UNSAID),
    count: number()
      .integer()
      .min(2)
      .max(32)
      .meta(ask(group, 'How many', UNSAID)),
    friction: choice(group, 'Threads', THREADS, { fallback: 'oiled' }).required(),
    layout:
      options.length > 0
        ? layout.meta(ask(group, 'Set out as', { options, fallback: options[0]?.[0] ?? '' }))
        : layout,
    makerTorqueNm: number().min(0.001).max(5000).meta(ask(group, 'Torque on the sheet')),
  })
    .noUnknown()
    .test(
      'even',
      'A rectangle or a split part has an even number of bolts.',
      (s) => !s || (s.layout ?? 'circle') === 'circle' || !((s.count ?? 0) % 2),
    );
};
export type BoltSet = InferType<ReturnType<typeof boltSet>>;

/** How a set of bolts stands where nobody said: in two rows where its number is even, else round a circle. */
export const layoutOf = (set: Pick<BoltSet, 'layout' | 'count'>): NonNullable<BoltSet['layout']> =>
  set.layout ?? ((set.count ?? 0) % 2 === 0 ? 'rectangle' : 'circle');

/** Does the bearing leave room for its mass? A test for a setup with a bore and a grease part. */
export const massFits = (
  s:
    | {
        boreMm?: number;
        grease?: InferType<typeof greaseSchema> | undefined;
      }
    | undefined,
  context: TestContext,
) => {
  if (s?.grease && !baseFits(s.grease))
    return context.createError({
      path: 'grease.baseCm3',
      message: 'The base up to the shaft holds less than the whole housing: check both volumes.',
    });
  return s?.grease && s.boreMm !== undefined && hasFreeSpace({ ...s.grease, boreMm: s.boreMm }) === false
    ? context.createError({
        path: 'grease.massKg',
        message: 'So heavy a bearing does not go into its own size: check bore, outside, width and mass.',
      })
    : true;
};

const floats = { when: chosen('role', 'float') };

/** The shaft between the bearings' centres and how much warmer than its base it runs. mm, K. */
export const floatSchema = object({
  spanMm: number()
    .min(0.001)
    .max(30000)
    .required()
    .meta(ask('Float', 'Between the bearing centres', { decimals: 0, ...floats })),
  shaftOverBaseK: number()
    .min(-200)
    .max(400)
    .required()
    .meta(ask('Float', 'Shaft warmer than base, K', floats)),
  marginMm: number()
    .min(0)
    .max(50)
    .meta(ask('Float', 'Margin beside the growth', { decimals: 1, ...floats })),
}).noUnknown();

/** What the bearing sits in; only a split block has a cap. */
export const HOUSINGS = {
  split: 'split block',
  'one-piece': 'one-piece block',
  flanged: 'flanged',
  'take-up': 'take-up',
} as const;
export type Housing = keyof typeof HOUSINGS;

/** How the housing is closed. */
export const closingSchema = object({
  housing: choice('Housing', 'Housing is', HOUSINGS, { fallback: 'split' }),
  /** With room the cap goes on first, then the carriers; without, the seals go on the shaft and into the base before the cap. */
  order: choice(
    'Housing',
    'Closed',
    { room: 'with room, cap first', 'in-place': 'in place, seals first' },
    { fallback: 'room', when: (form) => (form['closing:housing'] ?? 'split') === 'split' },
  ).required(),
  seals: choice(
    'Housing',
    'Seals',
    { labyrinth: 'labyrinth', contact: 'contact, lip' },
    { fallback: 'labyrinth' },
  ).required(),
  /** Fixing rings beside the outer ring of a fixed bearing: how many and on which side. */
  rings: choice(
    'Housing',
    'Fixing rings',
    {
      both: 'one each side',
      shoulder: 'one, at the shoulder',
      'free-side': 'one, free side',
      'mount-nut': 'one, mount-nut side',
      none: 'none',
    },
    { when: chosen('role', 'fixed') },
  ),
  /** A one-piece unit changed between fixed and float by moving its snap ring. */
  snapRing: choice('Housing', 'Snap ring', {
    'as-was': 'as it was',
    'to-fixed': 'moved: now fixed',
    'to-float': 'moved: now a float',
  }),
  /** The shaft ends in this housing: a cover instead of the outer seal. */
  endCover: boolean().meta(ask('Housing', 'Shaft ends here: cover')),
}).noUnknown();

const FILL = 'First fill';
const dimension = (max: number) => number().min(0.001).max(max);

/** Asked by the schools that reckon a volume: base to the shaft's underside is seen, not reckoned. */
const asked = (label: string, what: string, more: Partial<Asked> = {}) =>
  ask(FILL, label, {
    when: chosen('grease.school', 'by-speed', 'share'),
    needed: `${what} is missing: this school reckons with it.`,
    ...more,
  });

/** What the first fill is worked out from. mm, kg, rpm, cm³, g. */
export const greaseSchema = object({
  school: choice(
    FILL,
    'Filled',
    { 'by-speed': 'by speed', 'to-shaft': 'base to the shaft', share: '20 to 40 %' } satisfies Record<
      FillMethod,
      string
    >,
    { fallback: 'by-speed', rule: FIRST_FILL.id },
  ).required(),
  outsideMm: dimension(2000).meta(asked('Bearing outside', 'The outside of the bearing', { decimals: 0 })),
  widthMm: dimension(1000).meta(asked('Bearing width', 'The width of the bearing', { decimals: 0 })),
  massKg: dimension(20000).meta(asked('Bearing mass, kg', 'The mass of the bearing')),
  speedRpm: dimension(50000).meta(
    ask(FILL, 'Speed, rpm', {
      when: chosen('grease.school', 'by-speed'),
      needed: 'The speed is missing: the share of the housing hangs on it.',
    }),
  ),
  housingCm3: number().min(0).max(1e6).meta(asked('Housing, free, cm³', 'The free space of the housing')),
  baseCm3: number()
    .min(0)
    .max(1e6)
    .meta(ask(FILL, 'Base to the shaft, cm³', { when: chosen('grease.school', 'to-shaft') })),
  gramsPerStroke: dimension(100).meta(ask(FILL, 'Gun, g a stroke')),
  sealed: boolean().meta(ask(FILL, 'Bearing is sealed')),
  greased: boolean().meta(ask(FILL, 'Unit came greased')),
}).noUnknown();

/** Which row of the vibration zones a machine stands in. */
export const VIBRATION_CLASSES = {
  'medium-rigid': '15 to 300 kW, stiff base',
  'medium-flexible': '15 to 300 kW, soft base',
  'large-rigid': 'over 300 kW, stiff base',
  'large-flexible': 'over 300 kW, soft base',
} as const;

/** The first hours under power stay on the sheet. */
export const runInSchema = object({
  /** The sheet asks for another round of the bolts after the first warming. */
  retorque: boolean().meta(ask('First hours', 'Sheet asks for another round of the bolts')),
  drive: driveField('untouched', 'First hours'),
  /** Which machine it is in the table of vibration zones; its strictest row where nobody said. */
  vibration: choice('First hours', 'Machine, for its vibration', VIBRATION_CLASSES),
  /** A pump for liquefied gas or a light end: brought up slowly with vapour. */
  lightProduct: boolean().meta(ask('First hours', 'Light product: brought up with vapour')),
}).noUnknown();

const also = (label: string) => ({ part: { group: 'Also on this sheet', label } });

/** Parts a split bearing may carry: its cartridge closes it, by questions of its own. */
export const splitParts = {
  float: floatSchema.optional().default(undefined),
  /** Jobs of before were asked for a housing they have not. */
  closing: closingSchema.optional().default(undefined).meta({ silent: true }),
  grease: greaseSchema.optional().default(undefined).meta(also('First fill')),
  baseBolts: boltSet('Base bolts', ROWS).optional().default(undefined).meta(also('Load and base bolts')),
  runIn: runInSchema.optional().default(undefined).meta(also('First hours')),
};

/** Parts a bearing job may carry beside its fitting. */
export const bearingParts = {
  float: floatSchema.optional().default(undefined),
  closing: closingSchema.optional().default(undefined).meta(also('Housing close-up')),
  grease: greaseSchema.optional().default(undefined).meta(also('First fill')),
  carrierBolts: boltSet('Carrier bolts', { circle: 'circle' })
    .optional()
    .default(undefined)
    .meta(also('Carrier bolts to a torque')),
  ringScrews: boltSet('Ring screws', { circle: 'circle' })
    .optional()
    .default(undefined)
    .meta(also('Grub screws of the seal rings to a torque')),
  baseBolts: boltSet('Base bolts', ROWS).optional().default(undefined).meta(also('Load and base bolts')),
  runIn: runInSchema.optional().default(undefined).meta(also('First hours')),
};
