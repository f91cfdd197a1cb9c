import type { EventsResponse } from '@fulcrant/core/api';
import type { JobEvent } from '@fulcrant/core/job';
import { useSyncExternalStore } from 'react';
import { ApiFault, call, Unreachable } from './api.ts';
import { takeBackLost } from './lost.ts';
import { M } from './messages.ts';
import {
  allAside,
  allWaiting,
  dropAside,
  putSent,
  putWaiting,
  type SetAside,
  setAside,
  tryAgain,
  type Waiting,
} from './store.ts';

export type QueueStatus = 'idle' | 'sending' | 'away' | 'sign-in';
export type QueueView = {
  waiting: readonly Waiting[];
  aside: readonly SetAside[];
  status: QueueStatus;
  ready: boolean;
  /** So many entries the server had and has lost: it was set back, and they are sent again. */
  lost: number;
};

/** How many events go in one request. */
const BATCH = 50;
const RETRY_MS = [1000, 2000, 4000, 5000];
/** How often the server is asked whether it still has what it said it had, where it was never away. */
const LOOK_MS = 10 * 60_000;

let view: QueueView = { waiting: [], aside: [], status: 'idle', ready: false, lost: 0 };
let me: string | null = null;
let retries = 0;
let timer: ReturnType<typeof setTimeout> | null = null;
/** The server was away, or nobody asked yet: whether it still has what it said it had is asked when it answers again. */
let unsure = true;
let flushing = false;
let again = false;
const listeners = new Set<() => void>();
const sentListeners = new Set<(jobId: string, sent: JobEvent[]) => void | Promise<void>>();
const otherTabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('fulcrant-queue');

function show(change: Partial<QueueView>): void {
  view = { ...view, ...change };
  for (const l of listeners) l();
}

/** Read the shelf again: at start, and when another tab has changed it. */
async function reload(): Promise<void> {
  try {
    show({ waiting: await allWaiting(), aside: await allAside(), ready: true });
  } catch {
    // No storage on this device (a private window, say): what the server has can be looked at, and every attempt to
    // record is refused with a sentence.
    show({ ready: true });
  }
}

/** Is it known that nothing on this device waits to be sent? */
export const nothingWaits = (): boolean => view.ready && view.waiting.length === 0;

/** Called with a job's events once the server has them, before they leave the queue. */
export function onSent(listener: (jobId: string, sent: JobEvent[]) => void | Promise<void>): () => void {
  sentListeners.add(listener);
  return () => sentListeners.delete(listener);
}

/**
 * Keep an event on this device, then send it when there is somebody to send it to. Resolves when it is safely kept.
 * @throws where the device cannot keep it (storage full or forbidden): then nothing may be said to be stored
 */
export async function enqueue(event: JobEvent): Promise<void> {
  const kept = await putWaiting(event);
  show({ waiting: [...view.waiting, kept] });
  otherTabs?.postMessage('changed');
  void flush();
}

/** Whose readings may go: each person's are sent only while they are signed in here. */
export function setSender(personId: string | null): void {
  me = personId;
  if (personId) void flush();
  else if (timer) clearTimeout(timer);
}

function later(status: QueueStatus): void {
  unsure = true;
  const wait = RETRY_MS[Math.min(retries, RETRY_MS.length - 1)] ?? 5000;
  retries++;
  show({ status });
  if (timer) clearTimeout(timer);
  // With nobody signed in there is nothing to try again for: the next sign-in sends.
  if (me !== null) timer = setTimeout(() => void flush(), wait);
}

/** Send what waits, oldest first, one job's run at a time. One tab sends; posting twice would be one event anyway. */
export async function flush(): Promise<void> {
  // Asked while it is at it: it looks once more before it stops, so that nothing put in meanwhile is left lying.
  again = true;
  if (flushing) return;
  flushing = true;
  try {
    while (again) {
      again = false;
      if (navigator.locks) await navigator.locks.request('fulcrant-send', sendAll);
      else await sendAll();
    }
  } finally {
    flushing = false;
  }
}

/** The server could not deal with a run: its own fault, or the run is too large. One alone that is too large is refused for good. */
const isTooMuch = (error: ApiFault, run: readonly Waiting[]): boolean =>
  error.status >= 500 || (error.status === 413 && run.length > 1);

async function sendAll(): Promise<void> {
  // Jobs whose run the server could not deal with go one by one; one that fails even alone waits, and the others go on.
  const alone = new Set<string>();
  const stuck = new Set<string>();
  // Whoever signs in meanwhile is looked after in the next round.
  const sender = me;
  if (unsure && sender !== null) {
    const found = await lookForLost();
    // What waits stands on what was sent before: until it is known that this is there, nothing goes.
    if (found !== 'known' && view.waiting.some((w) => w.event.author.id === sender))
      return found === 'away' ? later('away') : show({ status: 'sign-in' });
  }
  for (;;) {
    const waiting = await allWaiting();
    const mine = waiting.filter((w) => w.event.author.id === sender);
    const first = mine.find((w) => !stuck.has(w.event.jobId));
    if (!first) {
      if (stuck.size > 0) return later('away');
      retries = 0;
      show({
        waiting,
        aside: await allAside(),
        status: waiting.length > 0 ? 'sign-in' : 'idle',
        ready: true,
      });
      return;
    }
    const { jobId } = first.event;
    const run = mine.filter((w) => w.event.jobId === jobId).slice(0, alone.has(jobId) ? 1 : BATCH);
    show({ waiting, status: 'sending' });
    try {
      const answer = await call<EventsResponse>('POST', `/api/jobs/${jobId}/events`, {
        events: run.map((w) => w.event),
        sentAt: new Date().toISOString(),
      });
      // Refused, it may stand on what the server has lost: that goes first, and this is tried once more after it.
      if (answer.outcomes.some((o) => o.outcome === 'refused')) {
        const before = view.lost;
        if ((await lookForLost()) === 'away') return later('away');
        if (view.lost > before) continue;
      }
      await settle(run, answer);
      retries = 0;
    } catch (error) {
      if (error instanceof ApiFault && error.status === 401) return show({ status: 'sign-in' });
      if (error instanceof Unreachable || (error instanceof ApiFault && error.status === 429))
        return later('away');
      if (!(error instanceof ApiFault)) throw error;
      if (isTooMuch(error, run)) {
        if (run.length > 1) alone.add(jobId);
        else stuck.add(jobId);
        continue;
      }
      // Refused as a whole: kept aside with the reason, so that what comes after is not stuck behind it.
      for (const w of run) await setAside(w, error.title);
    }
  }
}

async function settle(run: Waiting[], answer: EventsResponse): Promise<void> {
  const has = run.filter((w) => answer.outcomes.some((o) => o.id === w.event.id && o.outcome !== 'refused'));
  for (const l of sentListeners)
    await l(
      answer.jobId,
      has.map((w) => w.event),
    );
  for (const w of run) {
    const outcome = answer.outcomes.find((o) => o.id === w.event.id);
    if (outcome?.outcome === 'refused') await setAside(w, outcome.said ?? outcome.reason ?? M.refused);
    else if (outcome) await putSent(w, Date.now());
  }
  await reload();
  otherTabs?.postMessage('changed');
}

/**
 * Ask whether the server still has what it said it had; what it lost waits again, before all that came after.
 * @returns `known` where that is known now
 */
async function lookForLost(): Promise<'known' | 'away' | 'sign-in'> {
  try {
    const lost = await takeBackLost();
    unsure = false;
    if (lost > 0) {
      show({ lost: view.lost + lost });
      await reload();
      otherTabs?.postMessage('changed');
    }
  } catch (error) {
    if (error instanceof ApiFault && error.status === 401) return 'sign-in';
    if (error instanceof Unreachable || (error instanceof ApiFault && error.status >= 429)) return 'away';
    // Somebody who may not ask has sent nothing either.
    if (!(error instanceof ApiFault)) throw error;
  }
  return 'known';
}

/** Send a set-aside event once more. */
export async function retryAside(id: string): Promise<void> {
  await tryAgain(id);
  await reload();
  void flush();
}

/** Forget a set-aside event whose words now stand on the sheet as a note. */
export async function forgetAside(id: string): Promise<void> {
  await dropAside(id);
  await reload();
}

/** Begin: read the shelf, listen for the network and for other tabs. */
export function startQueue(): void {
  void reload().then(() => flush().catch(() => undefined));
  addEventListener('online', () => {
    retries = 0;
    void flush();
  });
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') void flush();
  });
  otherTabs?.addEventListener('message', () => void reload());
  setInterval(() => {
    unsure = true;
    void flush();
  }, LOOK_MS);
}

/** Called whenever the queue changes. */
export function onQueue(l: () => void): () => void {
  listeners.add(l);
  return () => listeners.delete(l);
}

/** The queue as the corner of the sheet shows it. */
export function useQueue(): QueueView {
  return useSyncExternalStore(onQueue, () => view);
}

const waitingOf = new Map<string, readonly JobEvent[]>();
/** What waits here of one job: the same list until it changes. */
function waitingFor(jobId: string): readonly JobEvent[] {
  const now = view.waiting.map((w) => w.event).filter((e) => e.jobId === jobId);
  const before = waitingOf.get(jobId);
  if (before && before.length === now.length && now.every((e, i) => e.id === before[i]?.id)) return before;
  waitingOf.set(jobId, now);
  return now;
}

/** One job's part of the queue, null until the shelf is read. Drawn anew only when it changes, not at every step of the sending. */
export function useWaiting(jobId: string): readonly JobEvent[] | null {
  return useSyncExternalStore(onQueue, () => (view.ready ? waitingFor(jobId) : null));
}
