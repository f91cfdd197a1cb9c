import {
  addToSweep,
  type Instrument,
  type Sweep,
  samplesAt,
  startSweep,
  sweepClosing,
  sweepReadings,
  sweepWhole,
} from '@fulcrant/core/instruments';
import { type EventDataOf, type JobState, type Place, standing } from '@fulcrant/core/job';
import type { Text } from '@fulcrant/core/messages';
import { say } from '@fulcrant/core/units';
import { useEffect, useRef, useState } from 'react';
import { moveHand, onDropped, onHeard, useFeedSource } from '../data/feed.ts';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { useLatest } from '../ui/use-latest.ts';
import { M } from './messages.ts';

type Act = { type: 'reading.taken'; data: EventDataOf<'reading.taken'> };
type Props = {
  step: string;
  /** What the keys of the turn at hand begin with, and how many angles it wants. */
  prefix: string;
  wanted: number;
  place: Place;
  gauge: Instrument;
  /** The job as it would stand with these readings, shown while the shaft turns; null to show it as it is. */
  onSuppose: (acts: Act[] | null) => void;
  actAll: (acts: Act[]) => Promise<Array<Text | null>>;
  state: JobState;
};

/** Round once and a little over, so that the closing angle is met whole. */
const TURN_END_DEG = 365;

/** A hand on the crank turns about so fast. */
const RPM = 12;

/** The gathered means as readings of the turn, the closing one last. */
function actsOf(s: Sweep, p: Pick<Props, 'step' | 'prefix' | 'gauge'>): Act[] {
  const act = (angle: number, value: number, samples: number): Act => ({
    type: 'reading.taken',
    data: {
      step: p.step,
      place: `${p.prefix}${angle}`,
      value: Number(value.toFixed(6)),
      raw: say(M.meanFromFeed({ samples }), 'mm'),
      instrument: p.gauge,
      via: 'port',
    },
  });
  const closing = sweepClosing(s);
  return [
    ...sweepReadings(s).map((r) =>
      act(r.angleDeg, r.valueMm, samplesAt(s, Math.round((r.angleDeg * s.angles) / 360))),
    ),
    ...(closing === undefined ? [] : [act(360, closing, samplesAt(s, s.angles))]),
  ];
}

/**
 * A whole turn from the feed: values are gathered at the angles wanted as they stream in, figure and verdict follow once a
 * frame, and the turn is stored when it is round. A feed that drops in the middle stores nothing of it.
 */
export function SweepPanel(props: Props) {
  const say = useSay();
  const { step, prefix, wanted, place, gauge, onSuppose, actAll, state } = props;
  const source = useFeedSource();
  const sweep = useRef<Sweep | null>(null);
  const [turned, setTurned] = useState<number | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const now = useLatest({ step, prefix, gauge, onSuppose, actAll });

  // biome-ignore lint/correctness/useExhaustiveDependencies: what was last rendered is looked at when something is heard
  useEffect(() => {
    let angle: number | null = null;
    let frame = 0;
    const finish = async (s: Sweep) => {
      sweep.current = null;
      setTurned(null);
      const refused = (await now.current.actAll(actsOf(s, now.current))).filter((r) => r !== null);
      now.current.onSuppose(null);
      if (refused[0]) setFault(M.notAllOfTurnStored({ refused: refused[0] }));
      else if (!sweepWhole(s)) setFault(say(M.someAnglesWerePassedOver));
    };
    const draw = () => {
      frame = 0;
      const s = sweep.current;
      if (!s) return;
      setTurned(s.turnedDeg);
      now.current.onSuppose(actsOf(s, now.current));
    };
    const deaf = onHeard((port, heard) => {
      if (port === 'angle') angle = heard.value;
      if (port !== 'dial' || !sweep.current || angle === null) return;
      // Until the crank is back at its start the angle is that of the place before.
      if (sweep.current.samples === 0 && angle > 20) return;
      sweep.current = addToSweep(sweep.current, angle, heard.value);
      if (sweep.current.turnedDeg >= TURN_END_DEG) void finish(sweep.current);
      else if (!frame) frame = requestAnimationFrame(draw);
    });
    const calm = onDropped(() => {
      const s = sweep.current;
      if (!s) return;
      sweep.current = null;
      setTurned(null);
      now.current.onSuppose(null);
      setFault(say(M.feedStoppedNothingTurnStored({ turned: s.turnedDeg.toFixed(0) })));
    });
    return () => {
      deaf();
      calm();
      if (frame) cancelAnimationFrame(frame);
    };
  }, []);

  if (source !== 'stand-in') return null;
  const begun = standing(state, step, 'any').some((r) => r.place.startsWith(prefix));
  // A turn begun by hand has its own zero; a sweep over the rest of it would mix two.
  if (begun && turned === null && !fault) return null;
  const start = () => {
    setFault(null);
    sweep.current = startSweep(wanted);
    setTurned(0);
    void moveHand({ atMm: place.turn?.atMm ?? 0, sweepRpm: RPM });
  };
  return (
    <div className="flex flex-wrap items-center gap-3" data-sweep={turned === null ? 'idle' : 'turning'}>
      {turned === null ? (
        <Button onClick={start} disabled={begun} data-sweep-start>
          {say(M.sweepWholeTurn)}
        </Button>
      ) : (
        <p className="m-0 font-medium text-brass" role="status">
          {say(M.turning360({ turned: turned.toFixed(0) }))}
        </p>
      )}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
    </div>
  );
}
