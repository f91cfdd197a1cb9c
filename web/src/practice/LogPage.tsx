import { DIFFICULTIES, DIFFICULTY_IDS, type Difficulty } from '@fulcrant/core/engine/rig';
import { allTrades } from '@fulcrant/core/engine/trades';
import type { PracticeTold } from '@fulcrant/core/practice/class';
import { allRigs, rigOf } from '@fulcrant/core/practice/rigs';
import { useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { type Faults, faultsOf } from '../data/asked.ts';
import { setBench, signCompetence, useBenches } from '../data/benches.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Named } from '../ui/Named.tsx';
import { Page } from '../ui/Page.tsx';
import { TextField } from '../ui/TextField.tsx';
import { usePracticePaper } from './use-paper.ts';

const day = (at: string): string => format(parseISO(at), 'd MMM yyyy');
const tradeName = (id: string): string => allTrades().find((t) => t.id === id)?.words.offer[0] ?? id;

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
              {c.person}: {tradeName(c.trade)}
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
                    {rigOf(r.rig)?.name ?? r.rig}
                  </Link>
                </td>
                <td className="pr-3 text-muted">
                  {DIFFICULTIES[r.difficulty]}
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
            <span className="w-64 font-label text-lg font-semibold">{rigOf(s.rig)?.name ?? s.rig}</span>
            <span className="w-56 text-muted">
              {s.difficulty ? DIFFICULTIES[s.difficulty] : ''},{' '}
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

/** A bench set for the class: by its number the same for all, or each their own. */
function SetForm() {
  const client = useQueryClient();
  const [rig, setRig] = useState('');
  const [difficulty, setDifficulty] = useState<Difficulty>('one');
  const [number, setNumber] = useState('');
  const [says, setSays] = useState('');
  const [faults, setFaults] = useState<Faults>({});
  const [done, setDone] = useState(false);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    setDone(false);
    const seed = number.trim() === '' ? undefined : Number(number);
    if (seed !== undefined && !Number.isInteger(seed))
      return setFaults({ seed: 'A whole number, or nothing: then each has their own.' });
    if (rig === '') return setFaults({ rig: 'Which bench?' });
    try {
      await setBench({
        rig,
        difficulty,
        ...(seed === undefined ? {} : { seed }),
        ...(says.trim() ? { says } : {}),
      });
      setFaults({});
      setDone(true);
      await client.invalidateQueries({ queryKey: ['benches'] });
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  return (
    <form aria-label="Set a bench" onSubmit={(e) => void submit(e)} className="grid content-start gap-3">
      <h2 className="m-0 border-b border-rule pb-1 text-2xl">Set a bench</h2>
      <Named name="Bench">
        <Choice label="Bench" value={rig} options={allRigs().map((r) => [r.id, r.name])} onChange={setRig} />
      </Named>
      {faults.rig && <Fault>{faults.rig}</Fault>}
      <Named name="Laid out">
        <Choice
          label="Laid out"
          value={difficulty}
          options={DIFFICULTY_IDS.map((d) => [d, DIFFICULTIES[d]])}
          onChange={setDifficulty}
        />
      </Named>
      <TextField
        label="Its number, the same for all; nothing: each their own"
        inputMode="numeric"
        value={number}
        fault={faults.seed}
        onText={setNumber}
      />
      <TextField
        label="What is said with it"
        value={says}
        maxLength={200}
        fault={faults.says}
        onText={setSays}
      />
      {faults[''] && <Fault>{faults['']}</Fault>}
      <p className="m-0 flex items-center gap-4">
        <Button type="submit" weight="solid">
          Set it
        </Button>
        {done && <span role="status">It is set.</span>}
      </p>
    </form>
  );
}

/** A competence signed: for a person and a trade, with the day it is to be renewed. */
function SignForm({ people }: { people: PracticeTold['people'] }) {
  const client = useQueryClient();
  const [who, setWho] = useState('');
  const [trade, setTrade] = useState('');
  const [renewOn, setRenewOn] = useState('');
  const [words, setWords] = useState('');
  const [faults, setFaults] = useState<Faults>({});
  const [done, setDone] = useState(false);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    setDone(false);
    const missing: Faults = {
      ...(who === '' ? { person: 'Who?' } : {}),
      ...(trade === '' ? { trade: 'In which trade?' } : {}),
      ...(renewOn === '' ? { renewOn: 'When is it to be renewed?' } : {}),
      ...(words.trim().length < 3 ? { words: 'A few words on what was seen.' } : {}),
    };
    if (Object.keys(missing).length > 0) return setFaults(missing);
    try {
      await signCompetence({ person: who, trade, renewOn, words });
      setFaults({});
      setDone(true);
      setWords('');
      await client.invalidateQueries({ queryKey: ['benches'] });
    } catch (error) {
      setFaults(faultsOf(error));
    }
  };
  return (
    <form
      aria-label="Sign a competence"
      onSubmit={(e) => void submit(e)}
      className="grid content-start gap-3"
    >
      <h2 className="m-0 border-b border-rule pb-1 text-2xl">Sign a competence</h2>
      <Named name="Who">
        <Choice label="Who" value={who} options={people.map((p) => [p.id, p.name])} onChange={setWho} />
      </Named>
      {faults.person && <Fault>{faults.person}</Fault>}
      <Named name="Trade">
        <Choice
          label="Trade"
          value={trade}
          options={allTrades().map((t) => [t.id, t.words.offer[0]] as const)}
          onChange={setTrade}
        />
      </Named>
      {faults.trade && <Fault>{faults.trade}</Fault>}
      <TextField
        label="To be renewed by"
        type="date"
        value={renewOn}
        fault={faults.renewOn}
        onText={setRenewOn}
      />
      <TextField label="What was seen" value={words} maxLength={400} fault={faults.words} onText={setWords} />
      {faults[''] && <Fault>{faults['']}</Fault>}
      <p className="m-0 flex items-center gap-4">
        <Button type="submit" weight="solid">
          Sign it
        </Button>
        {done && <span role="status">It is signed.</span>}
      </p>
    </form>
  );
}
