import '@fulcrant/core/every-trade';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { pino } from 'pino';
import { Attempts } from './auth/attempts.ts';
import { readConfig } from './config.ts';
import { askForDemoAnew } from './demo/anew.ts';
import { threads } from './heavy/workshop.ts';
import { buildApp } from './http/app.ts';
import { underWay } from './http/under-way.ts';
import { StandIns } from './instruments/stand-ins.ts';
import { openDatabase } from './store/database.ts';
import { renewLines } from './store/projections.ts';

let stopping = false;
const config = readConfig(process.env);
const log = pino({ level: config.logLevel });
const db = openDatabase(config.db, { workshop: threads(new URL('worker.js', import.meta.url)) });
const standIns = new StandIns();
const requests = underWay(
  buildApp(
    {
      db,
      attempts: new Attempts(db),
      version: config.version,
      log,
      standIns,
      photoDir: join(config.dataDir, 'photos'),
      ...(process.env.FULCRANT_SUPERVISED === '1'
        ? {
            layDemoAnew: () => {
              askForDemoAnew(config.dataDir);
              // The answer goes out first.
              setTimeout(() => stop('a demo laid anew'), 50);
            },
          }
        : {}),
    },
    config.webDir,
    { proxy: config.proxy },
  ).callback(),
);
const server = createServer(requests.listener);

// Longer than those who keep a connection open between two requests: nobody meets it just closing.
server.keepAliveTimeout = 65_000;
server.headersTimeout = 70_000;
server.listen(config.port, config.host, () =>
  log.info({ host: config.host, port: config.port }, 'listening'),
);
void renewLines(db, log, () => stopping).catch((error: unknown) =>
  log.warn({ err: error }, 'lines not renewed'),
);
server.on('error', (error) => {
  log.fatal({ err: error }, 'cannot listen');
  process.exit(1);
});

/** Finish what is being answered, then leave; a second signal or ten seconds ends it at once. */
function stop(signal: string): void {
  if (stopping) process.exit(1);
  stopping = true;
  log.info({ signal }, 'stopping');
  setTimeout(() => process.exit(1), 10_000).unref();
  standIns.close();
  server.close(async () => {
    await requests.all();
    await db.workshop.close();
    await db.sequelize.close();
    process.exit(0);
  });
  server.closeIdleConnections();
}
process.on('SIGINT', () => stop('SIGINT'));
process.on('SIGTERM', () => stop('SIGTERM'));

// The start script holds the other end: where it dies without a word, the server does not stay behind.
if (process.env.FULCRANT_SUPERVISED === '1')
  process.stdin.on('end', () => stop('end of supervision')).resume();
