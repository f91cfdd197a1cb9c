import type { WorkingLine } from '@fulcrant/core/judgement';
import { M } from './messages.ts';
import { useSay } from './settings.tsx';

/** The sum as it would stand on the back of the sheet; opened on demand where room is short. */
export function Working({ lines, open = true }: { lines: WorkingLine[]; open?: boolean }) {
  const say = useSay();
  if (lines.length === 0) return null;
  return (
    <details open={open} className="border-t border-faint pt-2">
      <summary className="kicker flex min-h-12 cursor-pointer items-center">{say(M.showWorking)}</summary>
      <dl className="m-0 mt-1 text-[0.9rem] leading-snug">
        {lines.map((l, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: lines of one sum stand in order and may repeat
          <div key={i} className="mb-1">
            <dt className="text-muted">{say(l.what)}</dt>
            <dd className="figures m-0 break-words pl-3 text-[0.85rem]">{say(l.sum)}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
