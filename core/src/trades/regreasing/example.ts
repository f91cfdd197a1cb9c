import type { Example } from '../../engine/trade.ts';
import { NAMED } from '../../steps/example.ts';
import { type RegreaseSetup, USUAL_REGREASE } from './setup.ts';

/** A spherical roller bearing of 100 bore regreased while it runs. */
export const regrease: RegreaseSetup = { ...USUAL_REGREASE, ...NAMED };

const setups: Record<string, RegreaseSetup> = { regreased: regrease };

const work: Example<RegreaseSetup>['work'] = {
  strokes: (h) => h.read('strokes', 'before', 48, 'thermometer').read('strokes', 'strokes/1', 34, 'gun'),
  watch: (h) => {
    [55, 62, 58, 52].forEach((c, i) => {
      h.wait(14).read('watch', `t/${i + 1}`, c, 'thermometer');
    });
  },
};

/** Each of its variants, and how it is worked. */
export const example: Example<RegreaseSetup> = { setups, work };
