import { afterAll, describe, expect, it } from 'vitest';
import { enrol } from '../../../core/src/engine/trades.ts';
import { doorstop } from '../../../core/src/testing/doorstop/doorstop.ts';
import { Bench } from './bench.ts';
import { allRigs, layOut, rigOf } from './rigs.ts';

// All practice is told of it: that it is enrolled.
const leave = enrol([doorstop]);
afterAll(leave);

describe('a trade the house has never seen', () => {
  it('is practised over a hidden truth', () => {
    const rig = rigOf('doorstop-practice');
    if (!rig) throw new Error('It is not offered.');
    expect(allRigs().at(-1)).toBe(rig);
    const bench = new Bench(layOut(rig, 3, 'one'));
    bench.do({ do: 'at', step: 'gap', key: 'gap', kind: 'feeler' });
    // The fault laid out: 6 mm where 3 is wanted.
    expect(bench.do({ do: 'blade', mm: 5.8 })).toMatchObject({ feel: 'goes' });
    expect(bench.do({ do: 'blade', mm: 6.2 })).toMatchObject({ feel: 'will not' });
  });
});
