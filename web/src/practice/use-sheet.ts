import type { Person } from '@fulcrant/core/api';
import {
  type Difficulty,
  type EventDataOf,
  type EventType,
  type JobEvent,
  type JobState,
  type Rig,
  take,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { type Action, Bench, type Logged, layOut, notAtABench, type Shown } from '@fulcrant/practice';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { faultsOf } from '../data/asked.ts';
import { shownAt } from '../data/benches.ts';
import { folder, stateFrom } from '../data/fold.ts';
import { type JobView, makeEvent } from '../data/job.ts';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';
import { type Kept, makeRoom, putSheet, readSheet, shelfKey } from './shelf.ts';

/** Which bench: one of one’s own, or one of a class, whose number and faults stay with the server. */
export type Which = { rig: Rig } & ({ set: string } | { set: null; difficulty: Difficulty; seed: number });

/** What the hand was last shown, and where; whether it was written since, and the tool let go. */
export type Seen = { at: string; shown: Shown; written?: true };

const AWAY = M.noConnectionServerBenchClass;
/** The hand rests: nothing was handled for so long. */
const REST_MS = 300;
const NONE: readonly JobEvent[] = [];

const benchOf = (w: Which): string => (w.set === null ? `${w.rig.id}.${w.difficulty}.${w.seed}` : w.set);

/** A practice sheet: the same rules as a record’s, kept on this device and sent nowhere until it is handed in. */
export function useSheet(which: Which, person: Person) {
  const say = useSay();
  const key = shelfKey(person.id, benchOf(which));
  const [kept, setKept] = useState<Kept>(() => {
    const before = readSheet(localStorage, key);
    return before && stateFrom(before.events) ? before : begun(which.rig, person);
  });
  useEffect(() => makeRoom(localStorage, key), [key]);
  // The next act goes upon what the last one left, whether it is drawn yet or not.
  const now = useRef(kept);
  const [fault, setFault] = useState<Text | null>(null);
  const waiting = useRef<ReturnType<typeof setTimeout> | null>(null);
  const put = useCallback(() => {
    if (waiting.current) clearTimeout(waiting.current);
    waiting.current = null;
    if (!putSheet(localStorage, key, now.current)) setFault(say(M.deviceCouldNotKeepStorage));
  }, [key, say]);
  // What is written on the sheet is kept at once; what is only handled, when the hand rests or the page goes.
  const keep = useCallback(
    (next: Kept) => {
      const written = next.events !== now.current.events || next.call !== now.current.call;
      now.current = next;
      setKept(next);
      if (written) put();
      else waiting.current ??= setTimeout(put, REST_MS);
    },
    [put],
  );
  useEffect(() => {
    const going = () => {
      if (waiting.current) put();
    };
    addEventListener('pagehide', going);
    return () => {
      removeEventListener('pagehide', going);
      going();
    };
  }, [put]);
  const [fold] = useState(folder);
  const state = useMemo(() => fold(kept.events, NONE), [fold, kept.events]);
  const bench = useBench(which, now, keep, setFault);
  const job = useJobView(now, keep, fold, state, person, bench.after);
  const anew = useCallback(() => {
    keep(begun(which.rig, person));
    bench.forget();
  }, [keep, which, person, bench.forget]);
  return { kept, state, job, fault, anew, keep, ...bench };
}

const begun = (rig: Rig, person: Person): Kept => {
  const id = v7();
  const opened = makeEvent(person, id, 'job.opened', { positionId: v7(), setup: rig.setup });
  return { events: [opened], log: [], call: null, result: null };
};

type Now = { current: Kept };

/** The sheet as its page takes it. */
function useJobView(
  now: Now,
  keep: (next: Kept) => void,
  fold: ReturnType<typeof folder>,
  state: JobState | null,
  person: Person,
  after: (type: EventType) => void,
): JobView {
  return useMemo(() => {
    const id = now.current.events[0]?.jobId ?? '';
    const make = <T extends EventType>(type: T, data: EventDataOf<T>) => makeEvent(person, id, type, data);
    const act = async <T extends EventType>(type: T, data: EventDataOf<T>): Promise<Text | null> => {
      const odd = notAtABench(type);
      if (odd !== null) return odd;
      const before = fold(now.current.events, NONE);
      const event = make(type, data);
      const taken = take(before, event);
      if ('refusal' in taken) return taken.refusal;
      keep({ ...now.current, events: [...now.current.events, event] });
      after(type);
      return null;
    };
    return {
      state,
      number: null,
      practice: true,
      loading: false,
      fault: null,
      act,
      async actAll(acts) {
        const said: Array<Text | null> = [];
        for (const a of acts) said.push(await act(a.type, a.data));
        return said;
      },
      suppose: (type, data) => take(state, make(type, data)),
      supposeAll: (acts) =>
        acts.reduce<JobState | null>((then, a) => {
          const taken = take(then, make(a.type, a.data));
          return 'refusal' in taken ? then : taken.state;
        }, state),
    };
  }, [now, keep, fold, state, person, after]);
}

/** The bench under the hands: here where it is one’s own, on the server where it is the class’s. */
function useBench(
  which: Which,
  now: Now,
  keep: (next: Kept) => void,
  setFault: (fault: Text | null) => void,
) {
  const say = useSay();
  const [seen, setSeen] = useState<Seen | null>(null);
  const [looked, setLooked] = useState<Record<string, Text>>({});
  const [busy, setBusy] = useState(false);
  // One act at a time: what is asked while the server answers is not done twice.
  const asking = useRef(false);
  // As it was left before the page was loaded anew.
  const [mine, setMine] = useState(() => laidHere(which, now.current.log));
  const [nutDeg, setNutDeg] = useState(mine?.nutDeg ?? 0);
  const handle = useCallback(
    async (action: Action): Promise<Shown | null> => {
      if (asking.current) return null;
      const { log, events } = now.current;
      const next = [...log, { action, after: events.length }];
      let shown: Shown;
      let deg: number;
      if (mine) {
        shown = mine.do(action);
        deg = mine.nutDeg;
      } else if (action.do === 'off') {
        // Nothing is asked of the truth by it: it is done with or without the server.
        [shown, deg] = [{ kind: 'done', text: say(M.off) }, 0];
      } else {
        asking.current = true;
        setBusy(true);
        try {
          const told = await shownAt(
            which.set ?? '',
            next.map((l) => l.action),
          );
          shown = told.shown;
          deg = told.nutDeg;
        } catch (error) {
          setFault(Object.values(faultsOf(error, AWAY))[0] ?? AWAY);
          return null;
        } finally {
          asking.current = false;
          setBusy(false);
        }
      }
      setFault(null);
      keep({ ...now.current, log: next });
      setNutDeg(deg);
      if (action.do === 'look' && shown.kind === 'seen')
        setLooked((l) => ({ ...l, [`${action.step}/${action.item}`]: shown.text }));
      const place = next.findLast((l) => l.action.do === 'at')?.action;
      setSeen({ at: place?.do === 'at' ? `${place.step} ${place.key}` : '', shown });
      return shown;
    },
    [which.set, mine, now, keep, setFault, say],
  );
  // Where the nut stands at a bench of the class is asked once, when the page comes back to it.
  const { set } = which;
  useEffect(() => {
    const done = now.current.log.map((l) => l.action);
    if (set === null || done.length === 0) return;
    shownAt(set, done).then(
      (told) => setNutDeg(told.nutDeg),
      (error: unknown) => setFault(Object.values(faultsOf(error, AWAY))[0] ?? AWAY),
    );
  }, [set, now, setFault]);
  /** What an entry on the sheet does to the bench: a reading lets the tool go, what is taken off takes the nut with it. */
  const after = useCallback(
    (type: EventType) => {
      if (type === 'reading.taken') setSeen((s) => s && { ...s, written: true });
      if (type === 'act.done') void handle({ do: 'off' });
    },
    [handle],
  );
  const forget = useCallback(() => {
    setMine(laidHere(which, []));
    setSeen(null);
    setLooked({});
    setNutDeg(0);
  }, [which]);
  return { seen, looked, nutDeg, busy, handle, after, forget };
}

/** A bench of one’s own with what was done at it; null for one of the class, whose truth stays with the server. */
function laidHere(which: Which, log: readonly Logged[]): Bench | null {
  if (which.set !== null) return null;
  const bench = new Bench(layOut(which.rig, which.seed, which.difficulty));
  for (const l of log) bench.do(l.action);
  return bench;
}
