import { allTrades, DIFFICULTIES } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { type PracticeTold, rigOf } from '@fulcrant/practice';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBenches } from '../data/benches.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Named } from '../ui/Named.tsx';
import { Page } from '../ui/Page.tsx';
import { Words } from '../ui/settings.tsx';
import { SetForm, SignForm } from './ClassForms.tsx';
import { usePracticePaper } from './use-paper.ts';

const day = (at: string): string => format(parseISO(at), 'd MMM yyyy');
const tradeName = (id: string): Text => allTrades().find((t) => t.id === id)?.words.offer[0] ?? id;

/** The practice log: what was handed in, competences signed; for who teaches, of all, with what is set and signed here. */
export function LogPage() {
  usePracticePaper();
  const { person } = useSession();
  const benches = useBenches();
  const teaches = person?.role === 'lead' || person?.role === 'instructor';
  const [whose, setWhose] = useState('all');
  const told = benches.data;
  const results = (told?.results ?? []).filter((r) => whose === 'all' || r.person === whose);
  const signed = (told?.competences ?? []).filter((c) => whose === 'all' || c.person === whose);
  return (
    <Page
      title={teaches ? 'Practice: class and log' : 'Practice: my log'}
      ways={[
        ['/practice', 'Benches'],
        ['/practice/drills', 'Drills'],
      ]}
      corner={<Corner />}
    >
      <p className="m-0 pb-3 font-medium text-brass" data-practice>
        Practice. Nothing here is a record of work.
      </p>
      {benches.isError && <Fault>{benches.error.message}</Fault>}
      {teaches && told && (
        <div className="grid gap-x-12 gap-y-6 pb-6 lg:grid-cols-2 no-print">
          <SetForm />
          <SignForm people={told.people.filter((p) => p.id !== person?.id)} />
        </div>
      )}
      {teaches && told && told.sets.length > 0 && <Class told={told} />}
      <div className="flex flex-wrap items-end gap-x-8 border-b border-rule pb-1 pt-2">
        <h2 className="m-0 flex-1 text-2xl">{teaches ? 'Log' : `Practice log of ${person?.name ?? ''}`}</h2>
        {teaches && told && (
          <div className="w-56 no-print">
            <Named name="Whose log">
              <Choice
                label="Whose log"
                value={whose}
                options={[['all', 'of all'], ...told.people.map((p) => [p.name, p.name] as const)]}
                onChange={setWhose}
              />
            </Named>
          </div>
        )}
        <Button weight="bare" className="no-print" onClick={() => window.print()}>
          Print it
        </Button>
      </div>
      <h3 className="kicker m-0 pt-3">Competences</h3>
      {signed.length === 0 && <p className="m-0 text-muted">None signed yet.</p>}
      <ul className="m-0 list-none p-0">
        {signed.map((c) => (
          <li key={c.id} className="border-b border-faint py-1.5" data-competence={c.trade}>
            <span className="font-label text-lg font-semibold">
              {c.person}: <Words of={tradeName(c.trade)} />
            </span>{' '}
            <span className={c.renewOn <= new Date().toISOString().slice(0, 10) ? 'text-stop' : 'text-muted'}>
              signed by {c.by} on {day(c.at)}, to be renewed by {day(c.renewOn)}
            </span>
            <p className="m-0">{c.words}</p>
          </li>
        ))}
      </ul>
      <h3 className="kicker m-0 pt-4">At the benches</h3>
      {results.length === 0 && <p className="m-0 text-muted">Nothing handed in yet.</p>}
      {results.length > 0 && (
        <table className="w-full border-collapse text-left">
          <thead>
            <tr className="kicker border-b border-rule">
              {['When', 'Who', 'Bench', 'Laid out', 'Mark'].map((h) => (
                <th key={h} className="py-1 pr-3">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {results.map((r) => (
              <tr key={r.id} className="border-b border-faint" data-result={r.id}>
                <td className="whitespace-nowrap py-1 pr-3">{day(r.at)}</td>
                <td className="pr-3">{r.person}</td>
                <td className="pr-3">
                  <Link
                    className="inline-flex min-h-11 items-center text-steel underline underline-offset-4"
                    to={`/practice/results/${r.id}`}
                  >
                    <Words of={rigOf(r.rig)?.name ?? r.rig} />
                  </Link>
                </td>
                <td className="pr-3 text-muted">
                  <Words of={DIFFICULTIES[r.difficulty]} />
                  {r.set ? ', set for the class' : ''}
                </td>
                <td className="figures whitespace-nowrap text-right">
                  {r.score} in {r.minutes} min
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Page>
  );
}

/** Who has done what: a row a set, the marks of whoever handed in. */
function Class({ told }: { told: PracticeTold }) {
  return (
    <section aria-label="The class" className="pb-6">
      <h2 className="m-0 border-b border-rule pb-1 text-2xl">The class</h2>
      <ul className="m-0 list-none p-0">
        {told.sets.map((s) => (
          <li
            key={s.id}
            className="flex flex-wrap gap-x-6 border-b border-faint py-1.5"
            data-class-set={s.id}
          >
            <span className="w-64 font-label text-lg font-semibold">
              <Words of={rigOf(s.rig)?.name ?? s.rig} />
            </span>
            <span className="w-56 text-muted">
              {s.difficulty ? <Words of={DIFFICULTIES[s.difficulty]} /> : ''},{' '}
              {s.each ? 'each their own' : 'the same for all'}
            </span>
            <span className="min-w-0 flex-1">
              {s.marks.length === 0 ? 'nobody yet' : s.marks.map((m) => `${m.person} ${m.score}`).join(' · ')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
