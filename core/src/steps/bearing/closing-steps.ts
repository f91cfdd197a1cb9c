import type { BoltGrade } from '../../arithmetic/bolting/grades.ts';
import { FIRST_FILL, type FillMethod } from '../../arithmetic/lubrication/fill-method.ts';
import { M as H } from '../../engine/headings/messages.ts';
import type { GateItem, StepDefinition } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import type { BoltSpec } from '../bolt-passes.ts';
import { boltsStep } from '../bolts.ts';
import { gate } from '../gate.ts';
import { done, ifFitted, item } from '../questions.ts';
import type { BearingSetup } from './bearing-setup.ts';
import { type BoltSet, boltNeeds, type Housing, layoutOf, lubricated } from './fitting-parts.ts';
import { fixedFirst } from './fixed-first.ts';
import { floatRoom } from './float-room.ts';
import { greaseFill } from './grease-fill.ts';
import { M } from './messages.ts';

/** A set of the setup as the bolt step takes it. */
export const specOf = (
  one: BoltSpec['one'],
  what: Text,
  set: BoltSet,
  more: Partial<BoltSpec> = {},
): BoltSpec => ({
  one,
  what,
  // A step is not drawn before all of it is said: `boltNeeds`.
  ...(set.size && set.grade
    ? { bolt: { size: set.size, grade: set.grade as BoltGrade, friction: set.friction } }
    : {}),
  count: set.count ?? 0,
  layout: set.layout ?? 'circle',
  makerTorqueNm: set.makerTorqueNm,
  makerMostNm: set.makerMostNm,
  ...more,
});

/** A part of the setup a step was built for. @throws RangeError where it is gone: a fault of ours */
function part<T>(value: T | undefined, what: string): T {
  if (value === undefined) throw new MessageError(M.notSetup({ what }));
  return value;
}

/** A float waits for the fixed bearing of its shaft. */
export const fixedFirstStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.role === 'float' && setup.float
    ? [
        {
          id: 'fixedfirst',
          title: M.fixedBearing2,
          kind: fixedFirst,
          guide: M.twoBearingsShaftFixedOne,
          closes: M.onceFloatFixedBearingCan,
        },
      ]
    : [];

/** The float's ring in its seat, with room on the side the shaft grows to. */
export const floatStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.role === 'float' && setup.float
    ? [
        {
          id: 'float',
          title: COMMON.float,
          kind: floatRoom,
          guide: M.noRingBesideFloatCentred,
          repeatWord: M.ringMoved,
          again: true,
        },
      ]
    : [];

/** The first fill, before the housing closes over it. */
const fillAsk = (school: FillMethod, filled: Text): Text =>
  school === 'to-shaft' ? M.baseFilledLevelUndersideShaft : M.filledQuantityAboveNoMore({ filled });

type Grease = NonNullable<BearingSetup['grease']>;
const GREASE_ITEMS: Record<ReturnType<typeof lubricated>, (grease: Grease, filled: Text) => GateItem[]> = {
  greased: () => [{ id: 'seals', act: true, group: COMMON.grease, ask: M.onlyHousingSealsGotGrease }],
  oil: () => [{ id: 'oil', group: COMMON.grease, ask: M.oilFilledToMark }],
  fill: (grease, filled) => [
    ...(grease.sealed
      ? []
      : [{ id: 'bearing', act: true, group: COMMON.grease, ask: M.bearingPackedFromOneSide }]),
    {
      id: 'housing',
      act: true,
      group: COMMON.grease,
      ask: fillAsk(grease.school ?? FIRST_FILL.usual, filled),
    },
    { id: 'kind', group: COMMON.grease, ask: M.greaseOnePlateSheet },
  ],
};

/** @param filled what the quantity goes into: a housing, or halves that are not closed yet */
export const greaseStep = (setup: BearingSetup, filled = COMMON.housing): StepDefinition<BearingSetup>[] =>
  setup.grease
    ? [
        {
          id: 'grease',
          title: M.firstFill,
          kind: greaseFill,
          guide: M.bearingFirstHandFromOne,
          caution: M.cleanHandsCleanTinTwo,
          again: true,
          items: GREASE_ITEMS[lubricated(setup.grease)](setup.grease, filled),
        },
      ]
    : [];

const RINGS = {
  shoulder: M.oneFixingRingBetweenBearing,
  'free-side': M.oneFixingRingSideAway,
  'mount-nut': M.oneFixingRingMountNuts,
  both: M.fixingRingEachSideBearing,
  none: M.noFixingRingUnitFixed,
} as const;

/** What the bearing sits in; jobs of before the kinds were told apart sat in a split block. */
export const housingOf = (setup: Pick<BearingSetup, 'closing'>): Housing => setup.closing?.housing ?? 'split';
/** Has it a cap that is bolted on? */
export const hasCap = (setup: Pick<BearingSetup, 'closing'>): boolean => housingOf(setup) === 'split';

/** The side that is out of reach once the bearing is on, looked to before it goes on. */
export const inboardStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] => [
  {
    id: 'inboard',
    title: M.inboardSideFirst,
    kind: gate,
    guide: M.whatSitsBetweenBearingShoulder,
    closes: M.onceBearingInboardSideOut,
    again: true,
    items: [
      ifFitted(H.inboard, 'on', M.inboardSealPartsShaftBefore),
      ifFitted(
        H.inboard,
        'facing',
        setup.closing?.seals === 'contact' ? M.theyFaceRightLipTowards : M.theyFaceRightMarkedTop,
      ),
      ifFitted(H.inboard, 'oring', M.theirORingGrooveGreased),
    ],
  },
];

function houseItems(setup: BearingSetup): GateItem[] {
  const c = setup.closing;
  if (!c) return [];
  const cap = hasCap(setup);
  return [
    ...(cap
      ? [
          item(COMMON.housing, 'faces', M.baseCapFacesFlatClean),
          item(COMMON.housing, 'halves', M.bothHalvesBelongTogetherMatch),
        ]
      : [item(COMMON.housing, 'faces', M.mountingFaceFlatCleanUnit)]),
    item(
      COMMON.housing,
      'rings',
      setup.role === 'fixed' ? RINGS[c.rings ?? 'both'] : M.noFixingRingBesideOuter,
    ),
    ...(c.snapRing && c.snapRing !== 'as-was'
      ? [
          done(
            COMMON.housing,
            'snapring',
            M.snapRingMovedOtherGroove({ snapRing: c.snapRing === 'to-fixed' ? 'fixed' : 'float' }),
          ),
        ]
      : []),
    ...(housingOf(setup) === 'take-up' ? [item(COMMON.housing, 'slides', M.slidesFrameFromEndEnd)] : []),
    ifFitted(COMMON.seals, 'facing', M.outerSealFacesRightMarked),
    ...(cap && c.order === 'in-place' ? [done(COMMON.seals, 'sealsin', M.sealsShaftBaseBeforeCap)] : []),
    ...(c.endCover ? [done(COMMON.seals, 'cover', M.endCoverGrooveInsteadOuter)] : []),
    ...(c.seals === 'labyrinth'
      ? [done(COMMON.seals, 'packed', M.labyrinthsGroovesFilledGrease)]
      : [item(COMMON.seals, 'lip', M.lipRingStepLipTowards)]),
    ...(cap
      ? [
          ifFitted(H.joint, 'strip', M.jointSealStrip12Oclock),
          ifFitted(H.joint, 'sealant', M.sealantThinContinuousBeadJoint),
        ]
      : []),
    ifFitted(H.joint, 'nipples', M.greaseNipplesReliefHolesThey),
    item(H.joint, 'spare', M.nothingLeftOverWhatLeft),
  ];
}

/** Housing looked over, then (after the cap) carriers: what stands before and after the cap bolts. */
export const houseStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.closing
    ? [
        {
          id: 'house',
          title: COMMON.housing,
          kind: gate,
          guide: !hasCap(setup)
            ? M.noCapWhatUnitCloses
            : (setup.closing.order ?? 'room') === 'room'
              ? M.workshopCapTorqueFirstCarriers
              : M.placeNoRoomSealsInto,
          closes: M.onceClosedRingGreaseSeals,
          again: true,
          items: houseItems(setup),
        },
      ]
    : [];

/** A small set of bolts that the sheet gives a torque for, where it is on this job. */
const bySheet = (
  setup: BearingSetup,
  of: 'carrierBolts' | 'ringScrews',
  step: Pick<StepDefinition<BearingSetup>, 'id' | 'title' | 'guide'>,
): StepDefinition<BearingSetup>[] =>
  setup[of]
    ? [
        {
          ...step,
          needs: boltNeeds(of),
          kind: boltsStep((s) =>
            specOf(of === 'ringScrews' ? 'screw' : 'bolt', step.title, part(s[of], of), { housing: true }),
          ),
          again: true,
        },
      ]
    : [];

export const carrierSteps = (setup: BearingSetup): StepDefinition<BearingSetup>[] => {
  if (!setup.closing) return [];
  const after = hasCap(setup) ? M.afterCapBolts : '';
  const { seals, noCarriers } = setup.closing;
  const turns = item(COMMON.carriers, 'turns', M.turnedHandAllClosedNo, {
    remedy: M.sealBindsMeansBaseStands,
  });
  if (noCarriers)
    return [
      {
        id: 'carriers',
        title: M.closedTurn,
        kind: gate,
        guide: M.turnClosedHousing,
        again: true,
        items: [turns],
      },
    ];
  const sealant = ifFitted(COMMON.carriers, 'sealant', M.thinBeadSealantCarriersFlange);
  const bolted = bySheet(setup, 'carrierBolts', {
    id: 'carrierbolts',
    title: COMMON.carrierBolts,
    guide: M.wrenchBoltBoltSheetsValue({ after }),
  });
  return [
    // The bead goes on before the bolts pull it together.
    ...(bolted.length === 0
      ? []
      : [
          {
            id: 'carrieron',
            title: M.sealHoldersOn,
            kind: gate,
            guide: M.beadThenHolders,
            again: true,
            items: [sealant],
          } satisfies StepDefinition<BearingSetup>,
        ]),
    ...bolted,
    {
      id: 'carriers',
      title: COMMON.carriers,
      kind: gate,
      guide: M.carrierBoltsWhicheverOrderHousing({ after: after || M.firstOfAll }),
      again: true,
      items: [
        ...(setup.carrierBolts
          ? []
          : [sealant, ifFitted(COMMON.carriers, 'bolts', M.carrierBoltsTorque2({ after }))]),
        ...(seals === 'labyrinth'
          ? [ifFitted(COMMON.carriers, 'slid', M.labyrinthSlidUntilChamferEdge)]
          : []),
        ...(setup.ringScrews ? [] : [ifFitted(COMMON.carriers, 'grub', M.grubScrewsSealRingsTorque2)]),
        turns,
      ],
    },
    ...bySheet(setup, 'ringScrews', {
      id: 'ringscrews',
      title: COMMON.ringScrews,
      guide: M.grubScrewsSealRingsWrench,
    }),
  ];
};

/** The load given back as a step of its own, and the base bolts after the housings stand in line. */
export const loadStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.baseBolts
    ? [
        {
          id: 'load',
          title: M.loadBack,
          kind: gate,
          guide: M.givingLoadBackStepOwn,
          caution: M.nobodyUnderShaftAsComes,
          closes: M.alignmentAfterBaseBoltsTorque,
          again: true,
          items: [
            { id: 'support', group: H.load, ask: M.shaftSupportOutLoadStands },
            {
              id: 'inline',
              group: H.load,
              ask: M.housingsLineStraightedgeWireLaser,
            },
            { id: 'washers', group: H.load, ask: M.heavyFlatWashersOverSlotted, kind: 'machine' },
          ],
        },
      ]
    : [];

/** What holds the unit to what it stands on. */
const BASE: Record<Housing, Text> = {
  split: COMMON.baseBolts,
  'one-piece': COMMON.baseBolts,
  flanged: COMMON.flangeBolts,
  'take-up': M.frameBolts,
};

export const baseStep = (setup: BearingSetup): StepDefinition<BearingSetup>[] =>
  setup.baseBolts
    ? [
        {
          id: 'base',
          title: BASE[housingOf(setup)],
          needs: boltNeeds('baseBolts'),
          kind: boltsStep((s) =>
            specOf('bolt', BASE[housingOf(s)], part(s.baseBolts, 'baseBolts'), {
              layout: layoutOf(part(s.baseBolts, 'baseBolts')),
            }),
          ),
          guide: M.gradeTorqueCrosswisePassPass,
          again: true,
        },
      ]
    : [];
