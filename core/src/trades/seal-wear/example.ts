import type { Example } from '../../engine/trade.ts';
import { NAMED } from '../../steps/example.ts';
import { USUAL_WEAR, type WearSetup } from './setup.ts';

/** A seal watched by its pins. */
export const wornSeal: WearSetup = { ...USUAL_WEAR, ...NAMED, fittedOn: '2026-01-10', baselineMm: 1.2 };

const setups: Record<string, WearSetup> = { 'worn seal': wornSeal };

const work: Example<WearSetup>['work'] = {
  wear: (h) =>
    h
      .read('wear', 'wear/1', 0.9, 'caliper')
      .wait(60 * 24 * 90)
      .read('wear', 'wear/2', 0.7, 'caliper'),
};

/** Each of its variants, and how it is worked. */
export const example: Example<WearSetup> = { setups, work };
