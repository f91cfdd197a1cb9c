import type { Instrument } from '@fulcrant/core/instruments';
import type { HandTools } from '../../../core/src/engine/scripted-hand.ts';

/** Gauges of the demo that a hand takes along, as its register has them. */
export function demoTools(instruments: readonly Instrument[]): HandTools {
  const one = (id: string) => instruments.find((g) => g.id === id) as Instrument;
  return {
    micrometer: one('mic-4'),
    feeler: one('feel-a'),
    wrench: one('wrench-3'),
    protractor: one('slot'),
    dial: one('dial-2'),
    caliper: one('depth-1'),
  };
}
