import { classBand, driveUpForecast, clearanceClass as feltOnBench } from '@fulcrant/core/calculators';
import { driveUpMonteCarlo } from '@fulcrant/core/trials';
import { type Case, felt, hiddenBearing, leftAt } from './bearing.ts';
import { Chance } from './chance.ts';
import { cardOf, KNOWN, type Knows, SCATTERS } from './gauge.ts';
import { NINETY_FIVE, type Row, tried } from './row.ts';

export const GRID: Array<Pick<Case, 'boreMm' | 'clearanceClass' | 'bladeStepMm' | 'pitchMm' | 'taper'>> = [
  { boreMm: 60, clearanceClass: 'CN', bladeStepMm: 0.005, pitchMm: 2, taper: 12 },
  { boreMm: 100, clearanceClass: 'C3', bladeStepMm: 0.005, pitchMm: 2, taper: 12 },
  { boreMm: 160, clearanceClass: 'CN', bladeStepMm: 0.01, pitchMm: 3, taper: 12 },
  { boreMm: 240, clearanceClass: 'C3', bladeStepMm: 0.01, pitchMm: 4, taper: 30 },
];

export const whole = (c: (typeof GRID)[number]): Case => {
  const band = classBand(c.boreMm, c.clearanceClass);
  if (!band) throw new RangeError('This bore is not tabled.');
  return { ...c, lowMm: band.lowerMm, highMm: band.upperMm };
};

/** A hand that feels, and whether it is known by its card. */
export type Feels = { steps: number; knows: Knows };

/** A bearing driven up by eighths to a random place on its way, everything felt; and what the product says there. */
export function onTheWay(of: Case, { steps, knows }: Feels, chance: Chance, least: number) {
  const b = hiddenBearing(of, steps, chance);
  const sets = [0, 1, 2].map(() => felt(b, of, 0, chance));
  const benchMm = sets.reduce((s, r) => s + r.rowAMm + r.rowBMm, 0) / 6;
  // A long taper goes farther for the same.
  const eighths = Math.round(((least + Math.floor(chance.between(0, 3))) * of.taper) / 12);
  const readings = Array.from({ length: eighths + 1 }, (_, i) => felt(b, of, 45 * i, chance));
  const { boreMm, clearanceClass, taper, pitchMm, bladeStepMm } = of;
  const card = knows === 'card' ? cardOf(bladeStepMm, steps * bladeStepMm, chance) : undefined;
  const bench = feltOnBench({ boreMm, clearanceClass, bladeStepMm, hand: { card }, sets }).values;
  const benchUncertaintyMm = bench.standardUncertaintyMm ?? undefined;
  const hand = bench.hand;
  const input = { boreMm, clearanceClass, taper, pitchMm, bladeStepMm, benchMm, benchUncertaintyMm, hand };
  return { b, input, readings, deg: 45 * eighths, values: driveUpForecast({ ...input, readings }).values };
}

/** What is said of a drive-up ahead: the next eighth, the band of the chart, the chances. */
export function driving(trials: number): Row[] {
  const cells = GRID.flatMap((c, k) =>
    SCATTERS.flatMap((steps, h) =>
      // Every hand on one bearing, with its card and without; the others in two hands.
      KNOWN.flatMap((knows, n) =>
        k === 1 || (knows === 'card' && [0.3, 1].includes(steps))
          ? [{ c, feels: { steps, knows }, seed: 10_000 * k + 100 * h + 50 * n }]
          : [],
      ),
    ),
  );
  return cells.flatMap(({ c, feels, seed }): Row[] => {
    const of = whole(c);
    const cell = `bore ${of.boreMm}, ${of.clearanceClass}, 1:${of.taper}, blades ${of.bladeStepMm}`;
    const [next, chart, over, often, many, stood, lock] = [0, 1, 2, 3, 4, 5, 6].map(
      (i) => new Chance(70_000 + seed + i),
    ) as [Chance, Chance, Chance, Chance, Chance, Chance, Chance];
    return (
      [
        {
          statement: 'what the next eighth takes out ± U',
          cell,
          ...NINETY_FIVE,
          ...tried(trials, () => {
            const t = onTheWay(of, feels, next, 2);
            const { nextReductionMm: mm, nextReductionExpandedMm: u } = t.values;
            if (mm === null || u === null) return null;
            return Math.abs(t.b.benchMm - leftAt(t.b, of, t.deg + 45) - mm) <= u;
          }),
        },
        {
          statement: 'clearance within the band of the chart, a quarter turn on',
          cell,
          ...NINETY_FIVE,
          ...tried(trials, () => {
            const t = onTheWay(of, feels, chart, 2);
            const p = t.values.curve.find((x) => x.angleDeg >= t.deg + 90 - 1e-6);
            return p ? Math.abs(leftAt(t.b, of, p.angleDeg) - p.clearanceMm) <= p.expandedMm : null;
          }),
        },
        {
          statement: 'over-driven by following the advice',
          cell,
          claimed: '3 % at the most',
          low: 0,
          high: 0.03,
          ...tried(trials, () => {
            const t = onTheWay(of, feels, over, 1);
            const { advice, target, place } = t.values;
            if (!advice || advice.turnDeg === 0 || place === 'over-driven') return null;
            return overAt(t, of, t.deg + advice.turnDeg, target);
          }),
        },
        {
          statement: 'called in the band, and driven past it',
          cell,
          ...{ claimed: '3 % at the most', low: 0, high: 0.03 },
          ...tried(trials, () => {
            const t = onTheWay(of, feels, stood, 2);
            const { findings } = driveUpForecast({ ...t.input, readings: t.readings });
            const told = findings.find((f) => f.code === 'driveup.place')?.verdict;
            if (t.values.place !== 'in-band' || (told !== 'accept' && told !== 'caution')) return null;
            return overAt(t, of, t.deg, t.values.target);
          }),
        },
        chances(
          'chance of the band where the nut is advised to stop',
          cell,
          trials,
          often,
          of,
          feels,
          (t) => {
            const { advice, target } = t.values;
            if (!advice || advice.turnDeg === 0) return null;
            return [advice.then.inBand, inBand(t, of, t.deg + advice.turnDeg, target)];
          },
        ),
        // A danger told too high is no harm as far as it goes: a hand of two steps is told it up to a tenth too high.
        dangers(
          'Monte Carlo: chance of over-driving at the likeliest stop and a sixteenth on',
          cell,
          Math.min(trials, 400),
          many,
          of,
          feels,
          (t) => {
            const stop = (t.values.advice?.bestDeg ?? 0) + many.oneOf([0, 22.5]);
            const told = stopTold(t, of, stop, many);
            return told ? [told.over, overAt(t, of, stop, t.values.target)] : null;
          },
        ),
        chances(
          'Monte Carlo: chance of the band where a tab next meets a slot',
          cell,
          Math.min(trials, 400),
          lock,
          of,
          feels,
          (t) => {
            // A washer of 17 tabs over a nut of 4 slots: they meet every 360/68 of a turn, from wherever the tab lies.
            const stop = (t.values.advice?.bestDeg ?? 0) + lock.between(0, 360 / 68);
            const told = stopTold(t, of, stop, lock);
            return told ? [told.inBand, inBand(t, of, stop, t.values.target)] : null;
          },
        ),
      ]
        // Where a bearing is nearly home before the trial begins, a row has too few cases to say anything.
        .filter((r) => r.trials >= trials / 10)
        .map((r) => ({ ...r, hand: `${feels.steps}, ${feels.knows}` }))
    );
  });
}

/** What is told of stopping somewhere, by the drive-up done over and over. */
function stopTold(t: Trial, of: Case, stop: number, chance: Chance) {
  const { target, advice } = t.values;
  const { aimMm, reductionMinMm, reductionMaxMm } = target;
  if (!advice || aimMm === null || reductionMinMm === null || reductionMaxMm === null) return null;
  return driveUpMonteCarlo({
    benchMm: t.input.benchMm,
    benchU: t.input.benchUncertaintyMm ?? 0,
    expectedPerDegMm: target.reductionPerEighthMm / 45,
    bladeStepMm: of.bladeStepMm,
    points: t.values.points,
    seed: 1 + Math.floor(chance.between(0, 1e6)),
    samples: 4000,
    band: { reductionMinMm, reductionMaxMm, leastResidualMm: target.leastResidualMm ?? 0 },
    aimMm,
    nowDeg: t.deg,
    stopsDeg: [stop],
  }).stops[0];
}

type Trial = ReturnType<typeof onTheWay>;
type Target = Trial['values']['target'];

export function overAt(t: Pick<Trial, 'b'>, of: Case, deg: number, target: Target): boolean {
  const left = leftAt(t.b, of, deg);
  return (
    t.b.benchMm - left > (target.reductionMaxMm ?? Number.POSITIVE_INFINITY) ||
    left < (target.leastResidualMm ?? 0)
  );
}
const inBand = (t: Pick<Trial, 'b'>, of: Case, deg: number, target: Target): boolean =>
  !overAt(t, of, deg, target) && t.b.benchMm - leftAt(t.b, of, deg) >= (target.reductionMinMm ?? 0);

/** A danger may be told too high by so much more. */
const DANGER_OVER = 0.08;
const dangers = (...asked: Parameters<typeof chances>): Row => {
  const row = chances(...asked);
  return { ...row, low: Math.max(0, row.low - DANGER_OVER) };
};

/** Chances said are right within so much. */
const CHANCE_WITHIN = 0.06;

/** Chances said beside what came true. */
function chances(
  statement: string,
  cell: string,
  trials: number,
  chance: Chance,
  of: Case,
  feels: Feels,
  one: (t: Trial) => [said: number, came: boolean] | null,
): Row {
  let [said, came, n] = [0, 0, 0];
  for (let i = 0; i < trials; i++) {
    const t = onTheWay(of, feels, chance, 1);
    const told = one(t);
    if (!told) continue;
    n++;
    said += told[0];
    if (told[1]) came++;
  }
  const mean = n === 0 ? 0 : said / n;
  return {
    statement,
    cell,
    claimed: `${(100 * mean).toFixed(1)} %`,
    low: Math.max(0, mean - CHANCE_WITHIN),
    high: Math.min(1, mean + CHANCE_WITHIN),
    share: n === 0 ? 0 : came / n,
    trials: n,
  };
}
