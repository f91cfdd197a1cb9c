import { COMMON } from '@fulcrant/core/messages';
import { saidBy } from '@fulcrant/core/units';
import { useDeferredValue } from 'react';
import { type StoredPosition, usePositions } from '../data/site.ts';
import { useSay } from '../ui/settings.tsx';
import { M } from './messages.ts';

/**
 * A position the plant knows, found by typing; the list says where it is cut.
 * The words are the page’s: the form round the picker begins anew with each kind of work.
 */
export function PositionPicker({
  chosen,
  typed,
  onTyped,
  onChoose,
}: {
  chosen: StoredPosition | null;
  typed: string;
  onTyped(words: string): void;
  onChoose(position: StoredPosition | null): void;
}) {
  const say = useSay();
  const found = usePositions(useDeferredValue(typed.trim()));
  const positions = found.data?.positions ?? [];
  if (chosen)
    return (
      <div className="flex min-w-0 flex-1 flex-col">
        <span className="kicker">{say(M.positionPlantKnows)}</span>
        <p className="m-0 flex min-h-12 flex-wrap items-center gap-x-4 border-b-2 border-brass text-lg">
          <span className="font-label text-xl font-semibold" data-position={chosen.id}>
            {chosen.machine}, {chosen.position}
          </span>
          <button
            type="button"
            className="min-h-12 text-steel underline underline-offset-4"
            onClick={() => onChoose(null)}
          >
            {say(M.anotherNewOne)}
          </button>
        </p>
      </div>
    );
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <label className="flex flex-col">
        <span className="kicker">{say(M.positionPlantKnows)}</span>
        <input
          type="search"
          value={typed}
          onChange={(e) => onTyped(e.target.value)}
          maxLength={80}
          autoComplete="off"
          placeholder={say(M.typeMachinePlaceNameNew)}
          className="min-h-12 border-0 border-b-2 border-muted bg-transparent text-lg placeholder:text-muted"
        />
      </label>
      <ul className="m-0 max-h-[6.4rem] list-none overflow-y-auto p-0" aria-label={say(COMMON.positions)}>
        {positions.map((p) => (
          <li key={p.id} className="border-b border-faint">
            <button
              type="button"
              className="min-h-12 w-full px-1 text-left hover:bg-shade"
              onClick={() => onChoose(p)}
            >
              <span className="font-label text-lg font-semibold">{p.machine}</span>, {p.position}
            </button>
          </li>
        ))}
        {found.isSuccess && !found.isPlaceholderData && positions.length === 0 && (
          <li className="py-1 text-muted">{say(M.noPositionTheseWordsName)}</li>
        )}
        {found.data?.more && (
          <li className="py-1 text-muted">{say(COMMON.firstShownTypeMore({ count: positions.length }))}</li>
        )}
        {found.isError && positions.length === 0 && (
          <li className="py-1 text-muted">
            {say(M.newPositionCanNamedBelow({ message: saidBy(found.error) }))}
          </li>
        )}
      </ul>
    </div>
  );
}
