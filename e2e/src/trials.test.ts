import { expect, inject, it } from 'vitest';
import { loaded } from '../../packages/trials/src/load.ts';
import { copyWorks } from '../../packages/trials/src/plant.ts';
import type {} from './shared-plant.ts';

// The trial of load in short: `npm run proof -- load` goes on longer. Databases that fail over are tried in server/src/store/nodes.test.ts.

it('some people at work at once: every request is answered', async () => {
  const { figures, wrong } = await loaded({ people: 6, minutes: 0.05 }, () => copyWorks(inject('model')));
  expect(figures[0]?.[1]).toMatch(/^\d+ requests, 0 that failed$/);
  // How fast is for the program to say, on a machine that has nothing else to do.
  expect(wrong.filter((w) => !/ms in the slowest hundredth/.test(w))).toEqual([]);
});
