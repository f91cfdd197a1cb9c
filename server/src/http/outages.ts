import { randomUUID } from 'node:crypto';
import { COMMON } from '@fulcrant/core/messages';
import { kitOf, kitRowKey, laidNow, type Outage, type OutageTold, outageSchema } from '@fulcrant/core/outage';
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
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import {
  answers,
  EVERYONE_SIGNED_IN,
  file,
  type House,
  LEADS,
  made,
  RECORDERS,
  type Route,
  route,
} from './routes.ts';
import { listOf, moment, ofItsOwn, outageLineShape, text, told } from './shapes.ts';

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
  if (!told) throw new Problem(404, M.thereNoSuchOutage);
  return told;
}

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
  route({
    method: 'get',
    path: '/api/outages',
    who: EVERYONE_SIGNED_IN,
    summary: COMMON.outages,
    answer: answers(told({ outages: listOf(outageLineShape) })),
    async run({ house }) {
      return { outages: (await allOutages(house.db)).map(lineOf) };
    },
  }),
  route({
    method: 'post',
    path: '/api/outages',
    who: LEADS,
    summary: M.planOutage,
    asks: outageSchema,
    refused: M.outageNotRightYet,
    answer: made(told({ told: ofItsOwn<OutageTold>() })),
    async run({ house, body }, me) {
      const id = randomUUID();
      await keepOutage(house.db, id, 0, body as Outage, me.id);
      return { told: await outageById(house.db, id) };
    },
  }),
  route({
    method: 'get',
    path: '/api/outages/:id',
    who: EVERYONE_SIGNED_IN,
    summary: M.outageWhatKnownJobs,
    answer: answers(
      told({
        told: ofItsOwn<OutageTold>(),
        setups: ofItsOwn(),
        progress: ofItsOwn(),
        ended: ofItsOwn(),
        durations: ofItsOwn(),
        shafts: listOf(ofItsOwn()),
        laid: ofItsOwn(),
        zone: text,
        at: moment,
      }),
    ),
    /** As it stands, with what is known of its jobs: setups, how far they are, how long their pieces take here. */
    async run({ house, params }) {
      const told = await knownOutage(house, params.id);
      const machines = [...new Set(told.outage.jobs.map((j) => j.machine))];
      const [known, durations, shafts, laid] = await Promise.all([
        jobsOf(house.db, told.outage),
        plantDurations(house.db),
        Promise.all(machines.map((m) => shaftsOf(house.db, m))),
        laidOf(house.db, told.id),
      ]);
      return {
        told,
        setups: known.setups,
        progress: known.progress,
        ended: known.ended,
        durations,
        shafts: shafts.flat(),
        laid: laidNow(kitOf(told.outage, known.setups).rows, laid),
        zone: PLANT_ZONE,
        at: new Date().toISOString(),
      };
    },
  }),
  route({
    method: 'post',
    path: '/api/outages/:id',
    who: LEADS,
    summary: M.changeOutage,
    faultsIn: 'outage',
    asks: changedSchema,
    refused: M.outageNotRightYet,
    answer: answers(told({ told: ofItsOwn<OutageTold>() })),
    problems: [409],
    /** A new version, of the one it was made from; where somebody else was first, that is said and nothing is lost. */
    async run({ house, body, params }, me) {
      const told = await knownOutage(house, params.id);
      const { after, outage } = body;
      if (!(await keepOutage(house.db, told.id, after, outage as Outage, me.id)))
        throw new Problem(409, M.somebodyElseHasChangedOutage);
      return { told: await outageById(house.db, told.id) };
    },
  }),
  route({
    method: 'post',
    path: '/api/outages/:id/laid',
    who: RECORDERS,
    summary: M.tickRowPartsTools,
    asks: laidSchema,
    refused: M.noRowKit,
    answer: answers(told({ laid: ofItsOwn() })),
    problems: [404],
    /** A row of the kit lies ready, or does no more. It is no change of the plan: two may tick at once. */
    async run({ house, body, params }, me) {
      const { id, outage } = await knownOutage(house, params.id);
      const { row, laid } = body;
      const { rows } = kitOf(outage, (await jobsOf(house.db, outage)).setups);
      if (!rows.some((r) => kitRowKey(r) === row)) throw new Problem(404, M.thereNoSuchRowKit);
      const before = await laidOf(house.db, id);
      if (laid) await layOut(house.db, id, row, me.id);
      else
        for (const kept of new Set([row, ...Object.keys(before)]))
          if (laidNow(rows, { [kept]: '' })[row] !== undefined) await layOut(house.db, id, kept, null);
      return { laid: laidNow(rows, await laidOf(house.db, id)) };
    },
  }),
  route({
    method: 'get',
    path: '/api/outages/:id/plan.ics',
    who: EVERYONE_SIGNED_IN,
    summary: M.planOutageAsCalendar,
    query: object({ who: string().max(40) }),
    answer: file('text/calendar'),
    problems: [404],
    /** `?who=` one of the crew, by id; of all where it is left out. */
    async run({ ctx, house, params, query }) {
      const told = await knownOutage(house, params.id);
      const who = query.who ?? null;
      if (who !== null && !told.outage.crew.some((c) => c.id === who))
        throw new Problem(404, M.nobodyNameCrew);
      ctx.body = await planAs(house, told, { file: 'ics', who });
      attach(ctx, told.outage, 'ics', 'text/calendar; charset=utf-8');
    },
  }),
  route({
    method: 'get',
    path: '/api/outages/:id/plan.csv',
    who: EVERYONE_SIGNED_IN,
    summary: M.planOutageAsCsv,
    answer: file('text/csv'),
    async run({ ctx, house, params }) {
      const told = await knownOutage(house, params.id);
      ctx.body = await planAs(house, told, { file: 'csv' });
      attach(ctx, told.outage, 'csv', 'text/csv; charset=utf-8');
    },
  }),
  route({
    method: 'get',
    path: '/api/outages/:id/kit.csv',
    who: EVERYONE_SIGNED_IN,
    summary: M.partsToolsOutageAsCsv,
    answer: file('text/csv'),
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
  }),
  route({
    method: 'get',
    path: '/api/outages/:id/board.pdf',
    who: EVERYONE_SIGNED_IN,
    summary: M.planOutagePrint,
    query: object({ size: string().max(10) }),
    answer: file('application/pdf'),
    /** `?size=` A3, A4 or LETTER. */
    async run({ ctx, house, params, query }) {
      const told = await knownOutage(house, params.id);
      const asked = (query.size ?? 'A3').toUpperCase();
      const size = asked === 'A4' || asked === 'LETTER' ? asked : 'A3';
      ctx.body = asBuffer((await planAs(house, told, { file: 'pdf', size })) as Uint8Array);
      ctx.type = 'application/pdf';
    },
  }),
];
