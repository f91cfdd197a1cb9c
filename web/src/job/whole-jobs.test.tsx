import type { JobEvent, JobState, Setup } from '@fulcrant/core/job';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { EVERY_KIND, workAll } from '../../../core/src/testing/every-kind.ts';
import { freshJob, openPage } from '../testing/open.tsx';
import { Worker } from '../testing/replay.ts';
import { FakeServer } from '../testing/server.ts';

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date'] });
});
afterEach(() => {
  vi.useRealTimers();
});

/** One of each kind of work; `npm run proof -- jobs` takes all there are. */
const SHORT = [
  'by feelers',
  'split bearing',
  'cartridge seal',
  'fully split seal',
  'packed',
  'plunger',
  'vane pump, hung, one head',
  'worn seal',
  'taken off by pump',
  'regreased',
  'surveyed',
];
const KINDS = process.env.FULCRANT_TRIES ? Object.keys(EVERY_KIND) : SHORT;

/** What is done on the page in ways of its own, and tried in tests of its own: another place than the next, parts in order, shims in heaps. */
const OTHERWISE = 6;

/** What a job holds, without the identifiers and times that differ between two who do the same. */
const told = (state: JobState) => ({
  readings: state.readings.map((r) => [r.step, r.place, Number(r.value.toFixed(6)), r.instrument.id]),
  answers: state.answers.map((a) => [a.step, a.item, a.answer, a.note ?? '']),
  ticks: state.ticks.map((t) => [t.step, t.pass, t.bolt, Number(t.torqueNm.toFixed(3)), t.moved ?? false]),
  steps: state.steps.map((s) => [s.id, s.status]),
});

describe('a whole job by the fields and buttons of its sheet is the job that was done', () => {
  it.each(KINDS)('%s', async (kind) => {
    const hand = workAll(freshJob(EVERY_KIND[kind] as Setup));
    const [opened, ...rest] = hand.events as [JobEvent, ...JobEvent[]];
    const server = new FakeServer().hold([opened]);
    const { client } = await openPage(`/jobs/${hand.jobId}`, server);
    const worker = new Worker(() => server.state(hand.jobId));
    let otherwise = 0;
    for (const event of rest) {
      if (await worker.do(event)) continue;
      otherwise++;
      server.add(event);
      await client.invalidateQueries();
    }
    expect(otherwise).toBeLessThanOrEqual(OTHERWISE);
    expect(told(server.state(hand.jobId))).toEqual(told(hand.state));
    expect(server.state(hand.jobId).signed?.author.name).toBe('Asta');
  });
});
