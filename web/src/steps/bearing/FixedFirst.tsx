import { floatFigure } from '@fulcrant/core/figures';
import type { JobSummary } from '@fulcrant/core/forms';
import { type JobState, tradeOf } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import type { FixedNamed } from '@fulcrant/core/steps';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { readThrough } from '../../data/api.ts';
import { DrawingView } from '../../figures/DrawingView.tsx';
import { Button, Fault } from '../../ui/controls.tsx';
import { useSay } from '../../ui/settings.tsx';
import { M } from './messages.ts';

/** The seat as it is before the float's ring is in it. */
const UNMEASURED = { towardsMm: null, awayMm: null, float: null };

type Line = JobSummary & { id: string; number: string; updatedAt: string };

type Props = {
  state: JobState;
  named: FixedNamed | null;
  /** The shaft between the bearings’ centres. */
  spanMm: number | undefined;
  open: boolean;
  onName: (named: FixedNamed) => Promise<Text | null>;
};

/** Done with its lock or its seating, by the job's rail. */
const stands = (l: Line): boolean => {
  const id = tradeOf({ procedure: l.kind }).slots.fixedAfter;
  return l.rail.some((m) => m.id === id && m.status === 'done');
};

/** The jobs of fixed bearings on this machine: the one that is on is named, the others say why they do not count yet. */
export function FixedFirst({ state, named, spanMm, open, onName }: Props) {
  const say = useSay();
  const [fault, setFault] = useState<Text | null>(null);
  const { machine } = state.setup;
  const jobs = useQuery({
    queryKey: ['jobs', 'fixed', machine],
    queryFn: () =>
      readThrough<{ jobs: Line[]; next: string | null }>(
        `/api/jobs?limit=20&fixedOn=${encodeURIComponent(machine)}`,
      ),
  });
  const found = (jobs.data?.jobs ?? []).toSorted((a, b) => b.updatedAt.localeCompare(a.updatedAt));
  return (
    <div className="flex flex-col gap-3">
      {spanMm !== undefined && (
        <DrawingView drawing={floatFigure({ values: UNMEASURED, place: undefined, spanMm })} />
      )}
      <h2 className="kicker m-0">{say(M.fixedBearings({ machine }))}</h2>
      <ul className="m-0 list-none border-t border-rule p-0">
        {found.map((l) => (
          <li
            key={l.id}
            className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-faint py-2"
            data-fixed={l.number}
          >
            <span className="min-w-64 flex-1 leading-snug">
              <span className="font-label text-lg font-semibold">{l.position}</span>{' '}
              <Link className="text-steel underline" to={`/jobs/${l.id}/sheet`}>
                {l.number}
              </Link>
              <span className="block text-sm text-muted">
                {stands(l)
                  ? say(COMMON.locked)
                  : say(M.stands({ title: l.rail.find((m) => m.id === l.present)?.title ?? '' }))}
                , {format(new Date(l.updatedAt), 'd MMM HH:mm')}
              </span>
            </span>
            {open && (
              <Button
                weight={named?.job === l.id ? 'solid' : 'line'}
                aria-pressed={named?.job === l.id}
                disabled={!stands(l)}
                onClick={() =>
                  void onName({
                    job: l.id,
                    position: l.position,
                    sheet: l.number,
                    lockedAt: new Date(l.updatedAt).toISOString(),
                  }).then(setFault)
                }
              >
                {named?.job === l.id ? say(M.named) : say(M.one)}
              </Button>
            )}
          </li>
        ))}
        {jobs.data?.next && (
          <li className="py-2 text-muted">{say(M.lastShownOlderOnesTheir({ count: found.length }))}</li>
        )}
        {found.length === 0 && (
          <li className="py-2 text-muted">
            {jobs.isPending ? say(M.fetchingJobs) : say(M.noJobFixedBearingMachine)}
          </li>
        )}
      </ul>
      {fault && <Fault>{say(fault)}</Fault>}
    </div>
  );
}
