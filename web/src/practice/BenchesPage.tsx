import { DIFFICULTIES, DIFFICULTY_IDS, type Difficulty } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { allRigs, rigOf } from '@fulcrant/practice';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useBenches } from '../data/benches.ts';
import { useSession } from '../data/session.tsx';
import { Corner } from '../entry/Corner.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Fault } from '../ui/controls.tsx';
import { Named } from '../ui/Named.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { TextField } from '../ui/TextField.tsx';
import { M } from './messages.ts';
import { usePracticePaper } from './use-paper.ts';

/** A seed nobody knows beforehand. */
const freshSeed = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] as number) % 1_000_000;
const WAYS_OF_OWN: ReadonlyArray<readonly [Difficulty, Text]> = DIFFICULTY_IDS.map((d) => [
  d,
  DIFFICULTIES[d],
]);

/** The benches: each a trade’s own sheet over a hidden truth; those of the class first. */
export function BenchesPage({ guest = false }: { guest?: boolean }) {
  const say = useSay();
  usePracticePaper();
  const { person } = useSession();
  const go = useNavigate();
  const [difficulty, setDifficulty] = useState<Difficulty>('one');
  const base = guest ? '/try' : '/practice/bench';
  const [number, setNumber] = useState('');
  const [fault, setFault] = useState<string | undefined>(undefined);
  const sit = (rig: string) => {
    const typed = number.trim();
    if (typed !== '' && !/^\d{1,9}$/.test(typed)) return setFault(say(M.numberLike123NothingThen));
    void go(`${base}/${rig}?difficulty=${difficulty}&seed=${typed === '' ? freshSeed() : Number(typed)}`);
  };
  const teaches = person?.role === 'lead' || person?.role === 'instructor';
  return (
    <Page
      title={say(COMMON.practiceJobs)}
      ways={
        guest
          ? [['/sign-in', say(COMMON.sign)]]
          : [
              ['/practice/drills', say(M.drills)],
              ['/practice/log', teaches ? say(M.classLog) : say(M.myLog)],
            ]
      }
      corner={guest ? undefined : <Corner />}
    >
      <p className="m-0 pb-3 font-medium text-brass" data-practice>
        {say(M.practiceNothingHereRecordNothing({ guest: guest ? 'whatYouDoStaysDevice' : 'none' }))}
      </p>
      {!guest && <ClassBenches />}
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2 border-b border-rule pb-2 pt-4">
        <h2 className="m-0 flex-1 text-2xl">{say(M.sitDownBench)}</h2>
        <div className="w-64">
          <TextField
            label={say(M.numberNothing)}
            inputMode="numeric"
            value={number}
            fault={fault}
            onText={(t) => {
              setNumber(t);
              setFault(undefined);
            }}
          />
        </div>
        <div className="w-72">
          <Named name={say(M.howLaidOut)}>
            <Choice
              label={say(M.howLaidOut)}
              value={difficulty}
              options={WAYS_OF_OWN}
              onChange={setDifficulty}
            />
          </Named>
        </div>
      </div>
      <ul className="m-0 grid list-none gap-x-10 p-0 md:grid-cols-2" aria-label={say(COMMON.practiceJobs)}>
        {allRigs().map((r) => (
          <li key={r.id} className="border-b border-faint">
            <button
              type="button"
              onClick={() => sit(r.id)}
              className="grid min-h-16 w-full gap-0.5 py-2 text-left hover:bg-shade"
              data-bench={r.id}
            >
              <span className="font-label text-xl font-semibold">
                <Words of={r.name} />
              </span>
              <span className="text-muted">
                <Words of={r.says} />
              </span>
            </button>
          </li>
        ))}
      </ul>
    </Page>
  );
}

function ClassBenches() {
  const say = useSay();
  const benches = useBenches();
  const { person } = useSession();
  const sets = benches.data?.sets ?? [];
  if (benches.isError)
    return (
      <Fault>
        <Words of={saidBy(benches.error)} />
      </Fault>
    );
  if (sets.length === 0) return null;
  return (
    <section aria-label={say(M.setClass)}>
      <h2 className="m-0 border-b border-rule pb-1 text-2xl">{say(M.setClass)}</h2>
      <ul className="m-0 list-none p-0">
        {sets.slice(0, 8).map((s) => {
          const mine = s.marks.find((m) => m.person === person?.name);
          return (
            <li
              key={s.id}
              className="flex flex-wrap items-center gap-x-6 border-b border-faint py-1"
              data-set={s.id}
            >
              <Link
                className="inline-flex min-h-12 items-center font-label text-xl font-semibold text-steel underline underline-offset-4"
                to={`/practice/bench/${s.rig}?set=${s.id}`}
              >
                <Words of={rigOf(s.rig)?.name ?? s.rig} />
              </Link>
              <span className="flex-1 text-muted">
                {say(
                  M.set({
                    each: s.each ? 'eachTheirOwn' : 'sameAll',
                    by: s.by,
                    says: s.says ? `: ${s.says}` : '',
                  }),
                )}
              </span>
              <span className="figures">{mine ? say(M.n100({ score: mine.score })) : say(M.notHanded)}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
