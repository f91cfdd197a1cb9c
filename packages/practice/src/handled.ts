import type { JobEvent, JobState } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { type Action, Bench } from './bench.ts';
import { wellWithin } from './gauges.ts';
import { M } from './messages.ts';
import type { Laid } from './rigs.ts';

/** What somebody did at a bench, and how many entries of the sheet stood before it. */
export type Logged = { action: Action; after: number };

/** A reading beside what was truly there. */
export type Beside = {
  step: string;
  place: string;
  value: number;
  truth: number;
  within: number;
  /** 1 as good as the gauge lets it, 0.5 up to twice as far off, 0 beyond. */
  share: number;
};

/** Every reading that counts, beside the truth of its place when it was taken. One bench goes along with the entries. */
export function readingsBeside(
  laid: Laid,
  events: readonly JobEvent[],
  log: readonly Logged[],
  state: JobState,
): Beside[] {
  const out: Beside[] = [];
  const bench = new Bench(laid);
  let next = 0;
  for (const [i, e] of events.entries()) {
    for (let l = log[next]; l && l.after <= i; l = log[++next]) bench.do(l.action);
    if (e.type !== 'reading.taken') continue;
    const { step, place, value, instrument } = e.data;
    const stands = state.readings.find((r) => r.id === e.id);
    const truth = bench.trueAt(step, place);
    if (!stands || stands.withdrawn || !Number.isFinite(truth)) continue;
    // A loose base is no fault of the reading, once it was tapped twice and so could be known.
    const taps = bench.handled.taps.get(`${step} ${place}`)?.length ?? 0;
    const loose = instrument.kind === 'dial' && taps > 1 ? (laid.physics.looseMm ?? 0) : 0;
    const within = wellWithin(instrument.kind, truth) + loose;
    const off = Math.abs(value - truth);
    out.push({ step, place, value, truth, within, share: off <= within ? 1 : off <= 2 * within ? 0.5 : 0 });
  }
  return out;
}

const WANT_CARE: readonly string[] = ['dial', 'micrometer', 'caliper', 'feeler'];

/** Of every reading by a tool that wants care: what care it did not get, as a sentence; null where it got it. */
export function careOf(
  laid: Laid,
  events: readonly JobEvent[],
  log: readonly Logged[],
): Array<{ step: string; place: string; why: Text | null }> {
  return events.flatMap((e, i) => {
    if (e.type !== 'reading.taken' || !WANT_CARE.includes(e.data.instrument.kind)) return [];
    const { step, place, instrument } = e.data;
    const done = handledBefore(events, log, i, step, place);
    return [{ step, place, why: careless(instrument.kind, done, (laid.physics.tiltMm ?? 0) > 0) }];
  });
}

/** What was done with the tool at its place for a reading: what was done for an earlier one there, mended or measured again since, is not. */
function handledBefore(
  events: readonly JobEvent[],
  log: readonly Logged[],
  event: number,
  step: string,
  place: string,
): Action[] {
  const earlier = events.findLastIndex(
    (e, i) => i < event && e.type === 'reading.taken' && e.data.step === step && e.data.place === place,
  );
  const before = log.filter((l) => l.after <= event && l.after > earlier);
  const from = before.findLastIndex(({ action: a }) => a.do === 'at' && a.step === step && a.key === place);
  return from < 0 ? [] : before.slice(from).map((l) => l.action);
}

function careless(kind: string, done: readonly Action[], tilts: boolean): Text | null {
  const did = (what: Action['do']) => done.some((a) => a.do === what);
  if (done.length === 0) return M.writtenWithoutBringingToolThere;
  if (kind === 'dial') return did('tap') ? null : M.dialNotTappedSticks;
  if (kind === 'feeler') {
    if (done.filter((a) => a.do === 'blade').length < 2) return M.oneBladeAloneSaysNothing;
    return tilts && !did('square') ? M.ringNotSquaredTiltedGives : null;
  }
  return did('rock') ? null : M.gaugeNotRockedSetDown;
}
