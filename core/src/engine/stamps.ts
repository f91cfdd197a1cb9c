import type { JobState, Stamp } from './state.ts';

/** Everything somebody did to a job. */
export function stampsOf(state: JobState): Stamp[] {
  const kept = (p: Pick<JobState, 'readings' | 'answers' | 'ticks' | 'deviations' | 'passes'>): Stamp[] => [
    ...p.readings.flatMap((r) => (r.withdrawn ? [r, r.withdrawn] : [r])),
    ...p.answers.flatMap((a) => [...(a.before ?? []), a]),
    ...p.ticks,
    ...p.deviations,
    ...p.passes,
  ];
  return [
    state.opened,
    ...kept(state),
    ...state.past.flatMap((p) => [p, ...kept(p)]),
    ...state.struck.flatMap((x) => [x, ...kept(x), ...x.past.flatMap((p) => [p, ...kept(p)])]),
    ...state.setupChanges.flatMap((c) => (c.seen ? [c, c.seen] : [c])),
    ...state.holds.flatMap((h) => [h.set ?? [], h.released ?? []].flat()),
    ...state.loosened,
    ...state.lacking.flatMap((l) => (l.until ? [l, l.until] : [l])),
    ...state.done,
    ...state.repeats,
    ...state.notes,
    ...state.photos,
    ...state.signatures,
    ...state.revisions,
    ...(state.cancelled ? [state.cancelled] : []),
  ];
}
