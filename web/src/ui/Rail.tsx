import type { RailMark } from '@fulcrant/core/forms';
import type { Text } from '@fulcrant/core/messages';
import { useEffect, useRef } from 'react';
import { M } from './messages.ts';
import { useSay, Words } from './settings.tsx';

const PIN = 'var(--stop)';

const words = (m: RailMark): Text =>
  M.markOf({
    title: m.title,
    status: m.status,
    hold: m.hold === 'holding' ? M.held : m.hold === 'ahead' ? M.holdPointAhead : '',
    again: m.reopened ? M.openedAgain : '',
  });

/**
 * The order of work laid flat for the board: done collars solid, the present one wide and open, closed ones outlined;
 * a pin through a hold point, solid-headed where it holds now, open-headed where it is still to come.
 */
export function FlatRail({ marks }: { marks: RailMark[] }) {
  const say = useSay();
  // The present collar takes two places where many stand close.
  const at = marks.findIndex((m) => m.status === 'present');
  const step = 400 / Math.max(1, marks.length + (at < 0 ? 0 : 1));
  return (
    <svg
      viewBox="0 0 400 64"
      className="block w-full"
      role="img"
      aria-label={marks.map((m) => say(words(m))).join('; ')}
    >
      <rect x="2" y="27" width="396" height="12" fill="var(--shade)" stroke="var(--faint)" />
      <line x1="0" x2="400" y1="33" y2="33" stroke="var(--steel)" strokeDasharray="14 4 3 4" />
      {marks.map((m, i) => {
        const present = m.status === 'present';
        const x = step * (i + (present ? 1 : 0.5) + (at >= 0 && i > at ? 1 : 0));
        const w = present ? Math.min(26, step * 1.6) : Math.min(15, step * 0.66);
        const h = present ? 42 : 26;
        return (
          <g key={m.id}>
            <rect
              x={x - w / 2}
              y={33 - h / 2}
              width={w}
              height={h}
              fill={m.status === 'done' ? 'var(--ink)' : m.kept ? 'var(--faint)' : 'var(--paper)'}
              stroke={present ? 'var(--brass)' : m.status === 'done' ? 'var(--ink)' : 'var(--muted)'}
              strokeWidth={present ? 4 : 1.5}
              strokeDasharray={m.reopened && !present ? '4 3' : undefined}
            />
            {m.reopened && <Again x={x} y={33 - h / 2 - 3} />}
            {m.loop && m.status !== 'done' && (
              <path
                d={`M${x - w / 2} ${33 - 4}h${w}M${x - w / 2} ${33 + 4}h${w}`}
                stroke={present ? 'var(--brass)' : 'var(--muted)'}
                strokeWidth="1.5"
              />
            )}
            {(m.hold === 'holding' || m.hold === 'ahead') && (
              <g>
                <line
                  x1={x}
                  x2={x}
                  y1="6"
                  y2="62"
                  stroke={m.hold === 'holding' ? PIN : 'var(--muted)'}
                  strokeWidth={m.hold === 'holding' ? 4 : 1.5}
                />
                <circle
                  cx={x}
                  cy="6"
                  r="5"
                  fill={m.hold === 'holding' ? PIN : 'var(--paper)'}
                  stroke={m.hold === 'holding' ? PIN : 'var(--muted)'}
                  strokeWidth="1.5"
                />
              </g>
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** A step opened again: the hook of a return over its collar. */
function Again({ x, y }: { x: number; y: number }) {
  return (
    <path
      d={`M${x + 6} ${y}v-3a6 6 0 0 0 -12 0v3m-3.5 -3.5l3.5 4 3.5 -4`}
      fill="none"
      stroke="var(--brass)"
      strokeWidth="1.8"
    />
  );
}

/** Height of a step's row; a long procedure stands closer. */
const rowOf = (steps: number) => (steps > 9 ? 50 : 62);
const AXIS = 40;

/** The order of work as a shaft standing on end, with names; a collar can be chosen to look at its step. */
export function StandingRail({
  marks,
  shown,
  notes,
  closesAfter,
  onChoose,
}: {
  marks: RailMark[];
  shown: string;
  notes: Record<string, Text>;
  closesAfter: string | null;
  onChoose: (id: string) => void;
}) {
  const say = useSay();
  const list = useRef<HTMLOListElement>(null);
  const at = marks.findIndex((m) => m.status === 'present');
  const present = marks[at]?.id;
  // A long order of work is scrolled to where the work is.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only the present step's change counts
  useEffect(() => {
    list.current?.querySelector('[data-present]')?.scrollIntoView({ block: 'nearest' });
  }, [present]);
  return (
    <ol ref={list} className="relative m-0 list-none p-0" aria-label={say(M.orderWork)}>
      <svg
        aria-hidden="true"
        className="absolute left-0 top-0 h-full w-20"
        preserveAspectRatio="none"
        viewBox="0 0 80 100"
      >
        <rect
          x={AXIS - 8}
          y="0"
          width="16"
          height="100"
          fill="var(--shade)"
          stroke="var(--faint)"
          vectorEffect="non-scaling-stroke"
        />
        <line
          x1={AXIS}
          x2={AXIS}
          y1="0"
          y2="100"
          stroke="var(--steel)"
          strokeDasharray="16 4 3 4"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {marks.map((m) => (
        <li
          key={m.id}
          className="relative scroll-my-16"
          data-present={m.status === 'present' ? '' : undefined}
        >
          <button
            type="button"
            aria-current={m.id === shown ? 'step' : undefined}
            disabled={m.status === 'closed'}
            onClick={() => onChoose(m.id)}
            className="flex w-full items-center gap-1.5 text-left xl:gap-3"
            style={{
              minHeight:
                m.status === 'present' ? rowOf(marks.length) + 22 : Math.max(48, rowOf(marks.length) - 4),
            }}
          >
            <Collar mark={m} />
            <span
              className={`min-w-0 font-label leading-tight ${m.status === 'present' ? 'text-2xl font-semibold' : 'text-lg'} ${m.status === 'closed' ? 'text-muted' : ''} ${m.id === shown && m.status !== 'present' ? 'underline decoration-2 underline-offset-4' : ''}`}
            >
              <Words of={m.title} />
              {notes[m.id] && (
                <span
                  className={`block text-base font-medium ${m.hold === 'holding' ? 'text-stop' : 'text-brass'}`}
                >
                  {say(notes[m.id])}
                </span>
              )}
              {m.hold === 'ahead' && <span className="block text-base">{say(M.holdPoint)}</span>}
              {m.reopened && (
                <span className="block text-base font-medium leading-snug text-brass" data-reopened={m.id}>
                  {say(M.openedAgain2)}
                </span>
              )}
            </span>
          </button>
          {closesAfter === m.id && (
            <div className="relative flex items-center gap-3 py-1" aria-hidden="true">
              <svg width="80" height="14" viewBox="0 0 80 14" className="shrink-0" aria-hidden="true">
                <path d="M4 7h72M4 1v12M76 1v12" stroke="var(--ink)" strokeWidth="2.5" />
              </svg>
              <span className="font-label text-base font-medium">{say(M.doorClosesHere)}</span>
            </div>
          )}
        </li>
      ))}
      {at >= 0 && marks.length > LONG && at < marks.length - 2 && (
        <li
          className="sticky -bottom-3 border-t border-faint bg-paper py-1.5 font-label text-base text-muted"
          aria-hidden="true"
          data-to-come
        >
          {say(M.comeLast({ count: marks.length - 1 - at, title: marks.at(-1)?.title }))}
        </li>
      )}
    </ol>
  );
}

/** From so many steps on the last of them lie below the edge: how many are to come is said there. */
const LONG = 13;

function Collar({ mark: m }: { mark: RailMark }) {
  const present = m.status === 'present';
  const done = m.status === 'done';
  const h = present ? 66 : 28;
  const w = present ? 60 : 38;
  const top = (84 - h) / 2;
  return (
    <svg
      width="80"
      height={present ? 84 : 44}
      viewBox={present ? '0 0 80 84' : '0 20 80 44'}
      className="shrink-0"
      aria-hidden="true"
    >
      <rect
        x={AXIS - w / 2}
        y={top}
        width={w}
        height={h}
        rx="2"
        fill={done ? 'var(--ink)' : m.kept ? 'var(--faint)' : 'var(--paper)'}
        stroke={present ? 'var(--brass)' : done ? 'var(--ink)' : 'var(--muted)'}
        strokeWidth={present ? 4 : 1.5}
        strokeDasharray={m.reopened && !present ? '5 4' : undefined}
      />
      {m.loop && (
        <path
          d={`M${AXIS - w / 2} ${42 - h / 6}h${w}M${AXIS - w / 2} ${42 + h / 6}h${w}`}
          stroke={present ? 'var(--brass)' : done ? 'var(--paper)' : 'var(--muted)'}
          strokeWidth="2"
        />
      )}
      {(done || m.kept) && !m.loop && (
        <path d={`M${AXIS - 7} 42l5 5 9 -10`} fill="none" stroke="var(--paper)" strokeWidth="2.5" />
      )}
      {m.status === 'closed' && (
        <line x1={AXIS - 26} x2={AXIS + 26} y1={top - 4} y2={top - 4} stroke="var(--faint)" strokeWidth="2" />
      )}
      {(m.hold === 'holding' || m.hold === 'ahead') && (
        <g>
          <line
            x1="6"
            x2="76"
            y1="42"
            y2="42"
            stroke={m.hold === 'holding' ? PIN : 'var(--muted)'}
            strokeWidth={m.hold === 'holding' ? 4.5 : 2}
          />
          <circle
            cx="7"
            cy="42"
            r="6"
            fill={m.hold === 'holding' ? PIN : 'var(--paper)'}
            stroke={m.hold === 'holding' ? PIN : 'var(--muted)'}
            strokeWidth="2"
          />
        </g>
      )}
    </svg>
  );
}
