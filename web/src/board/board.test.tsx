import type { Setup } from '@fulcrant/core/job';
import { COMMON } from '@fulcrant/core/messages';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND, upTo, workAll } from '../../../core/src/testing/every-kind.ts';
import { enqueue, flush } from '../data/queue.ts';
import { freshJob, openPage } from '../testing/open.tsx';
import { FakeServer, OSKAR } from '../testing/server.ts';
import { all, press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const feelers = EVERY_KIND['by feelers'] as Setup;
const at = (machine: string, step: string) =>
  upTo(freshJob({ ...feelers, machine, position: 'Drive end' }), step);
const lines = () => all('main [data-job]');
const lineOf = (machine: string) => lines().find((l) => l.textContent?.includes(machine));

/** A board with a job that goes on, one that is held, and one that is signed. */
function works(): FakeServer {
  const held = at('Held pump', 'bench');
  held.do('step.held', { step: 'bench', reason: 'spanner is away' });
  return new FakeServer()
    .hold(at('Going fan', 'shaft').events)
    .hold(held.events)
    .hold(workAll(freshJob({ ...feelers, machine: 'Signed drum' })).events);
}

describe('the board', () => {
  it('has each open job once, by what it waits for; a signed one stands apart', async () => {
    await openPage('/', works());
    await until(() => lines().length === 2);
    expect(lineOf('Going fan')?.dataset.wants).toBe('hand');
    expect(lineOf('Held pump')?.dataset.wants).toBe('lead');
    expect(lineOf('Held pump')?.textContent).toContain('spanner is away');
    expect(lineOf('Signed drum')).toBeUndefined();
    await until(() =>
      all('aside [data-wants="signed"], aside a').some((a) => a.textContent?.includes('Signed drum')),
    );
  });

  it('a job is opened by its line', async () => {
    const { router } = await openPage('/', works());
    await until(() => lineOf('Going fan') ?? null);
    fireEvent.click(lineOf('Going fan')?.querySelector('a') as HTMLElement);
    await until(() => /^\/jobs\//.test(router.state.location.pathname));
    await until(() => the('form[data-place="s1/0"]'));
  });

  it('finds by words, and says so where there is none', async () => {
    const server = works();
    server.on('GET', '/api/jobs', ({ query }) => {
      const q = (query.get('q') ?? '').toLowerCase();
      const jobs = server.lines(query).filter((l) => `${l.machine} ${l.position}`.toLowerCase().includes(q));
      return { jobs, next: null };
    });
    await openPage('/', server);
    await until(() => lines().length === 2);
    fireEvent.change(the('input[type="search"]'), { target: { value: 'held' } });
    await until(() => lines().length === 1);
    expect(lineOf('Held pump')).toBeDefined();
    fireEvent.change(the('input[type="search"]'), { target: { value: 'no such machine' } });
    await until(() => lines().length === 0);
  });

  it('“mine” leaves those of others out, and is remembered', async () => {
    const server = works();
    await openPage('/', server);
    await until(() => lines().length === 2);
    await press('Mine');
    expect(the('button[aria-pressed="true"]').textContent).toBe('Mine');
    expect(lines()).toHaveLength(2);
    expect(localStorage.getItem('fulcrant.mine')).toBe('yes');
  });

  it('what waits on this device is on the board before the server has it', async () => {
    const server = works();
    server.on('POST', '/api/jobs/:id/events', () => new Response('{"title":"away"}', { status: 503 }));
    await openPage('/', server);
    for (const e of at('Waiting mill', 'shaft').events) await enqueue(e);
    await until(() => lineOf('Waiting mill') ?? null);
    expect(lineOf('Waiting mill')?.dataset.job).toBe(COMMON.notSentYet.id);
    server.answers.clear();
    await flush();
    await until(() => the('[data-waiting="0"]'));
  });

  it('a viewer is offered no job to open', async () => {
    const server = works();
    server.person = OSKAR;
    await openPage('/', server);
    await until(() => lines().length === 2);
    expect(document.querySelector('a[href="/jobs/new"]')).toBeNull();
  });
});
