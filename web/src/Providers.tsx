import { type QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { SessionProvider } from './data/session.tsx';
import { SettingsProvider } from './ui/settings.tsx';

/** What every page needs around it: the settings of the device, the client that asks the server, and who is signed in. */
export function Providers({ client, children }: { client: QueryClient; children: ReactNode }) {
  return (
    <SettingsProvider>
      <QueryClientProvider client={client}>
        <SessionProvider>{children}</SessionProvider>
      </QueryClientProvider>
    </SettingsProvider>
  );
}
