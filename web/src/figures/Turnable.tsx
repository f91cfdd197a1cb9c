import { type PointerEvent, type ReactNode, useRef } from 'react';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/** Keys nearer to each other than this belong to one turning. */
const FOLLOWS_MS = 1000;
const KEYS: Record<string, number> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 };

const whole = (deg: number): number => ((Math.round(deg) % 360) + 360) % 360;

type Props = {
  name: string;
  /** What it is turned round, in the drawing’s own units. */
  middle: readonly [number, number];
  deg: number;
  onTurn: (deg: number) => void;
  children: ReactNode;
};

/** A part of a drawing dragged round a middle to where it stands, or moved by the arrow keys: five degrees, or one with shift. */
export function Turnable({ name, middle, deg, onTurn, children }: Props) {
  const say = useSay();
  const last = useRef({ deg: 0, at: Number.NEGATIVE_INFINITY });
  const drag = (e: PointerEvent<SVGGElement>) => {
    const box = e.currentTarget.ownerSVGElement?.getScreenCTM();
    if (!box || e.buttons === 0) return;
    const x = (e.clientX - box.e) / box.a - middle[0];
    const y = (e.clientY - box.f) / box.d - middle[1];
    onTurn(whole((Math.atan2(x, -y) * 180) / Math.PI));
  };
  // Keys come faster than the sheet judges: the next step goes on from the last one, not from what is drawn yet.
  const step = (by: number) => {
    const from = performance.now() - last.current.at < FOLLOWS_MS ? last.current.deg : deg;
    last.current = { deg: whole(from + by), at: performance.now() };
    onTurn(last.current.deg);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={say(M.turn({ name }))}
      aria-valuemin={0}
      aria-valuemax={360}
      aria-valuenow={deg}
      className="cursor-grab touch-none focus-visible:outline-2"
      onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
      onPointerMove={drag}
      onPointerUp={drag}
      onKeyDown={(e) => {
        const way = KEYS[e.key];
        if (!way) return;
        e.preventDefault();
        step(way * (e.shiftKey ? 1 : 5));
      }}
      data-knob
    >
      {children}
    </g>
  );
}
