import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, it } from 'vitest';
import { underWay } from './under-way.ts';

it('work goes on when who asked for it has gone, and closing waits for it', async () => {
  const done: string[] = [];
  let begun = () => {};
  let finish = () => {};
  const isBegun = new Promise<void>((yes) => {
    begun = yes;
  });
  const isFinished = new Promise<void>((yes) => {
    finish = yes;
  });
  const work = underWay(async (_request, response) => {
    begun();
    await isFinished;
    done.push('kept');
    response.end();
  });
  const server = createServer(work.listener).listen(0, '127.0.0.1');
  await new Promise((yes) => server.once('listening', yes));
  const away = new AbortController();
  const asked = fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}`, { signal: away.signal });
  await isBegun;
  away.abort();
  await expect(asked).rejects.toThrow();
  await new Promise((yes) => server.close(yes));
  // Nobody is connected any more, and the work is still not done.
  expect(done).toEqual([]);
  const all = work.all().then(() => done.push('all'));
  finish();
  await all;
  expect(done).toEqual(['kept', 'all']);
});

it('work that fails holds nobody up', async () => {
  const work = underWay(() => Promise.reject(new Error('no')));
  work.listener({} as never, {} as never);
  await work.all();
});
