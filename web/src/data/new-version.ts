import { nothingWaits, onQueue } from './queue.ts';

/**
 * A new version of the application is taken only while nothing on this device waits to be sent: entries go to the server in the form of
 * the page that made them. Until then the page stays as it is.
 */
export function takeNewVersions(registration: ServiceWorkerRegistration | undefined): void {
  // Where a browser is told to keep no worker it says so with nothing.
  if (!registration) return;
  const offer = () => {
    if (registration.waiting && nothingWaits()) registration.waiting.postMessage({ type: 'SKIP_WAITING' });
  };
  registration.addEventListener('updatefound', () => {
    const coming = registration.installing;
    coming?.addEventListener('statechange', () => {
      if (coming.state === 'installed') offer();
    });
  });
  onQueue(offer);
  offer();
}
