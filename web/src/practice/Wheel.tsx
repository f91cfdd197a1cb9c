import { type PointerEvent, useRef, useState } from 'react';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** So near the mark it stands there. */
const THERE_DEG = 3;
const KEY_DEG = 5;
const TICKS = Array.from({ length: 24 }, (_, i) => i * 15);
const turnOf = (deg: number): number => ((deg % 360) + 360) % 360;
const apart = (a: number, b: number): number => Math.abs(((turnOf(a - b) + 180) % 360) - 180);

/** The shaft’s end, turned by hand or by arrow keys until the angle asked for stands under the dial. */
export function Wheel({
  from,
  to,
  busy,
  onThere,
}: {
  /** Where it stands, and where it is to stand, degrees. */
  from: number;
  to: number;
  busy: boolean;
  onThere: () => void;
}) {
  const say = useSay();
  const [deg, setDeg] = useState(from);
  const wheel = useRef<HTMLDivElement>(null);
  const held = useRef<{ at: number; deg: number } | null>(null);
  const there = (d: number) => !busy && apart(d, to) <= THERE_DEG;
  const turn = (d: number) => {
    setDeg(turnOf(d));
    if (there(d) && !held.current) onThere();
  };
  const angleAt = (e: PointerEvent): number => {
    const box = wheel.current?.getBoundingClientRect();
    if (!box) return 0;
    const [x, y] = [e.clientX - box.left - box.width / 2, e.clientY - box.top - box.height / 2];
    return (Math.atan2(y, x) * 180) / Math.PI;
  };
  return (
    <div
      ref={wheel}
      className="mx-auto w-44 cursor-grab touch-none select-none"
      role="slider"
      aria-label={say(M.turnShaft({ to }))}
      aria-valuemin={0}
      aria-valuemax={360}
      aria-valuenow={Math.round(deg)}
      aria-valuetext={say(M.degrees({ deg: Math.round(deg) }))}
      tabIndex={0}
      data-wheel={to}
      onKeyDown={(e) => {
        const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[e.key];
        if (way) turn(deg + way * KEY_DEG);
        else if (e.key === 'End') turn(to);
        else return;
        e.preventDefault();
      }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        held.current = { at: angleAt(e), deg };
      }}
      onPointerMove={(e) => {
        // Its mark turns with the hand: what stands under the dial goes the other way.
        if (held.current) setDeg(turnOf(held.current.deg - (angleAt(e) - held.current.at)));
      }}
      onPointerUp={() => {
        held.current = null;
        if (there(deg)) onThere();
      }}
    >
      <svg viewBox="0 0 200 200" className="block w-full" aria-hidden="true">
        <path d="M100 0v20M93 12l7 10 7-10" stroke="var(--brass)" strokeWidth="2.6" fill="none" />
        <g transform={`rotate(${-deg} 100 100)`}>
          <circle cx="100" cy="100" r="74" fill="var(--shade)" stroke="var(--ink)" strokeWidth="2" />
          {TICKS.map((at) => (
            <path
              key={at}
              d={at % 45 === 0 ? 'M100 26v12' : 'M100 26v6'}
              transform={`rotate(${at} 100 100)`}
              stroke="var(--ink)"
              strokeWidth="1.4"
            />
          ))}
          <path d="M92 44h16v18H92z" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.6" />
          <path d="M100 26l-8 -14h16z" transform={`rotate(${to} 100 100)`} fill="var(--brass)" />
        </g>
        <circle cx="100" cy="100" r="4" fill="var(--ink)" />
        <text
          x="100"
          y="128"
          textAnchor="middle"
          fontSize="17"
          fill="var(--ink)"
          fontFamily="var(--font-figure)"
        >
          {Math.round(deg)}°
        </text>
      </svg>
    </div>
  );
}
