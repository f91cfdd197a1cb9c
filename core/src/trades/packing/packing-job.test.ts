import { describe, expect, it } from 'vitest';
import { procedureFor } from '../../engine/trades.ts';
import { fitUpSheet } from '../../sheet/sheet.ts';
import { upTo, workAll } from '../../testing/every-kind.ts';
import { handAt } from '../../testing/test-stand.ts';
import type { BearingHand } from '../sleeve-bearing/hand.ts';
import type { BreakInStepValues } from './breaking-in.ts';
import { packing } from './example.ts';

const report = (h: BearingHand, step: string) => h.state.steps.find((s) => s.id === step)?.report;

/** The numbers of a step, as its kind made them. */
function values<T>(h: BearingHand, step: string): T {
  return report(h, step)?.values as T;
}

describe('packing', () => {
  it('is broken in flat by flat to its band, the flats and the way left kept', () => {
    const h = workAll(handAt(packing));
    const came = values<BreakInStepValues>(h, 'breakin');
    // 8 to 12 drops for each 25 mm of a shaft of 90: 28.8 to 43.2.
    expect(came.targetLow).toBeCloseTo(28.8, 6);
    expect(came.targetHigh).toBeCloseTo(43.2, 6);
    expect(came.points.at(-1)?.dropsPerMin).toBe(36);
    expect(came.flats).toBe(3);
    // 2 mm of pitch, three sixths of a turn.
    expect(came.travelMm).toBeCloseTo(1, 6);
    const sheet = fitUpSheet(h.state, 'F-2');
    expect(sheet.results).toMatchObject({ flats: 3, dropsPerMin: 36 });
    expect(sheet.readings.find((r) => r.place.startsWith('flats/'))).toMatchObject({
      value: 60,
      unit: 'deg',
    });
  });

  it('asks for a count of drops after every turn of the nuts', () => {
    const h = upTo(handAt(packing), 'breakin');
    h.read('breakin', 'drops/1', 160, 'counter').wait(15).read('breakin', 'drops/2', 150, 'counter');
    expect(report(h, 'breakin')?.next?.key).toBe('flats/1');
    h.read('breakin', 'flats/1', 60, 'protractor');
    expect(report(h, 'breakin')?.next?.key).toBe('drops/3');
  });

  it('a joint over the one below it is refused until it is turned on', () => {
    const h = upTo(handAt(packing), 'rings');
    h.follow('rings', 'protractor', () => 0);
    expect(() => h.pass('rings')).toThrow(/is only 0°/);
    // What the sheet is headed by is what the verdict says: nothing goes on top of a ring that comes out again.
    expect(report(h, 'rings')?.act).toMatchObject({
      id: 'packing.ringComesOutJointToo',
      params: { wrong: 2 },
    });
    expect(report(h, 'rings')?.next).toBeNull();
    expect(() => h.read('rings', 'ring/3', 90, 'protractor')).toThrow(/Take ring 2 out first/);
  });

  it('foot, coupling and belts are looked at before it runs; moved, what ran on them opens again, isolation too', () => {
    const driven = {
      ...packing,
      condition: {
        ...packing.condition,
        measures: [...packing.condition.measures, 'softfoot', 'belts'],
        ...{ feet: 4, belts: 2, beltBy: 'note', beltSpanMm: 500, beltMassKgPerM: 0.2, beltWantedN: 320 },
      },
    } as typeof packing;
    const ids = procedureFor(driven).steps.map((s) => s.id);
    expect(ids.slice(ids.indexOf('follower'))).toEqual([
      ...['follower', 'softfoot', 'belts', 'start', 'breakin', 'sign'],
    ]);
    const h = upTo(handAt(driven), 'sign');
    h.do('measure.repeated', { step: 'belts', done: 'motor out' });
    const passed = new Set(h.state.passes.map((p) => p.step));
    expect(ids.filter((id) => !passed.has(id)).sort()).toEqual(
      ['belts', 'breakin', 'safe', 'sign', 'start'].sort(),
    );
  });
});
