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

/** How often, or how long: what `npm run proof` was told. */
const tries = Number(process.env.FULCRANT_TRIES ?? 1);

async function inHouse(work: (house: Started) => Promise<void>): Promise<void> {
  const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  const house = await Started.at(dataDir);
  try {
    await work(house);
  } finally {
    await house.stop();
    rmSync(dataDir, { recursive: true, force: true });
  }
}

/** Figures as they come: a long trial that is broken off has told what it knew. */
const wrong: string[] = [];
function told(outcome: Outcome): void {
  for (const [what, figure] of outcome.figures) console.log(`${what.padEnd(64)} ${figure}`);
  for (const w of outcome.wrong) console.error(`NOT SO: ${w}`);
  wrong.push(...outcome.wrong);
}

const TRIALS: Record<string, () => Promise<void>> = {
  async durability() {
    await inHouse(async (house) => {
      told(await killed(house, tries));
      told(await twoTablets(house, 200));
      told(await hanging(house, 3));
      told(await setBack(house, 60));
    });
    told(await clockJumps());
    told(await diskFull());
  },
  disk: async () => told(await diskFull()),
  clock: async () => told(await clockJumps()),
  cluster: async () => told(await clustered(tries)),
  async load() {
    told(await loaded({ people: 50, minutes: tries }));
    told(await scaled(8));
  },
  scale: async () => told(await scaled(tries)),
  soak: async () => told(await loaded({ people: 25, minutes: tries })),
  proxy: async () => told(await behindNginx()),
  tamper: async () => inHouse(async (house) => told(await tampered(house))),
};

const name = process.env.FULCRANT_TRIAL ?? '';
const trial = TRIALS[name];
if (!trial) throw new Error(`There is no trial “${name}”.`);
await trial();
console.log(`\n${name}: ${wrong.length === 0 ? 'holds' : `${wrong.length} not so`}`);
process.exit(wrong.length === 0 ? 0 : 1);
