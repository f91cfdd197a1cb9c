import type { Person } from '@fulcrant/core/api';
import { useQuery } from '@tanstack/react-query';
import { call, readThrough } from './api.ts';

/** Who may take over at this device by PIN; without the server, who could when it was asked last. */
export const readPinPeople = () => readThrough<{ people: Person[] }>('/api/device/people');

/** Who may change over to at this device by PIN. Asked anew each time: somebody may have set one since. */
export const usePinPeople = (enabled = true) =>
  useQuery({
    queryKey: ['pin-people'],
    queryFn: readPinPeople,
    enabled,
    staleTime: 0,
  });

/** Set one's own PIN, with the password. @throws ApiFault */
export const setPin = (pin: string, password: string): Promise<unknown> =>
  call('POST', '/api/account/pin', { pin, password });

/** Say one's PIN once more, before something that counts. @throws ApiFault where it is another */
export const checkPin = (pin: string): Promise<unknown> => call('POST', '/api/session/pin/check', { pin });
