import { spawnSync } from 'node:child_process';
import type { JobEvent, Setup } from '@fulcrant/core/job';
import { afterAll, beforeAll, expect, inject, it } from 'vitest';
import { EVERY_KIND } from '../../core/src/testing/every-kind.ts';
import type { Plant } from '../../packages/trials/src/plant.ts';
import { sharedPlant } from './shared-plant.ts';
import { SheetHand } from './sheet-hand.ts';
import { workedTo } from './worked-job.ts';

let plant: Plant;
beforeAll(async () => {
  plant = await sharedPlant();
});
afterAll(() => plant?.close());

/** As whoever owns the database: nobody else may take an event away. */
function sql(text: string): void {
  const { port, owner } = inject('works').db;
  const done = spawnSync(
    'mariadb',
    ['--no-defaults', '--host=127.0.0.1', `--port=${port}`, `--user=${owner.user}`, 'fulcrant'],
    { input: text, encoding: 'utf8', env: { ...process.env, MYSQL_PWD: owner.password } },
  );
  if (done.status !== 0) throw new Error(done.stderr);
}

it('a job that the server has only as it was last night: the device that measured since sends it again, and says so', async () => {
  const { page, context, complaints } = await plant.visit('Asta');
  const { jobId, hand } = await workedTo(
    page,
    plant.url,
    EVERY_KIND['by feelers'] as Setup,
    'shaft',
    'Set back',
  );
  const stored = async () => {
    const answer = await page.request.get(`${plant.url}/api/jobs/${jobId}`);
    return ((await answer.json()) as { events: JobEvent[] }).events.map((e) => e.id);
  };
  const lastNight = hand.events.length;
  const sheet = new SheetHand(page);
  for (const raw of ['89.974', '89.973', '89.976']) await sheet.read('shaft', raw);
  await sheet.allStored();
  const before = await stored();
  expect(before.length).toBe(lastNight + 3);

  sql(`DELETE FROM events WHERE job_id = '${jobId}' AND seq > ${lastNight};
    UPDATE jobs SET event_count = ${lastNight},
      chain = (SELECT chain FROM events WHERE job_id = '${jobId}' AND seq = ${lastNight}) WHERE id = '${jobId}';`);
  expect((await stored()).length).toBe(lastNight);

  await page.reload();
  await page.locator('[data-lost="3"]').waitFor();
  await page
    .getByText('The server was restored from a backup: 3 entries from this device are sent again')
    .waitFor();
  await sheet.allStored();
  expect(await stored()).toEqual(before);
  // The sheet goes on where the hand was.
  await sheet.read('shaft', '89.975');
  await sheet.allStored();
  expect((await stored()).length).toBe(lastNight + 4);
  expect(complaints).toEqual([]);
  await context.close();
});
