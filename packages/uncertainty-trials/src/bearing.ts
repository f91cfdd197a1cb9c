import type { Chance } from './chance.ts';

/**
 * A bearing going up its sleeve, with what nobody sees. How much clearance a way up costs follows from thick rings by its own sum
 * here, scattered from one fitting to the next; the sleeve's pitch and taper are a little off; it slips before it bites; it settles;
 * the outer ring hangs askew; blades are a little thicker or thinner than they are stamped, and a hand takes one beside now and then.
 */
export type Hidden = {
  benchMm: number;
  perDegMm: number;
  slackDeg: number;
  settlingMm: number;
  tiltMm: number;
  bladeOffMm: number;
  feelSteps: number;
};

export type Case = {
  boreMm: number;
  clearanceClass: 'CN' | 'C3' | 'C4';
  taper: 12 | 30;
  pitchMm: number;
  bladeStepMm: number;
  lowMm: number;
  highMm: number;
};

/** Share of the wedge a solid shaft gives to the raceway: Lamé, steel on steel, ring ratio 1.2 to 1.28. */
function wedgeShare(ratio: number): number {
  const f2 = ratio * ratio;
  const ring = (f2 + 1) / (f2 - 1);
  return (2 * ratio) / (f2 - 1) / (ring + 1);
}

export function hiddenBearing(of: Case, feelSteps: number, chance: Chance): Hidden {
  const share = wedgeShare(chance.between(1.2, 1.28)) - chance.between(0.01, 0.02) + chance.bell(0.025);
  const taperOff = 1 + chance.bell(0.01);
  return {
    benchMm: chance.between(of.lowMm, of.highMm),
    perDegMm: (share * of.pitchMm * (1 + chance.bell(0.005)) * taperOff) / (of.taper * 360),
    slackDeg: chance.between(0, 25),
    settlingMm: chance.between(0.02, 0.04),
    tiltMm: chance.bell(0.004),
    bladeOffMm: chance.bell(0.001),
    feelSteps,
  };
}

/** What is truly left with the nut turned so far. */
export function leftAt(b: Hidden, of: Case, deg: number): number {
  const lost = ((b.settlingMm / of.pitchMm) * 360 + b.slackDeg) * b.perDegMm;
  return b.benchMm - Math.max(0, b.perDegMm * deg - lost);
}

/** Both rows felt. */
export function felt(b: Hidden, of: Case, deg: number, chance: Chance) {
  const row = (tilt: number) =>
    Math.max(
      0,
      Math.round(
        (leftAt(b, of, deg) + tilt + b.bladeOffMm + chance.bell(b.feelSteps * of.bladeStepMm)) /
          of.bladeStepMm,
      ) * of.bladeStepMm,
    );
  return { angleDeg: deg, rowAMm: row(b.tiltMm), rowBMm: row(-b.tiltMm) };
}
