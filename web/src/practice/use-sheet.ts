import type { Person } from '@fulcrant/core/api/requests';
import type { EventDataOf, EventType, JobEvent } from '@fulcrant/core/engine/events';
import type { Difficulty, Rig } from '@fulcrant/core/engine/rig';
import type { JobState } from '@fulcrant/core/engine/state';
import { take } from '@fulcrant/core/engine/take';
import { type Action, Bench, type Shown } from '@fulcrant/core/practice/bench';
import type { Call } from '@fulcrant/core/practice/debrief';
import type { Logged } from '@fulcrant/core/practice/handled';
import { layOut } from '@fulcrant/core/practice/rigs';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { shownAt } from '../data/benches.ts';
import { folder, stateFrom } from '../data/fold.ts';
import { type JobView, makeEvent } from '../data/job.ts';

/** Which bench: one of one’s own by its seed, or one of a class, whose seed stays with the server. */
export type Which = { rig: Rig; difficulty: Difficulty; seed: number; set: string | null };

/** A practice sheet as it is kept on this device: what was written, what was handled, what was made of it. */
export type Kept = { events: JobEvent[]; log: Logged[]; call: Call | null; result: string | null };
/** What the hand was last shown, and where. */
export type Seen = { at: string; shown: Shown };

/** The hand rests: nothing was handled for so long. */
const REST_MS = 300;
const NONE: readonly JobEvent[] = [];

const shelf = (w: Which): string => `fulcrant.practice.${w.set ?? `${w.rig.id}.${w.difficulty}.${w.seed}`}`;

function readKept(key: string): Kept | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as Kept | null;
  } catch {
    return null;
  }
}

/** A practice sheet: the same rules as a record’s, kept on this device and sent nowhere until it is handed in. */
export function useSheet(which: Which, person: Person) {
  const key = shelf(which);
  const [kept, setKept] = useState<Kept>(() => {
    const before = readKept(key);
    return before && stateFrom(before.events) ? before : begun(which.rig, person);
  });
  // The next act goes upon what the last one left, whether it is drawn yet or not.
  const now = useRef(kept);
  const [fault, setFault] = useState<string | null>(null);
  const waiting = useRef<ReturnType<typeof setTimeout> | null>(null);
  const put = useCallback(() => {
    if (waiting.current) clearTimeout(waiting.current);
    waiting.current = null;
    try {
      localStorage.setItem(key, JSON.stringify(now.current));
    } catch {
      setFault(
        'This device could not keep it: its storage is full or switched off. Work on without leaving the page.',
      );
    }
  }, [key]);
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
  const job = useJobView(now, keep, fold, state, person);
  const bench = useBench(which, now, keep, setFault);
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
): JobView {
  return useMemo(() => {
    const id = now.current.events[0]?.jobId ?? '';
    const make = <T extends EventType>(type: T, data: EventDataOf<T>) => makeEvent(person, id, type, data);
    const act = async <T extends EventType>(type: T, data: EventDataOf<T>): Promise<string | null> => {
      if (type === 'sheet.signed') return 'Practice is never signed: say what you make of it instead.';
      const before = fold(now.current.events, NONE);
      const event = make(type, data);
      const taken = take(before, event);
      if ('refusal' in taken) return taken.refusal;
      keep({ ...now.current, events: [...now.current.events, event] });
      return null;
    };
    return {
      state,
      number: 'practice',
      loading: false,
      fault: null,
      act,
      async actAll(acts) {
        const said: Array<string | null> = [];
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
  }, [now, keep, fold, state, person]);
}

/** The bench under the hands: here where it is one’s own, on the server where it is the class’s. */
function useBench(
  which: Which,
  now: Now,
  keep: (next: Kept) => void,
  setFault: (fault: string | null) => void,
) {
  const [seen, setSeen] = useState<Seen | null>(null);
  const [looked, setLooked] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState(false);
  // As it was left before the page was loaded anew.
  const [mine, setMine] = useState(() => laidHere(which, now.current.log));
  const [nutDeg, setNutDeg] = useState(mine?.nutDeg ?? 0);
  const handle = useCallback(
    async (action: Action): Promise<Shown | null> => {
      const { log, events } = now.current;
      const next = [...log, { action, after: events.length }];
      let shown: Shown;
      let deg: number;
      if (mine) {
        shown = mine.do(action);
        deg = mine.nutDeg;
      } else {
        setBusy(true);
        try {
          const told = await shownAt(
            which.set ?? '',
            next.map((l) => l.action),
          );
          shown = told.shown;
          deg = told.nutDeg;
        } catch {
          setFault(
            'No connection to the server: a bench of the class answers only with it. Nothing was lost.',
          );
          return null;
        } finally {
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
    [which.set, mine, now, keep, setFault],
  );
  const forget = useCallback(() => {
    setMine(laidHere(which, []));
    setSeen(null);
    setLooked({});
    setNutDeg(0);
  }, [which]);
  return { seen, looked, nutDeg, busy, handle, forget };
}

/** A bench of one’s own with what was done at it; null for one of the class, whose truth stays with the server. */
function laidHere(which: Which, log: readonly Logged[]): Bench | null {
  if (which.set !== null) return null;
  const bench = new Bench(layOut(which.rig, which.seed, which.difficulty));
  for (const l of log) bench.do(l.action);
  return bench;
}
