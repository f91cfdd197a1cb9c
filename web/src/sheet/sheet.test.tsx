import type { Setup } from '@fulcrant/core/job';
import { fitUpSheet } from '@fulcrant/core/sheet';
import { fireEvent } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EVERY_KIND, upTo, workAll } from '../../../core/src/testing/every-kind.ts';
import { freshJob, openPage } from '../testing/open.tsx';
import { FakeServer } from '../testing/server.ts';
import { giveReason, the } from '../testing/sheet.ts';
import { until } from '../testing/until.ts';
import { violations } from '../testing/violations.ts';

/** A server that keeps signed sheets as they fold. */
function archive(): FakeServer {
  const server = new FakeServer();
  return server.on('GET', '/api/jobs/:id/sheet.json', ({ path }) => ({
    ...fitUpSheet(server.state(path.split('/')[3] ?? ''), 'H-0001'),
    contentHash: 'f'.repeat(64),
    frozen: { revision: 1, rules: '0.2.0+test', origin: 'signed', at: '2026-12-01T00:00:00Z' },
  }));
}

describe('the sheet', () => {
  it.each(['by feelers', 'packed', 'surveyed', 'taken off by pump'])(
    'of a signed job (%s) holds every reading with who took it, and is right for a screen reader',
    async (kind) => {
      const hand = workAll(freshJob(EVERY_KIND[kind] as Setup));
      await openPage(`/jobs/${hand.jobId}/sheet`, archive().hold(hand.events));
      await until(() => the('[data-kept="signed"]'));
      const text = document.body.textContent ?? '';
      for (const r of hand.state.readings) expect(text).toContain(r.raw);
      expect(text).not.toMatch(/NaN|undefined|[⟦⟧]/);
      expect(await violations()).toEqual([]);
    },
  );

  it('of a job under way is told as the work stands', async () => {
    const hand = upTo(freshJob(EVERY_KIND['by feelers'] as Setup), 'bench');
    await openPage(`/jobs/${hand.jobId}/sheet`, archive().hold(hand.events));
    await until(() => the('main h1'));
    expect(document.querySelector('[data-kept="signed"]')).toBeNull();
  });

  it('is corrected as a revision, with a reason; the job opens', async () => {
    const hand = workAll(freshJob(EVERY_KIND['worn seal'] as Setup));
    const server = archive().hold(hand.events);
    const { router } = await openPage(`/jobs/${hand.jobId}/sheet`, server);
    fireEvent.click(await until(() => the('[data-revise]')));
    await giveReason('read off the wrong line', 'Start');
    await until(() => router.state.location.pathname === `/jobs/${hand.jobId}`);
    await until(() => server.state(hand.jobId).signed === null);
  });
});
