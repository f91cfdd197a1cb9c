import { describe, expect, it } from 'vitest';
import { placeAt } from '../../engine/admit.ts';
import type { Setup } from '../../engine/setup.ts';
import { english } from '../../testing/english.ts';
import { EVERY_KIND, workStep } from '../../testing/every-kind.ts';
import { but, handAt } from '../../testing/test-stand.ts';
import type { BreakInStepValues } from '../../trades/packing/breaking-in.ts';
import { packing } from '../../trades/packing/example.ts';
import type { AnglesStepValues, PortsStepValues } from '../../trades/seal/angles.ts';
import { cartridgeSeal, fullySplitSeal } from '../../trades/seal/example.ts';
import type { SealSetup } from '../../trades/seal/setup.ts';
import type {
  GasValues,
  PairGapsValues,
  SweepMiddleValues,
  ThrottleValues,
} from '../../trades/seal/small.ts';
import type { BearingHand } from '../../trades/sleeve-bearing/hand.ts';
import type { GlandGapsValues } from '../gland-gaps.ts';

const purged = EVERY_KIND['purged seal'] as SealSetup;

/** A job worked by the book up to a step. */
function at(setup: Setup, step: string): BearingHand {
  const h = handAt(setup);
  for (let i = 0; i < 40 && h.state.present && h.state.present !== step; i++) {
    const id = h.state.present;
    workStep(h);
    h.pass(id);
  }
  expect(h.state.present).toBe(step);
  return h;
}
const report = (h: BearingHand, step: string) => h.state.steps.find((s) => s.id === step)?.report;
function valuesOf<T>(h: BearingHand, step: string): T {
  const found = report(h, step)?.values;
  if (!found) throw new Error(`${step} has no values.`);
  return found as T;
}
const verdictOf = (h: BearingHand, step: string, code: string) =>
  report(h, step)?.findings.find((f) => f.code === code)?.verdict;

describe('gaps of a gland', () => {
  const felt = (gaps: readonly number[]) => {
    const h = at(cartridgeSeal, 'gland-gaps');
    for (const [i, mm] of gaps.entries()) h.read('gland-gaps', `gap/${90 * i}`, mm, 'feeler');
    return h;
  };

  it('are felt at the quarters, each once, and nowhere else', () => {
    const h = at(cartridgeSeal, 'gland-gaps');
    expect(report(h, 'gland-gaps')?.next?.key).toBe('gap/0');
    expect(placeAt(h.state, 'gland-gaps', 'gap/45')).toMatchObject({ id: 'common.thereNoSuchPlaceHere' });
    h.read('gland-gaps', 'gap/0', 0.5, 'feeler');
    expect(placeAt(h.state, 'gland-gaps', 'gap/0')).toMatchObject({
      id: 'common.enteredAlreadyWithdrawReasonEnter',
    });
    expect(english(report(h, 'gland-gaps')?.findings[0]?.reason)).toContain('3 of 4 gaps');
  });

  it('gaping at one side, the bolt there comes in by the difference; a worn blade’s step is told from a tilt', () => {
    const h = felt([0.5, 0.55, 0.6, 0.55]);
    const { tilt } = valuesOf<GlandGapsValues>(h, 'gland-gaps');
    expect(tilt?.widestBolt).toBe(3);
    // Bolts stand where the gaps were felt: the plane is met exactly.
    expect(tilt?.bringInMm.map((b) => Number(b.toFixed(3)))).toEqual([0, 0.05, 0.1, 0.05]);
    expect(verdictOf(h, 'gland-gaps', 'gland.spread')).toBe('reject');
    expect(verdictOf(felt([0.5, 0.52, 0.54, 0.52]), 'gland-gaps', 'gland.spread')).toBe('accept');
  });

  it('with a soft gasket a tilt is told, and the maker’s spread outranks ours', () => {
    const tilted = [0.5, 0.55, 0.6, 0.55];
    const soft = at(but(cartridgeSeal, { softGasket: true }), 'gland-gaps');
    for (const [i, mm] of tilted.entries()) soft.read('gland-gaps', `gap/${90 * i}`, mm, 'feeler');
    expect(verdictOf(soft, 'gland-gaps', 'gland.spread')).toBe('caution');
    const wide = at({ ...cartridgeSeal, maker: { glandSpreadMm: 0.2 } }, 'gland-gaps');
    for (const [i, mm] of tilted.entries()) wide.read('gland-gaps', `gap/${90 * i}`, mm, 'feeler');
    expect(report(wide, 'gland-gaps')?.findings[0]).toMatchObject({
      verdict: 'accept',
      source: 'maker',
    });
  });

  it('felt again after a bolt was brought in, both feelings stay', () => {
    const h = felt([0.5, 0.55, 0.6, 0.55]);
    h.do('measure.repeated', { step: 'gland-gaps', done: 'bolt 3 in by 0.1' });
    expect(report(h, 'gland-gaps')?.next?.key).toBe('gap/0');
    h.follow('gland-gaps', 'feeler', () => 0.5);
    expect(verdictOf(h, 'gland-gaps', 'gland.spread')).toBe('accept');
    expect(report(h, 'gland-gaps')?.before).toHaveLength(1);
  });
});

describe('barrier ports', () => {
  const placed = (change: Partial<SealSetup>, inlet: number, outlet: number) => {
    const h = at({ ...cartridgeSeal, barrier: true, ...change }, 'ports');
    return h.read('ports', 'inlet', inlet, 'protractor').read('ports', 'outlet', outlet, 'protractor');
  };

  it('clockwise from the drive end stand at 3 o’clock; the other way, at 9 o’clock, as seen from wherever both are looked at', () => {
    const side = (change: Partial<SealSetup>) =>
      valuesOf<PortsStepValues>(placed(change, 120, 60), 'ports').sideDeg;
    expect(side({ rotation: 'clockwise', seenFrom: 'drive-end' })).toBe(90);
    expect(side({ rotation: 'anticlockwise', seenFrom: 'drive-end' })).toBe(270);
    expect(side({ rotation: 'clockwise', seenFrom: 'pump-end' })).toBe(90);
    expect(side({ rotation: 'anticlockwise', seenFrom: 'pump-end' })).toBe(270);
    const unsaid = placed({}, 120, 60);
    expect(() => unsaid.pass('ports')).toThrow(/Which way the shaft turns/);
  });

  it('with the outlet below the inlet the job does not go on', () => {
    const h = placed({ rotation: 'clockwise', seenFrom: 'drive-end' }, 60, 120);
    expect(valuesOf<PortsStepValues>(h, 'ports').vents).toBe(false);
    expect(() => h.pass('ports')).toThrow(/Not yet/);
  });

  it('are not asked for where the seal has none', () => {
    const h = at(cartridgeSeal, 'impeller');
    expect(h.state.steps.map((s) => s.id)).not.toContain('ports');
  });
});

describe('splits on the clock face', () => {
  const set = (marks: Record<string, number>) => {
    const h = at(fullySplitSeal, 'angles');
    h.follow('angles', 'protractor', (p) => marks[p.key] ?? 0);
    return valuesOf<AnglesStepValues>(h, 'angles').pairs;
  };
  const right = {
    'gland-split': 10,
    'stationary-split': 100,
    'rotary-split': 150,
    'rotary-seam': 240,
    'stationary-seam': 20,
  };

  it('turned together as a whole, nothing changes between them', () => {
    const here = set(right).map((p) => p.betweenDeg);
    for (const by of [37, 90, 180, 251]) {
      const turned = Object.fromEntries(Object.entries(right).map(([k, deg]) => [k, (deg + by) % 360]));
      expect(set(turned).map((p) => Number(p.betweenDeg?.toFixed(6)))).toEqual(here);
    }
  });

  it('half a turn of a split is the same split; half a turn of a seam is not', () => {
    const off = (change: Record<string, number>) => set({ ...right, ...change }).map((p) => p.offDeg);
    expect(off({ 'stationary-split': 280 })).toEqual(off({}));
    // A seam beside its own face’s split clashes from either end of the split.
    expect(off({ 'rotary-seam': 155 }).some((d) => d > 0)).toBe(true);
    expect(off({ 'rotary-seam': 335 }).some((d) => d > 0)).toBe(true);
    expect(off({ 'rotary-seam': 245 }).every((d) => d === 0)).toBe(true);
  });
});

describe('gaps of a halved holder', () => {
  it('are equal within a blade, else one side is drawn more', () => {
    const felt = (a: number, b: number) => {
      const h = at(fullySplitSeal, 'splitgaps');
      return h.read('splitgaps', 'split/a', a, 'feeler').read('splitgaps', 'split/b', b, 'feeler');
    };
    expect(valuesOf<PairGapsValues>(felt(0.1, 0.105), 'splitgaps').equal).toBe(true);
    const askew = felt(0.1, 0.15);
    expect(valuesOf<PairGapsValues>(askew, 'splitgaps').equal).toBe(false);
    expect(() => askew.pass('splitgaps')).toThrow(/differ by 0.050 mm/);
    expect(() => askew.accept('splitgaps', 'split.equal', 'in a hurry')).toThrow();
  });
});

describe('a gas-purged seal', () => {
  it('a throttle that gapes is a stop: opposite gaps add', () => {
    const h = at(purged, 'throttle');
    for (const [deg, mm] of [
      [0, 0.1],
      [120, 0.15],
      [240, 0.11],
    ] as const)
      h.read('throttle', `throttle/${deg}`, mm, 'feeler');
    expect(valuesOf<ThrottleValues>(h, 'throttle').largestMm).toBe(0.15);
    expect(valuesOf<ThrottleValues>(h, 'throttle').diametralMm).toBeCloseTo(0.24, 9);
    expect(() => h.pass('throttle')).toThrow(/Not yet/);
  });

  it('is centred on the axis, not on the shaft as it stands: each shim thinner by the circle’s radius times the cosine to its high spot', () => {
    const h = at(purged, 'centre');
    const { circle, shimsMm } = valuesOf<SweepMiddleValues>(h, 'centre');
    // The dial read 0, 0.02, 0.04, 0.02: a circle of 0.02, high at 180°; shims at 0, 120, 240: +0.02, −0.01, −0.01 (geometry).
    expect(circle?.radiusMm).toBeCloseTo(0.02, 9);
    expect(circle?.highDeg).toBeCloseTo(180, 6);
    expect(shimsMm?.map((x) => Number(x.toFixed(6)))).toEqual([0.02, -0.01, -0.01]);
    const blind = at(but(purged, { condition: { ...purged.condition, measures: ['shaft'] } }), 'centre');
    expect(valuesOf<SweepMiddleValues>(blind, 'centre').shimsMm).toBeNull();
    expect(verdictOf(blind, 'centre', 'centre.middle')).toBe('caution');
  });

  it('gas below its window or over it holds the job', () => {
    for (const [mpa, ok] of [
      [0.11, false],
      [0.15, true],
      [0.25, false],
      [0.17, true],
    ] as const) {
      const h = at(purged, 'gas');
      h.read('gas', 'gas', mpa, 'pressure').answerAll('gas');
      const v = valuesOf<GasValues>(h, 'gas');
      // Process 0.1 MPa + 0.035 to 0.07 (5 to 10 psi).
      expect([v.lowMpa, v.highMpa].map((x) => Number(x.toFixed(3)))).toEqual([0.134, 0.17]);
      expect(report(h, 'gas')?.findings.every((f) => f.verdict === 'accept')).toBe(ok);
    }
  });
});

describe('the break-in', () => {
  const counted = (drops: number, minutes = 15) => {
    const h = at(packing, 'breakin');
    return h
      .read('breakin', 'drops/1', 200, 'counter')
      .wait(minutes)
      .read('breakin', 'drops/2', drops, 'counter');
  };

  it('begins with a count, and its readings come in their row', () => {
    const h = at(packing, 'breakin');
    expect(placeAt(h.state, 'breakin', 'flats/1')).toMatchObject({ id: 'packing.firstCountDropsAsStarts' });
    expect(placeAt(h.state, 'breakin', 'drops/2')).toMatchObject({ id: 'common.readingsComeOneAfterOther' });
    // A gland that is hot before any drop is counted is hot all the same.
    expect(placeAt(h.state, 'breakin', 'gland/1')).toMatchObject({ key: 'gland/1' });
  });

  it('lets it leak before the first flat, says until when, and then asks for one', () => {
    const early = counted(200, 3);
    expect(valuesOf<BreakInStepValues>(early, 'breakin').do).toBe('wait');
    expect(valuesOf<BreakInStepValues>(early, 'breakin').dueAt).not.toBeNull();
    expect(report(early, 'breakin')?.next?.key).toBe('drops/3');
    expect(report(counted(200), 'breakin')?.next?.key).toBe('flats/1');
  });

  it('too dry asks for flats back, a hot gland for backing off, and neither passes', () => {
    const dry = counted(2);
    expect(valuesOf<BreakInStepValues>(dry, 'breakin').stop).toBe('dry');
    expect(report(dry, 'breakin')?.next?.key).toBe('flats/1');
    dry.read('breakin', 'flats/1', -60, 'protractor');
    expect(valuesOf<BreakInStepValues>(dry, 'breakin').points.at(-1)?.flats).toBe(0);
    dry.wait(12).read('breakin', 'drops/3', 40, 'counter');
    expect(valuesOf<BreakInStepValues>(dry, 'breakin').points.at(-1)?.flats).toBe(-1);
    const hot = at(packing, 'breakin');
    hot
      .read('breakin', 'drops/1', 60, 'counter')
      .wait(15)
      .read('breakin', 'gland/1', 110, 'thermometer')
      .read('breakin', 'drops/2', 50, 'counter');
    expect(valuesOf<BreakInStepValues>(hot, 'breakin').stop).toBe('hot');
    expect(() => hot.pass('breakin')).toThrow(/Not yet/);
  });

  it('with the follower at its end it stops, whatever it leaks', () => {
    const h = at(but(packing, { followerMm: 0.6 }), 'breakin');
    h.read('breakin', 'drops/1', 200, 'counter').wait(15).read('breakin', 'drops/2', 190, 'counter');
    h.read('breakin', 'flats/1', 120, 'protractor').wait(15).read('breakin', 'drops/3', 150, 'counter');
    const v = valuesOf<BreakInStepValues>(h, 'breakin');
    // Two flats of 2 mm pitch: two thirds of a millimetre, and there was 0.6.
    expect(v.travelMm).toBeCloseTo(2 / 3, 6);
    expect(v.do).toBe('renew');
  });

  it('by one flat figure of the house the band is that figure’s', () => {
    const h = at(but(packing, { leakSchool: 'flat', flatDropsPerMin: 30 }), 'breakin');
    h.read('breakin', 'drops/1', 200, 'counter');
    const v = valuesOf<BreakInStepValues>(h, 'breakin');
    expect(v.targetLow).toBeLessThan(30);
    expect(v.targetHigh).toBeCloseTo(36, 6);
  });
});
