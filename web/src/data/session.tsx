import type { Person, Plant } from '@fulcrant/core/api';
import { useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { beginWithUnits } from '../ui/settings.tsx';
import { ApiFault, call, Unreachable } from './api.ts';
import { photosMayGo } from './photos.ts';
import { readPinPeople } from './pin.ts';
import { setSender } from './queue.ts';
import { keepHow } from './signed-by.ts';
import { confirmed, isUnconfirmed, senderHere, takeOver } from './unconfirmed.ts';

type Session = {
  person: Person | null;
  /** Nobody is known here, and the server has not answered yet whose sign-in this device holds. */
  asking: boolean;
  /** The plant this device works at, as it was told last; null until it is known. */
  plant: Plant | null;
  /** True where the server said this sign-in is over, while the person is still known here. */
  stale: boolean;
  /** `code` is of the second factor, where one is asked. */
  signIn(name: string, password: string, code?: string): Promise<void>;
  /** Whoever is here took over without the server: what is entered waits, and nothing is signed, until they have signed in. */
  unconfirmed: boolean;
  /**
   * Take over at a known device by PIN: the page that is open stays. Where the server cannot check the PIN they take over unconfirmed.
   * @throws ApiFault where the PIN is another
   */
  enterByPin(person: Person, pin: string): Promise<void>;
  /** Get in by another way than a password: a first visit, a code. */
  enter(path: '/api/first-visit' | '/api/password/reset', body: object): Promise<void>;
  signOut(): Promise<void>;
  /** The plant was told something new. */
  told(plant: Plant): void;
};

const KEY = 'fulcrant.person';
const PLANT_KEY = 'fulcrant.plant';
/** What a PIN looks like. */
const PIN = /^\d{4,6}$/;
type Answer = { person: Person; plant: Plant };
const Context = createContext<Session | null>(null);

let asked: Promise<Answer> | null = null;

/** What is known of who is here, for the next time too. */
function keepAnswer({ person, plant }: Answer): void {
  if (isUnconfirmed(remembered<Person>(KEY))) return;
  localStorage.setItem(PLANT_KEY, JSON.stringify(plant));
  localStorage.setItem(KEY, JSON.stringify(person));
}

/**
 * Ask the server who is at this device, before anything is drawn.
 * @returns when it is known: at once where this device knows somebody, otherwise with the answer, or without one
 */
export async function askWho(): Promise<void> {
  asked = call<Answer>('GET', '/api/session');
  // A fault is heard of where the answer is taken.
  const answered = asked.then(keepAnswer, () => undefined);
  if (remembered<Person>(KEY) === null) await answered;
}

/** The answer asked for at the start, once; after that it is asked anew. */
function whoIsHere(): Promise<Answer> {
  const first = asked ?? call<Answer>('GET', '/api/session');
  asked = null;
  return first;
}

function remembered<T>(key: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as T | null;
  } catch {
    return null;
  }
}

/** Who is at this device. Known without network from the last sign-in; the server has the last word when it is there. */
export function SessionProvider({ children }: { children: ReactNode }) {
  const [person, setPerson] = useState<Person | null>(() => remembered<Person>(KEY));
  const [plant, setPlant] = useState<Plant | null>(() => remembered<Plant>(PLANT_KEY));
  const [stale, setStale] = useState(false);
  const [asking, setAsking] = useState(true);
  const client = useQueryClient();

  const remember = useCallback((p: Person | null) => {
    if (p) localStorage.setItem(KEY, JSON.stringify(p));
    else localStorage.removeItem(KEY);
    setPerson(p);
  }, []);

  const welcome = useCallback(
    (answer: Answer) => {
      confirmed();
      localStorage.setItem(PLANT_KEY, JSON.stringify(answer.plant));
      setPlant(answer.plant);
      beginWithUnits(answer.plant.units);
      remember(answer.person);
    },
    [remember],
  );

  /** The sign-in the server holds is of whoever was here before, where somebody took over without it. */
  const known = useCallback(
    (answer: Answer) => {
      if (!isUnconfirmed(remembered<Person>(KEY))) welcome(answer);
      // Who may take over here, for when the server is away.
      void readPinPeople().catch(() => undefined);
    },
    [welcome],
  );

  useEffect(() => {
    setSender(senderHere(person));
    photosMayGo(person !== null && !isUnconfirmed(person));
  }, [person]);
  useEffect(() => {
    void whoIsHere()
      .then(known, (error: unknown) => {
        if (error instanceof ApiFault && error.status === 401) setStale(true);
      })
      .finally(() => setAsking(false));
  }, [known]);

  const value = useMemo<Session>(
    () => ({
      person,
      asking: asking && person === null,
      plant,
      stale,
      async signIn(name, password, code) {
        const body = { name, password, ...(code === undefined ? {} : { code }) };
        welcome(await call<Answer>('POST', '/api/session', body));
        keepHow(null);
        setStale(false);
        await client.invalidateQueries();
      },
      unconfirmed: isUnconfirmed(person),
      async enterByPin(who, pin) {
        try {
          welcome(await call<Answer>('POST', '/api/session/pin', { person: who.id, pin }));
        } catch (error) {
          if (!(error instanceof Unreachable) || !PIN.test(pin)) throw error;
          takeOver(who, person);
          remember(who);
          return;
        }
        keepHow(who.id);
        setStale(false);
        await client.invalidateQueries();
      },
      async enter(path, body) {
        welcome(await call<Answer>('POST', path, body));
        setStale(false);
        await client.invalidateQueries();
      },
      told(plant) {
        localStorage.setItem(PLANT_KEY, JSON.stringify(plant));
        setPlant(plant);
      },
      async signOut() {
        await call('DELETE', '/api/session').catch(() => undefined);
        confirmed();
        remember(null);
        client.clear();
      },
    }),
    [person, asking, plant, stale, remember, welcome, client],
  );
  return <Context value={value}>{children}</Context>;
}

export function useSession(): Session {
  const value = useContext(Context);
  if (!value) throw new Error('No session is provided.');
  return value;
}

/** Somebody at a practice bench: whoever is signed in, as one who may write there; or a guest, who is nobody’s. */
export function PractisingAs({ person, children }: { person: Person; children: ReactNode }) {
  const session = useSession();
  const value = useMemo(() => ({ ...session, person }), [session, person]);
  return <Context value={value}>{children}</Context>;
}
