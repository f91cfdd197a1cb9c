import { networkOf, planned } from '@fulcrant/core/outage';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { KNOWN, OUTAGE } from '../../../core/src/testing/outage-stand.ts';
import { openPage } from '../testing/open.tsx';
import { FakeServer, IMKE, OSKAR } from '../testing/server.ts';
import { all, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';
import { violations } from '../testing/violations.ts';
import { withPlan } from './change.ts';

const known = { ...KNOWN, setups: {}, durations: {}, progress: {}, ended: {} };
const plan = planned(networkOf(OUTAGE, known).network, { looks: 20, seed: 1 });
const PLANNED = withPlan(OUTAGE, plan, plan.bound, OUTAGE.startsAt);
const ID = '018f0000-0000-7000-8000-00000000eeee';

function works(): FakeServer {
  const told = { id: ID, version: 2, by: 'Imke', at: OUTAGE.startsAt, outage: PLANNED };
  const server = new FakeServer()
    .on('GET', '/api/outages', () => ({
      outages: [
        { id: ID, name: OUTAGE.name, startsAt: OUTAGE.startsAt, endsAt: OUTAGE.endsAt, jobs: 5, version: 2 },
      ],
    }))
    .on('GET', '/api/outages/:id', () => ({ ...known, told, shafts: [], laid: {} }));
  server.person = IMKE;
  return server;
}

describe('an outage', () => {
  it('has every planned task once on its board, and its parts are right for a screen reader', async () => {
    await openPage(`/outages/${ID}`, works());
    await until(() => the('[data-piece]'));
    const pieces = new Set(all('[data-piece]').map((p) => p.dataset.piece));
    for (const p of PLANNED.plan?.placed ?? []) expect(pieces).toContain(p.task);
    for (const part of all('[role="tab"]')) {
      fireEvent.mouseDown(part);
      fireEvent.click(part);
      await until(() => part.getAttribute('aria-selected') === 'true');
      expect(document.body.textContent).not.toMatch(/NaN|undefined|[⟦⟧]/);
    }
    expect(await violations()).toEqual([]);
  });

  it('a viewer reads it and changes nothing', async () => {
    const server = works();
    server.person = OSKAR;
    await openPage(`/outages/${ID}`, server);
    await until(() => the('[data-piece]'));
    expect(document.querySelector('[data-plan]')).toBeNull();
  });

  it('stands in the list', async () => {
    await openPage('/outages', works());
    await until(() => document.body.textContent?.includes(OUTAGE.name) || null);
  });
});
