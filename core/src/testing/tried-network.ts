import type { Network, Task } from '../arithmetic/planning/network.ts';
import { randomFrom } from '../metrology/random.ts';

/**
 * A network to try a planner on, as the literature makes them: tasks in layers, each after one to three of those shortly before it; four
 * resources, each task needing one to three kinds of them; stock between the largest need and what the earliest starts would use at once.
 * After R. Kolisch, A. Sprecher, A. Drexl, 1995 (network complexity about 1.8, resource factor 0.5, resource strength as given).
 * @param strength 0: hardly enough of anything; 1: enough for all
 */
export function triedNetwork(n: number, seed: number, { resources = 4, strength = 0.5 } = {}): Network {
  const random = randomFrom(seed);
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const names = Array.from({ length: resources }, (_, k) => `r${k + 1}`);
  const tasks: Task[] = Array.from({ length: n }, (_, i) => {
    const after = new Set<number>();
    if (i >= Math.ceil(n / 10))
      for (let k = whole(1, 3); k > 0; k--) after.add(whole(Math.max(0, i - Math.ceil(n / 4)), i - 1));
    const pools = Object.fromEntries(
      names.filter(() => random() < 0.5).map((r) => [r, whole(1, 10)] as const),
    );
    return {
      id: `t${i + 1}`,
      minutes: whole(1, 10),
      after: [...after].map((a) => ({ id: `t${a + 1}` })),
      pools,
    };
  });
  const finish = new Map<string, number>();
  const start = new Map<string, number>();
  for (const t of tasks) {
    const s = Math.max(0, ...t.after.map((a) => finish.get(a.id) ?? 0));
    start.set(t.id, s);
    finish.set(t.id, s + t.minutes);
  }
  const pools = names.map((id) => {
    const least = Math.max(1, ...tasks.map((t) => t.pools?.[id] ?? 0));
    let peak = least;
    for (const t of tasks) {
      const at = start.get(t.id) ?? 0;
      const used = tasks
        .filter((o) => (start.get(o.id) ?? 0) <= at && (finish.get(o.id) ?? 0) > at)
        .reduce((sum, o) => sum + (o.pools?.[id] ?? 0), 0);
      peak = Math.max(peak, used);
    }
    return { id, count: least + Math.round(strength * (peak - least)) };
  });
  return { tasks, units: [], pools };
}
