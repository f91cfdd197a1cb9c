import { readingAt, standing } from '../../engine/facts.ts';
import type { Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { nextCount, rowOf } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { DismountSetup } from './setup.ts';

export type NutBackValues = { turnedDeg: number; leastDeg: number; mostDeg: number; enough: boolean };

/** How far a nut goes back before the sleeve is driven off, in turns: far enough to let it go, and still on the thread. */
const TURNS: Record<DismountSetup['design'], readonly [number, number]> = {
  'adapter-sleeve': [2, 5],
  'captive-nut': [0.25, 12],
  hydraulic: [2, 4],
};

/**
 * The nut turned back, and still on: on a plain sleeve a few turns, so that the jump is caught; a captive nut is its own puller
 * and is driven back until the bearing lets go; of two nuts the mount nut goes two turns loose, never off.
 */
export const nutBack = stepKind<DismountSetup, NutBackValues>('nut-back', {
  essential: true,
  report(facts, step) {
    const { design } = facts.setup;
    const [least, most] = TURNS[design].map((t) => 360 * t) as [number, number];
    const taken = standing(facts, step.id);
    const turnedDeg = rowOf(taken, 'back/').at(-1)?.value ?? 0;
    const enough = turnedDeg >= least;
    const turns = (deg: number) => Number((deg / 360).toFixed(2));
    const finding: Finding = {
      code: 'nutback',
      source: 'practice',
      acceptable: false,
      limit: M.turns({ turns: turns(least), turns2: turns(most) }),
      ...(enough
        ? {
            verdict: 'accept',
            reason: M.nutBackTurnsStill({ turns: turns(turnedDeg) }),
            params: { turnedDeg },
          }
        : {
            verdict: 'incomplete',
            reason: M.nutBackLeastTurns({ turns: turns(turnedDeg), turns2: turns(least) }),
            params: { turnedDeg: turns(turnedDeg), least: turns(least) },
            remedy: M.neverAllWayOffCatches,
          }),
    };
    const next = enough ? null : placeOf(`back/${nextCount(taken, 'back/')}`, turnedDeg, most);
    return {
      findings: [finding, ...(enough ? itemFindings(facts, step) : []), ...gaugeFindings(taken)],
      working: [],
      beams: [],
      values: { turnedDeg, leastDeg: least, mostDeg: most, enough } satisfies NutBackValues,
      next,
      choices: enough ? [{ key: `back/${nextCount(taken, 'back/')}`, label: M.turnedBackFurther }] : [],
      act: enough
        ? design === 'captive-nut'
          ? M.driveNutBackUntilBearing
          : M.backFarEnoughStill
        : M.turnNutBackEnterHow,
    };
  },
  place(facts, step, key) {
    const { design } = facts.setup;
    const taken = standing(facts, step.id);
    if (readingAt(facts, step.id, key)) return M.turnEnteredAlreadyWithdrawEnter;
    if (key !== `back/${nextCount(taken, 'back/')}`) return COMMON.turnsEnteredOneAfterOther;
    return (
      placeOf(key, rowOf(taken, 'back/').at(-1)?.value ?? 0, 360 * TURNS[design][1]) ?? M.thereNoSuchTurn
    );
  },
});

const placeOf = (key: string, low: number, high: number): Place | null =>
  /^back\/\d{1,2}$/.test(key)
    ? {
        key,
        label: M.nutTurnedBackAllTogether,
        quantity: 'angle',
        low,
        high,
        instrumentKinds: ['protractor'],
      }
    : null;
