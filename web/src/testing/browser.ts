import 'fake-indexeddb/auto';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { unpair } from '../data/feed.ts';
import { forgetAside, nothingWaits, startQueue } from '../data/queue.ts';
import { allAside } from '../data/store.ts';
import { until } from './until.ts';

/** What a browser has and the test's document has not. Layout is not drawn here: what depends on it is tried in a browser. */
class Unseen {
  observe() {}
  unobserve() {}
  disconnect() {}
  takeRecords() {
    return [];
  }
}
vi.stubGlobal('ResizeObserver', Unseen);
vi.stubGlobal('IntersectionObserver', Unseen);
vi.stubGlobal(
  'Worker',
  class extends EventTarget {
    postMessage() {}
    terminate() {}
  },
);
vi.stubGlobal(
  'EventSource',
  class extends EventTarget {
    close() {}
  },
);
vi.stubGlobal('BroadcastChannel', undefined);
vi.stubGlobal('scrollTo', () => undefined);
Element.prototype.scrollIntoView = () => undefined;
// Nothing is drawn on a canvas here.
vi.mock('chart.js', async (original) => ({
  ...(await original<typeof import('chart.js')>()),
  Chart: class {
    static register() {}
    data = { datasets: [] };
    options = {};
    update() {}
    resize() {}
    destroy() {}
  },
}));
// Once for all files of a worker.
const begun = globalThis as { queueBegun?: true };
if (!begun.queueBegun) startQueue();
begun.queueBegun = true;
// The page draws as it does in a browser: a test waits for what comes, and does not drive each drawing.
(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = false;
// Reading a page in takes its time on a busy machine; nobody waits so long for what comes.
configure({ asyncUtilTimeout: 20_000 });

beforeEach(() => {
  // A desk: wide enough for the column beside the sheet.
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: /min-width/.test(query),
    media: query,
    addEventListener() {},
    removeEventListener() {},
  }));
});

afterEach(async () => {
  // What a test left on the device is not the next one's.
  await until(nothingWaits);
  for (const { event } of await allAside()) await forgetAside(event.id);
  unpair();
  cleanup();
  localStorage.clear();
  sessionStorage.clear();
});
