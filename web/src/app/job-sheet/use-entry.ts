import {
  type DriveUpStepValues,
  type JobState,
  type Place,
  placeAt,
  type StepReport,
  sleeveBearing,
} from '@fulcrant/core';
import { useCallback, useMemo, useState } from 'react';
import { useGauge } from '../../ui/gauge-choice.ts';
import type { JobView } from '../job.ts';

export type PlaceChoice = { key: string; label: string };

/** Other places that can be read now besides the next one: further round the nut, here again, or the gap to the tab. */
function choicesOf(state: JobState, step: string, report: StepReport): PlaceChoice[] {
  if (step !== 'driveup') return [];
  const v = report.values as DriveUpStepValues | null;
  if (!v || v.place === 'over-driven') return [];
  const here = state.readings.filter(
    (r) =>
      !r.withdrawn &&
      r.attempt === state.attempt &&
      r.step === 'driveup' &&
      r.place.startsWith(`deg${v.angleDeg}/A/`),
  ).length;
  const all: PlaceChoice[] = [
    { key: `deg${v.angleDeg + 45}/A/1`, label: '⅛ on' },
    { key: `deg${v.angleDeg + 22.5}/A/1`, label: '1/16 on' },
    { key: `deg${v.angleDeg}/A/${here + 1}`, label: 'Again here' },
    { key: `lock/deg${v.angleDeg}`, label: 'Gap to tab' },
  ];
  return all.filter((c) => typeof placeAt(sleeveBearing, state, step, c.key) !== 'string');
}

export type Entry = {
  place: Place | null;
  choices: PlaceChoice[];
  choose(key: string | null): void;
  typed: number | null;
  type(value: number | null): void;
  refusal: string | null;
  /** The job as it would stand with the typed value; the job itself while nothing is typed. */
  shown: JobState;
  gauge: ReturnType<typeof useGauge>;
  store(value: number, raw: string): Promise<string | null>;
};

/** The reading being taken at the present step: where, with what, and what it would mean. */
export function useEntry(job: JobView, state: JobState, step: string, report: StepReport | null): Entry {
  const [chosen, setChosen] = useState<string | null>(null);
  const [typed, setTyped] = useState<number | null>(null);
  const picked = chosen ? placeAt(sleeveBearing, state, step, chosen) : null;
  const place = picked && typeof picked !== 'string' ? picked : (report?.next ?? null);
  const around = place?.kind === 'diameter' ? state.setup.shaftMm : undefined;
  const gauge = useGauge(place?.instrumentKind ?? null, around);
  const inHand = gauge.gauge;
  const placeKey = place?.key ?? null;

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

  const store = useCallback(
    async (value: number, raw: string) => {
      if (!placeKey || !inHand) return 'Say which gauge is in hand.';
      const refusal = await job.act('reading.taken', {
        step,
        place: placeKey,
        value,
        raw,
        instrument: inHand,
      });
      if (!refusal) setChosen(null);
      return refusal;
    },
    [job.act, step, placeKey, inHand],
  );
  return {
    place,
    choices: report ? choicesOf(state, step, report) : [],
    choose: setChosen,
    typed,
    type: setTyped,
    refusal: supposed && 'refusal' in supposed ? supposed.refusal : null,
    shown: supposed && 'state' in supposed ? supposed.state : state,
    gauge,
    store,
  };
}
