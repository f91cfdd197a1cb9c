import { allTrades, type Setup } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { english } from '../../../core/src/testing/english.ts';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { openPage } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { all, fill, labelled, press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';

const usual = async () => {
  const button = await until(() => the('button[aria-expanded]'));
  if (button.getAttribute('aria-expanded') === 'false') fireEvent.click(button);
};
const opened = (server: FakeServer) =>
  server.written
    .flatMap((w) => (w.body as { events?: Array<{ type: string; data: { setup: Setup } }> }).events ?? [])
    .find((e) => e.type === 'job.opened')?.data.setup;

const works = () =>
  new FakeServer().on('GET', '/api/plant', () => ({
    site: 'Test works',
    stockMm: [],
    units: 'mm',
    paper: 'A4',
  }));

describe('a job is opened', () => {
  it('offers every kind of work there is, each with its own form', async () => {
    await openPage('/jobs/new', works());
    for (const trade of allTrades()) {
      await press(new RegExp(`^${english(trade.words.offer[0])}`));
      await until(() => all('[data-box], [id^="field-"]').length > 0);
    }
  });

  it('by its stamp: what the stamp says fills the boxes; the rest is asked; then it is a job', async () => {
    const server = works();
    const { router } = await openPage('/jobs/new', server);
    await press(/^Fit a bearing/);
    await fill('Machine', 'Fan 9');
    await fill('Position', 'Tail');
    await fill('Part, as stamped', '22220K');
    await fill('Seat length', '60');
    await press('Start job');
    await until(() => /^\/jobs\/[0-9a-f-]{36}$/.test(router.state.location.pathname));
    await until(() => opened(server) ?? null);
    // 22220: bore code 20, so 100 mm; the sleeve's shaft is 90 mm (ISO 2982-1).
    expect(opened(server)).toMatchObject({
      machine: 'Fan 9',
      position: 'Tail',
      boreMm: 100,
      shaftMm: 90,
      seatMm: 60,
    });
  });

  it('what is missing or cannot be is said at its field, and nothing typed is lost', async () => {
    const server = works();
    await openPage('/jobs/new', server);
    await press(/^Fit a bearing/);
    await fill('Machine', 'Test drive');
    await fill('Position', 'Too thick');
    await fill('Bearing bore', '90');
    await fill('Shaft diameter', '95');
    await fill('Seat length', '68');
    await press('Start job');
    await until(() => the('#field-shaftMm-fault'));
    expect(labelled('Position').value).toBe('Too thick');
    expect(opened(server)).toBeUndefined();
  });

  it('a method without the values it needs does not open', async () => {
    const server = works();
    await openPage('/jobs/new', server);
    await press(/^Fit a bearing/);
    await fill('Machine', 'Test drive');
    await fill('Position', 'Nowhere');
    await usual();
    const choice = labelled('Mounting method') as unknown as HTMLSelectElement;
    const hydraulic = [...choice.options].find((o) => o.textContent === 'hydraulic nut');
    fireEvent.change(choice, { target: { value: hydraulic?.value } });
    await press('Start job');
    await until(() => all('[id$="-fault"]').length > 0);
    expect(labelled('Position').value).toBe('Nowhere');
    expect(opened(server)).toBeUndefined();
  });

  it('what was begun is there after a reload', async () => {
    const server = works();
    await openPage('/jobs/new', server);
    await press(/^Fit a seal/);
    await fill('Machine', 'Half-typed pump');
    await fill('Shaft diameter', '62');
    const { cleanup } = await import('@testing-library/react');
    cleanup();
    await openPage('/jobs/new', server);
    await until(() => labelled('Machine').value === 'Half-typed pump');
    await until(() => labelled('Shaft diameter').value === '62');
  });

  it('a position that is known brings its kind of work, and opens by one touch more', async () => {
    const setup = {
      ...(EVERY_KIND['cartridge seal'] as Setup),
      machine: 'Condensate pump 1',
      position: 'Seal',
    };
    const server = works()
      .on('GET', '/api/positions', () => ({
        positions: [
          {
            id: '018f0000-0000-7000-8000-00000000cccc',
            site: '',
            machine: 'Condensate pump 1',
            position: 'Seal',
            label: 'AAAA',
            setup,
          },
        ],
        more: false,
      }))
      .on('GET', '/api/positions/:id', () => ({ setups: { [setup.procedure ?? '']: setup }, past: [] }));
    const { router } = await openPage('/jobs/new', server);
    await press(/^Condensate pump 1, Seal/);
    await until(() =>
      all('button[aria-pressed="true"]').some((b) => /^Fit a seal/.test(b.textContent ?? '')),
    );
    await press('Start job');
    await until(() => /^\/jobs\/[0-9a-f-]{36}$/.test(router.state.location.pathname));
    await until(() => opened(server) ?? null);
    expect(opened(server)).toMatchObject({ procedure: 'seal', machine: 'Condensate pump 1' });
  });
});

describe('the setup of a job is changed', () => {
  it('with a reason; the maker’s limits are read in any unit, and what contradicts itself is refused', async () => {
    const { openJobAt } = await import('../testing/open.tsx');
    const { server, jobId, state } = await openJobAt(EVERY_KIND['by feelers'] as Setup, 'driveup');
    const { cleanup } = await import('@testing-library/react');
    cleanup();
    await openPage(`/jobs/${jobId}/setup`, server);
    await fill('Reduction, min', '2 thou');
    await fill('Reduction, max', '0.045');
    await press('Change it');
    await until(() => all('[role="alert"]').length > 0);
    await fill('Reduction, max', '0.058');
    await press('Change it');
    await until(() => all('[role="alert"]').length > 0);
    expect(state().setupChanges).toHaveLength(0);
    await fill('Reason for the change', 'sheet found in the box');
    await press('Change it');
    await until(() => state().setupChanges.length === 1);
    // 2 thou = 0.0508 mm
    expect(state().setup).toMatchObject({ maker: { reductionMinMm: 0.0508, reductionMaxMm: 0.058 } });
    expect(state().setupChanges[0]).toMatchObject({
      reason: 'sheet found in the box',
      author: { id: 'asta' },
    });
  });
});
