import type { PastJob } from '@fulcrant/core/history';
import { type Setup, tradeOf } from '@fulcrant/core/job';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../../../core/src/testing/every-kind.ts';
import { openPage } from '../testing/open.tsx';
import { FakeServer, SITE } from '../testing/server.ts';
import { all, dialog, press, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';
import { violations } from '../testing/violations.ts';

const ID = '018f0000-0000-7000-8000-00000000abcd';
const bearing = EVERY_KIND['by feelers'] as Setup;
const off = EVERY_KIND['taken off, found grown'] as Setup;

const past = (n: number, setup: Setup, results: PastJob['results']): PastJob => ({
  jobId: `018f0000-0000-7000-8000-00000000010${n}`,
  number: `H-000${n}`,
  kind: tradeOf(setup).id,
  sheet: tradeOf(setup).words.sheet,
  state: 'signed',
  openedAt: `202${n}-03-01T06:00:00Z`,
  signedAt: `202${n}-03-02T06:00:00Z`,
  signedBy: 'Asta',
  partNumber: '22220K',
  results,
  limits: { residualMm: { lower: 0.04 } },
  rows: [['Residual clearance', 'as read']],
});
const card = {
  id: ID,
  label: 'ABCD-1234',
  area: 'Boiler house',
  machine: 'Cooling fan 3',
  position: 'Drive end',
  setup: bearing,
};
const works = () =>
  new FakeServer()
    .on('GET', '/api/positions/:id', () => ({
      card,
      past: [
        past(6, off, { foundMm: 0.087 }),
        past(4, bearing, { residualMm: 0.047, benchMm: 0.1 }),
        past(2, bearing, { residualMm: 0.05, benchMm: 0.1 }),
      ],
      setups: { [tradeOf(bearing).id]: bearing },
      shafts: [],
      autopsies: [],
    }))
    .on('GET', '/api/register', () => ({
      positions: [{ ...card, jobs: 3, open: 0, lastSignedAt: '2026-03-02T06:00:00Z' }],
      more: false,
    }));

describe('a position', () => {
  it('has its jobs, its numbers over the years, and two jobs side by side', async () => {
    await openPage(`/positions/${ID}`, works());
    await until(() => the('section[aria-label="Jobs"] li'));
    expect(all('section[aria-label="Jobs"] li')).toHaveLength(3);
    await until(() => the('[role="img"][aria-label^="Residual clearance"]'));
    await until(() => the('section[aria-label="Two jobs side by side"]'));
    expect(document.body.textContent).not.toMatch(/NaN|undefined|[⟦⟧]/);
    expect(await violations()).toEqual([]);
  });

  it('is found in the register by words, and by its label', async () => {
    const server = works().on('GET', '/api/labels/:label', () => card);
    const { router } = await openPage('/register', server);
    await until(() => all('a').find((a) => a.textContent?.includes('Drive end')) ?? null);
    expect(await violations()).toEqual([]);
    const search = the<HTMLInputElement>('form input');
    fireEvent.change(search, { target: { value: 'ABCD-1234' } });
    fireEvent.submit(the('form'));
    await until(() => router.state.location.pathname === `/positions/${ID}`);
  });

  it('a label’s link leads to it', async () => {
    const { router } = await openPage(
      '/p/ABCD-1234',
      works().on('GET', '/api/labels/:label', () => card),
    );
    await until(() => router.state.location.pathname === `/positions/${ID}`);
  });

  it('a label nobody has says so', async () => {
    await openPage('/p/NONE-0000', works());
    await until(() => the('[role="alert"]'));
  });
});

describe('parts', () => {
  it('are found by what is stamped, with who checked them; a card without values is not written', async () => {
    const server = works().on('GET', '/api/parts', () => ({
      parts: [
        {
          key: '22220K',
          designation: '22220K',
          trade: tradeOf(bearing).id,
          values: { boreMm: 100 },
          source: 'maker’s sheet',
          version: 1,
          by: 'Asta',
          at: '2026-01-01T00:00:00Z',
          looked: null,
        },
      ],
    }));
    await openPage('/parts', server);
    fireEvent.change(await until(() => the('main input')), { target: { value: '22220K' } });
    await until(() => the('[aria-label="Parts"] li'));
    expect(await violations()).toEqual([]);
    await press('Add part');
    const open = await dialog();
    fireEvent.submit(await until(() => the('[role="dialog"] form')));
    await until(() => open.querySelector('[role="alert"]'));
    expect(server.written).toHaveLength(0);
  });
});

describe('the site and one’s own account', () => {
  it('settings are kept as they are, and saved by a lead hand', async () => {
    const plant = {
      ...SITE,
      site: 'Test works',
      worksFrom: '06:00',
      worksTo: '14:00',
      paper: 'A4',
      stockMm: [8, 10],
    };
    const server = works()
      .on('GET', '/api/plant', () => plant)
      .on('POST', '/api/plant', ({ body }) => ({ ...plant, ...(body as object) }));
    server.person = { id: 'imke', name: 'Imke', role: 'lead' };
    await openPage('/plant', server);
    const site = await until(() => the<HTMLInputElement>('main form input'));
    expect(site.value).toBe('Test works');
    fireEvent.submit(the('main form'));
    await until(() => server.written.length === 1);
    expect(server.written[0]?.body).toMatchObject({ site: 'Test works', stockMm: [8, 10] });
    expect(await violations()).toEqual([]);
  });

  it('a new password must be long enough, and what was typed stays', async () => {
    const server = works()
      .on('GET', '/api/account/sessions', () => ({
        sessions: [{ id: 's1', startedAt: '2026-12-01T00:00:00Z', device: 'tablet', here: true }],
      }))
      .on('GET', '/api/account/second', () => ({ on: false }))
      .on(
        'POST',
        '/api/account/password',
        () =>
          new Response(
            JSON.stringify({
              title: 'The password has faults.',
              faults: [{ path: 'password', message: 'Too short.' }],
            }),
            {
              status: 400,
              headers: { 'content-type': 'application/json' },
            },
          ),
      );
    await openPage('/account', server);
    const fields = await until(() =>
      all('main input[type="password"]').length > 1 ? all('main input[type="password"]') : null,
    );
    fields.forEach((f) => {
      fireEvent.change(f, { target: { value: 'short' } });
    });
    fireEvent.submit(the('main form'));
    await until(() => the('main [role="alert"]'));
    expect((fields[0] as HTMLInputElement).value).toBe('short');
    expect(await violations()).toEqual([]);
  });
});
