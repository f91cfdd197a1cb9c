import { boolean, type InferType, number, object, string, type TestContext } from 'yup';
import { BOLT_GRADES } from '../../arithmetic/bolting/grades.ts';
import { BOLT_LAYOUTS } from '../../arithmetic/bolting/pattern.ts';
import { BOLT_SIZES } from '../../arithmetic/bolting/threads.ts';
import type { FRICTIONS } from '../../arithmetic/bolting/torque.ts';
import { FIRST_FILL, type FillMethod } from '../../arithmetic/lubrication/fill-method.ts';
import { baseFits, hasFreeSpace } from '../../arithmetic/lubrication/first-fill.ts';
import { type Asked, ask, choice, chosen, type FormValues, formName } from '../../engine/asked.ts';
import { M as H } from '../../engine/headings/messages.ts';
import { partNeeds } from '../../engine/here.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { driveField } from '../start-order.ts';
import { M } from './messages.ts';
import '../../judgement/sentences.ts';

/** What bolts are called by: sizes, grades, how their threads are. */
export const SIZES = BOLT_SIZES.map((b) => b.name);
export const THREADS = {
  dry: COMMON.dry,
  oiled: COMMON.lightlyOiled,
  'anti-seize': COMMON.antiSeize,
} satisfies Record<(typeof FRICTIONS)[number], Text>;
/** Ways a set of bolts is set out. */
export const ROWS = { rectangle: 'rectangle', circle: 'circle' } as const;
export const HALVES = { halves: M.twoHalvesSideAbout, circle: 'circle' } as const;

/** Bolts begin unsaid: whoever has them in front of him says what they are, at the step that draws them. */
const UNSAID = { decided: true, later: true } as const;
/** What a step that draws such a set cannot go without. */
export const boltNeeds = (set: string): string[] => partNeeds(set, 'makerTorqueNm', 'count', 'size', 'grade');

/** A sheet's torque, N·m, with the upper end of a range kept beside it. */
const sheetTorque = (asked: ReturnType<typeof ask>) => number().min(0.001).max(5000).meta(asked);

/**
 * What a set of bolts is asked for: the sheet's torque, or, where it gives none, size and grade to work one out. Each is wanted only
 * while the other is not given.
 * @param at the names of torque, size and grade in the setup
 */
export const torqueOrBolt = (at: { torque: string; size: string; grade: string }) => {
  const given = (form: FormValues, name: string) => (form[formName(name)] ?? '').trim() !== '';
  return {
    torque: (form: FormValues) =>
      given(form, at.size) && given(form, at.grade) ? undefined : M.torqueOrSizeAndGrade,
    bolt: (form: FormValues) => (given(form, at.torque) ? undefined : M.torqueOrSizeAndGrade),
  };
};

/**
 * A set of bolts or screws tightened together; a torque from the maker's sheet outranks the computed one. N·m.
 * @param part the part of the setup it is
 * @param layouts ways they may be set out, the usual one first; none where they are not asked for
 */
export const boltSet = (
  part: string,
  group: Text,
  layouts: Partial<Record<(typeof BOLT_LAYOUTS)[number], Text>> = {},
) => {
  const layout = string().oneOf(BOLT_LAYOUTS);
  const options = Object.entries(layouts);
  const needed = torqueOrBolt({
    torque: `${part}.makerTorqueNm`,
    size: `${part}.size`,
    grade: `${part}.grade`,
  });
  const unsaid = { ...UNSAID, hint: M.whereSheetGivesNone, needed: needed.bolt };
  return object({
    makerTorqueNm: sheetTorque(
      ask(group, M.torqueSheet, {
        ...UNSAID,
        upTo: `${part}.makerMostNm`,
        hint: COMMON.orRange,
        needed: needed.torque,
      }),
    ),
    makerMostNm: number().min(0.001).max(5000).meta({ silent: true }),
    count: number()
      .integer()
      .min(2)
      .max(32)
      .meta(ask(group, COMMON.howMany, UNSAID)),
    size: choice(group, COMMON.size, SIZES, unsaid),
    grade: choice(group, COMMON.grade, [...BOLT_GRADES], unsaid),
    friction: choice(group, COMMON.threads, THREADS, { fallback: 'oiled' }).required(),
    layout:
      options.length > 0
        ? layout.meta(ask(group, COMMON.setOutAs, { options, fallback: options[0]?.[0] ?? '' }))
        : layout,
  })
    .noUnknown()
    .test(
      'even',
      M.rectangleSplitPartHasEven,
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
  if (s?.grease && !baseFits({ ...s.grease, school: s.grease.school ?? FIRST_FILL.usual }))
    return context.createError({
      path: 'grease.baseCm3',
      message: COMMON.baseUpShaftHoldsLess,
    });
  return s?.grease && s.boreMm !== undefined && hasFreeSpace({ ...s.grease, boreMm: s.boreMm }) === false
    ? context.createError({
        path: 'grease.massKg',
        message: M.soHeavyBearingDoesNot,
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
    .meta(ask(COMMON.float, COMMON.betweenBearingCentres, { decimals: 0, ...floats })),
  shaftOverBaseK: number()
    .min(-200)
    .max(400)
    .required()
    .meta(ask(COMMON.float, M.shaftWarmerThanBaseK, floats)),
  marginMm: number()
    .min(0)
    .max(50)
    .meta(ask(COMMON.float, M.marginBesideGrowth, { decimals: 1, ...floats })),
}).noUnknown();

/** What the bearing sits in; only a split block has a cap. */
export const HOUSINGS = {
  split: M.splitBlock,
  'one-piece': M.onePieceBlock,
  flanged: 'flanged',
  'take-up': 'take-up',
} as const;
export type Housing = keyof typeof HOUSINGS;

/** How the housing is closed. */
export const closingSchema = object({
  housing: choice(COMMON.housing, M.housing, HOUSINGS, { fallback: 'split' }),
  /** With room the cap goes on first, then the carriers; without, the seals go on the shaft and into the base before the cap. */
  order: choice(
    COMMON.housing,
    M.closed,
    { room: M.roomCapFirst, 'in-place': M.placeSealsFirst },
    // Only a split block has a cap; the form's empty word is the split block too.
    { fallback: 'room', when: (form) => (form['closing:housing'] || 'split') === 'split' },
  ),
  seals: choice(
    COMMON.housing,
    COMMON.seals,
    { labyrinth: M.labyrinth, contact: M.contactLip },
    { fallback: 'labyrinth' },
  ).required(),
  /** Fixing rings beside the outer ring of a fixed bearing: how many and on which side. */
  rings: choice(
    COMMON.housing,
    M.fixingRings,
    {
      both: M.oneEachSide,
      shoulder: M.oneShoulder,
      'free-side': M.oneFreeSide,
      'mount-nut': M.oneMountNutSide,
      none: COMMON.noneWord,
    },
    { when: chosen('role', 'fixed') },
  ),
  /** A one-piece unit changed between fixed and float by moving its snap ring. */
  snapRing: choice(COMMON.housing, M.snapRing, {
    'as-was': M.as,
    'to-fixed': M.movedNowFixed,
    'to-float': M.movedNowFloat,
  }),
  /** Seal rings sit in the housing itself: there are no seal holders, and no screws in the rings. */
  noCarriers: boolean().meta(ask(COMMON.housing, M.noSealHolders)),
  /** The shaft ends in this housing: a cover instead of the outer seal. */
  endCover: boolean().meta(ask(COMMON.housing, M.shaftEndsHereCover)),
}).noUnknown();

const FILL = M.firstFill;
const dimension = (max: number) => number().min(0.001).max(max);

const fills = (form: FormValues) => (form['grease:how'] || 'fill') === 'fill';
/** Numbers a quantity is worked out from, where the sheet gives none. */
const asked = (label: Text, more: Partial<Asked> = {}) =>
  ask(FILL, label, {
    when: (form) => fills(form) && chosen('grease.school', 'by-speed', 'share')(form),
    ...more,
  });

/**
 * The first fill: done unless the unit came greased or runs in oil. The sheet's own grams come first; numbers to work a quantity out may be
 * left out, then the share is said and seen. mm, kg, rpm, cm³, g.
 */
export const greaseSchema = object({
  how: choice(
    FILL,
    M.firstFill,
    { fill: M.filledHere, greased: M.unitCameGreased, oil: M.oilBath },
    { fallback: 'fill' },
  ),
  sheetG: dimension(100_000).meta(ask(FILL, M.greaseBySheetG, { later: true, when: fills })),
  school: choice(
    FILL,
    M.filled,
    { 'by-speed': M.speed, 'to-shaft': M.baseShaft, share: M.n2040 } satisfies Record<FillMethod, Text>,
    { fallback: 'by-speed', rule: FIRST_FILL.id, when: fills },
  ),
  outsideMm: dimension(2000).meta(asked(COMMON.bearingOutside, { decimals: 0 })),
  widthMm: dimension(1000).meta(asked(COMMON.bearingWidth, { decimals: 0 })),
  massKg: dimension(20000).meta(asked(COMMON.bearingMassKg)),
  speedRpm: dimension(50000).meta(
    ask(FILL, COMMON.speedRpm, { when: (form) => fills(form) && chosen('grease.school', 'by-speed')(form) }),
  ),
  housingCm3: number().min(0).max(1e6).meta(asked(M.housingFreeCm)),
  baseCm3: number()
    .min(0)
    .max(1e6)
    .meta(
      ask(FILL, M.baseShaftCm, { when: (form) => fills(form) && chosen('grease.school', 'to-shaft')(form) }),
    ),
  gramsPerStroke: dimension(100).meta(ask(FILL, M.gunGStroke, { when: fills })),
  sealed: boolean().meta(ask(FILL, COMMON.bearingSealed, { when: fills })),
  /** As jobs of before said it. */
  greased: boolean().meta({ silent: true }),
}).noUnknown();

/** How the first lubricant comes into a housing. */
export const lubricated = (grease: InferType<typeof greaseSchema>): 'fill' | 'greased' | 'oil' =>
  grease.how ?? (grease.greased ? 'greased' : 'fill');

/** Which row of the vibration zones a machine stands in. */
export const VIBRATION_CLASSES = {
  'medium-rigid': M.n15300KWStiffBase,
  'medium-flexible': M.n15300KWSoftBase,
  'large-rigid': M.over300KWStiffBase,
  'large-flexible': M.over300KWSoftBase,
  pump: M.pumpTo200,
  'pump-critical': M.pumpTo200Critical,
  'large-pump': M.pumpOver200,
  'large-pump-critical': M.pumpOver200Critical,
} as const;

/** The first hours under power stay on the sheet. */
export const runInSchema = object({
  /** The sheet asks for another round of the bolts after the first warming. */
  retorque: boolean().meta(ask(COMMON.firstHours, M.sheetAsksAnotherRoundBolts)),
  drive: driveField('untouched', COMMON.firstHours),
  /** Which machine it is in the table of vibration zones; its strictest row where nobody said. */
  vibration: choice(COMMON.firstHours, M.machineVibration, VIBRATION_CLASSES),
  /** A pump for liquefied gas or a light end: brought up slowly with vapour. */
  lightProduct: boolean().meta(ask(COMMON.firstHours, M.lightProductBroughtUpVapour)),
}).noUnknown();

const also = (label: Text) => ({ part: { group: H.alsoSheet, label } });

/** Parts a split bearing may carry: its cartridge closes it, by questions of its own. */
export const splitParts = {
  float: floatSchema.optional().default(undefined),
  /** Jobs of before were asked for a housing they have not. */
  closing: closingSchema.optional().default(undefined).meta({ silent: true }),
  grease: greaseSchema.optional().default(undefined),
  baseBolts: boltSet('baseBolts', COMMON.baseBolts, ROWS)
    .optional()
    .default(undefined)
    .meta(also(M.loadBaseBolts)),
  runIn: runInSchema.optional().default(undefined).meta(also(COMMON.firstHours)),
};

/** Parts a bearing job may carry beside its fitting. */
export const bearingParts = {
  float: floatSchema.optional().default(undefined),
  closing: closingSchema.optional().default(undefined).meta(also(M.housingCloseUp)),
  grease: greaseSchema.optional().default(undefined),
  carrierBolts: boltSet('carrierBolts', COMMON.carrierBolts, { circle: M.circle })
    .optional()
    .default(undefined)
    .meta(also(M.carrierBoltsTorque)),
  ringScrews: boltSet('ringScrews', COMMON.ringScrews, { circle: M.circle })
    .optional()
    .default(undefined)
    .meta(also(M.grubScrewsSealRingsTorque)),
  baseBolts: boltSet('baseBolts', COMMON.baseBolts, ROWS)
    .optional()
    .default(undefined)
    .meta(also(M.loadBaseBolts)),
  runIn: runInSchema.optional().default(undefined).meta(also(COMMON.firstHours)),
};
