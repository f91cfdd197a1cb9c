import { createServer, type Server } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { freePort } from '../../../scripts/database.mjs';
import { databaseConfig } from '../config.ts';
import { isDatabaseAway, isDiskFull, tryingAgain } from './database.ts';
import { Nodes } from './nodes.ts';

const doors: Server[] = [];
/** Somebody who answers at a port of their own. */
async function answering(): Promise<{ host: string; port: number }> {
  const port = await freePort();
  const door = createServer((socket) => socket.destroy());
  await new Promise<void>((done) => door.listen(port, '127.0.0.1', done));
  doors.push(door);
  return { host: '127.0.0.1', port };
}
const closed = (door: Server | undefined) => new Promise((done) => door?.close(done));
afterEach(async () => {
  for (const door of doors.splice(0)) await closed(door);
});

describe('the databases of a cluster', () => {
  it('one is used as long as it answers, then the next, round and round', async () => {
    const [a, b] = [await answering(), await answering()];
    const nodes = new Nodes([a, b]);
    expect(await nodes.pick()).toEqual(a);
    expect(await nodes.pick()).toEqual(a);
    await closed(doors.shift());
    expect(await nodes.pick()).toEqual(b);
    // It is not gone back from: a database that comes back has first to catch up.
    const again = createServer((socket) => socket.destroy());
    await new Promise<void>((done) => again.listen(a.port, '127.0.0.1', done));
    doors.push(again);
    expect(await nodes.pick()).toEqual(b);
    nodes.moveOn();
    expect(await nodes.pick()).toEqual(a);
  });

  it('where none answers one is still told, whose own fault is then said', async () => {
    const gone = [
      { host: '127.0.0.1', port: await freePort() },
      { host: '127.0.0.1', port: await freePort() },
    ];
    expect(gone).toContainEqual(await new Nodes(gone).pick());
  });

  it('are named in the environment, and what is no name is said', () => {
    const env = { FULCRANT_DB_USER: 'u', FULCRANT_DB_PASSWORD: 'p', FULCRANT_DB_PORT: '3306' };
    expect(databaseConfig(env)).toMatchObject({ host: '127.0.0.1', port: 3306 });
    expect(databaseConfig(env).nodes).toBeUndefined();
    const told = databaseConfig({ ...env, FULCRANT_DB_NODES: 'a.example:3307, 10.0.0.2:3308' });
    expect(told).toMatchObject({ host: 'a.example', port: 3307 });
    expect(told.nodes?.[1]).toEqual({ host: '10.0.0.2', port: 3308 });
    for (const wrong of ['a', 'a:', ':3306', 'a:3306,', 'a:b'])
      expect(() => databaseConfig({ ...env, FULCRANT_DB_NODES: wrong })).toThrow(/host:port/);
  });
});

describe('what a database says', () => {
  const of = (message: string, errno?: number) => Object.assign(new Error(message), { errno });

  it('is told apart: away, not ready, full, or simply wrong', () => {
    for (const away of [
      'connect ECONNREFUSED 127.0.0.1:3306',
      'socket has unexpectedly been closed',
      'WSREP has not yet prepared node for application use',
    ])
      expect([isDatabaseAway(of(away)), isDiskFull(of(away))]).toEqual([true, false]);
    for (const full of [
      "The table 'events' is full",
      'Disk full (/x/#sql); waiting for someone to free some space',
    ])
      expect([isDatabaseAway(of(full)), isDiskFull(of(full))]).toEqual([false, true]);
    for (const wrong of [of("Unknown column 'x'"), of('Duplicate entry'), null, undefined, 'text'])
      expect([isDatabaseAway(wrong), isDiskFull(wrong)]).toEqual([false, false]);
  });

  it('met another writer, it is tried again, five times at the most; anything else is not', async () => {
    let tries = 0;
    const until = (n: number, errno: number) =>
      tryingAgain(async () => {
        tries++;
        if (tries < n) throw of('no', errno);
        return tries;
      });
    expect(await until(5, 1213)).toBe(5);
    tries = 0;
    await expect(until(6, 1213)).rejects.toThrow('no');
    expect(tries).toBe(5);
    tries = 0;
    await expect(until(2, 1062)).rejects.toThrow('no');
    expect(tries).toBe(1);
  });
});
