import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect } from 'react';
import { Navigate, Outlet, ScrollRestoration } from 'react-router';
import { useGreeting } from './data/plant.ts';
import { keepSentEvents } from './data/sent-events.ts';
import { useSession } from './data/session.tsx';
import { Button } from './ui/controls.tsx';
import { Loading } from './ui/Loading.tsx';

/** What stands on the sheet is for those who are signed in; without network the last sign-in here holds. */
export function SignedIn() {
  const { person } = useSession();
  return person ? <Outlet /> : <Navigate to="/sign-in" replace />;
}

/** A demo plant says so on every page. */
function DemoPlate() {
  const greeting = useGreeting();
  const demo = greeting.data?.demo === true;
  // The sheets stand below it: they are as much less high.
  useEffect(() => {
    document.documentElement.style.setProperty('--plate', demo ? '1.4rem' : '0px');
  }, [demo]);
  return demo ? (
    <aside
      aria-label="Demo plant"
      className="m-0 h-[1.4rem] overflow-hidden border-b border-brass bg-paper px-4 text-center text-sm text-brass"
      data-demo
    >
      Demo plant: people, machines and numbers are invented
    </aside>
  ) : null;
}

export function Shell() {
  const queryClient = useQueryClient();
  useEffect(() => keepSentEvents(queryClient), [queryClient]);
  return (
    <Suspense fallback={<Loading what="Fulcrant" />}>
      <DemoPlate />
      <Outlet />
      <ScrollRestoration />
    </Suspense>
  );
}

/** Something on the page gave way, most often a part of it that was renewed on the server. What was entered is kept. */
export function WentWrong() {
  return (
    <main className="grid min-h-dvh place-items-center p-8">
      <div className="max-w-lg border border-rule p-6">
        <h1 className="m-0 text-3xl">Something went wrong on this page</h1>
        <p>
          The application was renewed on the server, or something in it failed. Everything entered is kept on
          this device.
        </p>
        <Button weight="solid" onClick={() => location.reload()}>
          Reload
        </Button>
      </div>
    </main>
  );
}
