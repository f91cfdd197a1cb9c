import { rmSync } from 'node:fs';
import { inject } from 'vitest';
import type { TestProject } from 'vitest/node';
import {
  clearWorks,
  copyWorks,
  type Db,
  layWorks,
  Plant,
  startServer,
} from '../../packages/trials/src/plant.ts';
import { freePort } from '../../scripts/database.mjs';

declare module 'vitest' {
  interface ProvidedContext {
    works: { url: string; db: Db };
    /** A works as laid in and put by, for those who need one of their own. */
    model: string;
  }
}

/** One works and one server for all browser files: each opens jobs of its own positions there. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const model = await layWorks();
  await model.db.stop();
  const works = await copyWorks(model.dataDir);
  const port = await freePort();
  const server = startServer(port, works.at);
  project.provide('model', model.dataDir);
  project.provide('works', { url: `http://127.0.0.1:${port}`, db: works.at });
  return async () => {
    const gone = new Promise((done) => server.once('exit', done));
    server.kill('SIGTERM');
    await gone;
    await clearWorks(works);
    rmSync(model.dataDir, { recursive: true, force: true });
  };
}

/** A browser at the works all files share; with a server of its own at the same works where it is to be killed. */
export async function sharedPlant({ ownServer = false } = {}): Promise<Plant> {
  const { url, db } = inject('works');
  if (ownServer) return Plant.serving(db);
  const plant = await Plant.at(url);
  await plant.answering();
  return plant;
}

/** A works of one's own, as it was when it was laid in. */
export const ownPlant = (): Promise<Plant> => Plant.open(inject('model'));
