import { StandInBench } from './stand-in-bench.ts';

/** More benches than this are not kept at once: a works has not so many tablets. */
const BENCHES_MOST = 64;
/** A bench nobody listens to is cleared after this long; within it a dropped feed finds its shaft as it was. */
const KEPT_MS = 120_000;

/** One stand-in bench for each device that asks for one. */
export class StandIns {
  private readonly benches = new Map<string, { bench: StandInBench; left: number }>();
  private readonly ends = new Set<() => void>();
  private seed = 1;

  /** The bench of a device, made when first asked for; null where there are too many. */
  bench(key: string): StandInBench | null {
    const now = Date.now();
    for (const [k, b] of this.benches) {
      if (b.bench.listened) b.left = now;
      else if (now - b.left > KEPT_MS) this.benches.delete(k);
    }
    const found = this.benches.get(key);
    if (found) {
      found.left = now;
      return found.bench;
    }
    if (this.benches.size >= BENCHES_MOST) return null;
    const bench = new StandInBench(this.seed++);
    this.benches.set(key, { bench, left: now });
    return bench;
  }

  /** What is to be ended when the house closes: open streams. */
  onEnd(end: () => void): () => void {
    this.ends.add(end);
    return () => this.ends.delete(end);
  }

  /** Stop every bench and end every stream. */
  close(): void {
    for (const end of this.ends) end();
    for (const { bench } of this.benches.values()) bench.stop();
    this.benches.clear();
  }
}
