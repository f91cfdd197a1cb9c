import type { JobEvent, Rig } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { keepAllSaid } from '@fulcrant/core/units';
import {
  type Action,
  type Attempt,
  actionsSchema,
  admitted,
  type Competence,
  competenceSchema,
  type HandedIn,
  handedInSchema,
  type PracticeTold,
  type ResultLine,
  rigOf,
  type SetTold,
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
import { M } from './messages.ts';
import { Problem } from './problem.ts';
import { answers, EVERYONE_SIGNED_IN, type House, made, type Route, route } from './routes.ts';
import { listOf, maybe, numeral, ofItsOwn, text, told } from './shapes.ts';

/** Who sets benches, sees what everybody did, and signs. */
const TEACHERS = ['lead', 'instructor'] as const;
const teaches = (role: string): boolean => (TEACHERS as readonly string[]).includes(role);

/** A bench of a class as one person has it. Its truth and its seed stay here until it is handed in. */
async function laidFor(house: House, id: string | undefined, personId: string): Promise<BenchOf> {
  const set = /^[0-9a-f-]{36}$/.test(id ?? '') ? await setFor(house.db, id as string, personId) : null;
  if (!set || !rigOf(set.rig)) throw new Problem(404, M.thereNoSuchBenchSet);
  return set;
}

/** A bench of one’s own, as it was laid out on the page. */
function ownBench(own: HandedIn['own']): BenchOf {
  if (!own || !rigOf(own.rig)) throw new Problem(400, COMMON.thereNoSuchBench);
  return own;
}

/** Benches to practise at: set for a class, worked, handed in and debriefed; competences signed. Nothing of it is a record of work. */
export const benches: Route[] = [
  route({
    method: 'get',
    path: '/api/practice/benches',
    who: EVERYONE_SIGNED_IN,
    summary: M.practiceJobsSetResultsCompetences,
    answer: answers(
      told<PracticeTold>({
        sets: listOf(ofItsOwn<SetTold>()),
        results: listOf(ofItsOwn<ResultLine>()),
        competences: listOf(ofItsOwn<Competence>()),
        people: listOf(told({ id: text, name: text })),
      }),
    ),
    async run({ house }, me) {
      const whose = teaches(me.role) ? null : me.id;
      const [sets, results, competences, people] = await Promise.all([
        setsTold(house.db),
        resultsOf(house.db, whose),
        competencesOf(house.db, whose),
        teaches(me.role) ? practisers(house.db) : [],
      ]);
      // Another’s mark is theirs and the teacher’s.
      return {
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
  }),
  route({
    method: 'post',
    path: '/api/practice/sets',
    who: TEACHERS,
    summary: M.setPracticeJobClass,
    asks: setSchema,
    refused: M.benchNotSetYet,
    answer: made(told({ id: text })),
    async run({ house, body }, me) {
      return { id: await setBench(house.db, body, me.id) };
    },
  }),
  route({
    method: 'post',
    path: '/api/practice/sets/:id/shown',
    who: EVERYONE_SIGNED_IN,
    summary: M.whatPracticeJobShowsAfter,
    asks: actionsSchema,
    refused: M.nobodyCanDoBench,
    answer: answers(told({ shown: maybe(ofItsOwn()), nutDeg: numeral })),
    /** What a bench of a class shows after all that was done at it. */
    async run({ house, body, params }, me) {
      const bench = await laidFor(house, params.id, me.id);
      const actions = body.actions as Action[];
      return await house.db.workshop.do('shown', { bench, actions });
    },
  }),
  route({
    method: 'post',
    path: '/api/practice/results',
    who: EVERYONE_SIGNED_IN,
    summary: M.handPracticeJob,
    asks: handedInSchema,
    refused: M.couldNotHanded,
    answer: made(told({ id: text, debrief: ofItsOwn() })),
    problems: [409],
    /** Handed in: debriefed here, by the truth that is known here, and put by in the person’s practice log. */
    async run({ house, body }, me) {
      const { set, own, log, call } = body;
      const events = body.events as unknown as JobEvent[];
      const bench = set ? await laidFor(house, set, me.id) : ownBench(own);
      const refusal = admitted(rigOf(bench.rig) as Rig, events);
      if (refusal !== null) throw new Problem(400, M.couldNotHanded, [{ path: 'events', message: refusal }]);
      const attempt = { events, log: log as unknown as Attempt['log'], call };
      const told = keepAllSaid(await house.db.workshop.do('debrief', { bench, attempt }));
      const of = { set: set ?? null, ...bench };
      const id = await keepResult(house.db, me.id, of, attempt, told);
      if (id === null) throw new Problem(409, M.youHaveHandedBenchAlready);
      return { id, debrief: told };
    },
  }),
  route({
    method: 'get',
    path: '/api/practice/results/:id',
    who: EVERYONE_SIGNED_IN,
    summary: M.practiceJobHandedDebrief,
    answer: answers(told({ rig: text, attempt: ofItsOwn(), debrief: ofItsOwn() })),
    problems: [404],
    /** One’s own, or anybody’s for who teaches: what was done, and the debrief. */
    async run({ house, params }, me) {
      const found = /^[0-9a-f-]{36}$/.test(params.id ?? '')
        ? await resultById(house.db, params.id as string)
        : null;
      if (!found || (found.personId !== me.id && !teaches(me.role)))
        throw new Problem(404, M.thereNoSuchPractice);
      const { rig, attempt, debrief: told } = found;
      return { rig, attempt, debrief: told };
    },
  }),
  route({
    method: 'post',
    path: '/api/practice/competences',
    who: TEACHERS,
    summary: M.signSomebodyCompetent,
    asks: competenceSchema,
    refused: M.notSigned,
    answer: made(told({ id: text })),
    async run({ house, body }, me) {
      const asked = body;
      const fault = (path: string, message: Text) => new Problem(400, M.notSigned, [{ path, message }]);
      if (asked.person === me.id) throw fault('person', M.nobodySignsThemselves);
      if (!(await practisers(house.db)).some((p) => p.id === asked.person))
        throw fault('person', M.thereNoSuchPersonHere);
      if (asked.renewOn <= new Date().toISOString().slice(0, 10))
        throw fault('renewOn', M.dayRenewalLiesAhead);
      return { id: await signCompetence(house.db, asked, me.id) };
    },
  }),
];
