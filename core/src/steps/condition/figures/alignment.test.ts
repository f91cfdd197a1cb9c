import { expect, it } from 'vitest';
import type { CouplingStepValues } from '../coupling.ts';
import { couplingFigure } from './alignment.ts';

const values = (vertical: number, horizontal: number): CouplingStepValues => {
  const plane = (offsetMm: number) => ({ offsetMm, anglePer100Mm: 0, frontMm: -offsetMm, backMm: -offsetMm });
  return {
    method: 'rim-and-face',
    rim: [0, 0, 0, 0],
    second: [0, 0, 0, 0],
    rimSagMm: 0,
    secondSagMm: 0,
    frontFeetMm: 150,
    feetSpanMm: 350,
    dialDistanceMm: undefined,
    faceDiameterMm: 120,
    result: {
      vertical: plane(vertical),
      horizontal: plane(horizontal),
    } as unknown as CouplingStepValues['result'],
  };
};
/** How many times larger each plane is drawn, as it is said beside it. */
const timesOf = (v: CouplingStepValues): number[] =>
  [...JSON.stringify(couplingFigure({ values: v, place: undefined })).matchAll(/"times":(\d+)/g)].map((m) =>
    Number(m[1]),
  );

it('draws both planes of a coupling on one scale, by the worse of them', () => {
  const [side, above] = timesOf(values(0.125, 0.015));
  expect(side).toBeGreaterThan(1);
  expect(above).toBe(side);
  // The other way round it is the same scale; a tenth of the fault is drawn larger.
  expect(timesOf(values(0.015, 0.125))).toEqual([side, side]);
  expect(timesOf(values(0.0125, 0.0015))[0]).toBeGreaterThan(5 * (side ?? 0));
});
