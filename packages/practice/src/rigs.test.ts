import { describe, expect, it } from 'vitest';
import type { BoxFaceValues } from '../../../core/src/arithmetic/box/face.ts';
import type { DiameterSurveyValues } from '../../../core/src/arithmetic/shaft/diameter-survey.ts';
import type { RunoutValues } from '../../../core/src/arithmetic/shaft/runout.ts';
import type { JobEvent } from '../../../core/src/engine/events.ts';
import { reduce } from '../../../core/src/engine/judge.ts';
import type { JobState } from '../../../core/src/engine/state.ts';
import { allTrades, procedureFor, stepOf } from '../../../core/src/engine/trades.ts';
import type { GlandGapsValues } from '../../../core/src/steps/gland-gaps.ts';
import { english } from '../../../core/src/testing/english.ts';
import type { BenchValues } from '../../../core/src/trades/sleeve-bearing/bench-clearance.ts';
import { type Action, Bench, FEELS, forceOf, played } from './bench.ts';
import { BLADES_MM, wellWithin } from './gauges.ts';
import { readingsBeside } from './handled.ts';
import { layOut } from './rigs.ts';
import { careful } from './scripted-hands.ts';
import { RIGS, rig, withFault } from './testing/bench-stand.ts';

describe('the benches', () => {
  it('are ten, each of a trade, on steps and questions that trade has; each fault can be known somewhere', () => {
    expect(RIGS.length).toBeGreaterThanOrEqual(10);
    expect(new Set(RIGS.map((r) => r.id)).size).toBe(RIGS.length);
    for (const r of RIGS) {
      const { steps } = procedureFor(r.setup);
      const nth = (id: string) => steps.findIndex((s) => s.id === id);
      expect(nth(r.until), `${r.id} until`).toBeGreaterThan(0);
      for (const at of [...r.faults.flatMap((f) => f.seen ?? []), ...r.looks]) {
        const items = stepOf({ setup: r.setup }, at.step)?.items ?? [];
        expect(
          items.map((i) => i.id),
          `${r.id}: ${at.step}`,
        ).toContain(at.item);
        expect(nth(at.step)).toBeLessThanOrEqual(nth(r.until));
      }
      for (const f of r.faults) {
        expect(f.seen !== undefined || f.sign !== undefined, `${r.id} ${f.id}`).toBe(true);
        expect(nth(f.step)).toBeGreaterThan(0);
        expect(nth(f.step)).toBeLessThanOrEqual(nth(r.until));
      }
      expect(r.looks.length).toBeGreaterThan(0);
    }
    expect(allTrades().filter((t) => t.slots.practice).length).toBeGreaterThanOrEqual(6);
  });

  it('are laid out the same by the same seed, and answer the same acts alike; another seed is another bench', () => {
    const acts: Action[] = [
      { do: 'at', step: 'runout', key: 's2/45', kind: 'dial' },
      { do: 'tap' },
      { do: 'tap' },
      { do: 'look', step: 'look', item: 'nail' },
    ];
    const once = (seed: number) => played(layOut(rig('shaft'), seed, 'one'), acts).shown;
    expect(english(once(5))).toEqual(english(once(5)));
    expect(english(once(5))).not.toEqual(english(once(6)));
  });

  it('are as hard as they are told: nothing, one, several; what looks wrong never hides what is', () => {
    for (const r of RIGS)
      for (let seed = 1; seed <= 20; seed++) {
        expect(layOut(r, seed, 'sound').faults.size).toBe(0);
        expect(layOut(r, seed, 'sound').looks).toEqual([]);
        expect(layOut(r, seed, 'one').faults.size).toBe(1);
        const several = layOut(r, seed, 'several');
        expect(several.faults.size).toBe(2);
        expect(layOut(r, seed, 'looks')).toMatchObject({ faults: new Set() });
        expect(layOut(r, seed, 'looks').looks.length).toBe(1);
        for (const l of several.looks)
          expect(
            r.faults.some(
              (f) => several.faults.has(f.id) && f.seen?.step === l.step && f.seen.item === l.item,
            ),
          ).toBe(false);
      }
    // Over many seeds every fault is met.
    for (const r of RIGS) {
      const met = new Set(Array.from({ length: 80 }, (_, i) => [...layOut(r, i + 1, 'one').faults][0]));
      expect(met.size, r.id).toBe(r.faults.length);
    }
  });
});

describe('what the hand feels', () => {
  it('a thicker blade never goes easier; far thinner falls through, far thicker will not go', () => {
    for (const gap of [0.03, 0.047, 0.1, 0.31, 0.8]) {
      const forces = BLADES_MM.map((b) => forceOf(b, gap));
      for (let i = 1; i < forces.length; i++)
        expect(forces[i]).toBeGreaterThanOrEqual(forces[i - 1] as number);
      expect(forceOf(gap - 0.02, gap)).toBe(0);
      expect(forceOf(gap + 0.02, gap)).toBe(1);
    }
    const bench = new Bench(layOut(rig('sleeve'), 3, 'sound'));
    bench.do({ do: 'at', step: 'bench', key: 'set1/A', kind: 'feeler' });
    bench.do({ do: 'square' });
    const felt = BLADES_MM.map((mm) => bench.do({ do: 'blade', mm })).map((s) =>
      s.kind === 'feel' ? s.feel : '',
    );
    expect(felt.map((f) => FEELS.indexOf(f as (typeof FEELS)[number]))).toEqual(
      [...felt.map((f) => FEELS.indexOf(f as (typeof FEELS)[number]))].sort((a, b) => a - b),
    );
    expect(new Set(felt)).toEqual(new Set(FEELS));
  });

  it('a ring nobody squared gives another gap; squared, blades bracket the truth', () => {
    let tilted = 0;
    for (let seed = 1; seed <= 20; seed++) {
      const bench = new Bench(layOut(rig('sleeve'), seed, 'sound'));
      const truth = bench.trueAt('bench', 'set1/A');
      const felt = () => {
        const goes = BLADES_MM.filter((mm) => {
          const s = bench.do({ do: 'blade', mm });
          return s.kind === 'feel' && s.feel !== 'will not';
        });
        return goes.at(-1) ?? 0;
      };
      bench.do({ do: 'at', step: 'bench', key: 'set1/A', kind: 'feeler' });
      if (Math.abs(felt() - truth) > wellWithin('feeler', truth)) tilted++;
      bench.do({ do: 'square' });
      expect(Math.abs(felt() - truth)).toBeLessThanOrEqual(wellWithin('feeler', truth));
    }
    expect(tilted).toBeGreaterThan(5);
  });

  it('a dial sticks until it is tapped, and jumps at every tap where its base is loose; a gauge nobody rocks stands crooked', () => {
    const read = (laid: ReturnType<typeof layOut>) => {
      const bench = new Bench(laid);
      const mm = (a: Action) => {
        const s = bench.do(a);
        return s.kind === 'dial' ? s.mm : s.kind === 'digits' ? s.value : Number.NaN;
      };
      const stuck = mm({ do: 'at', step: 'runout', key: 's1/90', kind: 'dial' });
      return { truth: bench.trueAt('runout', 's1/90'), stuck, taps: [0, 1, 2].map(() => mm({ do: 'tap' })) };
    };
    const sound = read(layOut(rig('shaft'), 4, 'sound'));
    expect(Math.abs(sound.stuck - sound.truth)).toBeGreaterThan(wellWithin('dial', 0));
    for (const t of sound.taps) expect(Math.abs(t - sound.truth)).toBeLessThan(wellWithin('dial', 0));
    const loose = read(withFault('shaft', 'loose-base'));
    expect(Math.max(...loose.taps) - Math.min(...loose.taps)).toBeGreaterThan(0.005);
    const seat = new Bench(layOut(rig('seat'), 2, 'sound'));
    const crooked = seat.do({ do: 'at', step: 'shaft', key: 's1/0', kind: 'micrometer' });
    const rocked = seat.do({ do: 'rock' });
    const truth = seat.trueAt('shaft', 's1/0');
    expect(Math.abs((crooked.kind === 'digits' ? crooked.value : 0) - truth)).toBeGreaterThan(0.004);
    expect(Math.abs((rocked.kind === 'digits' ? rocked.value : 0) - truth)).toBeLessThan(0.004);
  });

  it('a nut goes on by blows, never alike, and closes the clearance; with the other nut tight the pump climbs and nothing moves', () => {
    const bench = new Bench(layOut(rig('sleeve'), 8, 'sound'));
    const turned = [1, 2, 3, 4, 5].map(() => {
      const s = bench.do({ do: 'blow' });
      return s.kind === 'nut' ? s.deg : 0;
    });
    const each = turned.map((d, i) => d - (turned[i - 1] ?? 0));
    expect(new Set(each).size).toBeGreaterThan(1);
    expect(bench.trueAt('driveup', `deg${turned[4]}/A/1`)).toBeLessThan(bench.trueAt('driveup', 'deg0/A/1'));
    // It creeps on after a blow, never back: where it stands is looked at again before it is written.
    const crept = Array.from({ length: 30 }, (_, seed) => {
      const b = new Bench(layOut(rig('sleeve'), seed + 1, 'sound'));
      const at = b.do({ do: 'blow' });
      b.do({ do: 'square' });
      return b.nutDeg - (at.kind === 'nut' ? at.deg : 0);
    });
    expect(Math.min(...crept)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...crept)).toBeLessThanOrEqual(3);
    expect(crept.some((c) => c > 0)).toBe(true);
    // Felt where the nut really stands, not where the sheet says it does.
    bench.do({ do: 'at', step: 'driveup', key: 'deg0/A/1', kind: 'feeler' });
    bench.do({ do: 'square' });
    const thick = bench.do({ do: 'blade', mm: 0.09 });
    expect(thick.kind === 'feel' && thick.feel).toBe('will not');
    const snug = bench.trueAt('driveup', 'deg0/A/1');
    expect(forceOf(0.09, snug)).toBeLessThan(1);
    const pumped = (laid: ReturnType<typeof layOut>) => {
      const b = new Bench(laid);
      for (let i = 0; i < 14; i++) b.do({ do: 'stroke' });
      return b.handled.pump;
    };
    expect(pumped(layOut(rig('hydraulic-nut'), 1, 'sound')).mm).toBeGreaterThan(0.5);
    const tight = pumped(withFault('hydraulic-nut', 'other-nut'));
    expect(tight.mpa).toBeGreaterThan(30);
    expect(tight.mm).toBeLessThan(0.1);
  });

  it('a look tells what is seen, never that it is a fault, nor its name', () => {
    for (const r of RIGS)
      for (const f of r.faults) {
        if (!f.seen) continue;
        const shown = new Bench(withFault(r.id, f.id)).do({
          do: 'look',
          step: f.seen.step,
          item: f.seen.item,
        });
        expect(english(shown)).toEqual(english({ kind: 'seen', text: f.seen.says }));
        expect(english(f.seen.says).toLowerCase()).not.toContain(english(f.name).toLowerCase());
        const sound = new Bench(layOut(r, 1, 'sound')).do({
          do: 'look',
          step: f.seen.step,
          item: f.seen.item,
        });
        expect(sound.kind === 'seen' && sound.nothing).toBe(true);
      }
  });
});

describe('the truth', () => {
  /** A careful hand’s sheet as perfect gauges would have written it; or as it was written. */
  const sheet = (laid: ReturnType<typeof layOut>, perfect: boolean) => {
    const attempt = careful(laid);
    const truths = readingsBeside(laid, attempt.events, attempt.log, reduce([...attempt.events]) as JobState);
    const events = attempt.events.map((e): JobEvent => {
      if (e.type !== 'reading.taken') return e;
      const b = truths.shift();
      return perfect && b ? { ...e, data: { ...e.data, value: b.truth } } : e;
    });
    const state = reduce(events) as JobState;
    return <V>(step: string): V => state.steps.find((s) => s.id === step)?.report?.values as V;
  };
  type Runout = { stations: Array<{ values: RunoutValues }> };
  const throws = (v: Runout) =>
    v.stations.map((s) => s.values.harmonics.find((h) => h.order === 1)?.amplitudeMm ?? 0);

  it('is what the calculators make of perfect readings: throw by station, ovality, tilt of a face, taper, spread of a gland', () => {
    const bent = throws(sheet(withFault('shaft', 'bent'), true)<Runout>('runout'));
    expect(bent[0]).toBeCloseTo(0.02, 6);
    expect(bent[1]).toBeCloseTo(0.075, 6);
    const off = throws(sheet(withFault('shaft', 'off-centre'), true)<Runout>('runout'));
    expect(off[0]).toBeCloseTo(0.064, 6);
    expect(off[1]).toBeCloseTo(0.064, 6);
    const oval = sheet(withFault('shaft', 'oval'), true)<Runout>('runout').stations[0]?.values;
    expect(oval?.harmonics.find((h) => h.order === 2)?.amplitudeMm).toBeCloseTo(0.035, 6);
    expect(oval?.shape).toMatch(/oval/);
    const face = sheet(withFault('box-face', 'square'), true)<BoxFaceValues>('face');
    // 0.09 high on a radius of 80: 0.1125 in 100.
    expect(face.tiltMmPer100).toBeCloseTo(0.1125, 6);
    const seat = sheet(withFault('seat', 'tapered'), true)<DiameterSurveyValues>('shaft');
    expect((seat.stationMeansMm[0] ?? 0) - (seat.stationMeansMm[2] ?? 0)).toBeCloseTo(0.07, 6);
    const gland = sheet(withFault('gland', 'cocked'), true)<GlandGapsValues>('gland-gaps');
    expect(gland.tilt?.spreadMm).toBeCloseTo(0.3, 6);
  });

  it('lies within the stated doubt of what is made of real readings', { timeout: 60_000 }, () => {
    let [within, all] = [0, 0];
    for (let seed = 1; seed <= 40; seed++) {
      const laid = layOut(rig('shaft'), seed, 'one');
      if (!laid.faults.has('bent') && !laid.faults.has('off-centre')) continue;
      const [real, perfect] = [sheet(laid, false)<Runout>('runout'), sheet(laid, true)<Runout>('runout')];
      for (const [i, s] of real.stations.entries()) {
        const [h, p] = [s.values.harmonics[0], perfect.stations[i]?.values.harmonics[0]];
        all++;
        if (h && p && Math.abs(h.amplitudeMm - p.amplitudeMm) <= 2 * h.uncertaintyMm) within++;
      }
    }
    for (let seed = 1; seed <= 12; seed++) {
      const laid = layOut(rig('sleeve'), seed, 'sound');
      const [felt, truth] = [
        sheet(laid, false)<BenchValues>('bench'),
        sheet(laid, true)<BenchValues>('bench'),
      ];
      all++;
      if (Math.abs((felt.benchMm ?? 0) - (truth.benchMm ?? 0)) <= (felt.expandedMm ?? 0)) within++;
    }
    expect(all).toBeGreaterThan(25);
    expect(within / all).toBeGreaterThanOrEqual(0.9);
  });
});
