import { type FaceLoadValues, facePairFigure, runCalculator } from '@fulcrant/core/calculators';
import type { Text } from '@fulcrant/core/messages';
import { useMemo, useState } from 'react';
import { axis, readings, STILL, useChart, type XY } from '../figures/chart.ts';
import { DrawingView } from '../figures/DrawingView.tsx';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

type Input = Record<string, unknown>;
const num = (v: unknown, usual = 0): number => (typeof v === 'number' ? v : usual);

/** The pair of faces in half section, radii to scale, with the pressure falling along the gap, and what it comes to over speed or pressure. */
export default function FaceLoad({ input, values }: { input: Input; values: FaceLoadValues }) {
  return (
    <div className="flex flex-col gap-3">
      <DrawingView drawing={facePairFigure(input, values)} />
      <Over input={input} />
    </div>
  );
}

const STEPS = 24;

/** Power and closing pressure over speed or over pressure, from nothing to twice what is typed. */
function Over({ input }: { input: Input }) {
  const say = useSay();
  const [over, setOver] = useState<'speedRpm' | 'pressureMpa'>('speedRpm');
  const now = num(input[over]);
  const points = useMemo(
    () =>
      Array.from({ length: STEPS + 1 }, (_, i) => (2 * now * i) / STEPS).flatMap((x): XY[] => {
        const answer = runCalculator('seal.face-load', { ...input, [over]: x });
        return answer.ok ? [{ x, y: (answer.result.values as FaceLoadValues).powerW }] : [];
      }),
    [input, over, now],
  );
  const canvas = useChart(() => look(points, now, over, say), [points, now, over, say]);
  return (
    <figure className="m-0">
      <div className="flex gap-2 pb-1">
        {(
          [
            ['speedRpm', say(M.overSpeed)],
            ['pressureMpa', say(M.overPressure)],
          ] as const
        ).map(([key, word]) => (
          <button
            key={key}
            type="button"
            aria-pressed={over === key}
            onClick={() => setOver(key)}
            className="min-h-12 border border-muted px-2.5 font-label aria-pressed:border-2 aria-pressed:border-ink aria-pressed:font-semibold"
          >
            {word}
          </button>
        ))}
      </div>
      <div className="h-52">
        <canvas
          ref={canvas}
          role="img"
          aria-label={say(
            M.frictionPowerW({
              over: over === 'speedRpm' ? 'overSpeed' : 'overPressure',
              y: points.at(-1)?.y.toFixed(0) ?? 0,
            }),
          )}
        />
      </div>
      <figcaption className="kicker normal-case tracking-normal">
        {say(M.frictionPowerDotWhatTyped)}
      </figcaption>
    </figure>
  );
}

function look(points: XY[], now: number, over: string, say: (text: Text) => string) {
  const dots = points.map((p) => (Math.abs(p.x - now) < 1e-9 ? 6 : 0));
  return {
    type: 'line' as const,
    data: { datasets: [{ ...readings(points), pointRadius: dots }] },
    options: {
      ...STILL,
      scales: {
        x: axis(over === 'speedRpm' ? 'rpm' : say(M.mPaAcrossFace)),
        y: { ...axis('W'), min: 0 },
      },
    },
  };
}
