export * from './decision.ts';
export * from './line.ts';
export * from './uncertainty.ts';
