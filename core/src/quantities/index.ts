export * from './angle.ts';
export * from './length.ts';
export * from './pressure.ts';
export * from './roughness.ts';
export * from './say.ts';
export * from './temperature.ts';
export * from './torque.ts';
