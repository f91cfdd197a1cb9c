import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Line } from '../data/line.ts';
import { useSignedLines } from '../data/lines.ts';
import { useGreeting, usePeople } from '../data/plant.ts';
import { useInstruments, usePositions } from '../data/site.ts';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';

type Step = { id: string; to: string; what: Text; done: boolean };

/** What to try in a demo, or what an empty site still needs: a short list that ticks itself off, and goes when all is done. */
export function FirstSteps({ open }: { open: Line[] }) {
  const greeting = useGreeting();
  if (!greeting.data) return null;
  return greeting.data.demo ? <Tour open={open} /> : <SetUp open={open} />;
}

const TRIED = 'fulcrant.tried';

const tried = (): string[] => (localStorage.getItem(TRIED) ?? '').split(' ').filter(Boolean);

/** A job that can be carried on where something is read again and again: a drive-up, a break-in. */
const goesOn = (l: Line): boolean =>
  l.held === null &&
  l.verdict !== 'reject' &&
  l.dueAt === null &&
  l.rail.some((m) => m.status === 'present' && m.loop);

function Tour({ open }: { open: Line[] }) {
  const [done, setDone] = useState(tried);
  const signed = useSignedLines(40).data?.jobs ?? [];
  const [newest] = signed;
  const oldest = signed.at(-1);
  const job = open.find(goesOn);
  const all: Array<Omit<Step, 'done'> | false | undefined> = [
    job && { id: 'job', to: `/jobs/${job.id}`, what: M.carryOnOpenJob },
    newest && { id: 'sheet', to: `/jobs/${newest.id}/sheet`, what: M.readSignedSheet },
    { id: 'practice', to: '/practice', what: M.tryPracticeJob },
    { id: 'outage', to: '/outages', what: M.lookPlanOfStop },
    oldest && { id: 'before', to: `/jobs/${oldest.id}/sheet`, what: M.lookEarlierJob },
  ];
  const steps = all.flatMap((s) => (s ? [{ ...s, done: done.includes(s.id) }] : []));
  return (
    <List
      title={M.fiveThingsToTry}
      steps={steps}
      onGo={(id) => {
        const now = [...new Set([...done, id])];
        localStorage.setItem(TRIED, now.join(' '));
        setDone(now);
      }}
    />
  );
}

function SetUp({ open }: { open: Line[] }) {
  const people = usePeople().data?.people;
  const gauges = useInstruments().data?.instruments;
  const positions = usePositions('').data?.positions;
  const signed = useSignedLines(1).data?.jobs;
  // Nothing is said before it is known.
  if (!people || !gauges || !positions || !signed) return null;
  return (
    <List
      title={M.firstStepsOfSite}
      steps={[
        { id: 'people', to: '/people', what: M.addPeople, done: people.length > 1 },
        { id: 'gauges', to: '/gauges', what: M.addGauges, done: gauges.some((g) => !g.standIn) },
        { id: 'machines', to: '/register', what: M.importMachines, done: positions.length > 0 },
        { id: 'job', to: '/jobs/new', what: M.openFirstJob, done: open.length + signed.length > 0 },
      ]}
    />
  );
}

function List({ title, steps, onGo }: { title: Text; steps: Step[]; onGo?: (id: string) => void }) {
  const say = useSay();
  if (steps.every((s) => s.done)) return null;
  return (
    <section aria-label={say(title)} data-first-steps>
      <h2 className="kicker m-0 border-b border-rule pb-1 pt-3">{say(title)}</h2>
      <ol className="m-0 grid list-none gap-x-6 p-0 sm:grid-cols-2 xl:grid-cols-3">
        {steps.map((s) => (
          <li key={s.id} className="border-b border-faint">
            <Link
              to={s.to}
              onClick={() => onGo?.(s.id)}
              className="flex min-h-12 items-center gap-3 font-label text-lg font-medium"
              data-first-step={s.id}
              data-done={s.done ? '' : undefined}
            >
              <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true" className="shrink-0">
                <rect
                  x="2"
                  y="2"
                  width="16"
                  height="16"
                  fill="none"
                  stroke="var(--muted)"
                  strokeWidth="1.5"
                />
                {s.done && <path d="M5 10l4 4 7-9" fill="none" stroke="var(--ink)" strokeWidth="2.5" />}
              </svg>
              <span className={s.done ? 'text-muted' : ''}>
                <Words of={s.what} />
                {s.done && <span className="sr-only">, {say(COMMON.done)}</span>}
              </span>
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}
