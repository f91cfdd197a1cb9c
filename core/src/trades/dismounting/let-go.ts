import { readingAt, standing } from '../../engine/facts.ts';
import { placeKey } from '../../engine/place-key.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import type { Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Text } from '../../message/message.ts';
import { inline } from '../../message/message.ts';
import { reachesPressure } from '../../quantities/as-typed.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { pres } from '../../quantities/say.ts';
import { gaugeFindings } from '../../steps/gauges.ts';
import { M } from './messages.ts';
import type { DismountSetup } from './setup.ts';

export type LetGoRound = {
  n: number;
  peakMpa: number;
  afterMpa: number | null;
  /** The gauge lies on its stop: no more than one step of it. */
  zero: boolean;
  aborted: boolean;
};
export type LetGoValues = { rounds: LetGoRound[]; free: boolean; abortPressureMpa: number };

/** A round of the pump: its highest pressure, what the gauge showed after, and the other nut turned back. */
const roundKey = placeKey('n{n}/{what:peak|after|back}');

const ROUNDS_MOST = 20;

/** The nut that may hold the sleeve: the other one, where there are two. */
const nutOf = (setup: DismountSetup): Text => (setup.twoNuts ? COMMON.otherNut : M.nut);

/**
 * Hydraulic dismounting: pressure climbs, the sleeve lets go, the gauge drops to zero, perhaps after several rounds. That drop
 * by itself is the proof. Abort pressure first: release, the nut that holds it one turn back, again.
 */
export const letGo = stepKind<DismountSetup, LetGoValues>('let-go', {
  essential: true,
  report(facts, step) {
    const abort = abortOf(facts);
    const rounds = roundsOf(facts, step.id, abort);
    const last = rounds.at(-1);
    const free = last !== undefined && !last.aborted && last.zero;
    const key = nextKey(facts, step.id, rounds, free);
    const findings: Finding[] = [];
    if (free)
      findings.push({
        code: 'letgo.free',
        verdict: 'accept',
        reason: M.letGoGaugeDroppedZero({ peak: pres(last.peakMpa) }),
        params: { peakMpa: last.peakMpa },
        source: 'practice',
        acceptable: false,
      });
    else
      findings.push({
        code: 'letgo.free',
        verdict: last?.aborted ? 'reject' : 'incomplete',
        reason: last?.aborted
          ? M.abortPressureCameFirst({ abort: pres(abort), peak: pres(last.peakMpa) })
          : last && last.afterMpa !== null
            ? M.gaugeHoldsHasNotLet({ after: pres(last.afterMpa) })
            : M.hasNotLetGoYet,
        params: {
          abort: last?.aborted ? abort : null,
          peakMpa: last?.aborted ? last.peakMpa : null,
          afterMpa: last?.aborted ? null : last && last.afterMpa !== null ? last.afterMpa : null,
        },
        limit: pres(abort),
        source: 'maker',
        remedy: last?.aborted
          ? M.releaseStillLooseIfNot({ nutOf: nutOf(facts.setup) })
          : M.pumpRoundsStandClearLine,
        acceptable: false,
      });
    return {
      findings: [...findings, ...gaugeFindings(standing(facts, step.id))],
      working: rounds.map((r) => ({
        what: M.round({ n: r.n }),
        sum: M.up({
          peak: pres(r.peakMpa),
          after: r.afterMpa === null ? '' : M.thenText({ after: pres(r.afterMpa) }),
          aborted: r.aborted ? 'abort' : 'none',
        }),
      })),
      beams: [],
      values: { rounds, free, abortPressureMpa: abort } satisfies LetGoValues,
      next: key ? placeOf(facts.setup, key) : null,
      act: free
        ? M.hasLetGo
        : key?.endsWith('back')
          ? M.turnBackSayHowFar({ nutOf: nutOf(facts.setup) })
          : key?.endsWith('after')
            ? last?.aborted
              ? M.releasePumpReadWhatLeft
              : M.whatDoesGaugeShowNow
            : M.pumpUntilLetsGoRead,
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts.setup, key);
    if (!place) return M.thereNoSuchRoundPump;
    if (readingAt(facts, step.id, key))
      return COMMON.enteredAlreadyWithdrawReasonEnter({ label: place.label });
    const rounds = roundsOf(facts, step.id, abortOf(facts));
    const last = rounds.at(-1);
    const free = last !== undefined && !last.aborted && last.zero;
    const wanted = nextKey(facts, step.id, rounds, free);
    if (wanted === null) return M.hasLetGoNothingMore;
    return key === wanted
      ? place
      : COMMON.first({ label: inline(placeOf(facts.setup, wanted)?.label ?? wanted) });
  },
});

/** @throws RangeError where the sheet gives no abort pressure; a setup that lacks it is refused */
function abortOf(facts: Facts<DismountSetup>): number {
  const abort = facts.setup.maker.dismountAbortMpa;
  if (abort === undefined) throw new MessageError(M.abortPressureDismountingMissing2);
  return abort;
}

function roundsOf(facts: Facts<DismountSetup>, step: string, abortMpa: number): LetGoRound[] {
  const rounds: LetGoRound[] = [];
  for (let n = 1; n <= ROUNDS_MOST; n++) {
    const peak = readingAt(facts, step, roundKey.write({ n, what: 'peak' }));
    if (!peak) break;
    const after = readingAt(facts, step, roundKey.write({ n, what: 'after' }));
    rounds.push({
      n,
      peakMpa: peak.value,
      afterMpa: after?.value ?? null,
      zero: after !== undefined && after.value <= after.instrument.step,
      aborted: reachesPressure(peak.value, abortMpa),
    });
  }
  return rounds;
}

function nextKey(
  facts: Facts<DismountSetup>,
  step: string,
  rounds: LetGoRound[],
  free: boolean,
): string | null {
  const last = rounds.at(-1);
  if (!last) return roundKey.write({ n: 1, what: 'peak' });
  const { n } = last;
  if (last.afterMpa === null) return roundKey.write({ n, what: 'after' });
  const back = roundKey.write({ n, what: 'back' });
  if (last.aborted && !readingAt(facts, step, back)) return back;
  return free || n >= ROUNDS_MOST ? null : roundKey.write({ n: n + 1, what: 'peak' });
}

function placeOf(setup: DismountSetup, key: string): Place | null {
  const at = roundKey.read(key);
  if (!at || at.n < 1 || at.n > ROUNDS_MOST) return null;
  const { n, what } = at;
  if (what === 'back')
    return {
      key,
      label: COMMON.howFarTurnedBack({ nutOf: nutOf(setup) }),
      quantity: 'angle',
      low: 0,
      high: 720,
      instrumentKinds: ['protractor'],
    };
  return {
    key,
    label: what === 'peak' ? M.highestPressureRound({ n }) : M.pressureAfterRound({ n }),
    quantity: 'pressure',
    low: 0,
    high: 300,
    instrumentKinds: ['pressure'],
  };
}
