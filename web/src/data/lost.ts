import type { LacksAsked, LacksTold } from '@fulcrant/core/api';
import { call } from './api.ts';
import { sendPhotos } from './photos.ts';
import { allPhotos, allSent, dropPhoto, markPhoto, type Sent, sendAgain } from './store.ts';

/**
 * A server can be set back: restored from last night's backup, it lacks what it acknowledged since. What this device sent it holds for a
 * while, asks whether the server still has it, and sends what is gone once more: an id that is there already is stored once only.
 */
const KEPT_DAYS = 14;
const EVENTS_MOST = 5000;
const PHOTOS_MOST = 60;
const AT_ONCE = 500;

const askLacks = (asked: LacksAsked): Promise<LacksTold> =>
  call<LacksTold>('POST', '/api/record/lacks', asked);

/** @returns how many entries and photographs the server has lost; they wait to be sent again */
export async function takeBackLost(): Promise<number> {
  const since = Date.now() - KEPT_DAYS * 86_400_000;
  const sent = await allSent(since, EVENTS_MOST);
  const lost: Sent[] = [];
  for (let i = 0; i < sent.length; i += AT_ONCE) {
    const some = sent.slice(i, i + AT_ONCE);
    const { events } = await askLacks({ events: some.map((s) => s.event.id), photos: [] });
    const lacked = new Set(events);
    lost.push(...some.filter((s) => lacked.has(s.event.id)));
  }
  if (lost.length > 0) await sendAgain(lost);
  return lost.length + (await lostPhotos(since));
}

async function lostPhotos(since: number): Promise<number> {
  const sent = (await allPhotos())
    .filter((p) => p.sentAt !== undefined)
    .sort((a, b) => (b.sentAt ?? 0) - (a.sentAt ?? 0));
  const kept = sent.filter((p) => (p.sentAt ?? 0) >= since).slice(0, PHOTOS_MOST);
  for (const { hash } of sent) if (!kept.some((k) => k.hash === hash)) await dropPhoto(hash);
  if (kept.length === 0) return 0;
  const { photos } = await askLacks({ events: [], photos: kept.map((p) => p.hash) });
  for (const hash of photos) await markPhoto(hash, undefined);
  if (photos.length > 0) void sendPhotos();
  return photos.length;
}
