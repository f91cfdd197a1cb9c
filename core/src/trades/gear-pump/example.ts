import type { Hand } from '../../engine/hand.ts';
import type { Example } from '../../engine/trade.ts';
import { NAMED } from '../../steps/example.ts';
import { stackKey } from './compression.ts';
import { GEAR_PUMP_TAGGED, lipsOf } from './parts.ts';
import { type GearPumpSetup, USUAL_GEAR_PUMP } from './setup.ts';

/** A pump with steel gears; its torques as such pumps have them. */
export const gearPump: GearPumpSetup = {
  ...USUAL_GEAR_PUMP,
  ...NAMED,
  plateNm: 50,
  nutNm: 64,
  compression: 'sheet',
  compressedPercent: 8,
  compressedDoubtPercent: 1,
};

/** The stack laid and felt: so thick, the same gap at every place. */
export function feelStack(h: Hand, stackMm: number, gapMm: number): void {
  h.read('clearance', 'stack', stackMm, 'caliper');
  h.follow('clearance', 'feeler', () => gapMm);
}

/** Both plates: every bolt but those under the pins by hand, the pins out, the rest. */
const plate = (id: string) => (h: Hand) => {
  h.tighten(id, undefined, gearPump.plateBolts - 2);
  h.answerAll(id).tighten(id);
};

/** Each of its variants, and how it is worked. */
export const example: Example<GearPumpSetup> = {
  setups: {
    'gear pump': gearPump,
    'gear pump, rubber gears': {
      ...gearPump,
      gears: 'rubber',
      smallBearing: 'balls',
      rotation: 'anticlockwise',
      ringSchool: 'clockwise',
      housingLips: 'outward',
      compression: 'measured',
    },
  },
  work: {
    tags: (h) => {
      for (const p of GEAR_PUMP_TAGGED) h.answer('tags', p.id, 'yes', p.renewed ? 'renew' : 'reuse');
    },
    lips: (h) => {
      for (const l of lipsOf(h.state.setup as GearPumpSetup)) h.answer('lips', l.id, 'yes', l.wants);
    },
    frontbolts: plate('frontbolts'),
    rearbolts: plate('rearbolts'),
    compress: (h) =>
      [0.4, 0.6, 0.8].forEach((loose, i) => {
        h.read('compress', stackKey.write({ how: 'loose', n: i + 1 }), loose, 'caliper');
        h.read(
          'compress',
          stackKey.write({ how: 'tight', n: i + 1 }),
          Number((loose * 0.9).toFixed(3)),
          'caliper',
        );
      }),
    clearance: (h) => feelStack(h, 0.5, 0.16),
  },
};
