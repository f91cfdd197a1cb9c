/** One thing the product states, tried many times: what it claims, what share of the truths it caught, what it cost. */
export type Row = {
  /** What is stated, in which hand, and in which corner of the grid it was tried. */
  statement: string;
  hand?: string;
  cell: string;
  trials: number;
  /** Share of the truths that were caught, or of what was named falsely. */
  share: number;
  /** Between these it holds. */
  low: number;
  high: number;
  claimed: string;
  /** Readings it took, on the mean. */
  readings?: number;
};

/** Does the share lie in its band, as it was found? Nothing is added to the band. */
export const holds = (r: Row): boolean => r.trials > 0 && r.share >= r.low && r.share <= r.high;

/** How far the share itself is uncertain at 99 %, for as many trials. */
export const trialError = ({ share, trials }: Pick<Row, 'share' | 'trials'>): number =>
  2.58 * Math.sqrt(Math.max(1e-4, share * (1 - share)) / Math.max(1, trials));

/** Is the share so far outside its band that so many trials cannot have done it? What a short run can say. */
export const plainlyOutside = (r: Row): boolean =>
  r.trials === 0 ||
  r.share < r.low - trialError({ ...r, share: r.low || r.share }) ||
  r.share > r.high + trialError({ ...r, share: r.high === 1 ? r.share : r.high });

const percent = (x: number): string => `${(100 * x).toFixed(1)} %`;

/** The table as it is printed and kept in docs. */
export function table(rows: readonly Row[]): string {
  const lines = rows.map(
    (r) =>
      `| ${r.statement} | ${r.hand ?? ''} | ${r.cell} | ${r.claimed} | ${percent(r.low)} to ${percent(r.high)} | ${percent(r.share)} ± ${(100 * trialError(r)).toFixed(1)} | ${r.readings?.toFixed(1) ?? ''} | ${r.trials} | ${holds(r) ? 'holds' : '**outside**'} |`,
  );
  return [
    '| what is stated | hand, steps | tried on | claimed | band | found, ± its own error | readings | trials | |',
    '| --- | --- | --- | --- | --- | --- | --- | --- | --- |',
    ...lines,
  ].join('\n');
}

/** A stated 95 %: at least 94 in 100 in every hand; a quiet one has it better, since nobody knows that it is quiet. */
export const NINETY_FIVE = { claimed: '95 %', low: 0.94, high: 1 } as const;
/** What is accepted of truths that lie on a limit. */
export const ON_LIMIT = { claimed: '4 % at the most', low: 0, high: 0.04 } as const;

/** How often a trial came true. */
export function tried(trials: number, one: (i: number) => boolean | null): { share: number; trials: number } {
  let [hits, counted] = [0, 0];
  for (let i = 0; i < trials; i++) {
    const hit = one(i);
    if (hit === null) continue;
    counted++;
    if (hit) hits++;
  }
  return { share: counted === 0 ? 0 : hits / counted, trials: counted };
}
