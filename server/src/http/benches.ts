import type { JobEvent, Rig } from '@fulcrant/core/job';
import { check } from '@fulcrant/core/judgement';
import {
  type Action,
  type Attempt,
  actionsSchema,
  admitted,
  competenceSchema,
  type HandedIn,
  handedInSchema,
  rigOf,
  setSchema,
} from '@fulcrant/practice';
import type { BenchOf } from '../heavy/tasks.ts';
import {
  competencesOf,
  keepResult,
  practisers,
  resultById,
  resultsOf,
  setBench,
  setFor,
  setsTold,
  signCompetence,
} from '../store/benches.ts';
import { Problem } from './problem.ts';
import { EVERYONE_SIGNED_IN, type House, type Route } from './routes.ts';

/** Who sets benches, sees what everybody did, and signs. */
const TEACHERS = ['lead', 'instructor'] as const;
const teaches = (role: string): boolean => (TEACHERS as readonly string[]).includes(role);

/** A bench of a class as one person has it. Its truth and its seed stay here until it is handed in. */
async function laidFor(house: House, id: string | undefined, personId: string): Promise<BenchOf> {
  const set = /^[0-9a-f-]{36}$/.test(id ?? '') ? await setFor(house.db, id as string, personId) : null;
  if (!set || !rigOf(set.rig)) throw new Problem(404, 'There is no such bench set.');
  return set;
}

/** A bench of one’s own, as it was laid out on the page. */
function ownBench(own: HandedIn['own']): BenchOf {
  if (!own || !rigOf(own.rig)) throw new Problem(400, 'There is no such bench.');
  return own;
}

/** Benches to practise at: set for a class, worked, handed in and debriefed; competences signed. Nothing of it is a record of work. */
export const benches: Route[] = [
  {
    method: 'get',
    path: '/api/practice/benches',
    who: EVERYONE_SIGNED_IN,
    async run({ ctx, house }, me) {
      const whose = teaches(me.role) ? null : me.id;
      const [sets, results, competences, people] = await Promise.all([
        setsTold(house.db),
        resultsOf(house.db, whose),
        competencesOf(house.db, whose),
        teaches(me.role) ? practisers(house.db) : [],
      ]);
      // Another’s mark is theirs and the teacher’s.
      ctx.body = {
        sets: teaches(me.role)
          ? sets
          : sets.map(({ difficulty: _, ...s }) => ({
              ...s,
              marks: s.marks.filter((m) => m.person === me.name),
            })),
        results,
        competences,
        people,
      };
    },
  },
  {
    method: 'post',
    path: '/api/practice/sets',
    who: TEACHERS,
    asks: setSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(setSchema, body);
      if (!checked.ok) throw new Problem(400, 'The bench is not set yet.', checked.faults);
      ctx.status = 201;
      ctx.body = { id: await setBench(house.db, checked.value, me.id) };
    },
  },
  {
    method: 'post',
    path: '/api/practice/sets/:id/shown',
    who: EVERYONE_SIGNED_IN,
    asks: actionsSchema,
    /** What a bench of a class shows after all that was done at it. */
    async run({ ctx, house, body, params }, me) {
      const checked = check(actionsSchema, body);
      if (!checked.ok) throw new Problem(400, 'Nobody can do that at a bench.', checked.faults);
      const bench = await laidFor(house, params.id, me.id);
      const actions = checked.value.actions as Action[];
      ctx.body = await house.db.workshop.do('shown', { bench, actions });
    },
  },
  {
    method: 'post',
    path: '/api/practice/results',
    who: EVERYONE_SIGNED_IN,
    asks: handedInSchema,
    /** Handed in: debriefed here, by the truth that is known here, and put by in the person’s practice log. */
    async run({ ctx, house, body }, me) {
      const checked = check(handedInSchema, body);
      if (!checked.ok) throw new Problem(400, 'It could not be handed in.', checked.faults);
      const { set, own, log, call } = checked.value;
      const events = checked.value.events as unknown as JobEvent[];
      const bench = set ? await laidFor(house, set, me.id) : ownBench(own);
      const refusal = admitted(rigOf(bench.rig) as Rig, events);
      if (refusal !== null)
        throw new Problem(400, 'It could not be handed in.', [{ path: 'events', message: refusal }]);
      const attempt = { events, log: log as unknown as Attempt['log'], call };
      const told = await house.db.workshop.do('debrief', { bench, attempt });
      const of = { set: set ?? null, ...bench };
      const id = await keepResult(house.db, me.id, of, attempt, told);
      if (id === null)
        throw new Problem(409, 'You have handed this bench in already: its truth is known to you.');
      ctx.status = 201;
      ctx.body = { id, debrief: told };
    },
  },
  {
    method: 'get',
    path: '/api/practice/results/:id',
    who: EVERYONE_SIGNED_IN,
    /** One’s own, or anybody’s for who teaches: what was done, and the debrief. */
    async run({ ctx, house, params }, me) {
      const found = /^[0-9a-f-]{36}$/.test(params.id ?? '')
        ? await resultById(house.db, params.id as string)
        : null;
      if (!found || (found.personId !== me.id && !teaches(me.role)))
        throw new Problem(404, 'There is no such practice.');
      const { rig, attempt, debrief: told } = found;
      ctx.body = { rig, attempt, debrief: told };
    },
  },
  {
    method: 'post',
    path: '/api/practice/competences',
    who: TEACHERS,
    asks: competenceSchema,
    async run({ ctx, house, body }, me) {
      const checked = check(competenceSchema, body);
      if (!checked.ok) throw new Problem(400, 'It is not signed.', checked.faults);
      const asked = checked.value;
      const fault = (path: string, message: string) =>
        new Problem(400, 'It is not signed.', [{ path, message }]);
      if (asked.person === me.id) throw fault('person', 'Nobody signs for themselves.');
      if (!(await practisers(house.db)).some((p) => p.id === asked.person))
        throw fault('person', 'There is no such person here.');
      if (asked.renewOn <= new Date().toISOString().slice(0, 10))
        throw fault('renewOn', 'The day of its renewal lies ahead.');
      ctx.status = 201;
      ctx.body = { id: await signCompetence(house.db, asked, me.id) };
    },
  },
];
