import { vi } from 'vitest';
import { StandInBench } from '../../../server/src/instruments/stand-in-bench.ts';
import type { FakeServer } from './server.ts';
import { press, the } from './sheet.ts';
import { until } from './until.ts';

/** The server's own stand-in bench, heard without a network. */
export function layBench(server: FakeServer): StandInBench {
  const bench = new StandInBench(1);
  vi.stubGlobal(
    'EventSource',
    class {
      static readonly CLOSED = 2;
      readyState = 0;
      onopen?: () => void;
      onmessage?: (e: { data: string; lastEventId: string }) => void;
      onerror?: () => void;
      private readonly deaf: () => void;
      constructor() {
        this.deaf = bench.listen((lines, moves) =>
          this.onmessage?.({ data: JSON.stringify(lines), lastEventId: String(moves) }),
        );
        setTimeout(() => {
          this.readyState = 1;
          this.onopen?.();
        }, 0);
      }
      close() {
        this.readyState = 2;
        this.deaf();
      }
    },
  );
  server.on('POST', '/api/feed/:device/hand', ({ body }) => ({ moves: bench.move(body as object) }));
  return bench;
}

/** Pair what is laid out on the bench. */
export async function pairWith(scene: string): Promise<void> {
  await press('Pair a gauge');
  (await until(() => the(`[data-scene="${scene}"]`))).click();
  await until(() => the('[data-feed="live"]'));
}

/** Wait until the paired gauge shows what is wanted, and take it. */
export async function take(shows: (value: number) => boolean): Promise<number> {
  const place = the('form[data-place]').dataset.place;
  const value = await until(() => {
    const text = the('[data-feed-value]').dataset.feedValue ?? '';
    const shown = text === '' ? Number.NaN : Number(text);
    if (!shows(shown)) throw new Error(`The gauge shows ${shown} at ${place}.`);
    return shown;
  });
  const taken = () => document.querySelector<HTMLElement>('form[data-place]')?.dataset.place !== place;
  // What was shown may have been of the place before: then nothing is taken, that is said, and it is taken once more.
  for (let tries = 0; !taken(); tries++) {
    if (tries > 100) throw new Error(`Not taken at ${place}: ${document.querySelector('main')?.textContent}`);
    the('[data-take]').click();
    await new Promise((done) => setTimeout(done, 10));
    await until(
      () => taken() || document.querySelector('[data-feed] [role="alert"], form [role="alert"]') !== null,
    );
  }
  return value;
}
