import type { QueryClient } from '@tanstack/react-query';
import type { ComponentType } from 'react';
import { Navigate, type RouteObject } from 'react-router';
import { IndexTabs } from './SheetIndex.tsx';
import { Shell, SignedIn, WentWrong } from './Shell.tsx';
import { SignInPage } from './session/SignInPage.tsx';
import { fetched } from './ui/fetched.tsx';

/** A page, and the trades it may meet: neither is fetched before somebody is signed in. */
const page = <K extends string>(name: K, load: () => Promise<Record<K, ComponentType>>) =>
  fetched(async () => {
    const [pages] = await Promise.all([load(), import('@fulcrant/core/every-trade')]);
    return pages[name];
  });

/** The lines of the board come in words from the server: it waits for no trade. */
const BoardPage = fetched(async () => (await import('./board/BoardPage.tsx')).BoardPage);
const SignedPage = fetched(async () => (await import('./board/SignedPage.tsx')).SignedPage);

/**
 * Fetch what the page at an address draws, while it is still asked who is there.
 * @returns when it is here: its code and the first it shows
 */
export async function fetchAhead(path: string, client: QueryClient): Promise<void> {
  if (path !== '/') return;
  const asked = import('./data/lines.ts').then(({ openLines }) => client.prefetchQuery(openLines([])));
  await Promise.all([asked, BoardPage.ahead(), IndexTabs.ahead()]);
}

/** Seen once by few: not on the first screen of everybody. */
const CodePage = fetched(async () => (await import('./session/CodePage.tsx')).CodePage);
const FirstVisitPage = fetched(async () => (await import('./session/FirstVisitPage.tsx')).FirstVisitPage);

/** Every address of the application and the page at it. */
export const ROUTES: RouteObject[] = [
  {
    Component: Shell,
    ErrorBoundary: WentWrong,
    children: [
      { path: '/sign-in', Component: SignInPage },
      { path: '/first-visit', Component: FirstVisitPage },
      { path: '/code', Component: CodePage },
      { path: '/bench', Component: page('BenchPage', () => import('./bench/BenchPage.tsx')) },
      { path: '/licences', Component: page('LicencesPage', () => import('./plant/LicencesPage.tsx')) },
      { path: '/try', Component: page('GuestBenches', () => import('./practice/GuestBenches.tsx')) },
      { path: '/try/:id', Component: page('RigPage', () => import('./practice/RigPage.tsx')) },
      {
        Component: SignedIn,
        children: [
          { path: '/', Component: BoardPage },
          { path: '/jobs/new', Component: page('NewJobPage', () => import('./setup/NewJobPage.tsx')) },
          { path: '/jobs/:id', Component: page('JobPage', () => import('./job/JobPage.tsx')) },
          { path: '/jobs/:id/sheet', Component: page('SheetPage', () => import('./sheet/SheetPage.tsx')) },
          {
            path: '/jobs/:id/setup',
            Component: page('ChangeSetupPage', () => import('./setup/ChangeSetupPage.tsx')),
          },
          { path: '/signed', Component: SignedPage },
          { path: '/gauges', Component: page('GaugesPage', () => import('./plant/GaugesPage.tsx')) },
          {
            path: '/house-rules',
            Component: page('HouseRulesPage', () => import('./plant/HouseRulesPage.tsx')),
          },
          { path: '/gauges/new', Component: page('NewGaugePage', () => import('./plant/NewGaugePage.tsx')) },
          { path: '/hands/new', Component: page('HandCardPage', () => import('./plant/HandCardPage.tsx')) },
          { path: '/register', Component: page('RegisterPage', () => import('./plant/RegisterPage.tsx')) },
          {
            path: '/positions/:id',
            Component: page('PositionPage', () => import('./plant/PositionPage.tsx')),
          },
          { path: '/p/:label', Component: page('LabelPage', () => import('./plant/PositionPage.tsx')) },
          { path: '/parts', Component: page('PartsPage', () => import('./plant/PartsPage.tsx')) },
          { path: '/due', Component: page('DuePage', () => import('./plant/DuePage.tsx')) },
          { path: '/practice', Component: page('BenchesPage', () => import('./practice/BenchesPage.tsx')) },
          {
            path: '/practice/drills',
            Component: page('DrillsPage', () => import('./practice/DrillsPage.tsx')),
          },
          { path: '/practice/bench/:id', Component: page('RigPage', () => import('./practice/RigPage.tsx')) },
          {
            path: '/practice/results/:id',
            Component: page('ResultPage', () => import('./practice/ResultPage.tsx')),
          },
          { path: '/practice/log', Component: page('LogPage', () => import('./practice/LogPage.tsx')) },
          { path: '/outages', Component: page('OutagesPage', () => import('./outage/OutagesPage.tsx')) },
          { path: '/outages/:id', Component: page('OutagePage', () => import('./outage/OutagePage.tsx')) },
          { path: '/plant', Component: page('PlantPage', () => import('./plant/PlantPage.tsx')) },
          { path: '/people', Component: page('PeoplePage', () => import('./plant/PeoplePage.tsx')) },
          {
            path: '/glossary',
            Component: page('GlossaryPage', () => import('./glossary/GlossaryPage.tsx')),
          },
          { path: '/account', Component: page('AccountPage', () => import('./plant/AccountPage.tsx')) },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
];
