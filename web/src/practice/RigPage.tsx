import type { Person } from '@fulcrant/core/api';
import { DIFFICULTIES, DIFFICULTY_IDS } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { type Call, type Debrief, debrief, layOut, PRACTICE_GAUGES, rigOf } from '@fulcrant/practice';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import { faultsOf } from '../data/asked.ts';
import { handIn } from '../data/benches.ts';
import { PractisingAs, useSession } from '../data/session.tsx';
import { GaugesHere } from '../data/site.ts';
import { type AtHand, JobSheet } from '../job/JobPage.tsx';
import { Button, Fault } from '../ui/controls.tsx';
import { Page } from '../ui/Page.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { BenchContext } from './at-bench.ts';
import { CallDialog } from './CallDialog.tsx';
import { DebriefView } from './DebriefView.tsx';
import { M } from './messages.ts';
import { RigBench } from './RigBench.tsx';
import type { Kept } from './shelf.ts';
import { usePracticePaper } from './use-paper.ts';
import { useSheet, type Which } from './use-sheet.ts';

const GUEST: Person = { id: 'guest', name: 'Guest', role: 'fitter' };
const GAUGES = Object.values(PRACTICE_GAUGES);

/** A bench to practise at: `?seed=&difficulty=` one’s own, `?set=` one of the class. */
export function RigPage() {
  const say = useSay();
  usePracticePaper();
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const { person } = useSession();
  const rig = rigOf(id);
  const seed = Number(search.get('seed') ?? Number.NaN);
  const set = search.get('set');
  const asked = search.get('difficulty') ?? '';
  const difficulty = DIFFICULTY_IDS.find((d) => d === asked) ?? null;
  const which = useMemo<Which | null>(() => {
    if (!rig) return null;
    // A class is of those who are known here.
    if (set) return person ? { rig, set } : null;
    return difficulty && Number.isInteger(seed) && seed >= 0 ? { rig, set: null, difficulty, seed } : null;
  }, [rig, difficulty, seed, set, person]);
  const who = useMemo<Person>(
    () => (person ? { ...person, role: person.role === 'lead' ? 'lead' : 'fitter' } : GUEST),
    [person],
  );
  if (!which)
    return (
      <Page title={say(COMMON.practice)} ways={[['/practice', say(COMMON.practiceJobs)]]}>
        <p>{say(COMMON.thereNoSuchBench)}</p>
      </Page>
    );
  return (
    <PractisingAs person={who}>
      <GaugesHere value={GAUGES}>
        <AtBench key={`${id} ${seed} ${asked} ${set}`} which={which} person={who} guest={person === null} />
      </GaugesHere>
    </PractisingAs>
  );
}

function AtBench({ which, person, guest }: { which: Which; person: Person; guest: boolean }) {
  const say = useSay();
  const sheet = useSheet(which, person);
  const { kept, state, job, seen, looked, nutDeg, busy, handle, keep, anew } = sheet;
  const [calling, setCalling] = useState(false);
  const [told, setTold] = useState<Debrief | null>(() => localDebrief(which, kept));
  const [fault, setFault] = useState<Text | null>(null);
  const client = useQueryClient();
  const call = async (made: Call) => {
    setCalling(false);
    const attempt = { events: kept.events, log: kept.log, call: made };
    setFault(null);
    if (!guest) {
      try {
        const { id, debrief: there } = await handIn(
          which.set === null
            ? { own: { rig: which.rig.id, difficulty: which.difficulty, seed: which.seed } }
            : { set: which.set },
          attempt,
        );
        keep({ ...kept, call: made, result: id });
        setTold(there);
        void client.invalidateQueries({ queryKey: ['benches'] });
        return;
      } catch (error) {
        const said = Object.values(faultsOf(error, M.noConnectionServerNotYour))[0];
        if (which.set !== null) return setFault(say(M.whatYouDidKeptHere({ said })));
        setFault(said ?? null);
      }
    }
    const next = { ...kept, call: made };
    keep(next);
    setTold(localDebrief(which, next));
  };
  const bench = useCallback((at: AtHand) => state && <RigBench state={state} at={at} />, [state]);
  const here = useMemo(
    () => ({ rig: which.rig, seen, looked, nutDeg, busy, onAct: handle, onCall: () => setCalling(true) }),
    [which.rig, seen, looked, nutDeg, busy, handle],
  );
  // The debrief is read from its top, wherever the sheet was.
  useEffect(() => {
    if (told) scrollTo(0, 0);
  }, [told]);
  if (told)
    return (
      <Page
        title={say(M.debrief({ name: which.rig.name }))}
        ways={guest ? [['/sign-in', say(COMMON.sign)]] : [['/practice', say(COMMON.practiceJobs)]]}
        wide
      >
        {fault && (
          <Fault>
            <Words of={fault} />
          </Fault>
        )}
        <DebriefView
          rig={which.rig}
          debrief={told}
          attempt={{ events: kept.events, log: kept.log, call: kept.call ?? { fit: true, faults: [] } }}
        />
        <p className="flex flex-wrap gap-3 pt-6 no-print">
          {which.set === null && (
            <Button
              onClick={() => {
                setTold(null);
                anew();
              }}
            >
              {say(M.sameBenchAgain)}
            </Button>
          )}
          <Link
            className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
            to={guest ? '/try' : '/practice'}
          >
            {say(M.anotherBench)}
          </Link>
        </p>
      </Page>
    );
  // Handed in before the page was loaded anew: it is in the log.
  if (kept.result) return <Navigate to={`/practice/results/${kept.result}`} replace />;
  if (!state) return null;
  return (
    <>
      <aside
        aria-label={say(COMMON.practice)}
        className="m-0 min-h-[2.1rem] border-b-2 border-brass px-4 py-0.5 font-medium text-brass md:px-6"
        data-practice
      >
        {say(M.practiceNothingHereRecordNothing3({ name: which.rig.name, saidOf: saidOf(which) }))}{' '}
        <Link className="underline underline-offset-4" to={guest ? '/sign-in' : '/practice'}>
          {say(COMMON.leave)}
        </Link>
      </aside>
      {(fault ?? sheet.fault) && (
        <div className="px-4 md:px-6">
          <Fault>
            <Words of={fault ?? sheet.fault} />
          </Fault>
        </div>
      )}
      {/* The strip above takes its height from the sheet’s. */}
      <div style={{ ['--strip' as string]: '2.1rem' }}>
        <BenchContext value={here}>
          <JobSheet job={job} state={state} bench={bench} />
        </BenchContext>
      </div>
      <CallDialog
        rig={which.rig}
        open={calling}
        onClose={() => setCalling(false)}
        onCall={(c) => void call(c)}
      />
    </>
  );
}

/** How it was laid out, as far as it is told beforehand. */
const saidOf = (w: Which): Text =>
  w.set !== null
    ? M.benchClass
    : w.difficulty === 'sound'
      ? M.laidOutSound({ seed: String(w.seed), sound: DIFFICULTIES.sound })
      : M.laidOut2({ seed: String(w.seed) });

/** What this device can say itself: of a bench of one’s own that was called. */
const localDebrief = (which: Which, { events, log, call }: Kept): Debrief | null =>
  call === null || which.set !== null
    ? null
    : debrief(layOut(which.rig, which.seed, which.difficulty), { events, log, call });
