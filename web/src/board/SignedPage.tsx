import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { Corner } from '../entry/Corner.tsx';
import { Button } from '../ui/controls.tsx';
import { BoardLine } from './BoardLine.tsx';
import { useSignedLines } from './lines.ts';

/** Lines of a page. */
const PAGE = 25;

/** Every signed job, the newest first, page by page. */
export function SignedPage() {
  const [trail, setTrail] = useState<string[]>([]);
  const page = useSignedLines(PAGE, trail.at(-1) ?? null);
  const lines = page.data?.jobs ?? [];
  const next = page.data?.next ?? null;
  useEffect(() => {
    document.title = 'Signed · Fulcrant';
  }, []);
  return (
    <div className="mx-auto max-w-6xl p-2 md:p-3.5">
      <main className="border border-rule">
        <div className="flex flex-wrap items-baseline justify-between gap-4 border-b border-rule px-6 py-3">
          <h1 className="m-0 text-3xl">Signed</h1>
          <Link className="text-steel underline underline-offset-4" to="/">
            Shift board
          </Link>
        </div>
        <ul className="m-0 list-none px-6 py-0" aria-label="Signed jobs">
          {lines.map((l) => (
            <BoardLine key={l.id} line={l} wants={null} />
          ))}
        </ul>
        <div className="flex flex-wrap items-center gap-4 px-6 py-3">
          {trail.length > 0 && <Button onClick={() => setTrail(trail.slice(0, -1))}>Newer</Button>}
          {next && <Button onClick={() => setTrail([...trail, next])}>Older</Button>}
          <span className="text-muted">
            {page.isPending
              ? 'Fetching …'
              : next
                ? `${lines.length} shown, from the ${trail.length * PAGE + 1}${ordinal(trail.length * PAGE + 1)} on; there are older ones.`
                : `${trail.length * PAGE + lines.length} in all.`}
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
