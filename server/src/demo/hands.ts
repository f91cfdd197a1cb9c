import type { Person } from '@fulcrant/core/api';
import { BearingHand, type ToolBox } from '@fulcrant/core/examples';
import type { Instrument } from '@fulcrant/core/instruments';
import type { Setup } from '@fulcrant/core/job';
import { v7 } from 'uuid';
import { inHand } from './hand-cards.ts';
import { GAUGES, PEOPLE } from './people-and-gauges.ts';

/** Somebody of the works, by id. */
export const person = (id: string): Person =>
  PEOPLE.find((p) => p.id === id) ?? { id, name: id, role: 'viewer' };
/** A gauge of the cupboard. @throws Error where there is none of that id */
export const gauge = (id: string): Instrument => {
  const g = GAUGES[id];
  if (!g) throw new Error(`No gauge ${id} in the demo.`);
  return inHand(g);
};
/** The gauges somebody takes along; all others are the works’ own. */
export const tools = (micrometer: string, feeler = 'feel-a', wrench = 'wrench-3'): ToolBox => ({
  micrometer: gauge(micrometer),
  feeler: gauge(feeler),
  wrench: gauge(wrench),
  wrenches: ['wrench-0', 'wrench-1', 'wrench-3', 'wrench-4'].map(gauge),
  protractor: gauge('slot'),
  dial: gauge('dial-2'),
  roughness: gauge('rough-1'),
  caliper: gauge('depth-1'),
  laser: gauge('laser-1'),
  pressure: gauge('pump-1'),
  thermometer: gauge('probe-1'),
  gun: gauge('gun-1'),
  counter: gauge('drops-1'),
  vibration: gauge('shake-1'),
});

/** A moment so many hours back. */
export const hoursAgo = (h: number): Date => new Date(Date.now() - h * 3_600_000);

/** A hand at work on a new job of a position. */
export function hand(
  positionIds: Map<string, string>,
  setup: Setup,
  by: string,
  began: Date,
  t: ToolBox,
): BearingHand {
  const id = (at: Date) => v7({ msecs: at.getTime() });
  const positionId = positionIds.get(`${setup.machine}|${setup.position}`) ?? id(began);
  return new BearingHand(id(began), id, t, person(by), began).open(positionId, setup);
}

/** A good seat of 90, and the same at another size. */
export const round90 = [89.974, 89.972, 89.976, 89.973, 89.971, 89.975, 89.972, 89.97, 89.974];
export const shifted = (base: number, of: number[]) => of.map((d) => Number((d - 90 + base).toFixed(4)));

/** A bearing on a shaft of 70 fitted by feelers, by the book, up to its signature. */
export const fittedBy70 = (h: BearingHand): BearingHand =>
  h
    .safe()
    .survey(shifted(70, round90))
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.085, 0.085],
      [0.08, 0.085],
      [0.085, 0.085],
    ])
    .pass('bench')
    .pass('target')
    .gate('fit')
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
    .pass('handturn');
