export * from './decision.ts';
export * from './decision-sum.ts';
export * from './harmonics.ts';
export * from './least-squares.ts';
export * from './line.ts';
export * from './settle.ts';
export * from './uncertainty.ts';
