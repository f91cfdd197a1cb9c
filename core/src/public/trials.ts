/** Trials of what is stated: drive-up done over and over. */

export {
  DriveUpMonteCarlo,
  driveUpMonteCarlo,
  type MonteCarloInput,
  type MonteCarloResult,
  type StopChances,
} from '../simulation/drive-up-monte-carlo.ts';
