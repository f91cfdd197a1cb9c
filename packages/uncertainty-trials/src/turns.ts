import { runout, shaftBend } from '@fulcrant/core/calculators';
import { Chance } from './chance.ts';
import { type Gauge, SCATTERS, shown } from './gauge.ts';
import { NINETY_FIVE, type Row, tried } from './row.ts';

const RAD = Math.PI / 180;
type Wave = { order: number; mm: number; deg: number };

/** An indicator over one turn of a shaft that runs out by waves; the hand goes on from angle to angle. */
function turn(n: number, waves: readonly Wave[], gauge: Gauge, chance: Chance) {
  const at = (deg: number) => waves.reduce((s, w) => s + w.mm * Math.cos(w.order * (deg - w.deg) * RAD), 0);
  const begun = chance.between(0, 1);
  let before = at(0) + begun;
  return Array.from({ length: n }, (_, i) => {
    const angleDeg = (360 * i) / n;
    const truth = at(angleDeg) + begun;
    const valueMm = shown(gauge, truth, chance, before);
    before = truth;
    return { angleDeg, valueMm };
  });
}

const usual = (chance: Chance, stepMm = 0.01): Gauge => ({
  stepMm,
  scatterMm: chance.oneOf(SCATTERS) * stepMm,
  hysteresisMm: 0.1 * stepMm,
});
const judge = (readings: ReturnType<typeof turn>, stepMm: number, n: number) =>
  runout({
    shaftMm: 60,
    resolutionMm: stepMm,
    school: 'flat',
    wanted: n,
    closingMm: readings[0]?.valueMm,
    readings,
  });

/** What gauge and hand scatter by, all in all: the step's own even spread and the hand's. */
const noise = (g: Gauge): number => Math.hypot(g.stepMm / Math.sqrt(12), g.scatterMm);

/** Shapes of a turn: amplitudes, what is named falsely and what is found, run-out on its limit. */
export function turns(trials: number): Row[] {
  const amplitude = [8, 12, 16].map((n): Row => {
    const chance = new Chance(300 + n);
    return {
      statement: 'amplitude of once a turn ± 2 u',
      cell: `${n} angles`,
      ...NINETY_FIVE,
      high: 0.985,
      ...tried(trials, () => {
        const gauge = usual(chance);
        const mm = chance.between(5, 12) * noise(gauge);
        const h = judge(
          turn(n, [{ order: 1, mm, deg: chance.between(0, 360) }], gauge, chance),
          gauge.stepMm,
          n,
        ).values.harmonics[0];
        return h ? Math.abs(h.amplitudeMm - mm) <= 2 * h.uncertaintyMm : null;
      }),
    };
  });
  const falsely = [8, 12, 16].map((n): Row => {
    const chance = new Chance(340 + n);
    return {
      statement: 'a true shaft is named anything else',
      cell: `${n} angles`,
      claimed: 'under 5 %',
      low: 0,
      high: 0.05,
      ...tried(trials, () => {
        const gauge = usual(chance);
        return judge(turn(n, [], gauge, chance), gauge.stepMm, n).values.shape !== 'true';
      }),
    };
  });
  const found = (['off-centre', 'oval', 'lobed'] as const).flatMap((shape, k) =>
    [12, 16].map((n): Row => {
      const chance = new Chance(380 + 10 * k + n);
      return {
        statement: `a wave of twice the noise (no less than half a step) is found: ${shape}`,
        cell: `${n} angles`,
        claimed: 'over 90 %',
        low: 0.9,
        high: 1,
        ...tried(trials, () => {
          const gauge = usual(chance);
          const wave = {
            order: k + 1,
            mm: 2 * Math.max(noise(gauge), gauge.stepMm / 2),
            deg: chance.between(0, 360),
          };
          const told = judge(turn(n, [wave], gauge, chance), gauge.stepMm, n).values.shape;
          return told === shape || told === 'mixed';
        }),
      };
    }),
  );
  const limit = [4, 8, 16].map((n): Row => {
    const chance = new Chance(420 + n);
    return {
      statement: 'run-out on its limit is accepted',
      cell: `${n} angles`,
      claimed: '5 % at the most',
      low: 0,
      high: 0.05,
      ...tried(trials, () => {
        const gauge = usual(chance, 0.001);
        const readings = turn(n, [{ order: 1, mm: 0.025, deg: chance.between(0, 360) }], gauge, chance);
        return (
          judge(readings, gauge.stepMm, n).findings.find((f) => f.code === 'runout.tir')?.verdict === 'accept'
        );
      }),
    };
  });
  return [...amplitude, ...falsely, ...found, ...limit, ...along(trials)];
}

/** Along the shaft: what a true one, one off centre and a bent one are called. */
function along(trials: number): Row[] {
  const stations = (chance: Chance, at: (mm: number) => { mm: number; deg: number }) => {
    const gauge = usual(chance, 0.01);
    return [0, 100, 200].map((atMm) => {
      const { mm, deg } = at(atMm);
      const { harmonics, noise: by } = judge(
        turn(8, [{ order: 1, mm, deg }], gauge, chance),
        gauge.stepMm,
        8,
      ).values;
      const [h1, h2, h3] = harmonics;
      return {
        atMm,
        eccentricityMm: h1?.amplitudeMm ?? 0,
        highSpotDeg: h1?.phaseDeg ?? 0,
        uncertaintyMm: h1?.uncertaintyMm ?? 0,
        noise: by,
        higherMm: Math.max(h2?.amplitudeMm ?? 0, h3?.amplitudeMm ?? 0),
      };
    });
  };
  const told = (chance: Chance, at: (mm: number) => { mm: number; deg: number }) =>
    shaftBend({ stations: stations(chance, at) }).values.diagnosis;
  const row = (statement: string, claimed: string, low: number, high: number, one: () => boolean): Row => ({
    statement,
    cell: '3 stations, 8 angles',
    claimed,
    low,
    high,
    ...tried(trials, one),
  });
  const [a, b, c, d] = [new Chance(501), new Chance(502), new Chance(503), new Chance(504)];
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
      return told(b, () => ({ mm: 0.06, deg })) === 'off-centre';
    }),
    row('a bend is told so', 'over 90 %', 0.9, 1, () => {
      const deg = c.between(0, 360);
      return told(c, (mm) => ({ mm: 0.0006 * mm, deg })) === 'bent';
    }),
    row('bent and off centre together is told as nothing simpler', 'over 90 %', 0.9, 1, () => {
      const [deg, off] = [d.between(0, 360), d.between(70, 110)];
      return ['bent-and-off-centre', 'irregular'].includes(
        told(d, (mm) => {
          const x = 0.05 * Math.cos(deg * RAD) + 0.0006 * mm * Math.cos((deg + off) * RAD);
          const y = 0.05 * Math.sin(deg * RAD) + 0.0006 * mm * Math.sin((deg + off) * RAD);
          return { mm: Math.hypot(x, y), deg: (Math.atan2(y, x) / RAD + 360) % 360 };
        }),
      );
    }),
  ];
}
