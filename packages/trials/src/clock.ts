import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Outcome } from './durability.ts';
import { Acknowledged, ask, eventOf, openJob, signedIn, until, untilStored } from './hands.ts';
import { verified } from './house.ts';
import { serverAt } from './load.ts';
import { clearWorks, layWorks } from './plant.ts';

const LIBRARIES = [
  '/usr/lib/x86_64-linux-gnu/faketime/libfaketime.so.1',
  '/usr/lib/aarch64-linux-gnu/faketime/libfaketime.so.1',
];

/** The server’s clock jumps a day ahead, then two back: nothing is lost or put out of order, and the record holds. */
export async function clockJumps(): Promise<Outcome> {
  const library = LIBRARIES.find((l) => existsSync(l));
  if (!library) return { figures: [['clock jumps', 'left out: Debian’s faketime is not here']], wrong: [] };
  const apart = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  const clock = join(apart, 'clock');
  writeFileSync(clock, '+0');
  const works = await layWorks();
  const house = await serverAt(works, {
    LD_PRELOAD: library,
    FAKETIME_TIMESTAMP_FILE: clock,
    FAKETIME_NO_CACHE: '1',
    FAKETIME_DONT_FAKE_MONOTONIC: '1',
  });
  try {
    const asta = await signedIn(house.url, 'Asta');
    const urls = () => [house.url];
    const acknowledged = new Acknowledged();
    const { jobId, opened } = await openJob(urls, asta);
    acknowledged.add(jobId, [opened]);
    const dates: string[] = [];
    for (const shift of ['+0', '+1d', '-1d', '+0']) {
      writeFileSync(clock, shift);
      // The server says its time with every answer, and works it out once a second.
      const day = async () => (await ask(house.url, '/api/health'))?.headers.get('date')?.slice(5, 11) ?? '';
      const before = dates.at(-1);
      await until('Another day', async () => (await day()) !== before, 5000).catch(() => undefined);
      dates.push(await day());
      // A jump ahead may end a session, as a day would: signed in again, the work goes on.
      const by = await signedIn(house.url, 'Asta');
      const notes = Array.from({ length: 15 }, (_, i) =>
        eventOf(by, jobId, 'note.added', { text: `${shift}, ${i}` }),
      );
      for (const n of notes) await untilStored(urls, by, jobId, [n], () => true);
      acknowledged.add(
        jobId,
        notes.map((n) => n.id),
      );
    }
    const last = await signedIn(house.url, 'Asta');
    const { lost, doubled } = await acknowledged.compared(house.url, last.cookie);
    const walked = verified(works.dataDir);
    const jumped = new Set(dates).size;
    return {
      figures: [
        [
          'the server’s clock a day ahead, a day back',
          `${jumped} days seen, ${lost} lost, ${doubled} doubled`,
        ],
      ],
      wrong: [
        ...(jumped < 3 ? ['The clock did not jump: nothing was tried.'] : []),
        ...(lost + doubled > 0 ? ['A clock that jumped lost or doubled entries.'] : []),
        ...(walked.holds ? [] : [walked.said]),
      ],
    };
  } finally {
    await house.stop();
    await clearWorks(works);
    rmSync(apart, { recursive: true, force: true });
  }
}
