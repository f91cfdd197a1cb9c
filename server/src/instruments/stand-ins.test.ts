import { afterEach, describe, expect, it } from 'vitest';
import { StandInBench } from './stand-in-bench.ts';
import { StandIns } from './stand-ins.ts';

let house = new StandIns();
afterEach(() => {
  house.close();
  house = new StandIns();
});
const stands = (bench: StandInBench | 'house' | 'person'): bench is StandInBench =>
  bench instanceof StandInBench;

describe('stand-in benches', () => {
  it('are one for each device, and the same when it asks again', () => {
    const one = house.bench('asta', 'tablet-1');
    expect(house.bench('asta', 'tablet-1')).toBe(one);
    expect(house.bench('asta', 'tablet-2')).not.toBe(one);
    expect(house.bench('bram', 'tablet-1')).not.toBe(one);
  });

  it('nobody takes more than four that are listened to; one left makes room for the next', () => {
    const mine = [1, 2, 3, 4].map((i) => house.bench('asta', `tablet-${i}`)).filter(stands);
    const leave = mine.map((b) => b.listen(() => undefined));
    expect(leave.length).toBe(4);
    expect(house.bench('asta', 'tablet-5')).toBe('person');
    expect(stands(house.bench('bram', 'tablet-1'))).toBe(true);
    leave[1]?.();
    expect(stands(house.bench('asta', 'tablet-5'))).toBe(true);
    // The one that was left is cleared; those that are listened to stay as they were.
    expect(house.bench('asta', 'tablet-1')).toBe(mine[0]);
    expect(house.bench('asta', 'tablet-3')).toBe(mine[2]);
  });

  it('the house has so many; the next is told so', () => {
    for (let i = 0; i < 64; i++)
      expect(stands(house.bench(`person-${Math.floor(i / 4)}`, `tablet-${i % 4}`))).toBe(true);
    expect(house.bench('one more', 'tablet-1')).toBe('house');
  });
});
