import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { M } from './messages.ts';
import { useSay } from './settings.tsx';

/** A page that is still coming, or is not there: it has its heading, and a way back, from the first moment. */
export function Loading({ what, fault }: { what: string; fault?: Text | null | undefined }) {
  const say = useSay();
  useEffect(() => {
    document.title = say(M.fulcrant({ what }));
  }, [what, say]);
  return (
    <main className="grid min-h-dvh place-items-center p-8" data-loading={fault ? undefined : ''}>
      <div className="text-center text-lg">
        <h1 className="m-0 text-3xl">{what}</h1>
        <p role="status">{say(fault ?? COMMON.loading)}</p>
        <Link className="inline-flex min-h-12 items-center text-steel underline underline-offset-4" to="/">
          {say(COMMON.shiftBoard)}
        </Link>
      </div>
    </main>
  );
}
