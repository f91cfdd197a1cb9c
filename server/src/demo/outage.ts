import { randomUUID } from 'node:crypto';
import {
  networkOf,
  type Outage,
  type OutageJob,
  outageSchema,
  planned,
  proposedBindings,
} from '@fulcrant/core/outage';
import { shaftsOf } from '../store/cards.ts';
import { type Database, rowsOf } from '../store/database.ts';
import { jobsOf, keepOutage, plantDurations } from '../store/outages.ts';
import { POSITIONS } from './works.ts';

const DAY = 86_400_000;
const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
/** The stop has so many jobs. */
const JOBS = 40;

/** Seven hands; two of them the fitters whose sheets stand here. Invented. */
const CREW: Outage['crew'] = [
  { id: 'asta', name: 'Asta', skills: ['bearings', 'measuring', 'seals'], shift: 0, away: [] },
  { id: 'bram', name: 'Bram', skills: ['seals', 'boxes', 'measuring', 'pumps'], shift: 0, away: [] },
  { id: 'cille', name: 'Cille', skills: ['bearings', 'measuring', 'leading'], shift: 0, away: [] },
  { id: 'dorte', name: 'Dorte', skills: ['seals', 'pumps'], shift: 0, away: [] },
  { id: 'emil', name: 'Emil', skills: ['bearings', 'boxes'], shift: 1, away: [] },
  { id: 'fritz', name: 'Fritz', skills: ['boxes', 'seals', 'measuring'], shift: 1, away: [] },
  { id: 'gesa', name: 'Gesa', skills: ['bearings', 'pumps', 'measuring', 'leading'], shift: 1, away: [] },
];

/** What else is to be done in the stop, where nothing is opened yet: round after round over the works’ places. */
const WORK = ['condition.survey', 'sleeve-bearing', 'regreasing', 'seal-wear'] as const;

/** The stop between two campaigns, half way through: what is open is worked, the rest lies ahead. */
export async function stopBetweenCampaigns(db: Database, ids: Map<string, string>): Promise<void> {
  const morning = new Date(Date.now() - 2 * DAY);
  morning.setUTCHours(5, 0, 0, 0);
  const startsAt = morning.toISOString();
  const wall = new Date(morning.getTime() + 4 * DAY);
  wall.setUTCHours(12, 0, 0, 0);
  const rows = await rowsOf<{
    id: string;
    position_id: string;
    kind: string;
    machine: string;
    position: string;
  }>(
    db,
    `SELECT id, position_id, JSON_VALUE(summary, '$.kind') AS kind, JSON_VALUE(summary, '$.machine') AS machine,
       JSON_VALUE(summary, '$.position') AS position
     FROM jobs WHERE state <> 'cancelled' AND opened_at >= ? ORDER BY opened_at, id`,
    [morning],
  );
  const jobs: OutageJob[] = rows.slice(0, JOBS - 10).map((r, i) => ({
    key: `a${i + 1}`,
    trade: r.kind,
    machine: r.machine,
    position: r.position,
    positionId: r.position_id,
    jobId: r.id,
  }));
  const places = Object.values(POSITIONS);
  for (let i = 0; jobs.length < JOBS; i++) {
    const place = places[i % places.length];
    if (!place) break;
    const trade = WORK[Math.floor(i / places.length) % WORK.length] as string;
    const work = i < places.length ? (place.procedure ?? 'sleeve-bearing') : trade;
    const taken = jobs.some(
      (j) => j.machine === place.machine && j.position === place.position && j.trade === work,
    );
    if (taken) continue;
    jobs.push({
      key: `b${jobs.length + 1}`,
      trade: work,
      machine: place.machine,
      position: place.position,
      positionId: ids.get(`${place.machine}|${place.position}`),
    });
  }
  const shafts = await Promise.all([...new Set(jobs.map((j) => j.machine))].map((m) => shaftsOf(db, m)));
  const breaks = (a: string, b: string) => [
    { from: a, to: a.replace(':00', ':15') },
    { from: b, to: b.replace(':00', ':30') },
  ];
  const outage = outageSchema.cast({
    name: 'Stop between campaigns',
    startsAt,
    endsAt: wall.toISOString(),
    shifts: [
      {
        name: 'Early',
        from: '06:00',
        to: '14:00',
        breaks: breaks('09:00', '12:00'),
        days: [1, 2, 3, 4, 5, 6, 7],
      },
      {
        name: 'Late',
        from: '14:00',
        to: '22:00',
        breaks: breaks('17:00', '20:00'),
        days: [1, 2, 3, 4, 5, 6, 7],
      },
    ],
    crew: CREW,
    tools: [
      { name: 'hydraulic pump', count: 1 },
      { name: 'crane', count: 1 },
      { name: 'torque wrench', count: 2, least: 20, most: 110 },
      { name: 'torque wrench', count: 1, least: 70, most: 350 },
      { name: 'dial on a base', count: 3 },
      { name: 'run-in watch', count: 2 },
    ],
    windows: [
      {
        machine: 'Beet washer drum',
        from: startsAt,
        to: new Date(morning.getTime() + 5 * DAY).toISOString(),
      },
    ],
    jobs,
    bindings: proposedBindings(jobs, shafts.flat()),
    pins: [],
  }) as Outage;
  const { setups, progress, ended } = await jobsOf(db, outage);
  const net = networkOf(outage, {
    zone: ZONE,
    at: new Date().toISOString(),
    setups,
    progress,
    ended,
    durations: await plantDurations(db),
  });
  const plan = planned(net.network, { looks: 30 });
  await keepOutage(
    db,
    randomUUID(),
    0,
    {
      ...outage,
      plan: {
        madeAt: new Date().toISOString(),
        end: plan.end,
        bound: plan.bound.end,
        by: plan.bound.by,
        placed: plan.placed
          .filter((p) => Number.isFinite(p.finish))
          .map((p) => ({ task: p.id, start: p.start, finish: p.finish, units: [...p.units] })),
      },
    },
    'imke',
  );
  if (plan.broken.length > 0)
    throw new Error(
      `The demo’s stop cannot be planned: ${plan.broken[0]?.task} ${JSON.stringify(plan.broken[0]?.why)}`,
    );
}
