import type { Person } from '@fulcrant/core/api/requests';
import { useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { ApiFault, call } from './api.ts';
import { setSender } from './queue.ts';

type Session = {
  person: Person | null;
  /** The site this device works at; empty until it is known. */
  site: string;
  /** True where the server said this sign-in is over, while the person is still known here. */
  stale: boolean;
  signIn(name: string, password: string): Promise<void>;
  signOut(): Promise<void>;
};

const KEY = 'fulcrant.person';
const SITE_KEY = 'fulcrant.site';
type Answer = { person: Person; site: string };
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
  const [site, setSite] = useState(() => localStorage.getItem(SITE_KEY) ?? '');
  const [stale, setStale] = useState(false);
  const client = useQueryClient();

  const remember = useCallback((p: Person | null) => {
    if (p) localStorage.setItem(KEY, JSON.stringify(p));
    else localStorage.removeItem(KEY);
    setPerson(p);
  }, []);

  const welcome = useCallback(
    (answer: Answer) => {
      localStorage.setItem(SITE_KEY, answer.site);
      setSite(answer.site);
      remember(answer.person);
    },
    [remember],
  );

  useEffect(() => setSender(person?.id ?? null), [person]);
  useEffect(() => {
    call<Answer>('GET', '/api/session').then(welcome, (error: unknown) => {
      if (error instanceof ApiFault && error.status === 401) setStale(true);
    });
  }, [welcome]);

  const value = useMemo<Session>(
    () => ({
      person,
      site,
      stale,
      async signIn(name, password) {
        welcome(await call<Answer>('POST', '/api/session', { name, password }));
        setStale(false);
        await client.invalidateQueries();
      },
      async signOut() {
        await call('DELETE', '/api/session').catch(() => undefined);
        remember(null);
        client.clear();
      },
    }),
    [person, site, stale, remember, welcome, client],
  );
  return <Context value={value}>{children}</Context>;
}

export function useSession(): Session {
  const value = useContext(Context);
  if (!value) throw new Error('No session is provided.');
  return value;
}
