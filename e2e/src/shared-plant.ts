import { inject } from 'vitest';
import type { TestProject } from 'vitest/node';
import { freePort } from '../../scripts/database.mjs';
import { clearWorks, type Db, layWorks, Plant, startServer } from './plant.ts';

declare module 'vitest' {
  interface ProvidedContext {
    works: { url: string; db: Db };
  }
}

/** One works and one server for all browser files: each opens jobs of its own positions there. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const works = await layWorks();
  const port = await freePort();
  const server = startServer(port, works.at);
  project.provide('works', { url: `http://127.0.0.1:${port}`, db: works.at });
  return async () => {
    const gone = new Promise((done) => server.once('exit', done));
    server.kill('SIGTERM');
    await gone;
    await clearWorks(works);
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
