import type { Hand } from '../../engine/hand.ts';
import type { Example } from '../../engine/trade.ts';
import { NAMED } from '../../steps/example.ts';
import { VANE_PUMP_TAGGED } from './parts.ts';
import { USUAL_VANE_PUMP, type VanePumpSetup } from './setup.ts';
import { writeHeap } from './shims.ts';

/** A vane pump on its feet; torques invented. */
export const vanePump: VanePumpSetup = { ...USUAL_VANE_PUMP, ...NAMED, headNm: 45, capNm: 20 };

const HEAP = [3, 2, 1];
const count =
  (step: string, heap = HEAP) =>
  (h: Hand) =>
    h.answer(step, 'heaps', 'yes', writeHeap(heap));
/** Bolts but those under the rods, the rods out, the rest. */
const heads = (id: string) => (h: Hand) => {
  h.tighten(id, undefined, vanePump.headBolts - 2);
  h.answerAll(id).tighten(id);
};

/** Each of its variants, and how it is worked. */
export const example: Example<VanePumpSetup> = {
  setups: {
    'vane pump': vanePump,
    'vane pump, hung, one head': {
      ...vanePump,
      mounted: 'hung',
      product: 'light',
      sides: 'first',
      leftBecause: 'dry, changed last year',
    },
    'vane pump, caps stay': { ...vanePump, capStays: true },
    'vane pump, new heads': {
      ...vanePump,
      renewed: true,
      thinSpare: 4,
      maker: { floatMinMm: 0.1, floatMaxMm: 0.2 },
    },
  },
  work: {
    tags: (h) => {
      for (const p of VANE_PUMP_TAGGED) h.answer('tags', p.id, 'yes', p.renewed ? 'renew' : 'reuse');
    },
    shimsoff1: count('shimsoff1'),
    float1: (h) => h.read('float1', 'float', 0.15, 'dial'),
    float2: (h) => h.read('float2', 'float', 0.15, 'dial'),
    shimson1: count('shimson1'),
    shimsoff2: count('shimsoff2', [1, 4, 1]),
    shimson2: count('shimson2', [1, 4, 1]),
    headbolts1: heads('headbolts1'),
    headbolts2: heads('headbolts2'),
  },
};
