import { allTrades, DIFFICULTIES } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
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
import { useSay, Words } from '../ui/settings.tsx';
import { SetForm, SignForm } from './ClassForms.tsx';
import { M } from './messages.ts';
import { usePracticePaper } from './use-paper.ts';

const day = (at: string): string => format(parseISO(at), 'd MMM yyyy');
const tradeName = (id: string): Text => allTrades().find((t) => t.id === id)?.words.offer[0] ?? id;

/** The practice log: what was handed in, competences signed; for who teaches, of all, with what is set and signed here. */
export function LogPage() {
  const say = useSay();
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
      title={teaches ? say(M.practiceClassLog) : say(M.practiceMyLog)}
      ways={[
        ['/practice', say(COMMON.practiceJobs)],
        ['/practice/drills', say(M.drills)],
      ]}
      corner={<Corner />}
    >
      <p className="m-0 pb-3 font-medium text-brass" data-practice>
        {say(M.practiceNothingHereRecordWork)}
      </p>
      {benches.isError && (
        <Fault>
          <Words of={saidBy(benches.error)} />
        </Fault>
      )}
      {teaches && told && (
        <div className="grid gap-x-12 gap-y-6 pb-6 lg:grid-cols-2 no-print">
          <SetForm />
          <SignForm people={told.people.filter((p) => p.id !== person?.id)} />
        </div>
      )}
      {teaches && told && told.sets.length > 0 && <Class told={told} />}
      <div className="flex flex-wrap items-end gap-x-8 border-b border-rule pb-1 pt-2">
        <h2 className="m-0 flex-1 text-2xl">
          {teaches ? say(M.log) : say(M.practiceLog({ name: person?.name ?? '' }))}
        </h2>
        {teaches && told && (
          <div className="w-56 no-print">
            <Named name={say(M.whoseLog)}>
              <Choice
                label={say(M.whoseLog)}
                value={whose}
                options={[['all', say(M.all)], ...told.people.map((p) => [p.name, p.name] as const)]}
                onChange={setWhose}
              />
            </Named>
          </div>
        )}
        <Button weight="bare" className="no-print" onClick={() => window.print()}>
          {say(COMMON.print)}
        </Button>
      </div>
      <h3 className="kicker m-0 pt-3">{say(M.competences)}</h3>
      {signed.length === 0 && <p className="m-0 text-muted">{say(M.noneSignedYet)}</p>}
      <ul className="m-0 list-none p-0">
        {signed.map((c) => (
          <li key={c.id} className="border-b border-faint py-1.5" data-competence={c.trade}>
            <span className="font-label text-lg font-semibold">
              {c.person}: <Words of={tradeName(c.trade)} />
            </span>{' '}
            <span className={c.renewOn <= new Date().toISOString().slice(0, 10) ? 'text-stop' : 'text-muted'}>
              {say(M.signedRenewed({ by: c.by, day: day(c.at), day2: day(c.renewOn) }))}
            </span>
            <p className="m-0">{c.words}</p>
          </li>
        ))}
      </ul>
      <h3 className="kicker m-0 pt-4">{say(COMMON.practiceJobs)}</h3>
      {results.length === 0 && <p className="m-0 text-muted">{say(M.nothingHandedYet)}</p>}
      {results.length > 0 && (
        <table className="w-full border-collapse text-left">
          <thead>
            <tr className="kicker border-b border-rule">
              {[say(M.when), say(M.who), say(M.bench2), say(M.laidOut), say(COMMON.mark)].map((h) => (
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
                    className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
                    to={`/practice/results/${r.id}`}
                  >
                    <Words of={rigOf(r.rig)?.name ?? r.rig} />
                  </Link>
                </td>
                <td className="pr-3 text-muted">
                  <Words of={DIFFICULTIES[r.difficulty]} />
                  {r.set ? say(M.setClass2) : ''}
                </td>
                <td className="figures whitespace-nowrap text-right">
                  {say(M.min({ score: r.score, minutes: r.minutes }))}
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
  const say = useSay();
  return (
    <section aria-label={say(M.class)} className="pb-6">
      <h2 className="m-0 border-b border-rule pb-1 text-2xl">{say(M.class)}</h2>
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
              {s.each ? say(M.eachTheirOwn) : say(M.sameAll)}
            </span>
            <span className="min-w-0 flex-1">
              {s.marks.length === 0
                ? say(M.nobodyYet)
                : s.marks.map((m) => `${m.person} ${m.score}`).join(' · ')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
