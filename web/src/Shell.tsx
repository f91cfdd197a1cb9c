import { COMMON } from '@fulcrant/core/messages';
import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect } from 'react';
import { Navigate, Outlet, ScrollRestoration, useLocation } from 'react-router';
import { useGreeting } from './data/plant.ts';
import { keepSentEvents } from './data/sent-events.ts';
import { useSession } from './data/session.tsx';
import { M } from './messages.ts';
import { SheetIndex } from './SheetIndex.tsx';
import { Button } from './ui/controls.tsx';
import { Loading } from './ui/Loading.tsx';
import { useSay } from './ui/settings.tsx';

/** What stands on the sheet is for those who are signed in; without network the last sign-in here holds. */
export function SignedIn() {
  const say = useSay();
  const { person, asking } = useSession();
  const { pathname, search } = useLocation();
  if (person) return <Outlet />;
  if (asking) return <Loading what={say(COMMON.fulcrant)} />;
  return <Navigate to="/sign-in" replace state={{ to: `${pathname}${search}` }} />;
}

/** A demo plant says so on every page. */
function DemoPlate() {
  const say = useSay();
  const greeting = useGreeting();
  const demo = greeting.data?.demo === true;
  // The sheets stand below it: they are as much less high.
  useEffect(() => {
    document.documentElement.style.setProperty('--plate', demo ? '1.4rem' : '0px');
  }, [demo]);
  return demo ? (
    <aside
      aria-label={say(M.demoPlant)}
      className="m-0 h-[1.4rem] overflow-hidden border-b border-brass bg-paper px-4 text-center text-sm text-brass"
      data-demo
    >
      {say(M.demoPlantPeopleMachinesNumbers)}
    </aside>
  ) : null;
}

export function Shell() {
  const say = useSay();
  const queryClient = useQueryClient();
  useEffect(() => keepSentEvents(queryClient), [queryClient]);
  return (
    <Suspense fallback={<Loading what={say(COMMON.fulcrant)} />}>
      <DemoPlate />
      <SheetIndex>
        <Outlet />
      </SheetIndex>
      <ScrollRestoration />
    </Suspense>
  );
}

/** Something on the page gave way, most often a part of it that was renewed on the server. What was entered is kept. */
export function WentWrong() {
  const say = useSay();
  return (
    <main className="grid min-h-dvh place-items-center p-8">
      <div className="max-w-lg border border-rule p-6">
        <h1 className="m-0 text-3xl">{say(M.somethingWentWrongPage)}</h1>
        <p>{say(M.applicationRenewedServerSomething)}</p>
        <Button weight="solid" onClick={() => location.reload()}>
          {say(M.reload)}
        </Button>
      </div>
    </main>
  );
}
