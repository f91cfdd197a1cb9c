import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { clockJumps } from './clock.ts';
import { clustered } from './cluster.ts';
import { diskFull, hanging, killed, type Outcome, setBack, twoTablets } from './durability.ts';
import { Started } from './house.ts';
import { loaded, scaled } from './load.ts';
import { behindNginx } from './proxy.ts';
import { tampered } from './tamper.ts';

/** A number from outside, where one is given. */
const given = (name: string, otherwise: number): number => Number(process.env[name] ?? otherwise);

async function inHouse(work: (house: Started) => Promise<Outcome[]>): Promise<Outcome[]> {
  const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  const house = await Started.at(dataDir);
  try {
    return await work(house);
  } finally {
    await house.stop();
    rmSync(dataDir, { recursive: true, force: true });
  }
}

const TRIALS: Record<string, () => Promise<Outcome[]>> = {
  durability: async () => [
    ...(await inHouse(async (house) => [
      await killed(house, given('FULCRANT_ROUNDS', 20)),
      await twoTablets(house, 200),
      await hanging(house, 3),
      await setBack(house, 60),
    ])),
    await clockJumps(),
    await diskFull(),
  ],
  disk: async () => [await diskFull()],
  clock: async () => [await clockJumps()],
  cluster: async () => [await clustered(given('FULCRANT_ROUNDS', 20))],
  load: async () => [
    await loaded({ people: 50, minutes: given('FULCRANT_MINUTES', 10) }),
    await scaled(given('FULCRANT_SECONDS', 15)),
  ],
  scale: async () => [await scaled(given('FULCRANT_SECONDS', 15))],
  soak: async () => [await loaded({ people: 25, minutes: given('FULCRANT_MINUTES', 60) })],
  proxy: async () => [await behindNginx()],
  tamper: async () => inHouse(async (house) => [await tampered(house)]),
};

const name = process.env.FULCRANT_TRIAL ?? '';
const trial = TRIALS[name];
if (!trial) throw new Error(`There is no trial “${name}”.`);
const outcomes = await trial();
for (const { figures } of outcomes)
  for (const [what, figure] of figures) console.log(`${what.padEnd(64)} ${figure}`);
const wrong = outcomes.flatMap((o) => o.wrong);
for (const w of wrong) console.error(`NOT SO: ${w}`);
console.log(`\ntrial ${name}: ${wrong.length === 0 ? 'holds' : `${wrong.length} not so`}`);
process.exit(wrong.length === 0 ? 0 : 1);
