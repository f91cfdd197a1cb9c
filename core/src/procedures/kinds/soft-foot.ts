import { type SoftFootValues, softFoot } from '../../alignment/soft-foot.ts';
import { conditionOf, schoolsOf } from '../../api/setup.ts';
import type { Facts, Place } from '../../engine/state.ts';
import type { StepKind } from '../types.ts';
import { gaugeFindings } from './gauges.ts';
import { listedPlace, nextOf, takenAt, valueAt } from './listed-places.ts';
import { stepUsed } from './turn.ts';

export type SoftFootStepValues = SoftFootValues & { feet: number[][] };

const CORNERS = ['a', 'b', 'c', 'd'] as const;
const WHERE: Record<(typeof CORNERS)[number], string> = {
  a: '',
  b: ', second corner',
  c: ', third corner',
  d: ', fourth corner',
};

const footPlace = (foot: number, corner: (typeof CORNERS)[number]): Place => ({
  key: `f${foot}/${corner}`,
  label: `Foot ${foot}${WHERE[corner]}`,
  kind: 'gap',
  low: 0,
  high: 5,
  instrumentKinds: ['feeler', 'dial'],
});

const count = ({ setup }: Facts) => conditionOf(setup).feet ?? 4;
const all = (facts: Facts): Place[] =>
  Array.from({ length: count(facts) }, (_, i) => CORNERS.map((c) => footPlace(i + 1, c))).flat();

/** Each foot loosened in turn: its gap felt or its rise read, and the corners of one that is not right. */
export const softFootStep: StepKind = {
  repeats: true,
  report(facts, step) {
    const { setup } = facts;
    const taken = takenAt(facts, step);
    const feet = Array.from({ length: count(facts) }, (_, i) =>
      CORNERS.flatMap((c) => valueAt(facts, step, `f${i + 1}/${c}`) ?? []),
    );
    const result = softFoot({
      feet,
      resolutionMm: stepUsed(taken, 0.01),
      makerLimitMm: setup.maker.softFootMm,
      rule: schoolsOf(setup).decision,
    });
    const asked = result.findings.flatMap((f) => /^softfoot\.(\d+)\.corners$/.exec(f.code)?.[1] ?? []);
    const next = nextOf(
      facts,
      step,
      all(facts).filter((p) => p.key.endsWith('/a')),
    );
    const corners = asked.flatMap((foot) =>
      CORNERS.slice(1).map((c) => ({ key: `f${foot}/${c}`, label: `Foot ${foot}${WHERE[c]}` })),
    );
    return {
      findings: [...result.findings, ...gaugeFindings(taken)],
      working: result.working,
      beams: result.beams,
      values: { ...result.values, feet } satisfies SoftFootStepValues,
      next,
      choices: [...(next ? [{ key: next.key, label: next.label }] : []), ...corners],
      act: next
        ? `Loosen foot ${next.label.slice(5)} and feel its gap`
        : 'Every foot is felt: read the verdict.',
    };
  },
  place: (facts, step, key) => listedPlace(facts, step, all(facts), key),
};
