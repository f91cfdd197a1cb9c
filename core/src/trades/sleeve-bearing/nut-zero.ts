import { readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { nextCount, rowOf } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
import { M } from './messages.ts';
import type { SleeveSetup } from './setup.ts';

export type NutZeroValues = { taps: number[]; proven: boolean };

const TAPS_MOST = 12;
/** So many taps, and it still turns: something else is the matter. Common practice, no source. */
const TAPS_QUERIED = 4;

/** Movement after each tap, in the order they were given. */
const tapsOf = (taken: readonly Reading[]): number[] => rowOf(taken, 'tap/').map((r) => r.value);

/** A tap that moves the nut by less than half a step of the gauge has not moved it. */
const stood = (r: Reading | undefined): boolean => r !== undefined && r.value < r.instrument.step / 2;

/** The last tap moved nothing: sleeve, shaft and bore are metal to metal. */
export const zeroProven = (facts: Facts<SleeveSetup>, step = 'zero'): boolean =>
  stood(standing(facts, step).at(-1));

const tapKey = placeKey('tap/{n}');

/**
 * The zero of a nut's angle: by both hands until it will not turn, a tap on its rim, and again, until a tap moves it no more.
 * Only then is the mark drawn, and only from there does an angle mean anything.
 */
export const nutZero = stepKind<SleeveSetup, NutZeroValues>('nut-zero', {
  essential: true,
  report(facts, step) {
    const taken = standing(facts, step.id);
    const taps = tapsOf(taken);
    const proven = zeroProven(facts, step.id);
    const findings: Finding[] = [
      {
        code: 'zero.proven',
        source: 'practice',
        acceptable: false,
        ...(proven
          ? {
              verdict: 'accept',
              reason: M.lastTapMovedNothingSleeve,
              params: {},
            }
          : {
              verdict: 'incomplete',
              reason: taps.length === 0 ? M.zeroNotProvenYetNo : M.lastTapStillMovedNut({ at: taps.at(-1) }),
              params: { value: taps.length === 0 ? null : taps.at(-1) },
              remedy: M.bothHandsUntilWillNot,
            }),
      },
    ];
    if (!proven && taps.length >= TAPS_QUERIED)
      findings.push({
        code: 'zero.taps',
        verdict: 'caution',
        reason: M.tapsTurnsEachTime({ count: taps.length }),
        params: { length: taps.length },
        source: 'practice',
        remedy: M.sleeveReallyOpenThreadClean,
        acceptable: false,
      });
    const next = proven ? null : placeOf(nextCount(taken, 'tap/'));
    return {
      findings: [...findings, ...(proven ? itemFindings(facts, step) : []), ...gaugeFindings(taken)],
      working: taps.map((deg, i) => ({ what: M.tap({ i: i + 1 }), sum: M.moved({ deg }) })),
      beams: [],
      values: { taps, proven } satisfies NutZeroValues,
      next,
      act: proven ? M.zeroProvenDrawMark : taps.length === 0 ? M.bothHandsThenTapRim : M.againBothHandsTapTry,
    };
  },
  place(facts, step, key) {
    const n = tapKey.read(key)?.n ?? 0;
    const place = placeOf(n);
    if (!place) return M.thereNoSuchTap;
    if (standing(facts, 'driveup').length > 0) return M.nutPastZeroCannotProven;
    if (readingAt(facts, step.id, key)) return M.tapEnteredAlreadyWithdrawEnter;
    if (n !== nextCount(standing(facts, step.id), 'tap/')) return M.tapsEnteredOneAfterOther;
    return zeroProven(facts, step.id) ? M.lastTapMovedNothingZero : place;
  },
});

function placeOf(n: number): Place | null {
  if (n < 1 || n > TAPS_MOST) return null;
  return {
    key: tapKey.write({ n }),
    label: M.nutMovedAfterTap({ n }),
    quantity: 'angle',
    low: 0,
    high: 180,
    instrumentKinds: ['protractor'],
  };
}
