import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { type ReactNode, useEffect } from 'react';
import { Link } from 'react-router';
import { M } from './messages.ts';
import { useSay } from './settings.tsx';

/** A page beside the sheets: its heading on a ruled line, ways on at its right, the sheet’s corner below. */
export function Page({
  title,
  ways,
  children,
  corner,
  wide = false,
}: {
  title: string;
  ways?: ReadonlyArray<readonly [to: string, words: Text]>;
  children: ReactNode;
  corner?: ReactNode;
  wide?: boolean;
}) {
  const say = useSay();
  useEffect(() => {
    document.title = say(M.fulcrant2({ title }));
  }, [title, say]);
  return (
    <div className={`mx-auto p-2 md:p-3.5 ${wide ? 'max-w-[100rem]' : 'max-w-6xl'}`}>
      <main className="border border-rule">
        <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1 border-b border-rule px-4 py-2 md:px-6">
          <h1 className="m-0 text-3xl">{title}</h1>
          <nav aria-label={say(COMMON.links)} className="flex flex-wrap gap-x-6 no-print">
            {(ways ?? []).map(([to, words]) => (
              <Link
                key={to}
                className="inline-flex min-h-12 items-center text-steel underline underline-offset-4"
                to={to}
              >
                {say(words)}
              </Link>
            ))}
          </nav>
        </div>
        <div className="px-4 py-4 md:px-6">{children}</div>
      </main>
      {corner && <footer>{corner}</footer>}
    </div>
  );
}
