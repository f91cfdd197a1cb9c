import { describe, expect, it } from 'vitest';
import { openPage } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { all, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const steps = () =>
  all('[data-first-step]').map((a) => `${a.dataset.firstStep}${a.dataset.done === undefined ? '' : ' done'}`);

describe('the first steps on the board', () => {
  it('of an empty site tick themselves off by what is there', async () => {
    const server = new FakeServer()
      .on('GET', '/api/greeting', () => ({ state: 'signed-out', demo: false }))
      .on('GET', '/api/people', () => ({ people: [{ id: 'a', name: 'Asta', role: 'lead' }] }))
      .on('GET', '/api/positions', () => ({ positions: [] }));
    await openPage('/', server);
    await until(() => the('[data-first-steps]'));
    expect(steps()).toEqual(['people', 'gauges done', 'machines', 'job']);
  });

  it('of a demo are things to try, each one touch, ticked once touched', async () => {
    const server = new FakeServer().on('GET', '/api/greeting', () => ({ state: 'signed-out', demo: true }));
    await openPage('/', server);
    await until(() => the('[data-first-step="practice"]'));
    the<HTMLAnchorElement>('[data-first-step="practice"]').click();
    expect(localStorage.getItem('fulcrant.tried')).toBe('practice');
  });
});
