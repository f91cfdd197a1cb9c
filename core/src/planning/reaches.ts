/** That one job waits for another; struck out where `off`. */
type Order = { before: string; after: string; off?: boolean | undefined };

/** Does one job come before another already, by way of others? One does before itself. */
export function reaches(orders: readonly Order[], from: string, to: string): boolean {
  const seen = new Set<string>();
  const open = [from];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (at === to) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    for (const o of orders) if (o.before === at && !o.off) open.push(o.after);
  }
  return false;
}

/** The first of some orders that closes a circle with those before it; null where they go together. */
export function firstInCircle<T extends Order>(orders: readonly T[]): T | null {
  const taken: T[] = [];
  for (const o of orders) {
    if (o.off) continue;
    if (reaches(taken, o.after, o.before)) return o;
    taken.push(o);
  }
  return null;
}
