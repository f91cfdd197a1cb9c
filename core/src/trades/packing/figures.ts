import { figureOf, type KindFigure } from '../../engine/figure.ts';
import { clockFigure } from '../../steps/figures/clock.ts';
import { glandFigure } from '../../steps/figures/gland.ts';
import { SHARED_FIGURES } from '../../steps/figures/shared.ts';
import { gaps } from '../../steps/gland-gaps.ts';
import { cutFigure, packingFigure } from './box-figures.ts';
import { M } from './messages.ts';
import { cuttings, packingPlan, ringsOf } from './plan.ts';
import { ringKey, ringsLoop } from './rings-in.ts';

/** Figures of a stuffing box. */
export const figures: readonly KindFigure[] = [
  figureOf(gaps, ({ values, place, typed }) =>
    glandFigure({ values, active: place?.key, typed, what: M.followerBoxFace }),
  ),
  ...SHARED_FIGURES,
  figureOf(packingPlan, ({ values: plan, setup }) => [
    packingFigure({ setup, plan }),
    cutFigure({ setup, plan }),
  ]),
  figureOf(cuttings, ({ setup }) => cutFigure({ setup, plan: ringsOf({ setup }).values })),
  // Rings in the box, and their joints on the clock face.
  figureOf(ringsLoop, ({ setup, values: v, place, typed, turns }) => {
    const next = ringKey.read(place?.key)?.n ?? 0;
    const wanted = v.plan.jointsDeg[next - 1];
    const off = (i: number) => {
      const [a, b] = [v.jointsDeg[i], v.jointsDeg[i - 1]];
      return a !== undefined && b !== undefined && Math.abs(((a - b + 540) % 360) - 180) < v.staggerDeg - 20;
    };
    return [
      packingFigure({
        setup,
        plan: v.plan,
        seated: v.jointsDeg.length,
        bare: true,
        active: next || undefined,
      }),
      clockFigure({
        marks: Array.from({ length: v.plan.count }, (_, i) => ({
          key: ringKey.write({ n: i + 1 }),
          name: M.jointRing({ i: i + 1 }),
          deg: v.jointsDeg[i] ?? null,
          across: false,
          bad: off(i),
        })),
        active: place?.key ?? null,
        typedDeg: typed,
        turns,
        lines: [],
        wanted: next && wanted !== undefined ? [{ deg: wanted, word: M.jointWord }] : [],
        innerFirst: true,
        compact: true,
        note: M.jointsRing1Innermost({ stagger: v.staggerDeg }),
      }),
    ];
  }),
];
