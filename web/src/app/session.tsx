import type { Person } from '@fulcrant/core';
import { useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { ApiFault, call } from './api.ts';
import { setSender } from './queue.ts';

type Session = {
  person: Person | null;
  /** True where the server said this sign-in is over, while the person is still known here. */
  stale: boolean;
  signIn(name: string, password: string): Promise<void>;
  signOut(): Promise<void>;
};

const KEY = 'fulcrant.person';
const Context = createContext<Session | null>(null);

function remembered(): Person | null {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? 'null') as Person | null;
  } catch {
    return null;
  }
}

/** Who is at this device. Known without network from the last sign-in; the server has the last word when it is there. */
export function SessionProvider({ children }: { children: ReactNode }) {
  const [person, setPerson] = useState<Person | null>(remembered);
  const [stale, setStale] = useState(false);
  const client = useQueryClient();

  const remember = useCallback((p: Person | null) => {
    if (p) localStorage.setItem(KEY, JSON.stringify(p));
    else localStorage.removeItem(KEY);
    setPerson(p);
  }, []);

  useEffect(() => setSender(person?.id ?? null), [person]);
  useEffect(() => {
    call<{ person: Person }>('GET', '/api/session').then(
      (answer) => remember(answer.person),
      (error: unknown) => {
        if (error instanceof ApiFault && error.status === 401) setStale(true);
      },
    );
  }, [remember]);

  const value = useMemo<Session>(
    () => ({
      person,
      stale,
      async signIn(name, password) {
        const answer = await call<{ person: Person }>('POST', '/api/session', { name, password });
        remember(answer.person);
        setStale(false);
        await client.invalidateQueries();
      },
      async signOut() {
        await call('DELETE', '/api/session').catch(() => undefined);
        remember(null);
        client.clear();
      },
    }),
    [person, stale, remember, client],
  );
  return <Context value={value}>{children}</Context>;
}

export function useSession(): Session {
  const value = useContext(Context);
  if (!value) throw new Error('No session is provided.');
  return value;
}
