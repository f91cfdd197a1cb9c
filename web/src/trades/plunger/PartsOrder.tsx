import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { PART_NAME, type VRingPart } from '@fulcrant/core/calculators';
import { COMMON } from '@fulcrant/core/messages';
import type { PartsOrderValues } from '@fulcrant/core/trades';
import { useState } from 'react';
import { Button, Fault } from '../../ui/controls.tsx';
import { useSay, Words } from '../../ui/settings.tsx';
import { M } from './messages.ts';

/** Section of a part, pressure at its left. */
const SHAPE: Record<VRingPart, string> = {
  'bottom-ring': 'M24 8h30v64h-30z',
  header: 'M24 8h18l18 32l-18 32h-18z',
  'pressure-1': 'M20 8h14l22 32l-22 32h-14l22 -32z',
  'pressure-2': 'M20 8h14l22 32l-22 32h-14l22 -32z',
  'pressure-3': 'M20 8h14l22 32l-22 32h-14l22 -32z',
  'pressure-4': 'M20 8h14l22 32l-22 32h-14l22 -32z',
  lantern: 'M22 8h40v22h-8v20h8v22h-40v-22h8v-20h-8z',
  adapter: 'M22 8h36v64h-36l22 -32z',
  wiper: 'M20 8h44v64h-44v-16h14l-10 -16l10 -16h-14z',
};

type Props = {
  values: PartsOrderValues;
  open: boolean;
  /** Keep the order as it lies. */
  onLay(order: string[]): void;
};

/** The parts of a V-ring set, dragged into their order from the pressure end; by keyboard: Space, arrows, Space. */
export function PartsOrder({ values, open, onLay }: Props) {
  const say = useSay();
  const [order, setOrder] = useState<string[]>(values.order);
  const sensors = useSensors(
    useSensor(PointerSensor),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const laid = values.laid && order.join() === values.order.join();
  const end = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      setOrder((o) => arrayMove(o, o.indexOf(String(active.id)), o.indexOf(String(over.id))));
  };
  return (
    <div className="flex flex-col gap-4">
      <div className="flex items-baseline justify-between gap-4">
        <span className="kicker">{say(M.pressureEnd)}</span>
        <span className="kicker">{say(M.packingNut)}</span>
      </div>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}>
        <SortableContext items={order} strategy={horizontalListSortingStrategy} disabled={!open}>
          <ol
            className="m-0 grid list-none border-y border-rule p-0"
            style={{ gridTemplateColumns: `repeat(${order.length}, minmax(0, 1fr))` }}
          >
            {order.map((part, i) => (
              <Part key={part} part={part as VRingPart} place={i + 1} wrong={laid && values.wrong === i} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <p className="m-0 text-muted">
        {say(M.dragEachPartPlaceKeyboard)} <kbd>{say(COMMON.space)}</kbd> {say(M.liftsArrowsMove)}{' '}
        <kbd>{say(COMMON.space)}</kbd> {say(M.laysDown)}
      </p>
      {laid && values.wrong !== null && (
        <Fault>{say(M.placeWrongWhatFacesPressure({ wrong: values.wrong + 1 }))}</Fault>
      )}
      {open && (
        <div>
          <Button weight="solid" onClick={() => onLay(order)} disabled={laid && values.wrong === null}>
            {say(M.theyLieSo)}
          </Button>
        </div>
      )}
    </div>
  );
}

function Part({ part, place, wrong }: { part: VRingPart; place: number; wrong: boolean }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: part });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`touch-none border-r border-faint px-1 py-2 text-center last:border-r-0 ${isDragging ? 'relative z-10 bg-paper shadow-[0_0_0_2px_var(--brass)]' : ''}`}
      data-part={part}
    >
      <button type="button" {...attributes} {...listeners} className="w-full cursor-grab">
        <svg viewBox="0 0 84 80" className="mx-auto block h-28 max-w-full" aria-hidden="true">
          <path
            d={SHAPE[part]}
            fill={part === 'wiper' ? 'var(--shade)' : 'var(--paper)'}
            stroke={wrong ? 'var(--stop)' : 'var(--ink)'}
            strokeWidth={wrong ? 4 : 2}
            strokeLinejoin="round"
          />
        </svg>
        <span className="figures block text-lg">{place}</span>
        <span className="block text-[0.95rem] leading-tight">
          <Words of={PART_NAME[part]} />
        </span>
      </button>
    </li>
  );
}
