/** What is drawn of a step, as data: one component draws it on a screen, one painter on paper. */

export { drawnOf } from '../engine/trades.ts';
export type { Drawing, Fill, Ink, Look, Shape } from '../judgement/drawing.ts';
export { floatFigure } from '../steps/bearing/float-figure.ts';
export { boltFigure } from '../steps/figures/bolt-order.ts';
export { lockFigure } from '../steps/figures/lock.ts';
export { pileFigure } from '../steps/figures/pile.ts';
