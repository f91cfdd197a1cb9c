/** What the pages of steps/rebuild say, in ICU MessageFormat. */
export const en = {
  renewAllAlwaysNew: 'Renew {count} “always new”',
  alwaysNew: 'always new: {renewed}',
  dashedStillFitAsDrawn: 'dashed: still to fit, as drawn',
  inText: '← in',
  intoPump: '← into the pump',
  look: 'Look for',
  out: 'out →',
} as const;
