import { lateRisk, type Network, planned } from '@fulcrant/core/outage';
import { Chance } from './chance.ts';
import { type Row, tried } from './row.ts';

/** Share of a bell below z. Source: Zelen and Severo, Handbook of Mathematical Functions, 26.2.17, from memory. */
function share(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const sum =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp(-(z * z) / 2) / Math.sqrt(2 * Math.PI)) * sum;
  return z < 0 ? tail : 1 - tail;
}

/** A duration between its least and its most, likeliest in between, by halving: from a bell that several tasks share. */
function drawn(least: number, likely: number, most: number, z: number): number {
  const wanted = share(z);
  const below = (x: number) =>
    x < likely
      ? (x - least) ** 2 / ((most - least) * (likely - least))
      : 1 - (most - x) ** 2 / ((most - least) * (most - likely));
  let [low, high] = [least, most];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (below(middle) < wanted) low = middle;
    else high = middle;
  }
  return low;
}

/** Chains of tasks, each of one crew, begun together; how far the durations of a crew go together is the truth of the row. */
function outage(chance: Chance) {
  const crews = 2 + Math.floor(chance.between(0, 2));
  const tasks = Array.from({ length: crews }, (_, c) =>
    Array.from({ length: 5 }, (_, i) => {
      const likely = chance.between(30, 120);
      return { id: `${c}.${i}`, crew: c, least: 0.7 * likely, likely, most: 1.8 * likely };
    }),
  ).flat();
  const network: Network = {
    tasks: tasks.map((t) => ({
      id: t.id,
      minutes: t.likely,
      after: t.id.endsWith('.0') ? [] : [{ id: `${t.crew}.${Number(t.id.split('.')[1]) - 1}` }],
    })),
    units: [],
    pools: [],
  };
  return { crews, tasks, network };
}

/** Chance told of being done by the wall, against outages whose durations go together. */
export function late(trials: number): Row[] {
  return [0, 0.3, 0.45, 0.6].map((together, k): Row => {
    const chance = new Chance(90_001 + k);
    let said = 0;
    let n = 0;
    const came = tried(trials, () => {
      const { crews, tasks, network } = outage(chance);
      const { placed } = planned(network);
      const units = new Map(tasks.map((t) => [t.id, `crew ${t.crew}`]));
      const crewed = placed.map((p) => ({ ...p, units: [units.get(p.id) ?? ''] }));
      const likely = Math.max(
        ...Array.from({ length: crews }, (_, c) =>
          tasks.filter((t) => t.crew === c).reduce((s, t) => s + t.likely, 0),
        ),
      );
      const wall = likely * chance.between(1.1, 1.6);
      said += lateRisk(network, crewed, tasks, wall, {
        draws: 400,
        seed: 1 + Math.floor(chance.between(0, 1e6)),
      }).chance;
      n++;
      const day = chance.bell();
      const end = Math.max(
        ...Array.from({ length: crews }, (_, c) => {
          const slow = chance.bell();
          return tasks
            .filter((t) => t.crew === c)
            .reduce((s, t) => {
              const z =
                Math.sqrt(together / 3) * day +
                Math.sqrt((2 * together) / 3) * slow +
                Math.sqrt(1 - together) * chance.bell();
              return s + drawn(t.least, t.likely, t.most, z);
            }, 0);
        }),
      );
      return end <= wall;
    });
    const mean = n === 0 ? 0 : said / n;
    return {
      statement: 'chance of an outage done in time: no more than told',
      cell: `durations of a crew go together by ${together}`,
      claimed: `${(100 * mean).toFixed(1)} %`,
      low: Math.max(0, mean - 0.05),
      high: 1,
      ...came,
    };
  });
}
