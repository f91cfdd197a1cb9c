import type { Example } from '../../engine/trade.ts';
import { reportAt } from '../../engine/trades.ts';
import { closeSeat, NAMED, SHARED_WORK } from '../../steps/example.ts';
import { type PackingSetup, USUAL_PACKING } from './setup.ts';

/** A box of 115 on a shaft of 90, lantern under its port. */
export const packing: PackingSetup = {
  ...USUAL_PACKING,
  ...NAMED,
  shaftMm: 90,
  boxBoreMm: 115,
  condition: { measures: ['shaft'], seat: 'packing-sleeve' },
};

const setups: Record<string, PackingSetup> = { packed: packing };

const work: Example<PackingSetup>['work'] = {
  ...SHARED_WORK,
  shaft: closeSeat,
  follower: (h) => h.follow('follower', 'feeler', () => 0.8),
  rings: (h) => h.follow('rings', 'protractor', (p) => ((Number(p.key.split('/')[1]) - 1) * 90) % 360),
  breakin: (h) => {
    for (let i = 0, drops = 160; i < 30; i++) {
      const next = reportAt(h.state, 'breakin')?.next;
      if (!next) break;
      if (next.key.startsWith('drops/')) h.wait(14).read('breakin', next.key, drops, 'counter');
      else {
        h.read('breakin', next.key, 60, 'protractor');
        drops = Math.max(36, drops - 50);
      }
    }
  },
};

/** Each of its variants, and how it is worked. */
export const example: Example<PackingSetup> = { setups, work };
