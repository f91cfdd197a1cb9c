import { DEPTHS } from '../engine/depth.ts';
import type { Setup } from '../engine/setup.ts';
import { allTrades, stepOf, tradeOf } from '../engine/trades.ts';
import type { BearingHand } from '../trades/sleeve-bearing/hand.ts';
import '../trades/registry.ts';

/** One setup of every trade and variant of job. */
export const EVERY_KIND: Record<string, Setup> = Object.fromEntries(
  allTrades().flatMap((t) => Object.entries(t.example.setups)),
);

/** The same at each depth of check. */
export const EVERY_DEPTH: Record<string, Setup> = Object.fromEntries(
  Object.entries(EVERY_KIND).flatMap(([name, setup]) =>
    DEPTHS.map((depth): [string, Setup] => [`${name}, ${depth}`, { ...setup, depth }]),
  ),
);

/** Work the present step by the book, as far as it can be passed. */
export function workStep(h: BearingHand): void {
  const id = h.state.present;
  const step = id === null ? undefined : stepOf(h.state, id);
  if (!id || !step) throw new Error('Nothing is present.');
  const { setup } = h.state;
  if (step.itemsFirst) h.answerAll(id);
  tradeOf(setup).example.work[id]?.(h, setup);
  h.tighten(id).answerAll(id);
}

/** Worked by the book up to a step, which is then the present one. */
export function upTo(h: BearingHand, step: string): BearingHand {
  for (let i = 0; i < 60 && h.state.present && h.state.present !== step; i++) {
    const id = h.state.present;
    workStep(h);
    h.pass(id);
  }
  if (h.state.present !== step) throw new Error(`${step} is not reached.`);
  return h;
}

/** Work the whole job by the book, to the signature. */
export function workAll(h: BearingHand): BearingHand {
  for (let i = 0; i < 60 && h.state.present && h.state.present !== 'sign'; i++) {
    const id = h.state.present;
    workStep(h);
    h.pass(id);
  }
  return h.do('sheet.signed', { name: 'Asta' });
}
