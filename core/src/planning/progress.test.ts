import { describe, expect, it } from 'vitest';
import type { Setup } from '../engine/setup.ts';
import { procedureFor } from '../engine/trades.ts';
import { EVERY_KIND, upTo } from '../testing/every-kind.ts';
import { handAt } from '../testing/test-stand.ts';
import type { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import { type Outage, outageSchema } from './outage.ts';
import { progressOf } from './progress.ts';
import { networkOf } from './tasks.ts';

const worked = (kind: string, to = 'sign'): BearingHand => upTo(handAt(EVERY_KIND[kind] as Setup), to);

/** An outage of that one job, as it stands; its pieces by what they are. */
function statesOf(h: BearingHand, ended = false): Record<string, string> {
  const setup = h.state.setup;
  const outage = outageSchema.cast({
    name: 'One job',
    startsAt: '2026-11-24T05:00:00.000Z',
    endsAt: '2026-11-28T05:00:00.000Z',
    shifts: [{ name: 'Day', from: '06:00', to: '14:00', days: [1, 2, 3, 4, 5, 6, 7] }],
    crew: [
      { id: 'asta', name: 'Asta', skills: ['bearings', 'measuring', 'seals', 'boxes', 'pumps'], shift: 0 },
    ],
    jobs: [
      {
        key: 'j',
        trade: setup.procedure ?? 'sleeve-bearing',
        machine: setup.machine,
        position: setup.position,
      },
    ],
  }) as Outage;
  const { pieces } = networkOf(outage, {
    zone: 'UTC',
    at: '2026-11-25T12:00:00.000Z',
    setups: { j: setup },
    progress: { j: progressOf(h.state) },
    ended: { j: ended },
  });
  return Object.fromEntries(
    [...pieces.values()].filter((p) => !p.waits).map((p) => [p.id.slice(2), p.state]),
  );
}

describe('how far a job has come, for the plan', () => {
  it('at the signature all is done; half way what comes next is begun or ahead', () => {
    expect(new Set(Object.values(statesOf(worked('by feelers'))))).toEqual(new Set(['done']));
    expect(statesOf(worked('by feelers', 'driveup'))).toMatchObject({
      measured: 'done',
      bench: 'done',
      driveup: 'ahead',
      close: 'ahead',
    });
    const h = worked('by feelers', 'lock');
    expect(statesOf(h)).toMatchObject({ bench: 'done', driveup: 'begun', close: 'ahead' });
  });

  it('what is loosened again is work again, and what stands on it too; what lies before it stays done', () => {
    const h = worked('by feelers');
    h.do('bolts.loosened', { step: 'bolts', reason: 'it weeps' });
    expect(statesOf(h)).toMatchObject({ measured: 'done', bench: 'done', driveup: 'done' });
    expect(statesOf(h).close).not.toBe('done');
  });

  it('dismounted, drive-up and closing lie ahead again, however much was read there before', () => {
    const h = worked('by feelers');
    h.act('dismount', undefined, 'driven past');
    const states = statesOf(h);
    expect(states.measured).toBe('done');
    expect(states).toMatchObject({ driveup: 'ahead', close: 'ahead' });
    expect(progressOf(h.state).driveup).toBe('again');
  });

  it('a job that has ended holds up nobody: what was touched is done, the rest is left out', () => {
    const h = worked('by feelers', 'driveup');
    const ended = statesOf(h, true);
    expect(ended).toEqual({ measured: 'done', bench: 'done' });
  });

  it('of every kind of job, at every step: a piece before one that is begun is done, unless opened again', () => {
    for (const [kind, setup] of Object.entries(EVERY_KIND)) {
      const ids = procedureFor(setup).steps.map((s) => s.id);
      const step = ids[Math.floor(ids.length / 2)] ?? 'sign';
      const states = Object.values(statesOf(worked(kind, step)));
      const lastDone = states.lastIndexOf('done');
      expect(
        states.slice(0, lastDone + 1).every((s) => s === 'done'),
        `${kind} at ${step}`,
      ).toBe(true);
      expect(states.filter((s) => s === 'begun').length, kind).toBeLessThanOrEqual(1);
    }
  });
});
