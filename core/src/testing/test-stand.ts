import type { Author } from '../engine/author.ts';
import type { Instrument } from '../instruments/instrument.ts';
import { ROUND as round } from '../steps/example.ts';
import { setup } from '../trades/sleeve-bearing/example.ts';
import { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import { survey } from '../trades/survey/example.ts';
import '../trades/registry.ts';
import { expect } from 'vitest';
import type { HandTools } from '../engine/scripted-hand.ts';
import type { Setup } from '../engine/setup.ts';
import type { SleeveSetup } from '../trades/sleeve-bearing/setup.ts';
import type { ConditionSetup } from '../trades/survey/setup.ts';

/** A fitter. */
export const asta: Author = { id: 'asta', name: 'Asta', role: 'fitter' };
/** A lead hand. */
export const imke: Author = { id: 'imke', name: 'Imke', role: 'lead' };
/** A viewer. */
export const oskar: Author = { id: 'oskar', name: 'Oskar', role: 'viewer' };

/** The hand card of a quiet hand: it scatters by a quarter of a step. */
export const quiet = (step: number) => ({ scatter: step / 4, free: 9 });

/** A quiet hand with its card, for a calculator. */
export const quietHand = (step: number) => ({ card: quiet(step) });

/** A gauge of the test stand, in date unless told otherwise. */
export const gauge = (
  id: string,
  kind: Instrument['kind'],
  step: number,
  low: number,
  high: number,
  calibrationDue = '2027-06-01',
): Instrument => ({ id, name: id, kind, step, low, high, calibrationDue, hand: quiet(step) });
/** One gauge of each kind. */
export const tools: HandTools = {
  micrometer: gauge('mic', 'micrometer', 0.001, 75, 100),
  feeler: gauge('feelers', 'feeler', 0.005, 0.02, 1),
  wrench: gauge('wrench', 'wrench', 2, 1, 600),
  protractor: gauge('slot', 'protractor', 1, 0, 360),
  dial: gauge('dial', 'dial', 0.001, 0, 5),
  roughness: gauge('rough', 'roughness', 0.00001, 0, 0.02),
  caliper: gauge('depth', 'caliper', 0.02, 0, 300),
  laser: gauge('line', 'laser', 0.01, 0, 50),
  pressure: gauge('pump', 'pressure', 0.5, 0, 100),
  thermometer: gauge('probe', 'thermometer', 0.5, -20, 200),
  gun: gauge('gun', 'gun', 1, 0, 500),
  counter: gauge('drops', 'counter', 1, 0, 2000),
  vibration: gauge('shake', 'vibration', 0.1, 0, 100),
  tension: gauge('note', 'tension', 1, 5, 500),
  force: gauge('scale', 'force', 0.5, 0, 200),
};

let count = 0;
/** Identifiers in order, of version 7. */
export const newId = () => `018f0000-0000-7000-8000-${String(++count).padStart(12, '0')}`;
/** The job of every hand here. */
export const JOB = '018f0000-0000-7000-8000-aaaaaaaaaaaa';

/** A hand at a job just opened. */
export const hand = (change: Partial<SleeveSetup> = {}) =>
  new BearingHand(JOB, newId, tools, asta, new Date('2026-11-24T06:00:00Z')).open(
    '018f0000-0000-7000-8000-bbbbbbbbbbbb',
    { ...setup, ...change },
  );
/** A hand at any kind of job just opened. */
export const handAt = <S extends Setup>(any: S) =>
  new BearingHand(JOB, newId, tools, asta, new Date('2026-11-24T06:00:00Z')).open(
    '018f0000-0000-7000-8000-bbbbbbbbbbbb',
    any,
  );
/** A hand at a survey just opened. */
export const surveyor = (
  change: Partial<ConditionSetup> = {},
  condition: Partial<ConditionSetup['condition']> = {},
) =>
  new BearingHand(
    JOB,
    newId,
    { ...tools, micrometer: gauge('mic', 'micrometer', 0.001, 50, 75) },
    asta,
    new Date('2026-11-24T06:00:00Z'),
  ).open('018f0000-0000-7000-8000-bbbbbbbbbbbb', {
    ...survey,
    ...change,
    condition: { ...survey.condition, ...condition },
  });
/** Worked as far as the target. */
export const toTarget = (h = hand()) =>
  h
    .safe()
    .survey(round)
    .pass('shaft')
    .gate('inboard')
    .bench([
      [0.1, 0.1],
      [0.1, 0.105],
      [0.1, 0.1],
    ])
    .pass('bench');
/** Worked as far as the drive-up. */
export const toDriveUp = (h = hand()) => toTarget(h).pass('target').gate('fit');
/** Driven up into the band. */
export const toLock = (h = hand()) =>
  toDriveUp(h)
    .drive(0, 0.1, 0.1)
    .drive(45, 0.085, 0.085)
    .drive(90, 0.07, 0.07)
    .drive(135, 0.055, 0.055)
    .read('driveup', 'lock/deg135', 3, 'protractor')
    .drive(150, 0.05, 0.05)
    .pass('driveup');
/** Locked. */
export const toBolts = (h = hand()) =>
  toLock(h)
    .lock(3, [
      [0.05, 0.045],
      [0.05, 0.045],
      [0.045, 0.05],
    ])
    .pass('lock');
/** Signed. */
export const whole = (h = hand()) =>
  toBolts(h)
    .bolts()
    .pass('bolts')
    .answerAll('handturn')
    .pass('handturn')
    .do('sheet.signed', { name: 'Asta' });
/** A step as it stands. */
export const step = (h: BearingHand, id: string) => {
  const s = h.state.steps.find((x) => x.id === id);
  if (!s) throw new Error(id);
  return s;
};
/** The act is refused, in these words. */
export const refuses = (act: () => unknown, words: RegExp) => expect(act).toThrow(words);

/** What a step's kind says of it in numbers, as the kind's own type. */
export const valuesOf = <T>(h: BearingHand, id: string): T => step(h, id).report?.values as T;

/** The first measuring of a step that was measured anew, in numbers. */
export const firstOf = <T>(h: BearingHand, id: string): T => {
  const first = step(h, id).report?.before?.[0];
  if (!first) throw new Error(`${id} was measured once`);
  return first.values as T;
};

/** A setup with something of it changed. */
export const but = <S extends Setup>(s: S, change: Partial<S>): S => ({ ...s, ...change });

export { round, setup, survey };
