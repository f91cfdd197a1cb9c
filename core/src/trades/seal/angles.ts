import {
  type AngleMark,
  type AngleRule,
  type AngleValues,
  MARK_NAME,
  sealAngles,
} from '../../arithmetic/seals/angles.ts';
import { type PortsValues, sealPorts } from '../../arithmetic/seals/ports.ts';
import { standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { kindFamily, stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { starting } from '../../message/message.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { anglePlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import { M } from './messages.ts';
import type { SealSetup } from './setup.ts';

export type AnglesStepValues = AngleValues & {
  marks: Array<{ mark: AngleMark; name: Text; deg: number | null }>;
};

/** The pairs of a family, by what clashes with what, while the gland is still off. */
const FAMILY_RULES: Partial<Record<SealSetup['family'], readonly AngleRule[]>> = {
  'cartridge-split': [],
  'fully-split': [
    { a: 'stationary-split', b: 'rotary-split', want: 'apart' },
    { a: 'rotary-split', b: 'rotary-seam', want: 'apart' },
    { a: 'stationary-split', b: 'stationary-seam', want: 'apart' },
  ],
};

/** Which split the gland's stands square to. */
const UNDER_GLAND: Partial<Record<SealSetup['family'], AngleMark>> = {
  'cartridge-split': 'rotary-split',
  'fully-split': 'stationary-split',
};

/** Splits and seams set round the shaft, each by its place on the clock face. */
export const angles = kindFamily<SealSetup, AnglesStepValues>('seal-angles');

type Asked = {
  /** Asked at this step. */
  marks: readonly AngleMark[];
  /** Placed at a step before, and drawn beside them. */
  before: readonly AngleMark[];
  rules: readonly AngleRule[];
};

/** Of the faces: those the family has, while they can be seen. */
const facesOf = ({ family }: SealSetup): Asked => {
  const rules = FAMILY_RULES[family] ?? [];
  const marks = new Set(rules.flatMap((r) => [r.a, r.b]));
  return { marks: marks.size > 0 ? [...marks] : ['rotary-split'], before: [], rules };
};

/** Of the gland: its own split, square to the one it covers. */
const glandOf = ({ family }: SealSetup): Asked => {
  const under = UNDER_GLAND[family];
  return {
    marks: ['gland-split'],
    before: under ? [under] : [],
    rules: under ? [{ a: 'gland-split', b: under, want: 'square' }] : [],
  };
};

/** A pair in line stops the work. */
const anglesOf = (askedOf: (setup: SealSetup) => Asked) => {
  const places = (facts: Facts<SealSetup>): Place[] =>
    askedOf(facts.setup).marks.map((m) =>
      anglePlace(m, M.fromTopClockwise({ markName: starting(MARK_NAME[m]) })),
    );
  return angles.kind({
    repeats: true,
    report(facts, step) {
      const { marks: own, before, rules } = askedOf(facts.setup);
      const marks = [
        ...own.map((mark) => ({ mark, name: MARK_NAME[mark], deg: valueAt(facts, step, mark) })),
        ...before.map((mark) => ({ mark, name: MARK_NAME[mark], deg: valueAt(facts, FACES, mark) })),
      ];
      const result = sealAngles({
        marks: Object.fromEntries(marks.flatMap((m) => (m.deg === null ? [] : [[m.mark, m.deg]]))),
        rules,
      });
      const next = nextListed(facts, step, places(facts));
      return {
        findings: [
          ...result.findings,
          // A split that nothing clashes with yet is placed all the same: what comes later stands square to it.
          ...(next && rules.length === 0 ? [notPlaced(next)] : []),
          ...(next ? [] : itemFindings(facts, step)),
          ...gaugeFindings(standing(facts, step.id)),
        ],
        working: result.working,
        beams: [],
        values: { ...result.values, marks } satisfies AnglesStepValues,
        next,
        act: next
          ? M.whereDoesStand({ markName: MARK_NAME[next.key as AngleMark] })
          : (result.findings.find((f) => f.verdict === 'reject')?.reason ?? M.noTwoThemClash),
      };
    },
    place: listedPlace(places),
  });
};

/** A split that is not placed yet. */
const notPlaced = (next: Place): Finding => ({
  code: 'angles.open',
  verdict: 'incomplete',
  reason: M.notEnteredYet({ label: next.label }),
  params: { label: next.label },
  acceptable: false,
});

/** The step the faces' splits are placed at. */
const FACES = { id: 'angles' };
export const anglesStep = anglesOf(facesOf);
export const glandAngleStep = anglesOf(glandOf);

export type PortsStepValues = PortsValues & { placed: { inletDeg: number | null; outletDeg: number | null } };

const portPlaces = (): Place[] => [
  anglePlace('inlet', M.barrierInletFromTopClockwise),
  anglePlace('outlet', M.barrierOutletFromTopClockwise),
];

/** Barrier ports turned to where rotation and view want them, vents up. */
export const portsStep = stepKind<SealSetup, PortsStepValues>('seal-ports', {
  repeats: true,
  report(facts, step) {
    const { rotation, seenFrom } = facts.setup;
    const placed = { inletDeg: valueAt(facts, step, 'inlet'), outletDeg: valueAt(facts, step, 'outlet') };
    const result = sealPorts({
      rotation,
      seenFrom: seenFrom ?? 'drive-end',
      inletDeg: placed.inletDeg ?? undefined,
      outletDeg: placed.outletDeg ?? undefined,
    });
    const next = nextListed(facts, step, portPlaces());
    return {
      findings: [
        ...result.findings,
        ...(next ? [] : itemFindings(facts, step)),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: result.working,
      beams: [],
      values: { ...result.values, placed } satisfies PortsStepValues,
      next,
      act: next
        ? M.turnPortsTheirPlaceEnter({ port: next.key === 'inlet' ? M.inlet : M.outlet })
        : (result.findings[0]?.reason ?? ''),
    };
  },
  place: listedPlace(portPlaces),
});
