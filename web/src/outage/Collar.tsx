import { useDraggable } from '@dnd-kit/core';
import type { Piece } from '@fulcrant/core/outage';
import { type KeyboardEvent, memo } from 'react';
import { useSay, Words } from '../ui/settings.tsx';
import { M } from './messages.ts';
import { STEP } from './scale.ts';

/** How high a lane is, and the ruled tape above them. */
export const LANE = 56;
export const TAPE = 34;
/** A piece thinner than this is no target. WCAG 2.2, 2.5.8. */
const TOUCH = 24;

type CollarProps = {
  piece: Piece;
  id: string;
  start: number;
  finish: number;
  left: number;
  width: number;
  lane: number;
  chosen: boolean;
  said: string;
  onChoose: (id: string) => void;
  mayMove: boolean;
  unit: string;
  onKey: (id: string, unit: string, minutes: number, lanes: number) => void;
};

/** What stands on a collar where there is room. */
const OnCollar = ({ piece, width }: { piece: Piece; width: number }) =>
  width > 34 ? (
    <span className="block px-1 pt-1">
      <span className="block truncate font-label text-[0.85rem] font-semibold">{piece.job.machine}</span>{' '}
      <span className="block truncate pt-0.5 text-[0.7rem]">
        <Words of={piece.name} />
      </span>
    </span>
  ) : null;

const KEYS: Record<string, readonly [minutes: number, lanes: number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A piece on a lane: solid once done, in brass while it is worked, open before; a pin through it where a hand put it there. */
export const Collar = memo(
  function Collar({
    piece,
    id,
    left,
    width,
    lane,
    chosen,
    said,
    onChoose,
    mayMove,
    unit,
    onKey,
  }: CollarProps) {
    const say = useSay();
    const drag = useDraggable({ id, data: { lane }, disabled: !mayMove });
    const look =
      piece.state === 'done'
        ? 'bg-ink text-paper border-ink'
        : piece.state === 'begun'
          ? 'bg-paper border-brass border-[3px]'
          : 'bg-paper border-ink';
    const place = { left, width, top: TAPE + lane * LANE + 5, height: LANE - 10 };
    // Too thin to touch at this zoom, or nothing to be moved any more: drawn, and told by the lists; the mouse may still point at it.
    if (width < TOUCH || piece.state !== 'ahead')
      return (
        // Only for the mouse: the keyboard has it in the lists.
        <div
          onClick={() => onChoose(piece.id)}
          aria-hidden="true"
          data-piece={piece.id}
          data-state={piece.state}
          data-start={said}
          data-pinned={piece.pinned}
          className={`absolute overflow-hidden border leading-none ${look} ${chosen ? 'z-20 outline outline-[3px] outline-steel' : ''}`}
          style={place}
        >
          <OnCollar piece={piece} width={width} />
        </div>
      );
    const key = (e: KeyboardEvent) => {
      const by = KEYS[e.key];
      if (!by || !mayMove) return;
      e.preventDefault();
      onKey(piece.id, unit, by[0], by[1]);
    };
    return (
      <button
        ref={drag.setNodeRef}
        type="button"
        {...drag.listeners}
        onKeyDown={key}
        onClick={() => onChoose(piece.id)}
        aria-label={`${piece.job.machine} ${say(piece.name)}, ${piece.job.position}, ${said}, ${piece.state}${piece.pinned ? say(M.pinned) : ''}`}
        aria-pressed={chosen}
        data-piece={piece.id}
        data-state={piece.state}
        data-start={said}
        data-pinned={piece.pinned}
        className={`absolute overflow-hidden border text-left leading-none touch-none ${look} ${chosen ? 'z-20 outline outline-[3px] outline-steel' : 'z-0'} ${mayMove ? 'cursor-grab' : ''}`}
        style={{
          ...place,
          transform: drag.transform
            ? `translate3d(${drag.transform.x}px, ${drag.transform.y}px, 0)`
            : undefined,
        }}
      >
        {piece.pinned && (
          <span aria-hidden="true" className="absolute right-0.5 top-0.5 size-2.5 rounded-full bg-stop" />
        )}
        <OnCollar piece={piece} width={width} />
      </button>
    );
  },
  (a, b) =>
    a.piece === b.piece &&
    a.left === b.left &&
    a.width === b.width &&
    a.lane === b.lane &&
    a.chosen === b.chosen &&
    a.said === b.said &&
    a.mayMove === b.mayMove,
);
