import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { minutesFrom, momentAt, type Outage, type OutageNetwork, type Placed } from '@fulcrant/core/outage';
import { shiftTimeIn, whenIn } from '@fulcrant/core/sheet';
import { memo, useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useSay } from '../ui/settings.tsx';
import { useLatest } from '../ui/use-latest.ts';
import { Collar, LANE, TAPE } from './Collar.tsx';
import { M } from './messages.ts';
import { onQuarter, scaleOf, tickEvery, type Zoom } from './scale.ts';

const NAMES = 116;
const RUNS = 46;

type Props = {
  outage: Outage;
  net: OutageNetwork;
  placed: readonly Placed[];
  zone: string;
  zoom: Zoom;
  chosen: string | null;
  onChoose: (id: string | null) => void;
  /** Put a piece elsewhere; null where this person may not. */
  onMove: ((id: string, start: number, unit: string | null) => void) | null;
  /** Move one on from where it lies: so many minutes, so many lanes. */
  onNudge: ((id: string, unit: string, minutes: number, lanes: number) => void) | null;
};

/** A lane a fitter, time across as a ruled tape; drawn anew only when it changes, not at every word of the planner: pieces are collars on the lane’s shaft, waits leader lines, the end a wall, now a plumb line. */
export const Board = memo(function Board({
  outage,
  net,
  placed,
  zone,
  zoom,
  chosen,
  onChoose,
  onMove,
  onNudge,
}: Props) {
  const tell = useSay();
  const box = useRef<HTMLDivElement>(null);
  const [wide, setWide] = useState(1000);
  useLayoutEffect(() => {
    const seen = new ResizeObserver(([e]) => setWide((e?.contentRect.width ?? 1000) - NAMES));
    if (box.current) seen.observe(box.current);
    return () => seen.disconnect();
  }, []);
  const end = Math.max(net.wall, ...placed.filter((p) => Number.isFinite(p.finish)).map((p) => p.finish));
  const perMinute = scaleOf(zoom, wide, end);
  const x = (m: number) => m * perMinute;
  const width = x(end) + 60;
  const say = useMemo(() => whenIn(zone), [zone]);
  const shift = useMemo(() => shiftTimeIn(zone), [zone]);
  // The shift at hand comes into view when it is looked at closer.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only another zoom moves the tape
  useLayoutEffect(() => {
    if (box.current) box.current.scrollLeft = zoom === 'outage' ? 0 : Math.max(0, x(net.now) - wide / 3);
  }, [zoom, wide]);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const lanes = outage.crew;
  const high = TAPE + lanes.length * LANE + RUNS;
  const laneOf = new Map(lanes.map((c, i) => [c.id, i]));
  const shown = chosen ? net.pieces.get(chosen) : undefined;
  const windows = shown ? outage.windows.filter((w) => w.machine === shown.job.machine) : [];
  const latest = useLatest(onNudge);
  // One for all pieces and never another: a piece that did not move is not drawn again.
  const press = useCallback(
    (id: string, unit: string, minutes: number, lanesOn: number) =>
      latest.current?.(id, unit, minutes, lanesOn),
    [latest],
  );
  const ticks = useMemo(
    () => ticksOf(outage, end, perMinute, say, shift),
    [outage, end, perMinute, say, shift],
  );
  return (
    <DndContext
      sensors={sensors}
      onDragEnd={(e) => {
        const id = String(e.active.id).split('@')[0] ?? '';
        const p = placed.find((q) => q.id === id);
        const from = Number(e.active.data.current?.lane ?? 0);
        if (!p || !onMove) return;
        const to = Math.min(lanes.length - 1, Math.max(0, from + Math.round(e.delta.y / LANE)));
        onMove(id, onQuarter(p.start + e.delta.x / perMinute), lanes[to]?.id ?? null);
      }}
    >
      <section
        ref={box}
        className="relative overflow-x-auto overflow-y-hidden border border-rule"
        data-board
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must be able to reach it
        tabIndex={0}
        aria-label={tell(M.outageLaneFitter)}
      >
        <div className="relative" style={{ width: NAMES + width, height: high }}>
          <svg
            className="absolute top-0"
            style={{ left: NAMES }}
            width={width}
            height={high}
            aria-hidden="true"
          >
            <defs>
              <pattern
                id="section"
                width="9"
                height="9"
                patternUnits="userSpaceOnUse"
                patternTransform="rotate(45)"
              >
                <line x1="0" y1="0" x2="0" y2="9" stroke="var(--steel)" strokeWidth="1.4" />
              </pattern>
            </defs>
            {windows.map((w) => (
              <rect
                key={`${w.from} ${w.to}`}
                x={x(minutesFrom(outage, w.from))}
                y={TAPE}
                width={Math.max(0, x(minutesFrom(outage, w.to)) - x(minutesFrom(outage, w.from)))}
                height={lanes.length * LANE}
                fill="url(#section)"
                opacity="0.28"
              />
            ))}
            <line x1="0" x2={width} y1={TAPE - 1} y2={TAPE - 1} stroke="var(--ink)" strokeWidth="1.5" />
            {ticks.map((t) => (
              <g key={t.at}>
                <line x1={x(t.at)} x2={x(t.at)} y1={TAPE - (t.day ? 16 : 8)} y2={TAPE} stroke="var(--ink)" />
                {t.day && <line x1={x(t.at)} x2={x(t.at)} y1={TAPE} y2={high} stroke="var(--faint)" />}
                <text
                  x={x(t.at) + 4}
                  y={t.day ? 13 : TAPE - 10}
                  fontSize="12.5"
                  fill="var(--muted)"
                  fontFamily="var(--font-label)"
                  fontWeight={t.day ? 600 : 400}
                >
                  {t.said}
                </text>
              </g>
            ))}
            {lanes.map((c, i) => {
              const y = TAPE + i * LANE + LANE / 2;
              return (
                <g key={c.id}>
                  <line x1="0" x2={width} y1={y} y2={y} stroke="var(--faint)" strokeDasharray="3 5" />
                  {(net.network.units.find((u) => u.id === c.id)?.shifts ?? []).map(([f, t]) =>
                    f > end ? null : (
                      <rect
                        key={f}
                        x={x(f)}
                        y={y - 5}
                        width={x(Math.min(t, end)) - x(f)}
                        height="10"
                        fill="var(--shade)"
                        stroke="var(--muted)"
                        strokeWidth="0.8"
                      />
                    ),
                  )}
                </g>
              );
            })}
            {placed
              .filter((p) => net.pieces.get(p.id)?.waits)
              .map((p, i) => {
                const y = high - RUNS + 12 + (i % 3) * 11;
                return (
                  <g key={p.id}>
                    <path
                      d={`M${x(p.start)} ${y - 3}v6M${x(p.finish)} ${y - 3}v6M${x(p.start)} ${y}H${x(p.finish)}`}
                      stroke="var(--steel)"
                      strokeWidth="1.3"
                      fill="none"
                    />
                    {x(p.finish) - x(p.start) > 90 && (
                      <text
                        x={x(p.start) + 5}
                        y={y - 3}
                        fontSize="10.5"
                        fill="var(--muted)"
                        fontFamily="var(--font-label)"
                      >
                        {tell(M.runs({ machine: net.pieces.get(p.id)?.job.machine }))}
                      </text>
                    )}
                  </g>
                );
              })}
            <g data-wall={net.wall}>
              <line x1={x(net.wall)} x2={x(net.wall)} y1="4" y2={high} stroke="var(--ink)" strokeWidth="5" />
              <text
                x={x(net.wall) - 8}
                y="14"
                textAnchor="end"
                fontSize="13"
                fontWeight="600"
                fontFamily="var(--font-label)"
                fill="var(--ink)"
              >
                {tell(M.wall)}
              </text>
            </g>
            {net.now > 0 && net.now < end && (
              <g>
                <line
                  x1={x(net.now)}
                  x2={x(net.now)}
                  y1={TAPE - 14}
                  y2={high - 12}
                  stroke="var(--brass)"
                  strokeWidth="1.5"
                />
                <path d={`M${x(net.now) - 5} ${high - 12}h10l-5 11z`} fill="var(--brass)" />
              </g>
            )}
          </svg>
          <div className="sticky left-0 z-30" style={{ width: 0, height: 0 }}>
            {lanes.map((c, i) => (
              <div
                key={c.id}
                className="absolute left-0 flex flex-col justify-center border-r border-rule bg-paper px-2"
                style={{ top: TAPE + i * LANE, height: LANE, width: NAMES }}
              >
                <span className="truncate font-label text-lg font-semibold leading-tight">{c.name}</span>
                <span className="truncate text-xs text-muted">{c.skills.join(', ')}</span>
              </div>
            ))}
          </div>
          {placed.flatMap((p) => {
            const piece = net.pieces.get(p.id);
            if (!piece || piece.waits || !Number.isFinite(p.finish)) return [];
            return p.units.map((u) => (
              <Collar
                key={`${p.id}@${u}`}
                piece={piece}
                id={`${p.id}@${u}`}
                start={p.start}
                finish={p.finish}
                left={NAMES + x(p.start)}
                width={Math.max(3, x(p.finish) - x(p.start))}
                lane={laneOf.get(u) ?? 0}
                chosen={chosen === p.id}
                said={tell(
                  M.to2({
                    shift: shift(momentAt(outage, p.start)),
                    shift2: shift(momentAt(outage, p.finish)),
                  }),
                )}
                onChoose={onChoose}
                mayMove={onMove !== null && piece.state === 'ahead'}
                unit={u}
                onKey={press}
              />
            ));
          })}
        </div>
      </section>
    </DndContext>
  );
});

/** Where the tape is ruled, and what stands at it: the day at its beginning, the hour between. */
function ticksOf(
  outage: Outage,
  end: number,
  perMinute: number,
  say: (at: string) => string,
  shift: (at: string) => string,
) {
  const every = tickEvery(perMinute);
  const out: Array<{ at: number; said: string; day: boolean }> = [];
  const offset =
    Number(say(momentAt(outage, 0)).slice(11, 13)) * 60 + Number(say(momentAt(outage, 0)).slice(14, 16));
  for (let at = -offset; at <= end + every; at += every) {
    if (at < 0) continue;
    const told = say(momentAt(outage, at));
    const day = told.slice(11) === '00:00';
    out.push({ at, said: day ? (shift(momentAt(outage, at)).split(',')[0] ?? '') : told.slice(11), day });
  }
  return out;
}
