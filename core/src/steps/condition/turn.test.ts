import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { step, surveyor, valuesOf } from '../../testing/test-stand.ts';
import { type RunoutStepValues, runoutGrid } from './runout.ts';

const ANGLES = 8;
const grid = Array.from({ length: ANGLES }, (_, i) => (360 * i) / ANGLES);
/** A shaft 0.03 off centre and 0.004 oval, high at 70°. */
const shaft = (deg: number) =>
  Number(
    (0.03 * Math.cos(((deg - 70) * Math.PI) / 180) + 0.004 * Math.cos((2 * deg * Math.PI) / 180)).toFixed(3),
  );

const begun = (stations = 1) =>
  surveyor({}, { measures: ['runout'], runoutStations: stations, runoutAngles: ANGLES }).safe();
const next = (h: ReturnType<typeof begun>) => step(h, 'runout').report?.next?.key ?? null;
const takes = (h: ReturnType<typeof begun>, key: string, value: number): boolean => {
  try {
    h.read('runout', key, value, 'dial');
    return true;
  } catch {
    return false;
  }
};

describe('a turn of an indicator', () => {
  it('in whatever order its angles are read, the sheet asks for what is left, then for the closing, then no more', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(grid), (order) => {
        const h = begun();
        for (const deg of order) h.read('runout', `s1/${deg}`, shaft(deg), 'dial');
        const asked: string[] = [];
        for (let key = next(h); key !== null && asked.length < 20; key = next(h)) {
          asked.push(key);
          h.read('runout', key, shaft(Number(key.split('/')[1]) % 360), 'dial');
        }
        const left = grid.filter((d) => !order.includes(d)).map((d) => `s1/${d}`);
        expect(asked).toEqual([...left, 's1/360']);
      }),
      { numRuns: 40 },
    );
  });

  it('comes to the same run-out in whatever order it was read', () => {
    const tirOf = (order: number[]) => {
      const h = begun();
      for (const deg of [...order, 360]) h.read('runout', `s1/${deg}`, shaft(deg % 360), 'dial');
      return valuesOf<RunoutStepValues>(h, 'runout').stations[0]?.values.tirMm ?? Number.NaN;
    };
    const inOrder = tirOf(grid);
    // Highest less lowest of the true shape, by brute force: what the judged run-out may not fall short of by more than the step.
    const true_ = Array.from({ length: 3600 }, (_, i) => shaft(i / 10));
    const tir = Math.max(...true_) - Math.min(...true_);
    expect(Math.abs(inOrder - tir)).toBeLessThan(0.002);
    fc.assert(
      fc.property(fc.shuffledSubarray(grid, { minLength: ANGLES }), (order) => {
        expect(tirOf(order)).toBeCloseTo(inOrder, 12);
      }),
      { numRuns: 20 },
    );
  });

  it('an angle is read once; again as a repeat, which counts on from those there are', () => {
    const h = begun();
    expect(takes(h, 's1/360', 0)).toBe(false);
    expect(takes(h, 's1/45/2', 0)).toBe(false);
    h.read('runout', 's1/45', 0.01, 'dial');
    expect(takes(h, 's1/45', 0.011)).toBe(false);
    expect(takes(h, 's1/45/2', 0.012)).toBe(true);
    expect(takes(h, 's1/45/2', 0.012)).toBe(false);
    // No angle beyond the turn, none of a hundredth of a degree, no other station.
    for (const odd of ['s1/361', 's1/45.25', 's1/-45', 's2/0', 's1/', 's1/045/2/3', 'turn/0'])
      expect(takes(h, odd, 0.01), odd).toBe(false);
    // An angle between the grid's is an angle too.
    expect(takes(h, 's1/22.5', 0.011)).toBe(true);
  });

  it('where a verdict is too close, the highest and the lowest place are offered again', () => {
    const h = begun();
    for (const deg of [...grid, 360]) h.read('runout', `s1/${deg}`, shaft(deg % 360), 'dial');
    const high = grid.reduce((a, b) => (shaft(b) > shaft(a) ? b : a));
    const low = grid.reduce((a, b) => (shaft(b) < shaft(a) ? b : a));
    const choices = (step(h, 'runout').report?.choices ?? []).map((c) => c.key);
    for (const deg of [high, low]) expect(choices).toContain(`s1/${deg}/2`);
    h.read('runout', `s1/${high}/2`, shaft(high), 'dial');
    const after = (step(h, 'runout').report?.choices ?? []).map((c) => c.key);
    expect(after).not.toContain(`s1/${high}/2`);
  });

  it('where all are alike, one place is both the highest and the lowest, and is offered once', () => {
    const h = begun();
    for (const deg of [...grid, 360]) h.read('runout', `s1/${deg}`, 0, 'dial');
    expect(step(h, 'runout').report?.choices?.map((c) => c.key)).toEqual(['s1/0/2']);
  });

  it('closed by a reading that does not come back, the turn is not believed', () => {
    const h = begun();
    for (const deg of grid) h.read('runout', `s1/${deg}`, shaft(deg), 'dial');
    h.read('runout', 's1/360', shaft(0) + 0.05, 'dial');
    expect(step(h, 'runout').verdict).not.toBe('accept');
    expect(step(h, 'runout').report?.findings.some((x) => x.verdict !== 'accept' && x.remedy)).toBe(true);
  });

  it('a withdrawn angle is asked for again', () => {
    const h = begun();
    for (const deg of [0, 45, 90]) h.read('runout', `s1/${deg}`, shaft(deg), 'dial');
    expect(next(h)).toBe('s1/135');
    const taken = h.state.readings.find((r) => r.place === 's1/45');
    h.do('reading.withdrawn', { reading: taken?.id ?? '', reason: 'the stand was knocked' });
    expect(next(h)).toBe('s1/45');
  });
});

it('stations lie evenly along the seat, a twentieth in from its ends; one alone in its middle', () => {
  const at = (n: number) =>
    runoutGrid({
      ...begun().state.setup,
      seatMm: 200,
      condition: { measures: ['runout'], runoutStations: n },
    } as never).stationsMm;
  expect(at(1)).toEqual([100]);
  expect(at(2)).toEqual([10, 190]);
  expect(at(3)).toEqual([10, 100, 190]);
});

describe('a swing over a whole turn', () => {
  const swung = () => surveyor({}, { measures: ['runout'], runoutStations: 1, turnBy: 'swing' }).safe();
  const offered = (h: ReturnType<typeof swung>) => step(h, 'runout').report?.choices?.map((c) => c.key);

  it('once more is offered at the first number free: a swing withdrawn is read again, and nothing offered is refused', () => {
    const h = swung();
    expect(next(h)).toBe('s1/swing');
    h.read('runout', 's1/swing', 0.02, 'dial').read('runout', 's1/swing/2', 0.021, 'dial');
    expect(offered(h)).toContain('s1/swing/3');
    const first = h.state.readings.find((r) => r.place === 's1/swing');
    h.do('reading.withdrawn', { reading: first?.id ?? '', reason: 'needle touched' });
    expect(valuesOf<RunoutStepValues>(h, 'runout').stations[0]?.values.tirMm).toBe(0.021);
    expect(offered(h)).toContain('s1/swing');
    expect(takes(h, 's1/swing', 0.02)).toBe(true);
    expect(offered(h)).toContain('s1/swing/3');
    expect(takes(h, 's1/swing/3', 0.02)).toBe(true);
  });

  it('is asked for again where the only one was withdrawn', () => {
    const h = swung();
    h.read('runout', 's1/swing', 0.02, 'dial');
    expect(next(h)).toBeNull();
    h.do('reading.withdrawn', { reading: h.state.readings.at(-1)?.id ?? '', reason: 'wrong shaft' });
    expect(next(h)).toBe('s1/swing');
  });
});
