import { COMMON } from '@fulcrant/core/messages';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useSignedLines } from '../data/lines.ts';
import { Corner } from '../entry/Corner.tsx';
import { Button } from '../ui/controls.tsx';
import { useSay } from '../ui/settings.tsx';
import { BoardLine } from './BoardLine.tsx';
import { M } from './messages.ts';

/** Lines of a page. */
const PAGE = 25;

/** Every signed job, the newest first, page by page. */
export function SignedPage() {
  const say = useSay();
  const [trail, setTrail] = useState<string[]>([]);
  const page = useSignedLines(PAGE, trail.at(-1) ?? null);
  const lines = page.data?.jobs ?? [];
  const next = page.data?.next ?? null;
  useEffect(() => {
    document.title = say(M.signedFulcrant);
  }, [say]);
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="border border-rule">
        <div className="flex flex-wrap items-baseline justify-between gap-4 border-b border-rule px-6 py-3">
          <h1 className="m-0 text-3xl">{say(COMMON.signed)}</h1>
          <Link
            className="inline-flex min-h-12 min-w-12 items-center text-steel underline underline-offset-4"
            to="/"
          >
            {say(COMMON.shiftBoard)}
          </Link>
        </div>
        <ul className="m-0 list-none px-6 py-0" aria-label={say(COMMON.finishedJobs)}>
          {lines.map((l) => (
            <BoardLine key={l.id} line={l} wants={null} />
          ))}
        </ul>
        <div className="flex flex-wrap items-center gap-4 px-6 py-3">
          {trail.length > 0 && <Button onClick={() => setTrail(trail.slice(0, -1))}>{say(M.newer)}</Button>}
          {next && <Button onClick={() => setTrail([...trail, next])}>{say(M.older)}</Button>}
          <span className="text-muted">
            {page.isPending
              ? say(COMMON.loading)
              : next
                ? say(
                    M.shownFromThereOlderOnes({
                      count: lines.length,
                      count2: trail.length * PAGE + 1,
                      ordinal: ordinal(trail.length * PAGE + 1),
                    }),
                  )
                : say(M.all({ count: trail.length * PAGE + lines.length }))}
          </span>
        </div>
      </main>
      <footer>
        <Corner />
      </footer>
    </div>
  );
}

const ordinal = (n: number): string => {
  if (n % 100 >= 11 && n % 100 <= 13) return 'th';
  return ['th', 'st', 'nd', 'rd'][n % 10] ?? 'th';
};
