import { runout, shaftBend } from '@fulcrant/core/calculators';
import { Chance } from './chance.ts';
import { cardOf, type Gauge, KNOWN, type Knows, SCATTERS, shown } from './gauge.ts';
import { NINETY_FIVE, ON_LIMIT, type Row, tried } from './row.ts';

const RAD = Math.PI / 180;
type Wave = { order: number; mm: number; deg: number };

/** An indicator over one turn of a shaft that runs out by waves; the hand goes on from angle to angle. */
function turn(n: number, waves: readonly Wave[], gauge: Gauge, chance: Chance) {
  const at = (deg: number) => waves.reduce((s, w) => s + w.mm * Math.cos(w.order * (deg - w.deg) * RAD), 0);
  const begun = chance.between(0, 1);
  let before = at(0) + begun;
  // Once round and back to the first: the last of them closes the turn.
  const all = Array.from({ length: n + 1 }, (_, i) => {
    const angleDeg = (360 * i) / n;
    const truth = at(angleDeg) + begun;
    const valueMm = shown(gauge, truth, chance, before, i);
    before = truth;
    return { angleDeg, valueMm };
  });
  return { readings: all.slice(0, n), closingMm: all[n]?.valueMm };
}

type Cell = { steps: number; knows: Knows; driftSteps: number; seed: number };
type Held = { gauge: Gauge; card: { scatter: number; free: number } | undefined };
const held = ({ steps, knows, driftSteps }: Cell, n: number, chance: Chance, stepMm = 0.01): Held => ({
  gauge: {
    stepMm,
    scatterMm: steps * stepMm,
    hysteresisMm: 0.1 * stepMm,
    driftMm: (driftSteps * stepMm) / n,
  },
  card: knows === 'card' ? cardOf(stepMm, steps * stepMm, chance) : undefined,
});
const judge = ({ readings, closingMm }: ReturnType<typeof turn>, { gauge, card }: Held, n: number) =>
  runout({
    shaftMm: 60,
    resolutionMm: gauge.stepMm,
    hand: { card },
    school: 'flat',
    wanted: n,
    closingMm,
    readings,
  });

/** What gauge and hand scatter by, all in all: the step's own even spread and the hand's. */
const noise = (g: Gauge): number => Math.hypot(g.stepMm / Math.sqrt(12), g.scatterMm);

/** Each hand on a row of its own, and a gauge that goes on by a step over the turn. */
const cells: Cell[] = [
  ...SCATTERS.flatMap((steps, h) =>
    KNOWN.map((knows, k) => ({ steps, knows, driftSteps: 0, seed: 100 * h + 50 * k })),
  ),
  ...KNOWN.map((knows, k) => ({ steps: 0.5, knows, driftSteps: 1, seed: 900 + 50 * k })),
];
const nameOf = ({ steps, knows, driftSteps }: Cell): string =>
  `${steps}, ${knows}${driftSteps > 0 ? `, drifts ${driftSteps}` : ''}`;

/** Shapes of a turn: amplitudes, what is named falsely and what is found, run-out on its limit. */
export function turns(trials: number): Row[] {
  return cells.flatMap((cell) => {
    const hand = nameOf(cell);
    const amplitude = [8, 12].map((n): Row => {
      const chance = new Chance(3000 + n + cell.seed);
      return {
        statement: 'amplitude of once a turn ± 2 u',
        hand,
        cell: `${n} angles`,
        ...NINETY_FIVE,
        ...tried(trials, () => {
          const by = held(cell, n, chance);
          const mm = chance.between(5, 12) * noise(by.gauge);
          const h = judge(turn(n, [{ order: 1, mm, deg: chance.between(0, 360) }], by.gauge, chance), by, n)
            .values.harmonics[0];
          return h ? Math.abs(h.amplitudeMm - mm) <= 2 * h.uncertaintyMm : null;
        }),
      };
    });
    const falsely = [8, 12].map((n): Row => {
      const chance = new Chance(3400 + n + cell.seed);
      return {
        statement: 'a true shaft is named anything else',
        hand,
        cell: `${n} angles`,
        claimed: 'under 5 %',
        low: 0,
        high: 0.05,
        ...tried(trials, () => {
          const by = held(cell, n, chance);
          return judge(turn(n, [], by.gauge, chance), by, n).values.shape !== 'true';
        }),
      };
    });
    const found = (['off-centre', 'oval', 'lobed'] as const).map((shape, k): Row => {
      const n = 12;
      const chance = new Chance(3800 + 10 * k + n + cell.seed);
      const times = cell.knows === 'card' ? 3 : 4;
      return {
        statement: `a wave of ${times} times the noise is found: ${shape}`,
        hand,
        cell: `${n} angles`,
        claimed: 'over 90 %',
        low: 0.9,
        high: 1,
        ...tried(trials, () => {
          const by = held(cell, n, chance);
          const mm = times * Math.max(noise(by.gauge), by.gauge.stepMm / 2);
          const told = judge(
            turn(n, [{ order: k + 1, mm, deg: chance.between(0, 360) }], by.gauge, chance),
            by,
            n,
          ).values.shape;
          return told === shape || told === 'mixed';
        }),
      };
    });
    const limit = [4, 6, 8].flatMap((n): Row[] =>
      [1, 2].map((order): Row => {
        const chance = new Chance(4200 + 100 * order + n + cell.seed);
        return {
          statement: `run-out on its limit is accepted: ${order === 1 ? 'off centre' : 'oval'}`,
          hand,
          cell: `${n} angles`,
          ...ON_LIMIT,
          ...tried(trials, () => {
            const by = held(cell, n, chance, 0.002);
            const wave = { order, mm: 0.025, deg: chance.between(0, 360) };
            return (
              judge(turn(n, [wave], by.gauge, chance), by, n).findings.find((f) => f.code === 'runout.tir')
                ?.verdict === 'accept'
            );
          }),
        };
      }),
    );
    return [
      ...amplitude,
      ...falsely,
      ...found,
      ...limit,
      ...(cell.driftSteps > 0 ? [] : along(trials, cell)),
    ];
  });
}

/** Along the shaft: what a true one, one off centre and a bent one are called. */
function along(trials: number, cell: Cell): Row[] {
  const stations = (chance: Chance, at: (mm: number) => { mm: number; deg: number }) => {
    const by = held(cell, 8, chance);
    return [0, 100, 200].map((atMm) => {
      const { mm, deg } = at(atMm);
      const { harmonics, noise: free } = judge(
        turn(8, [{ order: 1, mm, deg }], by.gauge, chance),
        by,
        8,
      ).values;
      const [h1, h2, h3] = harmonics;
      return {
        atMm,
        eccentricityMm: h1?.amplitudeMm ?? 0,
        highSpotDeg: h1?.phaseDeg ?? 0,
        uncertaintyMm: h1?.uncertaintyMm ?? 0,
        noise: free,
        higherMm: Math.max(h2?.amplitudeMm ?? 0, h3?.amplitudeMm ?? 0),
      };
    });
  };
  const told = (chance: Chance, at: (mm: number) => { mm: number; deg: number }) =>
    shaftBend({ stations: stations(chance, at) }).values.diagnosis;
  const row = (statement: string, claimed: string, low: number, high: number, one: () => boolean): Row => ({
    statement,
    hand: nameOf(cell),
    cell: '3 stations, 8 angles',
    claimed,
    low,
    high,
    ...tried(trials, one),
  });
  const chances = [0, 1, 2, 3].map((i) => new Chance(5001 + i + 10 * cell.seed)) as [
    Chance,
    Chance,
    Chance,
    Chance,
  ];
  const [a, b, c, d] = chances;
  // What is to be found stands well out of the noise of hand and gauge.
  const times = Math.max(1, cell.steps / 0.5) * (cell.knows === 'card' ? 1 : 3);
  return [
    row(
      'a true shaft is told of along its length',
      'under 5 %',
      0,
      0.05,
      () => told(a, () => ({ mm: 0, deg: 0 })) !== 'true',
    ),
    row('off centre everywhere is told so', 'over 90 %', 0.9, 1, () => {
      const deg = b.between(0, 360);
      return told(b, () => ({ mm: 0.06 * times, deg })) === 'off-centre';
    }),
    row('a bend is told so', 'over 90 %', 0.9, 1, () => {
      const deg = c.between(0, 360);
      return told(c, (mm) => ({ mm: 0.0006 * times * mm, deg })) === 'bent';
    }),
    row('bent and off centre together is told as nothing simpler', 'over 90 %', 0.9, 1, () => {
      const [deg, off] = [d.between(0, 360), d.between(70, 110)];
      return ['bent-and-off-centre', 'irregular'].includes(
        told(d, (mm) => {
          const x = times * (0.05 * Math.cos(deg * RAD) + 0.0006 * mm * Math.cos((deg + off) * RAD));
          const y = times * (0.05 * Math.sin(deg * RAD) + 0.0006 * mm * Math.sin((deg + off) * RAD));
          return { mm: Math.hypot(x, y), deg: (Math.atan2(y, x) / RAD + 360) % 360 };
        }),
      );
    }),
  ];
}
