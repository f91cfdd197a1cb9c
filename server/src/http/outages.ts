import { randomUUID } from 'node:crypto';
import { check } from '@fulcrant/core/judgement';
import { kitOf, kitRowKey, type Outage, type OutageTold, outageSchema } from '@fulcrant/core/outage';
import { say } from '@fulcrant/core/units';
import type { Context } from 'koa';
import { boolean, number, object, string } from 'yup';
import { csvOf } from '../export/csv.ts';
import type { PlanAsked, PlanFile } from '../heavy/tasks.ts';
import { shaftsOf } from '../store/cards.ts';
import {
  outages as allOutages,
  jobsOf,
  keepOutage,
  laidOf,
  layOut,
  lineOf,
  outageById,
  plantDurations,
} from '../store/outages.ts';
import { PLANT_ZONE } from '../store/rules.ts';
import { asBuffer } from './bytes.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, type House, LEADS, RECORDERS, type Route } from './routes.ts';

const laidSchema = object({
  row: string().min(1).max(200).required(),
  laid: boolean().required(),
}).noUnknown();

const changedSchema = object({
  after: number().integer().min(0).required(),
  outage: outageSchema.required(),
}).noUnknown();

async function knownOutage(house: House, id: string | undefined) {
  const told = /^[0-9a-f-]{36}$/.test(id ?? '') ? await outageById(house.db, id as string) : null;
  if (!told) throw new Problem(404, 'There is no such outage.');
  return told;
}

/** Faults of an outage within a body, by its own fields. */
const within = (faults: ReadonlyArray<{ path: string; message: string }>) =>
  faults.map((f) => ({ ...f, path: f.path.replace(/^outage\./, '') }));

/** All an outage’s plan is made from, as it is known now. */
export async function plannedFrom(db: House['db'], { id, outage }: OutageTold): Promise<PlanAsked> {
  const at = new Date().toISOString();
  const [known, durations] = await Promise.all([jobsOf(db, outage), plantDurations(db)]);
  return { id, outage, ...known, durations, zone: PLANT_ZONE, at };
}

const planAs = async ({ db }: House, told: OutageTold, as: PlanFile): Promise<string | Uint8Array> =>
  db.workshop.do('plan', { ...(await plannedFrom(db, told)), as });

const attach = (ctx: Context, outage: Outage, ending: string, type: string) => {
  ctx.attachment(`${outage.name.replace(/[^\p{L}\p{N} -]/gu, '').slice(0, 60) || 'outage'}.${ending}`);
  ctx.type = type;
};

/** Outages: what is to be done in a window, by whom, bound how; the plan as it was last adopted; and how it leaves the house. */
export const outages: Route[] = [
  {
    method: 'get',
    path: '/api/outages',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }) {
      ctx.body = { outages: (await allOutages(house.db)).map(lineOf) };
    },
  },
  {
    method: 'post',
    path: '/api/outages',
    who: LEADS,
    asks: outageSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(outageSchema, body);
      if (!checked.ok) throw new Problem(400, 'The outage is not right yet.', checked.faults);
      const id = randomUUID();
      await keepOutage(house.db, id, 0, checked.value as Outage, me.id);
      ctx.status = 201;
      ctx.body = { told: await outageById(house.db, id) };
    },
  },
  {
    method: 'get',
    path: '/api/outages/:id',
    who: EVERYONE_SIGNED_IN,
    /** As it stands, with what is known of its jobs: setups, how far they are, how long their pieces take here. */
    async run({ ctx, house, params }) {
      const told = await knownOutage(house, params.id);
      const machines = [...new Set(told.outage.jobs.map((j) => j.machine))];
      const [known, durations, shafts, laid] = await Promise.all([
        jobsOf(house.db, told.outage),
        plantDurations(house.db),
        Promise.all(machines.map((m) => shaftsOf(house.db, m))),
        laidOf(house.db, told.id),
      ]);
      ctx.body = {
        told,
        setups: known.setups,
        progress: known.progress,
        ended: known.ended,
        durations,
        shafts: shafts.flat(),
        laid,
        zone: PLANT_ZONE,
        at: new Date().toISOString(),
      };
    },
  },
  {
    method: 'post',
    path: '/api/outages/:id',
    who: LEADS,
    asks: changedSchema,
    /** A new version, of the one it was made from; where somebody else was first, that is said and nothing is lost. */
    async run({ ctx, house, body, params }, me) {
      const told = await knownOutage(house, params.id);
      const checked = check(changedSchema, body);
      if (!checked.ok) throw new Problem(400, 'The outage is not right yet.', within(checked.faults));
      const { after, outage } = checked.value;
      if (!(await keepOutage(house.db, told.id, after, outage as Outage, me.id)))
        throw new Problem(
          409,
          'Somebody else has changed this outage meanwhile: look at it again, then change it.',
        );
      ctx.body = { told: await outageById(house.db, told.id) };
    },
  },
  {
    method: 'post',
    path: '/api/outages/:id/laid',
    who: RECORDERS,
    asks: laidSchema,
    /** A row of the kit lies ready, or does no more. It is no change of the plan: two may tick at once. */
    async run({ ctx, house, body, params }, me) {
      const { id, outage } = await knownOutage(house, params.id);
      const checked = check(laidSchema, body);
      if (!checked.ok) throw new Problem(400, 'That is no row of a kit.', checked.faults);
      const { row, laid } = checked.value;
      const { rows } = kitOf(outage, (await jobsOf(house.db, outage)).setups);
      if (!rows.some((r) => kitRowKey(r) === row))
        throw new Problem(404, 'There is no such row in this kit.');
      await layOut(house.db, id, row, laid ? me.id : null);
      ctx.body = { laid: await laidOf(house.db, id) };
    },
  },
  {
    method: 'get',
    path: '/api/outages/:id/plan.ics',
    who: EVERYONE_SIGNED_IN,
    /** `?who=` one of the crew, by id; of all where it is left out. */
    async run({ ctx, house, params }) {
      const told = await knownOutage(house, params.id);
      const who = typeof ctx.query.who === 'string' ? ctx.query.who : null;
      if (who !== null && !told.outage.crew.some((c) => c.id === who))
        throw new Problem(404, 'Nobody of that name is in the crew.');
      ctx.body = await planAs(house, told, { file: 'ics', who });
      attach(ctx, told.outage, 'ics', 'text/calendar; charset=utf-8');
    },
  },
  {
    method: 'get',
    path: '/api/outages/:id/plan.csv',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house, params }) {
      const told = await knownOutage(house, params.id);
      ctx.body = await planAs(house, told, { file: 'csv' });
      attach(ctx, told.outage, 'csv', 'text/csv; charset=utf-8');
    },
  },
  {
    method: 'get',
    path: '/api/outages/:id/kit.csv',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house, params }) {
      const { outage } = await knownOutage(house, params.id);
      const { rows } = kitOf(outage, (await jobsOf(house.db, outage)).setups);
      ctx.body = csvOf(
        rows.map(({ group, item, count, unit, jobs }) => ({
          group,
          item: say(item, 'mm'),
          count,
          unit,
          for: jobs.map((j) => `${j.job.machine}, ${j.job.position}`).join('; '),
        })),
      );
      attach(ctx, outage, 'csv', 'text/csv; charset=utf-8');
    },
  },
  {
    method: 'get',
    path: '/api/outages/:id/board.pdf',
    who: EVERYONE_SIGNED_IN,
    /** `?size=` A3, A4 or LETTER. */
    async run({ ctx, house, params }) {
      const told = await knownOutage(house, params.id);
      const asked = String(ctx.query.size ?? 'A3').toUpperCase();
      const size = asked === 'A4' || asked === 'LETTER' ? asked : 'A3';
      ctx.body = asBuffer((await planAs(house, told, { file: 'pdf', size })) as Uint8Array);
      ctx.type = 'application/pdf';
    },
  },
];
