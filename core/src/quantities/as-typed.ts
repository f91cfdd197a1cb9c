import { MPA_PER_PSI } from './pressure.ts';
import { NM_PER_LBF_FT } from './torque.ts';

/** Units a value may have been typed in, with the size of one in the unit it is kept in; the first is that unit itself. */
type Units = ReadonlyArray<readonly [word: string, size: number]>;

const PRESSURE: Units = [
  ['MPa', 1],
  ['bar', 0.1],
  ['psi', MPA_PER_PSI],
];
const TORQUE: Units = [
  ['N·m', 1],
  ['lbf·ft', NM_PER_LBF_FT],
  ['lbf·in', NM_PER_LBF_FT / 12],
];

/** People type at most so many decimals of a pressure or a torque. */
const DECIMALS = 3;

/**
 * A value in the unit in which it is a round number: the one it was typed in, so that typing what is shown gives the same value
 * again. Where it is round in none, it is shown in the unit it is kept in, whole.
 */
function asTyped(value: number, units: Units): string {
  for (const [word, size] of units) {
    const n = Number((value / size).toFixed(DECIMALS));
    if (Math.abs(n * size - value) <= 1e-9 * Math.max(1, Math.abs(value))) return `${n} ${word}`;
  }
  return `${Number(value.toPrecision(12))} ${units[0]?.[0] ?? ''}`;
}

/** @example pressureAsTyped(3500 * MPA_PER_PSI) // '3500 psi' */
export const pressureAsTyped = (mpa: number): string => asTyped(mpa, PRESSURE);
/** @example torqueAsTyped(180) // '180 N·m' */
export const torqueAsTyped = (nm: number): string => asTyped(nm, TORQUE);

/** A range of torques in the unit it was typed in. @example torqueRangeAsTyped(35, 40) // '35–40 N·m' */
export function torqueRangeAsTyped(leastNm: number, mostNm: number | undefined): string {
  if (mostNm === undefined) return torqueAsTyped(leastNm);
  const [least, unit] = torqueAsTyped(leastNm).split(' ');
  const [most, other] = torqueAsTyped(mostNm).split(' ');
  return unit === other ? `${least}–${most} ${unit}` : `${leastNm}–${mostNm} N·m`;
}

/** Setups kept before values went unrounded hold pressures to four decimals, rounded either way: half of the last one, MPa. */
const ROUNDED_MPA = 5.1e-5;

/**
 * Is a pressure limit reached? At the limit is at the limit: no uncertainty of the gauge eases it.
 * @param mpa what the gauge shows
 * @param limitMpa the limit, as its sheet gives it
 */
export const reachesPressure = (mpa: number, limitMpa: number): boolean => mpa >= limitMpa - ROUNDED_MPA;
