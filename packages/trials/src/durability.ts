import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  Acknowledged,
  ask,
  eventOf,
  type Member,
  openJob,
  signedIn,
  told,
  until,
  untilStored,
  writing,
} from './hands.ts';
import { Started, verified } from './house.ts';

/** What came of a trial: figures to be printed, and what is wrong. */
export type Outcome = { figures: Array<[what: string, figure: string]>; wrong: string[] };

/** How long a works may be away before it is back by itself. */
const BACK_MS = 10_000;

/** Kill server and database in turn under load, so many times; nothing that was acknowledged may be gone or be there twice. */
export async function killed(house: Started, rounds: number): Promise<Outcome> {
  const asta = await signedIn(house.url, 'Asta');
  const bram = await signedIn(house.url, 'Bram');
  const urls = () => [house.url];
  const acknowledged = new Acknowledged();
  const jobs: string[] = [];
  for (let i = 0; i < 3; i++) {
    const { jobId, opened } = await openJob(urls, asta);
    acknowledged.add(jobId, [opened]);
    jobs.push(jobId);
  }
  const load = writing(urls, [asta, bram, asta, bram, asta, bram], jobs, acknowledged);
  const wrong: string[] = [];
  const backs: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const which = (['server', 'database', 'both'] as const)[round % 3];
    const before = acknowledged.count;
    await until('Load', () => acknowledged.count > before + 20);
    for (const what of ['server', 'database'] as const)
      if (which === what || which === 'both') process.kill(house.pid(what), 'SIGKILL');
    const after = acknowledged.count;
    const back = await until('Life after death', () => acknowledged.count > after + 6);
    backs.push(back);
    if (back > BACK_MS) wrong.push(`Back only after ${back} ms when ${which} was killed.`);
  }
  await load.stop();
  const { lost, doubled } = await acknowledged.compared(house.url, asta.cookie);
  if (lost + doubled > 0) wrong.push(`${lost} lost, ${doubled} doubled.`);
  const walked = verified(house.dataDir);
  if (!walked.holds) wrong.push(walked.said);
  return {
    figures: [
      ['kill −9 of server, database and both in turn', `${rounds} times`],
      ['acknowledged / lost / doubled', `${acknowledged.count} / ${lost} / ${doubled}`],
      ['back by itself, longest (aim under 10 s)', `${(Math.max(...backs) / 1000).toFixed(1)} s`],
      ['verify', walked.said.split('\n')[0] ?? ''],
    ],
    wrong,
  };
}

/** Two tablets come back from a day without network, each with so many entries of one job. */
export async function twoTablets(house: Started, entries: number): Promise<Outcome> {
  const asta = await signedIn(house.url, 'Asta');
  const bram = await signedIn(house.url, 'Bram');
  const urls = () => [house.url];
  const { jobId, opened } = await openJob(urls, asta);
  const acknowledged = new Acknowledged();
  acknowledged.add(jobId, [opened]);
  const tablet = async (by: Member) => {
    const mine = Array.from({ length: entries }, (_, i) =>
      eventOf(by, jobId, 'note.added', { text: `${by.name}, ${i}` }),
    );
    for (let i = 0; i < mine.length; i += 50) {
      const some = mine.slice(i, i + 50);
      await untilStored(urls, by, jobId, some, () => true);
      // An answer that was lost on the way: the same again must change nothing.
      await untilStored(urls, by, jobId, some, () => true);
      acknowledged.add(
        jobId,
        some.map((e) => e.id),
      );
    }
  };
  await Promise.all([tablet(asta), tablet(bram)]);
  const { lost, doubled } = await acknowledged.compared(house.url, asta.cookie);
  return {
    figures: [
      [`two tablets, ${entries} entries each, every run sent twice`, `${lost} lost, ${doubled} doubled`],
    ],
    wrong: lost + doubled > 0 ? ['Two tablets lost or doubled entries.'] : [],
  };
}

/** A database that stands still for seconds, as on a disk that hangs: it is waited for, or said to be away; then all goes on. */
export async function hanging(house: Started, times: number): Promise<Outcome> {
  const asta = await signedIn(house.url, 'Asta');
  const acknowledged = new Acknowledged();
  const urls = () => [house.url];
  const { jobId, opened } = await openJob(urls, asta);
  acknowledged.add(jobId, [opened]);
  const load = writing(urls, [asta, asta], [jobId], acknowledged);
  for (let i = 0; i < times; i++) {
    const before = acknowledged.count;
    await until('Load', () => acknowledged.count > before + 5);
    const pid = house.pid('database');
    process.kill(pid, 'SIGSTOP');
    await new Promise((done) => setTimeout(done, 3000));
    process.kill(pid, 'SIGCONT');
    const then = acknowledged.count;
    await until('Life after standing still', () => acknowledged.count > then + 5, 20_000);
  }
  await load.stop();
  const { lost, doubled } = await acknowledged.compared(house.url, asta.cookie);
  return {
    figures: [[`a disk that hangs for 3 s, ${times} times`, `${lost} lost, ${doubled} doubled`]],
    wrong: lost + doubled > 0 ? ['A hanging disk lost or doubled entries.'] : [],
  };
}

/** Restored from last night's backup, while a tablet holds what it sent since: it asks, sends again, and all is there. */
export async function setBack(house: Started, since: number): Promise<Outcome> {
  const asta = await signedIn(house.url, 'Asta');
  const urls = () => [house.url];
  const { jobId, opened } = await openJob(urls, asta);
  const early = Array.from({ length: 20 }, (_, i) =>
    eventOf(asta, jobId, 'note.added', { text: `day, ${i}` }),
  );
  await untilStored(urls, asta, jobId, early, () => true);
  const apart = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  const archive = join(apart, 'night.tar');
  const beside = (dataDir: string, what: string) =>
    spawnSync(process.execPath, ['scripts/beside.mjs', 'archive', what, archive], {
      env: { ...process.env, FULCRANT_DATA: dataDir, FULCRANT_FROM: '/' },
      encoding: 'utf8',
    });
  const made = beside(house.dataDir, 'backup');
  if (made.status !== 0) throw new Error(`${made.stdout}${made.stderr}`);
  const late = Array.from({ length: since }, (_, i) =>
    eventOf(asta, jobId, 'note.added', { text: `night, ${i}` }),
  );
  await untilStored(urls, asta, jobId, late, () => true);

  const folder = join(apart, 'restored');
  const laid = beside(folder, 'restore');
  if (laid.status !== 0) throw new Error(`${laid.stdout}${laid.stderr}`);
  const restored = await Started.at(folder);
  try {
    const again = await signedIn(restored.url, 'Asta');
    const sent = [opened, ...early.map((e) => e.id), ...late.map((e) => e.id)];
    const { events: lacked } = await told<{ events: string[] }>(restored.url, '/api/record/lacks', again, {
      events: sent,
      photos: [],
    });
    const right = JSON.stringify(lacked) === JSON.stringify(late.map((e) => e.id));
    await untilStored(
      () => [restored.url],
      again,
      jobId,
      late,
      () => true,
    );
    const acknowledged = new Acknowledged();
    acknowledged.add(jobId, sent);
    const { lost, doubled } = await acknowledged.compared(restored.url, again.cookie);
    const walked = verified(folder);
    return {
      figures: [
        [
          `restored from last night, ${since} entries since`,
          `${lacked.length} asked for again, ${lost} lost, ${doubled} doubled`,
        ],
      ],
      wrong: [
        ...(right ? [] : ['The restored record does not say rightly what it lacks.']),
        ...(lost + doubled > 0 ? ['After a restore entries are lost or doubled.'] : []),
        ...(walked.holds ? [] : [walked.said]),
      ],
    };
  } finally {
    await restored.stop();
    rmSync(apart, { recursive: true, force: true });
  }
}

/** A data folder on a disk of its own that is filled to the last byte: what cannot be stored is not acknowledged, and all goes on when there is room. */
export async function diskFull(): Promise<Outcome> {
  const disk = mkdtempSync(join(tmpdir(), 'fulcrant-e2e-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=900m', 'fulcrant', disk]);
  if (mounted.status !== 0) {
    rmSync(disk, { recursive: true, force: true });
    return { figures: [['disk full', 'left out: no right to mount a small disk here']], wrong: [] };
  }
  const balloon = join(disk, 'balloon');
  let house: Started | null = null;
  try {
    house = await Started.at(join(disk, 'data'));
    const url = house.url;
    const asta = await signedIn(url, 'Asta');
    const acknowledged = new Acknowledged();
    const { jobId, opened } = await openJob(() => [url], asta);
    acknowledged.add(jobId, [opened]);
    // All that is left is taken at once; a long text in every note then needs more room than there is.
    spawnSync('dd', ['if=/dev/zero', `of=${balloon}`, 'bs=1M', 'status=none']);
    const long = 'room'.repeat(220);
    let refused = 0;
    const said = new Set<number>();
    for (let i = 0; i < 500 && refused < 3; i++) {
      const notes = Array.from({ length: 50 }, () => eventOf(asta, jobId, 'note.added', { text: long }));
      const answer = await ask(url, `/api/jobs/${jobId}/events`, {
        cookie: asta.cookie,
        body: { events: notes },
      });
      if (answer?.status === 200) {
        const { outcomes } = (await answer.json()) as { outcomes: Array<{ id: string; outcome: string }> };
        if (outcomes.some((o) => o.outcome !== 'stored')) throw new Error(JSON.stringify(outcomes[0]));
        acknowledged.add(
          jobId,
          notes.map((n) => n.id),
        );
      } else {
        refused++;
        if (answer) said.add(answer.status);
      }
    }
    rmSync(balloon, { force: true });
    const note = eventOf(asta, jobId, 'note.added', { text: 'room again' });
    const began = Date.now();
    await untilStored(
      () => [url],
      asta,
      jobId,
      [note],
      () => Date.now() - began < 90_000,
    );
    acknowledged.add(jobId, [note.id]);
    const { lost, doubled } = await acknowledged.compared(url, asta.cookie);
    const walked = verified(house.dataDir);
    return {
      figures: [
        ['disk full: acknowledged / not / lost', `${acknowledged.count} / ${refused} / ${lost}`],
        ['disk full: goes on after', `${((Date.now() - began) / 1000).toFixed(1)} s`],
      ],
      wrong: [
        ...([...said].some((s) => s !== 503) ? [`A full disk is told as ${[...said].join(', ')}.`] : []),
        ...(refused === 0 ? ['The disk did not become full: nothing was tried.'] : []),
        ...(lost + doubled > 0 ? ['A full disk lost what was acknowledged.'] : []),
        ...(walked.holds ? [] : [walked.said]),
      ],
    };
  } finally {
    await house?.stop();
    spawnSync('umount', ['-l', disk]);
    rmSync(disk, { recursive: true, force: true });
  }
}
