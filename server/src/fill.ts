import '@fulcrant/core/every-trade';
import { parseArgs } from 'node:util';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { databaseConfig } from './config.ts';
import { fill, type Plan, prepareFill } from './demo/fill.ts';
import { openDatabase } from './store/database.ts';

/** Hands that lay in at once: one a core of a small machine. */
const HANDS = 2;

const open = () => openDatabase(databaseConfig(process.env), { driver: { permitLocalInfile: true } });

/** One hand lays its range and tells how many events it had. */
async function work(plan: Plan): Promise<void> {
  const db = open();
  try {
    parentPort?.postMessage(await fill(db, plan));
  } finally {
    await db.sequelize.close();
  }
}

/** Lay many worked and signed jobs into a plant, to see it at its size: `--jobs 16000`. */
async function main(): Promise<void> {
  const { values } = parseArgs({ options: { jobs: { type: 'string', default: '1000' } } });
  const jobs = Number(values.jobs);
  if (!Number.isInteger(jobs) || jobs < 1 || jobs > 100_000) {
    console.error('--jobs is a whole number from 1 to 100000.');
    process.exitCode = 2;
    return;
  }
  const db = open();
  const first = await prepareFill(db, jobs).finally(() => db.sequelize.close());
  const began = performance.now();
  const cut = (i: number) => Math.floor((jobs * i) / HANDS);
  const events = await Promise.all(
    Array.from({ length: HANDS }, (_, i) => {
      const plan: Plan = { jobs, first, from: cut(i), to: cut(i + 1) };
      return new Promise<number>((done, fail) => {
        const hand = new Worker(new URL(import.meta.url), { workerData: plan });
        hand.on('message', done);
        hand.on('error', fail);
      });
    }),
  );
  const s = (performance.now() - began) / 1000;
  console.log(
    `${jobs} signed jobs with ${events.reduce((a, b) => a + b, 0)} events laid in in ${s.toFixed(1)} s.`,
  );
}

await (isMainThread ? main() : work(workerData as Plan));
