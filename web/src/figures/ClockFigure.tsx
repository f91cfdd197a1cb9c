import { type PointerEvent, useRef } from 'react';
import { Figure, Label, spot } from './drawing.tsx';

const CX = 190;
const CY = 156;
const SHAFT = 34;
const RIM = 110;
/** Keys nearer to each other than this belong to one turning. */
const FOLLOWS_MS = 1000;

/** Something with a place round the shaft. */
export type ClockMark = {
  key: string;
  name: string;
  deg: number | null;
  /** A split runs right across and shows on both sides; a seam, joint or port is at one place. */
  across: boolean;
  bad?: boolean;
};
export type ClockLine = { text: string; tone: 'ink' | 'muted' | 'stop' };

type Props = {
  marks: readonly ClockMark[];
  /** What is being placed, and where it would stand. */
  active: string | null;
  typedDeg: number | null;
  onTurn?: ((deg: number) => void) | undefined;
  lines: readonly ClockLine[];
  /** Places that are wanted, drawn hollow outside. */
  wanted?: ReadonlyArray<{ deg: number; word: string }>;
  /** The first mark is the innermost circle, as rings lie in a box. */
  innerFirst?: boolean;
  /** The face alone, without the list beside it. */
  compact?: boolean;
  note: string;
};

const whole = (deg: number): number => ((Math.round(deg) % 360) + 360) % 360;

/**
 * The clock face: shaft end on, every part on a circle of its own, what is being placed dragged to where it stands or moved by the arrow
 * keys. 0° is on top, degrees run clockwise, angles are true.
 */
export function ClockFigure({
  marks,
  active,
  typedDeg,
  onTurn,
  lines,
  wanted = [],
  innerFirst = false,
  compact = false,
  note,
}: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const last = useRef({ deg: 0, at: Number.NEGATIVE_INFINITY });
  const wide = (RIM - 8 - SHAFT) / Math.max(1, marks.length);
  // What lies outermost on the shaft is named first, unless it is told otherwise.
  const rank = (i: number) => (innerFirst ? i : marks.length - 1 - i);
  const now = marks.find((m) => m.key === active);
  const at = now ? (typedDeg ?? now.deg ?? 0) : 0;
  const drag = (e: PointerEvent<SVGElement>) => {
    const box = svg.current?.getScreenCTM();
    if (!box || !onTurn || e.buttons === 0) return;
    const x = (e.clientX - box.e) / box.a - CX;
    const y = (e.clientY - box.f) / box.d - CY;
    onTurn(whole((Math.atan2(x, -y) * 180) / Math.PI));
  };
  // Keys come faster than the sheet judges: the next step goes on from the last one, not from what is drawn yet.
  const step = (by: number) => {
    const from = performance.now() - last.current.at < FOLLOWS_MS ? last.current.deg : at;
    last.current = { deg: whole(from + by), at: performance.now() };
    onTurn?.(last.current.deg);
  };
  const knob = spot(CX, CY, at, RIM + 14);
  return (
    <svg
      ref={svg}
      viewBox={compact ? '0 0 380 318' : '0 0 680 318'}
      className="block w-full"
      role={onTurn ? 'group' : 'img'}
      aria-label={`End view: ${marks.map((m) => `${m.name} ${m.deg === null ? 'not placed' : `at ${m.deg} degrees`}`).join(', ')}`}
    >
      <circle cx={CX} cy={CY} r={RIM} fill="none" stroke="var(--rule)" />
      {Array.from({ length: 24 }, (_, i) => 15 * i).map((deg) => {
        const a = spot(CX, CY, deg, RIM);
        const b = spot(CX, CY, deg, RIM + (deg % 90 === 0 ? 9 : 4));
        return <line key={deg} x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke="var(--muted)" />;
      })}
      {[0, 90, 180, 270].map((deg) => {
        const p = spot(CX, CY, deg, RIM + (onTurn ? 37 : 25));
        return (
          <Figure key={deg} x={p.x} y={p.y + 5} size={13} tone="muted">
            {deg}°
          </Figure>
        );
      })}
      <circle cx={CX} cy={CY} r={SHAFT} fill="var(--shade)" stroke="var(--ink)" strokeWidth="1.6" />
      {marks.map((m, i) => (
        <Mark
          key={m.key}
          mark={m}
          number={i + 1}
          r0={SHAFT + 3 + rank(i) * wide}
          r1={SHAFT + 3 + (rank(i) + 1) * wide - (marks.length > 4 ? 2 : 5)}
          deg={m.key === active && typedDeg !== null ? typedDeg : m.deg}
          tone={m.key === active ? 'brass' : m.bad ? 'stop' : 'ink'}
        />
      ))}
      {wanted.map((w) => {
        const a = spot(CX, CY, w.deg, RIM + 4);
        const t = spot(CX, CY, w.deg, RIM + 32);
        return (
          <g key={w.word}>
            <circle
              cx={a.x}
              cy={a.y}
              r="9"
              fill="none"
              stroke="var(--steel)"
              strokeWidth="2"
              strokeDasharray="4 3"
            />
            <Label x={t.x} y={t.y + 5} size={14} tone="steel">
              {w.word}
            </Label>
          </g>
        );
      })}
      {now && onTurn && (
        <g
          role="slider"
          tabIndex={0}
          aria-label={`Turn ${now.name}`}
          aria-valuemin={0}
          aria-valuemax={360}
          aria-valuenow={whole(at)}
          className="cursor-grab touch-none focus-visible:outline-2"
          onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
          onPointerMove={drag}
          onPointerUp={drag}
          onKeyDown={(e) => {
            const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[e.key];
            if (!way) return;
            e.preventDefault();
            step(way * (e.shiftKey ? 1 : 5));
          }}
          data-knob
        >
          <circle cx={knob.x} cy={knob.y} r="24" fill="transparent" />
          <circle cx={knob.x} cy={knob.y} r="12" fill="var(--paper)" stroke="var(--brass)" strokeWidth="3" />
          <line
            x1={spot(CX, CY, at, SHAFT + 3).x}
            y1={spot(CX, CY, at, SHAFT + 3).y}
            x2={spot(CX, CY, at, RIM + 4).x}
            y2={spot(CX, CY, at, RIM + 4).y}
            stroke="var(--brass)"
            strokeWidth="1.5"
            strokeDasharray="5 4"
          />
        </g>
      )}
      {!compact &&
        marks.length <= 6 &&
        marks.map((m, i) => {
          const deg = m.key === active && typedDeg !== null ? typedDeg : m.deg;
          const tone = m.key === active ? 'brass' : m.bad ? 'stop' : 'ink';
          return (
            <g key={m.key}>
              <Label x={384} y={34 + 24 * i} anchor="start" tone={tone} size={16}>
                {i + 1} {m.name}
              </Label>
              <Figure x={676} y={34 + 24 * i} anchor="end" tone={tone} size={16} strong>
                {deg === null ? '–' : `${whole(deg)}°`}
              </Figure>
            </g>
          );
        })}
      {(compact ? [] : lines).map((l, i) => (
        <Label
          key={l.text}
          x={384}
          y={(marks.length <= 6 ? 48 + 24 * marks.length : 34) + 22 * i}
          anchor="start"
          tone={l.tone === 'stop' ? 'stop' : l.tone}
          size={15.5}
          strong={l.tone === 'stop'}
        >
          {l.text}
        </Label>
      ))}
      <Label x={compact ? 190 : 676} y={314} anchor={compact ? 'middle' : 'end'} tone="muted" size={14}>
        {note}
      </Label>
    </svg>
  );
}

/** A part on its circle: the circle thin, the split or seam heavy, with its number where there is room. */
function Mark({
  mark,
  number,
  r0,
  r1,
  deg,
  tone,
}: {
  mark: ClockMark;
  number: number;
  r0: number;
  r1: number;
  deg: number | null;
  tone: 'ink' | 'brass' | 'stop';
}) {
  const mid = (r0 + r1) / 2;
  const colour = `var(--${tone})`;
  const bar = (at: number) => {
    const [a, b] = [spot(CX, CY, at, r0), spot(CX, CY, at, r1)];
    return <line key={at} x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={colour} strokeWidth="5" />;
  };
  const n = deg === null ? null : spot(CX, CY, deg + 620 / mid, mid);
  return (
    <g>
      <circle
        cx={CX}
        cy={CY}
        r={mid}
        fill="none"
        stroke={colour}
        strokeWidth={r1 - r0}
        opacity={deg === null ? 0.06 : 0.14}
      />
      {deg !== null && (mark.across ? [deg, deg + 180].map(bar) : bar(deg))}
      {n && r1 - r0 > 9 && (
        <Label x={n.x} y={n.y + 5} size={13} tone={tone}>
          {number}
        </Label>
      )}
    </g>
  );
}
