import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-700.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import '@fontsource/jetbrains-mono/latin-400.css';
import '@fontsource/jetbrains-mono/latin-600.css';
import './index.css';
import { PSEUDO, speak } from '@fulcrant/core/messages';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, type RouteObject, RouterProvider } from 'react-router';
import { takeNewVersions } from './data/new-version.ts';
import { newQueryClient } from './data/query-client.ts';
import { startQueue } from './data/queue.ts';
import { askWho } from './data/session.tsx';
import { Providers } from './Providers.tsx';
import { fetchAhead, ROUTES } from './routes.tsx';

// `?lang=qps` shows every text accented: what still reads plain was never put into words.
if (new URLSearchParams(location.search).get('lang') === PSEUDO.code) speak(PSEUDO);

startQueue();
// What is kept for a spell without network is fetched when the page has all it needs now.
if ('serviceWorker' in navigator && import.meta.env.PROD) {
  const keepAll = () =>
    void navigator.serviceWorker.register('/sw.js').then(takeNewVersions, () => undefined);
  if (document.readyState === 'complete') keepAll();
  else addEventListener('load', keepAll, { once: true });
}

const element = document.getElementById('root');
if (!element) throw new Error('The page has no root.');
const root = createRoot(element);
const client = newQueryClient();
let shown = 0;
const show = (routes: RouteObject[]) =>
  root.render(
    <StrictMode>
      <Providers client={client}>
        <RouterProvider key={++shown} router={createBrowserRouter(routes)} />
      </Providers>
    </StrictMode>,
  );

/** A server that does not answer keeps nobody waiting longer than this. */
const PATIENCE_MS = 2000;
// What the page needs and who is here come at once, and it is drawn once: on a slow device every drawing costs half a second.
void Promise.race([
  Promise.all([fetchAhead(location.pathname, client).catch(() => undefined), askWho()]),
  new Promise((resolve) => setTimeout(resolve, PATIENCE_MS)),
]).then(() => show(ROUTES));

// While one works on the code: a change in core comes up to here. The pages are shown anew, without loading everything again.
if (import.meta.hot)
  import.meta.hot.accept('./routes.tsx', (changed) => {
    if (changed) show(changed.ROUTES);
  });
