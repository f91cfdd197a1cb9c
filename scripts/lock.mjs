import { createHash } from 'node:crypto';
import { realpathSync } from 'node:fs';
import { createServer } from 'node:net';

/** Folders this process holds, each with how often. @type {Map<string, { server: import('node:net').Server, times: number }>} */
const held = new Map();

/**
 * Hold a data folder for this process alone. The lock is a name in the kernel, not a file: it goes with the process however it ends, and
 * nothing stale is left to be cleared. Asked again by the same process it is given again.
 * @param {string} dir a folder that exists
 * @returns {Promise<() => void>} lets it go
 * @throws Error where another process holds it
 */
export async function holdFolder(dir) {
  const real = realpathSync(dir);
  const mine = held.get(real);
  if (mine) mine.times++;
  else held.set(real, { server: await listen(real), times: 1 });
  let letGo = false;
  return () => {
    const lock = held.get(real);
    if (letGo || !lock) return;
    letGo = true;
    lock.times--;
    if (lock.times > 0) return;
    held.delete(real);
    lock.server.close();
  };
}

/** @param {string} dir @returns {Promise<import('node:net').Server>} */
function listen(dir) {
  const name = `\0fulcrant-${createHash('sha256').update(dir).digest('hex').slice(0, 32)}`;
  return new Promise((done, fail) => {
    const server = createServer((socket) => socket.destroy());
    server.once('error', (error) =>
      fail(
        /** @type {NodeJS.ErrnoException} */ (error).code === 'EADDRINUSE'
          ? new Error(
              `The data folder ${dir} is in use: another start of Fulcrant runs on it. Nothing was touched.`,
            )
          : error,
      ),
    );
    // It is no reason for the process to go on living.
    server.listen(name, () => done(server.unref()));
  });
}
