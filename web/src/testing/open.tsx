import { BearingHand } from '@fulcrant/core/examples';
import type { Setup } from '@fulcrant/core/job';
import { cleanup, render } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import { upTo } from '../../../core/src/testing/every-kind.ts';
import { asta, newId, tools } from '../../../core/src/testing/test-stand.ts';
import { newQueryClient } from '../data/query-client.ts';
import { Providers } from '../Providers.tsx';
import { ROUTES } from '../routes.tsx';
import { FakeServer, SITE } from './server.ts';
import { until } from './until.ts';

/** A page of the application as a person meets it, over a server of the test's own. */
export async function openPage(path: string, server = new FakeServer()) {
  vi.stubGlobal('fetch', server.fetch);
  // Whoever took over without the server stays who is here.
  if (server.person && localStorage.getItem('fulcrant.unconfirmed') === null) {
    localStorage.setItem('fulcrant.person', JSON.stringify(server.person));
    localStorage.setItem('fulcrant.plant', JSON.stringify(SITE));
  }
  const router = createMemoryRouter(ROUTES, { initialEntries: [path] });
  const client = newQueryClient();
  render(
    <Providers client={client}>
      <RouterProvider router={router} />
    </Providers>,
  );
  await until(() => document.querySelector('main:not([data-loading])'));
  await until(() => document.querySelector('h1'));
  return { server, router, client };
}

/** A hand at a job of a test of its own, just opened. */
export function freshJob(setup: Setup): BearingHand {
  return new BearingHand(newId(), newId, tools, asta, new Date(Date.now() - 3 * 3_600_000)).open(
    newId(),
    setup,
  );
}

/** The sheet of a job worked by the book as far as a step. */
export async function openJobAt(setup: Setup, step: string, server = new FakeServer()) {
  const hand = upTo(freshJob(setup), step);
  server.hold(hand.events);
  const page = await openPage(`/jobs/${hand.jobId}`, server);
  return { ...page, hand, jobId: hand.jobId, state: () => server.state(hand.jobId) };
}

/** The page is loaded again, as after a reload or by another person at the same device. */
export async function reload(jobId: string, server: FakeServer) {
  cleanup();
  return openPage(`/jobs/${jobId}`, server);
}
