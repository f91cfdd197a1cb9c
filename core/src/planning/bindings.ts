import type { Setup } from '../engine/setup.ts';
import type { Stage } from '../engine/slots.ts';
import { allTrades } from '../engine/trades.ts';
import type { Text } from '../message/message.ts';
import { M } from './messages.ts';
import type { Outage, OutageJob } from './outage.ts';
import { reaches } from './reaches.ts';

export type Binding = Outage['bindings'][number];
/** A shaft as its card draws it, as far as an order follows from it. */
export type ShaftRoles = { stations: ReadonlyArray<{ positionId: string; role: string }> };

/** Where a job comes among the work at its machine, by its trade. */
function stageOf(job: OutageJob, setup: Setup | undefined): Stage {
  const stage = allTrades().find((t) => t.id === job.trade)?.slots.stage ?? 'round';
  return typeof stage === 'function' ? stage(setup) : stage;
}

/**
 * Which jobs wait for which, as the shafts and the trades say: what comes off before what goes on at the same place, a survey before what is
 * fitted, the fixed bearing of a shaft before those that float, bearings before the seal of their machine, the seal before the coupling is
 * set. A proposal: a hand may strike
 * any of it out.
 */
export function proposedBindings(
  jobs: readonly OutageJob[],
  shafts: readonly ShaftRoles[],
  setups: Readonly<Record<string, Setup | undefined>> = {},
): Binding[] {
  const stage = (job: OutageJob) => stageOf(job, setups[job.key]);
  const out: Binding[] = [];
  const bind = (before: OutageJob, after: OutageJob, why: Text) => {
    if (before.key === after.key || reaches(out, after.key, before.key)) return;
    if (out.some((b) => b.before === before.key && b.after === after.key)) return;
    out.push({ before: before.key, after: after.key, why });
  };
  const same = (a: OutageJob, b: OutageJob) => a.machine === b.machine && a.position === b.position;
  for (const a of jobs)
    for (const b of jobs) {
      if (a === b || a.machine !== b.machine) continue;
      const [first, then] = [stage(a), stage(b)];
      const fits = then === 'carry' || then === 'close';
      if (first === 'off' && then === 'carry' && same(a, b)) bind(a, b, M.offBefore);
      if (first === 'survey' && fits) bind(a, b, M.surveyedBeforeFitted);
      if (first === 'off' && then === 'survey') bind(a, b, M.offBeforeSurvey);
      if (first === 'carry' && then === 'close') bind(a, b, M.bearingsBeforeSeal);
      if ((first === 'carry' || first === 'close') && then === 'couple')
        bind(a, b, first === 'close' ? M.sealBeforeCoupling : M.bearingsBeforeCoupling);
    }
  for (const shaft of shafts) {
    const at = (role: string) =>
      jobs.filter(
        (j) =>
          stage(j) === 'carry' &&
          shaft.stations.some((s) => s.role === role && s.positionId === j.positionId),
      );
    for (const fixed of at('fixed')) for (const float of at('float')) bind(fixed, float, M.fixedBeforeFloat);
  }
  return out;
}

/** Why a binding cannot be: it would close a circle; null where it can. */
export const circleBy = (bindings: readonly Binding[], added: Binding): Text | null =>
  reaches(bindings, added.after, added.before) ? M.thenTheyWouldWaitEach : null;
