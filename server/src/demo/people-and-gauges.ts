import type { Instrument } from '@fulcrant/core/instruments';

/** Who works at Holmbeck, and with what. People and gauges are invented. */

export const SITE = 'Holmbeck';

export { DEMO_PASSWORD, PEOPLE } from '../demo-people.ts';

/** A day so many from now. */
export const day = (offset: number): string =>
  new Date(Date.now() + offset * 86_400_000).toISOString().slice(0, 10);

/** The gauge cupboard. One wrench and one dial ran out of date. */
export const GAUGES: Record<string, Instrument> = Object.fromEntries(
  (
    [
      ['mic-3', 'Micrometer 3', 'micrometer', 0.001, 50, 75, day(140)],
      ['mic-4', 'Micrometer 4', 'micrometer', 0.001, 75, 100, day(96)],
      ['mic-5', 'Micrometer 5', 'micrometer', 0.001, 100, 125, day(61)],
      ['mic-6', 'Micrometer 6', 'micrometer', 0.001, 125, 150, day(203)],
      ['mic-8', 'Micrometer 8', 'micrometer', 0.001, 175, 200, day(119)],
      ['mic-in', 'Micrometer 2-3 in', 'micrometer', 0.00254, 50.8, 76.2, day(77)],
      ['feel-a', 'Feelers A, 0.005', 'feeler', 0.005, 0.02, 1, day(310)],
      ['feel-b', 'Feelers B, 0.01', 'feeler', 0.01, 0.02, 1, day(118)],
      ['feel-in', 'Feelers, half thou', 'feeler', 0.0127, 0.0254, 0.635, day(45)],
      ['wrench-2', 'Wrench 2, 40-200', 'wrench', 1, 40, 200, day(-13)],
      ['wrench-3', 'Wrench 3, 60-330', 'wrench', 2, 60, 330, day(170)],
      ['wrench-4', 'Wrench 4, 150-800', 'wrench', 5, 150, 800, day(121)],
      ['slot', 'Slot gauge, 1°', 'protractor', 1, 0, 360, day(400)],
      ['dial-1', 'Dial 1, 0.01', 'dial', 0.01, 0, 10, day(88)],
      ['dial-2', 'Dial 2, 0.002', 'dial', 0.002, 0, 1.6, day(151)],
      ['dial-in', 'Dial, half thou', 'dial', 0.0127, 0, 12.7, day(-4)],
      ['rough-1', 'Roughness tester', 'roughness', 0.00001, 0, 0.02, day(220)],
      ['depth-1', 'Depth gauge, 0.02', 'caliper', 0.02, 0, 300, day(132)],
      ['laser-1', 'Laser line, 0.01', 'laser', 0.01, 0, 50, day(190)],
      ['wrench-1', 'Wrench 1, 10-60', 'wrench', 0.5, 10, 60, day(205)],
      ['pump-1', 'Pump gauge, 0.5 MPa', 'pressure', 0.5, 0, 100, day(75)],
      ['probe-1', 'Contact probe 1', 'thermometer', 0.5, -20, 200, day(260)],
      ['wrench-0', 'Wrench 0, 2-12', 'wrench', 0.1, 2, 12, day(144)],
      ['drops-1', 'Drops by the watch', 'counter', 1, 0, 2000, day(365)],
      ['note-1', 'Belt tension meter', 'tension', 1, 10, 400, day(240)],
      ['scale-1', 'Spring scale, 200 N', 'force', 1, 0, 200, day(150)],
      ['shake-1', 'Vibration meter', 'vibration', 0.1, 0, 100, day(210)],
      ['gun-1', 'Grease gun 1', 'gun', 1, 0, 500, day(330)],
    ] as const
  ).map(([id, name, kind, step, low, high, calibrationDue]) => [
    id,
    { id, name, kind, step, low, high, calibrationDue },
  ]),
);
