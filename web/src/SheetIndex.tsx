import { type ReactNode, Suspense } from 'react';
import { useLocation } from 'react-router';
import { useSession } from './data/session.tsx';
import { fetched } from './ui/fetched.tsx';

/** Fetched once somebody is signed in: the first screen is small. */
export const IndexTabs = fetched(async () => (await import('./contents/IndexTabs.tsx')).IndexTabs);

/** Addresses that are sheets themselves: there the index folds to the mark. */
const FOLDED = /^\/(sign-in|first-visit|code|try.*|(jobs|practice\/bench)\/(?!new\b)[^/]+)\/?$/;

/** The index of a set of drawings: lettered tabs at the edge of every page, under the thumb on a phone. */
export function SheetIndex({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  const { person } = useSession();
  if (!person || FOLDED.test(pathname)) return children;
  return (
    <>
      <div className="max-lg:pb-20 lg:pl-[5.25rem]">{children}</div>
      <Suspense>
        <IndexTabs />
      </Suspense>
    </>
  );
}
