import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import '@fulcrant/core/every-trade';
import { startDatabase } from '../../../scripts/database.mjs';
import { seedDemo } from '../demo/seed.ts';
import { openDatabase } from '../store/database.ts';
import { migrate } from '../store/migrate.ts';
import { beginPlant } from '../store/plant.ts';

declare module 'vitest' {
  interface ProvidedContext {
    models: { demo: string; empty: string };
  }
}

/** A data folder laid in with the demo, or with a plant just begun, and its database stopped. */
async function lay(demo: boolean): Promise<string> {
  const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-test-'));
  const mariadb = await startDatabase({ dataDir, small: true });
  const at = { host: '127.0.0.1', port: mariadb.port, database: 'fulcrant', ...mariadb.owner };
  const owner = openDatabase(at);
  await migrate(owner.sequelize, mariadb.app.user);
  if (demo) await seedDemo(owner);
  else await beginPlant(owner, false);
  await owner.sequelize.close();
  await mariadb.stop();
  return dataDir;
}

/** Two houses laid in once for all server tests: each takes a copy of the one it begins from. */
export default async function setup(project: TestProject): Promise<() => void> {
  const [demo, empty] = await Promise.all([lay(true), lay(false)]);
  project.provide('models', { demo, empty });
  return () => {
    for (const dir of [demo, empty]) rmSync(dir, { recursive: true, force: true });
  };
}

/** A copy of a model, as a data folder of its own. */
export function copyOf(model: string): string {
  const dataDir = mkdtempSync(join(tmpdir(), 'fulcrant-test-'));
  cpSync(model, dataDir, { recursive: true });
  return dataDir;
}
