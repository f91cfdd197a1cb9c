import type { CalculatorResult } from '../../judgement/result.ts';
import { expr, sameText } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { M } from './messages.ts';
import { criticalPath, faultsOf, type Network } from './network.ts';
import { firstCome, planned } from './search.ts';

export type ScheduleInput = {
  /** After which, and what it needs: names with commas between, needs with their count: `pump:1,crew:2`; a dash or nothing for none. */
  tasks: Array<{ id: string; minutes: number; after?: string | undefined; needs?: string | undefined }>;
  resources?: Array<{ id: string; count: number }>;
  seed?: number | undefined;
  seconds?: number | undefined;
};

export type ScheduleValues = {
  starts: Record<string, number>;
  finish: number;
  /** Nothing can be done before this. */
  bound: number;
  /** How far above it the plan stands, a share. */
  gap: number;
  /** The end if each task were taken as it comes. */
  firstCome: number;
  /** Tasks that may not slip at all, hands and tools without end. */
  critical: string[];
  /** By how much the end would come nearer with one more of each. */
  oneMore: Record<string, number>;
};

const listed = (text: string | undefined): string[] =>
  (text ?? '')
    .split(',')
    .map((s) => s.trim())
    .filter((s) => s !== '' && s !== '-');

function needsOf(task: ScheduleInput['tasks'][number]): Record<string, number> {
  return Object.fromEntries(
    listed(task.needs).map((n) => {
      const [name = '', count = '1'] = n.split(':');
      const so = Number(count);
      if (!Number.isInteger(so) || so < 0)
        throw new MessageError(M.needsWriteNameWholeNumber({ id: task.id, n }));
      return [name, so];
    }),
  );
}

/**
 * When tasks begin so that all is done soonest, with so many of each resource: a serial schedule, improved forward and backward, then by
 * search, until its lower bound is reached or the time is over. Says how far above the bound it stands and what one more would bring.
 * Source: see `place`, `improved`, `lowerBound`.
 * @throws RangeError with a sentence where a task names what is not there, or tasks wait for each other
 * @example schedule({ tasks: [{ id: 'a', minutes: 3 }, { id: 'b', minutes: 2, after: 'a' }], resources: [] }).values.finish // 5
 */
export function schedule(input: ScheduleInput): CalculatorResult<ScheduleValues> {
  const network: Network = {
    tasks: input.tasks.map((t) => ({
      id: t.id,
      minutes: t.minutes,
      after: listed(t.after).map((id) => ({ id })),
      pools: needsOf(t),
    })),
    units: [],
    pools: input.resources ?? [],
  };
  const [fault] = faultsOf(network);
  if (fault) throw new MessageError(fault.task ? expr`${fault.task}: ${fault.message}` : fault.message);
  const effort = { seed: input.seed ?? 1, looks: 400, seconds: input.seconds ?? 0.5 };
  const plan = planned(network, effort);
  const path = criticalPath(network.tasks);
  const critical = path.tasks.filter((t) => t.slack <= 1e-9).map((t) => t.id);
  const oneMore: Record<string, number> = {};
  if (!plan.proven || !sameText(plan.bound.by, M.longestChain))
    for (const pool of input.resources ?? []) {
      const more = {
        ...network,
        pools: (input.resources ?? []).map((p) => (p === pool ? { ...p, count: p.count + 1 } : p)),
      };
      oneMore[pool.id] = Math.max(0, plan.end - planned(more, { ...effort, looks: 120 }).end);
    }
  const throat = Object.entries(oneMore).sort((a, b) => b[1] - a[1])[0];
  const plain = firstCome(network).end;
  const percent = (share: number) => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;
  return {
    values: {
      starts: Object.fromEntries(plan.placed.map((p) => [p.id, p.start])),
      finish: plan.end,
      bound: plan.bound.end,
      gap: plan.gap,
      firstCome: plain,
      critical,
      oneMore,
    },
    findings: [
      {
        code: 'planning.end',
        verdict: plan.gap <= 0.1 ? 'accept' : 'caution',
        reason: plan.proven
          ? M.doneAfterNoPlanShorter({ end: plan.end, by: plan.bound.by })
          : M.doneAfterAboveBeforeWhich({
              end: plan.end,
              percent: percent(plan.gap),
              end2: plan.bound.end,
              by: plan.bound.by,
            }),
        params: {
          end: plan.proven ? plan.end : null,
          by: plan.proven ? plan.bound.by : null,
          end2: plan.proven ? null : plan.end,
          gap: plan.proven ? null : percent(plan.gap),
          end3: plan.proven ? null : plan.bound.end,
          by2: plan.proven ? null : plan.bound.by,
        },
        acceptable: true,
      },
      ...(throat && throat[1] > 0
        ? [
            {
              code: 'planning.throat',
              verdict: 'caution' as const,
              reason: M.throatOneMoreBringsEnd({ throat: throat[0], throat2: throat[1] }),
              params: { throat: throat[0], throat2: throat[1] },
              acceptable: false,
            },
          ]
        : []),
    ],
    working: [
      { what: M.longestChain2, sum: `${critical.join(' → ')}: ${path.finish}` },
      { what: M.lowerBound, sum: M.by({ end: plan.bound.end, by: plan.bound.by }) },
      { what: M.firstComeFirstServed, sum: `${plain}` },
      { what: M.plansLooked, sum: `${plan.looked}` },
      ...plan.placed.map((p) => ({ what: p.id, sum: M.to({ start: p.start, finish: p.finish }) })),
    ],
    beams: [],
  };
}
