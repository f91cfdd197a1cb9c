import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-700.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import '@fontsource/jetbrains-mono/latin-400.css';
import '@fontsource/jetbrains-mono/latin-600.css';
import './index.css';
import { QueryClient, QueryClientProvider, useQueryClient } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense, useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { ApiFault } from './app/api.ts';
import { startQueue } from './app/queue.ts';
import { keepSentEvents } from './app/sent-events.ts';
import { SessionProvider, useSession } from './app/session.tsx';
import { SettingsProvider } from './app/settings.tsx';
import { SignInPage } from './features/session/SignInPage.tsx';
import { Button } from './ui/controls.tsx';

const BoardPage = lazy(() =>
  import('./features/board/BoardPage.tsx').then((m) => ({ default: m.BoardPage })),
);
const SignedPage = lazy(() =>
  import('./features/board/SignedPage.tsx').then((m) => ({ default: m.SignedPage })),
);
const JobPage = lazy(() => import('./app/job-sheet/JobPage.tsx').then((m) => ({ default: m.JobPage })));
const SheetPage = lazy(() =>
  import('./features/sheet/SheetPage.tsx').then((m) => ({ default: m.SheetPage })),
);
const NewJobPage = lazy(() =>
  import('./features/jobs/NewJobPage.tsx').then((m) => ({ default: m.NewJobPage })),
);
const ChangeSetupPage = lazy(() =>
  import('./features/jobs/ChangeSetupPage.tsx').then((m) => ({ default: m.ChangeSetupPage })),
);
const NewGaugePage = lazy(() =>
  import('./features/plant/NewGaugePage.tsx').then((m) => ({ default: m.NewGaugePage })),
);
const GaugesPage = lazy(() =>
  import('./features/plant/GaugesPage.tsx').then((m) => ({ default: m.GaugesPage })),
);
const HouseRulesPage = lazy(() =>
  import('./features/plant/HouseRulesPage.tsx').then((m) => ({ default: m.HouseRulesPage })),
);
const BenchPage = lazy(() =>
  import('./features/bench/BenchPage.tsx').then((m) => ({ default: m.BenchPage })),
);

const client = new QueryClient({
  defaultOptions: {
    queries: {
      // The copy on the device answers when the network is away, so queries run whether the browser thinks it is online or not.
      networkMode: 'always',
      retry: (count, error) => !(error instanceof ApiFault) && count < 1,
    },
  },
});

/** What stands on the sheet is for those who are signed in; without network the last sign-in here holds. */
function SignedIn() {
  const { person } = useSession();
  return person ? <Outlet /> : <Navigate to="/sign-in" replace />;
}

function Shell() {
  const queryClient = useQueryClient();
  useEffect(() => keepSentEvents(queryClient), [queryClient]);
  return (
    <Suspense fallback={<p className="p-8 text-lg text-muted">Unfolding the sheet …</p>}>
      <Outlet />
    </Suspense>
  );
}

/** Something on the page gave way, most often a part of it that was renewed on the server. What was entered is kept. */
function Torn() {
  return (
    <main className="grid min-h-dvh place-items-center p-8">
      <div className="max-w-lg border border-rule p-6">
        <h1 className="m-0 text-3xl">The sheet tore</h1>
        <p>
          The application was renewed on the server, or something in it failed. Everything entered is kept on
          this device.
        </p>
        <Button weight="solid" onClick={() => location.reload()}>
          Unfold it again
        </Button>
      </div>
    </main>
  );
}

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Torn />,
    children: [
      { path: '/sign-in', element: <SignInPage /> },
      { path: '/bench', element: <BenchPage /> },
      {
        element: <SignedIn />,
        children: [
          { path: '/', element: <BoardPage /> },
          { path: '/jobs/new', element: <NewJobPage /> },
          { path: '/jobs/:id', element: <JobPage /> },
          { path: '/jobs/:id/sheet', element: <SheetPage /> },
          { path: '/jobs/:id/setup', element: <ChangeSetupPage /> },
          { path: '/signed', element: <SignedPage /> },
          { path: '/gauges', element: <GaugesPage /> },
          { path: '/house-rules', element: <HouseRulesPage /> },
          { path: '/gauges/new', element: <NewGaugePage /> },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);

startQueue();
if ('serviceWorker' in navigator && import.meta.env.PROD) void navigator.serviceWorker.register('/sw.js');

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');
createRoot(root).render(
  <StrictMode>
    <SettingsProvider>
      <QueryClientProvider client={client}>
        <SessionProvider>
          <RouterProvider router={router} />
        </SessionProvider>
      </QueryClientProvider>
    </SettingsProvider>
  </StrictMode>,
);
