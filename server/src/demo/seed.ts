import {
  type HandTools,
  type Instrument,
  type JobEvent,
  type Person,
  type Place,
  ScriptedHand,
  type Setup,
  type ShaftModel,
  surfaceAt,
  TRUE_SHAFT,
} from '@fulcrant/core';
import { v7 } from 'uuid';
import { hashPassword } from '../auth/password.ts';
import type { Database } from '../store/database.ts';
import { appendEvents, SITE } from '../store/jobs.ts';
import { DEMO_PASSWORD, GAUGES, PEOPLE, POSITIONS } from './works.ts';

const person = (id: string): Person => PEOPLE.find((p) => p.id === id) ?? { id, name: id, role: 'viewer' };
const gauge = (id: string): Instrument => {
  const g = GAUGES[id];
  if (!g) throw new Error(`No gauge ${id} in the demo.`);
  return g;
};
const tools = (micrometer: string, feeler = 'feel-a', wrench = 'wrench-3'): HandTools => ({
  micrometer: gauge(micrometer),
  feeler: gauge(feeler),
  wrench: gauge(wrench),
  protractor: gauge('slot'),
  dial: gauge('dial-2'),
  roughness: gauge('rough-1'),
  caliper: gauge('depth-1'),
  laser: gauge('laser-1'),
});

const hoursAgo = (h: number): Date => new Date(Date.now() - h * 3_600_000);

/** A hand at work on a new job of a position. */
function hand(
  positionIds: Map<string, string>,
  setup: Setup,
  by: string,
  began: Date,
  t: HandTools,
): ScriptedHand {
  const id = (at: Date) => v7({ msecs: at.getTime() });
  const positionId = positionIds.get(`${setup.machine}|${setup.position}`) ?? id(began);
  return new ScriptedHand(id(began), id, t, person(by), began).open(positionId, setup);
}

const round90 = [89.974, 89.972, 89.976, 89.973, 89.971, 89.975, 89.972, 89.97, 89.974];
const shifted = (base: number, of: number[]) => of.map((d) => Number((d - 90 + base).toFixed(4)));

/** Jobs in different states, each worked by the same rules as a real one. */
function jobs(ids: Map<string, string>): ScriptedHand[] {
  const p = POSITIONS;
  const fan = hand(ids, p.fanDrive, 'bram', hoursAgo(30), tools('mic-3'))
    .safe()
    .survey(shifted(70, round90))
    .pass('shaft')
    .bench([
      [0.085, 0.085],
      [0.08, 0.085],
      [0.085, 0.085],
    ])
    .pass('bench')
    .pass('target')
    .drive(0, 0.085, 0.085)
    .drive(45, 0.07, 0.07)
    .drive(90, 0.05, 0.055)
    .drive(112.5, 0.045, 0.045)
    .read('driveup', 'lock/deg112.5', 3, 'protractor')
    .pass('driveup')
    .lock(3, [
      [0.04, 0.04],
      [0.04, 0.04],
    ])
    .pass('lock')
    .bolts()
    .pass('bolts')
    .answerAll('handturn')
    .pass('handturn')
    .do('sheet.signed', { name: 'Bram' });

  const washer = hand(ids, p.washerGear, 'asta', hoursAgo(9), tools('mic-5'))
    .safe()
    .survey(shifted(125, round90))
    .pass('shaft')
    .bench([
      [0.185, 0.185],
      [0.18, 0.185],
      [0.185, 0.185],
    ])
    .pass('bench')
    .pass('target')
    .drive(0, 0.185, 0.185)
    .drive(45, 0.17, 0.17)
    .drive(90, 0.155, 0.155)
    .drive(135, 0.135, 0.14)
    .drive(180, 0.12, 0.125)
    .drive(202.5, 0.115, 0.115)
    .drive(225, 0.105, 0.11)
    .read('driveup', 'lock/deg225', 2, 'protractor')
    .pass('driveup')
    .lock(2, [
      [0.105, 0.105],
      [0.105, 0.11],
    ])
    .pass('lock');

  const press = hand(ids, p.pressGear, 'asta', hoursAgo(4), tools('mic-4'))
    .safe()
    .survey(round90)
    .pass('shaft')
    .bench([
      [0.1, 0.1],
      [0.1, 0.105],
      [0.1, 0.1],
    ])
    .pass('bench')
    .pass('target')
    .drive(0, 0.1, 0.1)
    .read('driveup', 'lock/deg0', 4, 'protractor')
    .drive(45, 0.085, 0.085)
    .drive(90, 0.07, 0.07);

  const oval = [124.961, 124.958, 124.92, 124.957, 124.955, 124.918, 124.956, 124.954, 124.921];
  const washerTail = hand(ids, p.washerTail, 'asta', hoursAgo(7), tools('mic-5')).safe().survey(oval);

  const lime = hand(ids, p.limeMilk, 'bram', hoursAgo(3), tools('mic-in', 'feel-in'))
    .safe()
    .survey([61.895, 61.8925, 61.8975, 61.8925]);

  const juice = hand(ids, p.juice, 'bram', hoursAgo(6), tools('mic-5'))
    .safe()
    .survey(shifted(110, round90))
    .pass('shaft')
    .bench([
      [0.13, 0.13],
      [0.125, 0.13],
      [0.13, 0.13],
    ])
    .pass('bench')
    .pass('target')
    .drive(0, 0.13, 0.13)
    .drive(45, 0.115, 0.115)
    .drive(90, 0.095, 0.1)
    .drive(180, 0.035, 0.03);

  const dryer = hand(ids, p.dryer, 'bram', hoursAgo(5), tools('mic-6', 'feel-b'))
    .safe()
    .survey(shifted(140, round90))
    .pass('shaft')
    .bench([
      [0.21, 0.21],
      [0.2, 0.21],
      [0.21, 0.2],
    ])
    .pass('bench')
    .pass('target');

  const tail = hand(ids, p.pressTail, 'asta', hoursAgo(2), tools('mic-4'));
  return [fan, washer, washerTail, juice, dryer, press, lime, tail, ...surveys(ids)];
}

/** What a dial of 2 µm steps shows on a shaft. */
const dialOn = (shaft: ShaftModel) => (p: Place) =>
  Math.round(surfaceAt(shaft, p.turn?.atMm ?? 0, p.turn?.angleDeg ?? 0) / 0.002) * 0.002;
const nearly = (mm: number) => {
  let n = 0;
  return () => Number((mm + ([0.001, -0.002, 0, 0.002, -0.001][n++ % 5] ?? 0)).toFixed(3));
};

/** Surveys in different states: a bent shaft found, an oval one being read, a coupling to be moved, one signed. */
function surveys(ids: Map<string, string>): ScriptedHand[] {
  const p = POSITIONS;
  const bent: ShaftModel = { ...TRUE_SHAFT, bendMmPerM: 0.62, bendFromMm: -12, bendDeg: 118, ovalMm: 0.0015 };
  const juice = hand(ids, p.juiceSeal, 'asta', hoursAgo(5), tools('mic-3'))
    .safe()
    .answerAll('look')
    .pass('look')
    .follow('shaft', 'micrometer', nearly(59.984))
    .pass('shaft')
    .follow('finish', 'roughness', (at) => (at.key.startsWith('shaft') ? 0.00052 : 0.0021))
    .pass('finish')
    .follow('runout', 'dial', dialOn(bent));

  const oval: ShaftModel = { ...TRUE_SHAFT, ovalMm: 0.045, ovalDeg: 35, offsetMm: 0.006, offsetDeg: 250 };
  const lime = hand(ids, p.limeBox, 'bram', hoursAgo(2.5), tools('mic-in'))
    .safe()
    .answerAll('look')
    .pass('look')
    .follow('shaft', 'micrometer', nearly(61.885))
    .pass('shaft')
    .follow('runout', 'dial', dialOn(oval), 13);

  const rim = [0, -0.14, -0.31, -0.17, 0, -0.052, -0.118, -0.066];
  let r = 0;
  const coupling = hand(ids, p.molassesCoupling, 'bram', hoursAgo(1.5), tools('mic-3'))
    .safe()
    .follow('softfoot', 'feeler', (at) => (at.key === 'f2/a' ? 0.16 : 0.02))
    .do('measure.repeated', { step: 'softfoot', done: '0.15 full shim laid under foot 2' })
    .follow('softfoot', 'feeler', () => 0.02)
    .pass('softfoot')
    .read('coupling', 'rim/sag', -0.06, 'dial')
    .follow('coupling', 'dial', () => rim[r++] ?? 0);

  const housings = hand(ids, p.pressHousings, 'asta', hoursAgo(1), tools('mic-4'))
    .safe()
    .follow('softfoot', 'feeler', () => 0.02)
    .pass('softfoot')
    .follow('housings', 'laser', (at) => ({ 'h2/vn': 0.42, 'h2/vf': 1.65 })[at.key] ?? 0.05);

  const signed = hand(ids, p.thickJuice, 'asta', hoursAgo(28), tools('mic-3'))
    .safe()
    .answerAll('look')
    .pass('look')
    .follow('shaft', 'micrometer', nearly(59.982))
    .pass('shaft')
    .follow('runout', 'dial', dialOn({ ...TRUE_SHAFT, bruiseMm: 0.09, bruiseAtMm: 30, bruiseDeg: 225 }))
    .do('measure.repeated', { step: 'runout', done: 'bruise filed, abrasive cloth round the shaft' })
    .follow('runout', 'dial', dialOn({ ...TRUE_SHAFT, offsetMm: 0.006, offsetDeg: 80 }))
    .pass('runout')
    .read('play', 'end/push/1', 0, 'dial')
    .read('play', 'end/pull/1', 0.06, 'dial')
    .read('play', 'radial/rest/1', 0, 'dial')
    .read('play', 'radial/lift/1', 0.03, 'dial')
    .pass('play')
    .pass('verdict')
    .do('sheet.signed', { name: 'Asta' });
  return [juice, lime, coupling, housings, signed];
}

/** Post a hand's events as each of their authors, the way the queue would. */
async function post(db: Database, worked: ScriptedHand): Promise<void> {
  const runs: JobEvent[][] = [];
  for (const e of worked.events) {
    const run = runs.at(-1);
    if (run && run[0]?.author.id === e.author.id) run.push(e);
    else runs.push([e]);
  }
  for (const run of runs) {
    const answer = await appendEvents(db, person(run[0]?.author.id ?? ''), worked.jobId, run);
    const refused = answer.outcomes.find((o) => o.outcome === 'refused');
    if (refused) throw new Error(`Demo event refused: ${refused.reason}`);
  }
}

/** Lay the demo data in once, into an empty house. True where it did. */
export async function seedDemo(db: Database): Promise<boolean> {
  if ((await db.models.Person.count()) > 0) return false;
  const positions = Object.values(POSITIONS).map((setup) => ({
    id: v7({ msecs: hoursAgo(24 * 30).getTime() }),
    site: SITE,
    machine: setup.machine,
    position: setup.position,
    setup: JSON.stringify(setup),
  }));
  const ids = new Map(positions.map((p) => [`${p.machine}|${p.position}`, p.id]));
  // All jobs are worked through before anything of theirs is written, so that a refused act leaves an empty house.
  const worked = jobs(ids);
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  await db.models.Instrument.bulkCreate(Object.values(GAUGES));
  await db.models.Position.bulkCreate(positions);
  await db.models.Person.bulkCreate(PEOPLE.map((p) => ({ ...p, passwordHash })));
  for (const job of worked) await post(db, job);
  return true;
}
