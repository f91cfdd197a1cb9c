import { readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place, Reading } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { nextCount, rowOf } from '../../steps/counted.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { itemFindings } from '../../steps/item-findings.ts';
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
              reason: 'The last tap moved nothing: sleeve, shaft and bore are tight.',
              params: {},
            }
          : {
              verdict: 'incomplete',
              reason:
                taps.length === 0
                  ? 'The zero is not proven yet: no tap has been given.'
                  : `The last tap still moved the nut ${taps.at(-1)}°: both hands again, tap again.`,
              params: { value: taps.length === 0 ? null : taps.at(-1) },
              remedy:
                'Both hands until it will not turn, tap the rim, try again; enter how far it went, 0 if it did not.',
            }),
      },
    ];
    if (!proven && taps.length >= TAPS_QUERIED)
      findings.push({
        code: 'zero.taps',
        verdict: 'caution',
        reason: `${taps.length} taps, and it turns each time.`,
        params: { length: taps.length },
        source: 'practice',
        remedy: 'Is the sleeve really open, the thread clean, the unit still at its place?',
        acceptable: false,
      });
    const next = proven ? null : placeOf(nextCount(taken, 'tap/'));
    return {
      findings: [...findings, ...(proven ? itemFindings(facts, step) : []), ...gaugeFindings(taken)],
      working: taps.map((deg, i) => ({ what: `tap ${i + 1}`, sum: `moved ${deg}°` })),
      beams: [],
      values: { taps, proven } satisfies NutZeroValues,
      next,
      act: proven
        ? 'Zero proven: draw the mark.'
        : taps.length === 0
          ? 'Both hands, then tap the rim and try again'
          : 'Again: both hands, tap, try',
    };
  },
  place(facts, step, key) {
    const n = tapKey.read(key)?.n ?? 0;
    const place = placeOf(n);
    if (!place) return 'There is no such tap.';
    if (standing(facts, 'driveup').length > 0) return 'The nut is past its zero: it cannot be proven now.';
    if (readingAt(facts, step.id, key)) return 'That tap is entered already. Withdraw it to enter it again.';
    if (n !== nextCount(standing(facts, step.id), 'tap/')) return 'Taps are entered one after the other.';
    return zeroProven(facts, step.id) ? 'The last tap moved nothing: the zero stands.' : place;
  },
});

function placeOf(n: number): Place | null {
  if (n < 1 || n > TAPS_MOST) return null;
  return {
    key: tapKey.write({ n }),
    label: `Nut moved after tap ${n}`,
    quantity: 'angle',
    low: 0,
    high: 180,
    instrumentKinds: ['protractor'],
  };
}
