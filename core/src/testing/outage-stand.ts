import type { Setup } from '../engine/setup.ts';
import { tradeOf } from '../engine/trades.ts';
import { type Outage, type OutageJob, outageSchema } from '../planning/outage.ts';
import { EVERY_KIND } from './every-kind.ts';

/** The trade of a kind of job. */
const of = (kind: string): string => tradeOf(EVERY_KIND[kind] as Setup).id;

/** An outage of the test stand: a fan and a pump, three hands, some shared tools. */
export const job = (
  key: string,
  trade: string,
  machine: string,
  position: string,
  positionId?: string,
): OutageJob => ({ key, trade, machine, position, ...(positionId ? { positionId } : {}) }) as OutageJob;
export const ID = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;

export const DAY = {
  name: 'Day',
  from: '06:00',
  to: '14:00',
  breaks: [
    { from: '09:00', to: '09:15' },
    { from: '12:00', to: '12:30' },
  ],
  days: [1, 2, 3, 4, 5, 6, 7],
};
export const OUTAGE = outageSchema.cast({
  name: 'Between campaigns',
  startsAt: '2027-03-01T05:00:00.000Z',
  endsAt: '2027-03-04T13:00:00.000Z',
  shifts: [DAY],
  crew: [
    { id: 'asta', name: 'Asta', skills: ['bearings', 'measuring'], shift: 0 },
    { id: 'bram', name: 'Bram', skills: ['seals', 'boxes', 'measuring'], shift: 0 },
    { id: 'cora', name: 'Cora', skills: ['bearings', 'pumps', 'seals'], shift: 0 },
  ],
  tools: [
    { name: 'hydraulic pump', count: 1 },
    { name: 'torque wrench', count: 1 },
    { name: 'run-in watch', count: 2 },
  ],
  jobs: [
    job('f', of('by feelers'), 'Fan 3', 'Drive end', ID(1)),
    job('g', of('by feelers'), 'Fan 3', 'Outboard', ID(2)),
    job('s', of('surveyed'), 'Fan 3', 'Both', ID(3)),
    job('p', of('packed'), 'Pump 2', 'Box', ID(4)),
    job('d', of('taken off'), 'Fan 3', 'Drive end', ID(1)),
  ],
}) as Outage;
export const KNOWN = { zone: 'Europe/Berlin', at: OUTAGE.startsAt };
export const SHAFT = {
  stations: [
    { positionId: ID(1), role: 'fixed' },
    { positionId: ID(2), role: 'float' },
  ],
};
