import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { Text } from '@fulcrant/core/messages';
import { sameText, textKey } from '@fulcrant/core/messages';
import { type Answer, type Drill, isRight } from '@fulcrant/practice';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import { Button, Fault } from '../ui/controls.tsx';
import { useSay, Words } from '../ui/settings.tsx';
import { GaugeFace } from './GaugeFace.tsx';
import { M } from './messages.ts';

const LINE = 'min-h-12 w-full border px-4 text-left text-lg disabled:opacity-100';

/** One question: answered, then told right or wrong with the reason, then the next. */
export function DrillCard({
  drill,
  onAnswered,
  onNext,
}: {
  drill: Drill;
  onAnswered: (right: boolean) => void;
  onNext: () => void;
}) {
  const tell = useSay();
  const [answer, setAnswer] = useState<Answer>(
    drill.form === 'row' ? drill.pieces.map(textKey) : drill.form === 'several' ? [] : '',
  );
  const [told, setTold] = useState<boolean | null>(null);
  const [fault, setFault] = useState<Text | null>(null);
  const field = useRef<HTMLInputElement>(null);
  // A new question takes the caret: the answer can be typed at once.
  useEffect(() => field.current?.focus({ preventScroll: true }), []);
  const say = (given: Answer) => {
    const right = isRight(drill, given);
    if (right === null)
      return setFault(
        drill.form === 'number' ? tell(M.typeNumberExample042({ unit: drill.unit })) : tell(M.chooseFirst),
      );
    setFault(null);
    setTold(right);
    onAnswered(right);
  };
  const submit = (e: FormEvent) => {
    e.preventDefault();
    if (told === null) say(answer);
    else onNext();
  };
  const mark = (option: Text) => {
    if (told === null || drill.form === 'row' || drill.form === 'number') return '';
    const right =
      drill.form === 'choice' ? sameText(option, drill.right) : drill.right.some((r) => sameText(r, option));
    return right ? '✓ ' : '';
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-4" data-drill={drill.id}>
      <h2 className="m-0 text-2xl leading-tight">
        <Words of={drill.ask} />
      </h2>
      {drill.form === 'number' && drill.face && <GaugeFace face={drill.face} />}
      {drill.form === 'row' && (
        <Order
          texts={drill.pieces}
          pieces={answer as string[]}
          open={told === null}
          right={told === null ? null : drill.right}
          onOrder={setAnswer}
        />
      )}
      {drill.form === 'choice' && (
        <div className="flex flex-col gap-2">
          {drill.options.map((o) => (
            <button
              key={textKey(o)}
              type="button"
              disabled={told !== null}
              aria-pressed={answer === textKey(o)}
              onClick={() => {
                setAnswer(textKey(o));
                say(textKey(o));
              }}
              className={`${LINE} ${answer === textKey(o) ? 'border-2 border-brass font-semibold' : 'border-muted'}`}
            >
              {mark(o)}
              <Words of={o} />
            </button>
          ))}
        </div>
      )}
      {drill.form === 'several' && (
        <div className="grid gap-2 sm:grid-cols-2">
          {drill.options.map((o) => {
            const on = (answer as string[]).includes(textKey(o));
            return (
              <button
                key={textKey(o)}
                type="button"
                disabled={told !== null}
                aria-pressed={on}
                onClick={() =>
                  setAnswer(
                    on
                      ? (answer as string[]).filter((x) => x !== textKey(o))
                      : [...(answer as string[]), textKey(o)],
                  )
                }
                className={`${LINE} ${on ? 'border-2 border-brass font-semibold' : 'border-muted'}`}
              >
                {mark(o)}
                <Words of={o} />
              </button>
            );
          })}
        </div>
      )}
      {drill.form === 'number' && (
        <label className="flex flex-col">
          <span className="kicker">{tell(M.reads({ unit: drill.unit }))}</span>
          <input
            value={answer as string}
            onChange={(e) => setAnswer(e.target.value)}
            inputMode="decimal"
            autoComplete="off"
            ref={field}
            disabled={told !== null}
            aria-invalid={fault !== null}
            className="figures min-h-14 w-48 border-0 border-b-[3px] border-brass bg-transparent text-3xl"
          />
        </label>
      )}
      {fault && (
        <Fault>
          <Words of={fault} />
        </Fault>
      )}
      {told !== null && (
        <div
          className={`border-l-4 pl-3 ${told ? 'border-good' : 'border-stop'}`}
          role="status"
          data-told={told}
        >
          <p className="m-0 font-label text-xl font-semibold">{told ? tell(M.right) : tell(M.notSo)}</p>
          {!told && drill.form === 'number' && (
            <p className="m-0 figures">
              {drill.right} {drill.unit}
            </p>
          )}
          <p className="m-0">
            <Words of={drill.why} />
          </p>
          {!told && <p className="m-0 text-muted">{tell(M.comesAgainToday)}</p>}
        </div>
      )}
      <div>
        {told !== null ? (
          <Button key="next" type="submit" weight="solid" autoFocus>
            {tell(M.next)}
          </Button>
        ) : (
          drill.form !== 'choice' && (
            <Button type="submit" weight="solid">
              {tell(M.thatIsIt)}
            </Button>
          )
        )}
      </div>
    </form>
  );
}

/** Pieces put in their order: dragged, or lifted by the space bar and moved by the arrows. */
function Order({
  texts,
  pieces,
  open,
  right,
  onOrder,
}: {
  /** What the pieces say; `pieces` are their keys, in the order they lie in. */
  texts: readonly Text[];
  pieces: string[];
  open: boolean;
  right: readonly Text[] | null;
  onOrder: (pieces: string[]) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && active.id !== over.id)
          onOrder(arrayMove(pieces, pieces.indexOf(String(active.id)), pieces.indexOf(String(over.id))));
      }}
    >
      <SortableContext items={pieces} strategy={verticalListSortingStrategy} disabled={!open}>
        <ol className="m-0 flex list-none flex-col gap-2 p-0">
          {pieces.map((p, i) => (
            <Piece
              key={p}
              piece={p}
              text={texts.find((t) => textKey(t) === p)}
              place={i + 1}
              wrong={right !== null && textKey(right[i]) !== p}
              open={open}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Piece({
  piece,
  text,
  place,
  wrong,
  open,
}: {
  piece: string;
  text: Text | undefined;
  place: number;
  wrong: boolean;
  open: boolean;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: piece });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`touch-none ${isDragging ? 'relative z-10' : ''}`}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        disabled={!open}
        className={`${LINE} flex items-center gap-4 bg-paper ${wrong ? 'border-2 border-stop' : 'border-muted'} ${open ? 'cursor-grab' : ''}`}
        data-order-piece={piece}
      >
        <span className="figures text-muted">{place}</span>
        <Words of={text} />
      </button>
    </li>
  );
}
