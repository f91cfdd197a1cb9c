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
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { anglePlace, listedPlace, nextListed, valueAt } from '../../steps/places-in-order.ts';
import type { SealSetup } from './setup.ts';

export type AnglesStepValues = AngleValues & {
  marks: Array<{ mark: AngleMark; name: string; deg: number | null }>;
};

/** The pairs of a family, by what clashes with what. */
export const FAMILY_RULES: Partial<Record<SealSetup['family'], readonly AngleRule[]>> = {
  'cartridge-split': [{ a: 'gland-split', b: 'rotary-split', want: 'square' }],
  'fully-split': [
    { a: 'gland-split', b: 'stationary-split', want: 'square' },
    { a: 'rotary-split', b: 'stationary-split', want: 'apart' },
    { a: 'rotary-split', b: 'rotary-seam', want: 'apart' },
    { a: 'stationary-split', b: 'stationary-seam', want: 'apart' },
  ],
};

const marksOf = (rules: readonly AngleRule[]): AngleMark[] => [...new Set(rules.flatMap((r) => [r.a, r.b]))];

/** Splits and seams set round the shaft, each by its place on the clock face. */
export const angles = kindFamily<SealSetup, AnglesStepValues>('seal-angles');

/** A pair in line stops the work. */
export const anglesStep = (rules: readonly AngleRule[]) => {
  const places = (): Place[] =>
    marksOf(rules).map((m) => anglePlace(m, `${cap(MARK_NAME[m])}, from the top clockwise`));
  return angles.kind({
    repeats: true,
    report(facts, step) {
      const marks = marksOf(rules).map((mark) => ({
        mark,
        name: MARK_NAME[mark],
        deg: valueAt(facts, step, mark),
      }));
      const result = sealAngles({
        marks: Object.fromEntries(marks.flatMap((m) => (m.deg === null ? [] : [[m.mark, m.deg]]))),
        rules,
      });
      const next = nextListed(facts, step, places());
      return {
        findings: [
          ...result.findings,
          ...(next ? [] : itemFindings(facts, step)),
          ...gaugeFindings(standing(facts, step.id)),
        ],
        working: result.working,
        beams: [],
        values: { ...result.values, marks } satisfies AnglesStepValues,
        next,
        act: next
          ? `Where does the ${MARK_NAME[next.key as AngleMark]} stand?`
          : (result.findings.find((f) => f.verdict === 'reject')?.reason ?? 'No two of them clash.'),
      };
    },
    place: listedPlace(places),
  });
};

export type PortsStepValues = PortsValues & { placed: { inletDeg: number | null; outletDeg: number | null } };

const portPlaces = (): Place[] => [
  anglePlace('inlet', 'Barrier inlet, from the top clockwise as seen'),
  anglePlace('outlet', 'Barrier outlet, from the top clockwise as seen'),
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
      act: next ? `Turn the ports to their place; enter the ${next.key}` : (result.findings[0]?.reason ?? ''),
    };
  },
  place: listedPlace(portPlaces),
});

const cap = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** The rules of a job’s family. */
export const rulesOf = (facts: Pick<Facts<SealSetup>, 'setup'>): readonly AngleRule[] =>
  FAMILY_RULES[facts.setup.family] ?? [];
