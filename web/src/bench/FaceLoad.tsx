import { type FaceLoadValues, runCalculator } from '@fulcrant/core/calculators';
import { lengthDigits } from '@fulcrant/core/units';
import { useMemo, useState } from 'react';
import { axis, readings, STILL, useChart, type XY } from '../figures/chart.ts';
import { Axis, Dimension, Figure, Label } from '../figures/drawing.tsx';
import { useSettings } from '../ui/settings.tsx';

type Input = Record<string, unknown>;
const num = (v: unknown, usual = 0): number => (typeof v === 'number' ? v : usual);

/** The pair of faces in half section, radii to scale, with the pressure falling along the gap, and what it comes to over speed or pressure. */
export default function FaceLoad({ input, values }: { input: Input; values: FaceLoadValues }) {
  return (
    <div className="flex flex-col gap-3">
      <FacePair input={input} values={values} />
      <Over input={input} />
    </div>
  );
}

function FacePair({ input, values: v }: { input: Input; values: FaceLoadValues }) {
  const { unit } = useSettings();
  const say = (mm: number) => lengthDigits(mm, unit, 1);
  const [od, id, bd] = [num(input.faceOutsideMm), num(input.faceInsideMm), num(input.balanceMm)];
  const outside = input.pressureFrom !== 'inside';
  const k = num(input.dropFactor, 0.5);
  const lo = Math.min(id, bd) - 4;
  const hi = Math.max(od, bd) + 4;
  const y = (mm: number) => 210 - (170 * (mm - lo)) / (hi - lo);
  const face = 190;
  const high = outside ? od : id;
  const low = outside ? id : od;
  // The share in the gap bends the fall: half is a straight one.
  const bend = 92 * k;
  return (
    <svg
      viewBox="0 0 420 250"
      className="block w-full"
      role="img"
      aria-label={`Face pair: balance ratio ${v.balance.toFixed(2)}, closing pressure ${v.closingMpa.toFixed(2)} MPa`}
    >
      <path
        d={`M60 ${y(bd)}H130V${y(od)}H${face}V${y(id)}H60z`}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      <rect
        x={face + 4}
        y={y(od + 2)}
        width="46"
        height={y(id - 2) - y(od + 2)}
        fill="var(--steel)"
        opacity="0.45"
        stroke="var(--ink)"
      />
      <path
        d={`M${face + 60} ${y(high)}h92Q${face + 60 + bend} ${(y(high) + y(low)) / 2} ${face + 60} ${y(low)}z`}
        fill="var(--brass)"
        fillOpacity="0.35"
        stroke="var(--brass)"
        strokeWidth="2"
      />
      <Label x={face + 64} y={Math.min(y(high), y(low)) - 8} anchor="start" tone="brass">
        pressure along the gap
      </Label>
      <line x1="20" x2={face + 56} y1={y(bd)} y2={y(bd)} stroke="var(--steel)" strokeDasharray="6 4" />
      <Label x={16} y={y(bd) - 6} anchor="start" tone="steel">
        balance {say(bd)}
      </Label>
      <Figure x={136} y={y(od) - 6} anchor="start" size={13}>
        ⌀ {say(od)}
      </Figure>
      <Figure x={136} y={y(id) + 17} anchor="start" size={13}>
        ⌀ {say(id)}
      </Figure>
      <path d="M24 130h30m0 0l-9 -5m9 5l-9 5" stroke="var(--ink)" strokeWidth="2" fill="none" />
      <Label x={20} y={118} anchor="start" tone="muted">
        spring
      </Label>
      <Axis x1={10} x2={410} y1={232} y2={232} />
      <Dimension x1={face + 60} y1={222} x2={face + 152} y2={222} tone="brass">
        {num(input.pressureMpa).toFixed(2)} MPa
      </Dimension>
      <Label x={412} y={246} anchor="end" tone="muted" size={13}>
        half section; radii to scale from {say(lo)}
      </Label>
    </svg>
  );
}

const STEPS = 24;

/** Power and closing pressure over speed or over pressure, from nothing to twice what is typed. */
function Over({ input }: { input: Input }) {
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
  const canvas = useChart(() => look(points, now, over), [points, now, over]);
  return (
    <figure className="m-0">
      <div className="flex gap-2 pb-1">
        {(
          [
            ['speedRpm', 'over speed'],
            ['pressureMpa', 'over pressure'],
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
          aria-label={`Friction power ${over === 'speedRpm' ? 'over speed' : 'over pressure'}, to ${points.at(-1)?.y.toFixed(0) ?? 0} W`}
        />
      </div>
      <figcaption className="kicker normal-case tracking-normal">
        friction power; the dot is what is typed
      </figcaption>
    </figure>
  );
}

function look(points: XY[], now: number, over: string) {
  const dots = points.map((p) => (Math.abs(p.x - now) < 1e-9 ? 6 : 0));
  return {
    type: 'line' as const,
    data: { datasets: [{ ...readings(points), pointRadius: dots }] },
    options: {
      ...STILL,
      scales: {
        x: axis(over === 'speedRpm' ? 'rpm' : 'MPa across the face'),
        y: { ...axis('W'), min: 0 },
      },
    },
  };
}
