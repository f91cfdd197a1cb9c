import type { Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { enrol } from '../../../core/src/engine/trades.ts';
import { doorstop } from '../../../core/src/testing/doorstop/doorstop.ts';
import { views } from '../testing/doorstop/views.tsx';
import { freshJob, openJobAt, openPage } from '../testing/open.tsx';
import { FakeServer, IMKE } from '../testing/server.ts';
import { all, enter, fill, giveReason, judged, press, stored, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';
import { violations } from '../testing/violations.ts';
import { addViews } from './registry.ts';

// All the page is told of it: one line of the list of trades, one of the list of views.
const leaves: Array<() => void> = [];
beforeAll(() => void leaves.push(enrol([doorstop]), addViews(views)));
// Files of tests share what is enrolled.
afterAll(() => {
  for (const leave of leaves) leave();
});

const setup = doorstop.example.setups.doorstop as Setup;

describe('a trade the page has never seen', () => {
  it('is offered, asked for, and opened', async () => {
    const server = new FakeServer();
    const { router } = await openPage('/jobs/new', server);
    await press(/^Set a door’s stop/);
    await fill('Machine', 'Gatehouse');
    await fill('Position', 'Door');
    await fill('Gap wanted', '2.5');
    expect(await violations()).toEqual([]);
    await press('Start job');
    await until(() => /^\/jobs\/[0-9a-f-]{36}$/.test(router.state.location.pathname));
    await until(() => server.ids().length === 1);
    expect(server.state(server.ids()[0] ?? '').setup).toMatchObject({ procedure: 'doorstop', gapMm: 2.5 });
  });

  it('is worked on its sheet with its own figure and its own view, and signed', async () => {
    const { state } = await openJobAt(setup, 'gap');
    await until(() => the('[data-figure="door"]'));
    await until(() => the<HTMLSelectElement>('select[aria-label="Gauge in hand"]'));
    fireEvent.change(the('select[aria-label="Gauge in hand"]'), { target: { value: 'feeler' } });
    await enter('3.2');
    await judged('door.gap', 'accept');
    expect(the('[data-off]').dataset.off).toBe('0.20');
    expect(the('[data-figure="door"]').textContent).toContain('3.2');
    expect(await violations()).toEqual([]);
    await press('Next: Signature');
    await press('Sign the sheet');
    await until(() => state().signed);
    await stored();
    expect(state().readings.map((r) => [r.place, r.value])).toEqual([['gap', 3.2]]);
  });

  it('has its act on the sheet, which asks for a reason and opens the step again', async () => {
    const server = new FakeServer();
    const hand = freshJob(setup).safe().read('gap', 'gap', 3.2, 'feeler').pass('gap');
    server.hold(hand.events);
    await openPage(`/jobs/${hand.jobId}`, server);
    await press('More');
    await press(/^Move the stop again/);
    await giveReason('it rubs', 'It is moved');
    await until(() => server.state(hand.jobId).present === 'gap');
    expect(server.state(hand.jobId).readings).toEqual([]);
  });

  it('gives the site its method to choose', async () => {
    const server = new FakeServer();
    server.person = IMKE;
    await openPage('/house-rules', server);
    await until(() => the('[data-rule="doorFeltBy"]'));
    expect(all('[data-rule="doorFeltBy"] button')).toHaveLength(2);
  });

  it('has its bench among those of practice', async () => {
    await openPage('/practice');
    await until(() => the('[data-bench="doorstop-practice"]'));
  });
});
