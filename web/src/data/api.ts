import type { Text } from '@fulcrant/core/messages';
import { COMMON } from '@fulcrant/core/messages';
import { MessageError } from '@fulcrant/core/units';
import { M } from './messages.ts';
import { readCached, writeCached } from './store.ts';
import { mayAsk } from './unconfirmed.ts';

/** A fault the server stated, with its sentence and the faults by field. */
export class ApiFault extends MessageError {
  constructor(
    readonly status: number,
    readonly title: Text,
    readonly faults: ReadonlyArray<{ path: string; message: Text }> = [],
  ) {
    super(title);
  }
}

/** The network or the server is away: nothing was said about the request itself. */
export class Unreachable extends MessageError {}

async function send(
  method: string,
  path: string,
  body?: unknown,
  more: Record<string, string> = {},
): Promise<Response> {
  if (!mayAsk(method, path)) throw new ApiFault(403, M.confirmFirst);
  try {
    return await fetch(path, {
      method,
      headers: { ...more, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(15_000),
    });
  } catch (cause) {
    throw new Unreachable(M.noConnection, { cause });
  }
}

/** Call the API; a stated fault throws `ApiFault`, an absent server `Unreachable`. */
export async function call<T>(method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<T> {
  return read<T>(await send(method, path, body));
}

/** Send a file as it is. */
export async function putFile(path: string, bytes: ArrayBuffer): Promise<void> {
  const response = await fetch(path, {
    method: 'PUT',
    headers: { 'content-type': 'application/octet-stream' },
    body: bytes,
    signal: AbortSignal.timeout(60_000),
  }).catch((cause) => {
    throw new Unreachable(M.noConnection, { cause });
  });
  await read<void>(response);
}

/** What has changed since a mark the server gave before; null where nothing has. */
export async function callSince<T>(
  path: string,
  mark: string | null,
): Promise<{ answer: T; mark: string | null } | null> {
  const response = await send('GET', path, undefined, mark ? { 'if-none-match': mark } : {});
  if (response.status === 304) return null;
  return { answer: await read<T>(response), mark: response.headers.get('etag') };
}

async function read<T>(response: Response): Promise<T> {
  if (response.status === 204) return undefined as T;
  const answer = (await response.json().catch(() => null)) as {
    title?: string;
    said?: Text;
    faults?: Array<{ path: string; message: string; said?: Text }>;
  } | null;
  if (response.ok && answer !== null) return answer as T;
  if (response.status >= 502 || response.status === 503 || answer === null)
    throw new Unreachable(answer?.said ?? answer?.title ?? M.serverDoesNotAnswer);
  throw new ApiFault(
    response.status,
    answer.said ?? answer.title ?? COMMON.requestRefused,
    (answer.faults ?? []).map((f) => ({ path: f.path, message: f.said ?? f.message })),
  );
}

/** Read, and keep a copy for when the network is away; then the copy is the answer. */
export async function readThrough<T>(path: string): Promise<T> {
  try {
    const fresh = await call<T>('GET', path);
    await writeCached(path, fresh);
    return fresh;
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    const kept = await readCached<T>(path);
    if (kept === undefined) throw error;
    return kept;
  }
}
