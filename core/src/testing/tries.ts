/**
 * How often a seeded test tries something, and from which seed. `npm test` takes the usual numbers, so that a red run can be seen again;
 * `npm run proof` sets others.
 */
export const triesOf = (usual: number): number => Number(process.env.FULCRANT_TRIES ?? usual);

export const seedOf = (usual: number): number => Number(process.env.FULCRANT_SEED ?? usual);
