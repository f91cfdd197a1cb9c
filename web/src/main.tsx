import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-700.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import '@fontsource/jetbrains-mono/latin-400.css';
import '@fontsource/jetbrains-mono/latin-600.css';
import './index.css';
import { QueryClient, QueryClientProvider, useQueryClient } from '@tanstack/react-query';
import { type ComponentType, lazy, StrictMode, Suspense, useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, Outlet, RouterProvider, ScrollRestoration } from 'react-router';
import { ApiFault } from './data/api.ts';
import { takeNewVersions } from './data/new-version.ts';
import { useGreeting } from './data/plant.ts';
import { startQueue } from './data/queue.ts';
import { keepSentEvents } from './data/sent-events.ts';
import { SessionProvider, useSession } from './data/session.tsx';
import { CodePage } from './session/CodePage.tsx';
import { FirstVisitPage } from './session/FirstVisitPage.tsx';
import { SignInPage } from './session/SignInPage.tsx';
import { Button } from './ui/controls.tsx';
import { Loading } from './ui/Loading.tsx';
import { SettingsProvider } from './ui/settings.tsx';

/** A page, and the trades it may meet: neither is fetched before somebody is signed in. */
const page = <K extends string>(name: K, load: () => Promise<Record<K, ComponentType>>) =>
  lazy(async () => {
    const [pages] = await Promise.all([load(), import('@fulcrant/core/trades/registry')]);
    return { default: pages[name] };
  });

const BoardPage = page('BoardPage', () => import('./board/BoardPage.tsx'));
const SignedPage = page('SignedPage', () => import('./board/SignedPage.tsx'));
const JobPage = page('JobPage', () => import('./job/JobPage.tsx'));
const SheetPage = page('SheetPage', () => import('./sheet/SheetPage.tsx'));
const NewJobPage = page('NewJobPage', () => import('./setup/NewJobPage.tsx'));
const ChangeSetupPage = page('ChangeSetupPage', () => import('./setup/ChangeSetupPage.tsx'));
const NewGaugePage = page('NewGaugePage', () => import('./plant/NewGaugePage.tsx'));
const GaugesPage = page('GaugesPage', () => import('./plant/GaugesPage.tsx'));
const HouseRulesPage = page('HouseRulesPage', () => import('./plant/HouseRulesPage.tsx'));
const PlantPage = page('PlantPage', () => import('./plant/PlantPage.tsx'));
const PeoplePage = page('PeoplePage', () => import('./plant/PeoplePage.tsx'));
const LicencesPage = page('LicencesPage', () => import('./plant/LicencesPage.tsx'));
const AccountPage = page('AccountPage', () => import('./plant/AccountPage.tsx'));
const RegisterPage = page('RegisterPage', () => import('./plant/RegisterPage.tsx'));
const PositionPage = page('PositionPage', () => import('./plant/PositionPage.tsx'));
const LabelPage = page('LabelPage', () => import('./plant/PositionPage.tsx'));
const PartsPage = page('PartsPage', () => import('./plant/PartsPage.tsx'));
const DuePage = page('DuePage', () => import('./plant/DuePage.tsx'));
const OutagesPage = page('OutagesPage', () => import('./outage/OutagesPage.tsx'));
const OutagePage = page('OutagePage', () => import('./outage/OutagePage.tsx'));
const DrillsPage = page('DrillsPage', () => import('./practice/DrillsPage.tsx'));
const BenchesPage = page('BenchesPage', () => import('./practice/BenchesPage.tsx'));
const GuestBenches = page('GuestBenches', () => import('./practice/GuestBenches.tsx'));
const RigPage = page('RigPage', () => import('./practice/RigPage.tsx'));
const ResultPage = page('ResultPage', () => import('./practice/ResultPage.tsx'));
const LogPage = page('LogPage', () => import('./practice/LogPage.tsx'));
const BenchPage = page('BenchPage', () => import('./bench/BenchPage.tsx'));

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

function Shell() {
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
function Torn() {
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

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Torn />,
    children: [
      { path: '/sign-in', element: <SignInPage /> },
      { path: '/first-visit', element: <FirstVisitPage /> },
      { path: '/code', element: <CodePage /> },
      { path: '/bench', element: <BenchPage /> },
      { path: '/licences', element: <LicencesPage /> },
      { path: '/try', element: <GuestBenches /> },
      { path: '/try/:id', element: <RigPage /> },
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
          { path: '/register', element: <RegisterPage /> },
          { path: '/positions/:id', element: <PositionPage /> },
          { path: '/p/:label', element: <LabelPage /> },
          { path: '/parts', element: <PartsPage /> },
          { path: '/due', element: <DuePage /> },
          { path: '/practice', element: <BenchesPage /> },
          { path: '/practice/drills', element: <DrillsPage /> },
          { path: '/practice/bench/:id', element: <RigPage /> },
          { path: '/practice/results/:id', element: <ResultPage /> },
          { path: '/practice/log', element: <LogPage /> },
          { path: '/outages', element: <OutagesPage /> },
          { path: '/outages/:id', element: <OutagePage /> },
          { path: '/plant', element: <PlantPage /> },
          { path: '/people', element: <PeoplePage /> },
          { path: '/account', element: <AccountPage /> },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);

startQueue();
// What is kept for a spell without network is fetched when the page has all it needs now.
if ('serviceWorker' in navigator && import.meta.env.PROD) {
  const keepAll = () =>
    void navigator.serviceWorker.register('/sw.js').then(takeNewVersions, () => undefined);
  if (document.readyState === 'complete') keepAll();
  else addEventListener('load', keepAll, { once: true });
}

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
