import { StandInBench } from './stand-in-bench.ts';

/** More benches than this are not kept at once: a works has not so many tablets. */
const BENCHES_MOST = 64;
/** Nor does one person stand at more than this at once: the others are for the others. */
const OWN_MOST = 4;
/** A bench nobody listens to is cleared after this long; within it a dropped feed finds its shaft as it was. */
const KEPT_MS = 120_000;

/** One stand-in bench for each device that asks for one. */
export class StandIns {
  private readonly benches = new Map<string, { bench: StandInBench; person: string; left: number }>();
  private readonly ends = new Set<() => void>();
  private seed = 1;

  /**
   * The bench of a person's device, made when first asked for.
   * @returns who has too many of them where there is none left: the house, or the person
   */
  bench(person: string, device: string): StandInBench | 'house' | 'person' {
    const key = `${person} ${device}`;
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
    if (this.benches.size >= BENCHES_MOST) return 'house';
    const own = [...this.benches].filter(([, b]) => b.person === person);
    if (own.length >= OWN_MOST) {
      // One left a moment ago makes room, the longest left first; those that are listened to do not.
      const idle = own.filter(([, b]) => !b.bench.listened).sort(([, a], [, b]) => a.left - b.left)[0];
      if (!idle) return 'person';
      this.benches.delete(idle[0]);
    }
    const bench = new StandInBench(this.seed++);
    this.benches.set(key, { bench, person, left: now });
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
