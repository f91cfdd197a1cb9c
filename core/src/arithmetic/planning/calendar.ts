import type { Span } from './network.ts';

/** Spans in order, those that touch or overlap made one, empty ones left out. */
export function merged(spans: readonly Span[]): Span[] {
  const out: Array<[number, number]> = [];
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    if (to <= from) continue;
    const last = out.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else out.push([from, to]);
  }
  return out;
}

/** What is in both. @example both([[0, 10]], [[5, 20]]) // [[5, 10]] */
export function both(a: readonly Span[], b: readonly Span[]): Span[] {
  const out: Span[] = [];
  for (const [f, t] of a)
    for (const [g, u] of b) if (Math.min(t, u) > Math.max(f, g)) out.push([Math.max(f, g), Math.min(t, u)]);
  return merged(out);
}

/** What is in `a` and not in `b`: shifts without breaks and absences. @example without([[0, 10]], [[4, 5]]) // [[0, 4], [5, 10]] */
export function without(a: readonly Span[], b: readonly Span[]): Span[] {
  let left = merged(a);
  for (const [from, to] of merged(b))
    left = left.flatMap(([f, t]): Span[] =>
      to <= f || from >= t
        ? [[f, t]]
        : (
            [
              [f, Math.min(t, from)],
              [Math.max(f, to), t],
            ] as Span[]
          ).filter(([x, y]) => y > x),
    );
  return left;
}

/** Where among spans in order a moment lies, or the first after it; their count where there is none. */
export function spanAt(spans: readonly Span[], t: number): number {
  let [low, high] = [0, spans.length];
  while (low < high) {
    const mid = (low + high) >> 1;
    if ((spans[mid] as Span)[1] <= t) low = mid + 1;
    else high = mid;
  }
  return low;
}

/** The end of so many minutes of work begun at `start`, resting between the spans; infinite where they do not suffice. */
export function workedUntil(spans: readonly Span[], start: number, minutes: number): number {
  let left = minutes;
  for (let i = spanAt(spans, start); i < spans.length; i++) {
    const [from, to] = spans[i] as Span;
    const at = Math.max(from, start);
    if (to - at >= left) return at + left;
    left -= to - at;
  }
  return left <= 0 ? start : Number.POSITIVE_INFINITY;
}

/** Minutes of spans between two moments. */
export function minutesIn(spans: readonly Span[], from: number, to: number): number {
  let sum = 0;
  for (let i = spanAt(spans, from); i < spans.length; i++) {
    const [f, t] = spans[i] as Span;
    if (f >= to) break;
    sum += Math.max(0, Math.min(t, to) - Math.max(f, from));
  }
  return sum;
}
