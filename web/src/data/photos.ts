import { ApiFault, Unreachable } from './api.ts';
import { M } from './messages.ts';
import { allPhotos, markPhoto, photoByHash, putPhoto } from './store.ts';

/** Photographs this device took and the server has not got yet: kept first, sent when there is network and somebody signed in. */

/** The longer side a photograph is made down to: a bolt head across the sheet is still told from the next. */
const SIDE = 1600;
const MOST_MB = 1.2;
const RETRY_MS = 15_000;

let sending = false;
let signedIn = false;
let timer: ReturnType<typeof setTimeout> | null = null;

export type Taken = { hash: string; width: number; height: number };

const hex = (bytes: ArrayBuffer): string =>
  [...new Uint8Array(bytes)].map((b) => b.toString(16).padStart(2, '0')).join('');

/**
 * Make a photograph small, without what the camera wrote into it, and keep it on this device. Resolves when it is safely kept.
 * @throws Error where the file is no picture, or the device cannot keep it
 */
export async function takePhoto(file: File): Promise<Taken> {
  const { default: shrink } = await import('browser-image-compression');
  const small = await shrink(file, {
    maxWidthOrHeight: SIDE,
    maxSizeMB: MOST_MB,
    fileType: 'image/jpeg',
    initialQuality: 0.82,
    // The worker of that package is fetched from elsewhere: here nothing is.
    useWebWorker: false,
    preserveExif: false,
  });
  const bytes = await small.arrayBuffer();
  const hash = hex(await crypto.subtle.digest('SHA-256', bytes));
  const bitmap = await createImageBitmap(small);
  const { width, height } = bitmap;
  bitmap.close();
  await putPhoto({ hash, bytes });
  void sendPhotos();
  return { hash, width, height };
}

/** A photograph that is here still, as an address a picture can be shown from; null where it is not. */
export async function waitingPhoto(hash: string): Promise<string | null> {
  const kept = await photoByHash(hash);
  return kept ? URL.createObjectURL(new Blob([kept.bytes], { type: 'image/jpeg' })) : null;
}

/** Whether somebody is signed in here: photographs go only then. */
export function photosMayGo(may: boolean): void {
  signedIn = may;
  if (may) void sendPhotos();
  else if (timer) clearTimeout(timer);
}

/** Send what waits, one after the other; what cannot go now is tried again. */
export async function sendPhotos(): Promise<void> {
  if (sending || !signedIn) return;
  sending = true;
  let left = 0;
  try {
    for (const { hash, bytes } of (await allPhotos()).filter((p) => p.sentAt === undefined)) {
      const went = await send(hash, bytes).catch((error: unknown) => {
        if (error instanceof Unreachable || error instanceof ApiFault) return false;
        throw error;
      });
      if (went) await markPhoto(hash, Date.now());
      else left++;
    }
  } finally {
    sending = false;
  }
  if (timer) clearTimeout(timer);
  if (left > 0 && signedIn) timer = setTimeout(() => void sendPhotos(), RETRY_MS);
}

async function send(hash: string, bytes: ArrayBuffer): Promise<boolean> {
  let response: Response;
  try {
    response = await fetch(`/api/photos/${hash}`, {
      method: 'PUT',
      headers: { 'content-type': 'image/jpeg' },
      body: bytes,
      signal: AbortSignal.timeout(60_000),
    });
  } catch (cause) {
    throw new Unreachable(M.noConnection, { cause });
  }
  return response.ok;
}
