import { describe, expect, it } from 'vitest';
import { both, merged, minutesIn, without, workedUntil } from './calendar.ts';
import type { Network, Task } from './network.ts';
import { lateRisk, triangular } from './risk.ts';
import { schedule } from './schedule.ts';
import { planned } from './search.ts';

/** Share of a triangular distribution below x, in closed form. Kotz, van Dorp, Beyond Beta, 2004, 1.2. */
function below(x: number, least: number, likely: number, most: number): number {
  if (x <= least) return 0;
  if (x >= most) return 1;
  return x < likely
    ? (x - least) ** 2 / ((most - least) * (likely - least))
    : 1 - (most - x) ** 2 / ((most - least) * (most - likely));
}
/** Φ by the error function of Abramowitz and Stegun, 7.1.26. */
function normal(z: number): number {
  const t = 1 / (1 + (0.3275911 * Math.abs(z)) / Math.SQRT2);
  const erf =
    1 -
    t *
      (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
      Math.exp(-(z * z) / 2);
  return z < 0 ? (1 - erf) / 2 : (1 + erf) / 2;
}

const free = (tasks: Task[]): Network => ({ tasks, units: [], pools: [] });
const task = (id: string, minutes: number, ...after: string[]): Task => ({
  id,
  minutes,
  after: after.map((a) => ({ id: a })),
});
/** Three sigma of a share told by so many draws. */
/** The closed forms below are of durations that have nothing to do with one another. */
const ALONE = { together: { outage: 0, person: 0 } };
const doubt = (p: number, draws = 10_000) => 3.5 * Math.sqrt((p * (1 - p)) / draws) + 1e-3;

describe('late risk', () => {
  it('of one task is its own distribution', () => {
    const network = free([task('a', 60)]);
    const { placed } = planned(network);
    for (const wall of [45, 60, 75, 100]) {
      const p = below(wall, 40, 60, 120);
      const { chance } = lateRisk(
        network,
        placed,
        [{ id: 'a', least: 40, likely: 60, most: 120 }],
        wall,
        ALONE,
      );
      expect(Math.abs(chance - p)).toBeLessThan(doubt(p));
    }
  });

  it('of a parallel pair is the product of two', () => {
    const network = free([task('a', 60), task('b', 60)]);
    const { placed } = planned(network);
    const doubts = [
      { id: 'a', least: 40, likely: 60, most: 120 },
      { id: 'b', least: 50, likely: 55, most: 90 },
    ];
    for (const wall of [60, 70, 85]) {
      const p = below(wall, 40, 60, 120) * below(wall, 50, 55, 90);
      expect(Math.abs(lateRisk(network, placed, doubts, wall, ALONE).chance - p)).toBeLessThan(doubt(p));
    }
  });

  it('of a chain of two is their convolution, of a long chain nearly the normal', () => {
    const pair = free([task('a', 60), task('b', 60, 'a')]);
    const two = [
      { id: 'a', least: 40, likely: 60, most: 120 },
      { id: 'b', least: 50, likely: 55, most: 90 },
    ];
    const wall = 135;
    // By quadrature over the first: 20 000 strips at their middles.
    let p = 0;
    for (let k = 0; k < 20_000; k++)
      p += below(wall - triangular((k + 0.5) / 20_000, 40, 60, 120), 50, 55, 90) / 20_000;
    expect(Math.abs(lateRisk(pair, planned(pair).placed, two, wall, ALONE).chance - p)).toBeLessThan(
      doubt(p),
    );

    const n = 30;
    const chain = free(
      Array.from({ length: n }, (_, i) => task(`t${i}`, 60, ...(i > 0 ? [`t${i - 1}`] : []))),
    );
    const doubts = chain.tasks.map((t) => ({ id: t.id, least: 40, likely: 60, most: 110 }));
    const mean = (n * (40 + 60 + 110)) / 3;
    const variance = (n * (40 ** 2 + 60 ** 2 + 110 ** 2 - 40 * 60 - 40 * 110 - 60 * 110)) / 18;
    for (const z of [-1, 0, 1.5]) {
      const { chance, ends } = lateRisk(
        chain,
        planned(chain).placed,
        doubts,
        mean + z * Math.sqrt(variance),
        ALONE,
      );
      expect(Math.abs(chance - normal(z))).toBeLessThan(doubt(normal(z)) + 0.01);
      expect(Math.abs(ends.p50 - mean)).toBeLessThan(0.25 * Math.sqrt(variance));
    }
  });

  it('what is found adds its work as often as it is found; the job that holds up the end is named', () => {
    const network = free([
      { ...task('survey', 60), group: 'washer' },
      { ...task('long', 80), group: 'fan' },
    ]);
    const doubts = [
      {
        id: 'survey',
        least: 60,
        likely: 60,
        most: 60,
        found: { odds: 0.3, least: 240, likely: 240, most: 240 },
      },
      { id: 'long', least: 80, likely: 80, most: 80 },
    ];
    const risk = lateRisk(network, planned(network).placed, doubts, 100, ALONE);
    expect(Math.abs(risk.chance - 0.7)).toBeLessThan(doubt(0.7));
    expect(risk.groups[0]).toMatchObject({ group: 'washer', threatens: 1 });
    expect(risk.groups.find((g) => g.group === 'fan')).toMatchObject({ chance: 1, threatens: 0 });
  });

  it('hands and tools are handed on in the plan’s order: two jobs of one fitter are a chain', () => {
    const hands = [{ of: ['a'], count: 1 }];
    const network: Network = {
      units: [{ id: 'a', shifts: [[0, 10_000]] }],
      pools: [{ id: 'pump', count: 1 }],
      tasks: [
        { ...task('x', 60), hands },
        { ...task('y', 60), hands },
        { ...task('z', 30), pools: { pump: 1 } },
        { ...task('w', 30), pools: { pump: 1 } },
      ],
    };
    const fixedDoubt = network.tasks.map((t) => ({
      id: t.id,
      least: t.minutes + 10,
      likely: t.minutes + 10,
      most: t.minutes + 10,
    }));
    const { ends } = lateRisk(network, planned(network).placed, fixedDoubt, 1000, { draws: 100 });
    expect(ends.p50).toBe(140);
    expect(() => lateRisk(free([]), [{ id: 'gone', start: 0, finish: 1, units: [] }], [], 1)).toThrow(
      RangeError,
    );
  });
});

describe('calendars', () => {
  it('are merged, cut, laid over each other and walked', () => {
    expect(
      merged([
        [5, 8],
        [0, 3],
        [3, 4],
        [7, 9],
        [2, 2],
      ]),
    ).toEqual([
      [0, 4],
      [5, 9],
    ]);
    expect(
      without(
        [[0, 480]],
        [
          [240, 270],
          [400, 500],
        ],
      ),
    ).toEqual([
      [0, 240],
      [270, 400],
    ]);
    expect(
      both(
        [
          [0, 10],
          [20, 30],
        ],
        [[5, 25]],
      ),
    ).toEqual([
      [5, 10],
      [20, 25],
    ]);
    expect(
      workedUntil(
        [
          [0, 10],
          [20, 30],
        ],
        5,
        10,
      ),
    ).toBe(25);
    expect(workedUntil([[0, 10]], 5, 10)).toBe(Number.POSITIVE_INFINITY);
    expect(
      minutesIn(
        [
          [0, 10],
          [20, 30],
        ],
        5,
        22,
      ),
    ).toBe(7);
  });
});

describe('planning.schedule', () => {
  it('says starts, end, bound and the throat', () => {
    const { values, findings } = schedule({
      tasks: [
        { id: 'a', minutes: 30, needs: 'pump' },
        { id: 'b', minutes: 30, needs: 'pump:1' },
        { id: 'c', minutes: 20, after: 'a', needs: '-' },
        { id: 'd', minutes: 5, after: 'a,b' },
      ],
      resources: [{ id: 'pump', count: 1 }],
    });
    expect(values).toMatchObject({ finish: 65, bound: 65, gap: 0, oneMore: { pump: 15 } });
    expect(values.starts).toMatchObject({ d: 60 });
    expect(findings.map((f) => f.code)).toEqual(['planning.end', 'planning.throat']);
  });
  it('refuses in a sentence', () => {
    expect(() => schedule({ tasks: [{ id: 'a', minutes: 1, needs: 'pump:x' }], resources: [] })).toThrow(
      /whole number/,
    );
    expect(() => schedule({ tasks: [{ id: 'a', minutes: 1, after: 'b' }], resources: [] })).toThrow(
      /not there/,
    );
  });
});
