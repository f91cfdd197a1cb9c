import { QueryClient } from '@tanstack/react-query';
import { ApiFault } from './api.ts';

/** The client that asks the server and keeps what it answered. */
export const newQueryClient = (): QueryClient =>
  new QueryClient({
    defaultOptions: {
      queries: {
        // The copy on the device answers when the network is away, so queries run whether the browser thinks it is online or not.
        networkMode: 'always',
        retry: (count, error) => !(error instanceof ApiFault) && count < 1,
      },
    },
  });
