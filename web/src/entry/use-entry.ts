import {
  type EventDataOf,
  type JobState,
  type Place,
  type PlaceChoice,
  placeAt,
  type StepReport,
} from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { isText } from '@fulcrant/core/messages';
import { set, subDays } from 'date-fns';
import { useCallback, useMemo, useState } from 'react';
import type { JobView } from '../data/job.ts';
import { useAfterTyping } from '../ui/after-typing.ts';
import { useSay } from '../ui/settings.tsx';
import { useGauge } from './gauge-choice.ts';
import { M } from './messages.ts';

/** Other places that can be read now besides the next one. */
const choicesOf = ({ choices = [], next }: StepReport): PlaceChoice[] =>
  choices.some((c) => c.key !== next?.key) ? choices : [];

const NO_KINDS: [] = [];

/** A reading that would be taken. */
export type ReadingAct = { type: 'reading.taken'; data: EventDataOf<'reading.taken'> };

export type Entry = {
  place: Place | null;
  choices: PlaceChoice[];
  choose(key: string | null): void;
  typed: number | null;
  type(value: number | null): void;
  refusal: Text | null;
  /** The job as it would stand with the typed value; the job itself while nothing is typed. */
  shown: JobState;
  gauge: ReturnType<typeof useGauge>;
  /** Show the job as it would stand with several readings, such as a turn being swept; null to stop. */
  suppose(acts: ReadingAct[] | null): void;
  /** Where the gauge stands while a turn is swept. */
  sweptTo: Place | null;
  store(value: number, raw: string, via?: 'port'): Promise<Text | null>;
  /** When it was read, where that is told later, “09:40”; empty where it is read now. */
  earlier: string;
  setEarlier(time: string): void;
  /** Choose any angle of the turn at hand; null where it is chosen, else why it cannot be read. */
  chooseAngle: ((deg: number) => Text | null) | null;
};

/** The place of a turn being swept moves on with the shaft. */
function lastSwept(place: Place | null, swept: ReadingAct[] | null): Place | null {
  const last = swept?.at(-1)?.data.place.split('/').at(-1);
  return place?.turn && last !== undefined
    ? { ...place, turn: { ...place.turn, angleDeg: Number(last) } }
    : null;
}

/** The last time a clock showed “09:40”: today, or yesterday where that is still to come. */
export function lastAt(time: string, now: Date): Date {
  const [h = 0, m = 0] = time.split(':').map(Number);
  const at = set(now, { hours: h, minutes: m, seconds: 0, milliseconds: 0 });
  return at > now ? subDays(at, 1) : at;
}

/** The reading being taken at the present step: where, with what, and what it would mean. */
export function useEntry(job: JobView, state: JobState, step: string, report: StepReport | null): Entry {
  const say = useSay();
  const [chosen, setChosen] = useState<string | null>(null);
  const [told, setTold] = useState<{ value: number; at: string | null } | null>(null);
  const [swept, setSwept] = useState<ReadingAct[] | null>(null);
  const [earlier, setEarlier] = useState('');
  const picked = chosen ? placeAt(state, step, chosen) : null;
  const place = picked && !isText(picked) ? picked : (report?.next ?? null);
  const gauge = useGauge(place?.instrumentKinds ?? NO_KINDS, place?.nominalMm);
  const inHand = gauge.gauge;
  const placeKey = place?.key ?? null;
  // What was typed for one place says nothing of the next.
  const typed = told && told.at === placeKey ? told.value : null;
  const tell = useCallback(
    (value: number | null) => setTold(value === null ? null : { value, at: placeKey }),
    [placeKey],
  );
  const type = useAfterTyping(tell);

  const supposed = useMemo(() => {
    if (typed === null || !placeKey || !inHand) return null;
    return job.suppose('reading.taken', {
      step,
      place: placeKey,
      value: typed,
      raw: 'typed',
      instrument: inHand,
    });
  }, [job.suppose, step, placeKey, typed, inHand]);

  const sweeping = useMemo(() => (swept ? job.supposeAll(swept) : null), [job.supposeAll, swept]);

  const store = useCallback(
    async (value: number, raw: string, via?: 'port') => {
      if (!placeKey || !inHand) return say(M.sayWhichGaugeHand);
      const refusal = await job.act('reading.taken', {
        step,
        place: placeKey,
        value,
        raw,
        instrument: inHand,
        ...(via ? { via } : {}),
        ...(earlier ? { readAt: lastAt(earlier, new Date()).toISOString() } : {}),
      });
      if (!refusal) {
        setChosen(null);
        setEarlier('');
      }
      return refusal;
    },
    [job.act, step, placeKey, inHand, earlier, say],
  );
  const prefix = report?.turn?.prefix;
  return {
    place,
    choices: report ? choicesOf(report) : [],
    choose: setChosen,
    chooseAngle: prefix
      ? (deg) => {
          const key = `${prefix}${Number(deg.toFixed(1))}`;
          const there = placeAt(state, step, key);
          if (isText(there)) return there;
          setChosen(key);
          return null;
        }
      : null,
    typed,
    type,
    refusal: supposed && 'refusal' in supposed ? supposed.refusal : null,
    shown: sweeping ?? (supposed && 'state' in supposed ? supposed.state : state),
    suppose: setSwept,
    sweptTo: lastSwept(place, swept),
    gauge,
    store,
    earlier,
    setEarlier,
  };
}
