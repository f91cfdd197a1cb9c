import { type JobEvent, procedureFor, reduce, type Setup } from '@fulcrant/core/job';
import { v7 } from 'uuid';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EVERY_KIND, workStep } from '../../../core/src/testing/every-kind.ts';
import { handAt, tools } from '../../../core/src/testing/test-stand.ts';
import { layHandCards } from '../demo/hand-cards.ts';
import { type Caller, caller, openHouse, type TestHouse } from '../testing/house.ts';

let house: TestHouse;
let asta: Caller;
beforeAll(async () => {
  house = await openHouse();
  asta = await caller(house.url, 'Asta');
  // The gauges of the test stand, as a plant would enter its own.
  const gauges = Object.values(tools).map((t) => ({ ...t, standIn: false }));
  await house.owner.models.Instrument.bulkCreate(gauges, {
    updateOnDuplicate: ['step', 'low', 'high', 'name', 'kind'],
  });
  await layHandCards(house.owner, ['asta'], gauges);
});
afterAll(() => house?.close());

/** Kinds that are worked through over the wire: what goes into a stuffing box, and pumps taken apart. */
const WORKED = Object.entries(EVERY_KIND).filter(([, setup]) =>
  ['seal', 'packing', 'plunger', 'gear-pump', 'vane-pump'].includes(setup.procedure ?? ''),
);
const MOST = 150;

/** Every act at a step that is not the present one. */
function illegal(
  setup: Setup,
  present: string | null,
  as: (type: string, data: object) => JobEvent,
): JobEvent[] {
  return procedureFor(setup).steps.flatMap((s) => {
    if (s.id === present) return [];
    const acts = [as('step.passed', { step: s.id })];
    const [item] = s.items ?? [];
    if (item) acts.push(as('gate.answered', { step: s.id, item: item.id, answer: 'yes', note: 'seen' }));
    if (s.kind.bolt)
      acts.push(as('bolt.tightened', { step: s.id, pass: 0, bolt: 1, torqueNm: 0, instrument: wrench }));
    return acts;
  });
}
const wrench = {
  id: 'wrench-0',
  name: 'Wrench 0, 2-12',
  kind: 'wrench',
  step: 0.1,
  low: 2,
  high: 12,
  calibrationDue: '2099-01-01',
};

it.each(WORKED)(
  '%s: in every state on the way, the server refuses what is not the next step, and says why',
  async (_name, setup) => {
    const h = handAt({ ...setup, position: `Order ${v7()}` });
    const jobId = v7();
    const author = { id: 'asta', name: 'Asta', role: 'fitter' };
    const base = { jobId, author, at: new Date().toISOString() };
    const as = (type: string, data: object) => ({ ...base, id: v7(), type, data }) as unknown as JobEvent;
    let sent = 0;
    const post = async (events: JobEvent[]) => {
      const { status, body } = await asta('POST', `/api/jobs/${jobId}/events`, { events });
      expect(status).toBe(200);
      return body.outcomes as Array<{ outcome: string; reason?: string }>;
    };
    /** What the hand did since, as this person's acts on this job. */
    const follow = async () => {
      const fresh = h.events.slice(sent).map((e) => {
        const data = e.type === 'job.opened' ? { ...e.data, positionId: v7() } : e.data;
        return { ...e, jobId, id: v7(), author, data } as JobEvent;
      });
      sent = h.events.length;
      for (const o of await post(fresh)) expect(o).toMatchObject({ outcome: 'stored' });
    };
    await follow();
    let refused = 0;
    for (let i = 0; i < 40 && h.state.present && h.state.present !== 'sign'; i++) {
      const present = h.state.present;
      const wrong = illegal(h.state.setup, present, as).slice(0, MOST);
      for (const o of await post(wrong)) {
        expect(o.outcome).toBe('refused');
        expect(o.reason?.length ?? 0).toBeGreaterThan(10);
        refused++;
      }
      workStep(h);
      h.pass(present);
      await follow();
    }
    expect(refused).toBeGreaterThan(40);
    // Nothing of what was refused is in the record.
    const { body } = await asta('GET', `/api/jobs/${jobId}`);
    expect(body.events).toHaveLength(h.events.length);
    expect(reduce(body.events as JobEvent[])?.present).toBe('sign');
  },
);
