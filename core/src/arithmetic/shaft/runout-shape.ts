import type { Text } from '../../message/message.ts';
import { type HarmonicFit, significance } from '../../metrology/harmonics.ts';
import { M } from './messages.ts';

/** What a shape read by an indicator over one turn mostly is. */
export type RunoutShape = 'true' | 'off-centre' | 'oval' | 'lobed' | 'rough' | 'mixed' | 'unfitted';

/** Share of the whole at which one wave is called the shape. */
const MAIN_SHARE = 0.6;

/** What is left beside the fit counts as rough only so many times over what the readings scatter by themselves. Our own choice. */
const ROUGH_TIMES = 2.4;

/**
 * Name the shape from the fit: the wave that carries most of the movement, where its amplitude is beyond what noise alone gives
 * over all waves tried (`significance`). 1× off-centre or bent, 2× out of round, 3× lobed; what no wave carries is surface or a
 * slipping gauge.
 * Source: Rayleigh's distribution, any statistics text; common practice, no source, for the shares.
 */
export function runoutShape(fit: HarmonicFit | null, alone: number): RunoutShape {
  if (!fit) return 'unfitted';
  const beyond = significance(fit.harmonics.length, fit.free);
  const sure = fit.harmonics.filter((h) => h.amplitudeMm > beyond * h.standardMm);
  const rest = fit.residualRmsMm * Math.SQRT2;
  const restSure = rest > ROUGH_TIMES * alone * Math.SQRT2;
  if (sure.length === 0) return restSure ? 'rough' : 'true';
  const energy = (a: number) => a * a;
  const whole = sure.reduce((s, h) => s + energy(h.amplitudeMm), 0) + (restSure ? energy(rest) : 0);
  const main = sure.reduce((a, b) => (b.amplitudeMm > a.amplitudeMm ? b : a));
  if (energy(main.amplitudeMm) / whole >= MAIN_SHARE)
    return main.order === 1 ? 'off-centre' : main.order === 2 ? 'oval' : 'lobed';
  return restSure && energy(rest) / whole >= MAIN_SHARE ? 'rough' : 'mixed';
}

/** The shape in words, for a finding. */
export const SHAPE_WORDS: Record<RunoutShape, Text> = {
  true: M.runsTrueWithinGauge,
  'off-centre': M.runsOffCentreBentOnce,
  oval: M.outRoundTwiceTurn,
  lobed: M.lobedThreeTimesTurn,
  rough: M.noWaveCarriesSurfaceDirt,
  mixed: M.severalShapesTogether,
  unfitted: M.tooFewAnglesTellShape,
};

export const SHAPE_REMEDY: Record<RunoutShape, Text> = {
  true: '',
  'off-centre': M.indicateMoreStationsTellBent,
  oval: M.dressHighSidesSleeveShaft,
  lobed: M.checkVBlockRegrindSleeve,
  rough: M.cleanShaftTightenGaugeBase,
  mixed: M.dressWhatStandsProudThen,
  unfitted: M.readEightAnglesMoreRound,
};
